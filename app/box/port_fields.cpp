// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/box/port_fields.h"

#include "app/widgets/controls.h"
#include "app/widgets/quantity_field.h"
#include "app/widgets/still.h"
#include "app/widgets/words.h"
#include "core/box/port_swap.h"
#include "core/edit/box.h"
#include "core/text/sentence.h"

#include <QCheckBox>
#include <QComboBox>
#include <QLabel>
#include <QLayout>
#include <QPushButton>
#include <QSpinBox>
#include <QToolButton>

namespace yf::app {

namespace {

namespace q = yf::quantity;

const q::Quantity bore{"d", "diameter_m", 1.0, "m", 0.01, 0.4, "of the tube, narrowest"};
const q::Quantity tubeLength{"L", "length_m", 1.0, "m", 0.001, 2.0, "over all"};
const q::Quantity slotSize{"", "slot_m", 1.0, "m", 0.002, 2.0, "of the slot"};
const q::Quantity height{"", "place_m", 1.0, "m", 0.0, 5.0, "of its axis above the clear floor"};
const q::Quantity rounding{"R", "flare_m", 1.0, "m", 0.0, 0.1, "rounding at the mouth"};

} // namespace

PortFields::PortFields(QWidget* parent, QLayout* row) : QObject(parent) {
    build(parent);
    place(row);
    connectPort();
    connectList();
    connect(tuning_, &QuantityField::valueChanged, this, &PortFields::tune);
    connect(newDiameter_, &QuantityField::valueChanged, this, &PortFields::tellSwap);
    connect(newFlare_, &QuantityField::valueChanged, this, &PortFields::tellSwap);
    connect(swap_, &QPushButton::clicked, this, [this] { Q_EMIT swapped(made()); });
}

void PortFields::build(QWidget* parent) {
    const auto field = [this, parent](const q::Quantity& quantity,
                                      text::Unit unit,
                                      const char* name,
                                      const QString& accessible) {
        auto* f = quantityField(parent, quantity, unit, QLatin1String(name), accessible);
        connect(f, &QuantityField::problemChanged, this, &PortFields::problemChanged);
        return f;
    };
    using U = text::Unit;
    diameter_ = field(bore, U::metre, "box_port_diameter", tr("Port's diameter"));
    length_ = field(tubeLength, U::metre, "box_port_length", tr("Port's length"));
    tuning_ = field(q::fb, U::hertz, "box_tuning", tr("Tuning of the box"));
    flare_ = field(rounding, U::metre, "box_port_flare", tr("Rounding of its mouth"));
    slotWidth_ = field(slotSize, U::metre, "box_slot_width", tr("Slot's width"));
    slotHeight_ = field(slotSize, U::metre, "box_slot_height", tr("Slot's height"));
    place_ = field(height, U::metre, "box_port_place", tr("Port's height above the floor"));
    newDiameter_ = field(bore, U::metre, "box_swap_diameter", tr("New port's diameter"));
    newFlare_ = field(rounding, U::metre, "box_swap_flare", tr("New port's rounding"));
    which_ = narrowCombo(parent, QStringLiteral("box_port_which"), tr("Which port"), 4);
    shape_ = narrowCombo(parent, QStringLiteral("box_port_shape"), tr("Shape of the port"), 5);
    shape_->addItems({tr("round"), tr("slot")});
    side_ = narrowCombo(parent, QStringLiteral("box_port_side"), tr("Where the port leads"), 5);
    side_->addItems({tr("front"), tr("back")});
    const auto button = [parent](const char* name, const QString& text, const QString& accessible) {
        auto* b = new QToolButton(parent);
        b->setObjectName(QLatin1String(name));
        b->setText(text);
        b->setAccessibleName(accessible);
        b->setToolTip(accessible);
        b->setMinimumSize(28, 28);
        return b;
    };
    another_ = button("box_port_more", QStringLiteral("+"), tr("Another port"));
    fewer_ = button("box_port_fewer", QStringLiteral("−"), tr("Take this port away"));
    constexpr int most = 16;
    count_ = countField(parent, QStringLiteral("box_port_count"), tr("Ports alike"), {1, most});
    bent_ = new QCheckBox(tr("bent"), parent);
    bent_->setObjectName(QStringLiteral("box_port_bent"));
    newLength_ = new QLabel(parent);
    newLength_->setObjectName(QStringLiteral("box_swap_length"));
    swap_ = new QPushButton(tr("Swap"), parent);
    swap_->setObjectName(QStringLiteral("box_swap"));
    swap_->setToolTip(
        tr("Another tube in its place, the tuning kept, what it displaces included."));
}

void PortFields::place(QLayout* row) {
    constexpr int small = 64;
    constexpr int medium = 84;
    addLabelled(row, tr("port"), which_, 56);
    row->addWidget(another_);
    row->addWidget(fewer_);
    row->addWidget(shape_);
    addLabelled(row, QStringLiteral("d"), diameter_, medium);
    addLabelled(row, QStringLiteral("w"), slotWidth_, medium);
    addLabelled(row, QStringLiteral("h"), slotHeight_, small + 8);
    addLabelled(row, tr("length"), length_, medium);
    addLabelled(row, tr("tuned"), tuning_, medium);
    addLabelled(row, tr("rounded"), flare_, medium);
    addLabelled(row, QStringLiteral("×"), count_, small);
    addLabelled(row, tr("through"), side_, medium);
    addLabelled(row, tr("at height"), place_, medium);
    row->addWidget(bent_);
    addLabelled(row, tr("swap for d"), newDiameter_, medium);
    addLabelled(row, tr("rounded"), newFlare_, medium);
    row->addWidget(newLength_);
    row->addWidget(swap_);
}

std::size_t PortFields::port() const {
    return static_cast<std::size_t>(std::max(which_->currentIndex(), 0));
}

void PortFields::changePort(const std::function<void(job::PortIn&)>& how, const char* key) {
    if (filling_) {
        return;
    }
    Q_EMIT changed(
        [how, at = port()](job::Enclosure& e) {
            if (at < e.ports.size()) {
                how(e.ports[at]);
            }
        },
        QLatin1String(key));
}

void PortFields::connectPort() {
    connect(diameter_, &QuantityField::valueChanged, this, [this](double v) {
        changePort([v](job::PortIn& p) { p.port.diameter = v; }, "box-port-d");
    });
    connect(length_, &QuantityField::valueChanged, this, [this](double v) {
        changePort([v](job::PortIn& p) { p.length = v; }, "box-port-length");
    });
    connect(flare_, &QuantityField::valueChanged, this, [this](double v) {
        changePort([v](job::PortIn& p) { p.port.flareOuter = v; }, "box-port-flare");
    });
    connect(count_, &QSpinBox::valueChanged, this, [this](int n) {
        changePort([n](job::PortIn& p) { p.port.count = n; }, "box-port-count");
    });
    connect(side_, &QComboBox::currentIndexChanged, this, [this](int index) {
        changePort([index](job::PortIn& p) { p.side = static_cast<job::PortWall>(index); }, "");
    });
    connect(bent_, &QCheckBox::toggled, this, [this](bool bent) {
        changePort([bent](job::PortIn& p) { p.bent = bent; }, "");
    });
    connect(shape_, &QComboBox::currentIndexChanged, this, [this](int index) {
        changePort(
            [index](job::PortIn& p) {
                p.port = box::inShape(p.port, static_cast<box::PortShape>(index));
            },
            "");
    });
    connect(slotWidth_, &QuantityField::valueChanged, this, [this](double v) {
        changePort([v](job::PortIn& p) { p.port.width = v; }, "box-slot-w");
    });
    connect(slotHeight_, &QuantityField::valueChanged, this, [this](double v) {
        changePort([v](job::PortIn& p) { p.port.height = v; }, "box-slot-h");
    });
    connect(place_, &QuantityField::valueChanged, this, [this](double v) {
        changePort([v](job::PortIn& p) { p.height = v; }, "box-port-place");
    });
}

void PortFields::connectList() {
    connect(which_, &QComboBox::currentIndexChanged, this, [this] {
        if (!filling_) {
            show();
        }
    });
    connect(another_, &QToolButton::clicked, this, [this] {
        Q_EMIT changed(
            [at = port()](job::Enclosure& e) {
                job::PortIn twin = e.ports.at(at);
                twin.height += 0.12;
                e.ports.push_back(twin);
            },
            {});
    });
    connect(fewer_, &QToolButton::clicked, this, [this] {
        Q_EMIT changed(
            [at = port()](job::Enclosure& e) {
                if (e.ports.size() > 1) {
                    e.ports.erase(e.ports.begin() + static_cast<std::ptrdiff_t>(at));
                }
            },
            {});
    });
}

void PortFields::tune(double fb) {
    if (filling_ || !evaluated_) {
        return;
    }
    const job::Job& job = evaluated_->job;
    const auto length = job::lengthFor(job, *job::findCabinet(job, cabinet_), enclosure_, fb);
    if (!length) {
        Q_EMIT problemChanged(spoken(text::sentence(length.error())));
        return;
    }
    Q_EMIT problemChanged({});
    Q_EMIT changed([L = *length](job::Enclosure& e) { e.ports.front().length = L; }, {});
}

job::PortIn PortFields::made() const {
    job::PortIn made = enclosure_.ports.front();
    made.port.shape = box::PortShape::round;
    made.port.diameter = newDiameter_->value();
    made.port.flareOuter = newFlare_->value();
    return made;
}

void PortFields::tellSwap() {
    swap_->setEnabled(false);
    if (enclosure_.ports.empty() || !evaluated_ || !(newDiameter_->value() > 0.0)) {
        sayStill(newLength_, {});
        return;
    }
    const job::Job& job = evaluated_->job;
    const job::PortIn& old = enclosure_.ports.front();
    const job::PortIn tube = made();
    const auto exact = job::swappedLength(job, *job::findCabinet(job, cabinet_), enclosure_, tube);
    if (!exact) {
        sayStill(newLength_, tr("▲ no length keeps the tuning"));
        return;
    }
    sayStill(newLength_, tr("→ %1").arg(centimetres(*exact)));
    const box::Swap swap{.old = old.port, .oldLength = old.length, .made = tube.port};
    newLength_->setToolTip(
        tr("exact, with all it displaces: %1\nby the workshop's 0.732 d for both ends: %2\nby the "
           "areas alone: %3")
            .arg(centimetres(*exact),
                 centimetres(box::workshopLength(swap)),
                 centimetres(box::simpleLength(swap))));
    swap_->setEnabled(true);
}

/// The port chosen, with what it has.
void PortFields::show() {
    filling_ = true;
    const bool ported = !enclosure_.ports.empty();
    const job::PortIn p =
        ported ? enclosure_.ports[std::min(port(), enclosure_.ports.size() - 1)] : job::PortIn{};
    const bool round = p.port.shape == box::PortShape::round;
    const auto appear = [](QWidget* field, bool shown) {
        field->parentWidget()->setVisible(shown);
    };
    for (QWidget* w : QList<QWidget*>{which_, length_, tuning_, count_, side_, place_}) {
        appear(w, ported);
    }
    appear(diameter_, ported && round);
    appear(flare_, ported && round);
    appear(slotWidth_, ported && !round);
    appear(slotHeight_, ported && !round);
    const bool alone = ported && enclosure_.ports.size() == 1;
    appear(newDiameter_, alone);
    appear(newFlare_, alone);
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
        place_->offer(p.height);
        bent_->setChecked(p.bent);
    }
    filling_ = false;
}

void PortFields::display(const BoxSight& b,
                         const std::shared_ptr<const Evaluated>& evaluated,
                         bool first) {
    cabinet_ = b.cabinet.id;
    enclosure_ = b.enclosure;
    evaluated_ = evaluated;
    filling_ = true;
    const Lengths lengths =
        evaluated->job.units == job::LengthUnits::inch ? Lengths::inch : Lengths::metric;
    for (QuantityField* f :
         {diameter_, length_, flare_, newDiameter_, newFlare_, slotWidth_, slotHeight_, place_}) {
        f->setLengths(lengths);
    }
    if (first && !enclosure_.ports.empty()) {
        constexpr double wider = 1.27;
        const double d = enclosure_.ports.front().port.diameter;
        newDiameter_->setValue(std::round(1e3 * wider * (d > 0.0 ? d : 0.07)) * 1e-3);
        newFlare_->setValue(0.015);
    }
    QStringList names;
    for (std::size_t i = 0; i < enclosure_.ports.size(); ++i) {
        names << QString::number(i + 1) +
                     (enclosure_.ports[i].ofRear ? QChar(u' ') + tr("rear") : QString{});
    }
    if (names != names_) {
        const int chosen = which_->currentIndex();
        which_->clear();
        which_->addItems(names);
        which_->setCurrentIndex(std::clamp(chosen, 0, std::max(0, which_->count() - 1)));
        names_ = names;
    }
    tuning_->offer(b.result.fb);
    filling_ = false;
    show();
    tellSwap();
}

} // namespace yf::app
