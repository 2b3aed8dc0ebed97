// SPDX-License-Identifier: GPL-3.0-or-later
// The demo's drivers are invented, but must behave as drivers do and look as measured ones look.
#include "core/measure/table/import.h"
#include "core/quantity/level.h"
#include "demo/drivers.h"

#include <gtest/gtest.h>

#include <cmath>

namespace yf::test {

namespace {

double levelAt(const demo::InventedDriver& driver, double f) {
    return quantity::decibels(demo::response(driver, {f}).front() / quantity::referencePressure);
}

measure::ImportedTable read(const std::string& table) {
    auto imported = measure::importTable({.text = table});
    EXPECT_TRUE(imported.ok());
    return imported.value();
}

} // namespace

TEST(DemoDrivers, slopesAreThoseOfTheirOrder) {
    // Far below resonance 12 dB an octave; far above the cone's end 6·order.
    for (const auto& driver : {demo::campion165(), demo::teasel26()}) {
        const double low = driver.lowCorner / 30.0;
        EXPECT_NEAR(levelAt(driver, 2.0 * low) - levelAt(driver, low), 12.04, 0.1) << driver.name;
        const double high = driver.highCorner * 30.0;
        EXPECT_NEAR(
            levelAt(driver, 2.0 * high) - levelAt(driver, high), -6.02 * driver.highOrder, 1.5)
            << driver.name;
    }
}

TEST(DemoDrivers, tablesAreAlikeEachTimeAndReadAsMeant) {
    for (const auto& driver : {demo::campion165(), demo::teasel26()}) {
        for (const bool comma : {false, true}) {
            EXPECT_EQ(demo::responseTable(driver, comma), demo::responseTable(driver, comma));
            const auto response = read(demo::responseTable(driver, comma));
            EXPECT_EQ(response.decimal, comma ? "comma" : "point");
            EXPECT_EQ(response.quantity, "level");
            EXPECT_TRUE(response.warnings.empty());
            const auto impedance = read(demo::impedanceTable(driver, comma));
            EXPECT_EQ(impedance.quantity, "impedance");
            EXPECT_TRUE(impedance.hasPhase);
            EXPECT_TRUE(impedance.warnings.empty());
        }
    }
}

TEST(DemoDrivers, noiseHasAMeasuredLook) {
    const auto tweeter = demo::teasel26();
    const auto table = read(demo::responseTable(tweeter, false));
    double worstInBand = 0.0;
    double worstBelow = 0.0;
    for (std::size_t k = 0; k < table.frequencies.size(); ++k) {
        const double off = std::abs((*table.levels)[k] - levelAt(tweeter, table.frequencies[k]));
        if (table.frequencies[k] > 500.0) {
            worstInBand = std::max(worstInBand, off);
        } else if (table.frequencies[k] < 40.0) {
            worstBelow = std::max(worstBelow, off);
        }
    }
    EXPECT_LT(worstInBand, 0.1) << "in its band the driver stands far above the floor";
    EXPECT_GT(worstBelow, 3.0) << "far below it the table holds mostly noise";
}

TEST(DemoDrivers, impedancePeaksAtResonance) {
    for (const auto& driver : {demo::campion165(), demo::teasel26()}) {
        const auto table = read(demo::impedanceTable(driver, false));
        std::size_t peak = 0;
        for (std::size_t k = 0; k < table.frequencies.size(); ++k) {
            if (table.frequencies[k] < 2000.0 &&
                (*table.magnitudes)[k] > (*table.magnitudes)[peak]) {
                peak = k;
            }
        }
        EXPECT_NEAR(table.frequencies[peak] / driver.impedance.fs, 1.0, 0.03) << driver.name;
        EXPECT_NEAR((*table.magnitudes)[peak],
                    driver.impedance.Re * (1.0 + driver.impedance.Qms / driver.impedance.Qes),
                    0.5)
            << driver.name;
    }
}

} // namespace yf::test
