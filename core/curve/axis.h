// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <span>
#include <vector>

namespace yf::curve {

/// Frequencies in Hz, strictly rising, > 0.
using Axis = std::vector<double>;

/// f_k = 1000 · G^(k/48) Hz with G = 10^(3/10), k = −320 … 256: 577 points, 10 Hz to 39.81 kHz,
/// 48 to the base-ten octave. Source: octave ratio of IEC 61260-1.
[[nodiscard]] const Axis& designAxis();

/// The points of `axis` in [from, to], both ends included.
[[nodiscard]] Axis within(std::span<const double> axis, double from, double to);

} // namespace yf::curve
