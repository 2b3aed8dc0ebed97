// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/speaker/radiate.h"

#include <optional>
#include <vector>

/// Which drivers are really the wrong way round, told from what was measured of them together.
namespace yf::speaker {

/// Ways through their network as it is drawn, and levels of all together as measured. All on one
/// axis, from one microphone place.
struct Wired {
    const Axis& axis;
    const std::vector<std::vector<Complex>>& ways; ///< [way][frequency], drawn polarity included
    const std::vector<double>& sum;                ///< dB re the ways' unit
    curve::Range range;                            ///< that is believed
};

/// A way of wiring that the sum speaks for.
struct WiringPattern {
    std::vector<bool> reversed; ///< against the drawing, one for each way; the lowest never
    double residual{};          ///< dB, robust rms of sum less model, a common level taken out

    bool operator==(const WiringPattern&) const = default;
};

struct WiringFound {
    WiringPattern best;
    WiringPattern drawn;
    double next{};       ///< dB, residual of the best other pattern
    double fx{};         ///< Hz, of the reversed way's crossover where the sum changes most
    double gain{};       ///< dB, that wiring as drawn would bring there: over the octave about fx
    double hole{};       ///< dB, deepest below what the drawing gives
    double difference{}; ///< dB, largest between drawing and best, either way
    double confidence{}; ///< 0 … 1: how much better than every other pattern

    bool operator==(const WiringFound&) const = default;
};

/// Compares |Σ ±P| of every pattern with the measured levels, a common level free, over 1/12-octave
/// means; deviations above 3 dB count linearly, so that a hole that noise fills does not rule.
/// The sum of levels cannot tell a pattern from its opposite: of both the one with fewer reversed
/// ways (the lowest never) is named. `confidence` = 1 − (residual/next)², nought where another
/// pattern fits as well within 0.08 dB (odd-order slopes in quadrature): then nothing is said.
/// Nothing: fewer than two ways, or less than an octave believed.
[[nodiscard]] std::optional<WiringFound> wiringOf(const Wired& wired);

/// Whether what was found is worth a word: another pattern than the drawn one, sure enough, and
/// heard (3 dB somewhere).
[[nodiscard]] bool isWrong(const WiringFound& found);

/// A hole in a sum of which nothing else is known: a dip that is deeper and narrower than drivers
/// and rooms make, with shoulders alike on both sides.
struct Hole {
    double frequency{}; ///< Hz
    double depth{};     ///< dB below its shoulders, an octave either side
    double width{};     ///< octaves between half depths
};

/// Holes of 6 dB and more, 0.3 octaves wide or more at half depth, deepest first. Two ways of
/// like level out of step make such; so can a room or a filter with a gap: it is a suspicion, which
/// a battery at the terminals confirms.
[[nodiscard]] std::vector<Hole>
holesIn(const Axis& axis, const std::vector<double>& levels, curve::Range range);

} // namespace yf::speaker
