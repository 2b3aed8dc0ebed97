// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/crossover/tune_bar.h"

#include "app/crossover/search_controls.h"
#include "app/widgets/controls.h"
#include "app/widgets/flow_layout.h"
#include "app/widgets/quantity_field.h"
#include "app/widgets/still.h"
#include "app/widgets/words.h"
#include "core/edit/network.h"
#include "core/quantity/quantities.h"
#include "core/text/sentence.h"

#include <QCheckBox>
#include <QComboBox>
#include <QLabel>
#include <QPushButton>

#include <utility>

namespace yf::app {

namespace {

const quantity::Quantity mayCost{
    "", "may_cost_db", 1.0, "dB", 0.0, 6.0, "that leaving parts out may add to the error"};

QString stoodWords(const tune::Standing& standing) {
    return TuneBar::tr("%1 rms, ±%2 from flat")
        .arg(inDecibels(standing.rms()), inDecibels(standing.most));
}

} // namespace

TuneBar::TuneBar(QWidget* parent) : QWidget(parent) {
    floor_ = leastLoadField(this, QStringLiteral("tune_floor"));
    values_ = endValuesBox(this, QStringLiteral("tune_values"));
    values_->addItem(tr("own parts"));
    values_->setToolTip(tr("Preferred values of IEC 60063, or the parts that are listed at Parts, "
                           "Own parts; what the drawer has too few of is bought from E12."));
    changes_ = narrowCombo(this, QStringLiteral("tune_changes"), tr("What may change"), 12);
    changes_->addItems({tr("every part"), tr("one part"), tr("two parts"), tr("three parts")});
    changes_->setToolTip(tr("Parts typed with fixed=1 stay. Few parts: every choice of them is "
                            "tried, for a restoration that leaves the rest."));
    slopes_ = narrowCombo(this, QStringLiteral("tune_slopes"), tr("Slopes of the ways"), 12);
    slopes_->addItems({tr("as they come"), tr("after LR2"), tr("after LR4")});
    slopes_->setToolTip(
        tr("Whether each way, driver and filter together, is also to follow a Linkwitz-Riley slope "
           "where it crosses its neighbours today. Down to −24 dB; the sum still counts twice as "
           "much."));
    sparing_ = narrowCombo(this, QStringLiteral("tune_sparing"), tr("Parts left out"), 12);
    sparing_->addItems({tr("none"), tr("for fewer parts"), tr("for the price")});
    sparing_->setToolTip(
        tr("Once tuned, parts go one after the other and the rest is tuned anew, as long as the "
           "error grows by no more than is allowed here: by number the part that is missed least, "
           "by price the one that saves most. Prices are those of Parts."));
    mayCost_ = quantityField(this,
                             mayCost,
                             text::Unit::decibel,
                             QStringLiteral("tune_may_cost"),
                             tr("What leaving parts out may add to the error"));
    mayCost_->setValue(tune::Sparing{}.mayCost);
    inStep_ = new QCheckBox(tr("in step"), this);
    inStep_->setObjectName(QStringLiteral("tune_in_step"));
    inStep_->setToolTip(
        tr("Neighbours are to be in step about their crossover too, not only to add "
           "up: beside the axis the sum then holds better."));
    besides_ = new QCheckBox(tr("beside the axis"), this);
    besides_->setObjectName(QStringLiteral("tune_aside"));
    besides_->setToolTip(
        tr("The sum 10° above and below and 30° to both sides counts half as much as the axis, "
           "each at its own level: from takes at angles where there are some, else by the model of "
           "a stiff piston."));
    robust_ = new QCheckBox(tr("robust"), this);
    robust_->setObjectName(QStringLiteral("tune_robust"));
    robust_->setToolTip(
        tr("Sixteen networks whose parts are off by their tolerances count as much as "
           "the one on paper: a little less flat, but built as it is drawn."));
    filters_ = new QCheckBox(tr("filters"), this);
    filters_->setObjectName(QStringLiteral("tune_filters"));
    filters_->setChecked(true);
    filters_->setToolTip(
        tr("Filters, gains and delays before the amplifiers are tuned along with the parts: "
           "corners two octaves either way, quality 0.3 to 8, gains 12 dB, delays to 1 ms. The "
           "lowest way's gain stays."));
    filters_->hide();
    start_ = new QPushButton(tr("Tune"), this);
    start_->setObjectName(QStringLiteral("tune_start"));
    take_ = new QPushButton(tr("Take these values"), this);
    take_->setObjectName(QStringLiteral("tune_take"));
    leave_ = new QPushButton(tr("Leave them"), this);
    leave_->setObjectName(QStringLiteral("tune_leave"));
    told_ = stillLabel(this, QStringLiteral("tune_told"));
    told_->parentWidget()->hide();
    auto* controls = new QWidget(this);
    auto* row = new FlowLayout(controls);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(6);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(2);
    column->addWidget(controls);
    column->addWidget(told_->parentWidget());
    addLabelled(row, tr("may change"), changes_, 116);
    addLabelled(row, tr("into"), values_, 84);
    addLabelled(row, tr("load at least"), floor_, 76);
    addLabelled(row, tr("slopes"), slopes_, 128);
    addLabelled(row, tr("leave out"), sparing_, 128);
    addLabelled(row, tr("costing up to"), mayCost_, 76);
    row->addWidget(besides_);
    row->addWidget(inStep_);
    row->addWidget(robust_);
    row->addWidget(filters_);
    row->addWidget(start_);
    row->addWidget(take_);
    row->addWidget(leave_);
    connect(start_, &QPushButton::clicked, this, [this] { aside_.running() ? cancel() : begin(); });
    connect(take_, &QPushButton::clicked, this, [this] {
        const edit::Edit edit = edit::takeTuned(cabinet_, *best_, leftOut_);
        leave();
        Q_EMIT taken(edit);
    });
    connect(leave_, &QPushButton::clicked, this, &TuneBar::leave);
    tellProblems(floor_, told_);
    tellProblems(mayCost_, told_);
    connect(sparing_, &QComboBox::currentIndexChanged, this, &TuneBar::enable);
    connect(changes_, &QComboBox::currentIndexChanged, this, &TuneBar::enable);
    connect(&aside_, &Aside::told, this, &TuneBar::showBest);
    connect(&aside_, &Aside::finished, this, &TuneBar::finished);
    enable();
}

study::TuneWish TuneBar::wish() const {
    using By = tune::Sparing::By;
    std::optional<tune::Sparing> sparing;
    if (sparing_->currentIndex() > 0 && changes_->currentIndex() == 0) {
        sparing = {.by = sparing_->currentIndex() == 1 ? By::count : By::price,
                   .mayCost = mayCost_->value(),
                   .prices = evaluated_->job.prices};
    }
    const bool own = values_->currentIndex() == values_->count() - 1;
    return {.floor = floor_->value(),
            .values = {endValues(values_), own ? evaluated_->job.stock : network::Stock{}},
            .slopes = slopes_->currentIndex() == 0 ? std::nullopt
                                                   : std::optional(2 * slopes_->currentIndex()),
            .changes = changes_->currentIndex(),
            .sparing = sparing,
            .robust = robust_->isChecked(),
            .aside = besides_->isChecked(),
            .inStep = inStep_->isChecked(),
            .filters = filters_->isChecked()};
}

void TuneBar::tell(const QString& words) {
    told_->setText(words);
    told_->parentWidget()->setVisible(!words.isEmpty());
}

void TuneBar::enable() {
    start_->setText(aside_.running() ? tr("Stop") : tr("Tune"));
    take_->setVisible(!aside_.running() && best_);
    leave_->setVisible(!aside_.running() && best_);
    for (QWidget* w :
         QList<QWidget*>{floor_, values_, slopes_, changes_, besides_, inStep_, robust_}) {
        w->setEnabled(!aside_.running());
    }
    // A few parts changed is for a restoration, which leaves the rest as it stands.
    const bool every = changes_->currentIndex() == 0;
    filters_->setEnabled(!aside_.running() && every);
    sparing_->setEnabled(!aside_.running() && every);
    mayCost_->setEnabled(sparing_->isEnabled() && sparing_->currentIndex() > 0);
    Q_EMIT workChanged();
}

void TuneBar::begin() {
    if (!evaluated_) {
        wanted_ = true;
        return;
    }
    leave();
    if (values_->currentIndex() == values_->count() - 1 && evaluated_->job.stock.empty()) {
        tell(tr("▲ No own parts are listed yet: at Parts, Own parts. Nothing was begun."));
        return;
    }
    aside_.wait();
    const job::Cabinet* cabinet = job::findCabinet(evaluated_->job, cabinet_);
    began_ = cabinet->circuit;
    shared_ = std::make_shared<Shared>();
    aside_.begin([evaluated = evaluated_, id = cabinet_, wanted = wish(), shared = shared_](
                     Aside::Link& link) {
        const job::Cabinet& tuned = *job::findCabinet(evaluated->job, id);
        const auto problem =
            study::tuneProblem(evaluated->job, tuned, *evaluated->assembly, wanted);
        if (!problem) {
            const std::scoped_lock lock(shared->mutex);
            shared->problem = spoken(text::sentence(problem.error()));
            return;
        }
        auto found = study::tuneCabinet(*problem, wanted, [&](const study::TuneProgress& progress) {
            return link.tell([&] {
                const std::scoped_lock lock(shared->mutex);
                shared->progress = progress;
            });
        });
        const std::scoped_lock lock(shared->mutex);
        shared->tuned = std::move(found);
    });
    tell(tr("being set up …"));
    enable();
}

void TuneBar::showBest() {
    study::TuneProgress progress;
    {
        const std::scoped_lock lock(shared_->mutex);
        progress = shared_->progress;
    }
    const bool sumAlone = slopes_->currentIndex() == 0 && !besides_->isChecked();
    tell(sumAlone ? tr("%1 networks tried, so far %2")
                        .arg(progress.tried)
                        .arg(stoodWords(progress.standing))
                  : tr("%1 networks tried, so far %2 rms in all that counts")
                        .arg(progress.tried)
                        .arg(inDecibels(progress.standing.rms())));
    if (progress.best) {
        Q_EMIT previewed(edit::takeTuned(cabinet_, *progress.best));
    }
}

void TuneBar::finished() {
    if (!shared_->problem.isEmpty()) {
        tell(QStringLiteral("▲ ") + shared_->problem);
        Q_EMIT previewEnded();
        enable();
        return;
    }
    const study::Tuned& tuned = *shared_->tuned;
    if (!tuned.found.allowed) {
        tell(tr("▲ No values keep the impedance above %1 Ω and the drivers safe; nothing is "
                "offered. Nearest: %2.")
                 .arg(figures(text::printFixed(floor_->value(), 1)),
                      stoodWords(tuned.found.standing)));
        Q_EMIT previewEnded();
        enable();
        return;
    }
    best_ = tuned.found.circuit;
    leftOut_ = tuned.leftOut;
    QString words = tr("On axis, before %1; now %2, least impedance %3 Ω. Parts at the ends of "
                       "their tolerances add up to %4.")
                        .arg(stoodWords(tuned.before.standing),
                             stoodWords(tuned.found.standing),
                             figures(text::printFixed(tuned.found.impedance.ohms, 1)),
                             inDecibels(tuned.partsOff));
    if (!tuned.steps.empty()) {
        QStringList steps;
        for (std::size_t k = 1; k < tuned.steps.size(); ++k) {
            steps << tr("%1 changed: %2").arg(k).arg(inDecibels(tuned.steps[k].standing.rms()));
        }
        words += u' ' + tr("What each buys, rms: %1.").arg(steps.join(QStringLiteral("; ")));
    }
    if (tuned.price > 0.0) { // parts were to be left out
        words += u' ' + leftOutWords(tuned);
    }
    tell(words);
    enable();
    Q_EMIT previewed(edit::takeTuned(cabinet_, *best_, leftOut_));
}

QString TuneBar::leftOutWords(const study::Tuned& tuned) const {
    const auto money = [](double sum) { return figures(text::printFixed(sum, 2)); };
    if (tuned.leftOut.empty()) {
        return tr("No part can go for %1.").arg(inDecibels(mayCost_->value()));
    }
    QStringList steps;
    for (const tune::Spared& step : tuned.leftOut) {
        QStringList ids;
        for (const std::string& id : step.ids) {
            ids << app::words(id);
        }
        steps << tr("%1 leaves %2").arg(ids.join(QStringLiteral(" + ")), inDecibels(step.error));
    }
    return tr("Left out, and the error then: %1. Price %2 becomes %3.")
        .arg(steps.join(QStringLiteral("; ")), money(tuned.priceBefore), money(tuned.price));
}

void TuneBar::cancel() {
    aside_.stop();
    best_.reset();
    tell(tr("Stopped; the network is as it was."));
    Q_EMIT previewEnded();
    enable();
}

void TuneBar::leave() {
    const bool shown = best_.has_value();
    best_.reset();
    tell({});
    if (shown) {
        Q_EMIT previewEnded();
        enable();
    }
}

void TuneBar::display(const Sight& sight) {
    const job::Cabinet* cabinet = job::findCabinet(sight.present->job, sight.cabinet);
    const bool other =
        cabinet == nullptr || sight.cabinet != cabinet_ || !(cabinet->circuit == began_);
    evaluated_ = sight.present;
    cabinet_ = sight.cabinet;
    filters_->setVisible(cabinet != nullptr && network::ownAmplifiers(cabinet->circuit));
    if (other && aside_.running()) {
        cancel();
    } else if (other && best_) {
        leave();
    }
    if (std::exchange(wanted_, false)) {
        begin();
    }
}

} // namespace yf::app
