// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/job.h"

#include <QString>

#include <optional>

namespace yf::app {

/// What a plot shows decides its house scale, ticks and the form of its readings.
using PlotKind = job::ScaleKind;

/// The built-in scale of a kind: 20 Hz to 20 kHz with 50 dB, ±180° or 1 to 100 Ω; −1 to 20 ms.
[[nodiscard]] const job::HouseScale& builtInScale(PlotKind kind);

/// The one sealed in the job, or nothing.
[[nodiscard]] std::optional<job::HouseScale> sealedScale(const job::Job& job, PlotKind kind);

/// Axes: a decade each or linear.
[[nodiscard]] bool acrossIsLogarithmic(PlotKind kind);
[[nodiscard]] bool upIsLogarithmic(PlotKind kind);

/// "86.4 dB", "−31°", "3.31 Ω": a value as it is read off.
[[nodiscard]] QString valueText(PlotKind kind, double value);

/// "2.5 kHz", "3.2 ms": a place on the axis.
[[nodiscard]] QString placeText(PlotKind kind, double at);

/// "50–100 dB, 20 Hz–20 kHz"
[[nodiscard]] QString scaleText(const job::HouseScale& scale);

/// "db", "deg", "ohm", "of_peak": the unit in the head of a column.
[[nodiscard]] QString unitKey(PlotKind kind);

} // namespace yf::app
