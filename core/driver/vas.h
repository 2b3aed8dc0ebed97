// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/quantity/quantities.h"

#include <optional>
#include <string>

namespace yf::driver {

/// Input of `driver vas-added-mass`.
struct AddedMassRequest {
    double fs{};
    double fsLoaded{};
    double mass{}; ///< kg, of the very lump used
    std::optional<double> Sd;
    std::optional<double> diameter;
    std::optional<double> Re;
    std::optional<double> Qes;
    std::optional<double> Qms;
    double fsU{0.005};
    double fsLoadedU{0.005};
    double massU{0.01};
    double SdU{0.04};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        const auto u = [](const char* key, double otherwise) {
            return q::Quantity{"u", key, 0.01, "%", 0.0, 50.0, "standard uncertainty"}.orElse(
                otherwise);
        };
        field(self.fs, q::fs);
        field(self.fsLoaded, q::fs.as("fs_loaded_hz", "resonance with the mass on"));
        field(self.mass, q::Mms.as("added_mass_kg", "the lump, weighed"));
        field(self.Sd, q::Sd);
        field(self.diameter, q::diameter.as("diameter_m", "effective, in place of Sd_m2"));
        field(self.Re, q::Re);
        field(self.Qes, q::Qes);
        field(self.Qms, q::Qms);
        field(self.fsU, u("fs_u_pct", 0.5));
        field(self.fsLoadedU, u("fs_loaded_u_pct", 0.5));
        field(self.massU, u("added_mass_u_pct", 1.0));
        field(self.SdU, u("Sd_u_pct", 4.0));
    }
};

[[nodiscard]] std::optional<Error> check(const AddedMassRequest& request);

enum class MassAdvice { ok, addMass, lessMass };

/// Mms = m/((fs/f′)² − 1) and what follows from it, with uncertainties of the whole formula (Cms
/// and Mms are correlated).
struct AddedMass {
    double Mms{};
    double Cms{};
    double Vas{};
    std::optional<double> Bl;
    std::optional<double> Rms;
    double MmsU{};
    double VasU{};
    double fall{}; ///< share by which the resonance fell
    MassAdvice advice{};
    double recommendedMass{}; ///< kg, for a fall of 30 %

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        const auto share = [](const char* key, const char* help) {
            return q::Quantity{"", key, 0.01, "%", 0.0, 1e6, help};
        };
        field(self.Mms, q::Mms);
        field(self.Cms, q::Cms);
        field(self.Vas, q::Vas);
        field(self.Bl, q::Bl);
        field(self.Rms, q::Rms);
        field(self.MmsU, share("Mms_u_pct", "standard uncertainty"));
        field(self.VasU, share("Vas_u_pct", "standard uncertainty"));
        field(self.fall, share("fall_pct", "of the resonance"));
        field(self.advice,
              q::Choice<3>{"advice", {"ok", "add_mass", "less_mass"}, "for a better take", {}});
        field(self.recommendedMass, q::Mms.as("recommended_mass_kg", "for a fall of 30 %"));
    }
};

[[nodiscard]] Result<AddedMass> addedMass(const AddedMassRequest& request);

/// Input of `driver vas-test-box`.
struct TestBoxRequest {
    double fs{};
    double fc{};
    double Vb{};
    std::optional<double> Qes;
    std::optional<double> Qec;
    std::optional<double> Qms;
    std::optional<double> Qmc;
    double fsU{0.005};
    double fcU{0.005};
    double QesU{0.02};
    double QecU{0.02};
    double VbU{0.01};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        const auto u = [](const char* key, double otherwise) {
            return q::Quantity{"u", key, 0.01, "%", 0.0, 50.0, "standard uncertainty"}.orElse(
                otherwise);
        };
        field(self.fs, q::fs);
        field(self.fc, q::fs.as("fc_hz", "resonance in the box"));
        field(self.Vb, q::Quantity{"Vb", "Vb_l", 1e-3, "l", 1e-3, 1e5, "net volume of the box"});
        field(self.Qes, q::Qes);
        field(self.Qec, q::Qes.as("Qec", "electrical Q in the box"));
        field(self.Qms, q::Qms);
        field(self.Qmc, q::Qms.as("Qmc", "mechanical Q in the box"));
        field(self.fsU, u("fs_u_pct", 0.5));
        field(self.fcU, u("fc_u_pct", 0.5));
        field(self.QesU, u("Qes_u_pct", 2.0));
        field(self.QecU, u("Qec_u_pct", 2.0));
        field(self.VbU, u("Vb_u_pct", 1.0));
    }
};

[[nodiscard]] std::optional<Error> check(const TestBoxRequest& request);

enum class BoxMethod { withQec, frequenciesOnly };
enum class BoxAdvice { ok, smallerBox, largerBox };

/// Vas = Vb·[(fc·Qec)/(fs·Qes) − 1]: with both Qe the changed air load on the cone drops out; the
/// frequencies alone give Vb·[(fc/fs)² − 1], 9 % low for 6 % more moving mass.
struct TestBox {
    double Vas{};
    double alpha{};
    BoxMethod method{};
    double VasU{};
    bool leakSuspected{};
    BoxAdvice advice{};
    double recommendedVb{}; ///< m³, Vas/2

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.Vas, q::Vas);
        field(self.alpha, q::Quantity{"α", "alpha", 1.0, "", 0.0, 1e6, "Vas over Vb"});
        field(self.method,
              q::Choice<2>{"method", {"with_Qec", "frequencies_only"}, "which form", {}});
        field(self.VasU, q::Quantity{"", "Vas_u_pct", 0.01, "%", 0.0, 1e6, "standard uncertainty"});
        field(self.leakSuspected, q::Flag{"leak_suspected", "Qmc is low: a leak, or filling"});
        field(self.advice,
              q::Choice<3>{"advice", {"ok", "smaller_box", "larger_box"}, "for a better take", {}});
        field(self.recommendedVb,
              q::Quantity{"Vb", "recommended_Vb_l", 1e-3, "l", 0.0, 1e6, "half of Vas"});
    }
};

[[nodiscard]] Result<TestBox> testBox(const TestBoxRequest& request);

} // namespace yf::driver
