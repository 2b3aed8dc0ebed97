// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/signal/group_delay.h"

#include "core/curve/interpolate.h"
#include "core/curve/minimum_phase.h"
#include "core/signal/delay.h"

#include <cmath>
#include <numbers>

namespace yf::signal {

namespace {

constexpr double twoPi = 2.0 * std::numbers::pi;

/// Values over frequency, with weights.
struct Line {
    const std::vector<double>& f;
    const std::vector<double>& y;
    const std::vector<double>& weight;
};

/// Slope of y over ω about a point, over `half` of its frequency to each side; at least three
/// points.
double slopeAbout(const Line& line, std::size_t k, double half) {
    const auto& [f, y, weight] = line;
    std::size_t first = k;
    std::size_t last = k;
    while (first > 0 && (f[first - 1] > f[k] / half || last - first + 1 < 2)) {
        --first;
    }
    while (last + 1 < f.size() && (f[last + 1] < f[k] * half || last - first + 1 < 3)) {
        ++last;
    }
    double w = 0.0;
    double x = 0.0;
    double v = 0.0;
    for (std::size_t i = first; i <= last; ++i) {
        w += weight[i];
        x += weight[i] * twoPi * f[i];
        v += weight[i] * y[i];
    }
    x /= w;
    v /= w;
    double above = 0.0;
    double below = 0.0;
    for (std::size_t i = first; i <= last; ++i) {
        const double d = twoPi * f[i] - x;
        above += weight[i] * d * (y[i] - v);
        below += weight[i] * d * d;
    }
    return below > 0.0 ? above / below : 0.0;
}

} // namespace

std::vector<double> groupDelay(const curve::Curve& c) {
    const std::vector<double>& f = c.frequencies();
    const std::vector<double> minimum = curve::minimumPhase(c);
    std::vector<double> weight;
    for (const curve::Complex& v : c.values()) {
        weight.push_back(std::max(std::abs(v), 1e-300));
    }
    std::vector<double> rest(f.size(), 0.0);
    double delay = 0.0;
    if (c.phase() != curve::Phase::none) {
        constexpr double reach = 6e-3; // s
        const double bulk = curve::bulkDelay(c);
        const auto fit = excessDelay(c, bulk, reach);
        delay = fit ? fit->delay : bulk;
        double turn = 0.0;
        for (std::size_t k = 0; k < f.size(); ++k) {
            const double excess =
                std::arg(c.values()[k] * std::polar(1.0, twoPi * f[k] * delay - minimum[k]));
            // With the delay out it moves little from point to point.
            if (k > 0) {
                turn = std::round((rest[k - 1] - excess) / twoPi) * twoPi;
            }
            rest[k] = excess + turn;
        }
    }
    const double sixth = std::pow(10.0, 0.3 / 12.0); // half of it to each side
    std::vector<double> result;
    for (std::size_t k = 0; k < f.size(); ++k) {
        result.push_back(delay - slopeAbout({f, rest, weight}, k, sixth) -
                         slopeAbout({f, minimum, weight}, k, std::pow(sixth, 0.25)));
    }
    return result;
}

} // namespace yf::signal
