// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/flow_layout.h"

#include <algorithm>

namespace yf::app {

FlowLayout::~FlowLayout() {
    qDeleteAll(items_);
}

void FlowLayout::setGeometry(const QRect& rect) {
    QLayout::setGeometry(rect);
    static_cast<void>(place(rect, Move::yes));
}

QSize FlowLayout::minimumSize() const {
    QSize size;
    for (const QLayoutItem* item : items_) {
        size = size.expandedTo(item->minimumSize());
    }
    return size;
}

int FlowLayout::place(const QRect& rect, Move move) const {
    const int gap = std::max(spacing(), 0);
    int x = rect.x();
    int y = rect.y();
    int rowHeight = 0;
    for (QLayoutItem* item : items_) {
        if (item->isEmpty()) {
            continue; // hidden
        }
        const QSize size = item->sizeHint();
        if (x > rect.x() && x + size.width() > rect.x() + rect.width()) {
            x = rect.x();
            y += rowHeight + gap;
            rowHeight = 0;
        }
        rowHeight = std::max(rowHeight, size.height());
        if (move == Move::yes) {
            // Of one height in a row, so that words stand on one line with fields.
            item->setGeometry(
                QRect(QPoint(x, y), QSize(size.width(), std::max(rowHeight, size.height()))));
        }
        x += size.width() + gap;
    }
    return y + rowHeight - rect.y();
}

} // namespace yf::app
