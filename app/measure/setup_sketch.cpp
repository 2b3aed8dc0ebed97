// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/measure/setup_sketch.h"

#include "app/theme/theme.h"
#include "app/widgets/words.h"
#include "core/measure/gate.h"
#include "core/text/number.h"

#include <QPainter>
#include <QPainterPath>

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::app {

namespace {

/// Quietest level that a bar shows, dB.
constexpr double floorLevel = -90.0;

void microphone(QPainter& painter, const QPointF& at, double degrees) {
    painter.save();
    painter.translate(at);
    painter.rotate(degrees);
    painter.setBrush(theme().sheet);
    painter.setPen(QPen(theme().ink, 1.6));
    painter.drawRoundedRect(QRectF(0, -4, 34, 8), 4, 4);
    painter.setBrush(theme().ink);
    painter.drawEllipse(QPointF(2, 0), 4, 4);
    painter.restore();
}

QString metres(double m) {
    return figures(text::printSignificant(m, 3)) + QStringLiteral("\u202Fm");
}

} // namespace

SetupSketch::SetupSketch(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("setup_sketch"));
    setAccessibleName(tr("Where things stand"));
}

void SetupSketch::display(const Scene& scene) {
    scene_ = scene;
    update();
}

void SetupSketch::paintEvent(QPaintEvent* /*event*/) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const Theme& t = theme();
    painter.fillRect(rect(), t.sheet);
    painter.setFont(figureFont(8.0));
    const QRectF r = QRectF(rect()).adjusted(12, 10, -12, -10);
    if (scene_.jig) {
        // Source – A – resistor – B – driver – ground, symbols after IEC 60617.
        const double y = r.center().y();
        const double A = r.left() + 0.3 * r.width();
        const double B = r.left() + 0.62 * r.width();
        const double end = r.right() - 40;
        painter.setPen(QPen(t.ink, 1.6));
        painter.drawEllipse(QPointF(r.left() + 20, y), 14, 14);
        painter.drawText(QRectF(r.left() + 6, y - 8, 28, 16), Qt::AlignCenter, QStringLiteral("∼"));
        painter.drawLine(QPointF(r.left() + 34, y), QPointF(A + 20, y));
        const QRectF resistor(A + 20, y - 7, B - A - 40, 14);
        painter.drawRect(resistor);
        painter.drawText(resistor.translated(0, -16), Qt::AlignCenter, QStringLiteral("Rs"));
        painter.drawLine(QPointF(B - 20, y), QPointF(end, y));
        painter.drawRect(QRectF(end, y - 12, 10, 24));
        painter.drawPolyline(QPolygonF({QPointF(end + 10, y - 12),
                                        QPointF(end + 24, y - 24),
                                        QPointF(end + 24, y + 24),
                                        QPointF(end + 10, y + 12)}));
        painter.setBrush(t.front);
        for (const auto& [x, name] :
             {std::pair(A, tr("reference input")), std::pair(B, tr("measured input"))}) {
            painter.drawEllipse(QPointF(x, y), 4, 4);
            painter.drawLine(QPointF(x, y), QPointF(x, y + 30));
            painter.drawText(QRectF(x - 70, y + 32, 140, 16), Qt::AlignCenter, name);
        }
        return;
    }
    const bool fromAbove = scene_.plane == quantity::Plane::horizontal && scene_.angle != 0.0 &&
                           scene_.place == job::MicPlace::farField;
    const double D = scene_.room.distance.value_or(1.0);
    const double hs = scene_.room.speakerHeight.value_or(1.2);
    const double H = scene_.room.ceilingHeight.value_or(2.6);
    const bool near = scene_.place != job::MicPlace::farField;
    const QPointF speaker(r.left() + 0.25 * r.width(),
                          near || fromAbove ? r.center().y() : r.bottom() - hs / H * r.height());
    painter.setPen(QPen(t.ink, 1.6));
    painter.setBrush(Qt::NoBrush);
    painter.drawRect(QRectF(speaker.x() - 34, speaker.y() - 20, 32, 40));
    painter.drawPolyline(QPolygonF({speaker + QPointF(-2, -10),
                                    speaker + QPointF(-10, -4),
                                    speaker + QPointF(-10, 4),
                                    speaker + QPointF(-2, 10)}));
    const double reach = near ? 26.0 : 0.5 * r.width();
    const double side = scene_.plane == quantity::Plane::horizontal ? 1.0 : -1.0;
    const double angle = near ? 0.0 : scene_.angle * std::numbers::pi / 180.0;
    const QPointF at = speaker + QPointF(reach * std::cos(angle), side * reach * std::sin(angle));
    if (!near) {
        painter.setPen(QPen(t.quietInk, 1.0, Qt::DashLine));
        painter.drawLine(speaker, at);
        painter.drawText(QRectF(speaker.x(), speaker.y() - 18, reach, 14),
                         Qt::AlignCenter,
                         scene_.angle == 0.0
                             ? metres(D)
                             : metres(D) + QStringLiteral(", %1°").arg(scene_.angle));
    }
    microphone(painter, at, side * angle * 180.0 / std::numbers::pi);
    if (near || fromAbove) {
        painter.setPen(t.quietInk);
        painter.drawText(QRectF(r.left(), r.bottom() - 14, r.width(), 14),
                         Qt::AlignLeft,
                         fromAbove ? tr("seen from above")
                                   : tr("as close as it goes, in the middle"));
        return;
    }
    // Floor and ceiling with the shortest way off one of them.
    painter.setPen(QPen(t.outline, 2.0));
    painter.drawLine(r.bottomLeft(), r.bottomRight());
    if (scene_.room.ceilingHeight) {
        painter.drawLine(r.topLeft(), r.topRight());
    }
    if (const auto gate = measure::roomGate(scene_.room, 0.0)) {
        const bool floor = gate->first == "floor";
        if (floor || gate->first == "ceiling") {
            const QPointF bounce((speaker.x() + at.x()) / 2.0, floor ? r.bottom() : r.top());
            painter.setPen(QPen(t.mind, 1.4, Qt::DotLine));
            painter.drawLine(speaker, bounce);
            painter.drawLine(bounce, at);
        }
    }
}

LevelBars::LevelBars(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("level_bars"));
    setAccessibleName(tr("Levels of both inputs"));
}

void LevelBars::show(double measured, double reference) {
    const double levels[] = {20.0 * std::log10(std::max(measured, 1e-9)),
                             20.0 * std::log10(std::max(reference, 1e-9))};
    for (int c = 0; c < 2; ++c) {
        now_[c] = std::max(levels[c], floorLevel);
        held_[c] = std::max(held_[c], now_[c]);
    }
    update();
}

void LevelBars::clear() {
    for (int c = 0; c < 2; ++c) {
        now_[c] = held_[c] = floorLevel;
    }
    update();
}

void LevelBars::paintEvent(QPaintEvent* /*event*/) {
    QPainter painter(this);
    const Theme& t = theme();
    painter.setFont(figureFont(8.0));
    const QString names[] = {tr("measured"), tr("reference")};
    const double high = height() / 2.0;
    for (int c = 0; c < 2; ++c) {
        const QRectF row(0, c * high, width(), high);
        painter.setPen(t.quietInk);
        painter.drawText(
            QRectF(row.left(), row.top(), 70, row.height()), Qt::AlignVCenter, names[c]);
        const QRectF bar(76, row.top() + 4, row.width() - 76 - 64, row.height() - 8);
        const auto across = [&](double level) {
            return bar.width() * std::clamp(1.0 - level / floorLevel, 0.0, 1.0);
        };
        painter.fillRect(bar, t.ground);
        // Where a recording should peak: −20 to −6 dB.
        QColor good = t.corridor;
        painter.fillRect(
            QRectF(
                bar.left() + across(-20.0), bar.top(), across(-6.0) - across(-20.0), bar.height()),
            good);
        const QColor ink = now_[c] > -1.0 ? t.stop : t.good;
        painter.fillRect(QRectF(bar.left(), bar.top() + 3, across(now_[c]), bar.height() - 6), ink);
        painter.setPen(QPen(t.ink, 2));
        const double peak = bar.left() + across(held_[c]);
        painter.drawLine(QPointF(peak, bar.top()), QPointF(peak, bar.bottom()));
        painter.setPen(t.outline);
        painter.drawRect(bar);
        painter.setPen(t.ink);
        painter.drawText(QRectF(bar.right() + 4, row.top(), 60, row.height()),
                         Qt::AlignVCenter | Qt::AlignRight,
                         held_[c] <= floorLevel
                             ? QStringLiteral("–")
                             : figures(text::printFixed(held_[c], 0)) + QStringLiteral("\u202FdB"));
    }
}

} // namespace yf::app
