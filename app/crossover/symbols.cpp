// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/crossover/symbols.h"

#include <QPainterPath>

namespace yf::app {

namespace {

constexpr double half = 13.0; ///< half of the length of a symbol with its leads

QPainterPath resistor() {
    QPainterPath path;
    path.moveTo(-half, 0.0);
    path.lineTo(-9.0, 0.0);
    path.addRect(-9.0, -3.5, 18.0, 7.0);
    path.moveTo(9.0, 0.0);
    path.lineTo(half, 0.0);
    return path;
}

QPainterPath coil() {
    QPainterPath path;
    path.moveTo(-half, 0.0);
    path.lineTo(-10.0, 0.0);
    constexpr double step = 5.0;
    for (int turn = 0; turn < 4; ++turn) {
        const double left = -10.0 + turn * step;
        path.arcTo(QRectF(left, -step / 2.0, step, step), 180.0, -180.0);
    }
    path.lineTo(half, 0.0);
    return path;
}

QPainterPath capacitor() {
    QPainterPath path;
    path.moveTo(-half, 0.0);
    path.lineTo(-2.5, 0.0);
    path.moveTo(-2.5, -8.0);
    path.lineTo(-2.5, 8.0);
    path.moveTo(2.5, -8.0);
    path.lineTo(2.5, 8.0);
    path.moveTo(2.5, 0.0);
    path.lineTo(half, 0.0);
    return path;
}

} // namespace

void drawSymbol(QPainter& painter, network::PartKind kind, const QRectF& room, Lying lying) {
    painter.save();
    painter.translate(room.center());
    if (lying == Lying::down) {
        painter.rotate(90.0);
    }
    painter.setBrush(Qt::NoBrush);
    switch (kind) {
    case network::PartKind::resistor:
        painter.drawPath(resistor());
        break;
    case network::PartKind::coil:
        painter.drawPath(coil());
        break;
    case network::PartKind::capacitor:
        painter.drawPath(capacitor());
        break;
    }
    painter.restore();
}

void drawLoudspeaker(QPainter& painter, const QRectF& room) {
    painter.save();
    painter.translate(room.center());
    painter.setBrush(Qt::NoBrush);
    painter.drawRect(QRectF(-8.0, -6.0, 6.0, 12.0));
    const QPolygonF cone{{-2.0, -6.0}, {7.0, -12.0}, {7.0, 12.0}, {-2.0, 6.0}};
    painter.drawPolygon(cone);
    painter.restore();
}

void drawControl(QPainter& painter, const QRectF& room) {
    drawSymbol(painter, network::PartKind::resistor, room.translated(0.0, 4.0), Lying::across);
    painter.save();
    painter.translate(room.center());
    painter.drawLine(QPointF(0.0, -12.0), QPointF(0.0, 0.5));
    painter.drawLine(QPointF(-3.0, -4.0), QPointF(0.0, 0.5));
    painter.drawLine(QPointF(3.0, -4.0), QPointF(0.0, 0.5));
    painter.restore();
}

void drawAmplifier(QPainter& painter, const QRectF& room) {
    const QPointF right(room.right(), room.center().y());
    painter.drawPolygon(
        QPolygonF{{room.left() + 4.0, room.top()}, right, {room.left() + 4.0, room.bottom()}});
}

} // namespace yf::app
