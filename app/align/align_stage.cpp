// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/align/align_stage.h"

#include "app/align/arrival_view.h"
#include "app/align/dial_view.h"
#include "app/plots/curves.h"
#include "app/plots/house_scale.h"
#include "app/plots/plot.h"
#include "app/widgets/controls.h"
#include "app/widgets/flow_layout.h"
#include "app/widgets/quantity_field.h"
#include "app/widgets/still.h"
#include "app/widgets/words.h"
#include "core/edit/front.h"
#include "core/edit/network.h"
#include "core/quantity/air.h"
#include "core/speaker/lobes.h"
#include "core/text/sentence.h"

#include <QComboBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QPushButton>
#include <QScrollArea>
#include <QToolButton>
#include <QVBoxLayout>

#include <algorithm>
#include <cmath>

namespace yf::app {

namespace {

const char* const pageIds[] = {"dial", "angles", "arrival", "helps"};

const quantity::Quantity seatDistance{
    "D", "distance_m", 1.0, "m", 0.3, 30.0, "from the front to the ear"};
const quantity::Quantity axisHeight{
    "y", "axis_m", 1.0, "m", -5.0, 5.0, "listening axis above the middle of the front"};
const quantity::Quantity heightAbove{"h", "height_m", 1.0, "m", 0.0, 5.0, "above the floor"};
const quantity::Quantity edgeOf{"e", "edge_m", 1.0, "m", 0.0, 0.5, "radius or leg of the edge"};

QString decibels(double dB, int digits = 1) {
    return (dB < 0.0 ? QStringLiteral("−") : QString()) +
           figures(text::printFixed(std::abs(dB), digits)) + QChar(0x202F) + QStringLiteral("dB");
}

QString degrees(double radians) {
    const double d = radians / quantity::degree;
    return (d < -0.5 ? QStringLiteral("−") : QString()) +
           figures(text::printFixed(std::abs(d), 0)) + QStringLiteral("°");
}

QString hertz(double f) {
    return figures(text::printEngineering(f, "Hz", 3));
}

QString microseconds(double s) {
    return (s < 0.0 ? QStringLiteral("−") : QString()) +
           figures(text::printFixed(std::abs(s) * 1e6, 0)) + QChar(0x202F) + QStringLiteral("µs");
}

QString millimetres(double s) {
    return figures(text::printFixed(std::abs(s) * quantity::soundSpeed * 1e3, 0)) + QChar(0x202F) +
           QStringLiteral("mm");
}

/// What is made of an effect that a take may or may not hold.
enum class Effect { asTaken, added, takenOff };

Effect effectOf(const QComboBox* box) {
    return static_cast<Effect>(box->currentIndex());
}

void apply(Effect effect, const std::vector<curve::Complex>& H, std::vector<curve::Complex>& p) {
    for (std::size_t k = 0; k < p.size() && effect != Effect::asTaken; ++k) {
        p[k] = effect == Effect::added ? p[k] * H[k] : p[k] / H[k];
    }
}

} // namespace

AlignStage::AlignStage(QWidget* parent) : Stage(parent) {
    setObjectName(QStringLiteral("stage_align"));
    response_ = new Plot(PlotKind::level, QStringLiteral("align_response"), tr("Response"), this);
    tracking_ = new Plot(
        PlotKind::phase, QStringLiteral("align_tracking"), tr("Phase between neighbours"), this);
    dial_ = new DialView(this);
    auto* pictures = new QHBoxLayout;
    pictures->setSpacing(4);
    pictures->addWidget(response_, 5);
    pictures->addWidget(dial_, 3);
    auto* head = new QWidget(this);
    auto* chips = new FlowLayout(head);
    chips->setContentsMargins(0, 0, 0, 0);
    chips->setSpacing(4);
    const QString titles[] = {tr("In step"), tr("From the seat"), tr("Arrival"), tr("What helps")};
    for (int page = dialPage; page <= helpsPage; ++page) {
        auto* tab = chip(
            head, QStringLiteral("align_tab_%1").arg(QLatin1String(pageIds[page])), titles[page]);
        connect(tab, &QToolButton::clicked, this, [this, page] { showPage(page); });
        chips->addWidget(tab);
        tabs_ << tab;
    }
    pairChips_ = new QWidget(this);
    auto* pairRow = new FlowLayout(pairChips_);
    pairRow->setContentsMargins(0, 0, 0, 0);
    pairRow->setSpacing(4);
    auto* top = new QHBoxLayout;
    top->addWidget(head, 3);
    top->addWidget(pairChips_, 2);
    dialBox_ = makeDialPage();
    anglesBox_ = makeAnglesPage();
    arrivalBox_ = makeArrivalPage();
    helps_ = new HelpsPage(this);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(8, 4, 8, 4);
    column->setSpacing(4);
    column->addLayout(pictures, 5);
    column->addLayout(top);
    for (QWidget* box : {dialBox_, anglesBox_, arrivalBox_, static_cast<QWidget*>(helps_)}) {
        column->addWidget(box, 4);
    }
    linkCrosshairs({response_, tracking_});
    connectAll();
    showPage(dialPage);
}

QWidget* AlignStage::makeDialPage() {
    auto* box = new QWidget(this);
    figures_ = stillLabel(box, QStringLiteral("align_figures"));
    wiringSaid_ = stillLabel(box, QStringLiteral("align_wiring"));
    drawAsWired_ = new QPushButton(tr("Draw it as it is wired"), box);
    drawAsWired_->setObjectName(QStringLiteral("align_draw_as_wired"));
    flipLower_ = new QPushButton(box);
    flipLower_->setObjectName(QStringLiteral("align_flip_lower"));
    flipUpper_ = new QPushButton(box);
    flipUpper_->setObjectName(QStringLiteral("align_flip_upper"));
    for (QPushButton* flip : {flipLower_, flipUpper_}) {
        flip->setToolTip(tr("Under the pointer it is drawn; a click does it, and can be undone."));
        flip->installEventFilter(this);
    }
    auto* flips = new QHBoxLayout;
    flips->addWidget(flipLower_);
    flips->addWidget(flipUpper_);
    flips->addStretch(1);
    auto* side = new QVBoxLayout;
    side->setSpacing(6);
    side->addWidget(figures_->parentWidget());
    side->addLayout(flips);
    side->addWidget(wiringSaid_->parentWidget());
    side->addWidget(drawAsWired_, 0, Qt::AlignLeft);
    side->addStretch(1);
    auto* row = new QHBoxLayout(box);
    row->setContentsMargins(0, 0, 0, 0);
    row->addWidget(tracking_, 5);
    row->addLayout(side, 4);
    return box;
}

QWidget* AlignStage::makeAnglesPage() {
    auto* box = new QWidget(this);
    angles_ = new AngleView(box);
    plane_ = narrowCombo(box, QStringLiteral("align_plane"), tr("Plane of the angles"), 12);
    plane_->addItems({tr("up and down"), tr("left and right")});
    const auto field = [box](const quantity::Quantity& q, const char* name, const QString& said) {
        auto* made = quantityField(box, q, text::Unit::metre, QString::fromLatin1(name), said);
        made->setLengths(Lengths::metric);
        return made;
    };
    distance_ = field(seatDistance, "align_distance", tr("Distance of the ear"));
    axis_ = field(axisHeight, "align_axis", tr("Height of the listening axis on the front"));
    axis_->setMayBeEmpty(true);
    stand_ = field(heightAbove, "align_stand", tr("Lower edge of the cabinet above the floor"));
    sitting_ = field(heightAbove, "align_sitting", tr("Ear of who sits, above the floor"));
    standing_ = field(heightAbove, "align_standing", tr("Ear of who stands, above the floor"));
    edge_ = narrowCombo(box, QStringLiteral("align_edge"), tr("Edges of the front"), 10);
    edge_->addItems({tr("sharp"), tr("rounded"), tr("chamfered")});
    edgeSize_ = field(edgeOf, "align_edge_size", tr("Radius or leg of the edges"));
    const auto effect = [&](const char* name, const QString& said, const QString& tip) {
        auto* made = narrowCombo(box, QString::fromLatin1(name), said, 10);
        made->addItems({tr("as taken"), tr("added"), tr("taken off")});
        made->setToolTip(tip);
        return made;
    };
    front_ = effect("align_front",
                    tr("What the front's edges do"),
                    tr("Added: what the front's size and edges would do to drivers whose curves "
                       "were taken in a large wall. Taken off: the other way about, for curves "
                       "taken in this cabinet, which hold it already."));
    floor_ = effect("align_floor",
                    tr("What the floor does"),
                    tr("One reflection from a hard floor, added or taken off. A dip that it makes "
                       "is the room's, not the speaker's; off goes only what a take was not gated "
                       "against."));
    anglesSaid_ = stillLabel(box, QStringLiteral("align_angles_said"));
    auto* controls = new QWidget(box);
    auto* flow = new FlowLayout(controls);
    flow->setContentsMargins(0, 0, 0, 0);
    flow->setSpacing(6);
    flow->addWidget(plane_);
    addLabelled(flow, tr("ear at"), distance_, 92);
    addLabelled(flow, tr("axis at"), axis_, 92);
    addLabelled(flow, tr("stand"), stand_, 86);
    addLabelled(flow, tr("sitting"), sitting_, 86);
    addLabelled(flow, tr("standing"), standing_, 86);
    addLabelled(flow, tr("edges"), edge_, 96);
    addLabelled(flow, tr("of"), edgeSize_, 76);
    addLabelled(flow, tr("front"), front_, 104);
    addLabelled(flow, tr("floor"), floor_, 104);
    // In a low window the words give way, not the fields.
    auto* words = new QScrollArea(box);
    words->setWidgetResizable(true);
    words->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    words->viewport()->setAutoFillBackground(false);
    words->setWidget(anglesSaid_->parentWidget());
    words->widget()->setAutoFillBackground(false);
    words->setFocusPolicy(Qt::NoFocus);
    controls->setSizePolicy(QSizePolicy::Preferred, QSizePolicy::Fixed);
    auto* side = new QVBoxLayout;
    side->addWidget(controls);
    side->addWidget(words, 1);
    auto* row = new QHBoxLayout(box);
    row->setContentsMargins(0, 0, 0, 0);
    row->addWidget(angles_, 5);
    row->addLayout(side, 4);
    return box;
}

QWidget* AlignStage::makeArrivalPage() {
    auto* box = new QWidget(this);
    arrivals_ = new ArrivalView(box);
    arrival_ = stillLabel(box, QStringLiteral("align_arrival"));
    auto* row = new QHBoxLayout(box);
    row->setContentsMargins(0, 0, 0, 0);
    auto* side = new QVBoxLayout;
    side->addWidget(arrival_->parentWidget());
    wantedTakes_ = new QWidget(box);
    auto* buttons = new QVBoxLayout(wantedTakes_);
    buttons->setContentsMargins(0, 0, 0, 0);
    side->addWidget(wantedTakes_);
    side->addStretch(1);
    row->addWidget(arrivals_, 4);
    row->addLayout(side, 5);
    return box;
}

void AlignStage::changeSeat(const std::function<void(job::Seat&)>& change, const char* key) {
    const job::Cabinet* cabinet =
        sight_ ? job::findCabinet(sight_->present->job, cabinet_) : nullptr;
    if (cabinet == nullptr) {
        return;
    }
    job::Seat seat = cabinet->seat;
    change(seat);
    if (!(seat == cabinet->seat)) {
        Q_EMIT edited(edit::changeSeat(cabinet_, seat, std::string("seat ") + key));
        Q_EMIT gestureEnded();
    }
}

void AlignStage::connectAll() {
    connect(response_, &Plot::crosshairMoved, this, [this] { displayDial(); });
    connect(tracking_, &Plot::crosshairMoved, this, [this] { displayDial(); });
    connect(
        dial_, &DialView::flipWanted, this, [this](std::size_t way) { Q_EMIT edited(flip(way)); });
    for (const bool upper : {false, true}) {
        QPushButton* button = upper ? flipUpper_ : flipLower_;
        connect(button, &QPushButton::clicked, this, [this, upper] {
            if (const evaluation::Neighbourhood* n = pair()) {
                const edit::Edit edit = flip(upper ? n->upper : n->lower);
                Q_EMIT previewEnded();
                Q_EMIT edited(edit);
            }
        });
    }
    connect(drawAsWired_, &QPushButton::clicked, this, [this] {
        if (wiring_) {
            Q_EMIT edited(edit::drawAsWired(cabinet_, wiring_->reversed));
        }
    });
    connect(plane_, &QComboBox::currentIndexChanged, this, [this] {
        if (sight_) {
            display(*sight_);
        }
    });
    for (QComboBox* box : {front_, floor_}) {
        connect(box, &QComboBox::currentIndexChanged, this, [this] {
            if (sight_) {
                display(*sight_);
            }
        });
    }
    const auto seat = [this](QuantityField* field, auto member, const char* key) {
        connect(field, &QuantityField::valueChanged, this, [this, field, member, key] {
            changeSeat([&](job::Seat& s) { s.*member = field->value(); }, key);
        });
        tellProblems(field, anglesSaid_);
    };
    seat(distance_, &job::Seat::distance, "distance");
    seat(stand_, &job::Seat::stand, "stand");
    seat(sitting_, &job::Seat::sitting, "sitting");
    seat(standing_, &job::Seat::standing, "standing");
    connect(axis_, &QuantityField::valueChanged, this, [this] {
        changeSeat([&](job::Seat& s) { s.axis = axis_->optionalValue(); }, "axis");
    });
    const auto edges = [this] {
        Q_EMIT edited(edit::changeEdge(
            cabinet_, static_cast<job::FrontEdge>(edge_->currentIndex()), edgeSize_->value()));
    };
    connect(edge_, &QComboBox::activated, this, edges);
    connect(edgeSize_, &QuantityField::valueChanged, this, edges);
    connect(helps_, &HelpsPage::previewed, this, &Stage::previewed);
    connect(helps_, &HelpsPage::previewEnded, this, &Stage::previewEnded);
    connect(helps_, &HelpsPage::edited, this, [this](const edit::Edit& edit) {
        Q_EMIT edited(edit);
        Q_EMIT gestureEnded();
    });
}

void AlignStage::showPage(int page) {
    for (int i = 0; i < tabs_.size(); ++i) {
        tabs_[i]->setChecked(i == page);
    }
    page_ = page;
    dialBox_->setVisible(page == dialPage);
    anglesBox_->setVisible(page == anglesPage);
    arrivalBox_->setVisible(page == arrivalPage);
    helps_->setVisible(page == helpsPage);
    pairChips_->setVisible(page == dialPage || page == anglesPage);
    if (sight_) {
        display(*sight_);
    }
}

void AlignStage::resizeEvent(QResizeEvent* event) {
    // The lower half keeps its share: pages differ in what they would like.
    constexpr double share = 0.44;
    for (QWidget* box : {dialBox_, anglesBox_, arrivalBox_, static_cast<QWidget*>(helps_)}) {
        box->setFixedHeight(static_cast<int>(share * height()));
    }
    Stage::resizeEvent(event);
}

const evaluation::Neighbourhood* AlignStage::pair() const {
    return pair_ >= 0 && pair_ < static_cast<int>(pairs_.size())
               ? &pairs_[static_cast<std::size_t>(pair_)]
               : nullptr;
}

QString AlignStage::nameOf(std::size_t way) const {
    const evaluation::CabinetResult* result = sight_->shownResult();
    const job::Driver* driver = job::findDriver(sight_->shown().job, result->ways[way].driver);
    return words(driver == nullptr ? result->ways[way].name : driver->name);
}

/// Ways of the result are the ends of the circuit in the same order.
edit::Edit AlignStage::flip(std::size_t way) const {
    return edit::reverseDriver(cabinet_, way, nameOf(way).toStdString());
}

QString AlignStage::state(const Sight& sight) const {
    const evaluation::CabinetResult* result = sight.present->evaluation.find(sight.cabinet);
    if (result == nullptr || result->sum.empty()) {
        return tr("nothing yet");
    }
    std::optional<double> depth;
    for (const evaluation::Neighbourhood& n : result->neighbours) {
        if (n.met && n.met->flipGain >= speaker::flipThreshold) {
            return tr("reversed !");
        }
        if (n.met && n.met->inPhase && n.met->nullDepth) {
            depth = std::min(depth.value_or(1e9), *n.met->nullDepth);
        }
    }
    return depth ? tr("null %1").arg(decibels(*depth, 0)) : tr("in quadrature");
}

void AlignStage::choosePair(int index) {
    pair_ = index;
    if (const evaluation::Neighbourhood* n = pair(); n != nullptr && n->met) {
        response_->setCrosshair(n->met->fx);
        tracking_->setCrosshair(n->met->fx);
    }
    if (sight_) {
        display(*sight_);
    }
}

/// One chip for each pair of neighbours.
void AlignStage::offerPairs() {
    if (pairTabs_.size() != static_cast<qsizetype>(pairs_.size())) {
        for (QToolButton* old : pairTabs_) {
            old->hide();
            old->setObjectName({});
            old->deleteLater();
        }
        pairTabs_.clear();
        for (std::size_t i = 0; i < pairs_.size(); ++i) {
            auto* tab = chip(pairChips_, QStringLiteral("align_pair_%1").arg(i), {});
            connect(
                tab, &QToolButton::clicked, this, [this, i] { choosePair(static_cast<int>(i)); });
            pairChips_->layout()->addWidget(tab);
            tab->show();
            pairTabs_ << tab;
        }
    }
    for (int i = 0; i < pairTabs_.size(); ++i) {
        const evaluation::Neighbourhood& n = pairs_[static_cast<std::size_t>(i)];
        const QString at = n.met ? hertz(n.met->fx) : tr("never meet");
        sayStill(pairTabs_[i], tr("%1 and %2, %3").arg(nameOf(n.lower), nameOf(n.upper), at));
        pairTabs_[i]->setChecked(i == pair_);
    }
}

void AlignStage::display(const Sight& sight) {
    const job::Cabinet* cabinet = sight.shownCabinet();
    setEnabled(cabinet != nullptr);
    const bool otherCabinet = sight.cabinet != cabinet_;
    sight_ = sight;
    cabinet_ = sight.cabinet;
    const evaluation::CabinetResult* result = sight.shownResult();
    if (cabinet == nullptr || result == nullptr) {
        return;
    }
    pairs_ = result->neighbours;
    if (pair_ >= static_cast<int>(pairs_.size())) {
        pair_ = 0;
    }
    if (otherCabinet && pair() != nullptr && pair()->met) {
        // The highest crossover first: most goes wrong there.
        pair_ = static_cast<int>(pairs_.size()) - 1;
        if (pair()->met) {
            response_->setCrosshair(pair()->met->fx);
            tracking_->setCrosshair(pair()->met->fx);
        }
    }
    offerPairs();
    displayResponse(sight);
    displayDial();
    if (page_ == dialPage) {
        displayTracking(sight);
        displayFigures(sight);
    } else if (page_ == anglesPage) {
        displayAngles(sight);
    } else if (page_ == arrivalPage) {
        displayArrival(sight);
    }
    helps_->display(sight);
}

void AlignStage::displayResponse(const Sight& sight) {
    const job::Job& job = sight.shown().job;
    const evaluation::CabinetResult& result = *sight.shownResult();
    const job::Cabinet& cabinet = *sight.shownCabinet();
    Picture picture;
    picture.scale = sealedScale(sight.present->job, PlotKind::level);
    if (result.sum.empty()) {
        QStringList said;
        for (const Words& sentence : result.missing) {
            said << spoken(sentence);
        }
        picture.empty = said.isEmpty() ? tr("nothing to show yet") : said.join(QChar(u'\n'));
        response_->display(picture);
        return;
    }
    const auto add = [&](const char* id,
                         const QString& label,
                         const Stroke& stroke,
                         std::span<const curve::Complex> values,
                         const curve::Axis& axis) {
        picture.traces.push_back(
            traceOf({QString::fromLatin1(id), label}, stroke, axis, values, Shown::level));
    };
    if (sight.preview) {
        const evaluation::CabinetResult* present = sight.present->evaluation.find(sight.cabinet);
        if (present != nullptr && !present->sum.empty()) {
            add("present", tr("present"), theme().ghost, present->sum, present->axis);
        }
    } else if (const evaluation::Neighbourhood* n = pair()) {
        add("reversed",
            tr("%1 reversed").arg(nameOf(n->upper)),
            theme().ghost,
            result.ways[n->upper].reversedSum,
            result.axis);
    }
    for (const evaluation::WayResult& way : result.ways) {
        const job::Driver& driver = *job::findDriver(job, way.driver);
        picture.traces.push_back(traceOf({words(way.name), words(way.name)},
                                         strokeOf(driver.band),
                                         result.axis,
                                         way.pressure,
                                         Shown::level));
    }
    Trace sum = traceOf(
        {QStringLiteral("sum"), tr("sum")}, theme().sum, result.axis, result.sum, Shown::level);
    sum.trusted = {result.trusted.begin(), result.trusted.end()};
    picture.traces.push_back(std::move(sum));
    picture.foot = tr("where it was taken");
    if (page_ == anglesPage) {
        constexpr std::size_t stride = 2;
        if (auto all = evaluation::directionsOf(job, cabinet, result, stride)) {
            speaker::Listening seat = all->radiators.listening;
            seat.distance = cabinet.seat.distance;
            const auto bounce = evaluation::floorBounce(job, cabinet, all->radiators.axis);
            const auto at = [&](double ear, const char* id, const QString& label) {
                const speaker::Point listener = speaker::ear(
                    seat, {cabinet.seat.aside, evaluation::elevationOf(job, cabinet, ear)});
                auto each = speaker::pressuresAt(all->radiators, listener, seat.distance);
                if (effectOf(front_) != Effect::asTaken) {
                    const auto H = evaluation::frontEffect(cabinet, *all, listener);
                    for (std::size_t i = 0; i < each.size(); ++i) {
                        apply(effectOf(front_), H[i], each[i]);
                    }
                }
                std::vector<curve::Complex> total(all->radiators.axis.size());
                for (const auto& one : each) {
                    for (std::size_t k = 0; k < total.size(); ++k) {
                        total[k] += one[k];
                    }
                }
                apply(effectOf(floor_), bounce, total);
                Stroke stroke = theme().sum;
                stroke.width = 1.3;
                stroke.pattern = id[0] == 'e' ? QList<qreal>{7.0, 3.0} : QList<qreal>{2.0, 2.5};
                add(id, label, stroke, total, all->radiators.axis);
            };
            at(cabinet.seat.sitting, "ear_sitting", tr("sitting"));
            at(cabinet.seat.standing, "stands", tr("standing"));
            QStringList with{tr("ears at %1 m").arg(cabinet.seat.distance, 0, 'g', 3)};
            if (effectOf(front_) != Effect::asTaken) {
                with << (effectOf(front_) == Effect::added ? tr("front's edges added")
                                                           : tr("front's edges taken off"));
            }
            if (effectOf(floor_) != Effect::asTaken) {
                with << (effectOf(floor_) == Effect::added ? tr("floor added")
                                                           : tr("floor taken off"));
            }
            picture.foot = with.join(QStringLiteral(", "));
        }
    }
    if (result.corridor) {
        const job::Target& target = cabinet.target;
        picture.corridor = Corridor{target.from,
                                    target.to,
                                    result.corridor->level - target.tolerance,
                                    result.corridor->level + target.tolerance};
        picture.corridorTrace = QStringLiteral("sum");
    }
    response_->display(picture);
}

void AlignStage::displayTracking(const Sight& sight) {
    const evaluation::CabinetResult& result = *sight.shownResult();
    Picture picture;
    picture.scale = sealedScale(sight.present->job, PlotKind::phase);
    if (pairs_.empty()) {
        picture.empty = tr("two ways with responses are needed");
        tracking_->display(picture);
        return;
    }
    for (std::size_t i = 0; i < pairs_.size(); ++i) {
        const evaluation::Neighbourhood& n = pairs_[i];
        const job::Driver& upper = *job::findDriver(sight.shown().job, result.ways[n.upper].driver);
        Trace trace{.id = QStringLiteral("pair_%1").arg(i),
                    .label = tr("%1 re %2").arg(nameOf(n.upper), nameOf(n.lower)),
                    .stroke = strokeOf(upper.band)};
        for (std::size_t k = 0; k < result.axis.size(); ++k) {
            trace.frequencies << result.axis[k];
            trace.values << n.difference[k] / quantity::degree;
            trace.trusted << n.overlap[k];
        }
        if (static_cast<int>(i) == pair_) {
            trace.stroke.width = 2.6;
        }
        picture.traces.push_back(std::move(trace));
        if (n.met && static_cast<int>(i) == pair_) {
            constexpr double inStep = speaker::inStep / quantity::degree;
            picture.corridor = Corridor{n.met->fx / 2.0, 2.0 * n.met->fx, -inStep, inStep};
            picture.corridorTrace = picture.traces.back().id;
        }
    }
    picture.foot = tr("solid where levels are within 10 dB; the band is ±30°, 0.3 dB of loss");
    tracking_->display(picture);
}

void AlignStage::displayDial() {
    if (!sight_ || sight_->shownResult() == nullptr) {
        return;
    }
    const evaluation::CabinetResult& result = *sight_->shownResult();
    DialView::Shown shown{
        .state = study::dialAt(result, response_->crosshair()), .strokes = {}, .names = {}};
    for (const evaluation::WayResult& way : result.ways) {
        const job::Driver* driver = job::findDriver(sight_->shown().job, way.driver);
        shown.strokes << strokeOf(driver == nullptr ? job::Band::low : driver->band);
        shown.names << words(way.name);
    }
    shown.upright = pair() != nullptr ? pair()->lower : 0;
    dial_->display(shown);
}

void AlignStage::displayFigures(const Sight& sight) {
    const evaluation::Neighbourhood* n = pair();
    wiring_ = sight.shownResult()->wiring;
    flipLower_->setVisible(n != nullptr);
    flipUpper_->setVisible(n != nullptr);
    if (n == nullptr) {
        figures_->setText(tr("Two ways with responses are needed to see how they go together."));
    } else if (!n->met) {
        sayStill(flipLower_, tr("Reverse %1").arg(nameOf(n->lower)));
        sayStill(flipUpper_, tr("Reverse %1").arg(nameOf(n->upper)));
        figures_->setText(tr("%1 and %2 never meet: no frequency at which the one takes over from "
                             "the other.")
                              .arg(nameOf(n->lower), nameOf(n->upper)));
    } else {
        sayStill(flipLower_, tr("Reverse %1").arg(nameOf(n->lower)));
        sayStill(flipUpper_, tr("Reverse %1").arg(nameOf(n->upper)));
        const speaker::Crossover& x = *n->met;
        QStringList said;
        said << tr("They meet at %1: phase %2, delay difference %3, %4 lost against both in step.")
                    .arg(hertz(x.fx),
                         degrees(x.difference),
                         microseconds(n->groupDelay),
                         decibels(n->loss, 2));
        if (x.flipGain >= speaker::flipThreshold) {
            said << tr("▲ Reversing one raises the octave around %1 by %2: this dip is wiring, not "
                       "design. A 1.5 V cell at the terminals confirms it.")
                        .arg(hertz(x.fx), decibels(x.flipGain));
        } else if (x.flipGain <= -speaker::flipThreshold) {
            said << tr("✓ The polarity is right: reversing one would cost the octave %1.")
                        .arg(decibels(-x.flipGain));
        } else {
            said << tr("● In quadrature: reversing one changes the octave by %1 only. Choose by "
                       "where the lobe goes, and by group delay.")
                        .arg(decibels(x.flipGain));
        }
        if (x.inPhase && x.nullDepth && n->bounds) {
            said << tr("Reversed, the null would be %1 deep at %2 (%3): at most %4 of phase or %5 "
                       "of level are wrong.")
                        .arg(decibels(*x.nullDepth, 0),
                             hertz(*x.notch),
                             spoken(speaker::judgeDepth(*x.nullDepth)),
                             degrees(n->bounds->phase),
                             decibels(n->bounds->level));
        }
        said << tr("Over the overlap the phase spreads by %1.").arg(degrees(x.phaseSpread));
        figures_->setText(said.join(QChar(u'\n')));
    }
    drawAsWired_->setVisible(wiring_ && wiring_->ofThisNetwork && speaker::isWrong(wiring_->found));
    if (wiring_ && !wiring_->networkKnown) {
        wiringSaid_->setText(tr("Which network the cabinet's own take %1 is of was not noted: take "
                                "it anew, and the wiring as it is can be told from the wiring as "
                                "it is drawn.")
                                 .arg(words(wiring_->take)));
    } else if (wiring_ && !wiring_->ofThisNetwork) {
        wiringSaid_->setText(tr("The cabinet's own take %1 is of another network than the one "
                                "drawn now: take it anew, and the wiring as it is can be told "
                                "from the wiring as it is drawn.")
                                 .arg(words(wiring_->take)));
    } else if (!wiring_) {
        wiringSaid_->setText(tr("No take of the whole cabinet on its axis yet: with one, the "
                                "wiring as it is can be told from the wiring as it is drawn."));
    } else if (speaker::isWrong(wiring_->found)) {
        QStringList names;
        for (const std::string& id : wiring_->reversed) {
            const job::Driver* driver = job::findDriver(sight.shown().job, id);
            names << words(driver == nullptr ? id : driver->name);
        }
        wiringSaid_->setText(
            tr("▲ The cabinet's own take %1 is that of %2 the other way round than drawn: %3 at "
               "%4, confidence %5 %. Check with a battery.")
                .arg(words(wiring_->take),
                     names.join(QStringLiteral(", ")),
                     decibels(wiring_->found.hole),
                     hertz(wiring_->found.fx))
                .arg(100.0 * wiring_->found.confidence, 0, 'f', 0));
    } else {
        wiringSaid_->setText(wiring_->found.confidence > 0.0
                                 ? tr("✓ The cabinet's own take %1 agrees with the wiring as it is "
                                      "drawn.")
                                       .arg(words(wiring_->take))
                                 : tr("● The cabinet's own take %1 does not tell the wirings "
                                      "apart.")
                                       .arg(words(wiring_->take)));
    }
}

void AlignStage::displayAngles(const Sight& sight) {
    const job::Job& job = sight.shown().job;
    const job::Cabinet& cabinet = *sight.shownCabinet();
    const evaluation::CabinetResult& result = *sight.shownResult();
    distance_->offer(cabinet.seat.distance);
    axis_->offer(cabinet.seat.axis);
    stand_->offer(cabinet.seat.stand);
    sitting_->offer(cabinet.seat.sitting);
    standing_->offer(cabinet.seat.standing);
    edge_->setCurrentIndex(static_cast<int>(cabinet.edge));
    edgeSize_->offer(cabinet.edgeSize);
    edgeSize_->setEnabled(cabinet.edge != job::FrontEdge::sharp);
    constexpr std::size_t stride = 6; // an eighth of an octave
    const auto all = evaluation::directionsOf(job, cabinet, result, stride);
    AngleView::Shown shown;
    if (!all) {
        angles_->display(shown);
        anglesSaid_->setText(tr("Responses of every driver are needed."));
        return;
    }
    const auto plane = static_cast<quantity::Plane>(1 - plane_->currentIndex());
    constexpr int stepDegrees = 3;
    constexpr int widest = 90;
    shown.map = std::make_shared<evaluation::AngleMap>(
        evaluation::mapOf(*all, cabinet.seat, plane, stepDegrees, widest));
    if (plane == quantity::Plane::vertical) {
        shown.ears = {
            {evaluation::elevationOf(job, cabinet, cabinet.seat.sitting), tr("sitting")},
            {evaluation::elevationOf(job, cabinet, cabinet.seat.standing), tr("standing")}};
    }
    QStringList said;
    for (const evaluation::Neighbourhood& n : pairs_) {
        if (!n.met) {
            continue;
        }
        shown.crossovers << n.met->fx;
        const auto taken = [&](std::size_t way) {
            const auto& one = all->radiators.of[way];
            return speaker::Taken{one.place, *one.takenAt};
        };
        const auto lobes =
            speaker::lobesOf(taken(n.lower), taken(n.upper), n.met->difference, plane, n.met->fx);
        for (const double null : lobes.nulls) {
            shown.nulls << qMakePair(n.met->fx, null);
        }
        const double wavelengths = lobes.spacing * n.met->fx / quantity::soundSpeed;
        said << tr("%1 and %2 are %3 wavelengths apart%4.")
                    .arg(nameOf(n.lower), nameOf(n.upper))
                    .arg(figures(text::printFixed(wavelengths, 2)),
                         wavelengths > speaker::wideSpacing ? tr(" (▲ over 1.2: nulls inside 25°)")
                                                            : QString());
        if (lobes.peak && !lobes.nulls.empty()) {
            said.back() += u' ' + tr("The lobe points to %1.").arg(degrees(*lobes.peak));
        }
    }
    const bool modelled = std::ranges::find(all->measured, false) != all->measured.end();
    said << (modelled ? (all->areaGuessed
                             ? tr("● Sides by the model of a stiff piston, cone areas guessed from "
                                  "the diameter.")
                             : tr("● Sides by the model of a stiff piston."))
                      : tr("✓ Sides as they were taken."));
    if (const auto side = study::sideAdvice(job, cabinet, result)) {
        said << (side->preferInside
                     ? tr("Drivers off the middle: better towards the listener (%1 against %2 rms "
                          "about the crossover).")
                           .arg(decibels(side->inside), decibels(side->outside))
                     : tr("Drivers off the middle: better on the outer side (%1 against %2 rms "
                          "about the crossover).")
                           .arg(decibels(side->outside), decibels(side->inside)));
    }
    said << tr("Drag a driver on the Front: everything follows.");
    anglesSaid_->setText(said.join(QChar(u'\n')));
    angles_->display(shown);
}

void AlignStage::displayArrival(const Sight& sight) {
    const auto all =
        study::arrivals(sight.shown().job, *sight.shownCabinet(), *sight.shownResult());
    QStringList said;
    for (const study::ArrivalStudy& study : all) {
        said << tr("%1 after %2, at %3:")
                    .arg(nameOf(study.upper), nameOf(study.lower), hertz(study.fx));
        for (const study::Arrival& way : study.ways) {
            using Method = study::Arrival::Method;
            const QString method = way.method == Method::common ? tr("common time reference")
                                   : way.method == Method::threeTakes
                                       ? tr("three takes")
                                       : tr("depth of the drivers (rule of thumb)");
            said << (way.delay ? tr("    %1: %2 ± %3, %4 of way, %5 at the crossover%6")
                                     .arg(method,
                                          microseconds(*way.delay),
                                          microseconds(2.0 * way.u),
                                          millimetres(*way.delay),
                                          degrees(2.0 * 3.14159265358979 * study.fx * *way.delay),
                                          way.ambiguous ? tr("; ▲ ambiguous") : QString())
                               : tr("    %1: – needs %2").arg(method, spoken(way.missing)));
        }
        if (!study.advice.empty()) {
            said << QStringLiteral("    ● ") + spoken(study.advice);
        }
    }
    QStringList pairs;
    for (const study::ArrivalStudy& study : all) {
        pairs << tr("%1 after %2").arg(nameOf(study.upper), nameOf(study.lower));
    }
    arrivals_->display(all, pairs);
    offerTakes(all);
    arrival_->setText(said.isEmpty() ? tr("No two neighbours meet yet: nothing can arrive earlier "
                                          "or later.")
                                     : said.join(QChar(u'\n')));
}

/// The take that would settle each pair, a press away.
void AlignStage::offerTakes(const std::vector<study::ArrivalStudy>& all) {
    std::vector<study::TakeWanted> wanted;
    for (const study::ArrivalStudy& study : all) {
        if (study.wanted) {
            wanted.push_back(*study.wanted);
        }
    }
    if (wanted == offered_) {
        return;
    }
    offered_ = wanted;
    qDeleteAll(wantedTakes_->findChildren<QToolButton*>());
    for (const study::TakeWanted& take : wanted) {
        const auto name = [&](const std::string& id) {
            return words(job::findDriver(sight_->present->job, id)->name);
        };
        auto* press = new QToolButton(wantedTakes_);
        press->setObjectName(QStringLiteral("align_record_") + words(take.driver));
        press->setText(
            take.also.empty()
                ? tr("Record %1").arg(name(take.driver))
                : tr("Record %1 and %2 together").arg(name(take.driver), name(take.also)));
        connect(press, &QToolButton::clicked, this, [this, take] {
            Q_EMIT driverWanted(words(take.driver));
            Place place{.stage = QStringLiteral("measure"), .page = QStringLiteral("next")};
            if (!take.also.empty()) {
                place.subjects << words(take.also);
            }
            Q_EMIT placeWanted(place);
        });
        wantedTakes_->layout()->addWidget(press);
    }
}

bool AlignStage::go(const Place& place) {
    for (int page = dialPage; page <= helpsPage; ++page) {
        if (place.page == QLatin1String(pageIds[page])) {
            showPage(page);
            return true;
        }
    }
    if (place.page == QLatin1String("plane")) {
        showPage(anglesPage);
        plane_->setCurrentIndex(place.subject() == QLatin1String("horizontal") ? 1 : 0);
        return true;
    }
    if (!place.page.isEmpty()) {
        return false;
    }
    if (place.frequency) {
        const double f = *place.frequency;
        for (std::size_t i = 0; i < pairs_.size(); ++i) {
            if (pairs_[i].met && std::abs(std::log2(pairs_[i].met->fx / f)) < 0.2) {
                choosePair(static_cast<int>(i));
            }
        }
        response_->setCrosshair(f);
        Q_EMIT response_->crosshairMoved(f);
    }
    response_->setFocus();
    return true;
}

} // namespace yf::app
