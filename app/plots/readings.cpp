// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/plots/readings.h"

#include <QEvent>
#include <QFontMetrics>
#include <QMouseEvent>
#include <QPainter>

#include <algorithm>

namespace yf::app {

namespace {

constexpr int rowHeight = 20;
constexpr int sampleWidth = 24;
constexpr int gap = 10;
constexpr double figurePoints = 9.0;

QFont titleFont(QFont font) {
    font.setWeight(QFont::DemiBold);
    return font;
}

/// Room that does not jump while digits change.
constexpr const char* widestWhere = "at 88.8 kHz";
constexpr const char* widestValue = "888.8 dB";

} // namespace

Readings::Readings(QString title, QWidget* parent) : QWidget(parent), title_(std::move(title)) {
    QSizePolicy policy(QSizePolicy::Preferred, QSizePolicy::Fixed);
    policy.setHeightForWidth(true);
    setSizePolicy(policy);
    measure();
}

void Readings::measure() {
    titleWidth_ = QFontMetrics(titleFont(font())).horizontalAdvance(title_);
    const QFontMetrics figures(figureFont(figurePoints));
    whereWidth_ = figures.horizontalAdvance(QString::fromUtf8(widestWhere));
    valueWidth_ = figures.horizontalAdvance(QString::fromUtf8(widestValue));
    const QFontMetrics words(font());
    labelWidths_.clear();
    for (const Entry& entry : entries_) {
        labelWidths_.push_back(words.horizontalAdvance(entry.label));
    }
}

void Readings::changeEvent(QEvent* event) {
    if (event->type() == QEvent::FontChange || event->type() == QEvent::StyleChange) {
        measure();
    }
    QWidget::changeEvent(event);
}

void Readings::display(const QString& where,
                       const QVector<Entry>& entries,
                       const QStringList& pins) {
    const bool reshaped = entries.size() != entries_.size() || pins.size() != pins_.size();
    if (!reshaped && where == where_ && pins == pins_ &&
        std::ranges::equal(entries, entries_, [](const Entry& a, const Entry& b) {
            return a.label == b.label && a.value == b.value && a.hidden == b.hidden &&
                   a.stroke.colour == b.stroke.colour;
        })) {
        return;
    }
    const bool renamed = !std::ranges::equal(entries, entries_, {}, &Entry::label, &Entry::label);
    where_ = where;
    entries_ = entries;
    pins_ = pins;
    if (renamed) {
        measure();
    }
    if (reshaped) {
        setFixedHeight(heightForWidth(width()));
    }
    update();
}

QPoint Readings::placeOf(const QString& id) const {
    for (const Cell& cell : cells(width())) {
        if (entries_[cell.entry].id == id) {
            return cell.rect.center();
        }
    }
    return {};
}

const Readings::Entry* Readings::entryAt(const QPoint& point) const {
    for (const Cell& cell : cells(width())) {
        if (cell.rect.contains(point)) {
            return &entries_[cell.entry];
        }
    }
    return nullptr;
}

void Readings::mousePressEvent(QMouseEvent* event) {
    if (const Entry* entry = entryAt(event->position().toPoint());
        entry != nullptr && event->button() == Qt::LeftButton) {
        Q_EMIT toggled(entry->id);
    }
}

void Readings::mouseDoubleClickEvent(QMouseEvent* event) {
    if (const Entry* entry = entryAt(event->position().toPoint())) {
        Q_EMIT isolated(entry->id);
    }
}

QString Readings::valueOf(const QString& id) const {
    const auto found = std::ranges::find(entries_, id, &Entry::id);
    return found == entries_.end() ? QString{} : found->value;
}

QVector<Readings::Cell> Readings::cells(int width) const {
    int x = titleWidth_ + gap + whereWidth_ + gap;
    int y = 0;
    QVector<Cell> cells;
    for (int i = 0; i < entries_.size(); ++i) {
        const int w = sampleWidth + 6 + labelWidths_[i] + 6 + valueWidth_;
        if (x + w > width && x > 0) {
            x = 0;
            y += rowHeight;
        }
        cells.push_back({QRect(x, y, w, rowHeight), i});
        x += w + gap;
    }
    return cells;
}

int Readings::rows(int width) const {
    const auto placed = cells(width);
    return placed.isEmpty() ? 1 : placed.back().rect.y() / rowHeight + 1;
}

int Readings::heightForWidth(int width) const {
    return (rows(std::max(width, 1)) + static_cast<int>(pins_.size())) * rowHeight;
}

QSize Readings::sizeHint() const {
    return {240, heightForWidth(std::max(width(), 240))};
}

void Readings::resizeEvent(QResizeEvent* /*event*/) {
    if (const int wanted = heightForWidth(width()); wanted != height()) {
        setFixedHeight(wanted);
    }
}

void Readings::paintEvent(QPaintEvent* /*event*/) {
    QPainter painter(this);
    paintOn(painter, width());
}

void Readings::paintOn(QPainter& painter, int width) const {
    const Theme& t = theme();
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setFont(titleFont(font()));
    painter.setPen(t.ink);
    painter.drawText(QRect(0, 0, titleWidth_ + 2, rowHeight), Qt::AlignVCenter, title_);
    painter.setFont(figureFont(figurePoints));
    painter.setPen(t.quietInk);
    painter.drawText(QRect(titleWidth_ + gap, 0, width, rowHeight), Qt::AlignVCenter, where_);
    for (const Cell& cell : cells(width)) {
        const Entry& entry = entries_[cell.entry];
        const int middle = cell.rect.center().y() + 1;
        painter.setOpacity(entry.hidden ? 0.35 : 1.0);
        painter.setPen(entry.stroke.pen());
        painter.drawLine(QPointF(cell.rect.x(), middle),
                         QPointF(cell.rect.x() + sampleWidth, middle));
        painter.setOpacity(1.0);
        QFont name = font();
        name.setStrikeOut(entry.hidden);
        painter.setFont(name);
        painter.setPen(entry.hidden ? t.quietInk : t.ink);
        QRect text = cell.rect.adjusted(sampleWidth + 6, 0, 0, 0);
        painter.drawText(text, Qt::AlignVCenter, entry.label);
        text.setLeft(text.left() + labelWidths_[cell.entry] + 6);
        painter.setFont(figureFont(figurePoints));
        painter.drawText(text.adjusted(0, 0, gap, 0), Qt::AlignVCenter, entry.value);
    }
    painter.setFont(figureFont(figurePoints));
    painter.setPen(t.ink);
    int y = rows(width) * rowHeight;
    for (const QString& pin : pins_) {
        painter.drawText(QRect(0, y, width, rowHeight),
                         Qt::AlignVCenter,
                         QFontMetrics(painter.font()).elidedText(pin, Qt::ElideRight, width));
        y += rowHeight;
    }
}

} // namespace yf::app
