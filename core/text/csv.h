// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <string>

namespace yf::text {

/// Text as a cell of a table with commas: quoted where it holds what separates cells (RFC 4180).
[[nodiscard]] std::string csvCell(const std::string& text);

} // namespace yf::text
