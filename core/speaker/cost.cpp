// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/speaker/cost.h"

#include <algorithm>

namespace yf::speaker {

std::optional<Error> check(const CostRequest& request) {
    return request.paths.empty()
               ? std::optional(Error{"paths", "none given", "must be one or more"})
               : std::nullopt;
}

Result<CostAnswer> cost(const CostRequest& request) {
    CostAnswer answer;
    for (const CostPath& path : request.paths) {
        double sure = path.hours * path.rate;
        for (const CostPart& part : path.parts) {
            sure += part.price * part.count;
        }
        const double again = path.reworkPrice + path.reworkHours * path.rate;
        answer.expected.push_back(sure + path.risk * again);
        answer.worst.push_back(sure + again);
    }
    const auto least = std::ranges::min_element(answer.expected) - answer.expected.begin();
    answer.cheapest = request.paths[static_cast<std::size_t>(least)].name;
    return answer;
}

} // namespace yf::speaker
