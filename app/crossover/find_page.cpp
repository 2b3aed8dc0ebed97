// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/crossover/find_page.h"

#include "app/crossover/search_controls.h"
#include "app/widgets/controls.h"
#include "app/widgets/flow_layout.h"
#include "app/widgets/quantity_field.h"
#include "app/widgets/still.h"
#include "app/widgets/words.h"
#include "core/edit/network.h"
#include "core/quantity/quantities.h"
#include "core/study/align.h"
#include "core/text/sentence.h"

#include <QCheckBox>
#include <QComboBox>
#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>

#include <cmath>
#include <limits>
#include <utility>

namespace yf::app {

namespace {

/// dB rms
constexpr double windowLimits[] = {std::numeric_limits<double>::infinity(), 2.0, 1.5, 1.0, 0.7};

QString figuresOf(const job::FoundNetwork& n, bool aside) {
    const QString said =
        aside ? FindPage::tr("%1 parts for %2 by the price list: axis and beside it %3 rms, on "
                             "axis ±%4 from the target, load at least %5 Ω")
              : FindPage::tr("%1 parts for %2 by the price list: on axis %3 rms, ±%4 from the "
                             "target, load at least %5 Ω");
    return said.arg(n.parts).arg(figures(text::printFixed(n.price, 1)),
                                 inDecibels(n.rms),
                                 inDecibels(n.most),
                                 figures(text::printFixed(n.impedance, 1)));
}

job::FoundFront frontOf(const std::vector<find::Point>& points,
                        const job::FoundNetwork& byHand,
                        const study::FindWish& wish) {
    job::FoundFront front{.byHand = byHand, .floor = wish.floor, .aside = wish.aside};
    for (const find::Point& point : points) {
        front.networks.push_back(study::keptNetwork(point));
    }
    return front;
}

} // namespace

QString changeWords(const std::vector<study::ShapeChange>& changes, const QStringList& ways) {
    using What = study::ShapeChange::What;
    QStringList said;
    for (const study::ShapeChange& change : changes) {
        const QString way = ways.value(static_cast<qsizetype>(change.way));

        switch (change.what) {
        case What::series:
            said << (change.order > 0 ? FindPage::tr("the ways in series")
                                      : FindPage::tr("the ways in parallel"));
            break;
        case What::highPass:
            said << FindPage::tr("high-pass of order %1 for %2").arg(change.order).arg(way);
            break;
        case What::lowPass:
            said << FindPage::tr("low-pass of order %1 for %2").arg(change.order).arg(way);
            break;
        case What::sequence:
            said << FindPage::tr("the filters of %1 in the other sequence").arg(way);
            break;
        case What::trap:
            said << (change.order > 0 ? FindPage::tr("a trap before %1").arg(way)
                                      : FindPage::tr("no trap before %1").arg(way));
            break;
        case What::pad:
            said << (change.order > 0 ? FindPage::tr("a pad before %1").arg(way)
                                      : FindPage::tr("no pad before %1").arg(way));
            break;
        case What::zobel:
            said << (change.order > 0 ? FindPage::tr("R and C across %1").arg(way)
                                      : FindPage::tr("no R and C across %1").arg(way));
            break;
        }
    }
    return said.join(QStringLiteral("; "));
}

FindPage::FindPage(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("find_page"));
    build();
    connect(start_, &QPushButton::clicked, this, [this] { aside_.running() ? stop() : begin(); });
    connect(take_, &QPushButton::clicked, this, [this] {
        const edit::Edit edit = edit::takeNetwork(
            cabinet_, front_->networks[static_cast<std::size_t>(chosen_)].circuit);
        leave();
        Q_EMIT edited(edit);
        Q_EMIT gestureEnded();
    });
    connect(keep_, &QPushButton::clicked, this, [this] {
        const job::FoundNetwork& n = front_->networks[static_cast<std::size_t>(chosen_)];
        Q_EMIT snapshotWanted(tr("%1 parts, %2").arg(n.parts).arg(inDecibels(n.rms)),
                              edit::takeNetwork(cabinet_, n.circuit));
    });
    connect(chart_, &FrontChart::hovered, this, &FindPage::showNetwork);
    connect(chart_, &FrontChart::left, this, [this] { showNetwork(chosen_); });
    connect(chart_, &FrontChart::chosen, this, &FindPage::choose);
    connect(across_, &QComboBox::currentIndexChanged, this, &FindPage::draw);
    connect(window_, &QComboBox::currentIndexChanged, this, &FindPage::draw);
    connect(floor_, &QuantityField::valueChanged, this, &FindPage::draw);
    for (QComboBox* box : {order_, values_}) {
        connect(box, &QComboBox::currentIndexChanged, this, &FindPage::enable);
    }
    connect(besides_, &QCheckBox::toggled, this, &FindPage::enable);
    connect(&aside_, &Aside::told, this, &FindPage::hear);
    connect(&aside_, &Aside::finished, this, &FindPage::finished);
    connect(&judging_, &Aside::finished, this, [this] {
        draw();
        if (shownNetwork_ >= 0) {
            tell(wordsFor(shownNetwork_));
        }
    });
    enable();
}

void FindPage::build() {
    order_ = narrowCombo(this, QStringLiteral("find_order"), tr("Highest order of a filter"), 8);
    order_->addItems({tr("second"), tr("third"), tr("fourth")});
    order_->setCurrentIndex(2);
    values_ = endValuesBox(this, QStringLiteral("find_values"));
    floor_ = leastLoadField(this, QStringLiteral("find_floor"));
    besides_ = new QCheckBox(tr("beside the axis"), this);
    besides_->setObjectName(QStringLiteral("find_aside"));
    besides_->setToolTip(
        tr("Networks are looked for that are flat 10° above and below and 30° to both sides too, "
           "each at its own level. Takes longer."));
    across_ =
        narrowCombo(this, QStringLiteral("find_across"), tr("What the error is set against"), 8);
    across_->addItems({tr("price"), tr("parts")});
    window_ = narrowCombo(this,
                          QStringLiteral("find_window"),
                          tr("How flat the listening window must be to be chosen"),
                          9);
    for (const double most : windowLimits) {
        window_->addItem(std::isinf(most) ? tr("any")
                                          : tr("to %1 dB").arg(figures(text::printNumber(most))),
                         most);
    }
    window_->setToolTip(tr("The mean power of nine directions, to 30° aside and 10° up and down: "
                           "dB rms about its mean. Flatter networks are green, others amber."));
    start_ = new QPushButton(this);
    start_->setObjectName(QStringLiteral("find_start"));
    take_ = new QPushButton(tr("Take this network"), this);
    take_->setObjectName(QStringLiteral("find_take"));
    keep_ = new QPushButton(tr("Keep it as a snapshot"), this);
    keep_->setObjectName(QStringLiteral("find_keep"));
    chart_ = new FrontChart(this);
    chart_->setToolTip(
        tr("On axis, parts as marked. Neighbours cross where both drivers work well; coils "
           "are air coils of usual wire, capacitors above 33 µF electrolytics; prices are those of "
           "the list on "
           "the page Parts (rules of thumb until you set them)."));
    keep_->setToolTip(tr("The present stays; hold Space to see the network in its place."));
    told_ = stillLabel(this, QStringLiteral("find_told"));
    auto* controls = new QWidget(this);
    auto* row = new FlowLayout(controls);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(6);
    addLabelled(row, tr("orders up to"), order_, 92);
    addLabelled(row, tr("into"), values_, 84);
    addLabelled(row, tr("load at least"), floor_, 76);
    row->addWidget(besides_);
    addLabelled(row, tr("set against"), across_, 84);
    addLabelled(row, tr("window"), window_, 92);
    row->addWidget(start_);
    row->addWidget(take_);
    row->addWidget(keep_);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(4);
    column->addWidget(controls);
    column->addWidget(chart_, 1);
    column->addWidget(told_->parentWidget());
    tellProblems(floor_, told_);
}

study::FindWish FindPage::wish() const {
    return {.floor = floor_->value(),
            .series = endValues(values_),
            .highestOrder = order_->currentIndex() + 2,
            .aside = besides_->isChecked()};
}

bool FindPage::canGoOn() const {
    return task_.finder && task_.wish == wish() && task_.cabinet == cabinet_ && shared_ &&
           !shared_->finished && task_.evaluated->assembly == evaluated_->assembly;
}

void FindPage::tell(const QString& words) {
    told_->setText(words);
}

void FindPage::enable() {
    start_->setText(aside_.running()          ? tr("Stop")
                    : evaluated_ && canGoOn() ? tr("Go on")
                                              : tr("Look for networks"));
    const bool any = front_ && chosen_ >= 0 && !aside_.running();
    take_->setEnabled(any);
    keep_->setEnabled(any);
    for (QWidget* w : QList<QWidget*>{floor_, values_, order_, besides_}) {
        w->setEnabled(!aside_.running());
    }
    Q_EMIT workChanged();
}

void FindPage::begin() {
    if (!evaluated_) {
        wanted_ = true;
        return;
    }
    leave();
    const bool onward = canGoOn();
    aside_.wait();
    if (!onward) {
        front_.reset();
        chosen_ = -1;
        task_ = {wish(), cabinet_, nullptr, evaluated_};
        shared_ = std::make_shared<Shared>();
    }
    aside_.begin([this, shared = shared_](Aside::Link& link) {
        if (!task_.finder) {
            const job::Job& job = task_.evaluated->job;
            auto plan = study::findPlan(
                job, *job::findCabinet(job, task_.cabinet), *task_.evaluated->assembly, task_.wish);
            if (!plan) {
                const std::scoped_lock lock(shared->mutex);
                shared->problem = spoken(text::sentence(plan.error()));
                return;
            }
            const find::Point hand = find::byHand(*plan, [&] { return link.goesOn(); });
            if (!link.goesOn()) {
                return; // nothing to go on with yet
            }
            const std::scoped_lock lock(shared->mutex);
            shared->front.byHand = study::keptNetwork(hand);
            shared->front.floor = task_.wish.floor;
            shared->front.aside = task_.wish.aside;
            task_.finder = std::make_shared<find::Finder>(std::move(*plan));
            shared->space = task_.finder->candidates();
        }
        const bool all = task_.finder->run([&](const find::Progress& progress) {
            return link.tell([&] {
                const std::scoped_lock lock(shared->mutex);
                shared->done = progress.done;
                shared->total = progress.total;
                shared->front = frontOf(progress.front, shared->front.byHand, task_.wish);
            });
        });
        const std::scoped_lock lock(shared->mutex);
        shared->front = frontOf(task_.finder->front(), shared->front.byHand, task_.wish);
        shared->finished = all;
    });
    tell(tr("Being set up …"));
    enable();
    draw();
}

void FindPage::beginAndShow() {
    showWhenDone_ = true;
    begin();
}

void FindPage::hear() {
    std::size_t tried = 0;
    std::size_t total = 0;
    std::size_t space = 0;
    {
        const std::scoped_lock lock(shared_->mutex);
        front_ = shared_->front;
        tried = shared_->done;
        total = shared_->total;
        space = shared_->space;
    }
    const auto best = study::flattest(front_->networks, false);
    QString words = space == total || total == 0
                        ? tr("%1 of %2 networks tried").arg(tried).arg(std::max(total, space))
                        : tr("%1 of %2 networks tried, the most promising of %3")
                              .arg(tried)
                              .arg(total)
                              .arg(space);
    if (!best.empty()) {
        words += QStringLiteral("; ") +
                 tr("so far down to %1 rms").arg(inDecibels(front_->networks[best.back()].rms));
    }
    tell(words + u'.');
    draw();
}

void FindPage::finished() {
    if (!shared_->problem.isEmpty()) {
        tell(QStringLiteral("▲ ") + shared_->problem);
        task_ = {};
        enable();
        return;
    }
    const job::FoundFront front = shared_->front;
    if (front.networks.empty()) {
        tell(tr("▲ No network keeps the impedance above %1 Ω and the drivers where they are at "
                "home.")
                 .arg(figures(text::printFixed(floor_->value(), 1))));
        enable();
        return;
    }
    front_ = front;
    enable();
    draw();
    Q_EMIT edited(edit::keepFront(cabinet_, front));
    Q_EMIT gestureEnded();
    tell(tr("%1 networks that nothing else beats; choose one to see what it does.")
             .arg(front.networks.size()));
    if (std::exchange(showWhenDone_, false)) {
        const auto best = study::flattest(front.networks, across_->currentIndex() == 0);
        choose(static_cast<int>(best[best.size() / 2]));
    }
}

void FindPage::stop() {
    aside_.stop();
    aside_.wait();
    {
        const std::scoped_lock lock(shared_->mutex);
        front_ = shared_->front;
    }
    tell(tr("Stopped; the job is as it was. What was found by then stands here until another "
            "search; Go on takes it up again."));
    enable();
    draw();
}

QString FindPage::wordsFor(int network) const {
    const auto index = static_cast<std::size_t>(network);
    const job::FoundNetwork& n = front_->networks[index];
    QString said = figuresOf(n, front_->aside) + u'.';
    if (const auto window = windowOf(network)) {
        said += u' ' + tr("Listening window %1 rms.").arg(inDecibels(*window));
    }
    // Why it is here: what it has that the next simpler one has not, and what that brings.
    const auto best = study::flattest(front_->networks, across_->currentIndex() == 0);
    const auto place = std::ranges::find(best, index);
    const auto ways = network::driverEnds(n.circuit);
    QStringList names;
    for (const network::DriverEnd& end : ways) {
        const job::Driver* driver = job::findDriver(evaluated_->job, end.driver);
        names << words(driver == nullptr ? end.driver : driver->name);
    }
    if (place != best.end() && place != best.begin()) {
        const job::FoundNetwork& before = front_->networks[*std::prev(place)];
        const QString what = changeWords(study::shapeChanges(before, n), names);
        said += u' ' +
                tr("%1 less than with %2 parts for %3")
                    .arg(inDecibels(before.rms - n.rms))
                    .arg(before.parts)
                    .arg(figures(text::printFixed(before.price, 1))) +
                (what.isEmpty() ? QStringLiteral(".") : QStringLiteral(": ") + what + u'.');
    } else if (place == best.begin()) {
        said += u' ' + tr("Nothing simpler holds load and drivers within their limits.");
    } else {
        said += u' ' + (across_->currentIndex() == 0 ? tr("Here for its few parts.")
                                                     : tr("Here for its low price."));
    }
    return said;
}

void FindPage::showNetwork(int network) {
    if (!front_ || network < 0 || network >= static_cast<int>(front_->networks.size())) {
        leave();
        return;
    }
    shownNetwork_ = network;
    tell(wordsFor(network));
    Q_EMIT workChanged();
    Q_EMIT previewed(
        edit::takeNetwork(cabinet_, front_->networks[static_cast<std::size_t>(network)].circuit));
}

void FindPage::choose(int network) {
    chosen_ = network;
    enable();
    draw();
    showNetwork(network);
}

void FindPage::leave() {
    const bool shown = std::exchange(shownNetwork_, -1) >= 0;
    chosen_ = -1;
    if (shown) {
        tell({});
        Q_EMIT previewEnded();
        enable();
        draw();
    }
}

/// Beside the axis too, once the front stands still; some milliseconds a network.
void FindPage::judgeWindows() {
    if (!front_ || aside_.running() || !evaluated_ ||
        (windows_ && windows_->of == front_->networks &&
         windows_->assembly == evaluated_->assembly.get())) {
        return;
    }
    judging_.stop();
    judging_.wait();
    windows_ = std::make_shared<Windows>();
    windows_->of = front_->networks;
    windows_->assembly = evaluated_->assembly.get();
    judging_.begin(
        [windows = windows_, evaluated = evaluated_, cabinet = cabinet_](Aside::Link& /*link*/) {
            std::vector<network::Circuit> circuits;
            for (const job::FoundNetwork& n : windows->of) {
                circuits.push_back(n.circuit);
            }
            if (const job::Cabinet* at = job::findCabinet(evaluated->job, cabinet)) {
                windows->errors =
                    study::windowErrors(evaluated->job, *at, *evaluated->assembly, circuits);
            }
        });
}

std::optional<double> FindPage::windowOf(int network) const {
    const auto i = static_cast<std::size_t>(network);
    return windows_ && !judging_.running() && i < windows_->errors.size() &&
                   windows_->of[i] == front_->networks[i]
               ? windows_->errors[i]
               : std::nullopt;
}

void FindPage::draw() {
    judgeWindows();
    FrontChart::Shown shown{.present = present_,
                            .byPrice = across_->currentIndex() == 0,
                            .aside = front_ && front_->aside,
                            .leastLoad = floor_->value(),
                            .mostWindow = window_->currentData().toDouble(),
                            .chosen = chosen_};
    if (front_) {
        shown.networks = front_->networks;
        for (int i = 0; i < static_cast<int>(shown.networks.size()); ++i) {
            shown.windows.push_back(windowOf(i));
        }
        if (front_->byHand.parts > 0) {
            shown.byHand = front_->byHand;
        }
    }
    chart_->display(std::move(shown));
}

void FindPage::display(const Sight& sight) {
    const job::Cabinet* cabinet = job::findCabinet(sight.present->job, sight.cabinet);
    if (cabinet == nullptr) {
        return;
    }
    if (sight.cabinet != cabinet_) {
        if (aside_.running()) {
            stop();
        }
        leave();
        front_ = cabinet->found;
        kept_ = cabinet->found;
        tell({});
    }
    evaluated_ = sight.present;
    cabinet_ = sight.cabinet;
    if (!aside_.running()) {
        // Another front than before: undone, done again, or from a file.
        if (!(cabinet->found == kept_)) {
            kept_ = cabinet->found;
            if (!(front_ == kept_)) {
                leave();
                front_ = kept_;
            }
        }
    }
    if (front_ && (!present_ || !(judged_ == cabinet->circuit) || judgedAside_ != front_->aside)) {
        judged_ = cabinet->circuit;
        judgedAside_ = front_->aside;
        study::FindWish asFound = wish(); // the present by the measure that the front was made with
        asFound.aside = front_->aside;
        const auto plan =
            study::findPlan(evaluated_->job, *cabinet, *evaluated_->assembly, asFound);
        present_ =
            plan ? std::optional(study::presentNetwork(*plan, cabinet->circuit)) : std::nullopt;
    }
    draw();
    enable();
    if (std::exchange(wanted_, false)) {
        begin();
    }
}

} // namespace yf::app
