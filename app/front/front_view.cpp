// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/front/front_view.h"

#include "app/theme/theme.h"
#include "app/widgets/dropped_files.h"
#include "app/widgets/words.h"
#include "core/edit/front.h"

#include <QDragEnterEvent>
#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>

#include <algorithm>
#include <cmath>
#include <utility>

namespace yf::app {

namespace {

constexpr double margin = 14.0;
constexpr double captionHeight = 24.0;
constexpr double reach = 8.0;       // pixels from an edge within which it is taken
constexpr double millimetre = 1e-3; // drags come to rest on whole ones

double onGrid(double length) {
    return std::round(length / millimetre) * millimetre;
}

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
    setMouseTracking(true);
    setMinimumSize(150, 200);
}

void FrontView::display(const job::Job& job,
                        const std::string& cabinetId,
                        const std::string& chosen) {
    const job::Cabinet* cabinet = job::findCabinet(job, cabinetId);
    if (cabinet == nullptr) {
        front_ = {};
        update();
        return;
    }
    const bool other = bands_.update(job, *cabinet);
    const FrontPicture now = FrontPicture::of(job, *cabinet);
    if (!other && now == front_ && chosen == chosen_ && cabinet->name == cabinet_.name) {
        cabinet_ = *cabinet;
        return;
    }
    front_ = now;
    cabinet_ = *cabinet;
    chosen_ = chosen;
    describe();
    update();
}

void FrontView::describe() {
    QStringList said;
    for (const FrontSpot& spot : front_.spots) {
        said << tr("%1: %2, %3%4")
                    .arg(spot.name,
                         conditionWords(spot.condition),
                         spot.polarity > 0 ? tr("as wired") : tr("reversed"),
                         spot.driver == chosen_ ? tr(", chosen") : QString{});
    }
    for (const BandBar& bar : bands_.bars()) {
        said << tr("%1 works well %2").arg(bar.name, bar.words);
    }
    setAccessibleName(tr("Front of %1").arg(words(cabinet_.name)));
    setAccessibleDescription(said.join(QStringLiteral("; ")));
    setToolTip(said.join(QStringLiteral("\n")));
}

void FrontView::setSawing(bool sawing) {
    sawing_ = sawing;
    grip_.reset();
    if (!sawing && !editing_) {
        unsetCursor();
    }
}

void FrontView::setEditing(bool editing) {
    editing_ = editing;
    grip_.reset();
    unsetCursor();
    update();
}

FrontScale FrontView::scale() const {
    return FrontScale::fitting(
        front_,
        QRectF(margin,
               margin,
               width() - 2.0 * margin,
               height() - 2.0 * margin - captionHeight - bandStripHeight(bands_.bars().size())));
}

std::optional<QPoint> FrontView::placeOf(const std::string& driver) const {
    const auto found = std::ranges::find(front_.spots, driver, &FrontSpot::driver);
    return found == front_.spots.end() ? std::nullopt : std::optional(scale().on(*found).toPoint());
}

QPoint FrontView::rightEdge() const {
    const QRectF board = scale().board(front_);
    return QPointF(board.right(), board.center().y() + board.height() * 0.45).toPoint();
}

QPoint FrontView::upperEdge() const {
    const QRectF board = scale().board(front_);
    return QPointF(board.left() + board.width() * 0.1, board.top()).toPoint();
}

const FrontSpot* FrontView::spotAt(const QPointF& point) const {
    constexpr double leastReach = 14.0;
    const FrontScale s = scale();
    for (const FrontSpot& spot : front_.spots) {
        const QPointF away = point - s.on(spot);
        if (std::hypot(away.x(), away.y()) <= std::max(spot.radius * s.pixels, leastReach)) {
            return &spot;
        }
    }
    return nullptr;
}

std::optional<FrontView::Grip> FrontView::gripAt(const QPointF& point) const {
    const FrontScale s = scale();
    if (const FrontSpot* spot = spotAt(point)) {
        return Grip{Grip::Kind::driver, spot->driver, s.on(*spot) - point, s, {spot->x, spot->y}};
    }
    const QRectF board = s.board(front_);
    if (std::abs(point.x() - board.right()) < reach || std::abs(point.x() - board.left()) < reach) {
        return Grip{Grip::Kind::right, {}, {}, s};
    }
    if (std::abs(point.y() - board.top()) < reach || std::abs(point.y() - board.bottom()) < reach) {
        return Grip{Grip::Kind::upper, {}, {}, s};
    }
    return std::nullopt;
}

/// Where a driver in the hand was, and how far it has gone from there.
void FrontView::paintGrip(QPainter& painter) const {
    const auto spot = grip_ && grip_->kind == Grip::Kind::driver
                          ? std::ranges::find(front_.spots, grip_->driver, &FrontSpot::driver)
                          : front_.spots.end();
    if (spot == front_.spots.end()) {
        return;
    }
    const double right = (spot->x - grip_->from.x()) / millimetre;
    const double up = (spot->y - grip_->from.y()) / millimetre;
    if (std::abs(right) < 0.5 && std::abs(up) < 0.5) {
        return;
    }
    const Theme& t = theme();
    const FrontScale s = scale();
    FrontSpot was = *spot;
    was.x = grip_->from.x();
    was.y = grip_->from.y();
    painter.setPen(QPen(t.quietInk, 1.4, Qt::DashLine));
    painter.setBrush(Qt::NoBrush);
    painter.drawEllipse(s.on(was), spot->radius * s.pixels, spot->radius * s.pixels);
    const auto whole = [](double value) { return QString::number(std::abs(qRound(value))); };
    QStringList said;
    if (std::abs(right) >= 0.5) {
        said << (right > 0.0 ? tr("%1 mm right") : tr("%1 mm left")).arg(whole(right));
    }
    if (std::abs(up) >= 0.5) {
        said << (up > 0.0 ? tr("%1 mm up") : tr("%1 mm down")).arg(whole(up));
    }
    // At the foot of the board, or at its head where the driver is nearer to the foot.
    const QString words = said.join(QStringLiteral(", "));
    const QFontMetricsF metrics(painter.font());
    QRectF box(QPointF(), QSizeF(metrics.horizontalAdvance(words) + 10.0, metrics.height() + 4.0));
    const QRectF board = s.board(front_);
    constexpr double inside = 16.0;
    const bool foot = s.on(*spot).y() < board.center().y();
    box.moveCenter(QPointF(0.5 * width(), foot ? board.bottom() - inside : board.top() + inside));
    painter.setPen(QPen(t.outline, 1.0));
    painter.setBrush(t.sheet);
    painter.drawRoundedRect(box, 4.0, 4.0);
    painter.setPen(t.ink);
    painter.drawText(box, Qt::AlignCenter, words);
}

void FrontView::paintEvent(QPaintEvent* /*event*/) {
    const Theme& t = theme();
    QPainter painter(this);
    if (front_.spots.isEmpty()) {
        painter.setPen(t.quietInk);
        painter.drawText(rect(), Qt::AlignCenter | Qt::TextWordWrap, tr("No cabinet"));
        return;
    }
    const FrontScale s = scale();
    paintFront(painter, front_, s, hasFocus() ? Edge::focused : Edge::plain);
    const auto halo = [&](const std::string& driver, double width, const QPen& pen) {
        const auto spot = std::ranges::find(front_.spots, driver, &FrontSpot::driver);
        if (spot != front_.spots.end()) {
            painter.setPen(pen);
            painter.setBrush(Qt::NoBrush);
            const double radius = spot->radius * s.pixels + width;
            painter.drawEllipse(s.on(*spot), radius, radius);
        }
    };
    if (!dropTarget_.empty()) {
        halo(dropTarget_, 9.0, QPen(t.front, 4.0, Qt::DashLine));
    }
    halo(chosen_, 4.0, QPen(t.front, 5.0));
    halo(chosen_, 7.0, QPen(t.ink, 1.4));
    if (editing_) {
        // What can be taken hold of: the edges of the board.
        const QRectF board = s.board(front_);
        painter.setPen(QPen(t.ink, 1.4));
        painter.setBrush(t.front);
        for (const QPointF& handle : {QPointF(board.right(), rightEdge().y()),
                                      QPointF(board.left(), rightEdge().y()),
                                      QPointF(upperEdge().x(), board.top()),
                                      QPointF(upperEdge().x(), board.bottom())}) {
            painter.drawRect(QRectF(handle - QPointF(4.0, 4.0), QSizeF(8.0, 8.0)));
        }
    }
    paintGrip(painter);
    const auto chosen = std::ranges::find(front_.spots, chosen_, &FrontSpot::driver);
    painter.setPen(t.ink);
    const double strip = bandStripHeight(bands_.bars().size());
    if (strip > 0.0) {
        paintBandStrip(painter,
                       bands_.bars(),
                       QRectF(margin, height() - strip, width() - 2.0 * margin, strip),
                       chosen_);
    }
    painter.setPen(t.ink);
    painter.setFont(font());
    painter.drawText(QRectF(0.0, height() - captionHeight - strip, width(), captionHeight),
                     Qt::AlignCenter,
                     chosen == front_.spots.end() ? words(cabinet_.name) : chosen->name);
}

void FrontView::choose(qsizetype index) {
    if (index >= 0 && index < front_.spots.size()) {
        Q_EMIT chosen(words(front_.spots[index].driver));
    }
}

void FrontView::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton) {
        return;
    }
    if (editing_ || sawing_) {
        grip_ = gripAt(event->position());
        if (!editing_ && grip_ && grip_->kind != Grip::Kind::driver) {
            grip_.reset();
        }
    }
    if (const FrontSpot* spot = spotAt(event->position())) {
        choose(spot - front_.spots.data());
    }
}

void FrontView::mouseMoveEvent(QMouseEvent* event) {
    if (grip_ && (event->buttons() & Qt::LeftButton) != 0) {
        follow(event->position());
        return;
    }
    if (!editing_ && !sawing_) {
        return;
    }
    auto grip = gripAt(event->position());
    if (!editing_ && grip && grip->kind != Grip::Kind::driver) {
        grip.reset();
    }
    setCursor(!grip                              ? Qt::ArrowCursor
              : grip->kind == Grip::Kind::driver ? Qt::SizeAllCursor
              : grip->kind == Grip::Kind::right  ? Qt::SizeHorCursor
                                                 : Qt::SizeVerCursor);
}

void FrontView::mouseReleaseEvent(QMouseEvent* /*event*/) {
    if (grip_) {
        grip_.reset();
        Q_EMIT gestureEnded();
    }
}

void FrontView::follow(const QPointF& point) {
    const FrontScale& s = grip_->scale;
    if (grip_->kind == Grip::Kind::driver) {
        const QPointF at = point + grip_->offset - s.middle;
        moveTo(grip_->driver, at.x() / s.pixels, -at.y() / s.pixels);
        return;
    }
    // Edges move in pairs, since places count from the middle.
    edit::Outline outline = edit::outlineOf(cabinet_);
    constexpr double least = 0.04; // m
    double high = 0.0;
    double wide = 0.0;
    for (const FrontSpot& spot : front_.spots) {
        wide = std::max(wide, std::abs(spot.x));
        high = std::max(high, std::abs(spot.y));
    }
    const double half = grip_->kind == Grip::Kind::right
                            ? std::abs(point.x() - s.middle.x()) / s.pixels
                            : std::abs(point.y() - s.middle.y()) / s.pixels;
    if (grip_->kind == Grip::Kind::right) {
        outline.width = onGrid(std::max({2.0 * half, 2.0 * wide + millimetre, least}));
    } else {
        outline.height = onGrid(std::max({2.0 * half, 2.0 * high + millimetre, least}));
    }
    Q_EMIT edited(edit::changeOutline(cabinet_.id, outline, "outline:" + cabinet_.id));
}

void FrontView::moveTo(const std::string& driver, double x, double y) {
    const std::string key = "move:" + cabinet_.id + "/" + driver;
    if (!editing_) {
        const auto mount = std::ranges::find(cabinet_.mounts, driver, &job::Mount::driver);
        if (mount == cabinet_.mounts.end()) {
            return;
        }
        job::Mount to = *mount;
        to.x = onGrid(x);
        to.y = onGrid(y);
        Q_EMIT edited(edit::shiftDriver(cabinet_.id, to, key));
        return;
    }
    Q_EMIT edited(edit::moveDriver(cabinet_.id, {driver, onGrid(x), onGrid(y)}, key));
}

void FrontView::nudge(double dx, double dy) {
    const auto mount = std::ranges::find(cabinet_.mounts, chosen_, &job::Mount::driver);
    if (mount != cabinet_.mounts.end()) {
        // What the arrows did so far may not have come back as a picture yet.
        job::Mount& here = *mount;
        here.x = std::clamp(here.x + dx, -cabinet_.width / 2.0, cabinet_.width / 2.0);
        here.y = std::clamp(here.y + dy, -cabinet_.height / 2.0, cabinet_.height / 2.0);
        moveTo(chosen_, here.x, here.y);
    }
}

void FrontView::keyPressEvent(QKeyEvent* event) {
    const auto found = std::ranges::find(front_.spots, chosen_, &FrontSpot::driver);
    const qsizetype now = found == front_.spots.end() ? 0 : found - front_.spots.begin();
    const double step =
        (event->modifiers() & Qt::ShiftModifier) != 0 ? 10.0 * millimetre : millimetre;
    // Where the saw is at hand the arrows walk; with Ctrl they move.
    const bool moves = editing_ || (sawing_ && (event->modifiers() & Qt::ControlModifier) != 0);
    const bool walks = !moves;
    switch (event->key()) {
    case Qt::Key_Up:
        walks ? choose(now - 1) : nudge(0.0, step);
        return;
    case Qt::Key_Down:
        walks ? choose(now + 1) : nudge(0.0, -step);
        return;
    case Qt::Key_PageUp:
        choose(now - 1);
        return;
    case Qt::Key_PageDown:
        choose(now + 1);
        return;
    case Qt::Key_Left:
    case Qt::Key_Right:
        if (moves) {
            nudge(event->key() == Qt::Key_Left ? -step : step, 0.0);
            return;
        }
        break;
    default:
        break;
    }
    QWidget::keyPressEvent(event);
}

void FrontView::keyReleaseEvent(QKeyEvent* event) {
    if ((editing_ || sawing_) && !event->isAutoRepeat()) {
        Q_EMIT gestureEnded();
    }
    QWidget::keyReleaseEvent(event);
}

void FrontView::dragEnterEvent(QDragEnterEvent* event) {
    if (!droppedFiles(event->mimeData()).isEmpty()) {
        event->acceptProposedAction();
    }
}

void FrontView::dragMoveEvent(QDragMoveEvent* event) {
    const FrontSpot* spot = spotAt(event->position());
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
    if (const FrontSpot* spot = spotAt(event->position())) {
        event->acceptProposedAction();
        Q_EMIT tablesGiven(words(spot->driver), droppedFiles(event->mimeData()));
    }
}

} // namespace yf::app
