// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <span>
#include <string>
#include <string_view>

namespace yf::text {

/// The known name with the fewest insertions, deletions, exchanges and changes of case from
/// `given` (Damerau's distance; a change of case counts half). The first one wins a tie.
/// Empty when nothing is known.
[[nodiscard]] std::string nearest(std::string_view given, std::span<const std::string> known);

} // namespace yf::text
