// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/stage/stage.h"
#include "core/take/export.h"

class QLabel;
class QPushButton;
class QStackedWidget;
class QToolButton;

namespace yf::app {

class AnglesPage;
class CurvesPage;
class DecayPage;
class HandPage;
class MergePage;
class ParametersPage;
class RecordPage;
class TakeList;
class TakeWorks;
class TimePage;

/// Measuring: recording takes, and what each says. The list of takes stands at the left, the page
/// of the moment beside it. Tables dropped anywhere here are given to the driver chosen.
class MeasureStage final : public Stage {
    Q_OBJECT

public:
    explicit MeasureStage(QWidget* parent = nullptr);

    [[nodiscard]] QString id() const override { return QStringLiteral("measure"); }

    [[nodiscard]] QString title() const override { return tr("Measure"); }

    [[nodiscard]] int place() const override { return 3; }

    [[nodiscard]] bool followsDriver() const override { return true; }

    [[nodiscard]] bool working() const override;

    [[nodiscard]] QString state(const Sight& sight) const override;
    void display(const Sight& sight) override;

    /// "curves", "record", "time", "decay", "merge", "angles", "parameters", "hand", each perhaps
    /// with takes to choose behind it ("time:take-17"); "sweep" records, "calibrations" shows what
    /// is taken off. Others lead to the curves.
    bool go(const Place& place) override;

protected:
    void dragEnterEvent(QDragEnterEvent* event) override;
    void dropEvent(QDropEvent* event) override;

private:
    void showPage(int page);
    void showTakes();
    void exportTake(const QString& id, take::TakeFormat format);

    Sight sight_;
    TakeWorks* works_{};
    QLabel* name_{};
    QPushButton* open_{};
    QVector<QToolButton*> tabs_;
    QStackedWidget* pages_{};
    TakeList* takes_{};
    CurvesPage* curves_{};
    RecordPage* record_{};
    TimePage* time_{};
    DecayPage* decay_{};
    MergePage* merge_{};
    AnglesPage* angles_{};
    ParametersPage* parameters_{};
    HandPage* hand_{};
};

} // namespace yf::app
