// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <QVector>

class QWidget;

namespace yf::app {

class Stage;

/// All stages that work, in the order of the route.
[[nodiscard]] QVector<Stage*> makeStages(QWidget* parent);

} // namespace yf::app
