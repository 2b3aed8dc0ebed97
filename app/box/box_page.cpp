// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/box/box_page.h"

#include "app/box/cutaway.h"
#include "app/plots/plot.h"
#include "app/widgets/controls.h"
#include "app/widgets/flow_layout.h"
#include "app/widgets/labels.h"
#include "app/widgets/notice.h"
#include "app/widgets/quantity_field.h"
#include "app/widgets/words.h"
#include "core/box/port_swap.h"
#include "core/job/box_edit.h"
#include "core/text/sentence.h"

#include <QCheckBox>
#include <QComboBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QPushButton>
#include <QSignalBlocker>
#include <QSpinBox>
#include <QStackedWidget>
#include <QToolButton>

namespace yf::app {

namespace {

namespace q = yf::quantity;

const q::Quantity bore{"d", "diameter_m", 1.0, "m", 0.01, 0.4, "of the tube, narrowest"};
const q::Quantity tubeLength{"L", "length_m", 1.0, "m", 0.001, 2.0, "over all"};
const q::Quantity slotSize{"", "slot_m", 1.0, "m", 0.002, 2.0, "of the slot"};
const q::Quantity place{"", "place_m", 1.0, "m", 0.0, 5.0, "of its axis above the clear floor"};
const q::Quantity watts{"P", "power_w", 1.0, "W", 1e-3, 1e5, "into Re"};
const q::Quantity frontRoom{"", "front_share", 0.01, "", 2.0, 98.0, "of the volume, %"};
const q::Quantity radiatorArea{"Sd", "Sd_cm2", 1e-4, "", 1.0, 5000.0, "of one radiator, cm²"};
const q::Quantity radiatorVas{"Vas", "Vas_l", 1e-3, "", 0.01, 10000.0, "of one radiator, l"};
const q::Quantity radiatorMass{"m", "mass_g", 1e-3, "", 0.0, 10000.0, "added to each, g"};
const q::Quantity rounding{"R", "flare_m", 1.0, "m", 0.0, 0.1, "rounding at the mouth"};

} // namespace

BoxPage::BoxPage(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("box_page"));
    cutaway_ = new Cutaway(this);
    response_ = new Plot(PlotKind::level, QStringLiteral("box_response"), tr("Response"), this);
    curves_ =
        narrowCombo(this, QStringLiteral("box_curve"), tr("What the second picture shows"), 14);
    curves_->addItems({tr("cone's travel"),
                       tr("air in the port"),
                       tr("group delay"),
                       tr("impedance"),
                       tr("loudest possible")});
    sentence_ = wrappedLabel(this, QStringLiteral("box_sentence"));
    sentence_->setMinimumHeight(84);
    sentence_->setAlignment(Qt::AlignTop);
    volumes_ = wrappedLabel(this, QStringLiteral("box_volumes"));
    summary_ = wrappedLabel(this, QStringLiteral("box_summary"));
    doubt_ = wrappedLabel(this, QStringLiteral("box_doubt"));
    notice_ = new Notice(this);
    notice_->setObjectName(QStringLiteral("box_notice"));
    buildMotion();
    buildFields();

    auto* motion = new QHBoxLayout;
    motion->addWidget(play_);
    motion->addWidget(slow_);
    motion->addStretch(1);
    auto* left = new QVBoxLayout;
    left->setSpacing(4);
    left->addWidget(cutaway_, 1);
    left->addLayout(motion);
    left->addWidget(sentence_);
    auto* right = new QVBoxLayout;
    right->setSpacing(4);
    right->addWidget(summary_);
    right->addWidget(response_, 3);
    auto* which = new QHBoxLayout;
    which->addWidget(curves_);
    which->addWidget(volumes_, 1);
    right->addLayout(which);
    pile_ = new QStackedWidget(this);
    for (int i = 0; i < curves_->count(); ++i) {
        auto* plot = new Plot(kindOf(static_cast<BoxCurve>(i)),
                              QStringLiteral("box_second_%1").arg(i),
                              curves_->itemText(i),
                              this);
        seconds_.push_back(plot);
        pile_->addWidget(plot);
        connect(plot, &Plot::crosshairMoved, this, &BoxPage::follow);
    }
    right->addWidget(pile_, 3);
    right->addWidget(portFields_);
    right->addWidget(doubt_);
    right->addWidget(notice_);
    auto* both = new QHBoxLayout(this);
    both->setContentsMargins(0, 0, 0, 0);
    both->setSpacing(8);
    both->addLayout(left, 2);
    both->addLayout(right, 5);
    linkCrosshairs(QVector<Plot*>{response_} + seconds_);
    connect(response_, &Plot::crosshairMoved, this, &BoxPage::follow);
    connect(curves_, &QComboBox::currentIndexChanged, this, [this](int index) {
        showCurve(static_cast<BoxCurve>(index));
    });
    connect(cutaway_, &Cutaway::enclosureDragged, this, [this](const job::Enclosure& e) {
        Q_EMIT edited(job::changeBox(cabinet_, e, "Drag in the section", "box-drag"));
    });
    connect(cutaway_, &Cutaway::depthDragged, this, [this](double depth) {
        Q_EMIT edited(job::sizeCabinet(cabinet_, {.depth = depth}, "box-depth"));
    });
    connect(cutaway_, &Cutaway::released, this, &BoxPage::gestureEnded);
}

void BoxPage::buildMotion() {
    play_ = new QToolButton(this);
    play_->setObjectName(QStringLiteral("box_play"));
    play_->setCheckable(true);
    play_->setMinimumHeight(28);
    slow_ = new QCheckBox(tr("slower"), this);
    slow_->setObjectName(QStringLiteral("box_slow"));
    const auto name = [this](bool playing) {
        play_->setText(playing ? tr("Pause") : tr("Play"));
        play_->setAccessibleName(playing ? tr("Pause cone and air") : tr("Let cone and air move"));
        const QSignalBlocker quiet(play_);
        play_->setChecked(playing);
    };
    name(cutaway_->playing());
    connect(play_, &QToolButton::toggled, cutaway_, &Cutaway::setPlaying);
    connect(cutaway_, &Cutaway::playingChanged, this, name);
    connect(slow_, &QCheckBox::toggled, cutaway_, &Cutaway::setSlow);
}

void BoxPage::buildFields() {
    portFields_ = new QWidget(this);
    auto* flow = new FlowLayout(portFields_);
    flow->setContentsMargins(0, 0, 0, 0);
    flow->setSpacing(6);
    const auto labelled = [flow](const QString& text, QWidget* widget, int width) {
        return addLabelled(flow, text, widget, width);
    };
    const auto field = [this](const q::Quantity& quantity,
                              text::Unit unit,
                              const char* name,
                              const QString& accessible) {
        auto* f = new QuantityField(quantity, unit, portFields_);
        f->setObjectName(QLatin1String(name));
        f->setAccessibleName(accessible);
        connect(f, &QuantityField::problemChanged, this, [this](const QString& problem) {
            problem.isEmpty() ? notice_->clear() : notice_->tell(Gravity::mind, problem);
        });
        return f;
    };
    diameter_ = field(bore, text::Unit::metre, "box_port_diameter", tr("Port's diameter"));
    length_ = field(tubeLength, text::Unit::metre, "box_port_length", tr("Port's length"));
    tuning_ = field(q::fb, text::Unit::hertz, "box_tuning", tr("Tuning of the box"));
    flare_ = field(rounding, text::Unit::metre, "box_port_flare", tr("Rounding of its mouth"));
    drive_ = field(q::voltage, text::Unit::volt, "box_drive", tr("Drive"));
    power_ = field(watts, text::Unit::watt, "box_power", tr("Drive as power into Re"));
    slotWidth_ = field(slotSize, text::Unit::metre, "box_slot_width", tr("Slot's width"));
    slotHeight_ = field(slotSize, text::Unit::metre, "box_slot_height", tr("Slot's height"));
    portPlace_ =
        field(place, text::Unit::metre, "box_port_place", tr("Port's height above the floor"));
    share_ = field(frontRoom, text::Unit::none, "box_front_share", tr("Front chamber's share"));
    which_ = narrowCombo(portFields_, QStringLiteral("box_port_which"), tr("Which port"), 4);
    shape_ = narrowCombo(portFields_, QStringLiteral("box_port_shape"), tr("Shape of the port"), 5);
    shape_->addItems({tr("round"), tr("slot")});
    const auto button = [this](const char* name, const QString& text, const QString& accessible) {
        auto* b = new QToolButton(portFields_);
        b->setObjectName(QLatin1String(name));
        b->setText(text);
        b->setAccessibleName(accessible);
        b->setToolTip(accessible);
        b->setMinimumSize(28, 28);
        return b;
    };
    another_ = button("box_port_more", QStringLiteral("+"), tr("Another port"));
    fewer_ = button("box_port_fewer", QStringLiteral("−"), tr("Take this port away"));
    count_ = new QSpinBox(portFields_);
    count_->setObjectName(QStringLiteral("box_port_count"));
    count_->setAccessibleName(tr("Ports alike"));
    constexpr int most = 16;
    count_->setRange(1, most);
    side_ =
        narrowCombo(portFields_, QStringLiteral("box_port_side"), tr("Where the port leads"), 5);
    side_->addItems({tr("front"), tr("back")});
    bent_ = new QCheckBox(tr("bent"), portFields_);
    bent_->setObjectName(QStringLiteral("box_port_bent"));
    fill_ = narrowCombo(portFields_, QStringLiteral("box_fill"), tr("Filling"), 7);
    fill_->addItems({tr("none"), tr("lined"), tr("half"), tr("full")});
    newDiameter_ = field(bore, text::Unit::metre, "box_swap_diameter", tr("New port's diameter"));
    newFlare_ = field(rounding, text::Unit::metre, "box_swap_flare", tr("New port's rounding"));
    newLength_ = new QLabel(portFields_);
    newLength_->setObjectName(QStringLiteral("box_swap_length"));
    swap_ = new QPushButton(tr("Swap"), portFields_);
    swap_->setObjectName(QStringLiteral("box_swap"));
    swap_->setToolTip(
        tr("Another tube in its place, the tuning kept, what it displaces included."));

    constexpr int small = 64;
    constexpr int medium = 84;
    labelled(tr("drive"), drive_, small + 8);
    labelled(QStringLiteral("="), power_, small + 8);
    labelled(tr("filling"), fill_, medium);
    labelled(tr("in front, %"), share_, small);
    labelled(tr("port"), which_, 56);
    flow->addWidget(another_);
    flow->addWidget(fewer_);
    flow->addWidget(shape_);
    labelled(QStringLiteral("d"), diameter_, medium);
    labelled(QStringLiteral("w"), slotWidth_, medium);
    labelled(QStringLiteral("h"), slotHeight_, small + 8);
    labelled(tr("length"), length_, medium);
    labelled(tr("tuned"), tuning_, medium);
    labelled(tr("rounded"), flare_, medium);
    labelled(QStringLiteral("×"), count_, small);
    labelled(tr("through"), side_, medium);
    labelled(tr("at height"), portPlace_, medium);
    flow->addWidget(bent_);
    buildRadiator(labelled);
    labelled(tr("swap for d"), newDiameter_, medium);
    labelled(tr("rounded"), newFlare_, medium);
    flow->addWidget(newLength_);
    flow->addWidget(swap_);

    connectPort();
    connect(fill_, &QComboBox::currentIndexChanged, this, [this](int index) {
        change([index](job::Enclosure& e) { e.fill = static_cast<job::Fill>(index); }, {});
    });
    connect(drive_, &QuantityField::valueChanged, this, [this](double v) {
        change([v](job::Enclosure& e) { e.voltage = v; }, QStringLiteral("box-drive"));
    });
    connect(power_, &QuantityField::valueChanged, this, [this](double P) {
        if (const job::BoxResult* box = result()) {
            const double Re = box::motorOf(box->known.driver, {}).Re;
            change([P, Re](job::Enclosure& e) { e.voltage = std::sqrt(P * Re); }, {});
        }
    });
    connect(share_, &QuantityField::valueChanged, this, [this](double share) {
        change([share](job::Enclosure& e) { e.frontShare = share; }, {});
    });
    connect(tuning_, &QuantityField::valueChanged, this, &BoxPage::tune);
    connect(newDiameter_, &QuantityField::valueChanged, this, &BoxPage::tellSwap);
    connect(newFlare_, &QuantityField::valueChanged, this, &BoxPage::tellSwap);
    connect(swap_, &QPushButton::clicked, this, &BoxPage::swap);
}

void BoxPage::connectPort() {
    const auto change_ = [this](auto&& how, const char* key) {
        change(
            [how, at = this->port()](job::Enclosure& e) {
                if (at < e.ports.size()) {
                    how(e.ports[at]);
                }
            },
            QLatin1String(key));
    };
    connect(diameter_, &QuantityField::valueChanged, this, [change_](double v) {
        change_([v](job::PortIn& p) { p.port.diameter = v; }, "box-port-d");
    });
    connect(length_, &QuantityField::valueChanged, this, [change_](double v) {
        change_([v](job::PortIn& p) { p.length = v; }, "box-port-length");
    });
    connect(flare_, &QuantityField::valueChanged, this, [change_](double v) {
        change_([v](job::PortIn& p) { p.port.flareOuter = v; }, "box-port-flare");
    });
    connect(count_, &QSpinBox::valueChanged, this, [change_](int n) {
        change_([n](job::PortIn& p) { p.port.count = n; }, "box-port-count");
    });
    connect(side_, &QComboBox::currentIndexChanged, this, [change_](int index) {
        change_([index](job::PortIn& p) { p.side = static_cast<job::PortWall>(index); }, "");
    });
    connect(bent_, &QCheckBox::toggled, this, [change_](bool bent) {
        change_([bent](job::PortIn& p) { p.bent = bent; }, "");
    });
    connect(shape_, &QComboBox::currentIndexChanged, this, [change_](int index) {
        change_(
            [index](job::PortIn& p) {
                p.port.shape = static_cast<box::PortShape>(index);
                if (p.port.shape == box::PortShape::slot && !(p.port.width > 0.0)) {
                    // The same area, four times as wide as high.
                    p.port.height = 0.5 * std::sqrt(box::Port{.diameter = p.port.diameter}.area());
                    p.port.width = 4.0 * p.port.height;
                    p.port.flareOuter = p.port.flareInner = 0.0;
                } else if (p.port.shape == box::PortShape::round && !(p.port.diameter > 0.0)) {
                    p.port.diameter =
                        std::sqrt(4.0 / std::numbers::pi * p.port.width * p.port.height);
                }
            },
            "");
    });
    connect(slotWidth_, &QuantityField::valueChanged, this, [change_](double v) {
        change_([v](job::PortIn& p) { p.port.width = v; }, "box-slot-w");
    });
    connect(slotHeight_, &QuantityField::valueChanged, this, [change_](double v) {
        change_([v](job::PortIn& p) { p.port.height = v; }, "box-slot-h");
    });
    connect(portPlace_, &QuantityField::valueChanged, this, [change_](double v) {
        change_([v](job::PortIn& p) { p.height = v; }, "box-port-place");
    });
    connect(which_, &QComboBox::currentIndexChanged, this, [this] {
        if (!filling_) {
            showPort();
        }
    });
    connect(another_, &QToolButton::clicked, this, [this] {
        change(
            [at = port()](job::Enclosure& e) {
                job::PortIn twin = e.ports.at(at);
                twin.height += 0.12;
                e.ports.push_back(twin);
            },
            {});
    });
    connect(fewer_, &QToolButton::clicked, this, [this] {
        change(
            [at = port()](job::Enclosure& e) {
                if (e.ports.size() > 1) {
                    e.ports.erase(e.ports.begin() + static_cast<std::ptrdiff_t>(at));
                }
            },
            {});
    });
}

std::size_t BoxPage::port() const {
    return static_cast<std::size_t>(std::max(which_->currentIndex(), 0));
}

void BoxPage::buildRadiator(
    const std::function<QWidget*(const QString&, QWidget*, int)>& labelled) {
    struct Row {
        const q::Quantity& quantity;
        text::Unit unit;
        const char* name;
        QString label;
        QString accessible;
        double job::RadiatorIn::*member;
    };

    const Row rows[] = {{radiatorArea,
                         text::Unit::none,
                         "box_pr_Sd",
                         tr("Sd, cm²"),
                         tr("Radiator's area, cm²"),
                         &job::RadiatorIn::Sd},
                        {q::fs,
                         text::Unit::hertz,
                         "box_pr_fs",
                         tr("its fs"),
                         tr("Radiator's own resonance"),
                         &job::RadiatorIn::fs},
                        {radiatorVas,
                         text::Unit::none,
                         "box_pr_Vas",
                         tr("Vas, l"),
                         tr("Radiator's equivalent volume, l"),
                         &job::RadiatorIn::Vas},
                        {q::Qms,
                         text::Unit::none,
                         "box_pr_Qms",
                         QStringLiteral("Qms"),
                         tr("Radiator's mechanical Q"),
                         &job::RadiatorIn::Qms},
                        {radiatorMass,
                         text::Unit::none,
                         "box_pr_mass",
                         tr("added, g"),
                         tr("Mass added to each radiator, g"),
                         &job::RadiatorIn::addedMass}};
    for (const Row& row : rows) {
        auto* f = new QuantityField(row.quantity, row.unit, portFields_);
        f->setObjectName(QLatin1String(row.name));
        f->setAccessibleName(row.accessible);
        constexpr int wide = 72;
        labelled(row.label, f, wide);
        connect(f, &QuantityField::valueChanged, this, [this, member = row.member](double v) {
            change([member, v](job::Enclosure& e) { e.radiator.*member = v; }, {});
        });
        radiator_ << f;
    }
    radiators_ = new QSpinBox(portFields_);
    radiators_->setObjectName(QStringLiteral("box_pr_count"));
    radiators_->setAccessibleName(tr("Radiators alike"));
    constexpr int most = 8;
    radiators_->setRange(1, most);
    labelled(tr("radiators"), radiators_, 56);
    connect(radiators_, &QSpinBox::valueChanged, this, [this](int n) {
        change([n](job::Enclosure& e) { e.radiator.count = n; }, {});
    });
}

void BoxPage::change(const std::function<void(job::Enclosure&)>& how, const QString& key) {
    if (filling_) {
        return;
    }
    job::Enclosure e = enclosure_;
    how(e);
    if (e == enclosure_) {
        return;
    }
    Q_EMIT edited(job::changeBox(cabinet_, e, "Change the box", key.toStdString()));
    Q_EMIT gestureEnded();
}

void BoxPage::tune(double fb) {
    if (filling_ || !evaluated_) {
        return;
    }
    const job::Job& job = evaluated_->job;
    const auto length = job::lengthFor(job, *job::findCabinet(job, cabinet_), enclosure_, fb);
    if (!length) {
        notice_->tell(Gravity::mind, spoken(text::sentence(length.error())));
        return;
    }
    notice_->clear();
    change([L = *length](job::Enclosure& e) { e.ports.front().length = L; }, {});
}

job::PortIn BoxPage::swapped() const {
    job::PortIn made = enclosure_.ports.front();
    made.port.shape = box::PortShape::round;
    made.port.diameter = newDiameter_->value();
    made.port.flareOuter = newFlare_->value();
    return made;
}

void BoxPage::tellSwap() {
    swap_->setEnabled(false);
    newLength_->clear();
    if (enclosure_.ports.empty() || !evaluated_ || !(newDiameter_->value() > 0.0)) {
        return;
    }
    const job::Job& job = evaluated_->job;
    const job::PortIn& old = enclosure_.ports.front();
    const auto exact =
        job::swappedLength(job, *job::findCabinet(job, cabinet_), enclosure_, swapped());
    if (!exact) {
        newLength_->setText(tr("▲ no length keeps the tuning"));
        return;
    }
    const double k = swapped().port.totalArea() / old.port.totalArea();
    newLength_->setText(tr("→ %1").arg(centimetres(*exact)));
    constexpr double workshop = 0.732;
    newLength_->setToolTip(
        tr("exact, with all it displaces: %1\nby the workshop's 0.732 d for both ends: %2\nby the "
           "areas alone: %3")
            .arg(centimetres(*exact),
                 centimetres((old.length + workshop * old.port.diameter) * k -
                             workshop * newDiameter_->value()),
                 centimetres(old.length * k)));
    swap_->setEnabled(true);
}

void BoxPage::swap() {
    Q_EMIT edited(job::swapPort(cabinet_, enclosure_.driver, swapped()));
}

void BoxPage::showCurve(BoxCurve curve) {
    curve_ = curve;
    const QSignalBlocker quiet(curves_);
    curves_->setCurrentIndex(static_cast<int>(curve));
    pile_->setCurrentIndex(static_cast<int>(curve));
    if (const job::BoxResult* box = result()) {
        const Sight sight{.present = evaluated_};
        const job::Cabinet& cabinet = *job::findCabinet(evaluated_->job, cabinet_);
        seconds_[pile_->currentIndex()]->display(
            boxCurve({sight, cabinet, enclosure_, *box}, curve_));
    }
}

const job::BoxResult* BoxPage::result() const {
    const job::CabinetResult* result = evaluated_ ? evaluated_->evaluation.find(cabinet_) : nullptr;
    const job::BoxResult* box = result == nullptr ? nullptr : result->box(enclosure_.driver);
    return box != nullptr && box->problem.empty() ? box : nullptr;
}

void BoxPage::follow(double f) {
    frequency_ = f;
    cutaway_->setFrequency(f);
    if (const job::BoxResult* box = result()) {
        sentence_->setText(QStringLiteral("%1: %2").arg(hertz(f), motionWords(*box, f)));
    }
}

void BoxPage::showFields(const BoxSight& b) {
    filling_ = true;
    const Lengths lengths =
        evaluated_->job.units == job::LengthUnits::inch ? Lengths::inch : Lengths::metric;
    for (QuantityField* f : {diameter_,
                             length_,
                             flare_,
                             newDiameter_,
                             newFlare_,
                             slotWidth_,
                             slotHeight_,
                             portPlace_}) {
        f->setLengths(lengths);
    }
    const job::Enclosure& e = b.enclosure;
    drive_->offer(e.voltage);
    power_->offer(e.voltage * e.voltage / box::motorOf(b.result.known.driver, {}).Re);
    fill_->setCurrentIndex(static_cast<int>(e.fill));
    const bool bandPass = e.kind == box::Kind::bandPass4 ||
                          e.kind == box::Kind::bandPass6Parallel ||
                          e.kind == box::Kind::bandPass6Series;
    share_->parentWidget()->setVisible(bandPass);
    share_->offer(e.frontShare);
    const bool radiates = e.kind == box::Kind::passiveRadiator;
    const double values[] = {
        e.radiator.Sd, e.radiator.fs, e.radiator.Vas, e.radiator.Qms, e.radiator.addedMass};
    for (qsizetype i = 0; i < radiator_.size(); ++i) {
        radiator_[i]->parentWidget()->setVisible(radiates);
        radiator_[i]->offer(values[i]);
    }
    radiators_->parentWidget()->setVisible(radiates);
    radiators_->setValue(e.radiator.count);
    const int chosen = which_->currentIndex();
    which_->clear();
    for (std::size_t i = 0; i < e.ports.size(); ++i) {
        which_->addItem(QString::number(i + 1) +
                        (e.ports[i].ofRear ? QChar(u' ') + tr("rear") : QString{}));
    }
    which_->setCurrentIndex(std::clamp(chosen, 0, std::max(0, which_->count() - 1)));
    tuning_->offer(b.result.fb);
    filling_ = false;
    showPort();
}

/// The port chosen, with what it has.
void BoxPage::showPort() {
    filling_ = true;
    const bool ported = !enclosure_.ports.empty();
    const job::PortIn p =
        ported ? enclosure_.ports[std::min(port(), enclosure_.ports.size() - 1)] : job::PortIn{};
    const bool round = p.port.shape == box::PortShape::round;
    const auto show = [](QWidget* field, bool shown) { field->parentWidget()->setVisible(shown); };
    for (QWidget* w : QList<QWidget*>{which_, length_, tuning_, count_, side_, portPlace_}) {
        show(w, ported);
    }
    show(diameter_, ported && round);
    show(flare_, ported && round);
    show(slotWidth_, ported && !round);
    show(slotHeight_, ported && !round);
    const bool alone = ported && enclosure_.ports.size() == 1;
    show(newDiameter_, alone);
    show(newFlare_, alone);
    for (QWidget* w : QList<QWidget*>{bent_, another_, fewer_, shape_}) {
        w->setVisible(ported);
    }
    newLength_->setVisible(alone);
    swap_->setVisible(alone);
    fewer_->setEnabled(enclosure_.ports.size() > 1);
    if (ported) {
        shape_->setCurrentIndex(static_cast<int>(p.port.shape));
        diameter_->offer(p.port.diameter);
        slotWidth_->offer(p.port.width);
        slotHeight_->offer(p.port.height);
        length_->offer(p.length);
        flare_->offer(p.port.flareOuter);
        count_->setValue(p.port.count);
        side_->setCurrentIndex(static_cast<int>(p.side));
        portPlace_->offer(p.height);
        bent_->setChecked(p.bent);
    }
    filling_ = false;
}

void BoxPage::display(const BoxSight& b) {
    const bool first = enclosure_.driver != b.enclosure.driver || cabinet_ != b.cabinet.id;
    cabinet_ = b.cabinet.id;
    enclosure_ = b.enclosure;
    evaluated_ = b.sight.preview ? b.sight.preview : b.sight.present;
    const job::BoxResult& r = b.result;
    Cutaway::Shown shown{.section = sectionOf(evaluated_->job, b.cabinet, b.enclosure),
                         .enclosure = b.enclosure,
                         .depth = b.cabinet.depth.value_or(0.0)};
    if (!r.problem.empty()) {
        cutaway_->display(shown);
        summary_->setText(QStringLiteral("▲ ") + spoken(r.problem));
        Picture none;
        none.empty = spoken(r.problem);
        response_->display(none);
        seconds_[pile_->currentIndex()]->display(none);
        return;
    }
    shown.system =
        std::make_shared<const box::System>(box::systemOf(r.known.driver, r.box, r.source));
    const box::Outlet outlet = box::outletOf(r.box);
    shown.portArea = outlet.portArea + outlet.radiatorArea;
    cutaway_->display(shown);
    summary_->setText(summaryWords(r));
    volumes_->setText(r.volumes.net > 0.0 ? volumeWords(r.volumes) : QString{});
    QStringList guessed;
    for (const std::string& sentence : r.known.guessed) {
        guessed << QStringLiteral("○ ") + spoken(sentence);
    }
    doubt_->setText(guessed.join(QLatin1Char('\n')));
    doubt_->setVisible(!guessed.isEmpty());
    response_->display(boxResponse(b));
    seconds_[pile_->currentIndex()]->display(boxCurve(b, curve_));
    if (first && !b.enclosure.ports.empty()) {
        constexpr double wider = 1.27;
        const double d = b.enclosure.ports.front().port.diameter;
        newDiameter_->setValue(std::round(1e3 * wider * (d > 0.0 ? d : 0.07)) * 1e-3);
        newFlare_->setValue(0.015);
    }
    showFields(b);
    tellSwap();
    if (first) {
        frequency_ = r.fb.value_or(r.fc.value_or(r.known.driver.fs));
        for (Plot* plot : QVector<Plot*>{response_} + seconds_) {
            plot->setCrosshair(frequency_);
        }
    }
    follow(frequency_);
}

} // namespace yf::app
