// SPDX-License-Identifier: GPL-3.0-or-later
// Parsers against recorded bytes. Number formats: IEEE 488.2 NR1, NR2, NR3; overload 9.9E37 and
// not-a-number 9.91E37: SCPI-1999, volume 1, section 7.2.1.
#include "core/text/sentence.h"
#include "devices/answers.h"

#include <gtest/gtest.h>

namespace yf::test {

using devices::LineSplitter;

namespace {

template <class T>
std::string complaint(const Result<T>& result) {
    return result ? std::string{} : text::sentence(result.error()).english();
}

bool has(const std::string& text, const char* part) {
    return text.find(part) != std::string::npos;
}

} // namespace

TEST(Lines, areMadeOfBytesHoweverTheyArrive) {
    const std::string bytes = "+5.41E+00\r\n+5.42E+00\n\r\n+5.4";
    for (const std::size_t piece : {std::size_t{1}, std::size_t{3}, bytes.size()}) {
        LineSplitter splitter;
        std::vector<std::string> lines;
        for (std::size_t at = 0; at < bytes.size(); at += piece) {
            const auto more = splitter.add(std::string_view(bytes).substr(at, piece));
            ASSERT_TRUE(more.ok());
            lines.insert(lines.end(), more->begin(), more->end());
        }
        EXPECT_EQ(lines, (std::vector<std::string>{"+5.41E+00", "+5.42E+00"})) << piece;
        EXPECT_TRUE(splitter.hasHalf());
        EXPECT_EQ(splitter.add("3E+00\n")->front(), "+5.43E+00") << "the other half";
        EXPECT_FALSE(splitter.hasHalf());
    }
}

TEST(Lines, endlessNoiseIsGivenUp) {
    LineSplitter splitter;
    const auto lines = splitter.add(std::string(LineSplitter::longest + 1, 'x'));
    ASSERT_FALSE(lines.ok());
    EXPECT_FALSE(splitter.hasHalf()) << "nothing of it is kept";
    EXPECT_EQ(splitter.add("ok\n")->front(), "ok");
}

TEST(Answers, ohmsInEveryFormOfTheStandard) {
    struct Case {
        const char* bytes;
        double ohms;
        double resolution;
    };

    for (const Case& c : {Case{"5", 5.0, 1.0},
                          Case{"+5.41", 5.41, 0.01},
                          Case{"+5.4120E+00", 5.412, 1e-4},
                          Case{" 4.70e+1 ", 47.0, 0.1},
                          Case{"5.412 OHM", 5.412, 1e-3},
                          Case{"0.00E+00", 0.0, 0.01}}) {
        const auto read = devices::readOhms(c.bytes);
        ASSERT_TRUE(read.ok()) << c.bytes << ": " << complaint(read);
        ASSERT_TRUE(read->ohms.has_value()) << c.bytes;
        EXPECT_NEAR(*read->ohms, c.ohms, 1e-12) << c.bytes;
        EXPECT_NEAR(read->resolution, c.resolution, c.resolution * 1e-9) << c.bytes;
    }
    for (const char* over : {"9.9E37", "+9.90000000E+37", "OL", "OVLD"}) {
        const auto read = devices::readOhms(over);
        ASSERT_TRUE(read.ok()) << over;
        EXPECT_FALSE(read->ohms.has_value()) << over;
    }
}

TEST(Answers, whatIsNoResistanceIsNamed) {
    EXPECT_TRUE(has(complaint(devices::readOhms("+1.2E-02 V")), "set the meter to ohms"));
    EXPECT_TRUE(has(complaint(devices::readOhms("9.91E37")), "it has none"));
    EXPECT_TRUE(has(complaint(devices::readOhms("\x01\x7f#!")), "'??#!'")) << "printable";
    EXPECT_TRUE(has(complaint(devices::readOhms("-5")), "'-5'"));
    EXPECT_FALSE(devices::readOhms("").ok());
    EXPECT_FALSE(devices::readOhms("nan").ok());
    EXPECT_FALSE(devices::readOhms("0x12").ok());
    EXPECT_TRUE(has(complaint(devices::readOhms(std::string(500, '7') + "x")), "…"))
        << "cut before it is shown";
    EXPECT_TRUE(devices::readFunction("\"RES\"").ok());
    EXPECT_TRUE(devices::readFunction("FRES").ok());
    const auto volts = devices::readFunction("\"VOLT:AC\"");
    ASSERT_FALSE(volts.ok());
    EXPECT_TRUE(has(text::sentence(volts.error()).english(), "VOLT:AC"));
}

TEST(Answers, identityHasFourFields) {
    EXPECT_EQ(*devices::readIdentity("Made-up Works,M 1,0,1.2"), "Made-up Works M 1");
    EXPECT_FALSE(devices::readIdentity("hello").ok());
    EXPECT_FALSE(devices::readIdentity(",,,").ok());
}

TEST(Answers, pairsOfAnLcrMeter) {
    using bench::LcrMode;
    const auto pair = devices::readPair("+3.100E-04,+5.420E+00,+0", 1000.0, LcrMode::series);
    ASSERT_TRUE(pair.ok());
    EXPECT_EQ(*pair, (devices::PairShown{1000.0, 5.42, 3.1e-4, LcrMode::series}));
    for (const char* over :
         {"+9.9E37,+9.9E37,+1", "+3.1E-04,+5.4E+00,+1", "9.9E37,5.4,0", "1e-3,9.9e37"}) {
        const auto read = devices::readPair(over, 1000.0, LcrMode::series);
        ASSERT_TRUE(read.ok()) << over;
        EXPECT_FALSE(read->r.has_value()) << over;
    }
    for (const char* bad : {"", "5.4", "a,b,0", "1,2,3,4", "1,2,x"}) {
        EXPECT_FALSE(devices::readPair(bad, 1000.0, LcrMode::series).ok()) << bad;
    }
    EXPECT_EQ(*devices::readPairMode("LSRS"), LcrMode::series);
    EXPECT_EQ(*devices::readPairMode("\"lprp\""), LcrMode::parallel);
    EXPECT_TRUE(has(complaint(devices::readPairMode("CPD")), "CPD"));
    EXPECT_EQ(*devices::readFrequency("+1.000E+03"), 1000.0);
    for (const char* bad : {"0", "-1", "9.9E37", "kHz"}) {
        EXPECT_FALSE(devices::readFrequency(bad).ok()) << bad;
    }
}

TEST(Answers, theSimpleLines) {
    const auto ohms = devices::readLine("R 5.41 ohm");
    ASSERT_TRUE(ohms.ok() && ohms->ohms);
    EXPECT_EQ(*ohms->ohms, (devices::OhmsShown{5.41, 0.01}));
    EXPECT_FALSE(devices::readLine("R OL ohm")->ohms->ohms.has_value());
    const auto pair = devices::readLine("LCR 1000 Hz 5.42 ohm 0.00031 H series");
    ASSERT_TRUE(pair.ok() && pair->pair);
    EXPECT_EQ(*pair->pair, (devices::PairShown{1000.0, 5.42, 3.1e-4, bench::LcrMode::series}));
    EXPECT_TRUE(has(complaint(devices::readLine("R 0.012 V")), "set the meter to ohms"));
    for (const char* bad : {"",
                            "R",
                            "R ohm",
                            "R 5.41",
                            "5.41 ohm",
                            "LCR 0 Hz 5.42 ohm 0.00031 H series",
                            "LCR 1000 Hz 5.42 ohm x H series",
                            "LCR 1000 Hz 5.42 ohm 0.00031 H sideways"}) {
        EXPECT_FALSE(devices::readLine(bad).ok()) << bad;
    }
}

} // namespace yf::test
