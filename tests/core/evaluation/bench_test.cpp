// SPDX-License-Identifier: GPL-3.0-or-later
// What the bench says of a job: which readings count, what curves say in their place, and that
// nothing is lost on the way.
#include "core/bench/words.h"
#include "core/edit/bench.h"
#include "core/edit/intake.h"
#include "core/evaluation/assemble.h"
#include "core/evaluation/bench.h"
#include "core/evaluation/evaluate.h"
#include "core/job/difference.h"
#include "core/job/lookup.h"
#include "core/job/record.h"
#include "core/network/circuit/circuit.h"
#include "core/text/sentence.h"
#include "tests/support/demo_job.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <complex>
#include <numbers>
#include <set>

namespace yf::test {

namespace {

using job::BenchReading;
using job::Job;

const Job& hall() {
    static const Job job = hallJob();
    return job;
}

Job after(const Job& job, const edit::Edit& edit) {
    const auto changed = edit.apply(job);
    EXPECT_TRUE(changed.ok()) << (changed ? "" : text::sentence(changed.error()));
    return changed ? *changed : job;
}

BenchReading seen(const char* driver, const char* check, const char* outcome) {
    BenchReading r;
    r.check = check;
    r.outcome = outcome;
    r.cabinet = std::string_view(driver).starts_with("left") ? "left" : "right";
    r.driver = driver;
    return r;
}

evaluation::DriverBench benchOf(const Job& job, const char* driver) {
    return evaluation::benchOf(job,
                               evaluation::assemble(job).readings,
                               std::string_view(driver).starts_with("left") ? "left" : "right",
                               driver,
                               bench::shippedTable());
}

std::string outcomeOf(const evaluation::DriverBench& bench, const char* check) {
    const auto found =
        std::ranges::find_if(bench.evidence, [&](const evaluation::BenchEvidence& e) {
            return e.evidence.check == check;
        });
    return found == bench.evidence.end() ? std::string{} : found->evidence.outcome;
}

/// |Z| of the twin's curve at a frequency, as a meter would show it.
curve::Complex twinAt(double f) {
    const job::Driver& twin = *job::findDriver(hall(), "left-sorrel");
    const auto Z =
        curve::interpolate(*job::takeInUse(hall(), twin, job::TakeKind::impedance)->curve, {f});
    return Z->front();
}

BenchReading pair(double r, double l, bench::LcrMode mode, double f = 1000.0) {
    BenchReading reading = seen("right-sorrel", "lcr", "");
    reading.frequency = f;
    reading.r = r;
    reading.l = l;
    reading.mode = mode;
    return reading;
}

} // namespace

TEST(JobBench, theNewestReadingOfACheckCounts) {
    Job job = hall();
    job = after(job, edit::addReading(seen("left-brome", "push", "scrape")));
    EXPECT_EQ(outcomeOf(benchOf(job, "left-brome"), "push"), "scrape");
    job = after(job, edit::addReading(seen("left-brome", "push", "smooth")));
    EXPECT_EQ(outcomeOf(benchOf(job, "left-brome"), "push"), "smooth");
    // Set aside, the one before speaks again; both are still there.
    job = after(job, edit::setReadingAside(job.readings.back().id, true));
    EXPECT_EQ(outcomeOf(benchOf(job, "left-brome"), "push"), "scrape");
    EXPECT_EQ(job::readingsOf(job, "left", "left-brome", "push").size(), 1U);
    EXPECT_EQ(std::ranges::count(job.readings, "push", &BenchReading::check), 3)
        << "with the one that the demo came with";
}

TEST(JobBench, idsAreNeverUsedTwice) {
    Job job = hall();
    std::set<std::string> ids;
    for (int i = 0; i < 20; ++i) {
        job = after(job, edit::addReading(seen("left-brome", "push", "smooth")));
        EXPECT_TRUE(ids.insert(job.readings.back().id).second);
        if (i % 3 == 0) {
            job.readings.erase(job.readings.begin()); // as another program might
        }
    }
}

TEST(JobBench, readingsOfOthersDoNotCount) {
    Job job = after(hall(), edit::addReading(seen("left-brome", "look_smell", "torn")));
    EXPECT_EQ(outcomeOf(benchOf(job, "left-brome"), "look_smell"), "torn");
    EXPECT_EQ(outcomeOf(benchOf(job, "left-sorrel"), "look_smell"), "");
    EXPECT_EQ(outcomeOf(benchOf(job, "right-brome"), "look_smell"), "");
}

TEST(JobBench, curvesSpeakWhereNoSweepWasEntered) {
    EXPECT_EQ(outcomeOf(benchOf(hall(), "right-sorrel"), "impedance_sweep"), "peak_collapsed");
    EXPECT_EQ(outcomeOf(benchOf(hall(), "left-brome"), "impedance_sweep"), "as_expected");
    // A person who has swept it knows better.
    const Job swept =
        after(hall(), edit::addReading(seen("right-sorrel", "impedance_sweep", "as_expected")));
    EXPECT_EQ(outcomeOf(benchOf(swept, "right-sorrel"), "impedance_sweep"), "as_expected");
    // A twin that is bad itself is no measure.
    const Job bad = after(hall(), edit::concludeDriver("left-sorrel", job::Condition::dead));
    EXPECT_EQ(outcomeOf(benchOf(bad, "right-sorrel"), "impedance_sweep"), "");
}

// One coil, shown in either form, is judged alike: 1/Z = 1/R + 1/(jωL).
TEST(JobBench, thePairIsJudgedByTheTwinsCurveInEitherForm) {
    const evaluation::Assembly assembly = evaluation::assemble(hall());
    for (const double f : {1000.0, 10000.0}) {
        const double w = 2.0 * std::numbers::pi * f;
        const curve::Complex Z = twinAt(f);
        for (const double share : {1.0, 0.7}) {
            const curve::Complex z = share * Z;
            const double r = z.real();
            const double l = z.imag() / w;
            const double m = std::norm(z);
            const auto series = evaluation::withOutcome(
                hall(), assembly.readings, pair(r, l, bench::LcrMode::series, f));
            const auto parallel =
                evaluation::withOutcome(hall(),
                                        assembly.readings,
                                        pair(m / r, m / (w * w * l), bench::LcrMode::parallel, f));
            ASSERT_TRUE(series.ok() && parallel.ok());
            EXPECT_EQ(series->outcome, share == 1.0 ? "match" : "low_r_low_l") << f;
            EXPECT_EQ(parallel->outcome, series->outcome) << f;
        }
    }
}

TEST(JobBench, whatTheModeWouldDecideDecidesNothing) {
    const evaluation::Assembly assembly = evaluation::assemble(hall());
    const double w = 2.0 * std::numbers::pi * 1000.0;
    const curve::Complex Z = twinAt(1000.0);
    const double l = Z.imag() / w;
    const double m = std::norm(Z);
    const auto judged = evaluation::withOutcome(
        hall(), assembly.readings, pair(m / Z.real(), m / (w * w * l), bench::LcrMode::unknown));
    ASSERT_TRUE(judged.ok());
    EXPECT_EQ(judged->outcome, "") << "kept, and no evidence";
    const Job kept = after(hall(), edit::addReading(*judged));
    EXPECT_EQ(outcomeOf(benchOf(kept, "right-sorrel"), "lcr"), "");
    EXPECT_EQ(kept.readings.size(), hall().readings.size() + 1);
}

TEST(JobBench, theTwinsOwnReadingComesBeforeItsCurve) {
    Job job = hall();
    const curve::Complex Z = twinAt(1000.0);
    const double l = Z.imag() / (2.0 * std::numbers::pi * 1000.0);
    BenchReading twin = pair(2.0 * Z.real(), 2.0 * l, bench::LcrMode::series);
    twin.cabinet = "left";
    twin.driver = "left-sorrel";
    twin.outcome = "match";
    job = after(job, edit::addReading(twin));
    const auto judged = evaluation::withOutcome(
        job, evaluation::assemble(job).readings, pair(Z.real(), l, bench::LcrMode::series));
    ASSERT_TRUE(judged.ok());
    EXPECT_EQ(judged->outcome, "low_r_low_l") << "half of what the twin read";
}

TEST(JobBench, openReadingsNeedNoReference) {
    BenchReading open = pair(0.0, 0.0, bench::LcrMode::series);
    open.r.reset();
    open.l.reset();
    const auto judged =
        evaluation::withOutcome(hall(), evaluation::assemble(hall()).readings, open);
    ASSERT_TRUE(judged.ok());
    EXPECT_EQ(judged->outcome, "open");
}

TEST(JobBench, anEditsNameSaysWhatWasFound) {
    const edit::Edit edit = edit::addReading(seen("left-brome", "dcr", "open"));
    EXPECT_EQ(edit.name, "DC resistance: DC resistance open");
    EXPECT_FALSE(edit::addReading(seen("left-brome", "dcr", "open")).apply(Job{}).ok())
        << "an empty job has no such driver";
}

TEST(JobBench, differencesTellReadingsAndIntake) {
    Job job = after(hall(), edit::addReading(seen("left-brome", "push", "scrape")));
    job = after(job, edit::changeComplaint("hums"));
    const auto said = job::differences(hall(), job);
    EXPECT_NE(std::ranges::find(said, "Brome 210: an even push scrapes"), said.end());
    EXPECT_NE(std::ranges::find(said, "complaint or aim changed"), said.end());
}

TEST(JobBench, aRestoredSnapshotKeepsReadingsAndPictures) {
    job::Record record{job::History(hall())};
    ASSERT_TRUE(job::takeSnapshot(record, "before", "t0").ok());
    ASSERT_TRUE(
        edit::apply(record, edit::addReading(seen("left-brome", "push", "scrape")), "t1").ok());
    ASSERT_TRUE(
        edit::apply(record, edit::addPhoto("a.png", "\x89PNG\r\n\x1a\n pixels"), "t2").ok());
    ASSERT_TRUE(edit::apply(record, edit::changeAim(job::Aim::newDesign), "t3").ok());
    ASSERT_TRUE(
        edit::apply(record, edit::restoreSnapshot(*record.findSnapshot("before")), "t4").ok());
    EXPECT_EQ(record.job().readings.size(), hall().readings.size() + 1);
    EXPECT_EQ(record.job().photos.size(), 1U);
    EXPECT_EQ(record.job().aim, hall().aim) << "the rest is as it was";
}

TEST(JobBench, anotherTableJudgesAtOnceAndAnUnchangedOneIsNotAskedAgain) {
    const evaluation::Assembly assembly = evaluation::assemble(hall());
    evaluation::Memory memory;
    const auto shipped = evaluation::Tables::shipped();
    const auto first = evaluation::evaluate(hall(), assembly, shipped, memory);
    const auto again = evaluation::evaluate(hall(), assembly, shipped, memory);
    EXPECT_EQ(again.bench, first.bench) << "the very same";
    auto table = bench::shippedTable();
    const std::size_t rub = *table.fault("rubbing_coil");
    table.priors[rub] += 1.0;
    for (double& p : table.priors) {
        p /= 2.0;
    }
    const evaluation::Tables own{std::make_shared<const bench::EvidenceTable>(table)};
    const auto other = evaluation::evaluate(hall(), assembly, own, memory);
    EXPECT_NE(other.bench, first.bench);
    const auto p = [&](const evaluation::Evaluation& e) {
        return e.findBench("right", "right-sorrel")->diagnosis.probabilities[rub];
    };
    EXPECT_GT(p(other), p(first));
    EXPECT_EQ(p(evaluation::evaluate(hall(), assembly)), p(first));
}

TEST(Strings, notationTakesBothFormsAndRefusesTheirMixture) {
    const auto read = [](const char* end) {
        return network::readCircuit(
            *text::parseJson(std::string(R"({"ways": [{"name": "low", "driver": "a", )") + end +
                             "}]}"),
            "network");
    };
    const auto endOf = [&](const char* end) {
        const auto circuit = read(end);
        EXPECT_TRUE(circuit.ok()) << end << ": "
                                  << (circuit ? "" : text::sentence(circuit.error()));
        return network::driverEnds(*circuit).front();
    };
    EXPECT_EQ(endOf(R"("count": 3)").inParallel, 3);
    EXPECT_EQ(endOf(R"("count": 3, "wiring": "series")").inSeries, 3);
    const auto both = endOf(R"("in_series": 2, "in_parallel": 3)");
    EXPECT_EQ(both.units(), 6);
    EXPECT_DOUBLE_EQ(both.ratio(), 2.0 / 3.0);
    for (const char* const bad : {R"("count": 2, "in_series": 2)",
                                  R"("in_series": 0)",
                                  R"("in_parallel": 1.5)",
                                  R"("in_series": "two")",
                                  R"("count": 101)"}) {
        EXPECT_FALSE(read(bad).ok()) << bad;
    }
}

} // namespace yf::test
