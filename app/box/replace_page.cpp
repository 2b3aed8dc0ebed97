// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/box/replace_page.h"

#include "app/box/box_pictures.h"
#include "app/plots/plot.h"
#include "app/widgets/controls.h"
#include "app/widgets/labels.h"
#include "app/widgets/words.h"
#include "core/text/fields.h"

#include <QLabel>
#include <QTableWidget>
#include <QVBoxLayout>

#include <algorithm>

namespace yf::app {

namespace {

QString verdictWords(box::Suits suits) {
    switch (suits) {
    case box::Suits::fits:
        return ReplacePage::tr("✓ fits");
    case box::Suits::fitsWithChanges:
        return ReplacePage::tr("▲ with changes");
    case box::Suits::doesNot:
        return ReplacePage::tr("■ does not fit");
    }
    return {};
}

} // namespace

ReplacePage::ReplacePage(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("replace_page"));
    told_ = wrappedLabel(this, QStringLiteral("replace_told"));
    table_ = readTable(this,
                       QStringLiteral("replace_table"),
                       tr("Drivers of the library in this box"),
                       {tr("Driver"),
                        tr("In this box"),
                        tr("Points"),
                        tr("f3"),
                        tr("Peak"),
                        tr("Level"),
                        tr("Retuned")});
    why_ = wrappedLabel(this, QStringLiteral("replace_why"));
    why_->setMinimumHeight(54);
    why_->setAlignment(Qt::AlignTop);
    plot_ = new Plot(PlotKind::level, QStringLiteral("replace_plot"), tr("In this box"), this);
    auto* column = new QVBoxLayout(this);
    plot_->setCrosshair(bassReading);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(6);
    column->addWidget(told_);
    column->addWidget(table_, 2);
    column->addWidget(why_);
    column->addWidget(plot_, 3);
    connect(table_, &QTableWidget::itemSelectionChanged, this, &ReplacePage::draw);
}

void ReplacePage::display(const BoxSight& b) {
    if (!b.result.problem.empty()) {
        told_->setText(QStringLiteral("▲ ") + spoken(b.result.problem));
        table_->setRowCount(0);
        return;
    }
    const job::Job& job = b.sight.shown().job;
    const std::string key = b.cabinet.id + text::writeJson(text::write(b.enclosure)) +
                            text::printNumber(b.result.volumes.net) +
                            text::printNumber(b.result.source.resistance);
    if (key == key_) {
        return;
    }
    key_ = key;
    study_ =
        study::replacementsInBox(job, b.cabinet, b.enclosure, b.result, driver::shippedLibrary());
    const job::Driver* old = job::findDriver(job, b.enclosure.driver);
    told_->setText(
        tr("What %1 gives in this box is what the library's drivers, by their sheets, are "
           "held against: f3, level, resistance, how loud. 80 points fit, 50 with "
           "changes; the weights are judgement, not measurement.")
            .arg(old == nullptr ? QString{} : words(old->name)));
    table_->setRowCount(static_cast<int>(study_.candidates.size()));
    for (std::size_t i = 0; i < study_.candidates.size(); ++i) {
        const study::InThisBox& c = study_.candidates[i];
        const auto& s = c.suits.summary;
        const QString cells[] = {words(c.entry.part.id),
                                 verdictWords(c.suits.verdict),
                                 figures(text::printFixed(std::max(c.suits.score, 0.0), 0)),
                                 s.f3 ? hertz(*s.f3) : QStringLiteral("–"),
                                 s.peak ? decibels(*s.peak) : QStringLiteral("–"),
                                 decibels(s.sensitivity),
                                 !c.retuned      ? QStringLiteral("–")
                                 : c.retuned->fb ? hertz(*c.retuned->fb)
                                                 : tr("port closed")};
        for (int k = 0; k < 7; ++k) {
            table_->setItem(static_cast<int>(i), k, new QTableWidgetItem(cells[k]));
        }
    }
    if (table_->rowCount() > 0) {
        table_->setCurrentCell(0, 0);
    }
    draw();
}

void ReplacePage::draw() {
    Picture picture;
    Trace old{.id = QStringLiteral("old"), .label = tr("as it is"), .stroke = theme().ghost};
    old.stroke.width = 2.0;
    old.frequencies = list(study_.axis);
    old.values = list(study_.old);
    const int row = table_->currentRow();
    double high = study_.old.empty() ? 90.0 : *std::ranges::max_element(study_.old);
    picture.traces.push_back(std::move(old));
    why_->clear();
    if (row >= 0 && row < static_cast<int>(study_.candidates.size())) {
        const study::InThisBox& c = study_.candidates[static_cast<std::size_t>(row)];
        Trace made{
            .id = QStringLiteral("new"), .label = words(c.entry.part.id), .stroke = theme().sum};
        made.frequencies = list(study_.axis);
        made.values = list(c.levels);
        high = std::max(high, *std::ranges::max_element(c.levels));
        picture.traces.push_back(std::move(made));
        QStringList why;
        for (const Words& sentence : c.sentences) {
            why << spoken(sentence);
        }
        why_->setText(why.isEmpty() ? tr("Nothing speaks against it.")
                                    : words(c.entry.part.id) + QStringLiteral(": ") +
                                          why.join(QStringLiteral("; ")) + QLatin1Char('.'));
    }
    picture.scale = lowScale(high - 4.0);
    picture.foot = tr("both at the drive of this box, 1 m, half space");
    plot_->display(picture);
}

} // namespace yf::app
