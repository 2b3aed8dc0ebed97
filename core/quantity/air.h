// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

namespace yf::quantity {

/// Speed of sound in air at 20 °C and 101.325 kPa, m/s.
inline constexpr double soundSpeed = 343.2;

} // namespace yf::quantity
