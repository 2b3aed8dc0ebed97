// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/crossover/driver_end.h"

#include "app/crossover/symbols.h"
#include "app/plots/curves.h"
#include "app/theme/theme.h"
#include "app/widgets/words.h"

#include <QPainter>

namespace yf::app {

namespace {

constexpr double studX = 10.0;

void drawStud(QPainter& painter, const QPointF& at, bool plus, const QColor& colour) {
    painter.setPen(QPen(colour, 1.4));
    painter.setBrush(plus ? QBrush(colour) : QBrush(theme().sheet));
    painter.drawEllipse(at, 7.0, 7.0);
    painter.setPen(QPen(plus ? theme().sheet : colour, 1.8));
    painter.drawLine(at - QPointF(3.5, 0.0), at + QPointF(3.5, 0.0));
    if (plus) {
        painter.drawLine(at - QPointF(0.0, 3.5), at + QPointF(0.0, 3.5));
    }
}

} // namespace

DriverEndButton::DriverEndButton(network::DriverEnd end, QWidget* parent)
    : QAbstractButton(parent), end_(std::move(end)) {
    setFocusPolicy(Qt::StrongFocus);
    setAttribute(Qt::WA_Hover);
    setCursor(Qt::PointingHandCursor);
}

void DriverEndButton::display(const network::DriverEnd& end,
                              const job::Driver& driver,
                              int hot,
                              int back) {
    if (end == end_ && name_ == words(driver.name) && band_ == driver.band && hot == hot_ &&
        back == back_) {
        return;
    }
    end_ = end;
    name_ = words(driver.name);
    band_ = driver.band;
    hot_ = hot;
    back_ = back;
    const QString how = end.polarity > 0 ? tr("as wired") : tr("reversed");
    setAccessibleName(tr("%1, %2; press to reverse").arg(name_, how));
    setToolTip(tr("%1 is %2. Click, or press Space, to reverse it.").arg(name_, how));
    update();
}

void DriverEndButton::paintEvent(QPaintEvent* /*event*/) {
    const Theme& t = theme();
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const bool reversed = end_.polarity < 0;
    const QRectF body = QRectF(rect()).adjusted(24.0, 2.0, -2.0, -2.0);
    painter.setBrush(t.sheet);
    painter.setPen(QPen(t.outline, 1.0));
    if (hasFocus()) {
        painter.setPen(QPen(t.front, 4.0));
        painter.drawRoundedRect(body, 5.0, 5.0);
        painter.setPen(QPen(t.ink, 1.5));
    } else if (underMouse()) {
        painter.setPen(QPen(t.ink, 1.2));
    }
    painter.drawRoundedRect(body, 5.0, 5.0);
    const QColor stud = reversed ? t.mind : t.ink;
    painter.setPen(QPen(t.ink, 1.5));
    painter.drawLine(QPointF(studX, hot_), QPointF(body.left(), hot_));
    painter.drawLine(QPointF(studX, back_), QPointF(body.left(), back_));
    drawStud(painter, {studX, static_cast<double>(hot_)}, !reversed, stud);
    drawStud(painter, {studX, static_cast<double>(back_)}, reversed, stud);
    painter.setPen(QPen(t.ink, 1.5));
    drawLoudspeaker(painter, QRectF(body.left() + 4.0, body.top(), 24.0, body.height()));
    const double left = body.left() + 34.0;
    const double middle = body.center().y();
    painter.setFont(font());
    painter.setPen(t.ink);
    painter.drawText(
        QRectF(left, middle - 20.0, body.right() - left - 2.0, 18.0), Qt::AlignVCenter, name_);
    QFont small = font();
    small.setPointSizeF(8.5);
    painter.setFont(small);
    painter.setPen(reversed ? t.mind : t.quietInk);
    painter.drawText(QRectF(left, middle - 2.0, body.right() - left - 2.0, 16.0),
                     Qt::AlignVCenter,
                     reversed ? tr("⇅ reversed") : tr("as wired"));
    painter.setPen(strokeOf(band_).pen());
    painter.drawLine(QPointF(left, middle + 19.0), QPointF(left + 40.0, middle + 19.0));
}

} // namespace yf::app
