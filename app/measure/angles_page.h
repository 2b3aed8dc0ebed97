// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/stage/stage.h"
#include "core/take/polar.h"

class QComboBox;
class QLabel;
class QPushButton;
class QToolButton;

namespace yf::app {

class Plot;

/// Responses from several angles of a driver or a cabinet: laid over each other, or their averages
/// for a listener, for the room, and for all the sound there is.
class AnglesPage final : public QWidget {
    Q_OBJECT

public:
    explicit AnglesPage(QWidget* parent = nullptr);

    void display(const Sight& sight);

Q_SIGNALS:
    /// Files of a set are to be chosen.
    void tablesWanted(const QString& driver);

private:
    void again();
    void showCurves(const take::PolarSet& set, quantity::Plane plane);
    void showSummary(const measure::PolarSummary& summary, bool simulated);

    Sight sight_;
    bool chosen_{}; ///< by hand, whose angles
    QComboBox* subject_{};
    QComboBox* shown_{};
    QComboBox* fill_{};
    QToolButton* onAxis_{};
    QPushButton* open_{};
    QLabel* told_{};
    Plot* plot_{};
    Plot* index_{};
};

} // namespace yf::app
