// SPDX-License-Identifier: GPL-3.0-or-later
// DC resistance, LCR readings and the battery. Rows marked "common practice" are figures of the
// trade as workshops use them; the others are arithmetic on the formulas of the headers.
#include "core/bench/battery.h"
#include "core/bench/dcr.h"
#include "core/bench/lcr.h"
#include "core/bench/sweep.h"

#include <gtest/gtest.h>

namespace yf::test {

namespace {

using bench::DcrClass;
using bench::LcrClass;
using bench::LcrMode;
using bench::Place;

bench::DcrJudgement judged(const bench::DcrRequest& request) {
    const auto out = bench::dcr(request);
    EXPECT_TRUE(out.ok());
    return *out;
}

bench::DcrRequest reading(double ohms, double nominal, double leads = 0.0) {
    bench::DcrRequest r;
    r.reading = std::optional(ohms);
    r.nominal = nominal;
    r.leads = leads;
    return r;
}

DcrClass classOf(double ohms, double nominal, double leads = 0.0) {
    return judged(reading(ohms, nominal, leads)).kind;
}

} // namespace

// Common practice: 70 to 90 % of the nominal impedance is what a healthy driver reads.
TEST(Dcr, workedReadingsOfTheBench) {
    const struct {
        double nominal, shown, leads, net, ratio;
        DcrClass kind;
    } rows[] = {
        {8.0, 6.8, 0.0, 6.8, 0.85, DcrClass::normal},
        {16.0, 13.2, 0.0, 13.2, 0.825, DcrClass::normal},
        {4.0, 3.4, 0.5, 2.9, 0.725, DcrClass::normal}, // the leads decide
        {2.0, 1.4, 0.5, 0.9, 0.45, DcrClass::low},     // it looks fine until they come off
        {8.0, 4.0, 0.0, 4.0, 0.5, DcrClass::low},      // two in parallel where one is expected
    };

    for (const auto& row : rows) {
        const auto out = judged(reading(row.shown, row.nominal, row.leads));
        EXPECT_NEAR(*out.dcr, row.net, 1e-12);
        EXPECT_NEAR(*out.ratio, row.ratio, 1e-12);
        EXPECT_EQ(out.kind, row.kind) << row.nominal << " " << row.shown;
    }
}

// Common practice: drivers rated 8 Ω read from 6.5 to 9 Ω; the table of what is normal.
TEST(Dcr, normalRangesByNominalImpedance) {
    const double rows[][3] = {
        {2, 1.4, 2.3}, {4, 2.8, 4.6}, {6, 4.2, 6.9}, {8, 5.6, 9.2}, {16, 11.2, 18.4}};
    for (const auto& [nominal, low, high] : rows) {
        const auto out = judged(reading(nominal * 0.85, nominal));
        EXPECT_NEAR(out.expectedLow, low, 1e-9);
        EXPECT_NEAR(out.expectedHigh, high, 1e-9);
        EXPECT_EQ(classOf(low + 1e-9, nominal), DcrClass::normal);
        EXPECT_EQ(classOf(low - 1e-6, nominal), DcrClass::slightlyLow);
        EXPECT_EQ(classOf(high - 1e-9, nominal), DcrClass::normal);
        EXPECT_EQ(classOf(high + 1e-6, nominal), DcrClass::slightlyHigh);
    }
    EXPECT_EQ(classOf(6.5, 8), DcrClass::normal);
    EXPECT_EQ(classOf(9.0, 8), DcrClass::normal);
    EXPECT_EQ(classOf(0.79, 8), DcrClass::isShorted);
    EXPECT_EQ(classOf(0.81, 8), DcrClass::low);
    EXPECT_EQ(classOf(10.39, 8), DcrClass::slightlyHigh);
    EXPECT_EQ(classOf(10.41, 8), DcrClass::high);
    EXPECT_EQ(classOf(80.1, 8), DcrClass::open);
}

TEST(Dcr, theCabinetAddsAnOhmAboveNormal) {
    auto r = reading(10.1, 8);
    EXPECT_EQ(judged(r).kind, DcrClass::slightlyHigh);
    r.place = Place::cabinet;
    EXPECT_EQ(judged(r).kind, DcrClass::normal);
    EXPECT_NEAR(judged(r).expectedHigh, 10.2, 1e-9);
    EXPECT_NEAR(judged(r).expectedLow, 5.6, 1e-9);
}

// One open reading at the cabinet is no dead driver; at the lugs it is the coil or its lead-in.
TEST(Dcr, openMeansSomethingElseAtTheCabinet) {
    bench::DcrRequest r;
    r.overRange = true;
    r.nominal = 8;
    EXPECT_EQ(judged(r).suspects, (std::vector<std::string>{"open_coil", "broken_lead_in"}));
    EXPECT_FALSE(judged(r).dcr.has_value());
    r.place = Place::cabinet;
    EXPECT_EQ(judged(r).suspects.front(), "protector_open");
    EXPECT_EQ(judged(r).next, "protector");
}

TEST(Dcr, readingsThatDoNotSettleAreDrifting) {
    bench::DcrRequest r;
    r.nominal = 8;
    r.readings = {6.2, 6.25, 6.2, 6.2};
    EXPECT_EQ(judged(r).kind, DcrClass::normal);
    r.readings = {6.2, 6.52, 6.2, 6.2}; // 5.2 %
    EXPECT_EQ(judged(r).kind, DcrClass::drifting);
    r.readings = {6.2, std::nullopt, 6.2};
    EXPECT_EQ(judged(r).kind, DcrClass::drifting);
    EXPECT_EQ(judged(r).suspects, (std::vector<std::string>{"broken_lead_in", "dirty_contact"}));
    r.readings = {std::nullopt, std::nullopt};
    EXPECT_EQ(judged(r).kind, DcrClass::open);
}

// Common practice: twins agree within 5 %; beyond 10 % one of them is not what it was.
TEST(Dcr, theTwinDecidesWhatTheNominalImpedanceCannot) {
    auto r = reading(5.7, 8);
    r.twin = 6.4;
    EXPECT_EQ(judged(r).kind, DcrClass::lowAgainstTwin);
    EXPECT_NEAR(*judged(r).twinDeviation, -0.109375, 1e-12);
    EXPECT_EQ(bench::dcrOutcome(judged(r).kind), "low");
    r.twin = 5.6; // an unusual design, but both have it
    r.reading = std::optional(5.2);
    EXPECT_EQ(judged(r).kind, DcrClass::normal);
    r.reading = std::optional(6.4);
    EXPECT_EQ(judged(r).kind, DcrClass::highAgainstTwin);
    r.reading = std::optional(4.0); // low by itself: no twin excuses that
    r.twin = 4.0;
    EXPECT_EQ(judged(r).kind, DcrClass::low);
}

// IEC 60028: copper changes by 0.393 % a kelvin.
TEST(Dcr, warmCoilsAreReadAtTwentyDegrees) {
    auto r = reading(6.393, 8);
    r.temperature = 36.69;
    EXPECT_NEAR(*judged(r).dcr, 6.393 / (1.0 + 0.00393 * 16.69), 1e-9);
    EXPECT_NEAR(*judged(r).dcr, 6.0, 0.001);
}

TEST(Dcr, saysWhenTheMeterCannotDecide) {
    const auto near = judged(reading(3.4, 4, 0.5)); // 2.9 ± 0.234, and normal ends at 2.8
    EXPECT_NEAR(*near.u, 0.234, 1e-9);
    EXPECT_FALSE(near.sure);
    EXPECT_TRUE(judged(reading(6.8, 8)).sure);
    EXPECT_NEAR(*judged(reading(2.0, 2)).u, 0.22, 1e-9); // a tenth of a 2 Ω driver
}

TEST(Dcr, refusesWhatCannotBe) {
    EXPECT_EQ(bench::dcr(reading(0.3, 8, 0.5)).error().subject, "lead_ohm");
    bench::DcrRequest none;
    none.nominal = 8;
    EXPECT_EQ(bench::dcr(none).error().subject, "reading_ohm");
    none.overRange = true;
    none.reading = std::optional(4.0);
    EXPECT_EQ(bench::dcr(none).error().subject, "reading_ohm");
}

namespace {

bench::LcrRequest pair(double f, double R, double L, double twinR, double twinL, LcrMode mode) {
    bench::LcrRequest r;
    r.frequency = f;
    r.r = std::optional(R);
    r.l = L;
    r.twinR = twinR;
    r.twinL = twinL;
    r.mode = mode;
    return r;
}

bench::LcrJudgement judged(const bench::LcrRequest& request) {
    const auto out = bench::lcr(request);
    EXPECT_TRUE(out.ok());
    return *out;
}

} // namespace

// Common practice: a good 2 Ω woofer of 1.96 Ω and 15.6 mH at 100 Hz, its twin with shorted turns
// 1.6 Ω and 10.7 mH. As parallel values the same pairs are 1.88 Ω + 0.60 mH and 1.51 Ω + 0.57 mH in
// series: the mode of the display decides what they mean.
TEST(Lcr, theDisplaysModeDecides) {
    auto r = pair(100, 1.6, 10.7e-3, 1.96, 15.6e-3, LcrMode::series);
    EXPECT_EQ(judged(r).kind, LcrClass::shortedTurns);
    EXPECT_TRUE(judged(r).danger);
    r.mode = LcrMode::parallel;
    const auto parallel = judged(r);
    EXPECT_NEAR(*parallel.r, 1.51, 0.01);
    EXPECT_NEAR(*parallel.l, 0.57e-3, 0.01e-3);
    EXPECT_EQ(parallel.kind, LcrClass::lowR);
    const auto twin = judged(pair(100, 1.96, 15.6e-3, 1.96, 15.6e-3, LcrMode::parallel));
    EXPECT_NEAR(*twin.r, 1.88, 0.01);
    EXPECT_NEAR(*twin.l, 0.60e-3, 0.01e-3);
    r.mode = LcrMode::unknown;
    r.nominal = 2.0;
    const auto unknown = judged(r);
    EXPECT_EQ(unknown.kind, LcrClass::dependsOnMode);
    EXPECT_EQ(*unknown.kindIfSeries, LcrClass::shortedTurns);
    EXPECT_EQ(*unknown.kindIfParallel, LcrClass::lowR);
    EXPECT_TRUE(unknown.modeDoubtful) << "15 mH in series would be 9.8 ohms in a 2 ohm woofer";
    EXPECT_EQ(bench::lcrOutcome(unknown.kind), std::nullopt);
}

// Common practice: a 4 Ω midrange of 4.0 Ω at 1 kHz is as it should be.
TEST(Lcr, ratiosDecideTheClass) {
    const struct {
        double R, L;
        LcrClass kind;
    } rows[] = {
        {4.00, 0.30e-3, LcrClass::match},
        {4.39, 0.34e-3, LcrClass::match},
        {3.61, 0.26e-3, LcrClass::match},
        {3.59, 0.25e-3, LcrClass::shortedTurns},
        {3.59, 0.30e-3, LcrClass::lowR},
        {4.00, 0.25e-3, LcrClass::lowL},
        {4.50, 0.30e-3, LcrClass::otherMismatch},
        {3.00, 0.40e-3, LcrClass::otherMismatch},
    };

    for (const auto& row : rows) {
        EXPECT_EQ(judged(pair(1000, row.R, row.L, 4.0, 0.30e-3, LcrMode::series)).kind, row.kind)
            << row.R << " " << row.L;
    }
}

TEST(Lcr, theModelStandsInForATwin) {
    bench::LcrRequest r;
    r.frequency = 1000;
    r.model = {.Re = 5.8, .fs = 40, .Qms = 3.7, .Qes = 0.48, .Le = 0.5e-3};
    const auto Z = driver::impedance({.Re = 5.8, .fs = 40, .Qms = 3.7, .Qes = 0.48, .Le = 0.5e-3},
                                     {1000.0})[0];
    r.r = std::optional(Z.real() + 0.2);
    r.leads = 0.2;
    r.l = Z.imag() / (2.0 * 3.14159265358979 * 1000.0);
    const auto out = judged(r);
    EXPECT_EQ(out.kind, LcrClass::match);
    EXPECT_NEAR(*out.ratioR, 1.0, 1e-9);
    EXPECT_NEAR(*out.ratioL, 1.0, 1e-9);
    EXPECT_FALSE(out.coneInReading);
    EXPECT_EQ(*out.recommended, 1000.0); // 5·40 = 200 Hz
}

TEST(Lcr, lowReadingsMeetTheCone) {
    auto r = pair(100, 6.0, 1e-3, 6.0, 1e-3, LcrMode::series);
    r.model.fs = 30;
    EXPECT_TRUE(judged(r).coneInReading);
    EXPECT_EQ(*judged(r).recommended, 1000.0);
    EXPECT_EQ(*bench::meterFrequency(20), 100.0);
    EXPECT_EQ(*bench::meterFrequency(24), 120.0);
    EXPECT_EQ(*bench::meterFrequency(800), 10000.0);
    EXPECT_EQ(bench::meterFrequency(20001), std::nullopt);
}

TEST(Lcr, refusesHalves) {
    auto r = pair(100, 6.0, 1e-3, 6.0, 1e-3, LcrMode::series);
    r.twinL.reset();
    EXPECT_EQ(bench::lcr(r).error().subject, "twin_l_h");
    r.twinR.reset();
    EXPECT_EQ(judged(r).kind, LcrClass::noReference);
    r.leads = 7.0;
    EXPECT_EQ(bench::lcr(r).error().subject, "lead_ohm");
    r.leads = 0.0;
    r.model.Re = 5.0;
    EXPECT_EQ(bench::lcr(r).error().subject, "fs_hz");
    r.r = std::optional<std::optional<double>>(std::optional<double>());
    r.model = {};
    EXPECT_EQ(judged(r).kind, LcrClass::open);
    r.r.reset();
    EXPECT_EQ(bench::lcr(r).error().subject, "r_ohm");
}

// What a 1.5 V cell (0.2 Ω) and a 9 V block (1.7 Ω) do; the resistances are from memory, the rest
// is Ohm's law and Hooke's.
TEST(Battery, smallAndLargeDrivers) {
    const struct {
        double Re, Bl, Cms, volts, ampere, watt, millimetre;
    } rows[] = {
        {6.4, 7.0, 1e-3, 1.5, 0.23, 0.3, 1.6},
        {6.4, 7.0, 1e-3, 9.0, 1.1, 7.9, 7.8},
        {5.4, 17.0, 0.22e-3, 1.5, 0.27, 0.4, 1.0},
        {5.4, 17.0, 0.22e-3, 9.0, 1.3, 8.7, 4.7},
        {6.2, 5.5, 0.4e-3, 1.5, 0.23, 0.3, 0.5},
        {6.2, 5.5, 0.4e-3, 9.0, 1.1, 8.0, 2.5},
        {6.1, 3.0, 0.06e-3, 1.5, 0.24, 0.3, 0.04},
    };

    for (const auto& row : rows) {
        const auto out =
            bench::battery({.Re = row.Re, .Bl = row.Bl, .Cms = row.Cms, .voltage = row.volts});
        EXPECT_NEAR(out->current, row.ampere, 0.06 * row.ampere);
        EXPECT_NEAR(out->power, row.watt, 0.06 * row.watt + 0.03);
        EXPECT_NEAR(out->displacement * 1e3, row.millimetre, 0.05 * row.millimetre + 0.003);
        EXPECT_EQ(out->visible, row.millimetre >= 0.3);
    }
}

// Common practice: 1.5 V shows all there is to see; never 9 V on a tweeter.
TEST(Battery, warnsOfTooMuch) {
    using bench::BatteryVerdict;
    bench::BatteryRequest r{.Re = 6.4, .Bl = 7, .Cms = 1e-3, .Xmax = 5e-3};
    EXPECT_EQ(bench::battery(r)->verdict, BatteryVerdict::ok);
    r.voltage = 9;
    EXPECT_EQ(bench::battery(r)->verdict, BatteryVerdict::tooMuch);
    bench::BatteryRequest tweeter{
        .Re = 6.1, .Bl = 3, .Cms = 0.06e-3, .role = quantity::DriverRole::tweeter};
    EXPECT_EQ(bench::battery(tweeter)->verdict, BatteryVerdict::listenOnly);
    tweeter.voltage = 9;
    EXPECT_EQ(bench::battery(tweeter)->verdict, BatteryVerdict::tooMuch);
}

TEST(ImpedanceSweep, outcomes) {
    const bench::ImpedancePeak twin{50.0, 40.0};

    const struct {
        double small, large, hz;
        const char* outcome;
    } rows[] = {
        {50.0, 49.0, 40.0, "as_expected"},
        {38.0, 38.0, 40.0, "as_expected"},
        {37.0, 37.0, 40.0, "peak_collapsed"},
        {8.0, 19.0, 40.0, "level_dependent"}, // friction: it grows with the level
        {50.0, 49.0, 45.0, "peak_shifted"},
        {50.0, 49.0, 43.5, "as_expected"},
    };

    for (const auto& row : rows) {
        EXPECT_EQ(bench::sweepOutcome({bench::ImpedancePeak{row.small, row.hz},
                                       bench::ImpedancePeak{row.large, row.hz}},
                                      twin),
                  row.outcome)
            << row.small << " " << row.large << " " << row.hz;
    }
    EXPECT_EQ(bench::sweepOutcome({}, twin), "open");
}

} // namespace yf::test
