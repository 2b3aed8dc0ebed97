// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/quantity/quantities.h"

#include <optional>
#include <string>
#include <vector>

namespace yf::driver {

/// The resistor that lies about. Ω
inline constexpr double usualSense = 10.0;

/// Input of `driver multimeter`: voltages across resistor and driver (and, if possible, both) read
/// with one meter in one range at one tone after another.
struct MultimeterRequest {
    std::vector<double> frequencies;
    std::vector<double> senseVolts;
    std::vector<double> driverVolts;
    std::vector<double> sourceVolts; ///< empty: not read
    double sense{};
    std::optional<double> dcr;
    double meterU{0.01};
    double lead{};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        const auto volts = [](const char* key, const char* help) {
            return q::Quantity{"U", key, 1.0, "V", 1e-6, 1e4, help};
        };
        field(self.frequencies, q::frequencies);
        field(self.senseVolts, volts("sense_v", "across the resistor"));
        field(self.driverVolts, volts("driver_v", "across the driver"));
        field(self.sense,
              q::resistance.as("sense_ohm", "the resistor, by the same meter").within(0.01, 1e6));
        field(self.sourceVolts, volts("source_v", "across both: gives the angle").orElse(0.0));
        field(self.dcr, q::dcr.as("dcr_ohm", "by meter, leads off").within(0.05, 2000.0));
        field(self.meterU,
              q::Quantity{"", "meter_u_pct", 0.01, "%", 0.01, 50.0, "of a reading"}.orElse(1.0));
        field(self.lead, q::leads.orElse(0.0));
    }
};

[[nodiscard]] std::optional<Error> check(const MultimeterRequest& request);

/// An impedance by hand and where to read next.
struct Multimeter {
    std::vector<double> moduli;
    std::vector<std::optional<double>> phases;
    std::vector<double> u;
    std::optional<double> fs;
    std::optional<double> Qms;
    std::optional<double> Qes;
    std::optional<double> Qts;
    std::optional<double> fsU;
    std::optional<double> QmsU;
    std::optional<double> QesU;
    std::optional<double> QtsU;
    std::optional<double> next; ///< Hz; absent: done
    Words why;
    bool done{};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        const auto share = [](const char* key) {
            return q::Quantity{"", key, 0.01, "%", 0.0, 1e6, "standard uncertainty"};
        };
        field(self.moduli, q::impedances);
        field(self.phases, q::phases);
        field(self.u, share("u_pct"));
        field(self.fs, q::fs);
        field(self.Qms, q::Qms);
        field(self.Qes, q::Qes);
        field(self.Qts, q::Qts);
        field(self.fsU, share("fs_u_pct"));
        field(self.QmsU, share("Qms_u_pct"));
        field(self.QesU, share("Qes_u_pct"));
        field(self.QtsU, share("Qts_u_pct"));
        field(self.next, q::frequency.as("next_hz", "the tone to read next"));
        field(self.why, q::Word{"next_reason", "why there"});
        field(self.done, q::Flag{"done", "another reading would add little"});
    }
};

/// Tones to begin with: 20 to 10 000 Hz, for a tweeter ten times higher.
[[nodiscard]] std::vector<double> firstTones(bool tweeter);

/// |Z| = Rs·V_D/V_R, so the meter's own fall cancels; cos φ = (V_S² − V_R² − V_D²)/(2·V_R·V_D), its
/// sign from the slope of |Z|. From six readings on a fit with weak priors (Qms 4 and Qes 0.6, each
/// within a factor of 2.2, n 0.7 ± 0.15) and the tone that would lower u(Qts) and u(fs) most.
/// Done at u(Qts) ≤ 3 % and u(fs) ≤ 0.5 %, or where the next tone would lower neither by a tenth.
[[nodiscard]] Result<Multimeter> multimeter(const MultimeterRequest& request);

} // namespace yf::driver
