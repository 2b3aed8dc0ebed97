// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/practice/practice_result.h"

#include "app/check/check_words.h"
#include "app/theme/theme.h"
#include "app/widgets/labels.h"
#include "app/widgets/words.h"
#include "core/bench/words.h"
#include "core/text/number.h"

#include <QGridLayout>
#include <QLabel>
#include <QLocale>
#include <QScrollArea>

#include <algorithm>
#include <cmath>

namespace yf::app {

namespace {

QString severitySaid(const std::string& fault, double severity) {
    if (fault == "shorted_turns") {
        return PracticeResultView::tr("%1 % of the turns").arg(std::lround(severity * 100.0));
    }
    if (fault == "rubbing_coil") {
        return PracticeResultView::tr("friction of %1 N").arg(QLocale().toString(severity, 'f', 2));
    }
    if (fault == "dirty_contact") {
        return figures(text::printEngineering(severity, "Ω"));
    }
    if (fault == "capacitor_drifted") {
        return PracticeResultView::tr("%1 % of its value left").arg(std::lround(severity * 100.0));
    }
    return {};
}

/// How much likelier it made the truth; next to nothing in a word.
QString toldSaid(double bits) {
    constexpr double little = 0.07; // less than 5 %
    return std::abs(bits) < little ? PracticeResultView::tr("nothing") : factorSaid(bits);
}

} // namespace

PracticeResultView::PracticeResultView(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("practice_result"));
    verdict_ = wrappedLabel(this, QStringLiteral("practice_verdict"), 18.0, QFont::DemiBold);
    truth_ = wrappedLabel(this, QStringLiteral("practice_truth"), 11.0, QFont::Normal);
    score_ = wrappedLabel(this, QStringLiteral("practice_score"), 30.0, QFont::DemiBold);
    score_->setFont(figureFont(30.0));
    score_->setWordWrap(false);
    points_ = wrappedLabel(this, QStringLiteral("practice_points"), 10.0, QFont::Normal);
    unsafe_ = wrappedLabel(this, QStringLiteral("practice_unsafe"), 10.0, QFont::DemiBold);
    own_ = new QWidget(this);
    own_->setObjectName(QStringLiteral("practice_own"));
    route_ = new QWidget(this);
    route_->setObjectName(QStringLiteral("practice_route"));
    auto* words = new QVBoxLayout;
    words->addWidget(verdict_);
    words->addWidget(truth_);
    words->addWidget(unsafe_);
    auto* marks = new QVBoxLayout;
    marks->addWidget(score_, 0, Qt::AlignRight);
    marks->addWidget(points_, 0, Qt::AlignRight);
    auto* head = new QHBoxLayout;
    head->addLayout(words, 1);
    head->addLayout(marks);
    const auto listed = [&](const QString& title, QWidget* list) {
        auto* column = new QVBoxLayout;
        auto* label = wrappedLabel(this, QString{}, 11.0, QFont::DemiBold);
        label->setText(title);
        auto* inner = new QWidget(this);
        inner->setProperty("card", true);
        inner->setAttribute(Qt::WA_StyledBackground);
        auto* fill = new QVBoxLayout(inner);
        fill->setContentsMargins(12, 10, 12, 10);
        fill->addWidget(list);
        fill->addStretch(1);
        auto* scroll = new QScrollArea(this);
        scroll->setWidget(inner);
        scroll->setWidgetResizable(true);
        scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
        scroll->setFocusPolicy(Qt::NoFocus);
        column->addWidget(label);
        column->addWidget(scroll, 1);
        return column;
    };
    auto* both = new QHBoxLayout;
    both->setSpacing(24);
    both->addLayout(listed(tr("Your way, and what each check told of the truth"), own_), 5);
    both->addLayout(listed(tr("The advised way"), route_), 4);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 8, 0, 0);
    column->setSpacing(12);
    column->addLayout(head);
    column->addLayout(both, 1);
}

void PracticeResultView::cell(
    QGridLayout* grid, int row, int column, const QString& text, bool quiet) {
    auto* label = new QLabel(text, grid->parentWidget());
    label->setTextFormat(Qt::PlainText);
    label->setWordWrap(column == 1);
    if (quiet) {
        tint(label, theme().quietInk);
    }
    if (column == 1) {
        grid->addWidget(label, row, column); // as wide as there is room: it wraps
    } else {
        grid->addWidget(
            label, row, column, (column >= 2 ? Qt::AlignRight : Qt::AlignLeft) | Qt::AlignTop);
    }
}

void PracticeResultView::display(const sim::PracticeResult& result) {
    const Theme& t = theme();
    const bool right = result.fault == result.verdict;
    const QString truth = spoken(bench::faultInWords(result.fault));
    const QString said = spoken(bench::faultInWords(result.verdict));
    verdict_->setText(right ? QStringLiteral("✓ ") + tr("Right: %1").arg(truth)
                            : QStringLiteral("✕ ") + tr("It was %1, not %2").arg(truth, said));
    tint(verdict_, right ? t.good : t.stop);
    const QString severity = severitySaid(result.fault, result.severity);
    truth_->setText(spoken(bench::consequenceInWords(result.fault)) +
                    (severity.isEmpty() ? QString{} : QStringLiteral("  ·  ") + severity));
    const auto whole = [](double x) { return std::lround(x); };
    score_->setText(tr("%1 of 100").arg(whole(result.grade.score)));
    points_->setText(tr("verdict %1 of 60 · time %2 of 25 · safety %3 of 15 · %4 min")
                         .arg(whole(result.grade.verdict))
                         .arg(whole(result.grade.time))
                         .arg(whole(result.grade.safety))
                         .arg(whole(result.grade.used)));
    points_->setWordWrap(false);
    QStringList unsafe;
    for (const sim::PracticeStep& step : result.steps) {
        const QString name = spoken(bench::checkInWords(step.check));
        if (step.barred) {
            unsafe << QStringLiteral("■ ") +
                          tr("%1: an amplifier, while turns might have been shorted").arg(name);
        } else if (step.cautionsIgnored) {
            unsafe << QStringLiteral("▲ ") + tr("%1: its cautions were not heeded").arg(name);
        }
    }
    if (result.fault == "shorted_turns" && result.verdict == "healthy") {
        unsafe << QStringLiteral("■ ") +
                      tr("called sound: the next amplifier would have paid for it");
    }
    unsafe_->setText(unsafe.join(u'\n'));
    unsafe_->setVisible(!unsafe.isEmpty());
    tint(unsafe_, t.stop);

    for (QWidget* list : {own_, route_}) {
        qDeleteAll(list->findChildren<QWidget*>(QString{}, Qt::FindDirectChildrenOnly));
        delete list->layout();
    }
    const auto begin = [](QWidget* list) {
        auto* grid = new QGridLayout(list);
        grid->setContentsMargins(0, 0, 0, 0);
        grid->setHorizontalSpacing(14);
        grid->setVerticalSpacing(8);
        grid->setColumnStretch(1, 1);
        return grid;
    };
    auto* own = begin(own_);
    int row = 0;
    for (const sim::PracticeStep& step : result.steps) {
        cell(own, row, 0, spoken(bench::checkInWords(step.check)));
        cell(own,
             row,
             1,
             step.onTwin            ? tr("the twin, to compare with")
             : step.outcome.empty() ? tr("decided nothing yet")
                                    : spoken(bench::outcomeInWords(step.check, step.outcome)),
             true);
        cell(own, row, 2, tr("%1 min").arg(step.minutes), true);
        cell(own, row, 3, step.onTwin ? QString{} : toldSaid(step.told));
        ++row;
    }
    if (row == 0) {
        cell(own, 0, 0, tr("no check made"), true);
    }
    auto* route = begin(route_);
    row = 0;
    for (const sim::RouteStep& step : result.route) {
        cell(route, row, 0, spoken(bench::checkInWords(step.check)));
        cell(route, row, 1, spoken(bench::outcomeInWords(step.check, step.outcome)), true);
        cell(route, row, 2, tr("%1 min").arg(step.minutes), true);
        ++row;
    }
    cell(route, row, 0, tr("together"));
    cell(route, row, 2, tr("%1 min").arg(result.routeMinutes));
}

} // namespace yf::app
