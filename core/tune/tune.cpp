// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/tune/tune.h"

#include "core/network/circuit/ladder_edit.h"
#include "core/quantity/level.h"
#include "core/text/given.h"
#include "core/text/nearest.h"

#include <algorithm>
#include <cmath>
#include <limits>

namespace yf::tune {

namespace {

using network::Network;

/// Design points in the band, every fourth outside, and those where a limit is stated.
Axis axisOf(const Network& network, const GoalRequest& goal) {
    const Axis covered = network::coveredAxis(network);
    Axis axis;
    constexpr double low = 20.0;
    constexpr double high = 20000.0;
    for (std::size_t k = 0; k < covered.size(); ++k) {
        const double f = covered[k];
        const bool inBand = f >= goal.from && f <= goal.to;
        if (inBand || (k % 4 == 0 && f >= low && f <= high)) {
            axis.push_back(f);
        }
    }
    for (const LimitRequest& limit : goal.limits) {
        for (const double f : limit.frequencies) {
            if (!covered.empty() && f >= covered.front() && f <= covered.back()) {
                axis.push_back(f);
            }
        }
    }
    std::ranges::sort(axis);
    axis.erase(
        std::unique(axis.begin(), axis.end(), [](double a, double b) { return b - a < 1e-9 * a; }),
        axis.end());
    return axis;
}

/// Straight lines over ln f; the ends hold.
double interpolated(const std::vector<double>& f, const std::vector<double>& y, double at) {
    const auto next = std::ranges::upper_bound(f, at);
    if (next == f.begin()) {
        return y.front();
    }
    if (next == f.end()) {
        return y.back();
    }
    const auto i = static_cast<std::size_t>(next - f.begin());
    const double share = std::log(at / f[i - 1]) / std::log(f[i] / f[i - 1]);
    return y[i - 1] + share * (y[i] - y[i - 1]);
}

double levelOf(const network::Polynomial& D, double x, bool high) {
    return quantity::decibels(network::filterAt(D, x, high));
}

std::vector<double> levelsOf(const WayTarget& target, const Axis& axis) {
    const auto D = network::prototype({.alignment = target.alignment, .order = target.order});
    std::vector<double> levels;
    for (const double f : axis) {
        switch (target.kind) {
        case Slopes::lowPass:
            levels.push_back(levelOf(D, f / *target.fx, false));
            break;
        case Slopes::highPass:
            levels.push_back(levelOf(D, f / *target.fx, true));
            break;
        case Slopes::bandPass:
            levels.push_back(levelOf(D, f / *target.fxLow, true) +
                             levelOf(D, f / *target.fxHigh, false));
            break;
        }
    }
    return levels;
}

Error unknown(const std::string& subject,
              const std::string& name,
              const std::vector<std::string>& all) {
    return Error{subject,
                 say(YF_WORDS("core", "'%1' is unknown"), name),
                 all.empty()
                     ? "there is none"
                     : say(YF_WORDS("core", "the nearest is %1"), text::nearest(name, all))};
}

std::optional<Error> putWays(Goal& goal, const Network& network, const GoalRequest& r) {
    const auto ways = network::wayNames(network.circuit);
    for (std::size_t i = 0; i < r.wayTargets.size(); ++i) {
        const WayTarget& target = r.wayTargets[i];
        const auto found = std::ranges::find(ways, target.way);
        if (found == ways.end()) {
            return unknown("way_targets[" + std::to_string(i) + "].way", target.way, ways);
        }
        WayGoal& way =
            goal.ways.emplace_back(WayGoal{.end = static_cast<std::size_t>(found - ways.begin()),
                                           .levels = levelsOf(target, goal.axis),
                                           .weight = target.weight});
        for (std::size_t k = 0; k < goal.axis.size(); ++k) {
            way.levels[k] += goal.target[k];
        }
    }
    return std::nullopt;
}

/// A limit on the axis; beyond its ends nothing is said.
std::vector<double> limitOn(const Axis& axis, const LimitRequest& limit) {
    constexpr double same = 1e-9;
    std::vector<double> most;
    most.reserve(axis.size());
    for (const double f : axis) {
        const bool stated = f >= limit.frequencies.front() * (1.0 - same) &&
                            f <= limit.frequencies.back() * (1.0 + same);
        most.push_back(stated ? interpolated(limit.frequencies, limit.most, f)
                              : std::numeric_limits<double>::infinity());
    }
    return most;
}

std::optional<Error> putLimits(Goal& goal, const Network& network, const GoalRequest& r) {
    std::vector<std::string> names;
    const auto ends = network::driverEnds(network.circuit);
    names.reserve(ends.size());
    for (const auto& end : ends) {
        names.push_back(end.driver);
    }
    for (std::size_t i = 0; i < r.limits.size(); ++i) {
        const LimitRequest& limit = r.limits[i];
        if (std::ranges::find(names, limit.driver) == names.end()) {
            return unknown("drive_limits[" + std::to_string(i) + "].driver", limit.driver, names);
        }
        for (std::size_t q = 0; q < names.size(); ++q) {
            if (names[q] == limit.driver) {
                goal.limits.push_back(DriveLimit{.end = q, .most = limitOn(goal.axis, limit)});
            }
        }
    }
    return std::nullopt;
}

Result<Goal> goalOf(const Network& network, const GoalRequest& r, const Axis& axis) {
    Goal goal{.axis = axis,
              .levelFree = !r.targetLevel && (!r.targets || r.levelFree),
              .sumWeight = r.sumWeight,
              .trackingWeight = r.trackingWeight,
              .floor = r.minimum,
              .leastLevel = r.leastLevel};
    for (const double f : axis) {
        goal.inBand.push_back(f >= r.from && f <= r.to);
        constexpr double middle = 1000.0;
        double target = r.tilt * std::log2(f / middle) + r.targetLevel.value_or(0.0);
        if (r.targets) {
            target += interpolated(*r.targetFrequencies, *r.targets, f);
        }
        // The sum is a pressure: levels are re 20 µPa, those of bare drives re the EMF.
        const bool pressure = std::ranges::any_of(
            network.drivers, [](const network::NamedDriver& d) { return d.response.has_value(); });
        if (pressure) {
            target += quantity::decibels(quantity::referencePressure);
        }
        goal.target.push_back(target);
    }
    if (auto error = putWays(goal, network, r)) {
        return *error;
    }
    if (auto error = putLimits(goal, network, r)) {
        return *error;
    }
    return goal;
}

std::optional<Error> checkWay(const WayTarget& way, const std::string& at) {
    const bool band = way.kind == Slopes::bandPass;
    if (band ? !way.fxLow || !way.fxHigh : !way.fx) {
        return Error{at + (!band       ? ".fx_hz"
                           : way.fxLow ? ".fx_high_hz"
                                       : ".fx_low_hz"),
                     "missing",
                     "this kind needs it"};
    }
    if (band && *way.fxHigh <= *way.fxLow) {
        return Error{at + ".fx_high_hz", "not above fx_low_hz", "must be above it"};
    }
    if (way.alignment == network::Alignment::linkwitzRiley && way.order % 2 == 1) {
        return Error{at + ".order",
                     text::given(std::to_string(way.order)),
                     YF_WORDS("core", "Linkwitz-Riley is even only")};
    }
    return std::nullopt;
}

std::optional<Error> checkTable(const std::vector<double>& f,
                                const std::vector<double>& y,
                                const std::string& frequencies,
                                const std::string& levels) {
    if (f.empty()) {
        return Error{frequencies, "0 entries given", "must have at least 1"};
    }
    if (std::ranges::adjacent_find(f, std::greater_equal{}) != f.end()) {
        return Error{frequencies, "not ascending", "must be ascending"};
    }
    if (f.size() != y.size()) {
        return Error{levels,
                     say(YF_WORDS("core", "%1 entries given"), std::to_string(y.size())),
                     say(YF_WORDS("core", "must have as many as %1, %2"),
                         frequencies,
                         std::to_string(f.size()))};
    }
    return std::nullopt;
}

std::vector<std::string> changedIds(const network::Circuit& before, const network::Circuit& after) {
    std::vector<std::string> ids;
    for (const network::Part& part : network::parts(before)) {
        constexpr double same = 1e-9;
        const auto now = network::findPart(after, part.id); // not there: left out
        if (now && std::abs(now->value / part.value - 1.0) > same) {
            ids.push_back(part.id);
        }
    }
    return ids;
}

/// Which parts may change, and how far.
std::optional<Error> putFreedom(Problem& problem, const TuneRequest& r) {
    const auto parts = network::parts(problem.circuit);
    std::vector<std::string> ids;
    ids.reserve(parts.size());
    for (const auto& part : parts) {
        ids.push_back(part.id);
    }
    const std::vector<std::string> fixed = r.fixedIds.value_or(std::vector<std::string>{});
    for (std::size_t i = 0; i < fixed.size(); ++i) {
        if (std::ranges::find(ids, fixed[i]) == ids.end()) {
            return unknown("fixed_ids[" + std::to_string(i) + "]", fixed[i], ids);
        }
    }
    for (std::size_t p = 0; p < parts.size(); ++p) {
        problem.free[p] = !parts[p].fixed && std::ranges::find(fixed, parts[p].id) == fixed.end();
        if (r.boundRatios) {
            problem.box.low[p] = std::log(parts[p].value * r.boundRatios->front());
            problem.box.high[p] = std::log(parts[p].value * r.boundRatios->back());
        }
    }
    return std::ranges::find(problem.free, true) == problem.free.end() && !r.tuneLines
               ? std::optional(Error{"network",
                                     YF_WORDS("core", "every part is fixed"),
                                     YF_WORDS("core", "nothing is free to tune")})
               : std::nullopt;
}

} // namespace

std::optional<Error> check(const GoalRequest& r) {
    if (r.from >= r.to) {
        return Error{"to_hz",
                     text::given(text::printNumber(r.to)),
                     say(YF_WORDS("core", "must be above from_hz, %1"), text::printNumber(r.from))};
    }
    if (r.targets.has_value() != r.targetFrequencies.has_value()) {
        return Error{
            r.targets ? "target_frequencies_hz" : "targets_db", "missing", "a target needs both"};
    }
    if (r.targets) {
        if (r.targetLevel) {
            return Error{"target_level_db", "given beside targets_db", "give one of them"};
        }
        if (auto error = checkTable(
                *r.targetFrequencies, *r.targets, "target_frequencies_hz", "targets_db")) {
            return error;
        }
    }
    for (std::size_t i = 0; i < r.wayTargets.size(); ++i) {
        if (auto error = checkWay(r.wayTargets[i], "way_targets[" + std::to_string(i) + "]")) {
            return error;
        }
    }
    for (std::size_t i = 0; i < r.limits.size(); ++i) {
        const std::string at = "drive_limits[" + std::to_string(i) + "]";
        if (auto error = checkTable(r.limits[i].frequencies,
                                    r.limits[i].most,
                                    at + ".frequencies_hz",
                                    at + ".max_db")) {
            return error;
        }
    }
    const bool anything = r.sumWeight > 0.0 || r.trackingWeight > 0.0 || !r.wayTargets.empty();
    return anything ? std::nullopt
                    : std::optional(Error{"sum_weight", "0 given", "nothing would count"});
}

std::optional<Error> check(const TuneRequest& r) {
    if (auto error = check(r.goal)) {
        return error;
    }
    if (r.boundRatios &&
        (r.boundRatios->size() != 2 || r.boundRatios->front() >= r.boundRatios->back())) {
        return Error{"bound_ratios", "not a pair", "must be the least and the greatest ratio"};
    }
    if (r.tuneLines && r.maxChanges) {
        return Error{
            "tune_lines", "given beside max_changes", "few changes are of parts; give one of them"};
    }
    if (r.mayCost && r.maxChanges) {
        return Error{"may_cost_db",
                     "given beside max_changes",
                     "parts are left out where all may change; give one of them"};
    }
    return std::nullopt;
}

Result<Problem> problemOf(const Network& network, const GoalRequest& r) {
    if (network.circuit.tree() == nullptr || !network.circuit.couplings.empty()) {
        return Error{"network",
                     network.circuit.tree() == nullptr ? YF_WORDS("core", "a free net given")
                                                       : YF_WORDS("core", "coupled coils given"),
                     YF_WORDS("core", "tuning needs ways as ladders")};
    }
    const Axis axis = axisOf(network, r);
    const bool any = std::ranges::any_of(axis, [&](double f) { return f >= r.from && f <= r.to; });
    if (!any) {
        return Error{"from_hz",
                     YF_WORDS("core", "no point between from_hz and to_hz"),
                     YF_WORDS("core", "the drivers' tables end before")};
    }
    YF_TRY(made, network::loadsOn(network, axis));
    network::PreparedLoads loads(std::move(made));
    YF_TRY(solution, network::solve(network.circuit, loads));
    static_cast<void>(solution);
    YF_TRY(factors, network::pressureFactors(network.circuit, loads.loads()));
    YF_TRY(goal, goalOf(network, r, axis));
    constexpr double low = 20.0;
    constexpr double high = 20000.0;
    YF_TRY(audible,
           network::loadsOn(network, curve::within(network::coveredAxis(network), low, high)));
    Problem problem{.circuit = network.circuit,
                    .loads = std::move(loads),
                    .loadsOn = network::loadSource(network),
                    .audible = network::PreparedLoads(std::move(audible)),
                    .factors = std::move(factors),
                    .goal = std::move(goal)};
    for (const network::Part& part : network::parts(network.circuit)) {
        const auto usual = network::usualValues(part.kind);
        problem.free.push_back(!part.fixed);
        // A part that is there already may stay where it is.
        problem.box.low.push_back(std::log(std::min(usual.lowest, part.value)));
        problem.box.high.push_back(std::log(std::max(usual.highest, part.value)));
    }
    return problem;
}

Result<TuneAnswer> tune(const TuneRequest& r) {
    YF_TRY(problem, problemOf(r.network, r.goal));
    if (r.tuneLines) {
        problem.knobs = network::lineKnobs(problem.circuit);
        if (problem.knobs.empty()) {
            return Error{"tune_lines",
                         "given, and no way has an amplifier of its own",
                         "give each way a line, or leave it out"};
        }
    }
    if (auto error = putFreedom(problem, r)) {
        return *error;
    }
    problem.starts = r.starts;
    problem.seed = static_cast<std::uint64_t>(r.seed);
    problem.draws = r.draws;
    TuneAnswer answer{.network = r.network};
    Found found;
    if (r.maxChanges) {
        const auto front = fewestChanges(problem, *r.maxChanges, {});
        for (std::size_t k = 0; k < front.size(); ++k) {
            answer.changes.push_back({static_cast<int>(k),
                                      front[k].standing.rms(),
                                      changedIds(r.network.circuit, front[k].circuit)});
        }
        found = front.back();
    } else {
        found = tuneValues(problem, {});
    }
    if (r.mayCost) {
        Thinned thinned = leaveOut(problem, found, {r.sparing, *r.mayCost, r.prices}, {});
        problem = std::move(thinned.problem);
        found = std::move(thinned.found);
        answer.leftOut = std::move(thinned.steps);
    }
    if (const network::EndValues ends{r.eSeries, r.stock}; !ends.exact()) {
        found = purchasable(problem, found, ends, {});
    }
    answer.network.circuit = found.circuit;
    answer.price = r.prices.of(network::parts(found.circuit));
    answer.changed = changedIds(r.network.circuit, found.circuit);
    answer.rms = found.standing.rms();
    answer.most = found.standing.most;
    answer.level = found.standing.level + r.goal.targetLevel.value_or(0.0);
    answer.stop = found.stop;
    YF_TRY(least, network::leastImpedance(found.circuit, problem.loadsOn, problem.audible));
    answer.impedanceMinimum = least.ohms;
    YF_TRY(solution, network::solve(found.circuit, problem.loads));
    answer.driverNames = solution.driverNames;
    for (const auto& drive : solution.drives) {
        auto& row = answer.drives.emplace_back();
        for (std::size_t k = 0; k < drive.size(); ++k) {
            if (problem.goal.inBand[k]) {
                row.push_back(quantity::decibels(std::abs(drive[k])));
            }
        }
    }
    return answer;
}

text::Value TuneAnswer::write() const {
    using text::Value;
    const auto words = [](const std::vector<std::string>& list) {
        Value::List out;
        for (const std::string& word : list) {
            out.emplace_back(word);
        }
        return out;
    };
    Value::Object values;
    Value::List ids;
    for (const network::Part& part : network::parts(network.circuit)) {
        static constexpr const char* units[] = {"_ohm", "_h", "_f"};
        values.push_back({part.id + units[static_cast<std::size_t>(part.kind)], part.value});
        ids.emplace_back(part.id);
    }
    Value::List rows;
    for (const auto& drive : drives) {
        Value::List row;
        for (const double dB : drive) {
            row.emplace_back(dB);
        }
        rows.emplace_back(row);
    }
    Value::Object object{{"network", network.write()},
                         {"values", values},
                         {"part_ids", ids},
                         {"changed", words(changed)},
                         {"rms_error_db", rms},
                         {"max_error_db", most},
                         {"level_db", level},
                         {"impedance_min_ohm", impedanceMinimum},
                         {"driver_names", words(driverNames)},
                         {"drives_db", rows},
                         {"stop_reason", std::string(stopName(stop))},
                         {"price", price}};
    if (!leftOut.empty()) {
        Value::List steps;
        for (const Spared& step : leftOut) {
            steps.emplace_back(Value::Object{
                {"ids", words(step.ids)}, {"error_db", step.error}, {"saved", step.saved}});
        }
        object.push_back({"left_out", steps});
    }
    if (!changes.empty()) {
        Value::List steps;
        for (const Change& change : changes) {
            steps.emplace_back(Value::Object{{"count", change.count},
                                             {"rms_error_db", change.rms},
                                             {"changed", words(change.ids)}});
        }
        object.push_back({"changes", steps});
    }
    return object;
}

} // namespace yf::tune
