// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/box/choose_page.h"

#include "app/box/box_pictures.h"
#include "app/plots/plot.h"
#include "app/widgets/controls.h"
#include "app/widgets/labels.h"
#include "app/widgets/words.h"
#include "core/edit/box.h"
#include "core/text/number.h"

#include <QLabel>
#include <QPushButton>
#include <QTableWidget>
#include <QVBoxLayout>

#include <algorithm>

namespace yf::app {

namespace {

QString adviceWords(box::Advice advice) {
    switch (advice) {
    case box::Advice::vented:
        return ChoosePage::tr("ported");
    case box::Advice::closed:
        return ChoosePage::tr("closed");
    case box::Advice::open:
        return ChoosePage::tr("open baffle");
    case box::Advice::either:
        return ChoosePage::tr("either");
    }
    return {};
}

/// Told apart by hue and dash: five are as many as one picture bears.
Stroke strokeFor(std::size_t i) {
    Stroke s = i == 0 ? theme().sum : theme().ways[(i - 1) % theme().ways.size()];
    s.width = i == 0 ? 2.6 : 1.8;
    return s;
}

} // namespace

ChoosePage::ChoosePage(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("choose_page"));
    schools_ = wrappedLabel(this, QStringLiteral("choose_schools"), 11.0, QFont::DemiBold);
    reason_ = wrappedLabel(this, QStringLiteral("choose_reason"));
    table_ = readTable(
        this,
        QStringLiteral("choose_table"),
        tr("Candidates"),
        {tr("Box"), tr("Volume"), tr("Tuned"), tr("f3 / f6 / f10, Hz"), tr("Peak"), tr("Loudest")});
    take_ = new QPushButton(tr("Make it this box"), this);
    take_->setObjectName(QStringLiteral("choose_take"));
    plot_ = new Plot(PlotKind::level, QStringLiteral("choose_plot"), tr("Candidates"), this);
    auto* foot = new QHBoxLayout;
    foot->addStretch(1);
    foot->addWidget(take_);
    auto* column = new QVBoxLayout(this);
    plot_->setCrosshair(bassReading);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(6);
    column->addWidget(schools_);
    column->addWidget(reason_);
    column->addWidget(table_, 2);
    column->addLayout(foot);
    column->addWidget(plot_, 3);
    connect(table_, &QTableWidget::itemSelectionChanged, this, &ChoosePage::draw);
    connect(take_, &QPushButton::clicked, this, &ChoosePage::take);
}

void ChoosePage::display(const BoxSight& b) {
    cabinet_ = b.cabinet.id;
    driver_ = b.enclosure.driver;
    if (!b.result.problem.empty()) {
        schools_->setText(QStringLiteral("▲ ") + spoken(b.result.problem));
        table_->setRowCount(0);
        return;
    }
    choice_ = study::boxChoice(b.cabinet, b.enclosure, b.result);
    known_ = b.result.problem.empty() ? std::optional(b.result.known.driver) : std::nullopt;
    const box::Advised& a = choice_.advice;
    schools_->setText(
        tr("By Qts %1 with its source: %2.   By fs over Qes, %3: %4.   %5")
            .arg(figures(text::printFixed(a.Qts, 2)),
                 adviceWords(a.byQts),
                 hertz(a.ebp),
                 adviceWords(a.byEbp),
                 a.agree ? tr("Both agree.") : tr("▲ They differ; Qts decides the default.")));
    QStringList why{spoken(a.reason)};
    if (!choice_.fsToFc.empty()) {
        why << spoken(choice_.fsToFc);
    }
    why << tr("Rules of thumb, both; the computed responses below overrule them.");
    reason_->setText(why.join(u' '));
    const int before = table_->currentRow();
    table_->setRowCount(static_cast<int>(choice_.candidates.size()));
    for (std::size_t i = 0; i < choice_.candidates.size(); ++i) {
        const study::BoxCandidate& c = choice_.candidates[i];
        const auto number = [](const std::optional<double>& f) {
            return f ? figures(text::printFixed(*f, 0)) : QStringLiteral("–");
        };
        const QString cells[] = {
            (i == 0 ? tr("as it is: %1") : QStringLiteral("%1")).arg(kindWords(c.kind)) +
                (c.name.empty() ? QString{} : QStringLiteral(", ") + words(c.name)),
            c.Vb > 0.0 ? litres(c.Vb) : QStringLiteral("–"),
            c.fb ? hertz(*c.fb) : QStringLiteral("–"),
            number(c.summary.f3) + QStringLiteral(" / ") + number(c.summary.f6) +
                QStringLiteral(" / ") + number(c.summary.f10),
            c.summary.peak ? decibels(*c.summary.peak) : QStringLiteral("–"),
            c.maxLevel ? decibels(*c.maxLevel) : QStringLiteral("–")};
        for (int k = 0; k < 6; ++k) {
            table_->setItem(static_cast<int>(i), k, new QTableWidgetItem(cells[k]));
        }
    }
    table_->setCurrentCell(before >= 0 && before < table_->rowCount() ? before : 0, 0);
    draw();
}

void ChoosePage::draw() {
    Picture picture;
    if (choice_.candidates.empty()) {
        plot_->display(picture);
        return;
    }
    const int chosen = table_->currentRow();
    take_->setEnabled(chosen > 0);
    double high = 0.0;
    for (std::size_t i = 0; i < choice_.candidates.size(); ++i) {
        const study::BoxCandidate& c = choice_.candidates[i];
        Trace t{.id = QString::number(i),
                .label = i == 0 ? tr("as it is") : kindWords(c.kind),
                .stroke = strokeFor(i)};
        if (static_cast<int>(i) == chosen) {
            t.stroke.width += 1.2;
        }
        t.frequencies = list(choice_.axis);
        t.values = list(c.levels);
        high = std::max(high, *std::ranges::max_element(c.levels));
        picture.traces.push_back(std::move(t));
    }
    picture.scale = lowScale(high - 4.0);
    picture.foot = tr("at the drive of this box, 1 m, half space, the network's resistance in it");
    plot_->display(picture);
}

void ChoosePage::take() {
    const int row = table_->currentRow();
    if (row <= 0 || row >= static_cast<int>(choice_.candidates.size())) {
        return;
    }
    const study::BoxCandidate c = choice_.candidates[static_cast<std::size_t>(row)];
    const std::string cabinet = cabinet_;
    const std::string driver = driver_;
    Q_EMIT edited(
        {YF_WORDS("core", "Choose another kind of box"),
         [cabinet, driver, c, known = known_](const job::Job& job) -> Result<job::Job> {
             auto made = edit::withBox(job, cabinet, driver, c.kind, known);
             if (!made || !(c.Vb > 0.0)) {
                 return made;
             }
             return edit::takeBox(cabinet, driver, {c.Vb, c.fb.value_or(40.0), false}).apply(*made);
         },
         {},
         {}});
}

} // namespace yf::app
