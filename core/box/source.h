// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/quantity/air.h"
#include "core/quantity/kinds.h"
#include "core/quantity/level.h"
#include "core/quantity/quantities.h"

#include <numbers>

namespace yf::box {

/// What drives the box and where one listens. Thévenin: `voltage` rms behind `resistance`, which is
/// that of amplifier, cable and every coil in series, and `inductance` of those coils.
struct Source {
    double resistance{};
    double inductance{};
    double voltage{quantity::referenceVoltage};
    double distance{1.0};
    quantity::Space space{};
    double rho{quantity::airDensity};
    double c{quantity::soundSpeed};

    /// sr
    [[nodiscard]] double angle() const {
        return (space == quantity::Space::half ? 2.0 : 4.0) * std::numbers::pi;
    }

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.resistance,
              q::sourceResistance
                  .as("source_resistance_ohm", "amplifier, cable and coils before the driver")
                  .within(0.0, 100.0)
                  .orElse(0.0));
        field(self.inductance,
              q::inductance.as("source_inductance_h", "of coils before the driver")
                  .within(0.0, 0.1)
                  .orElse(0.0));
        field(self.voltage, q::voltage.within(0.001, 1000.0).orElse(quantity::referenceVoltage));
        field(self.distance, q::distance.within(0.01, 1000.0).orElse(1.0));
        field(self.space, q::space);
        field(
            self.rho,
            q::Quantity{"ρ", "air_density_kg_per_m3", 1.0, "kg/m³", 0.5, 2.0, "density of the air"}
                .orElse(quantity::airDensity));
        field(self.c,
              q::Quantity{"c", "sound_speed_m_per_s", 1.0, "m/s", 250.0, 450.0, "speed of sound"}
                  .orElse(quantity::soundSpeed));
    }

    bool operator==(const Source&) const = default;
};

} // namespace yf::box
