// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/measure/merge_page.h"

#include "app/plots/curves.h"
#include "app/plots/plot.h"
#include "app/theme/theme.h"
#include "app/widgets/controls.h"
#include "app/widgets/labels.h"
#include "app/widgets/quantity_field.h"
#include "app/widgets/words.h"
#include "core/edit/measurement.h"
#include "core/evaluation/usable_band.h"
#include "core/job/lookup.h"
#include "core/take/make.h"
#include "core/text/number.h"
#include "core/text/sentence.h"

#include <QCheckBox>
#include <QComboBox>
#include <QGridLayout>
#include <QLabel>
#include <QLocale>
#include <QPushButton>
#include <QSpinBox>

#include <cmath>

namespace yf::app {

namespace {

namespace q = yf::quantity;

const q::Quantity coneArea{"Sd", "area_cm2", 1e-4, "cm²", 0.5, 5000.0, "of one cone"};
const q::Quantity portSize{"d", "port_mm", 1e-3, "mm", 5.0, 500.0, "of one port"};
const q::Quantity apart{"d", "apart_m", 1.0, "m", 0.01, 5.0, "cone to port, middle to middle"};
const q::Quantity joined{"f", "splice_hz", 1.0, "Hz", 10.0, 5000.0, "where they are joined"};

QString warningWords(const std::string& warning) {
    return warning == "no_overlap"
               ? MergePage::tr("▲ Both do not hold in a common band: the join is a guess.")
           : warning == "splice_above_near_field_limit"
               ? MergePage::tr("▲ That is above what the near field holds.")
           : warning == "near_distance_too_large"
               ? MergePage::tr("▲ The microphone stood too far from the cone.")
               : words(warning);
}

} // namespace

MergePage::MergePage(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("merge_page"));
    const auto combo = [this](const QString& name, const QString& accessible) {
        QComboBox* box = narrowCombo(this, name, accessible, 12);
        connect(box, &QComboBox::currentIndexChanged, this, &MergePage::again);
        return box;
    };
    const auto field = [this](const q::Quantity& quantity,
                              text::Unit unit,
                              const QString& name,
                              const QString& accessible) {
        auto* f = quantityField(this, quantity, unit, name, accessible);
        f->setMayBeEmpty(true);
        f->setMaximumWidth(110);
        connect(f, &QuantityField::valueChanged, this, &MergePage::again);
        connect(f, &QuantityField::problemChanged, this, [this](const QString& problem) {
            if (!problem.isEmpty()) {
                told_->setText(problem);
            }
        });
        return f;
    };
    const auto count = [this](const QString& name, const QString& accessible) {
        constexpr int most = 16;
        auto* box = countField(this, name, accessible, {1, most});
        box->setMaximumWidth(70);
        connect(box, &QSpinBox::valueChanged, this, &MergePage::again);
        return box;
    };
    told_ = wrappedLabel(this, QStringLiteral("merge_told"));
    near_ = combo(QStringLiteral("merge_near"), tr("Take near the cone"));
    port_ = combo(QStringLiteral("merge_port"), tr("Take in the port"));
    far_ = combo(QStringLiteral("merge_far"), tr("Take at a distance"));
    area_ =
        field(coneArea, text::Unit::none, QStringLiteral("merge_Sd"), tr("Area of one cone, cm²"));
    cones_ = count(QStringLiteral("merge_cones"), tr("Cones alike"));
    portDiameter_ = field(portSize,
                          text::Unit::none,
                          QStringLiteral("merge_port_diameter"),
                          tr("Diameter of one port, mm"));
    ports_ = count(QStringLiteral("merge_ports"), tr("Ports alike"));
    portDistance_ = field(apart,
                          text::Unit::metre,
                          QStringLiteral("merge_apart"),
                          tr("From the middle of the cone to that of the port"));
    portDistance_->setPlaceholderText(tr("by ruler"));
    baffle_ = new QCheckBox(tr("spread by the front"), this);
    baffle_->setObjectName(QStringLiteral("merge_baffle"));
    baffle_->setToolTip(tr("What is near has no edges around it yet: the front's own step is put "
                           "in, from its size and the driver's place on it."));
    baffle_->setChecked(true);
    connect(baffle_, &QCheckBox::toggled, this, &MergePage::again);
    splice_ = field(
        joined, text::Unit::hertz, QStringLiteral("merge_splice"), tr("Where they are joined"));
    splice_->setPlaceholderText(tr("by itself"));
    match_ = combo(QStringLiteral("merge_match"), tr("How the levels are brought together"));
    match_->addItems({tr("where both hold"), tr("by area and distance")});
    keep_ = new QPushButton(tr("Keep as a take"), this);
    keep_->setObjectName(QStringLiteral("merge_keep"));
    plot_ = new Plot(
        PlotKind::level, QStringLiteral("merge_plot"), tr("Near and far, and both joined"), this);

    auto* grid = new QGridLayout;
    grid->setHorizontalSpacing(8);
    grid->setVerticalSpacing(4);
    auto row = [&, r = 0](const QString& text, QWidget* widget) mutable {
        auto* label = new QLabel(text, this);
        label->setBuddy(widget);
        grid->addWidget(label, r, 0);
        grid->addWidget(widget, r, 1);
        ++r;
    };
    row(tr("Near the cone"), near_);
    row(tr("In the port"), port_);
    row(tr("At a distance"), far_);
    row(tr("Sd, cm²"), area_);
    row(tr("Cones"), cones_);
    row(tr("Port, mm"), portDiameter_);
    row(tr("Ports"), ports_);
    row(tr("Cone to port"), portDistance_);
    row(tr("Near field"), baffle_);
    row(tr("Joined at"), splice_);
    row(tr("Levels"), match_);
    constexpr int last = 11;
    grid->addWidget(told_, last, 0, 1, 2);
    grid->addWidget(keep_, last + 1, 0, 1, 2);
    grid->setRowStretch(last + 2, 1);
    auto* both = new QHBoxLayout(this);
    both->setContentsMargins(0, 0, 0, 0);
    both->setSpacing(12);
    both->addLayout(grid, 2);
    both->addWidget(plot_, 5);
    connect(keep_, &QPushButton::clicked, this, [this] {
        if (made_) {
            Q_EMIT edited(edit::addRecordedTake(made_->take));
        }
    });
}

void MergePage::fill(QComboBox* box, job::MicPlace place) {
    const job::Job& job = sight_.shown().job;
    const QVariant before = box->currentData();
    box->clear();
    if (place == job::MicPlace::nearPort) {
        box->addItem(tr("none: a closed box"), QString());
    }
    for (const job::Take& take : job.takes) {
        const job::Recorded& r = take.recorded;
        const job::TakeAbout about = job::aboutOf(job, take);
        const bool ofDriver = about.driver == sight_.driver ||
                              (place == job::MicPlace::nearPort && about.cabinet == sight_.cabinet);
        if (take.kind == job::TakeKind::response && ofDriver && r.place == place &&
            r.angle == 0.0 && r.also.empty()) {
            box->addItem(words(take.name + ", " + take.id), words(take.id));
        }
    }
    const int again = box->findData(before);
    box->setCurrentIndex(again >= 0 ? again : box->count() - 1);
}

void MergePage::display(const Sight& sight) {
    const bool other = sight.driver != sight_.driver;
    sight_ = sight;
    filling_ = true;
    fill(near_, job::MicPlace::nearCone);
    fill(port_, job::MicPlace::nearPort);
    fill(far_, job::MicPlace::farField);
    const job::Driver* driver = job::findDriver(sight.shown().job, sight.driver);
    if (driver != nullptr && (other || !area_->optionalValue())) {
        area_->offer(driver->sheet.Sd);
    }
    filling_ = false;
    again();
}

take::MergeOrder MergePage::order(double guessedSd) const {
    const auto id = [](const QComboBox* box) {
        return box->currentData().toString().toStdString();
    };
    return {.driver = sight_.driver,
            .near = id(near_),
            .far = id(far_),
            .port = id(port_),
            .Sd = area_->optionalValue().value_or(guessedSd),
            .cones = cones_->value(),
            .portDiameter = portDiameter_->optionalValue(),
            .ports = ports_->value(),
            .portDistance = portDistance_->optionalValue(),
            .baffle = baffle_->isChecked(),
            .splice = splice_->optionalValue(),
            .match = static_cast<measure::Match>(match_->currentIndex())};
}

void MergePage::again() {
    if (filling_ || !sight_.present) {
        return;
    }
    made_.reset();
    told_->clear();
    const job::Job& job = sight_.shown().job;
    const bool ported = !port_->currentData().toString().isEmpty();
    for (QWidget* widget : {static_cast<QWidget*>(portDiameter_),
                            static_cast<QWidget*>(ports_),
                            static_cast<QWidget*>(portDistance_)}) {
        widget->setEnabled(ported);
    }
    Picture picture{
        .empty = tr("take the response near the cone and at a distance, then join them here")};
    const job::Driver* driver = job::findDriver(job, sight_.driver);
    const evaluation::ConeArea guess =
        driver == nullptr ? evaluation::ConeArea{} : evaluation::coneArea(*driver);
    area_->setPlaceholderText(
        tr("about %1").arg(QLocale().toString(guess.Sd * 1e4, 'f', 0))); // cm²
    if (near_->count() > 0 && far_->count() > 0 && driver != nullptr) {
        auto made = take::mergeTakes(job, order(guess.Sd));
        if (made) {
            made_ = std::move(*made);
            told_->setText(wordsAbout(*made_, ported));
        } else {
            told_->setText(QStringLiteral("■ ") + spoken(text::sentence(made.error())));
        }
        draw(picture, *driver);
    }
    plot_->display(picture);
    keep_->setEnabled(made_.has_value());
}

void MergePage::draw(Picture& picture, const job::Driver& driver) const {
    const job::Take* far =
        job::findTake(sight_.shown().job, far_->currentData().toString().toStdString());
    if (made_) {
        Stroke near = theme().ways[(static_cast<std::size_t>(driver.band) + 1) % 5];
        near.width = 1.2;
        picture.traces << traceOf(
            {QStringLiteral("near"), tr("near, brought over")}, near, *made_->near, Shown::level);
    }
    if (far != nullptr) {
        picture.traces << traceOf(
            {QStringLiteral("far"), tr("far")}, theme().ghost, *far->curve, Shown::level);
    }
    if (made_) {
        picture.traces << traceOf({QStringLiteral("joined"), tr("joined")},
                                  strokeOf(driver.band),
                                  *made_->take.curve,
                                  Shown::level);
        const double side = std::exp2(0.25); // of a quarter octave
        picture.shades = {{made_->merged.splice / side, made_->merged.splice * side, tr("joined")}};
    }
}

QString MergePage::wordsAbout(const take::MergedTake& made, bool ported) const {
    const measure::Merged& m = made.merged;
    QStringList said;
    if (!area_->optionalValue()) {
        said << tr("▲ The area is guessed from the outer diameter.");
    }
    said << tr("Joined at %1; the near field holds up to %2.")
                .arg(figures(text::printEngineering(m.splice, "Hz")),
                     figures(text::printEngineering(m.nearLimit, "Hz")));
    said << (std::abs(m.mismatch) > measure::muchMismatch
                 ? tr("▲ Measured and computed level differ by %1 dB: a distance, the area, "
                      "the front or a gain is not what it is said to be.")
                 : tr("✓ Measured and computed level agree within %1 dB."))
                .arg(QLocale().toString(std::abs(m.mismatch), 'f', 1));
    for (const std::string& warning : m.warnings) {
        said << warningWords(warning);
    }
    if (ported && !portDistance_->optionalValue()) {
        said << tr("With the way from cone to port, what each microphone hears of the other "
                   "is taken out: it decides below the tuning.");
    }
    return said.join(u' ');
}

} // namespace yf::app
