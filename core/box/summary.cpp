// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/box/summary.h"

#include <algorithm>
#include <cmath>
#include <functional>

namespace yf::box {

namespace {

/// A fine logarithmic grid.
// NOLINTNEXTLINE(bugprone-easily-swappable-parameters): from where to where, how fine
std::vector<double> grid(double from, double to, double perOctave) {
    std::vector<double> f;
    // Of a fit that did not converge nothing may be left to look at.
    if (!(from > 0.0 && to > from && to / from < 1e12)) {
        return f;
    }
    const int n = static_cast<int>(std::ceil(std::log2(to / from) * perOctave));
    for (int i = 0; i <= n; ++i) {
        f.push_back(from * std::pow(to / from, static_cast<double>(i) / n));
    }
    return f;
}

using Function = std::function<double(double)>;

/// Where a function that changes sign between a and b is nought, to 1e-10 of f.
double crossing(const Function& g, double a, double b) {
    const bool rising = g(b) > 0.0;
    constexpr int halvings = 60;
    for (int i = 0; i < halvings && b / a - 1.0 > 1e-12; ++i) {
        const double middle = std::sqrt(a * b);
        ((g(middle) > 0.0) == rising ? b : a) = middle;
    }
    return std::sqrt(a * b);
}

/// The top of a function near a grid point, by golden section in ln f.
double topNear(const Function& g, double a, double b) {
    constexpr double golden = 0.6180339887498949;
    double low = std::log(a);
    double high = std::log(b);
    for (int i = 0; i < 60; ++i) {
        const double x = high - golden * (high - low);
        const double y = low + golden * (high - low);
        (g(std::exp(x)) > g(std::exp(y)) ? high : low) = g(std::exp(x)) > g(std::exp(y)) ? y : x;
    }
    return std::exp(0.5 * (low + high));
}

constexpr double lowest = 0.5;
constexpr double highest = 20000.0;
constexpr double perOctave = 32.0;
constexpr double noPeak = 0.01;

/// The place of the greatest of sampled values, refined unless it is an end.
double greatest(const Function& g, const std::vector<double>& f) {
    std::size_t top = 0;
    double most = g(f[0]);
    for (std::size_t i = 1; i < f.size(); ++i) {
        const double value = g(f[i]);
        if (value > most) {
            most = value;
            top = i;
        }
    }
    return top == 0 || top + 1 == f.size() ? f[top] : topNear(g, f[top - 1], f[top + 1]);
}

} // namespace

namespace {

std::optional<double> lastCrossing(const System& given, double down, const std::vector<double>& f) {
    System system = given;
    system.withInductance = false;
    const Function above = [&](double at) { return levelReAsymptote(system, at) + down; };
    if (f.empty()) {
        return std::nullopt;
    }
    bool wasAbove = above(f.back()) >= 0.0;
    for (std::size_t i = f.size() - 1; i-- > 0;) {
        const bool isAbove = above(f[i]) >= 0.0;
        if (wasAbove && !isAbove) {
            return crossing(above, f[i], f[i + 1]);
        }
        wasAbove = isAbove;
    }
    return std::nullopt;
}

} // namespace

std::optional<double> highestCrossing(const System& system, double down) {
    return lastCrossing(system, down, grid(lowest, highest, perOctave));
}

std::optional<double> roughCrossing(const System& system, double down) {
    constexpr double reach = 40.0;
    constexpr double coarse = 8.0;
    return lastCrossing(system, down, grid(0.1 * system.motor.fs, reach * system.motor.fs, coarse));
}

Summary summarise(System s) {
    s.withInductance = false;
    Summary out{.f3 = highestCrossing(s, quantity::halfPower),
                .f6 = highestCrossing(s, 6.0),
                .f10 = highestCrossing(s, 10.0)};
    const Function level = [&](double f) { return levelReAsymptote(s, f); };
    const double at = greatest(level, grid(lowest, highest, perOctave));
    if (level(at) >= noPeak) {
        out.peak = level(at);
        out.peakAt = at;
    }
    const Function delay = [&](double f) { return groupDelay(s, f); };
    out.groupDelayAt = greatest(delay, grid(10.0, 1000.0, perOctave));
    out.groupDelayMax = delay(out.groupDelayAt);
    out.sensitivity = sensitivity(s.motor, s.source);
    return out;
}

std::optional<double> leastLevel(System s, double f3) {
    s.withInductance = false;
    if (!s.motor.Xmax && !s.motor.power) {
        return std::nullopt;
    }
    const double volts =
        s.motor.power ? std::sqrt(*s.motor.power * s.motor.Re) / s.source.voltage : 1e300;
    constexpr double upTo = 200.0;
    constexpr int points = 200;
    double least = 1e300;
    for (int i = 0; i <= points; ++i) {
        const double f =
            f3 >= upTo ? f3 : f3 * std::pow(upTo / f3, static_cast<double>(i) / points);
        const Motion m = motionAt(s, f);
        const double byTravel = s.motor.Xmax ? *s.motor.Xmax / travel(m, f) : 1e300;
        least = std::min(least, std::abs(m.p) * std::min(byTravel, volts));
    }
    return quantity::decibels(least / quantity::referencePressure);
}

PassBand passBand(System s) {
    s.withInductance = false;
    const Function level = [&](double f) { return levelReAsymptote(s, f); };
    const auto f = grid(lowest, highest, perOctave);
    const double at = greatest(level, f);
    PassBand out{.gain = level(at)};
    const Function above = [&](double g) { return level(g) - out.gain + quantity::halfPower; };
    std::vector<double> peaks;
    for (std::size_t i = 1; i + 1 < f.size(); ++i) {
        const double here = level(f[i]);
        if (here >= level(f[i - 1]) && here > level(f[i + 1]) &&
            here >= out.gain - quantity::halfPower) {
            peaks.push_back(topNear(level, f[i - 1], f[i + 1]));
        }
    }
    double below = at;
    while (below > lowest && above(below) > 0.0) {
        below /= 1.01;
    }
    double beyond = at;
    while (beyond < highest && above(beyond) > 0.0) {
        beyond *= 1.01;
    }
    // A second hump within 3 dB belongs to the band too.
    if (!peaks.empty()) {
        below = std::min(below, peaks.front());
        beyond = std::max(beyond, peaks.back());
        while (below > lowest && above(below) > 0.0) {
            below /= 1.01;
        }
        while (beyond < highest && above(beyond) > 0.0) {
            beyond *= 1.01;
        }
    }
    out.low = crossing(above, below, below * 1.01);
    out.high = crossing(above, beyond / 1.01, beyond);
    if (peaks.size() > 1) {
        const Function depth = [&](double g) { return -level(g); };
        const double dip = greatest(depth, grid(peaks.front(), peaks.back(), 4.0 * perOctave));
        out.ripple = out.gain - level(dip);
    }
    return out;
}

} // namespace yf::box
