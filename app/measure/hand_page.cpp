// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/measure/hand_page.h"

#include "app/measure/with_limits.h"
#include "app/plots/curves.h"
#include "app/plots/plot.h"
#include "app/widgets/labels.h"
#include "app/widgets/quantity_field.h"
#include "app/widgets/words.h"
#include "core/driver/resonance.h"
#include "core/edit/measurement.h"
#include "core/take/make.h"
#include "core/take/manual.h"
#include "core/text/number.h"
#include "core/text/sentence.h"

#include <QDate>
#include <QGridLayout>
#include <QHeaderView>
#include <QLabel>
#include <QPushButton>
#include <QTableWidget>

#include <algorithm>
#include <numbers>

namespace yf::app {

namespace {

namespace q = yf::quantity;

const q::Quantity senseByMeter{"Rs", "sense_ohm", 1.0, "Ω", 0.1, 1e4, "by the same meter"};
const q::Quantity coilByMeter{"R", "dcr_ohm", 1.0, "Ω", 0.1, 2000.0, "by meter, leads off"};
const q::Quantity tone{"f", "frequency_hz", 1.0, "Hz", 1.0, 40000.0, "of the source"};
const q::Quantity volts{"U", "volts", 1.0, "V", 1e-4, 1000.0, "rms"};

} // namespace

HandPage::HandPage(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("hand_page"));
    told_ = wrappedLabel(this, QStringLiteral("hand_told"));
    next_ = wrappedLabel(this, QStringLiteral("hand_next"), 12.0, QFont::DemiBold);
    const auto field = [this](const q::Quantity& quantity,
                              text::Unit unit,
                              const QString& name,
                              const QString& accessible,
                              bool empty = true) {
        auto* f = quantityField(this, quantity, unit, name, accessible);
        f->setMayBeEmpty(empty);
        f->setMinimumWidth(84);
        f->setMaximumWidth(110);
        tellProblems(f, told_);
        return f;
    };
    sense_ = field(
        senseByMeter, text::Unit::ohm, QStringLiteral("hand_sense"), tr("Sense resistor"), false);
    sense_->setValue(driver::usualSense);
    dcr_ = field(
        coilByMeter, text::Unit::ohm, QStringLiteral("hand_dcr"), tr("DC resistance of the coil"));
    dcr_->setPlaceholderText(tr("Ω"));
    const auto volt = [&](const QString& name, const QString& accessible) {
        QuantityField* f = field(volts, text::Unit::volt, name, accessible);
        f->setPlaceholderText(tr("V"));
        return f;
    };
    f_ = field(tone, text::Unit::hertz, QStringLiteral("hand_f"), tr("Frequency of the tone"));
    senseVolts_ = volt(QStringLiteral("hand_sense_volts"), tr("Volts across the resistor"));
    driverVolts_ = volt(QStringLiteral("hand_driver_volts"), tr("Volts across the driver"));
    sourceVolts_ = volt(QStringLiteral("hand_source_volts"),
                        tr("Volts across both together: gives the angle"));
    const auto button = [this](const QString& text, const QString& name) {
        auto* b = new QPushButton(text, this);
        b->setObjectName(name);
        return b;
    };
    add_ = button(tr("Take the reading"), QStringLiteral("hand_add"));
    drop_ = button(tr("Remove the marked one"), QStringLiteral("hand_drop"));
    keep_ = button(tr("Keep as a take"), QStringLiteral("hand_keep"));
    table_ = new QTableWidget(0, 4, this);
    table_->setObjectName(QStringLiteral("hand_table"));
    table_->setAccessibleName(tr("Readings"));
    table_->setHorizontalHeaderLabels({tr("tone"), tr("resistor"), tr("driver"), tr("|Z|")});
    table_->verticalHeader()->hide();
    table_->setEditTriggers(QAbstractItemView::NoEditTriggers);
    table_->setSelectionBehavior(QAbstractItemView::SelectRows);
    table_->setTabKeyNavigation(false);
    table_->horizontalHeader()->setSectionResizeMode(QHeaderView::Stretch);
    plot_ =
        new Plot(PlotKind::impedance, QStringLiteral("hand_plot"), tr("Impedance by hand"), this);

    auto* grid = new QGridLayout;
    grid->setVerticalSpacing(4);
    int r = 0;
    const auto whole = [&](QWidget* widget) { grid->addWidget(widget, r++, 0, 1, 4); };
    const auto pair = [&](int column, const QString& text, QWidget* widget) {
        auto* label = new QLabel(text, this);
        label->setBuddy(widget);
        grid->addWidget(label, r, column);
        grid->addWidget(widget, r, column + 1);
    };
    auto* how = wrappedLabel(this, QStringLiteral("hand_how"));
    how->setText(
        tr("Sine source, resistor, driver in a row. Read the volts across the resistor and "
           "across the driver with one meter in one range; across both too, if its angle "
           "is wanted."));
    whole(how);
    pair(0, tr("Resistor"), sense_);
    pair(2, tr("Coil"), dcr_);
    ++r;
    whole(next_);
    pair(0, tr("Tone"), f_);
    ++r;
    pair(0, tr("At resistor"), senseVolts_);
    pair(2, tr("At driver"), driverVolts_);
    ++r;
    pair(0, tr("At both"), sourceVolts_);
    grid->addWidget(add_, r++, 2, 1, 2);
    whole(table_);
    auto* below = new QHBoxLayout;
    below->addWidget(drop_);
    below->addStretch(1);
    below->addWidget(keep_);
    grid->addLayout(below, r++, 0, 1, 4);
    whole(told_);
    auto* both = new QHBoxLayout(this);
    both->setContentsMargins(0, 0, 0, 0);
    both->setSpacing(12);
    both->addLayout(grid, 4);
    both->addWidget(plot_, 5);
    connect(add_, &QPushButton::clicked, this, &HandPage::add);
    for (QuantityField* f : {driverVolts_, sourceVolts_}) {
        connect(f, &QLineEdit::returnPressed, this, [this] {
            if (senseVolts_->optionalValue() && driverVolts_->optionalValue()) {
                add();
            }
        });
    }
    connect(drop_, &QPushButton::clicked, this, [this] {
        const int row = table_->currentRow();
        if (row >= 0 && row < static_cast<int>(readings_.size())) {
            readings_.erase(readings_.begin() + row);
            again();
        }
    });
    for (QuantityField* f : {sense_, dcr_}) {
        connect(f, &QuantityField::valueChanged, this, &HandPage::again);
    }
    connect(keep_, &QPushButton::clicked, this, [this] {
        if (found_ && !sight_.driver.empty()) {
            const std::string today = QDate::currentDate().toString(Qt::ISODate).toStdString();
            Q_EMIT edited(
                edit::addRecordedTake(take::handTake(sight_.driver, request(), *found_, today)));
        }
    });
}

void HandPage::display(const Sight& sight) {
    if (sight.driver != sight_.driver) {
        readings_.clear();
        f_->setValue(std::nullopt);
    }
    sight_ = sight;
    again();
}

driver::MultimeterRequest HandPage::request() const {
    driver::MultimeterRequest request{.sense = sense_->value(), .dcr = dcr_->optionalValue()};
    const bool angles = std::ranges::all_of(
        readings_, [](const Reading& reading) { return reading.source.has_value(); });
    for (const Reading& reading : readings_) {
        request.frequencies.push_back(reading.f);
        request.senseVolts.push_back(reading.sense);
        request.driverVolts.push_back(reading.driver);
        if (angles) {
            request.sourceVolts.push_back(*reading.source);
        }
    }
    return request;
}

void HandPage::add() {
    for (QuantityField* f : {f_, senseVolts_, driverVolts_}) {
        if (!f->optionalValue() || !f->problem().isEmpty()) {
            told_->setText(f->problem().isEmpty() ? tr("Type tone, and both voltages.")
                                                  : f->problem());
            f->setFocus();
            return;
        }
    }
    const Reading reading{
        f_->value(), senseVolts_->value(), driverVolts_->value(), sourceVolts_->optionalValue()};
    // The same tone again takes the old reading's place.
    std::erase_if(readings_,
                  [&](const Reading& old) { return std::abs(old.f / reading.f - 1.0) < 1e-6; });
    readings_.insert(std::ranges::upper_bound(readings_, reading.f, {}, &Reading::f), reading);
    for (QuantityField* f : {senseVolts_, driverVolts_, sourceVolts_}) {
        f->setValue(std::nullopt);
    }
    again();
    if (found_ && found_->next) {
        f_->setValue(*found_->next);
    }
    senseVolts_->setFocus();
}

void HandPage::again() {
    found_.reset();
    told_->clear();
    Picture picture{.empty = tr("no reading yet")};
    const job::Driver* driver =
        sight_.present ? job::findDriver(sight_.shown().job, sight_.driver) : nullptr;
    if (readings_.empty()) {
        begin(driver);
    } else {
        const auto asked = request();
        const auto wrong = driver::check(asked);
        auto found = wrong ? Result<driver::Multimeter>(*wrong) : driver::multimeter(asked);
        if (found) {
            found_ = std::move(*found);
            std::vector<curve::Complex> values(found_->moduli.begin(), found_->moduli.end());
            picture.traces = {traceOf({QStringLiteral("hand"), tr("by hand")},
                                      strokeOf(driver == nullptr ? job::Band::low : driver->band),
                                      asked.frequencies,
                                      values,
                                      Shown::modulus)};
            tellFound();
        } else {
            told_->setText(QStringLiteral("■ ") + spoken(text::sentence(found.error())));
        }
    }
    fillTable();
    plot_->display(picture);
    drop_->setEnabled(!readings_.empty());
    constexpr std::size_t least = 3;
    keep_->setEnabled(found_.has_value() && readings_.size() >= least && driver != nullptr);
}

void HandPage::begin(const job::Driver* driver) {
    const bool tweeter =
        driver != nullptr && (driver->band == job::Band::high || driver->band == job::Band::top);
    const double first = driver::firstTones(tweeter).front();
    next_->setText(tr("Begin at %1.").arg(figures(text::printEngineering(first, "Hz"))));
    if (!f_->optionalValue()) {
        f_->setValue(first);
    }
}

void HandPage::tellFound() {
    const driver::Multimeter& m = *found_;
    next_->setText(m.next ? tr("Next: %1 – %2.")
                                .arg(figures(text::printEngineering(*m.next, "Hz")), spoken(m.why))
                          : tr("✓ Enough: %1.").arg(spoken(m.why)));
    QStringList said;
    const auto say = [&](const char* symbol,
                         const std::optional<double>& value,
                         const std::optional<double>& u,
                         const char* unit) {
        if (value && u) {
            said << QStringLiteral("%1 %2").arg(QLatin1String(symbol),
                                                withLimits(*value, *u, unit));
        }
    };
    say("fs", m.fs, m.fsU, "Hz");
    say("Qms", m.Qms, m.QmsU, "");
    say("Qes", m.Qes, m.QesU, "");
    say("Qts", m.Qts, m.QtsU, "");
    told_->setText(said.isEmpty() ? tr("From six readings on the parameters stand here.")
                                  : said.join(QStringLiteral("; ")));
}

void HandPage::fillTable() {
    table_->setRowCount(0);
    for (std::size_t i = 0; i < readings_.size(); ++i) {
        const int row = table_->rowCount();
        table_->insertRow(row);
        const Reading& reading = readings_[i];
        const QString cells[] = {figures(text::printEngineering(reading.f, "Hz", 4)),
                                 figures(text::printEngineering(reading.sense, "V", 4)),
                                 figures(text::printEngineering(reading.driver, "V", 4)),
                                 found_ ? figures(text::printEngineering(found_->moduli[i], "Ω"))
                                        : QString()};
        for (int c = 0; c < 4; ++c) {
            table_->setItem(row, c, new QTableWidgetItem(cells[c]));
        }
    }
}

} // namespace yf::app
