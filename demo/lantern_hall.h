// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/record.h"

#include <string>
#include <vector>

/// The demo job: the village cinema's pair of three-way floor-standers as they came in, and the
/// small two-way of its projection room. Faults in it: the left tweeter is wired the wrong way
/// round, the right midrange has shorted turns, a capacitor of the right network has drifted.
namespace yf::demo {

/// A measured table of one driver of the pair.
struct HallTable {
    std::string driver; ///< its id
    std::string name;   ///< of the file
    std::string text;
    bool impedance{};
};

/// Six responses and six impedances, the same byte for byte each time.
[[nodiscard]] std::vector<HallTable> hallTables();

/// The job with its log and the snapshot "as received", made by the edits that a person would
/// make.
[[nodiscard]] Result<job::Record> lanternHall(const std::vector<HallTable>& tables);

} // namespace yf::demo
