// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/align/helps_page.h"

#include "app/widgets/controls.h"
#include "app/widgets/still.h"
#include "app/widgets/words.h"
#include "core/text/number.h"

#include <QEvent>
#include <QHeaderView>
#include <QLabel>
#include <QPushButton>
#include <QTableWidget>
#include <QTimer>
#include <QVBoxLayout>

#include <algorithm>

namespace yf::app {

namespace {

QString effortName(study::Effort effort) {
    switch (effort) {
    case study::Effort::free:
        return HelpsPage::tr("free");
    case study::Effort::part:
        return HelpsPage::tr("a part");
    case study::Effort::wood:
        return HelpsPage::tr("carpentry");
    }
    return {};
}

QString gained(double dB) {
    return (dB < 0.0 ? QStringLiteral("−") : QStringLiteral("+")) +
           figures(text::printFixed(std::abs(dB), 2));
}

} // namespace

HelpsPage::HelpsPage(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("helps_page"));
    table_ = readTable(this,
                       QStringLiteral("helps_table"),
                       tr("Changes that would help, best first"),
                       {tr("change"),
                        tr("takes"),
                        tr("window flatter by, dB"),
                        tr("axis, dB"),
                        tr("least |Z|"),
                        tr("null, dB")},
                       0);
    table_->setMouseTracking(true);
    table_->viewport()->setMouseTracking(true);
    table_->viewport()->installEventFilter(this);
    table_->setToolTip(tr("Under the pointer, or with ↑ ↓, a change is drawn above. Enter or a "
                          "double click makes it: one step that can be undone."));
    said_ = stillLabel(this, QStringLiteral("helps_said"));
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(4);
    column->addWidget(said_->parentWidget());
    column->addWidget(table_, 1);
    connect(table_, &QTableWidget::cellEntered, this, [this](int row, int) { look(row); });
    connect(table_, &QTableWidget::currentCellChanged, this, [this](int row) {
        if (table_->hasFocus()) {
            look(row);
        }
    });
    connect(table_, &QTableWidget::cellActivated, this, [this](int row, int) {
        if (row >= 0 && row < static_cast<int>(list_.remedies.size())) {
            const edit::Edit edit = list_.remedies[static_cast<std::size_t>(row)].edit;
            endLook();
            Q_EMIT edited(edit);
        }
    });
    connect(&aside_, &Aside::finished, this, [this] {
        {
            const std::scoped_lock lock(shared_->mutex);
            list_ = shared_->list.value_or(study::RemedyList{});
        }
        fill();
        if (stale_) {
            begin();
        }
    });
}

void HelpsPage::display(const Sight& sight) {
    const bool other = !evaluated_ || sight.present != evaluated_ || sight.cabinet != cabinet_;
    evaluated_ = sight.present;
    cabinet_ = sight.cabinet;
    if (other) {
        stale_ = true;
    }
    if (isVisible()) {
        begin();
    }
}

void HelpsPage::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    begin();
}

void HelpsPage::hideEvent(QHideEvent* event) {
    endLook();
    QWidget::hideEvent(event);
}

void HelpsPage::begin() {
    if (!stale_ || !evaluated_ || aside_.running()) {
        return;
    }
    stale_ = false;
    shared_ = std::make_shared<Shared>();
    said_->setText(tr("Every single change is being tried …"));
    aside_.begin([evaluated = evaluated_, id = cabinet_, shared = shared_](Aside::Link& /*link*/) {
        const job::Cabinet* cabinet = job::findCabinet(evaluated->job, id);
        study::RemedyList list;
        if (cabinet != nullptr) {
            list = study::remediesFor(evaluated->job, *cabinet, *evaluated->assembly);
        }
        const std::scoped_lock lock(shared->mutex);
        shared->list = std::move(list);
    });
}

void HelpsPage::fill() {
    looked_ = -1;
    table_->setRowCount(static_cast<int>(list_.remedies.size()));
    for (int row = 0; row < table_->rowCount(); ++row) {
        const study::Remedy& r = list_.remedies[static_cast<std::size_t>(row)];
        const QString cells[] = {
            spoken(r.edit.name),
            effortName(r.effort),
            gained(r.window),
            gained(r.axis),
            figures(text::printFixed(r.impedance, 1)) + QChar(0x202F) + QChar(0x3A9),
            r.nullDepth ? figures(text::printFixed(*r.nullDepth, 0)) : QStringLiteral("–")};
        for (int column = 0; column < 6; ++column) {
            auto* item = new QTableWidgetItem(cells[column]);
            if (column > 1) {
                item->setTextAlignment(Qt::AlignRight | Qt::AlignVCenter);
            }
            table_->setItem(row, column, item);
        }
    }
    if (list_.tried == 0) {
        said_->setText(tr("Nothing can be tried yet: impedance and response of every driver are "
                          "needed."));
    } else if (list_.remedies.empty()) {
        said_->setText(tr("%1 single changes were tried; none makes the listening window flatter "
                          "by 0.1 dB without harm to the axis or the amplifier. It is %2 dB rms.")
                           .arg(list_.tried)
                           .arg(figures(text::printFixed(list_.window, 2))));
    } else {
        said_->setText(tr("The listening window is %1 dB rms from flat, the axis %2 dB. Of %3 "
                          "single changes these would help most, each by itself; after one the "
                          "list is another.")
                           .arg(figures(text::printFixed(list_.window, 2)),
                                figures(text::printFixed(list_.axis, 2)))
                           .arg(list_.tried));
    }
}

void HelpsPage::look(int row) {
    if (row == looked_ || row < 0 || row >= static_cast<int>(list_.remedies.size())) {
        return;
    }
    looked_ = row;
    Q_EMIT previewed(list_.remedies[static_cast<std::size_t>(row)].edit);
}

void HelpsPage::endLook() {
    if (looked_ >= 0) {
        looked_ = -1;
        Q_EMIT previewEnded();
    }
}

bool HelpsPage::eventFilter(QObject* watched, QEvent* event) {
    if (event->type() == QEvent::Leave) {
        endLook();
    }
    return QWidget::eventFilter(watched, event);
}

} // namespace yf::app
