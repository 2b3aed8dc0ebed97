// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/controls.h"

#include <QComboBox>
#include <QHBoxLayout>
#include <QHeaderView>
#include <QLabel>
#include <QSpinBox>
#include <QTableWidget>
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

QSpinBox* countField(QWidget* parent,
                     const QString& name,
                     const QString& accessible,
                     const std::pair<int, int>& limits) {
    auto* box = new QSpinBox(parent);
    box->setObjectName(name);
    box->setAccessibleName(accessible);
    box->setRange(limits.first, limits.second);
    return box;
}

QTableWidget* readTable(QWidget* parent,
                        const QString& name,
                        const QString& accessible,
                        const QStringList& columns,
                        int wide) {
    auto* table = new QTableWidget(0, static_cast<int>(columns.size()), parent);
    table->setObjectName(name);
    table->setAccessibleName(accessible);
    table->setHorizontalHeaderLabels(columns);
    table->verticalHeader()->hide();
    table->setEditTriggers(QAbstractItemView::NoEditTriggers);
    table->setSelectionBehavior(QAbstractItemView::SelectRows);
    table->setSelectionMode(QAbstractItemView::SingleSelection);
    // Tab leads on to the next control, the arrows from row to row.
    table->setTabKeyNavigation(false);
    table->horizontalHeader()->setSectionResizeMode(QHeaderView::ResizeToContents);
    table->horizontalHeader()->setSectionResizeMode(wide, QHeaderView::Stretch);
    return table;
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
