// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/measure/curves_page.h"

#include "app/plots/curves.h"
#include "app/plots/plot.h"
#include "app/widgets/labels.h"
#include "app/widgets/words.h"
#include "core/curve/interpolate.h"
#include "core/curve/minimum_phase.h"
#include "core/curve/smooth.h"
#include "core/edit/measurement.h"
#include "core/measure/compare.h"
#include "core/signal/delay.h"
#include "core/signal/group_delay.h"
#include "core/take/minimum_phase.h"

#include <QComboBox>
#include <QGridLayout>
#include <QLabel>
#include <QLocale>
#include <QPushButton>
#include <QToolButton>

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::app {

namespace {

using job::TakeKind;

/// What the phase plot of the response shows.
enum class PhaseShown { measured, minimum, excess, groupDelay };

QString toldOf(const job::Take* take, TakeKind kind) {
    if (take == nullptr) {
        return kind == TakeKind::response
                   ? CurvesPage::tr("No response yet. Drop a table of frequency, level and phase "
                                    "on the driver; without it no sum can be shown.")
                   : CurvesPage::tr("No impedance yet. Drop a table of frequency, ohms and phase "
                                    "on the driver; without it no network can be computed.");
    }
    QStringList said{words(take->name) +
                     (take->date.empty() ? QString{} : QStringLiteral(" · ") + words(take->date)) +
                     QStringLiteral(" ·")};
    said << spoken(take->understood);
    const curve::Range trusted = take->curve->trusted();
    if (trusted != take->curve->extent()) {
        said << CurvesPage::tr("Believed from %1 to %2; drawn thin and broken beyond.")
                    .arg(figures(text::printEngineering(trusted.from, "Hz")),
                         figures(text::printEngineering(trusted.to, "Hz")));
    }
    if (take->curve->phase() == curve::Phase::none) {
        said << CurvesPage::tr("No phase: it cannot be summed or loaded yet.");
    } else if (take->curve->phase() == curve::Phase::minimum) {
        said << CurvesPage::tr(
            "Phase computed from the levels (minimum phase); it holds no flight time.");
    }
    return said.join(u' ');
}

QString footOf(const job::Take* take, int smoothing) {
    if (take == nullptr) {
        return {};
    }
    const QLocale locale;
    QStringList said;
    const int shown = std::max(smoothing, 0);
    if (shown > 0) {
        said << CurvesPage::tr("1/%1 octave, for the eye").arg(shown);
    } else {
        said << (take->smoothing == 0 ? CurvesPage::tr("unsmoothed")
                                      : CurvesPage::tr("1/%1 octave").arg(take->smoothing));
    }
    if (take->kind == TakeKind::response) {
        said << CurvesPage::tr("%1 V, %2 m")
                    .arg(locale.toString(take->drive, 'g', 3),
                         locale.toString(take->distance, 'g', 3));
        said << (take->gate
                     ? CurvesPage::tr("gate %1 ms").arg(locale.toString(*take->gate * 1e3, 'g', 3))
                     : CurvesPage::tr("no gate noted"));
    }
    if (!take->date.empty()) {
        said << words(take->date);
    }
    if (take->recorded.simulated) {
        said << CurvesPage::tr("simulated");
    }
    return said.join(QStringLiteral(", "));
}

/// The other ways' colours and patterns, in turn.
Stroke overStroke(job::Band band, int index) {
    const auto own = static_cast<int>(band);
    Stroke stroke = theme().ways[static_cast<std::size_t>((own + 1 + index) % 5)];
    stroke.width = 1.2;
    return stroke;
}

QString overName(const job::Take& take) {
    QStringList said{take.recorded.driver.empty() && !take.recorded.device.empty()
                         ? CurvesPage::tr("whole, %1").arg(words(take.name))
                         : words(take.name)};
    if (!take.recorded.condition.empty()) {
        said << words(take.recorded.condition);
    }
    return said.join(QStringLiteral(", "));
}

} // namespace

CurvesPage::CurvesPage(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("curves_page"));
    responseTold_ = wrappedLabel(this, QStringLiteral("measure_response_told"));
    impedanceTold_ = wrappedLabel(this, QStringLiteral("measure_impedance_told"));
    const auto minimum = [this](TakeKind kind, const QString& name) {
        auto* button = new QPushButton(tr("Use the minimum phase"), this);
        button->setObjectName(name);
        button->setToolTip(tr("Computes the phase from the levels: right for a single driver but "
                              "for its flight time. Joins as a new take; can be undone."));
        connect(button, &QPushButton::clicked, this, [this, kind] {
            Q_EMIT editWanted([driver = driver_, kind](const Evaluated& present) {
                return take::useMinimumPhase(present.job, driver, kind);
            });
        });
        return button;
    };
    minimumResponse_ = minimum(TakeKind::response, QStringLiteral("measure_minimum_response"));
    minimumImpedance_ = minimum(TakeKind::impedance, QStringLiteral("measure_minimum_impedance"));
    smoothing_ = new QComboBox(this);
    smoothing_->setObjectName(QStringLiteral("measure_smoothing"));
    smoothing_->setAccessibleName(tr("Smoothing of the picture"));
    smoothing_->setToolTip(tr("For the eye only: the data keep their detail."));
    smoothing_->addItem(tr("as it is"), 0);
    for (const int n : {48, 24, 12, 6, 3}) {
        smoothing_->addItem(tr("1/%1 octave").arg(n), n);
    }
    phase_ = new QComboBox(this);
    phase_->setObjectName(QStringLiteral("measure_phase_shown"));
    phase_->setAccessibleName(tr("Which phase is shown"));
    phase_->addItems({tr("measured phase"),
                      tr("minimum phase"),
                      tr("excess, delay taken out"),
                      tr("group delay")});
    const auto toggle = [this](const QString& text, const QString& name, const QString& tip) {
        auto* button = new QToolButton(this);
        button->setObjectName(name);
        button->setText(text);
        button->setToolTip(tip);
        button->setCheckable(true);
        connect(button, &QToolButton::toggled, this, &CurvesPage::again);
        return button;
    };
    difference_ = toggle(tr("Difference"),
                         QStringLiteral("measure_difference"),
                         tr("The ticked take less the chosen one, about the middle of the scale."));
    alike_ = toggle(tr("Bring together"),
                    QStringLiteral("measure_alike"),
                    tr("Laid-over takes are shifted to the chosen one's mean level, 300 Hz to "
                       "3 kHz."));
    connect(smoothing_, &QComboBox::currentIndexChanged, this, &CurvesPage::again);
    connect(phase_, &QComboBox::currentIndexChanged, this, &CurvesPage::again);
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
    delay_ =
        new Plot(PlotKind::delay, QStringLiteral("measure_plot_delay"), tr("Group delay"), this);
    delay_->setVisible(false);
    linkCrosshairs(plots_ + QVector<Plot*>{delay_});

    auto* grid = new QGridLayout(this);
    grid->setContentsMargins(0, 0, 0, 0);
    grid->setHorizontalSpacing(8);
    grid->setVerticalSpacing(4);
    auto* tools = new QHBoxLayout;
    for (QWidget* widget : {static_cast<QWidget*>(smoothing_),
                            static_cast<QWidget*>(phase_),
                            static_cast<QWidget*>(alike_),
                            static_cast<QWidget*>(difference_)}) {
        tools->addWidget(widget);
    }
    tools->addStretch(1);
    grid->addLayout(tools, 0, 0, 1, 2);
    for (int column = 0; column < 2; ++column) {
        auto* told = new QHBoxLayout;
        told->addWidget(column == 0 ? responseTold_ : impedanceTold_, 1, Qt::AlignTop);
        told->addWidget(column == 0 ? minimumResponse_ : minimumImpedance_, 0, Qt::AlignTop);
        grid->addLayout(told, 1, column);
        const qsizetype first = column == 0 ? 0 : 2;
        grid->addWidget(plots_[first], 2, column);
        grid->addWidget(plots_[first + 1], 3, column);
        if (column == 0) {
            grid->addWidget(delay_, 3, column);
        }
        grid->setColumnStretch(column, 1);
    }
    grid->setRowStretch(2, 5);
    grid->setRowStretch(3, 3);
}

void CurvesPage::display(const Sight& sight,
                         const job::Take* chosen,
                         const std::vector<const job::Take*>& over) {
    held_ = sight.preview ? sight.preview : sight.present;
    driver_ = sight.driver;
    const job::Job& job = sight.shown().job;
    const job::Driver* driver = job::findDriver(job, driver_);
    band_ = driver == nullptr ? job::Band::low : driver->band;
    for (qsizetype i = 0; i < plots_.size(); ++i) {
        scales_[static_cast<std::size_t>(i)] = sealedScale(job, plots_[i]->kind());
    }
    over_ = over;
    for (const TakeKind kind : {TakeKind::response, TakeKind::impedance}) {
        const job::Take* take = driver == nullptr ? nullptr : job::takeInUse(job, *driver, kind);
        if (chosen != nullptr && chosen->kind == kind) {
            take = chosen;
        }
        shown_[static_cast<std::size_t>(kind)] = take;
    }
    difference_->setEnabled(!over_.empty());
    alike_->setEnabled(!over_.empty());
    again();
}

void CurvesPage::again() {
    showTake(shown_[0], TakeKind::response);
    showTake(shown_[1], TakeKind::impedance);
}

void CurvesPage::showTake(const job::Take* take, TakeKind kind) {
    const bool response = kind == TakeKind::response;
    const auto first = static_cast<std::size_t>(response ? 0 : 2);
    (response ? responseTold_ : impedanceTold_)->setText(toldOf(take, kind));
    (response ? minimumResponse_ : minimumImpedance_)
        ->setVisible(take != nullptr && take->curve->phase() == curve::Phase::none);
    const int fraction = response ? smoothing_->currentData().toInt() : 0;
    const auto forTheEye = [&](const curve::Curve& c) {
        return fraction > 0 ? curve::smoothed(c, fraction, curve::Smoothing::power) : c;
    };
    Picture size{.empty = response ? tr("no response yet") : tr("no impedance yet"),
                 .foot = footOf(take, fraction)};
    Picture phase{.empty = tr("no phase")};
    const Shown shown = response ? Shown::level : Shown::modulus;
    if (take != nullptr) {
        const TraceName name{response ? QStringLiteral("response") : QStringLiteral("impedance"),
                             response ? tr("level") : tr("|Z|")};
        size.traces = {traceOf(name, strokeOf(band_), forTheEye(*take->curve), shown)};
        const double own = measure::midLevel(*take->curve);
        int index = 0;
        for (const job::Take* other : over_) {
            if (other->kind != kind || other == take) {
                continue;
            }
            Trace trace = traceOf({words(other->id), overName(*other)},
                                  overStroke(band_, index++),
                                  forTheEye(*other->curve),
                                  shown);
            if (response && alike_->isChecked()) {
                const double shift = own - measure::midLevel(*other->curve);
                for (double& v : trace.values) {
                    v += shift;
                }
                trace.label += tr(", %1 dB").arg(QLocale().toString(shift, 'f', 1));
            }
            if (response && difference_->isChecked()) {
                const auto d = measure::compareCurves(forTheEye(*take->curve),
                                                      forTheEye(*other->curve),
                                                      {10.0, 40000.0},
                                                      measure::Normalise::none);
                if (d) {
                    // About the middle of the scale, so that it stands in the same picture.
                    const auto scale = scales_[0].value_or(builtInScale(PlotKind::level));
                    const double middle = std::round(0.5 * (scale.low + scale.high));
                    Trace line{.id = QStringLiteral("difference"),
                               .label = tr("difference + %1 dB").arg(middle),
                               .stroke = overStroke(band_, 3)};
                    for (std::size_t k = 0; k < d->frequencies.size(); ++k) {
                        line.frequencies << d->frequencies[k];
                        line.values << middle + d->difference[k];
                    }
                    size.traces << line;
                }
            }
            size.traces << trace;
        }
        if (response && phase_->currentIndex() == static_cast<int>(PhaseShown::groupDelay)) {
            showDelay(*take);
        } else if (take->curve->phase() != curve::Phase::none) {
            const auto which =
                response ? static_cast<PhaseShown>(phase_->currentIndex()) : PhaseShown::measured;
            curve::Curve drawn = *take->curve;
            phase.foot = tr("wrapped to ±180°, no delay removed");
            if (which == PhaseShown::minimum) {
                drawn = curve::withMinimumPhase(*take->curve);
                phase.foot = tr("minimum phase of the levels");
            } else if (which == PhaseShown::excess) {
                const auto excess = signal::excessPhase(*take->curve);
                drawn = excess.curve;
                phase.foot = tr("delay of %1 taken out")
                                 .arg(figures(text::printEngineering(excess.delay, "s", 4)));
            }
            phase.traces = {traceOf({name.id, tr("phase")}, strokeOf(band_), drawn, Shown::phase)};
        }
    }
    if (response) {
        const bool delays = phase_->currentIndex() == static_cast<int>(PhaseShown::groupDelay);
        plots_[1]->setVisible(!delays);
        delay_->setVisible(delays);
        if (delays && take == nullptr) {
            delay_->display({.empty = tr("no response yet")});
        }
    }
    size.scale = scales_[first];
    phase.scale = scales_[first + 1];
    plots_[static_cast<qsizetype>(first)]->display(size);
    plots_[static_cast<qsizetype>(first) + 1]->display(phase);
}

void CurvesPage::showDelay(const job::Take& take) {
    const std::vector<double> delays = signal::groupDelay(*take.curve);
    Trace trace{
        .id = QStringLiteral("delay"), .label = tr("group delay"), .stroke = strokeOf(band_)};
    for (std::size_t k = 0; k < delays.size(); ++k) {
        trace.frequencies << take.curve->frequencies()[k];
        trace.values << 1e3 * delays[k];
        trace.trusted << take.curve->trusted().holds(take.curve->frequencies()[k]);
    }
    Picture picture{.foot = take.curve->phase() == curve::Phase::none
                                ? tr("of the minimum phase: no phase was measured")
                                : tr("flight time and all, over a sixth of an octave")};
    picture.traces = {trace};
    picture.scale = sealedScale(held_->job, PlotKind::delay);
    delay_->display(picture);
}

} // namespace yf::app
