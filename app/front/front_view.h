// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/front/front_picture.h"
#include "app/plots/band_strip.h"
#include "core/edit/parts.h"

#include <QWidget>

#include <optional>

namespace yf::app {

/// The drawing of a cabinet's front with its drivers at their true places and sizes: the navigator.
///
/// Click a driver, or walk with ↑↓, to choose it. Tables dropped on a driver are given to it.
/// While it is being edited a driver is dragged to its place, an edge of the board to its size;
/// the arrows move the chosen driver by 1 mm (with Shift by 10), Page Up and Page Down walk.
class FrontView final : public QWidget {
    Q_OBJECT

public:
    explicit FrontView(QWidget* parent = nullptr);

    void display(const job::Job& job, const std::string& cabinet, const std::string& chosen);

    void setEditing(bool editing);

    /// Drivers are dragged as with a saw: measured curves are carried on from where they were
    /// taken. Ctrl with the arrows moves the chosen one by 1 mm, with Shift by 10.
    void setSawing(bool sawing);

    [[nodiscard]] bool editing() const { return editing_; }

    /// Middle of a driver in this widget, for tests and for dropping.
    [[nodiscard]] std::optional<QPoint> placeOf(const std::string& driver) const;

    /// Where the board's right and upper edges can be taken.
    [[nodiscard]] QPoint rightEdge() const;
    [[nodiscard]] QPoint upperEdge() const;

    /// Pixels for a metre.
    [[nodiscard]] double pixelsForMetre() const { return scale().pixels; }

    [[nodiscard]] QSize sizeHint() const override { return {192, 330}; }

Q_SIGNALS:
    void chosen(const QString& driver);
    void tablesGiven(const QString& driver, const QStringList& files);
    void edited(const yf::edit::Edit& edit);
    void gestureEnded();

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void keyReleaseEvent(QKeyEvent* event) override;
    void dragEnterEvent(QDragEnterEvent* event) override;
    void dragMoveEvent(QDragMoveEvent* event) override;
    void dragLeaveEvent(QDragLeaveEvent* event) override;
    void dropEvent(QDropEvent* event) override;

private:
    /// What the hand holds.
    struct Grip {
        enum class Kind { driver, right, upper } kind{};
        std::string driver;
        QPointF offset;     ///< from the pointer to the driver's middle
        FrontScale scale{}; ///< of the beginning: the board must not run away from the hand
        QPointF from{};     ///< m, where the driver was
    };

    [[nodiscard]] FrontScale scale() const;
    [[nodiscard]] const FrontSpot* spotAt(const QPointF& point) const;
    [[nodiscard]] std::optional<Grip> gripAt(const QPointF& point) const;
    void follow(const QPointF& point);
    void nudge(double dx, double dy);
    void moveTo(const std::string& driver, double x, double y);
    void choose(qsizetype index);
    void paintGrip(QPainter& painter) const;
    void describe();

    FrontPicture front_;
    BandBars bands_;
    job::Cabinet cabinet_;
    std::string chosen_;
    std::string dropTarget_;
    bool editing_{};
    bool sawing_{};
    std::optional<Grip> grip_;
};

} // namespace yf::app
