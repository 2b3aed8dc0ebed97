// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/study/tune.h"

#include "core/evaluation/crossing_band.h"
#include "core/evaluation/directions.h"
#include "core/evaluation/usable_band.h"
#include "core/network/circuit/line_edit.h"
#include "core/network/judge/tolerance.h"
#include "core/network/line/prototype.h"
#include "core/quantity/level.h"
#include "core/speaker/crossover.h"

#include <algorithm>
#include <cmath>
#include <limits>

namespace yf::study {

using curve::Axis;

namespace {

/// The assembled curves of a cabinet.
const evaluation::AssembledCabinet* assembledOf(const job::Job& job,
                                                const job::Cabinet& cabinet,
                                                const evaluation::Assembly& assembly) {
    const auto found = std::ranges::find(job.cabinets, cabinet.id, &job::Cabinet::id);
    const auto index = static_cast<std::size_t>(found - job.cabinets.begin());
    return index < assembly.cabinets.size() ? assembly.cabinets[index].get() : nullptr;
}

/// Where a driver is at home.
struct Home {
    double fs{}; ///< Hz; 0: its box's matter
    std::optional<double> low;
    std::optional<double> high;
};

/// What it may get, dB re the EMF: infinite at home.
double allowedDrive(double f, const Home& home) {
    constexpr double perOctave = 12.0;
    constexpr double atEdge = -6.0;
    constexpr double atResonance = -12.0;
    double most = std::numeric_limits<double>::infinity();
    if (f < home.fs) {
        most = atResonance + perOctave * std::log2(f / home.fs);
    }
    if (home.low && f < *home.low) {
        most = std::min(most, atEdge + perOctave * std::log2(f / *home.low));
    }
    if (home.high && f > *home.high) {
        most = std::min(most, atEdge - perOctave * std::log2(f / *home.high));
    }
    return most;
}

std::vector<tune::DriveLimit> limitsOf(const job::Job& job,
                                       const network::Circuit& circuit,
                                       const evaluation::Assembly& assembly,
                                       const Axis& axis) {
    std::vector<tune::DriveLimit> limits;
    const auto ends = network::driverEnds(circuit);
    for (std::size_t q = 0; q < ends.size(); ++q) {
        const auto reading = assembly.readings.find(ends[q].driver);
        if (reading == assembly.readings.end() || !reading->second.resonance) {
            continue;
        }
        const double fs = reading->second.resonance->fs;
        constexpr double bassBelow = 200.0;
        Home home{.fs = fs < bassBelow ? 0.0 : fs};
        const job::Driver* driver = job::findDriver(job, ends[q].driver);
        if (const auto known =
                driver == nullptr ? std::nullopt : evaluation::usableBandOf(job, *driver, fs)) {
            home.low = known->band.low;
            if (q + 1 < ends.size()) { // the highest way has nobody to hand over to
                home.high = known->band.high;
            }
        }
        tune::DriveLimit& limit = limits.emplace_back(tune::DriveLimit{.end = q});
        for (std::size_t k = 0; k < axis.size(); ++k) {
            limit.most.push_back(allowedDrive(axis[k], home));
        }
    }
    return limits;
}

} // namespace

Result<tune::Problem> goalProblem(const job::Job& job,
                                  const job::Cabinet& cabinet,
                                  const evaluation::Assembly& assembly,
                                  double floor) {
    const evaluation::AssembledCabinet* made = assembledOf(job, cabinet, assembly);
    if (made == nullptr || !made->loads || !made->hasImpedances || !made->hasResponses) {
        return Error{"cabinet",
                     made != nullptr && !made->missing.empty()
                         ? made->missing.front()
                         : YF_WORDS("core", "curves are missing"),
                     YF_WORDS("core", "tuning needs impedance and response of every driver")};
    }
    const network::Circuit& circuit = cabinet.circuit;
    if (circuit.tree() == nullptr || !circuit.couplings.empty()) {
        return Error{"network",
                     YF_WORDS("core", "it is no ladder"),
                     YF_WORDS("core", "tuning needs ways as ladders")};
    }
    YF_TRY(factors, network::pressureFactors(circuit, made->loads->loads()));
    const Axis& axis = made->axis;
    tune::Goal goal{.axis = axis, .levelFree = !cabinet.target.level, .floor = floor};
    for (const double f : axis) {
        goal.inBand.push_back(f >= cabinet.target.from && f <= cabinet.target.to);
        goal.target.push_back(cabinet.target.level.value_or(0.0) +
                              quantity::decibels(quantity::referencePressure));
    }
    goal.limits = limitsOf(job, circuit, assembly, axis);
    return tune::Problem{.circuit = circuit,
                         .loads = *made->loads,
                         .loadsOn = made->impedances,
                         .audible = *made->audible,
                         .factors = std::move(factors),
                         .goal = std::move(goal)};
}

namespace {

/// 20 lg of a Linkwitz-Riley slope.
double slopeLevel(int order, double x, bool highPass) {
    const auto D =
        network::prototype({.alignment = network::Alignment::linkwitzRiley, .order = order});
    return quantity::decibels(std::abs(network::filterAt(D, x, highPass)));
}

/// The pressure of a way where it is heard on the axis.
std::vector<network::Complex>
pressureOf(const tune::Problem& problem, const network::Solution& solution, std::size_t q) {
    auto p = solution.drives[q];
    for (std::size_t k = 0; k < p.size(); ++k) {
        p[k] *= problem.factors[q][k];
    }
    return p;
}

/// Where a pair changes places today.
std::optional<double>
crossesAt(const tune::Problem& problem, const network::Solution& solution, std::size_t q) {
    const auto lower = pressureOf(problem, solution, q);
    const auto upper = pressureOf(problem, solution, q + 1);
    const auto found = speaker::crossover({problem.goal.axis, lower, upper});
    return found ? std::optional(found->fx) : std::nullopt;
}

/// Each pair of neighbours changes places where both are at home, or where it does today: else a
/// driver may end up with nothing to do because the sum happens to be flat without it.
void putCrossings(const job::Job& job,
                  const evaluation::Assembly& assembly,
                  const network::Solution& solution,
                  tune::Problem& problem) {
    const auto ends = network::driverEnds(problem.circuit);
    for (std::size_t q = 0; q + 1 < ends.size(); ++q) {
        const auto fx = crossesAt(problem, solution, q);
        const auto band = evaluation::crossingBand(
            job, assembly, problem.loads.loads(), ends[q].driver, ends[q + 1].driver);
        if (fx && band) {
            problem.goal.crossings.push_back(
                {q, std::min(*fx, band->from), std::max(*fx, band->to)});
        }
    }
}

/// Each way after Linkwitz-Riley slopes where it crosses its neighbours today. What lies more than
/// 24 dB down does not count: nobody hears it, and it would rule.
std::optional<Error>
putSlopes(tune::Problem& problem, const network::Solution& solution, int order) {
    constexpr double heard = -24.0;
    constexpr double weight = 0.5;
    YF_EXPECT(order % 2 == 0);
    const Axis& axis = problem.goal.axis;
    std::vector<double> fx;
    for (std::size_t q = 0; q + 1 < solution.drives.size(); ++q) {
        const auto found = crossesAt(problem, solution, q);
        if (!found || (!fx.empty() && *found <= fx.back())) {
            return Error{"slopes",
                         say(YF_WORDS("core", "ways %1 and %2 do not cross"),
                             std::to_string(q + 1),
                             std::to_string(q + 2)),
                         YF_WORDS("core", "slopes are taken where neighbours cross today")};
        }
        fx.push_back(*found);
    }
    for (std::size_t q = 0; q <= fx.size(); ++q) {
        tune::WayGoal way{.end = q, .weight = weight};
        for (std::size_t k = 0; k < axis.size(); ++k) {
            double level = 0.0;
            if (q > 0) {
                level += slopeLevel(order, axis[k] / fx[q - 1], true);
            }
            if (q < fx.size()) {
                level += slopeLevel(order, axis[k] / fx[q], false);
            }
            way.levels.push_back(problem.goal.target[k] + level);
            way.matters.push_back(level > heard ? 1.0 : 0.0);
        }
        problem.goal.ways.push_back(std::move(way));
    }
    return std::nullopt;
}

} // namespace

void putAsides(const job::Job& job, const job::Cabinet& cabinet, tune::Problem& problem) {
    constexpr double weight = 0.5;
    constexpr double up = 10.0;
    constexpr double side = 30.0;
    for (const speaker::Direction& direction :
         {speaker::Direction{0.0, up * quantity::degree},
          speaker::Direction{0.0, -up * quantity::degree},
          speaker::Direction{side * quantity::degree, 0.0},
          speaker::Direction{-side * quantity::degree, 0.0}}) {
        tune::Aside aside{.factors =
                              evaluation::carriedTo(job, cabinet, problem.goal.axis, direction),
                          .weight = weight};
        for (std::size_t q = 0; q < aside.factors.size(); ++q) {
            for (std::size_t k = 0; k < aside.factors[q].size(); ++k) {
                aside.factors[q][k] *= problem.factors[q][k];
            }
        }
        problem.goal.asides.push_back(std::move(aside));
    }
}

Result<tune::Problem> tuneProblem(const job::Job& job,
                                  const job::Cabinet& cabinet,
                                  const evaluation::Assembly& assembly,
                                  const TuneWish& wish) {
    YF_TRY(problem, goalProblem(job, cabinet, assembly, wish.floor));
    YF_TRY(solution, network::solve(cabinet.circuit, problem.loads));
    // What a driver gets today it may get on.
    for (tune::DriveLimit& limit : problem.goal.limits) {
        for (std::size_t k = 0; k < limit.most.size(); ++k) {
            const double now = quantity::decibels(std::abs(solution.drives[limit.end][k]));
            limit.most[k] = std::max(limit.most[k], now);
        }
    }
    problem.starts = wish.starts;
    constexpr int enough = 16;
    problem.draws = wish.robust ? enough : 0;
    constexpr double ofTracking = 0.3;
    problem.goal.trackingWeight = wish.inStep ? ofTracking : 0.0;
    // Nor may it become much quieter than it is.
    constexpr double mayBeLost = 2.0;
    problem.goal.leastLevel = tune::judgedGoal(problem, cabinet.circuit).level - mayBeLost;
    putCrossings(job, assembly, solution, problem);
    if (wish.aside) {
        putAsides(job, cabinet, problem);
    }
    if (wish.slopes) {
        if (auto error = putSlopes(problem, solution, *wish.slopes)) {
            return *error;
        }
    }
    for (const network::Part& part : network::parts(cabinet.circuit)) {
        const auto usual = network::usualValues(part.kind);
        problem.free.push_back(!part.fixed);
        problem.box.low.push_back(std::log(std::min(usual.lowest, part.value)));
        problem.box.high.push_back(std::log(std::max(usual.highest, part.value)));
    }
    if (wish.filters && wish.changes == 0) {
        problem.knobs = network::lineKnobs(cabinet.circuit);
    }
    if (std::ranges::find(problem.free, true) == problem.free.end() && problem.knobs.empty()) {
        return Error{"network",
                     YF_WORDS("core", "no part may change"),
                     YF_WORDS("core", "take fixed=1 off some")};
    }
    return problem;
}

namespace {

/// Tuned with each pattern of polarities; the one that is there first, so that it wins a tie.
tune::Found everyWayRound(const tune::Problem& problem,
                          const TuneWish& wish,
                          const tune::GoOn& goOn,
                          tune::Problem& turned) {
    const auto ends = network::driverEnds(problem.circuit);
    const unsigned patterns = wish.polarities ? 1U << (ends.size() - 1) : 1U;
    std::optional<tune::Found> best;
    for (unsigned pattern = 0; pattern < patterns; ++pattern) {
        turned.circuit = problem.circuit;
        bool possible = true;
        for (std::size_t q = 1; q < ends.size(); ++q) {
            if ((pattern >> (q - 1) & 1U) != 0U) {
                auto other = network::withPolarity(turned.circuit, q, -ends[q].polarity);
                possible = possible && other.ok();
                if (other) {
                    turned.circuit = std::move(*other);
                }
            }
        }
        if (!possible) {
            continue;
        }
        const tune::Found found = tune::tuneValues(turned, goOn);
        if (!best || tune::isBetter(found, *best)) {
            best = found;
        }
        if (found.stop == tune::Stop::cancelled) {
            best->stop = tune::Stop::cancelled;
            break;
        }
    }
    return *best;
}

} // namespace

namespace {

/// The worst case of all parts at their limits within the band, with the usual tolerances.
double worstOfParts(const tune::Problem& problem, const network::Circuit& circuit) {
    const auto answer = network::tolerance(circuit, problem.loads, {});
    double worst = 0.0;
    for (std::size_t k = 0; answer && k < answer->worstCases.size(); ++k) {
        worst = std::max(worst, problem.goal.inBand[k] ? answer->worstCases[k] : 0.0);
    }
    return worst;
}

} // namespace

Tuned tuneCabinet(const tune::Problem& problem, const TuneWish& wish, const TuneWatch& watch) {
    Tuned tuned{.before = tune::judged(problem, problem.circuit)};
    TuneProgress progress{.standing = tuned.before.standing};
    constexpr double nearly = 0.01;
    double best = std::numeric_limits<double>::infinity();
    tune::Problem turned = problem; // the one in work
    const tune::GoOn goOn = [&](const std::vector<double>& x, const tune::Standing& standing) {
        ++progress.tried;
        const bool allowed = standing.floorMissed <= nearly && standing.limitMissed <= nearly;
        if (allowed && standing.cost < best) {
            best = standing.cost;
            progress.standing = standing;
            if (wish.changes == 0) {
                progress.best = tune::circuitAt(turned, x);
            }
        }
        return !watch || watch(progress);
    };
    if (wish.changes > 0) {
        tuned.steps = tune::fewestChanges(problem, wish.changes, goOn);
        tuned.found = tuned.steps.back();
    } else {
        tuned.found = everyWayRound(problem, wish, goOn, turned);
    }
    // Searches with other unknowns: only asked whether to go on.
    const tune::GoOn onward = [&](const auto&, const auto&) {
        ++progress.tried;
        return !watch || watch(progress);
    };
    turned.circuit = problem.circuit;
    if (wish.sparing && wish.changes == 0 && tuned.found.stop != tune::Stop::cancelled) {
        tune::Thinned thinned = tune::leaveOut(turned, tuned.found, *wish.sparing, onward);
        tuned.leftOut = std::move(thinned.steps);
        tuned.found = std::move(thinned.found);
        turned = std::move(thinned.problem);
    }
    if (!wish.values.exact() && tuned.found.stop != tune::Stop::cancelled) {
        tuned.found = tune::purchasable(turned, tuned.found, wish.values, onward);
    }
    if (wish.sparing) {
        const network::Prices& prices = wish.sparing->prices;
        tuned.priceBefore = prices.of(network::parts(problem.circuit));
        tuned.price = prices.of(network::parts(tuned.found.circuit));
    }
    if (!problem.goal.ways.empty() || !problem.goal.asides.empty()) {
        // People are told of the sum; the ways' slopes were a means.
        tune::Problem sum = problem;
        sum.goal.ways.clear();
        sum.goal.asides.clear();
        for (tune::Found* told : {&tuned.before, &tuned.found}) {
            told->standing = tune::judgedGoal(sum, told->circuit);
        }
        for (tune::Found& step : tuned.steps) {
            step.standing = tune::judgedGoal(sum, step.circuit);
        }
    }
    tuned.partsOff = worstOfParts(problem, tuned.found.circuit);
    return tuned;
}

} // namespace yf::study
