// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/evaluation/wiring_told.h"

#include "core/curve/interpolate.h"
#include "core/evaluation/neighbours.h"
#include "core/job/lookup.h"

#include <algorithm>
#include <cmath>

namespace yf::evaluation {

std::optional<WiringInputs> wiringInputs(const job::Job& job,
                                         const job::Cabinet& cabinet,
                                         std::shared_ptr<const CabinetResult> result) {
    const job::Take* whole = job::wholeTake(job, cabinet);
    if (whole == nullptr || result->sum.empty() || result->ways.size() < 2) {
        return std::nullopt;
    }
    WiringInputs in{.fromBelow = waysFromBelow(job, *result),
                    .take = whole->id,
                    .curve = whole->curve,
                    .networkKnown = !whole->recorded.network.empty(),
                    .ofThisNetwork = whole->recorded.network == job::networkKey(cabinet.circuit)};
    in.result = std::move(result);
    return in;
}

std::optional<WiringTold> wiringTold(const WiringInputs& in) {
    const CabinetResult& result = *in.result;
    const curve::Range trusted = in.curve->trusted();
    const curve::Axis axis = curve::within(result.axis, trusted.from, trusted.to);
    const auto taken = curve::interpolate(*in.curve, axis);
    constexpr std::size_t leastPoints = 24; // half an octave
    if (!taken || axis.size() < leastPoints) {
        return std::nullopt;
    }
    const auto first = static_cast<std::size_t>(
        std::ranges::lower_bound(result.axis, axis.front()) - result.axis.begin());
    std::vector<std::vector<curve::Complex>> ways;
    for (const std::size_t w : in.fromBelow) {
        const auto& p = result.ways[w].pressure;
        ways.emplace_back(p.begin() + static_cast<std::ptrdiff_t>(first),
                          p.begin() + static_cast<std::ptrdiff_t>(first + axis.size()));
    }
    const auto levels = curve::levels(*taken, 1.0);
    const auto found = speaker::wiringOf({axis, ways, levels, trusted});
    if (!found) {
        return std::nullopt;
    }
    WiringTold told{.found = *found,
                    .take = in.take,
                    .reversed = {},
                    .networkKnown = in.networkKnown,
                    .ofThisNetwork = in.ofThisNetwork};
    for (std::size_t i = 0; i < in.fromBelow.size(); ++i) {
        if (found->best.reversed[i]) {
            told.reversed.push_back(result.ways[in.fromBelow[i]].driver);
        }
    }
    return told;
}

std::optional<WiringTold>
wiringTold(const job::Job& job, const job::Cabinet& cabinet, const CabinetResult& result) {
    const auto in = wiringInputs(job, cabinet, unowned(result));
    return in ? wiringTold(*in) : std::nullopt;
}

} // namespace yf::evaluation
