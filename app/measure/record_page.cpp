// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/measure/record_page.h"

#include "app/measure/calibration_panel.h"
#include "app/measure/equipment.h"
#include "app/measure/setup_sketch.h"
#include "app/plots/curves.h"
#include "app/plots/plot.h"
#include "app/theme/theme.h"
#include "app/widgets/controls.h"
#include "app/widgets/labels.h"
#include "app/widgets/quantity_field.h"
#include "app/widgets/words.h"
#include "core/edit/measurement.h"
#include "core/measure/gate.h"
#include "core/quantity/level.h"
#include "core/text/number.h"

#include <QComboBox>
#include <QDate>
#include <QGridLayout>
#include <QLabel>
#include <QLocale>
#include <QProgressBar>
#include <QPushButton>
#include <QScrollArea>
#include <QShortcut>
#include <QSpinBox>
#include <QStackedWidget>
#include <QTimer>
#include <QToolButton>

#include <algorithm>

namespace yf::app {

namespace {

namespace q = yf::quantity;

const q::Quantity levelOfSweep{"A", "level_db", 1.0, "dB", -60.0, 0.0, "peak re full scale"};
const q::Quantity lengthOfSweep{"T", "duration_s", 1.0, "s", 0.2, 60.0, "of one sweep"};
const q::Quantity startOfSweep{"f", "start_hz", 1.0, "Hz", 1.0, 10000.0, "of the sweep"};
const q::Quantity senseOfJig{"Rs", "sense_ohm", 1.0, "Ω", 0.1, 1e4, "of the jig"};
const q::Quantity heightOfDriver{"h", "height_m", 1.0, "m", 0.05, 10.0, "above the floor"};

QuantityField* field(QWidget* parent,
                     const q::Quantity& quantity,
                     text::Unit unit,
                     const QString& name,
                     const QString& accessible,
                     double value) {
    auto* f = quantityField(parent, quantity, unit, name, accessible);
    f->setValue(value);
    f->setMaximumWidth(110);
    return f;
}

} // namespace

RecordPage::RecordPage(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("record_page"));
    recorder_ = new Recorder(this);
    const auto combo = [this](const QString& name, const QString& accessible) {
        QComboBox* box = narrowCombo(this, name, accessible, 16);
        return box;
    };
    device_ = combo(QStringLiteral("record_device"), tr("Device"));
    wanted_ = combo(QStringLiteral("record_wanted"), tr("What is measured"));
    wanted_->addItems({tr("impedance of this driver"),
                       tr("impedance of the whole cabinet"),
                       tr("response on axis"),
                       tr("response at an angle"),
                       tr("near the cone"),
                       tr("in the port"),
                       tr("two drivers together"),
                       tr("response of the whole cabinet")});
    plane_ = combo(QStringLiteral("record_plane"), tr("Plane of the angle"));
    plane_->addItems({tr("right +, left −"), tr("up +, down −")});
    const auto number =
        [this](const QString& name, const QString& accessible, int low, int high, int value) {
            auto* box = countField(this, name, accessible, {low, high});
            box->setValue(value);
            return box;
        };
    angle_ = number(QStringLiteral("record_angle"), tr("Angle in degrees"), -180, 180, 30);
    angle_->setSingleStep(10);
    angle_->setSuffix(QStringLiteral("°"));
    repeats_ = number(QStringLiteral("record_repeats"), tr("Repeats"), 1, 16, 2);
    distance_ = field(this,
                      q::distance,
                      text::Unit::metre,
                      QStringLiteral("record_distance"),
                      tr("Distance of the microphone"),
                      1.0);
    level_ = field(this,
                   levelOfSweep,
                   text::Unit::decibel,
                   QStringLiteral("record_level"),
                   tr("Level of the sweep"),
                   -20.0);
    length_ = field(this,
                    lengthOfSweep,
                    text::Unit::second,
                    QStringLiteral("record_length"),
                    tr("Length of one sweep"),
                    3.0);
    start_ = field(this,
                   startOfSweep,
                   text::Unit::hertz,
                   QStringLiteral("record_start"),
                   tr("Lowest frequency"),
                   10.0);
    sense_ = field(this,
                   senseOfJig,
                   text::Unit::ohm,
                   QStringLiteral("record_sense"),
                   tr("Sense resistor"),
                   10.0);
    height_ = field(this,
                    heightOfDriver,
                    text::Unit::metre,
                    QStringLiteral("record_height"),
                    tr("Height of the driver above the floor"),
                    1.2);
    ceiling_ = field(this,
                     heightOfDriver,
                     text::Unit::metre,
                     QStringLiteral("record_ceiling"),
                     tr("Height of the ceiling"),
                     2.6);
    highest_ = field(this,
                     levelOfSweep,
                     text::Unit::decibel,
                     QStringLiteral("record_highest"),
                     tr("No sweep is played louder than this"),
                     equipment::highestLevel());
    mounting_ = combo(QStringLiteral("record_mounting"), tr("How the driver stands"));
    mounting_->addItems(
        {tr("free, nothing around it"), tr("in a closed box"), tr("in a vented box")});
    partner_ = combo(QStringLiteral("record_partner"), tr("The other driver"));
    safety_ = wrappedLabel(this, QStringLiteral("record_safety"));
    calibrations_ = new QToolButton(this);
    calibrations_->setObjectName(QStringLiteral("record_calibrations"));
    calibrations_->setText(tr("Calibrations"));
    calibrations_->setCheckable(true);
    calibrations_->setProperty("chip", true);
    calibrations_->setToolTip(tr("Microphone, sound card, jig, absolute level of this device."));
    panel_ = new CalibrationPanel(this);
    microphone_ = combo(QStringLiteral("record_measured_input"), tr("Measured input"));
    reference_ = combo(QStringLiteral("record_reference_input"), tr("Reference input"));
    guide_ = wrappedLabel(this, QStringLiteral("record_guide"));
    problem_ = wrappedLabel(this, QStringLiteral("record_problem"));
    sketch_ = new SetupSketch(this);
    bars_ = new LevelBars(this);
    progress_ = new QProgressBar(this);
    progress_->setObjectName(QStringLiteral("record_progress"));
    progress_->setAccessibleName(tr("How far the sweep is"));
    progress_->setRange(0, 1000);
    progress_->setTextVisible(false);
    remaining_ = new QLabel(this);
    remaining_->setObjectName(QStringLiteral("record_remaining"));
    const auto button = [this](const QString& text, const QString& name) {
        auto* b = new QPushButton(text, this);
        b->setObjectName(name);
        return b;
    };
    sweep_ = button(tr("Sweep"), QStringLiteral("record_sweep"));
    listen_ = button(tr("Listen"), QStringLiteral("record_listen"));
    listen_->setToolTip(tr("Plays nothing; the bars show what comes in, for a minute or until "
                           "stopped."));
    cancel_ = button(tr("Cancel"), QStringLiteral("record_cancel"));
    cancel_->setEnabled(false);
    keep_ = button(tr("Keep"), QStringLiteral("record_keep"));
    again_ = button(tr("Discard"), QStringLiteral("record_again"));
    exchange_ = button(tr("Read them the other way round"), QStringLiteral("record_exchange"));
    verdict_ = wrappedLabel(this, QStringLiteral("record_verdict"));
    result_ = new Plot(PlotKind::level, QStringLiteral("record_plot"), tr("This take"), this);

    auto* grid = new QGridLayout;
    grid->setHorizontalSpacing(8);
    grid->setVerticalSpacing(4);
    auto row = [&, r = 0](const QString& text,
                          QWidget* widget,
                          QVector<QWidget*>* group = nullptr) mutable {
        auto* label = new QLabel(text, this);
        label->setBuddy(widget);
        grid->addWidget(label, r, 0);
        grid->addWidget(widget, r, 1);
        if (group != nullptr) {
            *group << label << widget;
        }
        ++r;
    };
    row(tr("Device"), device_);
    row(QString(), calibrations_);
    row(tr("Measured on"), microphone_);
    row(tr("Reference on"), reference_);
    row(tr("What"), wanted_);
    row(tr("With"), partner_, &forTogether_);
    row(tr("Plane"), plane_, &forResponse_);
    row(tr("Angle"), angle_, &forResponse_);
    row(tr("Distance"), distance_, &forResponse_);
    row(tr("Height"), height_, &forResponse_);
    row(tr("Ceiling"), ceiling_, &forResponse_);
    row(tr("Sense resistor"), sense_, &forImpedance_);
    row(tr("Driver stands"), mounting_, &forImpedance_);
    row(tr("Level"), level_);
    row(tr("Never above"), highest_);
    row(tr("From"), start_);
    row(tr("Length"), length_);
    row(tr("Repeats"), repeats_);
    grid->setRowStretch(18, 1);
    grid->setColumnStretch(1, 1);

    auto* sweeping = new QWidget(this);
    auto* right = new QVBoxLayout(sweeping);
    right->setContentsMargins(0, 0, 0, 0);
    right->setSpacing(6);
    right->addWidget(guide_);
    right->addWidget(sketch_, 2);
    right->addWidget(bars_);
    auto* go = new QHBoxLayout;
    go->addWidget(sweep_);
    go->addWidget(listen_);
    go->addStretch(1);
    go->addWidget(cancel_);
    auto* far = new QHBoxLayout;
    far->addWidget(progress_, 1);
    far->addWidget(remaining_);
    right->addLayout(far);
    right->addLayout(go);
    right->addWidget(safety_);
    right->addWidget(verdict_);
    right->addWidget(result_, 3);
    auto* after = new QHBoxLayout;
    after->addWidget(exchange_);
    after->addStretch(1);
    after->addWidget(again_);
    after->addWidget(keep_);
    right->addLayout(after);
    auto* both = new QHBoxLayout(this);
    both->setContentsMargins(0, 0, 0, 0);
    both->setSpacing(12);
    both->addLayout(grid, 4);
    side_ = new QStackedWidget(this);
    side_->addWidget(sweeping);
    // In a small window its rows are more than there is room for.
    auto* scroll = new QScrollArea(this);
    scroll->setObjectName(QStringLiteral("record_calibration_scroll"));
    scroll->setFrameShape(QFrame::NoFrame);
    scroll->setWidgetResizable(true);
    scroll->setFocusPolicy(Qt::NoFocus);
    scroll->setWidget(panel_);
    side_->addWidget(scroll);
    auto* rightColumn = new QVBoxLayout;
    rightColumn->addWidget(side_, 1);
    rightColumn->addWidget(problem_);
    both->addLayout(rightColumn, 5);
    connect(calibrations_, &QToolButton::toggled, this, &RecordPage::showCalibrations);
    connect(panel_, &CalibrationPanel::stepWanted, this, &RecordPage::calibrate);
    connect(panel_, &CalibrationPanel::microphoneWanted, this, [this] {
        Q_EMIT fileWanted(tr("A microphone's file"),
                          tr("Text tables (*.txt *.csv *.cal);;All files (*)"),
                          [this](const QString& path) { panel_->readMicrophone(path); });
    });
    connect(highest_, &QuantityField::valueChanged, this, [this](double level) {
        equipment::setHighestLevel(level);
        showSafety();
    });
    connect(partner_, &QComboBox::currentIndexChanged, this, &RecordPage::guide);

    connect(sweep_, &QPushButton::clicked, this, &RecordPage::start);
    connect(listen_, &QPushButton::clicked, this, [this] {
        bars_->clear();
        calibrate({.kind = CalibrationStep::Kind::listen});
    });
    connect(cancel_, &QPushButton::clicked, this, &RecordPage::cancel);
    auto* escape = new QShortcut(QKeySequence(Qt::Key_Escape), this);
    escape->setContext(Qt::WidgetWithChildrenShortcut);
    connect(escape, &QShortcut::activated, this, &RecordPage::cancel);
    countdown_ = new QTimer(this);
    countdown_->setSingleShot(true);
    connect(countdown_, &QTimer::timeout, this, [this] { play(false); });
    connect(
        keep_, &QPushButton::clicked, this, [this] { keep(made_ && !made_->verdict.usable()); });
    connect(again_, &QPushButton::clicked, this, [this] {
        made_.reset();
        showVerdict();
    });
    connect(exchange_, &QPushButton::clicked, this, &RecordPage::exchange);
    connect(wanted_, &QComboBox::currentIndexChanged, this, &RecordPage::wantedChanged);
    connect(plane_, &QComboBox::currentIndexChanged, this, &RecordPage::guide);
    connect(angle_, &QSpinBox::valueChanged, this, &RecordPage::guide);
    for (QuantityField* f :
         {distance_, height_, ceiling_, level_, start_, length_, sense_, highest_}) {
        connect(f, &QuantityField::valueChanged, this, &RecordPage::guide);
        connect(f, &QuantityField::problemChanged, problem_, &QLabel::setText);
    }
    connect(device_, &QComboBox::currentIndexChanged, this, &RecordPage::fillDevices);
    connect(recorder_, &Recorder::listed, this, [this](const QVector<devices::SoundPort>& ports) {
        ports_ = ports;
        const QSignalBlocker quiet(device_);
        for (const auto& port : ports_) {
            QStringList rates;
            for (const double rate : port.rates) {
                rates << QLocale().toString(rate / 1000.0, 'g', 4);
            }
            device_->addItem(tr("%1 (%2 in, %3 out, %4 kHz)")
                                 .arg(words(port.name))
                                 .arg(port.inputs)
                                 .arg(port.outputs)
                                 .arg(rates.join(QStringLiteral(", "))),
                             words(port.id));
        }
    });
    connect(recorder_,
            &Recorder::progressed,
            this,
            [this](double share, double measured, double reference) {
                bars_->show(measured, reference);
                progress_->setValue(static_cast<int>(1000.0 * share));
                if (share > 0.02) {
                    const double left =
                        static_cast<double>(since_.elapsed()) * 1e-3 * (1.0 - share) / share;
                    remaining_->setText(tr("%1 s left").arg(QLocale().toString(left, 'f', 0)));
                }
            });
    connect(recorder_, &Recorder::judging, this, [this] { remaining_->setText(tr("judging …")); });
    const auto ended = [this] {
        sweep_->setEnabled(true);
        listen_->setEnabled(true);
        panel_->setBusy(false);
        cancel_->setEnabled(false);
        progress_->setValue(0);
        remaining_->clear();
    };
    connect(recorder_,
            &Recorder::finished,
            this,
            [this, ended](const std::shared_ptr<const take::MadeTake>& made) {
                ended();
                made_ = made;
                showVerdict();
                Q_EMIT recorded();
            });
    connect(recorder_, &Recorder::failed, this, [this, ended](const Words& problem) {
        ended();
        problem_->setText(tr("■ %1").arg(spoken(problem)));
        Q_EMIT recorded();
    });
    connect(recorder_,
            &Recorder::calibrated,
            this,
            [this, ended](const std::shared_ptr<const take::Calibration>& found,
                          const std::shared_ptr<const signal::Recording>& tone,
                          double amplitude) {
                ended();
                panel_->take(*found, tone, amplitude);
                Q_EMIT recorded();
            });
    connect(recorder_, &Recorder::gainChecked, this, [this, ended](double step) {
        ended();
        panel_->tell(tr("✓ A sweep 6 dB softer came back %1 dB lower: the gain stands still.")
                         .arg(QLocale().toString(step, 'f', 2)));
        Q_EMIT recorded();
    });
    connect(recorder_, &Recorder::playedSoftly, this, [this, ended](double peak) {
        ended();
        problem_->setText(
            tr("A soft, short sweep came back with a peak of %1 dB. If what you heard was right, "
               "press Sweep again; it then plays at the level set.")
                .arg(QLocale().toString(peak, 'f', 0)));
        showSafety();
        Q_EMIT recorded();
    });
    connect(recorder_, &Recorder::cancelled, this, [this, ended] {
        ended();
        problem_->setText(listening_ ? QString() : tr("Stopped; nothing was kept."));
        listening_ = false;
        Q_EMIT recorded();
    });
    device_->addItem(tr("Simulated bench"), QString::fromLatin1(devices::simulatedId));
    device_->addItem(tr("Simulated bench with a trouble"), QString::fromLatin1(devices::troubleId));
    fillDevices();
    wanted_->setCurrentIndex(static_cast<int>(Wanted::axis));
    wantedChanged();
    showVerdict();
}

void RecordPage::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    if (!asked_) {
        asked_ = true;
        recorder_->list();
    }
}

RecordPage::Wanted RecordPage::wanted() const {
    return static_cast<Wanted>(wanted_->currentIndex());
}

bool RecordPage::impedanceWanted() const {
    return wanted() == Wanted::impedance || wanted() == Wanted::wholeImpedance;
}

bool RecordPage::tweeter() const {
    const job::Driver* driver =
        sight_.present ? job::findDriver(sight_.present->job, sight_.driver) : nullptr;
    return driver != nullptr && (driver->band == job::Band::high || driver->band == job::Band::top);
}

void RecordPage::display(const Sight& sight) {
    const bool other = sight.driver != sight_.driver;
    sight_ = sight;
    if (other) {
        wantedChanged();
    }
    guide();
}

void RecordPage::fillPartners() {
    const QSignalBlocker quiet(partner_);
    const QVariant before = partner_->currentData();
    partner_->clear();
    if (!sight_.present) {
        return;
    }
    const job::Job& job = sight_.present->job;
    const job::Cabinet* cabinet = job::findCabinet(job, sight_.cabinet);
    if (cabinet == nullptr) {
        return;
    }
    for (const job::Mount& mount : cabinet->mounts) {
        const job::Driver* driver = job::findDriver(job, mount.driver);
        if (driver != nullptr && mount.driver != sight_.driver) {
            partner_->addItem(words(driver->name), words(mount.driver));
        }
    }
    partner_->setCurrentIndex(std::max(0, partner_->findData(before)));
}

void RecordPage::want(const QString& partner) {
    wanted_->setCurrentIndex(static_cast<int>(partner.isEmpty() ? Wanted::axis : Wanted::together));
    if (!partner.isEmpty()) {
        fillPartners();
        partner_->setCurrentIndex(std::max(0, partner_->findData(partner)));
    }
    wanted_->setFocus();
}

void RecordPage::showCalibrations(bool shown) {
    const QSignalBlocker quiet(calibrations_);
    calibrations_->setChecked(shown);
    panel_->setDevice(device_->currentData().toString());
    side_->setCurrentIndex(shown ? 1 : 0);
}

void RecordPage::fillDevices() {
    const QString id = device_->currentData().toString();
    panel_->setDevice(id);
    int inputs = 2;
    for (const auto& port : ports_) {
        if (words(port.id) == id) {
            inputs = port.inputs;
        }
    }
    for (QComboBox* box : {microphone_, reference_}) {
        const QSignalBlocker quiet(box);
        const int before = box->currentIndex();
        box->clear();
        if (box == reference_) {
            box->addItem(tr("none"), 0);
        }
        for (int input = 1; input <= inputs; ++input) {
            box->addItem(tr("input %1").arg(input), input);
        }
        const int usual = box == microphone_ ? 0 : std::min(2, box->count() - 1);
        box->setCurrentIndex(before >= 0 && before < box->count() ? before : usual);
    }
}

void RecordPage::wantedChanged() {
    const Wanted w = wanted();
    const bool impedance = impedanceWanted();
    for (QWidget* widget : forResponse_) {
        widget->setVisible(!impedance);
    }
    for (QWidget* widget : forImpedance_) {
        widget->setVisible(impedance);
    }
    for (QWidget* widget : forTogether_) {
        widget->setVisible(w == Wanted::together);
    }
    fillPartners();
    plane_->setEnabled(w == Wanted::angle);
    angle_->setEnabled(w == Wanted::angle);
    const bool near = w == Wanted::nearCone || w == Wanted::nearPort;
    height_->setEnabled(!near);
    ceiling_->setEnabled(!near);
    if (near != (distance_->value() < 0.1)) {
        distance_->setValue(near ? 0.005 : 1.0);
    }
    const bool alone = w != Wanted::whole && w != Wanted::wholeImpedance;
    const auto role =
        alone && tweeter() ? quantity::DriverRole::tweeter : quantity::DriverRole::woofer;
    const measure::SweepStart start =
        impedance ? measure::impedanceSweep(role) : measure::responseSweep(role);
    start_->setValue(start.frequency);
    level_->setValue(start.level);
    guide();
}

QString RecordPage::guideWords() const {
    const Wanted w = wanted();
    QString said;
    switch (w) {
    case Wanted::impedance:
    case Wanted::wholeImpedance:
        said = tr("Amplifier, sense resistor, then the driver; the clips at its own lugs. Hold it "
                  "firmly, nothing behind it. A power amplifier wants 10 to 22 Ω, a headphone "
                  "output 33 to 100 Ω.");
        break;
    case Wanted::axis:
        said = tr("The microphone in front of this driver, at its height, pointing at it.");
        break;
    case Wanted::angle:
        said =
            tr("Turn the loudspeaker, or move the microphone on a circle around it: right and up "
               "count as positive, as the microphone looks at the front.");
        break;
    case Wanted::nearCone:
        said = tr("The microphone a few millimetres before the middle of the cone. Softly: it is "
                  "loud there. Ear protection.");
        break;
    case Wanted::nearPort:
        said = tr("The microphone in the middle of the port's mouth, in its plane.");
        break;
    case Wanted::together:
        said = tr("Three takes from one place, the microphone between both and nothing moved: this "
                  "driver by itself, the other by itself, then both together. They tell how much "
                  "earlier one arrives.");
        break;
    case Wanted::whole:
        said =
            tr("The microphone at the height of the listener's ear, on the axis of the cabinet.");
        break;
    }
    if (tweeter() && !impedanceWanted() && w != Wanted::whole) {
        said += u' ' + tr("A tweeter's sweep starts at 500 Hz or above, and softly.");
    }
    return said;
}

void RecordPage::guide() {
    if (!sight_.present) {
        return;
    }
    const Wanted w = wanted();
    const bool impedance = impedanceWanted();
    SetupSketch::Scene scene{.jig = impedance};
    QString said = guideWords();
    if (!impedance) {
        scene.place = w == Wanted::nearCone   ? job::MicPlace::nearCone
                      : w == Wanted::nearPort ? job::MicPlace::nearPort
                                              : job::MicPlace::farField;
        scene.plane =
            plane_->currentIndex() == 0 ? quantity::Plane::horizontal : quantity::Plane::vertical;
        scene.angle = w == Wanted::angle ? angle_->value() : 0.0;
        scene.room = {.distance = distance_->value(),
                      .speakerHeight = height_->value(),
                      .ceilingHeight = std::max(ceiling_->value(), height_->value() + 0.05)};
        if (scene.place == job::MicPlace::farField) {
            if (const auto gate = measure::roomGate(scene.room, 0.25)) {
                said += u' ' +
                        (gate->first == "floor"
                             ? tr("The room leaves %1 before the floor answers: valid from %2.")
                             : tr("The room leaves %1 before the ceiling answers: valid from %2."))
                            .arg(figures(text::printEngineering(gate->reflectionFree, "s")),
                                 figures(text::printEngineering(gate->lowestValid, "Hz")));
            }
            if (const auto better = signal::betterHeight(scene.room)) {
                said += u' ' + tr("Raising both to %1 would help.")
                                   .arg(figures(text::printSignificant(*better, 3)) +
                                        QStringLiteral("\u202Fm"));
            }
        }
    }
    guide_->setText(said);
    sketch_->display(scene);
    const bool needsDriver = w != Wanted::whole && w != Wanted::wholeImpedance;
    const bool ready = (needsDriver ? !sight_.driver.empty() : !sight_.cabinet.empty()) &&
                       (w != Wanted::together || partner_->count() > 0);
    sweep_->setEnabled(ready && !recorder_->running());
    showSafety();
}

RecordOrder RecordPage::order() const {
    const Wanted w = wanted();
    const bool whole = w == Wanted::whole || w == Wanted::wholeImpedance;
    RecordOrder o{.device = device_->currentData().toString().toStdString(),
                  .measuredInput = microphone_->currentData().toInt(),
                  .referenceInput = reference_->currentData().toInt(),
                  .pace = pace_,
                  .calibration = panel_->calibration()};
    take::TakeOrder& take = o.take;
    const bool impedance = impedanceWanted();
    take.kind = impedance ? job::TakeKind::impedance : job::TakeKind::response;
    take.date = QDate::currentDate().toString(Qt::ISODate).toStdString();
    take.distance = distance_->value();
    job::Recorded& r = take.recorded;
    r.cabinet = sight_.cabinet;
    r.driver = whole ? std::string() : sight_.driver;
    r.place = w == Wanted::nearCone   ? job::MicPlace::nearCone
              : w == Wanted::nearPort ? job::MicPlace::nearPort
                                      : job::MicPlace::farField;
    if (w == Wanted::angle) {
        r.plane =
            plane_->currentIndex() == 0 ? quantity::Plane::horizontal : quantity::Plane::vertical;
        r.angle = angle_->value();
    }
    r.sweep = {.start = start_->value(),
               .end = 22000.0,
               .duration = length_->value(),
               .level = level_->value(),
               .repeats = repeats_->value(),
               .silenceAfter = impedance ? 1.0 : 0.6};
    if (impedance) {
        r.sense = sense_->value();
        r.mounting = static_cast<job::Mounting>(mounting_->currentIndex());
    }
    if (w == Wanted::together) {
        r.also = partner_->currentData().toString().toStdString();
    }
    o.view = {.cabinet = r.cabinet,
              .driver = r.driver,
              .also = r.also,
              .place = r.place,
              .plane = r.plane,
              .angle = r.angle,
              .distance = take.distance};
    return o;
}

bool RecordPage::simulated() const {
    const QString id = device_->currentData().toString();
    return id == QLatin1String(devices::simulatedId) || id == QLatin1String(devices::troubleId);
}

measure::PlayAdvice RecordPage::advice() const {
    const QString device = device_->currentData().toString();
    measure::PlayWish wish{.level = level_->value(),
                           .highest = equipment::highestLevel(),
                           .near = wanted() == Wanted::nearCone || wanted() == Wanted::nearPort,
                           .fullScaleVoltage = panel_->calibration().fullScaleVoltage};
    if (played_.contains(device)) {
        wish.before = played_[device];
    } else if (simulated()) {
        wish.before = 0.0; // nobody's ears, nobody's driver
    }
    const job::Driver* driver =
        sight_.present ? job::findDriver(sight_.present->job, sight_.driver) : nullptr;
    if (driver != nullptr) {
        wish.Re = driver->sheet.model.Re;
        wish.role = job::roleOf(driver->band);
    }
    return measure::beforePlay(wish);
}

void RecordPage::showSafety() {
    if (!sight_.present) {
        return;
    }
    const measure::PlayAdvice a = advice();
    QStringList said;
    if (a.softFirst) {
        said << tr("The first play on this device is short and soft, at %1 dB.")
                    .arg(QLocale().toString(measure::firstPlayLevel, 'f', 0));
    }
    if (a.power && !impedanceWanted()) {
        said << (a.muchPower ? QStringLiteral("▲ ") : QString()) +
                    tr("About %1 at the driver.")
                        .arg(figures(text::printEngineering(*a.power, "W", 2)));
    }
    const job::Driver* driver = job::findDriver(sight_.present->job, sight_.driver);
    if (a.power && !impedanceWanted() && driver != nullptr && !driver->sheet.model.Re) {
        said << tr("Its resistance is not printed: that of a usual 8 Ω driver was taken.");
    }
    if (a.muchPower && !impedanceWanted()) {
        said << tr("That is more than a tenth of what such a driver usually bears.");
    }
    safety_->setText(said.join(u' '));
    safety_->setVisible(!said.isEmpty() && !made_);
}

void RecordPage::start() {
    problem_->clear();
    for (const QuantityField* f : {distance_, level_, start_, length_, sense_}) {
        if (!f->problem().isEmpty()) {
            problem_->setText(f->problem());
            return;
        }
    }
    if (microphone_->currentData() == reference_->currentData()) {
        problem_->setText(tr("Measured and reference are the same input: choose another one."));
        return;
    }
    if (impedanceWanted() && reference_->currentData().toInt() == 0) {
        problem_->setText(tr("The jig needs a reference input: the source side of the resistor."));
        return;
    }
    const measure::PlayAdvice a = advice();
    if (a.beyondHighest) {
        problem_->setText(tr("■ %1 dB is above the highest level, %2 dB: lower it, or raise "
                             "“Never above” on purpose.")
                              .arg(QLocale().toString(level_->value(), 'f', 1),
                                   QLocale().toString(equipment::highestLevel(), 'f', 1)));
        return;
    }
    if (a.raise && !confirmed_) {
        confirmed_ = true;
        problem_->setText(tr("▲ That is more than 12 dB louder than the last sweep. Press Sweep "
                             "again if you mean it."));
        return;
    }
    confirmed_ = false;
    if (a.countdown && !a.softFirst && !simulated()) {
        constexpr int warning = 1000; // ms
        sweep_->setEnabled(false);
        remaining_->setText(wanted() == Wanted::nearCone || wanted() == Wanted::nearPort
                                ? tr("in a second – ears away …")
                                : tr("in a second, loud …"));
        cancel_->setEnabled(true);
        countdown_->start(warning);
        return;
    }
    play(a.softFirst);
}

void RecordPage::cancel() {
    if (countdown_->isActive()) {
        countdown_->stop();
        cancel_->setEnabled(false);
        remaining_->clear();
        guide();
        return;
    }
    if (recorder_->running()) {
        recorder_->cancel();
    }
}

void RecordPage::play(bool softFirst) {
    made_.reset();
    showVerdict();
    bars_->clear();
    sweep_->setEnabled(false);
    listen_->setEnabled(false);
    panel_->setBusy(true);
    cancel_->setEnabled(true);
    cancel_->setFocus();
    since_.start();
    RecordOrder o = order();
    o.softFirst = softFirst;
    o.trouble = trouble_++;
    played_[device_->currentData().toString()] =
        softFirst ? std::max(measure::firstPlayLevel, level_->value()) : level_->value();
    recorder_->start(sight_.present->job, o);
}

void RecordPage::calibrate(const CalibrationStep& step) {
    if (recorder_->running() || !sight_.present) {
        return;
    }
    problem_->clear();
    if (step.kind == CalibrationStep::Kind::tone && advice().softFirst) {
        panel_->tell(tr("Sweep once, softly, before the tone: nothing was played on this device "
                        "yet."));
        return;
    }
    RecordOrder o = order();
    o.step = step;
    o.toneAmplitude = quantity::gain(std::min(take::toneLevel, equipment::highestLevel()));
    o.step->sense = sense_->value();
    using Kind = CalibrationStep::Kind;
    listening_ = step.kind == Kind::listen;
    const bool jig = (listening_ && impedanceWanted()) || step.kind == Kind::jigOpen ||
                     step.kind == Kind::jigShort || step.kind == Kind::jigLoad;
    o.take.kind = jig ? job::TakeKind::impedance : job::TakeKind::response;
    // A jig and a loop bear the whole band, whatever the driver chosen does.
    o.take.recorded.sweep.start = take::calibrationStart;
    o.take.recorded.sweep.level = std::min(take::calibrationLevel, equipment::highestLevel());
    o.take.recorded.sweep.silenceAfter = 1.0;
    panel_->setBusy(true);
    sweep_->setEnabled(false);
    listen_->setEnabled(false);
    cancel_->setEnabled(true);
    cancel_->setFocus();
    since_.start();
    recorder_->start(sight_.present->job, o);
}

void RecordPage::showVerdict() {
    keep_->setVisible(made_ != nullptr);
    again_->setVisible(made_ != nullptr);
    exchange_->setVisible(made_ && made_->verdict.has(measure::Fault::channelsSwapped) &&
                          made_->take.recording && !made_->take.recording->reference.empty());
    exchange_->setEnabled(true);
    result_->setVisible(made_ != nullptr);
    sketch_->setVisible(made_ == nullptr);
    verdict_->setVisible(made_ != nullptr);
    if (!made_) {
        guide();
        return;
    }
    const measure::Verdict& v = made_->verdict;
    QStringList said;
    if (v.faults.empty()) {
        said << tr("✓ A good take: signal to noise %1 dB, peak %2 dB.")
                    .arg(QLocale().toString(v.medianSignalToNoise.value_or(0.0), 'f', 0),
                         QLocale().toString(v.peak, 'f', 0));
    }
    for (const measure::Fault fault : v.faults) {
        said << (measure::spoils(fault) ? QStringLiteral("■ ") : QStringLiteral("▲ ")) +
                    spoken(measure::sentenceOf(fault, v));
    }
    if (made_->reading.reflection && made_->take.kind == job::TakeKind::response) {
        said << tr("First reflection %1 after the sound; the gate ends before it, valid from %2.")
                    .arg(figures(text::printEngineering(made_->reading.reflection->after, "s")),
                         figures(text::printEngineering(made_->reading.gate.lowestValid(), "Hz")));
    }
    verdict_->setText(said.join(u'\n'));
    tint(verdict_, v.usable() ? theme().ink : theme().stop);
    keep_->setText(v.usable() ? tr("Keep") : tr("Keep anyway, marked"));
    const bool impedance = made_->take.kind == job::TakeKind::impedance;
    const job::Driver* driver = job::findDriver(sight_.present->job, sight_.driver);
    Picture picture{.foot = made_->take.recorded.simulated ? tr("simulated") : QString()};
    picture.traces = {traceOf({QStringLiteral("take"), impedance ? tr("|Z|") : tr("level")},
                              strokeOf(driver == nullptr ? job::Band::low : driver->band),
                              *made_->take.curve,
                              impedance ? Shown::modulus : Shown::level)};
    if (impedance != (result_->kind() == PlotKind::impedance)) {
        auto* other = new Plot(impedance ? PlotKind::impedance : PlotKind::level,
                               QStringLiteral("record_plot"),
                               tr("This take"),
                               this);
        delete layout()->replaceWidget(result_, other, Qt::FindChildrenRecursively);
        delete result_;
        result_ = other;
    }
    result_->display(picture);
}

void RecordPage::exchange() {
    if (!made_ || !made_->take.recording || recorder_->running()) {
        return;
    }
    const job::Take& take = made_->take;
    take::TakeOrder order{.kind = take.kind,
                          .recorded = take.recorded,
                          .recording = *take.recording,
                          .date = take.date,
                          .distance = take.distance,
                          .drive = take.drive};
    std::swap(order.recording.measured, order.recording.reference);
    // The next sweep is to be read that way from the start.
    const int measured = microphone_->findData(reference_->currentData());
    const int reference = reference_->findData(microphone_->currentData());
    if (measured >= 0 && reference >= 0) {
        microphone_->setCurrentIndex(measured);
        reference_->setCurrentIndex(reference);
    }
    exchange_->setEnabled(false);
    recorder_->judgeAgain(order);
}

void RecordPage::keep(bool anyway) {
    if (!made_) {
        return;
    }
    job::Take take = made_->take;
    take.recorded.keptAnyway = anyway;
    made_.reset();
    showVerdict();
    Q_EMIT edited(edit::addRecordedTake(std::move(take)));
}

} // namespace yf::app
