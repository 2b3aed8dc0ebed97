// SPDX-License-Identifier: GPL-3.0-or-later
// The network as things: windings against the table of Brooks coils, sums, tolerances, and what a
// snapshot of an edit is.
#include "core/edit/network.h"
#include "core/evaluation/assemble.h"
#include "core/job/record.h"
#include "core/network/judge/tolerance.h"
#include "core/network/parts/coil.h"
#include "core/network/solve/solve.h"
#include "core/quantity/level.h"
#include "core/study/find.h"
#include "core/study/parts.h"
#include "tests/support/demo_job.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <cmath>

namespace yf::test {

namespace {

network::Part coil(double henry, double dcr) {
    network::Part part;
    part.id = "L1";
    part.kind = network::PartKind::coil;
    part.value = henry;
    part.dcr = dcr;
    return part;
}

struct Study {
    job::Job job = hallJob();
    evaluation::Assembly assembly = evaluation::assemble(job);

    [[nodiscard]] Result<study::PartsStudy> of(double volts, int runs = 0) const {
        return study::partsStudy(
            job, *job::findCabinet(job, "left"), assembly, volts, network::ESeries::E12, runs);
    }
};

} // namespace

// docs/theory/network.md, table of Brooks coils: inductance, bare wire, DCR, outside diameter.
TEST(Parts, theWireFollowsFromInductanceAndResistance) {
    const struct {
        double L, wire, dcr, outside;
    } table[] = {{1e-3, 1.0e-3, 0.48, 0.055},
                 {3.3e-3, 1.4e-3, 0.58, 0.092},
                 {10e-3, 2.0e-3, 0.63, 0.153},
                 {0.33e-3, 0.71e-3, 0.43, 0.034}};

    for (const auto& row : table) {
        const auto made = study::coilMadeFor(coil(row.L, row.dcr));
        ASSERT_TRUE(made.has_value());
        EXPECT_NEAR(made->wire, row.wire, 0.02 * row.wire);
        EXPECT_NEAR(made->diameter, row.outside, 0.02 * row.outside);
        // And the wire gives that resistance again.
        const auto again =
            network::coil({.L = row.L, .wire = made->wire, .insulated = 1.07 * made->wire});
        EXPECT_NEAR(again->dcr, row.dcr, 1e-3 * row.dcr);
    }
    EXPECT_FALSE(study::coilMadeFor(coil(1e-3, 0.0)).has_value());
    EXPECT_FALSE(study::coilMadeFor(coil(1e-3, 60.0)).has_value()); // thinner than any wire
    network::Part other = coil(1e-3, 0.5);
    other.kind = network::PartKind::capacitor;
    EXPECT_FALSE(study::coilMadeFor(other).has_value());
}

TEST(Parts, sumsHeatAndWhatIsOffTheSeries) {
    Study study;
    const auto low = study.of(10.0);
    const auto high = study.of(20.0);
    ASSERT_TRUE(low.ok() && high.ok());
    double price = 0.0;
    for (std::size_t i = 0; i < low->parts.size(); ++i) {
        const study::StudiedPart& part = low->parts[i];
        price += part.listed.price;
        EXPECT_NEAR(
            high->parts[i].listed.watts, 4.0 * part.listed.watts, 1e-9 * part.listed.watts + 1e-15);
        const double off =
            std::abs(network::nearestValue(part.listed.part.value, network::ESeries::E12) /
                         part.listed.part.value -
                     1.0);
        EXPECT_EQ(part.pair.has_value(), off >= 0.01) << part.listed.part.id;
        EXPECT_FALSE(part.listed.way.empty());
    }
    EXPECT_NEAR(low->price, price, 1e-9);
    // Two parts for a value between the series'.
    job::Job odd = study.job;
    job::Cabinet& left = *std::ranges::find(odd.cabinets, "left", &job::Cabinet::id);
    left.circuit = *network::withPart(
        left.circuit, network::withValue(*network::findPart(left.circuit, "C3"), 7.03e-6));
    const auto changed =
        study::partsStudy(odd, left, evaluation::assemble(odd), 10.0, network::ESeries::E12, 0);
    const auto c3 = std::ranges::find_if(
        changed->parts, [](const study::StudiedPart& p) { return p.listed.part.id == "C3"; });
    ASSERT_TRUE(c3->pair.has_value());
    EXPECT_NEAR(c3->pair->value, 7.02e-6, 0.02e-6); // 6.8 and 0.22, exhaustive (docs/theory)
}

// First order against the network itself: every part at the end of its tolerance that raises the
// level at one frequency moves it by about what the band says there.
TEST(Parts, theBandIsWhatAllPartsTogetherCanDo) {
    Study study;
    const auto made = study.of(10.0, 200);
    ASSERT_TRUE(made.ok());
    EXPECT_FALSE(made->heard.has_value());
    ASSERT_TRUE(made->yield.has_value());
    EXPECT_GE(*made->yield, 0.5);
    EXPECT_LE(*made->yield, 1.0);
    EXPECT_EQ(made->causes.size(), 3U);
    const auto& curves = *study.assembly.cabinets.front();
    ASSERT_EQ(made->band.size(), curves.axis.size());
    const network::Circuit& circuit = job::findCabinet(study.job, "left")->circuit;
    const auto level = [&](const network::Circuit& c, std::size_t k) {
        const auto solution = *network::solve(c, *curves.loads);
        const auto p = *network::pressures(c, curves.loads->loads(), solution);
        return quantity::decibels(std::abs(p.sum[k]));
    };
    for (const double f : {150.0, 800.0, 6000.0}) {
        const auto k = static_cast<std::size_t>(std::ranges::lower_bound(curves.axis, f) -
                                                curves.axis.begin());
        const double before = level(circuit, k);
        network::Circuit worst = circuit;
        for (const network::Part& part : network::parts(circuit)) {
            const double allowed = network::Tolerances{}.of(part);
            network::Part up = part;
            up.value *= 1.0 + allowed;
            network::Part down = part;
            down.value *= 1.0 - allowed;
            const double more = level(*network::withPart(circuit, up), k);
            const double less = level(*network::withPart(circuit, down), k);
            worst = *network::withPart(worst, more > less ? up : down);
        }
        EXPECT_NEAR(level(worst, k) - before, made->band[k], 0.25 * made->band[k] + 0.05) << f;
    }
    double most = 0.0;
    for (const study::StudiedPart& part : made->parts) {
        most = std::max(most, part.atWorst);
    }
    EXPECT_LE(most, made->worst);
}

TEST(Parts, saysWhatIsMissing) {
    Study study;
    for (job::Driver& driver : study.job.drivers) {
        driver.impedanceTake.clear();
    }
    study.assembly = evaluation::assemble(study.job);
    const auto made = study.of(10.0);
    ASSERT_FALSE(made.ok());
    EXPECT_EQ(made.error().subject, "cabinet");
    EXPECT_FALSE(made.error().given.empty());
    Study silent;
    for (job::Driver& driver : silent.job.drivers) {
        driver.responseTake.clear();
    }
    silent.assembly = evaluation::assemble(silent.job);
    const auto heat = silent.of(10.0);
    ASSERT_TRUE(heat.ok());
    EXPECT_TRUE(heat->heard.has_value());
    EXPECT_FALSE(heat->yield.has_value());
}

TEST(Parts, aPriceListIsTheJobsOwn) {
    network::Prices dear;
    dear.coil = 20.0;
    Study study;
    const double before = study.of(10.0)->price;
    study.job = edited(study.job, edit::changePrices(dear));
    const study::PartsStudy after = *study.of(10.0);
    int coils = 0;
    for (const study::StudiedPart& part : after.parts) {
        coils +=
            part.listed.part.kind == network::PartKind::coil && !part.listed.part.price ? 1 : 0;
    }
    EXPECT_GT(coils, 0);
    EXPECT_NEAR(after.price, before + 18.0 * coils, 1e-9);
    const auto prices = text::read<network::Prices>(text::write(dear), "prices");
    ASSERT_TRUE(prices.ok());
    EXPECT_EQ(*prices, dear);
}

// Named without being done: the present, its undo and its gesture are as they were.
TEST(Record, aSnapshotOfAnEditLeavesThePresent) {
    job::Record record = hallRecord();
    const job::Job before = record.job();
    const std::size_t position = record.history.position();
    const edit::Edit edit = edit::reverseDriver("left", 2, "Teasel 26");
    const auto change = edit::takeSnapshotAfter(record, "turned", edit, "2026-03-14T10:00:00");
    ASSERT_TRUE(change.ok());
    EXPECT_EQ(record.job(), before);
    EXPECT_EQ(record.history.position(), position);
    const job::Snapshot* kept = record.findSnapshot("turned");
    ASSERT_NE(kept, nullptr);
    EXPECT_EQ(kept->job, edited(before, edit));
    EXPECT_FALSE(edit::takeSnapshotAfter(record, "turned", edit, "").ok()); // stands already
    EXPECT_FALSE(edit::takeSnapshotAfter(record, "", edit, "").ok());
    EXPECT_FALSE(
        edit::takeSnapshotAfter(record, "nobody's", edit::keepFront("nobody", {}), "").ok());
    EXPECT_EQ(record.findSnapshot("nobody's"), nullptr);
}

} // namespace yf::test
