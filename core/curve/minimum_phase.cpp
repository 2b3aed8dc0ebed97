// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/curve/minimum_phase.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::curve {

namespace {

constexpr double pi = std::numbers::pi;

/// Li2(z) − Li2(−z) for z in [0, 1]: 2 Σ z^(2k+1)/(2k+1)². The series is slow near 1, where the
/// reflection χ2((1−z)/(1+z)) + χ2(z) = π²/8 + ½ ln z ln((1+z)/(1−z)) takes over
/// (Legendre's chi function).
double dilogarithmDifference(double z) {
    const auto chi = [](double t) {
        double sum = 0.0;
        double power = t;
        for (int k = 1; k < 200; k += 2) {
            sum += power / (k * k);
            power *= t * t;
            if (power < 1e-18) {
                break;
            }
        }
        return sum;
    };
    constexpr double turning = 0.41421356237309503; // where (1−z)/(1+z) = z
    if (z <= turning) {
        return 2.0 * chi(z);
    }
    if (z >= 1.0) {
        return pi * pi / 4.0;
    }
    return 2.0 * (pi * pi / 8.0 + 0.5 * std::log(z) * std::log((1.0 + z) / (1.0 - z)) -
                  chi((1.0 - z) / (1.0 + z)));
}

double kernel(double x) {
    const double value = pi * pi / 4.0 - dilogarithmDifference(std::exp(-std::abs(x)));
    return std::copysign(value, x);
}

/// Least-squares slope of g over u for the points first … last.
double slope(const std::vector<double>& u,
             const std::vector<double>& g,
             std::size_t first,
             std::size_t last) {
    const auto n = static_cast<double>(last - first + 1);
    double meanU = 0.0;
    double meanG = 0.0;
    for (std::size_t i = first; i <= last; ++i) {
        meanU += u[i] / n;
        meanG += g[i] / n;
    }
    double above = 0.0;
    double below = 0.0;
    for (std::size_t i = first; i <= last; ++i) {
        above += (u[i] - meanU) * (g[i] - meanG);
        below += (u[i] - meanU) * (u[i] - meanU);
    }
    return below > 0.0 ? above / below : 0.0;
}

} // namespace

std::vector<double> minimumPhase(const Curve& curve) {
    const auto& f = curve.frequencies();
    const Range trusted = curve.trusted();
    std::vector<double> u;
    std::vector<double> g;
    for (std::size_t i = 0; i < f.size(); ++i) {
        if (trusted.holds(f[i])) {
            u.push_back(std::log(f[i]));
            g.push_back(std::log(std::max(std::abs(curve.values()[i]), 1e-300)));
        }
    }
    if (u.size() < 2) {
        return std::vector<double>(f.size(), 0.0);
    }
    const double halfOctave = 0.5 * std::numbers::ln2;
    const std::size_t n = u.size();
    std::size_t lowEnd = 1;
    while (lowEnd + 1 < n && u[lowEnd] < u.front() + halfOctave) {
        ++lowEnd;
    }
    std::size_t highStart = n - 2;
    while (highStart > 0 && u[highStart] > u.back() - halfOctave) {
        --highStart;
    }
    const double lowSlope = slope(u, g, 0, lowEnd);
    const double highSlope = slope(u, g, highStart, n - 1);
    std::vector<double> phase;
    phase.reserve(f.size());
    for (const double frequency : f) {
        const double u0 = std::log(frequency);
        double before = kernel(u.front() - u0);
        double sum = lowSlope * (before + pi * pi / 4.0);
        for (std::size_t i = 0; i + 1 < n; ++i) {
            const double after = kernel(u[i + 1] - u0);
            sum += (g[i + 1] - g[i]) / (u[i + 1] - u[i]) * (after - before);
            before = after;
        }
        sum += highSlope * (pi * pi / 4.0 - before);
        phase.push_back(sum / pi);
    }
    return phase;
}

Curve withMinimumPhase(const Curve& curve) {
    const std::vector<double> phase = minimumPhase(curve);
    std::vector<Complex> values;
    values.reserve(curve.size());
    for (std::size_t i = 0; i < curve.size(); ++i) {
        values.push_back(std::polar(std::abs(curve.values()[i]), phase[i]));
    }
    return {curve.frequencies(), std::move(values), Phase::minimum, curve.trusted()};
}

} // namespace yf::curve
