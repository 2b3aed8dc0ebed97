// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <QFont>
#include <QString>

class QColor;
class QLabel;
class QWidget;

namespace yf::app {

/// Plain text that wraps, with a name for tests and screen readers' scripts.
[[nodiscard]] QLabel* wrappedLabel(QWidget* parent, const QString& name);

/// The same in another size and weight: a verdict, a heading.
[[nodiscard]] QLabel*
wrappedLabel(QWidget* parent, const QString& name, double points, QFont::Weight weight);

/// One line in bold, over what it names.
[[nodiscard]] QLabel* headingLabel(QWidget* parent, const QString& text);

/// The colour of its text.
void tint(QLabel* label, const QColor& colour);

} // namespace yf::app
