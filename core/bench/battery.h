// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/quantity/kinds.h"
#include "core/quantity/quantities.h"

#include <optional>

namespace yf::bench {

enum class BatteryVerdict { ok, listenOnly, tooMuch };

/// Input of `bench battery`.
struct BatteryRequest {
    double Re{};
    double Bl{};
    double Cms{};
    std::optional<double> Xmax;
    double voltage{1.5};
    std::optional<double> cellResistance; ///< absent: 0.2 Ω, from 6 V up 1.7 Ω
    std::optional<quantity::DriverRole> role;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.Re, q::Re);
        field(self.Bl, q::Bl);
        field(self.Cms, q::Cms);
        field(self.Xmax, q::Xmax);
        field(self.voltage, q::cell.orElse(1.5));
        field(self.cellResistance, q::cellResistance);
        field(self.role, quantity::driverRole);
    }
};

/// What a battery does to a driver.
struct BatteryEffect {
    double current{};
    double power{};
    double displacement{}; ///< m, outwards, at rest
    bool visible{};        ///< 0.3 mm or more
    BatteryVerdict verdict{};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.current, q::Quantity{"I", "current_a", 1.0, "A", 0.0, 1e4, "through the coil"});
        field(self.power, q::Quantity{"P", "power_w", 1.0, "W", 0.0, 1e6, "in the coil"});
        field(self.displacement,
              q::Quantity{"x", "displacement_m", 1.0, "m", -1.0, 1.0, "of the cone, at rest"});
        field(self.visible, q::Flag{"visible", "0.3 mm or more"});
        field(self.verdict,
              q::Choice<3>{"verdict", {"ok", "listen_only", "too_much"}, "what to do with it"});
    }
};

/// The most that a tweeter gets for a moment (common practice): a 9 V block puts about 8 W into it.
inline constexpr double tweeterBattery = 1.5; // V

/// The two batteries that lie about.
inline constexpr double cellVoltage = 1.5;
inline constexpr double blockVoltage = 9.0;

/// Whether that battery may burn a driver of that role.
[[nodiscard]] constexpr bool batteryBurns(quantity::DriverRole role, double voltage) {
    return role == quantity::DriverRole::tweeter && voltage > tweeterBattery;
}

/// Resistance of a cell of that voltage, Ω: 0.2 below 6 V, 1.7 from there (from memory).
[[nodiscard]] double cellResistance(double voltage);

/// I = V/(Re + R_cell), x = Bl·Cms·I, P = I²·Re, once the cone is at rest. Too much: beyond Xmax,
/// or more than 1.5 V on a tweeter (common practice).
[[nodiscard]] Result<BatteryEffect> battery(const BatteryRequest& request);

} // namespace yf::bench
