// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/study/box.h"

#include <QImage>
#include <QWidget>

namespace yf::app {

/// By what a map is shaded.
enum class MapShade { f3, peak, groupDelay, speed, level };

/// Every box of a driver: volume across, tuning up. Shades and contour lines tell one quality; what
/// fails a wish is hatched and named; named shapes and the present box are marked.
///
/// A click or a drag takes a box. Keys: arrows move the present box by a twentieth of an octave.
class MapView final : public QWidget {
    Q_OBJECT

public:
    explicit MapView(QWidget* parent = nullptr);

    struct Shown {
        std::shared_ptr<const box::BoxMap> map;
        box::Wishes wishes;
        std::vector<study::NamedBox> named;
        double Vb{};
        double fb{};
        MapShade shade{};
    };

    void display(const Shown& shown);

    /// Where a box is drawn, and which box a place is.
    [[nodiscard]] QPointF at(double Vb, double fb) const;
    [[nodiscard]] std::pair<double, double> boxAt(const QPointF& place) const;

    [[nodiscard]] QSize sizeHint() const override { return {460, 420}; }

Q_SIGNALS:
    void taken(double Vb, double fb);
    void released();
    void hovered(double Vb, double fb);

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void changeEvent(QEvent* event) override;

private:
    [[nodiscard]] QRectF field() const;
    [[nodiscard]] double value(std::size_t v, std::size_t t) const;
    void shade();
    /// A label's place, moved down until no mark stands in it.
    [[nodiscard]] QRectF clearOfMarks(QRectF box) const;
    void paintContours(QPainter& painter) const;
    /// Shades out what fails a wish; where the name of each such region belongs.
    [[nodiscard]] std::vector<std::pair<QPointF, QString>> paintHatch(QPainter& painter) const;
    void paintNames(QPainter& painter, const std::vector<std::pair<QPointF, QString>>& names) const;
    void paintLowest(QPainter& painter) const;
    void paintAxes(QPainter& painter) const;
    void paintMarks(QPainter& painter) const;

    Shown shown_;
    QImage shades_;
    bool held_{};
};

/// "f3", "Hz": name and unit of a shade.
[[nodiscard]] QString shadeName(MapShade shade);
[[nodiscard]] QString shadeValue(MapShade shade, double value);
[[nodiscard]] double qualityOf(const box::Qualities& box, MapShade shade);
[[nodiscard]] QString wishName(box::Wish wish);

} // namespace yf::app
