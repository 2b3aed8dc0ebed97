// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/findings/finding_groups.h"

#include "app/theme/theme.h"
#include "core/findings/dismissal.h"

#include <QCoreApplication>
#include <QStringList>

#include <algorithm>
#include <array>

namespace yf::app {

namespace {

using findings::Finding;
using findings::Severity;

/// The panel's words.
struct Said {
    Q_DECLARE_TR_FUNCTIONS(yf::app::FindingsPanel)
};

} // namespace

SeverityMark markOf(Severity severity) {
    const Theme& t = theme();
    switch (severity) {
    case Severity::stop:
        return {QStringLiteral("■"), t.stop, Said::tr("stop")};
    case Severity::fault:
        return {QStringLiteral("▲"), t.stop, Said::tr("fault")};
    case Severity::caution:
        return {QStringLiteral("▲"), t.mind, Said::tr("mind")};
    case Severity::hint:
        return {QStringLiteral("●"), t.ink, Said::tr("note")};
    }
    return {};
}

std::vector<FindingGroup> groupsOf(const Sight& sight) {
    const findings::Judgement& judgement = sight.present->findings.judgement;
    std::vector<FindingGroup> groups;
    for (std::size_t i = 0; i < judgement.findings.size(); ++i) {
        const Finding& finding = judgement.findings[i];
        if (findings::dismissalOf(sight.present->job, finding) != nullptr) {
            continue;
        }
        auto group = std::ranges::find(groups, finding.rule, &FindingGroup::rule);
        if (group == groups.end()) {
            groups.push_back({finding.rule, {}});
            group = groups.end() - 1;
        }
        group->findings.push_back(i);
    }
    const auto here = [&](std::size_t index) {
        const findings::Subject& subject = judgement.findings[index].subject;
        return subject.cabinet == sight.cabinet || subject.other == sight.cabinet;
    };
    // Of equal gravity, what is about the cabinet on the desk comes first.
    std::ranges::stable_sort(groups, {}, [&](const FindingGroup& group) {
        return std::pair{findings::rules()[group.rule].severity,
                         std::ranges::none_of(group.findings, here)};
    });
    for (FindingGroup& group : groups) {
        // What lies on the desk comes first within a card.
        std::ranges::stable_partition(group.findings, here);
    }
    return groups;
}

QString countsOf(const std::vector<FindingGroup>& groups) {
    std::array<int, 4> counts{};
    for (const FindingGroup& group : groups) {
        ++counts.at(static_cast<std::size_t>(findings::rules()[group.rule].severity));
    }
    QStringList said;
    for (const Severity severity :
         {Severity::stop, Severity::fault, Severity::caution, Severity::hint}) {
        if (const int count = counts.at(static_cast<std::size_t>(severity)); count > 0) {
            const SeverityMark mark = markOf(severity);
            said << QStringLiteral("<span style='color:%1'>%2</span> %3× %4")
                        .arg(mark.colour.name(), mark.shape)
                        .arg(count)
                        .arg(mark.word);
        }
    }
    return said.isEmpty() ? Said::tr("Nothing found") : said.join(QStringLiteral("   "));
}

} // namespace yf::app
