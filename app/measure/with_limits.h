// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <QString>

namespace yf::app {

/// A figure with its unit; a Q has none, and so no prefix.
[[nodiscard]] QString plainOrPrefixed(double value, const char* unit, int digits);

/// "54.2 Hz ± 1.2 %", 95 % limits from a standard uncertainty (a share), with as many digits as
/// they deserve.
[[nodiscard]] QString withLimits(double value, double u, const char* unit);

} // namespace yf::app
