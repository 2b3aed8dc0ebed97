// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/frame/front_sketch.h"

#include <QPainter>

namespace yf::app {

void FrontSketch::display(const FrontPicture& front) {
    front_ = front;
    QWidget::update();
}

void FrontSketch::paintEvent(QPaintEvent* /*event*/) {
    QPainter painter(this);
    paintFront(painter,
               front_,
               FrontScale::fitting(front_, QRectF(rect()).adjusted(3.0, 3.0, -3.0, -3.0)),
               Edge::plain);
}

} // namespace yf::app
