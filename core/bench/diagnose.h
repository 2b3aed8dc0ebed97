// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/bench/evidence.h"
#include "core/quantity/quantities.h"

namespace yf::bench {

/// What one check showed.
struct Evidence {
    std::string check;
    std::string outcome;

    static void fields(auto& self, auto&& field) {
        field(self.check, quantity::Word{"check", "which check"});
        field(self.outcome, quantity::Word{"outcome", "what it showed"});
    }

    bool operator==(const Evidence&) const = default;
};

/// Input of `bench diagnose`.
struct DiagnoseRequest {
    std::vector<Evidence> evidence;
    ByKey priors;
    Rows likelihoods;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.evidence, q::Group{"evidence", "checks done, in the order in which they were"});
        field(self.priors, q::Group{"priors", "priors by fault, in place of the table's", true});
        field(self.likelihoods,
              q::Group{"likelihoods", "likelihoods by check and outcome, in place of rows", true});
    }
};

/// Ranked faults and why.
struct Diagnosis {
    std::vector<std::string> faults;   ///< in the order of the table
    std::vector<double> probabilities; ///< one for each, sum 1
    std::vector<std::string> ranking;  ///< likeliest first
    std::string top;
    double topP{};
    double entropy{};                       ///< bits
    std::vector<std::string> explainChecks; ///< what spoke for the leader, largest amount first
    std::vector<double> explainBits;        ///< against the second; negative: against the leader
    std::vector<std::string> unexplained;   ///< checks whose outcome the leader hardly gives
    std::vector<std::string> possible;      ///< above 2 %
    std::vector<std::string> barred;        ///< checks that must wait, in the order of the table
    bool done{};                            ///< the leader has 90 %

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.faults, q::Word{"faults", "in the order of the table"});
        field(self.probabilities, q::Quantity{"p", "probabilities", 1.0, "", 0.0, 1.0, "of each"});
        field(self.ranking, q::Word{"ranking", "likeliest first"});
        field(self.top, q::Word{"top", "the leader"});
        field(self.topP, q::Quantity{"p", "top_p", 1.0, "", 0.0, 1.0, "its probability"});
        field(self.entropy,
              q::Quantity{"H", "entropy_bits", 1.0, "bit", 0.0, 64.0, "what is left to find out"});
        field(self.explainChecks, q::Word{"explain_checks", "evidence, largest amount first"});
        field(self.explainBits,
              q::Quantity{"", "explain_bits", 1.0, "bit", -1e3, 1e3, "leader against the second"});
        field(self.unexplained, q::Word{"unexplained", "outcomes that the leader hardly gives"});
        field(self.possible, q::Word{"possible", "faults above 2 %"});
        field(self.barred, q::Word{"barred", "checks that must wait"});
        field(self.done, q::Flag{"done", "the leader has 90 %"});
    }

    bool operator==(const Diagnosis&) const = default;
};

/// Belief after some checks; grows by one piece of evidence at a time.
///
///     p(f) ∝ prior(f) · Π L_k(outcome_k | f)
///
/// Within a group the first check counts fully, every further one with L^½, renormalised over its
/// outcomes for each fault: checks that look at the same thing are not independent. Logs are used
/// throughout; a likelihood of 0 counts as 1e-9, so that one slip cannot end all argument.
/// Source: Bayes' rule; the tempering is this project's (docs/theory/bench.md).
class Belief {
public:
    explicit Belief(const EvidenceTable& table);

    /// The outcome of a check that was not done yet. Errors on `evidence`: unknown check or
    /// outcome (the nearest is named), the same check twice.
    Done add(const Evidence& evidence);

    [[nodiscard]] const EvidenceTable& table() const { return *table_; }

    [[nodiscard]] const std::vector<double>& probabilities() const { return p_; }

    [[nodiscard]] double entropy() const;

    [[nodiscard]] bool isDone(std::size_t check) const { return done_[check]; }

    /// Whether a check was made for which the cabinet had to be opened.
    [[nodiscard]] bool boxOpened() const;

    /// Expected gain of a check, bits: H(p) − Σ_o P(o)·H(p | o), P(o) = Σ_f p(f)·L(o | f).
    [[nodiscard]] double gain(std::size_t check) const;

    /// While shorted turns are likelier than 10 %, or after a reading that says so, nothing is
    /// connected to an amplifier.
    [[nodiscard]] bool amplifierBarred() const;

    [[nodiscard]] bool isBarred(std::size_t check) const;

    [[nodiscard]] std::vector<std::string> barred() const;

    /// Position of the likeliest fault; the first one wins a tie.
    [[nodiscard]] std::size_t leader() const;

    [[nodiscard]] Diagnosis diagnosis() const;

private:
    using Likelihoods = std::vector<std::vector<double>>; ///< [outcome][fault]

    struct Seen {
        std::size_t check{};
        std::size_t outcome{};
        std::vector<double> likelihoods; ///< tempered, of the outcome seen
    };

    [[nodiscard]] Likelihoods tempered(std::size_t check) const;
    void explain(Diagnosis& d, std::size_t first, std::size_t second) const;

    const EvidenceTable* table_;
    std::vector<double> logs_;
    std::vector<double> p_;
    std::vector<bool> done_;
    std::vector<Seen> seen_;
};

/// A belief with all of `evidence`.
[[nodiscard]] Result<Belief> beliefFrom(const EvidenceTable& table,
                                        const std::vector<Evidence>& evidence);

/// The `diagnose` verb.
[[nodiscard]] Result<Diagnosis> diagnose(const DiagnoseRequest& request);

/// Probability of the leader at which asking on is not worth the time.
inline constexpr double enough = 0.90;

/// A fault is still named where it is likelier than this.
inline constexpr double stillPossible = 0.02;

} // namespace yf::bench
