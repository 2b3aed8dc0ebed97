// SPDX-License-Identifier: GPL-3.0-or-later
// What a lane is offered, against what the circuit then does.
#include "core/evaluation/assemble.h"
#include "core/network/design/pad.h"
#include "core/network/solve/solve.h"
#include "core/quantity/level.h"
#include "core/study/helpers.h"
#include "tests/support/demo_job.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <cmath>

namespace yf::test {

namespace {

using Kind = study::Helper::Kind;

struct Lanes {
    job::Job job = hallJob();
    evaluation::Assembly assembly = evaluation::assemble(job);
    evaluation::Evaluation evaluation = evaluation::evaluate(job, assembly);

    [[nodiscard]] const job::Cabinet& left() const { return *job::findCabinet(job, "left"); }

    [[nodiscard]] std::vector<study::Helper> of(std::size_t way,
                                                std::optional<double> marked = {}) const {
        return study::helpersFor(job, left(), assembly, evaluation, way, marked);
    }

    [[nodiscard]] const study::Helper* find(const std::vector<study::Helper>& all,
                                            Kind kind) const {
        const auto found = std::ranges::find(all, kind, &study::Helper::kind);
        return found == all.end() ? nullptr : &*found;
    }

    /// The drivers' curves in the cabinet.
    [[nodiscard]] const network::Load& load(std::size_t way) const {
        const auto& loads = assembly.cabinets.front()->loads->loads();
        return loads.drivers[*loads.find(network::driverEnds(left().circuit)[way].driver)];
    }

    [[nodiscard]] const curve::Axis& axis() const { return assembly.cabinets.front()->axis; }

    [[nodiscard]] job::Job with(std::size_t way, std::size_t slot, const study::Helper& h) const {
        return edited(job, study::addHelper("left", {way, slot, true}, h));
    }
};

} // namespace

// The tweeter's coil: with the two parts across it |Z| stays within 1.5 dB of its least value.
TEST(Helpers, flattenMakesTheImpedanceFlat) {
    const Lanes lanes;
    for (std::size_t way = 0; way < 3; ++way) {
        const auto all = lanes.of(way);
        const study::Helper* flatten = lanes.find(all, Kind::flatten);
        if (flatten == nullptr) {
            continue;
        }
        network::Circuit circuit;
        circuit.body = network::Section{
            .ladder = flatten->slots, .end = network::DriverEnd{.driver = lanes.load(way).driver}};
        const auto solution = network::solve(circuit, *lanes.assembly.cabinets.front()->loads);
        ASSERT_TRUE(solution.ok());
        double before = 0.0;
        double after = 0.0;
        const auto at = [&](double f) {
            return static_cast<std::size_t>(std::ranges::lower_bound(lanes.axis(), f) -
                                            lanes.axis().begin());
        };
        const double least = std::abs(lanes.load(way).impedance[at(flatten->frequency)]);
        for (std::size_t k = at(flatten->frequency); k < lanes.axis().size(); ++k) {
            before = std::max(before,
                              std::abs(quantity::decibels(lanes.load(way).impedance[k] / least)));
            after = std::max(after, std::abs(quantity::decibels(solution->impedances[k] / least)));
        }
        EXPECT_LT(after, 0.5 * before) << way;
    }
    EXPECT_NE(lanes.find(lanes.of(0), Kind::flatten), nullptr);
}

// The trap's own level at its resonance takes the driver's peak of |Z| away: what is left there is
// nearer to Re than half of what stood above it.
TEST(Helpers, theTrapAtTheResonanceTakesThePeakOfTheImpedanceAway) {
    const Lanes lanes;
    const auto all = lanes.of(2);
    const study::Helper* trap = lanes.find(all, Kind::resonance);
    ASSERT_NE(trap, nullptr);
    network::Circuit circuit;
    circuit.body = network::Section{.ladder = trap->slots,
                                    .end = network::DriverEnd{.driver = lanes.load(2).driver}};
    const auto solution = network::solve(circuit, *lanes.assembly.cabinets.front()->loads);
    const auto k = static_cast<std::size_t>(
        std::ranges::lower_bound(lanes.axis(), trap->frequency) - lanes.axis().begin());
    const double Re = lanes.assembly.readings.at(lanes.load(2).driver).Re;
    const double bare = std::abs(lanes.load(2).impedance[k]);
    EXPECT_GT(bare, 1.3 * Re);
    EXPECT_LT(std::abs(solution->impedances[k]) - Re, 0.5 * (bare - Re));
}

// A peak made on purpose: 5 dB at 1.2 kHz. It is found from a crosshair beside it and taken away.
TEST(Helpers, aMarkedPeakIsTakenAway) {
    Lanes lanes;
    const auto ends = network::driverEnds(lanes.left().circuit);
    job::Driver& mid = *std::ranges::find(lanes.job.drivers, ends[1].driver, &job::Driver::id);
    job::Take& take = *std::ranges::find(lanes.job.takes, mid.responseTake, &job::Take::id);
    std::vector<curve::Complex> p = take.curve->values();
    const double f0 = 1200.0;
    const double Q = 4.0;
    const double g = std::pow(10.0, 5.0 / 20.0);
    for (std::size_t k = 0; k < p.size(); ++k) {
        const double f = take.curve->frequencies()[k];
        const double x = f / f0 - f0 / f;
        p[k] *= curve::Complex(g / Q, x) / curve::Complex(1.0 / Q, x);
    }
    take.curve = std::make_shared<const curve::Curve>(
        take.curve->frequencies(), std::move(p), take.curve->phase());
    lanes.assembly = evaluation::assemble(lanes.job);
    lanes.evaluation = evaluation::evaluate(lanes.job, lanes.assembly);
    EXPECT_EQ(lanes.find(lanes.of(1), Kind::peak), nullptr); // nothing marked
    const auto all = lanes.of(1, 1100.0);
    const study::Helper* trap = lanes.find(all, Kind::peak);
    ASSERT_NE(trap, nullptr);
    EXPECT_NEAR(trap->frequency, f0, 60.0);
    EXPECT_NEAR(trap->dB, 5.0, 1.5);
    // Into the driver alone: the drive at the top falls by about its height.
    network::Circuit circuit;
    circuit.body = network::Section{.ladder = trap->slots,
                                    .end = network::DriverEnd{.driver = lanes.load(1).driver}};
    const auto solution = network::solve(circuit, *lanes.assembly.cabinets.front()->loads);
    const auto k =
        static_cast<std::size_t>(std::ranges::lower_bound(lanes.axis(), f0) - lanes.axis().begin());
    EXPECT_NEAR(quantity::decibels(solution->drives[0][k]), -trap->dB, 0.7);
}

TEST(Helpers, thePadBringsTheWayDownAndAllAreUndoableEdits) {
    const Lanes lanes;
    bool padded = false;
    for (std::size_t way = 0; way < 3; ++way) {
        for (const study::Helper& helper : lanes.of(way, 3000.0)) {
            const job::Job after = lanes.with(way, 0, helper);
            const auto before = network::parts(lanes.left().circuit).size();
            const auto parts = network::parts(job::findCabinet(after, "left")->circuit);
            EXPECT_GT(parts.size(), before + 1);
            for (const network::Part& part : parts) {
                EXPECT_GT(part.id.size(), 1U); // numbered
            }
            if (helper.kind == Kind::pad) {
                padded = true;
                const double R = std::get<network::SeriesSlot>(helper.slots[0]).port.part()->value;
                const double S = std::get<network::ShuntSlot>(helper.slots[1]).port.part()->value;
                // Seen R_L: series R(1−k), shunt R·k/(1−k).
                const double load = (R + std::sqrt(R * R + 4.0 * R * S)) / 2.0;
                EXPECT_NEAR(-quantity::decibels(1.0 - R / load), helper.dB, 1e-6);
                const network::Section* lane =
                    network::waySection(job::findCabinet(after, "left")->circuit, way);
                EXPECT_TRUE(std::holds_alternative<network::ShuntSlot>(lane->ladder.back()));
            }
        }
    }
    EXPECT_TRUE(padded);
    EXPECT_NE(lanes.find(lanes.of(0), Kind::step), nullptr);
    EXPECT_EQ(lanes.find(lanes.of(1), Kind::step), nullptr);
    EXPECT_TRUE(
        study::helpersFor(lanes.job, lanes.left(), evaluation::Assembly{}, lanes.evaluation, 0, {})
            .empty());
}

} // namespace yf::test
