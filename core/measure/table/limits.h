// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/measure/table/imported_table.h"

/// What a curve may hold that comes from outside, whatever file it stood in. Wide enough for
/// anything that is measured at a loudspeaker, narrow enough that everything can compute with it.
namespace yf::measure {

inline constexpr double lowestFrequency = 1e-3; ///< Hz
inline constexpr double highestFrequency = 1e7; ///< Hz
inline constexpr double smallestOhms = 1e-4;    ///< Ω
inline constexpr double largestOhms = 1e6;      ///< Ω
inline constexpr double widestLevel = 300.0;    ///< dB, either way

/// What is wrong with one value of a curve; nothing where it is within the limits.
[[nodiscard]] std::optional<Words> beyondLimits(double frequency, double value, bool impedance);

/// A curve from another kind of text, refused where a value is beyond the limits.
[[nodiscard]] Result<ImportedTable> withinLimits(ImportedTable table);

} // namespace yf::measure
