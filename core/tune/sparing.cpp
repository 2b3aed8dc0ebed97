// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/tune/sparing.h"

#include "core/base/parallel.h"
#include "core/network/circuit/ladder_edit.h"
#include "core/tune/watch.h"

#include <algorithm>

namespace yf::tune {

namespace {

/// One way of leaving something out.
struct Lesser {
    Problem problem; ///< values as they came
    network::Circuit tuned;
    std::vector<std::string> ids;
};

/// The problem without those parts.
Problem thinner(const Problem& problem, network::Circuit circuit) {
    const auto before = network::parts(problem.circuit);
    Problem less = problem;
    less.circuit = std::move(circuit);
    less.free.clear();
    less.box = {};
    for (std::size_t p = 0; p < before.size(); ++p) {
        if (network::findPart(less.circuit, before[p].id)) {
            less.free.push_back(problem.free[p]);
            less.box.low.push_back(problem.box.low[p]);
            less.box.high.push_back(problem.box.high[p]);
        }
    }
    less.starts = 1;
    return less;
}

std::vector<std::string> missing(const network::Circuit& from, const network::Circuit& in) {
    std::vector<std::string> ids;
    for (const network::Part& part : network::parts(from)) {
        if (!network::findPart(in, part.id)) {
            ids.push_back(part.id);
        }
    }
    return ids;
}

/// Every part that may go, and every slot of several whose parts all may.
std::vector<Lesser> lesser(const Problem& problem, const network::Circuit& tuned) {
    const auto parts = network::parts(problem.circuit);
    std::vector<Lesser> all;
    const auto mayGo = [&](const std::vector<std::string>& ids) {
        for (std::size_t p = 0; p < parts.size(); ++p) {
            if (!problem.free[p] && std::ranges::find(ids, parts[p].id) != ids.end()) {
                return false;
            }
        }
        return true;
    };
    const auto offer = [&](const auto& without, const std::string& id) {
        const auto circuit = without(problem.circuit, id);
        const auto values = without(tuned, id);
        if (!circuit || !values || network::givesDirectCurrent(problem.circuit, *circuit)) {
            return;
        }
        const auto ids = missing(problem.circuit, *circuit);
        Problem less = thinner(problem, *circuit);
        const bool known = std::ranges::find(all, ids, &Lesser::ids) != all.end();
        const bool any = std::ranges::find(less.free, true) != less.free.end();
        if (!known && any && mayGo(ids)) {
            all.push_back({std::move(less), *values, ids});
        }
    };
    for (const network::Part& part : parts) {
        offer(network::withoutPart, part.id);
        offer(network::withoutSlotOf, part.id);
    }
    return all;
}

/// The problem started from the tuned values.
Problem fromTuned(const Lesser& less) {
    Problem problem = less.problem;
    problem.circuit = less.tuned;
    return problem;
}

} // namespace

Thinned
leaveOut(const Problem& problem, const Found& tuned, const Sparing& sparing, const GoOn& goOn) {
    Watch watch(goOn);
    const GoOn asked = std::ref(watch);
    Thinned thinned{.problem = problem, .found = tuned, .error = tuned.standing.rms()};
    thinned.problem.starts = 1;
    const double most = thinned.error + sparing.mayCost;
    while (tuned.allowed && !watch.stopped()) {
        const auto choices = lesser(thinned.problem, thinned.found.circuit);
        std::vector<std::optional<Found>> tried(choices.size());
        inParallel(choices.size(), [&](std::size_t i) {
            // One look at what it comes to without the checks that take long, filters held.
            const Problem start = fromTuned(choices[i]);
            Objective objective(start.circuit, start.loads, start.factors, start.free, start.goal);
            Box box;
            for (const std::size_t p : objective.free()) {
                box.low.push_back(start.box.low[p]);
                box.high.push_back(start.box.high[p]);
            }
            const Descent d = descend(objective, objective.start(), box, asked);
            if (d.standing.rms() <= most) {
                tried[i] = tuneValues(start, asked);
            }
        });
        if (watch.stopped()) {
            break;
        }
        const double now = thinned.found.standing.rms();
        const double price = sparing.prices.of(network::parts(thinned.found.circuit));
        std::optional<std::size_t> best;
        double least = 0.0;
        for (std::size_t i = 0; i < choices.size(); ++i) {
            if (!tried[i] || !tried[i]->allowed || tried[i]->standing.rms() > most) {
                continue;
            }
            const double saved = price - sparing.prices.of(network::parts(tried[i]->circuit));
            const bool byPrice = sparing.by == Sparing::By::price;
            if (byPrice && saved <= 0.0) {
                continue; // what is left would cost more than what goes
            }
            const double measure = byPrice ? -saved
                                           : (tried[i]->standing.rms() - now) /
                                                 static_cast<double>(choices[i].ids.size());
            if (!best || measure < least) {
                best = i;
                least = measure;
            }
        }
        if (!best) {
            break;
        }
        thinned.problem = choices[*best].problem;
        thinned.found = *tried[*best];
        thinned.steps.push_back({choices[*best].ids,
                                 thinned.found.standing.rms(),
                                 price - sparing.prices.of(network::parts(thinned.found.circuit))});
    }
    if (watch.stopped()) {
        thinned.found.stop = Stop::cancelled;
    }
    return thinned;
}

} // namespace yf::tune
