// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/evaluation/directions.h"

#include <QImage>
#include <QWidget>

namespace yf::app {

/// Level over frequency and angle, re the level on the axis at each frequency: shades in steps of
/// 3 dB, darker is quieter, more than 3 dB louder in the accent. Lines across are the ears of those
/// who sit and stand; those upright are the crossovers; rings are nulls by the spacing of a pair.
class AngleView final : public QWidget {
    Q_OBJECT

public:
    explicit AngleView(QWidget* parent = nullptr);

    struct Line {
        double angle{}; ///< rad
        QString text;
    };

    struct Shown {
        std::shared_ptr<const evaluation::AngleMap> map;
        QVector<Line> ears;
        QVector<double> crossovers;           ///< Hz
        QVector<QPair<double, double>> nulls; ///< Hz, rad
        QString note;                         ///< what the map rests on
    };

    void display(const Shown& shown);

    /// Level re the axis at a frequency and angle as shown, dB; for tests and the pointer's
    /// reading.
    [[nodiscard]] double levelAt(double frequency, double angle) const;

    [[nodiscard]] QSize sizeHint() const override { return {420, 240}; }

protected:
    void paintEvent(QPaintEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void leaveEvent(QEvent* event) override;
    void changeEvent(QEvent* event) override;

private:
    [[nodiscard]] QRectF field() const;
    [[nodiscard]] double acrossOf(double frequency) const;
    [[nodiscard]] double downOf(double angle) const;
    void shade();
    void paintTaken(QPainter& painter, const QRectF& f) const;
    void describe();

    Shown shown_;
    QImage shades_;
    std::optional<QPointF> pointer_;
};

} // namespace yf::app
