// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/controls.h"

#include <QComboBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QToolButton>

namespace yf::app {

QComboBox*
narrowCombo(QWidget* parent, const QString& name, const QString& accessible, int letters) {
    auto* box = new QComboBox(parent);
    box->setObjectName(name);
    box->setAccessibleName(accessible);
    box->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    box->setMinimumContentsLength(letters);
    return box;
}

QToolButton* chip(QWidget* parent, const QString& name, const QString& text) {
    auto* button = new QToolButton(parent);
    button->setObjectName(name);
    button->setText(text);
    button->setCheckable(true);
    button->setProperty("chip", true);
    return button;
}

QWidget* addLabelled(QLayout* row, const QString& text, QWidget* control, int width) {
    auto* pair = new QWidget(row->parentWidget());
    auto* both = new QHBoxLayout(pair);
    both->setContentsMargins(0, 0, 0, 0);
    both->setSpacing(4);
    auto* label = new QLabel(text, pair);
    label->setBuddy(control);
    control->setFixedWidth(width);
    both->addWidget(label);
    both->addWidget(control);
    row->addWidget(pair);
    return pair;
}

} // namespace yf::app
