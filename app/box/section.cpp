// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/box/section.h"

#include "app/theme/theme.h"

#include <QPainterPath>

#include <algorithm>
#include <cmath>

namespace yf::app {

namespace {

/// Cut wood: the surface's colour with slanted lines, as sections are hatched (ISO 128-50).
void wood(QPainter& painter, const QPolygonF& outline) {
    const Theme& t = theme();
    painter.setPen(QPen(t.ink, 1.2));
    painter.setBrush(t.ground);
    painter.drawPolygon(outline);
    painter.setPen(Qt::NoPen);
    painter.setBrush(QBrush(t.quietInk, Qt::BDiagPattern));
    painter.drawPolygon(outline);
}

void wood(QPainter& painter, const QRectF& rect) {
    wood(painter, QPolygonF(rect));
}

/// Loose strokes: wool. Placed by a small fixed sequence, so that they do not flicker.
void wool(QPainter& painter, const QRectF& room, job::Fill fill) {
    if (fill == job::Fill::none || room.width() < 4.0 || room.height() < 4.0) {
        return;
    }
    QColor colour = theme().quietInk;
    constexpr float faint = 0.55F;
    colour.setAlphaF(faint);
    painter.setPen(QPen(colour, 1.0));
    painter.setBrush(Qt::NoBrush);
    const double lining = fill == job::Fill::lined ? 12.0 : 0.5 * room.width();
    const double step = fill == job::Fill::full ? 9.0 : fill == job::Fill::half ? 13.0 : 11.0;
    unsigned state = 7U;
    const auto next = [&state] {
        state = state * 1664525U + 1013904223U;
        return static_cast<double>(state >> 16U) / 65536.0;
    };
    const int down = std::max(0, static_cast<int>(std::ceil((room.height() - 8.0) / step)));
    const int across = std::max(0, static_cast<int>(std::ceil((room.width() - 10.0) / step)));
    for (int row = 0; row < down; ++row) {
        for (int column = 0; column < across; ++column) {
            const double x = room.left() + 5.0 + column * step;
            const double y = room.top() + 5.0 + row * step;
            const double inward = std::min({room.right() - x, y - room.top(), room.bottom() - y});
            const double dx = 6.0 * (next() - 0.5);
            const double dy = 6.0 * (next() - 0.5);
            if (fill == job::Fill::lined && inward > lining) {
                continue;
            }
            painter.drawArc(QRectF(x + dx - 3.0, y + dy - 3.0, 6.0, 5.0), 16 * 20, 16 * 160);
        }
    }
}

double frontAt(const Section& s, double y) {
    return s.height > 0.0 ? s.slope * y / s.height : 0.0;
}

enum class ConeKind { driven, other, passive };

QPen conePen(ConeKind kind) {
    const Theme& t = theme();
    return kind == ConeKind::other     ? QPen(t.quietInk, 1.6)
           : kind == ConeKind::passive ? QPen(t.ways[0].colour, 3.0)
                                       : QPen(t.ways[1].colour, 3.0);
}

/// In pixels; `through` is the board it sits in.
struct ConeSize {
    double radius{};
    double through{};
    double off{}; ///< from rest, outwards
};

/// A cone with its face at the origin, looking to the left.
void cone(QPainter& painter, ConeKind kind, const ConeSize& size) {
    const auto [r, through, off] = size;
    const Theme& t = theme();
    const double deep = 0.42 * r;
    const double coil = 0.28 * r;
    painter.setPen(Qt::NoPen);
    painter.setBrush(t.sheet);
    painter.drawRect(QRectF(-2.0, -r, through + 3.0, 2.0 * r));
    if (kind != ConeKind::passive) {
        // Basket and magnet stand still.
        painter.setPen(QPen(kind == ConeKind::driven ? t.ink : t.quietInk, 1.2));
        painter.setBrush(t.rule);
        const double back = deep + 0.30 * r;
        painter.drawRect(QRectF(back, -0.55 * r, 0.34 * r, 1.1 * r));
        painter.drawLine(QPointF(2.0, -r), QPointF(back, -0.5 * r));
        painter.drawLine(QPointF(2.0, r), QPointF(back, 0.5 * r));
    }
    // Cone, surround and coil move.
    QPainterPath moving;
    const double x = 3.0 - off;
    moving.moveTo(2.0, -r);
    moving.quadTo(QPointF(x - 4.0, -0.94 * r), QPointF(x, -0.86 * r));
    if (kind == ConeKind::passive) {
        moving.lineTo(x, 0.86 * r);
    } else {
        moving.lineTo(x + deep, -coil);
        moving.quadTo(QPointF(x + deep - 0.3 * coil, 0.0), QPointF(x + deep, coil));
        moving.lineTo(x, 0.86 * r);
    }
    moving.quadTo(QPointF(x - 4.0, 0.94 * r), QPointF(2.0, r));
    painter.setBrush(Qt::NoBrush);
    painter.setPen(conePen(kind));
    painter.drawPath(moving);
    if (kind != ConeKind::passive) {
        painter.drawLine(QPointF(x + deep, -coil), QPointF(x + deep + 0.42 * r, -coil));
        painter.drawLine(QPointF(x + deep, coil), QPointF(x + deep + 0.42 * r, coil));
    }
}

/// A tube along x from its mouth inward; `out` is −1 where outward is to the left.
void tube(QPainter& painter,
          const Section& s,
          const SectionScale& scale,
          const Section::Tube& p,
          double slug) {
    const Theme& t = theme();
    const double px = scale.pixels;
    const double mouth = p.back ? s.depth : frontAt(s, p.y);
    const double inward = p.back ? -1.0 : 1.0;
    const double half = 0.5 * p.bore * px;
    const QPointF at = scale.at(mouth, p.y);
    const double length = p.length * px;
    const double end = at.x() + inward * length;
    const double skin = std::max(2.0, p.wall * px);
    // Through the wood.
    painter.setPen(Qt::NoPen);
    painter.setBrush(t.sheet);
    const double through = (p.back ? s.panel : s.front) * px + 2.0;
    painter.drawRect(QRectF(std::min(at.x(), at.x() + inward * through) - 1.0,
                            at.y() - half,
                            through + 2.0,
                            2.0 * half));
    // The air that moves, with its front marked.
    const double shown = -inward * slug;
    const double left = std::min(at.x(), end) + shown;
    QColor air = t.ways[0].colour;
    constexpr float faint = 0.35F;
    air.setAlphaF(faint);
    painter.setBrush(air);
    painter.drawRect(QRectF(left, at.y() - half + 1.0, length, 2.0 * half - 2.0));
    painter.setPen(QPen(t.ways[0].colour, 2.0, Qt::DashLine));
    const double lead = at.x() + shown;
    painter.drawLine(QPointF(lead, at.y() - half + 1.0), QPointF(lead, at.y() + half - 1.0));
    // Walls with their roundings.
    painter.setPen(QPen(t.ink, 1.2));
    painter.setBrush(t.outline);
    for (const double side : {-1.0, 1.0}) {
        const double inner = at.y() + side * half;
        const double outer = at.y() + side * (half + skin);
        const double fo = p.flareOuter * px;
        const double fi = p.flareInner * px;
        QPainterPath wall;
        wall.moveTo(at.x(), inner + side * fo);
        wall.quadTo(QPointF(at.x(), inner), QPointF(at.x() + inward * fo, inner));
        wall.lineTo(end - inward * fi, inner);
        wall.quadTo(QPointF(end, inner), QPointF(end, inner + side * fi));
        wall.lineTo(end, std::max(side * outer, side * (inner + side * fi)) * side);
        wall.lineTo(at.x(), std::max(side * outer, side * (inner + side * fo)) * side);
        wall.closeSubpath();
        painter.drawPath(wall);
    }
}

void putCones(Section& s,
              const job::Job& job,
              const job::Cabinet& cabinet,
              const job::Enclosure& e) {
    for (const job::Mount& m : cabinet.mounts) {
        if (const job::Driver* d = job::findDriver(job, m.driver)) {
            constexpr double coneShare = 0.43; // of the flange: the hole
            s.cones.push_back({m.y + 0.5 * cabinet.height,
                               coneShare * d->diameter,
                               d->id == e.driver || d->alike == e.driver});
        }
    }
}

/// Ports and braces of the chamber that has them.
void putTubes(Section& s, const job::Enclosure& wooden) {
    for (const job::PortIn& p : wooden.ports) {
        const bool round = p.port.shape == box::PortShape::round;
        s.tubes.push_back({wooden.panel + p.height,
                           round ? p.port.diameter : p.port.height,
                           p.length,
                           p.wall,
                           round ? p.port.flareInner : 0.0,
                           round ? p.port.flareOuter : 0.0,
                           p.side == job::PortWall::back,
                           p.bent});
    }
    for (const double y : wooden.braces) {
        s.braces.push_back(wooden.panel + y);
    }
    s.braceThickness = wooden.braceThickness;
}

} // namespace

Section sectionOf(const job::Job& job, const job::Cabinet& cabinet, const job::Enclosure& e) {
    Section s{.depth = cabinet.depth.value_or(0.0),
              .height = cabinet.height,
              .panel = e.panel,
              .front = e.frontPanel()};
    s.open = !box::hasWalls(e.kind);
    if (e.shape == box::Shape::trapezoid && e.depthTop > 0.0) {
        s.slope = s.depth - e.depthTop;
    }
    if (e.shape == box::Shape::cylinder) {
        s.depth = cabinet.width;
    }
    const double top = cabinet.height - e.panel;
    const double ceiling = e.dead > 0.0 ? top - e.dead - e.panel : top;
    const job::Enclosure* other = nullptr;
    for (const job::Enclosure& b : cabinet.boxes) {
        if (b.driver != e.driver) {
            other = &b;
        }
    }
    const job::Fill lower =
        e.sealedOff ? (other != nullptr ? other->fill : job::Fill::none) : e.fill;
    const job::Fill upper =
        e.sealedOff ? e.fill : (other != nullptr ? other->fill : job::Fill::none);
    s.rooms.push_back({e.panel, ceiling, lower});
    if (e.dead > 0.0) {
        s.rooms.push_back({top - e.dead, top, upper});
    }
    putCones(s, job, cabinet, e);
    if (box::isBandPass(e.kind)) {
        const auto own = std::ranges::find_if(s.cones, &Section::Cone::chosen);
        if (own != s.cones.end()) {
            s.shelfCone = std::min(own->radius, 0.4 * (s.depth - s.panel - s.front));
            s.cones.erase(own);
        }
        s.shelf = e.panel + e.frontShare * (ceiling - e.panel);
    }
    if (e.kind == box::Kind::passiveRadiator) {
        s.radiator = std::sqrt(e.radiator.Sd / std::numbers::pi);
        s.radiatorAt = e.panel + 1.15 * s.radiator;
    }
    putTubes(s, e.sealedOff && other != nullptr ? *other : e);
    return s;
}

SectionScale SectionScale::fitting(const Section& s, const QRectF& room) {
    const double depth = std::max(s.depth, 0.1);
    // Room left of the front for the cone's way out.
    constexpr double before = 26.0;
    const double pixels =
        std::min((room.width() - before - 18.0) / depth, (room.height() - 12.0) / s.height);
    return {pixels,
            {room.left() + before + 0.5 * (room.width() - before - 18.0 - pixels * depth),
             room.bottom() - 0.5 * (room.height() - pixels * s.height)}};
}

void paintSection(QPainter& painter,
                  const Section& s,
                  const SectionScale& scale,
                  const Excursion& excursion) {
    painter.setRenderHint(QPainter::Antialiasing, true);
    const double px = scale.pixels;
    const double t = s.panel * px;
    const QPointF low = scale.at(0.0, 0.0);
    const QPointF top = scale.at(s.slope, s.height);
    const double right = low.x() + s.depth * px;
    const double front = s.front * px;
    painter.setPen(Qt::NoPen);
    painter.setBrush(theme().sheet);
    painter.drawPolygon(QPolygonF({low, QPointF(right, low.y()), QPointF(right, top.y()), top}));
    if (!s.open) {
        for (const Section::Room& room : s.rooms) {
            const QPointF from = scale.at(0.0, room.ceiling);
            const QPointF to = scale.at(0.0, room.floor);
            wool(painter,
                 QRectF(QPointF(low.x() + front + std::max(0.0, s.slope * px), from.y()),
                        QPointF(right - t, to.y())),
                 room.fill);
        }
        for (const double y : s.braces) {
            const double thick = std::max(3.0, s.braceThickness * px);
            const QPointF at = scale.at(0.0, y);
            // A brace with its window: solid at both ends, open between.
            const double from = low.x() + front;
            const double wide = right - t - from;
            wood(painter, QRectF(from, at.y() - 0.5 * thick, 0.2 * wide, thick));
            wood(painter, QRectF(right - t - 0.2 * wide, at.y() - 0.5 * thick, 0.2 * wide, thick));
            painter.setPen(QPen(theme().quietInk, 1.0, Qt::DotLine));
            painter.drawLine(QPointF(from + 0.2 * wide, at.y()),
                             QPointF(right - t - 0.2 * wide, at.y()));
        }
        wood(painter, QRectF(right - t, top.y() + t, t, low.y() - top.y() - 2.0 * t));
        wood(painter, QRectF(low.x() + front, low.y() - t, right - low.x() - front, t));
        wood(painter, QRectF(top.x() + front, top.y(), right - top.x() - front, t));
        if (s.rooms.size() > 1) {
            const double y = scale.at(0.0, s.rooms[1].floor).y();
            wood(painter, QRectF(low.x() + front, y, right - t - low.x() - front, t));
        }
    }
    wood(painter,
         QPolygonF(
             {low, QPointF(low.x() + front, low.y()), QPointF(top.x() + front, top.y()), top}));
    for (qsizetype i = 0; i < s.tubes.size(); ++i) {
        tube(painter, s, scale, s.tubes[i], i < excursion.slug.size() ? excursion.slug[i] : 0.0);
    }
    for (const Section::Cone& c : s.cones) {
        painter.save();
        painter.translate(scale.at(frontAt(s, c.y), c.y));
        cone(painter,
             c.chosen ? ConeKind::driven : ConeKind::other,
             {c.radius * px, front, c.chosen ? excursion.cone : 0.0});
        painter.restore();
    }
    if (s.shelf > 0.0) {
        const double y = scale.at(0.0, s.shelf).y();
        wood(painter, QRectF(low.x() + front, y - t, right - t - low.x() - front, t));
        painter.save();
        painter.translate(0.5 * (low.x() + front + right - t), y);
        painter.rotate(-90.0);
        cone(painter, ConeKind::driven, {s.shelfCone * px, t, excursion.cone});
        painter.restore();
    }
    if (s.radiator > 0.0) {
        painter.save();
        painter.translate(scale.at(frontAt(s, s.radiatorAt), s.radiatorAt));
        cone(painter, ConeKind::passive, {s.radiator * px, front, excursion.radiator});
        painter.restore();
    }
}

} // namespace yf::app
