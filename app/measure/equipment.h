// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <QString>

/// What is known of somebody's sound devices: it belongs to them, not to a job.
namespace yf::app::equipment {

/// Calibration of a device, as take::writeCalibration writes it; empty: none.
[[nodiscard]] QString calibration(const QString& device);
void setCalibration(const QString& device, const QString& text);

/// No sweep is played louder, dB peak re full scale.
[[nodiscard]] double highestLevel();
void setHighestLevel(double level);

} // namespace yf::app::equipment
