// SPDX-License-Identifier: GPL-3.0-or-later
// Every trouble of the practice bench is what the judge calls it.
#include "core/measure/judge.h"
#include "core/signal/sweep.h"
#include "core/sim/trouble.h"

#include <gtest/gtest.h>

namespace yf::sim {

namespace {

using measure::Fault;

measure::Verdict verdictOf(Trouble trouble, int repeats) {
    const auto sweep = signal::makeSweep({.start = 20.0,
                                          .end = 20000.0,
                                          .duration = 1.0,
                                          .level = -12.0,
                                          .repeats = repeats,
                                          .silenceAfter = 0.6})
                           .value();
    const auto play = signal::playSignal(sweep);
    const Filter high{FilterKind::highPass, 60.0, 0.8};
    const Filter low{FilterKind::lowPass, 9000.0, 0.8};
    const double duration = static_cast<double>(play.size()) / sweep.rate;
    const Chain chain = troubled({.noise = -85.0}, trouble, duration);
    Heard heard = hear(
        play,
        sweep.rate,
        [&](double f) { return 0.3 * high.at(f) * low.at(f); },
        {Way{1.0, 3e-3}},
        chain);
    befall(heard, trouble, 7);
    return measure::examine({sweep.rate, heard.measured, heard.reference}, sweep).verdict;
}

struct Case {
    Trouble trouble;
    Fault fault;
    int repeats;
};

class EachTrouble : public testing::TestWithParam<Case> {};

} // namespace

TEST_P(EachTrouble, isFoundAndNamed) {
    const Case& c = GetParam();
    const auto verdict = verdictOf(c.trouble, c.repeats);
    EXPECT_TRUE(verdict.has(c.fault))
        << measure::faultName(c.fault) << " was not found; main fault: "
        << (verdict.mainFault() ? measure::faultName(*verdict.mainFault()) : "none");
    EXPECT_FALSE(measure::sentenceOf(c.fault, verdict).empty());
}

INSTANTIATE_TEST_SUITE_P(
    All,
    EachTrouble,
    testing::Values(Case{Trouble::tooQuiet, Fault::tooLow, 1},
                    Case{Trouble::overloaded, Fault::clipped, 1},
                    Case{Trouble::hum, Fault::hum, 1},
                    Case{Trouble::bang, Fault::event, 4},
                    Case{Trouble::lostSamples, Fault::dropout, 1},
                    Case{Trouble::twoClocks, Fault::clockDrift, 2},
                    Case{Trouble::exchanged, Fault::channelsSwapped, 1},
                    Case{Trouble::noReference, Fault::referenceMissing, 1},
                    Case{Trouble::reversedReference, Fault::referenceInverted, 1}));

TEST(Trouble, noneOfItIsFoundWhereNoneIs) {
    const auto sweep =
        signal::makeSweep({.duration = 1.0, .level = -12.0, .silenceAfter = 0.6}).value();
    const Heard heard = hear(signal::playSignal(sweep),
                             sweep.rate,
                             [](double) { return 0.3; },
                             {Way{}},
                             {.noise = -85.0});
    const auto verdict =
        measure::examine({sweep.rate, heard.measured, heard.reference}, sweep).verdict;
    EXPECT_TRUE(verdict.usable());
}

} // namespace yf::sim
