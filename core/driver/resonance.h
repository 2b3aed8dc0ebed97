// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/curve/curve.h"

#include <optional>

namespace yf::driver {

/// A peak of an impedance curve where the reactance turns from inductive to capacitive.
struct Resonance {
    double fs{};    ///< Hz
    double Zpeak{}; ///< Ω

    bool operator==(const Resonance&) const = default;
};

/// The highest such peak of a measured impedance: fs where Im Z crosses zero downwards (linear in
/// ln f between points), Zpeak the largest |Z| of the two points around it and the parabola through
/// them. In a vented box the higher of the two peaks. Nothing without phase or without such a
/// crossing. Good to about a tenth of the spacing of the points; a fit does better.
[[nodiscard]] std::optional<Resonance> resonance(const curve::Curve& impedance);

/// Losses at the resonance, from the width of its peak.
struct QFactors {
    double Qms{};
    double Qes{};
    double offCentre{}; ///< |√(f1·f2)/fs − 1|: beyond 0.02 the peak is not a plain one
};

/// r0 = Zpeak/Re, |Z| = √(Re·Zpeak) at f1 < fs < f2, interpolated in ln f and ln |Z|:
/// Qms = fs·√r0/(f2 − f1), Qes = Qms/(r0 − 1) (Small 1972). Nothing where a flank is missing or
/// the peak is below 1.2·Re.
[[nodiscard]] std::optional<QFactors>
qFactors(const curve::Curve& impedance, double Re, const Resonance& peak);

} // namespace yf::driver
