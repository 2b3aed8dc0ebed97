// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/driver/resonance.h"
#include "core/job/facts.h"
#include "core/job/front_edit.h"
#include "core/report/finding_text.h"
#include "core/speaker/crossover.h"
#include "demo/drivers.h"
#include "tests/support/demo_job.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::test {

namespace {

using speaker::Finding;

const job::Record& hall() {
    static const job::Record record = hallRecord();
    return record;
}

const job::Evaluation& hallEvaluation() {
    static const job::Evaluation evaluation = job::evaluate(hall().job());
    return evaluation;
}

std::vector<Finding> found(const job::Evaluation& evaluation, std::string_view rule) {
    std::vector<Finding> all;
    for (const Finding& finding : evaluation.judgement.findings) {
        if (speaker::rules()[finding.rule].id == rule) {
            all.push_back(finding);
        }
    }
    return all;
}

double
figureOf(const job::Evaluation& evaluation, const speaker::Subject& about, const char* fact) {
    for (const speaker::Scope& scope : evaluation.facts) {
        const auto own = scope.facts.find(fact);
        if (scope.subject == about && own != scope.facts.end()) {
            return std::get<double>(own->second);
        }
    }
    ADD_FAILURE() << "no fact " << fact;
    return 0.0;
}

/// Two ways of an even-order in-phase crossover, from the filters' own formula.
struct Ways {
    curve::Axis axis;
    std::vector<curve::Complex> lower;
    std::vector<curve::Complex> upper;
};

/// Squared Butterworth of that order (Linkwitz-Riley), or plain Butterworth.
Ways filters(int order, bool squared, double delay = 0.0) {
    Ways ways{.axis = curve::within(curve::designAxis(), 20.0, 20000.0)};
    for (const double f : ways.axis) {
        const curve::Complex s{0.0, f / 2000.0};
        curve::Complex denominator{1.0};
        for (int k = 1; k <= order; ++k) {
            const curve::Complex pole =
                std::polar(1.0, std::numbers::pi * (2.0 * k + order - 1.0) / (2.0 * order));
            denominator *= s - pole;
        }
        curve::Complex low = 1.0 / denominator;
        curve::Complex high = std::pow(s, order) / denominator;
        if (squared) {
            low *= low;
            high *= high;
        }
        ways.lower.push_back(low);
        ways.upper.push_back(high * std::polar(1.0, -2.0 * std::numbers::pi * f * delay));
    }
    return ways;
}

speaker::Crossover crossoverOf(const Ways& ways) {
    return speaker::crossover({ways.axis, ways.lower, ways.upper}).value();
}

} // namespace

// Linkwitz 1976: the squared Butterworth filters are in phase everywhere, sum flat, and cancel
// completely when one is reversed; fourth order same polarity, second order reversed.
TEST(Crossover, linkwitzRileyAddsInOnePolarityAndCancelsInTheOther) {
    const auto fourth = crossoverOf(filters(2, true));
    EXPECT_NEAR(fourth.fx, 2000.0, 1.0);
    EXPECT_TRUE(fourth.inPhase);
    // In phase throughout, |p₁ ± p₂| is 1 and |tanh(u/2)| with u = n·ln(f/fx); the mean of tanh²
    // over the octave is 1 − tanh(v/2)/(v/2) with v = n·ln √2.
    const auto reversedMean = [](double n) {
        const double v = n * std::log(std::numbers::sqrt2);
        return 10.0 * std::log10(1.0 - std::tanh(v / 2.0) / (v / 2.0));
    };
    EXPECT_NEAR(fourth.flipGain, reversedMean(4.0), 0.05);
    EXPECT_GT(fourth.nullDepth.value(), 40.0); // as deep as the axis resolves it
    EXPECT_NEAR(fourth.notch.value(), 2000.0, 30.0);
    EXPECT_NEAR(fourth.phaseSpread, 0.0, 1e-9);
    EXPECT_NEAR(fourth.difference, 0.0, 1e-9);
    const auto second = crossoverOf(filters(1, true));
    EXPECT_NEAR(second.flipGain, -reversedMean(2.0), 0.1) << "second order wants one reversed";
}

// Butterworth of odd order: the two stand at 90°, so turning one over changes no level.
TEST(Crossover, oddOrdersStandInQuadrature) {
    for (const int order : {1, 3}) {
        const auto x = crossoverOf(filters(order, false));
        EXPECT_NEAR(x.flipGain, 0.0, 0.01) << order;
        EXPECT_FALSE(x.inPhase) << order;
        EXPECT_NEAR(std::abs(x.difference), std::numbers::pi / 2.0, 0.05) << order;
    }
}

// 10 mm at 2 kHz are 360·2000·0.01/343.2 = 21°; a null with that error is 20·lg(cot(21°/2)) deep.
TEST(Crossover, aDepthOffsetSpoilsTheNull) {
    const double delay = 0.01 / 343.2;
    const auto x = crossoverOf(filters(2, true, delay));
    const double angle = 2.0 * std::numbers::pi * 2000.0 * delay;
    EXPECT_NEAR(x.difference, -angle, 0.01);
    EXPECT_NEAR(x.nullDepth.value(), 20.0 * std::log10(1.0 / std::tan(angle / 2.0)), 0.5);
    EXPECT_GT(x.phaseSpread, 0.1);
}

TEST(Crossover, waysThatNeverMeetHaveNone) {
    Ways ways = filters(2, true);
    for (curve::Complex& p : ways.upper) {
        p *= 1e-6;
    }
    EXPECT_FALSE(speaker::crossover({ways.axis, ways.lower, ways.upper}).has_value());
}

// The model has its resonance where it was put, and Re·(1 + Qms/Qes) at its peak (Small 1972).
TEST(Resonance, ofAModelIsWhereItWasPut) {
    const demo::InventedDriver driver = demo::sorrel130();
    const curve::Axis axis = curve::within(curve::designAxis(), 10.0, 20000.0);
    const curve::Curve Z(axis, driver::impedance(driver.impedance, axis), curve::Phase::own);
    const auto peak = driver::resonance(Z);
    ASSERT_TRUE(peak.has_value());
    EXPECT_NEAR(peak->fs, driver.impedance.fs, 0.01 * driver.impedance.fs);
    const double expected =
        driver.impedance.Re * (1.0 + driver.impedance.Qms / driver.impedance.Qes);
    EXPECT_NEAR(peak->Zpeak, expected, 0.01 * expected);
}

TEST(Resonance, needsPhaseAndACrossing) {
    const curve::Curve flat(
        {20.0, 200.0, 2000.0}, {{6.0, 0.0}, {6.0, 0.0}, {6.0, 0.0}}, curve::Phase::own);
    EXPECT_FALSE(driver::resonance(flat).has_value());
    const curve::Curve bare(
        {20.0, 200.0, 2000.0}, {{6.0, 0.0}, {16.0, 0.0}, {6.0, 0.0}}, curve::Phase::none);
    EXPECT_FALSE(driver::resonance(bare).has_value());
}

// The demo's hidden faults are found, each once and about the right thing.
TEST(Facts, theHallsFaultsAreFound) {
    const auto reversed = found(hallEvaluation(), "align.reversed");
    ASSERT_EQ(reversed.size(), 1U);
    EXPECT_EQ(
        reversed[0].subject,
        (speaker::Subject{.cabinet = "left", .driver = "left-teasel", .other = "left-sorrel"}));
    const auto drifted = found(hallEvaluation(), "net.cap_value");
    ASSERT_EQ(drifted.size(), 1U);
    EXPECT_EQ(drifted[0].subject.part, "C3");
    EXPECT_EQ(drifted[0].subject.cabinet, "right");
    EXPECT_NEAR(drifted[0].figure.value(), 9.4 / 6.8 - 1.0, 1e-9);
    EXPECT_EQ(found(hallEvaluation(), "net.cap_esr").size(), 1U);
    EXPECT_EQ(found(hallEvaluation(), "pair.level").size(), 1U);
    EXPECT_EQ(found(hallEvaluation(), "pair.shape").size(), 1U);
    EXPECT_TRUE(found(hallEvaluation(), "net.zmin").empty());
    EXPECT_TRUE(found(hallEvaluation(), "meas.timing").empty());
}

TEST(Facts, mendingWhatWasFoundEndsTheFinding) {
    job::Job job = hall().job();
    job::Evaluation evaluation = hallEvaluation();
    for (const char* const rule : {"align.reversed", "net.cap_value"}) {
        const auto findings = found(evaluation, rule);
        const auto remedy = report::remedy(job, evaluation, findings.at(0));
        ASSERT_TRUE(remedy.has_value()) << rule;
        job = edited(job, *remedy);
        evaluation = job::evaluate(job);
        EXPECT_TRUE(found(evaluation, rule).empty()) << rule;
    }
    // The hole is gone: what remains of the left is within its design.
    EXPECT_LT(evaluation.find("left")->corridor->deviation, 2.0);
}

// Whichever single driver of a sound three-way is turned over, that one is named.
TEST(Remedy, namesTheDriverThatIsWrong) {
    job::Job sound = hall().job();
    sound = edited(sound, job::reverseDriver("left", 2, "Teasel 26"));
    ASSERT_TRUE(found(job::evaluate(sound), "align.reversed").empty());
    const auto names = network::driverEnds(sound.cabinets.front().circuit);
    for (std::size_t way = 0; way < 3; ++way) {
        const job::Job wrong = edited(sound, job::reverseDriver("left", way, "x"));
        const job::Evaluation evaluation = job::evaluate(wrong);
        const auto findings = found(evaluation, "align.reversed");
        ASSERT_FALSE(findings.empty()) << way;
        for (const Finding& finding : findings) {
            const auto remedy = report::remedy(wrong, evaluation, finding);
            ASSERT_TRUE(remedy.has_value()) << way;
            EXPECT_EQ(edited(wrong, *remedy).cabinets, sound.cabinets) << way << remedy->name;
        }
    }
}

TEST(Facts, comeFromWhereTheyShould) {
    const auto& e = hallEvaluation();
    EXPECT_EQ(figureOf(e, {.cabinet = "left"}, "net.nominal_ohm"), 4.0);
    EXPECT_EQ(figureOf(e, {.cabinet = "left"}, "net.Zmin_ohm"),
              e.find("left")->leastImpedance->ohms);
    EXPECT_EQ(figureOf(e, {.cabinet = "left"}, "box.largest_m"), 0.96);
    EXPECT_NEAR(
        figureOf(e, {.cabinet = "left", .driver = "left-brome"}, "driver.Re_ohm"), 6.1, 0.15);
    // Twins: the right woofer was made with 3 % more resonance.
    const speaker::Subject twins{.cabinet = "left", .driver = "left-brome", .other = "right-brome"};
    EXPECT_NEAR(figureOf(e, twins, "pair.fs_right_hz") / figureOf(e, twins, "pair.fs_left_hz"),
                1.03,
                0.005);
    const speaker::Subject crossover{
        .cabinet = "left", .driver = "left-teasel", .other = "left-sorrel"};
    const double spacing = std::hypot(0.035, 0.365 - 0.235);
    EXPECT_NEAR(figureOf(e, crossover, "polar.spacing_wavelengths"),
                spacing * figureOf(e, crossover, "align.fx_hz") / 343.2,
                1e-9);
}

TEST(Facts, epdrIsBelowTheModulusAndUnloadedIsThatOfTheNetworkAlone) {
    for (const job::CabinetResult& result : hallEvaluation().cabinets) {
        EXPECT_LE(result.leastEpdr->ohms, result.leastImpedance->ohms);
        EXPECT_GT(result.leastEpdr->ohms, 0.0);
        EXPECT_EQ(result.unloaded.size(), result.ways.size());
    }
}

TEST(Facts, withoutMeasurementsNothingIsClaimed) {
    job::Job bare = demoJob();
    for (job::Driver& driver : bare.drivers) {
        driver.responseTake.clear();
        driver.impedanceTake.clear();
    }
    const job::Evaluation evaluation = job::evaluate(bare);
    for (const Finding& finding : evaluation.judgement.findings) {
        EXPECT_EQ(speaker::rules()[finding.rule].id.substr(0, 4), "net.")
            << "only the parts speak: " << speaker::rules()[finding.rule].id;
    }
    EXPECT_GT(evaluation.judgement.notChecked.size(), speaker::rules().size() - 5);
}

TEST(Facts, dismissedFindingsAreKnownAgain) {
    const Finding finding = found(hallEvaluation(), "align.reversed").at(0);
    job::Dismissal dismissal = job::dismissalFor(finding);
    dismissal.note = "as the owner wants it";
    const job::Job job = edited(hall().job(), job::dismiss({dismissal}));
    const job::Evaluation evaluation = job::evaluate(job);
    ASSERT_NE(job::dismissalOf(job, found(evaluation, "align.reversed").at(0)), nullptr);
    EXPECT_EQ(job::dismissalOf(job, found(evaluation, "net.cap_value").at(0)), nullptr);
}

TEST(Facts, aChangedLimitIsUsed) {
    const job::Job job = edited(hall().job(), job::changeLimit("align.reversed", 12.0));
    EXPECT_TRUE(found(job::evaluate(job), "align.reversed").empty());
}

TEST(Evaluate, fromAnEarlierOneIsTheSame) {
    const job::Job& before = hall().job();
    const job::Assembly assembly = job::assemble(before);
    const job::Evaluation first = job::evaluate(before, assembly);
    const job::Job after = edited(before, job::reverseDriver("left", 2, "x"));
    const job::Earlier earlier{before, first};
    const job::Evaluation quick = job::evaluate(after, assembly, &earlier);
    const job::Evaluation whole = job::evaluate(after, assembly);
    EXPECT_EQ(quick.judgement, whole.judgement);
    for (std::size_t i = 0; i < whole.cabinets.size(); ++i) {
        EXPECT_EQ(quick.cabinets[i].sum, whole.cabinets[i].sum);
        EXPECT_EQ(quick.cabinets[i].impedance, whole.cabinets[i].impedance);
    }
}

TEST(FindingText, figuresHaveTheirUnits) {
    struct {
        const char* rule;
        double figure;
        double threshold;
        const char* text;
    } const rows[] = {
        {"align.reversed", 8.86, 3.0, "8.86\u202FdB, limit 3\u202FdB"},
        {"net.cap_value", 0.382, 0.1, "38\u202F%, limit 10\u202F%"},
        {"net.zmin", 3.19, 3.2, "3.19\u202FΩ, limit 3.2\u202FΩ"},
        {"meas.distance", 1.0, 2.88, "1\u202Fm, limit 2.88\u202Fm"},
        {"driver.tweeter_low", 1520.0, 1692.0, "1.52\u202FkHz, limit 1.69\u202FkHz"},
        {"net.coil_loss", 0.12, 0.1, "0.12, limit 0.1"},
        {"align.null", 16.6, 20.0, "16.6\u202FdB, limit 20\u202FdB"},
        {"bench.suspension", 0.34, 0.3, "0.34\u202Foctaves, limit 0.3\u202Foctaves"},
        {"box.standing", 180.0, 500.0, "180\u202FHz, limit 500\u202FHz"},
        {"align.sigma", 17.0, 15.0, "17°, limit 15°"},
    };

    for (const auto& row : rows) {
        EXPECT_EQ(report::figureText({.rule = speaker::findRule(row.rule).value(),
                                      .figure = row.figure,
                                      .threshold = row.threshold}),
                  row.text)
            << row.rule;
    }
    EXPECT_EQ(report::subjectText(hall().job(), {.cabinet = "left", .other = "right"}),
              "Left and Right");
    EXPECT_EQ(report::subjectText(hall().job(),
                                  {.cabinet = "right", .driver = "right-teasel", .part = "C3"}),
              "Right · C3");
}

} // namespace yf::test
