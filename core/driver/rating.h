// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/curve/curve.h"

#include <optional>
#include <span>

/// What an impedance means for the amplifier in front of it.
namespace yf::driver {

/// Resistor that heats a class-B output device on rails ±V as much at its worst instant:
///     EPDR = |Z| / (8·sin³(30° + |φ|/3))
/// Source: Benjamin 1994; closed form in docs/theory/network.md.
[[nodiscard]] double epdr(curve::Complex Z);

/// 20 Hz to 20 kHz within `extent`: the design axis's points and both ends.
[[nodiscard]] curve::Axis audibleAxis(const curve::Range& extent);

/// Largest of 1, 2, 3, 4, 6, 8, 12, 16, 24, 32 Ω of which the least modulus is at least 80 %;
/// nothing below that. Source: rule of IEC 60268-5.
[[nodiscard]] std::optional<double> ratedImpedance(double leastModulus);

/// Share of a rating, or of an amplifier's least load, that a modulus may fall to (IEC 60268-5).
inline constexpr double leastShare = 0.8;

} // namespace yf::driver
