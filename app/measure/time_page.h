// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/measure/take_works.h"
#include "app/stage/stage.h"

class QComboBox;
class QLabel;
class QPushButton;

namespace yf::app {

class GateView;
class Plot;

/// The response over time with the gate as handles, the curve that it leaves moving along, and its
/// harmonic distortion.
class TimePage final : public QWidget {
    Q_OBJECT

public:
    TimePage(TakeWorks* works, QWidget* parent = nullptr);

    void display(const Sight& sight, const job::Take* take);

Q_SIGNALS:
    void edited(const yf::edit::Edit& edit);

private:
    void again();
    void showCurve(const signal::Gate& gate);
    void showDistortion();

    TakeWorks* works_{};
    std::shared_ptr<const Evaluated> held_;
    const job::Take* take_{};
    std::shared_ptr<const take::MadeTake> made_;
    job::Band band_{};
    GateView* view_{};
    QComboBox* shown_{};
    QPushButton* proposed_{};
    QLabel* told_{};
    Plot* curve_{};
    Plot* distortion_{};
};

} // namespace yf::app
