// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/find/by_hand.h"

#include "core/find/start.h"
#include "core/network/circuit/ladder_edit.h"

#include <algorithm>
#include <cmath>
#include <limits>

namespace yf::find {

namespace {

constexpr int order = 4;

struct Book {
    std::vector<network::Section> sections;
    std::vector<Shape> shapes;
};

Book bookFor(const Plan& plan, network::ESeries series) {
    const auto ends = network::driverEnds(plan.base.circuit);
    const network::Loads& loads = plan.base.loads.loads();
    std::vector<double> levels;
    double least = std::numeric_limits<double>::infinity();
    for (std::size_t q = 0; q < ends.size(); ++q) {
        levels.push_back(ownLevel(plan.base, plan.crossings, q));
        least = std::min(least, levels.back());
    }
    Book book;
    for (std::size_t q = 0; q < ends.size(); ++q) {
        const network::Load& load = loads.drivers[*loads.find(ends[q].driver)];
        Start start{.Re = std::max(1.0, load.dcResistance), .trapAt = 1000.0};
        Shape shape;
        double about = 0.0;
        if (q > 0) {
            shape.highPass = order;
            start.fxLow = std::sqrt(plan.crossings[q - 1].from * plan.crossings[q - 1].to);
            about = start.fxLow;
        }
        if (q + 1 < ends.size()) {
            shape.lowPass = order;
            start.fxHigh = std::sqrt(plan.crossings[q].from * plan.crossings[q].to);
            about = q > 0 ? std::sqrt(start.fxLow * start.fxHigh) : start.fxHigh;
        }
        start.load = modulusAt(load, loads.axis, about) * ends[q].ratio();
        constexpr double worthPadding = 0.5; // dB
        shape.pad = q > 0 && levels[q] - least > worthPadding;
        Values values = textbookValues(shape, start);
        const double k = std::pow(10.0, -(levels[q] - least) / 20.0);
        values[static_cast<std::size_t>(Role::padSeries)] = start.load * (1.0 - k);
        values[static_cast<std::size_t>(Role::padShunt)] = start.load * k / (1.0 - k);
        for (const Role role : rolesOf(shape)) {
            double& value = values[static_cast<std::size_t>(role)];
            value = network::nearestValue(value, series);
        }
        book.sections.push_back(section(shape, values, ends[q], wireOf(rankOf(q, ends.size()))));
        if (const network::Section* way = network::waySection(plan.base.circuit, q)) {
            book.sections.back().name = way->name;
        }
        book.shapes.push_back(shape);
    }
    return book;
}

} // namespace

Point byHand(const Plan& plan, const std::function<bool()>& goOn) {
    const network::ESeries series = plan.series.value_or(network::ESeries::E12);
    const Book book = bookFor(plan, series);
    Point point{.shapes = book.shapes};
    for (const Shape& shape : book.shapes) {
        point.parts += shape.parts();
    }
    // What stands before all ways stays as it is.
    network::Circuit alone{.source = {}};
    alone.body =
        network::Section{.ladder = plan.base.circuit.tree()->ladder, .end = network::Ways{}};
    const auto common = network::parts(alone);
    point.parts += static_cast<int>(common.size());
    tune::Problem problem = plan.base;
    problem.free.assign(static_cast<std::size_t>(point.parts), true);
    std::fill_n(problem.free.begin(), common.size(), false);
    const unsigned patterns = 1U << (book.sections.size() - 1);
    std::optional<network::Circuit> best;
    double cost = std::numeric_limits<double>::infinity();
    const auto costOf = [&](const network::Circuit& circuit) {
        tune::Objective objective(
            circuit, problem.loads, problem.factors, problem.free, problem.goal);
        return objective.value(objective.start()).cost;
    };
    for (unsigned pattern = 0; pattern < patterns; ++pattern) {
        auto sections = book.sections;
        for (std::size_t q = 1; q < sections.size(); ++q) {
            std::get<network::DriverEnd>(sections[q].end).polarity =
                (pattern >> (q - 1) & 1U) != 0U ? -1 : 1;
        }
        const auto circuit = assembled(plan.base.circuit.source,
                                       std::move(sections),
                                       network::Joining::parallel,
                                       plan.base.circuit.tree()->ladder);
        if (const double here = costOf(circuit); here < cost) {
            cost = here;
            best = circuit;
        }
    }
    constexpr int most = 200;
    for (int move = 0; move < most; ++move) {
        const network::Circuit now = *best;
        const double before = cost;
        for (const network::Part& part : network::parts(now)) {
            for (const int step : {-1, 1}) {
                if (std::ranges::find(common, part.id, &network::Part::id) != common.end()) {
                    continue;
                }
                if (goOn && !goOn()) {
                    continue;
                }
                const double value = network::stepValue(part.value, series, step);
                const auto usual = network::usualValues(part.kind);
                if (value < usual.lowest || value > usual.highest) {
                    continue;
                }
                auto other = network::withPart(now, network::withValue(part, value));
                if (const double here = costOf(*other); here < cost) {
                    cost = here;
                    best = std::move(*other);
                }
            }
        }
        if (!(cost < before)) {
            break;
        }
    }
    problem.circuit = *best;
    point.found = tune::judged(problem, *best);
    point.price = plan.prices.of(network::parts(*best));
    return point;
}

} // namespace yf::find
