// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/findings/dismissal.h"

#include "core/findings/rules.h"

#include <algorithm>

namespace yf::findings {

Limits limitsOf(const job::Job& job) {
    Limits limits;
    for (const job::RuleLimit& limit : job.limits) {
        limits.insert_or_assign(limit.rule, limit.limit);
    }
    return limits;
}

job::Dismissal dismissalFor(const Finding& finding) {
    return {.rule = std::string(rules()[finding.rule].id),
            .cabinet = finding.subject.cabinet,
            .driver = finding.subject.driver,
            .other = finding.subject.other,
            .part = finding.subject.part,
            .take = finding.subject.take};
}

const job::Dismissal* dismissalOf(const job::Job& job, const Finding& finding) {
    const job::Dismissal about = dismissalFor(finding);
    const auto found = std::ranges::find_if(job.dismissals, [&](const job::Dismissal& dismissal) {
        job::Dismissal bare = dismissal;
        bare.note.clear();
        bare.date.clear();
        return bare == about;
    });
    return found == job.dismissals.end() ? nullptr : &*found;
}

} // namespace yf::findings
