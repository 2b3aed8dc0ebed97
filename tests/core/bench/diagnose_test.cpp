// SPDX-License-Identifier: GPL-3.0-or-later
// Ranked faults, the next check and the decision. The posterior is checked against a second
// computation by plain products, and against figures worked by hand from the table's rows.
#include "core/bench/decide.h"
#include "core/bench/next_check.h"
#include "core/bench/words.h"

#include <gtest/gtest.h>

#include <cmath>
#include <numeric>

namespace yf::test {

namespace {

using bench::Evidence;

const bench::EvidenceTable& table() {
    return bench::shippedTable();
}

bench::Diagnosis diagnosed(std::vector<Evidence> evidence) {
    const auto out = bench::diagnose({.evidence = std::move(evidence)});
    EXPECT_TRUE(out.ok());
    return *out;
}

double likelihood(const std::string& check, const std::string& outcome, const std::string& fault) {
    const auto& c = table().checks[*table().check(check)];
    for (const bench::Outcome& o : c.outcomes) {
        if (o.key == outcome) {
            return o.likelihoods[*table().fault(fault)];
        }
    }
    return std::nan("");
}

double probability(const bench::Diagnosis& d, const std::string& fault) {
    return d.probabilities[*table().fault(fault)];
}

bench::NextCheck next(bench::NextCheckRequest request) {
    const auto out = bench::nextCheck(request);
    EXPECT_TRUE(out.ok());
    return *out;
}

} // namespace

TEST(EvidenceTable, isWhole) {
    EXPECT_EQ(table().faults.size(), 17U);
    EXPECT_EQ(table().checks.size(), 18U);
    EXPECT_NEAR(std::accumulate(table().priors.begin(), table().priors.end(), 0.0), 1.0, 1e-12);
    for (const bench::Check& check : table().checks) {
        for (std::size_t f = 0; f < table().faults.size(); ++f) {
            double sum{};
            for (const bench::Outcome& o : check.outcomes) {
                EXPECT_GE(o.likelihoods[f], 0.0);
                sum += o.likelihoods[f];
            }
            EXPECT_NEAR(sum, 1.0, 1e-12) << check.key << " " << table().faults[f];
        }
        EXPECT_FALSE(bench::purposeInWords(check.key).empty()) << check.key;
        EXPECT_FALSE(bench::stepsInWords(check.key).empty()) << check.key;
        for (const bench::Outcome& o : check.outcomes) {
            EXPECT_EQ(bench::outcomeInWords(check.key, o.key).find('_'), std::string::npos);
        }
        for (const std::string& caution : check.cautions) {
            EXPECT_EQ(bench::cautionInWords(caution).back(), '.') << caution;
        }
    }
    for (const std::string& fault : table().faults) {
        EXPECT_FALSE(bench::consequenceInWords(fault).empty()) << fault;
    }
}

TEST(EvidenceTable, refusesATableThatCannotBe) {
    const std::string good(bench::shippedText());
    const auto with = [&](const std::string& from, const std::string& to) {
        std::string changed = good;
        const auto at = changed.find(from);
        EXPECT_NE(at, std::string::npos) << from;
        changed.replace(at, from.size(), to);
        return bench::readTable(changed);
    };
    ASSERT_TRUE(bench::readTable(good).ok());
    EXPECT_EQ(with("evidence 1", "evidence 9").error().subject, "format");
    EXPECT_EQ(with(R"("shorted_turns", "prior")", R"("shorted_turn", "prior")").error().subject,
              "faults");
    EXPECT_EQ(with(R"("torn_surround", "prior")", R"("healthy", "prior")").error().given,
              "'healthy' stands twice");
    const auto fault = with(R"({"open_coil": 0.95, "broken_lead_in": 0.6})",
                            R"({"open_coil": 0.95, "broken_leadin": 0.6})");
    EXPECT_EQ(fault.error().subject, "checks.dcr.open");
    EXPECT_EQ(fault.error().allowed, "the nearest known fault is broken_lead_in");
    EXPECT_EQ(with(R"("default": 0.005, "exceptions": {"open_coil": 0.95)",
                   R"("default": 0.005, "exceptions": {"open_coil": 1.95)")
                  .error()
                  .allowed,
              "must be 0 to 1");
    const auto sum = with(R"({"shorted_turns": 0.6, "wrong_driver": 0.15})",
                          R"({"shorted_turns": 0.6, "open_coil": 0.15})");
    EXPECT_EQ(sum.error().subject, "checks.dcr");
    EXPECT_EQ(with(R"("minutes": 2)", R"("minuts": 2)").error().subject, "checks[5].minuts");
}

// One check: prior times likelihood, normalised; the factor between two faults is the table's.
TEST(Diagnosis, oneCheckIsBayesRule) {
    const auto d = diagnosed({{"dcr", "open"}});
    double sum{};
    for (std::size_t f = 0; f < table().faults.size(); ++f) {
        sum += table().priors[f] * likelihood("dcr", "open", table().faults[f]);
    }
    EXPECT_NEAR(d.topP, 0.12 * 0.95 / sum, 1e-12);
    EXPECT_EQ(d.top, "open_coil");
    // log2(0.95/0.005): what an open reading says for the coil against a blown protector.
    EXPECT_NEAR(std::log2(probability(d, "open_coil") / 0.12) -
                    std::log2(probability(d, "protector_open") / 0.05),
                7.57,
                0.005);
    EXPECT_NEAR(d.explainBits[0], std::log2(0.95 / 0.6), 1e-12);
    EXPECT_EQ(d.possible, (std::vector<std::string>{"open_coil", "broken_lead_in"}));
    EXPECT_FALSE(d.done);
}

// Two checks of one group are not independent: the second counts with the square root, made to add
// up again over its outcomes. Two of different groups count fully.
TEST(Diagnosis, theSecondOfAGroupCountsLess) {
    const auto tempered =
        [&](const std::string& check, const std::string& outcome, const std::string& fault) {
            double sum{};
            for (const bench::Outcome& o : table().checks[*table().check(check)].outcomes) {
                sum += std::sqrt(likelihood(check, o.key, fault));
            }
            return std::sqrt(likelihood(check, outcome, fault)) / sum;
        };
    const auto d = diagnosed({{"dcr", "open"}, {"lcr", "open"}, {"look_smell", "burnt_smell"}});
    std::vector<double> p;
    for (const std::string& f : table().faults) {
        p.push_back(table().priors[*table().fault(f)] * likelihood("dcr", "open", f) *
                    tempered("lcr", "open", f) * likelihood("look_smell", "burnt_smell", f));
    }
    const double sum = std::accumulate(p.begin(), p.end(), 0.0);
    for (std::size_t f = 0; f < p.size(); ++f) {
        EXPECT_NEAR(d.probabilities[f], p[f] / sum, 1e-12) << table().faults[f];
    }
    EXPECT_TRUE(d.done);
    EXPECT_EQ(d.explainChecks.front(), "look_smell");
    for (std::size_t k = 1; k < d.explainBits.size(); ++k) {
        EXPECT_GE(std::abs(d.explainBits[k - 1]), std::abs(d.explainBits[k]));
    }
    // The order inside a group matters, that between groups does not.
    const auto turned =
        diagnosed({{"look_smell", "burnt_smell"}, {"dcr", "open"}, {"lcr", "open"}});
    EXPECT_NEAR(turned.topP, d.topP, 1e-12);
}

TEST(Diagnosis, contradictingEvidenceIsNamed) {
    const auto d = diagnosed(
        {{"lcr", "low_r_low_l"}, {"look_smell", "burnt_smell"}, {"push", "click_or_flop"}});
    EXPECT_EQ(d.top, "shorted_turns");
    EXPECT_EQ(d.unexplained, (std::vector<std::string>{"push"}));
    EXPECT_LT(d.topP, diagnosed({{"lcr", "low_r_low_l"}, {"look_smell", "burnt_smell"}}).topP);
}

// While the coil may be shorted nothing is connected to an amplifier.
TEST(Diagnosis, barsTheAmplifier) {
    const std::vector<std::string> four{"swap_lr", "pair_polarity", "tone_sweep", "near_level"};
    EXPECT_TRUE(diagnosed({}).barred.empty());
    EXPECT_EQ(diagnosed({{"dcr", "low"}}).barred, four);
    EXPECT_EQ(diagnosed({{"look_smell", "burnt_smell"}}).barred, four);
    // A reading that says so bars for good, whatever else makes it unlikely.
    EXPECT_EQ(diagnosed({{"lcr", "low_r_low_l"},
                         {"impedance_sweep", "as_expected"},
                         {"dcr", "normal"},
                         {"look_smell", "nothing"}})
                  .barred,
              four);
    EXPECT_EQ(diagnosed({{"impedance_sweep", "peak_collapsed"}}).barred, four);
    EXPECT_TRUE(diagnosed({{"impedance_sweep", "as_expected"}}).barred.empty());
}

TEST(Diagnosis, priorsAndRowsMayBeReplaced) {
    bench::DiagnoseRequest r;
    r.priors.entries = {{"shorted_turns", 0.08}, {"open_coil", 0.24}};
    const auto doubled = *bench::diagnose(r);
    EXPECT_NEAR(probability(doubled, "shorted_turns"), 0.08 / 1.16, 1e-12);
    r.priors = {};
    r.evidence = {{"dcr", "open"}};
    r.likelihoods.rows = {{"dcr", "open", {{{"default", 0.1}}}}};
    for (std::size_t f = 0; f < table().faults.size(); ++f) {
        EXPECT_NEAR(bench::diagnose(r)->probabilities[f], table().priors[f], 1e-12);
    }
}

TEST(Diagnosis, refusesByName) {
    const auto error = [](bench::DiagnoseRequest r) { return bench::diagnose(r).error(); };
    EXPECT_EQ(error({.evidence = {{"dcrr", "open"}}}).allowed, "the nearest known check is dcr");
    EXPECT_EQ(error({.evidence = {{"dcr", "opne"}}}).allowed,
              "the nearest known outcome of dcr is open");
    EXPECT_EQ(error({.evidence = {{"dcr", "open"}, {"dcr", "low"}}}).subject, "evidence");
    EXPECT_EQ(error({.priors = {{{"open_coi", 1.0}}}}).subject, "priors");
    EXPECT_EQ(error({.likelihoods = {{{"dcr", "open", {{{"healthy", 1.0}}}}}}}).subject,
              "likelihoods");
}

// Gain by the definition, from a second computation: H(p) less what is expected to be left.
TEST(NextCheck, gainIsTheExpectedFallOfEntropy) {
    const bench::Belief belief(table());
    const auto entropy = [](const std::vector<double>& p) {
        double h{};
        for (const double x : p) {
            h -= x > 0.0 ? x * std::log2(x) : 0.0;
        }
        return h;
    };
    for (std::size_t c = 0; c < table().checks.size(); ++c) {
        double expected{};
        for (const bench::Outcome& o : table().checks[c].outcomes) {
            bench::Belief after(table());
            ASSERT_TRUE(after.add({table().checks[c].key, o.key}).ok());
            double P{};
            for (std::size_t f = 0; f < table().faults.size(); ++f) {
                P += table().priors[f] * o.likelihoods[f];
            }
            expected += P * entropy(after.probabilities());
        }
        EXPECT_NEAR(belief.gain(c), entropy(table().priors) - expected, 1e-9)
            << table().checks[c].key;
    }
}

TEST(NextCheck, theOwnersWordsComeFirstThenTheBestRate) {
    EXPECT_EQ(*next({}).next, "symptom");
    const auto out = next({.evidence = {{"symptom", "silent"}}});
    EXPECT_EQ(*out.next, "look_smell");
    for (std::size_t k = 1; k < out.rates.size(); ++k) {
        EXPECT_GE(*out.rates[k - 1], *out.rates[k]);
    }
    // Opening the cabinet costs five minutes, once.
    const auto timeOf = [](const bench::NextCheck& n, const std::string& key) {
        const auto found = std::ranges::find(n.checks, key);
        return n.times[static_cast<std::size_t>(found - n.checks.begin())];
    };
    EXPECT_EQ(timeOf(out, "dcr"), 7.0);
    EXPECT_EQ(timeOf(next({.evidence = {{"symptom", "silent"}}, .boxOpen = true}), "dcr"), 2.0);
    EXPECT_EQ(
        timeOf(next({.evidence = {{"symptom", "silent"}, {"battery_pop", "moves_out"}}}), "dcr"),
        2.0);
}

TEST(NextCheck, keepsToWhatIsAtHandAndSafe) {
    bench::NextCheckRequest r{.evidence = {{"symptom", "distorted"}, {"dcr", "low"}},
                              .tools = std::vector<std::string>{"multimeter"},
                              .notFitted = {"rotate_pots"}};
    const auto out = next(r);
    for (const std::string& check : out.checks) {
        EXPECT_TRUE(check != "lcr" && check != "battery_pop" && check != "rotate_pots" &&
                    check != "swap_lr" && check != "tone_sweep")
            << check;
    }
    EXPECT_EQ(out.barred.size(), 4U);
    r.tools = std::vector<std::string>{"multimter"};
    EXPECT_EQ(bench::nextCheck(r).error().allowed, "the nearest known tool is multimeter");
    r.tools.reset();
    r.notFitted = {"pots"};
    EXPECT_EQ(bench::nextCheck(r).error().subject, "not_fitted");
    r.notFitted.clear();
    r.minutes.entries = {{"lcr", -1.0}};
    EXPECT_EQ(bench::nextCheck(r).error().subject, "minutes.lcr");
}

TEST(NextCheck, endsWhenTheLeaderIsSureEnough) {
    const auto out = next({.evidence = {{"dcr", "open"}, {"look_smell", "burnt_smell"}}});
    EXPECT_TRUE(out.done);
    EXPECT_FALSE(out.next.has_value());
    const auto battery = next({.evidence = {{"symptom", "thin_bass"}},
                               .boxOpen = true,
                               .minutes = {{{"battery_pop", 0.0}}}});
    EXPECT_EQ(*battery.next, "battery_pop") << "what costs no time comes first";
    EXPECT_EQ(battery.cautions.size(), 2U);
}

// Worked by hand: hours 2 at 40 and parts 30 make 110; a chance of 0.8 adds a fifth of the cheapest
// other path, 160; a decibel beyond the first adds 10.
TEST(Decision, totalsCountRiskAndMismatch) {
    bench::DecideRequest r;
    r.repair = bench::Path{.parts = 30, .hours = 2, .success = 0.8, .mismatch = 2};
    r.replaceDriver = bench::Path{.parts = 120, .hours = 1};
    r.leave = bench::Path{};
    r.rate = 40;
    r.penalty = 10;
    r.fault = "shorted_turns";
    const auto out = *bench::decide(r);
    EXPECT_EQ(out.paths, (std::vector<std::string>{"leave", "repair", "replace_driver"}));
    EXPECT_EQ(out.direct, (std::vector<double>{0, 110, 160}));
    EXPECT_NEAR(out.total[1], 110 + 0.2 * 160 + 10, 1e-9);
    EXPECT_NEAR(out.total[2], 160, 1e-9);
    EXPECT_EQ(*out.recommended, "repair");
    EXPECT_EQ(out.notAllowed, (std::vector<std::string>{"leave"}));
    r.fault = "torn_surround";
    EXPECT_EQ(*bench::decide(r)->recommended, "leave");
    r.fault = "amplifier_fault";
    EXPECT_FALSE(bench::decide(r)->recommended.has_value());
    // A single path has nothing to fall back on.
    bench::DecideRequest one;
    one.repair = bench::Path{.parts = 50, .hours = 0, .success = 0.5};
    EXPECT_EQ(bench::decide(one)->total[0], 50.0);
    EXPECT_EQ(bench::decide({}).error().subject, "repair");
    one.fault = "shorted";
    EXPECT_EQ(bench::decide(one).error().subject, "fault");
}

} // namespace yf::test
