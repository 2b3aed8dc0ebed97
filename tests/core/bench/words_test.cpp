// SPDX-License-Identifier: GPL-3.0-or-later
// Nothing of the shipped table is left without words, and what must never be said is not.
#include "core/bench/decide.h"
#include "core/bench/evidence.h"
#include "core/bench/next_check.h"
#include "core/bench/remedies.h"
#include "core/bench/trace.h"
#include "core/bench/words.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <cctype>
#include <set>

namespace yf::test {

namespace {

using bench::Remedy;
using bench::Segment;
using bench::Standing;

bool isKeyLike(const std::string& words) {
    return words.find('_') != std::string::npos;
}

bool isSentence(const std::string& words) {
    return !words.empty() && words.ends_with('.') &&
           std::isupper(static_cast<unsigned char>(words.front())) != 0;
}

bench::Trace traced(std::vector<bench::Evidence> evidence, std::vector<std::string> barred = {}) {
    return bench::trace({.evidence = std::move(evidence), .barred = std::move(barred)});
}

} // namespace

TEST(BenchWords, everyKeyOfTheTableHasThem) {
    const bench::EvidenceTable& table = bench::shippedTable();
    std::set<std::string> said;
    for (const std::string& fault : table.faults) {
        const std::string words = bench::faultInWords(fault);
        EXPECT_FALSE(isKeyLike(words)) << fault;
        EXPECT_TRUE(said.insert(words).second) << fault << " sounds like another";
        EXPECT_TRUE(isSentence(bench::consequenceInWords(fault))) << fault;
    }
    for (const bench::Check& check : table.checks) {
        EXPECT_FALSE(isKeyLike(bench::checkInWords(check.key))) << check.key;
        EXPECT_TRUE(isSentence(bench::purposeInWords(check.key))) << check.key;
        EXPECT_FALSE(bench::stepsInWords(check.key).empty()) << check.key;
        for (const bench::Outcome& outcome : check.outcomes) {
            const std::string words = bench::outcomeInWords(check.key, outcome.key);
            EXPECT_FALSE(isKeyLike(words)) << check.key << " " << outcome.key;
            EXPECT_TRUE(said.insert(words).second)
                << check.key << " " << outcome.key << " sounds like another";
        }
        for (const std::string& caution : check.cautions) {
            EXPECT_TRUE(isSentence(bench::cautionInWords(caution))) << check.key << " " << caution;
        }
    }
}

TEST(BenchWords, keysOfSomebodysOwnTableAreShownAsTheyStand) {
    EXPECT_EQ(bench::faultInWords("cat_hair"), "cat hair");
    EXPECT_EQ(bench::checkInWords("look_for_cats"), "look for cats");
    EXPECT_FALSE(bench::outcomeInWords("look_for_cats", "one_found").empty());
}

// Whoever touches wires, drives a coil or lets an amplifier near is told what to mind.
TEST(BenchWords, dangerousChecksHaveCautions) {
    for (const bench::Check& check : bench::shippedTable().checks) {
        if (check.opensBox || check.drivesFromAmplifier) {
            EXPECT_FALSE(check.cautions.empty()) << check.key;
        }
        if (check.drivesFromAmplifier) {
            const auto& all = check.cautions;
            EXPECT_NE(std::ranges::find(all, "coil_known_good"), all.end()) << check.key;
        }
    }
}

TEST(Remedies, everyFaultHasOneAndDangerousOnesCannotBeLeft) {
    for (const std::string& fault : bench::shippedTable().faults) {
        const auto remedies = bench::remediesFor(fault);
        ASSERT_FALSE(remedies.empty()) << fault;
        EXPECT_TRUE(std::ranges::is_sorted(remedies)) << fault << ": the gentlest first";
        EXPECT_EQ(std::ranges::find(remedies, Remedy::undecided), remedies.end()) << fault;
    }
    for (const char* const fault : {"shorted_turns", "rubbing_coil", "open_coil"}) {
        const auto remedies = bench::remediesFor(fault);
        EXPECT_EQ(std::ranges::find(remedies, Remedy::leave), remedies.end()) << fault;
    }
    EXPECT_EQ(bench::remediesFor("amplifier_fault"), std::vector<Remedy>{Remedy::leave})
        << "qualified service, not this bench";
    EXPECT_EQ(bench::remediesFor("cat_hair").size(), 6U) << "an unknown fault rules nothing out";
}

// The window and the costing must not contradict each other.
TEST(Remedies, agreeWithTheCostingAboutWhatMayStay) {
    for (const std::string& fault : bench::shippedTable().faults) {
        bench::DecideRequest request;
        request.fault = fault;
        request.leave = bench::Path{.parts = 0.0, .hours = 0.0};
        request.repair = bench::Path{.parts = 10.0, .hours = 1.0};
        const auto decided = bench::decide(request);
        ASSERT_TRUE(decided.ok()) << fault;
        const auto remedies = bench::remediesFor(fault);
        const bool barred =
            std::ranges::find(decided->notAllowed, "leave") != decided->notAllowed.end();
        if (barred && fault != "amplifier_fault") {
            EXPECT_EQ(std::ranges::find(remedies, Remedy::leave), remedies.end()) << fault;
        }
    }
}

TEST(Remedies, wordsSayWhatIsLeftUnmatched) {
    std::set<std::string> said;
    for (std::size_t i = 0; i < bench::remedyNames.size(); ++i) {
        const auto remedy = static_cast<Remedy>(i);
        EXPECT_TRUE(said.insert(bench::remedyInWords(remedy)).second);
        EXPECT_TRUE(isSentence(bench::unmatchedInWords(remedy))) << bench::remedyNames.at(i);
    }
}

TEST(Trace, eachAnswerStrikesOutWhatItExcludes) {
    struct Row {
        const char* check;
        const char* outcome;
        std::vector<Segment> out;
        std::vector<Segment> here;
    };
    using enum Segment;
    const Row rows[] = {
        {"swap_lr", "stays_with_channel", {cable, terminals, protectors, network, driver}, {}},
        {"swap_lr", "follows_speaker", {source, amplifier}, {}},
        {"swap_lr", "goes_away", {source, amplifier, protectors, network, driver}, {}},
        {"cable_contacts", "good", {cable, terminals}, {}},
        {"cable_contacts", "open_or_noisy", {}, {cable, terminals}},
        {"protector", "continuous", {protectors}, {}},
        {"protector", "open", {}, {protectors}},
        {"dcr", "normal", {}, {}}, // turns may still be shorted
        {"dcr", "open", {}, {driver}},
        {"dcr", "low", {}, {driver}},
        {"dcr", "drifting", {}, {driver}},
        {"lcr", "match", {driver}, {}},
        {"lcr", "low_r_low_l", {}, {driver}},
        {"capacitor_test", "in_tolerance", {}, {}}, // a resistor may still be burnt
        {"capacitor_test", "open", {}, {network}},
        {"resistor_test", "in_tolerance", {network}, {}},
        {"resistor_test", "open_or_off", {}, {network}},
        {"look_smell", "nothing", {}, {}}};
    for (const Row& row : rows) {
        const bench::Trace t = traced({{row.check, row.outcome}});
        for (std::size_t i = 0; i < bench::segmentNames.size(); ++i) {
            const auto segment = static_cast<Segment>(i);
            const bool out = std::ranges::find(row.out, segment) != row.out.end();
            const bool here = std::ranges::find(row.here, segment) != row.here.end();
            EXPECT_EQ(t.of(segment),
                      here  ? Standing::found
                      : out ? Standing::ruledOut
                            : Standing::possible)
                << row.check << " " << row.outcome << ": " << bench::segmentNames.at(i);
        }
        if (!row.here.empty()) {
            EXPECT_FALSE(t.next.has_value()) << row.check << ": found, so nothing more is asked";
        }
    }
}

TEST(Trace, theOrderOfAnswersDoesNotMatter) {
    std::vector<bench::Evidence> evidence{{"protector", "continuous"},
                                          {"cable_contacts", "good"},
                                          {"dcr", "normal"},
                                          {"swap_lr", "follows_speaker"}};
    std::ranges::sort(evidence, {}, &bench::Evidence::check);
    const auto first = traced(evidence);
    do {
        const auto t = traced(evidence);
        EXPECT_EQ(t.standings, first.standings);
        EXPECT_EQ(t.next, first.next);
    } while (std::ranges::next_permutation(evidence, {}, &bench::Evidence::check).found);
}

TEST(Trace, everyQuestionIsOfTheTable) {
    bench::TraceRequest request;
    std::set<std::string> asked;
    for (int i = 0; i < 20; ++i) {
        const auto t = bench::trace(request);
        if (!t.next) {
            break;
        }
        ASSERT_TRUE(bench::shippedTable().check(*t.next).has_value()) << *t.next;
        EXPECT_TRUE(asked.insert(*t.next).second) << *t.next << " is asked twice";
        // The answer that rules least out: its rest outcome of "unknown kind".
        request.evidence.push_back({*t.next, "not sure"});
    }
    EXPECT_EQ(asked.size(), 7U);
}

// The bar on amplifiers (docs/theory/bench.md, "Order") at its edges.
TEST(Advice, anAmplifierWaitsAboveTenPercentOrAfterATellingReading) {
    const auto barredBy = [](std::vector<bench::Evidence> evidence) {
        auto belief = bench::beliefFrom(bench::shippedTable(), evidence);
        EXPECT_TRUE(belief.ok());
        return belief->amplifierBarred();
    };
    EXPECT_FALSE(barredBy({})) << "4 % at first";
    EXPECT_TRUE(barredBy({{"look_smell", "burnt_smell"}}));
    EXPECT_TRUE(barredBy({{"dcr", "low"}}));
    EXPECT_TRUE(barredBy({{"lcr", "low_r_low_l"}}));
    EXPECT_TRUE(barredBy({{"impedance_sweep", "peak_collapsed"}})) << "likelier than 10 %";
    EXPECT_FALSE(barredBy({{"lcr", "match"}, {"dcr", "normal"}}));
    // A burnt smell stays a bar, however good the ohms.
    EXPECT_TRUE(barredBy({{"look_smell", "burnt_smell"}, {"dcr", "normal"}}));
}

TEST(Advice, barredChecksAreNeverOffered) {
    for (const char* const telling : {"low_r_low_l", "match"}) {
        auto belief = bench::beliefFrom(bench::shippedTable(), {{"lcr", telling}});
        ASSERT_TRUE(belief.ok());
        for (const bench::Offer& offer : bench::offers(*belief, {})) {
            EXPECT_FALSE(belief->isBarred(offer.check))
                << bench::shippedTable().checks[offer.check].key;
        }
    }
}

TEST(Advice, offersFallWithTheirRateAndEndWhenSettled) {
    auto belief = bench::beliefFrom(bench::shippedTable(), {});
    ASSERT_TRUE(belief.ok());
    const auto offered = bench::offers(*belief, {});
    ASSERT_GT(offered.size(), 5U);
    EXPECT_FALSE(offered.front().rate.has_value()) << "the owner's words cost no time";
    for (std::size_t i = 2; i < offered.size(); ++i) {
        EXPECT_GE(offered[i - 1].rate.value(), offered[i].rate.value());
        EXPECT_GE(offered[i].gain, bench::worthAsking);
    }
    ASSERT_TRUE(belief->add({"dcr", "open"}).ok());
    ASSERT_TRUE(belief->add({"lcr", "open"}).ok());
    ASSERT_TRUE(belief->add({"look_smell", "burnt_smell"}).ok());
    EXPECT_TRUE(belief->diagnosis().done);
    EXPECT_TRUE(bench::offers(*belief, {}).empty());
}

TEST(Advice, toolsThatAreNotAtHandAreNotAskedFor) {
    auto belief = bench::beliefFrom(bench::shippedTable(), {});
    ASSERT_TRUE(belief.ok());
    bench::Circumstances bare;
    bare.tools = std::vector<std::string>{};
    for (const bench::Offer& offer : bench::offers(*belief, bare)) {
        EXPECT_TRUE(bench::shippedTable().checks[offer.check].tools.empty())
            << bench::shippedTable().checks[offer.check].key;
    }
}

TEST(Advice, openingTheCabinetIsPaidForOnce) {
    auto belief = bench::beliefFrom(bench::shippedTable(), {});
    ASSERT_TRUE(belief.ok());
    const auto minutes = [&](const char* check, bool open) {
        return bench::minutesOf(
            bench::shippedTable(), *bench::shippedTable().check(check), {}, open);
    };
    EXPECT_EQ(minutes("dcr", false), 7.0);
    EXPECT_EQ(minutes("dcr", true), 2.0);
    EXPECT_EQ(minutes("push", false), 1.0) << "nothing to open";
    EXPECT_FALSE(belief->boxOpened());
    ASSERT_TRUE(belief->add({"dcr", "normal"}).ok());
    EXPECT_TRUE(belief->boxOpened());
}

} // namespace yf::test
