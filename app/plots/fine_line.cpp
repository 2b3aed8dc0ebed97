// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/plots/fine_line.h"

#include <algorithm>
#include <cmath>

namespace yf::app {

namespace {

/// The same points moved along the normal at each, so that lines from −½ to ½ cover `width`. Qt's
/// line of one pixel is one pixel thick across or upwards, whichever is nearer: at 45° 0.7 along
/// its normal.
void moveAside(
    const QPointF* points, qsizetype count, double share, double width, QVector<QPointF>& moved) {
    moved.resize(count);
    for (qsizetype i = 0; i < count; ++i) {
        const QPointF along =
            points[std::min(i + 1, count - 1)] - points[std::max<qsizetype>(i, 1) - 1];
        const double length = std::hypot(along.x(), along.y());
        if (!(length > 0.0)) {
            moved[i] = points[i];
            continue;
        }
        const double own = std::max(std::abs(along.x()), std::abs(along.y())) / length;
        moved[i] = points[i] +
                   QPointF(-along.y(), along.x()) * (share * std::max(width - own, 0.0) / length);
    }
}

bool fit(const QCPPainter& painter) {
    const QPen pen = painter.pen();
    return pen.style() == Qt::SolidLine && pen.capStyle() == Qt::FlatCap &&
           pen.color().alpha() == 255 && pen.widthF() > 1.0 && pen.widthF() <= 6.0 &&
           !painter.modes().testFlag(QCPPainter::pmVectorized) &&
           painter.transform().type() <= QTransform::TxTranslate &&
           painter.device()->devicePixelRatioF() == 1.0;
}

} // namespace

void drawFineLine(QPainter& painter, const QPointF* points, qsizetype count, double width) {
    constexpr double apart = 0.45; // px: at 0.8 the middle of a level line is seen to be paler
    const QPen wide = painter.pen();
    QPen fine = wide;
    fine.setWidthF(1.0);
    painter.setPen(fine);
    constexpr double thinnest = 0.7;
    // In little more than one pixel a third line would only darken the edges.
    constexpr double two = 1.3;
    const int gaps = width <= 1.0 ? 0
                     : width <= two
                         ? 1
                         : static_cast<int>(std::ceil((width - thinnest) / apart - 0.01));
    QVector<QPointF> moved;
    for (int i = 0; i <= gaps; ++i) {
        const double share = gaps == 0 ? 0.0 : static_cast<double>(i) / gaps - 0.5;
        moveAside(points, count, share, width, moved);
        painter.drawPolyline(moved.constData(), static_cast<int>(count));
    }
    painter.setPen(wide);
}

void FineGraph::drawLinePlot(QCPPainter* painter, const QVector<QPointF>& lines) const {
    if (!fit(*painter)) {
        QCPGraph::drawLinePlot(painter, lines);
        return;
    }
    applyDefaultAntialiasingHint(painter);
    const auto isGap = [](const QPointF& p) {
        return !std::isfinite(p.x()) || !std::isfinite(p.y());
    };
    const double width = painter->pen().widthF();
    for (auto from = lines.begin(); from != lines.end();) {
        const auto to = std::find_if(from, lines.end(), isGap);
        if (to - from > 1) {
            drawFineLine(*painter, &*from, to - from, width);
        }
        from = std::find_if_not(to, lines.end(), isGap);
    }
}

} // namespace yf::app
