// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/elided_label.h"

#include <QPainter>

namespace yf::app {

ElidedLabel::ElidedLabel(QWidget* parent) : QWidget(parent) {
    setSizePolicy(QSizePolicy::Ignored, QSizePolicy::Fixed);
}

void ElidedLabel::say(const QString& text) {
    if (text != text_) {
        text_ = text;
        update();
    }
}

QSize ElidedLabel::minimumSizeHint() const {
    return {0, fontMetrics().height() + 1};
}

void ElidedLabel::paintEvent(QPaintEvent* /*event*/) {
    QPainter painter(this);
    painter.setPen(palette().color(foregroundRole()));
    const QString shown = fontMetrics().elidedText(text_, Qt::ElideRight, width());
    if (const QString whole = shown == text_ ? QString{} : text_; toolTip() != whole) {
        setToolTip(whole);
    }
    painter.drawText(rect(), Qt::AlignLeft | Qt::AlignVCenter, shown);
}

} // namespace yf::app
