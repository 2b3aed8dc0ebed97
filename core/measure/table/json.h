// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/measure/table/imported_table.h"

#include <string>

namespace yf::measure {

/// A curve as this program's verbs write it: frequencies_hz with levels_db, impedances_ohm or
/// magnitudes_ohm and perhaps phases_deg. Fails with the key that is missing or wrong.
[[nodiscard]] Result<ImportedTable> readJson(const std::string& text);

} // namespace yf::measure
