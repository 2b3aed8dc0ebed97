// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/job.h"

namespace yf::job {

/// The name as an id: small letters, digits and dashes, with a number where it is taken.
[[nodiscard]] std::string freshId(const std::string& name, const std::vector<std::string>& taken);

/// "take-17": a name that no take of the job has.
[[nodiscard]] inline std::string freshTakeId(const Job& job) {
    std::size_t number = job.takes.size() + 1;
    while (findTake(job, "take-" + std::to_string(number)) != nullptr) {
        ++number;
    }
    return "take-" + std::to_string(number);
}

} // namespace yf::job
