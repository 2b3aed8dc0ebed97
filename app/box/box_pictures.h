// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/box/box_words.h"
#include "app/plots/house_scale.h"
#include "app/plots/trace.h"

namespace yf::app {

/// What the second picture of a box shows.
enum class BoxCurve { travel, speed, delay, impedance, maxLevel };

/// Level with what the driver's doubt makes of it, dashed beyond where the model holds.
[[nodiscard]] Picture boxResponse(const BoxSight& box);

[[nodiscard]] Picture boxCurve(const BoxSight& box, BoxCurve curve);

[[nodiscard]] PlotKind kindOf(BoxCurve curve);

/// 10 Hz to 1 kHz about a level.
[[nodiscard]] job::HouseScale lowScale(double level);

/// Where readings tell boxes apart; an octave above all are alike.
inline constexpr double bassReading = 40.0; // Hz

[[nodiscard]] QVector<double> list(const std::vector<double>& values, double unit = 1.0);

} // namespace yf::app
