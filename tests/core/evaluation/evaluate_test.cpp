// SPDX-License-Identifier: GPL-3.0-or-later
// The evaluation against a second way to the same figures: the network as the command line solves
// it, with sums and means formed anew here.
#include "core/edit/measurement.h"
#include "core/evaluation/assemble.h"
#include "core/evaluation/evaluate.h"
#include "core/report/line.h"
#include "core/take/import.h"
#include "core/take/minimum_phase.h"
#include "core/text/sentence.h"
#include "demo/projection_room.h"
#include "tests/support/demo_job.h"
#include "tests/support/temp_folder.h"

#include <gtest/gtest.h>

namespace yf::test {

namespace {

constexpr const char* cabinet = "projection";

const evaluation::CabinetResult& demoResult() {
    static const evaluation::Evaluation evaluation = evaluation::evaluate(demoJob());
    return evaluation.cabinets.front();
}

double level(const curve::Complex& p) {
    return quantity::decibels(p / quantity::referencePressure);
}

} // namespace

TEST(Evaluate, agreesWithTheNetworkSolvedByItself) {
    const auto network = evaluation::networkOf(demoJob(), demoCabinet());
    ASSERT_TRUE(network.ok());
    const auto& result = demoResult();
    const auto solved = network::solveNetwork(
        {.network = *network, .frequencies = result.axis, .method = network::Method::nodal});
    ASSERT_TRUE(solved.ok()) << text::sentence(solved.error());
    ASSERT_EQ(solved->frequencies, result.axis);
    for (std::size_t k = 0; k < result.axis.size(); ++k) {
        ASSERT_LT(std::abs(solved->sum[k] - result.sum[k]), 1e-9 * std::abs(result.sum[k]));
        ASSERT_LT(std::abs(solved->impedances[k] - result.impedance[k]),
                  1e-9 * std::abs(result.impedance[k]));
        for (std::size_t w = 0; w < 2; ++w) {
            ASSERT_LT(std::abs(solved->drives[w][k] - result.ways[w].drive[k]), 1e-12);
        }
    }
}

TEST(Evaluate, sumIsTheSumOfItsWaysAndTheGhostTurnsOne) {
    const auto& result = demoResult();
    for (std::size_t k = 0; k < result.axis.size(); ++k) {
        const auto& low = result.ways[0].pressure[k];
        const auto& high = result.ways[1].pressure[k];
        ASSERT_LT(std::abs(low + high - result.sum[k]), 1e-12);
        ASSERT_LT(std::abs(low - high - result.ways[1].reversedSum[k]), 1e-12);
    }
    const auto reversed =
        evaluation::evaluate(edited(demoJob(), edit::reverseDriver(cabinet, 1, "Teasel 26")))
            .cabinets.front();
    for (std::size_t k = 0; k < result.axis.size(); ++k) {
        ASSERT_LT(std::abs(reversed.sum[k] - result.ways[1].reversedSum[k]), 1e-12);
    }
    EXPECT_EQ(reversed.ways[1].polarity, -1);
    EXPECT_EQ(reversed.impedance, result.impedance);
}

TEST(Evaluate, figuresOfTheLine) {
    const auto& result = demoResult();
    // Sensitivity: energy mean over ln f, 200 Hz to 4 kHz, formed anew.
    double energy = 0.0;
    double width = 0.0;
    double least = 1e9;
    for (std::size_t k = 1; k < result.axis.size(); ++k) {
        if (result.axis[k - 1] >= 200.0 && result.axis[k] <= 4000.0) {
            const double step = std::log(result.axis[k] / result.axis[k - 1]);
            energy += step * (std::norm(result.sum[k - 1]) + std::norm(result.sum[k])) / 2.0;
            width += step;
        }
        if (result.axis[k] >= 20.0 && result.axis[k] <= 20000.0) {
            least = std::min(least, std::abs(result.impedance[k]));
        }
    }
    EXPECT_NEAR(result.sensitivity.value(), level(std::sqrt(energy / width)), 1e-9);
    EXPECT_LE(result.leastImpedance->ohms, least + 1e-12);
    // Between the points of the axis lie points of the measured table with their 0.2 % of noise.
    EXPECT_NEAR(result.leastImpedance->ohms, least, 0.002 * 3.0 * least);
    const auto& corridor = result.corridor.value();
    double worst = 0.0;
    double worstAt = 0.0;
    for (std::size_t k = 0; k < result.axis.size(); ++k) {
        if (result.axis[k] >= 80.0 && result.axis[k] <= 16000.0 &&
            std::abs(level(result.sum[k]) - corridor.level) > worst) {
            worst = std::abs(level(result.sum[k]) - corridor.level);
            worstAt = result.axis[k];
        }
    }
    EXPECT_NEAR(corridor.deviation, worst, 1e-9);
    EXPECT_EQ(corridor.worstAt, worstAt);
    EXPECT_EQ(result.parts, 9U);
    EXPECT_NEAR(result.price, 9.80 + 4.10 + 1.20 + 6.40 + 5.60 + 6.90 + 11.20 + 1.20 + 1.20, 1e-9);
}

TEST(Evaluate, sensitivityIsForTheReferenceVoltage) {
    job::Job louder = demoJob();
    louder.cabinets.front().circuit.source.voltage *= 2.0;
    const auto result = evaluation::evaluate(louder).cabinets.front();
    EXPECT_NEAR(result.sensitivity.value(), demoResult().sensitivity.value(), 1e-9);
    EXPECT_NEAR(level(result.sum[200]), level(demoResult().sum[200]) + 6.0206, 1e-3);
}

TEST(Evaluate, trustEndsWhereTheWayThatMattersEnds) {
    const auto& result = demoResult();
    for (std::size_t k = 0; k < result.axis.size(); ++k) {
        const double f = result.axis[k];
        // The woofer is believed from 30 Hz, both up to 20 kHz; the tweeter's lower end does not
        // matter.
        EXPECT_EQ(result.trusted[k], f >= 30.0 && f <= 20000.0) << f;
    }
}

TEST(Evaluate, saysWhatIsMissingInsteadOfInventing) {
    job::Job job = demoJob();
    job.drivers[1].responseTake.clear();
    auto result = evaluation::evaluate(job).cabinets.front();
    EXPECT_TRUE(result.sum.empty());
    EXPECT_FALSE(result.impedance.empty());
    ASSERT_EQ(result.missing.size(), 1U);
    EXPECT_NE(result.missing[0].english().find("Teasel 26 has no response"), std::string::npos);
    job.drivers[0].impedanceTake.clear();
    result = evaluation::evaluate(job).cabinets.front();
    EXPECT_TRUE(result.impedance.empty());
    EXPECT_EQ(result.parts, 9U);
    const auto line = report::line(result);
    EXPECT_EQ(line[0].text, "no level yet");
    EXPECT_EQ(line[1].text, "no load yet");
    EXPECT_EQ(line[2].text, "no sum yet");
    EXPECT_FALSE(evaluation::networkOf(job, job.cabinets.front()).ok());
}

TEST(Evaluate, aCurveWithoutPhaseIsNotSummedUntilItHasOne) {
    const auto import = take::importTake(
        take::TableFile{"freq,spl\n20,60\n200,85\n2000,86\n20000,70\n", "levels.txt", ""});
    ASSERT_TRUE(import.ok());
    const job::Job without = edited(demoJob(), edit::addTake("campion", import->take));
    EXPECT_TRUE(evaluation::evaluate(without).cabinets.front().sum.empty());
    const job::Job with =
        edited(without, take::useMinimumPhase(without, "campion", job::TakeKind::response).value());
    EXPECT_FALSE(evaluation::evaluate(with).cabinets.front().sum.empty());
    // Nothing is overwritten: the readings join each other.
    EXPECT_EQ(with.takes.size(), demoJob().takes.size() + 2);
}

TEST(Line, saysTheFiguresAsThePageDoes) {
    const auto line = report::line(demoResult());
    ASSERT_EQ(line.size(), 4U);
    EXPECT_EQ(line[0].text,
              "85.3\u202F"
              "dB");
    EXPECT_EQ(line[1].text, "5.9\u202FΩ at 190\u202FHz");
    EXPECT_EQ(line[2].text,
              "±2.2\u202F"
              "dB 81\u202FHz–16\u202FkHz");
    EXPECT_EQ(line[3].text, "9 parts, 47.60");
    for (const auto& figure : line) {
        EXPECT_FALSE(figure.explains.empty());
    }
    EXPECT_EQ(report::levelText(-3.25),
              "\u22123.2\u202F"
              "dB");
}

TEST(Demo, tablesOfTheRepositoryAreRemadeByteForByte) {
    const demo::Tables tables = demo::tables();
    EXPECT_EQ(dataFile("../../demo/tables/campion-165-response.csv"), tables.campionResponse);
    EXPECT_EQ(dataFile("../../demo/tables/campion-165-impedance.txt"), tables.campionImpedance);
    EXPECT_EQ(dataFile("../../demo/tables/teasel-26-response.csv"), tables.teaselResponse);
    EXPECT_EQ(dataFile("../../demo/tables/teasel-26-impedance.csv"), tables.teaselImpedance);
}

TEST(Demo, takesHoldTheTablesWhole) {
    const auto& takes = demoJob().takes;
    ASSERT_EQ(takes.size(), 4U);
    for (const job::Take& take : takes) {
        EXPECT_EQ(take.curve->size(), 451U);
        EXPECT_EQ(job::curveKey(*take.curve), take.curveKey);
    }
}

} // namespace yf::test
