// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/measure/measure_stage.h"

#include "app/plots/curves.h"
#include "app/plots/plot.h"
#include "app/widgets/dropped_files.h"
#include "app/widgets/words.h"

#include <QDragEnterEvent>
#include <QGridLayout>
#include <QLabel>
#include <QLocale>
#include <QPushButton>

namespace yf::app {

namespace {

using job::TakeKind;

QLabel* wordsLabel(QWidget* parent, const QString& name) {
    auto* label = new QLabel(parent);
    label->setObjectName(name);
    label->setWordWrap(true);
    label->setTextFormat(Qt::PlainText);
    return label;
}

QString toldOf(const job::Take* take, TakeKind kind) {
    if (take == nullptr) {
        return kind == TakeKind::response
                   ? MeasureStage::tr("No response yet. Drop a table of frequency, level and phase "
                                      "on the driver; without it no sum can be shown.")
                   : MeasureStage::tr("No impedance yet. Drop a table of frequency, ohms and phase "
                                      "on the driver; without it no network can be computed.");
    }
    QStringList said{words(take->name) +
                     (take->date.empty() ? QString{} : QStringLiteral(" · ") + words(take->date)) +
                     QStringLiteral(" ·")};
    said << spoken(take->understood);
    const curve::Range trusted = take->curve->trusted();
    if (trusted != take->curve->extent()) {
        said << MeasureStage::tr("Believed from %1 to %2; drawn thin and broken beyond.")
                    .arg(figures(text::printEngineering(trusted.from, "Hz")),
                         figures(text::printEngineering(trusted.to, "Hz")));
    }
    if (take->curve->phase() == curve::Phase::none) {
        said << MeasureStage::tr("No phase: it cannot be summed or loaded yet.");
    } else if (take->curve->phase() == curve::Phase::minimum) {
        said << MeasureStage::tr(
            "Phase computed from the levels (minimum phase); it holds no flight time.");
    }
    return said.join(u' ');
}

QString footOf(const job::Take* take) {
    if (take == nullptr) {
        return {};
    }
    const QLocale locale;
    QStringList said{take->smoothing == 0 ? MeasureStage::tr("unsmoothed")
                                          : MeasureStage::tr("1/%1 octave").arg(take->smoothing)};
    if (take->kind == TakeKind::response) {
        said << MeasureStage::tr("%1 V, %2 m")
                    .arg(locale.toString(take->drive, 'g', 3),
                         locale.toString(take->distance, 'g', 3));
        said
            << (take->gate
                    ? MeasureStage::tr("gate %1 ms").arg(locale.toString(*take->gate * 1e3, 'g', 3))
                    : MeasureStage::tr("no gate noted"));
    }
    if (!take->date.empty()) {
        said << words(take->date);
    }
    return said.join(QStringLiteral(", "));
}

} // namespace

MeasureStage::MeasureStage(QWidget* parent) : Stage(parent) {
    setObjectName(QStringLiteral("stage_measure"));
    setAcceptDrops(true);
    name_ = wordsLabel(this, QStringLiteral("measure_driver"));
    QFont big = font();
    big.setPointSizeF(14.0);
    big.setWeight(QFont::DemiBold);
    name_->setFont(big);
    open_ = new QPushButton(tr("Open table …"), this);
    open_->setObjectName(QStringLiteral("measure_open"));
    connect(open_, &QPushButton::clicked, this, [this] { Q_EMIT tablesWanted(words(driver_)); });
    responseTold_ = wordsLabel(this, QStringLiteral("measure_response_told"));
    impedanceTold_ = wordsLabel(this, QStringLiteral("measure_impedance_told"));
    const auto minimum = [this](TakeKind kind, const QString& name) {
        auto* button = new QPushButton(tr("Use the minimum phase"), this);
        button->setObjectName(name);
        button->setToolTip(tr("Computes the phase from the levels: right for a single driver but "
                              "for its flight time. Joins as a new take; can be undone."));
        connect(button, &QPushButton::clicked, this, [this, kind] {
            Q_EMIT edited(job::useMinimumPhase(driver_, kind));
        });
        return button;
    };
    minimumResponse_ = minimum(TakeKind::response, QStringLiteral("measure_minimum_response"));
    minimumImpedance_ = minimum(TakeKind::impedance, QStringLiteral("measure_minimum_impedance"));
    plots_ = {
        new Plot(PlotKind::level, QStringLiteral("measure_plot_response"), tr("Response"), this),
        new Plot(PlotKind::phase,
                 QStringLiteral("measure_plot_response_phase"),
                 tr("Response phase"),
                 this),
        new Plot(
            PlotKind::impedance, QStringLiteral("measure_plot_impedance"), tr("Impedance"), this),
        new Plot(PlotKind::phase,
                 QStringLiteral("measure_plot_impedance_phase"),
                 tr("Impedance phase"),
                 this)};
    linkCrosshairs(plots_);

    auto* grid = new QGridLayout(this);
    grid->setContentsMargins(8, 4, 8, 4);
    grid->setHorizontalSpacing(8);
    grid->setVerticalSpacing(4);
    auto* head = new QHBoxLayout;
    head->addWidget(name_, 1);
    head->addWidget(open_);
    grid->addLayout(head, 0, 0, 1, 2);
    for (int column = 0; column < 2; ++column) {
        auto* told = new QHBoxLayout;
        told->addWidget(column == 0 ? responseTold_ : impedanceTold_, 1, Qt::AlignTop);
        told->addWidget(column == 0 ? minimumResponse_ : minimumImpedance_, 0, Qt::AlignTop);
        grid->addLayout(told, 1, column);
        const qsizetype first = column == 0 ? 0 : 2;
        grid->addWidget(plots_[first], 2, column);
        grid->addWidget(plots_[first + 1], 3, column);
        grid->setColumnStretch(column, 1);
    }
    grid->setRowStretch(2, 5);
    grid->setRowStretch(3, 3);
}

QString MeasureStage::state(const Sight& sight) const {
    const auto count = sight.present->job.takes.size();
    return count == 0 ? tr("nothing yet") : count == 1 ? tr("1 take") : tr("%1 takes").arg(count);
}

void MeasureStage::display(const Sight& sight) {
    driver_ = sight.driver;
    const job::Job& job = sight.shown().job;
    const job::Driver* driver = job::findDriver(job, driver_);
    open_->setEnabled(driver != nullptr);
    name_->setText(driver == nullptr ? tr("No driver chosen") : words(driver->name));
    band_ = driver == nullptr ? job::Band::low : driver->band;
    for (qsizetype i = 0; i < plots_.size(); ++i) {
        scales_[i] = sealedScale(job, plots_[i]->kind());
    }
    for (const TakeKind kind : {TakeKind::response, TakeKind::impedance}) {
        showTake(driver == nullptr ? nullptr : job::takeInUse(job, *driver, kind), kind);
    }
}

void MeasureStage::showTake(const job::Take* take, TakeKind kind) {
    const bool response = kind == TakeKind::response;
    (response ? responseTold_ : impedanceTold_)->setText(toldOf(take, kind));
    (response ? minimumResponse_ : minimumImpedance_)
        ->setVisible(take != nullptr && take->curve->phase() == curve::Phase::none);
    Picture size{.empty = response ? tr("no response yet") : tr("no impedance yet"),
                 .foot = footOf(take)};
    Picture phase{.empty = tr("no phase")};
    if (take != nullptr) {
        const TraceName name{response ? QStringLiteral("response") : QStringLiteral("impedance"),
                             response ? tr("level") : tr("|Z|")};
        size.traces = {
            traceOf(name, strokeOf(band_), *take->curve, response ? Shown::level : Shown::modulus)};
        if (take->curve->phase() != curve::Phase::none) {
            phase.traces = {
                traceOf({name.id, tr("phase")}, strokeOf(band_), *take->curve, Shown::phase)};
            phase.foot = tr("wrapped to ±180°, no delay removed");
        }
    }
    size.scale = scales_[response ? 0 : 2];
    phase.scale = scales_[response ? 1 : 3];
    plots_[response ? 0 : 2]->display(size);
    plots_[response ? 1 : 3]->display(phase);
}

void MeasureStage::reveal(const QString& /*figure*/) {
    plots_.front()->setFocus();
}

void MeasureStage::dragEnterEvent(QDragEnterEvent* event) {
    if (!droppedFiles(event->mimeData()).isEmpty() && !driver_.empty()) {
        event->acceptProposedAction();
    }
}

void MeasureStage::dropEvent(QDropEvent* event) {
    event->acceptProposedAction();
    Q_EMIT tablesGiven(words(driver_), droppedFiles(event->mimeData()));
}

} // namespace yf::app
