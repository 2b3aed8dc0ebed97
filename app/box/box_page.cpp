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
    const auto labelled = [&](const QString& text, QWidget* widget, int width) {
        auto* pair = new QWidget(portFields_);
        auto* row = new QHBoxLayout(pair);
        row->setContentsMargins(0, 0, 0, 0);
        row->setSpacing(4);
        auto* label = new QLabel(text, pair);
        label->setBuddy(widget);
        widget->setFixedWidth(width);
        row->addWidget(label);
        row->addWidget(widget);
        flow->addWidget(pair);
        return pair;
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
    labelled(tr("drive"), drive_, medium);
    labelled(tr("filling"), fill_, medium);
    labelled(tr("port d"), diameter_, medium);
    labelled(tr("length"), length_, medium);
    labelled(tr("tuned"), tuning_, medium);
    labelled(tr("rounded"), flare_, medium);
    labelled(QStringLiteral("×"), count_, small);
    labelled(tr("through"), side_, medium);
    flow->addWidget(bent_);
    labelled(tr("swap for d"), newDiameter_, medium);
    labelled(tr("rounded"), newFlare_, medium);
    flow->addWidget(newLength_);
    flow->addWidget(swap_);

    const auto port = [this](auto&& how, const char* key) {
        change(
            [how](job::Enclosure& e) {
                if (!e.ports.empty()) {
                    how(e.ports.front());
                }
            },
            QLatin1String(key));
    };
    connect(diameter_, &QuantityField::valueChanged, this, [port](double v) {
        port([v](job::PortIn& p) { p.port.diameter = v; }, "box-port-d");
    });
    connect(length_, &QuantityField::valueChanged, this, [port](double v) {
        port([v](job::PortIn& p) { p.length = v; }, "box-port-length");
    });
    connect(flare_, &QuantityField::valueChanged, this, [port](double v) {
        port([v](job::PortIn& p) { p.port.flareOuter = v; }, "box-port-flare");
    });
    connect(count_, &QSpinBox::valueChanged, this, [port](int n) {
        port([n](job::PortIn& p) { p.port.count = n; }, "box-port-count");
    });
    connect(side_, &QComboBox::currentIndexChanged, this, [port](int index) {
        port([index](job::PortIn& p) { p.side = static_cast<job::PortWall>(index); }, "");
    });
    connect(bent_, &QCheckBox::toggled, this, [port](bool bent) {
        port([bent](job::PortIn& p) { p.bent = bent; }, "");
    });
    connect(fill_, &QComboBox::currentIndexChanged, this, [this](int index) {
        change([index](job::Enclosure& e) { e.fill = static_cast<job::Fill>(index); }, {});
    });
    connect(drive_, &QuantityField::valueChanged, this, [this](double v) {
        change([v](job::Enclosure& e) { e.voltage = v; }, QStringLiteral("box-drive"));
    });
    connect(tuning_, &QuantityField::valueChanged, this, &BoxPage::tune);
    connect(newDiameter_, &QuantityField::valueChanged, this, &BoxPage::tellSwap);
    connect(newFlare_, &QuantityField::valueChanged, this, &BoxPage::tellSwap);
    connect(swap_, &QPushButton::clicked, this, &BoxPage::swap);
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
    filling_ = true;
    const Lengths lengths =
        evaluated_->job.units == job::LengthUnits::inch ? Lengths::inch : Lengths::metric;
    for (QuantityField* f : {diameter_, length_, flare_, newDiameter_, newFlare_}) {
        f->setLengths(lengths);
    }
    const bool ported = !b.enclosure.ports.empty();
    for (QWidget* w : QList<QWidget*>{
             diameter_, length_, tuning_, flare_, count_, side_, newDiameter_, newFlare_}) {
        w->parentWidget()->setVisible(ported);
    }
    for (QWidget* w : QList<QWidget*>{bent_, newLength_, swap_}) {
        w->setVisible(ported);
    }
    drive_->offer(b.enclosure.voltage);
    fill_->setCurrentIndex(static_cast<int>(b.enclosure.fill));
    if (ported) {
        const job::PortIn& p = b.enclosure.ports.front();
        diameter_->offer(p.port.diameter);
        length_->offer(p.length);
        flare_->offer(p.port.flareOuter);
        tuning_->offer(r.fb);
        count_->setValue(p.port.count);
        side_->setCurrentIndex(static_cast<int>(p.side));
        bent_->setChecked(p.bent);
        if (first) {
            constexpr double wider = 1.27;
            newDiameter_->setValue(std::round(1e3 * wider * p.port.diameter) * 1e-3);
            newFlare_->setValue(0.015);
        }
    }
    filling_ = false;
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
