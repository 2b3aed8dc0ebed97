// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/bench/next_check.h"
#include "core/sim/practice.h"
#include "core/text/sentence.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <set>

namespace yf::test {

namespace {

using sim::Practice;
using sim::PracticeLevel;

/// Reads a meter as a trainee would: leads known, a few readings.
job::BenchReading dcr(Practice& practice, bool twin) {
    job::BenchReading r;
    r.check = "dcr";
    r.cabinet = r.driver = twin ? sim::practiceTwin : sim::practiceSpeaker;
    r.resolution = 0.01;
    for (int i = 0; i < 3; ++i) {
        r.ohms.push_back(sim::dcr(practice.underTheTips(twin), bench::Place::driver));
    }
    return r;
}

job::BenchReading lcr(Practice& practice, bool twin) {
    job::BenchReading r;
    r.check = "lcr";
    r.cabinet = r.driver = twin ? sim::practiceTwin : sim::practiceSpeaker;
    const sim::Specimen s = practice.underTheTips(twin);
    r.frequency = bench::meterFrequency(s.motor.fs()).value_or(1000.0);
    const auto Z = sim::impedance(s, bench::Place::driver, *r.frequency, 0.3);
    if (Z) {
        r.r = Z->real();
        r.l = Z->imag() / (6.283185307179586 * *r.frequency);
    }
    return r;
}

/// Follows the advice to its end, and says what it says.
sim::PracticeResult followed(Practice& practice) {
    for (int i = 0; i < 30; ++i) {
        const auto bench = practice.bench();
        if (bench.offers.empty()) {
            break;
        }
        const std::string check = bench.offers.front().check;
        if (check == "dcr" || check == "lcr") {
            if (practice.hasTwin()) {
                EXPECT_TRUE(
                    practice.enter(check == "dcr" ? dcr(practice, true) : lcr(practice, true), true)
                        .ok());
            }
            const auto entered =
                practice.enter(check == "dcr" ? dcr(practice, false) : lcr(practice, false), true);
            EXPECT_TRUE(entered.ok()) << (entered ? "" : text::sentence(entered.error()));
            if (practice.bench().offers.size() == bench.offers.size()) {
                break; // nothing to compare it with: it would be offered for ever
            }
        } else {
            EXPECT_TRUE(practice.make(check, true).ok());
        }
    }
    return practice.finish(practice.bench().diagnosis.top);
}

} // namespace

TEST(Practise, theSameSeedIsTheSameSpeaker) {
    for (const auto level : {PracticeLevel::first, PracticeLevel::second, PracticeLevel::third}) {
        for (std::uint64_t seed = 1; seed < 20; ++seed) {
            Practice a(seed, level);
            Practice b(seed, level);
            EXPECT_EQ(a.job(), b.job());
            EXPECT_EQ(a.make("look_smell", true).value(), b.make("look_smell", true).value());
            EXPECT_EQ(a.finish("healthy").fault, b.finish("healthy").fault);
        }
    }
}

TEST(Practise, levelsDifferInWhatIsHiddenAndAtHand) {
    std::set<std::string> first;
    std::set<std::string> second;
    for (std::uint64_t seed = 1; seed <= 400; ++seed) {
        first.insert(Practice(seed, PracticeLevel::first).finish("healthy").fault);
        second.insert(Practice(seed, PracticeLevel::second).finish("healthy").fault);
    }
    EXPECT_EQ(first.size(), 6U);
    EXPECT_EQ(second.size(), bench::shippedTable().faults.size()) << "every fault comes in";
    EXPECT_EQ(Practice(1, PracticeLevel::second).job().cabinets.size(), 2U);
    EXPECT_EQ(Practice(1, PracticeLevel::third).job().cabinets.size(), 1U) << "no twin";
}

TEST(Practise, followingTheAdviceFindsPlainFaults) {
    int right = 0;
    double score = 0.0;
    constexpr int cases = 60;
    for (std::uint64_t seed = 1; seed <= cases; ++seed) {
        Practice practice(seed, PracticeLevel::first);
        const auto result = followed(practice);
        right += result.fault == result.verdict ? 1 : 0;
        score += result.grade.score;
        EXPECT_TRUE(std::ranges::none_of(result.steps, &sim::PracticeStep::barred));
        EXPECT_LE(result.grade.score, 100.0);
    }
    EXPECT_GE(right, cases * 9 / 10);
    EXPECT_GE(score / cases, 80.0);
}

TEST(Practise, anUnsafeActCapsTheScore) {
    // A speaker with shorted turns whose owner says it is distorted.
    for (std::uint64_t seed = 1;; ++seed) {
        ASSERT_LT(seed, 5000U);
        Practice practice(seed, PracticeLevel::second);
        if (practice.finish("healthy").fault != "shorted_turns") {
            continue;
        }
        EXPECT_LE(practice.finish("healthy").grade.score, 40.0) << "called sound";
        ASSERT_TRUE(practice.make("look_smell", false).ok());
        ASSERT_TRUE(practice.enter(lcr(practice, true), true).ok());
        ASSERT_TRUE(practice.enter(lcr(practice, false), true).ok());
        const auto safe = practice.finish("shorted_turns");
        if (safe.steps.back().outcome != "low_r_low_l") {
            continue; // too few turns to be seen
        }
        EXPECT_GT(safe.grade.score, 60.0);
        EXPECT_GT(safe.steps.back().told, 0.0) << "it spoke for the truth";
        ASSERT_TRUE(practice.make("tone_sweep", true).ok());
        const auto unsafe = practice.finish("shorted_turns");
        EXPECT_TRUE(unsafe.steps.back().barred);
        EXPECT_LE(unsafe.grade.score, 40.0);
        return;
    }
}

TEST(Practise, ignoredCautionsAndLostTimeCost) {
    Practice careful(3, PracticeLevel::first);
    Practice careless(3, PracticeLevel::first);
    ASSERT_TRUE(careful.make("push", true).ok());
    ASSERT_TRUE(careless.make("push", false).ok());
    const std::string truth = careful.finish("healthy").fault;
    EXPECT_NEAR(
        careful.finish(truth).grade.safety - careless.finish(truth).grade.safety, 5.0, 1e-9);
    const double soon = careful.finish(truth).grade.time;
    for (const char* check : {"capacitor_test", "resistor_test", "impedance_sweep"}) {
        ASSERT_TRUE(careful.make(check, true).ok());
    }
    EXPECT_LT(careful.finish(truth).grade.time, soon);
    EXPECT_NEAR(careful.minutes(), 1.0 + 8.0 + 5.0 + 5.0 + 6.0, 1e-9) << "opening the cabinet once";
}

TEST(Practise, whatWantsFiguresIsNotMade) {
    Practice practice(1, PracticeLevel::first);
    EXPECT_FALSE(practice.make("dcr", true).ok());
    EXPECT_FALSE(practice.make("dowsing", true).ok());
    EXPECT_EQ(practice.minutes(), 0.0) << "what is refused takes no time";
}

} // namespace yf::test
