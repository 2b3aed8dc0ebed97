// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/front/front_view.h"

#include "app/plots/curves.h"
#include "app/theme/theme.h"
#include "app/widgets/dropped_files.h"
#include "app/widgets/words.h"

#include <QDragEnterEvent>
#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>

#include <algorithm>
#include <cmath>
#include <numbers>
#include <utility>

namespace yf::app {

namespace {

constexpr double margin = 14.0;
constexpr double captionHeight = 24.0;

QString conditionWords(job::Condition condition) {
    switch (condition) {
    case job::Condition::notChecked:
        return FrontView::tr("not checked");
    case job::Condition::sound:
        return FrontView::tr("sound");
    case job::Condition::suspect:
        return FrontView::tr("suspect");
    case job::Condition::dead:
        return FrontView::tr("dead");
    }
    return {};
}

} // namespace

FrontView::FrontView(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("front"));
    setFocusPolicy(Qt::StrongFocus);
    setAcceptDrops(true);
    setMinimumSize(150, 220);
}

void FrontView::display(const job::Job& job,
                        const std::string& cabinetId,
                        const std::string& chosen) {
    const job::Cabinet* cabinet = job::findCabinet(job, cabinetId);
    if (cabinet == nullptr) {
        spots_.clear();
        update();
        return;
    }
    const QVector<Spot> before = std::exchange(spots_, {});
    const std::string chosenBefore = std::exchange(chosen_, chosen);
    width_ = cabinet->width;
    height_ = cabinet->height;
    cabinetName_ = words(cabinet->name);
    const auto ends = network::driverEnds(cabinet->circuit);
    for (const job::Mount& mount : cabinet->mounts) {
        const job::Driver& driver = *job::findDriver(job, mount.driver);
        const auto end = std::ranges::find(ends, driver.id, &network::DriverEnd::driver);
        spots_.push_back({driver.id,
                          words(driver.name),
                          driver.band,
                          driver.condition,
                          end == ends.end() ? 1 : end->polarity,
                          mount.x,
                          mount.y,
                          driver.diameter / 2.0});
    }
    std::ranges::sort(spots_, std::greater{}, &Spot::y);
    if (spots_ == before && chosen_ == chosenBefore) {
        return;
    }
    QStringList said;
    for (const Spot& spot : spots_) {
        said << tr("%1: %2, %3%4")
                    .arg(spot.name,
                         conditionWords(spot.condition),
                         spot.polarity > 0 ? tr("as wired") : tr("reversed"),
                         spot.driver == chosen_ ? tr(", chosen") : QString{});
    }
    setAccessibleName(tr("Front of %1").arg(cabinetName_));
    setAccessibleDescription(said.join(QStringLiteral("; ")));
    setToolTip(said.join(QStringLiteral("\n")));
    update();
}

FrontView::Scale FrontView::scale() const {
    const double high = height() - 2.0 * margin - captionHeight;
    const double wide = width() - 2.0 * margin;
    return {std::min(wide / width_, high / height_), QPointF(width() / 2.0, margin + high / 2.0)};
}

QPointF FrontView::at(const Spot& spot, const Scale& s) const {
    return s.middle + QPointF(spot.x * s.pixels, -spot.y * s.pixels);
}

std::optional<QPoint> FrontView::placeOf(const std::string& driver) const {
    const auto found = std::ranges::find(spots_, driver, &Spot::driver);
    return found == spots_.end() ? std::nullopt : std::optional(at(*found, scale()).toPoint());
}

const FrontView::Spot* FrontView::spotAt(const QPointF& point) const {
    const Scale s = scale();
    for (const Spot& spot : spots_) {
        const QPointF away = point - at(spot, s);
        if (std::hypot(away.x(), away.y()) <= std::max(spot.radius * s.pixels, 14.0)) {
            return &spot;
        }
    }
    return nullptr;
}

void FrontView::paintSpot(QPainter& painter, const Spot& spot, const Scale& s) const {
    const Theme& t = theme();
    const QPointF middle = at(spot, s);
    const double radius = spot.radius * s.pixels;
    const double ring = std::max(4.0, radius * 0.16);
    if (spot.driver == dropTarget_) {
        painter.setPen(Qt::NoPen);
        painter.setBrush(t.corridor);
        painter.drawEllipse(middle, radius + 10.0, radius + 10.0);
    }
    // The ring: condition by pattern.
    QPainterPath annulus;
    annulus.addEllipse(middle, radius, radius);
    QPainterPath hole;
    hole.addEllipse(middle, radius - ring, radius - ring);
    annulus = annulus.subtracted(hole);
    const bool open =
        spot.condition == job::Condition::suspect || spot.condition == job::Condition::dead;
    QBrush filling(t.quietInk);
    if (spot.condition == job::Condition::notChecked) {
        filling.setStyle(Qt::BDiagPattern);
    } else if (open) {
        filling.setStyle(Qt::NoBrush);
    }
    painter.setPen(QPen(t.ink, 1.2));
    painter.setBrush(filling);
    painter.drawPath(annulus);
    painter.setBrush(t.sheet);
    painter.drawEllipse(middle, radius - ring, radius - ring);
    painter.setPen(strokeOf(spot.band).pen());
    painter.setBrush(Qt::NoBrush);
    painter.drawEllipse(middle, radius * 0.55, radius * 0.55);
    painter.setPen(QPen(t.ink, 1.0));
    painter.setBrush(t.ground);
    painter.drawEllipse(middle, radius * 0.2, radius * 0.2);
    if (open) {
        painter.setPen(QPen(t.stop, 2.2));
        const double arm = radius * 0.7;
        painter.drawLine(middle - QPointF(arm, arm), middle + QPointF(arm, arm));
        painter.drawLine(middle - QPointF(arm, -arm), middle + QPointF(arm, -arm));
    }
    if (spot.driver == chosen_) {
        painter.setBrush(Qt::NoBrush);
        painter.setPen(QPen(t.front, 5.0));
        painter.drawEllipse(middle, radius + 4.0, radius + 4.0);
        painter.setPen(QPen(t.ink, 1.4));
        painter.drawEllipse(middle, radius + 7.0, radius + 7.0);
    }
    // Studs below at the right, where a wide driver leaves room on its front; + on top as wired.
    const double diagonal = (radius + 14.0) * std::numbers::sqrt2 / 2.0;
    const QPointF upper = middle + QPointF(diagonal + 2.0, diagonal - 7.0);
    const QPointF lower = upper + QPointF(0.0, 16.0);
    const bool reversed = spot.polarity < 0;
    for (const bool top : {true, false}) {
        const bool plus = top != reversed;
        const QPointF stud = top ? upper : lower;
        painter.setPen(QPen(reversed ? t.mind : t.ink, 1.4));
        painter.setBrush(plus ? QBrush(reversed ? t.mind : t.ink) : QBrush(t.sheet));
        painter.drawEllipse(stud, 6.0, 6.0);
        painter.setPen(QPen(plus ? t.sheet : (reversed ? t.mind : t.ink), 1.6));
        painter.drawLine(stud - QPointF(3.0, 0.0), stud + QPointF(3.0, 0.0));
        if (plus) {
            painter.drawLine(stud - QPointF(0.0, 3.0), stud + QPointF(0.0, 3.0));
        }
    }
}

void FrontView::paintEvent(QPaintEvent* /*event*/) {
    const Theme& t = theme();
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    if (spots_.isEmpty()) {
        painter.setPen(t.quietInk);
        painter.drawText(rect(), Qt::AlignCenter | Qt::TextWordWrap, tr("No cabinet"));
        return;
    }
    const Scale s = scale();
    const QSizeF size(width_ * s.pixels, height_ * s.pixels);
    const QRectF board(s.middle - QPointF(size.width() / 2.0, size.height() / 2.0), size);
    painter.setPen(QPen(hasFocus() ? t.ink : t.outline, hasFocus() ? 2.0 : 1.2));
    painter.setBrush(t.sheet);
    painter.drawRoundedRect(board, 5.0, 5.0);
    for (const Spot& spot : spots_) {
        paintSpot(painter, spot, s);
    }
    const auto chosen = std::ranges::find(spots_, chosen_, &Spot::driver);
    painter.setPen(t.ink);
    painter.drawText(QRectF(0.0, height() - captionHeight, width(), captionHeight),
                     Qt::AlignCenter,
                     chosen == spots_.end() ? cabinetName_ : chosen->name);
}

void FrontView::choose(qsizetype index) {
    if (index >= 0 && index < spots_.size()) {
        Q_EMIT chosen(words(spots_[index].driver));
    }
}

void FrontView::mousePressEvent(QMouseEvent* event) {
    if (const Spot* spot = spotAt(event->position())) {
        choose(spot - spots_.data());
    }
}

void FrontView::keyPressEvent(QKeyEvent* event) {
    const auto found = std::ranges::find(spots_, chosen_, &Spot::driver);
    const qsizetype now = found == spots_.end() ? 0 : found - spots_.begin();
    if (event->key() == Qt::Key_Up) {
        choose(now - 1);
    } else if (event->key() == Qt::Key_Down) {
        choose(now + 1);
    } else {
        QWidget::keyPressEvent(event);
    }
}

void FrontView::dragEnterEvent(QDragEnterEvent* event) {
    if (!droppedFiles(event->mimeData()).isEmpty()) {
        event->acceptProposedAction();
    }
}

void FrontView::dragMoveEvent(QDragMoveEvent* event) {
    const Spot* spot = spotAt(event->position());
    dropTarget_ = spot == nullptr ? std::string{} : spot->driver;
    event->setAccepted(spot != nullptr);
    update();
}

void FrontView::dragLeaveEvent(QDragLeaveEvent* /*event*/) {
    dropTarget_.clear();
    update();
}

void FrontView::dropEvent(QDropEvent* event) {
    dropTarget_.clear();
    update();
    if (const Spot* spot = spotAt(event->position())) {
        event->acceptProposedAction();
        Q_EMIT tablesGiven(words(spot->driver), droppedFiles(event->mimeData()));
    }
}

} // namespace yf::app
