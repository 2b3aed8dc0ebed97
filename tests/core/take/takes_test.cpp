// SPDX-License-Identifier: GPL-3.0-or-later
// Takes that are exported and read again, calibrated, joined, read by hand, and seen from angles.
#include "core/edit/measurement.h"
#include "core/edit/parts.h"
#include "core/evaluation/usable_band.h"
#include "core/job/lookup.h"
#include "core/quantity/level.h"
#include "core/sim/sound_bench.h"
#include "core/take/calibration.h"
#include "core/take/export.h"
#include "core/take/import.h"
#include "core/take/make.h"
#include "core/take/manual.h"
#include "core/take/merge.h"
#include "core/take/polar.h"
#include "demo/lantern_hall.h"
#include "tests/support/demo_job.h"

#include <gtest/gtest.h>

#include <cmath>
#include <numbers>

namespace yf::take {

namespace {

using curve::Complex;

constexpr double pi = std::numbers::pi;

const job::Job& hall() {
    static const job::Job job = test::hallJob();
    return job;
}

const job::Take& recorded(const std::string& driver,
                          job::TakeKind kind,
                          job::MicPlace place = job::MicPlace::farField) {
    for (const job::Take& take : hall().takes) {
        if (take.recorded.driver == driver && take.kind == kind && take.recorded.place == place &&
            !take.recorded.samples.empty()) {
            return take;
        }
    }
    throw std::runtime_error("no such take: " + driver);
}

ImportedTake readBack(const TakeFile& file, const std::string& name) {
    auto imported = importTake(TableFile{file.bytes, name + "." + file.ending, "2026-11-27"});
    if (!imported) {
        throw std::runtime_error(imported.error().subject + ": " +
                                 imported.error().given.english());
    }
    return *imported;
}

double worstDifference(const curve::Curve& a, const curve::Curve& b) {
    EXPECT_EQ(a.size(), b.size());
    double worst = 0.0;
    for (std::size_t k = 0; k < std::min(a.size(), b.size()); ++k) {
        worst = std::max(worst, std::abs(a.values()[k] / b.values()[k] - 1.0));
    }
    return worst;
}

signal::SweepPlan shortPlan() {
    return {.start = 10.0, .end = 22000.0, .duration = 0.8, .level = -20.0, .silenceAfter = 0.6};
}

/// What both inputs read where the measured one is `mismatch` of the reference.
template <class H>
signal::Recording wired(const H& h, const signal::SweepPlan& plan, int seed = 1) {
    const auto sweep = signal::makeSweep(plan);
    sim::Chain chain{.noise = -95.0, .latency = 0.0213, .seed = seed};
    sim::Heard heard = sim::hear(signal::playSignal(*sweep), sweep->rate, h, {sim::Way{}}, chain);
    return {sweep->rate, std::move(heard.measured), std::move(heard.reference)};
}

} // namespace

// Recorded on all cores at once, in whatever order they finish.
TEST(HallJob, isTheSameHoweverItIsMade) {
    const auto made = demo::lanternHall(demo::hallTables());
    ASSERT_TRUE(made.ok());
    EXPECT_EQ(made->job(), hall());
}

TEST(ExportTake, tableAndJsonReadBackAsTheyWere) {
    const job::Take& take = recorded("left-sorrel", job::TakeKind::response);
    const auto table = exportTake(take, TakeFormat::table);
    ASSERT_TRUE(table.ok());
    EXPECT_NE(table->bytes.find("frequency_Hz\tlevel_dB\tphase_deg"), std::string::npos);
    const ImportedTake fromTable = readBack(*table, "sorrel");
    EXPECT_EQ(fromTable.take.kind, job::TakeKind::response);
    EXPECT_LT(worstDifference(*fromTable.take.curve, *take.curve), 1e-6);

    const auto json = exportTake(take, TakeFormat::json);
    ASSERT_TRUE(json.ok());
    const ImportedTake fromJson = readBack(*json, "sorrel");
    EXPECT_LT(worstDifference(*fromJson.take.curve, *take.curve), 1e-12);
    EXPECT_EQ(fromJson.take.recorded.condition, "as received");
    EXPECT_EQ(fromJson.take.recorded.sweep, take.recorded.sweep);
    EXPECT_TRUE(fromJson.take.recorded.samples.empty()) << "they did not come along";
    EXPECT_DOUBLE_EQ(fromJson.take.curve->trusted().from, take.curve->trusted().from);
    EXPECT_EQ(fromJson.take.gate, take.gate);
}

TEST(ExportTake, touchstoneHoldsImpedancesOnly) {
    const job::Take& take = recorded("left-sorrel", job::TakeKind::impedance);
    const auto file = exportTake(take, TakeFormat::touchstone);
    ASSERT_TRUE(file.ok());
    EXPECT_EQ(file->ending, "s1p");
    const ImportedTake back = readBack(*file, "sorrel");
    EXPECT_EQ(back.take.kind, job::TakeKind::impedance);
    EXPECT_LT(worstDifference(*back.take.curve, *take.curve), 1e-9);
    const auto refused =
        exportTake(recorded("left-sorrel", job::TakeKind::response), TakeFormat::touchstone);
    ASSERT_FALSE(refused.ok());
    EXPECT_NE(refused.error().given.english().find("is a response"), std::string::npos);
    job::Take bare = take;
    bare.recording.reset();
    EXPECT_FALSE(exportTake(bare, TakeFormat::recording).ok());
    EXPECT_FALSE(exportTake(take, TakeFormat::impulse).ok());
}

TEST(ExportTake, anImpulseKeepsItsTimeZero) {
    const job::Take& take = recorded("left-sorrel", job::TakeKind::response);
    const auto file = exportTake(take, TakeFormat::impulse);
    ASSERT_TRUE(file.ok());
    const ImportedTake back = readBack(*file, "sorrel");
    ASSERT_TRUE(back.impulse.has_value());
    EXPECT_NEAR(back.impulse->impulse.timeZero, 0.02, 1e-9) << "as its comment says";
    const auto made = remakeTake(take);
    ASSERT_TRUE(made.ok());
    EXPECT_NEAR(back.impulse->arrival, made->reading.arrival, 2e-5);
    const auto raw = exportTake(take, TakeFormat::recording);
    ASSERT_TRUE(raw.ok());
    EXPECT_GT(raw->bytes.size(), 4U * take.recording->measured.size());
}

TEST(ExportTake, namesTellTheAngle) {
    for (const job::Take& take : hall().takes) {
        if (take.recorded.angle == 0.0) {
            continue;
        }
        const std::string stem = fileStem(hall(), take);
        const auto read = measure::readPolarNames({stem + ".txt"});
        EXPECT_EQ(read[0].angle, take.recorded.angle) << stem;
        EXPECT_EQ(read[0].plane, take.recorded.plane) << stem;
    }
}

TEST(ImportAngles, aSetTellsPlanesAndAngles) {
    EXPECT_TRUE(likelyAngles({"woofer.txt", "impedance.csv"}).empty());
    const auto set = likelyAngles({"box_hor_0.txt", "box_hor_-30.txt", "V+010deg.csv", "box.txt"});
    ASSERT_EQ(set.size(), 4U);
    EXPECT_EQ(set[1].angle, -30.0);
    EXPECT_EQ(set[2].plane, quantity::Plane::vertical);
    EXPECT_FALSE(set[3].problem.empty());
    // A take from an angle joins without pushing the one on the axis aside.
    auto file = exportTake(recorded("left-sorrel", job::TakeKind::response), TakeFormat::table);
    ImportOrder order{.file = {file->bytes, "box_hor_-30.txt", "2026-11-27"},
                      .plane = quantity::Plane::horizontal,
                      .angle = -30.0};
    auto imported = importTake(order);
    ASSERT_TRUE(imported.ok());
    const auto joined = edit::addTake("left-sorrel", imported->take).apply(hall());
    ASSERT_TRUE(joined.ok());
    EXPECT_EQ(job::findDriver(*joined, "left-sorrel")->responseTake,
              job::findDriver(hall(), "left-sorrel")->responseTake);
    EXPECT_EQ(joined->takes.back().recorded.angle, -30.0);
    EXPECT_EQ(job::aboutOf(*joined, joined->takes.back()).driver, "left-sorrel");
}

TEST(Calibrations, aSoundCardsOwnCurveIsTakenOff) {
    // Measured input: 1 dB more, a high-pass at 12 Hz, a low-pass at 30 kHz.
    const auto card = [](double f) {
        const Complex low = Complex(0.0, f / 12.0) / Complex(1.0, f / 12.0);
        return 1.122 * low / Complex(1.0, f / 30e3);
    };
    auto calibration = withCard({}, wired(card, shortPlan()), shortPlan());
    ASSERT_TRUE(calibration.ok());
    // A device of 0 dB seen through that card.
    TakeOrder order{.kind = job::TakeKind::response,
                    .recorded = {.sweep = shortPlan(), .gateRight = 0.3},
                    .recording = wired(card, shortPlan(), 2)};
    apply(*calibration, job::TakeKind::response, true, order.recorded);
    EXPECT_EQ(order.recorded.calibration, "sound card");
    auto flat = makeTake(order);
    ASSERT_TRUE(flat.ok());
    double worst = 0.0;
    for (std::size_t k = 0; k < flat->take.curve->size(); ++k) {
        const double f = flat->take.curve->frequencies()[k];
        if (f >= 30.0 && f <= 18000.0) {
            worst = std::max(worst,
                             std::abs(quantity::decibels(std::abs(flat->take.curve->values()[k]))));
        }
    }
    EXPECT_LT(worst, 0.05);
    // Without a reference the loop stands for it; levels are right as well.
    order.recorded = {.sweep = shortPlan(), .gateRight = 0.3};
    order.recording.reference.clear();
    apply(*calibration, job::TakeKind::response, false, order.recorded);
    auto alone = makeTake(order);
    ASSERT_TRUE(alone.ok());
    for (const double f : {100.0, 1000.0, 15000.0}) {
        const auto& axis = alone->take.curve->frequencies();
        const auto k = static_cast<std::size_t>(std::ranges::lower_bound(axis, f) - axis.begin());
        EXPECT_NEAR(quantity::decibels(std::abs(alone->take.curve->values()[k])), 0.0, 0.06) << f;
    }
}

TEST(Calibrations, openShortAndLoadUndoWhatIsWrongWithAJig) {
    // True sense resistor 10.4 Ω while 10 is typed, leads of 0.3 Ω, input of 4 kΩ, mismatch 2 %.
    const auto jig = [](auto&& Z) {
        return [Z](double f) {
            const Complex atClips = Z(f) + 0.3;
            const Complex loaded = 1.0 / (1.0 / atClips + 1.0 / 4000.0);
            return 1.02 * loaded / (loaded + 10.4);
        };
    };
    const auto fixed = [](double ohms) { return [ohms](double) { return Complex(ohms); }; };
    const auto coil = [](double f) { return Complex(6.2, 2.0 * pi * f * 0.4e-3); };
    Calibration c;
    const auto step = [&](driver::Standard which, double ohms) {
        auto next = withJig(c, which, wired(jig(fixed(ohms)), shortPlan()), shortPlan(), 10.0, 8.0);
        ASSERT_TRUE(next.ok()) << next.error().given;
        c = *next;
    };
    step(driver::Standard::open, 1e9);
    EXPECT_FALSE(driver::complete(*c.jig));
    step(driver::Standard::shorted, 0.0);
    step(driver::Standard::load, 8.0);
    ASSERT_TRUE(driver::complete(*c.jig));
    TakeOrder order{.kind = job::TakeKind::impedance,
                    .recorded = {.sweep = shortPlan(), .sense = 10.0},
                    .recording = wired(jig(coil), shortPlan(), 5)};
    auto plain = makeTake(order);
    apply(c, job::TakeKind::impedance, true, order.recorded);
    EXPECT_EQ(order.recorded.calibration, "open, short and load of the jig");
    auto corrected = makeTake(order);
    ASSERT_TRUE(plain.ok() && corrected.ok());
    double plainWorst = 0.0;
    double worst = 0.0;
    for (std::size_t k = 0; k < corrected->take.curve->size(); ++k) {
        const double f = corrected->take.curve->frequencies()[k];
        if (f >= 30.0 && f <= 15000.0) {
            worst = std::max(worst, std::abs(corrected->take.curve->values()[k] / coil(f) - 1.0));
            plainWorst =
                std::max(plainWorst, std::abs(plain->take.curve->values()[k] / coil(f) - 1.0));
        }
    }
    EXPECT_LT(worst, 0.003);
    EXPECT_GT(plainWorst, 0.04) << "the jig was wrong indeed";
    // The take carries it: made again it is the same, and the text reads back.
    corrected->take.id = "x";
    const auto again = remakeTake(corrected->take);
    ASSERT_TRUE(again.ok());
    EXPECT_EQ(*again->take.curve, *corrected->take.curve);
    const auto kept = readCalibration(writeCalibration(c));
    ASSERT_TRUE(kept.ok());
    EXPECT_EQ(*kept->jig, *c.jig);
}

TEST(Calibrations, aWrongStandardIsSaid) {
    const auto read = [](double share) {
        return wired([share](double) { return Complex(share); }, shortPlan());
    };
    const auto open = withJig({}, driver::Standard::open, read(0.5), shortPlan(), 10.0, 10.0);
    ASSERT_FALSE(open.ok());
    EXPECT_EQ(open.error().subject, "open");
    EXPECT_EQ(open.error().given, "reads 0.5 of the source");
    EXPECT_FALSE(withJig({}, driver::Standard::shorted, read(0.5), shortPlan(), 10.0, 10.0).ok());
    // Half of the source on 10 Ω is 10 Ω, not 22.
    const auto load = withJig({}, driver::Standard::load, read(0.5), shortPlan(), 10.0, 22.0);
    ASSERT_FALSE(load.ok());
    EXPECT_NE(load.error().given.english().find("about 10"), std::string::npos)
        << load.error().given;
    auto noReference = read(0.5);
    noReference.reference.clear();
    EXPECT_EQ(
        withJig({}, driver::Standard::open, noReference, shortPlan(), 10.0, 10.0).error().subject,
        "reference");
}

TEST(Calibrations, automaticGainIsFoundOut) {
    const auto flat = [](double) { return Complex(0.3); };
    signal::SweepPlan lower = shortPlan();
    lower.level -= 6.0;
    const auto first = wired(flat, shortPlan());
    const auto honest = gainStep(first, wired(flat, lower, 2), shortPlan(), 6.0);
    ASSERT_TRUE(honest.ok()) << honest.error().given;
    EXPECT_NEAR(*honest, 6.0, 0.05);
    // A leveller that gives half of it back.
    auto levelled = wired(flat, lower, 3);
    for (auto* channel : {&levelled.measured, &levelled.reference}) {
        for (double& v : *channel) {
            v *= quantity::gain(3.0);
        }
    }
    const auto found = gainStep(first, levelled, shortPlan(), 6.0);
    ASSERT_FALSE(found.ok());
    EXPECT_EQ(found.error().given, "a sweep 6.0 dB softer came back 3.0 dB lower");
}

TEST(Calibrations, levelNeedsBothHalves) {
    const sim::SoundBench bench =
        *sim::soundBench(hall(), {.cabinet = "left", .driver = "left-sorrel", .distance = 1.0});
    const sim::Heard heard = sim::hearCalibrator(bench, 94.0, 96000, 48000.0);
    auto c = withCalibrator({}, {48000.0, heard.measured, {}}, 94.0);
    ASSERT_TRUE(c.ok()) << c.error().given;
    EXPECT_NEAR(*c->fullScalePressure / bench.fullScalePressure, 1.0, 1e-3);
    job::Recorded r;
    apply(*c, job::TakeKind::response, true, r);
    EXPECT_FALSE(r.fullScalePressure.has_value()) << "half a calibration is none";
    // A tone of 0.1: a meter at terminals of 28.3 V for 1.0 shows 2.00 V.
    std::vector<double> tone(48000);
    for (std::size_t n = 0; n < tone.size(); ++n) {
        tone[n] = 0.1 * std::sin(2.0 * pi * 400.0 * static_cast<double>(n) / 48000.0);
    }
    auto both = withVoltage(*c, {48000.0, tone, tone}, 0.1, 2.83 / std::numbers::sqrt2);
    ASSERT_TRUE(both.ok());
    EXPECT_NEAR(*both->fullScaleVoltage, 28.3, 0.01);
    apply(*both, job::TakeKind::response, true, r);
    EXPECT_TRUE(r.fullScalePressure && r.fullScaleVoltage);
    EXPECT_FALSE(withVoltage(*c, {48000.0, tone, std::vector<double>(48000)}, 0.1, 2.0).ok());
}

TEST(Calibrations, aMicrophonesFileIsReadBeforeItIsBelieved) {
    auto c = withMicrophone({}, "mic.txt", "20 -2\n1000 0\n20000 4\n");
    ASSERT_TRUE(c.ok());
    job::Recorded r;
    apply(*c, job::TakeKind::response, true, r);
    EXPECT_EQ(r.calibration, "microphone mic.txt");
    EXPECT_FALSE(r.microphoneTable.empty());
    EXPECT_TRUE(withMicrophone({}, "woofer.txt", "20 60\n1000 90\n20000 50\n").ok())
        << "taken, with a warning";
    EXPECT_FALSE(withMicrophone({}, "m", "nothing\n").ok());
}

TEST(MergedTake, nearAndFarOfTheDemosWooferAgree) {
    const job::Take& near =
        recorded("left-brome", job::TakeKind::response, job::MicPlace::nearCone);
    const job::Take& far = recorded("left-brome", job::TakeKind::response);
    const MergeOrder order{.driver = "left-brome",
                           .near = near.id,
                           .far = far.id,
                           .Sd = evaluation::coneArea(*job::findDriver(hall(), "left-brome")).Sd};
    const auto made = mergeTakes(hall(), order);
    ASSERT_TRUE(made.ok()) << made.error().given;
    // The simulated near field follows a/(2r) (Keele 1974) as the join computes it.
    EXPECT_LT(std::abs(made->merged.mismatch), 1.0);
    EXPECT_LT(made->take.curve->trusted().from, 20.0);
    const auto& axis = made->take.curve->frequencies();
    for (std::size_t k = 0; k < axis.size(); ++k) {
        if (axis[k] > 1000.0 && axis[k] < 4000.0) {
            const auto there = std::ranges::lower_bound(far.curve->frequencies(), axis[k]);
            const auto i = static_cast<std::size_t>(there - far.curve->frequencies().begin());
            EXPECT_NEAR(
                std::abs(made->take.curve->values()[k] / far.curve->values()[i]), 1.0, 1e-9);
        }
    }
    // It joins as a take of its own and is the one in use.
    const auto joined = edit::addRecordedTake(made->take).apply(hall());
    ASSERT_TRUE(joined.ok());
    EXPECT_EQ(job::findDriver(*joined, "left-brome")->responseTake, joined->takes.back().id);
    // Twice the area: 3 dB from what the levels say, and told.
    MergeOrder wrong = order;
    wrong.Sd *= 2.0;
    wrong.splice = made->merged.splice;
    const auto off = mergeTakes(hall(), wrong);
    ASSERT_TRUE(off.ok());
    EXPECT_NEAR(made->merged.mismatch - off->merged.mismatch, 3.0, 0.5);
    wrong.near = far.id;
    EXPECT_EQ(mergeTakes(hall(), wrong).error().subject, "near");
    wrong.Sd = 0.0;
    wrong.near = near.id;
    EXPECT_EQ(mergeTakes(hall(), wrong).error().subject, "Sd");
}

TEST(PolarSet, theDemosCabinetIsSeenFromItsAngles) {
    const auto set = polarSetOf(hall(), "left", "", measure::Fill::none);
    ASSERT_TRUE(set.ok()) << set.error().given;
    EXPECT_EQ(set->request.curves.size(), 7U);
    const auto summary = measure::polarSummary(set->request);
    ASSERT_TRUE(summary.ok());
    EXPECT_FALSE(summary->soundPower.has_value()) << "nothing behind it was measured";
    const auto mirrored = polarSetOf(hall(), "left", "", measure::Fill::axisymmetric);
    EXPECT_TRUE(measure::polarSummary(mirrored->request)->listeningWindow.has_value());
    EXPECT_EQ(polarSetOf(hall(), "left", "left-brome", measure::Fill::none).error().given,
              "only one take");
}

TEST(HandTake, readingsByVoltmeterBecomeATake) {
    driver::MultimeterRequest readings{.sense = 10.0};
    const Complex Z{6.0, 8.0};
    for (const double f : {20.0, 50.0, 100.0}) {
        readings.frequencies.push_back(f);
        readings.senseVolts.push_back(1.0);
        readings.driverVolts.push_back(std::abs(Z) / 10.0);
        readings.sourceVolts.push_back(std::abs(Z + 10.0) / 10.0);
    }
    const auto found = driver::multimeter(readings);
    ASSERT_TRUE(found.ok());
    const job::Take take = handTake("left-brome", readings, *found, "2026-11-27");
    EXPECT_EQ(take.curve->size(), 3U);
    EXPECT_NEAR(std::abs(take.curve->values()[1]), 10.0, 1e-9);
    EXPECT_EQ(take.recorded.driver, "left-brome");
    const auto joined = edit::addRecordedTake(take).apply(hall());
    ASSERT_TRUE(joined.ok());
    EXPECT_EQ(job::findDriver(*joined, "left-brome")->impedanceTake, joined->takes.back().id);
}

TEST(UsableBand, tellsWhereTwoDriversMeet) {
    const auto woofer = evaluation::usableBandOf(hall(), *job::findDriver(hall(), "left-brome"));
    const auto mid = evaluation::usableBandOf(hall(), *job::findDriver(hall(), "left-sorrel"));
    const auto tweeter = evaluation::usableBandOf(hall(), *job::findDriver(hall(), "left-teasel"));
    ASSERT_TRUE(woofer && mid && tweeter);
    EXPECT_FALSE(woofer->band.low.has_value()) << "its box says how low";
    EXPECT_TRUE(mid->areaGuessed);
    // Twice the resonance for a fourth-order high-pass (common practice).
    EXPECT_NEAR(*mid->band.low, 2.0 * mid->fs, 1e-6 * mid->fs);
    const auto join = evaluation::joinBand(*mid, *tweeter);
    ASSERT_TRUE(join.has_value());
    EXPECT_DOUBLE_EQ(join->from, *tweeter->band.low);
    EXPECT_DOUBLE_EQ(join->to, mid->band.high);
    EXPECT_NEAR(join->middle, std::sqrt(join->from * join->to), 1e-9);
    EXPECT_FALSE(evaluation::joinBand(*tweeter, *woofer).has_value());
    job::Job bare = hall();
    job::Driver unknown{.id = "new", .name = "new", .band = job::Band::mid};
    EXPECT_FALSE(evaluation::usableBandOf(bare, unknown).has_value()) << "no resonance is known";
}

TEST(Together, twoDriversAtOnceAreTheSumOfBoth) {
    const auto at = [&](const std::string& driver, const std::string& also) {
        return *sim::soundBench(
            hall(), {.cabinet = "left", .driver = driver, .also = also, .distance = 1.0});
    };
    const auto both = at("left-sorrel", "left-teasel");
    for (const double f : {500.0, 2500.0, 9000.0}) {
        const Complex sum = at("left-sorrel", "").pressure(f) + at("left-teasel", "").pressure(f);
        EXPECT_NEAR(std::abs(both.pressure(f) - sum), 0.0, 1e-12);
    }
    job::Take take = recorded("left-sorrel", job::TakeKind::response);
    take.recorded.also = "left-teasel";
    const auto joined = edit::addRecordedTake(take).apply(hall());
    ASSERT_TRUE(joined.ok());
    EXPECT_EQ(job::findDriver(*joined, "left-sorrel")->responseTake,
              job::findDriver(hall(), "left-sorrel")->responseTake)
        << "the sum of two is nobody's own response";
}

} // namespace yf::take
