// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/stage/stage.h"
#include "core/findings/rules.h"

#include <QColor>
#include <QString>

#include <vector>

namespace yf::app {

/// What one rule has found: a card of the panel.
struct FindingGroup {
    std::size_t rule{};
    std::vector<std::size_t> findings; ///< indices among the judgement's findings
};

/// What is not set aside, most urgent first; of equal gravity what is about the chosen cabinet
/// comes first, within a group too.
[[nodiscard]] std::vector<FindingGroup> groupsOf(const Sight& sight);

/// Shape, colour and word: a fault differs from a caution by more than its hue.
struct SeverityMark {
    QString shape;
    QColor colour;
    QString word;
};

[[nodiscard]] SeverityMark markOf(findings::Severity severity);

/// "■ 1× stop   ▲ 2× fault", as rich text.
[[nodiscard]] QString countsOf(const std::vector<FindingGroup>& groups);

} // namespace yf::app
