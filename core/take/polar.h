// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/job.h"
#include "core/measure/polar.h"

#include <string>
#include <vector>

namespace yf::take {

/// The takes from several angles of one driver, or of a whole cabinet, on one axis.
struct PolarSet {
    measure::PolarRequest request;
    std::vector<std::string> takes; ///< ids, one for each of the request's curves
    std::vector<std::string> older; ///< ids left out for a later take from the same place
    bool simulated{};
};

/// Responses of the far field, single or imported; of several from one angle the last one. Levels
/// at the design frequencies that all of them hold and trust. An empty driver: the whole cabinet.
/// Fails in words: no take on the axis, fewer than two angles, nothing held in common.
[[nodiscard]] Result<PolarSet> polarSetOf(const job::Job& job,
                                          const std::string& cabinet,
                                          const std::string& driver,
                                          measure::Fill fill);

} // namespace yf::take
