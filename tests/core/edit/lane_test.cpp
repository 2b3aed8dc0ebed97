// SPDX-License-Identifier: GPL-3.0-or-later
// Plans from the book beside the plain one, amplifiers for each way, level controls.
#include "core/edit/lane.h"
#include "core/evaluation/evaluate.h"
#include "core/network/line/biquad.h"
#include "core/network/solve/solve.h"
#include "core/study/start.h"
#include "tests/support/demo_job.h"

#include <gtest/gtest.h>

#include <cmath>
#include <numbers>

namespace yf::test {

namespace {

using curve::Complex;

const job::Cabinet& left(const job::Job& job) {
    return *job::findCabinet(job, "left");
}

job::Job started(const study::Start& start) {
    return edited(hallJob(), study::startNetwork(hallJob(), "left", start).value());
}

const network::Section& way(const job::Job& job, std::size_t index) {
    return *network::waySection(left(job).circuit, index);
}

double leastOf(const job::Job& job) {
    return evaluation::evaluate(job).find("left")->leastImpedance->ohms;
}

} // namespace

// Three ways from two pairs of Linkwitz-Riley filters sum flat when the lowest also takes the
// all-pass of the upper crossover (common practice; the identity itself is exact).
TEST(LineLevel, threeWaysOfTheBookSumToAnAllPass) {
    for (const int order : {2, 4, 6, 8}) {
        const job::Job job = started(
            {.order = order, .fx = 400.0, .upper = {3000.0}, .plan = study::Plan::lineLevel});
        const std::vector<double> at{30.0, 250.0, 400.0, 700.0, 1100.0, 3000.0, 4000.0, 15000.0};
        std::vector<Complex> sum(at.size());
        const auto ends = network::driverEnds(left(job).circuit);
        for (std::size_t w = 0; w < 3; ++w) {
            const auto H = network::transfer(*way(job, w).line, at);
            for (std::size_t k = 0; k < at.size(); ++k) {
                sum[k] += static_cast<double>(ends[w].polarity) * H[k];
            }
        }
        for (std::size_t k = 0; k < at.size(); ++k) {
            EXPECT_NEAR(std::abs(sum[k]), 1.0, 1e-11) << order << " at " << at[k];
        }
    }
}

TEST(LineLevel, theTweeterKeepsACapacitorAndLevelsAreGains) {
    const job::Job job = started({.order = 4,
                                  .fx = 400.0,
                                  .upper = {3000.0},
                                  .plan = study::Plan::lineLevel,
                                  .padLevels = true});
    EXPECT_TRUE(way(job, 0).ladder.empty());
    EXPECT_TRUE(way(job, 1).ladder.empty());
    const auto parts = network::parts(left(job).circuit);
    ASSERT_EQ(parts.size(), 1U);
    const auto loads =
        *study::bookLoads(job, left(job), {.order = 4, .fx = 400.0, .upper = {3000.0}});
    const double C = 4.0 / (2.0 * std::numbers::pi * 3000.0 * loads[2]);
    EXPECT_NEAR(std::log2(parts.front().value / C), 0.0, 0.15); // nearest of E12
    double loudest = -100.0;
    for (std::size_t w = 0; w < 3; ++w) {
        EXPECT_LE(way(job, w).line->gain, 0.0);
        loudest = std::max(loudest, way(job, w).line->gain);
    }
    EXPECT_EQ(loudest, 0.0);
    // Each amplifier sees one driver: no less than the least of them, whatever crosses where.
    double least = 1e9;
    for (const network::DriverEnd& end : network::driverEnds(left(job).circuit)) {
        const auto& Z =
            *job::takeInUse(job, *job::findDriver(job, end.driver), job::TakeKind::impedance)
                 ->curve;
        for (std::size_t k = 0; k < Z.frequencies().size(); ++k) {
            if (Z.frequencies()[k] >= 20.0 && Z.frequencies()[k] <= 20000.0) {
                least = std::min(least, std::abs(Z.values()[k]));
            }
        }
    }
    EXPECT_GT(leastOf(job), 0.97 * least);
}

// With nothing before them, more amplifiers on the same network change the current's path and no
// sound (no resistance in common).
TEST(LineLevel, twoAmplifiersOnTheSameNetworkChangeNothing) {
    job::Job stiff = hallJob();
    stiff.cabinets.front().circuit.source.resistance = 0.0;
    const job::Job apart = edited(stiff, edit::separateAmplifiers("left", true));
    const auto before = evaluation::evaluate(stiff);
    const auto after = evaluation::evaluate(apart);
    const auto& a = before.find("left")->sum;
    const auto& b = after.find("left")->sum;
    ASSERT_EQ(a.size(), b.size());
    for (std::size_t k = 0; k < a.size(); ++k) {
        ASSERT_NEAR(std::abs(b[k] / a[k]), 1.0, 1e-12);
    }
    EXPECT_GT(leastOf(apart), leastOf(stiff));
    const job::Job back = edited(apart, edit::separateAmplifiers("left", false));
    EXPECT_EQ(back, stiff);
    EXPECT_FALSE(
        edit::separateAmplifiers("left", true)
            .apply(edited(demoJob(),
                          study::startNetwork(demoJob(),
                                              demoCabinet().id,
                                              {.alignment = network::Alignment::butterworth,
                                               .order = 1,
                                               .plan = study::Plan::series})
                              .value()))
            .ok());
}

TEST(LineLevel, filtersAreInsertedSteppedTypedAndTakenOut) {
    job::Job job = edited(hallJob(), edit::separateAmplifiers("left", true));
    job = edited(job, edit::insertFilter("left", {2, {}}, network::BiquadKind::highPass));
    job = edited(job, edit::insertFilter("left", {2, 0}, network::BiquadKind::peaking));
    auto line = *network::lineOf(left(job).circuit, 2);
    ASSERT_EQ(line.filters.size(), 2U);
    EXPECT_EQ(line.filters[0].kind, network::BiquadKind::peaking);
    EXPECT_EQ(line.filters[0].f0, 2.0 * line.filters[1].f0); // above what it is cut to
    const edit::Edit step = edit::stepLine("left", {2, 1}, 12, false, "step");
    job = edited(job, step);
    EXPECT_NEAR(network::lineOf(left(job).circuit, 2)->filters[1].f0, 2000.0, 1e-9);
    EXPECT_EQ(step.nameAfter(job), "Change to high-pass 2\u202FkHz LR4");
    job = edited(job, edit::stepLine("left", {2, {}}, -3, false, "gain"));
    job = edited(job, edit::stepLine("left", {2, {}}, 1, true, "gain"));
    EXPECT_NEAR(network::lineOf(left(job).circuit, 2)->gain, -1.4, 1e-12);
    line = *network::typedLine(*network::lineOf(left(job).circuit, 2), {}, "-3 dB, 0.2 ms");
    EXPECT_EQ(line.gain, -3.0);
    EXPECT_NEAR(line.delay, 2e-4, 1e-15);
    const auto again = *network::typedLine(line, {}, network::gainWords(line));
    EXPECT_EQ(again.gain, line.gain);
    EXPECT_NEAR(again.delay, line.delay, 1e-15);
    EXPECT_FALSE(network::typedLine(line, {}, "soft").ok());
    EXPECT_FALSE(network::typedLine(line, {}, "-0.2 ms").ok());
    EXPECT_FALSE(network::typedLine(line, 7, "2k").ok());
    job = edited(job, edit::removeFilter("left", {2, 0}));
    EXPECT_EQ(network::lineOf(left(job).circuit, 2)->filters.size(), 1U);
    EXPECT_FALSE(edit::removeFilter("left", {2, 4}).apply(job).ok());
    EXPECT_FALSE(edit::insertFilter("left", {0, {}}, {}).apply(hallJob()).ok());
    // A delay turns the way and nothing else.
    line.filters = network::lineOf(left(job).circuit, 2)->filters;
    line.gain = network::lineOf(left(job).circuit, 2)->gain;
    const auto before = evaluation::evaluate(job);
    const auto after = evaluation::evaluate(edited(job, edit::changeLine("left", 2, line, "late")));
    const auto& axis = after.find("left")->axis;
    const std::size_t k = axis.size() / 2;
    const Complex turn =
        after.find("left")->ways[2].drive[k] / before.find("left")->ways[2].drive[k];
    EXPECT_NEAR(std::abs(turn - std::polar(1.0, -2.0 * std::numbers::pi * axis[k] * line.delay)),
                0.0,
                1e-12);
    EXPECT_EQ(after.find("left")->ways[1].drive, before.find("left")->ways[1].drive);
}

// Two like woofers, the first behind L = R/(2π fx) alone.
TEST(Plans, twoAndAHalfWays) {
    const study::Start start{
        .order = 2, .fx = 400.0, .upper = {3000.0}, .plan = study::Plan::halfWay};
    const job::Job job = started(start);
    const auto loads = *study::bookLoads(job, left(job), start);
    ASSERT_EQ(way(job, 0).ladder.size(), 1U);
    const auto all = network::parts(left(job).circuit);
    EXPECT_EQ(all[0].kind, network::PartKind::coil);
    EXPECT_NEAR(all[0].value, loads[0] / (2.0 * std::numbers::pi * 400.0), 1e-9);
    // The second goes down as far as the first does.
    EXPECT_EQ(all[1].kind, network::PartKind::coil);
    EXPECT_NEAR(all[1].value, loads[1] / (std::numbers::pi * 3000.0), 1e-9);
    const auto ends = network::driverEnds(left(job).circuit);
    EXPECT_EQ(ends[0].polarity, ends[1].polarity);
    EXPECT_EQ(ends[2].polarity, -ends[1].polarity); // second order
    EXPECT_EQ(all.size(), 5U);
    const auto refused =
        study::startedNetwork(demoJob(), demoCabinet(), {.order = 2, .plan = study::Plan::halfWay});
    ASSERT_FALSE(refused.ok());
    EXPECT_EQ(refused.error().subject, "plan");
}

// Bækgaard 1977 (from memory): low L = R/(Qω), C = Q/(Rω); filler L = QR/ω, C = 1/(QRω); high the
// low's dual, all in one polarity.
TEST(Plans, aFillerBetweenTwo) {
    const study::Start start{.fx = 700.0, .plan = study::Plan::filler};
    const job::Job job = started(start);
    const auto R = *study::bookLoads(job, left(job), start);
    const double w = 2.0 * std::numbers::pi * 700.0;
    const double Q = std::numbers::sqrt2 / 2.0;
    const auto all = network::parts(left(job).circuit);
    ASSERT_EQ(all.size(), 6U);
    EXPECT_NEAR(all[0].value / (R[0] / (Q * w)), 1.0, 1e-3);
    EXPECT_NEAR(all[1].value / (Q / (R[0] * w)), 1.0, 1e-3);
    EXPECT_NEAR(all[2].value / (Q * R[1] / w), 1.0, 1e-3);
    EXPECT_NEAR(all[3].value / (1.0 / (Q * R[1] * w)), 1.0, 1e-3);
    EXPECT_NEAR(all[4].value / (Q / (R[2] * w)), 1.0, 1e-3);
    EXPECT_NEAR(all[5].value / (R[2] / (Q * w)), 1.0, 1e-3);
    for (const network::DriverEnd& end : network::driverEnds(left(job).circuit)) {
        EXPECT_EQ(end.polarity, 1);
    }
    EXPECT_FALSE(study::startedNetwork(
                     job, left(job), {.fx = 700.0, .upper = {3000.0}, .plan = study::Plan::filler})
                     .ok());
    EXPECT_TRUE(study::startedNetwork(
                    job, left(job), {.fx = 700.0, .plan = study::Plan::filler, .padLevels = true})
                    .ok());
}

// An old level control: R(1−x) in the line and R·x/(1−x) across (an L-pad), replaced by the nearest
// of E12.
TEST(Controls, areTurnedAndReplacedByFixedResistors) {
    const std::size_t slots = way(hallJob(), 2).ladder.size();
    job::Job job = edited(
        hallJob(), edit::insertControl("left", {2, slots, true}, network::ControlKind::lPad));
    ASSERT_EQ(network::controls(left(job).circuit).size(), 1U);
    EXPECT_EQ(network::controls(left(job).circuit).front().id, "P1");
    const edit::Edit turn = edit::stepControl("left", "P1", 2, false, "turn");
    job = edited(job, turn);
    EXPECT_NEAR(network::controls(left(job).circuit).front().position, 0.6, 1e-12);
    EXPECT_EQ(turn.nameAfter(job), "Set P1 to 60\u202F%");
    const auto parts = network::parts(left(job).circuit).size();
    const job::Job fixed = edited(job, edit::fixControl("left", "P1", network::ESeries::E12));
    EXPECT_TRUE(network::controls(left(fixed).circuit).empty());
    const auto all = network::parts(left(fixed).circuit);
    ASSERT_EQ(all.size(), parts + 2);
    EXPECT_NEAR(all[parts].value, 3.3, 1e-12);      // 3.2 Ω
    EXPECT_NEAR(all[parts + 1].value, 12.0, 1e-12); // 12 Ω
    const double before = evaluation::evaluate(job).find("left")->corridor->level;
    const double after = evaluation::evaluate(fixed).find("left")->corridor->level;
    EXPECT_NEAR(after, before, 0.2);

    const auto typed =
        network::typedControl(network::controls(left(job).circuit).front(), "100 Ω at 25 %");
    ASSERT_TRUE(typed.ok());
    EXPECT_EQ(typed->total, 100.0);
    EXPECT_EQ(typed->position, 0.25);
    for (const char* wrong : {"", "120 %", "loud", "0 Ω", "-5 %"}) {
        const auto refused = network::typedControl(*typed, wrong);
        ASSERT_FALSE(refused.ok()) << wrong;
        EXPECT_EQ(refused.error().subject, "P1");
    }
    job = edited(job, edit::changeControl("left", *typed));
    EXPECT_EQ(network::controls(left(job).circuit).front(), *typed);
    // A control at nought has no pad that would do the same.
    auto mute = *typed;
    mute.position = 0.0;
    mute.kind = network::ControlKind::potentiometer;
    EXPECT_FALSE(edit::fixControl("left", "P1", network::ESeries::E12)
                     .apply(edited(job, edit::changeControl("left", mute)))
                     .ok());
    EXPECT_EQ(edited(job, edit::removeControl("left", "P1")), hallJob());
    EXPECT_FALSE(edit::removeControl("left", "P2").apply(job).ok());
}

// What is before the amplifiers is kept with the job.
TEST(LineLevel, isKeptInTheJob) {
    const job::Job job =
        started({.order = 4, .fx = 400.0, .upper = {3000.0}, .plan = study::Plan::lineLevel});
    const auto again = network::Circuit::read(left(job).circuit.write(), "network");
    ASSERT_TRUE(again.ok());
    EXPECT_EQ(*again, left(job).circuit);
}

} // namespace yf::test
