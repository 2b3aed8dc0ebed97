// SPDX-License-Identifier: GPL-3.0-or-later
// The search for whole networks: against drivers whose best network is known, against the count of
// its space, and what it must never offer.
#include "core/base/parallel.h"
#include "core/find/by_hand.h"
#include "core/find/find.h"
#include "core/find/start.h"
#include "core/network/circuit/ladder_edit.h"
#include "core/sim/find_trial.h"
#include "tests/support/networks.h"

#include <gtest/gtest.h>

#include <atomic>
#include <chrono>
#include <cmath>

namespace yf::test {

namespace {

using curve::Complex;

network::NamedDriver resistor(const std::string& name, double ohms) {
    return {.name = name, .impedance = network::ResistorLoad{ohms}};
}

find::FindRequest between(std::vector<network::NamedDriver> drivers) {
    find::FindRequest request{.drivers = {std::move(drivers)},
                              .goal = {.from = 100.0, .to = 16000.0}};
    for (const auto& driver : request.drivers.drivers) {
        request.ways.push_back(driver.name);
    }
    // Resistors have no resonance that would say where they meet.
    const std::vector<curve::Range> bands{{300.0, 900.0}, {2000.0, 5000.0}};
    request.fxBands = find::Bands{
        {bands.begin(), bands.begin() + static_cast<std::ptrdiff_t>(request.ways.size() - 1)}};
    return request;
}

std::vector<find::Point> found(const find::FindRequest& request) {
    auto plan = find::planOf(request);
    EXPECT_TRUE(plan.ok());
    find::Finder finder(*plan);
    EXPECT_TRUE(finder.run({}));
    return finder.front();
}

/// Pressure 1 Pa but for a hump of a resonator, (g/Q + jx)/(1/Q + jx).
curve::Curve humped(double f0, double height, double Q) {
    std::vector<Complex> p;
    for (const double f : curve::designAxis()) {
        const double x = f / f0 - f0 / f;
        const double g = std::pow(10.0, height / 20.0);
        p.push_back(Complex(g / Q, x) / Complex(1.0 / Q, x));
    }
    return {curve::designAxis(), std::move(p), curve::Phase::common};
}

curve::Curve flat(double pascal) {
    return {curve::designAxis(),
            std::vector<Complex>(curve::designAxis().size(), pascal),
            curve::Phase::common};
}

} // namespace

// Counted by hand from the rules in docs/theory/find.md.
TEST(Find, theSpaceIsWhatTheRulesSay) {
    using find::Rank;
    const std::vector<int> orders = {1, 2, 3, 4};
    const std::vector<find::Extra> all = {find::Extra::zobel, find::Extra::trap, find::Extra::pad};
    EXPECT_EQ(find::shapes(Rank::lowest, orders, all).size(), 16U);
    EXPECT_EQ(find::shapes(Rank::highest, orders, all).size(), 16U);
    EXPECT_EQ(find::shapes(Rank::middle, orders, {}).size(), 31U);
    EXPECT_EQ(find::shapes(Rank::middle, orders, all).size(), 248U);
    auto request = between({resistor("a", 8.0), resistor("b", 8.0), resistor("c", 8.0)});
    request.extras = std::vector<std::string>{"zobel", "trap", "pad"};
    EXPECT_EQ(find::Finder(*find::planOf(request)).candidates(), 16U * 248U * 16U * 4U);
    request.extras.reset();
    request.orders = std::vector<double>{2.0, 4.0};
    EXPECT_EQ(find::Finder(*find::planOf(request)).candidates(), 2U * 8U * 2U * 4U);
}

// Every shape's parts stand in the ladder once each, and the values come back in their order.
TEST(Find, sectionsHoldTheirRoles) {
    for (const find::Shape& shape :
         find::shapes(find::Rank::middle,
                      {1, 2, 3, 4},
                      {find::Extra::zobel, find::Extra::trap, find::Extra::pad})) {
        const auto values = find::textbookValues(
            shape, {.fxLow = 300.0, .fxHigh = 3000.0, .load = 8.0, .Re = 6.0, .trapAt = 2000.0});
        const auto circuit = find::assembled(
            {}, {find::section(shape, values, network::DriverEnd{.driver = "m"}, 1e-3)});
        const auto parts = network::parts(circuit);
        ASSERT_EQ(static_cast<int>(parts.size()), shape.parts());
        std::vector<double> x;
        find::appendTo(x, shape, values);
        for (std::size_t p = 0; p < parts.size(); ++p) {
            EXPECT_NEAR(parts[p].value / std::exp(x[p]), 1.0, 1e-12);
            EXPECT_EQ(parts[p].kind, find::kindOf(find::rolesOf(shape)[p]));
        }
        std::size_t next = 0;
        find::Values again{};
        find::takeFrom(x, next, shape, again);
        EXPECT_EQ(next, parts.size());
        for (const find::Shape& less : find::simpler(shape, {1, 2, 3, 4})) {
            EXPECT_LT(less.parts(), shape.parts());
        }
    }
}

// A first-order pair into resistors adds up to one at every frequency (Butterworth 1, textbook): no
// search may need more than its two parts.
// Two ways in series: first order is a capacitor across the lower way and a coil across the upper
// one, by the book L = R/ω and C = 1/(ωR) (common practice); with equal resistors for drivers the
// two voltages then add up to the source's, whatever the frequency. Second order: 6 Ω, 2.2 kHz,
// 17.051 µF and 0.30693 mH (network chapter's check value, handed down).
TEST(Find, waysInSeriesAreTheBooks) {
    using find::Rank;
    EXPECT_EQ(find::seriesShapes(Rank::lowest, {1, 2, 3, 4}, {}).size(), 2U);
    EXPECT_EQ(find::seriesShapes(Rank::highest, {1, 2}, {find::Extra::pad}).size(), 4U);
    EXPECT_TRUE(find::seriesShapes(Rank::middle, {1, 2}, {}).empty());
    const find::Start start{.fxLow = 2200.0, .fxHigh = 2200.0, .load = 6.0, .Re = 6.0};
    for (const int order : {1, 2}) {
        std::vector<network::Section> ways;
        for (const bool upper : {false, true}) {
            find::Shape shape{.series = true};
            (upper ? shape.highPass : shape.lowPass) = order;
            ways.push_back(find::section(
                shape, find::textbookValues(shape, start), {.driver = upper ? "b" : "a"}, 1.4e-3));
        }
        auto circuit = find::assembled({}, std::move(ways), network::Joining::series);
        const auto made = network::parts(circuit);
        ASSERT_EQ(made.size(), static_cast<std::size_t>(2 * order));
        for (network::Part part : made) {
            const double C = order == 1 ? 12.057e-6 : 17.051e-6;
            const double L = order == 1 ? 0.43406e-3 : 0.30693e-3;
            EXPECT_NEAR(part.value / (part.kind == network::PartKind::coil ? L : C), 1.0, 1e-4);
            part = {.id = part.id, .kind = part.kind, .value = part.value}; // without loss
            circuit = *network::withPart(circuit, part);
        }
        network::Network n = networkFrom(
            R"({"drivers":{"a":{"r_ohm":6},"b":{"r_ohm":6}},"ways":[{"driver":"a"},{"driver":"b"}]})");
        n.circuit.body = circuit.body;
        const curve::Axis axis{100.0, 1000.0, 2200.0, 9000.0};
        const auto s = solved(n, axis);
        for (std::size_t k = 0; k < axis.size(); ++k) {
            if (order == 1) {
                EXPECT_NEAR(std::abs(s.drives[0][k] + s.drives[1][k]), 1.0, 1e-9);
            } else { // Butterworth's: 1/√(1+x⁴) and x²/√(1+x⁴)
                const double x2 = std::pow(axis[k] / 2200.0, 2.0);
                EXPECT_NEAR(std::abs(s.drives[0][k]), 1.0 / std::hypot(1.0, x2), 1e-4);
                EXPECT_NEAR(std::abs(s.drives[1][k]), x2 / std::hypot(1.0, x2), 1e-4);
            }
        }
    }
}

// With series ones too the space is larger by them, and what is found of them is a series network.
TEST(Find, seriesNetworksAreTriedOnWish) {
    const auto drivers = sim::knownDrivers(5, 0, 2);
    find::FindRequest r = sim::findRequest(drivers);
    r.orders = std::vector<double>{1.0, 2.0};
    r.extras = std::vector<std::string>{"pad"};
    r.maxParts = 4;
    const auto plain = find::planOf(r);
    r.seriesToo = true;
    const auto both = find::planOf(r);
    ASSERT_TRUE(plain.ok() && both.ok());
    find::Finder one(*plain);
    find::Finder two(*both);
    // Low 2 shapes, high 2·2, twice for the polarity; of each kind.
    EXPECT_EQ(one.candidates(), 16U);
    EXPECT_EQ(two.candidates(), 32U);
    ASSERT_TRUE(one.run({}) && two.run({}));
    ASSERT_FALSE(one.front().empty() || two.front().empty());
    const auto least = [](const find::Finder& f) {
        double rms = 1e9;
        for (const find::Point& p : f.front()) {
            rms = std::min(rms, p.found.standing.rms());
        }
        return rms;
    };
    EXPECT_LE(least(two), least(one) + 0.02);
    for (const find::Point& point : two.front()) {
        const auto& ways = std::get<network::Ways>(point.found.circuit.tree()->end);
        EXPECT_EQ(ways.join == network::Joining::series, point.shapes[0].series);
        EXPECT_EQ(point.shapes[0].series, point.shapes[1].series);
    }
}

TEST(Find, resistorsNeedTwoPartsOnly) {
    auto request = between({resistor("low", 8.0), resistor("high", 8.0)});
    request.extras = std::vector<std::string>{"pad"};
    request.fxBands = find::Bands{{{1000.0, 3000.0}}};
    const auto front = found(request);
    ASSERT_FALSE(front.empty());
    EXPECT_EQ(front.front().parts, 2);
    EXPECT_LT(front.front().found.standing.rms(), 0.1); // the coil's DCR is what is left
}

// The tweeter has a hump whose exact inverse is a parallel trap before its resistance
// (docs/theory/network.md, "Traps"), and is 6 dB too loud: with a trap it is flat, without one it
// is not.
TEST(Find, aTrapAndAPadWhereTheyBelong) {
    auto low = resistor("low", 8.0);
    auto high = resistor("high", 8.0);
    low.response = flat(1.0);
    curve::Curve response = humped(6000.0, 12.0, 3.0);
    std::vector<Complex> louder = response.values();
    for (Complex& p : louder) {
        p *= 2.0;
    }
    high.response = curve::Curve(response.frequencies(), louder, curve::Phase::common);
    auto request = between({low, high});
    request.fxBands = find::Bands{{{800.0, 2500.0}}};
    const double without = find::byParts(found(request)).back().found.standing.rms();
    request.extras = std::vector<std::string>{"trap", "pad"};
    const auto with = find::byParts(found(request));
    EXPECT_GT(without, 0.5);
    EXPECT_LT(with.back().found.standing.rms(), 0.15);
    const find::Shape& shape = with.back().shapes.back();
    EXPECT_TRUE(shape.trap);
}

// Held against a solution of its own: floor, drives and crossings of everything that is offered.
TEST(Find, neverOffersWhatBreaksFloorLimitsOrCrossings) {
    auto request = sim::findRequest(sim::knownDrivers(5, 0, 2));
    request.fxBands = find::Bands{{{1800.0, 3500.0}}};
    request.goal.minimum = 4.5;
    const auto front = found(request);
    ASSERT_FALSE(front.empty());
    const auto& limit = request.goal.limits.front();
    for (const find::Point& point : front) {
        const network::Network n{point.found.circuit, request.drivers.drivers};
        const auto solution = solved(n, curve::designAxis());
        const auto loads = *network::loadsOn(n, curve::designAxis());
        const auto p = *network::pressures(n.circuit, loads, solution);
        for (std::size_t k = 0; k < curve::designAxis().size(); ++k) {
            const double f = curve::designAxis()[k];
            if (f >= 20.0 && f <= 20000.0) {
                EXPECT_GE(std::abs(solution.impedances[k]), 4.5 * 0.998) << f;
            }
            if (f >= limit.frequencies.front() && f <= limit.frequencies.back()) {
                const double most =
                    limit.most.front() + 12.0 * std::log2(f / limit.frequencies.front());
                EXPECT_LE(quantity::decibels(solution.drives[1][k]), most + 0.1) << f;
            }
            if (f > 900.0 && f < 1800.0) {
                EXPECT_GE(std::abs(p.ways[0][k]), 0.99 * std::abs(p.ways[1][k])) << f;
            }
            if (f > 3500.0 && f < 7000.0) {
                EXPECT_LE(std::abs(p.ways[0][k]), 1.01 * std::abs(p.ways[1][k])) << f;
            }
        }
    }
    // No more than 2 dB of what the less sensitive driver gives by itself is lost.
    const auto plan = *find::planOf(request);
    double own = find::ownLevel(plan.base, plan.crossings, 0);
    own = std::min(own, find::ownLevel(plan.base, plan.crossings, 1));
    for (const find::Point& point : front) {
        EXPECT_GE(tune::judgedGoal(plan.base, point.found.circuit).level, own - 2.02);
    }
    // No network of the front is beaten by another one.
    for (const find::Point& a : front) {
        for (const find::Point& b : front) {
            const bool beaten = &a != &b && a.parts >= b.parts && a.price >= b.price &&
                                a.found.standing.rms() >= b.found.standing.rms();
            EXPECT_FALSE(beaten);
        }
    }
}

// Stopped wherever it is, it goes on to the very same answer; and it stops at once.
TEST(Find, stoppedAndGoneOnWithIsTheSame) {
    auto request = sim::findRequest(sim::knownDrivers(9, 0, 2));
    const auto whole = found(request);
    find::Finder finder(*find::planOf(request));
    int asked = 0;
    int stops = 0;
    std::chrono::steady_clock::time_point refused;
    double slowest = 0.0;
    while (!finder.run([&](const find::Progress& progress) {
        EXPECT_LE(progress.done, progress.total);
        const bool on = ++asked % 1500 != 0;
        if (!on) {
            refused = std::chrono::steady_clock::now();
        }
        return on;
    })) {
        const std::chrono::duration<double> took = std::chrono::steady_clock::now() - refused;
        slowest = std::max(slowest, took.count());
        ASSERT_LT(++stops, 1000);
    }
    EXPECT_GT(stops, 2);
    EXPECT_LT(slowest, 0.1); // s
    ASSERT_EQ(finder.front().size(), whole.size());
    for (std::size_t i = 0; i < whole.size(); ++i) {
        EXPECT_EQ(finder.front()[i].found.circuit, whole[i].found.circuit);
    }
}

// More parts, flatter: what byParts keeps; and the series' values are in it.
TEST(Find, theFrontFallsAndHoldsShopValues) {
    const auto request = sim::findRequest(sim::knownDrivers(3, 1, 2));
    const auto front = find::byParts(found(request));
    ASSERT_GE(front.size(), 3U);
    for (std::size_t i = 0; i < front.size(); ++i) {
        EXPECT_TRUE(front[i].found.allowed);
        EXPECT_EQ(network::parts(front[i].found.circuit).size(),
                  static_cast<std::size_t>(front[i].parts));
        for (const network::Part& part : network::parts(front[i].found.circuit)) {
            EXPECT_DOUBLE_EQ(part.value, network::nearestValue(part.value, network::ESeries::E12));
        }
        if (i > 0) {
            EXPECT_GT(front[i].parts, front[i - 1].parts);
            EXPECT_LT(front[i].found.standing.rms(), front[i - 1].found.standing.rms());
        }
    }
}

// Seeds that were not looked at while the search was made; the yardstick is the textbook's fourth
// order, trimmed part by part until nothing helps.
TEST(Find, isCheaperAndFlatterThanTheBookTrimmedByHand) {
    constexpr int seed = 260;
    const auto trial = sim::findTrial({.seed = seed, .sets = 3, .ways = 3});
    ASSERT_TRUE(trial.ok());
    for (const sim::FindCase& one : trial->sets) {
        EXPECT_GE(one.better, 1);
        EXPECT_GT(one.byHand.rms, 0.0);
        EXPECT_GE(one.byHand.parts, 16);
    }
}

TEST(Find, theHandDoesTrim) {
    const auto plan = *find::planOf(sim::findRequest(sim::knownDrivers(3, 1, 2)));
    const find::Point point = find::byHand(plan);
    // One step of the series on any part makes it no better.
    tune::Problem problem = plan.base;
    const auto cost = [&](const network::Circuit& circuit) {
        problem.free.assign(network::parts(circuit).size(), true);
        return tune::judged(problem, circuit).standing.cost;
    };
    const double best = cost(point.found.circuit);
    for (const network::Part& part : network::parts(point.found.circuit)) {
        for (const int step : {-1, 1}) {
            const double value = network::stepValue(part.value, network::ESeries::E12, step);
            const auto usual = network::usualValues(part.kind);
            if (value < usual.lowest || value > usual.highest) {
                continue;
            }
            const auto other =
                network::withPart(point.found.circuit, network::withValue(part, value));
            EXPECT_GE(cost(*other), best * (1.0 - 1e-9)) << part.id;
        }
    }
}

// Prices by the list's own arithmetic; the loss tells an electrolytic.
TEST(Prices, baseAndSlope) {
    const network::Prices prices;
    EXPECT_DOUBLE_EQ(prices.of(network::usualCapacitor(10e-6)), 0.8 + 4.0);
    EXPECT_DOUBLE_EQ(prices.of(network::usualCapacitor(100e-6)), 0.8 + 3.0);
    EXPECT_DOUBLE_EQ(prices.of(network::usualCoil(1e-3, 1e-3)), 5.0);
    EXPECT_DOUBLE_EQ(
        prices.of({.id = "R1", .kind = network::PartKind::resistor, .value = 8.0, .price = 0.25}),
        0.25);
    EXPECT_TRUE(network::isElectrolytic(network::usualCapacitor(100e-6)));
    EXPECT_FALSE(network::isElectrolytic(network::usualCapacitor(10e-6)));
    // An electrolytic may also be told by a measured ESR: 0.2 Ω at 47 µF is tanδ 0.059.
    EXPECT_TRUE(network::isElectrolytic(
        {.id = "C1", .kind = network::PartKind::capacitor, .value = 47e-6, .esr = 0.2}));
    // 1 mH of 1 mm wire: 0.48 Ω (docs/theory/network.md, table of Brooks coils).
    EXPECT_NEAR(network::usualCoil(1e-3, 1e-3).dcr, 0.48, 0.005);
}

TEST(Parallel, everyIndexOnce) {
    constexpr std::size_t count = 1000;
    std::vector<std::atomic<int>> seen(count);
    inParallel(count, [&](std::size_t i) { ++seen[i]; });
    for (const auto& times : seen) {
        EXPECT_EQ(times, 1);
    }
    inParallel(0, [](std::size_t) { FAIL(); });
}

} // namespace yf::test
