// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <cmath>

namespace yf::quantity {

/// Speed of sound in air at 20 °C and 101.325 kPa, m/s.
inline constexpr double soundSpeed = 343.2;

/// Density of air at 20 °C and 101.325 kPa, kg/m³.
inline constexpr double airDensity = 1.204;

/// At another temperature, °C: 10 K are 1.7 %. Ideal gas.
[[nodiscard]] inline double soundSpeedAt(double celsius) {
    return soundSpeed * std::sqrt((celsius + 273.15) / 293.15);
}

} // namespace yf::quantity
