// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/box/panel.h"

#include "core/text/given.h"
#include "core/text/nearest.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::box {

const std::vector<Material>& materials() {
    static const std::vector<Material> all{{"mdf", 3.5e9, 750.0},
                                           {"hdf", 4.5e9, 850.0},
                                           {"chipboard", 2.8e9, 680.0},
                                           {"birch-plywood", 9e9, 680.0},
                                           {"bamboo-plywood", 11e9, 700.0},
                                           {"oak", 11e9, 700.0},
                                           {"beech", 13e9, 720.0},
                                           {"spruce", 10e9, 450.0},
                                           {"pine", 9e9, 500.0},
                                           {"aluminium", 70e9, 2700.0},
                                           {"acrylic", 3.2e9, 1190.0}};
    return all;
}

const Material* findMaterial(std::string_view name) {
    const auto found = std::ranges::find(materials(), name, &Material::name);
    return found == materials().end() ? nullptr : &*found;
}

PanelResonance panelResonance(const Panel& p) {
    constexpr double poisson = 0.3;
    const double q =
        std::sqrt(p.E * p.thickness * p.thickness / (12.0 * (1.0 - poisson * poisson) * p.rho));
    const double a2 = 1.0 / (p.a * p.a);
    const double b2 = 1.0 / (p.b * p.b);
    constexpr double beam = 22.373; // of a clamped beam's lowest mode
    constexpr double mixed = 0.605;
    return {.supported = 0.5 * std::numbers::pi * q * (a2 + b2),
            .clamped = beam / (2.0 * std::numbers::pi) * q *
                       std::sqrt(a2 * a2 + b2 * b2 + mixed * a2 * b2)};
}

std::optional<Error> check(const PanelRequest& r) {
    if (r.material && (r.E || r.rho)) {
        return Error{"material",
                     say(YF_WORDS("core", "given together with %1"),
                         r.E ? "youngs_modulus_pa" : "density_kg_per_m3"),
                     "give one or the other"};
    }
    if (!r.material) {
        if (!r.E) {
            return Error{"youngs_modulus_pa", "missing", "give it and the density, or a material"};
        }
        if (!r.rho) {
            return Error{"density_kg_per_m3", "missing", "the stiffness needs it"};
        }
        return std::nullopt;
    }
    if (findMaterial(*r.material) == nullptr) {
        std::vector<std::string> names;
        std::string all;
        for (const Material& m : materials()) {
            names.emplace_back(m.name);
            all += (all.empty() ? "" : ", ") + names.back();
        }
        return Error{"material",
                     text::givenWord(*r.material),
                     say(YF_WORDS("core", "must be one of %1"), all)};
    }
    return std::nullopt;
}

Result<PanelAnswer> panel(const PanelRequest& r) {
    const Material* m = r.material ? findMaterial(*r.material) : nullptr;
    const PanelResonance f = panelResonance({.E = m != nullptr ? m->E : *r.E,
                                             .rho = m != nullptr ? m->rho : *r.rho,
                                             .thickness = r.thickness,
                                             .a = r.width / (r.acrossWidth + 1),
                                             .b = r.height / (r.acrossHeight + 1)});
    return PanelAnswer{f.supported, f.clamped};
}

} // namespace yf::box
