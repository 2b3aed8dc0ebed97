// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/curve/curve.h"
#include "core/quantity/quantities.h"

#include <optional>

namespace yf::driver {

/// How the coil above resonance is described (docs/theory/driver.md).
enum class InductanceModel { none, ideal, leach, lr2, semi, semiRing };

/// Impedance of one moving-coil driver in free air.
///
///     Z(f) = Re + Z_L(f) + (Re/Qes) / (1/Qms + j(f/fs − fs/f))
///
/// Z_L: none 0; ideal jωLe; leach K(jω)^n; lr2 jωLe + (jωL2 ∥ R2);
/// semi jωLeb + (jωLe ∥ Ke√(jω)); semi_ring the same with ∥ Rss.
/// Sources: Leach 2002; Dodd, Klippel & Oclee-Brown 2004; Thorborg & Futtrup 2011.
struct ImpedanceModel {
    double Re{};
    double fs{};
    double Qms{};
    double Qes{};
    std::optional<InductanceModel> inductance; ///< absent: ideal if Le is given, else none
    std::optional<double> Le;
    std::optional<double> leachK;
    std::optional<double> leachN;
    std::optional<double> L2;
    std::optional<double> R2;
    std::optional<double> Leb;
    std::optional<double> Ke;
    std::optional<double> Rss;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.Re, q::Re);
        field(self.fs, q::fs);
        field(self.Qms, q::Qms);
        field(self.Qes, q::Qes);
        field(self.inductance,
              q::Choice<6>{"inductance_model",
                           {"none", "ideal", "leach", "lr2", "semi", "semi_ring"},
                           "how the coil above resonance is described",
                           {}});
        field(self.Le, q::Le);
        field(self.leachK, q::leachK);
        field(self.leachN, q::leachN);
        field(self.L2, q::L2);
        field(self.R2, q::R2);
        field(self.Leb, q::Leb);
        field(self.Ke, q::Ke);
        field(self.Rss, q::Rss);
    }

    bool operator==(const ImpedanceModel&) const = default;
};

/// The model's parameters must be there: names the first one that is missing.
[[nodiscard]] std::optional<Error> check(const ImpedanceModel& model);

/// Z_L alone at one frequency, ohms: the coil beyond Re.
[[nodiscard]] curve::Complex coilImpedance(const ImpedanceModel& model, double frequency);

/// Ohms at each frequency. Exact to rounding.
[[nodiscard]] std::vector<curve::Complex> impedance(const ImpedanceModel& model,
                                                    const curve::Axis& axis);

} // namespace yf::driver
