// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/edit/parts.h"
#include "core/evaluation/evaluate.h"

#include <limits>

/// A way brought to another level by what an engineer would touch first.
namespace yf::evaluation {

/// Mean level of a way where it is the loudest of all, and the middle of that band.
struct OwnBand {
    double level{-std::numeric_limits<double>::infinity()}; ///< dB SPL
    double middle{};                                        ///< Hz
};

/// Within the target's range; level -inf where the way is nowhere the loudest.
[[nodiscard]] OwnBand ownBand(const CabinetResult& result, std::size_t way);

/// `quieter` in dB; below zero the way gets louder. In this order:
///
///     amplifier of its own   its gain
///     a pad in the way       two resistors, one in the line and one right behind it to the return:
///                            both changed, to no less than 0.3 dB
///     none, and quieter      a pad of two right before the driver; never before a driver for lows,
///                            whose box wants a source of low resistance (common practice)
///
/// Resistors come from E12. The load is the driver's |Z| in the middle of the band where the way is
/// the loudest; what stands across the driver is not counted, so the step is true to some tenths.
/// Nothing where no impedance is known, a part is held, or there is nothing to make louder with.
[[nodiscard]] std::optional<edit::Edit> levelWay(const job::Job& job,
                                                 const job::Cabinet& cabinet,
                                                 const CabinetResult& result,
                                                 std::size_t way,
                                                 double quieter);

} // namespace yf::evaluation
