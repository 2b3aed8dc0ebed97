// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/quantity/quantities.h"

#include <optional>

namespace yf::network {

enum class CoilShape { brooks, former };

inline constexpr double copperResistivity = 1.724e-8; ///< Ω·m at 20 °C (IEC 60028)
inline constexpr double copperDensity = 8960.0;       ///< kg/m³

/// Input of `network coil`: an air coil of round wire.
struct CoilRequest {
    double L{};
    double wire{};
    double insulated{};
    CoilShape shape{};
    std::optional<double> innerDiameter;
    std::optional<double> length;
    double resistivity{copperResistivity};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        const q::Quantity thick{"d", "wire_m", 1.0, "m", 1e-5, 0.01, "diameter of the bare wire"};
        field(self.L, q::inductance.within(1e-9, 1.0));
        field(self.wire, thick);
        field(self.insulated, thick.as("insulated_m", "the same over its insulation"));
        field(self.shape,
              q::Choice<2>{"shape",
                           {"brooks", "former"},
                           "the one of least wire, or a former that is there",
                           0});
        field(self.innerDiameter,
              q::diameter.as("inner_diameter_m", "of the former").within(0.001, 1.0));
        field(self.length, q::diameter.as("length_m", "between its cheeks").within(0.001, 1.0));
        field(self.resistivity,
              q::Quantity{"ρ", "resistivity_ohm_m", 1.0, "Ω·m", 1e-9, 1e-5, "of the wire"}.orElse(
                  copperResistivity));
    }
};

/// Refused: insulation thinner than the wire; a former without its sizes, sizes without a former.
[[nodiscard]] std::optional<Error> check(const CoilRequest& request);

struct Coil {
    double turns{}; ///< not rounded
    double innerDiameter{};
    double outerDiameter{};
    double length{};
    double wireLength{};
    double dcr{};
    double copper{}; ///< kg

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.turns, q::Quantity{"N", "turns", 1.0, "", 0.0, 1e6, "not rounded"});
        field(self.innerDiameter, q::diameter.as("inner_diameter_m", "of the winding"));
        field(self.outerDiameter, q::diameter.as("outer_diameter_m", "of the winding"));
        field(self.length, q::diameter.as("length_m", "of the winding"));
        field(self.wireLength, q::distance.as("wire_length_m", "wire to buy, without its ends"));
        field(self.dcr, q::dcr);
        field(self.copper,
              q::Quantity{"m", "copper_kg", 1.0, "kg", 0.0, 1e4, "weight of the copper"});
    }
};

/// Brooks (square winding c × c, mean radius 1.5c): L = 1.69937 µH/m · 1.5c · N², so with square
/// packing N = (L/(1.5·K·d_o))^0.4, c = d_o√N, wire 3π·c·N: the DCR goes with L^0.6.
/// A former: L[µH] = 31.5·a²N²/(6a + 9b + 10c), a mean radius, b length, c depth = N·d_o²/b, in
/// metres; within 1 % for b ≈ c ≈ a, 2.6 % high for short thin windings.
/// Sources: Brooks 1931 (K from elliptic integrals), Wheeler 1928.
[[nodiscard]] Result<Coil> coil(const CoilRequest& request);

/// Bare diameter of gauge n in the American series, m: 0.127 mm·92^((36−n)/39).
[[nodiscard]] double gaugeDiameter(int gauge);

} // namespace yf::network
