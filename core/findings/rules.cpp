// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/findings/rules.h"

#include "core/base/words.h"
#include "core/findings/rules/tables.h"

#include <algorithm>
#include <vector>

namespace yf::findings {

std::span<const Rule> rules() {
    static const std::vector<Rule> all = [] {
        std::vector<Rule> joined;
        for (const std::span<const Rule> part : {table::benchRules(),
                                                 table::recordingRules(),
                                                 table::driverRules(),
                                                 table::boxRules(),
                                                 table::circuitRules(),
                                                 table::responseRules(),
                                                 table::repairRules()}) {
            joined.insert(joined.end(), part.begin(), part.end());
        }
        return joined;
    }();
    return all;
}

std::optional<std::size_t> findRule(std::string_view id) {
    const std::span<const Rule> all = rules();
    const auto found = std::ranges::find(all, id, &Rule::id);
    return found == all.end() ? std::nullopt
                              : std::optional(static_cast<std::size_t>(found - all.begin()));
}

std::string_view neededFor(std::string_view group) {
    static constexpr std::pair<std::string_view, std::string_view> needs[] = {
        {"bench", YF_WORDS("core", "readings at the bench, and what is printed on the driver")},
        {"meas", YF_WORDS("core", "a recording made here, and how it was made")},
        {"driver", YF_WORDS("core", "the driver's parameters")},
        {"box", YF_WORDS("core", "the data of the box")},
        {"port", YF_WORDS("core", "the data of the port")},
        {"net", YF_WORDS("core", "ratings and markings of the parts")},
        {"align", YF_WORDS("core", "responses with phase of neighbouring drivers")},
        {"polar", YF_WORDS("core", "takes at angles")},
        {"decay", YF_WORDS("core", "an impulse response long enough for its decay")},
        {"pair", YF_WORDS("core", "both cabinets of a pair, measured alike")},
        {"cost", YF_WORDS("core", "what the repair costs and the speaker is worth")},
        {"safe", YF_WORDS("core", "the amplifier and what is planned with it")}};
    const auto* found = std::ranges::find(needs, group, [](const auto& n) { return n.first; });
    return found == std::end(needs) ? std::string_view{} : found->second;
}

} // namespace yf::findings
