// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/job.h"

namespace yf::job {

/// What is different, one short sentence each, in the order cabinets, networks, drivers, takes,
/// judgement: "C1 5.6 µF → 6.8 µF", "Teasel 26 reversed", "L2 (0.33 mH) taken out". Where a job
/// has several cabinets a sentence about one begins with its name. Empty: nothing is different.
[[nodiscard]] std::vector<Words> differences(const Job& before, const Job& after);

} // namespace yf::job
