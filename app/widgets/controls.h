// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <QString>

class QComboBox;
class QLayout;
class QToolButton;
class QWidget;

namespace yf::app {

/// A choice that takes room for so many letters, however long its entries are.
[[nodiscard]] QComboBox*
narrowCombo(QWidget* parent, const QString& name, const QString& accessible, int letters);

/// One of the chips that lead from page to page.
[[nodiscard]] QToolButton* chip(QWidget* parent, const QString& name, const QString& text);

/// A word with its control behind it, so wide, as one piece of a flowing row.
QWidget* addLabelled(QLayout* row, const QString& text, QWidget* control, int width);

} // namespace yf::app
