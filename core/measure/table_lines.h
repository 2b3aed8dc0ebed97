// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/words.h"

#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace yf::measure {

/// A line of a table, numbered from 1 as in its file.
struct Line {
    int number{};
    std::string_view content;
};

/// What of a text is data, and the line that names its columns, if there is one. Views into the
/// text.
struct Lines {
    std::string_view header;
    std::vector<Line> data;
};

enum class Delimiter { tab, semicolon, space, comma };

inline constexpr std::string_view delimiterNames[] = {YF_WORDS("core", "tab"),
                                                      YF_WORDS("core", "semicolon"),
                                                      YF_WORDS("core", "space"),
                                                      YF_WORDS("core", "comma")};

/// Comments are left out, as is what stands before the first line that begins with a number; the
/// last of that, or a commented line with "freq" and "hz", is the header.
[[nodiscard]] Lines splitLines(std::string_view text);

/// Cells of a line without the blanks around them; empty ones at its end are left out.
[[nodiscard]] std::vector<std::string_view> splitColumns(std::string_view line,
                                                         Delimiter delimiter);

/// Judged by the first 20 lines of data.
[[nodiscard]] Delimiter guessDelimiter(const std::vector<Line>& data);

/// A number with point or comma, any exponent letter, a leading plus.
[[nodiscard]] std::optional<double> readToken(std::string_view token);

[[nodiscard]] std::string lower(std::string_view text);
[[nodiscard]] bool contains(std::string_view text, std::string_view part);

/// "rad" standing by itself, not within "grad" or "radiated".
[[nodiscard]] bool hasWord(std::string_view text, std::string_view word);

} // namespace yf::measure
