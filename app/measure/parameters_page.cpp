// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/measure/parameters_page.h"

#include "app/measure/with_limits.h"
#include "app/plots/curves.h"
#include "app/plots/plot.h"
#include "app/widgets/controls.h"
#include "app/widgets/labels.h"
#include "app/widgets/quantity_field.h"
#include "app/widgets/words.h"
#include "core/driver/complete.h"
#include "core/driver/vas.h"
#include "core/evaluation/usable_band.h"
#include "core/job/lookup.h"
#include "core/quantity/level.h"
#include "core/take/make.h"
#include "core/text/number.h"
#include "core/text/sentence.h"

#include <QComboBox>
#include <QGridLayout>
#include <QLabel>
#include <QLocale>
#include <QTableWidget>

#include <algorithm>
#include <cmath>

namespace yf::app {

namespace {

namespace q = yf::quantity;

const q::Quantity loadedResonance{
    "f′", "fs_loaded_hz", 1.0, "Hz", 1.0, 20000.0, "with the mass on"};
const q::Quantity lump{"m", "added_mass_kg", 1e-3, "g", 0.01, 1000.0, "weighed"};
const q::Quantity netVolume{"Vb", "Vb_l", 1e-3, "l", 0.05, 1000.0, "net"};
const q::Quantity boxResonance{"fc", "fc_hz", 1.0, "Hz", 1.0, 20000.0, "in the box"};
const q::Quantity area{"Sd", "Sd_cm2", 1e-4, "cm²", 0.5, 5000.0, "of the cone"};

QString coilWords(driver::InductanceModel model) {
    switch (model) {
    case driver::InductanceModel::none:
        return ParametersPage::tr("no inductance to speak of");
    case driver::InductanceModel::ideal:
        return ParametersPage::tr("a plain inductor");
    case driver::InductanceModel::leach:
        return ParametersPage::tr("a power of frequency");
    case driver::InductanceModel::lr2:
        return ParametersPage::tr("two inductors and a resistor");
    case driver::InductanceModel::semi:
        return ParametersPage::tr("a semi-inductor, as of bare steel");
    case driver::InductanceModel::semiRing:
        return ParametersPage::tr("a semi-inductor with a shorting ring");
    }
    return {};
}

/// 95 % limits of a measured impedance, as two faint lines about it.
QVector<Trace> bandOf(const driver::JigTake& jig) {
    constexpr double k = quantity::coverage95;
    QVector<Trace> both;
    for (const double side : {-k, k}) {
        Trace line{.id = side < 0.0 ? QStringLiteral("least") : QStringLiteral("most"),
                   .label = side < 0.0 ? ParametersPage::tr("95 % limits") : QString(),
                   .stroke = theme().ghost,
                   .read = false};
        line.stroke.width = 0.8;
        for (std::size_t i = 0; i < jig.impedance.size(); ++i) {
            line.frequencies << jig.impedance.frequencies()[i];
            line.values << std::abs(jig.impedance.values()[i]) * (1.0 + side * jig.u[i]);
        }
        both << line;
    }
    return both;
}

std::optional<double> printedOf(const driver::Part& sheet, const QString& symbol) {
    if (symbol == QStringLiteral("fs")) {
        return sheet.model.fs;
    }
    if (symbol == QStringLiteral("Re")) {
        return sheet.model.Re;
    }
    if (symbol == QStringLiteral("Qms")) {
        return sheet.model.Qms;
    }
    if (symbol == QStringLiteral("Qes")) {
        return sheet.model.Qes;
    }
    if (symbol == QStringLiteral("Qts") && sheet.model.Qms && sheet.model.Qes) {
        return *sheet.model.Qms * *sheet.model.Qes / (*sheet.model.Qms + *sheet.model.Qes);
    }
    return std::nullopt;
}

} // namespace

ParametersPage::ParametersPage(TakeWorks* works, QWidget* parent) : QWidget(parent), works_(works) {
    setObjectName(QStringLiteral("parameters_page"));
    plot_ = new Plot(PlotKind::impedance,
                     QStringLiteral("parameters_plot"),
                     tr("Impedance and its model"),
                     this);
    table_ = readTable(this,
                       QStringLiteral("parameters_table"),
                       tr("Parameters with their 95 % limits"),
                       {tr("Figure"), tr("Measured, 95 %"), tr("Printed")},
                       1);
    told_ = wrappedLabel(this, QStringLiteral("parameters_told"));
    vas_ = wrappedLabel(this, QStringLiteral("parameters_vas"));
    printed_ = wrappedLabel(this, QStringLiteral("parameters_printed"));
    const auto second = [this](const QString& name, const QString& accessible) {
        QComboBox* box = narrowCombo(this, name, accessible, 8);
        connect(box, &QComboBox::currentIndexChanged, this, [this] { showVas(); });
        return box;
    };
    massTake_ = second(QStringLiteral("parameters_mass_take"), tr("The take with the mass on"));
    boxTake_ = second(QStringLiteral("parameters_box_take"), tr("The take in the box"));
    usable_ = wrappedLabel(this, QStringLiteral("parameters_band"));
    const auto field = [this](const q::Quantity& quantity,
                              text::Unit unit,
                              const QString& name,
                              const QString& accessible) {
        auto* f = quantityField(this, quantity, unit, name, accessible);
        f->setMayBeEmpty(true);
        f->setPlaceholderText(QStringLiteral("–"));
        f->setMinimumWidth(72);
        connect(f, &QuantityField::valueChanged, this, [this] {
            showVas();
            showBand();
        });
        tellProblems(f, vas_);
        return f;
    };
    Sd_ =
        field(area, text::Unit::none, QStringLiteral("parameters_Sd"), tr("Area of the cone, cm²"));
    loaded_ = field(loadedResonance,
                    text::Unit::hertz,
                    QStringLiteral("parameters_loaded"),
                    tr("Resonance with a mass on the cone"));
    mass_ = field(lump, text::Unit::none, QStringLiteral("parameters_mass"), tr("That mass, g"));
    box_ = field(netVolume,
                 text::Unit::none,
                 QStringLiteral("parameters_box"),
                 tr("Net volume of a closed test box, l"));
    inBox_ = field(boxResonance,
                   text::Unit::hertz,
                   QStringLiteral("parameters_in_box"),
                   tr("Resonance in that box"));
    auto* side = new QGridLayout;
    side->setVerticalSpacing(4);
    side->addWidget(table_, 0, 0, 1, 4);
    auto* said = new QVBoxLayout;
    said->addWidget(told_);
    said->addWidget(printed_);
    side->addLayout(said, 1, 0, 1, 4);
    side->addWidget(headingLabel(this, tr("Vas, by a second take")), 2, 0, 1, 4);
    const auto pair = [&](int row, int column, const QString& text, QWidget* widget) {
        auto* label = new QLabel(text, this);
        label->setBuddy(widget);
        side->addWidget(label, row, column);
        side->addWidget(widget, row, column + 1);
    };
    pair(3, 0, tr("Sd, cm²"), Sd_);
    pair(4, 0, tr("mass, g"), mass_);
    pair(4, 2, tr("fs with it"), loaded_);
    pair(5, 2, tr("or its take"), massTake_);
    pair(6, 0, tr("or box, l"), box_);
    pair(6, 2, tr("fs in it"), inBox_);
    pair(7, 2, tr("or its take"), boxTake_);
    side->addWidget(vas_, 8, 0, 1, 4);
    side->addWidget(headingLabel(this, tr("Usable band")), 9, 0, 1, 4);
    side->addWidget(usable_, 10, 0, 1, 4);
    side->setRowStretch(0, 1);
    auto* both = new QHBoxLayout(this);
    both->setContentsMargins(0, 0, 0, 0);
    both->addWidget(plot_, 5);
    both->addLayout(side, 4);
}

void ParametersPage::display(const Sight& sight, const job::Take* take) {
    sight_ = sight;
    const job::Job& job = sight.shown().job;
    const job::Driver* driver = job::findDriver(job, sight.driver);
    band_ = driver == nullptr ? job::Band::low : driver->band;
    take_ = take != nullptr && take->kind == job::TakeKind::impedance ? take
            : driver == nullptr                                       ? nullptr
                                : job::takeInUse(job, *driver, job::TakeKind::impedance);
    if (driver != nullptr) {
        Sd_->offer(driver->sheet.Sd);
    }
    fillSecond();
    again();
}

void ParametersPage::fillSecond() {
    const job::Job& job = sight_.shown().job;
    for (QComboBox* box : {massTake_, boxTake_}) {
        const QSignalBlocker quiet(box);
        const QVariant before = box->currentData();
        box->clear();
        box->addItem(tr("as typed"), QString());
        for (const job::Take& take : job.takes) {
            const bool other = take_ == nullptr || take.id != take_->id;
            if (take.kind == job::TakeKind::impedance && other &&
                job::aboutOf(job, take).driver == sight_.driver) {
                box->addItem(words(take.name + ", " + take.id), words(take.id));
            }
        }
        box->setCurrentIndex(std::max(0, box->findData(before)));
    }
}

std::shared_ptr<const driver::FitResult> ParametersPage::secondFit(const QComboBox* box) const {
    const job::Take* take =
        job::findTake(sight_.shown().job, box->currentData().toString().toStdString());
    if (take == nullptr) {
        return nullptr;
    }
    const auto works = works_->of(*take);
    return works ? works->fit : nullptr;
}

void ParametersPage::again() {
    Picture picture{.empty = tr("no impedance yet: record one, or open a table")};
    table_->setRowCount(0);
    fit_.reset();
    QString told;
    if (take_ != nullptr) {
        picture.traces = {traceOf({QStringLiteral("impedance"), tr("measured")},
                                  strokeOf(band_),
                                  *take_->curve,
                                  Shown::modulus)};
        const auto works = works_->of(*take_);
        if (works && works->made && works->made->jig) {
            picture.traces << bandOf(*works->made->jig);
        }
        if (!works) {
            told = tr("working …");
        } else if (!works->fit) {
            told = QStringLiteral("▲ ") + spoken(works->problem);
        } else {
            fit_ = works->fit;
        }
    }
    if (fit_) {
        const driver::FitResult& fit = *fit_;
        const curve::Axis axis = take_->curve->frequencies();
        picture.traces << traceOf({QStringLiteral("model"), tr("model")},
                                  theme().ghost,
                                  axis,
                                  fit.box ? driver::ventedImpedance(fit.model, *fit.box, axis)
                                          : driver::impedance(fit.model, axis),
                                  Shown::modulus);
        picture.mark = Mark{fit.model.fs,
                            fit.model.Re * (1.0 + fit.model.Qms / fit.model.Qes),
                            QStringLiteral("fs\u202F%1")
                                .arg(figures(text::printEngineering(fit.model.fs, "Hz", 4)))};
        const job::Driver* driver = job::findDriver(sight_.shown().job, sight_.driver);

        struct Row {
            std::string_view symbol;
            double value;
            double u;
            std::string unit;
        };

        std::vector<Row> rows{{"Re", fit.model.Re, fit.u.Re, "Ω"},
                              {"fs", fit.model.fs, fit.u.fs, "Hz"},
                              {"Qms", fit.model.Qms, fit.u.Qms, ""},
                              {"Qes", fit.model.Qes, fit.u.Qes, ""},
                              {"Qts", fit.Qts, fit.u.Qts, ""}};
        for (const driver::CoilFigure& f : driver::coilFigures(fit)) {
            rows.push_back({f.symbol, f.value, f.u.value_or(0.0), std::string(f.unit)});
        }
        for (const Row& row : rows) {
            const int at = table_->rowCount();
            table_->insertRow(at);
            const QString symbol = words(row.symbol);
            table_->setItem(at, 0, new QTableWidgetItem(symbol));
            table_->setItem(
                at, 1, new QTableWidgetItem(withLimits(row.value, row.u, row.unit.c_str())));
            const auto printed =
                driver == nullptr ? std::nullopt : printedOf(driver->sheet, symbol);
            QString beside = QStringLiteral("–");
            if (printed) {
                const double apart = *printed / row.value - 1.0;
                beside = QStringLiteral("%1%2").arg(
                    std::abs(apart) > driver::usualSpread ? QStringLiteral("▲ ") : QString(),
                    plainOrPrefixed(*printed, row.unit.c_str(), 3));
            }
            table_->setItem(at, 2, new QTableWidgetItem(beside));
        }
        QStringList said;
        const driver::ModelTried& best = fit.tried.front();
        said << tr("Coil: %1; %2 % off in the mean.")
                    .arg(coilWords(best.model),
                         figures(text::printSignificant(100.0 * best.rms, 2)));
        for (const driver::ModelTried& t : fit.tried) {
            if (t.model == driver::InductanceModel::ideal && best.model != t.model &&
                best.rms > 0.0) {
                said << tr("A plain inductor would be %1 % off.")
                            .arg(figures(text::printSignificant(100.0 * t.rms, 2)));
            }
        }
        QStringList others;
        for (const driver::ModelTried& t : fit.tried) {
            if (t.model != best.model && t.model != driver::InductanceModel::ideal) {
                others << QStringLiteral("%1 %2\u202F%")
                              .arg(coilWords(t.model),
                                   figures(text::printSignificant(100.0 * t.rms, 2)));
            }
        }
        told_->setToolTip(
            others.isEmpty()
                ? QString()
                : tr("Also tried: %1. The simplest of those that are about as good was taken.")
                      .arg(others.join(QStringLiteral(", "))));
        if (fit.box) {
            said << tr("Box: tuned to %1, α %2, QL %3.")
                        .arg(figures(text::printEngineering(fit.box->fb, "Hz")),
                             figures(text::printSignificant(fit.box->alpha, 2)),
                             figures(text::printSignificant(fit.box->QL, 2)));
        }
        if (take_->recorded.mounting == job::Mounting::closedBox) {
            said << tr("In its box: these are fc and the Q of driver and air together.");
        }
        for (const auto& note : fit.notes) {
            said << spoken(note);
        }
        told = said.join(u' ');
        loaded_->setPlaceholderText(figures(text::printEngineering(0.7 * fit.model.fs, "Hz")));
    }
    picture.foot = take_ != nullptr ? words(take_->date) : QString();
    plot_->display(picture);
    told_->setText(told);
    showPrinted();
    showVas();
    showBand();
}

void ParametersPage::showPrinted() {
    printed_->clear();
    const job::Driver* driver = job::findDriver(sight_.shown().job, sight_.driver);
    if (driver == nullptr) {
        return;
    }
    using driver::Figure;
    const driver::Part& sheet = driver->sheet;
    driver::CompleteRequest request;
    int given = 0;
    const auto give = [&](Figure figure, const std::optional<double>& value) {
        request.given[static_cast<std::size_t>(figure)] = value;
        given += value ? 1 : 0;
    };
    give(Figure::Re, sheet.model.Re);
    give(Figure::fs, sheet.model.fs);
    give(Figure::Qms, sheet.model.Qms);
    give(Figure::Qes, sheet.model.Qes);
    give(Figure::Vas, sheet.Vas);
    give(Figure::Sd, sheet.Sd);
    give(Figure::sensitivity2v83, sheet.sensitivity);
    if (given == 0) {
        return;
    }
    const auto judged = driver::complete(request);
    if (!judged) {
        return;
    }
    switch (judged->verdict) {
    case driver::SheetVerdict::consistent:
        printed_->setText(tr("The printed figures agree with each other."));
        break;
    case driver::SheetVerdict::oneOff: {
        const std::string& odd = judged->suspects.front();
        const auto implied =
            std::ranges::find(judged->implied, odd, &std::pair<std::string, double>::first);
        printed_->setText(
            implied == judged->implied.end()
                ? tr("▲ Printed %1 does not agree with the other printed figures.").arg(words(odd))
                : tr("▲ Printed %1 does not agree with the others: they make it %2.")
                      .arg(words(odd), figures(text::printSignificant(implied->second, 3))));
        break;
    }
    case driver::SheetVerdict::cannotTell:
    case driver::SheetVerdict::severalOff: {
        QStringList odd;
        for (const std::string& suspect : judged->suspects) {
            odd << words(suspect);
        }
        printed_->setText(odd.isEmpty()
                              ? tr("▲ The printed figures do not agree with each other.")
                              : tr("▲ The printed figures do not agree; one of %1 is wrong.")
                                    .arg(odd.join(QStringLiteral(", "))));
        break;
    }
    case driver::SheetVerdict::notCheckable:
        printed_->setText(tr("Too few figures are printed to check one against the other."));
        break;
    }
}

void ParametersPage::showVas() {
    if (!fit_) {
        vas_->setText({});
        return;
    }
    QStringList said;
    const auto withMass = secondFit(massTake_);
    const auto inBox = secondFit(boxTake_);
    loaded_->setEnabled(massTake_->currentIndex() <= 0);
    inBox_->setEnabled(boxTake_->currentIndex() <= 0);
    const auto loaded = withMass ? std::optional(withMass->model.fs) : loaded_->optionalValue();
    const auto boxed = inBox ? std::optional(inBox->model.fs) : inBox_->optionalValue();
    if (Sd_->optionalValue() && loaded && mass_->optionalValue()) {
        const driver::AddedMassRequest request{.fs = fit_->model.fs,
                                               .fsLoaded = *loaded,
                                               .mass = mass_->value(),
                                               .Sd = Sd_->value(),
                                               .Re = fit_->model.Re,
                                               .Qes = fit_->model.Qes,
                                               .Qms = fit_->model.Qms,
                                               .fsU = std::max(fit_->u.fs, 1e-3)};
        if (const auto error = driver::check(request)) {
            said << QStringLiteral("▲ ") + spoken(text::sentence(*error));
        } else {
            const auto a = driver::addedMass(request);
            said << tr("By the mass: Vas %1, Mms %2, Bl %3.")
                        .arg(withLimits(a->Vas * 1e3, a->VasU, "l"),
                             figures(text::printEngineering(a->Mms * 1e3, "g")),
                             figures(text::printSignificant(a->Bl.value_or(0.0), 3)) +
                                 QStringLiteral("\u202FT·m"));
            if (a->advice != driver::MassAdvice::ok) {
                said << tr("The resonance fell by %1 %: %2 would be better.")
                            .arg(QLocale().toString(100.0 * a->fall, 'f', 0),
                                 figures(text::printEngineering(a->recommendedMass * 1e3, "g", 2)));
            }
        }
    }
    if (box_->optionalValue() && boxed) {
        driver::TestBoxRequest request{.fs = fit_->model.fs, .fc = *boxed, .Vb = box_->value()};
        if (inBox) {
            request.Qes = fit_->model.Qes;
            request.Qms = fit_->model.Qms;
            request.Qec = inBox->model.Qes;
            request.Qmc = inBox->model.Qms;
            request.fsU = std::max(fit_->u.fs, 1e-3);
            request.fcU = std::max(inBox->u.fs, 1e-3);
            request.QesU = std::max(fit_->u.Qes, 1e-3);
            request.QecU = std::max(inBox->u.Qes, 1e-3);
        }
        if (const auto error = driver::check(request)) {
            said << QStringLiteral("▲ ") + spoken(text::sentence(*error));
        } else {
            const auto b = driver::testBox(request);
            said << (b->method == driver::BoxMethod::withQec
                         ? tr("By the box: Vas %1, from resonance and losses of both takes.")
                         : tr("By the box: Vas %1, from the frequencies alone."))
                        .arg(withLimits(b->Vas * 1e3, b->VasU, "l"));
            if (b->leakSuspected) {
                said << tr("▲ The losses in the box are high: a leak, or filling.");
            }
            if (b->advice != driver::BoxAdvice::ok) {
                said << tr("A box of %1 would be better.")
                            .arg(figures(text::printEngineering(b->recommendedVb * 1e3, "l", 2)));
            }
        }
    }
    vas_->setText(said.isEmpty()
                      ? tr("Put a weighed lump of putty around the dust cap, or the driver "
                           "into a closed box of known volume; take the impedance again and "
                           "enter the resonance.")
                      : said.join(u' '));
}

void ParametersPage::showBand() {
    const job::Job& job = sight_.shown().job;
    const job::Driver* driver = job::findDriver(job, sight_.driver);
    if (!fit_ || driver == nullptr) {
        usable_->setText({});
        return;
    }
    job::Driver here = *driver;
    if (Sd_->optionalValue()) {
        here.sheet.Sd = Sd_->value();
    }
    const auto found = evaluation::usableBandOf(job, here, fit_->model.fs);
    if (!found) {
        usable_->setText({});
        return;
    }
    const driver::UsableBand* band = &found->band;
    const auto reason = [](const std::string& why) {
        return why == "resonance"   ? tr("its resonance")
               : why == "excursion" ? tr("its travel")
               : why == "breakup"   ? tr("a mode of its cone")
               : why == "response"  ? tr("its own fall")
                                    : tr("its size: it beams beyond");
    };
    QStringList said;
    if (found->areaGuessed) {
        said << tr("With the area guessed from the outer diameter:");
    }
    if (band->low) {
        said << tr("From %1, by %2;")
                    .arg(figures(text::printEngineering(*band->low, "Hz", 2)),
                         reason(*band->lowReason));
    } else {
        said << tr("From what its box allows;");
    }
    said << tr("up to %1, by %2.")
                .arg(figures(text::printEngineering(band->high, "Hz", 2)),
                     reason(band->highReason));
    for (const auto& p : band->breakups) {
        said << tr("Peak at %1, %2 dB, Q %3.")
                    .arg(figures(text::printEngineering(p.f, "Hz", 2)),
                         QLocale().toString(p.height, 'f', 0),
                         QLocale().toString(p.Q, 'f', 0));
    }
    for (const auto& note : band->notes) {
        said << spoken(note);
    }
    usable_->setText(said.join(u' '));
}

} // namespace yf::app
