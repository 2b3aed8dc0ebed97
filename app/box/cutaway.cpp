// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/box/cutaway.h"

#include "app/theme/theme.h"
#include "app/widgets/words.h"
#include "core/box/motion.h"
#include "core/text/number.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QStyle>

#include <algorithm>
#include <cmath>

namespace yf::app {

namespace {

constexpr double twoPi = 2.0 * std::numbers::pi;
constexpr double normalPeriod = 1.8; // s for one turn
constexpr double slowPeriod = 6.0;
constexpr double reach = 14.0; // px of the larger of the two

/// The desktop's wish for stillness reaches Qt as a duration of nought.
bool stillnessWanted(const QWidget* widget) {
    return widget->style()->styleHint(QStyle::SH_Widget_Animation_Duration, nullptr, widget) <= 0;
}

} // namespace

Cutaway::Cutaway(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("cutaway"));
    setAccessibleName(tr("The box cut open"));
    setFocusPolicy(Qt::StrongFocus);
    setMouseTracking(true);
    playing_ = !stillnessWanted(this);
    constexpr int frame = 16; // ms
    timer_.setInterval(frame);
    connect(&timer_, &QTimer::timeout, this, [this] {
        const double period = slow_ ? slowPeriod : normalPeriod;
        phase_ += twoPi * static_cast<double>(clock_.restart()) * 1e-3 / period;
        phase_ = std::fmod(phase_, twoPi);
        update();
    });
}

void Cutaway::display(const Shown& shown) {
    shown_ = shown;
    runOrRest();
    describe();
    update();
}

void Cutaway::setFrequency(double f) {
    frequency_ = f;
    describe();
    update();
}

void Cutaway::setPlaying(bool playing) {
    if (playing != playing_) {
        playing_ = playing;
        runOrRest();
        Q_EMIT playingChanged(playing_);
    }
}

void Cutaway::setSlow(bool slow) {
    slow_ = slow;
}

void Cutaway::runOrRest() {
    const bool run = playing_ && isVisible() && shown_.system != nullptr;
    if (run && !timer_.isActive()) {
        clock_.start();
        timer_.start();
    } else if (!run) {
        timer_.stop();
    }
}

void Cutaway::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    runOrRest();
}

void Cutaway::hideEvent(QHideEvent* event) {
    QWidget::hideEvent(event);
    timer_.stop();
}

void Cutaway::focusInEvent(QFocusEvent* event) {
    QWidget::focusInEvent(event);
    chosen_ = std::max(chosen_, 0);
    update();
}

void Cutaway::focusOutEvent(QFocusEvent* event) {
    QWidget::focusOutEvent(event);
    update();
}

Cutaway::Motion Cutaway::motion() const {
    Motion m;
    if (shown_.system == nullptr) {
        return m;
    }
    const box::Motion now = box::motionAt(*shown_.system, frequency_);
    m.cone = box::travel(now, frequency_);
    const box::Complex flow =
        std::abs(now.flow.to[0]) > std::abs(now.flow.to[1]) ? now.flow.to[0] : now.flow.to[1];
    m.hasPort = std::abs(flow) > 0.0 && shown_.portArea > 0.0;
    if (m.hasPort) {
        m.slug =
            std::numbers::sqrt2 * std::abs(flow * now.Su) / (shown_.portArea * twoPi * frequency_);
        m.angle = std::arg(flow);
    }
    return m;
}

Excursion Cutaway::excursion() const {
    const Motion m = motion();
    const double largest = std::max(m.cone, m.slug);
    Excursion e;
    if (!(largest > 0.0)) {
        return e;
    }
    e.cone = reach * m.cone / largest * std::cos(phase_);
    const double outward = reach * m.slug / largest * std::cos(phase_ + m.angle);
    e.slug.fill(outward, shown_.section.tubes.size());
    e.radiator = outward;
    return e;
}

SectionScale Cutaway::scale() const {
    return SectionScale::fitting(shown_.section, QRectF(rect()).adjusted(4, 4, -4, -4));
}

QVector<Cutaway::Handle> Cutaway::handles() const {
    QVector<Handle> all;
    const Section& s = shown_.section;
    if (shown_.system == nullptr || s.open) {
        return all;
    }
    const SectionScale to = scale();
    if (!s.tubes.isEmpty() && !shown_.enclosure.sealedOff) {
        const Section::Tube& p = s.tubes.first();
        const double x = p.back ? s.depth - p.length : p.length;
        all.push_back({QStringLiteral("port"), to.at(x, p.y), true});
    }
    all.push_back({QStringLiteral("back"), to.at(s.depth, 0.62 * s.height), true});
    if (!shown_.enclosure.sealedOff) {
        if (s.rooms.size() > 1) {
            all.push_back({QStringLiteral("partition"),
                           to.at(0.7 * s.depth, s.rooms[1].floor - 0.5 * s.panel),
                           false});
        }
        for (qsizetype i = 0; i < s.braces.size(); ++i) {
            all.push_back(
                {QStringLiteral("brace-%1").arg(i), to.at(0.55 * s.depth, s.braces[i]), false});
        }
    }
    return all;
}

QPointF Cutaway::handleAt(const QString& name) const {
    for (const Handle& h : handles()) {
        if (h.name == name) {
            return h.at;
        }
    }
    return {};
}

void Cutaway::move(const QString& handle, double metres) {
    job::Enclosure e = before_;
    if (handle == QLatin1String("back")) {
        Q_EMIT depthDragged(std::max(0.05, depthBefore_ + metres));
        return;
    }
    if (handle == QLatin1String("port") && !e.ports.empty()) {
        job::PortIn& p = e.ports.front();
        const double inward = p.side == job::PortWall::back ? -metres : metres;
        p.length = std::max(p.port.flareInner + p.port.flareOuter + 0.001, p.length + inward);
    } else if (handle == QLatin1String("partition")) {
        e.dead = std::clamp(e.dead - metres, 0.05, shown_.section.height - 0.2);
    } else if (handle.startsWith(QLatin1String("brace-"))) {
        const auto i = static_cast<std::size_t>(handle.mid(6).toInt());
        const double ceiling = shown_.section.rooms.first().ceiling - shown_.section.panel;
        e.braces.at(i) = std::clamp(e.braces.at(i) + metres, 0.02, ceiling - 0.02);
    }
    Q_EMIT enclosureDragged(e);
}

void Cutaway::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton) {
        return;
    }
    constexpr double near = 16.0;
    double closest = near;
    const auto all = handles();
    for (qsizetype i = 0; i < all.size(); ++i) {
        const QPointF off = all[i].at - event->position();
        // The back wall can be taken anywhere.
        const double distance = all[i].name == QLatin1String("back") ? std::abs(off.x()) + 4.0
                                                                     : std::hypot(off.x(), off.y());
        if (distance < closest) {
            closest = distance;
            held_ = all[i].name;
            chosen_ = static_cast<int>(i);
        }
    }
    grip_ = event->position();
    before_ = shown_.enclosure;
    depthBefore_ = shown_.depth;
    update();
}

void Cutaway::mouseMoveEvent(QMouseEvent* event) {
    const auto all = handles();
    if (held_.isEmpty()) {
        bool over = false;
        bool alongX = false;
        for (const Handle& h : all) {
            const QPointF off = h.at - event->position();
            if (std::hypot(off.x(), off.y()) < 14.0) {
                over = true;
                alongX = h.alongX;
            }
        }
        setCursor(!over ? Qt::ArrowCursor : alongX ? Qt::SizeHorCursor : Qt::SizeVerCursor);
        return;
    }
    const QPointF moved = event->position() - grip_;
    const auto held = std::ranges::find_if(all, [&](const Handle& h) { return h.name == held_; });
    const bool alongX = held == all.end() || held->alongX;
    move(held_, (alongX ? moved.x() : -moved.y()) / scale().pixels);
}

void Cutaway::mouseReleaseEvent(QMouseEvent* event) {
    if (event->button() == Qt::LeftButton && !held_.isEmpty()) {
        held_.clear();
        Q_EMIT released();
    }
}

void Cutaway::keyPressEvent(QKeyEvent* event) {
    const auto all = handles();
    const int count = static_cast<int>(all.size());
    if (event->key() == Qt::Key_P) {
        setPlaying(!playing_);
    } else if (count > 0 && (event->key() == Qt::Key_Up || event->key() == Qt::Key_Down)) {
        const int step = event->key() == Qt::Key_Down ? 1 : count - 1;
        chosen_ = (std::max(chosen_, 0) + step) % count;
        update();
        describe();
    } else if (count > 0 && (event->key() == Qt::Key_Left || event->key() == Qt::Key_Right)) {
        before_ = shown_.enclosure;
        depthBefore_ = shown_.depth;
        const double step = event->modifiers() & Qt::ShiftModifier ? 0.01 : 0.001;
        move(all[std::clamp(chosen_, 0, count - 1)].name,
             event->key() == Qt::Key_Right ? step : -step);
    } else {
        QWidget::keyPressEvent(event);
    }
}

void Cutaway::describe() {
    const auto all = handles();
    QString said =
        tr("Section of the box at %1.").arg(figures(text::printEngineering(frequency_, "Hz", 3)));
    if (chosen_ >= 0 && chosen_ < all.size()) {
        const QString& name = all[chosen_].name;
        said +=
            QLatin1Char(' ') + (name == QLatin1String("port")   ? tr("In hand: the port's end.")
                                : name == QLatin1String("back") ? tr("In hand: the back.")
                                : name == QLatin1String("partition") ? tr("In hand: the partition.")
                                                                     : tr("In hand: a brace."));
    }
    setAccessibleDescription(said);
}

void Cutaway::paintEvent(QPaintEvent* /*event*/) {
    QPainter painter(this);
    painter.fillRect(rect(), theme().ground);
    if (shown_.section.height <= 0.0) {
        return;
    }
    paintSection(painter, shown_.section, scale(), excursion());
    // Grips: a round one with an arrow each way.
    const auto all = handles();
    for (qsizetype i = 0; i < all.size(); ++i) {
        const bool chosen = hasFocus() && i == chosen_;
        painter.setPen(QPen(theme().ink, chosen ? 2.4 : 1.2));
        painter.setBrush(theme().front);
        painter.drawEllipse(all[i].at, 6.0, 6.0);
        const QPointF along = all[i].alongX ? QPointF(1.0, 0.0) : QPointF(0.0, 1.0);
        painter.drawLine(all[i].at - 3.5 * along, all[i].at + 3.5 * along);
    }
    if (hasFocus()) {
        painter.setPen(QPen(theme().ink, 1.0, Qt::DotLine));
        painter.setBrush(Qt::NoBrush);
        painter.drawRect(rect().adjusted(1, 1, -2, -2));
    }
}

} // namespace yf::app
