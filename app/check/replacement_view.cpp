// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/check/replacement_view.h"

#include "app/theme/theme.h"
#include "app/widgets/labels.h"
#include "app/widgets/quantity_field.h"
#include "app/widgets/words.h"
#include "core/edit/front.h"
#include "core/findings/judge.h"
#include "core/quantity/quantities.h"
#include "core/text/sentence.h"

#include <QDir>
#include <QFile>
#include <QFileInfo>
#include <QFormLayout>
#include <QLabel>
#include <QListWidget>
#include <QPainter>
#include <QPushButton>
#include <QSaveFile>
#include <QSignalBlocker>
#include <QStandardPaths>
#include <QStyledItemDelegate>

#include <algorithm>
#include <cmath>

namespace yf::app {

namespace {

namespace q = yf::quantity;

constexpr int scoreRole = Qt::UserRole;
constexpr int fitsRole = Qt::UserRole + 1;
constexpr int toldRole = Qt::UserRole + 2;

/// Name, a bar for the score, what differs in a word.
class CandidateDelegate final : public QStyledItemDelegate {
public:
    using QStyledItemDelegate::QStyledItemDelegate;

    [[nodiscard]] QSize sizeHint(const QStyleOptionViewItem& /*option*/,
                                 const QModelIndex& /*index*/) const override {
        return {240, 34};
    }

    void paint(QPainter* painter,
               const QStyleOptionViewItem& option,
               const QModelIndex& index) const override {
        const Theme& t = theme();
        const bool isChosen = option.state.testFlag(QStyle::State_Selected);
        const bool fits = index.data(fitsRole).toBool();
        const QRect box = option.rect.adjusted(8, 0, -8, 0);
        painter->save();
        if (isChosen) {
            painter->fillRect(option.rect, t.front);
        }
        const QColor ink = isChosen ? QColor(0x1F, 0x23, 0x28) : fits ? t.ink : t.quietInk;
        painter->setPen(ink);
        painter->setFont(option.font);
        const QString mark = fits ? QString{} : QStringLiteral("✕ ");
        painter->drawText(QRect(box.left(), box.top(), 150, box.height()),
                          Qt::AlignLeft | Qt::AlignVCenter,
                          mark + index.data(Qt::DisplayRole).toString());
        const QRect bar(box.left() + 156, box.top() + 12, 110, 10);
        const double score = index.data(scoreRole).toDouble();
        painter->setBrush(Qt::NoBrush);
        painter->setPen(isChosen ? ink : t.outline);
        painter->drawRect(bar);
        painter->fillRect(QRect(bar.left() + 1,
                                bar.top() + 1,
                                static_cast<int>((bar.width() - 1) * score / 100.0),
                                bar.height() - 1),
                          isChosen ? ink
                          : fits   ? t.good
                                   : t.rule);
        painter->setPen(ink);
        painter->setFont(figureFont(9.0));
        painter->drawText(QRect(bar.right() + 6, box.top(), 34, box.height()),
                          Qt::AlignLeft | Qt::AlignVCenter,
                          QString::number(std::lround(score)));
        painter->drawText(
            QRect(bar.right() + 44, box.top(), box.right() - bar.right() - 44, box.height()),
            Qt::AlignRight | Qt::AlignVCenter,
            index.data(toldRole).toString());
        painter->restore();
    }
};

QString sourceSaid(study::FigureSource source) {
    switch (source) {
    case study::FigureSource::none:
        return ReplacementView::tr("not known");
    case study::FigureSource::dataSheet:
        return ReplacementView::tr("from the data sheet");
    case study::FigureSource::measured:
        return ReplacementView::tr("measured in its cabinet");
    case study::FigureSource::twin:
        return ReplacementView::tr("measured on its sound twin");
    }
    return {};
}

/// As a person reads it: home is ~.
QString shortened(const QString& path) {
    const QString home = QDir::homePath();
    return path.startsWith(home) ? u'~' + path.mid(home.size()) : path;
}

} // namespace

QString ownDriversFile() {
    return QStandardPaths::writableLocation(QStandardPaths::AppConfigLocation) +
           QStringLiteral("/drivers.json");
}

ReplacementView::ReplacementView(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("replacement_view"));
    heading_ = new QLabel(this);
    QFont bold = font();
    bold.setPointSizeF(12.0);
    bold.setWeight(QFont::DemiBold);
    heading_->setFont(bold);
    sources_ = wrappedLabel(this, QStringLiteral("replacement_sources"));
    trouble_ = wrappedLabel(this, QStringLiteral("replacement_trouble"));
    reasons_ = wrappedLabel(this, QStringLiteral("replacement_reasons"));
    libraryTold_ = wrappedLabel(this, QStringLiteral("replacement_library"));
    auto* form = new QFormLayout;
    form->setVerticalSpacing(4);
    const auto field = [&](const QString& label, const q::Quantity& quantity, text::Unit unit) {
        auto* made = new QuantityField(quantity, unit, this);
        made->setObjectName(QStringLiteral("sheet_") + words(quantity.key));
        made->setMayBeEmpty(true);
        made->setMaximumWidth(130);
        connect(made, &QuantityField::valueChanged, this, &ReplacementView::change);
        connect(made, &QuantityField::problemChanged, this, [this](const QString& problem) {
            trouble_->setText(problem);
        });
        form->addRow(label, made);
        fields_.push_back(made);
    };
    field(QStringLiteral("Re"), q::Re, text::Unit::ohm);
    field(QStringLiteral("fs"), q::fs, text::Unit::hertz);
    field(QStringLiteral("Qms"), q::Qms, text::Unit::none);
    field(QStringLiteral("Qes"), q::Qes, text::Unit::none);
    field(tr("level, 2.83 V"), q::sensitivity2v83, text::Unit::decibel);
    field(tr("hole"), q::diameter.as("hole_m", "hole in the front"), text::Unit::metre);
    field(tr("depth behind"),
          q::diameter.as("depth_room_m", "depth behind the front"),
          text::Unit::metre);
    field(tr("box, net"),
          q::Quantity{"Vb", "Vb_l", 1e-3, "l", 0.01, 1e5, "net volume of its box"},
          text::Unit::cubicMetre);
    field(tr("port tuning"),
          q::Quantity{"fb", "fb_hz", 1.0, "Hz", 5.0, 1000.0, "tuning of its box"},
          text::Unit::hertz);
    auto* keep = new QPushButton(tr("Keep it among my drivers"), this);
    keep->setObjectName(QStringLiteral("replacement_keep"));
    keep->setToolTip(tr("Its figures go into your own drivers, for another job."));
    connect(keep, &QPushButton::clicked, this, &ReplacementView::keepDriver);
    auto* again = new QPushButton(tr("Read my drivers again"), this);
    again->setObjectName(QStringLiteral("replacement_read"));
    connect(again, &QPushButton::clicked, this, [this] {
        readLibrary();
        showFound();
    });
    list_ = new QListWidget(this);
    list_->setObjectName(QStringLiteral("replacement_list"));
    list_->setAccessibleName(tr("Drivers to take in its place"));
    list_->setItemDelegate(new CandidateDelegate(list_));
    list_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    connect(list_, &QListWidget::currentRowChanged, this, &ReplacementView::showReasons);

    auto* left = new QVBoxLayout;
    left->setSpacing(6);
    left->addWidget(heading_);
    left->addWidget(sources_);
    left->addLayout(form);
    left->addWidget(trouble_);
    left->addStretch(1);
    left->addWidget(keep, 0, Qt::AlignLeft);
    left->addWidget(again, 0, Qt::AlignLeft);
    left->addWidget(libraryTold_);
    auto* right = new QVBoxLayout;
    right->addWidget(list_, 3);
    right->addWidget(reasons_, 2, Qt::AlignTop);
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 4, 0, 0);
    row->setSpacing(16);
    row->addLayout(left, 5);
    row->addLayout(right, 9);
    readLibrary();
}

void ReplacementView::readLibrary() {
    library_ = driver::shippedLibrary();
    QFile file(ownDriversFile());
    tint(libraryTold_, theme().quietInk);
    if (!file.exists()) {
        libraryTold_->setText(tr("%1 invented drivers ship. Your own go into %2 (open JSON).")
                                  .arg(library_.drivers.size())
                                  .arg(shortened(file.fileName())));
        return;
    }
    constexpr qint64 most = 16'000'000;
    const auto own = file.open(QIODevice::ReadOnly)
                         ? driver::readLibrary(file.read(most).toStdString())
                         : Result<driver::Library>(
                               Error{"file", file.errorString().toStdString(), "must be readable"});
    if (!own) {
        libraryTold_->setText(
            QStringLiteral("▲ %1: %2. ").arg(file.fileName(), spoken(text::sentence(own.error()))) +
            tr("The shipped drivers are here meanwhile."));
        tint(libraryTold_, theme().stop);
        return;
    }
    // An own one of the same name is better known.
    for (const driver::LibraryEntry& entry : own->drivers) {
        std::erase_if(library_.drivers, [&](const driver::LibraryEntry& shipped) {
            return shipped.part.id == entry.part.id;
        });
        library_.drivers.push_back(entry);
    }
    libraryTold_->setText(tr("%1 drivers of your own, from %2.")
                              .arg(own->drivers.size())
                              .arg(shortened(file.fileName())));
}

void ReplacementView::keepDriver() {
    driver::Library own;
    QFile file(ownDriversFile());
    if (file.exists()) {
        if (!file.open(QIODevice::ReadOnly)) {
            readLibrary();
            return;
        }
        const auto read = driver::readLibrary(file.readAll().toStdString());
        if (!read) {
            readLibrary(); // says what is wrong with it; nothing is overwritten
            return;
        }
        own = *read;
        file.close();
    }
    const driver::LibraryEntry entry = study::asEntry(sight_.present->job, old_);
    std::erase_if(own.drivers, [&](const driver::LibraryEntry& other) {
        return other.part.id == entry.part.id;
    });
    own.drivers.push_back(entry);
    const QByteArray text = QByteArray::fromStdString(driver::writeLibrary(own));
    QDir().mkpath(QFileInfo(file).absolutePath());
    QSaveFile out(file.fileName());
    if (!out.open(QIODevice::WriteOnly) || out.write(text) != text.size() || !out.commit()) {
        libraryTold_->setText(QStringLiteral("▲ %1: %2").arg(out.fileName(), out.errorString()));
        tint(libraryTold_, theme().stop);
        return;
    }
    readLibrary();
    showFound();
}

void ReplacementView::display(const Sight& sight) {
    const bool news = sight.present != sight_.present || sight.driver != sight_.driver ||
                      sight.cabinet != sight_.cabinet;
    const bool other = sight.driver != sight_.driver || sight.cabinet != sight_.cabinet;
    sight_ = sight;
    if (!news) {
        return;
    }
    const job::Driver* driver = job::findDriver(sight.present->job, sight.driver);
    setEnabled(driver != nullptr);
    if (driver == nullptr) {
        heading_->setText(tr("No driver chosen"));
        return;
    }
    heading_->setText(tr("In place of %1").arg(words(driver->name)));
    old_ = study::oldDriver(sight.present->job,
                            *sight.present->assembly,
                            sight.present->evaluation,
                            sight.cabinet,
                            sight.driver);
    showOld(other);
    showFound();
}

void ReplacementView::showOld(bool other) {
    const job::Driver& driver = *job::findDriver(sight_.present->job, sight_.driver);
    const auto& m = old_.part.model;
    const std::optional<double> values[] = {m.Re,
                                            m.fs,
                                            m.Qms,
                                            m.Qes,
                                            old_.part.sensitivity,
                                            driver.place.hole,
                                            driver.place.room,
                                            driver.place.Vb,
                                            driver.place.fb};
    const Lengths lengths =
        sight_.present->job.units == job::LengthUnits::inch ? Lengths::inch : Lengths::metric;
    constexpr qsizetype firstLength = 5;
    constexpr qsizetype lastLength = 6;
    for (qsizetype i = 0; i < fields_.size(); ++i) {
        if (i >= firstLength && i <= lastLength) {
            fields_[i]->setLengths(lengths);
        }
        // What was typed for another driver is not this one's.
        other ? fields_[i]->setValue(values[i]) : fields_[i]->offer(values[i]);
    }
    // Woofers live with their box; the others bring their own.
    for (qsizetype i = lastLength + 1; i < fields_.size(); ++i) {
        fields_[i]->setEnabled(old_.role == quantity::DriverRole::woofer);
    }
    sources_->setText(
        tr("Re, fs and Q: %1. Level: %2.")
            .arg(sourceSaid(old_.model), sourceSaid(old_.sensitivity)) +
        (old_.fx
             ? u' ' + tr("Crossover at %1.").arg(figures(text::printEngineering(*old_.fx, "Hz")))
             : QString{}));
    tint(sources_, theme().quietInk);
    tint(trouble_, theme().stop);
}

void ReplacementView::change() {
    const job::Driver* driver = job::findDriver(sight_.present->job, sight_.driver);
    if (driver == nullptr) {
        return;
    }
    driver::Part sheet = driver->sheet;
    job::Place place = driver->place;
    const auto value = [this](qsizetype i) { return fields_[i]->optionalValue(); };
    // Measured figures that nobody has touched stay measured.
    const bool touched = std::any_of(
        fields_.begin(), fields_.begin() + 5, [this](QuantityField* f) { return f == sender(); });
    if (touched) {
        if (sender() != fields_[4]) {
            sheet.model.Re = value(0);
            sheet.model.fs = value(1);
            sheet.model.Qms = value(2);
            sheet.model.Qes = value(3);
        } else {
            sheet.sensitivity = value(4);
        }
    }
    place = {value(5), value(6), value(7), value(8)};
    trouble_->setText({});
    Q_EMIT edited(edit::changeSheet(sight_.driver, sheet, place));
}

void ReplacementView::showFound() {
    const QSignalBlocker quiet(list_);
    const QString before =
        list_->currentItem() == nullptr ? QString{} : list_->currentItem()->text();
    list_->clear();
    found_.clear();
    const job::Driver* driver =
        sight_.present ? job::findDriver(sight_.present->job, sight_.driver) : nullptr;
    if (driver == nullptr) {
        return;
    }
    auto found = study::findReplacements(old_, driver->place, library_);
    if (!found) {
        trouble_->setText(spoken(text::sentence(found.error())));
        return;
    }
    found_ = std::move(*found);
    int chosen = 0;
    for (const study::Replacement& f : found_) {
        auto* item = new QListWidgetItem(words(f.entry.part.id), list_);
        item->setData(scoreRole, f.judged.score);
        item->setData(fitsRole, f.judged.fits);
        QStringList told;
        if (f.judged.sensitivity) {
            told << QStringLiteral("%1%2 dB").arg(
                *f.judged.sensitivity < 0.0 ? QStringLiteral("−") : QStringLiteral("+"),
                figures(text::printFixed(std::abs(*f.judged.sensitivity), 1)));
        }
        if (f.entry.nominal) {
            told << figures(text::printEngineering(*f.entry.nominal, "Ω"));
        }
        if (f.entry.price) {
            told << figures(text::printFixed(*f.entry.price, 2));
        }
        item->setData(toldRole, told.join(QStringLiteral(" · ")));
        item->setData(Qt::AccessibleTextRole,
                      tr("%1: %2 of 100, %3")
                          .arg(words(f.entry.part.id),
                               QString::number(std::lround(f.judged.score)),
                               f.judged.fits ? tr("fits") : tr("does not fit")));
        if (item->text() == before) {
            chosen = list_->count() - 1;
        }
    }
    list_->setCurrentRow(chosen);
    showReasons();
}

void ReplacementView::showReasons() {
    const int row = list_->currentRow();
    if (row < 0 || row >= static_cast<int>(found_.size())) {
        reasons_->setText(tr("No driver of this kind is in the library."));
        return;
    }
    const study::Replacement& f = found_[static_cast<std::size_t>(row)];
    QStringList lines{words(f.entry.part.id) +
                      (f.judged.fits ? tr(": it fits, %1 of 100").arg(std::lround(f.judged.score))
                                     : tr(": it does not fit"))};
    if (!f.entry.note.empty()) {
        lines << words(f.entry.note);
    }
    for (const Words& reason : f.judged.reasons) {
        lines << QStringLiteral("• ") + spoken(reason);
    }
    if (f.judged.fits) {
        lines << tr("Then the two sides differ in age and radiation: measure both, or replace the "
                    "pair.");
    }
    reasons_->setText(lines.join(u'\n'));
}

} // namespace yf::app
