// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/crossover/insert_button.h"

#include "app/theme/theme.h"

#include <QPainter>

namespace yf::app {

InsertButton::InsertButton(const network::SlotPlace& place, QWidget* parent)
    : QAbstractButton(parent), place_(place) {
    setObjectName(QStringLiteral("insert_%1_%2").arg(place.way).arg(place.slot));
    setAccessibleName(
        tr("Insert a part in way %1, place %2").arg(place.way + 1).arg(place.slot + 1));
    setToolTip(tr("Insert a part here"));
    setFocusPolicy(Qt::StrongFocus);
    setAttribute(Qt::WA_Hover);
    setCursor(Qt::PointingHandCursor);
}

void InsertButton::paintEvent(QPaintEvent* /*event*/) {
    const Theme& t = theme();
    const bool lit = underMouse() || hasFocus();
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const QPointF middle = QRectF(rect()).center();
    painter.setPen(QPen(lit ? t.ink : t.quietInk, lit ? 1.6 : 1.0));
    painter.setBrush(lit ? t.front : t.ground);
    painter.drawEllipse(middle, 7.0, 7.0);
    painter.setPen(QPen(lit ? QColor(0x1F, 0x23, 0x28) : t.quietInk, 1.4));
    painter.drawLine(middle - QPointF(3.5, 0.0), middle + QPointF(3.5, 0.0));
    painter.drawLine(middle - QPointF(0.0, 3.5), middle + QPointF(0.0, 3.5));
}

} // namespace yf::app
