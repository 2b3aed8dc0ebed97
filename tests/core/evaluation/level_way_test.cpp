// SPDX-License-Identifier: GPL-3.0-or-later
// A way brought to another level, and what the circuit then does.
#include "core/evaluation/level_way.h"
#include "core/findings/words.h"
#include "core/network/circuit/ladder_edit.h"
#include "tests/support/demo_job.h"

#include <gtest/gtest.h>

namespace yf::test {

namespace {

const job::Cabinet& left(const job::Job& job) {
    return *job::findCabinet(job, "left");
}

evaluation::CabinetResult resultOf(const job::Job& job) {
    return *evaluation::evaluate(job).find("left");
}

job::Job levelled(const job::Job& job, std::size_t way, double quieter) {
    const auto edit = evaluation::levelWay(job, left(job), resultOf(job), way, quieter);
    EXPECT_TRUE(edit.has_value());
    return edit ? edited(job, *edit) : job;
}

double levelOf(const job::Job& job, std::size_t way) {
    return evaluation::ownBand(resultOf(job), way).level;
}

/// The finding that the levels of the small cabinet's two ways differ by more than one decibel.
std::optional<findings::Finding> told(const Looked& evaluation) {
    for (const findings::Finding& finding : evaluation.judgement.findings) {
        if (findings::rules()[finding.rule].id == std::string_view("align.level") &&
            finding.subject.cabinet == "projection") {
            return finding;
        }
    }
    return std::nullopt;
}

} // namespace

// The tweeter has no shunt at first: a pad comes before it, later ones change that pad.
TEST(LevelWay, padIsPutInAndThenChanged) {
    const job::Job demo = hallJob();
    const std::size_t parts = network::parts(left(demo).circuit).size();
    const double before = levelOf(demo, 2);
    const job::Job quiet = levelled(demo, 2, 3.0);
    const std::size_t more = network::parts(left(quiet).circuit).size();
    EXPECT_NEAR(before - levelOf(quiet, 2), 3.0, 0.8); // E12, and the filter in front
    const job::Job quieter = levelled(quiet, 2, 3.0);
    EXPECT_EQ(network::parts(left(quieter).circuit).size(), more);
    EXPECT_LE(more, parts + 2);
    EXPECT_NEAR(before - levelOf(quieter, 2), 6.0, 1.2);
    const job::Job back = levelled(quieter, 2, -3.0);
    EXPECT_NEAR(levelOf(back, 2), levelOf(quiet, 2), 0.6);
}

// Common practice: no resistor in the line of a woofer; and nothing gets louder from nothing.
TEST(LevelWay, neverBeforeAWooferNorLouderThanWithoutAPad) {
    const job::Job demo = hallJob();
    EXPECT_FALSE(evaluation::levelWay(demo, left(demo), resultOf(demo), 0, 3.0).has_value());
    EXPECT_FALSE(evaluation::levelWay(demo, left(demo), resultOf(demo), 2, -40.0).has_value());
    EXPECT_FALSE(evaluation::levelWay(demo, left(demo), resultOf(demo), 9, 3.0).has_value());
}

// What a finding says of levels is mended by what it offers: the tweeter's pad, either way.
TEST(LevelWay, mendsWhatTheFindingSays) {
    int seen = 0;
    for (const double quieter : {-3.0, -2.0, 2.0, 3.0, 5.0}) {
        const job::Job demo = hallJob();
        const job::Cabinet& small = *job::findCabinet(demo, "projection");
        const auto evaluation = lookedAt(demo);
        const auto edit =
            evaluation::levelWay(demo, small, *evaluation.find("projection"), 1, quieter);
        if (!edit) {
            continue;
        }
        const job::Job wrong = edited(demo, *edit);
        const auto judged = lookedAt(wrong);
        const auto finding = told(judged);
        if (!finding) {
            continue;
        }
        const auto remedy = findings::remedy(wrong, judged, *finding);
        if (!remedy) {
            EXPECT_LT(*finding->figure, 0.0) << quieter; // too quiet, and no pad left to lessen
            continue;
        }
        ++seen;
        EXPECT_FALSE(told(lookedAt(edited(wrong, *remedy))).has_value())
            << quieter << ": " << remedy->name << ", was " << *finding->figure;
    }
    EXPECT_GE(seen, 2);
}

} // namespace yf::test
