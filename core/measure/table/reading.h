// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/measure/table/reading_wishes.h"

#include <optional>
#include <string>
#include <vector>

namespace yf::measure {

/// How sure it is: by how much the best reading in which the column is something else falls behind.
enum class Certainty { sure, likely, open };

struct ColumnReading {
    Meaning meaning{};
    Basis basis{};
    Certainty certainty{};
    std::string name; ///< as it stands above the column, units included
};

/// The columns of one curve.
struct CurveColumns {
    std::size_t value{}; ///< of sizes, or of real parts
    std::optional<std::size_t> phase;
    std::optional<std::size_t> imaginary; ///< then `value` are real parts
    std::string label;                    ///< what tells it from the others; may be empty
};

/// One way to understand a grid.
struct Reading {
    std::vector<ColumnReading> columns;
    std::size_t frequency{}; ///< its column
    std::vector<CurveColumns> curves;
    double score{};
    bool phaseContradicts{}; ///< what is called a phase does not go with the sizes
};

/// The ways to understand a grid, best first; of those that mean the same only one. More than one:
/// they are too close for a choice. Empty: no column can be frequencies with something beside it.
///
/// Each column's name, unit in the cells and numbers give its meanings scores (heading.h,
/// evidence.h); whole readings are scored with how phases go with the sizes beside them.
[[nodiscard]] std::vector<Reading> readingsOf(const Grid& grid, const ReadingWishes& wishes);

/// "column 1 frequency in Hz, column 2 level in dB" for a question.
[[nodiscard]] Words readingInWords(const Reading& reading);

/// The words of a request's `meanings` that stand for it: "hz,db,unused".
[[nodiscard]] std::string meaningsOf(const Reading& reading);

} // namespace yf::measure
