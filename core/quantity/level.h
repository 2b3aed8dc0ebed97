// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <cmath>
#include <complex>
#include <limits>

namespace yf::quantity {

/// Reference pressure of sound levels in air, pascals.
inline constexpr double referencePressure = 20e-6;

/// The customary drive: 1 W into 8 ohms, near enough. Volts rms.
inline constexpr double referenceVoltage = 2.83;

/// 20 lg of a linear gain; minus infinity for 0, which nothing outside ever sees.
[[nodiscard]] inline double decibels(double gain) {
    return 20.0 * std::log10(gain);
}

[[nodiscard]] inline double decibels(std::complex<double> value) {
    return decibels(std::abs(value));
}

[[nodiscard]] inline double gain(double level) {
    return std::pow(10.0, level / 20.0);
}

/// Half the power, dB below.
inline constexpr double halfPower = 3.010299956639812;

/// Standard uncertainties make 95 % limits of a normal distribution (JCGM 100:2008).
inline constexpr double coverage95 = 1.96;

/// Neper-to-decibel factor: d(20 lg x) = 8.6859 dx/x.
inline constexpr double decibelsPerNeper = 8.685889638065036;

} // namespace yf::quantity
