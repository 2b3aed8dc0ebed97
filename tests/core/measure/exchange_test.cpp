// SPDX-License-Identifier: GPL-3.0-or-later
// Curves handed on as Touchstone and JSON, and what is asked before a sweep is played.
#include "core/measure/table/import.h"
#include "core/measure/safety.h"
#include "core/measure/table/touchstone.h"

#include <gtest/gtest.h>

#include <cmath>
#include <numbers>

namespace yf::measure {

namespace {

using curve::Complex;

ImportedTable imported(const std::string& text) {
    auto table = importTable({.text = text});
    EXPECT_TRUE(table.ok()) << (table ? "" : table.error().given);
    return table ? *table : ImportedTable{};
}

std::string refusal(const std::string& text) {
    const auto table = importTable({.text = text});
    EXPECT_FALSE(table.ok());
    return table ? "" : table.error().subject + ": " + table.error().given.english();
}

} // namespace

// Example of the Touchstone file format specification, rev. 1.1, one-port Z-parameters (from
// memory): magnitudes are re 75 Ω.
TEST(Touchstone, specificationsExampleOfImpedancesIsNormalised) {
    const auto port = readTouchstone("! 1-port Z-parameter file, multiple frequency points\n"
                                     "# MHz Z MA R 75\n"
                                     "! freq magZ11 angZ11\n"
                                     "100 0.99 -4\n200 0.80 -22\n300 0.707 -45\n");
    ASSERT_TRUE(port.ok());
    ASSERT_EQ(port->frequencies.size(), 3U);
    EXPECT_DOUBLE_EQ(port->frequencies[0], 100e6);
    EXPECT_NEAR(std::abs(port->Z[0]), 74.25, 1e-9);
    EXPECT_NEAR(std::arg(port->Z[2]), -std::numbers::pi / 4.0, 1e-9);
    EXPECT_NEAR(port->Z[2].real(), 75.0 * 0.707 * std::cos(std::numbers::pi / 4.0), 1e-9);
}

// Γ = (Z − R)/(Z + R): a short is −1, R is 0, a coil of jR is j (textbook).
TEST(Touchstone, ohmsBeyondMeasureAreRefusedWithTheirLine) {
    for (const char* text : {"# Hz Z RI R 1e200\n20 0 0\n30 1e200 0\n",
                             "# Hz Z RI R 1\n20 1 0\n30 1e155 0\n",
                             "# Hz Z DB R 50\n20 1 0\n30 9000 0\n",
                             "# Hz Y RI R 1e9\n20 1 0\n30 1e-11 0\n"}) {
        const auto port = readTouchstone(text);
        ASSERT_FALSE(port.ok()) << text;
        EXPECT_NE(port.error().given.english().find("line 3"), std::string::npos)
            << port.error().given.english();
    }
}

TEST(Touchstone, reflectionsBecomeOhmsInEveryForm) {
    const auto inductive = readTouchstone("# Hz S RI R 50\n10 0 1\n20 0 0\n30 -1 0\n");
    ASSERT_TRUE(inductive.ok());
    EXPECT_NEAR(std::abs(inductive->Z[0] - Complex(0.0, 50.0)), 0.0, 1e-12);
    EXPECT_NEAR(std::abs(inductive->Z[1] - Complex(50.0, 0.0)), 0.0, 1e-12);
    EXPECT_NEAR(std::abs(inductive->Z[2]), 0.0, 1e-12);
    // Half in dB, any order of words, kHz, comments behind rows.
    const auto half =
        readTouchstone("#S R 8 DB kHz\n 1 -6.020599913 0 ! one\n2 -6.020599913 180\n");
    ASSERT_TRUE(half.ok());
    EXPECT_DOUBLE_EQ(half->frequencies[1], 2000.0);
    EXPECT_NEAR(half->Z[0].real(), 24.0, 1e-6);
    EXPECT_NEAR(half->Z[1].real(), 8.0 / 3.0, 1e-6);
    const auto admittance = readTouchstone("# Hz Y RI R 50\n1 2 0\n2 4 0\n");
    EXPECT_NEAR(admittance->Z[0].real(), 25.0, 1e-9);
    // Version 2 does not normalise (from memory).
    const auto second = readTouchstone("[Version] 2.0\n# Hz Z RI R 50\n[Number of Ports] 1\n"
                                       "[Network Data]\n1 8 0\n2 6 3\n[End]\nleft over\n");
    ASSERT_TRUE(second.ok());
    EXPECT_NEAR(std::abs(second->Z[1] - Complex(6.0, 3.0)), 0.0, 1e-12);
}

TEST(Touchstone, whatIsWrittenReadsBack) {
    const curve::Axis axis{20.0, 200.0, 2000.0, 20000.0};
    const std::vector<Complex> Z{{6.1, 2.0}, {5.8, -1.5}, {6.5, 3.0}, {12.0, 19.0}};
    const std::string text = writeTouchstone(curve::Curve(axis, Z, curve::Phase::common));
    const auto table = imported(text);
    EXPECT_EQ(table.form, "touchstone");
    EXPECT_EQ(table.quantity, "impedance");
    for (std::size_t k = 0; k < axis.size(); ++k) {
        EXPECT_DOUBLE_EQ(table.frequencies[k], axis[k]);
        EXPECT_NEAR((*table.magnitudes)[k], std::abs(Z[k]), 1e-10);
        EXPECT_NEAR((*table.phases)[k], std::arg(Z[k]), 1e-12);
    }
}

TEST(Touchstone, isToldFromATableByItsOptionLine) {
    EXPECT_TRUE(looksLikeTouchstone("! c\n# GHz S MA R 50\n1 0 0\n"));
    EXPECT_TRUE(looksLikeTouchstone("[Version] 2.0\n"));
    EXPECT_FALSE(looksLikeTouchstone("# Hz dB\n20 80\n"));
    EXPECT_FALSE(looksLikeTouchstone("# R 50 comment of a table\n20 80\n"));
    EXPECT_FALSE(looksLikeTouchstone("20 80\n30 81\n"));
    // By request where the option line leaves the resistance out.
    const auto table =
        importTable({.text = "# Hz S RI\n20 0 0\n30 0 0\n", .form = FormChoice::touchstone});
    ASSERT_TRUE(table.ok());
    EXPECT_NEAR(table->magnitudes->front(), 50.0, 1e-9);
}

TEST(Touchstone, saysWhatIsWrongAndWhere) {
    EXPECT_EQ(refusal("# Hz S RI R 50\n10 0 0\n20 x 0\n"),
              "text: line 3, column 2: 'x' is not a number");
    EXPECT_EQ(refusal("# Hz S RI R 50\n10 0 0\n20 0 0 1 0 1 0 0 0\n"),
              "text: line 3, column 4: 9 columns");
    EXPECT_EQ(refusal("# Hz S RI R 50\n20 0 0\n10 0 0\n"), "text: line 3, column 1: 10");
    EXPECT_EQ(refusal("# Hz S RI R 50\n10 1 0\n20 0 0\n"), "text: line 2, column 2: S of 1");
    EXPECT_EQ(refusal("# Hz S RI R 50\n10 0 0\n"), "text: 1 rows of data");
    const auto table = importTable({.text = "10 0 0\n", .form = FormChoice::touchstone});
    EXPECT_EQ(table.error().given, "line 1, column 1: a row before the option line");
    const auto two = importTable({.text = "[Version] 2.0\n# Hz S RI R 50\n[Number of Ports] 2\n"});
    EXPECT_EQ(two.error().given, "line 3, column 2: '2' ports");
    const auto hybrid =
        importTable({.text = "# Hz H RI R 50\n1 0 0\n", .form = FormChoice::touchstone});
    EXPECT_EQ(hybrid.error().given, "line 1, column 3: 'H' parameters");
}

TEST(CurveJson, readsWhatTheVerbsWrite) {
    const auto level = imported(
        R"({"other": true, "frequencies_hz": [20, 50], "levels_db": [80.5, -3], "phases_deg": [0, 90]})");
    EXPECT_EQ(level.form, "json");
    EXPECT_EQ(level.quantity, "level");
    EXPECT_NEAR((*level.phases)[1], 0.5 * std::numbers::pi, 1e-12);
    const auto ohms = imported(R"({"frequencies_hz": [20, 50], "impedances_ohm": [8, 7]})");
    EXPECT_EQ(ohms.quantity, "impedance");
    EXPECT_FALSE(ohms.hasPhase);
}

TEST(CurveJson, saysWhatIsWrong) {
    EXPECT_EQ(refusal(R"({"levels_db": [1, 2]})"), "frequencies_hz: missing");
    EXPECT_EQ(refusal("{oops").substr(0, 22), "text: is not JSON at l");
    EXPECT_EQ(refusal(R"({"frequencies_hz": [20, 10], "levels_db": [1, 2]})"),
              "frequencies_hz: entry 2 (10) is not above entry 1 (20)");
    EXPECT_EQ(refusal(R"({"frequencies_hz": [20, 30], "levels_db": [1]})"),
              "levels_db: 1 values for 2 entries of frequencies_hz");
    EXPECT_EQ(refusal(R"({"frequencies_hz": [20, "a"], "levels_db": [1, 2]})"),
              "frequencies_hz[1]: no number");
    EXPECT_EQ(refusal(R"({"frequencies_hz": [20, 30]})"), "levels_db: missing");
    EXPECT_EQ(refusal(R"({"frequencies_hz": [20, 30], "impedances_ohm": [8, 0]})"),
              "impedances_ohm[1]: 0");
}

TEST(BeforePlay, firstIsSoftRaisesAreAskedAndPowerIsTold) {
    const PlayAdvice first = beforePlay({.level = -20.0});
    EXPECT_TRUE(first.softFirst);
    EXPECT_FALSE(first.raise);
    EXPECT_FALSE(beforePlay({.level = -45.0}).softFirst) << "softer than the soft one";
    EXPECT_FALSE(beforePlay({.level = -20.0, .before = -32.0}).raise);
    EXPECT_TRUE(beforePlay({.level = -20.0, .before = -32.1}).raise);
    EXPECT_TRUE(beforePlay({.level = -5.0, .before = -5.0, .highest = -6.0}).beyondHighest);
    EXPECT_TRUE(beforePlay({.level = -30.0, .before = -30.0, .near = true}).countdown);
    EXPECT_TRUE(beforePlay({.level = -11.0, .before = -11.0}).countdown);
    EXPECT_FALSE(beforePlay({.level = -12.0, .before = -12.0}).countdown);
    // 28.28 V peak at full scale, −20 dB: 2 V rms into 8 Ω is half a watt, 2.83 V a whole one.
    using quantity::DriverRole;
    const auto power = [](double volts, DriverRole role) {
        return beforePlay({.level = -20.0,
                           .before = -20.0,
                           .fullScaleVoltage = 10.0 * volts * std::numbers::sqrt2,
                           .Re = 8.0,
                           .role = role});
    };
    EXPECT_NEAR(power(2.0, DriverRole::tweeter).power.value_or(0.0), 0.5, 1e-9);
    EXPECT_FALSE(power(2.0, DriverRole::tweeter).muchPower);
    EXPECT_TRUE(power(2.9, DriverRole::tweeter).muchPower) << "a tenth of 10 W";
    EXPECT_FALSE(power(2.9, DriverRole::woofer).muchPower);
    EXPECT_TRUE(power(5.0, DriverRole::woofer).muchPower) << "a tenth of 30 W";
    EXPECT_NEAR(beforePlay({.level = 0.0,
                            .before = 0.0,
                            .fullScaleVoltage = std::numbers::sqrt2,
                            .role = DriverRole::woofer})
                    .power.value_or(0.0),
                1.0 / usualRe,
                1e-12);
    // A tweeter's sweep keeps clear of its resonance, or is soft.
    EXPECT_GE(responseSweep(DriverRole::tweeter).frequency, 500.0);
    EXPECT_LE(impedanceSweep(DriverRole::tweeter).level, -30.0);
    EXPECT_LE(responseSweep(DriverRole::woofer).frequency, 20.0);
    EXPECT_FALSE(beforePlay({.level = -20.0, .before = -20.0}).power.has_value());
}

} // namespace yf::measure
