// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/job.h"

#include <QWidget>

#include <optional>

namespace yf::app {

/// The drawing of a cabinet's front with its drivers at their true places and sizes: the navigator.
///
/// Click a driver, or walk with ↑↓, to choose it. Its ring tells its condition by pattern (filled:
/// sound; hatched: not yet checked; open with a cross: suspect or dead), a stud pair its polarity
/// (+ on top as wired, − on top when reversed). Tables dropped on a driver are given to it.
class FrontView final : public QWidget {
    Q_OBJECT

public:
    explicit FrontView(QWidget* parent = nullptr);

    void display(const job::Job& job, const std::string& cabinet, const std::string& chosen);

    /// Middle of a driver in this widget, for tests and for dropping.
    [[nodiscard]] std::optional<QPoint> placeOf(const std::string& driver) const;

    [[nodiscard]] QSize sizeHint() const override { return {192, 330}; }

Q_SIGNALS:
    void chosen(const QString& driver);
    void tablesGiven(const QString& driver, const QStringList& files);

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void dragEnterEvent(QDragEnterEvent* event) override;
    void dragMoveEvent(QDragMoveEvent* event) override;
    void dragLeaveEvent(QDragLeaveEvent* event) override;
    void dropEvent(QDropEvent* event) override;

private:
    struct Spot {
        std::string driver;
        QString name;
        job::Band band{};
        job::Condition condition{};
        int polarity{1};
        double x{}; ///< m from the middle of the front
        double y{};
        double radius{};

        bool operator==(const Spot&) const = default;
    };

    struct Scale {
        double pixels{}; ///< for a metre
        QPointF middle;
    };

    [[nodiscard]] Scale scale() const;
    [[nodiscard]] QPointF at(const Spot& spot, const Scale& s) const;
    [[nodiscard]] const Spot* spotAt(const QPointF& point) const;
    void paintSpot(class QPainter& painter, const Spot& spot, const Scale& s) const;
    void choose(qsizetype index);

    QVector<Spot> spots_; ///< from top to bottom
    double width_{0.2};
    double height_{0.35};
    QString cabinetName_;
    std::string chosen_;
    std::string dropTarget_;
};

} // namespace yf::app
