// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/crossover/lanes_view.h"

#include "app/crossover/driver_end.h"
#include "app/crossover/insert_button.h"
#include "app/crossover/line_tile.h"
#include "app/crossover/part_tile.h"
#include "app/crossover/symbols.h"
#include "app/plots/curves.h"
#include "app/theme/theme.h"
#include "app/widgets/words.h"
#include "core/network/parts/part_words.h"
#include "core/study/first_value.h"
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

/// Keys of all tiles that stand in a lane's ladder.
std::vector<std::string> keysOf(const network::Circuit& circuit) {
    std::vector<std::string> keys;
    for (const network::Part& part : network::parts(circuit)) {
        keys.push_back(part.id);
    }
    for (const network::ControlSlot& control : network::controls(circuit)) {
        keys.push_back(ControlTile::keyOf(control.id));
    }
    return keys;
}

/// The same tiles at the same places.
bool sameShape(const LaneLayout& a, const LaneLayout& b) {
    return a.size == b.size && a.hotPost == b.hotPost &&
           std::ranges::equal(a.tiles,
                              b.tiles,
                              [](const auto& x, const auto& y) {
                                  return x.part == y.part && x.rect == y.rect &&
                                         x.hanging == y.hanging;
                              }) &&
           std::ranges::equal(a.controls,
                              b.controls,
                              [](const auto& x, const auto& y) {
                                  return x.control.id == y.control.id && x.rect == y.rect;
                              }) &&
           std::ranges::equal(a.filters, b.filters, [](const auto& x, const auto& y) {
               return x.place == y.place && x.rect == y.rect;
           });
}

/// The notation behind the ID: what the editor starts with.
QString notation(const network::Part& part) {
    QString text = figures(network::valueText(part.kind, part.value)).replace(QChar(0x202F), u' ');
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
    circuit_ = cabinet.circuit;
    // The same parts may be wired another way: places are compared, not values.
    if (const LaneLayout fresh = layOut(circuit_); !other && sameShape(fresh, layout_)) {
        const auto parts = network::parts(circuit_);
        const auto controls = network::controls(circuit_);
        for (LaneTile* tile : tiles_) {
            if (auto* part = qobject_cast<PartTile*>(tile)) {
                part->display(*std::ranges::find(parts, part->part().id, &network::Part::id));
            } else if (auto* line = qobject_cast<LineTile*>(tile)) {
                line->display(network::lineOf(circuit_, line->place().way).value());
            } else if (auto* control = qobject_cast<ControlTile*>(tile)) {
                control->display(
                    *std::ranges::find(controls, control->control().id, &network::ControlSlot::id));
            }
        }
        layout_ = fresh;
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

void LanesView::place(LaneTile* tile, const QRect& rect) {
    tile->setGeometry(rect);
    tile->show();
    connectTile(tile);
    tiles_.push_back(tile);
}

void LanesView::rebuild() {
    closeEditor();
    const auto* focused = qobject_cast<LaneTile*>(focusWidget());
    std::string focus = focused != nullptr && focused->hasFocus() ? focused->key() : std::string{};
    // Deleted later: the rebuild may come out of one of their own signals.
    QVector<QWidget*> gone(tiles_.begin(), tiles_.end());
    gone += inserts_;
    gone += QVector<QWidget*>(ends_.begin(), ends_.end());
    for (QWidget* old : gone) {
        old->hide();
        old->setObjectName({});
        old->deleteLater();
    }
    tiles_.clear();
    inserts_.clear();
    ends_.clear();
    layout_ = layOut(circuit_);
    // From the amplifiers to the drivers: in this order Tab goes.
    for (const LaneLayout::Filter& filter : layout_.filters) {
        auto* tile =
            new LineTile(filter.place, network::lineOf(circuit_, filter.place.way).value(), this);
        connectLine(tile);
        place(tile, filter.rect);
    }
    const auto parts = network::parts(circuit_);
    for (const LaneLayout::Tile& at : layout_.tiles) {
        auto* tile = new PartTile(*std::ranges::find(parts, at.part, &network::Part::id),
                                  at.hanging ? Lying::down : Lying::across,
                                  this);
        connectPart(tile);
        place(tile, at.rect);
    }
    for (const LaneLayout::Control& control : layout_.controls) {
        auto* tile = new ControlTile(control.control, this);
        connectControl(tile);
        place(tile, control.rect);
    }
    for (const LaneTile* tile : tiles_) {
        const bool isNew = awaitsNew_ && qobject_cast<const LineTile*>(tile) == nullptr &&
                           std::ranges::find(known_, tile->key()) == known_.end();
        if (isNew || (!awaited_.empty() && tile->key() == awaited_)) {
            focus = tile->key();
        }
    }
    for (const LaneLayout::Insert& at : layout_.inserts) {
        auto* button = new InsertButton(at.place, this);
        button->setGeometry(at.rect);
        button->show();
        connect(button, &QAbstractButton::clicked, this, [this, button] {
            offerInsert(button->place(), button->mapToGlobal(QPoint(0, button->height())));
        });
        inserts_.push_back(button);
    }
    for (const LaneLayout::Filter& at : layout_.filterInserts) {
        auto* button = new InsertButton({at.place.way, at.place.filter.value_or(0), true}, this);
        button->setObjectName(QStringLiteral("insert_filter_%1").arg(at.place.way));
        button->setAccessibleName(
            tr("Insert a filter before the amplifier of way %1").arg(at.place.way + 1));
        button->setToolTip(tr("Insert a filter here"));
        button->setGeometry(at.rect);
        button->show();
        connect(button, &QAbstractButton::clicked, this, [this, button, where = at.place] {
            offerFilters(where, button->mapToGlobal(QPoint(0, button->height())));
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
                        edit::reverseDriver(cabinet_, way, job::findDriver(job_, id)->name));
                });
        ends_.push_back(button);
    }
    awaitsNew_ = false;
    awaited_.clear();
    if (LaneTile* again = tileOfKey(focus)) {
        again->setFocus();
    }
    setMinimumSize(layout_.size);
    updateGeometry();
    editor_->raise();
    problem_->raise();
    update();
}

/// What every tile does alike.
void LanesView::connectTile(LaneTile* tile) {
    tile->installEventFilter(this);
    connect(tile, &LaneTile::letGo, this, &LanesView::gestureEnded);
    connect(tile, &LaneTile::typed, this, [this, tile](const QString& first) {
        openEditor(tile, first);
    });
}

/// The neighbour takes the focus, so that the hand goes on from there.
void LanesView::focusNeighbour(const LaneTile* tile) {
    const auto at = std::ranges::find(tiles_, tile) - tiles_.begin();
    if (LaneTile* neighbour = tiles_.value(at + 1 < tiles_.size() ? at + 1 : at - 1)) {
        neighbour->setFocus();
    }
}

void LanesView::connectPart(PartTile* tile) {
    connect(tile, &LaneTile::stepped, this, [this, tile](int steps, bool fine) {
        const std::string& id = tile->part().id;
        const network::ESeries series = fine ? network::ESeries::E192 : series_;
        Q_EMIT edited(own_ && !fine ? edit::stepPartInStock(cabinet_, id, steps, "step " + id)
                                    : edit::stepPart(cabinet_, id, series, steps, "step " + id));
    });
    connect(tile, &LaneTile::editWanted, this, [this, tile] {
        openEditor(tile, notation(tile->part()));
        editor_->selectAll();
    });
    connect(tile, &LaneTile::removed, this, [this, tile] {
        const std::string id = tile->part().id;
        focusNeighbour(tile);
        Q_EMIT edited(edit::removePart(cabinet_, id));
    });
    connect(tile, &LaneTile::insertWanted, this, [this, tile] {
        const auto place =
            std::ranges::find(layout_.tiles, tile->part().id, &LaneLayout::Tile::part);
        offerInsert(place->behind, tile->mapToGlobal(QPoint(tile->width(), tile->height())));
    });
    connect(tile, &LaneTile::bypassed, this, [this, tile](bool on) {
        if (on) {
            Q_EMIT previewed(edit::bypassPart(cabinet_, tile->part().id));
        } else {
            Q_EMIT previewEnded();
        }
    });
}

void LanesView::connectLine(LineTile* tile) {
    connect(tile, &LaneTile::stepped, this, [this, tile](int steps, bool fine) {
        Q_EMIT edited(edit::stepLine(cabinet_, tile->place(), steps, fine, "step " + tile->key()));
    });
    connect(tile, &LaneTile::editWanted, this, [this, tile] {
        openEditor(tile, tile->notation());
        editor_->selectAll();
    });
    connect(tile, &LaneTile::removed, this, [this, tile] {
        const network::LinePlace place = tile->place();
        if (place.filter) {
            focusNeighbour(tile);
        }
        Q_EMIT edited(edit::removeFilter(cabinet_, place));
    });
    connect(tile, &LaneTile::insertWanted, this, [this, tile] {
        network::LinePlace behind = tile->place();
        if (behind.filter) {
            ++*behind.filter;
        }
        offerFilters(behind, tile->mapToGlobal(QPoint(tile->width(), tile->height())));
    });
    connect(tile, &LaneTile::bypassed, this, [this, tile](bool on) {
        if (on) {
            Q_EMIT previewed(edit::removeFilter(cabinet_, tile->place()));
        } else {
            Q_EMIT previewEnded();
        }
    });
}

void LanesView::connectControl(ControlTile* tile) {
    const auto id = [tile] { return tile->control().id; };
    connect(tile, &LaneTile::stepped, this, [this, tile, id](int steps, bool fine) {
        Q_EMIT edited(edit::stepControl(cabinet_, id(), steps, fine, "step " + tile->key()));
    });
    connect(tile, &LaneTile::editWanted, this, [this, tile] { offerFixed(tile); });
    connect(tile, &LaneTile::removed, this, [this, tile, id] {
        const std::string gone = id();
        focusNeighbour(tile);
        Q_EMIT edited(edit::removeControl(cabinet_, gone));
    });
    connect(tile, &LaneTile::insertWanted, this, [this, tile, id] {
        const auto place = std::ranges::find_if(
            layout_.controls, [&](const auto& c) { return c.control.id == id(); });
        offerInsert(place->behind, tile->mapToGlobal(QPoint(tile->width(), tile->height())));
    });
    connect(tile, &LaneTile::bypassed, this, [this, id](bool on) {
        if (on) {
            Q_EMIT previewed(edit::removeControl(cabinet_, id()));
        } else {
            Q_EMIT previewEnded();
        }
    });
}

LaneTile* LanesView::tileOfKey(const std::string& key) const {
    const auto found =
        std::ranges::find_if(tiles_, [&](const LaneTile* tile) { return tile->key() == key; });
    return found == tiles_.end() ? nullptr : *found;
}

PartTile* LanesView::tile(const std::string& part) const {
    return qobject_cast<PartTile*>(tileOfKey(part));
}

void LanesView::focusFirst() {
    if (!tiles_.isEmpty()) {
        tiles_.front()->setFocus();
    } else if (!inserts_.isEmpty()) {
        inserts_.front()->setFocus();
    }
}

LanesView::TextReader LanesView::readerOf(const LaneTile* tile) const {
    if (const auto* part = qobject_cast<const PartTile*>(tile)) {
        return [this, old = part->part()](const std::string& text) -> Result<Typed> {
            YF_TRY(typed, network::typedPart(old, text));
            if (typed == old) {
                return Typed{};
            }
            return Typed{edit::changePart(cabinet_, typed), network::questionAbout(typed)};
        };
    }
    if (const auto* control = qobject_cast<const ControlTile*>(tile)) {
        return [this, old = control->control()](const std::string& text) -> Result<Typed> {
            YF_TRY(typed, network::typedControl(old, text));
            if (typed == old) {
                return Typed{};
            }
            return Typed{edit::changeControl(cabinet_, typed), {}};
        };
    }
    const network::LinePlace place = qobject_cast<const LineTile*>(tile)->place();
    return [this, place](const std::string& text) -> Result<Typed> {
        const network::Line old = network::lineOf(circuit_, place.way).value_or(network::Line{});
        YF_TRY(typed, network::typedLine(old, place.filter, text));
        if (typed == old) {
            return Typed{};
        }
        return Typed{edit::changeLine(cabinet_,
                                      place.way,
                                      typed,
                                      place.filter ? network::words(typed.filters[*place.filter])
                                                   : network::gainWords(typed)),
                     {}};
    };
}

void LanesView::openEditor(const LaneTile* tile, const QString& text) {
    edits_ = tile->key();
    reader_ = readerOf(tile);
    questioned_.clear();
    const auto* part = qobject_cast<const PartTile*>(tile);
    editor_->setAccessibleName(part != nullptr ? tr("Value of %1").arg(words(edits_))
                                               : tr("Figures of %1").arg(tile->accessibleName()));
    editor_->setToolTip(part != nullptr
                            ? tr("6u8, 6.8 µF, 0,35 mH, 3R3 …; behind it dcr=, esr=, tol=, price=")
                            : tile->toolTip());
    const int x = std::clamp(tile->x(), 0, std::max(0, width() - editorWidth));
    editor_->setGeometry(x, tile->y() + 4, editorWidth, tile->height() - 8);
    editor_->setText(text);
    editor_->setVisible(true);
    editor_->raise();
    editor_->setFocus();
    say({});
}

void LanesView::readEditor() {
    if (tileOfKey(edits_) == nullptr) {
        closeEditor();
        return;
    }
    const QString text = editor_->text();
    const auto typed = reader_(text.toStdString());
    if (!typed) {
        say(spoken(text::sentence(typed.error())));
        return;
    }
    if (typed->question && questioned_ != text) {
        questioned_ = text;
        say(tr("▲ %1 Enter again to take it, Esc to leave it.").arg(spoken(*typed->question)));
        return;
    }
    const std::string key = edits_;
    const auto edit = typed->edit;
    closeEditor();
    if (LaneTile* back = tileOfKey(key)) {
        back->setFocus();
    }
    if (edit) {
        Q_EMIT edited(*edit);
    }
}

/// Who goes on elsewhere means what was typed, if it is beyond doubt; else the last good value
/// stays.
void LanesView::leaveEditor() {
    const auto typed = tileOfKey(edits_) != nullptr
                           ? reader_(editor_->text().toStdString())
                           : Result<Typed>(Error{"part", YF_WORDS("core", "is gone"), ""});
    closeEditor();
    if (typed && typed->edit && !typed->question) {
        Q_EMIT edited(*typed->edit);
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
        LaneTile* back = tileOfKey(edits_);
        closeEditor();
        if (back != nullptr) {
            back->setFocus();
        }
        return true;
    }
    if (event->type() == QEvent::FocusIn) {
        if (const auto* tile = qobject_cast<PartTile*>(watched)) {
            Q_EMIT partChosen(words(tile->part().id));
        } else if (qobject_cast<LaneTile*>(watched) != nullptr) {
            Q_EMIT partChosen({});
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
        connect(action,
                &QAction::triggered,
                this,
                [this, place, kind = offer.kind, inLine = offer.inLine] {
                    known_ = keysOf(circuit_);
                    awaitsNew_ = true;
                    Q_EMIT editWanted([cabinet = cabinet_,
                                       at = network::SlotPlace{place.way, place.slot, inLine},
                                       kind](const Evaluated& present) {
                        return study::insertNewPart(
                            present.job, *present.assembly, cabinet, at, kind);
                    });
                });
    }
    offerControls(place);
    addHelpers(place);
    menu_->popup(at);
}

/// Level controls, as an old network has them.
void LanesView::offerControls(const network::SlotPlace& place) {
    menu_->addSeparator();

    static const struct {
        network::ControlKind kind;
        const char* name;
        const char* text;
    } offers[] = {
        {network::ControlKind::lPad, "insert_control_pad", QT_TR_NOOP("Level control, L-pad")},
        {network::ControlKind::potentiometer,
         "insert_control_pot",
         QT_TR_NOOP("Level control, potentiometer")},
        {network::ControlKind::rheostat,
         "insert_control_line",
         QT_TR_NOOP("Level control, resistor in the line")},
    };

    for (const auto& offer : offers) {
        QAction* action = menu_->addAction(tr(offer.text));
        action->setObjectName(QLatin1String(offer.name));
        connect(action, &QAction::triggered, this, [this, place, kind = offer.kind] {
            known_ = keysOf(circuit_);
            awaitsNew_ = true;
            Q_EMIT edited(edit::insertControl(cabinet_, place, kind));
        });
    }
}

void LanesView::offerFilters(const network::LinePlace& place, const QPoint& at) {
    menu_->clear();

    static const struct {
        network::BiquadKind kind;
        const char* name;
        const char* text;
    } offers[] = {
        {network::BiquadKind::lowPass, "filter_low_pass", QT_TR_NOOP("Low-pass")},
        {network::BiquadKind::highPass, "filter_high_pass", QT_TR_NOOP("High-pass")},
        {network::BiquadKind::peaking, "filter_peak", QT_TR_NOOP("Peak or dip")},
        {network::BiquadKind::lowShelf, "filter_low_shelf", QT_TR_NOOP("Low shelf")},
        {network::BiquadKind::highShelf, "filter_high_shelf", QT_TR_NOOP("High shelf")},
        {network::BiquadKind::allPass, "filter_all_pass", QT_TR_NOOP("All-pass")},
    };

    const auto line = network::lineOf(circuit_, place.way);
    const std::size_t at0 = place.filter.value_or(line ? line->filters.size() : 0);
    for (const auto& offer : offers) {
        QAction* action = menu_->addAction(tr(offer.text));
        action->setObjectName(QLatin1String(offer.name));
        connect(action, &QAction::triggered, this, [this, place, at0, kind = offer.kind] {
            awaited_ = LineTile::keyOf({place.way, at0});
            Q_EMIT edited(edit::insertFilter(cabinet_, place, kind));
        });
    }
    menu_->popup(at);
}

/// A control: its figures, or two resistors for what it stands at.
void LanesView::offerFixed(const ControlTile* tile) {
    menu_->clear();
    QAction* type = menu_->addAction(tr("Track and position …"));
    type->setObjectName(QStringLiteral("control_type"));
    connect(type, &QAction::triggered, this, [this, tile] {
        openEditor(tile, tile->notation());
        editor_->selectAll();
    });
    const edit::Edit edit = edit::fixControl(cabinet_, tile->control().id, series_);
    QAction* fix = menu_->addAction(tr("Fixed resistors in its place"));
    fix->setObjectName(QStringLiteral("control_fix"));
    connect(fix, &QAction::hovered, this, [this, edit] { Q_EMIT previewed(edit); });
    connect(fix, &QAction::triggered, this, [this, edit] {
        Q_EMIT previewEnded();
        known_ = keysOf(circuit_);
        awaitsNew_ = true;
        Q_EMIT edited(edit);
    });
    menu_->popup(tile->mapToGlobal(QPoint(0, tile->height())));
}

/// "Level pad for Teasel 26, −3.2 dB".
QString LanesView::helperWords(const study::Helper& helper) const {
    using Kind = study::Helper::Kind;
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
    const auto helpers = helpers_ ? helpers_(place.way) : std::vector<study::Helper>{};
    if (helpers.empty()) {
        return;
    }
    menu_->addSeparator();
    static constexpr const char* names[] = {"pad", "flatten", "resonance", "peak", "step"};
    for (const study::Helper& helper : helpers) {
        QAction* action = menu_->addAction(helperWords(helper));
        action->setObjectName(
            QStringLiteral("insert_help_%1")
                .arg(QLatin1String(names[static_cast<std::size_t>(helper.kind)])));
        const edit::Edit edit = study::addHelper(cabinet_, place, helper);
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
            painter.drawEllipse(QPointF(layout_.hotPost, lane.rail), 5.0, 5.0);
        }
        painter.setBrush(t.sheet);
        if (lane.onReturn) {
            painter.drawEllipse(QPointF(layout_.returnPost, lane.returnRail), 5.0, 5.0);
        }
        painter.setPen(t.ink);
        QFont bold = font();
        bold.setWeight(QFont::DemiBold);
        painter.setFont(bold);
        painter.drawText(QRect(8, lane.rail - 10, 46, 20), Qt::AlignVCenter, lane.name);
        if (const job::Driver* driver = job::findDriver(job_, lane.driver)) {
            painter.setPen(strokeOf(driver->band).pen());
            painter.drawLine(8, lane.rail + 14, 44, lane.rail + 14);
        }
        painter.setFont(font());
        painter.setPen(t.quietInk);
        painter.drawText(QRect(layout_.returnPost - 70, lane.returnRail - 10, 60, 20),
                         Qt::AlignVCenter |
                             (layout_.filters.isEmpty() ? Qt::AlignLeft : Qt::AlignRight),
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
