// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/instruments/meter_panel.h"

#include "app/theme/theme.h"
#include "app/widgets/labels.h"
#include "app/widgets/words.h"
#include "core/text/number.h"
#include "core/text/sentence.h"
#include "demo/bench.h"

#include <QCheckBox>
#include <QComboBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QSettings>

namespace yf::app {

namespace {

using devices::MeterKind;
using devices::MeterState;

QString ohmsText(const std::optional<double>& ohms, int digits) {
    return ohms ? figures(text::printEngineering(*ohms, "Ω", digits)) : QStringLiteral("OL");
}

/// The same place as all settings (app/settings.cpp).
QSettings settingsStore() {
    return QSettings(QStringLiteral("yellowfront"), QStringLiteral("yellowfront"));
}

/// A made-up sound driver of that kind, where the demo has none of that name.
sim::Specimen stocked(job::Band band) {
    constexpr std::size_t woofer = 0;
    constexpr std::size_t midrange = 2;
    const bool low = band == job::Band::sub || band == job::Band::low;
    sim::Specimen s;
    s.motor = sim::stock()[low ? woofer : midrange].motor;
    return s;
}

} // namespace

MeterPanel::MeterPanel(MeterKind kind, QWidget* parent) : QWidget(parent), meter_(kind) {
    const bool ohms = kind == MeterKind::ohms;
    setObjectName(ohms ? QStringLiteral("meter_ohms") : QStringLiteral("meter_lcr"));
    setAccessibleName(ohms ? tr("Multimeter") : tr("LCR meter"));
    source_ = new QComboBox(this);
    source_->setObjectName(objectName() + QStringLiteral("_source"));
    source_->setAccessibleName(tr("Where readings come from"));
    source_->addItems({tr("written by hand"),
                       tr("stand-in (simulated)"),
                       tr("over the network (SCPI)"),
                       tr("serial line (SCPI)"),
                       tr("serial line (plain lines)")});
    address_ = new QLineEdit(this);
    address_->setObjectName(objectName() + QStringLiteral("_address"));
    address_->setAccessibleName(tr("Address of the meter"));
    connect_ = new QPushButton(tr("Connect"), this);
    connect_->setObjectName(objectName() + QStringLiteral("_connect"));
    live_ = new QWidget(this);
    reading_ = new QLabel(live_);
    reading_->setObjectName(objectName() + QStringLiteral("_reading"));
    reading_->setFont(figureFont(ohms ? 24.0 : 15.0));
    reading_->setTextFormat(Qt::PlainText);
    said_ = new QLabel(this);
    said_->setObjectName(objectName() + QStringLiteral("_said"));
    said_->setTextFormat(Qt::PlainText);
    said_->setWordWrap(true);
    take_ = new QPushButton(tr("Take"), live_);
    take_->setObjectName(objectName() + QStringLiteral("_take"));
    take_->setProperty("main", true);
    leads_ = new QPushButton(tr("Take as leads"), live_);
    leads_->setObjectName(objectName() + QStringLiteral("_leads"));
    leads_->setToolTip(tr("Tips held together, the meter shows its own leads; they are taken off "
                          "every reading."));
    together_ = new QCheckBox(tr("tips together"), this);
    together_->setObjectName(objectName() + QStringLiteral("_together"));

    auto* top = new QHBoxLayout;
    top->setSpacing(6);
    top->addWidget(source_);
    top->addWidget(address_, 1);
    top->addWidget(connect_);
    top->addStretch(0);
    auto* row = new QHBoxLayout(live_);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(6);
    row->addWidget(reading_, 1);
    row->addWidget(leads_);
    row->addWidget(take_);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(3);
    column->addLayout(top);
    column->addWidget(together_);
    column->addWidget(live_);
    column->addWidget(said_);

    connect(source_, &QComboBox::activated, this, &MeterPanel::choose);
    connect(connect_, &QPushButton::clicked, this, &MeterPanel::connectMeter);
    connect(address_, &QLineEdit::returnPressed, this, &MeterPanel::connectMeter);
    connect(take_, &QPushButton::clicked, this, &MeterPanel::take);
    connect(leads_, &QPushButton::clicked, this, [this] {
        if (meter_.ohms() && meter_.ohms()->ohms) {
            Q_EMIT leadsTaken(*meter_.ohms()->ohms);
        } else if (meter_.pair() && meter_.pair()->r) {
            Q_EMIT leadsTaken(std::max(0.0, *meter_.pair()->r));
        }
    });
    connect(together_, &QCheckBox::toggled, this, [this](bool together) {
        meter_.order(together ? "SIM:TIPS TOGETHER" : "SIM:TIPS DRIVER");
    });
    connect(&meter_, &devices::Meter::changed, this, &MeterPanel::display);
    choose();
}

MeterPanel::~MeterPanel() {
    meter_.disconnect(this);
}

QString MeterPanel::settingsKey(const char* what) const {
    return QStringLiteral("%1/%2").arg(objectName(), QLatin1String(what));
}

MeterPanel::Source MeterPanel::source() const {
    return static_cast<Source>(source_->currentIndex());
}

void MeterPanel::choose() {
    meter_.close();
    standIn_.reset();
    together_->setChecked(false);
    const Source now = source();
    const bool far = now == Source::network || now == Source::serial || now == Source::lines;
    address_->setVisible(far);
    connect_->setVisible(far);
    address_->setPlaceholderText(now == Source::network ? tr("host:port, such as meter:5025")
                                                        : tr("/dev/ttyUSB0, or with @19200"));
    const QSettings settings = settingsStore();
    address_->setText(now == Source::network ? settings.value(settingsKey("network")).toString()
                                             : settings.value(settingsKey("serial")).toString());
    if (now == Source::standIn) {
        connectMeter();
    }
    display();
}

void MeterPanel::connectMeter() {
    if (meter_.state() == MeterState::live || meter_.state() == MeterState::troubled ||
        meter_.state() == MeterState::connecting) {
        meter_.close();
        return;
    }
    QString address;
    switch (source()) {
    case Source::byHand:
        return;
    case Source::standIn: {
        constexpr std::uint64_t seed = 20260314;
        standIn_ = std::make_unique<devices::StandIn>(
            devices::StandInMeter(meter_.kind(), specimen_, seed));
        const auto served = standIn_->serveTcp(0);
        if (!served) {
            said_->setText(spoken(text::sentence(served.error())));
            return;
        }
        address = *served;
        break;
    }
    case Source::network:
        address = QStringLiteral("tcp:") + address_->text().trimmed();
        settingsStore().setValue(settingsKey("network"), address_->text());
        break;
    case Source::serial:
    case Source::lines:
        address =
            (source() == Source::serial ? QStringLiteral("serial:") : QStringLiteral("lines:")) +
            address_->text().trimmed();
        settingsStore().setValue(settingsKey("serial"), address_->text());
        break;
    }
    if (const auto opened = meter_.open(address); !opened) {
        said_->setText(spoken(text::sentence(opened.error())));
        said_->setVisible(true);
    }
}

void MeterPanel::setDriver(const job::Driver& driver) {
    setSpecimen(demo::onTheBench(driver.id).value_or(stocked(driver.band)));
}

void MeterPanel::setSpecimen(const sim::Specimen& specimen) {
    specimen_ = specimen;
    if (standIn_) {
        standIn_->meter().setSpecimen(specimen_);
    }
}

void MeterPanel::useStandIn() {
    source_->setCurrentIndex(static_cast<int>(Source::standIn));
    source_->setEnabled(false);
    choose();
}

void MeterPanel::stop() {
    meter_.close();
    standIn_.reset();
}

void MeterPanel::setFrequency(double frequency) {
    meter_.setFrequency(frequency);
}

void MeterPanel::take() {
    if (meter_.ohms()) {
        Q_EMIT ohmsTaken(meter_.ohms()->ohms, meter_.ohms()->resolution, meter_.name());
    } else if (meter_.pair()) {
        Q_EMIT pairTaken(*meter_.pair(), meter_.name());
    }
}

void MeterPanel::display() {
    const MeterState state = meter_.state();
    const bool isOff = state == MeterState::off || state == MeterState::failed;
    connect_->setText(isOff ? tr("Connect") : tr("Disconnect"));
    live_->setVisible(state == MeterState::live);
    together_->setVisible(standIn_ != nullptr && !isOff);
    if (meter_.ohms()) {
        constexpr int digits = 4;
        reading_->setText(ohmsText(meter_.ohms()->ohms, digits));
    } else if (const auto& pair = meter_.pair()) {
        reading_->setText(pair->r ? QStringLiteral("%1  %2  %3")
                                        .arg(figures(text::printEngineering(pair->frequency, "Hz")),
                                             ohmsText(pair->r, 4),
                                             figures(text::printEngineering(pair->l, "H")))
                                  : QStringLiteral("OL"));
    }
    const bool fine = state == MeterState::live || state == MeterState::connecting;
    said_->setText(state == MeterState::live ? meter_.name()
                   : meter_.said().empty()   ? QString{}
                   : fine                    ? spoken(meter_.said())
                                             : QStringLiteral("▲ ") + spoken(meter_.said()));
    said_->setVisible(!said_->text().isEmpty());
    tint(said_, fine ? theme().quietInk : theme().mind);
}

} // namespace yf::app
