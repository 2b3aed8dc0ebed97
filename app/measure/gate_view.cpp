// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/measure/gate_view.h"

#include "app/theme/theme.h"
#include "app/widgets/words.h"
#include "core/signal/decay.h"
#include "core/signal/spectrum.h"
#include "core/text/number.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>

#include <algorithm>
#include <cmath>

namespace yf::app {

namespace {

QString seconds(double t) {
    return figures(text::printEngineering(t, "s"));
}

} // namespace

GateView::GateView(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("gate_view"));
    setFocusPolicy(Qt::StrongFocus);
    setMouseTracking(true);
    setAccessibleName(tr("Response over time, with the gate"));
}

void GateView::display(std::shared_ptr<const take::MadeTake> made,
                       std::optional<signal::Gate> proposed) {
    const bool other = made != made_;
    made_ = std::move(made);
    proposed_ = proposed;
    if (made_ && held_ == Handle::none) {
        gate_ = made_->reading.gate;
    }
    if (other) {
        computeShape();
    }
    describe();
    update();
}

void GateView::setShown(TimeShown shown) {
    shown_ = shown;
    computeShape();
    update();
}

void GateView::computeShape() {
    shape_.clear();
    if (!made_ || !made_->impulse) {
        return;
    }
    const signal::Impulse& impulse = *made_->impulse;
    shape_ = shown_ == TimeShown::step ? signal::stepResponse(impulse) : impulse.samples;
    if (shown_ == TimeShown::energy) {
        shape_ = signal::envelope(impulse.samples);
    }
    double most = 1e-300;
    for (const double v : shape_) {
        most = std::max(most, std::abs(v));
    }
    for (double& v : shape_) {
        v /= most;
        if (shown_ == TimeShown::energy) {
            // 60 dB from top to bottom.
            constexpr double range = 60.0;
            v = std::max(2.0 * (20.0 * std::log10(std::max(v, 1e-6)) / range) + 1.0, -1.0);
        }
    }
    to_ = std::clamp(2.5 * made_->reading.gate.right, 8e-3, impulse.duration() - impulse.timeZero);
    from_ = -0.1 * to_;
}

QRect GateView::frame() const {
    return rect().adjusted(8, 8, -8, -30);
}

double GateView::placeOf(double t) const {
    const QRect r = frame();
    return r.left() + (t - from_) / (to_ - from_) * r.width();
}

double GateView::timeAt(double x) const {
    const QRect r = frame();
    return from_ + (x - r.left()) / r.width() * (to_ - from_);
}

void GateView::paintEvent(QPaintEvent* /*event*/) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const Theme& t = theme();
    const QRect r = frame();
    painter.fillRect(rect(), t.sheet);
    painter.setPen(t.rule);
    painter.drawRect(r);
    if (shape_.empty()) {
        painter.setPen(t.quietInk);
        painter.drawText(r,
                         Qt::AlignCenter | Qt::TextWordWrap,
                         tr("Choose a take that was recorded here: its samples show the impulse."));
        return;
    }
    const double left = placeOf(-gate_.left);
    const double flat = placeOf(gate_.right * (1.0 - gate_.taper));
    const double right = placeOf(gate_.right);
    painter.fillRect(QRectF(left, r.top(), flat - left, r.height()), t.corridor);
    QColor faint = t.corridor;
    faint.setAlphaF(faint.alphaF() * 0.5F);
    painter.fillRect(QRectF(flat, r.top(), right - flat, r.height()), faint);
    painter.setPen(t.rule);
    const double middle = r.center().y();
    painter.drawLine(QPointF(r.left(), middle), QPointF(r.right(), middle));
    // Ticks in whole milliseconds.
    painter.setFont(figureFont(8.0));
    const double span = (to_ - from_) * 1e3;
    const double step = span > 200.0  ? 50.0
                        : span > 80.0 ? 20.0
                        : span > 30.0 ? 5.0
                        : span > 12.0 ? 2.0
                                      : 1.0;
    for (double ms = std::ceil(from_ * 1e3 / step) * step; ms < to_ * 1e3; ms += step) {
        const double x = placeOf(ms * 1e-3);
        painter.setPen(t.rule);
        painter.drawLine(QPointF(x, r.top()), QPointF(x, r.bottom()));
        painter.setPen(t.quietInk);
        painter.drawText(QRectF(x - 30, r.bottom() + 2, 60, 14),
                         Qt::AlignHCenter,
                         figures(text::printSignificant(ms, 4)) + QStringLiteral("\u202Fms"));
    }
    const signal::Impulse& impulse = *made_->impulse;
    QPainterPath path;
    bool begun = false;
    for (std::size_t n = 0; n < shape_.size(); ++n) {
        const double time =
            static_cast<double>(n) / impulse.rate - impulse.timeZero - made_->reading.arrival;
        if (time < from_ || time > to_) {
            continue;
        }
        const QPointF p(placeOf(time), middle - 0.47 * r.height() * shape_[n]);
        begun ? path.lineTo(p) : path.moveTo(p);
        begun = true;
    }
    painter.setPen(QPen(t.ink, 1.0));
    painter.drawPath(path);
    if (made_->reading.reflection && made_->reading.reflection->after < to_) {
        const double x = placeOf(made_->reading.reflection->after);
        painter.setPen(QPen(t.mind, 1.6, Qt::DashLine));
        painter.drawLine(QPointF(x, r.top()), QPointF(x, r.bottom()));
        painter.setPen(t.mind);
        painter.drawText(QPointF(x + 4, r.top() + 14),
                         tr("first reflection %1, %2 dB")
                             .arg(seconds(made_->reading.reflection->after),
                                  figures(text::printFixed(made_->reading.reflection->level, 0))));
    }
    for (const auto& [x, held] :
         {std::pair(left, held_ == Handle::left), std::pair(right, held_ == Handle::right)}) {
        painter.setPen(QPen(t.ink, held || hasFocus() ? 2.4 : 1.6));
        painter.drawLine(QPointF(x, r.top()), QPointF(x, r.bottom()));
        painter.setBrush(t.front);
        painter.drawRoundedRect(QRectF(x - 5, r.bottom() - 22, 10, 20), 3, 3);
    }
    painter.setPen(t.ink);
    painter.drawText(
        QRectF(r.left(), r.bottom() + 14, r.width(), 14),
        Qt::AlignHCenter,
        tr("gate %1, valid from %2")
            .arg(seconds(gate_.right), figures(text::printEngineering(gate_.lowestValid(), "Hz"))));
}

void GateView::move(Handle handle, double t) {
    if (!made_ || !made_->impulse) {
        return;
    }
    constexpr double shortest = 4e-4;
    const double rest = made_->reading.rest;
    if (handle == Handle::right) {
        gate_.right = std::clamp(t, shortest, std::max(rest, shortest));
    } else {
        gate_.left = std::clamp(-t, 0.0, 0.015);
    }
    describe();
    update();
    Q_EMIT moving(gate_);
}

void GateView::mousePressEvent(QMouseEvent* event) {
    if (shape_.empty() || event->button() != Qt::LeftButton) {
        return;
    }
    const double x = event->position().x();
    const double toLeft = std::abs(x - placeOf(-gate_.left));
    const double toRight = std::abs(x - placeOf(gate_.right));
    constexpr double near = 16.0;
    held_ = std::min(toLeft, toRight) > near ? Handle::none
            : toLeft < toRight               ? Handle::left
                                             : Handle::right;
    update();
}

void GateView::mouseMoveEvent(QMouseEvent* event) {
    if (held_ != Handle::none) {
        move(held_, timeAt(event->position().x()));
    }
}

void GateView::mouseReleaseEvent(QMouseEvent* /*event*/) {
    if (held_ != Handle::none) {
        held_ = Handle::none;
        update();
        Q_EMIT moved(gate_);
    }
}

void GateView::keyPressEvent(QKeyEvent* event) {
    const int way = event->key() == Qt::Key_Right ? 1 : event->key() == Qt::Key_Left ? -1 : 0;
    if (way == 0 || shape_.empty()) {
        QWidget::keyPressEvent(event);
        return;
    }
    const double step = event->modifiers().testFlag(Qt::ShiftModifier) ? 1e-5 : 1e-4;
    if (event->modifiers().testFlag(Qt::ControlModifier)) {
        move(Handle::left, -gate_.left + way * step);
    } else {
        move(Handle::right, gate_.right + way * step);
    }
    Q_EMIT moved(gate_);
}

void GateView::describe() {
    setAccessibleDescription(
        made_ ? tr("The gate ends %1 after the arrival; the curve is valid from %2.")
                    .arg(seconds(gate_.right),
                         figures(text::printEngineering(gate_.lowestValid(), "Hz")))
              : QString());
}

} // namespace yf::app
