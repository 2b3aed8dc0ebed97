// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/network/parts/e_series.h"

#include <QString>

#include <optional>

class QComboBox;
class QWidget;

namespace yf::app {

class QuantityField;

/// What every search for a network asks: the least load, and the values that it ends in.
[[nodiscard]] QuantityField* leastLoadField(QWidget* parent, const QString& name);

/// Exact values, E6, E12 (chosen) and E24.
[[nodiscard]] QComboBox* endValuesBox(QWidget* parent, const QString& name);

/// The series of that choice; nothing: exact values.
[[nodiscard]] std::optional<network::ESeries> endValues(const QComboBox* box);

/// "0.35 dB".
[[nodiscard]] QString inDecibels(double level);

} // namespace yf::app
