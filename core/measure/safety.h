// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/quantity/kinds.h"

#include <optional>

/// What is asked before sound is made: ears and drivers come first.
namespace yf::measure {

/// A sweep somebody is about to play.
struct PlayWish {
    double level{};               ///< dB, peak re full scale
    std::optional<double> before; ///< dB, of the last play on this device; absent: none yet
    double highest{0.0};          ///< dB, never beyond
    bool near{};                  ///< microphone, and so perhaps an ear, close to the cone
    std::optional<double> fullScaleVoltage;   ///< V at the terminals for 1.0 played
    std::optional<double> Re;                 ///< Ω; absent: usualRe
    std::optional<quantity::DriverRole> role; ///< absent: no driver plays
};

/// DC resistance of an 8 Ω driver, taken where none is printed (common practice).
inline constexpr double usualRe = 5.5; // Ω

/// What a driver bears where nobody has printed it: cautious, tweeters burn first (common
/// practice). W
[[nodiscard]] constexpr double usualRating(quantity::DriverRole role) {
    return role == quantity::DriverRole::tweeter ? 10.0 : 30.0;
}

/// Where a driver's sweep begins: Hz, and dB peak re full scale (common practice).
struct SweepStart {
    double frequency{};
    double level{};
};

/// A tweeter's above its resonance.
[[nodiscard]] constexpr SweepStart responseSweep(quantity::DriverRole role) {
    return role == quantity::DriverRole::tweeter ? SweepStart{500.0, -30.0}
                                                 : SweepStart{10.0, -20.0};
}

/// A tweeter's impedance is looked at below its resonance too, softly.
[[nodiscard]] constexpr SweepStart impedanceSweep(quantity::DriverRole role) {
    return role == quantity::DriverRole::tweeter ? SweepStart{100.0, -30.0}
                                                 : SweepStart{10.0, -20.0};
}

/// Level and length of the first play on a device.
inline constexpr double firstPlayLevel = -40.0; // dB
inline constexpr double firstPlayLength = 0.3;  // s

struct PlayAdvice {
    bool beyondHighest{};        ///< refused
    bool softFirst{};            ///< nothing was played yet: a short, soft one goes first
    bool raise{};                ///< more than 12 dB above the last: to be confirmed
    bool countdown{};            ///< a second's warning: loud, or near
    std::optional<double> power; ///< W, rms of the sweep over Re
    bool muchPower{};            ///< above a tenth of the usual rating
};

/// P = V²/Re with V = V_fs·10^(level/20)/√2; loud: above −12 dB re full scale. Source:
/// docs/theory/measurement.md, "Before a sweep is played".
[[nodiscard]] PlayAdvice beforePlay(const PlayWish& wish);

} // namespace yf::measure
