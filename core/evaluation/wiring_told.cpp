// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/evaluation/wiring_told.h"

#include "core/curve/interpolate.h"
#include "core/evaluation/neighbours.h"
#include "core/job/lookup.h"

#include <algorithm>
#include <cmath>

namespace yf::evaluation {

std::optional<WiringTold>
wiringTold(const job::Job& job, const job::Cabinet& cabinet, const CabinetResult& result) {
    if (result.sum.empty() || result.ways.size() < 2) {
        return std::nullopt;
    }
    const job::Take* whole = job::wholeTake(job, cabinet);
    if (whole == nullptr) {
        return std::nullopt;
    }
    const curve::Range trusted = whole->curve->trusted();
    const curve::Axis axis = curve::within(result.axis, trusted.from, trusted.to);
    const auto taken = curve::interpolate(*whole->curve, axis);
    constexpr std::size_t leastPoints = 24; // half an octave
    if (!taken || axis.size() < leastPoints) {
        return std::nullopt;
    }
    const auto first = static_cast<std::size_t>(
        std::ranges::lower_bound(result.axis, axis.front()) - result.axis.begin());
    std::vector<std::vector<curve::Complex>> ways;
    const auto order = waysFromBelow(job, result);
    for (const std::size_t w : order) {
        const auto& p = result.ways[w].pressure;
        ways.emplace_back(p.begin() + static_cast<std::ptrdiff_t>(first),
                          p.begin() + static_cast<std::ptrdiff_t>(first + axis.size()));
    }
    const auto levels = curve::levels(*taken, 1.0);
    const auto found = speaker::wiringOf({axis, ways, levels, trusted});
    if (!found) {
        return std::nullopt;
    }
    WiringTold told{.found = *found, .take = whole->id, .reversed = {}};
    told.networkKnown = !whole->recorded.network.empty();
    told.ofThisNetwork = whole->recorded.network == job::networkKey(cabinet.circuit);
    for (std::size_t i = 0; i < order.size(); ++i) {
        if (found->best.reversed[i]) {
            told.reversed.push_back(result.ways[order[i]].driver);
        }
    }
    return told;
}

} // namespace yf::evaluation
