// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/edit/circuit.h"

#include "core/edit/apply.h"

#include <algorithm>

namespace yf::edit {

Result<job::Job>
withCircuit(const job::Job& job, const std::string& cabinet, const CircuitChange& change) {
    job::Job changed = job;
    const auto found = std::ranges::find(changed.cabinets, cabinet, &job::Cabinet::id);
    if (found == changed.cabinets.end()) {
        return Error{"cabinet", say(YF_WORDS("core", "'%1' is not in this job"), cabinet), ""};
    }
    YF_TRY(circuit, change(found->circuit));
    found->circuit = std::move(circuit);
    return changed;
}

Edit circuitEdit(const std::string& cabinet,
                 Words name,
                 CircuitChange change,
                 std::string mergeKey) {
    return {std::move(name),
            [cabinet, change = std::move(change)](const job::Job& job) {
                return withCircuit(job, cabinet, change);
            },
            std::move(mergeKey)};
}

} // namespace yf::edit
