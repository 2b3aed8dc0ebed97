// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/measure/calibration_panel.h"

#include "app/measure/equipment.h"
#include "app/plots/plot.h"
#include "app/theme/theme.h"
#include "app/widgets/flow_layout.h"
#include "app/widgets/labels.h"
#include "app/widgets/quantity_field.h"
#include "app/widgets/read_file.h"
#include "app/widgets/words.h"
#include "core/measure/calibration.h"
#include "core/measure/table/decode.h"
#include "core/measure/table/import.h"
#include "core/quantity/level.h"
#include "core/text/number.h"
#include "core/text/sentence.h"
#include "devices/sound.h"

#include <QFileInfo>
#include <QLabel>
#include <QLocale>
#include <QPushButton>
#include <QVBoxLayout>

#include <cmath>
#include <numbers>

namespace yf::app {

namespace {

namespace q = yf::quantity;

const q::Quantity knownLoad{"R", "load_ohm", 1.0, "Ω", 0.1, 1e4, "the known resistor"};
const q::Quantity clipLeads{"R", "lead_ohm", 1.0, "Ω", 0.0, 10.0, "of the clips"};
const q::Quantity calibratorLevel{
    "L", "calibrator_db", 1.0, "dB", 60.0, 130.0, "of the calibrator"};
const q::Quantity meterVolts{"U", "meter_v", 1.0, "V", 1e-3, 200.0, "rms at the terminals"};

} // namespace

CalibrationPanel::CalibrationPanel(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("calibration_panel"));
    const auto label = [this](const QString& name) { return wrappedLabel(this, name); };
    microphone_ = label(QStringLiteral("calibration_microphone"));
    card_ = label(QStringLiteral("calibration_card"));
    jig_ = label(QStringLiteral("calibration_jig"));
    level_ = label(QStringLiteral("calibration_level"));
    told_ = label(QStringLiteral("calibration_told"));
    const auto field = [this](const q::Quantity& quantity,
                              text::Unit unit,
                              const QString& name,
                              const QString& accessible,
                              std::optional<double> value) {
        auto* f = quantityField(this, quantity, unit, name, accessible);
        f->setMayBeEmpty(!value);
        f->setValue(value);
        f->setMaximumWidth(90);
        tellProblems(f, told_);
        return f;
    };
    constexpr double usualLoad = 10.0;       // Ω
    constexpr double usualCalibrator = 94.0; // dB
    load_ = field(knownLoad,
                  text::Unit::ohm,
                  QStringLiteral("calibration_load"),
                  tr("Known resistor in the clips"),
                  usualLoad);
    leads_ = field(clipLeads,
                   text::Unit::ohm,
                   QStringLiteral("calibration_leads"),
                   tr("Resistance of the clips' leads"),
                   0.0);
    calibrator_ = field(calibratorLevel,
                        text::Unit::decibel,
                        QStringLiteral("calibration_calibrator"),
                        tr("Level of the calibrator"),
                        usualCalibrator);
    volts_ = field(meterVolts,
                   text::Unit::volt,
                   QStringLiteral("calibration_volts"),
                   tr("What the voltmeter showed during the tone"),
                   std::nullopt);
    volts_->setPlaceholderText(tr("V rms"));
    plot_ = new Plot(
        PlotKind::level, QStringLiteral("calibration_plot"), tr("What is taken off"), this);

    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(4);
    const auto row = [&](const QString& heading, QLabel* state, const QVector<QWidget*>& controls) {
        column->addWidget(headingLabel(this, heading));
        column->addWidget(state);
        auto* holder = new QWidget(this);
        auto* bar = new FlowLayout(holder);
        bar->setContentsMargins(0, 0, 0, 4);
        for (QWidget* control : controls) {
            bar->addWidget(control);
        }
        column->addWidget(holder);
    };
    using Kind = CalibrationStep::Kind;
    const auto step = [this](const QString& text, const QString& name, Kind kind) {
        QPushButton* b = button(text, name);
        connect(b, &QPushButton::clicked, this, [this, kind] {
            told_->clear();
            Q_EMIT stepWanted(
                {.kind = kind,
                 .figure = kind == Kind::calibrator ? calibrator_->value() : load_->value()});
        });
        return b;
    };
    const auto forget =
        [this](const QString& name, const QString& accessible, void (*change)(take::Calibration&)) {
            QPushButton* b = button(tr("Forget"), name);
            b->setAccessibleName(accessible);
            connect(b, &QPushButton::clicked, this, [this, change] {
                take::Calibration changed = calibration_;
                change(changed);
                keep(std::move(changed));
            });
            return b;
        };
    auto* open = button(tr("Open its file …"), QStringLiteral("calibration_open_microphone"));
    connect(open, &QPushButton::clicked, this, &CalibrationPanel::microphoneWanted);
    row(tr("Microphone"),
        microphone_,
        {open,
         forget(QStringLiteral("calibration_forget_microphone"),
                tr("Forget the microphone"),
                [](take::Calibration& c) {
                    c.microphoneName.clear();
                    c.microphoneTable.clear();
                })});
    row(tr("Sound card"),
        card_,
        {step(tr("Record the loop"), QStringLiteral("calibration_record_card"), Kind::card),
         step(tr("Check for automatic gain"),
              QStringLiteral("calibration_linearity"),
              Kind::linearity),
         forget(QStringLiteral("calibration_forget_card"),
                tr("Forget the sound card"),
                [](take::Calibration& c) {
                    c.cardChannels.clear();
                    c.cardLoop.clear();
                })});
    row(tr("Impedance jig"),
        jig_,
        {step(tr("Clips open"), QStringLiteral("calibration_jig_open"), Kind::jigOpen),
         step(tr("Clips together"), QStringLiteral("calibration_jig_short"), Kind::jigShort),
         step(tr("A resistor of"), QStringLiteral("calibration_jig_load"), Kind::jigLoad),
         load_,
         new QLabel(tr("or only the leads'"), this),
         leads_,
         forget(QStringLiteral("calibration_forget_jig"),
                tr("Forget the jig"),
                [](take::Calibration& c) { c.jig.reset(); })});
    row(tr("Level"),
        level_,
        {step(tr("Calibrator sits on, of"),
              QStringLiteral("calibration_record_level"),
              Kind::calibrator),
         calibrator_,
         step(tr("Play the tone"), QStringLiteral("calibration_tone"), Kind::tone),
         new QLabel(tr("the meter shows"), this),
         volts_,
         forget(QStringLiteral("calibration_forget_level"),
                tr("Forget the level"),
                [](take::Calibration& c) {
                    c.fullScalePressure.reset();
                    c.fullScaleVoltage.reset();
                })});
    column->addWidget(told_);
    constexpr int leastPlot = 140;
    plot_->setMinimumHeight(leastPlot);
    column->addWidget(plot_, 1);
    connect(leads_, &QuantityField::valueChanged, this, [this](double ohms) {
        take::Calibration changed = calibration_;
        changed.lead = ohms;
        keep(std::move(changed));
    });
    connect(volts_, &QuantityField::valueChanged, this, [this] {
        if (!volts_->optionalValue()) {
            return;
        }
        if (!tone_) {
            tell(tr("Play the tone first, and read the meter meanwhile."));
            return;
        }
        auto found = take::withVoltage(calibration_, *tone_, amplitude_, volts_->value());
        if (!found) {
            tell(spoken(text::sentence(found.error())));
            return;
        }
        keep(std::move(*found));
    });
}

QPushButton* CalibrationPanel::button(const QString& text, const QString& name) {
    auto* b = new QPushButton(text, this);
    b->setObjectName(name);
    buttons_ << b;
    return b;
}

void CalibrationPanel::setDevice(const QString& id) {
    device_ = id;
    tone_.reset();
    told_->clear();
    calibration_ = {};
    if (const QString kept = equipment::calibration(id); !kept.isEmpty()) {
        if (auto read = take::readCalibration(kept.toStdString())) {
            calibration_ = std::move(*read);
        } else {
            tell(tr("What was kept for this device can't be read: %1")
                     .arg(spoken(text::sentence(read.error()))));
        }
    }
    leads_->setValue(calibration_.lead);
    volts_->setValue(std::nullopt);
    display();
}

void CalibrationPanel::setBusy(bool busy) {
    for (QPushButton* b : buttons_) {
        b->setEnabled(!busy);
    }
}

void CalibrationPanel::take(const take::Calibration& found,
                            std::shared_ptr<const signal::Recording> tone,
                            double amplitude) {
    if (tone) {
        amplitude_ = amplitude;
        tone_ = std::move(tone);
        volts_->setValue(std::nullopt);
        const bool simulated = device_ == QLatin1String(devices::simulatedId);
        const double shown = sim::SoundBench{}.fullScaleVoltage * amplitude / std::numbers::sqrt2;
        tell(simulated ? tr("The simulated voltmeter showed %1. Type what it shows.")
                             .arg(figures(text::printEngineering(shown, "V")))
                       : tr("The tone is over. Type what the voltmeter showed."));
        volts_->setFocus();
        return;
    }
    keep(found);
    tell(tr("✓ Taken."));
}

void CalibrationPanel::tell(const QString& problem) {
    told_->setText(problem);
}

void CalibrationPanel::readMicrophone(const QString& path) {
    const QString name = QFileInfo(path).fileName();
    const auto read = readFile(path, measure::largestTable);
    if (!read) {
        tell(QStringLiteral("■ ") + spoken(text::sentence(read.error())));
        return;
    }
    const std::string& text = *read;
    auto found = take::withMicrophone(calibration_, name.toStdString(), text);
    if (!found) {
        tell(QStringLiteral("■ ") + spoken(text::sentence(found.error())));
        return;
    }
    keep(std::move(*found));
    const auto table = measure::readMicrophone(text, name.toStdString());
    tell(table && table->wide
             ? tr("▲ It spans more than 15 dB: probably a response, not a microphone's own "
                  "deviation. It is drawn below, and taken off until it is forgotten.")
         : table && table->phaseOpen
             ? tr("▲ Taken without a phase: nothing says what its further columns are.")
             : tr("✓ Taken."));
}

void CalibrationPanel::keep(take::Calibration calibration) {
    calibration_ = std::move(calibration);
    equipment::setCalibration(device_,
                              QString::fromStdString(take::writeCalibration(calibration_)));
    display();
}

void CalibrationPanel::display() {
    const take::Calibration& c = calibration_;
    microphone_->setText(c.microphoneTable.empty()
                             ? tr("None: the microphone is taken for flat.")
                             : tr("%1 is taken off.").arg(words(c.microphoneName)));
    card_->setText(c.cardLoop.empty()
                       ? tr("None. Wire the output to both inputs, then record. Without a "
                            "reference input it matters more.")
                       : (c.cardChannels.empty()
                              ? tr("The loop is known; the inputs against each other are not.")
                              : tr("The loop, and the inputs against each other, are known.")));
    QStringList standards;
    const auto has = [&](const std::vector<double>& list, const QString& name) {
        standards << (list.empty() ? QStringLiteral("– ") : QStringLiteral("✓ ")) + name;
    };
    const driver::JigStandards none;
    const driver::JigStandards& jig = c.jig ? *c.jig : none;
    has(jig.opensRe, tr("open"));
    has(jig.shortsRe, tr("together"));
    has(jig.loadsRe,
        jig.load > 0.0 ? tr("resistor of %1").arg(figures(text::printEngineering(jig.load, "Ω")))
                       : tr("resistor"));
    jig_->setText(standards.join(QStringLiteral(", ")) +
                  (driver::complete(jig)
                       ? tr(": used in place of the sense resistor and the leads.")
                       : tr(": until all three are there, sense resistor and leads count.")));
    QStringList level;
    if (c.fullScalePressure) {
        level << tr("full scale is %1 dB")
                     .arg(QLocale().toString(
                         quantity::decibels(*c.fullScalePressure / quantity::referencePressure) -
                             quantity::decibels(std::numbers::sqrt2),
                         'f',
                         1));
    }
    if (c.fullScaleVoltage) {
        level << tr("1.0 is %1 at the terminals")
                     .arg(figures(text::printEngineering(*c.fullScaleVoltage, "V")));
    }
    level_->setText(level.isEmpty()
                        ? tr("None: levels are relative. It takes both: a calibrator on "
                             "the microphone, and a voltmeter at the terminals.")
                    : level.size() == 1
                        ? tr("%1. The other half is missing: levels stay relative.").arg(level[0])
                        : level.join(QStringLiteral(", ")) + u'.');
    Picture picture{.empty = tr("nothing is taken off")};
    int index = 0;
    const auto draw = [&](const std::string& text, const QString& name) {
        if (text.empty()) {
            return;
        }
        if (const auto table = measure::readMicrophone(text, "")) {
            Trace trace{.id = name,
                        .label = name,
                        .stroke = theme().ways[static_cast<std::size_t>(index++ % 5)]};
            for (std::size_t k = 0; k < table->deviation.size(); ++k) {
                trace.frequencies << table->deviation.frequencies()[k];
                trace.values << quantity::decibels(std::abs(table->deviation.values()[k]));
            }
            picture.traces << trace;
        }
    };
    draw(c.microphoneTable, tr("microphone"));
    draw(c.cardChannels, tr("inputs"));
    draw(c.cardLoop, tr("loop"));
    picture.scale = job::HouseScale{
        .kind = job::ScaleKind::level, .from = 20.0, .to = 20000.0, .low = -10.0, .high = 10.0};
    plot_->display(picture);
}

} // namespace yf::app
