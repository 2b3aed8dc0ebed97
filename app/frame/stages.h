// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/stage/place.h"
#include "core/findings/judge.h"

#include <QVector>

#include <vector>

class QWidget;

namespace yf::app {

class Stage;

/// All stages that work, in the order of the route.
[[nodiscard]] QVector<Stage*> makeStages(QWidget* parent);

/// Where a job opens: the whole speaker at a glance.
[[nodiscard]] Place firstPlace();

/// Where a driver that was chosen is looked at.
[[nodiscard]] Place driverPlace();

/// Where a figure of the line at the bottom is drawn: "impedance", "response" …
[[nodiscard]] Place figurePlace(const QString& figure);

/// Where the eye is led to see what a rule found; `scopes` are the facts it was found in.
[[nodiscard]] Place findingPlace(const findings::Finding& finding,
                                 const std::vector<findings::Scope>& scopes);

} // namespace yf::app
