// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/measure/table/cell.h"

#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace yf::measure {

/// A line with a word for each column.
struct HeadLine {
    std::vector<std::string> cells;
    bool comment{};
};

/// A stretch of rows under one heading.
struct Block {
    std::vector<std::string> title; ///< lines before it that name no columns
    std::vector<HeadLine> heads;
    std::vector<std::string> looseUnits; ///< under the last head, fewer than columns, in order
    std::size_t first{}; ///< its rows: [first, last) of the grid
    std::size_t last{};
};

/// A text cut into rows and columns of numbers; what no number is, is NaN.
struct Grid {
    Delimiter delimiter{};
    bool decimalComma{};
    bool thousands{}; ///< some numbers had signs between thousands
    std::size_t columns{};
    std::vector<std::vector<double>> numbers; ///< one list for each column
    std::vector<std::string> cellUnits;       ///< the unit that stands in a column's cells, or ""
    std::vector<bool> words;                  ///< a column of words
    std::vector<int> lines;                   ///< of each row, from 1 as in the file
    std::vector<Block> blocks;                ///< at least one; in order, without gaps
    std::vector<std::vector<std::string>> shown; ///< the first rows as they stand there
    int footer{};                                ///< lines behind the last row that are no rows
    int missing{}; ///< cells that hold no number: empty, NaN, infinite

    [[nodiscard]] std::size_t rows() const { return lines.size(); }
};

/// How many rows `Grid::shown` keeps.
inline constexpr std::size_t previewRows = 8;

struct GridWishes {
    std::optional<Delimiter> delimiter;
    std::optional<bool> decimalComma;
};

/// Cuts a text (UTF-8) into a grid.
///
/// Delimiter: the one under which most lines have the same number of cells, numbers most of them.
/// Cells may stand in quotes, numbers may carry a unit ("1.2 kHz") and signs between thousands.
/// A row is a line whose cells are numbers wherever most rows have numbers; lines before the first
/// are comments, titles or heads, lines without any number between rows begin a new block, behind
/// the last one they are a footer.
/// Refused with line and column: a word where the rows have numbers, a row too short or too long,
/// points and commas that can't both be decimal signs.
[[nodiscard]] Result<Grid> cutGrid(std::string_view text, const GridWishes& wishes);

/// "line 7, column 2: …" about the text.
[[nodiscard]] Error atCell(int line, std::size_t column, const Words& what);

/// A cell for a sentence: in quotes, at most 24 bytes of it.
[[nodiscard]] std::string quotedCell(std::string_view cell);

} // namespace yf::measure
