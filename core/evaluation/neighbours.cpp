// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/evaluation/neighbours.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::evaluation {

namespace {

using curve::Complex;

constexpr double pi = std::numbers::pi;

double decibels(double x) {
    return quantity::decibels(std::max(x, 1e-15));
}

/// Slope of a phase difference against ω about a point, by unwrapped neighbours.
double groupDelayAt(const curve::Axis& axis, const std::vector<double>& difference, std::size_t k) {
    constexpr std::size_t reach = 4; // a sixth of an octave
    const std::size_t from = k > reach ? k - reach : 0;
    const std::size_t to = std::min(k + reach, axis.size() - 1);
    double turned = 0.0;
    for (std::size_t i = from + 1; i <= to; ++i) {
        turned += std::remainder(difference[i] - difference[i - 1], 2.0 * pi);
    }
    return to > from ? -turned / (2.0 * pi * (axis[to] - axis[from])) : 0.0;
}

} // namespace

std::size_t nearestPoint(const curve::Axis& axis, double f) {
    const auto above = std::ranges::lower_bound(axis, f) - axis.begin();
    const auto k = std::min(static_cast<std::size_t>(above), axis.size() - 1);
    return k > 0 && f / axis[k - 1] < axis[k] / f ? k - 1 : k;
}

std::vector<std::size_t> waysFromBelow(const job::Job& job, const CabinetResult& result) {
    std::vector<std::size_t> order;
    for (std::size_t w = 0; w < result.ways.size(); ++w) {
        if (job::findDriver(job, result.ways[w].driver) != nullptr &&
            !result.ways[w].pressure.empty()) {
            order.push_back(w);
        }
    }
    std::ranges::stable_sort(order, {}, [&](std::size_t w) {
        return job::findDriver(job, result.ways[w].driver)->band;
    });
    return order;
}

NeighbourInputs neighbourInputs(const job::Job& job, std::shared_ptr<const CabinetResult> result) {
    NeighbourInputs in{.result = std::move(result)};
    in.fromBelow = waysFromBelow(job, *in.result);
    for (const std::size_t w : in.fromBelow) {
        in.bands.push_back(job::findDriver(job, in.result->ways[w].driver)->band);
    }
    return in;
}

std::vector<Neighbourhood> neighbourhoods(const job::Job& job, const CabinetResult& result) {
    return neighbourhoods(neighbourInputs(job, unowned(result)));
}

std::vector<Neighbourhood> neighbourhoods(const NeighbourInputs& in) {
    const CabinetResult& result = *in.result;
    const std::vector<std::size_t>& order = in.fromBelow;
    std::vector<Neighbourhood> all;
    for (std::size_t i = 1; i < order.size(); ++i) {
        const WayResult& lower = result.ways[order[i - 1]];
        const WayResult& upper = result.ways[order[i]];
        if (in.bands[i - 1] == in.bands[i]) {
            continue;
        }
        Neighbourhood n{.lower = order[i - 1], .upper = order[i]};
        n.met = speaker::crossover({result.axis, lower.pressure, upper.pressure});
        for (std::size_t k = 0; k < result.axis.size(); ++k) {
            const Complex a = lower.pressure[k];
            const Complex b = upper.pressure[k];
            n.difference.push_back(std::arg(b * std::conj(a)));
            constexpr double within = 10.0; // of the powers: 10 dB
            n.overlap.push_back(std::norm(a) <= within * std::norm(b) &&
                                std::norm(b) <= within * std::norm(a));
        }
        if (n.met) {
            const std::size_t k = nearestPoint(result.axis, n.met->fx);
            const Complex a = lower.pressure[k];
            const Complex b = upper.pressure[k];
            n.levelDifference = decibels(std::abs(b)) - decibels(std::abs(a));
            n.loss = decibels(std::abs(a) + std::abs(b)) - decibels(std::abs(a + b));
            n.groupDelay = groupDelayAt(result.axis, n.difference, k);
            if (n.met->nullDepth && *n.met->nullDepth > 0.0) {
                n.bounds = speaker::boundsOf(*n.met->nullDepth);
            }
        }
        all.push_back(std::move(n));
    }
    return all;
}

} // namespace yf::evaluation
