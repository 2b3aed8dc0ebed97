// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/curve/axis.h"

#include <algorithm>
#include <cmath>

namespace yf::curve {

const Axis& designAxis() {
    static const Axis axis = [] {
        constexpr int first = -320;
        constexpr int last = 256;
        Axis points;
        for (int k = first; k <= last; ++k) {
            points.push_back(1000.0 * std::pow(10.0, 0.3 * k / 48.0));
        }
        return points;
    }();
    return axis;
}

Axis within(std::span<const double> axis, double from, double to) {
    Axis kept;
    std::ranges::copy_if(
        axis, std::back_inserter(kept), [&](double f) { return f >= from && f <= to; });
    return kept;
}

} // namespace yf::curve
