// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/driver/pair.h"

#include "core/driver/matching.h"
#include "core/text/fields.h"
#include "core/text/given.h"

#include <algorithm>
#include <cmath>

namespace yf::driver {

namespace {

using text::Value;

constexpr double goal = 1.0; // dB

/// Which terms every driver has figures for, and the points of the band.
struct Terms {
    bool fs{};
    bool Qts{};
    bool levels{};
    std::vector<std::size_t> points;
};

double square(double x) {
    return x * x;
}

double difference(const BatchDriver& a, const BatchDriver& b, std::size_t point) {
    return b.levels[point] - a.levels[point];
}

double largest(const BatchDriver& a, const BatchDriver& b, const Terms& t, double trim) {
    double most{};
    for (const std::size_t point : t.points) {
        most = std::max(most, std::abs(difference(a, b, point) - trim));
    }
    return most;
}

double
squaredDistance(const PairRequest& r, const Terms& t, const BatchDriver& a, const BatchDriver& b) {
    double sum{};
    if (t.fs) {
        sum += square(std::log(*a.fs / *b.fs) / r.toleranceFs);
    }
    if (t.Qts) {
        sum += square(std::log(*a.Qts / *b.Qts) / r.toleranceQts);
    }
    if (t.levels) {
        sum += square(largest(a, b, t, 0.0) / r.toleranceLevel);
    }
    return sum;
}

std::optional<Error> checked(const PairRequest& r) {
    if (r.drivers.size() < 2) {
        return Error{
            "drivers", text::given(std::to_string(r.drivers.size())), "must be at least 2"};
    }
    for (std::size_t i = 0; i < r.drivers.size(); ++i) {
        const BatchDriver& d = r.drivers[i];
        const auto same = std::ranges::count(r.drivers, d.id, &BatchDriver::id);
        if (same > 1) {
            return Error{
                "drivers", say(YF_WORDS("core", "'%1' stands twice"), d.id), "each has its own id"};
        }
        if (!d.levels.empty() && d.levels.size() != r.frequencies.size()) {
            return Error{text::join(text::join("drivers", i), "levels_db"),
                         say(YF_WORDS("core", "%1 values given"), std::to_string(d.levels.size())),
                         say(YF_WORDS("core", "must be as many as frequencies_hz, %1"),
                             std::to_string(r.frequencies.size()))};
        }
    }
    if (std::ranges::adjacent_find(r.frequencies, std::greater_equal{}) != r.frequencies.end()) {
        return Error{"frequencies_hz", "not rising", "must rise from one to the next"};
    }
    return std::nullopt;
}

Result<Terms> termsOf(const PairRequest& r) {
    const auto all = [&](auto has) { return std::ranges::all_of(r.drivers, has); };
    Terms t{.fs = all([](const BatchDriver& d) { return d.fs.has_value(); }),
            .Qts = all([](const BatchDriver& d) { return d.Qts.has_value(); }),
            .levels = all([](const BatchDriver& d) { return !d.levels.empty(); })};
    for (std::size_t k = 0; k < r.frequencies.size(); ++k) {
        const double f = r.frequencies[k];
        if (f >= r.bandLow.value_or(0.0) && f <= r.bandHigh.value_or(1e9)) {
            t.points.push_back(k);
        }
    }
    if (t.levels && t.points.empty()) {
        return Error{"band_low_hz", "no frequency within the band", "must hold some of the curves"};
    }
    if (!t.fs && !t.Qts && !t.levels) {
        return Error{"drivers",
                     "no figure that all of them have",
                     "must have fs_hz, Qts or levels_db, each of them"};
    }
    return t;
}

/// Costs of an even number: an odd batch gets a dummy that fits everyone.
Costs costsOf(const PairRequest& r, const Terms& t, double limit) {
    const std::size_t n = r.drivers.size();
    const std::size_t even = n + n % 2;
    Costs costs(even, std::vector<std::optional<double>>(even));
    for (std::size_t i = 0; i < even; ++i) {
        // Once for both directions: they may differ in the last bit, and the limit is exact.
        for (std::size_t j = i + 1; j < even; ++j) {
            const double cost = j >= n ? 0.0 : squaredDistance(r, t, r.drivers[i], r.drivers[j]);
            if (cost <= limit) {
                costs[i][j] = costs[j][i] = cost;
            }
        }
    }
    return costs;
}

std::vector<std::size_t> bestWorst(const PairRequest& r, const Terms& t) {
    std::vector<double> limits{0.0};
    for (std::size_t i = 0; i < r.drivers.size(); ++i) {
        for (std::size_t j = i + 1; j < r.drivers.size(); ++j) {
            limits.push_back(squaredDistance(r, t, r.drivers[i], r.drivers[j]));
        }
    }
    std::ranges::sort(limits);
    // The smallest limit under which everyone still finds a partner.
    std::size_t low = 0;
    std::size_t high = limits.size() - 1;
    while (low < high) {
        const std::size_t middle = (low + high) / 2;
        if (cheapestPairing(costsOf(r, t, limits[middle]))) {
            high = middle;
        } else {
            low = middle + 1;
        }
    }
    return *cheapestPairing(costsOf(r, t, limits[low]));
}

Pairing::Pair pairOf(const PairRequest& r, const Terms& t, std::size_t i, std::size_t j) {
    const BatchDriver& a = r.drivers[i];
    const BatchDriver& b = r.drivers[j];
    Pairing::Pair pair{
        .first = a.id, .second = b.id, .distance = std::sqrt(squaredDistance(r, t, a, b))};
    if (t.levels) {
        double mean{};
        for (const std::size_t point : t.points) {
            mean += difference(a, b, point) / static_cast<double>(t.points.size());
        }
        pair.largest = largest(a, b, t, 0.0);
        pair.trim = mean;
        pair.rest = largest(a, b, t, mean);
    }
    return pair;
}

} // namespace

Result<Pairing> pairUp(const PairRequest& r) {
    if (auto error = checked(r)) {
        return *error;
    }
    YF_TRY(terms, termsOf(r));
    const std::vector<std::size_t> partners = r.objective == PairObjective::worst
                                                  ? bestWorst(r, terms)
                                                  : *cheapestPairing(costsOf(r, terms, 1e300));
    Pairing out;
    for (std::size_t i = 0; i < r.drivers.size(); ++i) {
        if (partners[i] >= r.drivers.size()) {
            out.leftOver = r.drivers[i].id;
        } else if (partners[i] > i) {
            out.pairs.push_back(pairOf(r, terms, i, partners[i]));
            out.total += square(out.pairs.back().distance);
        }
    }
    out.withinGoal = terms.levels && std::ranges::all_of(out.pairs, [](const Pairing::Pair& p) {
                         return *p.largest <= goal;
                     });
    for (const auto& [used, name] :
         {std::pair{terms.fs, "fs_hz"}, {terms.Qts, "Qts"}, {terms.levels, "levels_db"}}) {
        if (!used) {
            out.leftOut.emplace_back(name);
        }
    }
    return out;
}

Value Pairing::write() const {
    Value::List ids;
    Value::List distances;
    Value::List differences;
    Value::List trims;
    Value::List rests;
    const auto orNull = [](const std::optional<double>& x) { return x ? Value{*x} : Value{}; };
    for (const Pair& p : pairs) {
        ids.emplace_back(Value::List{p.first, p.second});
        distances.emplace_back(p.distance);
        differences.push_back(orNull(p.largest));
        trims.push_back(orNull(p.trim));
        rests.push_back(orNull(p.rest));
    }
    return Value::Object{{"pairs", ids},
                         {"pair_distances", distances},
                         {"pair_level_differences_db", differences},
                         {"pair_trims_db", trims},
                         {"pair_rests_db", rests},
                         {"left_over", leftOver ? Value{*leftOver} : Value{}},
                         {"total", total},
                         {"all_within_goal", withinGoal},
                         {"left_out", leftOut}};
}

} // namespace yf::driver
