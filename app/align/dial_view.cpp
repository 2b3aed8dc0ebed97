// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/align/dial_view.h"

#include "app/widgets/words.h"
#include "core/quantity/level.h"
#include "core/text/number.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>

#include <algorithm>
#include <cmath>
#include <numbers>
#include <vector>

namespace yf::app {

namespace {

constexpr double decades = 30.0; ///< dB from the middle to the rim
constexpr double foot = 20.0;    ///< room for the frequency below

} // namespace

DialView::DialView(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("dial"));
    setFocusPolicy(Qt::StrongFocus);
    setMinimumSize(180, 180);
    setToolTip(tr("Length is level, angle is phase; the thick hand is the sum. Move the crosshair "
                  "and the hands turn. Click a hand, or press its number, to turn that way over."));
    describe();
}

void DialView::display(const Shown& shown) {
    shown_ = shown;
    describe();
    update();
}

QPointF DialView::middle() const {
    return {width() / 2.0, (height() - foot) / 2.0};
}

double DialView::radius() const {
    return std::min(width(), height() - static_cast<int>(foot)) / 2.0 - 14.0;
}

/// Level re the longest hand, phase re the upright one.
QPointF DialView::tip(const curve::Complex& p) const {
    double most = 0.0;
    for (const study::Hand& hand : shown_.state->hands) {
        most = std::max(most, std::abs(hand.pressure));
    }
    const double down = quantity::decibels(std::max(std::abs(p), 1e-15) / most);
    constexpr double above = 6.1; // two hands in step are that much longer
    const double length = std::max(0.0, 1.0 + (down - above) / (decades + above));
    const curve::Complex upright =
        shown_.state->hands[std::min(shown_.upright, shown_.state->hands.size() - 1)].pressure;
    const double angle = std::arg(p * std::conj(upright));
    const double r = radius() * length;
    return middle() + QPointF(-r * std::sin(angle), -r * std::cos(angle));
}

QPointF DialView::tipOf(std::size_t hand) const {
    return shown_.state && hand < shown_.state->hands.size()
               ? tip(shown_.state->hands[hand].pressure)
               : middle();
}

void DialView::describe() {
    if (!shown_.state) {
        setAccessibleName(tr("Dial: nothing to show here"));
        return;
    }
    QStringList said;
    const auto& hands = shown_.state->hands;
    const curve::Complex upright = hands[std::min(shown_.upright, hands.size() - 1)].pressure;
    for (std::size_t i = 0; i < hands.size(); ++i) {
        const double angle = std::arg(hands[i].pressure * std::conj(upright));
        said << tr("%1 %2°")
                    .arg(shown_.names.value(static_cast<qsizetype>(i)))
                    .arg(angle * 180.0 / std::numbers::pi, 0, 'f', 0);
    }
    setAccessibleName(tr("Dial at %1: %2")
                          .arg(figures(text::printEngineering(shown_.state->frequency, "Hz")),
                               said.join(QStringLiteral(", "))));
}

void DialView::paintEvent(QPaintEvent* /*event*/) {
    const Theme& t = theme();
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const double r = radius();
    painter.setPen(QPen(hasFocus() ? t.ink : t.outline, hasFocus() ? 2.0 : 1.0));
    painter.setBrush(t.sheet);
    painter.drawEllipse(middle(), r, r);
    painter.setBrush(Qt::NoBrush);
    painter.setPen(QPen(t.rule, 1.0));
    for (const double ring : {10.0, 20.0, 30.0}) {
        const double rr = r * (1.0 - ring / 36.1);
        painter.drawEllipse(middle(), rr, rr);
    }
    painter.setFont(figureFont(8.0));
    painter.setPen(t.quietInk);
    for (int degrees = 0; degrees < 360; degrees += 30) {
        const double a = degrees * std::numbers::pi / 180.0;
        const QPointF out(-std::sin(a), -std::cos(a));
        painter.drawLine(middle() + r * out,
                         middle() + (r - (degrees % 90 == 0 ? 8.0 : 4.0)) * out);
    }
    const auto label = [&](double angle, const QString& text) {
        const QPointF at = middle() + (r - 17.0) * QPointF(-std::sin(angle), -std::cos(angle));
        painter.drawText(
            QRectF(at - QPointF(20.0, 8.0), QSizeF(40.0, 16.0)), Qt::AlignCenter, text);
    };
    label(0.5 * std::numbers::pi, QStringLiteral("+90°"));
    label(-0.5 * std::numbers::pi, QStringLiteral("−90°"));
    label(std::numbers::pi, QStringLiteral("180°"));
    if (!shown_.state) {
        painter.setFont(font());
        painter.drawText(rect(), Qt::AlignCenter | Qt::TextWordWrap, tr("no responses yet"));
        return;
    }
    std::vector<QRectF> named;
    const auto hand = [&](const curve::Complex& p, const Stroke& stroke, const QString& name) {
        const QPointF end = tip(p);
        painter.setPen(stroke.pen());
        painter.drawLine(middle(), end);
        painter.setPen(QPen(stroke.colour, 1.0));
        painter.setBrush(stroke.colour);
        painter.drawEllipse(end, 4.0, 4.0);
        const QPointF away = end - middle();
        const double length = std::max(std::hypot(away.x(), away.y()), 1.0);
        const QPointF at = end + 15.0 * away / length;
        painter.setPen(t.ink);
        painter.setFont(font());
        // Inside the picture, and beside the names that stand there already.
        QRectF room(QPointF(), QSizeF(painter.fontMetrics().horizontalAdvance(name) + 2.0, 15.0));
        room.moveCenter(at);
        room.moveLeft(std::clamp(room.left(), 0.0, std::max(0.0, width() - room.width())));
        room.moveTop(std::max(room.top(), 0.0));
        const double side = away.x() < 0.0 ? -1.0 : 1.0;
        for (const QRectF& other : named) {
            if (room.intersects(other)) {
                side < 0.0 ? room.moveRight(other.left() - 3.0)
                           : room.moveLeft(other.right() + 3.0);
            }
        }
        named.push_back(room);
        painter.drawText(room, Qt::AlignCenter, name);
    };
    Stroke thick = t.sum;
    thick.width = 3.4;
    for (std::size_t i = shown_.state->hands.size(); i-- > 0;) {
        Stroke stroke = shown_.strokes.value(static_cast<qsizetype>(i));
        stroke.width = 2.4;
        hand(
            shown_.state->hands[i].pressure, stroke, shown_.names.value(static_cast<qsizetype>(i)));
    }
    hand(shown_.state->sum, thick, tr("sum"));
    painter.setPen(t.quietInk);
    painter.setFont(figureFont(9.0));
    painter.drawText(QRectF(0.0, height() - foot, width(), foot),
                     Qt::AlignCenter,
                     tr("at %1; rings 10 dB apart")
                         .arg(figures(text::printEngineering(shown_.state->frequency, "Hz"))));
}

void DialView::mousePressEvent(QMouseEvent* event) {
    if (!shown_.state) {
        return;
    }
    constexpr double near = 16.0; // pixels
    std::optional<std::size_t> nearest;
    double least = near;
    for (std::size_t i = 0; i < shown_.state->hands.size(); ++i) {
        const QPointF off = tipOf(i) - event->position();
        if (const double d = std::hypot(off.x(), off.y()); d < least) {
            least = d;
            nearest = i;
        }
    }
    if (nearest) {
        Q_EMIT flipWanted(shown_.state->hands[*nearest].way);
    }
}

void DialView::keyPressEvent(QKeyEvent* event) {
    const int number = event->key() - Qt::Key_1;
    if (shown_.state && number >= 0 && number < static_cast<int>(shown_.state->hands.size())) {
        Q_EMIT flipWanted(shown_.state->hands[static_cast<std::size_t>(number)].way);
        return;
    }
    QWidget::keyPressEvent(event);
}

} // namespace yf::app
