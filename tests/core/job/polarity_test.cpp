// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/job/bench.h"
#include "core/job/evaluate.h"
#include "core/job/front_edit.h"
#include "core/job/new_job.h"
#include "core/job/polarity.h"
#include "core/network/ladder_edit.h"
#include "core/text/sentence.h"

#include <gtest/gtest.h>

#include <algorithm>

namespace yf::test {

namespace {

using bench::Place;
using job::Bass;
using job::Direction;
using job::Job;

Job after(const Job& job, const job::Edit& edit) {
    const auto changed = edit.apply(job);
    EXPECT_TRUE(changed.ok()) << (changed ? "" : text::sentence(changed.error()));
    return changed ? *changed : job;
}

/// A pair of two-way speakers, left and right.
class Polarity : public testing::Test {
protected:
    void SetUp() override {
        const auto made = job::newJob({.title = "Hall",
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
        job = after(job, job::noteDirection(cabinet, driver(cabinet, place), Place::driver, d, ""));
    }

    void network(const std::string& cabinet, std::size_t place, Direction d) {
        job =
            after(job, job::noteDirection(cabinet, driver(cabinet, place), Place::cabinet, d, ""));
    }

    void bass(Bass b) { job = after(job, job::noteBass(left, b, "")); }

    std::vector<job::PolarityFault> faults() { return job::polarityRound(job).faults; }

    Job job;
    std::string left;
    std::string right;
};

bool has(const std::string& text, const std::string& part) {
    return text.find(part) != std::string::npos;
}

} // namespace

TEST_F(Polarity, nothingTriedIsNoFault) {
    EXPECT_TRUE(faults().empty());
    EXPECT_FALSE(job::polarityRound(job).complete);
    EXPECT_EQ(job::polarityRound(job).pairs.size(), 1U);
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
    EXPECT_TRUE(job::polarityRound(job).complete);
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
    job = after(job, job::noteDirection(left, Direction::out, ""));
    job = after(job, job::noteDirection(right, Direction::in, ""));
    ASSERT_EQ(faults().size(), 1U);
    EXPECT_TRUE(has(faults()[0].remedy, "Swap the two leads at the terminals of"));
    bass(Bass::fullerAsItIs);
    ASSERT_EQ(faults().size(), 1U);
    EXPECT_TRUE(has(faults()[0].remedy, "Repeat both"));
}

TEST_F(Polarity, sidesAreHeardWithoutACabinet) {
    job = after(job, job::noteBass("", Bass::fullerReversed, ""));
    ASSERT_EQ(faults().size(), 1U);
    EXPECT_TRUE(has(faults()[0].says, "two sides"));
    job = after(job, job::noteBass("", Bass::fullerAsItIs, ""));
    EXPECT_TRUE(faults().empty()) << "the newest counts";
}

TEST_F(Polarity, theTerminalsDoNotAccuseTheDriver) {
    network(left, 1, Direction::in);
    const auto judged =
        job::benchOf(job, job::assemble(job), left, driver(left, 1), bench::shippedTable());
    EXPECT_TRUE(judged.evidence.empty()) << "the network may reverse it";
    lugs(left, 1, Direction::in);
    const auto again =
        job::benchOf(job, job::assemble(job), left, driver(left, 1), bench::shippedTable());
    ASSERT_EQ(again.evidence.size(), 1U);
    EXPECT_EQ(again.diagnosis.top, "reversed_polarity");
}

} // namespace yf::test
