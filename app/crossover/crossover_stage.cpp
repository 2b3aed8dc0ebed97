// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/crossover/crossover_stage.h"

#include "app/crossover/find_page.h"
#include "app/crossover/lanes_view.h"
#include "app/crossover/part_tile.h"
#include "app/crossover/parts_page.h"
#include "app/crossover/pictures.h"
#include "app/crossover/start_bar.h"
#include "app/crossover/tune_bar.h"
#include "app/plots/plot.h"
#include "app/widgets/controls.h"
#include "app/widgets/flow_layout.h"
#include "app/widgets/still.h"
#include "app/widgets/words.h"
#include "core/network/judge/tolerance.h"
#include "core/study/start.h"
#include "core/text/sentence.h"

#include <QCheckBox>
#include <QComboBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QScrollArea>
#include <QScrollBar>
#include <QSignalBlocker>
#include <QToolButton>
#include <QVBoxLayout>

namespace yf::app {

namespace {

enum Page { lanesPage, bookPage, machinePage, findPage, partsPage };

const char* const pageIds[] = {"lanes", "book", "machine", "find", "parts"};

/// Exact slopes of the sum; nothing without curves, or where the part is none of the cabinet's.
std::optional<network::Reach>
reachIn(const Evaluated& shown, const std::string& cabinetId, const std::string& part) {
    const job::Cabinet* cabinet = job::findCabinet(shown.job, cabinetId);
    if (cabinet == nullptr) {
        return std::nullopt;
    }
    const auto index = static_cast<std::size_t>(cabinet - shown.job.cabinets.data());
    const evaluation::AssembledCabinet& curves = *shown.assembly->cabinets[index];
    if (!curves.loads || !curves.hasResponses) {
        return std::nullopt;
    }
    const auto slopes = network::sumSlopes(cabinet->circuit, *curves.loads, true);
    const auto found = slopes ? std::ranges::find(slopes->partIds, part) - slopes->partIds.begin()
                              : std::ptrdiff_t{};
    if (!slopes || static_cast<std::size_t>(found) == slopes->partIds.size()) {
        return std::nullopt;
    }
    return network::reachOf(*slopes,
                            static_cast<std::size_t>(found),
                            curves.axis,
                            {cabinet->target.from, cabinet->target.to});
}

} // namespace

CrossoverStage::CrossoverStage(QWidget* parent) : Stage(parent) {
    setObjectName(QStringLiteral("stage_network"));
    response_ = new Plot(PlotKind::level, QStringLiteral("plot_response"), tr("Response"), this);
    phase_ = new Plot(PlotKind::phase, QStringLiteral("plot_phase"), tr("Phase"), this);
    impedance_ =
        new Plot(PlotKind::impedance, QStringLiteral("plot_impedance"), tr("Impedance"), this);
    auto* side = new QVBoxLayout;
    side->setSpacing(4);
    side->addWidget(phase_, 1);
    side->addWidget(impedance_, 1);
    auto* pictures = new QHBoxLayout;
    pictures->setSpacing(4);
    pictures->addWidget(response_, 5);
    pictures->addLayout(side, 3);
    auto* head = new QWidget(this);
    auto* chips = new FlowLayout(head);
    chips->setContentsMargins(0, 0, 0, 0);
    chips->setSpacing(4);

    buildLanes();
    find_ = new FindPage(this);
    parts_ = new PartsPage(this);

    const QString titles[] = {
        tr("Lanes"), tr("From the book"), tr("By machine"), tr("Find"), tr("Parts")};
    for (int page = lanesPage; page <= partsPage; ++page) {
        auto* tab = chip(
            head, QStringLiteral("network_tab_%1").arg(QLatin1String(pageIds[page])), titles[page]);
        connect(tab, &QToolButton::clicked, this, [this, page] { showPage(page); });
        chips->addWidget(tab);
        tabs_ << tab;
    }
    also_ =
        narrowCombo(this, QStringLiteral("network_also"), tr("Drawn beside the present state"), 16);
    also_->setToolTip(tr("A thin curve more: what hot voice coils, another amplifier, a driver off "
                         "its wires or the parts' tolerances do."));
    auto* top = new QHBoxLayout;
    top->addWidget(head, 1);
    auto* alsoLabel = new QLabel(tr("draw also"), this);
    alsoLabel->setBuddy(also_);
    top->addWidget(alsoLabel);
    top->addWidget(also_);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(8, 4, 8, 4);
    column->setSpacing(4);
    column->addLayout(pictures, 1);
    column->addLayout(top);
    // No stack: that would be as high as the highest of them.
    for (QWidget* page :
         {lanesPage_, static_cast<QWidget*>(find_), static_cast<QWidget*>(parts_)}) {
        column->addWidget(page);
    }
    linkCrosshairs({response_, phase_, impedance_});
    connectLanes();
    connectStart();
    connectTune();
    connectFind();
    connectParts();
    showPage(lanesPage);
}

void CrossoverStage::buildLanes() {
    lanesPage_ = new QWidget(this);
    start_ = new StartBar(lanesPage_);
    tune_ = new TuneBar(lanesPage_);
    reach_ = stillLabel(lanesPage_, QStringLiteral("network_reach"));
    lanes_ = new LanesView(lanesPage_);
    scroll_ = new QScrollArea(lanesPage_);
    scroll_->setWidget(lanes_);
    scroll_->setWidgetResizable(true);
    scroll_->setFocusPolicy(Qt::NoFocus);
    series_ = new QComboBox(lanesPage_);
    series_->setObjectName(QStringLiteral("wheel_series"));
    series_->setAccessibleName(tr("Values that the wheel steps through"));
    series_->setToolTip(tr(
        "Preferred values of IEC 60063 that wheel and ↑↓ step through; Shift steps through E192."));
    series_->addItems({QStringLiteral("E3"),
                       QStringLiteral("E6"),
                       QStringLiteral("E12"),
                       QStringLiteral("E24"),
                       QStringLiteral("E48"),
                       QStringLiteral("E96"),
                       tr("own parts")});
    series_->setCurrentIndex(static_cast<int>(network::ESeries::E12));
    ownAmplifiers_ = new QCheckBox(tr("an amplifier for each way"), lanesPage_);
    ownAmplifiers_->setObjectName(QStringLiteral("own_amplifiers"));
    auto* bar = new QHBoxLayout;
    bar->addWidget(reach_->parentWidget(), 1);
    bar->addWidget(ownAmplifiers_, 0, Qt::AlignVCenter);
    auto* steps = new QLabel(tr("wheel"), lanesPage_);
    steps->setMinimumHeight(28);
    steps->setBuddy(series_);
    bar->addWidget(steps, 0, Qt::AlignVCenter);
    bar->addWidget(series_, 0, Qt::AlignVCenter);
    series_->setSizePolicy(QSizePolicy::Fixed, QSizePolicy::Fixed);
    steps->setSizePolicy(QSizePolicy::Fixed, QSizePolicy::Fixed);
    auto* column = new QVBoxLayout(lanesPage_);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(4);
    column->addWidget(start_);
    column->addWidget(tune_);
    column->addLayout(bar);
    column->addWidget(scroll_);
}

void CrossoverStage::showPage(int page) {
    for (int i = 0; i < tabs_.size(); ++i) {
        tabs_[i]->setChecked(i == page);
    }
    // Book and machine stand above the same lanes.
    lanesPage_->setVisible(page < findPage);
    find_->setVisible(page == findPage);
    parts_->setVisible(page == partsPage);
    start_->setVisible(page == bookPage);
    tune_->setVisible(page == machinePage);
    page_ = page;
    if (page != findPage) {
        find_->leave();
    }
    shareRoom();
    if (page == bookPage && lastSight_ && lastSight_->present) {
        tellLoads(*lastSight_);
    }
}

void CrossoverStage::connectParts() {
    connect(parts_, &PartsPage::fileOffered, this, &Stage::fileOffered);
    connect(parts_, &PartsPage::edited, this, &Stage::edited);
    connect(parts_, &PartsPage::partWanted, this, [this](const QString& id) {
        go({.subjects = {id}});
    });
    connect(also_, &QComboBox::currentIndexChanged, this, [this] {
        if (lastSight_) {
            display(*lastSight_);
        }
    });
}

/// The states that can be drawn, kept at the one chosen where it is still there.
void CrossoverStage::offerStates(const Sight& sight) {
    const auto states = statesOf(sight);
    if (states.size() == also_->count() - 1) {
        return;
    }
    const QSignalBlocker quiet(also_);
    const QString chosen = also_->currentText();
    also_->clear();
    also_->addItem(tr("nothing more"));
    for (const DrawnState& state : states) {
        also_->addItem(state.words);
    }
    also_->setCurrentIndex(std::max(0, also_->findText(chosen)));
}

void CrossoverStage::connectFind() {
    connect(find_, &FindPage::previewed, this, &Stage::previewed);
    connect(find_, &FindPage::previewEnded, this, &Stage::previewEnded);
    connect(find_, &FindPage::edited, this, &Stage::edited);
    connect(find_, &FindPage::gestureEnded, this, &Stage::gestureEnded);
    connect(find_, &FindPage::snapshotWanted, this, &Stage::snapshotWanted);
}

void CrossoverStage::connectLanes() {
    lanes_->setHelpers([this](std::size_t way) {
        const job::Cabinet* cabinet =
            evaluated_ ? job::findCabinet(evaluated_->job, cabinet_) : nullptr;
        return cabinet == nullptr ? std::vector<study::Helper>{}
                                  : study::helpersFor(evaluated_->job,
                                                      *cabinet,
                                                      *evaluated_->assembly,
                                                      evaluated_->evaluation,
                                                      way,
                                                      response_->crosshair());
    });
    connect(lanes_, &LanesView::edited, this, &Stage::edited);
    connect(lanes_, &LanesView::editWanted, this, &Stage::editWanted);
    connect(lanes_, &LanesView::gestureEnded, this, &Stage::gestureEnded);
    connect(lanes_, &LanesView::previewed, this, &Stage::previewed);
    connect(lanes_, &LanesView::previewEnded, this, &Stage::previewEnded);
    connect(lanes_, &LanesView::partChosen, this, [this](const QString& id) {
        chosen_ = id.toStdString();
        tellReach();
    });
    connect(ownAmplifiers_, &QCheckBox::clicked, this, [this](bool own) {
        Q_EMIT edited(edit::separateAmplifiers(cabinet_, own));
    });
    connect(series_, &QComboBox::currentIndexChanged, this, [this](int index) {
        // Behind the series comes the drawer.
        const bool own = index > static_cast<int>(network::ESeries::E96);
        lanes_->setSeries(own ? network::ESeries::E12 : static_cast<network::ESeries>(index), own);
    });
}

void CrossoverStage::connectStart() {
    connect(&loadsAside_, &Aside::finished, this, &CrossoverStage::showLoads);
    connect(start_, &StartBar::proposed, this, [this](const study::Start& start) {
        Q_EMIT previewWanted([cabinet = cabinet_, start](const Evaluated& present) {
            return study::startNetwork(present.job, cabinet, start);
        });
    });
    connect(start_, &StartBar::left, this, &Stage::previewEnded);
    connect(start_, &StartBar::taken, this, [this](const study::Start& start) {
        start_->endProposal();
        Q_EMIT previewEnded();
        Q_EMIT editWanted([cabinet = cabinet_, start](const Evaluated& present) {
            return study::startNetwork(present.job, cabinet, start);
        });
    });
}

void CrossoverStage::connectTune() {
    connect(tune_, &TuneBar::previewed, this, &Stage::previewed);
    connect(tune_, &TuneBar::previewEnded, this, &Stage::previewEnded);
    connect(tune_, &TuneBar::taken, this, [this](const edit::Edit& edit) {
        Q_EMIT edited(edit);
        Q_EMIT gestureEnded();
    });
    connect(tune_, &TuneBar::workChanged, this, [this] {
        // Who tunes by machine does not start from the book meanwhile.
        start_->setEnabled(!tune_->running() && !tune_->proposing());
    });
}

bool CrossoverStage::working() const {
    return tune_->running() || find_->running() || find_->judging() || loadsAside_.running() ||
           reachAside_.running();
}

QString CrossoverStage::state(const Sight& sight) const {
    const evaluation::CabinetResult* result = sight.present->evaluation.find(sight.cabinet);
    if (result == nullptr || !result->corridor) {
        return result != nullptr && result->parts > 0 ? tr("%1 parts").arg(result->parts)
                                                      : tr("nothing yet");
    }
    return QStringLiteral("±") + figures(text::printFixed(result->corridor->deviation, 1)) +
           QChar(0x202F) + QStringLiteral("dB");
}

void CrossoverStage::tellLoads(const Sight& sight) {
    // Of one way, or of more than five, the book has nothing: the bar would promise what it can't
    // do.
    const auto ways = network::driverEnds(sight.shownCabinet()->circuit).size();
    constexpr std::size_t most = 5;
    tabs_[bookPage]->setVisible(ways >= 2 && ways <= most);
    if (ways < 2 || ways > most) {
        if (page_ == bookPage) {
            showPage(lanesPage);
        }
        return;
    }
    start_->setWays(static_cast<int>(ways));
    if (bands_.update(sight.present->job, *sight.shownCabinet())) {
        QStringList why;
        for (const BandBar& bar : bands_.bars()) {
            why << tr("%1 works well %2").arg(bar.name, bar.words);
        }
        start_->offerBands(bands_.joins(),
                           why.size() == static_cast<qsizetype>(ways)
                               ? why.join(QStringLiteral(".\n"))
                               : QString());
    }
    askLoads(sight);
}

/// What the book would be solved into, computed aside when the curves or the wanted start change.
void CrossoverStage::askLoads(const Sight& sight) {
    LoadsAsked asked{sight.present->assembly, sight.cabinet, start_->start(), {}};
    for (const network::DriverEnd& end : network::driverEnds(sight.shownCabinet()->circuit)) {
        asked.ends.push_back(end);
    }
    if (page_ != bookPage || asked == asked_) {
        return;
    }
    asked_ = asked;
    loads_ = std::make_shared<std::optional<Result<std::vector<double>>>>();
    loadsAside_.stop();
    loadsAside_.begin([into = loads_,
                       shown = sight.present,
                       cabinet = *sight.shownCabinet(),
                       start = asked.start](Aside::Link& /*link*/) {
        *into = study::bookLoads(shown->job, cabinet, start);
    });
}

void CrossoverStage::showLoads() {
    const Result<std::vector<double>>& loads = **loads_;
    if (!loads) {
        start_->tellLoads(spoken(text::sentence(loads.error())));
        return;
    }
    QStringList said;
    for (const double load : *loads) {
        said << figures(text::printFixed(load, 1));
    }
    start_->tellLoads(tr("into %1 Ω").arg(said.join(QStringLiteral(" and "))));
}

/// What the chosen part can do, computed aside: a hand that turns it waits for nothing.
void CrossoverStage::tellReach() {
    const QString nothing =
        tr("Choose a part: what a tenth of its value does to the sum is told here.");
    if (evaluated_ == nullptr || chosen_.empty()) {
        reachAside_.stop();
        reach_->setText(nothing);
        return;
    }
    reachAside_.ask([this, nothing, shown = evaluated_, cabinet = cabinet_, part = chosen_](
                        Aside::Link& /*link*/) -> Aside::Delivery {
        const auto reach = reachIn(*shown, cabinet, part);
        return [this, nothing, part, reach] {
            reach_->setText(reach ? tr("%1: 10 % more of it moves the sum by %2 dB at %3.")
                                        .arg(QString::fromStdString(part),
                                             figures((reach->level < 0.0 ? "−" : "+") +
                                                     text::printFixed(std::abs(reach->level), 2)),
                                             figures(text::printEngineering(reach->at, "Hz", 2)))
                                  : nothing);
        };
    });
}

void CrossoverStage::display(const Sight& sight) {
    const job::Cabinet* cabinet = sight.shownCabinet();
    setEnabled(cabinet != nullptr);
    if (cabinet == nullptr) {
        return;
    }
    if (cabinet->id != cabinet_ && page_ == lanesPage && network::parts(cabinet->circuit).empty()) {
        showPage(bookPage); // lanes without parts: here is where one begins
    }
    cabinet_ = cabinet->id;
    tune_->display(sight);
    find_->display(sight);
    parts_->display(sight);
    offerStates(sight);
    lastSight_ = sight;
    const auto states = statesOf(sight);
    const int also = also_->currentIndex() - 1;
    const DrawnState* state = also >= 0 && also < states.size() ? &states[also] : nullptr;
    evaluated_ = sight.preview ? sight.preview : sight.present;
    tellReach();
    const evaluation::CabinetResult* result = sight.shownResult();
    least_ = result == nullptr ? std::nullopt : result->leastImpedance;
    response_->display(responsePicture(sight, state));
    phase_->display(phasePicture(sight));
    impedance_->display(impedancePicture(sight, state));
    // While a part is bypassed its tile stays where it is, under the finger.
    const bool held = sight.preview && sight.wholePreview;
    const bool wholeOther =
        start_->proposing() || tune_->proposing() || tune_->running() || find_->proposing() || held;
    // A snapshot that is held is only looked at; the focus stays where it is for when it is let go.
    lanes_->setAttribute(Qt::WA_TransparentForMouseEvents, held);
    lanes_->setEnabled(held || !(sight.preview && wholeOther));
    const Evaluated& drawn = wholeOther ? sight.shown() : *sight.present;
    const job::Cabinet& shown = *job::findCabinet(drawn.job, cabinet_);
    lanes_->display(drawn.job, shown);
    tellAmplifiers(shown.circuit);
    shareRoom();
    tellLoads(sight);
}

/// Filters before the amplifiers can be lost by a click: undo brings them back, and it says so.
void CrossoverStage::tellAmplifiers(const network::Circuit& circuit) {
    const bool own = network::lineOf(circuit, 0).has_value();
    ownAmplifiers_->setChecked(own);
    ownAmplifiers_->setEnabled(own || network::canSeparate(circuit));
    ownAmplifiers_->setToolTip(
        own ? tr("Back to one amplifier for all: what stands before the amplifiers is taken away "
                 "(undo brings it back).")
        : network::canSeparate(circuit)
            ? tr("Filters, gain and delay before an amplifier of its own for each way. With none "
                 "of them, two-amplifier wiring of the same network changes nothing but the "
                 "current's path.")
            : tr("Not for this network: its ways hang together by a part before them, in series "
                 "or by coils that see each other."));
}

void CrossoverStage::shareRoom() {
    // Lanes get the room that they need, in a small window no more than leaves the pictures
    // readable.
    constexpr double mostForLanes = 0.4;
    const bool wide = lanes_->sizeHint().width() > width() - 20;
    const int bar = wide ? scroll_->horizontalScrollBar()->sizeHint().height() : 0;
    scroll_->setFixedHeight(
        std::min(lanes_->sizeHint().height() + 4 + bar, static_cast<int>(mostForLanes * height())));
    // A page that is a picture itself shares the height with those above; lanes take what they
    // need.
    constexpr double forChart = 0.46;
    for (QWidget* page : {static_cast<QWidget*>(find_), static_cast<QWidget*>(parts_)}) {
        page->setFixedHeight(static_cast<int>(forChart * height()));
    }
}

void CrossoverStage::resizeEvent(QResizeEvent* event) {
    shareRoom();
    Stage::resizeEvent(event);
}

bool CrossoverStage::go(const Place& place) {
    const auto isAt = [&](const char* page) { return place.page == QLatin1String(page); };
    if (place.frequency) {
        response_->setCrosshair(*place.frequency);
        Q_EMIT response_->crosshairMoved(response_->crosshair());
        response_->setFocus();
    } else if (isAt("impedance")) {
        if (least_) {
            impedance_->setCrosshair(least_->frequency);
            Q_EMIT impedance_->crosshairMoved(least_->frequency);
        }
        impedance_->setFocus();
    } else if (isAt("tune")) {
        showPage(machinePage);
        tune_->begin();
    } else if (isAt("find")) {
        showPage(findPage);
        find_->begin();
    } else if (isAt("found")) {
        showPage(findPage);
        find_->beginAndShow();
    } else if (isAt("list")) {
        showPage(partsPage);
    } else if (isAt("also")) {
        bool isNumber = false;
        const int index = place.subject().toInt(&isNumber);
        if (!isNumber || index < 0 || index >= also_->count()) {
            return false;
        }
        also_->setCurrentIndex(index);
    } else if (isAt("parts")) {
        showPage(lanesPage);
        lanes_->focusFirst();
    } else if (place.page.isEmpty() && !place.subject().isEmpty()) {
        showPage(lanesPage);
        if (PartTile* tile = lanes_->tile(place.subject().toStdString())) {
            scroll_->ensureWidgetVisible(tile);
            tile->setFocus();
        }
    } else if (place.page.isEmpty() || isAt("response") || isAt("sensitivity") ||
               isAt("corridor")) {
        response_->setFocus();
    } else {
        return false;
    }
    return true;
}

} // namespace yf::app
