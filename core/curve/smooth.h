// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/curve/curve.h"

namespace yf::curve {

/// What is averaged over the band: power (the ear's and the usual one), decibels (does not lift
/// slopes), or the complex values (in effect a gate of about 0.7·fraction periods).
enum class Smoothing { power, level, complex };

/// Half of a band of 1/fraction octave as a ratio: G^(1/(2·fraction)), G = 10^0.3 (IEC 61260-1).
[[nodiscard]] double halfBandRatio(double fraction);

/// Exact mid-band frequencies that lie in [from, to]: odd fractions 1000·G^(k/b), even ones
/// 1000·G^((2k+1)/(2b)). Source: IEC 61260-1.
[[nodiscard]] Axis midBands(int fraction, double from, double to);

/// Means over a band of constant width in ln f around each point, from f/r to f·r.
///
///     S(f) = (1/width) ∫ v d ln f
///
/// by trapezoids between the data's own points with interpolated edges, so that linear and
/// logarithmic grids agree. Sums come from a tree of partial sums: a running sum over the axis
/// would cancel to nothing over a wide range of levels. Near the ends the band is narrowed on both
/// sides alike, so that slopes are not bent. Complex smoothing takes `delay` out before and puts
/// it back after: with a delay τ in it the mean loses level like sinc(f·width·τ).
/// Power smoothing lifts slopes (0.6 dB for 24 dB/octave at 1/3 octave). Phases of power and level
/// smoothing are those of the data. Trusted range and phase kind stay.
[[nodiscard]] Curve
smoothed(const Curve& curve, double fraction, Smoothing mode, double delay = 0.0);

/// The same, at other frequencies inside the data.
[[nodiscard]] std::vector<Complex>
smoothedAt(const Curve& curve, double fraction, Smoothing mode, double delay, const Axis& at);

} // namespace yf::curve
