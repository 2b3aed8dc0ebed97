// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/driver/rating.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::driver {

double epdr(curve::Complex Z) {
    const double angle = std::numbers::pi / 6.0 + std::abs(std::arg(Z)) / 3.0;
    return std::abs(Z) / (8.0 * std::pow(std::sin(angle), 3));
}

curve::Axis audibleAxis(const curve::Range& extent) {
    const double from = std::max(20.0, extent.from);
    const double to = std::min(20000.0, extent.to);
    curve::Axis axis = curve::within(curve::designAxis(), from * (1.0 + 1e-9), to * (1.0 - 1e-9));
    axis.insert(axis.begin(), from);
    axis.push_back(to);
    return axis;
}

std::optional<double> ratedImpedance(double leastModulus) {
    std::optional<double> rated;
    for (const double ohms : {1.0, 2.0, 3.0, 4.0, 6.0, 8.0, 12.0, 16.0, 24.0, 32.0}) {
        if (leastModulus >= leastShare * ohms) {
            rated = ohms;
        }
    }
    return rated;
}

} // namespace yf::driver
