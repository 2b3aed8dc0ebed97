// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <optional>

/// What is asked before sound is made: ears and drivers come first.
namespace yf::measure {

/// A sweep somebody is about to play.
struct PlayWish {
    double level{};               ///< dB, peak re full scale
    std::optional<double> before; ///< dB, of the last play on this device; absent: none yet
    double highest{0.0};          ///< dB, never beyond
    bool near{};                  ///< microphone, and so perhaps an ear, close to the cone
    std::optional<double> fullScaleVoltage; ///< V at the terminals for 1.0 played
    std::optional<double> Re;               ///< Ω
    std::optional<double> rating;           ///< W
};

/// Level and length of the first play on a device.
inline constexpr double firstPlayLevel = -40.0; // dB
inline constexpr double firstPlayLength = 0.3;  // s

struct PlayAdvice {
    bool beyondHighest{};        ///< refused
    bool softFirst{};            ///< nothing was played yet: a short, soft one goes first
    bool raise{};                ///< more than 12 dB above the last: to be confirmed
    bool countdown{};            ///< a second's warning: loud, or near
    std::optional<double> power; ///< W, rms of the sweep over Re
    bool muchPower{};            ///< above a tenth of the rating
};

/// P = V²/Re with V = V_fs·10^(level/20)/√2; loud: above −12 dB re full scale. Source:
/// docs/theory/measurement.md, "Before a sweep is played".
[[nodiscard]] PlayAdvice beforePlay(const PlayWish& wish);

} // namespace yf::measure
