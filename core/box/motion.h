// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/box/box.h"
#include "core/curve/curve.h"

#include <vector>

namespace yf::box {

/// Driver, source and enclosure put together once for many frequencies.
struct System {
    Motor motor;
    Source source;
    Chambers chambers;

    /// The inductances of coil and source count. Without them levels approach the asymptote, which
    /// is what f3 refers to.
    bool withInductance{true};
};

[[nodiscard]] System systemOf(const Driver& driver, const Box& box, const Source& source);

/// What happens at one frequency, rms phasors of e^(+jωt).
struct Motion {
    Complex u;  ///< cone, m/s, outward
    Flow flow;  ///< for unit S·u
    Complex Su; ///< m³/s
    Complex p;  ///< Pa at the source's distance, flight time removed
    Complex Z;  ///< Ω at the driver's terminals, source left out

    /// Volume velocity out of the port of chamber 1 or 2, or of the radiator.
    [[nodiscard]] Complex port(std::size_t chamber) const { return flow.to.at(chamber) * Su; }
};

/// Electrical (Rg + jωLg + Re + Z_L)·I + Bl·u = E, mechanical Bl·I = (jωM + R + 1/(jωC) + S²Z_A)·u,
/// pressure p = jωρU/(Ωr), U everything that crosses the skin. Holds while the cone is a piston
/// and chambers are small against the wavelength (`upperLimit`). Small 1972, 1973.
[[nodiscard]] Motion motionAt(const System& system, double f);

/// Peak displacement, m: √2·|u|/ω.
[[nodiscard]] double travel(const Motion& motion, double f);

/// −dφ/dω of the pressure, by its argument a ten-thousandth below and above. May be negative.
[[nodiscard]] double groupDelay(const System& system, double f);

/// dB re the asymptote.
[[nodiscard]] double levelReAsymptote(const System& system, double f);

/// Above it the cone is no point any more: c/(2π·√(Sd/π)).
[[nodiscard]] double upperLimit(const Driver& driver, const Source& source);

} // namespace yf::box
