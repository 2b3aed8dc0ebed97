// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/check/check_card.h"

#include "app/check/check_words.h"
#include "app/check/earlier_readings.h"
#include "app/check/ohm_scale.h"
#include "app/instruments/meter_panel.h"
#include "app/theme/theme.h"
#include "app/widgets/flow_layout.h"
#include "app/widgets/labels.h"
#include "app/widgets/quantity_field.h"
#include "app/widgets/words.h"
#include "core/bench/battery.h"
#include "core/bench/notation.h"
#include "core/bench/words.h"
#include "core/evaluation/bench.h"
#include "core/job/lookup.h"
#include "core/quantity/quantities.h"
#include "core/text/sentence.h"

#include <QCheckBox>
#include <QComboBox>
#include <QDateTime>
#include <QFormLayout>
#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>

#include <algorithm>

namespace yf::app {

namespace {

constexpr std::array meterFrequencies{100.0, 120.0, 1000.0, 10000.0, 100000.0};

QLabel* told(const QString& text, QWidget* parent, const QColor& colour) {
    QLabel* label = wrappedLabel(parent, {});
    label->setText(text);
    tint(label, colour);
    return label;
}

std::optional<bench::Check> checkNamed(const bench::EvidenceTable& table, const std::string& key) {
    const auto at = table.check(key);
    return at ? std::optional(table.checks[*at]) : std::nullopt;
}

} // namespace

CheckCard::CheckCard(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("check_card"));
    setProperty("card", true);
    setAttribute(Qt::WA_StyledBackground);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    ohmmeter_ = new MeterPanel(devices::MeterKind::ohms, this);
    lcrMeter_ = new MeterPanel(devices::MeterKind::lcr, this);
    connect(ohmmeter_, &MeterPanel::ohmsTaken, this, &CheckCard::takeOhms);
    connect(lcrMeter_,
            &MeterPanel::pairTaken,
            this,
            [this](const devices::PairShown& pair, const QString& instrument) {
                takePair(pair.frequency, pair.r, pair.l, pair.mode, instrument);
            });
    for (MeterPanel* panel : {ohmmeter_, lcrMeter_}) {
        panel->hide();
        connect(panel, &MeterPanel::leadsTaken, this, [this](double ohms) {
            if (leads_ != nullptr) {
                leads_->setValue(ohms);
                judge();
            }
        });
    }
}

void CheckCard::setPractice() {
    practice_ = true;
}

void CheckCard::useStandIn() {
    (check_ == "dcr" ? ohmmeter_ : lcrMeter_)->useStandIn();
}

void CheckCard::startMeters() {
    ohmmeter_->useStandIn();
    lcrMeter_->useStandIn();
}

void CheckCard::stopMeters() {
    ohmmeter_->stop();
    lcrMeter_->stop();
}

void CheckCard::setUnderTheTips(const sim::Specimen& specimen) {
    ohmmeter_->setSpecimen(specimen);
    lcrMeter_->setSpecimen(specimen);
}

bool CheckCard::cautionsHeeded() const {
    return heeded_ == nullptr || heeded_->isChecked();
}

void CheckCard::placeMeter(QVBoxLayout* column) {
    MeterPanel* panel = check_ == "dcr" ? ohmmeter_ : lcrMeter_;
    const job::Driver* driver = job::findDriver(state_->job, driver_);
    if (driver != nullptr && !practice_) {
        panel->setDriver(*driver);
    }
    if (frequency_ != nullptr) {
        panel->setFrequency(frequency_->currentData().toDouble());
    }
    column->addWidget(panel);
    panel->show();
}

void CheckCard::display(const Sight& sight, const std::string& check) {
    const bool other = check != check_ || sight.driver != driver_ || sight.cabinet != cabinet_;
    const bool news = state_ != sight.present;
    state_ = sight.present;
    cabinet_ = sight.cabinet;
    driver_ = sight.driver;
    check_ = check;
    if (other) {
        build();
    }
    if (other || news) {
        showEarlier();
        judge();
    }
}

void CheckCard::build() {
    for (MeterPanel* panel : {ohmmeter_, lcrMeter_}) {
        panel->setParent(this);
        panel->hide();
    }
    delete content_;
    content_ = new QWidget(this);
    layout()->addWidget(content_);
    heeded_ = nullptr;
    readings_ = r_ = nullptr;
    leads_ = nominal_ = l_ = nullptr;
    place_ = frequency_ = mode_ = voltage_ = nullptr;
    scale_ = nullptr;
    keep_ = nullptr;
    outcomes_.clear();
    instrument_.clear();
    takenResolution_.reset();
    auto* column = new QVBoxLayout(content_);
    column->setContentsMargins(12, 8, 12, 8);
    column->setSpacing(5);
    const std::optional<bench::Check> check = checkNamed(*state_->evaluation.table, check_);
    const Theme& t = theme();
    if (!check) {
        column->addWidget(told(tr("Choose a check in the list."), content_, t.quietInk));
        column->addStretch(1);
        judgement_ = nullptr;
        earlier_ = nullptr;
        return;
    }
    auto* title = told(spoken(bench::checkInWords(check_)) + QStringLiteral(" · ") +
                           tr("%1 min").arg(check->minutes),
                       content_,
                       t.ink);
    title->setObjectName(QStringLiteral("check_title"));
    QFont bold = font();
    bold.setPointSizeF(12.0);
    bold.setWeight(QFont::DemiBold);
    title->setFont(bold);
    column->addWidget(title);
    column->addWidget(told(spoken(bench::purposeInWords(check_)), content_, t.quietInk));
    const QStringList steps = spoken(bench::stepsInWords(check_)).split(u'\n');
    QStringList numbered;
    for (qsizetype i = 0; i < steps.size(); ++i) {
        numbered << (steps.size() == 1 ? steps[i]
                                       : QStringLiteral("%1  %2").arg(i + 1).arg(steps[i]));
    }
    column->addWidget(told(numbered.join(u'\n'), content_, t.ink));
    QStringList cautions;
    for (const std::string& caution : check->cautions) {
        const QString said = QStringLiteral("▲ ") + spoken(bench::cautionInWords(caution));
        if (!cautions.contains(said)) {
            cautions << said;
        }
    }
    if (!cautions.isEmpty()) {
        column->addWidget(told(cautions.join(u'\n'), content_, t.mind));
        if (practice_) {
            heeded_ = new QCheckBox(tr("I have done so"), content_);
            heeded_->setObjectName(QStringLiteral("check_heeded"));
            column->addWidget(heeded_);
        }
    }
    if (const QString pitfall = spoken(bench::pitfallInWords(check_)); !pitfall.isEmpty()) {
        column->addWidget(told(QStringLiteral("● ") + pitfall, content_, t.quietInk));
    }
    auto* form = new QFormLayout;
    form->setContentsMargins(0, 4, 0, 0);
    form->setVerticalSpacing(4);
    auto* meter = new QVBoxLayout;
    column->addLayout(meter);
    column->addLayout(form);
    if (check_ == "dcr") {
        buildOhms(form);
        placeMeter(meter);
        scale_ = new OhmScale(content_);
        column->addWidget(scale_);
    } else if (check_ == "lcr") {
        buildPair(form);
        placeMeter(meter);
    } else if (check_ == "battery_pop" && !practice_) {
        buildVoltage(form);
    }
    judgement_ = told({}, content_, t.ink);
    judgement_->setObjectName(QStringLiteral("check_judgement"));
    column->addWidget(judgement_);
    if (readings_ != nullptr || r_ != nullptr) {
        keep_ = new QPushButton(tr("Keep this reading"), content_);
        keep_->setObjectName(QStringLiteral("check_keep"));
        keep_->setProperty("main", true);
        connect(keep_, &QPushButton::clicked, this, &CheckCard::keep);
        column->addWidget(keep_, 0, Qt::AlignLeft);
    } else {
        buildOutcomes(column);
    }
    earlier_ = new EarlierReadings(content_);
    connect(earlier_, &EarlierReadings::asideWanted, this, &CheckCard::asideWanted);
    column->addWidget(earlier_);
    column->addStretch(1);
}

void CheckCard::buildOhms(QFormLayout* form) {
    const job::Driver* driver = job::findDriver(state_->job, driver_);
    nominal_ = new QuantityField(quantity::nominal, text::Unit::ohm, content_);
    nominal_->setObjectName(QStringLiteral("check_nominal"));
    nominal_->setMayBeEmpty(true);
    nominal_->setValue(driver == nullptr ? std::nullopt : driver->nominal);
    connect(nominal_, &QuantityField::valueChanged, this, [this] {
        if (nominal_->optionalValue()) {
            Q_EMIT nominalGiven(nominal_->value());
        }
    });
    readings_ = new QLineEdit(content_);
    readings_->setObjectName(QStringLiteral("check_readings"));
    readings_->setAccessibleName(tr("Readings"));
    readings_->setPlaceholderText(tr("6.1 6.2 6.1, or OL"));
    readings_->setFont(figureFont(10.0));
    leads_ = new QuantityField(quantity::leads, text::Unit::ohm, content_);
    leads_->setObjectName(QStringLiteral("check_leads"));
    leads_->setValue(0.0);
    place_ = new QComboBox(content_);
    place_->setObjectName(QStringLiteral("check_place"));
    place_->setAccessibleName(tr("Where the tips are"));
    place_->addItems({tr("driver's lugs"), tr("cabinet's terminals")});
    form->addRow(tr("Printed"), nominal_);
    form->addRow(tr("Readings"), readings_);
    auto* row = new QHBoxLayout;
    row->addWidget(leads_);
    row->addWidget(place_, 1);
    form->addRow(tr("Leads, at"), row);
    connect(readings_, &QLineEdit::textEdited, this, [this] {
        instrument_.clear();
        takenResolution_.reset();
        judge();
    });
    connect(readings_, &QLineEdit::returnPressed, this, &CheckCard::keep);
    connect(leads_, &QuantityField::valueChanged, this, &CheckCard::judge);
    connect(place_, &QComboBox::activated, this, &CheckCard::judge);
}

void CheckCard::buildPair(QFormLayout* form) {
    frequency_ = new QComboBox(content_);
    frequency_->setObjectName(QStringLiteral("check_frequency"));
    frequency_->setAccessibleName(tr("Frequency of the meter"));
    for (const double f : meterFrequencies) {
        frequency_->addItem(figures(text::printEngineering(f, "Hz")), f);
    }
    const job::Driver* driver = job::findDriver(state_->job, driver_);
    const auto own = state_->assembly->readings.find(driver_);
    const std::optional<double> advised =
        own != state_->assembly->readings.end() && own->second.resonance
            ? bench::meterFrequency(own->second.resonance->fs)
            : std::nullopt;
    const double usual = bench::usualMeterFrequency(driver == nullptr ? quantity::DriverRole::woofer
                                                                      : job::roleOf(driver->band));
    frequency_->setCurrentIndex(frequency_->findData(advised.value_or(usual)));
    r_ = new QLineEdit(content_);
    r_->setObjectName(QStringLiteral("check_r"));
    r_->setAccessibleName(tr("Resistance shown"));
    r_->setPlaceholderText(tr("5.42, or OL"));
    r_->setFont(figureFont(10.0));
    l_ = new QuantityField(
        quantity::Quantity{"L", "l_h", 1e-3, "H", -100.0, 100.0, "inductance shown"},
        text::Unit::henry,
        content_);
    l_->setObjectName(QStringLiteral("check_l"));
    l_->setMayBeEmpty(true);
    l_->setPlaceholderText(tr("0.31 mH"));
    leads_ = new QuantityField(quantity::leads, text::Unit::ohm, content_);
    leads_->setObjectName(QStringLiteral("check_leads"));
    leads_->setValue(0.0);
    mode_ = new QComboBox(content_);
    mode_->setObjectName(QStringLiteral("check_mode"));
    mode_->setAccessibleName(tr("How the meter shows it"));
    mode_->addItems({tr("series"), tr("parallel"), tr("not known")});
    form->addRow(tr("At"), frequency_);
    auto* pair = new QHBoxLayout;
    pair->addWidget(r_);
    pair->addWidget(l_);
    form->addRow(tr("R and L"), pair);
    auto* row = new QHBoxLayout;
    row->addWidget(leads_);
    row->addWidget(mode_, 1);
    form->addRow(tr("Leads, shown in"), row);
    connect(frequency_, &QComboBox::activated, this, [this] {
        lcrMeter_->setFrequency(frequency_->currentData().toDouble());
        judge();
    });
    connect(mode_, &QComboBox::activated, this, &CheckCard::judge);
    connect(r_, &QLineEdit::textEdited, this, [this] {
        instrument_.clear();
        judge();
    });
    connect(r_, &QLineEdit::returnPressed, this, &CheckCard::keep);
    connect(l_, &QuantityField::valueChanged, this, &CheckCard::judge);
    connect(l_, &QuantityField::problemChanged, this, &CheckCard::judge);
    connect(leads_, &QuantityField::valueChanged, this, &CheckCard::judge);
}

void CheckCard::buildVoltage(QFormLayout* form) {
    voltage_ = new QComboBox(content_);
    voltage_->setObjectName(QStringLiteral("check_voltage"));
    voltage_->setAccessibleName(tr("Battery"));
    voltage_->addItem(tr("1.5 V cell: shows all there is to see"), bench::cellVoltage);
    voltage_->addItem(tr("9 V block: large woofers only"), bench::blockVoltage);
    form->addRow(tr("Battery"), voltage_);
    connect(voltage_, &QComboBox::activated, this, &CheckCard::judge);
}

void CheckCard::buildOutcomes(QVBoxLayout* column) {
    if (practice_) {
        auto* make = new QPushButton(tr("Do it"), content_);
        make->setObjectName(QStringLiteral("check_make"));
        make->setProperty("main", true);
        connect(make, &QPushButton::clicked, this, &CheckCard::makeWanted);
        column->addWidget(make, 0, Qt::AlignLeft);
        return;
    }
    auto* holder = new QWidget(content_);
    auto* flow = new FlowLayout(holder);
    flow->setContentsMargins(0, 0, 0, 0);
    flow->setSpacing(6);
    const std::optional<bench::Check> check = checkNamed(*state_->evaluation.table, check_);
    for (const bench::Outcome& outcome : check->outcomes) {
        auto* button =
            new QPushButton(capital(spoken(bench::outcomeInWords(check_, outcome.key))), holder);
        button->setObjectName(QStringLiteral("outcome_") + words(outcome.key));
        connect(button, &QPushButton::clicked, this, [this, key = outcome.key] {
            job::BenchReading reading = begun();
            reading.outcome = key;
            if (voltage_ != nullptr) {
                reading.voltage = voltage_->currentData().toDouble();
            }
            Q_EMIT entered(reading);
        });
        flow->addWidget(button);
        outcomes_.push_back(button);
    }
    column->addWidget(holder);
}

job::BenchReading CheckCard::begun() const {
    job::BenchReading reading;
    reading.check = check_;
    reading.cabinet = cabinet_;
    reading.driver = job::isAboutCabinet(check_) ? std::string{} : driver_;
    reading.at = QDateTime::currentDateTime().toString(Qt::ISODate).toStdString();
    reading.instrument = instrument_.toStdString();
    return reading;
}

Result<job::BenchReading> CheckCard::written() const {
    job::BenchReading reading = begun();
    if (leads_ != nullptr) {
        if (!leads_->problem().isEmpty()) {
            return Error{"leads", leads_->problem().toStdString(), ""};
        }
        reading.leads = leads_->value();
    }
    if (readings_ != nullptr) {
        YF_TRY(ohms, bench::readOhms(readings_->text().toStdString()));
        reading.ohms = ohms.ohms;
        reading.place = static_cast<bench::Place>(place_->currentIndex());
        const double resolution = takenResolution_.value_or(ohms.resolution);
        reading.resolution = resolution > 0.0 ? std::min(resolution, 10.0) : 0.1;
    }
    if (r_ != nullptr) {
        YF_TRY(ohms, bench::readOhms(r_->text().toStdString()));
        if (ohms.ohms.size() != 1) {
            return Error{"readings",
                         std::to_string(ohms.ohms.size()) + " resistances given",
                         YF_WORDS("core", "one resistance and one inductance make a reading")};
        }
        reading.frequency = frequency_->currentData().toDouble();
        reading.r = ohms.ohms.front();
        if (reading.r && !l_->optionalValue()) {
            return Error{"l_h",
                         YF_WORDS("core", "not given"),
                         YF_WORDS("core", "write the inductance beside the resistance")};
        }
        reading.l = l_->optionalValue();
        reading.mode = static_cast<bench::LcrMode>(mode_->currentIndex());
        reading.resolution = ohms.resolution > 0.0 ? std::min(ohms.resolution, 10.0) : 0.1;
    }
    return reading;
}

void CheckCard::judge() {
    if (judgement_ == nullptr || !state_) {
        return;
    }
    QString said;
    bool good = false;
    if (readings_ != nullptr || r_ != nullptr) {
        const QLineEdit* first = readings_ != nullptr ? readings_ : r_;
        const auto reading = written();
        std::optional<bench::DcrJudgement> dcr;
        bench::DcrRequest request;
        if (readings_ != nullptr) {
            job::BenchReading probe = reading ? *reading : begun();
            request = evaluation::dcrRequestFor(state_->job, state_->assembly->readings, probe);
            if (nominal_->optionalValue() && !(request.nominal > 0.0)) {
                request.nominal = nominal_->value();
            }
        }
        if (first->text().trimmed().isEmpty()) {
            if (readings_ != nullptr && request.nominal <= 0.0) {
                said = tr("Write what is printed on the driver first: readings are judged by it.");
            }
        } else if (!reading) {
            said = spoken(text::sentence(reading.error()));
        } else if (readings_ != nullptr) {
            if (request.nominal <= 0.0) {
                said = tr("Write what is printed on the driver first: readings are judged by it.");
            } else if (const auto judged = bench::dcr(request)) {
                dcr = *judged;
                said = dcrSaid(*judged, request.nominal);
                good = true;
            } else {
                said = spoken(text::sentence(judged.error()));
            }
        } else if (const auto judged = bench::lcr(evaluation::lcrRequestFor(
                       state_->job, state_->assembly->readings, *reading))) {
            said = lcrSaid(*judged);
            good = true;
        } else {
            said = spoken(text::sentence(judged.error()));
        }
        if (scale_ != nullptr) {
            scale_->display(request.nominal, dcr, request.twin);
        }
        keep_->setEnabled(good);
    } else if (!practice_) {
        const bool barred = [&] {
            const evaluation::DriverBench* bench = state_->evaluation.findBench(cabinet_, driver_);
            return bench != nullptr && std::ranges::find(bench->diagnosis.barred, check_) !=
                                           bench->diagnosis.barred.end();
        }();
        const job::Driver* driver = job::findDriver(state_->job, driver_);
        const bool burns =
            voltage_ != nullptr && driver != nullptr &&
            bench::batteryBurns(job::roleOf(driver->band), voltage_->currentData().toDouble());
        if (barred) {
            said = tr("■ Not now: turns may be shorted, and that can destroy an amplifier. Read DC "
                      "resistance and LCR first.");
        } else if (burns) {
            said = tr("■ Never 9 V on a tweeter: about 8 W, it can burn it. One dab of 1.5 V, and "
                      "listen.");
        }
        for (QPushButton* button : outcomes_) {
            button->setEnabled(!barred && !burns);
        }
    }
    judgement_->setText(said);
    judgement_->setVisible(!said.isEmpty());
}

void CheckCard::keep() {
    const auto reading = written();
    if (!reading) {
        judge();
        return;
    }
    const auto judged = evaluation::withOutcome(state_->job, state_->assembly->readings, *reading);
    if (!judged) {
        judgement_->setText(spoken(text::sentence(judged.error())));
        judgement_->setVisible(true);
        return;
    }
    Q_EMIT entered(*judged);
    if (readings_ != nullptr) {
        readings_->clear();
    }
    if (r_ != nullptr) {
        r_->clear();
        l_->setValue(std::nullopt);
    }
    instrument_.clear();
    takenResolution_.reset();
    judge();
}

void CheckCard::takeOhms(std::optional<double> ohms, double resolution, const QString& instrument) {
    if (readings_ == nullptr) {
        return;
    }
    const QString figure = ohms ? words(text::printSignificant(*ohms, 6)) : QStringLiteral("OL");
    readings_->setText((readings_->text() + u' ' + figure).trimmed());
    instrument_ = instrument;
    takenResolution_ = resolution;
    judge();
}

void CheckCard::takePair(double frequency,
                         std::optional<double> r,
                         double l,
                         bench::LcrMode mode,
                         const QString& instrument) {
    if (r_ == nullptr) {
        return;
    }
    if (const int at = frequency_->findData(frequency); at >= 0) {
        frequency_->setCurrentIndex(at);
    }
    mode_->setCurrentIndex(static_cast<int>(mode));
    r_->setText(r ? words(text::printSignificant(*r, 6)) : QStringLiteral("OL"));
    l_->setValue(r ? std::optional(l) : std::nullopt);
    instrument_ = instrument;
    judge();
}

void CheckCard::showEarlier() {
    if (earlier_ != nullptr) {
        earlier_->display(state_->job,
                          {cabinet_, job::isAboutCabinet(check_) ? std::string{} : driver_, check_},
                          !practice_);
    }
}

} // namespace yf::app
