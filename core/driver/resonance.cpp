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

std::optional<QFactors> qFactors(const curve::Curve& impedance, double Re, const Resonance& peak) {
    constexpr double leastPeak = 1.2;
    const double r0 = peak.Zpeak / Re;
    if (!(r0 > leastPeak)) {
        return std::nullopt;
    }
    const double level = std::sqrt(Re * peak.Zpeak);
    const auto& f = impedance.frequencies();
    const auto crossing = [&](std::size_t a, std::size_t b) {
        const double za = std::log(std::abs(impedance.values()[a]));
        const double zb = std::log(std::abs(impedance.values()[b]));
        const double share = (std::log(level) - za) / (zb - za);
        return f[a] * std::pow(f[b] / f[a], share);
    };
    const auto above = [&](std::size_t k) { return std::abs(impedance.values()[k]) >= level; };
    const auto first = std::ranges::lower_bound(f, peak.fs);
    const auto middle = static_cast<std::size_t>(first - f.begin());
    std::optional<double> f1;
    std::optional<double> f2;
    for (std::size_t k = middle; k > 0 && !f1; --k) {
        if (k < f.size() && above(k) && !above(k - 1)) {
            f1 = crossing(k - 1, k);
        }
    }
    for (std::size_t k = std::max<std::size_t>(middle, 1); k < f.size() && !f2; ++k) {
        if (above(k - 1) && !above(k)) {
            f2 = crossing(k - 1, k);
        }
    }
    if (!f1 || !f2 || !(*f1 < peak.fs && peak.fs < *f2)) {
        return std::nullopt;
    }
    const double Qms = peak.fs * std::sqrt(r0) / (*f2 - *f1);
    return QFactors{Qms, Qms / (r0 - 1.0), std::abs(std::sqrt(*f1 * *f2) / peak.fs - 1.0)};
}

} // namespace yf::driver
