// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/crossover/front_chart.h"

#include "app/theme/theme.h"
#include "app/widgets/words.h"
#include "core/text/number.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>

#include <algorithm>
#include <cmath>

namespace yf::app {

namespace {

constexpr double leftRoom = 44.0;
constexpr double bottomRoom = 30.0;
constexpr double topRoom = 18.0;
constexpr double rightRoom = 14.0;
constexpr double radius = 5.5;

/// Loads that are told apart by fill.
constexpr double heavy = 4.0;
constexpr double light = 6.0;

double niceStep(double range, int most) {
    const double raw = range / most;
    const double decade = std::pow(10.0, std::floor(std::log10(raw)));
    for (const double m : {1.0, 2.0, 5.0}) {
        if (m * decade >= raw) {
            return m * decade;
        }
    }
    return 10.0 * decade;
}

/// Listening windows that are told apart by colour, dB rms.
constexpr double flat = 1.0;
constexpr double uneven = 2.0;

QColor inkOf(const std::optional<double>& window) {
    return !window            ? theme().ink
           : *window <= flat  ? theme().good
           : *window > uneven ? theme().mind
                              : theme().ink;
}

void paintDot(QPainter& painter, const QPointF& at, double ohms, const QColor& ink) {
    painter.setPen(QPen(ink, 1.4));
    painter.setBrush(theme().sheet);
    painter.drawEllipse(at, radius, radius);
    if (ohms >= light) {
        return;
    }
    painter.setBrush(ink);
    const QRectF box(at.x() - radius, at.y() - radius, 2.0 * radius, 2.0 * radius);
    constexpr int sixteenths = 16;
    if (ohms < heavy) {
        painter.drawEllipse(at, radius, radius);
    } else {
        painter.drawPie(box, 180 * sixteenths, 180 * sixteenths);
    }
}

} // namespace

FrontChart::FrontChart(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("front_chart"));
    setAccessibleName(tr("Networks found: error against what they cost"));
    setMouseTracking(true);
    setFocusPolicy(Qt::StrongFocus);
    setMinimumSize(260, 150);
}

void FrontChart::display(Shown shown) {
    if (!(shown.networks == shown_.networks)) {
        under_ = -1;
    }
    shown_ = std::move(shown);
    fitAxes();
    QString said = tr("%1 networks").arg(shown_.networks.size());
    if (shown_.chosen >= 0) {
        const job::FoundNetwork& n = shown_.networks[static_cast<std::size_t>(shown_.chosen)];
        said += QStringLiteral(", ") +
                tr("chosen: %1 parts, %2 dB").arg(n.parts).arg(figures(text::printFixed(n.rms, 2)));
    }
    setAccessibleDescription(said);
    update();
}

double FrontChart::cost(const job::FoundNetwork& n) const {
    return shown_.byPrice ? n.price : static_cast<double>(n.parts);
}

void FrontChart::fitAxes() {
    most_ = 1.0;
    double low = 1.0;
    double high = 1.0;
    const auto take = [&](const job::FoundNetwork& n, bool across) {
        if (across) {
            most_ = std::max(most_, 1.06 * cost(n));
        }
        low = std::min(low, n.rms);
        high = std::max(high, n.rms);
    };
    for (const job::FoundNetwork& n : shown_.networks) {
        take(n, true);
    }
    if (shown_.byHand) {
        take(*shown_.byHand, true);
    }
    if (shown_.present && shown_.present->parts > 0) {
        take(*shown_.present, true);
    }
    constexpr double least = 0.05;
    low_ = std::max(least, 0.8 * low);
    high_ = 1.25 * high;
}

QRectF FrontChart::field() const {
    return {leftRoom, topRoom, width() - leftRoom - rightRoom, height() - topRoom - bottomRoom};
}

QPointF FrontChart::at(const job::FoundNetwork& n) const {
    const QRectF room = field();
    const double share = std::log(high_ / std::clamp(n.rms, low_, high_)) / std::log(high_ / low_);
    return {room.left() + room.width() * cost(n) / most_, room.top() + room.height() * share};
}

std::optional<double> FrontChart::windowOf(int network) const {
    const auto index = static_cast<std::size_t>(network);
    return index < shown_.windows.size() ? shown_.windows[index] : std::nullopt;
}

bool FrontChart::allowed(int network) const {
    constexpr double slack = 0.999;
    const job::FoundNetwork& n = shown_.networks[static_cast<std::size_t>(network)];
    return n.impedance >= slack * shown_.leastLoad &&
           windowOf(network).value_or(0.0) <= shown_.mostWindow;
}

int FrontChart::under(const QPointF& place) const {
    constexpr double reach = 14.0;
    int best = -1;
    double nearest = reach;
    for (int i = 0; i < static_cast<int>(shown_.networks.size()); ++i) {
        const QPointF off = at(shown_.networks[static_cast<std::size_t>(i)]) - place;
        const double distance = std::hypot(off.x(), off.y());
        if (distance < nearest && allowed(i)) {
            nearest = distance;
            best = i;
        }
    }
    return best;
}

void FrontChart::paintAxes(QPainter& painter) const {
    const QRectF room = field();
    painter.setFont(figureFont(8.0));
    painter.setPen(theme().quietInk);
    for (const double dB : {0.05, 0.1, 0.2, 0.5, 1.0, 2.0, 5.0, 10.0, 20.0}) {
        if (dB < low_ || dB > high_) {
            continue;
        }
        const double y = room.top() + room.height() * std::log(high_ / dB) / std::log(high_ / low_);
        painter.setPen(QPen(theme().rule, 1.0));
        painter.drawLine(QPointF(room.left(), y), QPointF(room.right(), y));
        painter.setPen(theme().quietInk);
        painter.drawText(QRectF(0.0, y - 8.0, leftRoom - 6.0, 16.0),
                         Qt::AlignRight | Qt::AlignVCenter,
                         figures(text::printNumber(dB)));
    }
    constexpr int ticks = 8;
    const double step = std::max(shown_.byPrice ? 0.0 : 1.0, niceStep(most_, ticks));
    for (double x = 0.0; x <= most_; x += step) {
        const double at = room.left() + room.width() * x / most_;
        painter.setPen(QPen(theme().rule, 1.0));
        painter.drawLine(QPointF(at, room.top()), QPointF(at, room.bottom()));
        painter.setPen(theme().quietInk);
        painter.drawText(QRectF(at - 30.0, room.bottom() + 2.0, 60.0, 14.0),
                         Qt::AlignCenter,
                         figures(text::printNumber(x)));
    }
    painter.setPen(theme().outline);
    painter.setBrush(Qt::NoBrush);
    painter.drawRect(room);
    painter.setFont(font());
    painter.setPen(theme().quietInk);
    painter.drawText(QRectF(room.left(), height() - 16.0, room.width(), 16.0),
                     Qt::AlignRight | Qt::AlignVCenter,
                     shown_.byPrice ? tr("price of the parts") : tr("number of parts"));
    painter.drawText(QRectF(2.0, 0.0, room.width(), topRoom),
                     Qt::AlignLeft | Qt::AlignVCenter,
                     shown_.aside ? tr("dB rms from the target, on axis and beside it")
                                  : tr("dB rms from the target, on axis"));
}

void FrontChart::paintSteps(QPainter& painter) const {
    const auto best = study::flattest(shown_.networks, shown_.byPrice);
    QPolygonF line;
    for (const std::size_t i : best) {
        const QPointF here = at(shown_.networks[i]);
        if (!line.isEmpty()) {
            line << QPointF(here.x(), line.last().y());
        }
        line << here;
    }
    painter.setBrush(Qt::NoBrush);
    painter.setPen(QPen(theme().sum.colour, 1.4));
    painter.drawPolyline(line);
}

void FrontChart::paintNetworks(QPainter& painter) const {
    for (int i = 0; i < static_cast<int>(shown_.networks.size()); ++i) {
        const job::FoundNetwork& n = shown_.networks[static_cast<std::size_t>(i)];
        constexpr double pale = 0.3;
        painter.setOpacity(allowed(i) ? 1.0 : pale);
        paintDot(painter, at(n), n.impedance, inkOf(windowOf(i)));
        painter.setOpacity(1.0);
        if (i == shown_.chosen || i == under_) {
            painter.setBrush(Qt::NoBrush);
            painter.setPen(QPen(theme().front, i == shown_.chosen ? 3.0 : 1.6));
            painter.drawEllipse(at(n), radius + 4.0, radius + 4.0);
        }
    }
    if (hasFocus() && shown_.chosen < 0 && !shown_.networks.empty()) {
        painter.setBrush(Qt::NoBrush);
        painter.setPen(QPen(theme().front, 1.6));
        painter.drawRect(rect().adjusted(1, 1, -2, -2));
    }
}

void FrontChart::paintBeside(QPainter& painter) const {
    const auto label = [&](const QPointF& at, const QString& text) {
        const double wide = painter.fontMetrics().horizontalAdvance(text);
        const bool leftOf = at.x() + 10.0 + wide > field().right();
        painter.setPen(theme().ink);
        painter.drawText(
            QRectF(leftOf ? at.x() - 10.0 - wide : at.x() + 10.0, at.y() - 9.0, wide + 2.0, 18.0),
            Qt::AlignLeft | Qt::AlignVCenter,
            text);
    };
    painter.setBrush(Qt::NoBrush);
    if (shown_.byHand) {
        const QPointF here = at(*shown_.byHand);
        painter.setPen(QPen(theme().quietInk, 1.8));
        painter.drawPolygon(QPolygonF({here + QPointF(0, -7),
                                       here + QPointF(7, 0),
                                       here + QPointF(0, 7),
                                       here + QPointF(-7, 0)}));
        label(here, tr("book, by hand"));
    }
    if (shown_.present && shown_.present->parts > 0) {
        const QPointF here = at(*shown_.present);
        painter.setPen(QPen(theme().quietInk, 2.2));
        painter.drawLine(here + QPointF(-6, -6), here + QPointF(6, 6));
        painter.drawLine(here + QPointF(-6, 6), here + QPointF(6, -6));
        label(here, tr("now"));
    }
}

void FrontChart::paintKey(QPainter& painter) const {
    // Loads by fill, right above the field.
    double x = field().right();
    const double y = topRoom / 2.0;
    const std::pair<double, QString> keys[] = {{light, tr("%1 Ω and more").arg(6)},
                                               {heavy, tr("%1 to %2 Ω").arg(4).arg(6)},
                                               {0.0, tr("load below %1 Ω").arg(4)}};
    for (const auto& [ohms, text] : keys) {
        const double wide = painter.fontMetrics().horizontalAdvance(text);
        x -= wide;
        painter.setPen(theme().quietInk);
        painter.drawText(
            QRectF(x, 0.0, wide + 2.0, topRoom), Qt::AlignLeft | Qt::AlignVCenter, text);
        x -= 2.0 * radius + 4.0;
        paintDot(painter, {x + radius, y}, ohms, theme().ink);
        x -= 12.0;
    }
    // Windows by colour, below it at the left.
    if (std::ranges::none_of(shown_.windows, [](const auto& w) { return w.has_value(); })) {
        return;
    }
    x = field().left();
    const double below = height() - 16.0;
    const std::pair<double, QString> windows[] = {
        {flat, tr("window to %1 dB").arg(figures(text::printFixed(flat, 1)))},
        {uneven, tr("to %1").arg(figures(text::printFixed(uneven, 1)))},
        {2.0 * uneven, tr("more")}};
    for (const auto& [dB, text] : windows) {
        paintDot(painter, {x + radius, below + 8.0}, heavy, inkOf(dB));
        x += 2.0 * radius + 4.0;
        const double wide = painter.fontMetrics().horizontalAdvance(text);
        painter.setPen(theme().quietInk);
        painter.drawText(
            QRectF(x, below, wide + 2.0, 16.0), Qt::AlignLeft | Qt::AlignVCenter, text);
        x += wide + 12.0;
    }
}

void FrontChart::paintEvent(QPaintEvent* /*event*/) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.fillRect(rect(), theme().sheet);
    if (shown_.networks.empty() && !shown_.byHand) {
        painter.setPen(theme().quietInk);
        painter.drawText(rect().adjusted(12, 4, -12, -4),
                         Qt::AlignCenter | Qt::TextWordWrap,
                         tr("Nothing looked for yet. The search tries whole networks, cheap ones "
                            "first, and shows those that no other one beats."));
        return;
    }
    paintAxes(painter);
    paintSteps(painter);
    paintBeside(painter);
    paintNetworks(painter);
    paintKey(painter);
}

void FrontChart::pointTo(int network) {
    if (network == under_) {
        return;
    }
    under_ = network;
    update();
    if (network >= 0) {
        Q_EMIT hovered(network);
    } else {
        Q_EMIT left();
    }
}

void FrontChart::mouseMoveEvent(QMouseEvent* event) {
    pointTo(under(event->position()));
}

void FrontChart::mousePressEvent(QMouseEvent* event) {
    const int network = under(event->position());
    if (event->button() == Qt::LeftButton && network >= 0) {
        Q_EMIT chosen(network);
    }
}

void FrontChart::leaveEvent(QEvent* event) {
    pointTo(-1);
    QWidget::leaveEvent(event);
}

void FrontChart::keyPressEvent(QKeyEvent* event) {
    const int count = static_cast<int>(shown_.networks.size());
    int next = shown_.chosen;
    int step = 0;
    switch (event->key()) {
    case Qt::Key_Left:
        step = -1;
        break;
    case Qt::Key_Right:
        step = 1;
        break;
    case Qt::Key_Home:
        next = -1;
        step = 1;
        break;
    case Qt::Key_End:
        next = count;
        step = -1;
        break;
    default:
        QWidget::keyPressEvent(event);
        return;
    }
    do {
        next += step;
    } while (next >= 0 && next < count && !allowed(next));
    if (next >= 0 && next < count) {
        Q_EMIT chosen(next);
    }
}

void FrontChart::changeEvent(QEvent* event) {
    if (event->type() == QEvent::StyleChange || event->type() == QEvent::PaletteChange) {
        update();
    }
    QWidget::changeEvent(event);
}

} // namespace yf::app
