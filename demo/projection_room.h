// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/history.h"

#include <string>

namespace yf::demo {

/// The four tables of the projection-room two-way, as text.
struct Tables {
    std::string campionResponse;
    std::string campionImpedance;
    std::string teaselResponse;
    std::string teaselImpedance;
};

/// Computed anew; equal to the files in demo/tables.
[[nodiscard]] Tables tables();

/// "Lantern Hall projection room": a two-way in the middle of being tuned, built by the edits that
/// a person would make (import four tables, start from the book, exchange parts by hand).
[[nodiscard]] Result<job::History> projectionRoom(const Tables& tables);

} // namespace yf::demo
