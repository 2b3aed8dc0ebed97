// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/find/find.h"

#include "core/find/start.h"
#include "core/text/given.h"
#include "core/text/nearest.h"

#include <algorithm>
#include <cmath>

namespace yf::find {

namespace {

const std::vector<std::string> extraNames = {"zobel", "trap", "pad"};

/// Ways without parts, low to high.
network::Network bare(const FindRequest& r) {
    network::Network network{.drivers = r.drivers.drivers};
    network::Ways ways;
    for (const std::string& way : r.ways) {
        ways.sections.push_back(network::Section{.end = network::DriverEnd{.driver = way}});
    }
    network.circuit.body = network::Section{.end = std::move(ways)};
    return network;
}

std::optional<Error> checkWays(const FindRequest& r) {
    constexpr std::size_t most = 6;
    if (r.ways.size() < 2 || r.ways.size() > most) {
        return Error{"ways",
                     text::given(std::to_string(r.ways.size())),
                     say(YF_WORDS("core", "must be 2 to %1"), std::to_string(most))};
    }
    std::vector<std::string> names;
    for (const network::NamedDriver& driver : r.drivers.drivers) {
        names.push_back(driver.name);
    }
    for (std::size_t q = 0; q < r.ways.size(); ++q) {
        const std::string at = text::join("ways", q);
        if (std::ranges::find(names, r.ways[q]) == names.end()) {
            return Error{at,
                         say(YF_WORDS("core", "'%1' is unknown"), r.ways[q]),
                         names.empty() ? "drivers is empty"
                                       : say(YF_WORDS("core", "the nearest is %1"),
                                             text::nearest(r.ways[q], names))};
        }
        if (std::find(r.ways.begin(), r.ways.begin() + static_cast<std::ptrdiff_t>(q), r.ways[q]) !=
            r.ways.begin() + static_cast<std::ptrdiff_t>(q)) {
            return Error{at,
                         say(YF_WORDS("core", "'%1' stands twice"), r.ways[q]),
                         "each way has its own driver"};
        }
    }
    return std::nullopt;
}

std::optional<Error> checkBands(const FindRequest& r) {
    if (!r.fxBands) {
        return std::nullopt;
    }
    if (r.fxBands->list.size() != r.ways.size() - 1) {
        return Error{"fx_bands_hz",
                     text::given(std::to_string(r.fxBands->list.size())),
                     say(YF_WORDS("core", "must be one for each pair of neighbours, %1"),
                         std::to_string(r.ways.size() - 1))};
    }
    for (std::size_t i = 0; i < r.fxBands->list.size(); ++i) {
        const curve::Range& band = r.fxBands->list[i];
        if (band.from >= band.to) {
            return Error{text::join("fx_bands_hz", i) + "[1]",
                         text::given(text::printNumber(band.to)),
                         say(YF_WORDS("core", "must be above %1"), text::printNumber(band.from))};
        }
    }
    return std::nullopt;
}

Error aboutDrivers(Error error) {
    constexpr std::string_view prefix = "network.";
    if (error.subject.starts_with(prefix)) {
        error.subject.erase(0, prefix.size());
    }
    return error;
}

/// Mean level over the points between two frequencies.
double meanLevel(const network::Load& load, const curve::Axis& axis, double from, double to) {
    double sum = 0.0;
    int points = 0;
    for (std::size_t k = 0; k < axis.size(); ++k) {
        if (axis[k] >= from && axis[k] <= to) {
            sum += quantity::decibels((*load.pressure)[k]);
            ++points;
        }
    }
    return points > 0 ? sum / points : 0.0;
}

} // namespace

Result<Bands> Bands::read(const text::Value& value, const std::string& path) {
    const auto* list = value.list();
    if (list == nullptr) {
        return text::wrongKind(path, value, "a list of [low, high] in Hz");
    }
    Bands bands;
    for (std::size_t i = 0; i < list->size(); ++i) {
        const auto* pair = (*list)[i].list();
        const std::string at = text::join(path, i);
        if (pair == nullptr || pair->size() != 2) {
            return Error{at,
                         pair == nullptr ? text::given(text::kindOf((*list)[i]))
                                         : say(YF_WORDS("core", "%1 entries given"),
                                               std::to_string(pair->size())),
                         "must be [low, high] in Hz"};
        }
        const auto& f = quantity::frequency;
        YF_TRY(low, text::readNumber(pair->front(), f, text::join(at, 0)));
        YF_TRY(high, text::readNumber(pair->back(), f, text::join(at, 1)));
        bands.list.push_back({low, high});
    }
    return bands;
}

text::Value Bands::write() const {
    text::Value::List all;
    for (const curve::Range& band : list) {
        all.emplace_back(text::Value::List{band.from, band.to});
    }
    return all;
}

std::optional<Error> check(const FindRequest& r) {
    if (auto error = tune::check(r.goal)) {
        return error;
    }
    if (auto error = checkWays(r)) {
        return error;
    }
    if (auto error = checkBands(r)) {
        return error;
    }
    for (std::size_t i = 0; r.orders && i < r.orders->size(); ++i) {
        if (std::floor((*r.orders)[i]) != (*r.orders)[i]) {
            return Error{text::join("orders", i),
                         text::given(text::printNumber((*r.orders)[i])),
                         "must be a whole number, 1 to 4"};
        }
    }
    if (r.orders && r.orders->empty()) {
        return Error{"orders", "0 entries given", "must have at least 1"};
    }
    for (std::size_t i = 0; r.extras && i < r.extras->size(); ++i) {
        if (std::ranges::find(extraNames, (*r.extras)[i]) == extraNames.end()) {
            return Error{text::join("extras", i),
                         say(YF_WORDS("core", "'%1' is unknown"), (*r.extras)[i]),
                         say(YF_WORDS("core", "the nearest is %1"),
                             text::nearest((*r.extras)[i], extraNames))};
        }
    }
    return std::nullopt;
}

std::optional<curve::Range>
meeting(const network::Loads& loads, const network::Load& lower, const network::Load& upper) {
    const curve::Axis& axis = loads.axis;
    if (upper.fs <= 0.0 && !upper.still) {
        return std::nullopt; // where it begins is not known
    }
    constexpr double audible[] = {20.0, 20000.0};
    curve::Range range{std::max(axis.front(), audible[0]), std::min(axis.back(), audible[1])};
    range.from = std::max(range.from, 2.0 * upper.fs);
    constexpr double fourOctaves = 16.0;
    range.to = std::min(range.to, fourOctaves * range.from);
    if (lower.pressure) {
        constexpr double octave = 2.0;
        constexpr double much = 6.0;
        const double first = std::max(octave * lower.fs, audible[0]);
        const double mean = meanLevel(lower, axis, first, range.from);
        for (std::size_t k = 0; k < axis.size(); ++k) {
            if (axis[k] > first * octave && axis[k] < range.to &&
                quantity::decibels((*lower.pressure)[k]) < mean - much) {
                range.to = axis[k];
            }
        }
    }
    constexpr double third = 1.26;
    return range.to >= third * range.from ? std::optional(range) : std::nullopt;
}

Result<Plan> planOf(const FindRequest& r) {
    auto problem = tune::problemOf(bare(r), r.goal);
    if (!problem) {
        return aboutDrivers(problem.error());
    }
    Plan plan{.base = std::move(*problem),
              .seriesToo = r.seriesToo,
              .maxParts = r.maxParts,
              .starts = r.starts,
              .seed = static_cast<std::uint64_t>(r.seed),
              .series = r.eSeries,
              .prices = r.prices};
    if (r.orders) {
        plan.orders.clear();
        for (const double order : *r.orders) {
            plan.orders.push_back(static_cast<int>(order));
        }
        std::ranges::sort(plan.orders);
        plan.orders.erase(std::unique(plan.orders.begin(), plan.orders.end()), plan.orders.end());
    }
    for (const std::string& name : r.extras.value_or(std::vector<std::string>{})) {
        plan.extras.push_back(
            static_cast<Extra>(std::ranges::find(extraNames, name) - extraNames.begin()));
    }
    if (r.fxBands) {
        plan.crossings = r.fxBands->list;
        keepLevel(plan.base, plan.crossings);
        return plan;
    }
    const network::Loads& loads = plan.base.loads.loads();
    for (std::size_t q = 0; q + 1 < r.ways.size(); ++q) {
        const auto band = meeting(loads,
                                  loads.drivers[*loads.find(r.ways[q])],
                                  loads.drivers[*loads.find(r.ways[q + 1])]);
        if (!band) {
            const network::Load& above = loads.drivers[*loads.find(r.ways[q + 1])];
            const bool known = above.fs > 0.0 || above.still;
            return Error{
                "fx_bands_hz",
                known ? say(YF_WORDS("core", "%1 and %2 do not meet"), r.ways[q], r.ways[q + 1])
                      : say(YF_WORDS("core", "missing, and the resonance of %1 is not known"),
                            r.ways[q + 1]),
                "give the band in which they are to cross"};
        }
        plan.crossings.push_back(*band);
    }
    keepLevel(plan.base, plan.crossings);
    return plan;
}

Result<FindAnswer> find(const FindRequest& r) {
    YF_TRY(plan, planOf(r));
    const std::vector<curve::Range> bands = plan.crossings;
    const std::optional<double> least = plan.base.goal.leastLevel;
    Finder finder(std::move(plan));
    finder.run({});
    FindAnswer answer{.bands = {bands},
                      .leastLevel = least,
                      .candidates = finder.candidates(),
                      .front = byParts(finder.front()),
                      .drivers = r.drivers.drivers};
    if (answer.front.empty()) {
        return Error{"min_ohm",
                     YF_WORDS("core", "no network found that keeps floor, limits and crossings"),
                     "lower min_ohm, or widen drive_limits or fx_bands_hz"};
    }
    return answer;
}

text::Value FindAnswer::write() const {
    using text::Value;
    Value::List points;
    for (const Point& point : front) {
        const network::Network network{.circuit = point.found.circuit, .drivers = drivers};
        points.emplace_back(Value::Object{{"parts", point.parts},
                                          {"price", point.price},
                                          {"rms_error_db", point.found.standing.rms()},
                                          {"max_error_db", point.found.standing.most},
                                          {"impedance_min_ohm", point.found.impedance.ohms},
                                          {"network", network.write()}});
    }
    return Value::Object{{"candidates", static_cast<double>(candidates)},
                         {"fx_bands_hz", bands.write()},
                         {"min_level_db", leastLevel ? Value(*leastLevel) : Value()},
                         {"front", points},
                         {"fewest_parts", front.front().parts},
                         {"best_rms_error_db", front.back().found.standing.rms()}};
}

} // namespace yf::find
