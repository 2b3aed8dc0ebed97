// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/bench/next_check.h"

#include "core/bench/words.h"
#include "core/text/fields.h"
#include "core/text/given.h"

#include <algorithm>

namespace yf::bench {

namespace {

bool has(const std::vector<std::string>& list, const std::string& word) {
    return std::ranges::find(list, word) != list.end();
}

std::vector<std::string> toolsOf(const EvidenceTable& table) {
    std::vector<std::string> all;
    for (const Check& check : table.checks) {
        for (const std::string& tool : check.tools) {
            if (!has(all, tool)) {
                all.push_back(tool);
            }
        }
    }
    return all;
}

std::vector<std::string> checksOf(const EvidenceTable& table) {
    std::vector<std::string> all;
    std::ranges::transform(table.checks, std::back_inserter(all), &Check::key);
    return all;
}

bool atHand(const Check& check, const Circumstances& c) {
    return !c.tools || std::ranges::all_of(check.tools, [&](const std::string& tool) {
        return has(*c.tools, tool);
    });
}

bool comesBefore(const Offer& a, const Offer& b) {
    if (!a.rate || !b.rate) {
        return !a.rate && b.rate;
    }
    return *a.rate > *b.rate;
}

} // namespace

double
minutesOf(const EvidenceTable& table, std::size_t check, const Circumstances& c, bool boxIsOpen) {
    const Check& row = table.checks[check];
    const auto given =
        std::ranges::find(c.minutes.entries, row.key, &std::pair<std::string, double>::first);
    const double minutes = given == c.minutes.entries.end() ? row.minutes : given->second;
    return minutes + (row.opensBox && !boxIsOpen ? openingMinutes : 0.0);
}

std::vector<Offer> offers(const Belief& belief, const Circumstances& c) {
    std::vector<Offer> all;
    if (belief.probabilities()[belief.leader()] >= enough) {
        return all;
    }
    const EvidenceTable& table = belief.table();
    const bool open = c.boxOpen || belief.boxOpened();
    for (std::size_t k = 0; k < table.checks.size(); ++k) {
        const Check& row = table.checks[k];
        if (belief.isDone(k) || belief.isBarred(k) || has(c.notFitted, row.key) ||
            !atHand(row, c)) {
            continue;
        }
        Offer offer{.check = k, .gain = belief.gain(k), .minutes = minutesOf(table, k, c, open)};
        if (offer.gain < worthAsking) {
            continue;
        }
        if (offer.minutes > 0.0) {
            offer.rate = offer.gain / offer.minutes;
        }
        all.push_back(offer);
    }
    std::ranges::stable_sort(all, &comesBefore);
    return all;
}

std::optional<Error> check(const EvidenceTable& table, const Circumstances& c) {
    const auto tools = toolsOf(table);
    const auto checks = checksOf(table);
    for (const std::string& tool : c.tools.value_or(std::vector<std::string>{})) {
        if (!has(tools, tool)) {
            return unknown("tools", "tool", tool, tools);
        }
    }
    for (const std::string& key : c.notFitted) {
        if (!has(checks, key)) {
            return unknown("not_fitted", "check", key, checks);
        }
    }
    for (const auto& [key, minutes] : c.minutes.entries) {
        if (!has(checks, key)) {
            return unknown("minutes", "check", key, checks);
        }
        if (!(minutes >= 0.0 && minutes <= 240.0)) {
            return Error{text::join("minutes", key),
                         text::given(text::printNumber(minutes)),
                         "must be 0 to 240"};
        }
    }
    return std::nullopt;
}

Result<NextCheck> nextCheck(const NextCheckRequest& request) {
    YF_TRY(table, adjusted(shippedTable(), request.priors, request.likelihoods));
    const Circumstances circumstances{
        request.tools, request.notFitted, request.boxOpen, request.minutes};
    if (auto error = check(table, circumstances)) {
        return *error;
    }
    YF_TRY(belief, beliefFrom(table, request.evidence));
    NextCheck out;
    for (const Offer& offer : offers(belief, circumstances)) {
        out.checks.push_back(table.checks[offer.check].key);
        out.gains.push_back(offer.gain);
        out.times.push_back(offer.minutes);
        out.rates.push_back(offer.rate);
    }
    out.barred = belief.barred();
    out.done = out.checks.empty();
    if (!out.checks.empty()) {
        out.next = out.checks.front();
        for (const std::string& caution : table.checks[*table.check(*out.next)].cautions) {
            out.cautions.push_back(cautionInWords(caution));
        }
    }
    return out;
}

} // namespace yf::bench
