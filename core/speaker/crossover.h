// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/curve/curve.h"
#include "core/quantity/quantities.h"

#include <optional>
#include <span>

/// Two neighbouring ways where they hand over.
namespace yf::speaker {

/// The two ways' pressures on one axis, as wired, with their networks; Pa.
struct Neighbours {
    const curve::Axis& axis;
    std::span<const curve::Complex> lower;
    std::span<const curve::Complex> upper;
};

/// What is to be known of a crossover. Levels in dB, angles in radians.
struct Crossover {
    double fx{};         ///< Hz, where the levels meet; of several the one with the highest level
    double flipGain{};   ///< dB that reversing one brings to fx/√2 … fx·√2
    double difference{}; ///< phase of the upper re the lower at fx
    bool inPhase{};      ///< one polarity adds and the other cancels: no quadrature
    std::optional<double> notch;     ///< Hz, of the sum with the worse polarity
    std::optional<double> nullDepth; ///< dB of that notch below the better sum
    double phaseSpread{};            ///< of the difference, over the overlap (levels within 10 dB)

    bool operator==(const Crossover&) const = default;
};

/// Nothing where the two levels never meet, or one is silent everywhere.
///
/// flipGain = 10·log10(Σ w|p₁−p₂|² / Σ w|p₁+p₂|²), w = Δ ln f. From +3 dB on one driver is the
/// wrong way round, down to −3 dB it is right; between the two the ways stand in quadrature.
/// Source: docs/theory/speaker.md, "A crossover".
[[nodiscard]] std::optional<Crossover> crossover(const Neighbours& ways);

/// From this gain on reversing is advised (and against it at the negative of it).
inline constexpr double flipThreshold = 3.0; // dB

/// Within this two ways add with less than 0.3 dB of loss: 20 lg cos(15°), rad.
inline constexpr double inStep = 30.0 * quantity::degree;

/// Mean of a level over ln f between two frequencies by the trapezium rule; nothing if fewer than
/// two points of the axis lie between.
[[nodiscard]] std::optional<double>
meanLevel(const curve::Axis& axis, std::span<const curve::Complex> pressure, curve::Range range);

} // namespace yf::speaker
