// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/quantity/quantities.h"

#include <optional>

namespace yf::network {

enum class TrapKind { series, shunt, resonance };

/// Input of `network notch`: a peak of the response as height, place and width, or a driver's own
/// resonance.
struct TrapRequest {
    TrapKind kind{};
    std::optional<double> f0;
    std::optional<double> height;
    std::optional<double> Q;
    std::optional<double> low;
    std::optional<double> high;
    std::optional<double> load;
    std::optional<double> upstream;
    double dcr{};
    std::optional<double> Re;
    std::optional<double> fs;
    std::optional<double> Qms;
    std::optional<double> Qes;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.kind,
              q::Choice<3>{"kind",
                           {"series-trap", "shunt-trap", "resonance"},
                           "in the line, across the driver, or against its resonance",
                           0});
        field(self.f0, q::frequency.as("f0_hz", "where the peak stands"));
        field(self.height, q::attenuation.as("height_db", "of the peak"));
        field(self.Q, q::Quantity{"Q", "q", 1.0, "", 0.05, 100.0, "of the peak"});
        field(self.low, q::frequency.as("f_low_hz", "half height below the peak"));
        field(self.high, q::frequency.as("f_high_hz", "half height above the peak"));
        field(self.load, q::loadResistance);
        field(self.upstream,
              q::Quantity{"Ru", "upstream_ohm", 1.0, "Ω", 1e-9, 1e6, "resistance before the trap"});
        field(self.dcr, q::dcr.orElse(0.0));
        field(self.Re, q::Re);
        field(self.fs, q::fs);
        field(self.Qms, q::Qms);
        field(self.Qes, q::Qes);
    }
};

/// Which keys a kind needs: series-trap and shunt-trap f0, height, load and Q or both edges;
/// shunt-trap upstream; resonance Re, fs, Qms, Qes.
[[nodiscard]] std::optional<Error> check(const TrapRequest& request);

/// A resistor, a coil and a capacitor; the coil's DCR is taken off the resistor already.
struct Trap {
    double R{};
    double L{};
    double C{};
    double Q{};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.R, q::resistance.as("r_ohm", "resistor to fit"));
        field(self.L, q::inductance);
        field(self.C, q::capacitance);
        field(self.Q, q::Quantity{"Q", "q", 1.0, "", 0.0, 1e9, "of what is taken away"});
    }
};

/// A peak of height h with pole quality Q is (g/Q + jx)/(1/Q + jx), g = 10^(h/20), x = f/f0 − f0/f;
/// with half-height frequencies Q = √g·f0/(f2−f1).
///
/// series-trap, parallel R, L, C in the line before R_L: R = R_L(g−1), L = R/(ω0Q), C = Q/(ω0R),
/// its exact inverse; with DCR r the coil's tuning and damping are taken along. shunt-trap, series
/// R, L, C across the driver behind R_u: R_p = R_u ∥ R_L, R_n = R_p/(g−1), L = R_nQ/ω0, C =
/// 1/(ω0²L). resonance: R = Re(1 + Qes/Qms), L = Re·Qes/ωs, C = 1/(ωs·Re·Qes), the dual of the
/// motion. Refused: a DCR above the resistance that the trap needs. Source: elementary circuit
/// theory, docs/theory/network.md.
[[nodiscard]] Result<Trap> trap(const TrapRequest& request);

} // namespace yf::network
