// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/curve/interpolate.h"
#include "core/edit/measurement.h"
#include "core/edit/new_job.h"
#include "core/evaluation/assemble.h"
#include "core/evaluation/evaluate.h"
#include "core/job/history.h"
#include "core/network/parts/part_words.h"
#include "core/study/first_value.h"
#include "core/study/start.h"
#include "core/text/sentence.h"
#include "tests/support/demo_job.h"

#include <gtest/gtest.h>

namespace yf::test {

namespace {

using job::History;
using job::Moved;
using network::PartKind;

constexpr const char* cabinet = "projection";

network::Part partOf(const job::Job& job, const std::string& id) {
    const auto part = network::findPart(job.cabinets.front().circuit, id);
    EXPECT_TRUE(part.has_value()) << id;
    return part.value_or(network::Part{});
}

std::size_t partCount(const job::Job& job) {
    return network::parts(job.cabinets.front().circuit).size();
}

} // namespace

TEST(Start, customaryCrossoversRiseOneForEachPairOfWays) {
    for (int ways = 2; ways <= 5; ++ways) {
        const auto fx = study::customaryCrossovers(ways);
        EXPECT_EQ(fx.size(), static_cast<std::size_t>(ways - 1));
        EXPECT_TRUE(std::ranges::is_sorted(fx, std::less_equal<>()));
        EXPECT_GE(fx.front(), 60.0);
        EXPECT_LE(fx.back(), 6000.0);
    }
    EXPECT_EQ(study::customaryCrossovers(1), study::customaryCrossovers(2));
    EXPECT_EQ(study::customaryCrossovers(9), study::customaryCrossovers(5));
}

TEST(Edits, everyEditIsNamedAndChangesOneThing) {
    const job::Job& before = demoJob();
    network::Part part = partOf(before, "R2");
    part.value = 5.6;

    struct {
        edit::Edit edit;
        const char* name;
    } const rows[] = {
        {edit::changePart(cabinet, part), "Change R2 to 5.6\u202FΩ"},
        {edit::removePart(cabinet, "C4"), "Take out C4"},
        {edit::insertPart(cabinet, {1, 0, true}, part), "Insert 5.6\u202FΩ in the line"},
        {study::insertNewPart(
             before, evaluation::assemble(before), cabinet, {0, 1, false}, PartKind::capacitor)
             .value(),
         "Insert a capacitor across the way"},
        {edit::reverseDriver(cabinet, 1, "Teasel 26"), "Reverse Teasel 26"},
        {edit::changeTitle("Other"), "Rename the job to Other"},
        {edit::changeTarget(cabinet, {.from = 100.0, .to = 15000.0, .tolerance = 1.5}),
         "Change the corridor"},
        {study::startNetwork(before, cabinet, {.order = 2, .fx = 3000.0}).value(),
         "Start second-order Linkwitz-Riley at 3\u202FkHz"},
        {edit::bypassPart(cabinet, "C5"), "Without C5"},
    };

    for (const auto& row : rows) {
        EXPECT_EQ(row.edit.name, row.name);
        const job::Job after = edited(before, row.edit);
        EXPECT_NE(after, before) << row.name;
        EXPECT_EQ(after.takes, before.takes) << row.name;
        EXPECT_FALSE(job::check(after).has_value()) << row.name;
        // Pure: the same again from the same job.
        EXPECT_EQ(edited(before, row.edit), after) << row.name;
    }
}

TEST(Edits, whatDoesNotExistIsRefusedByName) {
    struct {
        edit::Edit edit;
        const char* part;
    } const rows[] = {
        {edit::removePart(cabinet, "C99"), "C99"},
        {edit::removePart("attic", "C1"), "attic"},
        {edit::stepPart(cabinet, "C99", network::ESeries::E12, 1, ""), "C99"},
        {edit::reverseDriver(cabinet, 7, "x"), "way"},
        {edit::addTake("nobody", demoJob().takes.front()), "nobody"},
        {edit::trustTake("take-99", {10.0, 20.0}), "take-99"},
        {edit::changeTitle(""), "title"},
        {edit::changeTarget(cabinet, {.from = 500.0, .to = 400.0}), "to_hz"},
    };

    for (const auto& row : rows) {
        const auto result = row.edit.apply(demoJob());
        ASSERT_FALSE(result.ok()) << row.part;
        EXPECT_NE(text::sentence(result.error()).english().find(row.part), std::string::npos)
            << text::sentence(result.error());
    }
}

TEST(Edits, whatCannotBeComputedIsRefusedByName) {
    const evaluation::Assembly assembly = evaluation::assemble(demoJob());
    const auto insert = [&](network::SlotPlace place) {
        return study::insertNewPart(demoJob(), assembly, cabinet, place, PartKind::coil);
    };
    const auto start = [](const std::string& where, const study::Start& wanted) {
        return study::startNetwork(demoJob(), where, wanted);
    };

    struct {
        Result<edit::Edit> made;
        const char* part;
    } const rows[] = {
        {insert({5, 0, true}), "way 6"},
        {insert({0, 99, true}), "slot 100"},
        {start(cabinet, {.order = 3}), "order"},
        {start(cabinet, {.order = 2, .fx = 50000.0}), "Campion 165"},
        {start("attic", {}), "attic"},
    };

    for (const auto& row : rows) {
        ASSERT_FALSE(row.made.ok()) << row.part;
        EXPECT_NE(text::sentence(row.made.error()).english().find(row.part), std::string::npos)
            << text::sentence(row.made.error());
    }
}

TEST(Edits, aStepNamesTheValueThatItReached) {
    History history(demoJob());
    ASSERT_TRUE(
        edit::apply(history, edit::stepPart(cabinet, "R2", network::ESeries::E12, 1, "step R2"))
            .ok());
    EXPECT_EQ(history.step().name, "Change R2 to 4.7\u202FΩ");
    EXPECT_NEAR(partOf(history.job(), "R2").value, 4.7, 1e-12);
    ASSERT_TRUE(
        edit::apply(history, edit::stepPart(cabinet, "R2", network::ESeries::E12, 2, "step R2"))
            .ok());
    EXPECT_EQ(history.step().name, "Change R2 to 6.8\u202FΩ");
    EXPECT_EQ(history.position(), 1U);
    history.undo();
    EXPECT_EQ(history.job(), demoJob());
}

TEST(Edits, stepsEndWhereNetworksEnd) {
    job::Job job = demoJob();
    for (int i = 0; i < 400; ++i) {
        const auto next = edit::stepPart(cabinet, "R2", network::ESeries::E24, 1, "").apply(job);
        if (!next) {
            EXPECT_NE(text::sentence(next.error()).english().find("has to be typed"),
                      std::string::npos);
            EXPECT_NEAR(partOf(job, "R2").value, 200.0, 1e-9);
            return;
        }
        job = *next;
    }
    FAIL() << "never ended";
}

// docs/theory/network.md, "Coils": DCR ∝ L^0.6 for one wire; a capacitor's loss factor stays.
TEST(Edits, lossesFollowANewValue) {
    const network::Part coil = network::withValue(
        {.id = "L1", .kind = PartKind::coil, .value = 1e-3, .dcr = 0.4, .price = 9.0}, 2e-3);
    EXPECT_NEAR(coil.dcr, 0.4 * std::pow(2.0, 0.6), 1e-12);
    EXPECT_FALSE(coil.price.has_value());
    const network::Part capacitor = network::withValue(
        {.id = "C1", .kind = PartKind::capacitor, .value = 4e-6, .esr = 0.1}, 8e-6);
    EXPECT_NEAR(capacitor.esr, 0.05, 1e-12);
    const network::Part same{
        .id = "C1", .kind = PartKind::capacitor, .value = 4e-6, .esr = 0.1, .price = 3.0};
    EXPECT_EQ(network::withValue(same, 4e-6), same);
}

TEST(Edits, typedNotation) {
    const network::Part coil{
        .id = "L1", .kind = PartKind::coil, .value = 1e-3, .dcr = 0.4, .price = 9.0};

    struct {
        const char* text;
        double value;
        double dcr;
    } const rows[] = {{"2", 2e-3, 0.4 * std::pow(2.0, 0.6)},
                      {"0,5 mH dcr=0.2", 0.5e-3, 0.2},
                      {"dcr=0,3", 1e-3, 0.3},
                      {"470uH dcr=150m", 0.47e-3, 0.15},
                      {"1m5 dcr=0R5", 1.5e-3, 0.5}};

    for (const auto& row : rows) {
        const auto part = network::typedPart(coil, row.text);
        ASSERT_TRUE(part.ok()) << row.text << " " << text::sentence(part.error());
        EXPECT_NEAR(part->value / row.value, 1.0, 1e-12) << row.text;
        EXPECT_NEAR(part->dcr, row.dcr, 1e-12) << row.text;
    }
    for (const char* const wrong : {"",
                                    "0",
                                    "-1",
                                    "abc",
                                    "4.7 uF",
                                    "1 dcr",
                                    "1 esr=0.1",
                                    "1 dcr=x",
                                    "1 dcr=-1",
                                    "1e30",
                                    "1 2"}) {
        const auto part = network::typedPart(coil, wrong);
        ASSERT_FALSE(part.ok()) << wrong;
        EXPECT_EQ(part.error().subject, "L1") << wrong;
    }
    EXPECT_EQ(network::typedPart(coil, "1 mH")->price,
              coil.price); // unchanged value, unchanged price
}

TEST(Edits, absurdValuesAreQuestioned) {
    struct {
        PartKind kind;
        double value;
        bool questioned;
    } const rows[] = {{PartKind::capacitor, 47e-3, true},
                      {PartKind::capacitor, 47e-6, false},
                      {PartKind::capacitor, 1e-12, true},
                      {PartKind::coil, 1.0, true},
                      {PartKind::coil, 1e-3, false},
                      {PartKind::resistor, 1e6, true},
                      {PartKind::resistor, 0.01, true},
                      {PartKind::resistor, 8.2, false}};

    for (const auto& row : rows) {
        EXPECT_EQ(
            network::questionAbout({.id = "X", .kind = row.kind, .value = row.value}).has_value(),
            row.questioned)
            << row.value;
    }
}

TEST(Edits, partsKeepTheirWayOfWriting) {
    EXPECT_EQ(network::valueText(PartKind::coil, 0.35e-3), "0.35\u202FmH");
    EXPECT_EQ(network::valueText(PartKind::capacitor, 0.47e-6), "0.47\u202FµF");
    EXPECT_EQ(network::valueText(PartKind::resistor, 2200.0), "2.2\u202FkΩ");
    EXPECT_EQ(network::valueText(PartKind::capacitor, 1e-12), "1\u202FpF");
}

// A new part is seen but upsets nothing: 0.1 dB, or the next smaller value of the series would not
// have been seen.
TEST(FirstValue, isTheSmallestThatIsNoticed) {
    const auto sumChange = [](const job::Job& a, const job::Job& b) {
        const auto before = evaluation::evaluate(a).cabinets.front();
        const auto after = evaluation::evaluate(b).cabinets.front();
        double largest = 0.0;
        for (std::size_t k = 0; k < before.axis.size(); ++k) {
            if (before.axis[k] >= 20.0 && before.axis[k] <= 20000.0) {
                largest =
                    std::max(largest, std::abs(quantity::decibels(after.sum[k] / before.sum[k])));
            }
        }
        return largest;
    };
    for (const PartKind kind : {PartKind::resistor, PartKind::coil, PartKind::capacitor}) {
        for (const bool inLine : {true, false}) {
            const network::SlotPlace place{1, 2, inLine};
            const auto value =
                study::firstValue(demoJob(), evaluation::assemble(demoJob()), cabinet, place, kind);
            ASSERT_TRUE(value.ok());
            network::Part part{.id = "", .kind = kind, .value = *value};
            EXPECT_GE(
                sumChange(demoJob(), edited(demoJob(), edit::insertPart(cabinet, place, part))),
                0.1);
            const bool largeIsNeutral = inLine == (kind == PartKind::capacitor);
            part.value = network::stepValue(*value, network::ESeries::E6, largeIsNeutral ? 1 : -1);
            const network::ValueRange usual = network::usualValues(kind);
            if (part.value >= usual.lowest && part.value <= usual.highest) {
                EXPECT_LT(
                    sumChange(demoJob(), edited(demoJob(), edit::insertPart(cabinet, place, part))),
                    0.1);
            }
        }
    }
}

TEST(FirstValue, worksBeforeAnythingIsMeasured) {
    const job::Job job =
        edit::newJob({.title = "New", .cabinet = "Cabinet", .ways = edit::customaryWays(2)})
            .value();
    const auto value =
        study::firstValue(job, evaluation::assemble(job), "cabinet", {0, 0, true}, PartKind::coil);
    ASSERT_TRUE(value.ok());
    EXPECT_GT(*value, 0.0);
}

TEST(History, undoAndRedoAreTheJobsThemselves) {
    History history(demoJob());
    std::vector<job::Job> states{history.job()};
    for (const char* const id : {"R3", "R2", "C4", "L3"}) {
        ASSERT_EQ(edit::apply(history, edit::removePart(cabinet, id)).value(), Moved::appended);
        states.push_back(history.job());
    }
    for (std::size_t k = states.size(); k-- > 1;) {
        EXPECT_EQ(history.job(), states[k]);
        EXPECT_TRUE(history.canUndo());
        history.undo();
    }
    EXPECT_EQ(history.job(), states.front());
    EXPECT_FALSE(history.canUndo());
    EXPECT_EQ(history.redoName(), "Take out R3");
    history.redo();
    history.redo();
    EXPECT_EQ(history.job(), states[2]);
    EXPECT_EQ(history.undoName(), "Take out R2");
    // A new edit ends what could have been redone.
    ASSERT_TRUE(edit::apply(history, edit::removePart(cabinet, "C3")).ok());
    EXPECT_FALSE(history.canRedo());
    EXPECT_EQ(partCount(history.job()), partCount(demoJob()) - 3);
}

TEST(History, aGestureIsOneStep) {
    History history(demoJob());
    for (int i = 0; i < 5; ++i) {
        ASSERT_TRUE(
            edit::apply(history, edit::stepPart(cabinet, "C3", network::ESeries::E12, 1, "step C3"))
                .ok());
    }
    EXPECT_EQ(history.position(), 1U);
    history.endGesture();
    ASSERT_TRUE(
        edit::apply(history, edit::stepPart(cabinet, "C3", network::ESeries::E12, 1, "step C3"))
            .ok());
    EXPECT_EQ(history.position(), 2U);
    history.undo();
    // After an undo a gesture does not melt into the step that it follows.
    EXPECT_EQ(
        edit::apply(history, edit::stepPart(cabinet, "C3", network::ESeries::E12, -1, "step C3"))
            .value(),
        Moved::appended);
}

TEST(History, aRefusedEditChangesNothing) {
    History history(demoJob());
    ASSERT_FALSE(edit::apply(history, edit::removePart(cabinet, "Z9")).ok());
    EXPECT_EQ(history.position(), 0U);
    EXPECT_EQ(history.steps().size(), 1U);
}

TEST(Start, isComputedForTheDriversRealImpedance) {
    const auto loads = study::bookLoads(demoJob(), demoCabinet(), {.fx = 2500.0});
    ASSERT_TRUE(loads.ok());
    const auto started = study::startedNetwork(
        demoJob(),
        demoCabinet(),
        {.alignment = network::Alignment::butterworth, .order = 1, .fx = 2500.0});
    ASSERT_TRUE(started.ok());
    const auto parts = network::parts(*started);
    ASSERT_EQ(parts.size(), 2U);
    // First order: L = R/ω, C = 1/(Rω).
    const double omega = 2.0 * 3.14159265358979 * 2500.0;
    EXPECT_NEAR(parts[0].value, (*loads)[0] / omega, 1e-9);
    EXPECT_NEAR(parts[1].value, 1.0 / ((*loads)[1] * omega), 1e-12);
    EXPECT_EQ(started->source, demoCabinet().circuit.source);
}

TEST(Start, everyChoiceGivesANetworkThatCanBeSolved) {
    for (const auto alignment : {network::Alignment::butterworth,
                                 network::Alignment::linkwitzRiley,
                                 network::Alignment::bessel,
                                 network::Alignment::chebyshev}) {
        for (int order = 1; order <= 4; ++order) {
            for (const bool extras : {false, true}) {
                const study::Start start{.alignment = alignment,
                                         .order = order,
                                         .fx = 2200.0,
                                         .flattenImpedance = extras,
                                         .padLevels = extras};
                const auto made = study::startNetwork(demoJob(), cabinet, start);
                if (alignment == network::Alignment::linkwitzRiley && order % 2 != 0) {
                    EXPECT_FALSE(made.ok());
                    continue;
                }
                ASSERT_TRUE(made.ok()) << text::sentence(made.error());
                const job::Job result = edited(demoJob(), *made);
                const auto evaluation = evaluation::evaluate(result);
                const auto& shown = evaluation.cabinets.front();
                ASSERT_FALSE(shown.sum.empty());
                EXPECT_GE(shown.parts, static_cast<std::size_t>(2 * order));
                if (extras) {
                    // The pad is in the louder way: the tweeter's, 3.4 dB above the woofer.
                    EXPECT_GE(partCount(result), static_cast<std::size_t>(2 * order + 2));
                }
            }
        }
    }
}

// Three ways: the outer ones are the book's for |Z| at their crossovers, the middle one is a
// band-pass at the middle of both; a way is turned over by the rule (order 2), and frequencies must
// rise.
TEST(Start, threeWaysAreTheBooksForEachDriver) {
    const job::Job& job = hallJob();
    const job::Cabinet& left = *job::findCabinet(job, "left");
    const study::Start start{.order = 2, .fx = 450.0, .upper = {3000.0}};
    const auto loads = study::bookLoads(job, left, start);
    ASSERT_TRUE(loads.ok());
    ASSERT_EQ(loads->size(), 3U);
    const auto started = study::startedNetwork(job, left, start);
    ASSERT_TRUE(started.ok());
    const auto ends = network::driverEnds(*started);
    EXPECT_EQ(ends[0].polarity, 1);
    EXPECT_EQ(ends[1].polarity, -1);
    EXPECT_EQ(ends[2].polarity, 1);
    // Linkwitz-Riley of second order: L = R/(π fx), C = 1/(4π R fx).
    const double pi = 3.14159265358979;
    EXPECT_NEAR(network::findPart(*started, "L1")->value, (*loads)[0] / (pi * 450.0), 1e-9);
    EXPECT_NEAR(
        network::findPart(*started, "C1")->value, 1.0 / (4.0 * pi * (*loads)[0] * 450.0), 1e-11);
    const auto all = network::parts(*started);
    ASSERT_EQ(all.size(), 8U);
    EXPECT_NEAR(all[6].value, 1.0 / (4.0 * pi * (*loads)[2] * 3000.0), 1e-11);
    EXPECT_NEAR(all[7].value, (*loads)[2] / (pi * 3000.0), 1e-9);
    EXPECT_TRUE(study::startedNetwork(
                    job, left, {.order = 2, .fx = 450.0, .upper = {3000.0}, .padLevels = true})
                    .ok());
    for (const std::vector<double>& wrong : {std::vector<double>{}, {400.0}, {900.0, 3000.0}}) {
        const auto refused = study::startedNetwork(job, left, {.fx = 450.0, .upper = wrong});
        ASSERT_FALSE(refused.ok());
        EXPECT_EQ(refused.error().subject, "upper");
    }
}

// First order in series: the drivers' voltages add up to the source whatever they are (exact,
// docs/theory/network.md), and only Butterworth's follow the book.
TEST(Start, inSeriesTheDriversShareTheVoltage) {
    const study::Start start{.alignment = network::Alignment::butterworth,
                             .order = 1,
                             .fx = 2500.0,
                             .plan = study::Plan::series};
    const auto started = study::startedNetwork(demoJob(), demoCabinet(), start);
    ASSERT_TRUE(started.ok());
    EXPECT_EQ(std::get<network::Ways>(started->tree()->end).join, network::Joining::series);
    const auto loads = study::bookLoads(demoJob(), demoCabinet(), start);
    const double omega = 2.0 * 3.14159265358979 * 2500.0;
    EXPECT_NEAR(network::findPart(*started, "C1")->value, 1.0 / ((*loads)[0] * omega), 1e-12);
    EXPECT_NEAR(network::findPart(*started, "L1")->value, (*loads)[1] / omega, 1e-9);
    network::Circuit bare = *started;
    bare.source.resistance = 0.0;
    for (network::Section& way : std::get<network::Ways>(bare.tree()->end).sections) {
        std::get<network::DriverEnd>(way.end).polarity = 1;
    }
    const auto solution =
        network::solve(bare, *evaluation::assemble(demoJob()).cabinets.front()->loads);
    ASSERT_TRUE(solution.ok());
    for (std::size_t k = 0; k < solution->impedances.size(); ++k) {
        ASSERT_NEAR(std::abs(solution->drives[0][k] + solution->drives[1][k]), 1.0, 1e-12);
    }
    EXPECT_FALSE(
        study::startedNetwork(demoJob(), demoCabinet(), {.order = 4, .plan = study::Plan::series})
            .ok());
    EXPECT_FALSE(study::startedNetwork(hallJob(),
                                       *job::findCabinet(hallJob(), "left"),
                                       {.alignment = network::Alignment::butterworth,
                                        .order = 1,
                                        .fx = 400.0,
                                        .upper = {3000.0},
                                        .plan = study::Plan::series})
                     .ok());
}

// The pad's attenuation is what the drivers' mean levels over the octave on each one's side of fx
// differ by; formed anew here from the takes, and read back from the two resistors.
TEST(Start, levelPadTakesOffTheDifferenceOfTheDrivers) {
    const double fx = 2500.0;
    const auto mean = [](const job::Take& take, double from, double to) {
        const curve::Axis axis = curve::within(curve::designAxis(), from, to);
        double sum = 0.0;
        const auto pressures = curve::interpolate(*take.curve, axis);
        for (const auto& p : *pressures) {
            sum += quantity::decibels(p);
        }
        return sum / static_cast<double>(axis.size());
    };
    const job::Take& woofer =
        *job::takeInUse(demoJob(), demoJob().drivers[0], job::TakeKind::response);
    const job::Take& tweeter =
        *job::takeInUse(demoJob(), demoJob().drivers[1], job::TakeKind::response);
    const double surplus = mean(tweeter, fx, 2.0 * fx) - mean(woofer, fx / 2.0, fx);
    const auto started =
        study::startedNetwork(demoJob(), demoCabinet(), {.order = 4, .fx = fx, .padLevels = true});
    ASSERT_TRUE(started.ok());
    const double R2 = network::findPart(*started, "R1")->value;
    const double R3 = network::findPart(*started, "R2")->value;
    // Seen R = R2 + (R3 ∥ R) solved for R; k = 1 − R2/R.
    const double R = (R2 + std::sqrt(R2 * R2 + 4.0 * R2 * R3)) / 2.0;
    EXPECT_NEAR(-quantity::decibels(1.0 - R2 / R), surplus, 1e-9);
    EXPECT_NEAR(R, study::bookLoads(demoJob(), demoCabinet(), {.fx = fx})->back(), 1e-9);
    EXPECT_GT(surplus, 2.0);
}

} // namespace yf::test
