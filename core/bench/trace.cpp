// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/bench/trace.h"

#include <algorithm>

namespace yf::bench {

namespace {

using enum Segment;

/// What one answer says of the segments.
struct Says {
    std::string_view check;
    std::string_view outcome;
    std::vector<Segment> rulesOut;
    std::vector<Segment> finds;
};

const std::vector<Says>& table() {
    static const std::vector<Says> all{
        {"swap_lr", "stays_with_channel", {cable, terminals, protectors, network, driver}, {}},
        {"swap_lr", "follows_speaker", {source, amplifier}, {}},
        {"swap_lr",
         "goes_away",
         {source, amplifier, protectors, network, driver},
         {}}, // a contact was moved
        {"cable_contacts", "open_or_noisy", {}, {cable, terminals}},
        {"cable_contacts", "good", {cable, terminals}, {}},
        {"protector", "open", {}, {protectors}},
        {"protector", "continuous", {protectors}, {}},
        {"dcr", "open", {}, {driver}},
        {"dcr", "low", {}, {driver}},
        {"dcr", "drifting", {}, {driver}},
        {"lcr", "open", {}, {driver}},
        {"lcr", "low_r_low_l", {}, {driver}},
        {"lcr", "match", {driver}, {}},
        {"capacitor_test", "open", {}, {network}},
        {"capacitor_test", "off_value", {}, {network}},
        {"resistor_test", "open_or_off", {}, {network}},
        {"resistor_test", "in_tolerance", {network}, {}}};
    return all;
}

/// In this order, and what each would still tell.
struct Question {
    std::string_view check;
    std::vector<Segment> about;
};

const std::vector<Question>& questions() {
    static const std::vector<Question> all{{"protector", {protectors}},
                                           {"cable_contacts", {cable, terminals}},
                                           {"swap_lr", {source, amplifier}},
                                           {"dcr", {driver}},
                                           {"lcr", {driver}},
                                           {"capacitor_test", {network}},
                                           {"resistor_test", {network}}};
    return all;
}

} // namespace

Trace trace(const TraceRequest& request) {
    Trace out;
    const auto standing = [&](Segment s) -> Standing& {
        return out.standings.at(static_cast<std::size_t>(s));
    };
    if (request.noProtectors) {
        standing(protectors) = Standing::notFitted;
    }
    std::vector<std::string> asked;
    for (const Evidence& e : request.evidence) {
        asked.push_back(e.check);
        const auto says = std::ranges::find_if(
            table(), [&](const Says& s) { return s.check == e.check && s.outcome == e.outcome; });
        if (says == table().end()) {
            continue;
        }
        out.lastRules.clear();
        for (const Segment s : says->rulesOut) {
            if (standing(s) == Standing::possible) {
                standing(s) = Standing::ruledOut;
                out.lastRules.emplace_back(segmentNames.at(static_cast<std::size_t>(s)));
            }
        }
        for (const Segment s : says->finds) {
            if (standing(s) != Standing::notFitted) {
                standing(s) = Standing::found;
            }
        }
    }
    const bool found = std::ranges::find(out.standings, Standing::found) != out.standings.end();
    for (const Question& q : questions()) {
        const bool open = std::ranges::any_of(
            q.about, [&](Segment s) { return standing(s) == Standing::possible; });
        if (!open || std::ranges::find(asked, q.check) != asked.end()) {
            continue;
        }
        if (std::ranges::find(request.barred, q.check) != request.barred.end()) {
            out.skipped.emplace_back(q.check);
        } else if (!found && !out.next) {
            out.next = q.check;
        }
    }
    return out;
}

} // namespace yf::bench
