// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/driver/resonance.h"

#include <algorithm>
#include <array>
#include <cmath>

namespace yf::driver {

namespace {

/// Top of the parabola through three points at -1, 0, 1 (even in ln f is near enough between
/// neighbours); the middle one where it is no top.
double parabolaTop(const std::array<double, 3>& points) {
    const auto [left, middle, right] = points;
    const double bend = left - 2.0 * middle + right;
    if (!(bend < 0.0)) {
        return middle;
    }
    const double at = std::clamp(0.5 * (left - right) / bend, -1.0, 1.0);
    return middle - 0.25 * (left - right) * at;
}

} // namespace

std::optional<Resonance> resonance(const curve::Curve& impedance) {
    if (impedance.phase() == curve::Phase::none) {
        return std::nullopt;
    }
    const auto& f = impedance.frequencies();
    const auto& Z = impedance.values();
    std::optional<Resonance> highest;
    for (std::size_t k = 1; k < Z.size(); ++k) {
        const double above = Z[k - 1].imag();
        const double below = Z[k].imag();
        if (!(above > 0.0 && below <= 0.0)) {
            continue;
        }
        const double share = above / (above - below);
        const double fs = f[k - 1] * std::pow(f[k] / f[k - 1], share);
        const std::size_t top = std::abs(Z[k]) > std::abs(Z[k - 1]) ? k : k - 1;
        const double peak =
            top == 0 || top + 1 == Z.size()
                ? std::abs(Z[top])
                : parabolaTop({std::abs(Z[top - 1]), std::abs(Z[top]), std::abs(Z[top + 1])});
        if (!highest || peak > highest->Zpeak) {
            highest = Resonance{fs, peak};
        }
    }
    return highest;
}

} // namespace yf::driver
