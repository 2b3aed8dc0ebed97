// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/measure/angles_page.h"

#include "app/plots/curves.h"
#include "app/plots/plot.h"
#include "app/theme/theme.h"
#include "app/widgets/flow_layout.h"
#include "app/widgets/labels.h"
#include "app/widgets/words.h"
#include "core/text/number.h"
#include "core/text/sentence.h"

#include <QComboBox>
#include <QGridLayout>
#include <QLabel>
#include <QLocale>
#include <QPushButton>
#include <QToolButton>

#include <algorithm>
#include <cmath>

namespace yf::app {

namespace {

enum View { horizontalView, verticalView, summaryView };

Trace lineOf(const QString& id,
             const QString& label,
             Stroke stroke,
             const std::vector<double>& frequencies,
             const std::vector<double>& values) {
    Trace trace{.id = id, .label = label, .stroke = std::move(stroke)};
    for (std::size_t k = 0; k < frequencies.size(); ++k) {
        trace.frequencies << frequencies[k];
        trace.values << values[k];
    }
    return trace;
}

/// Thinner and fainter, the further off the axis.
Stroke angleStroke(double angle, double widest) {
    Stroke stroke = theme().ways[angle >= 0.0 ? 1 : 3];
    const double share = widest > 0.0 ? std::abs(angle) / widest : 0.0;
    stroke.width = 1.8 - 0.9 * share;
    stroke.colour.setAlphaF(static_cast<float>(1.0 - 0.55 * share));
    return stroke;
}

/// The beam in degrees at a few frequencies people speak of.
QString beamWords(const std::vector<double>& f, const std::vector<double>& width) {
    QStringList said;
    for (const double at : {500.0, 1000.0, 2000.0, 4000.0, 8000.0, 16000.0}) {
        const auto found = std::ranges::lower_bound(f, at);
        if (found == f.end() || (found == f.begin() && *found > 1.05 * at)) {
            continue;
        }
        const auto k = static_cast<std::size_t>(found - f.begin());
        said << AnglesPage::tr("%1: %2°").arg(figures(text::printEngineering(at, "Hz", 2)),
                                              QLocale().toString(width[k], 'f', 0));
    }
    return said.join(QStringLiteral(", "));
}

} // namespace

AnglesPage::AnglesPage(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("angles_page"));
    const auto combo =
        [this](const QString& name, const QString& accessible, const QStringList& items) {
            auto* box = new QComboBox(this);
            box->setObjectName(name);
            box->setAccessibleName(accessible);
            box->addItems(items);
            box->setSizeAdjustPolicy(QComboBox::AdjustToContents);
            connect(box, &QComboBox::currentIndexChanged, this, &AnglesPage::again);
            return box;
        };
    subject_ = combo(QStringLiteral("angles_subject"),
                     tr("Whose angles"),
                     {tr("this driver"), tr("the whole cabinet")});
    connect(subject_, &QComboBox::activated, this, [this] { chosen_ = true; });
    shown_ = combo(QStringLiteral("angles_shown"),
                   tr("What is shown"),
                   {tr("to the sides"), tr("up and down"), tr("averages")});
    fill_ = combo(QStringLiteral("angles_fill"),
                  tr("Angles that were not measured"),
                  {tr("measured only"), tr("other side alike"), tr("round about alike")});
    onAxis_ = new QToolButton(this);
    onAxis_->setObjectName(QStringLiteral("angles_on_axis"));
    onAxis_->setText(tr("Less the axis"));
    onAxis_->setCheckable(true);
    onAxis_->setToolTip(tr("Each angle less the one on axis, about 80 dB. A dip on the axis then "
                           "looks like a bloom beside it."));
    connect(onAxis_, &QToolButton::toggled, this, &AnglesPage::again);
    open_ = new QPushButton(tr("Open a set of files …"), this);
    open_->setObjectName(QStringLiteral("angles_open"));
    open_->setToolTip(tr("Plane and angle are read from the names, as in “hor_-30.txt” or "
                         "“V+010deg.csv”, and shown before anything is taken."));
    connect(
        open_, &QPushButton::clicked, this, [this] { Q_EMIT tablesWanted(words(sight_.driver)); });
    told_ = wrappedLabel(this, QStringLiteral("angles_told"));
    plot_ = new Plot(PlotKind::level, QStringLiteral("angles_plot"), tr("Angles"), this);
    index_ = new Plot(
        PlotKind::level, QStringLiteral("angles_index"), tr("How far the sound is bundled"), this);
    auto* bar = new QWidget(this);
    auto* tools = new FlowLayout(bar);
    tools->setContentsMargins(0, 0, 0, 0);
    tools->setSpacing(4);
    for (QWidget* widget : {static_cast<QWidget*>(subject_),
                            static_cast<QWidget*>(shown_),
                            static_cast<QWidget*>(fill_),
                            static_cast<QWidget*>(onAxis_)}) {
        tools->addWidget(widget);
    }
    tools->addWidget(open_);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(4);
    column->addWidget(bar);
    column->addWidget(plot_, 3);
    column->addWidget(index_, 2);
    column->addWidget(told_);
}

void AnglesPage::display(const Sight& sight) {
    if (sight.driver != sight_.driver || sight.cabinet != sight_.cabinet) {
        chosen_ = false;
    }
    sight_ = sight;
    again();
}

void AnglesPage::again() {
    if (!sight_.present) {
        return;
    }
    const job::Job& job = sight_.shown().job;
    const auto fill = static_cast<measure::Fill>(fill_->currentIndex());
    const auto setOf = [&](bool whole) {
        return take::polarSetOf(job, sight_.cabinet, whole ? std::string() : sight_.driver, fill);
    };
    auto set = setOf(subject_->currentIndex() == 1);
    if (!set && !chosen_) {
        // Nobody has chosen yet: what there is comes first.
        const int other = 1 - subject_->currentIndex();
        if (auto there = setOf(other == 1)) {
            const QSignalBlocker quiet(subject_);
            subject_->setCurrentIndex(other);
            set = std::move(there);
        }
    }
    const int view = shown_->currentIndex();
    onAxis_->setEnabled(view != summaryView);
    index_->setVisible(view == summaryView);
    open_->setEnabled(!sight_.driver.empty());
    if (!set) {
        plot_->display({.empty = spoken(text::sentence(set.error()))});
        index_->display({});
        told_->setText({});
        return;
    }
    if (view != summaryView) {
        showCurves(
            *set, view == horizontalView ? quantity::Plane::horizontal : quantity::Plane::vertical);
        return;
    }
    const auto summary = measure::polarSummary(set->request);
    if (!summary) {
        plot_->display({.empty = spoken(text::sentence(summary.error()))});
        return;
    }
    showSummary(*summary, set->simulated);
}

void AnglesPage::showCurves(const take::PolarSet& set, quantity::Plane plane) {
    std::vector<const measure::PolarCurve*> curves;
    const measure::PolarCurve* axis = nullptr;
    double widest = 0.0;
    for (const measure::PolarCurve& curve : set.request.curves) {
        if (curve.angle == 0.0) {
            axis = &curve;
        }
        if (curve.plane == plane || curve.angle == 0.0) {
            curves.push_back(&curve);
            widest = std::max(widest, std::abs(curve.angle));
        }
    }
    std::ranges::sort(curves, {}, [](const auto* c) { return -std::abs(c->angle); });
    const bool less = onAxis_->isChecked() && axis != nullptr;
    constexpr double middle = 80.0; // dB, where the house scale has its middle
    Picture picture{.foot = set.simulated ? tr("simulated") : QString()};
    for (const measure::PolarCurve* curve : curves) {
        std::vector<double> levels = curve->levels;
        for (std::size_t k = 0; less && k < levels.size(); ++k) {
            levels[k] += middle - axis->levels[k];
        }
        const QString name =
            figures(text::printSignificant(curve->angle, 4)).replace(u'-', u'−') + u'°';
        Stroke stroke = curve->angle == 0.0 ? theme().sum : angleStroke(curve->angle, widest);
        picture.traces << lineOf(name, name, stroke, set.request.frequencies, levels);
    }
    picture.scale = sealedScale(sight_.shown().job, PlotKind::level);
    plot_->display(picture);
    told_->setText(
        curves.size() < 2
            ? tr("▲ No angle of this plane yet.")
            : tr("%1 angles of this plane; one colour for each side, fainter further off.")
                  .arg(curves.size()));
}

void AnglesPage::showSummary(const measure::PolarSummary& s, bool simulated) {
    Picture picture{.foot = simulated ? tr("simulated") : QString()};
    Picture index{.empty = tr("needs angles all round")};
    const auto add = [&](Picture& to,
                         const char* id,
                         const QString& label,
                         const std::optional<std::vector<double>>& values,
                         const Stroke& stroke) {
        if (values) {
            to.traces << lineOf(QLatin1String(id), label, stroke, s.frequencies, *values);
        }
    };
    const auto& ways = theme().ways;
    add(picture, "on_axis", tr("on axis"), s.onAxis, theme().sum);
    add(picture, "window", tr("listening window"), s.listeningWindow, ways[0]);
    add(picture, "early", tr("early reflections"), s.earlyReflections, ways[1]);
    add(picture, "power", tr("sound power"), s.soundPower, ways[2]);
    add(picture, "room", tr("in-room estimate"), s.inRoom, ways[3]);
    add(index, "index", tr("directivity index"), s.directivityIndex, ways[2]);
    add(index, "early_index", tr("early reflections index"), s.earlyReflectionsIndex, ways[1]);
    picture.scale = sealedScale(sight_.shown().job, PlotKind::level);
    index.scale = job::HouseScale{
        .kind = job::ScaleKind::level, .from = 20.0, .to = 20000.0, .low = -5.0, .high = 20.0};
    plot_->display(picture);
    index_->display(index);
    QStringList said;
    if (s.beamwidthHorizontal) {
        said << tr("Beam to the sides, between −6 dB points, %1.")
                    .arg(beamWords(s.frequencies, *s.beamwidthHorizontal));
    }
    if (s.beamwidthVertical) {
        said << tr("Up and down, %1.").arg(beamWords(s.frequencies, *s.beamwidthVertical));
    }
    for (const std::string& warning : s.warnings) {
        said << (warning == "mirrored"       ? tr("▲ One side was copied from the other.")
                 : warning == "axisymmetric" ? tr("▲ Up and down were copied from the sides.")
                 : warning == "listening_window_incomplete"
                     ? tr("▲ The listening window lacks angles and is left out.")
                 : warning == "sound_power_incomplete"
                     ? tr("▲ The sound power needs angles all round, and is left out.")
                     : words(warning));
    }
    if (!s.missing.empty()) {
        said << tr("%1 of 72 places are not measured and not between measured ones.")
                    .arg(s.missing.size());
    }
    told_->setText(said.join(u' '));
}

} // namespace yf::app
