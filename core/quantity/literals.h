// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

/// Units that give SI values in demo, tests and defaults: 6.8_uF, 0.35_mH, 12.0_cm.
namespace yf::literals {

constexpr double operator""_uF(long double v) {
    return static_cast<double>(v * 1e-6L);
}

constexpr double operator""_mH(long double v) {
    return static_cast<double>(v * 1e-3L);
}

constexpr double operator""_cm(long double v) {
    return static_cast<double>(v * 1e-2L);
}

constexpr double operator""_mm(long double v) {
    return static_cast<double>(v * 1e-3L);
}

constexpr double operator""_us(long double v) {
    return static_cast<double>(v * 1e-6L);
}

constexpr double operator""_kHz(long double v) {
    return static_cast<double>(v * 1e3L);
}

} // namespace yf::literals
