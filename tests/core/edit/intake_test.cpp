// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/bench.h"
#include "core/edit/front.h"
#include "core/edit/intake.h"
#include "core/edit/new_job.h"
#include "core/evaluation/arrangements.h"
#include "core/evaluation/assemble.h"
#include "core/evaluation/bench.h"
#include "core/evaluation/evaluate.h"
#include "core/evaluation/trace.h"
#include "core/findings/words.h"
#include "core/job/record.h"
#include "core/job/store/store.h"
#include "core/network/circuit/circuit.h"
#include "core/text/sentence.h"
#include "tests/support/demo_job.h"
#include "tests/support/temp_folder.h"

#include <gtest/gtest.h>
#include <sqlite3.h>

#include <algorithm>
#include <set>

namespace yf::test {

namespace {

using bench::Segment;
using bench::Standing;
using edit::Arrangement;
using edit::Edit;
using job::Job;
using job::Protector;
using job::ProtectorState;

Job after(const Job& job, const Edit& edit) {
    const auto changed = edit.apply(job);
    EXPECT_TRUE(changed.ok()) << (changed ? "" : text::sentence(changed.error()));
    return changed ? *changed : job;
}

std::string refusal(const Job& job, const Edit& edit) {
    const auto changed = edit.apply(job);
    return changed ? std::string{} : text::sentence(changed.error()).english();
}

Looked evaluated(const Job& job) {
    return lookedAt(job);
}

std::set<std::string> found(const Job& job) {
    std::set<std::string> ids;
    for (const auto& finding : evaluated(job).judgement.findings) {
        ids.emplace(findings::rules()[finding.rule].id);
    }
    return ids;
}

/// Woofers and a tweeter rated 4 Ω, nothing measured.
Job twoWay() {
    const auto made = edit::newJob(
        {.title = "Kitchen",
         .cabinet = "Box",
         .ways = {{"Campion 165", job::Band::low, 0.165}, {"Teasel 26", job::Band::high, 0.104}}});
    EXPECT_TRUE(made.ok());
    Job job = *made;
    for (job::Driver& driver : job.drivers) {
        driver.nominal = 4.0;
    }
    job.cabinets.front().height = 1.0;
    return job;
}

std::string woofer(const Job& job) {
    return job.drivers.front().id;
}

std::string box(const Job& job) {
    return job.cabinets.front().id;
}

job::BenchReading reading(const Job& job, const char* check, const char* outcome) {
    job::BenchReading r;
    r.check = check;
    r.outcome = outcome;
    r.cabinet = box(job);
    r.driver = woofer(job);
    return r;
}

} // namespace

TEST(Intake, aBridgeIsRememberedUntilARatedPartHasContinuity) {
    Job job = twoWay();
    job = after(job, edit::putProtector(box(job), {.state = ProtectorState::bridged}));
    ASSERT_EQ(job.cabinets.front().protectors.size(), 1U);
    EXPECT_TRUE(found(job).contains("intake.bridge"));
    const auto changed = [&](ProtectorState state, std::optional<double> rating) {
        Protector p = job.cabinets.front().protectors.front();
        p.state = state;
        p.rating = rating;
        return after(job, edit::putProtector(box(job), p));
    };
    // Continuity without a rating may be the bridge itself; a rating alone is no part fitted.
    EXPECT_TRUE(found(changed(ProtectorState::continuous, std::nullopt)).contains("intake.bridge"));
    EXPECT_TRUE(found(changed(ProtectorState::notChecked, 2.0)).contains("intake.bridge"));
    EXPECT_TRUE(found(changed(ProtectorState::bridged, 2.0)).contains("intake.bridge"));
    job = changed(ProtectorState::continuous, 2.0);
    EXPECT_FALSE(found(job).contains("intake.bridge"));
    // Settled for good: a later open one is open, not bridged.
    job = changed(ProtectorState::open, 2.0);
    EXPECT_FALSE(found(job).contains("intake.bridge"));
    EXPECT_TRUE(found(job).contains("intake.protector"));
}

TEST(Intake, theFindingNamesWhoseProtectorItIs) {
    Job job = twoWay();
    job = after(job,
                edit::putProtector(box(job),
                                   {.kind = job::ProtectorKind::fuse,
                                    .driver = job.drivers.back().id,
                                    .state = ProtectorState::open}));
    const auto evaluation = evaluated(job);
    const auto& findings = evaluation.judgement.findings;
    const auto it = std::ranges::find_if(
        findings, [](const auto& f) { return findings::rules()[f.rule].id == "intake.protector"; });
    ASSERT_NE(it, findings.end());
    EXPECT_EQ(findings::subjectText(job, it->subject), "Box · fuse of Teasel 26");
}

TEST(Intake, protectorsSpeakInTheDiagnosis) {
    Job job = twoWay();
    const auto saysOf = [](const Job& j) {
        const auto evaluation = evaluated(j);
        const auto* bench = evaluation.findBench(box(j), woofer(j));
        std::string said;
        for (const evaluation::BenchEvidence& e : bench->evidence) {
            said += e.evidence.check + "=" + e.evidence.outcome + " ";
        }
        for (const evaluation::CheckOffer& offer : bench->offers) {
            said += offer.check == "protector" ? "offered" : "";
        }
        return said;
    };
    EXPECT_EQ(saysOf(job), "offered");
    EXPECT_EQ(saysOf(after(job, edit::setNoProtectors(box(job), true))), "") << "none is fitted";
    Job listed = after(job, edit::putProtector(box(job), {}));
    EXPECT_EQ(saysOf(listed), "offered") << "listed is not read";
    Protector p = listed.cabinets.front().protectors.front();
    p.state = ProtectorState::continuous;
    EXPECT_EQ(saysOf(after(listed, edit::putProtector(box(job), p))), "protector=continuous ");
    p.state = ProtectorState::open;
    EXPECT_EQ(saysOf(after(listed, edit::putProtector(box(job), p))), "protector=open ");
    p.state = ProtectorState::bridged;
    EXPECT_EQ(saysOf(after(listed, edit::putProtector(box(job), p))), "offered")
        << "a bridge hides what is behind it";
    p.state = ProtectorState::open;
    p.driver = job.drivers.back().id;
    EXPECT_EQ(saysOf(after(listed, edit::putProtector(box(job), p))), "offered")
        << "the tweeter's protector is none of the woofer's";
    EXPECT_NE(refusal(listed, edit::setNoProtectors(box(job), true)).find("1 listed"),
              std::string::npos);
}

TEST(Intake, wrongThingsAreRefusedByName) {
    const Job job = twoWay();
    EXPECT_NE(refusal(job, edit::putProtector(box(job), {.rating = 0.0})).find("rating_a"),
              std::string::npos);
    EXPECT_NE(refusal(job, edit::putProtector(box(job), {.driver = "nobody"})).find("nobody"),
              std::string::npos);
    EXPECT_NE(refusal(job, edit::putProtector("attic", {})).find("attic"), std::string::npos);
    EXPECT_FALSE(refusal(job, edit::removeProtector(box(job), "protector-9")).empty());
    EXPECT_FALSE(refusal(job, edit::removeOldPart(box(job), "part-9")).empty());
    EXPECT_NE(refusal(job, edit::addPhoto("notes.txt", "hello")).find("PNG or JPEG"),
              std::string::npos);
    const std::string png = "\x89PNG\r\n\x1a\n rest";
    EXPECT_NE(refusal(job, edit::addPhoto("huge.png", png + std::string(edit::largestPhoto, 'x')))
                  .find("20 MB"),
              std::string::npos);
    const Job one = after(job, edit::addPhoto("a.png", png));
    EXPECT_NE(refusal(one, edit::addPhoto("b.png", png)).find("already"), std::string::npos);
}

// Nominal loads by Ohm's law; the safe limit of 80 % is IEC 60268-5's least modulus over the rated
// impedance; "two 4 Ω make 2 Ω, too low for most amplifiers": common practice.
TEST(Wiring, saysTheLoadBeforeItIsWired) {
    const Job job = twoWay();

    struct Row {
        Arrangement a;
        double ohms;
        bool safe;
    };

    const Row rows[] = {{{1, 1}, 4.0, true},
                        {{2, 1}, 8.0, true},
                        {{1, 2}, 2.0, false},
                        {{3, 1}, 12.0, true},
                        {{1, 3}, 4.0 / 3.0, false},
                        {{2, 2}, 4.0, true},
                        {{4, 1}, 16.0, true},
                        {{1, 4}, 1.0, false}};
    const auto choices = evaluation::arrangements(job, woofer(job));
    ASSERT_EQ(choices.size(), std::size(rows));
    for (std::size_t i = 0; i < choices.size(); ++i) {
        EXPECT_EQ(choices[i].arrangement, rows[i].a);
        EXPECT_DOUBLE_EQ(choices[i].nominal.value(), rows[i].ohms);
        EXPECT_EQ(choices[i].safe, rows[i].safe) << i;
        EXPECT_FALSE(choices[i].least.has_value()) << "nothing was measured";
    }
}

TEST(Wiring, theMeasuredImpedanceDecidesWhereThereIsOne) {
    const Job job = demoJob();
    const auto choices = evaluation::arrangements(job, "campion");
    ASSERT_TRUE(choices[0].least.has_value());
    // More than the 5.7 Ω of its wire (demo/drivers.cpp), less than the 8 Ω printed on it.
    EXPECT_GT(*choices[0].least, 5.7);
    EXPECT_LT(*choices[0].least, 6.4);
    EXPECT_TRUE(choices[0].safe);
    EXPECT_NEAR(*choices[2].least, *choices[0].least / 2.0, 1e-12);
    EXPECT_FALSE(choices[2].safe) << "two in parallel stay under 3.2 Ω";
}

TEST(Wiring, unitsComeAndGoOnTheFrontAndInTheLoad) {
    Job job = twoWay();
    job = after(job, edit::arrange(box(job), woofer(job), {2, 2}));
    EXPECT_EQ(job.cabinets.front().mounts.size(), 5U);
    EXPECT_EQ(std::ranges::count(job.drivers, woofer(job), &job::Driver::alike), 3);
    EXPECT_EQ(edit::arrangementOf(job.cabinets.front(), woofer(job)), (Arrangement{2, 2}));
    EXPECT_FALSE(check(job).has_value());
    // Each is a driver of its own at the bench.
    const auto evaluation = evaluated(job);
    EXPECT_NE(evaluation.findBench(box(job), job.drivers.back().id), nullptr);
    // It survives its notation.
    const auto again = network::readCircuit(job.cabinets.front().circuit.write(), "network");
    ASSERT_TRUE(again.ok()) << text::sentence(again.error());
    EXPECT_EQ(*again, job.cabinets.front().circuit);
    job = after(job, edit::arrange(box(job), woofer(job), {1, 2}));
    EXPECT_EQ(job.cabinets.front().mounts.size(), 3U);
    job = after(job, edit::arrange(box(job), woofer(job), {}));
    EXPECT_EQ(job, twoWay());
    EXPECT_FALSE(refusal(job, edit::arrange(box(job), "nobody", {1, 2})).empty());
}

TEST(Wiring, pairedUnitsChangeLoadAndLevelAsOhmSays) {
    const Job one = demoJob();
    const Job two = after(one, edit::arrange("projection", "campion", {1, 2}));
    const Job four = after(one, edit::arrange("projection", "campion", {2, 2}));
    const auto level = [](const Job& job) {
        const auto evaluation = evaluated(job);
        const auto& way = evaluation.find("projection")->ways.front();
        return std::abs(way.pressure[60]) / std::abs(way.drive[60]);
    };
    // Two in parallel: both at the full voltage, twice the pressure. Two strings of two: each at
    // half, four of them.
    EXPECT_NEAR(level(two) / level(one), 2.0, 1e-9);
    EXPECT_NEAR(level(four) / level(one), 2.0, 1e-9);
}

TEST(Trace, eliminatesFromTheSourceToTheDriver) {
    Job job = twoWay();
    const auto traced = [&] { return evaluation::traceOf(job, evaluated(job), box(job)); };
    EXPECT_EQ(traced().next, "protector");
    EXPECT_TRUE(std::ranges::all_of(traced().standings,
                                    [](Standing s) { return s == Standing::possible; }));
    job = after(job, edit::setNoProtectors(box(job), true));
    EXPECT_EQ(traced().of(Segment::protectors), Standing::notFitted);
    EXPECT_EQ(traced().next, "cable_contacts");
    job = after(job, edit::addReading(reading(job, "cable_contacts", "good")));
    EXPECT_EQ(traced().of(Segment::cable), Standing::ruledOut);
    EXPECT_EQ(traced().of(Segment::terminals), Standing::ruledOut);
    EXPECT_EQ(traced().lastRules, (std::vector<std::string>{"cable", "terminals"}));
    EXPECT_EQ(traced().next, "swap_lr");
    job = after(job, edit::addReading(reading(job, "swap_lr", "follows_speaker")));
    EXPECT_EQ(traced().of(Segment::source), Standing::ruledOut);
    EXPECT_EQ(traced().of(Segment::amplifier), Standing::ruledOut);
    EXPECT_EQ(traced().next, "dcr");
    job = after(job, edit::addReading(reading(job, "dcr", "open")));
    EXPECT_EQ(traced().of(Segment::driver), Standing::found);
    EXPECT_FALSE(traced().next.has_value()) << "found";
}

TEST(Trace, anAmplifierWaitsWhileTurnsMayBeShorted) {
    bench::TraceRequest request{
        .evidence = {{"protector", "continuous"}, {"cable_contacts", "good"}},
        .barred = {"swap_lr"}};
    const auto t = bench::trace(request);
    EXPECT_EQ(t.next, "dcr");
    EXPECT_EQ(t.skipped, std::vector<std::string>{"swap_lr"});
    request.evidence = {{"swap_lr", "stays_with_channel"}};
    const auto outside = bench::trace(request);
    EXPECT_EQ(outside.of(Segment::driver), Standing::ruledOut);
    EXPECT_EQ(outside.of(Segment::amplifier), Standing::possible);
    EXPECT_FALSE(outside.next.has_value()) << "nothing of the speaker is left to ask";
}

TEST(Bench, aReadingIsJudgedByTheTwinThatTheJobKnows) {
    Job job = twoWay();
    job = after(job, edit::addTwin(box(job)));
    const std::string other = job.cabinets.back().id;
    const std::string twin = job.cabinets.back().mounts.front().driver;
    const evaluation::Assembly assembly = evaluation::assemble(job);
    const auto read = [&](const std::string& cabinet, const std::string& driver, double ohms) {
        job::BenchReading r;
        r.check = "dcr";
        r.cabinet = cabinet;
        r.driver = driver;
        r.ohms = {ohms + 0.3};
        r.leads = 0.3;
        r.resolution = 0.01;
        const auto judged = evaluation::withOutcome(job, assembly.readings, r);
        EXPECT_TRUE(judged.ok()) << (judged ? "" : text::sentence(judged.error()));
        return *judged;
    };
    EXPECT_EQ(read(box(job), woofer(job), 3.2).outcome, "normal") << "no twin read yet";
    job = after(job, edit::addReading(read(other, twin, 3.7)));
    EXPECT_EQ(read(box(job), woofer(job), 3.2).outcome, "low") << "14 % below its twin";
    // A twin that is known to be bad is no measure.
    job = after(job, edit::concludeDriver(twin, job::Condition::dead));
    EXPECT_EQ(read(box(job), woofer(job), 3.2).outcome, "normal");
}

TEST(Bench, leadsAboveTheReadingAndMissingRatingsAreSaid) {
    Job job = twoWay();
    const evaluation::Assembly assembly = evaluation::assemble(job);
    job::BenchReading r = reading(job, "dcr", "");
    r.ohms = {0.2};
    r.leads = 0.5;
    const auto tooMuch = evaluation::withOutcome(job, assembly.readings, r);
    ASSERT_FALSE(tooMuch.ok());
    EXPECT_EQ(tooMuch.error().subject, "lead_ohm");
    job.drivers.front().nominal.reset();
    r.leads = 0.0;
    const auto unrated = evaluation::withOutcome(job, assembly.readings, r);
    ASSERT_FALSE(unrated.ok());
    EXPECT_EQ(unrated.error().subject, "nominal_ohm");
    EXPECT_FALSE(refusal(job, edit::changeNominal(woofer(job), 0.1)).empty());
    EXPECT_FALSE(refusal(job, edit::setReadingAside("reading-9", true)).empty());
}

TEST(Intake, everythingSurvivesTheFileAndPicturesAreKeptOnce) {
    const TempFolder folder;
    const std::string path = folder.path("a.yfjob");
    Job job = twoWay();
    const std::string png = std::string("\x89PNG\r\n\x1a\n") + std::string(1, '\0') + "pixels";
    job::Record record{job::History(job)};
    const auto apply = [&](const Edit& edit) {
        EXPECT_TRUE(edit::apply(record, edit, "2026-03-14T10:00:00").ok());
    };
    apply(edit::addPhoto("front.png", png));
    apply(edit::captionPhoto("photo-1", "as it came in"));
    apply(edit::changeComplaint("hums"));
    apply(edit::changeAim(job::Aim::asItWas));
    apply(edit::changePrinted(woofer(job), "60 W"));
    apply(edit::putProtector(box(job), {.kind = job::ProtectorKind::lamp, .rating = 1.5}));
    apply(edit::putOldPart(box(job),
                           {.kind = job::OldPartKind::levelControl,
                            .name = "tweeter level",
                            .condition = job::OldPartCondition::bad,
                            .note = "scratches"}));
    job::BenchReading open = reading(job, "lcr", "open");
    open.frequency = 1000.0;
    apply(edit::addReading(open));
    ASSERT_TRUE(job::store::Store::create(path, record).ok());
    const auto store = job::store::Store::open(path);
    ASSERT_TRUE(store.ok());
    const auto loaded = store->load();
    ASSERT_TRUE(loaded.ok()) << text::sentence(loaded.error());
    EXPECT_EQ(loaded->job(), record.job());
    EXPECT_EQ(*loaded->job().photos.front().bytes, png) << "byte for byte, zeros too";
    EXPECT_EQ(loaded->job().photos.front().bytes,
              loaded->history.steps().back().job.photos[0].bytes)
        << "all steps share one";
    EXPECT_TRUE(found(loaded->job()).contains("intake.part"));
}

} // namespace yf::test
