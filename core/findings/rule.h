// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/findings/condition.h"

#include <string_view>

namespace yf::findings {

enum class Severity {
    stop,    ///< danger, or the result is void
    fault,   ///< broken or wrong
    caution, ///< look again
    hint
};

/// What a rule rests on; always shown, so that nobody takes a rule of thumb for a law.
enum class Basis { standard, published, physics, ruleOfThumb };

/// Where the eye is led to see what a rule found.
enum class Leads { intake, check, polarity, measurement, box, load, response, align };

struct Rule {
    std::string_view id;
    Severity severity{};
    std::string_view what; ///< a headline
    Condition when;
    std::string_view reason; ///< why it matters
    std::string_view next;   ///< what to do
    Basis basis{};
    FigureUnit unit; ///< of the condition's left side
    Leads leads{};
};

/// Whether a job can tell all its facts; one that it cannot is only checked where they are given
/// by hand (`speaker findings`).
[[nodiscard]] bool toldByJob(const Rule& rule);

/// "stop", "fault", "caution", "hint".
[[nodiscard]] std::string_view severityName(Severity severity);

/// "S", "P", "M", "R".
[[nodiscard]] std::string_view basisLetter(Basis basis);

/// "standard", "published practice", "physics", "rule of thumb".
[[nodiscard]] std::string_view basisName(Basis basis);

} // namespace yf::findings
