// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/check/ohm_scale.h"

#include "app/theme/theme.h"
#include "app/widgets/words.h"
#include "core/text/number.h"

#include <QPainter>

#include <algorithm>
#include <cmath>

namespace yf::app {

namespace {

constexpr double reach = 1.5; // of the nominal impedance
constexpr double normalLow = 0.70;
constexpr double normalHigh = 1.15;

QString ohms(double value) {
    return figures(text::printEngineering(value, "Ω"));
}

} // namespace

OhmScale::OhmScale(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("check_ohm_scale"));
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
}

void OhmScale::display(double nominal,
                       const std::optional<bench::DcrJudgement>& judged,
                       std::optional<double> twin) {
    nominal_ = nominal;
    judged_ = judged;
    twin_ = twin;
    setVisible(nominal > 0.0);
    setAccessibleName(judged && judged->dcr
                          ? tr("%1 on a scale of DC resistance").arg(ohms(*judged->dcr))
                          : tr("Scale of DC resistance"));
    update();
}

void OhmScale::paintEvent(QPaintEvent* /*event*/) {
    const Theme& t = theme();
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const double most = reach * nominal_;
    const int left = 10;
    const int right = width() - 24;
    const int rail = 34;
    const auto x = [&](double value) {
        return left + std::clamp(value / most, 0.0, 1.06) * (right - left);
    };
    const double low = judged_ ? judged_->expectedLow : normalLow * nominal_;
    const double high = judged_ ? judged_->expectedHigh : normalHigh * nominal_;
    painter.fillRect(QRectF(x(low), 16, x(high) - x(low), 26), t.corridor);
    painter.setPen(QPen(t.outline, 1.0));
    painter.drawLine(QPointF(left, rail), QPointF(right, rail));
    QFont small = figureFont(8.0);
    painter.setFont(small);
    for (const double value : {0.0, low, nominal_, high, most}) {
        painter.setPen(t.outline);
        painter.drawLine(QPointF(x(value), rail - 3), QPointF(x(value), rail + 3));
        painter.setPen(t.quietInk);
        painter.drawText(QRectF(x(value) - 30, rail + 7, 60, 14),
                         Qt::AlignCenter,
                         figures(text::printSignificant(value, 3)));
    }
    if (twin_) {
        const double at = x(*twin_);
        painter.setPen(QPen(t.quietInk, 1.4));
        painter.drawLine(QPointF(at, 16), QPointF(at, rail));
        painter.drawText(QRectF(at - 30, 1, 60, 14), Qt::AlignCenter, tr("twin"));
    }
    if (!judged_) {
        return;
    }
    const double at = judged_->dcr ? x(*judged_->dcr) : x(most * 1.06);
    if (judged_->dcr && judged_->u) {
        painter.setPen(QPen(t.ink, 2.0));
        painter.drawLine(QPointF(x(*judged_->dcr - *judged_->u), rail),
                         QPointF(x(*judged_->dcr + *judged_->u), rail));
    }
    painter.setPen(Qt::NoPen);
    painter.setBrush(t.ink);
    painter.drawPolygon(
        QPolygonF{{at, rail - 2.0}, {at - 6.0, rail - 13.0}, {at + 6.0, rail - 13.0}});
    if (!judged_->dcr) {
        painter.setPen(t.ink);
        painter.setFont(figureFont(11.0));
        painter.drawText(QRectF(at - 14, 2, 28, 16), Qt::AlignCenter, QStringLiteral("∞"));
    }
}

} // namespace yf::app
