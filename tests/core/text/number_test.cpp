// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/text/nearest.h"
#include "core/text/number.h"
#include "core/text/sentence.h"
#include "core/text/value.h"

#include <gtest/gtest.h>

namespace yf::test {

namespace {

using text::Unit;

} // namespace

// Notations in use at benches: engineering letters as decimal point (IEC 60062), unit with or
// without space, decimal comma, inches (common practice).
TEST(ParseQuantity, understandsWhatPeopleWrite) {
    struct {
        const char* text;
        Unit unit;
        double bare;
        double si;
    } const rows[] = {
        {"6u8", Unit::farad, 1e-6, 6.8e-6},
        {"6.8 uF", Unit::farad, 1e-6, 6.8e-6},
        {"6,8 µF", Unit::farad, 1e-6, 6.8e-6},
        {"6.8", Unit::farad, 1e-6, 6.8e-6},
        {"470n", Unit::farad, 1e-6, 470e-9},
        {"0.0000068F", Unit::farad, 1e-6, 6.8e-6},
        {"4n7", Unit::farad, 1e-6, 4.7e-9},
        {"100 pF", Unit::farad, 1e-6, 100e-12},
        {"6.8\u202FμF", Unit::farad, 1e-6, 6.8e-6},
        {"0.35mH", Unit::henry, 1e-3, 0.35e-3},
        {"0,35 mH", Unit::henry, 1e-3, 0.35e-3},
        {"350uH", Unit::henry, 1e-3, 350e-6},
        {"1m5", Unit::henry, 1e-3, 1.5e-3},
        {"1.5", Unit::henry, 1e-3, 1.5e-3},
        {"3R3", Unit::ohm, 1.0, 3.3},
        {"3.3", Unit::ohm, 1.0, 3.3},
        {"2k2", Unit::ohm, 1.0, 2200.0},
        {"2.2 kΩ", Unit::ohm, 1.0, 2200.0},
        {"30m", Unit::ohm, 1.0, 0.03},
        {"0R47", Unit::ohm, 1.0, 0.47},
        {"8 ohm", Unit::ohm, 1.0, 8.0},
        {"2500", Unit::hertz, 1.0, 2500.0},
        {"2.5k", Unit::hertz, 1.0, 2500.0},
        {"2k5", Unit::hertz, 1.0, 2500.0},
        {"2,5 kHz", Unit::hertz, 1.0, 2500.0},
        {"12\"", Unit::metre, 1.0, 0.3048},
        {"31 cm", Unit::metre, 1.0, 0.31},
        {"310mm", Unit::metre, 1.0, 0.31},
        {"12 l", Unit::cubicMetre, 1e-3, 0.012},
        {"1.2 cu ft", Unit::cubicMetre, 1e-3, 1.2 * 0.028316846592},
        {"-3 dB", Unit::decibel, 1.0, -3.0},
        {"\u22123", Unit::decibel, 1.0, -3.0},
        {"5 %", Unit::percent, 0.01, 0.05},
        {"1e-5", Unit::farad, 1e-6, 1e-11},
        {"6.8e-6F", Unit::farad, 1e-6, 6.8e-6},
        {"  4.7  ", Unit::farad, 1e-6, 4.7e-6},
    };

    for (const auto& row : rows) {
        const auto value = text::parseQuantity(row.text, row.unit, row.bare);
        ASSERT_TRUE(value.ok()) << row.text << ": " << text::sentence(value.error());
        EXPECT_NEAR(*value / row.si, 1.0, 1e-12) << row.text;
    }
}

TEST(ParseQuantity, refusesInsteadOfGuessing) {
    struct {
        const char* text;
        Unit unit;
    } const rows[] = {
        {"", Unit::ohm},         {"abc", Unit::ohm},     {"6.8.1", Unit::farad},
        {"1,234.5", Unit::ohm},  {"1.234,5", Unit::ohm}, {"6,8,1", Unit::farad},
        {"6u8", Unit::ohm},      {"3R3", Unit::farad},   {"4.7 mH", Unit::farad},
        {"4.7 uF", Unit::henry}, {"6u8uF", Unit::farad}, {"nan", Unit::ohm},
        {"inf", Unit::ohm},      {"0x10", Unit::ohm},    {"6.8 uF extra", Unit::farad},
        {"5 %", Unit::ohm},      {"--5", Unit::decibel}, {"1e999", Unit::ohm},
        {"µ", Unit::farad},      {"12 kg", Unit::metre}};

    for (const auto& row : rows) {
        const auto value = text::parseQuantity(row.text, row.unit);
        if (value.ok()) {
            // "6u8" as ohms is 6.8 µΩ: a prefix is no other unit.
            EXPECT_STREQ(row.text, "6u8") << "gave " << *value;
            continue;
        }
        EXPECT_FALSE(value.error().given.empty()) << row.text;
        EXPECT_FALSE(value.error().allowed.empty()) << row.text;
    }
}

TEST(PrintNumbers, asThePageSaysThem) {
    const std::string thin{text::thinSpace};
    EXPECT_EQ(text::printEngineering(6.8e-6, "F"), "6.8" + thin + "µF");
    EXPECT_EQ(text::printEngineering(2500.0, "Hz"), "2.5" + thin + "kHz");
    EXPECT_EQ(text::printEngineering(999.96, "Hz", 3), "1" + thin + "kHz");
    EXPECT_EQ(text::printEngineering(0.05, "Ω", 2), "50" + thin + "mΩ");
    EXPECT_EQ(text::printEngineering(0.0, "Ω"), "0" + thin + "Ω");
    EXPECT_EQ(text::printSignificant(0.35, 3), "0.35");
    EXPECT_EQ(text::printSignificant(12.5, 3), "12.5");
    EXPECT_EQ(text::printFixed(86.44, 1), "86.4");
    EXPECT_EQ(text::printFixed(-0.04, 1), "0.0");
    EXPECT_EQ(text::printFixed(-3.26, 1), "-3.3");
}

TEST(PrintNumbers, shortestFormReadsBackEqual) {
    for (const double value :
         {0.1, 1.0 / 3.0, 4.7e-6, 1e300, -2.2250738585072014e-308, 100000.0, 123456789.0, 1e-4}) {
        EXPECT_EQ(text::parseNumber(text::printNumber(value)), value);
    }
    EXPECT_EQ(text::printNumber(100000.0), "100000");
    EXPECT_FALSE(text::parseNumber("1.5x").has_value());
    EXPECT_FALSE(text::parseNumber("").has_value());
    EXPECT_FALSE(text::parseNumber("1e400").has_value());
}

TEST(NearestKey, findsTheSpellingThatWasMeant) {
    const std::vector<std::string> known{"fx_hz", "order", "load_ohm", "alignment"};

    struct {
        const char* given;
        const char* nearest;
    } const rows[] = {{"fx_Hz", "fx_hz"},
                      {"oder", "order"},
                      {"orderr", "order"},
                      {"load_ohms", "load_ohm"},
                      {"algnment", "alignment"},
                      {"laod_ohm", "load_ohm"}};

    for (const auto& row : rows) {
        EXPECT_EQ(text::nearest(row.given, known), row.nearest);
    }
    EXPECT_EQ(text::nearest("x", {}), "");
}

TEST(Json, refusesWithThePlace) {
    struct {
        const char* text;
        const char* part;
    } const rows[] = {{"{\"a\": 1,}", "line 1"},
                      {"{\"a\": 1} {}", "line 1"},
                      {"{\"a\": 1, \"a\": 2}", "a"},
                      {"{\n\"a\": nope}", "line 2"},
                      {"{\"a\": 1e999}", ""},
                      {"", ""},
                      {"[1, 2", "line 1"},
                      {"{\"a\": NaN}", "line 1"}};

    for (const auto& row : rows) {
        const auto value = text::parseJson(row.text);
        ASSERT_FALSE(value.ok()) << row.text;
        EXPECT_NE(text::sentence(value.error()).english().find(row.part), std::string::npos)
            << row.text << " " << text::sentence(value.error());
    }
    std::string deep;
    for (int i = 0; i < 100; ++i) {
        deep += "[";
    }
    EXPECT_FALSE(text::parseJson(deep).ok());
}

TEST(Json, writesWhatItReads) {
    const std::string text =
        R"({"b":[1,2.5,-3e-9],"a":{"x":null,"y":true,"z":"µ \"q\" \n"},"e":[],"o":{}})";
    const auto value = text::parseJson(text);
    ASSERT_TRUE(value.ok());
    const auto again = text::parseJson(text::writeJson(*value));
    ASSERT_TRUE(again.ok());
    EXPECT_EQ(*again, *value);
    EXPECT_EQ(value->find("a")->find("y")->flag() != nullptr, true);
    EXPECT_EQ(value->find("missing"), nullptr);
}

// An error is one line with the same form on the command line and in the window.
TEST(Sentence, isOneLineOfSubjectGivenAndAllowed) {
    EXPECT_EQ(text::sentence({"Qes", "-0.4 given", "must be 0.01 to 1000"}),
              "Qes: -0.4 given, must be 0.01 to 1000");
    EXPECT_EQ(text::sentence({"Qes", "missing", ""}), "Qes: missing");
    EXPECT_EQ(text::sentence({"", "nothing is written", "write it like 6.8"}),
              "nothing is written, write it like 6.8");
    EXPECT_EQ(text::sentence({"text", "'a\nb\rc' given", ""}), "text: 'a b c' given");
}

TEST(Sentence, pathsGrowFromTheInside) {
    struct {
        const char* path;
        const char* subject;
        const char* whole;
    } const rows[] = {
        {"network", "fx_hz", "network.fx_hz"},
        {"network.ways", "[1]", "network.ways[1]"},
        {"network", "", "network"},
        {"", "fx_hz", "fx_hz"},
    };

    for (const auto& row : rows) {
        EXPECT_EQ(text::under(row.path, {row.subject, "given", ""}).subject, row.whole);
    }
    EXPECT_EQ(text::join("network", "ways"), "network.ways");
    EXPECT_EQ(text::join("", "ways"), "ways");
    EXPECT_EQ(text::join("ways", std::size_t{0}), "ways[0]");
}

} // namespace yf::test
