// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/box/closed.h"
#include "core/box/motion.h"
#include "core/driver/resonance.h"
#include "core/edit/bench.h"
#include "core/edit/front.h"
#include "core/edit/measurement.h"
#include "core/evaluation/assemble.h"
#include "core/findings/dismissal.h"
#include "core/findings/facts.h"
#include "core/findings/known_facts.h"
#include "core/findings/words.h"
#include "core/speaker/crossover.h"
#include "demo/drivers.h"
#include "tests/support/demo_job.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <cmath>
#include <functional>
#include <numbers>
#include <set>

namespace yf::test {

namespace {

using findings::Finding;
namespace fact = findings::fact;

const job::Record& hall() {
    static const job::Record record = hallRecord();
    return record;
}

const Looked& hallEvaluation() {
    static const Looked evaluation = lookedAt(hall().job());
    return evaluation;
}

std::vector<Finding> found(const Looked& evaluation, std::string_view rule) {
    std::vector<Finding> all;
    for (const Finding& finding : evaluation.judgement.findings) {
        if (findings::rules()[finding.rule].id == rule) {
            all.push_back(finding);
        }
    }
    return all;
}

double
figureOf(const Looked& evaluation, const findings::Subject& about, const findings::Figure& figure) {
    for (const findings::Scope& scope : evaluation.facts) {
        if (const auto own = scope.facts[figure]; own && scope.subject == about) {
            return *own;
        }
    }
    ADD_FAILURE() << "no fact " << figure.name;
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
        (findings::Subject{.cabinet = "left", .driver = "left-teasel", .other = "left-sorrel"}));
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
    Looked evaluation = hallEvaluation();
    for (const char* const rule : {"align.reversed", "net.cap_value"}) {
        const auto findings = found(evaluation, rule);
        const auto remedy = findings::remedy(job, evaluation, findings.at(0));
        ASSERT_TRUE(remedy.has_value()) << rule;
        job = edited(job, *remedy);
        evaluation = lookedAt(job);
        EXPECT_TRUE(found(evaluation, rule).empty()) << rule;
    }
    // The hole is gone: what remains of the left is within its design.
    EXPECT_LT(evaluation.find("left")->corridor->deviation, 2.0);
}

// Whichever single driver of a sound three-way is turned over, that one is named.
TEST(Remedy, namesTheDriverThatIsWrong) {
    job::Job sound = hall().job();
    sound = edited(sound, edit::reverseDriver("left", 2, "Teasel 26"));
    ASSERT_TRUE(found(lookedAt(sound), "align.reversed").empty());
    const auto names = network::driverEnds(sound.cabinets.front().circuit);
    for (std::size_t way = 0; way < 3; ++way) {
        const job::Job wrong = edited(sound, edit::reverseDriver("left", way, "x"));
        const Looked evaluation = lookedAt(wrong);
        const auto findings = found(evaluation, "align.reversed");
        ASSERT_FALSE(findings.empty()) << way;
        for (const Finding& finding : findings) {
            const auto remedy = findings::remedy(wrong, evaluation, finding);
            ASSERT_TRUE(remedy.has_value()) << way;
            EXPECT_EQ(edited(wrong, *remedy).cabinets, sound.cabinets) << way << remedy->name;
        }
    }
}

TEST(Facts, comeFromWhereTheyShould) {
    const auto& e = hallEvaluation();
    EXPECT_EQ(figureOf(e, {.cabinet = "left"}, fact::net::nominal_ohm), 4.0);
    EXPECT_EQ(figureOf(e, {.cabinet = "left"}, fact::net::Zmin_ohm),
              e.find("left")->leastImpedance->ohms);
    EXPECT_EQ(figureOf(e, {.cabinet = "left"}, fact::box::largest_m), 0.96);
    EXPECT_NEAR(
        figureOf(e, {.cabinet = "left", .driver = "left-brome"}, fact::driver::Re_ohm), 6.1, 0.15);
    // Twins: the right woofer was made with 3 % more resonance.
    const findings::Subject twins{
        .cabinet = "left", .driver = "left-brome", .other = "right-brome"};
    EXPECT_NEAR(figureOf(e, twins, fact::pair::fs_right_hz) /
                    figureOf(e, twins, fact::pair::fs_left_hz),
                1.03,
                0.005);
    const findings::Subject crossover{
        .cabinet = "left", .driver = "left-teasel", .other = "left-sorrel"};
    const double spacing = std::hypot(0.035, 0.365 - 0.235);
    EXPECT_NEAR(figureOf(e, crossover, fact::polar::spacing_wavelengths),
                spacing * figureOf(e, crossover, fact::align::fx_hz) / 343.2,
                1e-9);
}

TEST(Facts, epdrIsBelowTheModulusAndUnloadedIsThatOfTheNetworkAlone) {
    for (const evaluation::CabinetResult& result : hallEvaluation().cabinets) {
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
    const Looked evaluation = lookedAt(bare);
    for (const Finding& finding : evaluation.judgement.findings) {
        EXPECT_EQ(findings::rules()[finding.rule].id.substr(0, 4), "net.")
            << "only the parts speak: " << findings::rules()[finding.rule].id;
    }
    EXPECT_GT(evaluation.judgement.notChecked.size(), findings::rules().size() - 5);
}

TEST(Facts, dismissedFindingsAreKnownAgain) {
    const Finding finding = found(hallEvaluation(), "align.reversed").at(0);
    job::Dismissal dismissal = findings::dismissalFor(finding);
    dismissal.note = "as the owner wants it";
    const job::Job job = edited(hall().job(), edit::dismiss({dismissal}));
    const Looked evaluation = lookedAt(job);
    ASSERT_NE(findings::dismissalOf(job, found(evaluation, "align.reversed").at(0)), nullptr);
    EXPECT_EQ(findings::dismissalOf(job, found(evaluation, "net.cap_value").at(0)), nullptr);
}

TEST(Facts, aChangedLimitIsUsed) {
    const job::Job job = edited(hall().job(), edit::changeLimit("align.reversed", 12.0));
    EXPECT_TRUE(found(lookedAt(job), "align.reversed").empty());
}

namespace {

/// Rules of a judgement that are about one driver of the left cabinet.
bool isFound(const job::Job& job, const char* rule, const char* driver) {
    return std::ranges::any_of(found(lookedAt(job), rule), [&](const Finding& finding) {
        return finding.subject.driver == driver;
    });
}

/// A driver's impedance in use, changed point by point.
job::Job withImpedance(const job::Job& job,
                       const char* driver,
                       const std::function<curve::Complex(double, curve::Complex)>& change) {
    const job::Driver& d = *job::findDriver(job, driver);
    job::Take take = *job::takeInUse(job, d, job::TakeKind::impedance);
    std::vector<curve::Complex> values = take.curve->values();
    for (std::size_t k = 0; k < values.size(); ++k) {
        values[k] = change(take.curve->frequencies()[k], values[k]);
    }
    take.curve = std::make_shared<const curve::Curve>(
        take.curve->frequencies(), std::move(values), take.curve->phase());
    return edited(job, edit::addTake(driver, take));
}

/// Re and a resonance, and a coil: 6 Ω, Qes 0.5.
curve::Complex plain(double f, double fs, double Qms, double Le) {
    const double Re = 6.0;
    return Re + curve::Complex{0.0, 2.0 * std::numbers::pi * f * Le} +
           (Re / 0.5) / curve::Complex{1.0 / Qms, f / fs - fs / f};
}

job::Job twins(double fs, double Qms, double Le) {
    const job::Job job = withImpedance(hall().job(), "right-brome", [](double f, curve::Complex) {
        return plain(f, 30.0, 5.0, 0.5e-3);
    });
    return withImpedance(
        job, "left-brome", [=](double f, curve::Complex) { return plain(f, fs, Qms, Le); });
}

/// The hall's left tweeter, with a data sheet, was tried with a battery.
job::Job tried(double volts, double watts, double Xmax) {
    const job::Driver& d = *job::findDriver(hall().job(), "left-teasel");
    driver::Part sheet = d.sheet;
    sheet.model = {.Re = 6.0, .fs = 50.0, .Qms = 4.0, .Qes = 0.5};
    sheet.Sd = 0.02;
    sheet.Vas = 0.04;
    sheet.power = watts;
    sheet.Xmax = Xmax;
    job::BenchReading reading;
    reading.check = "battery_pop";
    reading.outcome = "moves_out";
    reading.cabinet = "left";
    reading.driver = "left-teasel";
    reading.place = bench::Place::driver;
    reading.voltage = volts;
    job::Job job = edited(hall().job(), edit::changeSheet(d.id, sheet, d.place));
    return edited(job, edit::addReading(reading));
}

} // namespace

// Each on both sides of its limit, through a whole job: 2^0.3 = 1.231.
TEST(Facts, aDriverIsHeldAgainstItsTwin) {
    EXPECT_TRUE(isFound(twins(30.0 * 1.26, 5.0, 0.5e-3), "bench.suspension", "left-brome"));
    EXPECT_FALSE(isFound(twins(30.0 * 1.20, 5.0, 0.5e-3), "bench.suspension", "left-brome"));
    // Half the Qms and four fifths of the inductance, both: a closed turn.
    EXPECT_TRUE(isFound(twins(30.0, 2.2, 0.35e-3), "bench.shorted_turns", "left-brome"));
    EXPECT_FALSE(isFound(twins(30.0, 2.8, 0.35e-3), "bench.shorted_turns", "left-brome"));
    EXPECT_FALSE(isFound(twins(30.0, 2.2, 0.45e-3), "bench.shorted_turns", "left-brome"));
    // A twin that is faulty itself is no reference.
    const job::Job job = edited(twins(30.0 * 1.26, 5.0, 0.5e-3),
                                edit::concludeDriver("right-brome", job::Condition::dead));
    EXPECT_FALSE(isFound(job, "bench.suspension", "left-brome"));
}

TEST(Facts, aBatteryIsHeldAgainstTheDataSheet) {
    // The measured 5.6 Ω or so: 9 V are some 14 W, half of 20 W is 10.
    EXPECT_TRUE(isFound(tried(9.0, 20.0, 1.0), "bench.battery_power", "left-teasel"));
    EXPECT_FALSE(isFound(tried(1.5, 20.0, 1.0), "bench.battery_power", "left-teasel"));
    // Bl·V·Cms/Re with Cms = 0.04/(1.204·343.2²·0.02²) = 0.705 mm/N and Bl = 7.36 T·m: 9 V push it
    // by some 8 mm (computed by hand).
    EXPECT_TRUE(isFound(tried(9.0, 1000.0, 0.012), "bench.battery_stroke", "left-teasel"));
    EXPECT_FALSE(isFound(tried(9.0, 1000.0, 0.024), "bench.battery_stroke", "left-teasel"));
}

// ka = 2.2 at the crossover, from a cone's area that somebody measured; a guessed one says nothing.
TEST(Facts, aLowerDriverBeams) {
    const job::Job& job = hall().job();
    const double fx = figureOf(hallEvaluation(),
                               {.cabinet = "left", .driver = "left-teasel", .other = "left-sorrel"},
                               fact::align::fx_hz);
    const auto with = [&](std::optional<double> ka) {
        const job::Driver& d = *job::findDriver(job, "left-sorrel");
        driver::Part sheet = d.sheet;
        sheet.Sd.reset();
        if (ka) {
            const double a = *ka * 343.2 / (2.0 * std::numbers::pi * fx);
            sheet.Sd = std::numbers::pi * a * a;
        }
        return isFound(
            edited(job, edit::changeSheet(d.id, sheet, d.place)), "polar.beaming", "left-teasel");
    };
    EXPECT_TRUE(with(2.25));
    EXPECT_FALSE(with(2.15));
    EXPECT_FALSE(with(std::nullopt));
}

// Two drivers in phase, far away: the first null stands where the path differs by half a wave.
TEST(Facts, aNullNearTheAxisComesWithSpacing) {
    const findings::Subject about{
        .cabinet = "left", .driver = "left-teasel", .other = "left-sorrel"};
    const job::Job sound =
        edited(hall().job(), edit::reverseDriver("left", 2, "Teasel 26")); // as it should be
    const double before = figureOf(lookedAt(sound), about, fact::polar::nearest_null_deg);
    EXPECT_GT(std::abs(before), 15.0);
    EXPECT_FALSE(isFound(sound, "polar.null_near", "left-teasel"));
    job::Mount low = *std::ranges::find(
        sound.cabinets.front().mounts, std::string("left-sorrel"), &job::Mount::driver);
    low.y -= 0.25;
    const job::Job apart = edited(sound, edit::moveDriver("left", low, ""));
    EXPECT_LT(std::abs(figureOf(lookedAt(apart), about, fact::polar::nearest_null_deg)), 15.0);
    EXPECT_TRUE(isFound(apart, "polar.null_near", "left-teasel"));
}

namespace {

/// DC resistance was read on the left woofer and on its twin.
job::Job readByMeter(double left, double right) {
    job::Job job = hall().job();
    for (const auto& [cabinet, ohms] : {std::pair{"left", left}, std::pair{"right", right}}) {
        job::BenchReading reading;
        reading.check = "dcr";
        reading.cabinet = cabinet;
        reading.driver = std::string(cabinet) + "-brome";
        reading.place = bench::Place::driver;
        reading.ohms = {ohms};
        job = edited(job, edit::addReading(reading));
    }
    return job;
}

/// The left tweeter was taken 1 m away, gated.
job::Job gated(double gate) {
    job::Job job = hall().job();
    const job::Driver& d = *job::findDriver(job, "left-teasel");
    job::Take take = *job::takeInUse(job, d, job::TakeKind::response);
    take.gate = gate;
    return edited(job, edit::addTake(d.id, take));
}

/// The left woofer's box was meant to hold so many m³.
job::Job meant(double volume) {
    job::Job job = hall().job();
    job::Cabinet& left = job.cabinets.front();
    std::ranges::find(left.boxes, std::string("left-brome"), &job::Enclosure::driver)->designVb =
        volume;
    return job;
}

/// The left woofer was taken in a sealed box of its own volume, with that leak.
job::Job sealed(double QL) {
    job::Job job = hall().job();
    const auto driver = hallEvaluation().find("left")->box("left-brome")->known.driver;
    for (job::Take& t : job.takes) {
        if (t.recorded.driver == "left-brome" && t.recorded.mounting == job::Mounting::ventedBox) {
            t.recorded.mounting = job::Mounting::closedBox;
            const box::System s = box::systemOf(driver, box::Closed{.Vb = 0.037, .QL = QL}, {});
            std::vector<curve::Complex> Z;
            for (const double f : t.curve->frequencies()) {
                Z.push_back(box::motionAt(s, f).Z);
            }
            t.curve = std::make_shared<const curve::Curve>(
                t.curve->frequencies(), std::move(Z), curve::Phase::common);
        }
    }
    return job;
}

} // namespace

// 8 % is 20 K of copper.
TEST(Facts, aReadingByMeterIsHeldAgainstTheTwin) {
    EXPECT_TRUE(isFound(readByMeter(6.0, 5.5), "bench.re_drift", "left-brome"));
    EXPECT_FALSE(isFound(readByMeter(5.8, 5.5), "bench.re_drift", "left-brome"));
}

TEST(Facts, aGateIsThatOfTheTakeInUse) {
    const job::Job job = gated(5e-3);
    const job::Driver& teasel = *job::findDriver(job, "left-teasel");
    const findings::Subject about{.cabinet = "left",
                                  .driver = "left-teasel",
                                  .take = job::takeInUse(job, teasel, job::TakeKind::response)->id};
    EXPECT_DOUBLE_EQ(figureOf(lookedAt(job), about, fact::meas::gate_s), 5e-3);
}

TEST(Facts, aVolumeIsHeldAgainstTheOneMeant) {
    const double net = 1e-3 * figureOf(lookedAt(meant(0.04)),
                                       {.cabinet = "left", .driver = "left-brome"},
                                       fact::box::Vb_l);
    EXPECT_FALSE(isFound(meant(net / 1.09), "box.volume", "left-brome"));
    EXPECT_TRUE(isFound(meant(net / 1.12), "box.volume", "left-brome"));
}

// A fact that no job tells makes rules that cannot fire: whoever declares one, has it found.
TEST(Facts, eachThatAJobTellsIsToldByOne) {
    // Told by takes of a whole cabinet: tests/core/study/align_test.cpp, WholeTake.
    const std::set<const findings::FactKind*> elsewhere{
        &fact::align::hole_db, &fact::align::hole_hz, &fact::align::wiring_change_db};
    std::set<const findings::FactKind*> told = elsewhere;
    for (const job::Job& job : {hall().job(),
                                demoJob(),
                                twins(30.0, 5.0, 0.5e-3),
                                tried(1.5, 20.0, 1.0),
                                readByMeter(5.5, 5.5),
                                gated(5e-3),
                                meant(0.04),
                                sealed(40.0)}) {
        for (const findings::Scope& scope : lookedAt(job).facts) {
            for (const auto& [name, fact] : scope.facts) {
                told.insert(fact.kind);
            }
        }
    }
    for (const findings::FactUse& use : findings::factUses()) {
        EXPECT_EQ(told.contains(use.kind), use.kind->origin == findings::Origin::job)
            << use.kind->name;
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
        EXPECT_EQ(findings::figureText({.rule = findings::findRule(row.rule).value(),
                                        .figure = row.figure,
                                        .threshold = row.threshold}),
                  row.text)
            << row.rule;
    }
    EXPECT_EQ(findings::subjectText(hall().job(), {.cabinet = "left", .other = "right"}),
              "Left and Right");
    EXPECT_EQ(findings::subjectText(hall().job(),
                                    {.cabinet = "right", .driver = "right-teasel", .part = "C3"}),
              "Right · C3");
}

} // namespace yf::test
