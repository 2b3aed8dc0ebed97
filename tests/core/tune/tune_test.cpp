// SPDX-License-Identifier: GPL-3.0-or-later
// The tuner against networks whose best values are known, its slopes against differences, and what
// it must never offer.
#include "core/network/circuit/ladder_edit.h"
#include "core/network/circuit/line_edit.h"
#include "core/network/judge/tolerance.h"
#include "core/tune/tune.h"
#include "tests/support/networks.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <chrono>
#include <cmath>

namespace yf::test {

namespace {

const std::string twoWay = twoWayOfEightParts();

tune::GoalRequest wide() {
    return {.from = 200.0, .to = 12000.0, .sumWeight = 1.0};
}

tune::LimitRequest tweeterLimit() {
    return {"treble", {200.0, 900.0}, {-30.0, -14.0}};
}

network::Network with(network::Network n, const char* id, double factor) {
    network::Part part = *network::findPart(n.circuit, id);
    n.circuit = *network::withPart(n.circuit, network::withValue(part, factor * part.value));
    return n;
}

tune::Problem problem(const network::Network& n, const tune::GoalRequest& goal) {
    auto made = tune::problemOf(n, goal);
    EXPECT_TRUE(made.ok());
    return *made;
}

tune::Objective objective(const tune::Problem& p) {
    return {p.circuit, p.loads, p.factors, p.free, p.goal};
}

/// Sum of the network as it is, as a target.
tune::GoalRequest itsOwnSum(const network::Network& n) {
    tune::GoalRequest goal = wide();
    goal.targetFrequencies.emplace();
    goal.targets.emplace();
    for (double f = 20.0; f < 20001.0; f *= std::exp2(1.0 / 12.0)) {
        goal.targetFrequencies->push_back(f);
        const auto s = solved(n, {f});
        goal.targets->push_back(quantity::decibels(std::abs(s.drives[0][0] + s.drives[1][0])));
    }
    return goal;
}

/// The derivative of the cost against central differences, at the start.
void expectSlopesOfDifferences(tune::Objective& o, const tune::Slope& slope) {
    for (std::size_t i = 0; i < o.unknowns(); ++i) {
        constexpr double h = 1e-5;
        auto up = o.start();
        auto down = o.start();
        up[i] += h;
        down[i] -= h;
        const double difference = (o.value(up).cost - o.value(down).cost) / (2.0 * h);
        EXPECT_NEAR(2.0 * slope.g[i], difference, 1e-5 * (1.0 + std::abs(difference))) << i;
    }
}

} // namespace

// Every kind of residual at once; the derivative of the cost by central differences.
TEST(Objective, slopesAreThoseOfDifferences) {
    for (const bool levelFree : {true, false}) {
        tune::GoalRequest goal = wide();
        goal.trackingWeight = 0.0;
        goal.minimum = 9.0; // broken in many places, so that it pulls
        goal.limits = {{"treble", {200.0, 5000.0}, {-40.0, -8.0}}};
        goal.wayTargets = {{.way = "low", .order = 4, .fx = 2500.0, .weight = 0.7},
                           {.way = "high",
                            .kind = tune::Slopes::highPass,
                            .order = 4,
                            .fx = 2500.0,
                            .weight = 0.4}};
        for (auto& way : goal.wayTargets) {
            way.alignment = network::Alignment::linkwitzRiley;
        }
        if (!levelFree) {
            goal.targetLevel = -1.0;
        } else {
            goal.leastLevel = 3.0; // louder than it is, so that it pulls
        }
        tune::Problem p = problem(networkFrom(twoWay), goal);
        // Another direction: the upper driver quieter and later.
        tune::Aside aside{.factors = p.factors, .weight = 0.6};
        for (std::size_t k = 0; k < p.goal.axis.size(); ++k) {
            aside.factors[1][k] *= std::polar(0.6, -2.0 * 3.14159265358979 * p.goal.axis[k] * 6e-5);
        }
        const double alone = objective(p).value(objective(p).start()).cost;
        p.goal.asides = {aside};
        tune::Objective o = objective(p);
        tune::Slope slope;
        const std::vector<double> x = o.start();
        const tune::Standing here = o.slope(x, slope);
        EXPECT_EQ(here.cost, o.value(x).cost);
        EXPECT_GT(here.cost, alone);
        EXPECT_GT(here.floorMissed, 0.0);
        EXPECT_GT(here.limitMissed, 0.0);
        for (std::size_t i = 0; i < x.size(); ++i) {
            constexpr double h = 1e-5;
            std::vector<double> up = x;
            std::vector<double> down = x;
            up[i] += h;
            down[i] -= h;
            const double difference = (o.value(up).cost - o.value(down).cost) / (2.0 * h);
            EXPECT_NEAR(2.0 * slope.g[i], difference, 1e-5 * (std::abs(difference) + here.cost))
                << i << levelFree;
        }
    }
}

// The summing loss is weighted by how alike the ways are; where they are equal its slope is exact.
TEST(Objective, trackingPullsNeighboursIntoStep) {
    tune::GoalRequest goal = wide();
    goal.trackingWeight = 1.0;
    goal.sumWeight = 0.0;
    const tune::Problem p = problem(networkFrom(twoWay), goal);
    tune::Objective o = objective(p);
    tune::Slope slope;
    const double before = o.slope(o.start(), slope).cost;
    std::vector<double> x = o.start();
    double length = 0.0;
    for (const double g : slope.g) {
        length += g * g;
    }
    for (std::size_t i = 0; i < x.size(); ++i) {
        x[i] -= 0.02 * slope.g[i] / std::sqrt(length);
    }
    EXPECT_LT(o.value(x).cost, before);
    // In step and alike there is no loss: two equal ways.
    const auto same = networkFrom(
        R"({"drivers":{"a":{"r_ohm":8},"b":{"r_ohm":8}},
            "ways":[{"ladder":[{"series":"L1 1mH"}],"driver":"a"},{"ladder":[{"series":"L2 1mH"}],"driver":"b"}]})");
    const tune::Problem q = problem(same, goal);
    tune::Objective alike = objective(q);
    EXPECT_NEAR(alike.value(alike.start()).cost, 0.0, 1e-20);
}

TEST(Tune, findsTheValuesThatMadeACurve) {
    const network::Network made = networkFrom(twoWay);
    network::Network off = made;

    const struct {
        const char* id;
        double factor;
    } moved[] = {{"L1", 1.5}, {"C1", 0.7}, {"C2", 1.4}, {"L2", 0.7}};

    for (const auto& m : moved) {
        off = with(off, m.id, m.factor);
    }
    const auto answer = tune::tune({.network = off, .goal = itsOwnSum(made)});
    ASSERT_TRUE(answer.ok());
    EXPECT_LT(answer->rms, 0.01); // the target is a table with straight lines between
    EXPECT_EQ(answer->stop, tune::Stop::settled);
}

// Without floor and limits a sum alone is made flat by parts that ruin tweeter and amplifier.
TEST(Tune, neverOffersWhatBreaksFloorOrLimit) {
    tune::GoalRequest goal = wide();
    const network::Network n = networkFrom(twoWay);
    const auto reckless = tune::tune({.network = n, .goal = goal});
    ASSERT_TRUE(reckless.ok());
    goal.minimum = 3.5;
    goal.limits = {tweeterLimit()};
    const auto careful = tune::tune({.network = n, .goal = goal});
    ASSERT_TRUE(careful.ok());
    EXPECT_LT(reckless->rms, careful->rms);
    const auto over = [&](const network::Network& network) {
        const auto at = solved(network, {200.0, 424.0, 900.0});
        return std::max({quantity::decibels(at.drives[1][0]) + 30.0,
                         quantity::decibels(at.drives[1][1]) + 22.0,
                         quantity::decibels(at.drives[1][2]) + 14.0});
    };
    EXPECT_TRUE(over(reckless->network) > 1.0 || reckless->impedanceMinimum < 3.4);
    EXPECT_LE(over(careful->network), 0.02);
    EXPECT_GE(careful->impedanceMinimum, 3.5 * 0.999);
    EXPECT_EQ(careful->stop, tune::Stop::settled);
    // Bought values hold them too.
    for (const auto series : {network::ESeries::E24, network::ESeries::E12, network::ESeries::E6}) {
        const auto bought = tune::tune({.network = n, .goal = goal, .eSeries = series});
        ASSERT_TRUE(bought.ok());
        EXPECT_LE(over(bought->network), 0.02);
        EXPECT_GE(bought->impedanceMinimum, 3.5 * 0.999);
        for (const network::Part& part : network::parts(bought->network.circuit)) {
            EXPECT_NEAR(part.value / network::nearestValue(part.value, series), 1.0, 1e-12)
                << part.id;
        }
    }
    // A floor that cannot be: said.
    goal.minimum = 30.0;
    const auto hopeless = tune::tune({.network = n, .goal = goal, .starts = 2});
    ASSERT_TRUE(hopeless.ok());
    EXPECT_EQ(hopeless->stop, tune::Stop::floorUnreachable);
}

// A drawer with a few parts of each kind: the network ends in them, none taken twice.
TEST(Tune, endsInOwnParts) {
    const network::Network n = networkFrom(twoWay);
    const tune::Problem p = problem(n, wide());
    const tune::Found exact = tune::tuneValues(p, {});
    network::EndValues values;
    std::array<std::size_t, 3> kinds{};
    for (const network::Part& part : network::parts(exact.circuit)) {
        ++kinds[static_cast<std::size_t>(part.kind)];
        for (const double factor : {0.9, 1.05}) {
            network::OwnedPart owned{.part = network::withValue(part, part.value * factor)};
            owned.part.id = std::string(1, network::letter(part.kind));
            values.stock.push_back(owned);
        }
    }
    const tune::Found bought = tune::purchasable(p, exact, values, {});
    std::vector<double> taken;
    for (const network::Part& part : network::parts(bought.circuit)) {
        const bool there = std::ranges::any_of(values.stock, [&](const network::OwnedPart& o) {
            return o.part.kind == part.kind && o.part.value == part.value;
        });
        EXPECT_TRUE(there) << part.id << ' ' << part.value;
        EXPECT_EQ(std::ranges::find(taken, part.value), taken.end()) << part.id;
        taken.push_back(part.value);
    }
    EXPECT_GE(bought.standing.cost, exact.standing.cost);
    EXPECT_LT(bought.standing.rms(), 4.0 * exact.standing.rms() + 1.0);
}

// Rounding each value by itself throws away half of what tuning gained, or breaks a limit.
TEST(Tune, boughtValuesAreBetterThanRoundedOnes) {
    int worse = 0;
    for (const bool careful : {true, false}) {
        tune::GoalRequest goal = wide();
        if (careful) {
            goal.minimum = 3.5;
            goal.limits = {tweeterLimit()};
        }
        const network::Network n = networkFrom(twoWay);
        const tune::Problem p = problem(n, goal);
        const tune::Found exact = tune::tuneValues(p, {});
        for (const auto series : {network::ESeries::E12, network::ESeries::E6}) {
            network::Circuit rounded = exact.circuit;
            for (const network::Part& part : network::parts(rounded)) {
                rounded = *network::withPart(
                    rounded, network::withValue(part, network::nearestValue(part.value, series)));
            }
            const tune::Found plain = tune::judged(p, rounded);
            const tune::Found bought = tune::purchasable(p, exact, {.series = series}, {});
            EXPECT_GE(bought.standing.cost, exact.standing.cost);
            EXPECT_TRUE(bought.allowed);
            EXPECT_TRUE(!plain.allowed || bought.standing.cost <= plain.standing.cost);
            worse += !plain.allowed || plain.standing.cost > 1.5 * bought.standing.cost ? 1 : 0;
        }
    }
    EXPECT_GE(worse, 2);
}

// One capacitor dried out: a change of one part tells which, and puts it back.
TEST(FewestChanges, findsThePartThatDrifted) {
    const network::Network made = networkFrom(twoWay);
    for (const char* id : {"C2", "L1", "C1"}) {
        const auto answer =
            tune::tune({.network = with(made, id, 0.6), .goal = itsOwnSum(made), .maxChanges = 2});
        ASSERT_TRUE(answer.ok());
        ASSERT_EQ(answer->changes.size(), 3U);
        EXPECT_TRUE(answer->changes[0].ids.empty());
        EXPECT_EQ(answer->changes[1].ids, std::vector<std::string>{id});
        EXPECT_LT(answer->changes[1].rms, 0.02); // the table again
        EXPECT_LE(answer->changes[2].rms, answer->changes[1].rms + 1e-9);
        const double value = network::findPart(answer->network.circuit, id)->value;
        EXPECT_NEAR(value / network::findPart(made.circuit, id)->value, 1.0, 0.01) << id;
    }
}

namespace {

/// The two-way's drivers each behind an amplifier, filters before them and one part behind.
const char* const activeTwoWay =
    R"({"source":{"resistance_ohm":0.05},
 "drivers":{"bass":{"Re_ohm":5.8,"inductance_model":"lr2","Le_h":0.00035,"L2_h":0.0009,"R2_ohm":3.2,
                    "fs_hz":42,"Qms":4.5,"Qes":0.42,"role":"bass"},
            "treble":{"Re_ohm":5.2,"inductance_model":"ideal","Le_h":0.00005,"fs_hz":900,"Qms":2.5,
                      "Qes":1.2,"role":"treble"}},
 "ways":[{"name":"low","driver":"bass","line":{"gain_db":1,"delay_s":1e-4,"filters":[
            {"kind":"low-pass","alignment":"linkwitz-riley","order":4,"f0_hz":2000},
            {"kind":"peaking","f0_hz":700,"q":1.2,"gain_db":-2}]}},
         {"name":"high","driver":"treble","ladder":[{"series":"C1 20uF"}],"line":{"gain_db":-3,"filters":[
            {"kind":"high-pass","f0_hz":2200,"q":0.8},
            {"kind":"high-shelf","f0_hz":8000,"q":0.7,"gain_db":1.5}]}}]})";

} // namespace

// Every knob there is: gain of the upper way, both delays, corners, qualities, gains of peak and
// shelf; with every kind of residual the cost's slope is that of differences.
TEST(Lines, slopesAreThoseOfDifferences) {
    tune::GoalRequest goal = wide();
    goal.trackingWeight = 0.4;
    goal.minimum = 9.0;
    goal.limits = {{"treble", {200.0, 5000.0}, {-40.0, -8.0}}};
    tune::Problem p = problem(networkFrom(activeTwoWay), goal);
    p.knobs = network::lineKnobs(p.circuit);
    ASSERT_EQ(p.knobs.size(), 3U + 1U + 3U + 2U + 3U);
    tune::Aside aside{.factors = p.factors, .weight = 0.6};
    p.goal.asides = {aside};
    p.goal.crossings = {{.lower = 0, .from = 3500.0, .to = 5000.0}};
    p.goal.trackingWeight = 0.0; // its weight is held: exact only where the ways are alike
    tune::Objective o(p.circuit, p.loads, p.factors, p.free, p.goal, p.knobs);
    ASSERT_EQ(o.unknowns(), p.knobs.size() + 1);
    tune::Slope slope;
    const tune::Standing here = o.slope(o.start(), slope);
    EXPECT_EQ(here.cost, o.value(o.start()).cost);
    EXPECT_GT(here.limitMissed, 0.0);
    expectSlopesOfDifferences(o, slope);
}

// Filters that were moved come back to what made the curve; what the circuit says is what was
// reckoned with, and common delay, which nobody hears, is none.
TEST(Lines, filtersComeBackToWhatMadeACurve) {
    const network::Network made = networkFrom(activeTwoWay);
    network::Network off = made;
    for (const std::size_t q : {0U, 1U}) {
        network::Line line = *network::lineOf(off.circuit, q);
        line.filters[0].f0 *= q == 0 ? 1.4 : 0.8;
        line.filters[1].gain += 2.0;
        line.gain += q == 0 ? 0.0 : 4.0;
        line.delay += 5e-5;
        off.circuit = *network::withLine(off.circuit, q, line);
    }
    tune::TuneRequest r{.network = off, .goal = itsOwnSum(made), .tuneLines = true};
    const auto answer = tune::tune(r);
    ASSERT_TRUE(answer.ok());
    EXPECT_LT(answer->rms, 0.02); // the table again
    const auto sum = [&](const network::Network& n, double f) {
        const auto s = solved(n, {f});
        return quantity::decibels(std::abs(s.drives[0][0] + s.drives[1][0]));
    };
    for (const double f : {300.0, 900.0, 2000.0, 4000.0, 9000.0}) {
        EXPECT_NEAR(sum(answer->network, f) - answer->level, sum(made, f) - answer->level, 0.1)
            << f;
    }
    double least = 1.0;
    for (const std::size_t q : {0U, 1U}) {
        const network::Line line = *network::lineOf(answer->network.circuit, q);
        least = std::min(least, line.delay);
        EXPECT_GE(line.delay, 0.0);
        EXPECT_LE(line.delay, 1e-3 + 1e-9);
    }
    EXPECT_EQ(least, 0.0);
    EXPECT_EQ(network::lineOf(answer->network.circuit, 0)->gain, 1.0) << "the lowest way's stays";
    // Not asked for, they stay.
    r.tuneLines = false;
    const auto parts = tune::tune(r);
    ASSERT_TRUE(parts.ok());
    for (const std::size_t q : {0U, 1U}) {
        EXPECT_EQ(network::lineOf(parts->network.circuit, q), network::lineOf(off.circuit, q));
    }
    // A tweeter's limit holds for filters as well.
    r.tuneLines = true;
    r.goal.limits = {{"treble", {200.0, 900.0}, {-50.0, -26.0}}};
    const auto careful = tune::tune(r);
    ASSERT_TRUE(careful.ok());
    const auto at = solved(careful->network, {200.0, 900.0});
    EXPECT_LE(quantity::decibels(std::abs(at.drives[1][0])), -50.0 + 0.02);
    EXPECT_LE(quantity::decibels(std::abs(at.drives[1][1])), -26.0 + 0.02);
    // Where there is no line to tune, that is said.
    const auto none = tune::tune(
        {.network = networkFrom(twoWay), .goal = wide(), .tuneLines = true, .starts = 1});
    ASSERT_FALSE(none.ok());
    EXPECT_EQ(none.error().subject, "tune_lines");
}

// Two parts that do nothing (a coil of a few µH in the line, a resistor of many kΩ across) are
// what goes first, for next to nothing; nothing goes that would cost more than allowed, and never
// the tweeter's capacitor, whose loss the limit forbids.
TEST(LeaveOut, idlePartsGoFirstAndNoneThatIsNeeded) {
    network::Network n = networkFrom(twoWay);
    network::Part idleCoil =
        *network::readPart(text::Value(std::string("L 15uH dcr=0.001")), "part");
    network::Part idleResistor = *network::readPart(text::Value(std::string("R 190")), "part");
    const auto one = network::withInserted(n.circuit, {0, 0, true}, idleCoil);
    ASSERT_TRUE(one.ok());
    const auto two = network::withInserted(one->circuit, {1, 1, false}, idleResistor);
    ASSERT_TRUE(two.ok());
    n.circuit = two->circuit;
    tune::GoalRequest goal = itsOwnSum(networkFrom(twoWay));
    goal.minimum = 3.5;
    goal.limits = {tweeterLimit()};
    tune::TuneRequest r{.network = n, .goal = goal, .mayCost = 0.05, .starts = 1};
    const auto answer = tune::tune(r);
    ASSERT_TRUE(answer.ok());
    std::vector<std::string> gone;
    for (const tune::Spared& step : answer->leftOut) {
        gone.insert(gone.end(), step.ids.begin(), step.ids.end());
        EXPECT_LE(step.error, 0.05 + answer->leftOut.front().error);
    }
    EXPECT_NE(std::ranges::find(gone, one->id), gone.end());
    EXPECT_NE(std::ranges::find(gone, two->id), gone.end());
    EXPECT_EQ(std::ranges::find(gone, "C2"), gone.end());
    EXPECT_EQ(network::parts(answer->network.circuit).size(),
              network::parts(n.circuit).size() - gone.size());
    EXPECT_LT(answer->rms, 0.08);
    EXPECT_NEAR(
        answer->price, network::Prices{}.of(network::parts(answer->network.circuit)), 1e-12);
    // With everything allowed the limits still hold, and at least one part is left.
    r.mayCost = 20.0;
    const auto least = tune::tune(r);
    ASSERT_TRUE(least.ok());
    const auto at = solved(least->network, {200.0, 900.0});
    EXPECT_LE(quantity::decibels(at.drives[1][0]), -30.0 + 0.02);
    EXPECT_GE(least->impedanceMinimum, 3.5 * 0.999);
    EXPECT_FALSE(network::parts(least->network.circuit).empty());
    EXPECT_LT(network::parts(least->network.circuit).size(), 6U);
    // Nothing allowed: only what mends by going.
    r.mayCost = 0.0;
    const auto none = tune::tune(r);
    ASSERT_TRUE(none.ok());
    EXPECT_LE(none->leftOut.size(), answer->leftOut.size());
    r.maxChanges = 1;
    const auto both = tune::check(r);
    ASSERT_TRUE(both);
    EXPECT_EQ(both->subject, "may_cost_db");
}

// A capacitor so large that the band hardly knows it, and no limit that would speak for it: it
// stays all the same, because it keeps direct current from the tweeter.
TEST(LeaveOut, neverGivesADriverDirectCurrent) {
    const network::Network n = networkFrom(
        R"({"drivers":{"bass":{"r_ohm":6},"treble":{"r_ohm":6}},
            "ways":[{"ladder":[{"series":"L1 1mH"}],"driver":"bass"},
                    {"ladder":[{"series":"C1 450uF"},{"series":"R1 4"},{"shunt":"R2 12"}],"driver":"treble"}]})");
    tune::TuneRequest r{.network = n,
                        .goal = itsOwnSum(n),
                        .fixedIds = std::vector<std::string>{"L1"},
                        .mayCost = 20.0,
                        .starts = 1};
    const auto answer = tune::tune(r);
    ASSERT_TRUE(answer.ok());
    EXPECT_FALSE(answer->leftOut.empty());
    EXPECT_TRUE(network::findPart(answer->network.circuit, "C1"));
    EXPECT_EQ(network::dcPaths(answer->network.circuit), (std::vector<bool>{true, false}));
}

// By price each step saves, and saves no less money in all than by number, by this list in which
// one coil is dear.
TEST(LeaveOut, byPriceEachStepSavesAndFixedPartsStay) {
    network::Network n = networkFrom(twoWay);
    tune::GoalRequest goal = wide();
    goal.minimum = 3.5;
    goal.limits = {tweeterLimit()};
    tune::TuneRequest r{.network = n,
                        .goal = goal,
                        .fixedIds = std::vector<std::string>{"R1", "R3"},
                        .mayCost = 0.5,
                        .sparing = tune::Sparing::By::price,
                        .starts = 2};
    r.prices.coilPerMillihenry = 20.0;
    const auto cheap = tune::tune(r);
    ASSERT_TRUE(cheap.ok());
    ASSERT_FALSE(cheap->leftOut.empty());
    for (const tune::Spared& step : cheap->leftOut) {
        EXPECT_GT(step.saved, 0.0);
    }
    for (const char* id : {"R1", "R3"}) {
        EXPECT_TRUE(network::findPart(cheap->network.circuit, id)) << id;
    }
    r.mayCost.reset();
    const auto all = tune::tune(r);
    ASSERT_TRUE(all.ok());
    EXPECT_LT(cheap->price, all->price);
    EXPECT_LE(cheap->rms, all->rms + 0.5 + 1e-9);
}

TEST(Tune, isTheSameEachTimeAndLeavesWhatIsFixed) {
    tune::GoalRequest goal = wide();
    goal.minimum = 3.5;
    goal.limits = {tweeterLimit()};
    const tune::TuneRequest r{.network = networkFrom(twoWay),
                              .goal = goal,
                              .fixedIds = std::vector<std::string>{"L1", "R2"},
                              .boundRatios = std::vector<double>{0.5, 2.0},
                              .seed = 7};
    const auto one = tune::tune(r);
    const auto two = tune::tune(r);
    ASSERT_TRUE(one.ok() && two.ok());
    EXPECT_EQ(one->network.circuit, two->network.circuit);
    for (const network::Part& part : network::parts(one->network.circuit)) {
        const double ratio = part.value / network::findPart(r.network.circuit, part.id)->value;
        EXPECT_GE(ratio, 0.5 * (1.0 - 1e-9)) << part.id;
        EXPECT_LE(ratio, 2.0 * (1.0 + 1e-9)) << part.id;
        if (part.id == "L1" || part.id == "R2") {
            EXPECT_EQ(ratio, 1.0);
        }
    }
}

TEST(Tune, stopsWhenTold) {
    tune::GoalRequest goal = wide();
    goal.minimum = 3.5;
    const tune::Problem p = problem(networkFrom(twoWay), goal);
    int asked = 0;
    const auto found = tune::tuneValues(p, [&](const auto&, const tune::Standing& standing) {
        EXPECT_GT(standing.rows, 100U);
        return ++asked < 5;
    });
    EXPECT_EQ(found.stop, tune::Stop::cancelled);
    EXPECT_EQ(asked, 5);
    EXPECT_EQ(p.circuit, networkFrom(twoWay).circuit);
}

// Neighbours that change places outside their band: the derivative by differences, and the tuner
// brings the crossing into it although the sum would be flat without.
TEST(Objective, aCrossingIsPulledIntoItsBand) {
    tune::Problem p = problem(networkFrom(twoWay), wide());
    p.goal.crossings = {{.lower = 0, .from = 3500.0, .to = 5000.0}};
    tune::Objective o = objective(p);
    tune::Slope slope;
    const tune::Standing start = o.slope(o.start(), slope);
    EXPECT_GT(start.limitMissed, 1.0); // it crosses lower than that
    expectSlopesOfDifferences(o, slope);
    const tune::Found found = tune::tuneValues(p, {});
    ASSERT_TRUE(found.allowed);
    const auto solution = *network::solve(found.circuit, p.loads);
    for (std::size_t k = 0; k < p.goal.axis.size(); ++k) {
        const double upper = std::abs(solution.drives[1][k] * p.factors[1][k]);
        const double lower = std::abs(solution.drives[0][k] * p.factors[0][k]);
        const double f = p.goal.axis[k];
        if (f > 3500.0 / 4.0 && f < 3500.0) {
            EXPECT_LE(upper, 1.002 * lower) << f;
        }
        if (f > 5000.0 && f < 4.0 * 5000.0) {
            EXPECT_LE(lower, 1.002 * upper) << f;
        }
    }
}

// A free level that pays for flatness is held up.
TEST(Objective, theLevelIsHeld) {
    tune::Problem p = problem(networkFrom(twoWay), wide());
    const double now = tune::judgedGoal(p, p.circuit).level;
    p.goal.leastLevel = now + 0.5;
    const tune::Found found = tune::tuneValues(p, {});
    EXPECT_TRUE(found.allowed);
    EXPECT_GE(found.standing.level, now + 0.5 - 0.02);
}

// With draws the derivative is still that of the cost.
TEST(Objective, slopesOfARobustGoalAreThoseOfDifferences) {
    tune::Problem p = problem(networkFrom(twoWay), wide());
    tune::Objective o = objective(p);
    std::vector<std::vector<double>> draws(3, std::vector<double>(o.unknowns()));
    for (std::size_t d = 0; d < draws.size(); ++d) {
        for (std::size_t i = 0; i < o.unknowns(); ++i) {
            draws[d][i] =
                0.05 * std::sin(1.7 * static_cast<double>(d + 1) * static_cast<double>(i + 1));
        }
    }
    o.setDraws(draws);
    tune::Slope slope;
    static_cast<void>(o.slope(o.start(), slope));
    expectSlopesOfDifferences(o, slope);
}

// The robust optimum on a thousand networks that it has not seen costs less than the optimum on
// paper, which is flatter on paper.
TEST(Tune, aRobustOneIsBuiltNearerToPaper) {
    const network::Network n = networkFrom(twoWay);
    tune::TuneRequest request{.network = n, .goal = wide()};
    request.goal.minimum = 3.5;
    request.goal.limits = {tweeterLimit()};
    const auto plain = tune::tune(request);
    request.draws = 24;
    const auto robust = tune::tune(request);
    ASSERT_TRUE(plain.ok() && robust.ok());
    EXPECT_LE(plain->rms, robust->rms + 1e-6);
    const auto offBuilt = [&](const network::Network& built) {
        // Mean cost (distance from flat, floor and limits broken) over draws with another seed.
        tune::Problem p = problem(built, request.goal);
        tune::Objective o = objective(p);
        Random random(99);
        double sum = 0.0;
        constexpr int cabinets = 1000;
        for (int c = 0; c < cabinets; ++c) {
            auto x = o.start();
            const auto parts = network::parts(built.circuit);
            for (std::size_t i = 0; i < x.size(); ++i) {
                const double allowed = network::Tolerances{}.of(parts[i]);
                x[i] += std::log1p(allowed * (2.0 * random.uniform() - 1.0));
            }
            sum += o.value(x).cost;
        }
        return sum / cabinets;
    };
    EXPECT_LT(offBuilt(robust->network), offBuilt(plain->network));
}

} // namespace yf::test
