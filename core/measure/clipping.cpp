// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/measure/clipping.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::measure {

namespace {

constexpr double top = 0.999;

/// Longest run that a clean sine makes at this sample of the recording.
double cleanRun(std::size_t n, const signal::Sweep& sweep, double latency) {
    const auto late = latency * sweep.rate;
    const double place = static_cast<double>(n) - static_cast<double>(sweep.before) - late;
    const double inRepeat = std::fmod(std::max(place, 0.0), static_cast<double>(sweep.period())) -
                            static_cast<double>(sweep.lead);
    const double f =
        std::clamp(sweep.frequencyAt(std::max(inRepeat, 0.0) / sweep.rate), sweep.start, sweep.end);
    return sweep.rate / (std::numbers::pi * f) * std::acos(top);
}

int onRuns(const std::vector<double>& x,
           double sign,
           double most,
           const signal::Sweep& sweep,
           double latency) {
    constexpr double allowed = 3.0;
    constexpr double spare = 2.0;
    int runs = 0;
    int samples = 0;
    for (std::size_t n = 0; n < x.size();) {
        if (sign * x[n] < top * most) {
            ++n;
            continue;
        }
        std::size_t end = n;
        while (end < x.size() && sign * x[end] >= top * most) {
            ++end;
        }
        const auto length = static_cast<double>(end - n);
        if (length > allowed * cleanRun(n, sweep, latency) + spare) {
            ++runs;
            samples += static_cast<int>(end - n);
        }
        n = end;
    }
    return runs >= 2 ? samples : 0;
}

int piledUp(const std::vector<double>& x, double sign, double most) {
    constexpr double inner = 0.9985;
    constexpr double outer = 0.994;
    constexpr int times = 4;
    constexpr int spare = 20;
    int atTop = 0;
    int below = 0;
    for (const double v : x) {
        const double share = sign * v / most;
        atTop += share >= inner ? 1 : 0;
        below += share >= outer && share < inner ? 1 : 0;
    }
    return atTop > times * below + spare ? atTop : 0;
}

} // namespace

int clippedSamples(const std::vector<double>& channel, const signal::Sweep& sweep, double latency) {
    int found = 0;
    for (const double sign : {1.0, -1.0}) {
        double most = 0.0;
        for (const double v : channel) {
            most = std::max(most, sign * v);
        }
        if (most > 0.0) {
            found = std::max(
                {found, onRuns(channel, sign, most, sweep, latency), piledUp(channel, sign, most)});
        }
    }
    return found;
}

} // namespace yf::measure
