// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/tune/tuner.h"

#include "core/base/parallel.h"
#include "core/network/circuit/ladder_edit.h"
#include "core/network/circuit/line_edit.h"
#include "core/network/judge/tolerance.h"
#include "core/tune/watch.h"

#include <algorithm>
#include <cmath>
#include <random>

namespace yf::tune {

namespace {

constexpr double floorSlack = 0.999;
constexpr double limitSlack = 0.01; // dB

network::Circuit withParts(const network::Circuit& circuit,
                           const std::vector<network::Part>& parts) {
    network::Circuit changed = circuit;
    for (const network::Part& part : parts) {
        changed = *network::withPart(changed, part);
    }
    return changed;
}

/// The box of the unknowns alone: free parts, then knobs about where the problem has them.
Box boxOf(const Problem& problem, const std::vector<std::size_t>& free) {
    Box box;
    for (const std::size_t p : free) {
        box.low.push_back(problem.box.low[p]);
        box.high.push_back(problem.box.high[p]);
    }
    for (const network::LineKnob& knob : problem.knobs) {
        const auto range = network::rangeOf(*network::lineOf(problem.circuit, knob.way), knob);
        box.low.push_back(range.low);
        box.high.push_back(range.high);
    }
    return box;
}

Found checked(const Problem& problem, network::Circuit circuit, const Standing& standing) {
    Found found{.circuit = std::move(circuit), .standing = standing};
    if (!problem.goal.floor) {
        found.allowed = standing.limitMissed <= limitSlack;
        return found;
    }
    found.impedance = *network::leastImpedance(found.circuit, problem.loadsOn, problem.audible);
    found.allowed = standing.limitMissed <= limitSlack &&
                    found.impedance.ohms >= floorSlack * *problem.goal.floor;
    return found;
}

/// Each part uniform within its tolerance.
std::vector<std::vector<double>> drawsOf(const Problem& problem, const network::Circuit& circuit) {
    std::vector<std::vector<double>> draws(static_cast<std::size_t>(problem.draws));
    const auto parts = network::parts(circuit);
    const network::Tolerances usual;
    std::mt19937_64 engine(problem.seed);
    for (auto& draw : draws) {
        for (std::size_t p = 0; p < parts.size(); ++p) {
            const double u = static_cast<double>(engine() >> 11U) * 0x1.0p-53;
            if (problem.free[p]) {
                draw.push_back(std::log1p(usual.of(parts[p]) * (2.0 * u - 1.0)));
            }
        }
    }
    return draws;
}

Objective objectiveOf(const Problem& problem, const network::Circuit& circuit, const Goal& goal) {
    Objective objective(circuit, problem.loads, problem.factors, problem.free, goal, problem.knobs);
    objective.setDraws(drawsOf(problem, circuit));
    return objective;
}

/// From x until floor and limits hold, or pushing harder helps no more.
Found enforced(const Problem& problem,
               const network::Circuit& circuit,
               std::vector<double> x,
               const GoOn& goOn) {
    Goal goal = problem.goal;
    std::optional<Found> best;
    constexpr int rounds = 8;
    for (int round = 0; round < rounds; ++round) {
        Objective objective = objectiveOf(problem, circuit, goal);
        const Descent d = descend(objective, x, boxOf(problem, objective.free()), goOn);
        // Told by the goal itself, not by one that pushes harder.
        Objective plain = objectiveOf(problem, circuit, problem.goal);
        const auto parts = withParts(circuit, objective.partsAt(d.x));
        Found found =
            checked(problem,
                    network::turned(parts, problem.knobs, d.x.data() + objective.free().size()),
                    plain.value(d.x));
        found.stop = d.stop;
        const bool better = !best || found.allowed ||
                            found.standing.floorMissed + found.standing.limitMissed <
                                best->standing.floorMissed + best->standing.limitMissed;
        if (better) {
            best = found;
        }
        if (found.allowed || d.stop == Stop::cancelled) {
            return *best;
        }
        x = d.x;
        constexpr double harder = 4.0;
        goal.floorFactor *= harder;
        goal.levelFactor *= harder;
        goal.limitFactor *= harder;
        if (goal.floor && found.impedance.ohms < floorSlack * *problem.goal.floor) {
            // What lies between the points is lower than the points say.
            constexpr double more = 1.002;
            *goal.floor *= more;
        }
        for (DriveLimit& limit : goal.limits) {
            for (double& most : limit.most) {
                most -= limitSlack;
            }
        }
        if (goal.leastLevel) {
            *goal.leastLevel += limitSlack / 2.0;
        }
        for (Crossing& crossing : goal.crossings) {
            crossing.margin += limitSlack;
        }
    }
    best->stop = Stop::floorUnreachable;
    return *best;
}

std::vector<std::vector<std::size_t>> subsets(const std::vector<std::size_t>& of,
                                              std::size_t count) {
    std::vector<std::vector<std::size_t>> all;
    std::vector<bool> chosen(of.size(), false);
    std::fill(chosen.begin(), chosen.begin() + static_cast<std::ptrdiff_t>(count), true);
    do {
        std::vector<std::size_t>& one = all.emplace_back();
        for (std::size_t i = 0; i < of.size(); ++i) {
            if (chosen[i]) {
                one.push_back(of[i]);
            }
        }
    } while (std::prev_permutation(chosen.begin(), chosen.end()));
    return all;
}

} // namespace

std::vector<double> shaken(const std::vector<double>& x, int index, std::uint64_t seed) {
    if (index == 0) {
        return x;
    }
    // The n-th point of an additive recurrence by powers of the root of x^(d+1) = x + 1.
    double root = 1.5;
    constexpr int steps = 60;
    for (int i = 0; i < steps; ++i) {
        root = std::pow(1.0 + root, 1.0 / (static_cast<double>(x.size()) + 1.0));
    }
    std::mt19937_64 engine(seed);
    std::vector<double> y = x;
    double alpha = 1.0;
    for (double& value : y) {
        alpha /= root;
        const double shift = static_cast<double>(engine() >> 11U) * 0x1.0p-53;
        double whole = 0.0;
        const double u = std::modf(shift + index * alpha, &whole);
        constexpr double reach = 0.7;
        value += reach * (2.0 * u - 1.0);
    }
    return y;
}

network::Circuit circuitAt(const Problem& problem, const std::vector<double>& x) {
    network::Circuit circuit = problem.circuit;
    const auto parts = network::parts(circuit);
    std::size_t i = 0;
    for (std::size_t p = 0; p < parts.size(); ++p) {
        if (problem.free[p]) {
            circuit = *network::withPart(circuit, network::withValue(parts[p], std::exp(x[i++])));
        }
    }
    return network::turned(circuit, problem.knobs, x.data() + i);
}

bool isBetter(const Found& a, const Found& b) {
    if (a.allowed != b.allowed) {
        return a.allowed;
    }
    return a.standing.cost < b.standing.cost;
}

Standing judgedGoal(const Problem& problem, const network::Circuit& circuit) {
    const std::vector<bool> free(network::parts(circuit).size(), true);
    Objective objective(circuit, problem.loads, problem.factors, free, problem.goal);
    return objective.value(objective.start());
}

Found judged(const Problem& problem, const network::Circuit& circuit) {
    Objective objective = objectiveOf(problem, circuit, problem.goal);
    return checked(problem, circuit, objective.value(objective.start()));
}

Found tuneValues(const Problem& problem, const GoOn& goOn) {
    Watch watch(goOn);
    const GoOn asked = std::ref(watch);
    const std::vector<double> x = objectiveOf(problem, problem.circuit, problem.goal).start();
    std::vector<std::optional<Found>> all(static_cast<std::size_t>(problem.starts));
    inParallel(all.size(), [&](std::size_t i) {
        all[i] =
            enforced(problem, problem.circuit, shaken(x, static_cast<int>(i), problem.seed), asked);
    });
    Found best = *all.front();
    for (const auto& found : all) {
        if (isBetter(*found, best)) {
            best = *found;
        }
    }
    if (watch.stopped()) {
        best.stop = Stop::cancelled;
    }
    return best;
}

std::vector<Found> fewestChanges(const Problem& problem, int most, const GoOn& goOn) {
    Watch watch(goOn);
    const GoOn asked = std::ref(watch);
    std::vector<std::size_t> candidates;
    for (std::size_t p = 0; p < problem.free.size(); ++p) {
        if (problem.free[p]) {
            candidates.push_back(p);
        }
    }
    std::vector<Found> front{judged(problem, problem.circuit)};
    for (std::size_t k = 1; k <= std::min(candidates.size(), static_cast<std::size_t>(most)); ++k) {
        const auto choices = subsets(candidates, k);
        // First without the checks that take long, then those in the order of their cost.
        std::vector<Descent> tried(choices.size());
        const auto with = [&](const std::vector<std::size_t>& choice) {
            Problem some = problem;
            some.knobs.clear();
            std::fill(some.free.begin(), some.free.end(), false);
            for (const std::size_t p : choice) {
                some.free[p] = true;
            }
            return some;
        };
        inParallel(choices.size(), [&](std::size_t i) {
            const Problem some = with(choices[i]);
            Objective objective = objectiveOf(some, some.circuit, some.goal);
            tried[i] = descend(objective, objective.start(), boxOf(some, objective.free()), asked);
        });
        std::vector<std::size_t> order(choices.size());
        for (std::size_t i = 0; i < order.size(); ++i) {
            order[i] = i;
        }
        std::ranges::stable_sort(order, {}, [&](std::size_t i) { return tried[i].standing.cost; });
        std::optional<Found> best;
        constexpr std::size_t enough = 12;
        for (std::size_t i = 0; i < std::min(order.size(), enough); ++i) {
            const std::size_t at = order[i];
            if (best && best->allowed && tried[at].standing.cost >= best->standing.cost) {
                break;
            }
            const Problem some = with(choices[at]);
            const Found found = enforced(some, some.circuit, tried[at].x, asked);
            if (!best || isBetter(found, *best)) {
                best = found;
            }
        }
        front.push_back(*best);
        if (watch.stopped()) {
            front.back().stop = Stop::cancelled;
            break;
        }
    }
    return front;
}

} // namespace yf::tune
