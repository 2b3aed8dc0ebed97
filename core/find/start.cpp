// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/find/start.h"

#include "core/quantity/level.h"

#include <algorithm>
#include <cmath>

namespace yf::find {

namespace {

/// `count` of the indices, evenly, ends included.
void takeEvenly(const std::vector<std::size_t>& from,
                std::size_t count,
                std::vector<std::size_t>& to) {
    if (from.size() <= count) {
        to.insert(to.end(), from.begin(), from.end());
        return;
    }
    for (std::size_t i = 0; i < count; ++i) {
        to.push_back(from[i * (from.size() - 1) / (count - 1)]);
    }
}

template <class T>
std::vector<T> picked(const std::vector<T>& all, const std::vector<std::size_t>& which) {
    std::vector<T> some;
    some.reserve(which.size());
    for (const std::size_t k : which) {
        some.push_back(all[k]);
    }
    return some;
}

/// Levels of the slope, dB re its pass band.
std::vector<double> levelsOf(const Slope& slope, const curve::Axis& axis) {
    const auto D =
        network::prototype({.alignment = network::Alignment::linkwitzRiley, .order = slope.order});
    std::vector<double> levels(axis.size(), 0.0);
    for (std::size_t k = 0; k < axis.size(); ++k) {
        if (slope.fxLow) {
            levels[k] += quantity::decibels(network::filterAt(D, axis[k] / *slope.fxLow, true));
        }
        if (slope.fxHigh) {
            levels[k] += quantity::decibels(network::filterAt(D, axis[k] / *slope.fxHigh, false));
        }
    }
    return levels;
}

Start startOf(const network::Load& load, const curve::Axis& axis, const Slope& slope) {
    const double low = slope.fxLow.value_or(axis.front());
    const double high = slope.fxHigh.value_or(axis.back());
    const double about = slope.fxLow && slope.fxHigh ? std::sqrt(low * high)
                         : slope.fxLow               ? low
                                                     : high;
    // Where a way has its trouble more often than not: above what it is used for, but a tweeter.
    constexpr double octave = 2.0;
    return {.fxLow = low,
            .fxHigh = high,
            .load = modulusAt(load, axis, about),
            .Re = std::max(1.0, load.dcResistance),
            .trapAt = std::min(octave * (slope.fxHigh ? high : low), axis.back())};
}

} // namespace

double ownLevel(const tune::Problem& problem,
                const std::vector<curve::Range>& crossings,
                std::size_t way) {
    const tune::Goal& goal = problem.goal;
    const auto middle = [&](std::size_t pair) {
        return std::sqrt(crossings[pair].from * crossings[pair].to);
    };
    double sum = 0.0;
    int points = 0;
    for (std::size_t k = 0; k < goal.axis.size(); ++k) {
        const bool inside = goal.inBand[k] && (way == 0 || goal.axis[k] >= middle(way - 1)) &&
                            (way == crossings.size() || goal.axis[k] <= middle(way));
        if (inside) {
            sum += quantity::decibels(problem.factors[way][k]) - goal.target[k];
            ++points;
        }
    }
    return points > 0 ? sum / points : 0.0;
}

void keepLevel(tune::Problem& problem, const std::vector<curve::Range>& crossings) {
    if (!problem.goal.levelFree || problem.goal.leastLevel) {
        return;
    }
    constexpr double mayBeLost = 2.0;
    double least = ownLevel(problem, crossings, 0);
    for (std::size_t way = 1; way <= crossings.size(); ++way) {
        least = std::min(least, ownLevel(problem, crossings, way));
    }
    problem.goal.leastLevel = least - mayBeLost;
}

double modulusAt(const network::Load& load, const curve::Axis& axis, double f) {
    const auto next = std::ranges::lower_bound(axis, f);
    const auto k = std::min(static_cast<std::size_t>(next - axis.begin()), axis.size() - 1);
    return std::abs(load.impedance[k]);
}

tune::Problem thinned(const tune::Problem& problem, std::size_t points) {
    const curve::Axis& axis = problem.goal.axis;
    std::vector<std::size_t> inside;
    std::vector<std::size_t> outside;
    for (std::size_t k = 0; k < axis.size(); ++k) {
        (problem.goal.inBand[k] ? inside : outside).push_back(k);
    }
    std::vector<std::size_t> which;
    const std::size_t within =
        outside.size() < points / 3 ? points - outside.size() : points - points / 3;
    takeEvenly(inside, within, which);
    takeEvenly(outside, points - std::min(within, inside.size()), which);
    std::ranges::sort(which);
    network::Loads loads = problem.loads.loads();
    loads.axis = picked(axis, which);
    for (network::Load& load : loads.drivers) {
        load.impedance = picked(load.impedance, which);
        if (load.pressure) {
            load.pressure = picked(*load.pressure, which);
        }
    }
    tune::Problem thin = problem;
    thin.goal.axis = loads.axis;
    thin.goal.inBand = picked(problem.goal.inBand, which);
    thin.goal.target = picked(problem.goal.target, which);
    for (tune::DriveLimit& limit : thin.goal.limits) {
        limit.most = picked(limit.most, which);
    }
    for (tune::WayGoal& way : thin.goal.ways) {
        way.levels = picked(way.levels, which);
    }
    for (tune::Aside& aside : thin.goal.asides) {
        for (auto& row : aside.factors) {
            row = picked(row, which);
        }
    }
    for (auto& row : thin.factors) {
        row = picked(row, which);
    }
    thin.loads = network::PreparedLoads(std::move(loads));
    return thin;
}

void appendTo(std::vector<double>& x, const Shape& shape, const Values& values) {
    for (const Role role : rolesOf(shape)) {
        x.push_back(std::log(values[static_cast<std::size_t>(role)]));
    }
}

void takeFrom(const std::vector<double>& x, std::size_t& next, const Shape& shape, Values& values) {
    for (const Role role : rolesOf(shape)) {
        values[static_cast<std::size_t>(role)] = std::exp(x[next++]);
    }
}

void appendTo(tune::Box& box, const Shape& shape) {
    for (const Role role : rolesOf(shape)) {
        const auto usual = network::usualValues(kindOf(role));
        box.low.push_back(std::log(usual.lowest));
        box.high.push_back(std::log(usual.highest));
    }
}

double wireOf(Rank rank) {
    constexpr double wires[] = {1.4e-3, 1.0e-3, 0.71e-3};
    return wires[static_cast<std::size_t>(rank)];
}

Rank rankOf(std::size_t way, std::size_t ways) {
    return way == 0 ? Rank::lowest : way + 1 == ways ? Rank::highest : Rank::middle;
}

Alone tunedAlone(const tune::Problem& problem, std::size_t way, Shape shape, const Slope& slope) {
    shape.pad = false;
    const auto ends = network::driverEnds(problem.circuit);
    const network::Loads& loads = problem.loads.loads();
    const network::Load& load = loads.drivers[*loads.find(ends[way].driver)];
    const curve::Axis& axis = problem.goal.axis;
    tune::Goal goal{.axis = axis, .target = problem.goal.target, .sumWeight = 0.0};
    const auto levels = levelsOf(slope, axis);
    tune::WayGoal& own = goal.ways.emplace_back();
    for (std::size_t k = 0; k < axis.size(); ++k) {
        constexpr double least = -20.0;
        goal.inBand.push_back(problem.goal.inBand[k] && levels[k] > least);
        own.levels.push_back(goal.target[k] + levels[k]);
    }
    for (const tune::DriveLimit& limit : problem.goal.limits) {
        if (limit.end == way) {
            goal.limits.push_back({0, limit.most});
        }
    }
    Alone alone{.values = textbookValues(shape, startOf(load, axis, slope))};
    if (shape.series) {
        // Alone it would be nothing but a load: the book's values are its start.
        alone.rms = 1.0;
        alone.level = 0.0;
        return alone;
    }
    const network::Circuit circuit =
        assembled(problem.circuit.source,
                  {section(shape, alone.values, ends[way], wireOf(rankOf(way, ends.size())))});
    tune::Box box;
    appendTo(box, shape);
    tune::Objective objective(circuit,
                              problem.loads,
                              {problem.factors[way]},
                              std::vector<bool>(static_cast<std::size_t>(shape.parts()), true),
                              goal);
    constexpr int steps = 20;
    int done = 0;
    const auto found = tune::descend(
        objective, objective.start(), box, [&](const auto&, auto&) { return ++done < steps; });
    std::size_t next = 0;
    takeFrom(found.x, next, shape, alone.values);
    alone.rms = found.standing.rms();
    alone.level = found.standing.level;
    return alone;
}

} // namespace yf::find
