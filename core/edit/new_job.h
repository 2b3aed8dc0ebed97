// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/job.h"

namespace yf::edit {

/// One way of a new cabinet.
struct NewWay {
    std::string driver; ///< its name for people
    job::Band band{};
    double diameter{0.1}; ///< m, outer

    bool operator==(const NewWay&) const = default;
};

/// What a person says before anything is measured.
struct NewJob {
    std::string title;
    std::string cabinet;
    bool pair{}; ///< two mirrored cabinets, "… left" and "… right"
    std::vector<NewWay> ways;

    bool operator==(const NewJob&) const = default;
};

/// So many ways (1 to 4) with customary bands, names and sizes, from the lowest up.
[[nodiscard]] std::vector<NewWay> customaryWays(int count);

/// Drivers one above the other on a front that has room for them, the highest band on top, and no
/// parts yet. Fails: no title, no way, more than five, a driver without a name.
[[nodiscard]] Result<job::Job> newJob(const NewJob& wanted);

} // namespace yf::edit
