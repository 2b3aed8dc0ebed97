// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/labels.h"

#include <QLabel>

namespace yf::app {

QLabel* wrappedLabel(QWidget* parent, const QString& name) {
    auto* label = new QLabel(parent);
    label->setObjectName(name);
    label->setWordWrap(true);
    label->setTextFormat(Qt::PlainText);
    return label;
}

QLabel* wrappedLabel(QWidget* parent, const QString& name, double points, QFont::Weight weight) {
    QLabel* label = wrappedLabel(parent, name);
    QFont font = parent->font();
    font.setPointSizeF(points);
    font.setWeight(weight);
    label->setFont(font);
    return label;
}

QLabel* headingLabel(QWidget* parent, const QString& text) {
    auto* label = new QLabel(text, parent);
    label->setTextFormat(Qt::PlainText);
    QFont font = parent->font();
    font.setWeight(QFont::DemiBold);
    label->setFont(font);
    return label;
}

void tint(QLabel* label, const QColor& colour) {
    QPalette palette = label->palette();
    palette.setColor(QPalette::WindowText, colour);
    label->setPalette(palette);
}

} // namespace yf::app
