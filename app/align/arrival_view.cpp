// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/align/arrival_view.h"

#include "app/theme/theme.h"

#include <QPainter>

#include <algorithm>
#include <cmath>

namespace yf::app {

namespace {

constexpr double rowHeight = 20.0;
constexpr double headHeight = 20.0;
constexpr double footHeight = 22.0;
constexpr double labelWidth = 96.0;

QString methodName(study::Arrival::Method method) {
    switch (method) {
    case study::Arrival::Method::common:
        return ArrivalView::tr("one clock");
    case study::Arrival::Method::threeTakes:
        return ArrivalView::tr("three takes");
    case study::Arrival::Method::geometry:
        return ArrivalView::tr("depth");
    }
    return {};
}

} // namespace

ArrivalView::ArrivalView(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("arrival_picture"));
    setAccessibleName(tr("Arrival of neighbours by each method, with its interval"));
    setMinimumSize(240, 120);
}

void ArrivalView::display(const std::vector<study::ArrivalStudy>& studies,
                          const QStringList& names) {
    studies_ = studies;
    names_ = names;
    update();
}

void ArrivalView::paintEvent(QPaintEvent* /*event*/) {
    const Theme& t = theme();
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    double widest = 100e-6;
    for (const study::ArrivalStudy& study : studies_) {
        for (const study::Arrival& way : study.ways) {
            if (way.delay) {
                widest = std::max(widest, std::abs(*way.delay) + 2.0 * way.u);
            }
        }
    }
    const double room = width() - labelWidth - 12.0;
    const auto across = [&](double seconds) {
        return labelWidth + 0.5 * room * (1.0 + seconds / (1.05 * widest));
    };
    double y = 4.0;
    const double bottom = y + static_cast<double>(studies_.size()) * (headHeight + 3.0 * rowHeight);
    painter.setPen(QPen(t.rule, 1.0));
    painter.drawLine(QPointF(across(0.0), y), QPointF(across(0.0), bottom));
    for (std::size_t i = 0; i < studies_.size(); ++i) {
        QFont bold = font();
        bold.setWeight(QFont::DemiBold);
        painter.setFont(bold);
        painter.setPen(t.ink);
        painter.drawText(QRectF(0.0, y, width(), headHeight),
                         Qt::AlignVCenter,
                         names_.value(static_cast<qsizetype>(i)));
        y += headHeight;
        painter.setFont(font());
        for (const study::Arrival& way : studies_[i].ways) {
            painter.setPen(t.quietInk);
            painter.drawText(QRectF(8.0, y, labelWidth - 8.0, rowHeight),
                             Qt::AlignVCenter,
                             methodName(way.method));
            const double middle = y + 0.5 * rowHeight;
            if (way.delay) {
                const double from = across(*way.delay - 2.0 * way.u);
                const double to = across(*way.delay + 2.0 * way.u);
                painter.setPen(QPen(way.ambiguous ? t.mind : t.ink, 1.4));
                painter.drawLine(QPointF(from, middle), QPointF(to, middle));
                painter.drawLine(QPointF(from, middle - 4.0), QPointF(from, middle + 4.0));
                painter.drawLine(QPointF(to, middle - 4.0), QPointF(to, middle + 4.0));
                painter.setBrush(way.method == study::Arrival::Method::geometry ? t.sheet
                                                                                : t.front);
                painter.drawEllipse(QPointF(across(*way.delay), middle), 5.0, 5.0);
            } else {
                painter.drawText(
                    QRectF(labelWidth, y, room, rowHeight), Qt::AlignCenter, tr("not taken"));
            }
            y += rowHeight;
        }
    }
    painter.setFont(figureFont(8.0));
    painter.setPen(t.quietInk);
    const double step = widest > 300e-6 ? 200e-6 : widest > 150e-6 ? 100e-6 : 50e-6;
    for (double at = -std::floor(widest / step) * step; at <= widest + 1e-9; at += step) {
        painter.drawLine(QPointF(across(at), bottom), QPointF(across(at), bottom + 4.0));
        painter.drawText(QRectF(across(at) - 30.0, bottom + 4.0, 60.0, footHeight - 6.0),
                         Qt::AlignCenter,
                         QStringLiteral("%1").arg(at * 1e6, 0, 'f', 0));
    }
    painter.drawText(QRectF(0.0, bottom + 4.0, labelWidth - 8.0, footHeight - 6.0),
                     Qt::AlignVCenter,
                     tr("later, µs →"));
}

} // namespace yf::app
