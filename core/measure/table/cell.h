// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/words.h"

#include <string>
#include <string_view>
#include <vector>

/// One cell of a table: what stands in it.
namespace yf::measure {

enum class Delimiter { tab, semicolon, space, comma };

inline constexpr std::string_view delimiterNames[] = {YF_WORDS("core", "tab"),
                                                      YF_WORDS("core", "semicolon"),
                                                      YF_WORDS("core", "space"),
                                                      YF_WORDS("core", "comma")};

enum class CellKind {
    number,  ///< perhaps with a unit and with signs between thousands
    missing, ///< empty, NaN, infinite, or a dash
    word
};

[[nodiscard]] CellKind kindOf(std::string_view cell);

/// The number of a cell, NaN if it holds none; the other sign stands between thousands.
/// unit: what stands behind the number, where something does.
[[nodiscard]] double
numberIn(std::string_view cell, bool decimalComma, std::string_view* unit = nullptr);

/// What a cell shows of decimal signs. Loose: a single sign with one to three digits before and
/// just three behind it, which may stand between thousands.
struct SeparatorsIn {
    bool decimalPoint{};
    bool decimalComma{};
    bool loosePoint{};
    bool looseComma{};
    bool thousands{};
};

[[nodiscard]] SeparatorsIn separatorsIn(std::string_view cell);

/// Cells of a line without the blanks and quotes around them; views into the line.
void splitCells(std::string_view line, Delimiter delimiter, std::vector<std::string_view>& cells);

/// Names of columns that only blanks part: by two or more of them, or word by word with units and
/// brackets together with the name before them.
[[nodiscard]] std::vector<std::string> headWords(std::string_view line, bool wordByWord);

/// Whether a word is a unit that tables know, in any case: "Hz", "kOhm", "dB", "°".
[[nodiscard]] bool isUnit(std::string_view word);

/// How many of `known` one of `unit` is: kHz to Hz 1000; 1 where they are not of a kind.
[[nodiscard]] double scaleBetween(std::string_view unit, std::string_view known);

[[nodiscard]] std::string lower(std::string_view text);

} // namespace yf::measure
