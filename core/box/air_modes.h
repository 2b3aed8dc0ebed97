// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/quantity/air.h"

#include <array>
#include <utility>
#include <vector>

namespace yf::box {

/// A standing wave of the air in a rectangular box.
struct AirMode {
    double f{};                 ///< Hz
    std::array<int, 3> order{}; ///< half waves along height, width and depth

    /// Share of the greatest pressure at a place given as shares of height, width and depth: 1 at a
    /// wall, 0 at a node. A driver or port at 1 drives and hears it fully.
    [[nodiscard]] double pressureAt(const std::array<double, 3>& place) const;

    bool operator==(const AirMode&) const = default;
};

/// The lowest: f = (c/2)·√((i/Lx)²+(j/Ly)²+(k/Lz)²), rigid walls, no fill.
[[nodiscard]] std::vector<AirMode> airModes(double height,
                                            std::pair<double, double> widthAndDepth,
                                            std::size_t count = 8,
                                            double c = quantity::soundSpeed);

} // namespace yf::box
