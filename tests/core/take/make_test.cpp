// SPDX-License-Identifier: GPL-3.0-or-later
// From samples to a take and back again: what a recording becomes, what of it stays when the gate
// moves, and whose take it is then.
#include "core/edit/measurement.h"
#include "core/evaluation/bench.h"
#include "core/job/lookup.h"
#include "core/quantity/level.h"
#include "core/sim/sound_bench.h"
#include "core/take/make.h"
#include "core/text/sentence.h"
#include "tests/support/demo_job.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <cmath>

namespace yf::take {

namespace {

using curve::Complex;

const job::Job& hall() {
    return test::hallJob();
}

sim::SoundBench benchOf(const sim::BenchView& view) {
    auto bench = sim::soundBench(hall(), view);
    if (!bench) {
        throw std::runtime_error(text::sentence(bench.error()).english());
    }
    return *bench;
}

/// The left midrange at a metre, as the bench records it.
TakeOrder midrange(job::MicPlace place = job::MicPlace::farField, double distance = 1.0) {
    const auto bench =
        benchOf({.cabinet = "left", .driver = "left-sorrel", .place = place, .distance = distance});
    TakeOrder order{.kind = job::TakeKind::response,
                    .recorded = {.cabinet = "left",
                                 .driver = "left-sorrel",
                                 .place = place,
                                 .sweep = {.start = 50.0,
                                           .end = 22000.0,
                                           .duration = 0.8,
                                           .level = -20.0,
                                           .silenceAfter = 0.4},
                                 .fullScalePressure = bench.fullScalePressure,
                                 .fullScaleVoltage = bench.fullScaleVoltage},
                    .date = "2026-11-27",
                    .distance = distance};
    const auto sweep = signal::makeSweep(order.recorded.sweep).value();
    sim::Heard heard = sim::hearResponse(bench, signal::playSignal(sweep), sweep.rate);
    order.recording = {sweep.rate, std::move(heard.measured), std::move(heard.reference)};
    return order;
}

TakeOrder impedance(double lead) {
    const auto bench = benchOf({.cabinet = "left", .driver = "left-sorrel", .distance = 1.0});
    TakeOrder order{.kind = job::TakeKind::impedance,
                    .recorded = {.cabinet = "left",
                                 .driver = "left-sorrel",
                                 .sweep = {.start = 15.0,
                                           .end = 22000.0,
                                           .duration = 0.8,
                                           .level = -20.0,
                                           .silenceAfter = 0.8},
                                 .sense = bench.sense,
                                 .lead = lead},
                    .date = "2026-11-27"};
    const auto sweep = signal::makeSweep(order.recorded.sweep).value();
    sim::Heard heard = sim::hearJig(bench, signal::playSignal(sweep), sweep.rate);
    order.recording = {sweep.rate, std::move(heard.measured), std::move(heard.reference)};
    return order;
}

double levelAt(const curve::Curve& curve, double f) {
    const auto& axis = curve.frequencies();
    const auto at = std::ranges::lower_bound(axis, f);
    return quantity::decibels(
        std::abs(curve.values()[static_cast<std::size_t>(at - axis.begin())]));
}

MadeTake made(const TakeOrder& order) {
    auto take = makeTake(order);
    if (!take) {
        throw std::runtime_error(text::sentence(take.error()).english());
    }
    return std::move(*take);
}

std::string refusal(const Result<job::Job>& job) {
    return job ? std::string() : text::sentence(job.error()).english();
}

} // namespace

TEST(MakeTake, aResponseIsThatOfTheDriverWithinItsGate) {
    const TakeOrder order = midrange();
    const MadeTake take = made(order);
    const auto bench = benchOf({.cabinet = "left", .driver = "left-sorrel", .distance = 1.0});
    EXPECT_TRUE(take.verdict.faults.empty());
    EXPECT_EQ(take.take.curve->phase(), curve::Phase::common);
    ASSERT_TRUE(take.reading.reflection.has_value());
    EXPECT_NEAR(take.reading.reflection->after, 4.66e-3, 1e-4) << "the floor, 1 m at 1.2 m";
    EXPECT_LT(take.reading.gate.right, take.reading.reflection->after);
    EXPECT_GE(take.take.curve->trusted().from, take.reading.gate.lowestValid() * 0.99);
    for (std::size_t k = 0; k < take.take.curve->size(); ++k) {
        const double f = take.take.curve->frequencies()[k];
        if (f > 2.0 * take.reading.gate.lowestValid() && f < 15000.0) {
            const double truth = std::abs(bench.pressure(f)) * quantity::referenceVoltage;
            EXPECT_NEAR(
                quantity::decibels(std::abs(take.take.curve->values()[k]) / truth), 0.0, 0.5)
                << f;
        }
    }
    EXPECT_EQ(take.take.name, "on axis");
    EXPECT_TRUE(take.distortion.has_value());
}

TEST(MakeTake, withoutAReferenceThePhaseIsItsOwn) {
    TakeOrder order = midrange();
    order.recording.reference.clear();
    const MadeTake take = made(order);
    EXPECT_EQ(take.take.curve->phase(), curve::Phase::own);
}

TEST(MakeTake, withoutACalibrationLevelsAreRelative) {
    TakeOrder order = midrange();
    order.recorded.fullScalePressure.reset();
    const MadeTake relative = made(order);
    const auto bench = benchOf({.cabinet = "left", .driver = "left-sorrel", .distance = 1.0});
    const MadeTake absolute = made(midrange());
    const double apart =
        levelAt(*absolute.take.curve, 1000.0) - levelAt(*relative.take.curve, 1000.0);
    EXPECT_NEAR(apart,
                quantity::decibels(bench.fullScalePressure / bench.fullScaleVoltage *
                                   quantity::referenceVoltage),
                1e-6);
}

TEST(MakeTake, aMicrophonesOwnDeviationIsTakenOff) {
    TakeOrder order = midrange();
    const MadeTake plain = made(order);
    order.recorded.microphoneTable = "20 3\n1000 3\n10000 -2\n20000 -2\n";
    const MadeTake corrected = made(order);
    EXPECT_NEAR(
        levelAt(*corrected.take.curve, 600.0) - levelAt(*plain.take.curve, 600.0), -3.0, 1e-6);
    EXPECT_NEAR(
        levelAt(*corrected.take.curve, 12000.0) - levelAt(*plain.take.curve, 12000.0), 2.0, 1e-6);
    order.recorded.microphoneTable = "nothing";
    EXPECT_EQ(makeTake(order).error().subject, "microphone_table");
}

TEST(MakeTake, nearTheConeTheGateIsTheWhole) {
    const MadeTake near = made(midrange(job::MicPlace::nearCone, 0.005));
    EXPECT_GT(near.reading.gate.right, 0.2);
    EXPECT_LT(near.take.curve->trusted().from, 80.0);
    EXPECT_EQ(near.take.name, "near the cone");
}

TEST(MakeTake, anotherGateMakesTheCurveAnewFromTheSamples) {
    job::Take take = made(midrange()).take;
    take.id = "take-99";
    take.note = "grille off";
    take.curveKey = job::curveKey(*take.curve);
    const auto same = remakeTake(take);
    ASSERT_TRUE(same.ok());
    EXPECT_EQ(same->take, take) << "from the same samples, to the last bit";
    const auto shorter = remakeTake(take, signal::Gate{.left = 1e-3, .right = 2e-3});
    ASSERT_TRUE(shorter.ok());
    EXPECT_EQ(*shorter->take.gate, 2e-3);
    EXPECT_EQ(*shorter->take.recorded.gateRight, 2e-3);
    EXPECT_GT(shorter->take.curve->trusted().from, 2.0 * take.curve->trusted().from);
    EXPECT_EQ(shorter->take.note, "grille off");
    EXPECT_EQ(shorter->take.id, take.id);
    EXPECT_EQ(shorter->take.recorded.samples, take.recorded.samples);
    // And back again: nothing was lost on the way.
    job::Take back = shorter->take;
    back.recorded.gateRight.reset();
    const auto again = remakeTake(back);
    ASSERT_TRUE(again.ok());
    EXPECT_EQ(*again->take.curve, *take.curve);
    take.recording.reset();
    EXPECT_EQ(text::sentence(remakeTake(take).error()),
              "take: 'on axis' holds no samples, only a take recorded here does");
}

TEST(MakeTake, whatTheSoundSystemReportedStaysWithTheTake) {
    TakeOrder order = midrange();
    order.lossFlagged = true;
    job::Take take = made(order).take;
    EXPECT_NE(std::ranges::find(take.recorded.faults, "dropout"), take.recorded.faults.end());
    take.curveKey = job::curveKey(*take.curve);
    const auto again = remakeTake(take);
    ASSERT_TRUE(again.ok());
    EXPECT_TRUE(again->verdict.has(measure::Fault::dropout));
    EXPECT_FALSE(again->verdict.usable());
}

TEST(MakeTake, noSamplesMakeNoTake) {
    TakeOrder order = midrange();
    order.recording.measured.clear();
    const auto none = makeTake(order);
    ASSERT_FALSE(none.ok());
    EXPECT_EQ(none.error().subject, "recording");
}

TEST(MakeTake, anImpedanceIsFreeOfItsLeads) {
    const auto bench = benchOf({.cabinet = "left", .driver = "left-sorrel", .distance = 1.0});
    const MadeTake take = made(impedance(bench.lead));
    const MadeTake raw = made(impedance(0.0));
    ASSERT_TRUE(take.jig.has_value());
    double worst = 0.0;
    for (std::size_t k = 0; k < take.take.curve->size(); ++k) {
        const double f = take.take.curve->frequencies()[k];
        if (f > 25.0 && f < 15000.0) {
            worst =
                std::max(worst, std::abs(take.take.curve->values()[k] / bench.impedance(f) - 1.0));
            EXPECT_NEAR((raw.take.curve->values()[k] - take.take.curve->values()[k]).real(),
                        bench.lead,
                        1e-6);
        }
    }
    EXPECT_LT(worst, 0.01);
    EXPECT_EQ(take.jig->u.size(), take.take.curve->size());
}

TEST(MakeTake, parametersComeWithTheJigsOwnLimits) {
    const auto bench = benchOf({.cabinet = "left", .driver = "left-sorrel", .distance = 1.0});
    const job::Take take = made(impedance(bench.lead)).take;
    const auto recorded = parametersOf(take);
    ASSERT_TRUE(recorded.ok());
    job::Take bare = take;
    bare.recording.reset();
    const auto fromCurve = parametersOf(bare);
    ASSERT_TRUE(fromCurve.ok());
    EXPECT_NEAR(recorded->model.fs / fromCurve->model.fs, 1.0, 1e-3);
    // A tenth of a per cent of the sense resistor is in no scatter.
    EXPECT_GT(recorded->u.Re, 1e-3);
    EXPECT_LT(recorded->u.Re, 0.02);
    EXPECT_FALSE(recorded->coilU.empty());
    // Told to be in a vented box it is fitted as such, and one peak is not two.
    bare.recorded.mounting = job::Mounting::ventedBox;
    const auto vented = parametersOf(bare);
    ASSERT_FALSE(vented.ok());
    EXPECT_EQ(vented.error().allowed, "a vented box has two");
}

TEST(SamplesKey, isThatOfTheSamplesAsTheyAreKept) {
    signal::Recording recording{48000.0, {0.1, -0.2, 0.3}, {0.0, 0.5, 0.0}};
    const std::string key = samplesKey(recording);
    EXPECT_EQ(samplesKey(recording), key);
    recording.measured[1] = -0.2 + 1e-12; // below what 32 bits hold
    EXPECT_EQ(samplesKey(recording), key);
    recording.measured[1] = -0.2001;
    EXPECT_NE(samplesKey(recording), key);
    recording.measured[1] = -0.2;
    recording.rate = 44100.0;
    EXPECT_NE(samplesKey(recording), key);
    // The same numbers on the other channel are another recording.
    const signal::Recording exchanged{48000.0, {0.0, 0.5, 0.0}, {0.1, -0.2, 0.3}};
    EXPECT_NE(samplesKey(exchanged), key);
}

TEST(AddRecordedTake, isTakenIntoUseOnlyWhereItTellsOfTheDriver) {
    const job::Take take = made(midrange()).take;
    const auto before = job::findDriver(hall(), "left-sorrel")->responseTake;
    const auto inUse = [&](const job::Take& other) {
        const auto joined = edit::addRecordedTake(other).apply(hall());
        EXPECT_TRUE(joined.ok());
        EXPECT_EQ(joined->takes.size(), hall().takes.size() + 1);
        return job::findDriver(*joined, "left-sorrel")->responseTake == joined->takes.back().id;
    };
    EXPECT_TRUE(inUse(take));
    job::Take other = take;
    other.recorded.angle = 15.0;
    EXPECT_FALSE(inUse(other)) << "from the side";
    other = take;
    other.recorded.place = job::MicPlace::nearCone;
    EXPECT_FALSE(inUse(other)) << "near the cone";
    other = take;
    other.recorded.keptAnyway = true;
    EXPECT_FALSE(inUse(other)) << "a bad one";
    other = take;
    other.recorded.driver.clear();
    EXPECT_FALSE(inUse(other)) << "the whole cabinet";
    other = take;
    other.recorded.driver = "nobody";
    EXPECT_EQ(refusal(edit::addRecordedTake(other).apply(hall())),
              "driver: 'nobody' is not in the job");
    EXPECT_EQ(job::findDriver(hall(), "left-sorrel")->responseTake, before);
}

TEST(TakeEdits, noteConditionAndUse) {
    const std::string id = "take-21";
    const auto described =
        edit::describeTake(id, "grille off", "after new capacitors").apply(hall());
    ASSERT_TRUE(described.ok());
    EXPECT_EQ(job::findTake(*described, id)->note, "grille off");
    EXPECT_EQ(job::findTake(*described, id)->recorded.condition, "after new capacitors");
    const auto used = edit::useTake("left-sorrel", id).apply(hall());
    ASSERT_TRUE(used.ok());
    EXPECT_EQ(job::findDriver(*used, "left-sorrel")->responseTake, id);
    EXPECT_EQ(refusal(edit::describeTake("take-999", "", "").apply(hall())),
              "take: 'take-999' is not in the job, choose one of its list");
    EXPECT_FALSE(edit::useTake("nobody", id).apply(hall()).ok());
}

TEST(TakeEdits, aNewGateLeavesWhatWasWrittenMeanwhile) {
    const job::Take& old = *job::findTake(hall(), "take-21");
    const auto shorter = remakeTake(old, signal::Gate{.left = 1e-3, .right = 2.5e-3});
    ASSERT_TRUE(shorter.ok());
    const auto noted = edit::describeTake(old.id, "written while it was made", "").apply(hall());
    const auto replaced = edit::replaceTake(shorter->take).apply(*noted);
    ASSERT_TRUE(replaced.ok());
    const job::Take& now = *job::findTake(*replaced, old.id);
    EXPECT_EQ(now.note, "written while it was made");
    EXPECT_EQ(*now.gate, 2.5e-3);
    EXPECT_EQ(now.curveKey, job::curveKey(*now.curve));
}

TEST(TakeAbout, isWhoeverWasRecordedOrUsesIt) {
    const job::TakeAbout recorded = job::aboutOf(hall(), *job::findTake(hall(), "take-21"));
    EXPECT_EQ(recorded.driver, "left-sorrel");
    EXPECT_EQ(recorded.cabinet, "left");
    const job::TakeAbout whole = job::aboutOf(hall(), *job::findTake(hall(), "take-17"));
    EXPECT_EQ(whole.driver, "");
    EXPECT_EQ(whole.cabinet, "left");
    const job::Driver& sorrel = *job::findDriver(hall(), "right-sorrel");
    const job::TakeAbout imported =
        job::aboutOf(hall(), *job::findTake(hall(), sorrel.responseTake));
    EXPECT_EQ(imported.driver, "right-sorrel");
    EXPECT_EQ(imported.cabinet, "right");
}

} // namespace yf::take
