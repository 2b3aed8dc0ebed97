// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/quantity/quantities.h"

#include <array>
#include <numbers>
#include <optional>

namespace yf::driver {

/// The figures of a data sheet that hang together.
enum class Figure {
    Re,
    fs,
    Qms,
    Qes,
    Qts,
    Vas,
    Sd,
    Bl,
    Mms,
    Mmd,
    Cms,
    Rms,
    eta0,
    sensitivity1w,
    sensitivity2v83
};

inline constexpr std::size_t figureCount = 15;

/// One value for each figure, SI (levels in dB); absent: not given, or not determined.
using Figures = std::array<std::optional<double>, figureCount>;

/// Key, unit and range of a figure.
[[nodiscard]] const quantity::Quantity& quantityOf(Figure figure);

[[nodiscard]] inline std::size_t index(Figure figure) {
    return static_cast<std::size_t>(figure);
}

/// Whether a figure is a level, which is compared by its power.
[[nodiscard]] inline bool isLevel(std::size_t figure) {
    return figure == index(Figure::sensitivity1w) || figure == index(Figure::sensitivity2v83);
}

/// Nepers of power in one decibel.
inline constexpr double perDecibel = std::numbers::ln10 / 10.0;

} // namespace yf::driver
