// SPDX-License-Identifier: GPL-3.0-or-later
// Hidden wiring errors on two- and three-ways drawn at random, odd orders and in-phase designs among
// them.
#include "core/sim/wiring_trial.h"

#include <gtest/gtest.h>

#include <cmath>

namespace yf::test {

TEST(Wiring, errorsAreNamedAndRightOnesLeftAlone) {
    const auto trial = sim::wiringTrial({.seed = 31, .speakers = 200});
    ASSERT_TRUE(trial.ok());
    EXPECT_EQ(trial->wrong + trial->unheard, 200);
    EXPECT_GE(trial->named, 0.98 * trial->wrong) << trial->wrong;
    EXPECT_LE(trial->misnamed, 0.01 * trial->wrong);
    EXPECT_EQ(trial->right, 200);
    EXPECT_LE(trial->falseAlarms, 2); // 1 %
}

TEST(Wiring, saysNothingWhereNothingTellsThemApart) {
    // Perfect quadrature: reversed and not are alike in level.
    const curve::Axis axis = curve::within(curve::designAxis(), 200.0, 10000.0);
    std::vector<std::vector<curve::Complex>> ways(2);
    std::vector<double> sum;
    for (const double f : axis) {
        const curve::Complex s(0.0, f / 2000.0);
        ways[0].push_back(1.0 / (1.0 + s));
        ways[1].push_back(s / (1.0 + s));
        sum.push_back(20.0 * std::log10(std::abs(ways[0].back() - ways[1].back())));
    }
    const auto found = speaker::wiringOf({axis, ways, sum, {200.0, 10000.0}});
    ASSERT_TRUE(found.has_value());
    EXPECT_EQ(found->confidence, 0.0);
    EXPECT_FALSE(speaker::isWrong(*found));
    EXPECT_FALSE(speaker::wiringOf({axis, ways, sum, {200.0, 300.0}}).has_value());
}

// A hole in a sum of which nothing else is known.
TEST(Wiring, aHoleIsSeenInTheSumAlone) {
    const curve::Axis axis = curve::within(curve::designAxis(), 100.0, 16000.0);
    std::vector<double> levels;
    std::vector<double> flat;
    for (const double f : axis) {
        const curve::Complex s(0.0, f / 3100.0);
        const curve::Complex s2 = s * s;
        const curve::Complex D = s2 + std::sqrt(2.0) * s + 1.0;
        // The fourth order that would be flat, one half turned over.
        levels.push_back(90.0 + 20.0 * std::log10(std::abs((1.0 - s2 * s2) / (D * D)) + 1e-6));
        flat.push_back(90.0 + 2.0 * std::sin(9.0 * std::log(f)));
    }
    const auto holes = speaker::holesIn(axis, levels, {100.0, 16000.0});
    ASSERT_EQ(holes.size(), 1U);
    EXPECT_NEAR(holes[0].frequency, 3100.0, 60.0);
    EXPECT_GT(holes[0].depth, 14.0);
    EXPECT_TRUE(speaker::holesIn(axis, flat, {100.0, 16000.0}).empty());
}

} // namespace yf::test
