// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/check/diagnosis_view.h"

#include "app/check/check_words.h"
#include "app/theme/theme.h"
#include "app/widgets/words.h"
#include "core/bench/words.h"

#include <QPainter>

#include <algorithm>

namespace yf::app {

namespace {

constexpr int most = 5; // faults and reasons that a glance can take
constexpr int row = 24;
constexpr int nameWidth = 206;
constexpr int figureWidth = 56;
constexpr int gap = 8;
constexpr double longest = 7.0; // bits that fill a reason's bar

QRect nameBox(int y) {
    return {0, y, nameWidth, row};
}

} // namespace

DiagnosisView::DiagnosisView(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("check_diagnosis"));
    setAccessibleName(tr("Diagnosis"));
    setToolTip(
        tr("The likelihoods are expert judgement, not statistics, and can be edited. One fault "
           "at a time: after a repair outside the driver, ask again from the start."));
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
}

QSize DiagnosisView::sizeHint() const {
    const auto rows = static_cast<int>(bars_.size() + 2 + std::max<qsizetype>(1, reasons_.size()));
    int height = rows * row + 2 * gap;
    if (!unexplained_.isEmpty()) {
        height += fontMetrics()
                      .boundingRect(QRect(0, 0, std::max(1, width()), 1000),
                                    Qt::TextWordWrap,
                                    QStringLiteral("▲ ") + unexplained_)
                      .height();
    }
    return {nameWidth + figureWidth + 90, height};
}

void DiagnosisView::display(const evaluation::DriverBench& bench) {
    const bench::Diagnosis& d = bench.diagnosis;
    bars_.clear();
    reasons_.clear();
    others_ = 0.0;
    otherCount_ = 0;
    for (const std::string& fault : d.ranking) {
        const auto at = std::ranges::find(d.faults, fault) - d.faults.begin();
        const double p = d.probabilities[static_cast<std::size_t>(at)];
        if (bars_.size() < most && (bars_.isEmpty() || p >= 0.005)) {
            bars_.push_back({spoken(bench::faultInWords(fault)), p});
        } else {
            others_ += p;
            ++otherCount_;
        }
    }
    second_ = d.ranking.size() > 1 ? spoken(bench::faultInWords(d.ranking[1])) : QString{};
    for (std::size_t i = 0; i < d.explainChecks.size() && reasons_.size() < most; ++i) {
        const auto piece = std::ranges::find_if(
            bench.evidence, [&](const auto& e) { return e.evidence.check == d.explainChecks[i]; });
        if (piece != bench.evidence.end()) {
            reasons_.push_back(
                {spoken(bench::outcomeInWords(piece->evidence.check, piece->evidence.outcome)),
                 d.explainBits[i]});
        }
    }
    QStringList odd;
    for (const evaluation::BenchEvidence& e : bench.evidence) {
        if (std::ranges::find(d.unexplained, e.evidence.check) != d.unexplained.end()) {
            odd << spoken(bench::outcomeInWords(e.evidence.check, e.evidence.outcome));
        }
    }
    unexplained_ =
        odd.isEmpty() || d.ranking.empty()
            ? QString{}
            : tr("%1 does not explain: %2. Check that again, or think of a second fault.")
                  .arg(capital(bars_.front().name), odd.join(QStringLiteral(", ")));

    QStringList said;
    for (const Bar& bar : bars_) {
        said << QStringLiteral("%1 %2").arg(bar.name, percentSaid(bar.probability));
    }
    for (const Reason& reason : reasons_) {
        said << QStringLiteral("%1 %2").arg(reason.what, factorSaid(reason.bits));
    }
    said << unexplained_;
    setAccessibleDescription(said.join(QStringLiteral("; ")));
    updateGeometry();
    update();
}

int DiagnosisView::drawBars(QPainter& painter) const {
    const Theme& t = theme();
    const int left = nameWidth + gap;
    const int width = this->width() - left - figureWidth;
    const auto x = [&](double p) { return left + static_cast<int>(p * width); };
    const int bottom = row * static_cast<int>(bars_.size());
    painter.fillRect(QRect(x(bench::enough), 0, left + width - x(bench::enough), bottom),
                     t.corridor);
    painter.setPen(t.outline);
    painter.drawLine(x(0.0), 0, x(0.0), bottom);
    int y = 0;
    for (const Bar& bar : bars_) {
        const bool leads = y == 0;
        QFont font = this->font();
        font.setWeight(leads ? QFont::DemiBold : QFont::Normal);
        painter.setFont(font);
        painter.setPen(t.ink);
        painter.drawText(nameBox(y),
                         Qt::AlignRight | Qt::AlignVCenter,
                         QFontMetrics(font).elidedText(bar.name, Qt::ElideRight, nameWidth));
        const QRect box(left, y + 5, std::max(2, x(bar.probability) - left), row - 10);
        painter.fillRect(box, leads ? t.front : t.rule);
        painter.setPen(leads ? t.ink : t.outline);
        painter.drawRect(box.adjusted(0, 0, -1, -1));
        painter.setPen(t.ink);
        painter.setFont(figureFont(10.0));
        painter.drawText(QRect(left + width, y, figureWidth, row),
                         Qt::AlignRight | Qt::AlignVCenter,
                         percentSaid(bar.probability));
        y += row;
    }
    painter.setFont(font());
    painter.setPen(t.quietInk);
    const QString rest =
        otherCount_ == 0 ? QString{}
                         : tr("%1 others together %2").arg(otherCount_).arg(percentSaid(others_));
    painter.drawText(nameBox(y), Qt::AlignRight | Qt::AlignVCenter, rest);
    painter.drawText(QRect(left, y, width + figureWidth, row),
                     Qt::AlignRight | Qt::AlignVCenter,
                     tr("settled from %1 on").arg(percentSaid(bench::enough)));
    return y + row + gap;
}

int DiagnosisView::drawReasons(QPainter& painter, int y) const {
    const Theme& t = theme();
    painter.setPen(t.quietInk);
    painter.setFont(font());
    if (reasons_.isEmpty()) {
        painter.drawText(QRect(0, y, width(), 2 * row),
                         Qt::AlignLeft | Qt::AlignTop | Qt::TextWordWrap,
                         tr("What the first check shows will stand here with its weight."));
        return y + 2 * row; // as many as its head and one reason
    }
    painter.drawText(QRect(0, y, width(), row),
                     Qt::AlignLeft | Qt::AlignVCenter | Qt::TextWordWrap,
                     tr("Why, and by how much against %1").arg(second_));
    y += row;
    const int middle = nameWidth + gap + 34 + (width() - nameWidth - figureWidth - 34) / 4;
    for (const Reason& reason : reasons_) {
        const bool speaksFor = reason.bits >= 0.0;
        painter.setFont(font());
        painter.setPen(t.ink);
        const QRect name(0, y, nameWidth + 34, row);
        painter.drawText(
            name,
            Qt::AlignRight | Qt::AlignVCenter,
            painter.fontMetrics().elidedText(reason.what, Qt::ElideRight, name.width()));
        const int room = speaksFor ? width() - figureWidth - middle : middle - name.right() - gap;
        const int length =
            std::max(2, static_cast<int>(std::min(1.0, std::abs(reason.bits) / longest) * room));
        const QRect box(speaksFor ? middle : middle - length, y + 7, length, row - 14);
        // Shape beside colour: what speaks against is hatched.
        painter.fillRect(box, speaksFor ? QBrush(t.good) : QBrush(t.stop, Qt::BDiagPattern));
        painter.setPen(speaksFor ? t.good : t.stop);
        painter.drawRect(box.adjusted(0, 0, -1, -1));
        painter.setPen(t.outline);
        painter.drawLine(middle, y, middle, y + row);
        painter.setPen(t.ink);
        painter.setFont(figureFont(10.0));
        painter.drawText(QRect(width() - figureWidth, y, figureWidth, row),
                         Qt::AlignRight | Qt::AlignVCenter,
                         factorSaid(reason.bits));
        y += row;
    }
    return y + gap;
}

void DiagnosisView::paintEvent(QPaintEvent* /*event*/) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::TextAntialiasing);
    if (bars_.isEmpty()) {
        return;
    }
    const int y = drawReasons(painter, drawBars(painter));
    if (!unexplained_.isEmpty()) {
        painter.setFont(font());
        painter.setPen(theme().mind);
        painter.drawText(QRect(0, y, width(), height() - y),
                         Qt::AlignLeft | Qt::AlignTop | Qt::TextWordWrap,
                         QStringLiteral("▲ ") + unexplained_);
    }
}

} // namespace yf::app
