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

/// The trusted part as straight pieces, and its outermost half octaves.
struct Pieces {
    std::vector<double> u;
    std::vector<double> g;
    std::size_t lowEnd{1};
    std::size_t highStart{};
};

Pieces piecesOf(const Curve& curve) {
    const auto& f = curve.frequencies();
    Pieces p;
    for (std::size_t i = 0; i < f.size(); ++i) {
        if (curve.trusted().holds(f[i])) {
            p.u.push_back(std::log(f[i]));
            p.g.push_back(std::log(std::max(std::abs(curve.values()[i]), 1e-300)));
        }
    }
    if (p.u.size() < 2) {
        return p;
    }
    const double halfOctave = 0.5 * std::numbers::ln2;
    const std::size_t n = p.u.size();
    while (p.lowEnd + 1 < n && p.u[p.lowEnd] < p.u.front() + halfOctave) {
        ++p.lowEnd;
    }
    p.highStart = n - 2;
    while (p.highStart > 0 && p.u[p.highStart] > p.u.back() - halfOctave) {
        --p.highStart;
    }
    return p;
}

Tails completed(const Pieces& p, Tails tails) {
    return {tails.low.value_or(slope(p.u, p.g, 0, p.lowEnd)),
            tails.high.value_or(slope(p.u, p.g, p.highStart, p.u.size() - 1))};
}

double wrapUp(double lowSlope, double highSlope, double first, double last, double pieces) {
    return (lowSlope * (first + pi * pi / 4.0) + pieces + highSlope * (pi * pi / 4.0 - last)) / pi;
}

/// Every point on one even grid in ln f: the kernel depends on the distance alone.
bool isEven(const std::vector<double>& u, const Axis& f) {
    if (u.size() != f.size() || u.size() < 3) {
        return false;
    }
    const double step = (u.back() - u.front()) / static_cast<double>(u.size() - 1);
    constexpr double exact = 1e-9;
    for (std::size_t i = 0; i < u.size(); ++i) {
        if (std::abs(u[i] - u.front() - step * static_cast<double>(i)) > exact) {
            return false;
        }
    }
    return true;
}

std::vector<double> onEvenGrid(const Pieces& p, double low, double high) {
    const std::size_t n = p.u.size();
    const double step = (p.u.back() - p.u.front()) / static_cast<double>(n - 1);
    // K at distances 0 … n−1 steps; odd about zero.
    std::vector<double> K(n);
    for (std::size_t i = 0; i < n; ++i) {
        K[i] = kernel(step * static_cast<double>(i));
    }
    K[0] = 0.0;
    // Weights K(i+1−j) − K(i−j) for i−j = −(n−1) … n−2, in the order of i−j.
    std::vector<double> difference(2 * n - 2);
    const auto at = [&](std::ptrdiff_t d) {
        return d < 0 ? -K[static_cast<std::size_t>(-d)] : K[static_cast<std::size_t>(d)];
    };
    for (std::size_t m = 0; m < difference.size(); ++m) {
        const auto d = static_cast<std::ptrdiff_t>(m) - static_cast<std::ptrdiff_t>(n - 1);
        difference[m] = at(d + 1) - at(d);
    }
    std::vector<double> s(n - 1);
    for (std::size_t i = 0; i + 1 < n; ++i) {
        s[i] = (p.g[i + 1] - p.g[i]) / (p.u[i + 1] - p.u[i]);
    }
    std::vector<double> phase;
    phase.reserve(n);
    for (std::size_t j = 0; j < n; ++j) {
        const double* w = difference.data() + (n - 1 - j);
        double sum = 0.0;
        for (std::size_t i = 0; i + 1 < n; ++i) {
            sum += s[i] * w[i];
        }
        phase.push_back(wrapUp(low, high, at(-static_cast<std::ptrdiff_t>(j)), K[n - 1 - j], sum));
    }
    return phase;
}

} // namespace

double slopeOf(double perOctave) {
    return perOctave / (20.0 * std::log10(2.0));
}

double decibelsPerOctave(double slope) {
    return slope * 20.0 * std::log10(2.0);
}

Tails fittedTails(const Curve& curve) {
    const Pieces p = piecesOf(curve);
    return p.u.size() < 2 ? Tails{0.0, 0.0} : completed(p, {});
}

std::vector<double> minimumPhase(const Curve& curve, Tails tails) {
    const auto& f = curve.frequencies();
    const Pieces p = piecesOf(curve);
    if (p.u.size() < 2) {
        return std::vector<double>(f.size(), 0.0);
    }
    const Tails ends = completed(p, tails);
    if (isEven(p.u, f)) {
        return onEvenGrid(p, *ends.low, *ends.high);
    }
    std::vector<double> phase;
    phase.reserve(f.size());
    for (const double frequency : f) {
        const double u0 = std::log(frequency);
        const double first = kernel(p.u.front() - u0);
        double before = first;
        double sum = 0.0;
        for (std::size_t i = 0; i + 1 < p.u.size(); ++i) {
            const double after = kernel(p.u[i + 1] - u0);
            sum += (p.g[i + 1] - p.g[i]) / (p.u[i + 1] - p.u[i]) * (after - before);
            before = after;
        }
        phase.push_back(wrapUp(*ends.low, *ends.high, first, before, sum));
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
