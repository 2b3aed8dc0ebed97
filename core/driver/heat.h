// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/quantity/quantities.h"

#include <optional>

namespace yf::driver {

enum class Wire { copper, aluminium, copperCladAluminium };

/// Input of `driver heat`.
struct HeatRequest {
    double Rcold{};
    double coldTemperature{20.0}; ///< °C
    Wire wire{};
    std::optional<double> Rhot;
    std::optional<double> voltage;
    std::optional<double> thermalResistance; ///< K/W
    std::optional<double> Qms;
    std::optional<double> Qes;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.Rcold, q::Re.as("Re_cold_ohm", "DC resistance, cold"));
        field(self.coldTemperature,
              q::temperature.as("cold_temperature_c", "temperature at that reading")
                  .within(-40.0, 100.0)
                  .orElse(20.0));
        field(self.wire,
              q::Choice<3>{"material",
                           {"copper", "aluminium", "copper_clad_aluminium"},
                           "wire of the coil",
                           0});
        field(self.Rhot, q::Re.as("Re_hot_ohm", "DC resistance, hot").within(0.01, 2e4));
        field(self.voltage, q::voltage);
        field(self.thermalResistance,
              q::Quantity{"Rth",
                          "thermal_resistance_k_per_w",
                          1.0,
                          "K/W",
                          1e-3,
                          1e3,
                          "coil to the air, once settled"});
        field(self.Qms, q::Qms);
        field(self.Qes, q::Qes);
    }
};

/// A coil's temperature and what it costs.
struct Heat {
    double temperature{}; ///< °C
    double rise{};        ///< K
    double Rhot{};
    std::optional<double> power; ///< W, where the voltage is given
    double compression{};        ///< dB
    std::optional<double> Qts;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.temperature,
              q::Quantity{"T", "temperature_c", 1.0, "°C", -300.0, 1e9, "of the coil"});
        field(self.rise, q::Quantity{"ΔT", "rise_k", 1.0, "K", -1e3, 1e9, "above the cold one"});
        field(self.Rhot, q::Re.as("Re_hot_ohm", "DC resistance, hot"));
        field(self.power, q::Quantity{"P", "power_w", 1.0, "W", 0.0, 1e9, "in the coil"});
        field(self.compression,
              q::Quantity{"", "compression_db", 1.0, "dB", -100.0, 100.0, "level lost"});
        field(self.Qts, q::Qts.as("Qts_hot", "total Q, hot"));
    }
};

/// R(T) = R20·(1 + α20·(T − 20 °C)); copper 0.00393, aluminium 0.00403, clad 0.0040 (the last two
/// from memory). From a voltage, once settled: ΔT = R_th·V²/Re(T), so
/// ΔT = (√(1 + 4·α·R_th·P0) − 1)/(2α) with α at the cold temperature and P0 = V²/R_cold.
/// Level in the mass-controlled band falls by 20·lg(R_hot/R_cold); Qes rises with Re.
/// Errors: both or neither way given; a hot reading below 0.9 of the cold one (`Re_hot_ohm`).
[[nodiscard]] Result<Heat> heat(const HeatRequest& request);

} // namespace yf::driver
