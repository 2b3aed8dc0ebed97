// SPDX-License-Identifier: GPL-3.0-or-later
// What the bench says of a job: which readings count, what curves say in their place, and that
// nothing is lost on the way.
#include "core/bench/words.h"
#include "core/job/bench.h"
#include "core/job/difference.h"
#include "core/job/evaluate.h"
#include "core/job/intake_edit.h"
#include "core/job/record.h"
#include "core/network/circuit.h"
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

Job after(const Job& job, const job::Edit& edit) {
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

job::DriverBench benchOf(const Job& job, const char* driver) {
    return job::benchOf(job,
                        job::assemble(job),
                        std::string_view(driver).starts_with("left") ? "left" : "right",
                        driver,
                        bench::shippedTable());
}

std::string outcomeOf(const job::DriverBench& bench, const char* check) {
    const auto found = std::ranges::find_if(
        bench.evidence, [&](const job::BenchEvidence& e) { return e.evidence.check == check; });
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
    job = after(job, job::addReading(seen("left-brome", "push", "scrape")));
    EXPECT_EQ(outcomeOf(benchOf(job, "left-brome"), "push"), "scrape");
    job = after(job, job::addReading(seen("left-brome", "push", "smooth")));
    EXPECT_EQ(outcomeOf(benchOf(job, "left-brome"), "push"), "smooth");
    // Set aside, the one before speaks again; both are still there.
    job = after(job, job::setReadingAside(job.readings.back().id, true));
    EXPECT_EQ(outcomeOf(benchOf(job, "left-brome"), "push"), "scrape");
    EXPECT_EQ(job::readingsOf(job, "left", "left-brome", "push").size(), 1U);
    EXPECT_EQ(std::ranges::count(job.readings, "push", &BenchReading::check), 3)
        << "with the one that the demo came with";
}

TEST(JobBench, idsAreNeverUsedTwice) {
    Job job = hall();
    std::set<std::string> ids;
    for (int i = 0; i < 20; ++i) {
        job = after(job, job::addReading(seen("left-brome", "push", "smooth")));
        EXPECT_TRUE(ids.insert(job.readings.back().id).second);
        if (i % 3 == 0) {
            job.readings.erase(job.readings.begin()); // as another program might
        }
    }
}

TEST(JobBench, readingsOfOthersDoNotCount) {
    Job job = after(hall(), job::addReading(seen("left-brome", "look_smell", "torn")));
    EXPECT_EQ(outcomeOf(benchOf(job, "left-brome"), "look_smell"), "torn");
    EXPECT_EQ(outcomeOf(benchOf(job, "left-sorrel"), "look_smell"), "");
    EXPECT_EQ(outcomeOf(benchOf(job, "right-brome"), "look_smell"), "");
}

TEST(JobBench, curvesSpeakWhereNoSweepWasEntered) {
    EXPECT_EQ(outcomeOf(benchOf(hall(), "right-sorrel"), "impedance_sweep"), "peak_collapsed");
    EXPECT_EQ(outcomeOf(benchOf(hall(), "left-brome"), "impedance_sweep"), "as_expected");
    // A person who has swept it knows better.
    const Job swept =
        after(hall(), job::addReading(seen("right-sorrel", "impedance_sweep", "as_expected")));
    EXPECT_EQ(outcomeOf(benchOf(swept, "right-sorrel"), "impedance_sweep"), "as_expected");
    // A twin that is bad itself is no measure.
    const Job bad = after(hall(), job::concludeDriver("left-sorrel", job::Condition::dead));
    EXPECT_EQ(outcomeOf(benchOf(bad, "right-sorrel"), "impedance_sweep"), "");
}

// One coil, shown in either form, is judged alike: 1/Z = 1/R + 1/(jωL).
TEST(JobBench, thePairIsJudgedByTheTwinsCurveInEitherForm) {
    const job::Assembly assembly = job::assemble(hall());
    for (const double f : {1000.0, 10000.0}) {
        const double w = 2.0 * std::numbers::pi * f;
        const curve::Complex Z = twinAt(f);
        for (const double share : {1.0, 0.7}) {
            const curve::Complex z = share * Z;
            const double r = z.real();
            const double l = z.imag() / w;
            const double m = std::norm(z);
            const auto series =
                job::withOutcome(hall(), assembly, pair(r, l, bench::LcrMode::series, f));
            const auto parallel = job::withOutcome(
                hall(), assembly, pair(m / r, m / (w * w * l), bench::LcrMode::parallel, f));
            ASSERT_TRUE(series.ok() && parallel.ok());
            EXPECT_EQ(series->outcome, share == 1.0 ? "match" : "low_r_low_l") << f;
            EXPECT_EQ(parallel->outcome, series->outcome) << f;
        }
    }
}

TEST(JobBench, whatTheModeWouldDecideDecidesNothing) {
    const job::Assembly assembly = job::assemble(hall());
    const double w = 2.0 * std::numbers::pi * 1000.0;
    const curve::Complex Z = twinAt(1000.0);
    const double l = Z.imag() / w;
    const double m = std::norm(Z);
    const auto judged = job::withOutcome(
        hall(), assembly, pair(m / Z.real(), m / (w * w * l), bench::LcrMode::unknown));
    ASSERT_TRUE(judged.ok());
    EXPECT_EQ(judged->outcome, "") << "kept, and no evidence";
    const Job kept = after(hall(), job::addReading(*judged));
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
    job = after(job, job::addReading(twin));
    const auto judged =
        job::withOutcome(job, job::assemble(job), pair(Z.real(), l, bench::LcrMode::series));
    ASSERT_TRUE(judged.ok());
    EXPECT_EQ(judged->outcome, "low_r_low_l") << "half of what the twin read";
}

TEST(JobBench, openReadingsNeedNoReference) {
    BenchReading open = pair(0.0, 0.0, bench::LcrMode::series);
    open.r.reset();
    open.l.reset();
    const auto judged = job::withOutcome(hall(), job::assemble(hall()), open);
    ASSERT_TRUE(judged.ok());
    EXPECT_EQ(judged->outcome, "open");
}

TEST(JobBench, anEditsNameSaysWhatWasFound) {
    const job::Edit edit = job::addReading(seen("left-brome", "dcr", "open"));
    EXPECT_EQ(edit.name, "DC resistance: DC resistance open");
    EXPECT_FALSE(job::addReading(seen("left-brome", "dcr", "open")).apply(Job{}).ok())
        << "an empty job has no such driver";
}

TEST(JobBench, differencesTellReadingsAndIntake) {
    Job job = after(hall(), job::addReading(seen("left-brome", "push", "scrape")));
    job = after(job, job::changeComplaint("hums"));
    const auto said = job::differences(hall(), job);
    EXPECT_NE(std::ranges::find(said, "Brome 210: an even push scrapes"), said.end());
    EXPECT_NE(std::ranges::find(said, "complaint or aim changed"), said.end());
}

TEST(JobBench, aRestoredSnapshotKeepsReadingsAndPictures) {
    job::Record record{job::History(hall())};
    ASSERT_TRUE(job::takeSnapshot(record, "before", "t0").ok());
    ASSERT_TRUE(
        job::apply(record, job::addReading(seen("left-brome", "push", "scrape")), "t1").ok());
    ASSERT_TRUE(job::apply(record, job::addPhoto("a.png", "\x89PNG\r\n\x1a\n pixels"), "t2").ok());
    ASSERT_TRUE(job::apply(record, job::changeAim(job::Aim::newDesign), "t3").ok());
    ASSERT_TRUE(
        job::apply(record, job::restoreSnapshot(*record.findSnapshot("before")), "t4").ok());
    EXPECT_EQ(record.job().readings.size(), hall().readings.size() + 1);
    EXPECT_EQ(record.job().photos.size(), 1U);
    EXPECT_EQ(record.job().aim, hall().aim) << "the rest is as it was";
}

TEST(JobBench, anotherTableJudgesAtOnceAndAnUnchangedOneIsNotAskedAgain) {
    const job::Assembly assembly = job::assemble(hall());
    const job::Evaluation first = job::evaluate(hall(), assembly, nullptr);
    const job::Earlier earlier{hall(), first};
    const job::Evaluation again = job::evaluate(hall(), assembly, &earlier);
    EXPECT_EQ(again.bench, first.bench) << "the very same";
    auto table = bench::shippedTable();
    const std::size_t rub = *table.fault("rubbing_coil");
    table.priors[rub] += 1.0;
    for (double& p : table.priors) {
        p /= 2.0;
    }
    bench::useTable(std::make_shared<const bench::EvidenceTable>(table));
    const job::Evaluation other = job::evaluate(hall(), assembly, &earlier);
    bench::useTable(nullptr); // the shipped one again
    EXPECT_NE(other.bench, first.bench);
    const auto p = [&](const job::Evaluation& e) {
        return e.findBench("right", "right-sorrel")->diagnosis.probabilities[rub];
    };
    EXPECT_GT(p(other), p(first));
    EXPECT_EQ(p(job::evaluate(hall(), assembly, nullptr)), p(first));
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
