// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/check/polarity_view.h"

#include "app/theme/theme.h"
#include "app/widgets/labels.h"
#include "app/widgets/words.h"
#include "core/bench/words.h"
#include "core/speaker/crossover.h"
#include "core/text/number.h"

#include <QApplication>
#include <QDateTime>
#include <QGridLayout>
#include <QLabel>
#include <QScrollArea>
#include <QToolButton>

#include <algorithm>
#include <cmath>

namespace yf::app {

namespace {

using edit::Bass;
using edit::Direction;

std::string now() {
    return QDateTime::currentDateTime().toString(Qt::ISODate).toStdString();
}

QLabel* text(const QString& words, QWidget* parent, const QColor& colour) {
    auto* label = new QLabel(words, parent);
    label->setTextFormat(Qt::PlainText);
    tint(label, colour);
    return label;
}

} // namespace

PolarityView::PolarityView(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("polarity_view"));
    const auto scrolled = [this](QWidget* content) {
        auto* scroll = new QScrollArea(this);
        scroll->setWidgetResizable(true);
        scroll->setFocusPolicy(Qt::NoFocus);
        scroll->setWidget(content);
        return scroll;
    };
    auto* left = new QWidget(this);
    tableColumn_ = new QVBoxLayout(left);
    tableColumn_->setContentsMargins(0, 0, 0, 0);
    faults_ = new QWidget(this);
    faults_->setObjectName(QStringLiteral("polarity_faults"));
    faultColumn_ = new QVBoxLayout(faults_);
    faultColumn_->setContentsMargins(0, 0, 0, 0);
    faultColumn_->setSpacing(8);
    auto* caution = text(QStringLiteral("▲ ") + spoken(bench::cautionInWords("dabs")) +
                             QStringLiteral("  ") + spoken(bench::cautionInWords("tweeter_once")),
                         this,
                         theme().mind);
    caution->setWordWrap(true);
    auto* lists = new QHBoxLayout;
    lists->setSpacing(10);
    lists->addWidget(scrolled(left), 19);
    lists->addWidget(scrolled(faults_), 7);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->addWidget(caution);
    column->addLayout(lists, 1);
}

void PolarityView::display(const Sight& sight) {
    if (shown_ == sight.present) {
        return;
    }
    shown_ = sight.present;
    round_ = evaluation::polarityRound(shown_->job);
    barred_ =
        std::ranges::any_of(*shown_->evaluation.bench, [](const evaluation::DriverBench& bench) {
            return std::ranges::find(bench.diagnosis.barred, "pair_polarity") !=
                   bench.diagnosis.barred.end();
        });
    // Later: a chip that was pressed must not be gone while it still speaks.
    QMetaObject::invokeMethod(
        this,
        [this] {
            rebuild();
            showFaults();
        },
        Qt::QueuedConnection);
}

void PolarityView::addChoice(QGridLayout* grid, int row, int column, const Choice& choice) {
    auto* holder = new QWidget(table_);
    auto* line = new QHBoxLayout(holder);
    line->setContentsMargins(0, 0, 0, 0);
    line->setSpacing(3);
    for (int i = 0; i < choice.words.size(); ++i) {
        auto* chip = new QToolButton(holder);
        chip->setText(choice.words[i]);
        chip->setObjectName(QStringLiteral("%1_%2").arg(choice.name).arg(i));
        chip->setAccessibleName(QStringLiteral("%1: %2").arg(choice.says, choice.words[i]));
        chip->setCheckable(true);
        chip->setChecked(i == choice.chosen);
        chip->setEnabled(choice.enabled);
        chip->setProperty("chip", true);
        connect(chip, &QToolButton::clicked, this, [act = choice.act, i] { act(i); });
        line->addWidget(chip);
    }
    line->addStretch(1);
    grid->addWidget(holder, row, column);
}

void PolarityView::addDriver(QGridLayout* grid, int row, const evaluation::DriverPolarity& driver) {
    const Theme& t = theme();
    const job::Job& job = shown_->job;
    const QString name = words(job::findDriver(job, driver.driver)->name);
    const QString cabinet = words(job::findCabinet(job, driver.cabinet)->name);
    auto* named = new QWidget(table_);
    auto* lines = new QVBoxLayout(named);
    lines->setContentsMargins(0, 0, 0, 0);
    lines->setSpacing(0);
    lines->addWidget(text(name, named, t.ink));
    if (driver.byTakes) {
        lines->addWidget(alikeLabel(named,
                                    QStringLiteral("takes_") + words(driver.driver),
                                    tr("%1, %2, and its twin, by their takes").arg(name, cabinet),
                                    *driver.byTakes));
    }
    grid->addWidget(named, row, 0);
    const auto act = [this, driver](bench::Place place) {
        return [this, driver, place](int i) {
            Q_EMIT edited(edit::noteDirection(
                driver.cabinet, driver.driver, place, static_cast<Direction>(i + 1), now()));
        };
    };
    addChoice(grid,
              row,
              1,
              {QStringLiteral("lugs_") + words(driver.driver),
               {tr("out"), tr("in"), tr("silent")},
               tr("%1, %2, on its lugs").arg(name, cabinet),
               static_cast<int>(driver.onLugs) - 1,
               true,
               act(bench::Place::driver)});
    grid->addWidget(
        text(driver.drawn > 0 ? QStringLiteral("+") : tr("− reversed"), table_, t.quietInk),
        row,
        2,
        Qt::AlignCenter);
    addChoice(grid,
              row,
              3,
              {QStringLiteral("through_") + words(driver.driver),
               {tr("out"), tr("in"), tr("not seen")},
               tr("%1, %2, through the network").arg(name, cabinet),
               static_cast<int>(driver.throughNetwork) - 1,
               true,
               act(bench::Place::cabinet)});
}

/// What takes say of two that should be alike: a quiet line under their name.
QLabel* PolarityView::alikeLabel(QWidget* parent,
                                 const QString& name,
                                 const QString& of,
                                 const evaluation::AlikeByTakes& told) {
    const Theme& t = theme();
    QString says = tr("takes: not known");
    QString why = tr("It needs %1.").arg(spoken(told.missing));
    QColor colour = t.quietInk;
    if (told.found) {
        const bool alike = told.found->sign > 0;
        const bool turns = told.found->runs.size() > 1;
        const QString from =
            turns ? figures(text::printEngineering(told.found->runs[1].from, "Hz", 2)) : QString{};
        says = turns ? (alike ? tr("▲ opposite above %1") : tr("▲ opposite below %1")).arg(from)
                     : (alike ? tr("✓ takes alike to %1") : tr("▲ takes opposite to %1"))
                           .arg(figures(text::printEngineering(told.found->knownTo, "Hz", 2)));
        why = tr("Agreement of their phase, a delay taken out: %1 %; told up to %2.")
                  .arg(qRound(100.0 * told.found->surety))
                  .arg(figures(text::printEngineering(told.found->knownTo, "Hz", 2)));
        colour = alike && !turns ? t.good : t.stop;
    }
    QLabel* label = text(says, parent, colour);
    QFont little = label->font();
    little.setPointSizeF(0.85 * little.pointSizeF());
    label->setFont(little);
    label->setObjectName(name);
    label->setToolTip(why);
    label->setAccessibleName(QStringLiteral("%1: %2. %3").arg(of, says, why));
    return label;
}

/// Whether two cabinets of one side add up.
void PolarityView::addStack(QGridLayout* grid, int row, const evaluation::StackByTakes& stack) {
    const Theme& t = theme();
    const auto name = [&](const std::string& id) {
        return words(job::findCabinet(shown_->job, id)->name);
    };
    grid->addWidget(
        headingLabel(table_, tr("%1 and %2, takes").arg(name(stack.lower), name(stack.upper))),
        row,
        0);
    QString says = tr("It needs %1.").arg(spoken(stack.missing));
    QColor colour = t.quietInk;
    if (stack.flipGain) {
        const QString at = figures(text::printEngineering(*stack.fx, "Hz", 2));
        const QString gain = figures(text::printFixed(std::abs(*stack.flipGain), 1));
        const bool against = *stack.flipGain >= speaker::flipThreshold;
        const bool adds = *stack.flipGain <= -speaker::flipThreshold;
        says = against ? tr("▲ cancel about %1: one reversed adds %2 dB").arg(at, gain)
               : adds
                   ? tr("✓ add up about %1: one reversed would lose %2 dB").arg(at, gain)
                   : tr("in quadrature about %1: either way is %2 dB from the other").arg(at, gain);
        colour = against ? t.stop : adds ? t.good : t.ink;
    }
    auto* label = text(says, table_, colour);
    label->setObjectName(QStringLiteral("stack_") + words(stack.lower));
    label->setWordWrap(true);
    grid->addWidget(label, row, 1, 1, 3);
}

void PolarityView::addBass(QGridLayout* grid,
                           int row,
                           const QString& words,
                           const QString& name,
                           const std::string& cabinet,
                           Bass bass) {
    grid->addWidget(headingLabel(table_, words), row, 0);
    auto* holder = new QWidget(table_);
    auto* inner = new QGridLayout(holder);
    inner->setContentsMargins(0, 0, 0, 0);
    addChoice(inner,
              0,
              0,
              {name,
               {tr("fuller as it is"), tr("fuller with one side reversed")},
               words,
               static_cast<int>(bass) - 1,
               !barred_,
               [this, cabinet](int i) {
                   Q_EMIT edited(edit::noteBass(cabinet, static_cast<Bass>(i + 1), now()));
               }});
    grid->addWidget(holder, row, 1, 1, 3);
}

void PolarityView::rebuild() {
    const QWidget* focus = QApplication::focusWidget();
    const QString focused =
        focus != nullptr && isAncestorOf(focus) ? focus->objectName() : QString{};
    delete table_;
    table_ = new QWidget(this);
    tableColumn_->insertWidget(0, table_);
    tableColumn_->addStretch(1);
    auto* grid = new QGridLayout(table_);
    grid->setContentsMargins(0, 0, 0, 0);
    grid->setVerticalSpacing(4);
    grid->setHorizontalSpacing(6);
    const Theme& t = theme();
    const job::Job& job = shown_->job;
    int row = 0;
    const QStringList heads{QString{}, tr("on its lugs"), tr("drawn"), tr("through the network")};
    for (int i = 0; i < heads.size(); ++i) {
        grid->addWidget(text(heads[i], table_, t.quietInk), row, i);
    }
    for (const evaluation::CabinetPolarity& cabinet : round_.cabinets) {
        const QString name = words(job::findCabinet(job, cabinet.cabinet)->name);
        grid->addWidget(headingLabel(table_, name), ++row, 0);
        grid->addWidget(text(tr("whole cabinet, at its terminals"), table_, t.quietInk),
                        row,
                        1,
                        1,
                        2,
                        Qt::AlignRight | Qt::AlignVCenter);
        addChoice(grid,
                  row,
                  3,
                  {QStringLiteral("cabinet_") + words(cabinet.cabinet),
                   {tr("out"), tr("in"), tr("not seen")},
                   tr("%1, at its terminals").arg(name),
                   static_cast<int>(cabinet.atTerminals) - 1,
                   true,
                   [this, id = cabinet.cabinet](int i) {
                       Q_EMIT edited(edit::noteDirection(id, static_cast<Direction>(i + 1), now()));
                   }});
        for (const evaluation::DriverPolarity& driver : round_.drivers) {
            if (driver.cabinet == cabinet.cabinet) {
                addDriver(grid, ++row, driver);
            }
        }
    }
    for (const evaluation::PairPolarity& pair : round_.pairs) {
        addBass(grid,
                ++row,
                tr("%1 and %2, bass")
                    .arg(words(job::findCabinet(job, pair.left)->name),
                         words(job::findCabinet(job, pair.right)->name)),
                QStringLiteral("pair_") + words(pair.left),
                pair.left,
                pair.bass);
        grid->addWidget(text(tr("as a whole"), table_, t.quietInk), ++row, 0);
        grid->addWidget(alikeLabel(table_,
                                   QStringLiteral("takes_") + words(pair.left),
                                   tr("%1 and %2 as a whole, by their takes")
                                       .arg(words(job::findCabinet(job, pair.left)->name),
                                            words(job::findCabinet(job, pair.right)->name)),
                                   pair.byTakes),
                        row,
                        1,
                        1,
                        3);
    }
    for (const evaluation::StackByTakes& stack : round_.stacks) {
        addStack(grid, ++row, stack);
    }
    constexpr std::size_t severalASide = 2; // pairs
    if (round_.pairs.size() >= severalASide) {
        addBass(
            grid, ++row, tr("Left side and right side"), QStringLiteral("sides"), {}, round_.sides);
    }
    if (!focused.isEmpty()) {
        if (auto* again = findChild<QWidget*>(focused)) {
            again->setFocus();
        }
    }
}

void PolarityView::showFaults() {
    qDeleteAll(faults_->findChildren<QWidget*>(QString{}, Qt::FindDirectChildrenOnly));
    while (QLayoutItem* item = faultColumn_->takeAt(0)) {
        delete item;
    }
    const Theme& t = theme();
    const auto card =
        [&](const QString& mark, const QColor& colour, const QString& says, const QString& remedy) {
            auto* frame = new QWidget(faults_);
            frame->setProperty("card", true);
            frame->setAttribute(Qt::WA_StyledBackground);
            auto* column = new QVBoxLayout(frame);
            column->setContentsMargins(10, 8, 10, 8);
            auto* first = text(mark + u' ' + says, frame, colour);
            first->setWordWrap(true);
            column->addWidget(first);
            if (!remedy.isEmpty()) {
                auto* second = text(remedy, frame, t.ink);
                second->setWordWrap(true);
                QFont font = second->font();
                font.setWeight(QFont::DemiBold);
                second->setFont(font);
                column->addWidget(second);
            }
            faultColumn_->addWidget(frame);
        };
    for (const evaluation::PolarityFault& fault : round_.faults) {
        card(QStringLiteral("▲"), t.stop, spoken(fault.says), spoken(fault.remedy));
    }
    if (round_.faults.empty()) {
        card(QStringLiteral("✓"),
             t.good,
             round_.complete ? tr("All answers fit together.")
                             : tr("The answers so far fit together; not every driver was tried."),
             {});
    }
    if (barred_) {
        card(QStringLiteral("■"),
             t.stop,
             tr("The pair is not to be heard yet: turns of a driver may be shorted, and that can "
                "destroy an amplifier."),
             {});
    }
    faultColumn_->addStretch(1);
}

} // namespace yf::app
