// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/findings/rule.h"

#include <optional>
#include <span>
#include <string_view>

namespace yf::findings {

/// The whole table, in its own order.
[[nodiscard]] std::span<const Rule> rules();

/// Index of the rule of that id, or nothing.
[[nodiscard]] std::optional<std::size_t> findRule(std::string_view id);

/// What would have to be known to check the rules of a group ("bench"): a sentence's end.
[[nodiscard]] std::string_view neededFor(std::string_view group);

} // namespace yf::findings
