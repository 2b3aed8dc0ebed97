// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/crossover/lane_tile.h"

#include "app/theme/theme.h"
#include "app/widgets/words.h"

#include <QKeyEvent>
#include <QPainter>
#include <QWheelEvent>

namespace yf::app {

namespace {

constexpr int notch = 120; ///< one click of a wheel, in Qt's eighths of a degree

} // namespace

LaneTile::LaneTile(QWidget* parent) : QWidget(parent) {
    setFocusPolicy(Qt::StrongFocus);
    setAttribute(Qt::WA_Hover);
}

void LaneTile::paintEvent(QPaintEvent* /*event*/) {
    const Theme& t = theme();
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const QRectF edge = QRectF(rect()).adjusted(1.0, 1.0, -1.0, -1.0);
    const bool far = questionable();
    painter.setBrush(t.sheet);
    painter.setPen(QPen(far ? t.mind : t.outline, 1.0));
    if (hasFocus()) {
        painter.setPen(QPen(t.front, 4.0));
        painter.drawRoundedRect(edge, 5.0, 5.0);
        painter.setPen(QPen(t.ink, 1.5));
    } else if (underMouse()) {
        painter.setPen(QPen(t.ink, 1.2));
    }
    painter.drawRoundedRect(edge, 5.0, 5.0);
    painter.setPen(QPen(bypass_ ? t.quietInk : t.ink, 1.5));
    paintSymbol(painter);
    painter.setFont(figureFont(9.5));
    painter.setPen(bypass_ ? t.quietInk : t.ink);
    painter.drawText(QRectF(34.0, 2.0, width() - 36.0, 19.0),
                     Qt::AlignVCenter,
                     firstRow() + (far ? QStringLiteral(" ▲") : QString{}));
    painter.setFont(figureFont(8.0));
    painter.setPen(t.quietInk);
    painter.drawText(QRectF(34.0, 19.0, width() - 36.0, 16.0),
                     Qt::AlignVCenter,
                     bypass_ ? tr("without") : secondRow());
}

void LaneTile::wheelEvent(QWheelEvent* event) {
    if (!hasFocus()) {
        event->ignore();
        return;
    }
    // Touch pads and some mice with Shift give the other axis.
    const QPoint delta = event->angleDelta();
    wheel_ += delta.y() != 0 ? delta.y() : delta.x();
    const int steps = wheel_ / notch;
    wheel_ -= steps * notch;
    if (steps != 0) {
        Q_EMIT stepped(steps, event->modifiers().testFlag(Qt::ShiftModifier));
    }
    event->accept();
}

void LaneTile::keyPressEvent(QKeyEvent* event) {
    const bool fine = event->modifiers().testFlag(Qt::ShiftModifier);
    switch (event->key()) {
    case Qt::Key_Up:
        Q_EMIT stepped(1, fine);
        return;
    case Qt::Key_Down:
        Q_EMIT stepped(-1, fine);
        return;
    case Qt::Key_Backspace:
    case Qt::Key_Delete:
        Q_EMIT removed();
        return;
    case Qt::Key_Insert:
        Q_EMIT insertWanted();
        return;
    case Qt::Key_Return:
    case Qt::Key_Enter:
    case Qt::Key_F2:
        Q_EMIT editWanted();
        return;
    case Qt::Key_B:
        if (!canBypass()) {
            break;
        }
        if (!event->isAutoRepeat() && event->modifiers() == Qt::NoModifier) {
            bypass_ = true;
            update();
            Q_EMIT bypassed(true);
        }
        return;
    default:
        break;
    }
    const QString characters = event->text();
    const bool starts =
        !characters.isEmpty() &&
        (characters.front().isDigit() || characters.front() == u'.' || characters.front() == u',' ||
         characters.front() == u'-' || characters.front() == u'+');
    if (starts) {
        Q_EMIT typed(characters);
        return;
    }
    QWidget::keyPressEvent(event);
}

void LaneTile::keyReleaseEvent(QKeyEvent* event) {
    if (event->isAutoRepeat()) {
        return;
    }
    if (event->key() == Qt::Key_B) {
        endBypass();
    } else if (event->key() == Qt::Key_Up || event->key() == Qt::Key_Down) {
        Q_EMIT letGo();
    } else {
        QWidget::keyReleaseEvent(event);
    }
}

void LaneTile::endBypass() {
    if (bypass_) {
        bypass_ = false;
        update();
        Q_EMIT bypassed(false);
    }
}

void LaneTile::mouseDoubleClickEvent(QMouseEvent* /*event*/) {
    Q_EMIT editWanted();
}

void LaneTile::focusInEvent(QFocusEvent* event) {
    update();
    QWidget::focusInEvent(event);
}

void LaneTile::focusOutEvent(QFocusEvent* event) {
    wheel_ = 0;
    endBypass();
    Q_EMIT letGo();
    update();
    QWidget::focusOutEvent(event);
}

} // namespace yf::app
