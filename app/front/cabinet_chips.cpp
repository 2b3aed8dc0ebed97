// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/front/cabinet_chips.h"

#include "app/widgets/flow_layout.h"
#include "app/widgets/words.h"

#include <QToolButton>

namespace yf::app {

CabinetChips::CabinetChips(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("cabinet_chips"));
    row_ = new FlowLayout(this);
    row_->setContentsMargins(0, 0, 0, 0);
    row_->setSpacing(4);
}

void CabinetChips::display(const job::Job& job, const std::string& chosenNow) {
    while (static_cast<std::size_t>(chips_.size()) < job.cabinets.size()) {
        auto* chip = new QToolButton(this);
        chip->setCheckable(true);
        chip->setProperty("chip", true);
        connect(chip, &QToolButton::clicked, this, [this, chip] {
            chip->setChecked(true); // a click must not lift the one that is down
            Q_EMIT chosen(chip->property("cabinet").toString().toStdString());
        });
        row_->addWidget(chip);
        chips_.push_back(chip);
    }
    for (qsizetype i = 0; i < chips_.size(); ++i) {
        QToolButton* chip = chips_[i];
        const bool used = static_cast<std::size_t>(i) < job.cabinets.size();
        chip->setVisible(used);
        if (!used) {
            continue;
        }
        const job::Cabinet& cabinet = job.cabinets[static_cast<std::size_t>(i)];
        const QString text =
            words(cabinet.name) + (cabinet.mirrored ? QStringLiteral(" ⇋") : QString{});
        chip->setChecked(cabinet.id == chosenNow);
        if (chip->text() == text && chip->property("cabinet").toString() == words(cabinet.id)) {
            continue;
        }
        chip->setText(text);
        chip->setObjectName(QStringLiteral("chip_") + words(cabinet.id));
        chip->setProperty("cabinet", words(cabinet.id));
        chip->setAccessibleName(tr("Cabinet %1").arg(words(cabinet.name)));
        chip->setToolTip(cabinet.mirrored ? tr("Mirror image of its twin") : QString{});
    }
    if (isHidden() == (job.cabinets.size() > 1)) {
        setVisible(job.cabinets.size() > 1);
    }
    fitHeight();
}

void CabinetChips::fitHeight() {
    if (const int wanted = row_->heightForWidth(width()); wanted != height() && wanted > 0) {
        setFixedHeight(wanted);
    }
}

void CabinetChips::resizeEvent(QResizeEvent* event) {
    QWidget::resizeEvent(event);
    fitHeight();
}

} // namespace yf::app
