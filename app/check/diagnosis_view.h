// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/evaluation/bench.h"

#include <QWidget>

class QPainter;

namespace yf::app {

/// The ranked faults as bars that run towards the corridor in which the verdict counts as settled,
/// and under them how much each piece of evidence speaks for the leader or against it.
class DiagnosisView final : public QWidget {
    Q_OBJECT

public:
    explicit DiagnosisView(QWidget* parent = nullptr);

    void display(const evaluation::DriverBench& bench);

    [[nodiscard]] QSize sizeHint() const override;

    [[nodiscard]] QSize minimumSizeHint() const override { return sizeHint(); }

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    struct Bar {
        QString name;
        double probability{};
    };

    struct Reason {
        QString what;
        double bits{};
    };

    int drawBars(QPainter& painter) const;
    int drawReasons(QPainter& painter, int y) const;

    QVector<Bar> bars_;
    double others_{};
    int otherCount_{};
    QVector<Reason> reasons_;
    QString second_; ///< what the leader is compared with
    QString unexplained_;
};

} // namespace yf::app
