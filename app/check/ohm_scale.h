// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/bench/dcr.h"

#include <QWidget>

namespace yf::app {

/// Where a DC resistance lies: the normal range as a corridor, the twin, the reading with its limit
/// of error.
class OhmScale final : public QWidget {
    Q_OBJECT

public:
    explicit OhmScale(QWidget* parent = nullptr);

    /// Nothing judged: the corridor of `nominal` alone.
    void display(double nominal,
                 const std::optional<bench::DcrJudgement>& judged,
                 std::optional<double> twin);

    [[nodiscard]] QSize minimumSizeHint() const override { return {160, 58}; }

    [[nodiscard]] QSize sizeHint() const override { return minimumSizeHint(); }

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    double nominal_{};
    std::optional<bench::DcrJudgement> judged_;
    std::optional<double> twin_;
};

} // namespace yf::app
