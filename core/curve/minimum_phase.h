// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/curve/curve.h"

#include <optional>

namespace yf::curve {

/// Slopes of ln|H| over ln f beyond both ends; 1 is 6.02 dB an octave, rising with frequency.
/// Absent: fitted over the outermost half octave of the trusted data.
struct Tails {
    std::optional<double> low;
    std::optional<double> high;
};

/// Slopes as fitted where they are not given.
[[nodiscard]] Tails fittedTails(const Curve& curve);

/// dB per octave as a slope of ln|H| over ln f.
[[nodiscard]] double slopeOf(double decibelsPerOctave);
[[nodiscard]] double decibelsPerOctave(double slope);

/// The phase that belongs to a curve's levels if its device is minimum phase, radians.
///
///     φ(u0) = (1/π) Σ s_i [K(u_{i+1} − u0) − K(u_i − u0)],   u = ln f
///     K(x)  = sign(x)·[π²/4 − Li2(e^−|x|) + Li2(−e^−|x|)],   K(±∞) = ±π²/4
///
/// with s_i the slope of ln|H| between neighbouring points and straight tails beyond both ends,
/// their slopes fitted over the outermost half octave of the trusted data. Exact for piecewise
/// straight levels. Drivers and impedances are minimum phase; sums of drivers and rooms are not.
/// The tails decide: 12 dB/octave wrong at one end is 37° one octave inside it.
/// Source: Bode 1945 gain-phase relation, integrated in closed form (docs/theory/measurement.md).
[[nodiscard]] std::vector<double> minimumPhase(const Curve& curve, Tails tails = {});

/// The same levels with that phase, marked Phase::minimum.
[[nodiscard]] Curve withMinimumPhase(const Curve& curve);

} // namespace yf::curve
