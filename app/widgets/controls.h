// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <QStringList>

#include <utility>

class QComboBox;
class QLayout;
class QSpinBox;
class QTableWidget;
class QToolButton;
class QWidget;

namespace yf::app {

/// A choice that takes room for so many letters, however long its entries are.
[[nodiscard]] QComboBox*
narrowCombo(QWidget* parent, const QString& name, const QString& accessible, int letters);

/// A whole number between two limits.
[[nodiscard]] QSpinBox* countField(QWidget* parent,
                                   const QString& name,
                                   const QString& accessible,
                                   const std::pair<int, int>& limits);

/// A table to look at and choose a row of; the wide column takes the room that is left.
[[nodiscard]] QTableWidget* readTable(QWidget* parent,
                                      const QString& name,
                                      const QString& accessible,
                                      const QStringList& columns,
                                      int wide = 0);

/// One of the chips that lead from page to page.
[[nodiscard]] QToolButton* chip(QWidget* parent, const QString& name, const QString& text);

/// A word with its control behind it, so wide, as one piece of a flowing row.
QWidget* addLabelled(QLayout* row, const QString& text, QWidget* control, int width);

} // namespace yf::app
