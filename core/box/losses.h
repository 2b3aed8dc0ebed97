// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

namespace yf::box {

/// Stands for "no such loss".
inline constexpr double lossless = 1e9;

/// Of a ported box of 25 to 100 l; smaller, tight ones have 10 to 15, old cabinets 3 to 5
/// (Small 1973, from memory).
inline constexpr double usualQL = 7.0;

} // namespace yf::box
