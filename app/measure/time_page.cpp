// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/measure/time_page.h"

#include "app/measure/gate_view.h"
#include "app/plots/curves.h"
#include "app/plots/plot.h"
#include "app/widgets/labels.h"
#include "app/widgets/words.h"
#include "core/curve/smooth.h"
#include "core/quantity/level.h"
#include "core/text/number.h"

#include <QComboBox>
#include <QGridLayout>
#include <QLabel>
#include <QLocale>
#include <QPushButton>

#include <algorithm>
#include <cmath>

namespace yf::app {

TimePage::TimePage(TakeWorks* works, QWidget* parent) : QWidget(parent), works_(works) {
    setObjectName(QStringLiteral("time_page"));
    view_ = new GateView(this);
    shown_ = new QComboBox(this);
    shown_->setObjectName(QStringLiteral("time_shown"));
    shown_->setAccessibleName(tr("What is shown over time"));
    shown_->addItems({tr("impulse"), tr("energy, 60 dB"), tr("step")});
    proposed_ = new QPushButton(tr("Gate before the first reflection"), this);
    proposed_->setObjectName(QStringLiteral("time_proposed"));
    told_ = wrappedLabel(this, QStringLiteral("time_told"));
    curve_ =
        new Plot(PlotKind::level, QStringLiteral("time_plot"), tr("What the gate leaves"), this);
    distortion_ = new Plot(
        PlotKind::level, QStringLiteral("distortion_plot"), tr("Fundamental and harmonics"), this);
    linkCrosshairs({curve_, distortion_});
    auto* tools = new QHBoxLayout;
    tools->addWidget(shown_);
    tools->addWidget(proposed_);
    tools->addWidget(told_, 1);
    auto* grid = new QGridLayout(this);
    grid->setContentsMargins(0, 0, 0, 0);
    grid->addLayout(tools, 0, 0, 1, 2);
    grid->addWidget(view_, 1, 0, 1, 2);
    grid->addWidget(curve_, 2, 0);
    grid->addWidget(distortion_, 2, 1);
    grid->setRowStretch(1, 4);
    grid->setRowStretch(2, 5);
    grid->setColumnStretch(0, 1);
    grid->setColumnStretch(1, 1);
    connect(shown_, &QComboBox::currentIndexChanged, this, [this](int index) {
        view_->setShown(static_cast<TimeShown>(index));
    });
    connect(view_, &GateView::moving, this, &TimePage::showCurve);
    connect(view_, &GateView::moved, this, [this](const signal::Gate& gate) {
        if (take_ != nullptr) {
            works_->gate(*take_, gate);
        }
    });
    connect(proposed_, &QPushButton::clicked, this, [this] {
        if (take_ != nullptr && made_ && made_->impulse) {
            works_->gate(*take_, made_->reading.beforeReflection);
        }
    });
}

void TimePage::display(const Sight& sight, const job::Take* take) {
    held_ = sight.preview ? sight.preview : sight.present;
    take_ = take != nullptr && take->kind == job::TakeKind::response ? take : nullptr;
    const job::Driver* driver = job::findDriver(sight.shown().job, sight.driver);
    band_ = driver == nullptr ? job::Band::low : driver->band;
    again();
}

void TimePage::again() {
    if (!isVisible() && made_ == nullptr && take_ == nullptr) {
        return;
    }
    made_.reset();
    if (take_ != nullptr && take_->recording) {
        if (const auto works = works_->of(*take_)) {
            made_ = works->made;
        }
    }
    std::optional<signal::Gate> proposed;
    if (made_ && made_->impulse) {
        proposed = made_->reading.beforeReflection;
    }
    proposed_->setEnabled(proposed && std::abs(proposed->right - made_->reading.gate.right) > 1e-5);
    view_->display(made_, proposed);
    if (made_ && made_->reading.delay) {
        const signal::DelayFit& fit = *made_->reading.delay;
        const signal::Polarity polarity = made_->polarity;
        told_->setText(tr("Arrival %1 ± %2; polarity %3.")
                           .arg(figures(text::printEngineering(fit.delay, "s", 4)),
                                figures(text::printEngineering(fit.u, "s", 2)),
                                polarity == signal::Polarity::positive ? tr("positive")
                                : polarity == signal::Polarity::negative
                                    ? tr("negative")
                                    : tr("uncertain: can't tell")));
    } else {
        told_->setText(take_ != nullptr && take_->recording && !made_ ? tr("working …")
                                                                      : QString());
    }
    if (made_) {
        showCurve(made_->reading.gate);
    } else {
        Picture picture{.empty = tr("no samples")};
        curve_->display(picture);
    }
    showDistortion();
}

void TimePage::showCurve(const signal::Gate& gate) {
    if (!made_ || take_ == nullptr) {
        return;
    }
    const auto curve = take::throughGate(*made_, gate);
    if (!curve) {
        return;
    }
    Picture picture{.foot = tr("gate %1").arg(figures(text::printEngineering(gate.right, "s")))};
    picture.traces = {
        traceOf({QStringLiteral("gated"), tr("level")}, strokeOf(band_), *curve, Shown::level)};
    curve_->display(picture);
}

void TimePage::showDistortion() {
    Picture picture{.empty = tr("no samples")};
    if (made_ && made_->distortion && take_ != nullptr && take_->curve->size() > 1) {
        const auto& d = *made_->distortion;
        // Harmonics stand under their own fundamental, so that dB below it are read off.
        picture.traces = {traceOf({QStringLiteral("fundamental"), tr("fundamental")},
                                  theme().sum,
                                  *take_->curve,
                                  Shown::level)};
        const Stroke strokes[] = {
            theme().ways[1], theme().ways[3], theme().ways[2], theme().ways[4]};
        for (std::size_t order = 0; order < d.orders.size(); ++order) {
            Trace trace{.id = QStringLiteral("harmonic_%1").arg(order + 2),
                        .label = tr("harmonic %1").arg(order + 2),
                        .stroke = strokes[order]};
            if (const auto harmonic = signal::harmonicOf(*take_->curve, d, order + 2)) {
                trace =
                    traceOf({trace.id, trace.label}, trace.stroke, harmonic->curve, Shown::level);
                trace.trusted = QVector<bool>(harmonic->clear.begin(), harmonic->clear.end());
            }
            if (trace.frequencies.size() > 1) {
                picture.traces << trace;
            }
        }
        picture.scale = job::HouseScale{job::ScaleKind::level, 20.0, 20000.0, 10.0, 110.0};
        picture.foot = tr("harmonics 1/6 octave; thin and broken: within 6 dB of the noise");
    }
    distortion_->display(picture);
}

} // namespace yf::app
