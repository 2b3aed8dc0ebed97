// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/bench/notation.h"
#include "core/text/sentence.h"

#include <gtest/gtest.h>

namespace yf::test {

namespace {

using Ohms = std::vector<std::optional<double>>;

bench::WrittenOhms mustRead(const char* text) {
    const auto read = bench::readOhms(text);
    EXPECT_TRUE(read.ok()) << text << ": " << (read.ok() ? "" : text::sentence(read.error()));
    return read ? *read : bench::WrittenOhms{};
}

} // namespace

TEST(Notation, takesWhatPeopleWriteOffAMeter) {
    struct Case {
        const char* text;
        Ohms ohms;
        double resolution;
    };

    const Case cases[] = {{"6.1", {6.1}, 0.1},
                          {"6,1", {6.1}, 0.1},
                          {"6.1 6.2 6.1", {6.1, 6.2, 6.1}, 0.1},
                          {"6,1; 6,22", {6.1, 6.22}, 0.01},
                          {"6.1, 6.2, OL", {6.1, 6.2, std::nullopt}, 0.1},
                          {"6R1", {6.1}, 0.1},
                          {" 5.81 Ω 5.80 Ω ", {5.81, 5.80}, 0.01},
                          {"0.47k", {470.0}, 10.0},
                          {"2k2", {2200.0}, 100.0},
                          {"8", {8.0}, 1.0},
                          {"o.l", {std::nullopt}, 0.0},
                          {"∞ open 0L", {std::nullopt, std::nullopt, std::nullopt}, 0.0}};
    for (const Case& c : cases) {
        const bench::WrittenOhms read = mustRead(c.text);
        ASSERT_EQ(read.ohms.size(), c.ohms.size()) << c.text;
        for (std::size_t i = 0; i < c.ohms.size(); ++i) {
            ASSERT_EQ(read.ohms[i].has_value(), c.ohms[i].has_value()) << c.text;
            if (c.ohms[i]) {
                EXPECT_NEAR(*read.ohms[i], *c.ohms[i], 1e-9) << c.text;
            }
        }
        EXPECT_NEAR(read.resolution, c.resolution, c.resolution * 1e-12) << c.text;
    }
}

TEST(Notation, saysWhichWordIsNotUnderstood) {
    for (const auto& [text, named] : {std::pair{"6.1 abc", "'abc'"},
                                      std::pair{"6.1.2", "'6.1.2'"},
                                      std::pair{"-3", "'-3'"},
                                      std::pair{"6.1 mH", "'mH'"}}) {
        const auto read = bench::readOhms(text);
        ASSERT_FALSE(read.ok()) << text;
        EXPECT_NE(text::sentence(read.error()).english().find(named), std::string::npos)
            << text::sentence(read.error());
    }
    EXPECT_FALSE(bench::readOhms(" ; ").ok());
}

} // namespace yf::test
