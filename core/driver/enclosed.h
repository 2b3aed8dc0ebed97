// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/driver/impedance.h"

#include <optional>
#include <vector>

namespace yf::driver {

enum class Enclosure { free, closed, vented };

/// Input of `driver impedance`.
struct ImpedanceRequest {
    ImpedanceModel model;
    Enclosure kind{};
    std::optional<double> alpha;
    std::optional<double> Vas;
    std::optional<double> Vb;
    std::optional<double> fb;
    std::optional<double> QL;
    double QA{1e9};
    double QP{1e9};
    double creep{};
    double lead{};
    std::vector<double> frequencies;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        const auto loss = [](const char* key, const char* help) {
            return q::Quantity{"", key, 1.0, "", 0.01, 1e300, help};
        };
        ImpedanceModel::fields(self.model, field);
        field(self.kind, q::Choice<3>{"kind", {"free", "closed", "vented"}, "what it sits in", 0});
        field(self.alpha, q::Quantity{"α", "alpha", 1.0, "", 1e-3, 1e3, "Vas over Vb"});
        field(self.Vas, q::Vas);
        field(self.Vb, q::Quantity{"Vb", "Vb_l", 1e-3, "l", 1e-4, 1e5, "net volume of the box"});
        field(self.fb, q::Quantity{"fb", "fb_hz", 1.0, "Hz", 1.0, 2000.0, "tuning"});
        field(self.QL, loss("QL", "leakage; 7 if vented, none if closed"));
        field(self.QA, loss("QA", "absorption").orElse(1e9));
        field(self.QP, loss("QP", "port").orElse(1e9));
        field(self.creep,
              q::Quantity{"λ", "creep_lambda", 1.0, "", 0.0, 0.5, "of the suspension"}.orElse(0.0));
        field(self.lead, q::leads.as("lead_ohm", "in series").orElse(0.0));
        field(self.frequencies, q::frequencies.orElse(0.0));
    }
};

[[nodiscard]] std::optional<Error> check(const ImpedanceRequest& request);

struct ImpedanceAnswer {
    std::vector<double> frequencies;
    std::vector<double> re;
    std::vector<double> im;
    std::vector<double> moduli;
    std::vector<double> phases;
    double least{};
    double leastAt{};
    std::vector<double> peaksAt;
    std::vector<double> peaks;
    std::optional<double> nominal;
    double epdrLeast{};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.frequencies, q::frequencies);
        field(self.re, q::impedancesRe);
        field(self.im, q::impedancesIm);
        field(self.moduli, q::impedances);
        field(self.phases, q::phases);
        field(self.least, q::resistance.as("impedance_min_ohm", "least, 20 Hz to 20 kHz"));
        field(self.leastAt, q::frequency.as("impedance_min_hz", "where"));
        field(self.peaksAt, q::frequencies.as("peaks_hz", "local maxima"));
        field(self.peaks, q::impedances.as("peaks_ohm", "how high"));
        field(self.nominal, q::nominal);
        field(self.epdrLeast,
              q::resistance.as("epdr_min_ohm", "least resistor of equal peak dissipation"));
    }
};

/// Z(f) = lead + Re + Z_L(f) + (Re/Qes)/(z_m + z_box), see docs/theory/driver.md. Creep:
/// Cms(f) → Cms·[1 − λ·log10(j·f/fs)] (Knudsen, Jensen 1993).
[[nodiscard]] Result<ImpedanceAnswer> impedanceVerb(const ImpedanceRequest& request);

} // namespace yf::driver
