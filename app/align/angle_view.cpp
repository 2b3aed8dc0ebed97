// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/align/angle_view.h"

#include "app/theme/theme.h"
#include "app/widgets/words.h"
#include "core/quantity/quantities.h"
#include "core/text/number.h"

#include <QMouseEvent>
#include <QPainter>

#include <algorithm>
#include <array>
#include <cmath>

namespace yf::app {

namespace {

constexpr double leftRoom = 44.0;
constexpr double rightRoom = 16.0;
constexpr double bottomRoom = 20.0;
constexpr double topRoom = 6.0;
constexpr double step = 3.0;     ///< dB of a shade
constexpr double deepest = 24.0; ///< dB, darkest
constexpr double low = 100.0;
constexpr double high = 20000.0;

QColor between(const QColor& a, const QColor& b, double share) {
    const auto mix = [share](float x, float y) { return x + static_cast<float>(share) * (y - x); };
    return QColor::fromRgbF(
        mix(a.redF(), b.redF()), mix(a.greenF(), b.greenF()), mix(a.blueF(), b.blueF()));
}

QString hertz(double f) {
    return figures(text::printEngineering(f, "Hz", 2));
}

} // namespace

AngleView::AngleView(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("angle_map"));
    setMouseTracking(true);
    setMinimumSize(260, 150);
    describe();
}

void AngleView::display(const Shown& shown) {
    const bool other = shown.map != shown_.map;
    shown_ = shown;
    if (other) {
        shade();
    }
    describe();
    update();
}

void AngleView::changeEvent(QEvent* event) {
    if (event->type() == QEvent::PaletteChange || event->type() == QEvent::StyleChange) {
        shade();
    }
    QWidget::changeEvent(event);
}

QRectF AngleView::field() const {
    return {leftRoom, topRoom, width() - leftRoom - rightRoom, height() - bottomRoom - topRoom};
}

double AngleView::acrossOf(double frequency) const {
    return field().left() + field().width() * std::log(frequency / low) / std::log(high / low);
}

double AngleView::downOf(double angle) const {
    const double widest = shown_.map ? shown_.map->angles.back() : 1.0;
    return field().center().y() - 0.5 * field().height() * angle / widest;
}

double AngleView::levelAt(double frequency, double angle) const {
    if (!shown_.map) {
        return 0.0;
    }
    const evaluation::AngleMap& map = *shown_.map;
    const auto column = [&] {
        const auto above = std::ranges::lower_bound(map.axis, frequency) - map.axis.begin();
        return std::min(static_cast<std::size_t>(above), map.axis.size() - 1);
    }();
    const double place = (angle - map.angles.front()) / (map.angles.back() - map.angles.front()) *
                         static_cast<double>(map.angles.size() - 1);
    const double held = std::clamp(place, 0.0, static_cast<double>(map.angles.size() - 1));
    const auto row = std::min(static_cast<std::size_t>(held), map.angles.size() - 2);
    const double share = held - static_cast<double>(row);
    const double here =
        (1.0 - share) * map.levels[row][column] + share * map.levels[row + 1][column];
    const double ahead = map.levels[map.angles.size() / 2][column];
    return here - ahead;
}

/// One pixel for each angle and point of the axis, scaled up when drawn.
void AngleView::shade() {
    shades_ = {};
    if (!shown_.map || shown_.map->angles.size() < 2) {
        return;
    }
    const evaluation::AngleMap& map = *shown_.map;
    const Theme& t = theme();
    // Loud is light in every theme.
    const bool dark = t.sheet.lightnessF() < t.ink.lightnessF();
    const QColor loud = dark ? between(t.sheet, t.ink, 0.62) : t.sheet;
    const QColor quiet = dark ? between(t.ground, QColor(Qt::black), 0.6) : t.ink;
    constexpr int columns = 240;
    const int rows = static_cast<int>(map.angles.size()) * 2;
    shades_ = QImage(columns, rows, QImage::Format_RGB32);
    for (int y = 0; y < rows; ++y) {
        const double angle = map.angles.back() * (1.0 - 2.0 * (y + 0.5) / rows);
        for (int x = 0; x < columns; ++x) {
            const double f = low * std::pow(high / low, (x + 0.5) / columns);
            if (f < map.axis.front() || f > map.axis.back()) {
                shades_.setPixelColor(x, y, t.ground);
                continue;
            }
            const double off = levelAt(f, angle);
            const double stepped = step * std::floor(std::clamp(-off, 0.0, deepest) / step);
            // Louder than the axis by a step and more is shown too: in the accent.
            shades_.setPixelColor(x,
                                  y,
                                  off > step ? between(loud, t.front, off > 2.0 * step ? 0.75 : 0.4)
                                             : between(loud, quiet, 0.92 * stepped / deepest));
        }
    }
}

void AngleView::describe() {
    setAccessibleName(!shown_.map ? tr("Map of angles: nothing to show yet")
                      : shown_.map->plane == quantity::Plane::vertical
                          ? tr("Level over frequency and angle, up and down")
                          : tr("Level over frequency and angle, left and right"));
}

void AngleView::paintEvent(QPaintEvent* /*event*/) {
    const Theme& t = theme();
    QPainter painter(this);
    const QRectF f = field();
    if (shades_.isNull()) {
        painter.setPen(t.quietInk);
        painter.drawText(rect(), Qt::AlignCenter | Qt::TextWordWrap, tr("no responses yet"));
        return;
    }
    painter.drawImage(f, shades_);
    painter.setPen(QPen(t.outline, 1.0));
    painter.drawRect(f);
    painter.setFont(figureFont(8.0));
    for (const double at : {100.0, 200.0, 500.0, 1000.0, 2000.0, 5000.0, 10000.0, 20000.0}) {
        const double x = acrossOf(at);
        painter.setPen(t.quietInk);
        painter.drawLine(QPointF(x, f.bottom()), QPointF(x, f.bottom() + 3.0));
        painter.drawText(QRectF(x - 26.0, f.bottom() + 3.0, 52.0, 15.0),
                         Qt::AlignCenter,
                         at >= 1000.0 ? QStringLiteral("%1k").arg(at / 1000.0)
                                      : QString::number(at));
    }
    const int widest = static_cast<int>(std::round(shown_.map->angles.back() / quantity::degree));
    for (int degrees = -widest; degrees <= widest; degrees += 30) {
        const double y = downOf(degrees * quantity::degree);
        painter.drawText(QRectF(0.0, y - 8.0, leftRoom - 6.0, 16.0),
                         Qt::AlignRight | Qt::AlignVCenter,
                         QStringLiteral("%1°").arg(degrees));
    }
    painter.setRenderHint(QPainter::Antialiasing);
    for (const double fx : shown_.crossovers) {
        if (fx <= low || fx >= high) {
            continue;
        }
        painter.setPen(QPen(t.front, 1.6, Qt::DashLine));
        painter.drawLine(QPointF(acrossOf(fx), f.top()), QPointF(acrossOf(fx), f.bottom()));
    }
    painter.setBrush(Qt::NoBrush);
    for (const auto& [at, angle] : shown_.nulls) {
        const QPointF place(acrossOf(at), downOf(angle));
        painter.setPen(QPen(t.sheet, 3.4));
        painter.drawEllipse(place, 5.0, 5.0);
        painter.setPen(QPen(t.stop, 1.6));
        painter.drawEllipse(place, 5.0, 5.0);
    }
    paintTaken(painter, f);
    for (const Line& ear : shown_.ears) {
        const double y = downOf(ear.angle);
        painter.setPen(QPen(t.sheet, 3.0));
        painter.drawLine(QPointF(f.left(), y), QPointF(f.right(), y));
        painter.setPen(QPen(t.ink, 1.2, Qt::DotLine));
        painter.drawLine(QPointF(f.left(), y), QPointF(f.right(), y));
        painter.setFont(font());
        const QRectF box(f.left() + 6.0,
                         y - 17.0,
                         painter.fontMetrics().horizontalAdvance(ear.text) + 8.0,
                         16.0);
        painter.fillRect(box, t.sheet);
        painter.setPen(t.ink);
        painter.drawText(box, Qt::AlignCenter, ear.text);
    }
    if (pointer_ && f.contains(*pointer_)) {
        const double at = low * std::pow(high / low, (pointer_->x() - f.left()) / f.width());
        const double angle =
            (f.center().y() - pointer_->y()) / (0.5 * f.height()) * shown_.map->angles.back();
        const QString said = QStringLiteral("%1, %2°: %3 dB")
                                 .arg(hertz(at))
                                 .arg(angle / quantity::degree, 0, 'f', 0)
                                 .arg(figures(text::printFixed(levelAt(at, angle), 1)));
        painter.setFont(figureFont(9.0));
        const double wide = painter.fontMetrics().horizontalAdvance(said) + 10.0;
        const QRectF box(f.right() - wide - 4.0, f.top() + 4.0, wide, 18.0);
        painter.fillRect(box, t.sheet);
        painter.setPen(t.ink);
        painter.drawText(box, Qt::AlignCenter, said);
    }
}

/// Beyond the last take at an angle its curve is held: hatched.
void AngleView::paintTaken(QPainter& painter, const QRectF& f) const {
    if (!shown_.map->taken) {
        return;
    }
    const Theme& t = theme();
    const auto [from, to] = *shown_.map->taken;
    constexpr double slight = 1e-6;
    const double widest = shown_.map->angles.back();
    const auto hatch = [&](const QRectF& room, bool above) {
        painter.setPen(Qt::NoPen);
        painter.setBrush(QBrush(t.quietInk, Qt::BDiagPattern));
        painter.drawRect(room);
        painter.setFont(figureFont(8.0));
        const QString said = tr("no takes");
        const QRectF box(f.right() - painter.fontMetrics().horizontalAdvance(said) - 12.0,
                         above ? room.bottom() - 16.0 : room.top() + 2.0,
                         painter.fontMetrics().horizontalAdvance(said) + 8.0,
                         14.0);
        painter.fillRect(box, t.sheet);
        painter.setPen(t.quietInk);
        painter.drawText(box, Qt::AlignCenter, said);
    };
    if (to < widest - slight) {
        hatch(QRectF(f.topLeft(), QPointF(f.right(), downOf(to))), true);
    }
    if (from > -widest + slight) {
        hatch(QRectF(QPointF(f.left(), downOf(from)), f.bottomRight()), false);
    }
    painter.setBrush(Qt::NoBrush);
}

void AngleView::mouseMoveEvent(QMouseEvent* event) {
    pointer_ = event->position();
    update();
}

void AngleView::leaveEvent(QEvent* /*event*/) {
    pointer_.reset();
    update();
}

} // namespace yf::app
