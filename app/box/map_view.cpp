// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/box/map_view.h"

#include "app/box/box_words.h"
#include "app/theme/theme.h"
#include "app/widgets/words.h"
#include "core/text/number.h"

#include <QCoreApplication>
#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>

#include <algorithm>
#include <array>
#include <cmath>

namespace yf::app {

namespace {

constexpr double leftRoom = 46.0;
constexpr double bottomRoom = 34.0;

QColor between(const QColor& a, const QColor& b, double share) {
    const auto mix = [share](double x, double y) { return x + share * (y - x); };
    return QColor::fromRgbF(static_cast<float>(mix(a.redF(), b.redF())),
                            static_cast<float>(mix(a.greenF(), b.greenF())),
                            static_cast<float>(mix(a.blueF(), b.blueF())));
}

/// Steps at which contour lines of a quality run.
std::vector<double> stepsOf(MapShade shade) {
    switch (shade) {
    case MapShade::f3:
        return {20, 25, 30, 35, 40, 45, 50, 60, 70, 80, 100, 125, 160, 200};
    case MapShade::peak:
        return {0.25, 0.5, 1, 2, 3, 4, 6, 9};
    case MapShade::groupDelay:
        return {0.005, 0.0075, 0.01, 0.0125, 0.015, 0.02, 0.025, 0.03, 0.04, 0.06};
    case MapShade::speed:
        return {2, 4, 6, 8, 10, 13, 17, 21, 25, 30, 40, 60};
    case MapShade::level:
        return {80, 84, 86, 88, 90, 92, 94, 96, 98, 100, 102, 104, 106, 108, 110, 114};
    }
    return {};
}

/// Where a level of nought crosses the sides of a cell, given its corners from the lower left
/// round; in cells.
QVector<QPointF> crossings(const std::array<double, 4>& corners, std::size_t v, std::size_t t) {
    const auto [a, b, c, d] = corners;
    const auto x = static_cast<double>(v);
    const auto y = static_cast<double>(t);
    QVector<QPointF> ends;
    if (a * b < 0.0) {
        ends << QPointF(x + a / (a - b), y);
    }
    if (b * c < 0.0) {
        ends << QPointF(x + 1.0, y + b / (b - c));
    }
    if (d * c < 0.0) {
        ends << QPointF(x + d / (d - c), y + 1.0);
    }
    if (a * d < 0.0) {
        ends << QPointF(x, y + a / (a - d));
    }
    return ends;
}

} // namespace

QString wishName(box::Wish wish) {
    switch (wish) {
    case box::Wish::f3:
        return MapView::tr("f3 too high");
    case box::Wish::peak:
        return MapView::tr("peaks");
    case box::Wish::groupDelay:
        return MapView::tr("lingers");
    case box::Wish::level:
        return MapView::tr("not loud enough");
    case box::Wish::speed:
        return MapView::tr("port too fast");
    case box::Wish::none:
        break;
    }
    return {};
}

QString shadeName(MapShade shade) {
    switch (shade) {
    case MapShade::f3:
        return MapView::tr("f3");
    case MapShade::peak:
        return MapView::tr("peak");
    case MapShade::groupDelay:
        return MapView::tr("group delay");
    case MapShade::speed:
        return MapView::tr("air in the port");
    case MapShade::level:
        return MapView::tr("loudest possible");
    }
    return {};
}

double qualityOf(const box::Qualities& q, MapShade shade) {
    switch (shade) {
    case MapShade::f3:
        return q.f3;
    case MapShade::peak:
        return q.peak;
    case MapShade::groupDelay:
        return q.groupDelay;
    case MapShade::speed:
        return q.speed;
    case MapShade::level:
        return q.level;
    }
    return 0.0;
}

QString shadeValue(MapShade shade, double value) {
    const QChar thin(0x202F);
    switch (shade) {
    case MapShade::f3:
        return hertz(value);
    case MapShade::peak:
    case MapShade::level:
        return decibels(value);
    case MapShade::groupDelay:
        return figures(text::printSignificant(1e3 * value, 3)) + thin + QStringLiteral("ms");
    case MapShade::speed:
        return figures(text::printSignificant(value, 3)) + thin + QStringLiteral("m/s");
    }
    return {};
}

MapView::MapView(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("map_view"));
    setAccessibleName(tr("Map of boxes, volume by tuning"));
    setFocusPolicy(Qt::StrongFocus);
    setMouseTracking(true);
    setMinimumSize(280, 240);
}

void MapView::display(const Shown& shown) {
    shown_ = shown;
    shade();
    setAccessibleDescription(
        tr("The present box has %1 at %2.").arg(litres(shown.Vb), hertz(shown.fb)));
    update();
}

QRectF MapView::field() const {
    return QRectF(rect()).adjusted(leftRoom, 8.0, -8.0, -bottomRoom);
}

double MapView::value(std::size_t v, std::size_t t) const {
    return qualityOf(shown_.map->at(v, t), shown_.shade);
}

QPointF MapView::at(double Vb, double fb) const {
    if (!shown_.map) {
        return {};
    }
    const auto& m = *shown_.map;
    const QRectF f = field();
    const double x =
        std::log(Vb / m.volumes.front()) / std::log(m.volumes.back() / m.volumes.front());
    const double y =
        std::log(fb / m.tunings.front()) / std::log(m.tunings.back() / m.tunings.front());
    return {f.left() + x * f.width(), f.bottom() - y * f.height()};
}

std::pair<double, double> MapView::boxAt(const QPointF& place) const {
    if (!shown_.map) {
        return {0.0, 0.0};
    }
    const auto& m = *shown_.map;
    const QRectF f = field();
    const double x = std::clamp((place.x() - f.left()) / f.width(), 0.0, 1.0);
    const double y = std::clamp((f.bottom() - place.y()) / f.height(), 0.0, 1.0);
    return {m.volumes.front() * std::pow(m.volumes.back() / m.volumes.front(), x),
            m.tunings.front() * std::pow(m.tunings.back() / m.tunings.front(), y)};
}

void MapView::shade() {
    if (!shown_.map) {
        return;
    }
    const auto& m = *shown_.map;
    std::vector<double> sorted;
    for (const box::Qualities& q : m.boxes) {
        sorted.push_back(qualityOf(q, shown_.shade));
    }
    std::ranges::sort(sorted);
    // The best twentieth and the worst fifth do not stretch the scale.
    const double best = sorted[sorted.size() / 20];
    const double worst = sorted[sorted.size() * 4 / 5];
    const double span = std::max(worst - best, 1e-9);
    const bool more = shown_.shade == MapShade::level;
    const QColor good = between(theme().sheet, theme().ways[1].colour, 0.62);
    const QColor poor = theme().sheet;
    shades_ = QImage(static_cast<int>(m.volumes.size()),
                     static_cast<int>(m.tunings.size()),
                     QImage::Format_RGB32);
    for (std::size_t v = 0; v < m.volumes.size(); ++v) {
        for (std::size_t t = 0; t < m.tunings.size(); ++t) {
            double share = std::clamp((value(v, t) - best) / span, 0.0, 1.0);
            share = more ? 1.0 - share : share;
            shades_.setPixelColor(static_cast<int>(v),
                                  static_cast<int>(m.tunings.size() - 1 - t),
                                  between(good, poor, share));
        }
    }
}

void MapView::paintContours(QPainter& painter) const {
    const auto& m = *shown_.map;
    painter.setRenderHint(QPainter::Antialiasing, true);
    QColor line = theme().ink;
    line.setAlphaF(0.75F);
    painter.setPen(QPen(line, 1.1));
    painter.setFont(figureFont(8.0));
    const auto place = [&](const QPointF& cell) {
        const QRectF f = field();
        return QPointF(f.left() + cell.x() / static_cast<double>(m.volumes.size() - 1) * f.width(),
                       f.bottom() -
                           cell.y() / static_cast<double>(m.tunings.size() - 1) * f.height());
    };
    const QRectF room = field().adjusted(30, 12, -34, -12);
    for (const double step : stepsOf(shown_.shade)) {
        QPointF label;
        double furthest = -1e9;
        for (std::size_t v = 0; v + 1 < m.volumes.size(); ++v) {
            for (std::size_t t = 0; t + 1 < m.tunings.size(); ++t) {
                const QVector<QPointF> ends = crossings({value(v, t) - step,
                                                         value(v + 1, t) - step,
                                                         value(v + 1, t + 1) - step,
                                                         value(v, t + 1) - step},
                                                        v,
                                                        t);
                if (ends.size() >= 2) {
                    const QPointF from = place(ends[0]);
                    painter.drawLine(from, place(ends[1]));
                    const double far = from.x() + 0.3 * from.y();
                    if (room.contains(from) && far > furthest) {
                        furthest = far;
                        label = from;
                    }
                }
            }
        }
        if (furthest > -1e8) {
            const QString text = shadeValue(shown_.shade, step);
            QRectF box = painter.fontMetrics().boundingRect(text);
            box.moveCenter(label);
            painter.fillRect(box.adjusted(-2, 0, 2, 0), theme().sheet);
            painter.drawText(box, Qt::AlignCenter, text);
        }
    }
}

QRectF MapView::clearOfMarks(QRectF box) const {
    std::vector<QPointF> marks{at(shown_.Vb, shown_.fb)};
    for (const study::NamedBox& n : shown_.named) {
        marks.push_back(at(n.Vb, n.fb));
    }
    constexpr int tries = 6;
    for (int i = 0; i < tries; ++i) {
        const bool taken = std::ranges::any_of(
            marks, [&](const QPointF& m) { return box.adjusted(-48, -16, 12, 30).contains(m); });
        if (!taken) {
            break;
        }
        box.translate(0.0, 24.0);
    }
    return box;
}

std::vector<std::pair<QPointF, QString>> MapView::paintHatch(QPainter& painter) const {
    const auto& m = *shown_.map;

    struct Where {
        double x{};
        double y{};
        int count{};
    };

    std::array<Where, 6> middles{};
    const QRectF f = field();
    const double w = f.width() / static_cast<double>(m.volumes.size());
    const double h = f.height() / static_cast<double>(m.tunings.size());
    for (std::size_t v = 0; v < m.volumes.size(); ++v) {
        for (std::size_t t = 0; t < m.tunings.size(); ++t) {
            const box::Wish failed = box::failedWish(m.at(v, t), shown_.wishes);
            if (failed == box::Wish::none) {
                continue;
            }
            const QRectF cell(f.left() + static_cast<double>(v) * w,
                              f.bottom() - static_cast<double>(t + 1) * h,
                              w + 0.6,
                              h + 0.6);
            painter.fillRect(cell, QBrush(theme().quietInk, Qt::BDiagPattern));
            Where& where = middles[static_cast<std::size_t>(failed)];
            where.x += cell.center().x();
            where.y += cell.center().y();
            ++where.count;
        }
    }
    std::vector<std::pair<QPointF, QString>> names;
    for (std::size_t i = 1; i < middles.size(); ++i) {
        constexpr int few = 60;
        if (middles[i].count >= few) {
            names.emplace_back(
                QPointF(middles[i].x / middles[i].count, middles[i].y / middles[i].count),
                wishName(static_cast<box::Wish>(i)));
        }
    }
    return names;
}

void MapView::paintNames(QPainter& painter,
                         const std::vector<std::pair<QPointF, QString>>& names) const {
    QFont font = this->font();
    font.setWeight(QFont::DemiBold);
    painter.setFont(font);
    painter.setPen(theme().ink);
    for (const auto& [at, text] : names) {
        QRectF box = painter.fontMetrics().boundingRect(text);
        box.moveCenter(at);
        box = clearOfMarks(box);
        painter.fillRect(box.adjusted(-5, -2, 5, 2), theme().sheet);
        painter.drawText(box, Qt::AlignCenter, text);
    }
}

void MapView::paintLowest(QPainter& painter) const {
    const auto line = box::lowestOf(*shown_.map, shown_.wishes);
    if (line.size() < 2) {
        return;
    }
    QPolygonF path;
    // Every fourth and the last: the map's steps of tuning are not steps of the matter.
    constexpr std::size_t stride = 4;
    for (std::size_t i = 0; i < line.size(); i += stride) {
        path << at(line[i].Vb, line[i].fb);
    }
    path << at(line.back().Vb, line.back().fb);
    // A pale seam keeps it apart from shade, hatch and contours.
    painter.setBrush(Qt::NoBrush);
    painter.setPen(QPen(theme().sheet, 4.5, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin));
    painter.drawPolyline(path);
    painter.setPen(QPen(theme().ink, 2.2, Qt::DotLine, Qt::RoundCap, Qt::RoundJoin));
    painter.drawPolyline(path);
    painter.setFont(font());
    const QString text = tr("lowest f3 at each volume");
    QRectF box = painter.fontMetrics().boundingRect(text);
    box.moveCenter(path.last() + QPointF(-0.5 * box.width() - 12.0, 30.0));
    box = clearOfMarks(box);
    painter.fillRect(box.adjusted(-3, -1, 3, 1), theme().sheet);
    painter.drawText(box, Qt::AlignCenter, text);
}

void MapView::paintAxes(QPainter& painter) const {
    const auto& m = *shown_.map;
    const QRectF f = field();
    painter.setFont(figureFont(8.5));
    painter.setPen(QPen(theme().outline, 1.0));
    painter.setBrush(Qt::NoBrush);
    painter.drawRect(f);
    painter.setPen(theme().ink);
    const auto steps = [](double from, double to) {
        QVector<double> at;
        for (const double decade : {1e-1, 1e0, 1e1, 1e2, 1e3, 1e4}) {
            for (const double s : {1.0, 1.5, 2.0, 3.0, 4.0, 5.0, 7.0}) {
                if (s * decade >= from && s * decade <= to) {
                    at << s * decade;
                }
            }
        }
        return at;
    };
    for (const double V : steps(1e3 * m.volumes.front(), 1e3 * m.volumes.back())) {
        const double x = at(1e-3 * V, m.tunings.front()).x();
        painter.drawLine(QPointF(x, f.bottom()), QPointF(x, f.bottom() + 4.0));
        painter.drawText(QRectF(x - 30.0, f.bottom() + 4.0, 60.0, 14.0),
                         Qt::AlignHCenter | Qt::AlignTop,
                         figures(text::printSignificant(V, 3)));
    }
    for (const double fb : steps(m.tunings.front(), m.tunings.back())) {
        const double y = at(m.volumes.front(), fb).y();
        painter.drawLine(QPointF(f.left() - 4.0, y), QPointF(f.left(), y));
        painter.drawText(QRectF(0.0, y - 8.0, f.left() - 6.0, 16.0),
                         Qt::AlignRight | Qt::AlignVCenter,
                         figures(text::printSignificant(fb, 3)));
    }
    painter.setFont(font());
    painter.drawText(QRectF(f.left(), f.bottom() + 17.0, f.width(), 16.0),
                     Qt::AlignCenter,
                     tr("net volume, litres"));
    painter.save();
    painter.translate(10.0, f.center().y());
    painter.rotate(-90.0);
    painter.drawText(QRectF(-80.0, -8.0, 160.0, 16.0), Qt::AlignCenter, tr("tuning, Hz"));
    painter.restore();
}

void MapView::paintMarks(QPainter& painter) const {
    painter.setRenderHint(QPainter::Antialiasing, true);
    const QRectF f = field();
    for (const study::NamedBox& n : shown_.named) {
        const QPointF p = at(n.Vb, n.fb);
        if (!f.contains(p)) {
            continue;
        }
        painter.setPen(QPen(theme().ink, 1.4));
        painter.setBrush(theme().sheet);
        painter.drawPolygon(QPolygonF(
            {p + QPointF(0, -6), p + QPointF(6, 0), p + QPointF(0, 6), p + QPointF(-6, 0)}));
        const QString text = words(n.name);
        QRectF box = painter.fontMetrics().boundingRect(text);
        box.moveCenter(p + QPointF(10.0 + 0.5 * box.width(), -10.0));
        painter.fillRect(box.adjusted(-3, -1, 3, 1), theme().sheet);
        painter.drawText(box, Qt::AlignCenter, text);
    }
    const QPointF here = at(shown_.Vb, shown_.fb);
    painter.setPen(QPen(theme().ink, hasFocus() ? 3.0 : 2.0));
    painter.setBrush(theme().front);
    painter.drawEllipse(here, 8.0, 8.0);
    painter.drawLine(here - QPointF(14, 0), here - QPointF(8, 0));
    painter.drawLine(here + QPointF(8, 0), here + QPointF(14, 0));
    painter.drawLine(here - QPointF(0, 14), here - QPointF(0, 8));
    painter.drawLine(here + QPointF(0, 8), here + QPointF(0, 14));
}

void MapView::paintEvent(QPaintEvent* /*event*/) {
    QPainter painter(this);
    painter.fillRect(rect(), theme().ground);
    if (!shown_.map) {
        painter.setPen(theme().ink);
        painter.drawText(rect(), Qt::AlignCenter, tr("being computed …"));
        return;
    }
    painter.setRenderHint(QPainter::SmoothPixmapTransform, true);
    painter.drawImage(field(), shades_);
    painter.save();
    painter.setClipRect(field());
    const auto names = paintHatch(painter);
    paintContours(painter);
    paintLowest(painter);
    paintNames(painter, names);
    painter.restore();
    paintAxes(painter);
    paintMarks(painter);
}

void MapView::mousePressEvent(QMouseEvent* event) {
    if (event->button() == Qt::LeftButton && field().contains(event->position())) {
        held_ = true;
        const auto [V, fb] = boxAt(event->position());
        Q_EMIT taken(V, fb);
    }
}

void MapView::mouseMoveEvent(QMouseEvent* event) {
    const auto [V, fb] = boxAt(event->position());
    if (held_) {
        Q_EMIT taken(V, fb);
    } else if (field().contains(event->position())) {
        Q_EMIT hovered(V, fb);
    }
}

void MapView::mouseReleaseEvent(QMouseEvent* event) {
    if (event->button() == Qt::LeftButton && held_) {
        held_ = false;
        Q_EMIT released();
    }
}

void MapView::keyPressEvent(QKeyEvent* event) {
    const double step = std::exp2(1.0 / 20.0);
    double V = shown_.Vb;
    double fb = shown_.fb;
    switch (event->key()) {
    case Qt::Key_Left:
        V /= step;
        break;
    case Qt::Key_Right:
        V *= step;
        break;
    case Qt::Key_Up:
        fb *= step;
        break;
    case Qt::Key_Down:
        fb /= step;
        break;
    default:
        QWidget::keyPressEvent(event);
        return;
    }
    Q_EMIT taken(V, fb);
    Q_EMIT released();
}

void MapView::changeEvent(QEvent* event) {
    if (event->type() == QEvent::PaletteChange) {
        shade();
    }
    QWidget::changeEvent(event);
}

} // namespace yf::app
