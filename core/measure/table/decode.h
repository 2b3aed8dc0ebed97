// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"

#include <string>
#include <string_view>

namespace yf::measure {

/// Largest text that is read; a driver's table has a few hundred kilobytes.
inline constexpr std::size_t largestTable = 32U << 20U;

/// Bytes of a text file to UTF-8.
///
/// By byte-order mark UTF-8 or UTF-16 of either order; else UTF-16 if nine of ten bytes at every
/// other place are zero and none between them; else UTF-8 if it is valid, else Latin-1.
/// U+FEFF at the start is dropped, U+2212 becomes "-", narrow and no-break spaces become blanks,
/// U+2019 an apostrophe.
/// Refused: a zero byte (not text), a UTF-16 text of odd length, a text beyond `largestTable`.
[[nodiscard]] Result<std::string> decode(std::string_view bytes);

} // namespace yf::measure
