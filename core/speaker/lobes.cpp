// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/speaker/lobes.h"

#include "core/quantity/air.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::speaker {

namespace {

constexpr double pi = std::numbers::pi;

/// All θ within ±90° whose phase is `first` plus whole turns.
std::vector<double> anglesOf(const Pair& pair, double rho, double first) {
    const double across = pair.k * rho;
    if (!(across > 0.0)) {
        return {};
    }
    const double epsilon = std::atan2(pair.dz, pair.d);
    std::vector<double> found;
    const auto turns = static_cast<int>(across / (2.0 * pi)) + 2;
    for (int m = -turns; m <= turns; ++m) {
        const double sine = (first + 2.0 * pi * m - pair.psi0) / across;
        constexpr double rounding = 1e-12;
        if (std::abs(sine) > 1.0 + rounding) {
            continue;
        }
        const double a = std::asin(std::clamp(sine, -1.0, 1.0));
        for (const double branch : {a, pi - a}) {
            const double theta = std::remainder(branch - epsilon, 2.0 * pi);
            constexpr double edge = 1e-9;
            if (std::abs(theta) <= 0.5 * pi + edge) {
                found.push_back(std::clamp(theta, -0.5 * pi, 0.5 * pi));
            }
        }
    }
    std::ranges::sort(found);
    constexpr double same = 1e-9;
    const auto twice = [](double a, double b) { return std::abs(a - b) < same; };
    found.erase(std::unique(found.begin(), found.end(), twice), found.end());
    return found;
}

} // namespace

Lobes lobes(const Pair& pair) {
    Lobes result{.spacing = std::hypot(pair.d, pair.dz)};
    result.peaks = anglesOf(pair, result.spacing, 0.0);
    result.nulls = anglesOf(pair, result.spacing, pi);
    if (!result.peaks.empty()) {
        result.peak =
            *std::ranges::min_element(result.peaks, {}, [](double a) { return std::abs(a); });
    }
    return result;
}

Lobes lobesOf(
    const Taken& lower, const Taken& upper, double turned, quantity::Plane plane, double f) {
    const double k = 2.0 * pi * f / quantity::soundSpeed;
    const Point apart = upper.place - lower.place;
    const double paths =
        length(upper.microphone - upper.place) - length(lower.microphone - lower.place);
    return lobes({.d = plane == quantity::Plane::vertical ? apart.y : apart.x,
                  .dz = apart.z,
                  .psi0 = turned + k * paths,
                  .k = k});
}

} // namespace yf::speaker
