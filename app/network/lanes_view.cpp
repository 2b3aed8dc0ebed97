// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/network/lanes_view.h"

#include "app/network/driver_end.h"
#include "app/network/insert_button.h"
#include "app/network/part_tile.h"
#include "app/network/symbols.h"
#include "app/plots/curves.h"
#include "app/theme/theme.h"
#include "app/widgets/words.h"
#include "core/text/number.h"
#include "core/text/sentence.h"

#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>
#include <QMenu>
#include <QPainter>

#include <algorithm>

namespace yf::app {

namespace {

constexpr int editorWidth = 236;

std::vector<std::string> idsOf(const network::Circuit& circuit) {
    std::vector<std::string> ids;
    for (const network::Part& part : network::parts(circuit)) {
        ids.push_back(part.id);
    }
    return ids;
}

/// The notation behind the ID: what the editor starts with.
QString notation(const network::Part& part) {
    QString text = figures(job::valueText(part.kind, part.value)).replace(QChar(0x202F), u' ');
    const auto add = [&](const char* key, double value) {
        if (value > 0.0) {
            text += QStringLiteral(" %1=%2").arg(QLatin1String(key),
                                                 figures(text::printSignificant(value, 3)));
        }
    };
    add("dcr", part.dcr);
    add("esr", part.esr);
    add("df", part.df);
    add("tol", 100.0 * part.tolerance.value_or(0.0));
    add("price", part.price.value_or(0.0));
    return text;
}

} // namespace

LanesView::LanesView(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("lanes"));
    setAccessibleName(tr("Network, one lane for each way"));
    editor_ = new QLineEdit(this);
    editor_->setObjectName(QStringLiteral("part_editor"));
    editor_->setFont(figureFont(10.0));
    editor_->setVisible(false);
    editor_->installEventFilter(this);
    connect(editor_, &QLineEdit::returnPressed, this, &LanesView::readEditor);
    connect(editor_, &QLineEdit::textEdited, this, [this] {
        questioned_.clear();
        say({});
    });
    problem_ = new QLabel(this);
    problem_->setObjectName(QStringLiteral("part_problem"));
    problem_->setTextFormat(Qt::PlainText);
    problem_->setWordWrap(true);
    problem_->setMargin(6);
    problem_->setAutoFillBackground(true);
    problem_->setVisible(false);
    menu_ = new QMenu(this);
    menu_->setObjectName(QStringLiteral("insert_menu"));
    connect(menu_, &QMenu::aboutToHide, this, &LanesView::previewEnded);
}

void LanesView::display(const job::Job& job, const job::Cabinet& cabinet) {
    const bool other = cabinet.id != cabinet_;
    job_ = job;
    cabinet_ = cabinet.id;
    const bool sameShape = !other && idsOf(circuit_) == idsOf(cabinet.circuit) && [&] {
        // The same parts may be wired another way: compare places, not values.
        const LaneLayout fresh = layOut(cabinet.circuit);
        return fresh.size == layout_.size &&
               std::ranges::equal(fresh.tiles, layout_.tiles, [](const auto& a, const auto& b) {
                   return a.part == b.part && a.rect == b.rect && a.hanging == b.hanging;
               });
    }();
    circuit_ = cabinet.circuit;
    if (sameShape) {
        const auto parts = network::parts(circuit_);
        for (PartTile* tile : tiles_) {
            tile->display(*std::ranges::find(parts, tile->part().id, &network::Part::id));
        }
        layout_ = layOut(circuit_);
    } else {
        rebuild();
    }
    for (qsizetype i = 0; i < ends_.size(); ++i) {
        const LaneLayout::End& end = layout_.ends[i];
        ends_[i]->display(end.driver,
                          *job::findDriver(job_, end.driver.driver),
                          end.rail - end.rect.y(),
                          end.returnRail - end.rect.y());
    }
}

PartTile* LanesView::newTile(const LaneLayout::Tile& place, const network::Part& part) {
    auto* tile = new PartTile(part, place.hanging ? Lying::down : Lying::across, this);
    tile->setGeometry(place.rect);
    tile->show();
    connectTile(tile);
    return tile;
}

void LanesView::rebuild() {
    closeEditor();
    const PartTile* focused = qobject_cast<PartTile*>(focusWidget());
    std::string focus =
        focused != nullptr && focused->hasFocus() ? focused->part().id : std::string{};
    // Deleted later: the rebuild may come out of one of their own signals.
    for (QWidget* old : QVector<QWidget*>(tiles_.begin(), tiles_.end())) {
        old->hide();
        old->setObjectName({});
        old->deleteLater();
    }
    for (InsertButton* old : inserts_) {
        old->hide();
        old->setObjectName({});
        old->deleteLater();
    }
    for (DriverEndButton* old : ends_) {
        old->hide();
        old->setObjectName({});
        old->deleteLater();
    }
    tiles_.clear();
    inserts_.clear();
    ends_.clear();
    layout_ = layOut(circuit_);
    const auto parts = network::parts(circuit_);
    for (const LaneLayout::Tile& place : layout_.tiles) {
        tiles_.push_back(newTile(place, *std::ranges::find(parts, place.part, &network::Part::id)));
        if (awaitsNew_ && std::ranges::find(known_, place.part) == known_.end()) {
            focus = place.part;
        }
    }
    for (const LaneLayout::Insert& place : layout_.inserts) {
        auto* button = new InsertButton(place.place, this);
        button->setGeometry(place.rect);
        button->show();
        connect(button, &QAbstractButton::clicked, this, [this, button] {
            offerInsert(button->place(), button->mapToGlobal(QPoint(0, button->height())));
        });
        inserts_.push_back(button);
    }
    for (const LaneLayout::End& place : layout_.ends) {
        auto* button = new DriverEndButton(place.driver, this);
        button->setObjectName(QStringLiteral("driver_") + words(place.driver.driver));
        button->setGeometry(place.rect);
        button->show();
        connect(button,
                &QAbstractButton::clicked,
                this,
                [this, way = place.way, id = place.driver.driver] {
                    Q_EMIT edited(
                        job::reverseDriver(cabinet_, way, job::findDriver(job_, id)->name));
                });
        ends_.push_back(button);
    }
    awaitsNew_ = false;
    if (PartTile* again = tile(focus)) {
        again->setFocus();
    }
    setMinimumSize(layout_.size);
    updateGeometry();
    editor_->raise();
    problem_->raise();
    update();
}

void LanesView::connectTile(PartTile* tile) {
    tile->installEventFilter(this);
    connect(tile, &PartTile::stepped, this, [this, tile](int steps, bool fine) {
        const network::ESeries series = fine ? network::ESeries::E192 : series_;
        Q_EMIT edited(
            job::stepPart(cabinet_, tile->part().id, series, steps, "step " + tile->part().id));
    });
    connect(tile, &PartTile::letGo, this, &LanesView::gestureEnded);
    connect(tile, &PartTile::typed, this, [this, tile](const QString& first) {
        openEditor(tile, first);
    });
    connect(tile, &PartTile::editWanted, this, [this, tile] {
        openEditor(tile, notation(tile->part()));
        editor_->selectAll();
    });
    connect(tile, &PartTile::removed, this, [this, tile] {
        // The neighbour takes the focus, so that the hand goes on from there.
        const std::string id = tile->part().id;
        const auto at = tiles_.indexOf(tile);
        if (PartTile* neighbour = tiles_.value(at + 1 < tiles_.size() ? at + 1 : at - 1)) {
            neighbour->setFocus();
        }

        Q_EMIT edited(job::removePart(cabinet_, id));
    });
    connect(tile, &PartTile::insertWanted, this, [this, tile] {
        const auto place =
            std::ranges::find(layout_.tiles, tile->part().id, &LaneLayout::Tile::part);
        offerInsert(place->behind, tile->mapToGlobal(QPoint(tile->width(), tile->height())));
    });
    connect(tile, &PartTile::bypassed, this, [this, tile](bool on) {
        if (on) {
            Q_EMIT previewed(job::bypassPart(cabinet_, tile->part().id));
        } else {
            Q_EMIT previewEnded();
        }
    });
}

PartTile* LanesView::tile(const std::string& part) const {
    const auto found =
        std::ranges::find_if(tiles_, [&](const PartTile* tile) { return tile->part().id == part; });
    return found == tiles_.end() ? nullptr : *found;
}

void LanesView::focusFirst() {
    if (!tiles_.isEmpty()) {
        tiles_.front()->setFocus();
    } else if (!inserts_.isEmpty()) {
        inserts_.front()->setFocus();
    }
}

void LanesView::openEditor(const PartTile* tile, const QString& text) {
    edits_ = tile->part().id;
    questioned_.clear();
    editor_->setAccessibleName(tr("Value of %1").arg(words(edits_)));
    editor_->setToolTip(tr("6u8, 6.8 µF, 0,35 mH, 3R3 …; behind it dcr=, esr=, tol=, price="));
    const int x = std::clamp(tile->x(), 0, std::max(0, width() - editorWidth));
    editor_->setGeometry(x, tile->y() + 4, editorWidth, tile->height() - 8);
    editor_->setText(text);
    editor_->setVisible(true);
    editor_->raise();
    editor_->setFocus();
    say({});
}

void LanesView::readEditor() {
    const auto old = network::findPart(circuit_, edits_);
    if (!old) {
        closeEditor();
        return;
    }
    const QString text = editor_->text();
    const auto part = network::typedPart(*old, text.toStdString());
    if (!part) {
        say(spoken(text::sentence(part.error())));
        return;
    }
    if (const auto question = job::questionAbout(*part); question && questioned_ != text) {
        questioned_ = text;
        say(tr("▲ %1 Enter again to take it, Esc to leave it.").arg(spoken(*question)));
        return;
    }
    const std::string id = edits_;
    closeEditor();
    if (PartTile* back = tile(id)) {
        back->setFocus();
    }
    if (*part != *old) {
        Q_EMIT edited(job::changePart(cabinet_, *part));
    }
}

/// Who goes on elsewhere means what was typed, if it is beyond doubt; else the last good value
/// stays.
void LanesView::leaveEditor() {
    const auto old = network::findPart(circuit_, edits_);
    const auto part = old ? network::typedPart(*old, editor_->text().toStdString())
                          : Result<network::Part>(Error{"part", "is gone", ""});
    closeEditor();
    if (part && *part != *old && !job::questionAbout(*part)) {
        Q_EMIT edited(job::changePart(cabinet_, *part));
    }
}

void LanesView::closeEditor() {
    edits_.clear();
    questioned_.clear();
    editor_->setVisible(false);
    say({});
}

void LanesView::say(const QString& problem) {
    problem_->setVisible(!problem.isEmpty());
    if (problem.isEmpty()) {
        return;
    }
    QPalette p = problem_->palette();
    p.setColor(QPalette::Window, theme().sheet);
    p.setColor(QPalette::WindowText,
               problem.startsWith(QChar(0x25B2)) ? theme().mind : theme().stop);
    problem_->setPalette(p);
    problem_->setFrameShape(QFrame::Box);
    problem_->setText(problem);
    constexpr int width = 330;
    const int high = problem_->heightForWidth(width);
    const int below = editor_->geometry().bottom() + 3;
    const int y = below + high <= height() ? below : editor_->y() - high - 3;
    problem_->setGeometry(std::clamp(editor_->x(), 0, std::max(0, this->width() - width)),
                          std::max(0, y),
                          width,
                          high);
    problem_->raise();
}

bool LanesView::eventFilter(QObject* watched, QEvent* event) {
    if (watched == editor_ && event->type() == QEvent::KeyPress &&
        static_cast<QKeyEvent*>(event)->key() == Qt::Key_Escape) {
        PartTile* back = tile(edits_);
        closeEditor();
        if (back != nullptr) {
            back->setFocus();
        }
        return true;
    }
    if (event->type() == QEvent::FocusIn) {
        if (const auto* tile = qobject_cast<PartTile*>(watched)) {
            Q_EMIT partChosen(words(tile->part().id));
        }
    }
    if (watched == editor_ && event->type() == QEvent::FocusOut && !edits_.empty()) {
        const Qt::FocusReason reason = static_cast<QFocusEvent*>(event)->reason();
        if (reason != Qt::PopupFocusReason && reason != Qt::ActiveWindowFocusReason) {
            leaveEditor();
        }
    }
    return QWidget::eventFilter(watched, event);
}

void LanesView::offerInsert(const network::SlotPlace& place, const QPoint& at) {
    menu_->clear();

    static const struct {
        network::PartKind kind;
        bool inLine;
        const char* name;
        const char* text;
    } offers[] = {
        {network::PartKind::coil, true, "insert_line_L", QT_TR_NOOP("Coil in the line")},
        {network::PartKind::capacitor, true, "insert_line_C", QT_TR_NOOP("Capacitor in the line")},
        {network::PartKind::resistor, true, "insert_line_R", QT_TR_NOOP("Resistor in the line")},
        {network::PartKind::coil, false, "insert_across_L", QT_TR_NOOP("Coil across the way")},
        {network::PartKind::capacitor,
         false,
         "insert_across_C",
         QT_TR_NOOP("Capacitor across the way")},
        {network::PartKind::resistor,
         false,
         "insert_across_R",
         QT_TR_NOOP("Resistor across the way")},
    };

    for (const auto& offer : offers) {
        QAction* action = menu_->addAction(tr(offer.text));
        action->setObjectName(QLatin1String(offer.name));
        connect(
            action,
            &QAction::triggered,
            this,
            [this, place, kind = offer.kind, inLine = offer.inLine] {
                known_ = idsOf(circuit_);
                awaitsNew_ = true;
                Q_EMIT edited(job::insertNewPart(cabinet_, {place.way, place.slot, inLine}, kind));
            });
    }
    addHelpers(place);
    menu_->popup(at);
}

/// "Level pad for Teasel 26, −3.2 dB".
QString LanesView::helperWords(const job::Helper& helper) const {
    using Kind = job::Helper::Kind;
    const job::Driver* driver = job::findDriver(job_, helper.driver);
    const QString name = words(driver == nullptr ? helper.driver : driver->name);
    const QString dB = figures(text::printFixed(helper.dB, 1));
    const QString f = figures(text::printEngineering(helper.frequency, "Hz", 2));
    switch (helper.kind) {
    case Kind::pad:
        return tr("Level pad for %1, −%2 dB").arg(name, dB);
    case Kind::flatten:
        return tr("R and C across %1: flat above %2").arg(name, f);
    case Kind::resonance:
        return tr("Trap for the resonance of %1, %2").arg(name, f);
    case Kind::peak:
        return tr("Trap for the peak at the crosshair: %1 dB, %2").arg(dB, f);
    case Kind::step:
        return tr("Shelf for the front's step: %1 dB about %2 (rule of thumb)").arg(dB, f);
    }
    return {};
}

void LanesView::addHelpers(const network::SlotPlace& place) {
    const auto helpers = helpers_ ? helpers_(place.way) : std::vector<job::Helper>{};
    if (helpers.empty()) {
        return;
    }
    menu_->addSeparator();
    static constexpr const char* names[] = {"pad", "flatten", "resonance", "peak", "step"};
    for (const job::Helper& helper : helpers) {
        QAction* action = menu_->addAction(helperWords(helper));
        action->setObjectName(
            QStringLiteral("insert_help_%1")
                .arg(QLatin1String(names[static_cast<std::size_t>(helper.kind)])));
        const job::Edit edit = job::addHelper(cabinet_, place, helper);
        connect(action, &QAction::hovered, this, [this, edit] { Q_EMIT previewed(edit); });
        connect(action, &QAction::triggered, this, [this, edit] {
            Q_EMIT previewEnded();
            Q_EMIT edited(edit);
        });
    }
}

void LanesView::paintEvent(QPaintEvent* /*event*/) {
    const Theme& t = theme();
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setPen(QPen(t.ink, 1.5));
    for (const QLine& wire : layout_.wires) {
        painter.drawLine(wire);
    }
    painter.drawLines(layout_.posts);
    painter.setBrush(t.ink);
    for (const QPoint& joint : layout_.joints) {
        painter.drawEllipse(QPointF(joint), 2.6, 2.6);
    }
    for (const LaneLayout::Lane& lane : layout_.lanes) {
        painter.setPen(QPen(t.ink, 1.4));
        painter.setBrush(t.ink);
        if (lane.onHot) {
            painter.drawEllipse(QPointF(hotPost, lane.rail), 5.0, 5.0);
        }
        painter.setBrush(t.sheet);
        if (lane.onReturn) {
            painter.drawEllipse(QPointF(returnPost, lane.returnRail), 5.0, 5.0);
        }
        painter.setPen(t.ink);
        QFont bold = font();
        bold.setWeight(QFont::DemiBold);
        painter.setFont(bold);
        painter.drawText(QRect(8, lane.rail - 10, hotPost - 18, 20), Qt::AlignVCenter, lane.name);
        if (const job::Driver* driver = job::findDriver(job_, lane.driver)) {
            painter.setPen(strokeOf(driver->band).pen());
            painter.drawLine(8, lane.rail + 14, 44, lane.rail + 14);
        }
        painter.setFont(font());
        painter.setPen(t.quietInk);
        painter.drawText(QRect(8, lane.returnRail - 10, returnPost - 18, 20),
                         Qt::AlignVCenter,
                         lane.onReturn ? tr("return") : tr("on to"));
    }
    painter.setPen(t.ink);
    for (const LaneLayout::Note& note : layout_.notes) {
        painter.setBrush(t.ground);
        painter.drawRoundedRect(note.rect, 5.0, 5.0);
        painter.drawText(
            note.rect.adjusted(6, 2, -6, -2), Qt::AlignVCenter | Qt::TextWordWrap, note.text);
    }
}

} // namespace yf::app
