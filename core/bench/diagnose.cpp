// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/bench/diagnose.h"

#include <algorithm>
#include <cmath>
#include <numeric>

namespace yf::bench {

namespace {

constexpr double least = 1e-9;
constexpr double shortedLimit = 0.10;
/// The leader "hardly gives" an outcome that another fault gives this many times as often.
constexpr double hardly = 5.0;

struct Alarm {
    std::string_view check;
    std::string_view outcome;
};

constexpr Alarm alarms[] = {{"dcr", "low"}, {"lcr", "low_r_low_l"}, {"look_smell", "burnt_smell"}};

std::vector<double> normalised(const std::vector<double>& logs) {
    const double highest = *std::ranges::max_element(logs);
    std::vector<double> p(logs.size());
    std::ranges::transform(logs, p.begin(), [&](double l) { return std::exp(l - highest); });
    const double sum = std::accumulate(p.begin(), p.end(), 0.0);
    for (double& value : p) {
        value /= sum;
    }
    return p;
}

double bits(const std::vector<double>& p) {
    double sum{};
    for (const double value : p) {
        if (value > 0.0) {
            sum -= value * std::log2(value);
        }
    }
    return sum;
}

double asLog(double likelihood) {
    return std::log(std::max(likelihood, least));
}

std::vector<std::size_t> byFallingValue(const std::vector<double>& values) {
    std::vector<std::size_t> order(values.size());
    std::iota(order.begin(), order.end(), 0U);
    std::ranges::stable_sort(order, std::greater{}, [&](std::size_t i) { return values[i]; });
    return order;
}

std::vector<std::string> keys(const auto& rows) {
    std::vector<std::string> all;
    std::ranges::transform(rows, std::back_inserter(all), [](const auto& row) { return row.key; });
    return all;
}

} // namespace

Belief::Belief(const EvidenceTable& table) : table_(&table), done_(table.checks.size()) {
    logs_.resize(table.priors.size());
    std::ranges::transform(table.priors, logs_.begin(), &asLog);
    p_ = table.priors;
}

Belief::Likelihoods Belief::tempered(std::size_t check) const {
    const Check& c = table_->checks[check];
    Likelihoods all;
    std::ranges::transform(c.outcomes, std::back_inserter(all), &Outcome::likelihoods);
    const bool again = !c.group.empty() && std::ranges::any_of(seen_, [&](const Seen& s) {
        return table_->checks[s.check].group == c.group;
    });
    if (!again) {
        return all;
    }
    for (std::size_t f = 0; f < table_->faults.size(); ++f) {
        double sum{};
        for (auto& row : all) {
            row[f] = std::sqrt(row[f]);
            sum += row[f];
        }
        for (auto& row : all) {
            row[f] /= sum;
        }
    }
    return all;
}

Done Belief::add(const Evidence& evidence) {
    const auto check = table_->check(evidence.check);
    if (!check) {
        return unknown("evidence", "check", evidence.check, keys(table_->checks));
    }
    if (done_[*check]) {
        return Error{"evidence",
                     say(YF_WORDS("core", "'%1' stands twice"), evidence.check),
                     "a check counts once: give what its readings say together"};
    }
    const auto& outcomes = table_->checks[*check].outcomes;
    const auto outcome = std::ranges::find(outcomes, evidence.outcome, &Outcome::key);
    if (outcome == outcomes.end()) {
        return unknown("evidence",
                       say(YF_WORDS("core", "outcome of %1"), evidence.check),
                       evidence.outcome,
                       keys(outcomes));
    }
    const auto o = static_cast<std::size_t>(outcome - outcomes.begin());
    const std::vector<double> likelihoods = tempered(*check)[o];
    for (std::size_t f = 0; f < logs_.size(); ++f) {
        logs_[f] += asLog(likelihoods[f]);
    }
    p_ = normalised(logs_);
    done_[*check] = true;
    seen_.push_back({*check, o, likelihoods});
    return done();
}

double Belief::entropy() const {
    return bits(p_);
}

bool Belief::boxOpened() const {
    return std::ranges::any_of(seen_,
                               [&](const Seen& s) { return table_->checks[s.check].opensBox; });
}

double Belief::gain(std::size_t check) const {
    double expected{};
    for (const auto& likelihoods : tempered(check)) {
        std::vector<double> after(p_.size());
        std::ranges::transform(p_, likelihoods, after.begin(), std::multiplies{});
        const double P = std::accumulate(after.begin(), after.end(), 0.0);
        if (P <= 0.0) {
            continue;
        }
        for (double& value : after) {
            value /= P;
        }
        expected += P * bits(after);
    }
    return std::max(entropy() - expected, 0.0);
}

bool Belief::amplifierBarred() const {
    if (p_[*table_->fault("shorted_turns")] > shortedLimit) {
        return true;
    }
    return std::ranges::any_of(seen_, [&](const Seen& s) {
        const Check& check = table_->checks[s.check];
        return std::ranges::any_of(alarms, [&](const Alarm& alarm) {
            return alarm.check == check.key && alarm.outcome == check.outcomes[s.outcome].key;
        });
    });
}

bool Belief::isBarred(std::size_t check) const {
    return table_->checks[check].drivesFromAmplifier && amplifierBarred();
}

std::vector<std::string> Belief::barred() const {
    std::vector<std::string> all;
    for (std::size_t c = 0; c < table_->checks.size(); ++c) {
        if (isBarred(c)) {
            all.push_back(table_->checks[c].key);
        }
    }
    return all;
}

std::size_t Belief::leader() const {
    return static_cast<std::size_t>(std::ranges::max_element(p_) - p_.begin());
}

void Belief::explain(Diagnosis& d, std::size_t first, std::size_t second) const {
    std::vector<double> amounts(seen_.size());
    std::vector<double> sizes(seen_.size());
    for (std::size_t k = 0; k < seen_.size(); ++k) {
        const auto& L = seen_[k].likelihoods;
        amounts[k] = (asLog(L[first]) - asLog(L[second])) / std::numbers::ln2;
        sizes[k] = std::abs(amounts[k]);
        if (*std::ranges::max_element(L) >= hardly * L[first]) {
            d.unexplained.push_back(table_->checks[seen_[k].check].key);
        }
    }
    for (const std::size_t k : byFallingValue(sizes)) {
        d.explainChecks.push_back(table_->checks[seen_[k].check].key);
        d.explainBits.push_back(amounts[k]);
    }
}

Diagnosis Belief::diagnosis() const {
    Diagnosis d{.faults = table_->faults, .probabilities = p_, .entropy = entropy()};
    const auto order = byFallingValue(p_);
    for (const std::size_t f : order) {
        d.ranking.push_back(table_->faults[f]);
        if (p_[f] > stillPossible) {
            d.possible.push_back(table_->faults[f]);
        }
    }
    d.top = d.ranking.front();
    d.topP = p_[order.front()];
    if (order.size() > 1) {
        explain(d, order[0], order[1]);
    }
    d.barred = barred();
    d.done = d.topP >= enough;
    return d;
}

Result<Belief> beliefFrom(const EvidenceTable& table, const std::vector<Evidence>& evidence) {
    Belief belief(table);
    for (const Evidence& e : evidence) {
        YF_TRY(added, belief.add(e));
        static_cast<void>(added);
    }
    return belief;
}

Result<Diagnosis> diagnose(const DiagnoseRequest& request) {
    YF_TRY(table, adjusted(shippedTable(), request.priors, request.likelihoods));
    YF_TRY(belief, beliefFrom(table, request.evidence));
    return belief.diagnosis();
}

} // namespace yf::bench
