// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/box/port.h"

namespace yf::box {

/// A port in place of another, tuning kept.
struct Swap {
    const Port& old;
    double oldLength{}; ///< over all
    const Port& made;
    std::optional<double> Vb; ///< net, with the old port in it
    double wall{0.003};       ///< m, of both tubes
};

/// Length over all of the new one. Exact: Σ S/L_eff stays; where the volume is known, what the
/// tubes displace is taken along by iteration. Negative: there is none.
[[nodiscard]] double swappedLength(const Swap& swap);

/// By the workshop's rule, 0.732 of a diameter for both ends; never below nought.
[[nodiscard]] double workshopLength(const Swap& swap);

/// By the areas alone.
[[nodiscard]] double simpleLength(const Swap& swap);

/// Input of `box port-swap`.
struct SwapRequest {
    double oldDiameter{};
    double oldLength{};
    double newDiameter{};
    int oldCount{1};
    int newCount{1};
    double newFlareInner{};
    double newFlareOuter{};
    std::optional<double> Vb;
    double wall{0.003};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.oldDiameter, q::diameter.as("old_diameter_m", "of the port that is there"));
        field(self.oldLength, q::portLength.as("old_length_m", "over all"));
        field(self.newDiameter, q::diameter.as("new_diameter_m", "narrowest, of the new one"));
        field(self.oldCount, q::Whole{"old_count", 1, 16, "equal ports", 1});
        field(self.newCount, q::Whole{"new_count", 1, 16, "equal ports", 1});
        field(self.newFlareInner, q::flare.as("new_flare_inner_m", "rounding inside").orElse(0.0));
        field(self.newFlareOuter, q::flare.as("new_flare_outer_m", "rounding outside").orElse(0.0));
        field(self.Vb, q::Vb.as("Vb_l", "net, with the old port in it"));
        field(self.wall, q::flare.as("wall_m", "of both tubes").within(0.0, 0.05).orElse(0.003));
    }
};

struct SwapAnswer {
    double length{};
    double workshop{}; ///< 0.732 of a diameter for both ends
    double simple{};   ///< no ends at all
    double areaRatio{};
    std::optional<double> fb;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.length, q::portLength.as("new_length_m", "exact, over all"));
        field(self.workshop, q::portLength.as("new_length_workshop_m", "0.732 d for both ends"));
        field(self.simple, q::portLength.as("new_length_simple_m", "by the areas alone"));
        field(self.areaRatio, q::Quantity{"", "area_ratio", 1.0, "", 0.0, 1e6, "new over old"});
        field(self.fb, q::fb);
    }
};

/// Refused: no length keeps the tuning (the new one is too narrow for it).
[[nodiscard]] Result<SwapAnswer> portSwap(const SwapRequest& request);

} // namespace yf::box
