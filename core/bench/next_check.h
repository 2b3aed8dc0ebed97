// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/bench/diagnose.h"

namespace yf::bench {

/// What limits the choice of the next check.
struct Circumstances {
    std::optional<std::vector<std::string>> tools; ///< absent: all
    std::vector<std::string> notFitted;            ///< checks for which there is nothing to check
    bool boxOpen{};
    ByKey minutes; ///< in place of the table's
};

/// Input of `bench next-check`.
struct NextCheckRequest {
    std::vector<Evidence> evidence;
    ByKey priors;
    Rows likelihoods;
    std::optional<std::vector<std::string>> tools;
    std::vector<std::string> notFitted;
    bool boxOpen{};
    ByKey minutes;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.evidence, q::Group{"evidence", "checks done, in the order in which they were"});
        field(self.priors, q::Group{"priors", "priors by fault, in place of the table's", true});
        field(self.likelihoods,
              q::Group{"likelihoods", "likelihoods by check and outcome, in place of rows", true});
        field(self.tools, q::Word{"tools", "what is at hand; all unless given"});
        field(self.notFitted,
              q::Word{"not_fitted", "checks for which this speaker has no part", ""});
        field(self.boxOpen, q::Flag{"box_open", "the cabinet is open already", false});
        field(self.minutes, q::Group{"minutes", "minutes by check, in place of the table's", true});
    }
};

/// One check on offer.
struct Offer {
    std::size_t check{};
    double gain{};              ///< bits
    double minutes{};           ///< opening the cabinet included
    std::optional<double> rate; ///< bits a minute; absent: it costs no time, so it comes first
};

/// Checks worth their time, best rate first.
struct NextCheck {
    std::optional<std::string> next;
    std::vector<std::string> checks;
    std::vector<double> gains;
    std::vector<double> times;
    std::vector<std::optional<double>> rates;
    std::vector<std::string> barred;
    bool done{};
    std::vector<std::string> cautions; ///< sentences, for the next check

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.next, q::Word{"next", "the check to make now"});
        field(self.checks, q::Word{"checks", "on offer, best first"});
        field(self.gains, q::Quantity{"G", "gains_bits", 1.0, "bit", 0.0, 64.0, "expected"});
        field(self.times, q::Quantity{"t", "times_min", 1.0, "min", 0.0, 300.0, "with opening"});
        field(self.rates,
              q::Quantity{"", "rates_bits_per_min", 1.0, "bit/min", 0.0, 1e6, "gain over time"});
        field(self.barred, q::Word{"barred", "checks that must wait"});
        field(self.done, q::Flag{"done", "the leader has 90 %, or no check gains 0.01 bit"});
        field(self.cautions, q::Word{"cautions", "what to mind at the next check"});
    }
};

/// Gain below which a check is not worth doing, bits.
inline constexpr double worthAsking = 0.01;

/// Checks not done, with tools at hand, fitted and not barred, that gain at least `worthAsking`;
/// highest gain for its time first. Empty once the leader has 90 %.
[[nodiscard]] std::vector<Offer> offers(const Belief& belief, const Circumstances& circumstances);

/// Minutes that a check takes now, opening included. Sources of the minutes: common practice.
[[nodiscard]] double minutesOf(const EvidenceTable& table,
                               std::size_t check,
                               const Circumstances& circumstances,
                               bool boxIsOpen);

/// Tools, checks and minutes named must be known. Errors on `tools`, `not_fitted`, `minutes`.
[[nodiscard]] std::optional<Error> check(const EvidenceTable& table,
                                         const Circumstances& circumstances);

/// The `next-check` verb.
[[nodiscard]] Result<NextCheck> nextCheck(const NextCheckRequest& request);

} // namespace yf::bench
