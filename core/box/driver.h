// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/box/source.h"

#include <complex>
#include <optional>

/// Enclosures: from a driver's small-signal values to what box and driver do together.
namespace yf::box {

/// How the coil above resonance is described.
enum class Coil { ideal, leach, lr2 };

/// A driver, or a group of equal ones, as far as a box cares.
///
/// Everything mechanical is derived from fs, Qms, Qes, Vas, Sd and Re, never from figures typed
/// beside them: mass and Q could contradict each other otherwise.
struct Driver {
    double Re{};
    double fs{};
    double Qms{};
    double Qes{};
    double Vas{};
    double Sd{};
    double Le{};
    Coil coil{};
    std::optional<double> leachK;
    std::optional<double> leachN;
    std::optional<double> L2;
    std::optional<double> R2;
    int inSeries{1};
    int inParallel{1};
    bool isobaric{};
    std::optional<double> Xmax;
    std::optional<double> power; ///< W, of the whole group against its Re

    [[nodiscard]] int count() const { return inSeries * inParallel; }

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.Re, q::Re.within(0.1, 1000.0));
        field(self.fs, q::fs.within(5.0, 5000.0));
        field(self.Qms, q::Qms.within(0.1, 100.0));
        field(self.Qes, q::Qes.within(0.02, 50.0));
        field(self.Vas, q::Vas.within(0.001, 10000.0));
        field(self.Sd, q::Sd);
        field(self.Le, q::Le.within(0.0, 0.1).orElse(0.0));
        field(self.coil,
              q::Choice<3>{"inductance_model", {"ideal", "leach", "lr2"}, "of the coil", 0});
        field(self.leachK, q::leachK.within(0.0, 10.0));
        field(self.leachN, q::leachN.within(0.5, 1.0));
        field(self.L2, q::L2.within(1e-9, 0.1));
        field(self.R2, q::R2);
        field(self.inSeries, q::Whole{"drivers_in_series", 1, 16, "in each branch", 1});
        field(self.inParallel, q::Whole{"drivers_in_parallel", 1, 16, "branches", 1});
        field(self.isobaric, q::Flag{"isobaric", "pairs behind one another", false});
        field(self.Xmax, q::Xmax.within(1e-5, 0.1));
        field(self.power,
              q::Quantity{"P", "power_w", 1.0, "W", 0.01, 1e5, "rating of the whole group"});
    }

    bool operator==(const Driver&) const = default;
};

[[nodiscard]] std::optional<Error> check(const Driver& driver);

/// One moving-coil motor in place of the whole group: `ns` in series, `np` such branches in
/// parallel, pairs on one opening if isobaric (m = 2).
///
/// Re' = Re·ns/np, Bl' = ns·Bl, M' = n·Mms, R' = n·Rms, C' = Cms/n, S = n·Sd/m. So fs and all Q
/// stay and Vas' = n·Vas/m². Cms = Vas/(ρc²Sd²), Mms = 1/((2πfs)²Cms), Rms = 2πfs·Mms/Qms,
/// Bl = √(2πfs·Mms·Re/Qes) (Small 1972).
struct Motor {
    double Re{};
    double Bl{};
    double M{}; ///< kg
    double R{}; ///< N·s/m
    double C{}; ///< m/N
    double S{}; ///< m²
    double fs{};
    double Qms{};
    double Qes{}; ///< at the terminals, no source
    double Vas{}; ///< m³, of the group
    Coil coil{};
    double Le{};
    double K{};
    double n{1.0};
    double L2{};
    double R2{};
    std::optional<double> Xmax;
    std::optional<double> power;

    /// Ohms of the coil beyond Re at ω. (jω)^n on the principal branch.
    [[nodiscard]] std::complex<double> coilImpedance(double w) const;

    /// With what lies before the terminals: Qes·(Re+Rg)/Re.
    [[nodiscard]] double QesWith(double Rg) const { return Qes * (Re + Rg) / Re; }

    [[nodiscard]] double QtsWith(double Rg) const {
        return Qms * QesWith(Rg) / (Qms + QesWith(Rg));
    }
};

[[nodiscard]] Motor motorOf(const Driver& driver, const Source& source);

/// Half-space reference efficiency, a share: (4π²/c³)·fs³·Vas'/Qes.
[[nodiscard]] double eta0(const Motor& motor, const Source& source);

/// The level far above resonance that f3 and all relative levels refer to, Pa:
/// ρ·S·Bl'·E/(Ω·r·(Re'+Rg)·M'), coil and source inductance left out.
[[nodiscard]] double asymptote(const Motor& motor, const Source& source);

/// That at 2.83 V, 1 m, half space, dB re 20 µPa; the source's resistance counts.
[[nodiscard]] double sensitivity(const Motor& motor, const Source& source);

/// Mms/Sd of one driver lies where real cones lie: outside 0.2 to 12 kg/m² Vas was misread
/// (a volume in cubic feet is 28.3 times off).
[[nodiscard]] bool vasPlausible(const Driver& driver, const Source& source);

} // namespace yf::box
