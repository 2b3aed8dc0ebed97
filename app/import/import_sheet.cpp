// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/import/import_sheet.h"

#include "app/plots/curves.h"
#include "app/widgets/flow_layout.h"
#include "app/widgets/quantity_field.h"
#include "app/widgets/words.h"
#include "core/measure/decode.h"
#include "core/text/sentence.h"

#include <QCheckBox>
#include <QComboBox>
#include <QDate>
#include <QFile>
#include <QFileInfo>
#include <QHBoxLayout>
#include <QHeaderView>
#include <QLabel>
#include <QListWidget>
#include <QLocale>
#include <QPushButton>
#include <QTableWidget>
#include <QVBoxLayout>

#include <algorithm>
#include <cmath>

namespace yf::app {

namespace {

constexpr int listWidth = 230;
constexpr int previewHeight = 150;

namespace q = yf::quantity;

QString roleWords(measure::ColumnRole role, const take::ImportedTake* imported) {
    switch (role) {
    case measure::ColumnRole::frequency:
        return ImportSheet::tr("frequency");
    case measure::ColumnRole::value:
        return imported == nullptr                               ? ImportSheet::tr("value")
               : imported->take.kind == job::TakeKind::impedance ? ImportSheet::tr("ohms")
                                                                 : ImportSheet::tr("level, dB");
    case measure::ColumnRole::phase:
        return ImportSheet::tr("phase");
    case measure::ColumnRole::unused:
        return ImportSheet::tr("not used");
    }
    return {};
}

/// A control with its name before it, as one piece of a bar that breaks into rows.
QWidget* named(const QString& text, QWidget* control, QWidget* parent) {
    auto* holder = new QWidget(parent);
    auto* label = new QLabel(text, holder);
    label->setBuddy(control);
    auto* row = new QHBoxLayout(holder);
    row->setContentsMargins(0, 0, 8, 0);
    row->setSpacing(4);
    row->addWidget(label);
    row->addWidget(control);
    return holder;
}

/// Where a file's microphone stood, for the list.
QString placeWords(const take::ImportOrder& order) {
    if (order.place == job::MicPlace::nearCone) {
        return ImportSheet::tr("near the cone");
    }
    if (order.place == job::MicPlace::nearPort) {
        return ImportSheet::tr("in the port");
    }
    if (order.angle == 0.0) {
        return ImportSheet::tr("on axis");
    }
    const QString degrees = QLocale().toString(std::abs(order.angle), 'g', 4);
    const bool positive = order.angle > 0.0;
    return (order.plane == quantity::Plane::horizontal
                ? (positive ? ImportSheet::tr("%1° right") : ImportSheet::tr("%1° left"))
                : (positive ? ImportSheet::tr("%1° up") : ImportSheet::tr("%1° down")))
        .arg(degrees);
}

/// Samples around the arrival as shares of the peak, as many as a picture can show.
Trace impulseTrace(const take::ImpulseFound& found) {
    Trace trace{.id = QStringLiteral("impulse"),
                .label = ImportSheet::tr("impulse"),
                .stroke = theme().sum};
    trace.stroke.width = 1.4;
    double peak = 0.0;
    for (const double sample : found.impulse.samples) {
        peak = std::max(peak, std::abs(sample));
    }
    constexpr double before = 5e-3;
    constexpr double after = 0.1;
    for (std::size_t n = 0; n < found.impulse.samples.size(); ++n) {
        const double t =
            static_cast<double>(n) / found.impulse.rate - found.impulse.timeZero - found.arrival;
        if (t >= -before && t <= after) {
            trace.frequencies << t;
            trace.values << found.impulse.samples[n] / peak;
        }
    }
    return trace;
}

} // namespace

ImportSheet::ImportSheet(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("import_sheet"));
    setProperty("help", QStringLiteral("import"));
    build();
}

QComboBox*
ImportSheet::choice(const QString& name, const QString& title, const QStringList& items) {
    auto* box = new QComboBox(this);
    box->setObjectName(name);
    box->setAccessibleName(title);
    box->addItems(items);
    connect(box, &QComboBox::currentIndexChanged, this, &ImportSheet::correct);
    return box;
}

QWidget* ImportSheet::buildTableCorrections() {
    auto* holder = new QWidget(this);
    auto* bar = new FlowLayout(holder);
    bar->setContentsMargins(0, 0, 0, 0);
    const QString self = tr("by itself");
    quantity_ = choice(QStringLiteral("import_quantity"),
                       tr("What the values are"),
                       {self, tr("level"), tr("impedance")});
    delimiter_ = choice(QStringLiteral("import_delimiter"),
                        tr("What separates columns"),
                        {self, tr("tab"), tr("semicolon"), tr("blank"), tr("comma")});
    decimal_ = choice(
        QStringLiteral("import_decimal"), tr("Decimal sign"), {self, tr("point"), tr("comma")});
    frequencyUnit_ = choice(QStringLiteral("import_frequency_unit"),
                            tr("Unit of the frequencies"),
                            {self, QStringLiteral("Hz"), QStringLiteral("kHz")});
    valueColumn_ = choice(QStringLiteral("import_value_column"), tr("Column of the values"), {});
    phaseColumn_ = choice(QStringLiteral("import_phase_column"), tr("Column of the phases"), {});
    phaseUnit_ = choice(QStringLiteral("import_phase_unit"),
                        tr("Unit of the phases"),
                        {self, tr("degrees"), tr("radians")});
    bar->addWidget(named(tr("values"), quantity_, holder));
    bar->addWidget(named(tr("columns by"), delimiter_, holder));
    bar->addWidget(named(tr("decimal"), decimal_, holder));
    bar->addWidget(named(tr("frequencies in"), frequencyUnit_, holder));
    bar->addWidget(named(tr("values in column"), valueColumn_, holder));
    bar->addWidget(named(tr("phases in column"), phaseColumn_, holder));
    bar->addWidget(named(tr("phases in"), phaseUnit_, holder));
    return holder;
}

QWidget* ImportSheet::buildSoundCorrections() {
    auto* holder = new QWidget(this);
    auto* bar = new FlowLayout(holder);
    bar->setContentsMargins(0, 0, 0, 0);
    const auto field = [&](const quantity::Quantity& quantity, text::Unit unit, const char* name) {
        auto* made = new QuantityField(quantity, unit, holder);
        made->setObjectName(QLatin1String(name));
        made->setMaximumWidth(90);
        connect(made, &QuantityField::valueChanged, this, &ImportSheet::correct);
        return made;
    };
    gate_ = field(q::gate.as("gate", YF_WORDS("core", "length of the gate after the arrival")),
                  text::Unit::second,
                  "import_gate");
    timeZero_ = field(
        q::Quantity{
            "t0", "t0", 1.0, "s", 0.0, 600.0, YF_WORDS("core", "time zero after the first sample")},
        text::Unit::second,
        "import_time_zero");
    fullScale_ = field(
        q::Quantity{
            "L", "full", 1.0, "dB", -60.0, 240.0, YF_WORDS("core", "level of a sample of 1")},
        text::Unit::decibel,
        "import_full_scale");
    channel_ = choice(QStringLiteral("import_channel"), tr("Channel"), {});
    bar->addWidget(named(tr("gate"), gate_, holder));
    bar->addWidget(named(tr("time zero"), timeZero_, holder));
    bar->addWidget(named(tr("a sample of 1 is"), fullScale_, holder));
    bar->addWidget(named(tr("channel"), channel_, holder));
    return holder;
}

void ImportSheet::build() {
    list_ = new QListWidget(this);
    list_->setObjectName(QStringLiteral("import_list"));
    list_->setAccessibleName(tr("Files to be taken"));
    list_->setFixedWidth(listWidth);
    connect(list_, &QListWidget::currentRowChanged, this, &ImportSheet::show);
    driver_ = choice(QStringLiteral("import_driver"), tr("Driver that was measured"), {});
    driver_->setSizeAdjustPolicy(QComboBox::AdjustToContents);
    const auto field = [&](const quantity::Quantity& quantity, text::Unit unit, const char* name) {
        auto* made = new QuantityField(quantity, unit, this);
        made->setObjectName(QLatin1String(name));
        made->setMaximumWidth(90);
        connect(made, &QuantityField::valueChanged, this, &ImportSheet::correct);
        return made;
    };
    place_ = choice(QStringLiteral("import_place"),
                    tr("Where the microphone stood"),
                    {tr("before it, or to its sides"),
                     tr("above or below it"),
                     tr("near the cone"),
                     tr("in the port")});
    angle_ = field(q::Quantity{"θ", "angle_deg", 1.0, "°", -180.0, 180.0, "off the axis"},
                   text::Unit::none,
                   "import_angle");
    angle_->setAccessibleName(tr("Angle off the axis, right and up positive"));
    distance_ = field(q::distance, text::Unit::metre, "import_distance");
    drive_ = field(q::voltage.as("drive", "drive, rms"), text::Unit::volt, "import_drive");
    trustedFrom_ =
        field(q::frequency.as("trusted", YF_WORDS("core", "believed from this frequency up")),
              text::Unit::hertz,
              "import_trusted");
    trustedFrom_->setMayBeEmpty(true);
    common_ = new QCheckBox(tr("common time zero"), this);
    common_->setObjectName(QStringLiteral("import_common"));
    common_->setToolTip(tr("Measured with one clock and one time zero for all drivers of the "
                           "cabinet, so that their phases may be compared."));
    connect(common_, &QCheckBox::toggled, this, &ImportSheet::correct);
    auto* holder = new QWidget(this);
    auto* bar = new FlowLayout(holder);
    bar->setContentsMargins(0, 0, 0, 0);
    bar->addWidget(named(tr("for"), driver_, holder));
    bar->addWidget(named(tr("taken"), place_, holder));
    bar->addWidget(named(tr("angle"), angle_, holder));
    bar->addWidget(named(tr("distance"), distance_, holder));
    bar->addWidget(named(tr("drive"), drive_, holder));
    bar->addWidget(named(tr("believed from"), trustedFrom_, holder));
    bar->addWidget(common_);
    tableCorrections_ = buildTableCorrections();
    soundCorrections_ = buildSoundCorrections();
    preview_ = new QTableWidget(this);
    preview_->setObjectName(QStringLiteral("import_preview"));
    preview_->setAccessibleName(tr("First rows of the file"));
    preview_->setEditTriggers(QAbstractItemView::NoEditTriggers);
    preview_->setSelectionMode(QAbstractItemView::NoSelection);
    preview_->setTabKeyNavigation(false); // Tab goes on to the next control
    preview_->setFixedHeight(previewHeight);
    preview_->verticalHeader()->setVisible(false);
    preview_->horizontalHeader()->setSectionResizeMode(QHeaderView::Stretch);
    preview_->setFont(figureFont(9.0));
    preview_->verticalHeader()->setDefaultSectionSize(20);
    told_ = new QLabel(this);
    told_->setObjectName(QStringLiteral("import_told"));
    told_->setTextFormat(Qt::PlainText);
    told_->setWordWrap(true);
    level_ = new Plot(PlotKind::level, QStringLiteral("import_plot_level"), tr("Response"), this);
    impedance_ = new Plot(
        PlotKind::impedance, QStringLiteral("import_plot_impedance"), tr("Impedance"), this);
    impulse_ = new Plot(PlotKind::impulse,
                        QStringLiteral("import_plot_impulse"),
                        tr("Impulse response after the arrival"),
                        this);
    take_ = new QPushButton(this);
    take_->setObjectName(QStringLiteral("import_take"));
    take_->setProperty("main", true);
    connect(take_, &QPushButton::clicked, this, &ImportSheet::take);
    auto* leave = new QPushButton(tr("Leave them"), this);
    leave->setObjectName(QStringLiteral("import_leave"));
    connect(leave, &QPushButton::clicked, this, &ImportSheet::left);

    auto* buttons = new QVBoxLayout;
    buttons->addWidget(list_, 1);
    buttons->addWidget(take_);
    buttons->addWidget(leave);
    auto* plots = new QHBoxLayout;
    for (Plot* plot : {impulse_, level_, impedance_}) {
        plots->addWidget(plot, 1);
    }
    auto* column = new QVBoxLayout;
    column->setSpacing(6);
    column->addWidget(holder);
    column->addWidget(tableCorrections_);
    column->addWidget(soundCorrections_);
    column->addWidget(told_);
    column->addWidget(preview_);
    column->addLayout(plots, 1);
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(8, 4, 8, 8);
    row->setSpacing(10);
    row->addLayout(buttons);
    row->addLayout(column, 1);
}

void ImportSheet::open(const Sight& sight, const QStringList& files, const QString& driver) {
    showing_ = true;
    job_ = sight.present->job;
    driver_->clear();
    for (const job::Cabinet& cabinet : job_.cabinets) {
        for (const job::Mount& mount : cabinet.mounts) {
            driver_->addItem(words(job::findDriver(job_, mount.driver)->name) +
                                 QStringLiteral(" · ") + words(cabinet.name),
                             words(mount.driver));
        }
    }
    entries_.clear();
    list_->clear();
    const std::string today = QDate::currentDate().toString(Qt::ISODate).toStdString();
    for (const QString& path : files) {
        Entry entry;
        const std::string name = QFileInfo(path).fileName().toStdString();
        QFile file(path);
        if (file.open(QIODevice::ReadOnly)) {
            // One byte more than is allowed is enough for the importer to refuse by size.
            entry.order.file = {
                file.read(static_cast<qint64>(measure::largestTable) + 1).toStdString(),
                name,
                today};
        } else {
            entry.order.file.name = name;
            entry.unreadable = Error{name, file.errorString().toStdString(), ""};
        }
        entry.driver =
            driver.isEmpty() ? take::likelyDriver(job_, sight.cabinet, name) : driver.toStdString();
        if (entry.driver.empty()) {
            entry.driver = sight.driver;
        }
        entries_.push_back(std::move(entry));
        list_->addItem(words(name));
    }
    readAngles();
    for (Entry& entry : entries_) {
        read(entry);
    }
    showing_ = false;
    markList();
    list_->setCurrentRow(0);
    show(0);
    list_->setFocus();
}

void ImportSheet::readAngles() {
    std::vector<std::string> names;
    for (const Entry& entry : entries_) {
        names.push_back(entry.order.file.name);
    }
    const auto files = take::likelyAngles(names);
    for (std::size_t i = 0; i < files.size(); ++i) {
        Entry& entry = entries_[i];
        entry.order.plane = files[i].plane.value_or(quantity::Plane::horizontal);
        entry.order.angle = files[i].angle.value_or(0.0);
        entry.nameless = !files[i].plane;
    }
    markAngles();
}

void ImportSheet::markAngles() {
    // One place of one driver can be taken once.
    for (Entry& entry : entries_) {
        const auto same = [&](const Entry& other) {
            const bool straight = entry.order.angle == 0.0;
            return &other != &entry && other.driver == entry.driver &&
                   other.order.place == entry.order.place &&
                   other.order.angle == entry.order.angle && entry.imported && other.imported &&
                   entry.imported->take.kind == job::TakeKind::response &&
                   other.imported->take.kind == job::TakeKind::response &&
                   (straight || other.order.plane == entry.order.plane);
        };
        const bool set = std::ranges::any_of(
            entries_, [](const Entry& other) { return other.order.angle != 0.0; });
        if (entry.nameless) {
            entry.angleProblem = tr("its name tells no angle");
        } else if (set && std::ranges::any_of(entries_, same)) {
            entry.angleProblem = tr("this angle stands twice");
        } else {
            entry.angleProblem.clear();
        }
    }
}

void ImportSheet::read(Entry& entry) {
    entry.imported.reset();
    entry.problem.clear();
    if (entry.unreadable) {
        entry.problem = spoken(text::sentence(*entry.unreadable));
        return;
    }
    auto imported = take::importTake(entry.order);
    if (imported) {
        entry.imported = std::move(*imported);
    } else {
        entry.problem = spoken(text::sentence(imported.error()));
    }
}

int ImportSheet::readable() const {
    return static_cast<int>(std::ranges::count_if(
        entries_, [](const Entry& entry) { return entry.imported.has_value(); }));
}

void ImportSheet::markList() {
    markAngles();
    const bool set = std::ranges::any_of(entries_, [](const Entry& entry) {
        return entry.order.angle != 0.0 || entry.order.place != job::MicPlace::farField;
    });
    for (int i = 0; i < list_->count(); ++i) {
        const Entry& entry = entries_[static_cast<std::size_t>(i)];
        const QString mark = !entry.imported ? QStringLiteral("■ ")
                             : entry.imported->doubtful || !entry.angleProblem.isEmpty()
                                 ? QStringLiteral("▲ ")
                                 : QStringLiteral("✓ ");
        QString said = mark + words(entry.order.file.name);
        if (set) {
            said += QStringLiteral("\n    ") + placeWords(entry.order);
            if (!entry.angleProblem.isEmpty()) {
                said += QStringLiteral(", ") + entry.angleProblem;
            }
        }
        list_->item(i)->setText(said);
    }
    const int count = readable();
    take_->setText(count == 1 ? tr("Take it")
                              : tr("Take %1 of %2").arg(count).arg(entries_.size()));
    take_->setEnabled(count > 0);
}

void ImportSheet::show(int index) {
    if (showing_ || index < 0 || static_cast<std::size_t>(index) >= entries_.size()) {
        return;
    }
    showing_ = true;
    const Entry& entry = entries_[static_cast<std::size_t>(index)];
    const take::ImportedTake* imported = entry.imported ? &*entry.imported : nullptr;
    const bool sound = imported != nullptr && imported->impulse.has_value();
    driver_->setCurrentIndex(driver_->findData(words(entry.driver)));
    const bool response = imported != nullptr && imported->take.kind == job::TakeKind::response;
    place_->setEnabled(response);
    place_->setCurrentIndex(entry.order.place == job::MicPlace::nearCone     ? 2
                            : entry.order.place == job::MicPlace::nearPort   ? 3
                            : entry.order.plane == quantity::Plane::vertical ? 1
                                                                             : 0);
    angle_->setEnabled(response && entry.order.place == job::MicPlace::farField);
    angle_->setValue(entry.order.angle);
    distance_->setValue(entry.order.distance);
    drive_->setValue(entry.order.drive);
    common_->setChecked(entry.order.commonTime);
    trustedFrom_->setValue(entry.order.trustedFrom);
    tableCorrections_->setVisible(!sound);
    soundCorrections_->setVisible(sound);
    quantity_->setCurrentIndex(static_cast<int>(entry.order.table.quantity));
    delimiter_->setCurrentIndex(static_cast<int>(entry.order.table.delimiter));
    decimal_->setCurrentIndex(static_cast<int>(entry.order.table.decimal));
    frequencyUnit_->setCurrentIndex(static_cast<int>(entry.order.table.frequencyUnit));
    phaseUnit_->setCurrentIndex(static_cast<int>(entry.order.table.phaseUnit));
    if (sound) {
        gate_->setValue(imported->impulse->gate.right);
        timeZero_->setValue(imported->impulse->impulse.timeZero);
        fullScale_->setValue(entry.order.sound.fullScale);
        channel_->clear();
        for (int c = 1; c <= imported->impulse->channels; ++c) {
            channel_->addItem(QString::number(c));
        }
        channel_->setCurrentIndex(entry.order.sound.channel - 1);
    }
    showPreview(entry);
    told_->setText(imported == nullptr
                       ? QStringLiteral("■ ") + entry.problem
                       : (imported->doubtful ? QStringLiteral("▲ ") : QStringLiteral("✓ ")) +
                             spoken(imported->told));
    showing_ = false;
}

void ImportSheet::showPreview(const Entry& entry) {
    const take::ImportedTake* imported = entry.imported ? &*entry.imported : nullptr;
    const bool sound = imported != nullptr && imported->impulse.has_value();
    const bool impedance = imported != nullptr && imported->take.kind == job::TakeKind::impedance;
    measure::ImportRequest request = entry.order.table;
    request.text = entry.order.file.bytes;
    const auto table =
        sound ? Result<measure::TablePreview>(Error{}) : measure::previewTable(request);
    preview_->setVisible(table.ok());
    preview_->clear();
    if (table) {
        preview_->setRowCount(static_cast<int>(table->rows.size()));
        preview_->setColumnCount(static_cast<int>(table->roles.size()));
        QStringList heads;
        QStringList numbers;
        for (std::size_t c = 0; c < table->roles.size(); ++c) {
            const QString own = words(table->header[c]);
            heads << QStringLiteral("%1: %2%3")
                         .arg(c + 1)
                         .arg(roleWords(table->roles[c], imported),
                              own.isEmpty() ? own : u'\n' + own);
            numbers << QString::number(c + 1);
        }
        preview_->setHorizontalHeaderLabels(heads);
        for (std::size_t r = 0; r < table->rows.size(); ++r) {
            for (std::size_t c = 0; c < table->rows[r].size() && c < table->roles.size(); ++c) {
                preview_->setItem(static_cast<int>(r),
                                  static_cast<int>(c),
                                  new QTableWidgetItem(words(table->rows[r][c])));
            }
        }
        valueColumn_->clear();
        valueColumn_->addItems(numbers.mid(1));
        valueColumn_->setCurrentIndex(entry.order.table.valueColumn - 2);
        phaseColumn_->clear();
        phaseColumn_->addItems(QStringList{tr("by itself"), tr("none")} + numbers.mid(1));
        const auto phase = entry.order.table.phaseColumn;
        phaseColumn_->setCurrentIndex(!phase ? 0 : *phase == 0 ? 1 : *phase);
    }
    impulse_->setVisible(sound);
    level_->setVisible(!impedance);
    impedance_->setVisible(impedance);
    Picture picture{.empty = entry.problem};
    if (imported != nullptr) {
        const job::Driver* driver = job::findDriver(job_, entry.driver);
        picture.traces = {traceOf({QStringLiteral("curve"), words(entry.order.file.name)},
                                  strokeOf(driver == nullptr ? job::Band::low : driver->band),
                                  *imported->take.curve,
                                  impedance ? Shown::modulus : Shown::level)};
        picture.scale = sealedScale(job_, impedance ? PlotKind::impedance : PlotKind::level);
    }
    (impedance ? impedance_ : level_)->display(picture);
    if (sound) {
        const take::ImpulseFound& found = *imported->impulse;
        Picture time;
        time.traces = {impulseTrace(found)};
        time.scale = sealedScale(job_, PlotKind::impulse);
        time.shades = {{-found.gate.left, found.gate.right, tr("gate")}};
        impulse_->display(time);
    }
}

void ImportSheet::correct() {
    const int row = list_->currentRow();
    if (showing_ || row < 0) {
        return;
    }
    Entry& entry = entries_[static_cast<std::size_t>(row)];
    const bool sound = entry.imported && entry.imported->impulse.has_value();
    entry.driver = driver_->currentData().toString().toStdString();
    const int place = place_->currentIndex();
    entry.order.place = place == 2   ? job::MicPlace::nearCone
                        : place == 3 ? job::MicPlace::nearPort
                                     : job::MicPlace::farField;
    entry.order.plane = place == 1 ? quantity::Plane::vertical : quantity::Plane::horizontal;
    if (entry.order.angle != angle_->value()) {
        entry.order.angle = angle_->value();
        entry.nameless = false;
    }
    entry.order.distance = distance_->value();
    entry.order.drive = drive_->value();
    entry.order.commonTime = common_->isChecked();
    entry.order.trustedFrom = trustedFrom_->optionalValue();
    if (sound) {
        const bool moved = gate_->value() != entry.imported->impulse->gate.right;
        if (moved) {
            entry.order.sound.right = gate_->value();
        }
        entry.order.sound.timeZero = timeZero_->value();
        entry.order.sound.fullScale = fullScale_->value();
        entry.order.sound.channel = channel_->currentIndex() + 1;
    } else {
        measure::ImportRequest& table = entry.order.table;
        table.quantity = static_cast<measure::QuantityChoice>(quantity_->currentIndex());
        table.delimiter = static_cast<measure::DelimiterChoice>(delimiter_->currentIndex());
        table.decimal = static_cast<measure::DecimalChoice>(decimal_->currentIndex());
        table.frequencyUnit =
            static_cast<measure::FrequencyUnitChoice>(frequencyUnit_->currentIndex());
        table.phaseUnit = static_cast<measure::PhaseUnitChoice>(phaseUnit_->currentIndex());
        if (valueColumn_->count() > 0) {
            table.valueColumn = valueColumn_->currentIndex() + 2;
            const int phase = phaseColumn_->currentIndex();
            table.phaseColumn = phase <= 0   ? std::nullopt
                                : phase == 1 ? std::optional(0)
                                             : std::optional(phase);
        }
    }
    read(entry);
    markList();
    show(row);
}

void ImportSheet::take() {
    QVector<std::pair<QString, job::Take>> takes;
    for (const Entry& entry : entries_) {
        if (entry.imported) {
            takes.push_back({words(entry.driver), entry.imported->take});
        }
    }
    Q_EMIT taken(takes);
}

} // namespace yf::app
