// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/findings/rule.h"

#include "core/base/words.h"

#include <algorithm>

namespace yf::findings {

bool toldByJob(const Rule& rule) {
    return std::ranges::all_of(rule.when.facts(),
                               [](const FactUse& use) { return use.kind->origin == Origin::job; });
}

std::string_view severityName(Severity severity) {
    static constexpr std::string_view names[] = {"stop", "fault", "caution", "hint"};
    return names[static_cast<std::size_t>(severity)];
}

std::string_view basisLetter(Basis basis) {
    static constexpr std::string_view letters[] = {"S", "P", "M", "R"};
    return letters[static_cast<std::size_t>(basis)];
}

std::string_view basisName(Basis basis) {
    static constexpr std::string_view names[] = {YF_WORDS("core", "standard"),
                                                 YF_WORDS("core", "published practice"),
                                                 YF_WORDS("core", "physics"),
                                                 YF_WORDS("core", "rule of thumb")};
    return names[static_cast<std::size_t>(basis)];
}

} // namespace yf::findings
