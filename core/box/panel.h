// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/quantity/quantities.h"

#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace yf::box {

/// A board: stiffness and density, all from memory, ±20 %.
struct Material {
    std::string_view name;
    double E{};   ///< Pa
    double rho{}; ///< kg/m³
};

[[nodiscard]] const std::vector<Material>& materials();
[[nodiscard]] const Material* findMaterial(std::string_view name);

struct Panel {
    double E{};
    double rho{};
    double thickness{};
    double a{}; ///< m, one side
    double b{}; ///< m, the other
};

/// Lowest resonance of a thin plate. A glued panel lies between: both ends are told.
struct PanelResonance {
    double supported{}; ///< edges held, free to turn: (π/2)·q·(1/a²+1/b²)
    double clamped{};   ///< (22.373/2π)·q·√(1/a⁴+1/b⁴+0.605/(a²b²)), within 0.4 %

    bool operator==(const PanelResonance&) const = default;
};

/// q = √(E·h²/(12(1−ν²)ρ)), ν = 0.3. Loss in the material, which decides how loud it sings, is not
/// in it. Sources: Leissa 1969 (clamped, from memory), Ritz's method for the last term.
[[nodiscard]] PanelResonance panelResonance(const Panel& panel);

/// Input of `box panel`.
struct PanelRequest {
    std::optional<std::string> material;
    std::optional<double> E;
    std::optional<double> rho;
    double thickness{};
    double width{};
    double height{};
    int acrossWidth{};
    int acrossHeight{};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.material, q::Word{"material", "mdf, birch-plywood, oak …"});
        field(self.E, q::Quantity{"E", "youngs_modulus_pa", 1.0, "Pa", 1e7, 1e12, "of the board"});
        field(self.rho,
              q::Quantity{"ρ", "density_kg_per_m3", 1.0, "kg/m³", 10.0, 2e4, "of the board"});
        field(self.thickness, q::panel.as("thickness_m", "of the board"));
        field(self.width, q::width.as("width_m", "of the panel, clear"));
        field(self.height, q::height.as("height_m", "of the panel, clear"));
        field(self.acrossWidth,
              q::Whole{"braces_across_width", 0, 50, "dividing its width, taken as rigid", 0});
        field(self.acrossHeight, q::Whole{"braces_across_height", 0, 50, "dividing its height", 0});
    }
};

[[nodiscard]] std::optional<Error> check(const PanelRequest& request);

struct PanelAnswer {
    double supported{};
    double clamped{};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.supported, q::frequency.as("simply_supported_hz", "edges free to turn"));
        field(self.clamped, q::frequency.as("clamped_hz", "edges held rigid"));
    }
};

[[nodiscard]] Result<PanelAnswer> panel(const PanelRequest& request);

} // namespace yf::box
