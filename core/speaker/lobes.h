// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/quantity/kinds.h"
#include "core/speaker/place.h"

#include <optional>
#include <vector>

namespace yf::speaker {

/// Two drivers far away, in one plane of angles: the second d further along the angle's axis (up,
/// or right) and Δz further out.
struct Pair {
    double d{};    ///< m
    double dz{};   ///< m
    double psi0{}; ///< rad, arg(p₂/p₁) for equal paths: filters, responses, polarity, delays
    double k{};    ///< rad/m
};

struct Lobes {
    double spacing{};           ///< ρ = √(d² + Δz²), m
    std::optional<double> peak; ///< rad, the one nearest to the axis
    std::vector<double> peaks;  ///< rad, rising
    std::vector<double> nulls;  ///< rad, rising
};

/// Far away the phase of the second over the first is ψ0 + kρ·sin(θ + ε), ε = atan2(Δz, d):
///
///     nulls  sin(θ + ε) = ((2m+1)π − ψ0)/(kρ)      peaks  sin(θ + ε) = (2mπ − ψ0)/(kρ)
///
/// Both branches of the arc sine, wrapped, kept within ±90°. A null is complete only where the
/// levels are equal. Source: two-point interference; docs/theory/align.md.
[[nodiscard]] Lobes lobes(const Pair& pair);

/// Where a driver sits and where it was measured.
struct Taken {
    Point place;
    Point microphone;
};

/// The lobes of two drivers in a plane of angles at f. `turned`: rad, the phase of the upper re the
/// lower as measured, which holds the paths to the microphones; far away only the places count.
[[nodiscard]] Lobes
lobesOf(const Taken& lower, const Taken& upper, double turned, quantity::Plane plane, double f);

/// From this spacing on nulls stand nearer to the axis than sin θ = 0.5/1.2, 25°. In wavelengths.
inline constexpr double wideSpacing = 1.2;

} // namespace yf::speaker
