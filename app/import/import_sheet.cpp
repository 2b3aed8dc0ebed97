// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/import/import_sheet.h"

#include "app/import/column_table.h"
#include "app/plots/curves.h"
#include "app/widgets/flow_layout.h"
#include "app/widgets/quantity_field.h"
#include "app/widgets/read_file.h"
#include "app/widgets/words.h"
#include "core/measure/table/decode.h"
#include "core/text/sentence.h"

#include <QCheckBox>
#include <QComboBox>
#include <QDate>
#include <QFileInfo>
#include <QHBoxLayout>
#include <QLabel>
#include <QListWidget>
#include <QLocale>
#include <QPushButton>
#include <QVBoxLayout>

#include <algorithm>
#include <cmath>

namespace yf::app {

namespace {

constexpr int listWidth = 230;

namespace q = yf::quantity;

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
    delimiter_ = choice(QStringLiteral("import_delimiter"),
                        tr("What separates columns"),
                        {self, tr("tab"), tr("semicolon"), tr("blank"), tr("comma")});
    decimal_ = choice(
        QStringLiteral("import_decimal"), tr("Decimal sign"), {self, tr("point"), tr("comma")});
    bar->addWidget(named(tr("columns by"), delimiter_, holder));
    bar->addWidget(named(tr("decimal"), decimal_, holder));
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
    connect(list_, &QListWidget::itemChanged, this, [this](QListWidgetItem* item) {
        if (!showing_) {
            entries_[static_cast<std::size_t>(list_->row(item))].wanted =
                item->checkState() == Qt::Checked;
            markList();
        }
    });
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
    columns_ = new ColumnTable(this);
    // Later: what was clicked is made anew by what follows.
    connect(columns_, &ColumnTable::meant, this, &ImportSheet::chosen, Qt::QueuedConnection);
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
    column->addWidget(columns_);
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
        ImportEntry entry;
        const std::string name = QFileInfo(path).fileName().toStdString();
        entry.order.file = {"", name, today};
        if (auto bytes = readFile(path, measure::largestTable)) {
            entry.order.file.bytes = std::move(*bytes);
        } else {
            entry.unreadable = bytes.error();
        }
        entry.driver =
            driver.isEmpty() ? take::likelyDriver(job_, sight.cabinet, name) : driver.toStdString();
        if (entry.driver.empty()) {
            entry.driver = sight.driver;
        }
        entry.file = static_cast<int>(entries_.size());
        entries_.push_back(std::move(entry));
    }
    readAngles();
    std::vector<ImportEntry> curves;
    for (ImportEntry& entry : entries_) {
        recallColumns(entry);
        std::ranges::move(curvesOf(std::move(entry)), std::back_inserter(curves));
    }
    entries_ = std::move(curves);
    fillList();
    showing_ = false;
    markList();
    list_->setCurrentRow(0);
    show(0);
    list_->setFocus();
}

void ImportSheet::readAngles() {
    std::vector<std::string> names;
    for (const ImportEntry& entry : entries_) {
        names.push_back(entry.order.file.name);
    }
    const auto files = take::likelyAngles(names);
    for (std::size_t i = 0; i < files.size(); ++i) {
        ImportEntry& entry = entries_[i];
        entry.order.plane = files[i].plane.value_or(quantity::Plane::horizontal);
        entry.order.angle = files[i].angle.value_or(0.0);
        entry.nameless = !files[i].plane;
    }
    markAngles();
}

void ImportSheet::markAngles() {
    // One place of one driver can be taken once.
    for (ImportEntry& entry : entries_) {
        const auto same = [&](const ImportEntry& other) {
            const bool straight = entry.order.angle == 0.0;
            return &other != &entry && other.driver == entry.driver &&
                   other.order.place == entry.order.place &&
                   other.order.angle == entry.order.angle && entry.imported && other.imported &&
                   entry.imported->take.kind == job::TakeKind::response &&
                   other.imported->take.kind == job::TakeKind::response &&
                   (straight || other.order.plane == entry.order.plane);
        };
        const bool set = std::ranges::any_of(
            entries_, [](const ImportEntry& other) { return other.order.angle != 0.0; });
        if (entry.nameless) {
            entry.angleProblem = tr("its name tells no angle");
        } else if (set && std::ranges::any_of(entries_, same)) {
            entry.angleProblem = tr("this angle stands twice");
        } else {
            entry.angleProblem.clear();
        }
    }
}

void ImportSheet::readFileAnew(int file) {
    const auto first = std::ranges::find(entries_, file, &ImportEntry::file);
    const auto last = std::find_if(
        first, entries_.end(), [&](const ImportEntry& entry) { return entry.file != file; });
    const auto at = first - entries_.begin();
    std::vector<ImportEntry> curves = curvesOf(*first);
    entries_.erase(first, last);
    entries_.insert(entries_.begin() + at,
                    std::make_move_iterator(curves.begin()),
                    std::make_move_iterator(curves.end()));
    const int row = std::min(std::max(list_->currentRow(), static_cast<int>(at)),
                             static_cast<int>(at) + static_cast<int>(curves.size()) - 1);
    showing_ = true;
    fillList();
    showing_ = false;
    markList();
    list_->setCurrentRow(row);
    show(row);
}

void ImportSheet::fillList() {
    list_->clear();
    for (const ImportEntry& entry : entries_) {
        auto* item = new QListWidgetItem(words(entry.order.file.name), list_);
        if (entry.order.table.curve) {
            item->setFlags(item->flags() | Qt::ItemIsUserCheckable);
            item->setCheckState(entry.wanted ? Qt::Checked : Qt::Unchecked);
        }
    }
}

void ImportSheet::chosen(const QStringList& meanings) {
    const int row = list_->currentRow();
    if (showing_ || row < 0) {
        return;
    }
    const int file = entries_[static_cast<std::size_t>(row)].file;
    std::vector<std::string> told;
    for (const QString& word : meanings) {
        told.push_back(word.toStdString());
    }
    orderColumns(*std::ranges::find(entries_, file, &ImportEntry::file), told);
    // A column that was given a meaning is often the last that was missing.
    readFileAnew(file);
}

int ImportSheet::readable() const {
    return static_cast<int>(std::ranges::count_if(
        entries_, [](const ImportEntry& entry) { return entry.imported && entry.wanted; }));
}

void ImportSheet::markList() {
    markAngles();
    const bool before = std::exchange(showing_, true);
    const bool set = std::ranges::any_of(entries_, [](const ImportEntry& entry) {
        return entry.order.angle != 0.0 || entry.order.place != job::MicPlace::farField;
    });
    for (int i = 0; i < list_->count(); ++i) {
        const ImportEntry& entry = entries_[static_cast<std::size_t>(i)];
        const QString mark = entry.asks        ? QStringLiteral("? ")
                             : !entry.imported ? QStringLiteral("■ ")
                             : entry.imported->doubtful || !entry.angleProblem.isEmpty()
                                 ? QStringLiteral("▲ ")
                                 : QStringLiteral("✓ ");
        QString said = mark + words(entry.order.file.name);
        if (entry.imported && !entry.imported->curve.empty()) {
            said += QStringLiteral(" · ") + words(entry.imported->curve);
        }
        if (set) {
            said += QStringLiteral("\n    ") + placeWords(entry.order);
            if (!entry.angleProblem.isEmpty()) {
                said += QStringLiteral(", ") + entry.angleProblem;
            }
        }
        list_->item(i)->setText(said);
    }
    showing_ = before;
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
    const ImportEntry& entry = entries_[static_cast<std::size_t>(index)];
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
    delimiter_->setCurrentIndex(static_cast<int>(entry.order.table.delimiter));
    decimal_->setCurrentIndex(static_cast<int>(entry.order.table.decimal));
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
    told_->setVisible(!entry.asks); // the question says it
    const QString recalled =
        entry.remembered ? tr("Columns as you decided for files of this shape. ") : QString();
    told_->setText(imported == nullptr
                       ? QStringLiteral("■ ") + entry.problem
                       : (imported->doubtful ? QStringLiteral("▲ ") : QStringLiteral("✓ ")) +
                             recalled + spoken(imported->told));
    showing_ = false;
}

void ImportSheet::showPreview(const ImportEntry& entry) {
    const take::ImportedTake* imported = entry.imported ? &*entry.imported : nullptr;
    const bool sound = imported != nullptr && imported->impulse.has_value();
    const bool impedance = imported != nullptr && imported->take.kind == job::TakeKind::impedance;
    columns_->setVisible(entry.preview != nullptr);
    if (entry.preview != nullptr) {
        columns_->display(*entry.preview, measure::splitMeanings(entry.order.table.meanings));
    }
    impulse_->setVisible(sound);
    level_->setVisible(!impedance);
    impedance_->setVisible(impedance);
    Picture picture{.empty = entry.asks ? tr("Say what the columns are; then it can be taken.")
                                        : entry.problem};
    if (imported != nullptr) {
        const job::Driver* driver = job::findDriver(job_, entry.driver);
        picture.traces = {traceOf({QStringLiteral("curve"), words(imported->take.name)},
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
    ImportEntry& entry = entries_[static_cast<std::size_t>(row)];
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
        const auto delimiter = static_cast<measure::DelimiterChoice>(delimiter_->currentIndex());
        const auto decimal = static_cast<measure::DecimalChoice>(decimal_->currentIndex());
        if (delimiter != table.delimiter || decimal != table.decimal) {
            const int file = entry.file;
            ImportEntry& first = *std::ranges::find(entries_, file, &ImportEntry::file);
            first.order.table.delimiter = delimiter;
            first.order.table.decimal = decimal;
            readFileAnew(file);
            return;
        }
    }
    readEntry(entry);
    markList();
    show(row);
}

void ImportSheet::take() {
    QVector<std::pair<QString, job::Take>> takes;
    for (const ImportEntry& entry : entries_) {
        if (entry.imported && entry.wanted) {
            takes.push_back({words(entry.driver), entry.imported->take});
        }
    }
    Q_EMIT taken(takes);
}

} // namespace yf::app
