// SPDX-License-Identifier: GPL-3.0-or-later
// Polarity, delay, notches, loudness, money.
#include "core/curve/minimum_phase.h"
#include "core/network/line/prototype.h"
#include "core/quantity/level.h"
#include "core/speaker/align.h"
#include "core/speaker/before_after.h"
#include "core/speaker/cost.h"
#include "core/speaker/max_level.h"
#include "core/speaker/null_test.h"
#include "tests/support/networks.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>

namespace yf::test {

namespace {

using curve::Complex;

constexpr double pi = std::numbers::pi;

/// A low and a high way of one alignment about fx, over the audible band.
struct Ways {
    curve::Axis axis = curve::within(curve::designAxis(), 100.0, 16000.0);
    std::vector<Complex> low;
    std::vector<Complex> high;

    Ways(network::Alignment alignment, int order, double fx, double spread = 1.0) {
        const auto D = network::prototype({.alignment = alignment, .order = order});
        for (const double f : axis) {
            low.push_back(network::filterAt(D, f / (fx * spread), false));
            high.push_back(network::filterAt(D, f * spread / fx, true));
        }
    }

    [[nodiscard]] std::vector<double> sum(int polarity, double delay) const {
        std::vector<double> levels;
        for (std::size_t k = 0; k < axis.size(); ++k) {
            const Complex late =
                std::polar(static_cast<double>(polarity), -2.0 * pi * axis[k] * delay);
            levels.push_back(quantity::decibels(std::max(std::abs(low[k] + high[k] * late), 1e-9)));
        }
        return levels;
    }

    [[nodiscard]] measure::CurveKeys keys(const std::vector<Complex>& values) const {
        measure::CurveKeys keys{.frequencies = axis, .levels = {}, .phases = {{}}};
        for (const Complex& v : values) {
            keys.levels.push_back(quantity::decibels(std::abs(v)));
            keys.phases->push_back(std::arg(v));
        }
        return keys;
    }

    [[nodiscard]] measure::CurveKeys keys(const std::vector<double>& levels) const {
        return {.frequencies = axis, .levels = levels, .phases = {}};
    }
};

/// Noise that is alike over a twelfth of an octave, as smoothed levels are.
std::vector<double> noise(Random& random, std::size_t points, double sigma) {
    std::vector<double> at;
    constexpr std::size_t alike = 4; // points of the design axis
    const auto normal = [&] {
        double sum = 0.0;
        for (int i = 0; i < 12; ++i) {
            sum += random.uniform();
        }
        return sigma * (sum - 6.0);
    };
    while (at.size() < points) {
        at.insert(at.end(), alike, normal());
    }
    at.resize(points);
    return at;
}

} // namespace

// Interference of two sources, closed form.
TEST(NullTest, predictsAndBounds) {
    const std::array<std::array<double, 3>, 4> table{
        {{0.0, 10.0, 21.16}, {1.0, 0.0, 24.81}, {1.0, 10.0, 19.60}, {3.0, 30.0, 9.96}}};
    for (const auto& [level, phase, depth] : table) {
        EXPECT_NEAR(speaker::nullOf(level, phase * quantity::degree).depth, depth, 0.01);
    }
    EXPECT_NEAR(speaker::nullOf(0.0, pi / 6.0).loss, 0.30, 0.005);
    EXPECT_NEAR(speaker::nullOf(0.0, pi / 2.0).loss, 3.01, 0.005);
    const std::array<std::array<double, 3>, 7> bounds{{{6.0, 53.2, 9.57},
                                                       {10.0, 35.1, 5.69},
                                                       {15.0, 20.2, 3.12},
                                                       {20.0, 11.4, 1.74},
                                                       {25.0, 6.4, 0.98},
                                                       {30.0, 3.6, 0.55},
                                                       {40.0, 1.1, 0.17}}};
    for (const auto& [depth, phase, level] : bounds) {
        const auto b = speaker::boundsOf(depth);
        EXPECT_NEAR(b.phase / quantity::degree, phase, 0.06);
        EXPECT_NEAR(b.level, level, 0.006);
    }
    EXPECT_STREQ(speaker::judgeDepth(30.0), "excellent");
    EXPECT_STREQ(speaker::judgeDepth(11.9), "not aligned");
}

// The parallelogram: from three levels the fourth, no phase asked.
TEST(NullTest, levelsAloneTellTheReversedSum) {
    const Ways ways(network::Alignment::linkwitzRiley, 4, 2000.0);
    const double late = 30e-6;
    speaker::NullTestRequest r;
    r.normal = ways.keys(ways.sum(1, late));
    r.first = ways.keys(ways.low);
    r.second = ways.keys(ways.high);
    auto measured = r;
    measured.reversed = ways.keys(ways.sum(-1, late));
    const auto three = speaker::nullTest(r);
    const auto four = speaker::nullTest(measured);
    ASSERT_TRUE(three.ok() && four.ok());
    EXPECT_NEAR(*three->fx, 2000.0, 5.0);
    EXPECT_NEAR(*three->reversedLevel, *four->reversedLevel, 0.05);
    EXPECT_NEAR(*four->phaseError / quantity::degree, 360.0 * 2000.0 * late, 0.2);
    EXPECT_NEAR(*three->phaseError, *four->phaseError, 0.01);
    EXPECT_NEAR(*four->depth, speaker::nullOf(0.0, 2.0 * pi * 2000.0 * late).depth, 0.8);
    EXPECT_LT(*four->consistency, 0.01);
    EXPECT_LT(*four->triangleViolation, 1e-6);
    EXPECT_EQ(four->recommend, "keep");
    // Something moved between the takes: the triangle says so.
    for (double& level : r.normal->levels) {
        level += 1.0;
    }
    EXPECT_NEAR(*speaker::nullTest(r)->triangleViolation, 1.0, 0.1);
    // Wired the wrong way round.
    r.normal = ways.keys(ways.sum(-1, late));
    EXPECT_EQ(speaker::nullTest(r)->recommend, "flip");
    // Quadrature is healthy and tells nothing.
    const Ways odd(network::Alignment::butterworth, 3, 2000.0);
    speaker::NullTestRequest q;
    q.normal = odd.keys(odd.sum(1, 0.0));
    q.first = odd.keys(odd.low);
    q.second = odd.keys(odd.high);
    EXPECT_EQ(speaker::nullTest(q)->recommend, "undecided");
    speaker::NullTestRequest alone;
    alone.normal = ways.keys(ways.low);
    EXPECT_EQ(speaker::check(alone)->subject, "reversed");
}

TEST(Align, findsDelayAndPolarityOfThreeTakes) {
    // Much overlap, as without a network.
    const Ways ways(network::Alignment::butterworth, 2, 2500.0, 3.0);
    for (const int polarity : {1, -1}) {
        for (const double delay : {-120e-6, 0.0, 85e-6}) {
            const auto answer = speaker::align({.first = ways.keys(ways.low),
                                                .second = ways.keys(ways.high),
                                                .sum = ways.keys(ways.sum(polarity, delay))});
            ASSERT_TRUE(answer.ok());
            EXPECT_EQ(answer->found->best.polarity, polarity);
            EXPECT_NEAR(answer->found->best.delay, delay, 1e-6);
            EXPECT_NEAR(answer->found->levelError, 0.0, 0.05);
            EXPECT_FALSE(answer->found->ambiguous);
        }
    }
    // The two never come near each other: said, with how many dB.
    Ways far(network::Alignment::butterworth, 4, 1000.0, 0.1);
    const auto refused = speaker::align({.first = far.keys(far.low),
                                         .second = far.keys(far.high),
                                         .sum = far.keys(far.sum(1, 0.0))});
    ASSERT_FALSE(refused.ok());
    EXPECT_NE(refused.error().given.english().find("dB apart"), std::string::npos);
}

// 300 cases: the delay lies within twice its stated sigma as often as that should be (95 %), of
// those that are not called ambiguous.
TEST(Align, theStatedIntervalHoldsTheTruth) {
    Random random(20261127);
    int within = 0;
    int sure = 0;
    int total = 0;
    constexpr int wanted = 300;
    while (sure < wanted && total < 2 * wanted) {
        ++total;
        const double fx = random.between(600.0, 4000.0);
        const Ways ways(network::Alignment::butterworth, 2, fx, random.between(2.0, 5.0));
        const double delay = (2.0 * random.uniform() - 1.0) * 2e-4;
        const int polarity = random.below(2) == 0 ? 1 : -1;
        const double sigma = random.between(0.25, 0.5);
        auto sum = ways.sum(polarity, delay);
        const auto e = noise(random, sum.size(), sigma);
        for (std::size_t k = 0; k < sum.size(); ++k) {
            sum[k] += e[k];
        }
        const auto found = speaker::delayFrom({.axis = ways.axis,
                                               .first = ways.low,
                                               .second = ways.high,
                                               .sum = sum,
                                               .levelSigma = sigma});
        ASSERT_TRUE(found.has_value());
        if (found->ambiguous) {
            continue;
        }
        ++sure;
        within += found->best.polarity == polarity &&
                          std::abs(found->best.delay - delay) <= 2.0 * found->sigma
                      ? 1
                      : 0;
    }
    ASSERT_EQ(sure, wanted);
    RecordProperty("within", within);
    RecordProperty("ambiguous", total - sure);
    EXPECT_GE(within, 270) << total - sure << " were ambiguous";
    EXPECT_LE(within, 294) << total - sure << " were ambiguous";
}

// Perfect odd orders: phases run straight through quadrature, and the mirror fits as well.
TEST(Align, mirrorSolutionsAreCalledAmbiguous) {
    const Ways ways(network::Alignment::butterworth, 3, 2000.0);
    const auto found = speaker::delayFrom(
        {.axis = ways.axis, .first = ways.low, .second = ways.high, .sum = ways.sum(1, 40e-6)});
    ASSERT_TRUE(found.has_value());
    EXPECT_TRUE(found->ambiguous);
    ASSERT_FALSE(found->alternatives.empty());
    EXPECT_LT(found->alternatives.front().residual, 0.4);
    // A take with one turned over tightens the interval where the sum is in step.
    const Ways even(network::Alignment::linkwitzRiley, 4, 2000.0);
    const auto normal = even.sum(1, 20e-6);
    const auto reversed = even.sum(-1, 20e-6);
    const speaker::ThreeTakes one{
        .axis = even.axis, .first = even.low, .second = even.high, .sum = normal};
    speaker::ThreeTakes both = one;
    both.reversed = reversed;
    EXPECT_LT(speaker::delayFrom(both)->sigma, 0.5 * speaker::delayFrom(one)->sigma);
}

TEST(Align, adviceIsComputedFromTheWholeSum) {
    const Ways ways(network::Alignment::linkwitzRiley, 4, 2000.0);
    auto high = ways.high;
    for (Complex& p : high) {
        p = -p;
    }
    const auto answer = speaker::align({.timing = speaker::Timing::common,
                                        .first = ways.keys(ways.low),
                                        .second = ways.keys(high)});
    ASSERT_TRUE(answer.ok());
    EXPECT_EQ(answer->recommend, "flip");
    EXPECT_EQ(answer->advice.front().words, "flip");
    EXPECT_NEAR(std::abs(answer->difference), pi, 0.02);
    // Over the octave the reversed sum of LR4 is 10·lg(1 − tanh(v/2)/(v/2)), v = 4·ln √2.
    const double v = 4.0 * std::log(std::numbers::sqrt2);
    EXPECT_NEAR(answer->flipGain, -10.0 * std::log10(1.0 - std::tanh(v / 2.0) / (v / 2.0)), 0.1);
    EXPECT_FALSE(answer->found.has_value());
}

// 137 cm² and 4.5 mm make 92.3 dB at 50 Hz, 1 m, half space (closed form).
TEST(Power, travelTellsTheLevel) {
    speaker::PowerRequest r;
    speaker::PowerWay way{
        .name = "woofer",
        .response = {.frequencies = {20.0, 20000.0}, .levels = {88.0, 88.0}, .phases = {}},
        .rated = 1000.0,
        .ratedOhms = 8.0,
        .Sd = 0.0137,
        .Xmax = 4.5e-3};
    r.ways = {way};
    r.amplifier = 1e5;
    r.amplifierOhms = 8.0;
    const auto answer = speaker::power(r);
    ASSERT_TRUE(answer.ok());
    const auto at =
        std::ranges::lower_bound(answer->frequencies, 50.0) - answer->frequencies.begin();
    const auto k = static_cast<std::size_t>(at);
    EXPECT_NEAR(
        answer->sineLevels[k] - 40.0 * std::log10(answer->frequencies[k] / 50.0), 92.30, 0.02);
    EXPECT_EQ(answer->limitingCause, "excursion");
    // A weak amplifier stops it first, by its peaks: √(2PR)/κ.
    r.amplifier = 1.0;
    const auto weak = speaker::power(r);
    EXPECT_EQ(weak->limitingWay, "amplifier");
    EXPECT_NEAR(weak->programmeVolts, std::sqrt(16.0) / std::pow(10.0, 0.6), 1e-9);
    // 88 dB for 2.83 V: 98 dB want 10 times the power, peaks included.
    r.target = 98.0;
    const auto wanted = speaker::power(r);
    const double volts = 2.83 * std::sqrt(10.0);
    EXPECT_NEAR(*wanted->neededWatts, std::pow(volts * std::pow(10.0, 0.6), 2) / 16.0, 1e-6);
    r.pair = true;
    EXPECT_NEAR(speaker::power(r)->programmeLevel - weak->programmeLevel, 3.0103, 1e-4);
}

TEST(States, areComparedWhereTheyWereTakenAlike) {
    speaker::StatesRequest r;
    r.before.curve = {.frequencies = {100.0, 20000.0}, .levels = {80.0, 80.0}, .phases = {}};
    r.after.curve = {.frequencies = {100.0, 20000.0}, .levels = {83.0, 83.0}, .phases = {}};
    const auto plain = speaker::compareStates(r);
    ASSERT_TRUE(plain.ok());
    EXPECT_NEAR(plain->levelDifference, 3.0, 1e-9);
    EXPECT_NEAR(plain->shapeRms, 0.0, 1e-9);
    EXPECT_TRUE(plain->comparable);
    r.before.conditions = speaker::Conditions{.distance = 1.0, .drive = 2.83};
    r.after.conditions = speaker::Conditions{.distance = 1.05, .drive = 4.0};
    const auto other = speaker::compareStates(r);
    EXPECT_FALSE(other->comparable);
    ASSERT_EQ(other->whyNot.size(), 1U);
    EXPECT_TRUE(other->whyNot[0].english().starts_with("distance"));
    EXPECT_NEAR(other->levelDifference, 3.0 - 20.0 * std::log10(4.0 / 2.83), 1e-9);
    r.after.conditions->distance.reset();
    EXPECT_EQ(speaker::compareStates(r)->whyNot[0], "distance: not known for after");
}

TEST(Cost, expectsAndFearsWhatItSays) {
    const auto answer = speaker::cost({{{.name = "edge",
                                         .parts = {{"kit", 20.0, 2}},
                                         .hours = 3.0,
                                         .rate = 40.0,
                                         .risk = 0.1,
                                         .reworkHours = 2.0,
                                         .reworkPrice = 50.0},
                                        {.name = "new", .parts = {{"driver", 90.0, 2}}}}});
    ASSERT_TRUE(answer.ok());
    EXPECT_NEAR(answer->expected[0], 40.0 + 120.0 + 0.1 * 130.0, 1e-9);
    EXPECT_NEAR(answer->worst[0], 40.0 + 120.0 + 130.0, 1e-9);
    EXPECT_EQ(answer->cheapest, "edge");
}

} // namespace yf::test
