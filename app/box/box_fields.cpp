// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/box/box_fields.h"

#include "app/box/port_fields.h"
#include "app/widgets/controls.h"
#include "app/widgets/flow_layout.h"
#include "app/widgets/quantity_field.h"
#include "core/edit/box.h"

#include <QComboBox>
#include <QSpinBox>

namespace yf::app {

namespace {

namespace q = yf::quantity;

const q::Quantity watts{"P", "power_w", 1.0, "W", 1e-3, 1e5, "into Re"};
const q::Quantity frontRoom{"", "front_share", 0.01, "", 2.0, 98.0, "of the volume, %"};
const q::Quantity radiatorArea{"Sd", "Sd_cm2", 1e-4, "", 1.0, 5000.0, "of one radiator, cm²"};
const q::Quantity radiatorVas{"Vas", "Vas_l", 1e-3, "", 0.01, 10000.0, "of one radiator, l"};
const q::Quantity radiatorMass{"m", "mass_g", 1e-3, "", 0.0, 10000.0, "added to each, g"};

} // namespace

BoxFields::BoxFields(QWidget* parent) : QWidget(parent) {
    auto* flow = new FlowLayout(this);
    flow->setContentsMargins(0, 0, 0, 0);
    flow->setSpacing(6);
    const auto field = [this](const q::Quantity& quantity,
                              text::Unit unit,
                              const char* name,
                              const QString& accessible) {
        auto* f = quantityField(this, quantity, unit, QLatin1String(name), accessible);
        connect(f, &QuantityField::problemChanged, this, &BoxFields::problemChanged);
        return f;
    };
    drive_ = field(q::voltage, text::Unit::volt, "box_drive", tr("Drive"));
    power_ = field(watts, text::Unit::watt, "box_power", tr("Drive as power into Re"));
    share_ = field(frontRoom, text::Unit::none, "box_front_share", tr("Front chamber's share"));
    fill_ = narrowCombo(this, QStringLiteral("box_fill"), tr("Filling"), 7);
    fill_->addItems({tr("none"), tr("lined"), tr("half"), tr("full")});
    constexpr int small = 64;
    addLabelled(flow, tr("drive"), drive_, small + 8);
    addLabelled(flow, QStringLiteral("="), power_, small + 8);
    addLabelled(flow, tr("filling"), fill_, 84);
    addLabelled(flow, tr("in front, %"), share_, small);
    buildRadiator(flow);
    ports_ = new PortFields(this, flow);
    connect(ports_, &PortFields::changed, this, &BoxFields::change);
    connect(ports_, &PortFields::problemChanged, this, &BoxFields::problemChanged);
    connect(ports_, &PortFields::swapped, this, [this](const job::PortIn& made) {
        Q_EMIT edited(edit::swapPort(cabinet_, enclosure_.driver, made));
    });
    connect(fill_, &QComboBox::currentIndexChanged, this, [this](int index) {
        change([index](job::Enclosure& e) { e.fill = static_cast<job::Fill>(index); }, {});
    });
    connect(drive_, &QuantityField::valueChanged, this, [this](double v) {
        change([v](job::Enclosure& e) { e.voltage = v; }, QStringLiteral("box-drive"));
    });
    connect(power_, &QuantityField::valueChanged, this, [this](double P) {
        if (const evaluation::BoxResult* box = result()) {
            const double volts = evaluation::voltageFor(*box, P);
            change([volts](job::Enclosure& e) { e.voltage = volts; }, {});
        }
    });
    connect(share_, &QuantityField::valueChanged, this, [this](double share) {
        change([share](job::Enclosure& e) { e.frontShare = share; }, {});
    });
}

void BoxFields::buildRadiator(QLayout* flow) {
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
        auto* f =
            quantityField(this, row.quantity, row.unit, QLatin1String(row.name), row.accessible);
        connect(f, &QuantityField::problemChanged, this, &BoxFields::problemChanged);
        constexpr int wide = 72;
        addLabelled(flow, row.label, f, wide);
        connect(f, &QuantityField::valueChanged, this, [this, member = row.member](double v) {
            change([member, v](job::Enclosure& e) { e.radiator.*member = v; }, {});
        });
        radiator_ << f;
    }
    constexpr int most = 8;
    radiators_ = countField(this, QStringLiteral("box_pr_count"), tr("Radiators alike"), {1, most});
    addLabelled(flow, tr("radiators"), radiators_, 56);
    connect(radiators_, &QSpinBox::valueChanged, this, [this](int n) {
        change([n](job::Enclosure& e) { e.radiator.count = n; }, {});
    });
}

void BoxFields::change(const std::function<void(job::Enclosure&)>& how, const QString& key) {
    if (filling_) {
        return;
    }
    job::Enclosure e = enclosure_;
    how(e);
    if (e == enclosure_) {
        return;
    }
    Q_EMIT edited(
        edit::changeBox(cabinet_, e, YF_WORDS("core", "Change the box"), key.toStdString()));
    Q_EMIT gestureEnded();
}

const evaluation::BoxResult* BoxFields::result() const {
    const evaluation::CabinetResult* result =
        evaluated_ ? evaluated_->evaluation.find(cabinet_) : nullptr;
    const evaluation::BoxResult* box = result == nullptr ? nullptr : result->box(enclosure_.driver);
    return box != nullptr && box->problem.empty() ? box : nullptr;
}

void BoxFields::display(const BoxSight& b, bool first) {
    cabinet_ = b.cabinet.id;
    enclosure_ = b.enclosure;
    evaluated_ = b.sight.preview ? b.sight.preview : b.sight.present;
    filling_ = true;
    const job::Enclosure& e = b.enclosure;
    drive_->offer(e.voltage);
    power_->offer(evaluation::powerIn(b.result, e.voltage));
    fill_->setCurrentIndex(static_cast<int>(e.fill));
    share_->parentWidget()->setVisible(box::isBandPass(e.kind));
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
    filling_ = false;
    ports_->display(b, evaluated_, first);
}

} // namespace yf::app
