// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/box/read_back.h"
#include "core/job/job.h"

namespace yf::take {

/// Every impedance of a driver, those made in a box last: a table from elsewhere does not say how
/// it was made.
[[nodiscard]] std::vector<const job::Take*> impedanceTakes(const job::Job& job,
                                                           const std::string& driver);

/// Impedance takes of a driver that were made in a box.
[[nodiscard]] std::vector<const job::Take*> boxTakes(const job::Job& job,
                                                     const std::string& driver);

/// A take made in a box, read with nothing known beside it.
[[nodiscard]] Result<box::ReadBack> readTake(const job::Take& take);

/// Which read-back suits the mounting that a measurement was made with.
[[nodiscard]] box::ReadKind readKindOf(job::Mounting mounting);

} // namespace yf::take
