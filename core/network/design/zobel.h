// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/network/solve/network.h"

namespace yf::network {

enum class ZobelKind { coil, conjugate };

/// Input of `network zobel`: kind coil with Re_ohm and Le_h, or with a measured impedance and a
/// band; kind conjugate with a driver's parameters.
struct ZobelRequest {
    ZobelKind kind{};
    std::optional<double> Re;
    std::optional<double> Le;
    std::optional<std::vector<double>> frequencies;
    std::optional<std::vector<double>> moduli;
    std::optional<std::vector<double>> phases;
    std::optional<double> from;
    std::optional<double> to;
    std::optional<double> target;
    std::optional<double> fs;
    std::optional<double> Qms;
    std::optional<double> Qes;
    std::optional<driver::InductanceModel> inductance;
    std::optional<double> L2;
    std::optional<double> R2;
    std::optional<double> Leb;
    std::optional<double> Ke;
    std::optional<double> Rss;
    std::optional<double> leachK;
    std::optional<double> leachN;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.kind, q::Choice<2>{"kind", {"coil", "conjugate"}, "what is flattened", 0});
        field(self.Re, q::Re);
        field(self.Le, q::Le);
        field(self.frequencies, q::frequencies);
        field(self.moduli, q::impedances);
        field(self.phases, q::phases);
        field(self.from, q::frequency.as("from_hz", "lower end of the band"));
        field(self.to, q::frequency.as("to_hz", "upper end of the band"));
        field(self.target, q::loadResistance.as("target_ohm", "resistance wanted"));
        field(self.fs, q::fs);
        field(self.Qms, q::Qms);
        field(self.Qes, q::Qes);
        field(self.inductance,
              q::Choice<6>{"inductance_model",
                           {"none", "ideal", "leach", "lr2", "semi", "semi_ring"},
                           "how the coil above resonance is described",
                           {}});
        field(self.L2, q::L2);
        field(self.R2, q::R2);
        field(self.Leb, q::Leb);
        field(self.Ke, q::Ke);
        field(self.Rss, q::Rss);
        field(self.leachK, q::leachK);
        field(self.leachN, q::leachN);
    }
};

[[nodiscard]] std::optional<Error> check(const ZobelRequest& request);

/// A network across the driver that makes its impedance flat.
struct Zobel {
    double R{};
    std::optional<double> C; ///< absent: nothing to compensate
    double target{};
    double deviation{}; ///< largest |20 lg|Z_par/target|| at the points, dB
    bool conjugate{};
    std::optional<double> semiR;
    std::optional<double> semiC;
    double motionR{};
    double motionL{};
    double motionC{};

    /// The whole as one shunt one-port, parts with bare letters.
    [[nodiscard]] OnePort shunt() const;
    [[nodiscard]] text::Value write() const;
};

/// coil: R = Re, C = Le/Re² makes Re + jωLe exactly Re; from a measured impedance R and C minimise
/// Σ|Z_par/R_t − 1|² over the points of the band, unknowns ln R and ln C, several starts.
/// conjugate: Re in series with the dual of everything else of the driver, exact at every
/// frequency; for inductance models none, ideal and lr2 (the others have no dual of parts).
/// Sources: Zobel 1923; Leach 2004; docs/theory/network.md.
[[nodiscard]] Result<Zobel> zobel(const ZobelRequest& request);

/// The measured form on values: |Z| flattened to `target` over the points given.
[[nodiscard]] Zobel fitZobel(const Axis& axis, const std::vector<Complex>& Z, double target);

} // namespace yf::network
