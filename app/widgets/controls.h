// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <QString>

class QComboBox;
class QWidget;

namespace yf::app {

/// A choice that takes room for so many letters, however long its entries are.
[[nodiscard]] QComboBox*
narrowCombo(QWidget* parent, const QString& name, const QString& accessible, int letters);

} // namespace yf::app
