// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/front/front_picture.h"

#include "app/plots/curves.h"
#include "app/theme/theme.h"
#include "app/widgets/words.h"

#include <QPainter>
#include <QPainterPath>

#include <algorithm>
#include <numbers>

namespace yf::app {

namespace {

constexpr double roomForStuds = 12.0; // pixels of radius from which studs are drawn

void paintRing(QPainter& painter, const FrontSpot& spot, const QPointF& middle, double radius) {
    const Theme& t = theme();
    const double ring = std::max(std::min(4.0, radius * 0.4), radius * 0.16);
    QPainterPath annulus;
    annulus.addEllipse(middle, radius, radius);
    QPainterPath hole;
    hole.addEllipse(middle, radius - ring, radius - ring);
    annulus = annulus.subtracted(hole);
    const bool open =
        spot.condition == job::Condition::suspect || spot.condition == job::Condition::dead;
    QBrush filling(t.quietInk);
    if (spot.condition == job::Condition::notChecked) {
        filling.setStyle(Qt::BDiagPattern);
    } else if (open) {
        filling.setStyle(Qt::NoBrush);
    }
    painter.setPen(QPen(t.ink, 1.2));
    painter.setBrush(filling);
    painter.drawPath(annulus);
    painter.setBrush(t.sheet);
    painter.drawEllipse(middle, radius - ring, radius - ring);
    painter.setPen(strokeOf(spot.band).pen());
    painter.setBrush(Qt::NoBrush);
    painter.drawEllipse(middle, radius * 0.55, radius * 0.55);
    painter.setPen(QPen(t.ink, 1.0));
    painter.setBrush(t.ground);
    painter.drawEllipse(middle, radius * 0.2, radius * 0.2);
    if (open) {
        painter.setPen(QPen(t.stop, 2.2));
        const double arm = radius * 0.7;
        painter.drawLine(middle - QPointF(arm, arm), middle + QPointF(arm, arm));
        painter.drawLine(middle - QPointF(arm, -arm), middle + QPointF(arm, -arm));
    }
}

/// Below at the right, where a wide driver leaves room on its front; + on top as wired.
void paintStuds(QPainter& painter, const FrontSpot& spot, const QPointF& middle, double radius) {
    const Theme& t = theme();
    const double diagonal = (radius + 14.0) * std::numbers::sqrt2 / 2.0;
    const QPointF upper = middle + QPointF(diagonal + 2.0, diagonal - 7.0);
    const bool reversed = spot.polarity < 0;
    for (const bool top : {true, false}) {
        const bool plus = top != reversed;
        const QPointF stud = top ? upper : upper + QPointF(0.0, 16.0);
        const QColor ink = reversed ? t.mind : t.ink;
        painter.setPen(QPen(ink, 1.4));
        painter.setBrush(plus ? QBrush(ink) : QBrush(t.sheet));
        painter.drawEllipse(stud, 6.0, 6.0);
        painter.setPen(QPen(plus ? t.sheet : ink, 1.6));
        painter.drawLine(stud - QPointF(3.0, 0.0), stud + QPointF(3.0, 0.0));
        if (plus) {
            painter.drawLine(stud - QPointF(0.0, 3.0), stud + QPointF(0.0, 3.0));
        }
    }
}

} // namespace

FrontPicture FrontPicture::of(const job::Job& job, const job::Cabinet& cabinet) {
    FrontPicture front{cabinet.width, cabinet.height, {}};
    const auto ends = network::driverEnds(cabinet.circuit);
    for (const job::Mount& mount : cabinet.mounts) {
        const job::Driver& driver = *job::findDriver(job, mount.driver);
        const auto end = std::ranges::find(ends, driver.id, &network::DriverEnd::driver);
        front.spots.push_back({driver.id,
                               words(driver.name),
                               driver.band,
                               driver.condition,
                               end == ends.end() ? 1 : end->polarity,
                               mount.x,
                               mount.y,
                               driver.diameter / 2.0});
    }
    std::ranges::stable_sort(front.spots, std::greater{}, &FrontSpot::y);
    return front;
}

QString FrontPicture::toText() const {
    QStringList numbers{QString::number(width), QString::number(height)};
    for (const FrontSpot& spot : spots) {
        numbers << QString::number(spot.x) << QString::number(spot.y)
                << QString::number(spot.radius) << QString::number(static_cast<int>(spot.band))
                << QString::number(static_cast<int>(spot.condition))
                << QString::number(spot.polarity);
    }
    return numbers.join(u' ');
}

FrontPicture FrontPicture::fromText(const QString& text) {
    constexpr qsizetype perSpot = 6;
    const QStringList numbers = text.split(u' ');
    FrontPicture front;
    if (numbers.size() < 2 || (numbers.size() - 2) % perSpot != 0) {
        return front;
    }
    front.width = std::clamp(numbers[0].toDouble(), 0.02, 5.0);
    front.height = std::clamp(numbers[1].toDouble(), 0.02, 5.0);
    for (qsizetype i = 2; i < numbers.size(); i += perSpot) {
        front.spots.push_back(
            {{},
             {},
             static_cast<job::Band>(std::clamp(numbers[i + 3].toInt(), 0, 4)),
             static_cast<job::Condition>(std::clamp(numbers[i + 4].toInt(), 0, 3)),
             numbers[i + 5].toInt(),
             numbers[i].toDouble(),
             numbers[i + 1].toDouble(),
             numbers[i + 2].toDouble()});
    }
    return front;
}

FrontScale FrontScale::fitting(const FrontPicture& front, const QRectF& room) {
    return {std::min(room.width() / front.width, room.height() / front.height), room.center()};
}

QRectF FrontScale::board(const FrontPicture& front) const {
    const QSizeF size(front.width * pixels, front.height * pixels);
    return {middle - QPointF(size.width() / 2.0, size.height() / 2.0), size};
}

void paintFront(QPainter& painter, const FrontPicture& front, const FrontScale& scale, Edge edge) {
    const Theme& t = theme();
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setPen(edge == Edge::focused ? QPen(t.ink, 2.0) : QPen(t.outline, 1.2));
    painter.setBrush(t.sheet);
    painter.drawRoundedRect(scale.board(front), 5.0, 5.0);
    for (const FrontSpot& spot : front.spots) {
        const double radius = spot.radius * scale.pixels;
        paintRing(painter, spot, scale.on(spot), radius);
        if (radius >= roomForStuds) {
            paintStuds(painter, spot, scale.on(spot), radius);
        }
    }
}

} // namespace yf::app
