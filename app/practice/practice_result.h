// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/sim/practice.h"

#include <QWidget>

class QGridLayout;
class QLabel;

namespace yf::app {

/// The truth, the points, what each check told of it, and the way that the advice would have gone.
class PracticeResultView final : public QWidget {
    Q_OBJECT

public:
    explicit PracticeResultView(QWidget* parent = nullptr);

    void display(const sim::PracticeResult& result);

private:
    void cell(QGridLayout* grid, int row, int column, const QString& text, bool quiet = false);

    QLabel* verdict_{};
    QLabel* truth_{};
    QLabel* points_{};
    QLabel* score_{};
    QLabel* unsafe_{};
    QWidget* own_{};
    QWidget* route_{};
};

} // namespace yf::app
