// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/check/check_list.h"

#include "app/check/check_words.h"
#include "app/theme/theme.h"
#include "app/widgets/words.h"
#include "core/bench/words.h"

#include <QLocale>
#include <QPainter>
#include <QSignalBlocker>
#include <QStyledItemDelegate>

#include <algorithm>

namespace yf::app {

namespace {

constexpr int keyRole = Qt::UserRole;
constexpr int toldRole = Qt::UserRole + 1;
constexpr int gainRole = Qt::UserRole + 2; ///< share of the best
constexpr int rowHeight = 30;

/// Name at the left, what it told or would tell at the right, under it how much it is worth.
class RowDelegate final : public QStyledItemDelegate {
public:
    using QStyledItemDelegate::QStyledItemDelegate;

    [[nodiscard]] QSize sizeHint(const QStyleOptionViewItem& /*option*/,
                                 const QModelIndex& /*index*/) const override {
        return {200, rowHeight};
    }

    void paint(QPainter* painter,
               const QStyleOptionViewItem& option,
               const QModelIndex& index) const override {
        const Theme& t = theme();
        const bool isCaption = index.data(keyRole).toString().isEmpty();
        const bool isChosen = option.state.testFlag(QStyle::State_Selected);
        const QRect box = option.rect.adjusted(8, 0, -8, 0);
        painter->save();
        if (isChosen) {
            painter->fillRect(option.rect, t.front);
        }
        const QColor ink = isChosen ? QColor(0x1F, 0x23, 0x28) : isCaption ? t.quietInk : t.ink;
        painter->setPen(ink);
        QFont font = option.font;
        if (isCaption) {
            font.setPointSizeF(font.pointSizeF() - 1.0);
        }
        painter->setFont(font);
        const QString told = index.data(toldRole).toString();
        const QFontMetrics metrics(font);
        const QString name = index.data(Qt::DisplayRole).toString();
        painter->drawText(box, Qt::AlignLeft | Qt::AlignVCenter, name);
        const int room = box.width() - metrics.horizontalAdvance(name) - 16;
        painter->setPen(isChosen ? ink : t.quietInk);
        painter->drawText(
            box, Qt::AlignRight | Qt::AlignVCenter, metrics.elidedText(told, Qt::ElideRight, room));
        const double gain = index.data(gainRole).toDouble();
        if (gain > 0.0) {
            const QRect bar(
                box.left(), option.rect.bottom() - 5, static_cast<int>(gain * 120.0), 3);
            painter->fillRect(bar, isChosen ? ink : t.outline);
        }
        painter->restore();
    }
};

} // namespace

CheckList::CheckList(QWidget* parent) : QListWidget(parent) {
    setObjectName(QStringLiteral("check_list"));
    setAccessibleName(tr("Checks"));
    setItemDelegate(new RowDelegate(this));
    setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    connect(this, &QListWidget::currentItemChanged, this, [this](QListWidgetItem* item) {
        if (item != nullptr && !item->data(keyRole).toString().isEmpty()) {
            open_ = item->data(keyRole).toString();
            Q_EMIT wanted(open_);
        }
    });
}

void CheckList::caption(const QString& text) {
    auto* item = new QListWidgetItem(text, this);
    item->setFlags(Qt::NoItemFlags);
}

void CheckList::row(const std::string& check, const QString& told, double gain) {
    const QString name = spoken(bench::checkInWords(check));
    auto* item = new QListWidgetItem(name, this);
    item->setData(keyRole, words(check));
    item->setData(toldRole, told);
    item->setData(gainRole, gain);
    item->setData(Qt::AccessibleTextRole, QStringLiteral("%1: %2").arg(name, told));
    item->setToolTip(spoken(bench::purposeInWords(check)));
}

void CheckList::display(const bench::EvidenceTable& table, const evaluation::DriverBench& bench) {
    const QSignalBlocker quiet(this);
    clear();
    std::vector<std::string> told;
    if (!bench.offers.empty()) {
        caption(tr("Next, most told for its time first"));
    }
    double best = 0.0;
    for (const evaluation::CheckOffer& offer : bench.offers) {
        best = std::max(best, offer.gain);
    }
    for (const evaluation::CheckOffer& offer : bench.offers) {
        told.push_back(offer.check);
        row(offer.check,
            tr("%1 bit in %2 min")
                .arg(QLocale().toString(offer.gain, 'f', 2), QLocale().toString(offer.minutes)),
            offer.gain / best);
    }
    if (!bench.evidence.empty()) {
        caption(tr("Done"));
    }
    for (const evaluation::BenchEvidence& e : bench.evidence) {
        told.push_back(e.evidence.check);
        const QString outcome = spoken(bench::outcomeInWords(e.evidence.check, e.evidence.outcome));
        row(e.evidence.check,
            QStringLiteral("✓ ") + (e.reading.empty() ? tr("%1 (curves)").arg(outcome) : outcome),
            0.0);
    }
    const auto open = [&](const std::string& check) {
        return std::ranges::find(told, check) == told.end();
    };
    const std::vector<std::string>& barred = bench.diagnosis.barred;
    if (std::ranges::any_of(barred, open)) {
        caption(tr("Not while turns may be shorted"));
    }
    for (const std::string& check : barred) {
        if (open(check)) {
            told.push_back(check);
            row(check, tr("■ needs an amplifier"), 0.0);
        }
    }
    const auto& all = table.checks;
    const auto openCheck = [&](const bench::Check& check) { return open(check.key); };
    if (std::ranges::any_of(all, openCheck)) {
        caption(bench.diagnosis.done ? tr("Settled; these are not needed")
                                     : tr("Would tell little"));
    }
    for (const bench::Check& check : all) {
        if (openCheck(check)) {
            row(check.key, tr("%1 min").arg(check.minutes), 0.0);
        }
    }
    setOpen(open_);
}

void CheckList::displayPlain(const evaluation::DriverBench& bench) {
    const QSignalBlocker quiet(this);
    clear();
    for (const bench::Check& check : bench::shippedTable().checks) {
        const auto made =
            std::ranges::find_if(bench.evidence, [&](const evaluation::BenchEvidence& e) {
                return e.evidence.check == check.key;
            });
        row(check.key,
            made != bench.evidence.end()
                ? QStringLiteral("✓ ") +
                      spoken(bench::outcomeInWords(check.key, made->evidence.outcome))
                : tr("%1 min").arg(check.minutes),
            0.0);
    }
    setOpen(open_);
}

void CheckList::setOpen(const QString& check) {
    const QSignalBlocker quiet(this);
    open_ = check;
    for (int i = 0; i < count(); ++i) {
        if (item(i)->data(keyRole).toString() == check && !check.isEmpty()) {
            setCurrentItem(item(i));
            return;
        }
    }
    setCurrentItem(nullptr);
}

bool CheckList::has(const QString& check) const {
    for (int i = 0; i < count(); ++i) {
        if (item(i)->data(keyRole).toString() == check) {
            return true;
        }
    }
    return false;
}

} // namespace yf::app
