// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/front.h"
#include "core/edit/new_job.h"
#include "core/evaluation/assemble.h"
#include "core/evaluation/bench.h"
#include "core/evaluation/evaluate.h"
#include "core/evaluation/polarity.h"
#include "core/network/circuit/ladder_edit.h"
#include "core/text/sentence.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <cmath>

namespace yf::test {

namespace {

using bench::Place;
using edit::Bass;
using edit::Direction;
using job::Job;

Job after(const Job& job, const edit::Edit& edit) {
    const auto changed = edit.apply(job);
    EXPECT_TRUE(changed.ok()) << (changed ? "" : text::sentence(changed.error()));
    return changed ? *changed : job;
}

/// A pair of two-way speakers, left and right.
class Polarity : public testing::Test {
protected:
    void SetUp() override {
        const auto made = edit::newJob({.title = "Hall",
                                        .cabinet = "Box",
                                        .pair = true,
                                        .ways = {{"Campion 165", job::Band::low, 0.165},
                                                 {"Teasel 26", job::Band::high, 0.104}}});
        ASSERT_TRUE(made.ok());
        job = *made;
        left = job.cabinets[0].id;
        right = job.cabinets[1].id;
    }

    std::string driver(const std::string& cabinet, std::size_t place) {
        return job::findCabinet(job, cabinet)->mounts[place].driver;
    }

    void lugs(const std::string& cabinet, std::size_t place, Direction d) {
        job =
            after(job, edit::noteDirection(cabinet, driver(cabinet, place), Place::driver, d, ""));
    }

    void network(const std::string& cabinet, std::size_t place, Direction d) {
        job =
            after(job, edit::noteDirection(cabinet, driver(cabinet, place), Place::cabinet, d, ""));
    }

    void bass(Bass b) { job = after(job, edit::noteBass(left, b, "")); }

    std::vector<evaluation::PolarityFault> faults() {
        return evaluation::polarityRound(job).faults;
    }

    Job job;
    std::string left;
    std::string right;
};

/// Takes of a pair, and of a second pair below it, as a microphone would give them.
class TakePolarity : public Polarity {
protected:
    /// A band-pass of second order, delayed and with a sign.
    static std::shared_ptr<const curve::Curve>
    curveOf(double low, double high, double sign, double delay, curve::Phase phase) {
        curve::Axis axis;
        std::vector<curve::Complex> values;
        for (double f = 20.0; f < 20001.0; f *= std::exp2(1.0 / 24.0)) {
            const curve::Complex s(0.0, f / low);
            const curve::Complex t(0.0, f / high);
            axis.push_back(f);
            values.push_back(sign * s * s / (s * s + 1.4 * s + 1.0) / (t * t + 1.4 * t + 1.0) *
                             std::polar(1.0, -2.0 * 3.14159265358979 * f * delay));
        }
        return std::make_shared<curve::Curve>(axis, values, phase);
    }

    job::Take& add(const std::string& cabinet,
                   const std::string& driver,
                   std::shared_ptr<const curve::Curve> curve) {
        job::Take take{.id = "take-" + std::to_string(job.takes.size() + 1),
                       .kind = job::TakeKind::response,
                       .name = "on axis"};
        take.recorded.cabinet = cabinet;
        take.recorded.driver = driver;
        take.curve = std::move(curve);
        job.takes.push_back(take);
        for (job::Driver& d : job.drivers) {
            if (d.id == driver) {
                d.responseTake = take.id;
            }
        }
        return job.takes.back();
    }

    /// Both sides of the driver at a place: the left one with that sign.
    void twins(std::size_t place, double sign) {
        const auto own = curve::Phase::own;
        add(left, driver(left, place), curveOf(900.0, 20000.0, sign, 3e-4, own));
        add(right, driver(right, place), curveOf(930.0, 20000.0, 1.0, 0.0, own));
    }

    void whole(const std::string& cabinet, double low, double high, double sign) {
        add(cabinet, "", curveOf(low, high, sign, 3e-3, curve::Phase::common));
    }
};

bool has(const Words& words, const std::string& part) {
    const std::string text = words.english();
    return text.find(part) != std::string::npos;
}

} // namespace

TEST_F(Polarity, nothingTriedIsNoFault) {
    EXPECT_TRUE(faults().empty());
    EXPECT_FALSE(evaluation::polarityRound(job).complete);
    EXPECT_EQ(evaluation::polarityRound(job).pairs.size(), 1U);
}

TEST_F(Polarity, allOutwardsAgree) {
    for (const std::string& cabinet : {left, right}) {
        for (const std::size_t place : {0U, 1U}) {
            lugs(cabinet, place, Direction::out);
            network(cabinet, place, Direction::out);
        }
    }
    bass(Bass::fullerAsItIs);
    EXPECT_TRUE(faults().empty());
    EXPECT_TRUE(evaluation::polarityRound(job).complete);
}

TEST_F(Polarity, aTwinThatMovesTheOtherWayIsNamedWithItsLeads) {
    lugs(left, 1, Direction::out);
    lugs(right, 1, Direction::in);
    ASSERT_EQ(faults().size(), 1U);
    EXPECT_EQ(faults()[0].cabinet, right);
    EXPECT_EQ(faults()[0].driver, driver(right, 1));
    EXPECT_TRUE(has(faults()[0].remedy, "Swap the two leads at Teasel 26 in "));
    // Both inwards: marked the other way by their maker, and alike.
    lugs(left, 1, Direction::in);
    EXPECT_TRUE(faults().empty());
}

TEST_F(Polarity, twinsThroughTheirNetworksAreCompared) {
    for (const std::string& cabinet : {left, right}) {
        lugs(cabinet, 1, Direction::out);
    }
    // Drawn as it is wired: the left one against the right one.
    job::Cabinet& cabinet = job.cabinets[0];
    cabinet.circuit = *network::withPolarity(cabinet.circuit, 1, -1);
    network(left, 1, Direction::in);
    EXPECT_TRUE(faults().empty()) << "as drawn";
    network(right, 1, Direction::out);
    ASSERT_EQ(faults().size(), 1U);
    EXPECT_EQ(faults()[0].cabinet, left);
    EXPECT_TRUE(has(faults()[0].says, "through their networks"));
}

TEST_F(Polarity, aDrawnReversalIsExpectedThroughTheNetwork) {
    lugs(left, 1, Direction::out);
    network(left, 1, Direction::in);
    ASSERT_EQ(faults().size(), 1U);
    EXPECT_TRUE(has(faults()[0].says, "without reversing it"));
    job::Cabinet& cabinet = job.cabinets[0];
    cabinet.circuit = *network::withPolarity(cabinet.circuit, 1, -1);
    EXPECT_TRUE(faults().empty()) << "a network may reverse one on purpose";
    network(left, 1, Direction::out);
    ASSERT_EQ(faults().size(), 1U);
    EXPECT_TRUE(has(faults()[0].says, "with it reversed"));
}

TEST_F(Polarity, aTweeterBehindItsCapacitorMaySimplyNotBeSeen) {
    lugs(left, 1, Direction::out);
    network(left, 1, Direction::notSeen);
    EXPECT_TRUE(faults().empty());
}

TEST_F(Polarity, fullerReversedSaysWhichLeadsByWhatElseIsKnown) {
    bass(Bass::fullerReversed);
    ASSERT_EQ(faults().size(), 1U);
    EXPECT_TRUE(has(faults()[0].remedy, "at the terminals of"));
    lugs(left, 0, Direction::out);
    lugs(right, 0, Direction::out);
    ASSERT_EQ(faults().size(), 1U);
    EXPECT_TRUE(has(faults()[0].remedy, "at one side of the amplifier"))
        << "both cabinets move the same way";
    network(right, 0, Direction::in);
    const auto all = faults();
    EXPECT_TRUE(std::ranges::any_of(
        all, [](const auto& f) { return has(f.remedy, "at its terminals or its woofer"); }));
}

TEST_F(Polarity, answersThatContradictEachOtherAreSaid) {
    job = after(job, edit::noteDirection(left, Direction::out, ""));
    job = after(job, edit::noteDirection(right, Direction::in, ""));
    ASSERT_EQ(faults().size(), 1U);
    EXPECT_TRUE(has(faults()[0].remedy, "Swap the two leads at the terminals of"));
    bass(Bass::fullerAsItIs);
    ASSERT_EQ(faults().size(), 1U);
    EXPECT_TRUE(has(faults()[0].remedy, "Repeat both"));
}

TEST_F(Polarity, sidesAreHeardWithoutACabinet) {
    job = after(job, edit::noteBass("", Bass::fullerReversed, ""));
    ASSERT_EQ(faults().size(), 1U);
    EXPECT_TRUE(has(faults()[0].says, "two sides"));
    job = after(job, edit::noteBass("", Bass::fullerAsItIs, ""));
    EXPECT_TRUE(faults().empty()) << "the newest counts";
}

TEST_F(Polarity, theTerminalsDoNotAccuseTheDriver) {
    network(left, 1, Direction::in);
    const auto judged = evaluation::benchOf(
        job, evaluation::assemble(job).readings, left, driver(left, 1), bench::shippedTable());
    EXPECT_TRUE(judged.evidence.empty()) << "the network may reverse it";
    lugs(left, 1, Direction::in);
    const auto again = evaluation::benchOf(
        job, evaluation::assemble(job).readings, left, driver(left, 1), bench::shippedTable());
    ASSERT_EQ(again.evidence.size(), 1U);
    EXPECT_EQ(again.diagnosis.top, "reversed_polarity");
}

// Without a battery the takes say that twins differ, not which of them is wrong.
TEST_F(TakePolarity, twinsThatDifferAreSaidAndTheBatteryIsAskedFor) {
    twins(1, 1.0);
    EXPECT_TRUE(faults().empty());
    const auto alike = evaluation::polarityRound(job).drivers[1].byTakes;
    ASSERT_TRUE(alike && alike->found);
    EXPECT_EQ(alike->found->sign, 1);
    twins(1, -1.0);
    ASSERT_EQ(faults().size(), 1U);
    EXPECT_TRUE(has(faults()[0].says, "opposite ways round, by their takes"));
    EXPECT_TRUE(has(faults()[0].remedy, "battery"));
    // The battery finds the same: told once, with its leads.
    lugs(left, 1, Direction::out);
    lugs(right, 1, Direction::in);
    ASSERT_EQ(faults().size(), 1U);
    EXPECT_EQ(faults()[0].cabinet, right);
    // It finds them alike: one of the two is wrong.
    lugs(right, 1, Direction::out);
    ASSERT_EQ(faults().size(), 1U);
    EXPECT_TRUE(has(faults()[0].says, "the battery says that they are alike"));
    // Takes alike after all, battery not.
    twins(1, 1.0);
    lugs(right, 1, Direction::in);
    ASSERT_EQ(faults().size(), 2U);
    EXPECT_TRUE(has(faults()[0].says, "the takes say that they are alike"));
}

TEST_F(TakePolarity, whatIsMissingIsSaid) {
    add(left, driver(left, 1), curveOf(900.0, 20000.0, 1.0, 0.0, curve::Phase::own));
    EXPECT_EQ(evaluation::polarityRound(job).drivers[1].byTakes->missing, "a response of each");
    add(right, driver(right, 1), curveOf(900.0, 20000.0, 1.0, 0.0, curve::Phase::minimum));
    const auto told = evaluation::polarityRound(job).drivers[1].byTakes;
    EXPECT_FALSE(told->found);
    EXPECT_TRUE(has(told->missing, "phase"));
    EXPECT_TRUE(has(evaluation::polarityRound(job).pairs[0].byTakes.missing, "as a whole"));
    EXPECT_TRUE(faults().empty());
}

TEST_F(TakePolarity, aPairTurnedOverIsSaidWithWhatElseIsKnown) {
    whole(left, 45.0, 20000.0, 1.0);
    whole(right, 47.0, 20000.0, 1.0);
    EXPECT_TRUE(faults().empty());
    whole(right, 47.0, 20000.0, -1.0); // the last one counts
    ASSERT_EQ(faults().size(), 1U);
    EXPECT_TRUE(has(faults()[0].says, "opposite ways round as a whole"));
    lugs(left, 0, Direction::out);
    lugs(right, 0, Direction::out);
    ASSERT_EQ(faults().size(), 1U);
    EXPECT_TRUE(has(faults()[0].says, "the battery says that they are alike"));
    EXPECT_TRUE(has(faults()[0].remedy, "repeat both"));
}

// Four corners of a system of two cabinets a side: bass below, tops above, one clock.
TEST_F(TakePolarity, theFourCorners) {
    const auto grown = edit::newJob({.title = "Hall",
                                     .cabinet = "Bass",
                                     .pair = true,
                                     .ways = {{"Brome 380", job::Band::low, 0.38}}});
    ASSERT_TRUE(grown.ok());
    std::vector<std::string> basses;
    for (job::Cabinet cabinet : grown->cabinets) {
        cabinet.id = "sub-" + cabinet.id;
        cabinet.twin = "sub-" + cabinet.twin;
        for (job::Mount& mount : cabinet.mounts) {
            mount.driver = "sub-" + mount.driver;
        }
        cabinet.circuit = network::withDrivers(
            cabinet.circuit, [](const std::string& name) { return "sub-" + name; });
        basses.push_back(cabinet.id);
        job.cabinets.push_back(cabinet);
    }
    for (job::Driver driver : grown->drivers) {
        driver.id = "sub-" + driver.id;
        job.drivers.push_back(driver);
    }
    const auto put = [&](double leftBass, double rightBass, double leftTop, double rightTop) {
        job.takes.clear();
        // Second order at 100 Hz stands 180° apart: right with one reversed.
        whole(basses[0], 30.0, 100.0, -leftBass);
        whole(basses[1], 30.0, 100.0, -rightBass);
        whole(left, 100.0, 20000.0, leftTop);
        whole(right, 100.0, 20000.0, rightTop);
    };
    put(1.0, 1.0, 1.0, 1.0);
    auto round = evaluation::polarityRound(job);
    ASSERT_EQ(round.stacks.size(), 2U);
    for (const evaluation::StackByTakes& stack : round.stacks) {
        ASSERT_TRUE(stack.flipGain) << stack.missing;
        EXPECT_LT(*stack.flipGain, -3.0);
        EXPECT_NEAR(*stack.fx, 100.0, 8.0);
        EXPECT_EQ(stack.lower.substr(0, 4), "sub-");
    }
    EXPECT_TRUE(round.faults.empty());
    // One bass cabinet turned over: it cancels with its top, and the pair differs.
    put(-1.0, 1.0, 1.0, 1.0);
    round = evaluation::polarityRound(job);
    ASSERT_EQ(round.faults.size(), 2U);
    EXPECT_TRUE(has(round.faults[0].says, "work against each other about 1"))
        << round.faults[0].says;
    EXPECT_TRUE(has(round.faults[1].says, "opposite ways round as a whole"));
    // One whole side turned over: each side adds up, both pairs differ.
    put(-1.0, 1.0, -1.0, 1.0);
    round = evaluation::polarityRound(job);
    ASSERT_EQ(round.faults.size(), 2U);
    for (const evaluation::PolarityFault& fault : round.faults) {
        EXPECT_TRUE(has(fault.says, "opposite ways round as a whole"));
    }
    // Moved microphone: no sum, and what it needs is said.
    job.takes.back().distance = 2.0;
    EXPECT_TRUE(has(evaluation::polarityRound(job).stacks[1].missing, "staying where it is"));
    // Signs that cannot be: a pair is told by its last takes over all octaves, a stack where it
    // hands over. A top whose lowest octaves are turned over against the rest of it makes the way
    // round odd.
    put(1.0, 1.0, 1.0, 1.0);
    for (const bool turned : {false, true}) {
        const auto good = curveOf(100.0, 20000.0, 1.0, 3e-3, curve::Phase::common);
        std::vector<curve::Complex> values = good->values();
        for (std::size_t k = 0; k < values.size() && turned; ++k) {
            values[k] *= good->frequencies()[k] < 400.0 ? -1.0 : 1.0;
        }
        job.takes.back().curve =
            std::make_shared<curve::Curve>(good->frequencies(), values, curve::Phase::common);
        round = evaluation::polarityRound(job);
        EXPECT_EQ(round.faults.empty(), !turned);
    }
}

} // namespace yf::test
