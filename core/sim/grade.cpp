// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/sim/grade.h"

#include "core/bench/next_check.h"

#include <algorithm>
#include <array>

namespace yf::sim {

namespace {

constexpr double verdictFull = 60.0;
constexpr double verdictHalf = 30.0;
constexpr double timeFull = 25.0;
constexpr double safetyFull = 15.0;
constexpr double perCaution = 5.0;
constexpr double unsafeCap = 40.0;

constexpr std::array<std::array<std::string_view, 3>, 3> kin{
    {{"open_coil", "broken_lead_in", ""},
     {"protector_open", "wiring_open", "dirty_contact"},
     {"torn_surround", "loose_former", ""}}};

Result<double> minutes(const GradeRequest& r) {
    const bench::EvidenceTable& table = bench::shippedTable();
    double sum{};
    bool open = r.boxOpen;
    for (const std::string& key : r.checks) {
        const auto c = table.check(key);
        if (!c) {
            std::vector<std::string> keys;
            std::ranges::transform(table.checks, std::back_inserter(keys), &bench::Check::key);
            return bench::unknown("checks", "check", key, keys);
        }
        if (std::ranges::count(r.checks, key) > 1) {
            return Error{"checks",
                         say(YF_WORDS("core", "'%1' stands twice"), key),
                         "each check is named once"};
        }
        sum += bench::minutesOf(table, *c, {}, open);
        open = open || table.checks[*c].opensBox;
    }
    return sum;
}

} // namespace

bool sameConsequence(std::string_view a, std::string_view b) {
    return std::ranges::any_of(kin, [&](const auto& group) {
        return std::ranges::find(group, a) != group.end() &&
               std::ranges::find(group, b) != group.end();
    });
}

Result<Grade> grade(const GradeRequest& r) {
    const bench::EvidenceTable& table = bench::shippedTable();
    for (const auto& [key, fault] : {std::pair{"fault", r.fault}, {"verdict", r.verdict}}) {
        if (!table.fault(fault)) {
            return bench::unknown(key, "fault", fault, table.faults);
        }
    }
    YF_TRY(used, minutes(r));
    Grade out{.used = used};
    const bool right = r.fault == r.verdict;
    if (right) {
        out.verdict = verdictFull;
        out.time = timeFull * (used > 0.0 ? std::min(1.0, r.reference / used) : 1.0);
    } else if (sameConsequence(r.fault, r.verdict)) {
        out.verdict = verdictHalf;
    }
    out.safety = std::max(0.0, safetyFull - perCaution * r.cautionsIgnored);
    out.score = out.verdict + out.time + out.safety;
    const bool dangerous = r.fault == "shorted_turns" && r.verdict == "healthy";
    if (r.barredDone > 0 || dangerous) {
        out.score = std::min(out.score, unsafeCap);
    }
    return out;
}

} // namespace yf::sim
