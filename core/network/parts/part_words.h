// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/network/parts/part.h"

#include <optional>
#include <string>

namespace yf::network {

/// "6.8 µF", "0.35 mH", "3.3 Ω": a part's value as the trade writes it, so many significant digits.
[[nodiscard]] std::string valueText(PartKind kind, double value, int digits = 4);

/// A value that is possible but far outside what networks use, as a question for the person who
/// typed it; nothing for a usual one.
[[nodiscard]] std::optional<Words> questionAbout(const Part& part);

} // namespace yf::network
