// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/controls.h"

#include <QComboBox>

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

} // namespace yf::app
