// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/box/air_modes.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::box {

double AirMode::pressureAt(const std::array<double, 3>& place) const {
    double p = 1.0;
    for (std::size_t i = 0; i < place.size(); ++i) {
        p *= std::abs(std::cos(std::numbers::pi * order[i] * place[i]));
    }
    return p;
}

std::vector<AirMode>
airModes(double height, std::pair<double, double> widthAndDepth, std::size_t count, double c) {
    const std::array<double, 3> L{height, widthAndDepth.first, widthAndDepth.second};
    std::vector<AirMode> modes;
    // The lowest eight never need more half waves than this along the longest side of a box that
    // is not a pipe; a pipe of 1:40 would.
    constexpr int most = 12;
    for (int i = 0; i <= most; ++i) {
        for (int j = 0; j <= most; ++j) {
            for (int k = 0; k <= most; ++k) {
                if (i + j + k > 0) {
                    modes.push_back(
                        {0.5 * c * std::hypot(i / L[0], j / L[1], k / L[2]), {i, j, k}});
                }
            }
        }
    }
    std::ranges::sort(modes, {}, &AirMode::f);
    modes.resize(std::min(count, modes.size()));
    return modes;
}

} // namespace yf::box
