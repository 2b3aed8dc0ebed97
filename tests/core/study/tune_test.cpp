// SPDX-License-Identifier: GPL-3.0-or-later
// The demo's cabinets tuned: what is promised of the as-received network, and that limits hold.
#include "core/edit/network.h"
#include "core/edit/parts.h"
#include "core/evaluation/assemble.h"
#include "core/evaluation/usable_band.h"
#include "core/network/circuit/line_edit.h"
#include "core/network/line/prototype.h"
#include "core/quantity/level.h"
#include "core/speaker/crossover.h"
#include "core/study/align.h"
#include "core/study/tune.h"
#include "tests/support/demo_job.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <cmath>

namespace yf::test {

namespace {

job::Job after(const job::Job& job, const edit::Edit& edit) {
    auto changed = edit.apply(job);
    EXPECT_TRUE(changed.ok());
    return changed ? *changed : job;
}

/// The tweeter as it should be.
job::Job turned() {
    return after(hallJob(), edit::reverseDriver("left", 2, "Teasel 26"));
}

struct Outcome {
    job::Job job;
    study::Tuned tuned;
    evaluation::CabinetResult result;
};

Outcome run(const job::Job& job, const study::TuneWish& wish) {
    const evaluation::Assembly assembly = evaluation::assemble(job);
    const job::Cabinet& cabinet = *job::findCabinet(job, "left");
    auto problem = study::tuneProblem(job, cabinet, assembly, wish);
    EXPECT_TRUE(problem.ok());
    Outcome r{.tuned = study::tuneCabinet(*problem, wish, {})};
    r.job = after(job, edit::takeTuned("left", r.tuned.found.circuit, r.tuned.leftOut));
    r.result = *evaluation::evaluate(r.job, assembly).find("left");
    return r;
}

} // namespace

TEST(JobTune, theDemoBecomesFlatWithinItsLimits) {
    // As received, with its reversed tweeter.
    const evaluation::CabinetResult before = *evaluation::evaluate(hallJob()).find("left");
    const Outcome r = run(hallJob(), {});
    EXPECT_TRUE(r.tuned.found.allowed);
    EXPECT_GT(before.corridor->deviation, 8.0);
    EXPECT_LT(r.result.corridor->deviation, 1.5);
    // The woofer hands over before it beams, the tweeter starts above its resonance: what each gets
    // beyond its band is no more than the rule, or than it got before.
    const auto assembly = evaluation::assemble(hallJob());
    for (std::size_t q = 0; q < 3; ++q) {
        const auto& way = r.result.ways[q];
        const auto& old = before.ways[q];
        const auto band = evaluation::usableBandOf(hallJob(),
                                                   *job::findDriver(hallJob(), way.driver),
                                                   assembly.readings.at(way.driver).resonance->fs);
        ASSERT_TRUE(band.has_value());
        for (std::size_t k = 0; k < r.result.axis.size(); ++k) {
            const double f = r.result.axis[k];
            const double drive = quantity::decibels(std::abs(way.drive[k]));
            const double then = quantity::decibels(std::abs(old.drive[k]));
            constexpr double slack = 0.05;
            if (q < 2 && f > band->band.high) {
                EXPECT_LE(drive,
                          std::max(then, -6.0 - 12.0 * std::log2(f / band->band.high)) + slack);
            }
            if (band->band.low && f < *band->band.low) {
                EXPECT_LE(drive,
                          std::max(then, -6.0 + 12.0 * std::log2(f / *band->band.low)) + slack);
            }
        }
    }
}

TEST(JobTune, boughtValuesStayWithin) {
    const Outcome r = run(turned(), {.values = {.series = network::ESeries::E12}});
    EXPECT_TRUE(r.tuned.found.allowed);
    EXPECT_LT(r.result.corridor->deviation, 1.5);
    // ±5 % of coils and resistors, ±10 % of capacitors.
    EXPECT_GT(r.tuned.partsOff, 0.5);
    EXPECT_LT(r.tuned.partsOff, 6.0);
    EXPECT_GE(r.result.leastImpedance->ohms, 3.2 * 0.999);
    for (const network::Part& part : network::parts(r.tuned.found.circuit)) {
        const auto old = network::findPart(job::findCabinet(hallJob(), "left")->circuit, part.id);
        EXPECT_TRUE(part.value == old->value ||
                    part.value == network::nearestValue(part.value, network::ESeries::E12))
            << part.id;
    }
}

// With slopes wanted each way keeps closer to its Linkwitz-Riley where it crosses today.
TEST(JobTune, waysFollowTheSlopesAskedFor) {
    const auto offOf = [](const Outcome& r, const std::vector<double>& fx) {
        const auto D =
            network::prototype({.alignment = network::Alignment::linkwitzRiley, .order = 4});
        double squares = 0.0;
        double level = 0.0;
        int count = 0;
        for (const bool second : {false, true}) {
            for (std::size_t q = 0; q < 3; ++q) {
                for (std::size_t k = 0; k < r.result.axis.size(); ++k) {
                    const double f = r.result.axis[k];
                    double wanted = 0.0;
                    if (q > 0) {
                        wanted +=
                            quantity::decibels(std::abs(network::filterAt(D, f / fx[q - 1], true)));
                    }
                    if (q < 2) {
                        wanted +=
                            quantity::decibels(std::abs(network::filterAt(D, f / fx[q], false)));
                    }
                    if (wanted < -20.0 || f < 150.0 || f > 12000.0) {
                        continue;
                    }
                    const double off =
                        quantity::decibels(std::abs(r.result.ways[q].pressure[k])) - wanted;
                    if (!second) {
                        level += off;
                        ++count;
                    } else {
                        squares += (off - level / count) * (off - level / count);
                    }
                }
            }
        }
        return std::sqrt(squares / count);
    };
    const Outcome free = run(turned(), {.polarities = false});
    const Outcome held = run(turned(), {.slopes = 4, .polarities = false});
    std::vector<double> fx;
    const auto evaluation = evaluation::evaluate(turned());
    const auto& ways = evaluation.find("left")->ways;
    for (std::size_t q = 0; q + 1 < ways.size(); ++q) {
        fx.push_back(speaker::crossover(
                         {evaluation.find("left")->axis, ways[q].pressure, ways[q + 1].pressure})
                         ->fx);
    }
    EXPECT_LT(offOf(held, fx), 0.8 * offOf(free, fx));
    EXPECT_TRUE(held.tuned.found.allowed);
    // What is told is the sum's own error.
    const job::Target& target = job::findCabinet(turned(), "left")->target;
    double sum = 0.0;
    double squares = 0.0;
    int count = 0;
    for (std::size_t k = 0; k < held.result.axis.size(); ++k) {
        if (held.result.axis[k] >= target.from && held.result.axis[k] <= target.to) {
            const double level = quantity::decibels(std::abs(held.result.sum[k]));
            sum += level;
            squares += level * level;
            ++count;
        }
    }
    EXPECT_NEAR(held.tuned.found.standing.rms(),
                std::sqrt(squares / count - sum * sum / count / count),
                0.01);
}

// With the directions beside the axis counting, the window gets flatter than without.
TEST(JobTune, besideTheAxisCountsOnWish) {
    const auto windowOf = [](const Outcome& r) {
        const job::Job job = edited(turned(), edit::takeTuned("left", r.tuned.found.circuit));
        return study::remediesFor(job, *job::findCabinet(job, "left"), evaluation::assemble(job))
            .window;
    };
    const Outcome plain = run(turned(), {.polarities = false});
    const Outcome wide = run(turned(), {.aside = true, .polarities = false});
    EXPECT_TRUE(wide.tuned.found.allowed);
    EXPECT_LT(windowOf(wide), windowOf(plain) + 0.02);
    EXPECT_GE(wide.tuned.found.standing.rms(), plain.tuned.found.standing.rms() - 1e-6);
    EXPECT_NE(wide.tuned.found.circuit, plain.tuned.found.circuit);
}

TEST(JobTune, eachChangedPartBuysSomething) {
    const Outcome r = run(turned(), {.changes = 3});
    ASSERT_EQ(r.tuned.steps.size(), 4U);
    for (std::size_t k = 1; k < r.tuned.steps.size(); ++k) {
        EXPECT_LT(r.tuned.steps[k].standing.cost, r.tuned.steps[k - 1].standing.cost);
    }
}

// Each way behind an amplifier of its own: filters are tuned with the parts, taken with them, and
// left alone on wish.
TEST(JobTune, filtersBeforeAmplifiersAreTuned) {
    job::Job job = turned();
    job::Cabinet& cabinet = *std::ranges::find(job.cabinets, "left", &job::Cabinet::id);
    const auto own = network::separated(cabinet.circuit, true);
    ASSERT_TRUE(own.ok());
    cabinet.circuit = *own;
    for (const std::size_t q : {0U, 1U, 2U}) {
        network::Line line;
        line.filters = {network::newFilter(network::BiquadKind::peaking, 400.0 * std::pow(3.0, q))};
        cabinet.circuit = *network::withLine(cabinet.circuit, q, line);
    }
    const Outcome with = run(job, {.starts = 4, .polarities = false});
    const Outcome without = run(job, {.starts = 4, .filters = false, .polarities = false});
    EXPECT_TRUE(with.tuned.found.allowed);
    EXPECT_LT(with.tuned.found.standing.rms(), without.tuned.found.standing.rms());
    const auto& before = job::findCabinet(job, "left")->circuit;
    int moved = 0;
    for (const std::size_t q : {0U, 1U, 2U}) {
        const auto taken = network::lineOf(job::findCabinet(with.job, "left")->circuit, q);
        EXPECT_EQ(taken, network::lineOf(with.tuned.found.circuit, q));
        moved += taken == network::lineOf(before, q) ? 0 : 1;
        EXPECT_EQ(network::lineOf(job::findCabinet(without.job, "left")->circuit, q),
                  network::lineOf(before, q));
    }
    EXPECT_EQ(moved, 3);
}

// Parts left out of the demo's network: fewer and cheaper, no worse than was allowed, and in one
// edit that can be undone.
TEST(JobTune, partsAreLeftOutOnWish) {
    const Outcome full = run(turned(), {.polarities = false});
    const Outcome less =
        run(turned(), {.sparing = tune::Sparing{.mayCost = 0.2}, .polarities = false});
    ASSERT_FALSE(less.tuned.leftOut.empty());
    std::size_t gone = 0;
    for (const tune::Spared& step : less.tuned.leftOut) {
        gone += step.ids.size();
    }
    const auto partsOf = [](const Outcome& r) {
        return network::parts(job::findCabinet(r.job, "left")->circuit);
    };
    EXPECT_EQ(partsOf(less).size() + gone, partsOf(full).size());
    EXPECT_TRUE(less.tuned.found.allowed);
    EXPECT_LE(less.tuned.found.standing.rms(), full.tuned.found.standing.rms() + 0.2 + 1e-6);
    EXPECT_LT(less.tuned.price, less.tuned.priceBefore);
    for (const network::Part& part : partsOf(less)) {
        const auto tuned = network::findPart(less.tuned.found.circuit, part.id);
        ASSERT_TRUE(tuned) << part.id;
        EXPECT_EQ(part.value, tuned->value) << part.id;
    }
}

TEST(JobTune, stopsAtOnceAndChangesNothing) {
    const job::Job job = turned();
    const evaluation::Assembly assembly = evaluation::assemble(job);
    auto problem = study::tuneProblem(job, *job::findCabinet(job, "left"), assembly, {});
    ASSERT_TRUE(problem.ok());
    int asked = 0;
    const auto tuned = study::tuneCabinet(*problem, {}, [&](const study::TuneProgress& p) {
        EXPECT_GT(p.tried, 0);
        return ++asked < 4;
    });
    EXPECT_EQ(tuned.found.stop, tune::Stop::cancelled);
    EXPECT_EQ(asked, 4);
}

TEST(JobTune, saysWhatIsMissing) {
    job::Job bare = hallJob();
    bare.takes.clear();
    for (job::Driver& d : bare.drivers) {
        d.impedanceTake.clear();
        d.responseTake.clear();
    }
    const auto none =
        study::tuneProblem(bare, *job::findCabinet(bare, "left"), evaluation::assemble(bare), {});
    ASSERT_FALSE(none.ok());
    job::Job fixed = hallJob();
    auto& circuit = std::ranges::find(fixed.cabinets, "left", &job::Cabinet::id)->circuit;
    for (network::Part part : network::parts(circuit)) {
        part.fixed = true;
        circuit = *network::withPart(circuit, part);
    }
    const auto stuck = study::tuneProblem(
        fixed, *job::findCabinet(fixed, "left"), evaluation::assemble(fixed), {});
    ASSERT_FALSE(stuck.ok());
    EXPECT_EQ(stuck.error().given, "no part may change");
    // Parts that went meanwhile: refused, nothing lost.
    const auto gone = edit::takeTuned("left", job::findCabinet(hallJob(), "left")->circuit)
                          .apply(after(hallJob(), edit::removePart("left", "C3")));
    EXPECT_FALSE(gone.ok());
}

} // namespace yf::test
