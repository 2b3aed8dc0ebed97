// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/measure/table/imported_table.h"
#include "core/measure/table/reading.h"

namespace yf::measure {

/// The curves of a grid as a reading understands it: side by side, below each other or interleaved
/// ones are curves of their own, never averaged. Fails with line and column.
[[nodiscard]] Result<std::vector<ImportedTable>> curvesOf(const Grid& grid, const Reading& reading);

} // namespace yf::measure
