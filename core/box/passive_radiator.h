// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/box/vented.h"

namespace yf::box {

/// A box whose port is one or more cones without a motor.
struct PassiveRadiator {
    double Vb{};
    double gain{1.0};
    double QL{usualQL};
    double QA{lossless};
    double Sp{};  ///< m², of one radiator
    double fp{};  ///< Hz, its resonance in free air
    double Vap{}; ///< m³, its equivalent volume
    double Qmp{}; ///< its mechanical Q
    int count{1};
    double addedMass{};         ///< kg, on each
    std::optional<double> Xmax; ///< m, of a radiator

    bool operator==(const PassiveRadiator&) const = default;
};

[[nodiscard]] Chambers
chambersOf(const PassiveRadiator& box, const Motor& motor, const Source& source);
[[nodiscard]] PassiveRadiator changed(PassiveRadiator box, const BoxChange& by);

/// K_p = ρc²Sp²/Vap, N/m; m_0 = K_p/(2πfp)², kg.
[[nodiscard]] double stiffness(const PassiveRadiator& box, const Source& source);
[[nodiscard]] double bareMass(const PassiveRadiator& box, const Source& source);

/// Its resonance with the added mass: the notch lies there.
[[nodiscard]] double notch(const PassiveRadiator& box, const Source& source);

/// δ = n_p·Vap/(g·Vb).
[[nodiscard]] double compliances(const PassiveRadiator& box);

/// fb = notch·√(1+δ).
[[nodiscard]] double tuning(const PassiveRadiator& box, const Source& source);

/// Mass to add for a tuning; negative: the bare radiator is too heavy for it.
[[nodiscard]] double massFor(const PassiveRadiator& box, double fb, const Source& source);

} // namespace yf::box
