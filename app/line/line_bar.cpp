// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/line/line_bar.h"

#include "app/theme/theme.h"
#include "app/widgets/still.h"
#include "app/widgets/words.h"
#include "core/report/line.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QToolButton>

namespace yf::app {

LineBar::LineBar(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("line"));
    row_ = new QHBoxLayout(this);
    row_->setContentsMargins(8, 3, 12, 3);
    row_->setSpacing(4);
    row_->addStretch(1);
    saved_ = new QLabel(this);
    saved_->setObjectName(QStringLiteral("line_saved"));
    saved_->setFont(figureFont(9.0));
    // Of one width, so that nothing moves when the word changes.
    saved_->setMinimumWidth(QFontMetrics(saved_->font()).horizontalAdvance(tr("saving …")) + 8);
    saved_->setAlignment(Qt::AlignRight | Qt::AlignVCenter);
    row_->addWidget(saved_);
    place_ = new QToolButton(this);
    place_->setText(tr("Save to …"));
    place_->setObjectName(QStringLiteral("line_place"));
    place_->setAccessibleName(tr("Give the changes a file"));
    place_->setVisible(false);
    connect(place_, &QToolButton::clicked, this, &LineBar::placeWanted);
    row_->addWidget(place_);
}

void LineBar::display(const std::vector<report::Figure>& figures) {
    while (static_cast<std::size_t>(buttons_.size()) < figures.size()) {
        auto* button = new QToolButton(this);
        button->setFont(figureFont(10.0));
        button->setProperty("flat", true);
        button->setCursor(Qt::PointingHandCursor);
        row_->insertWidget(static_cast<int>(buttons_.size()), button);
        connect(button, &QToolButton::clicked, this, [this, button] {
            Q_EMIT asked(button->objectName().mid(5));
        });
        buttons_.push_back(button);
    }
    for (qsizetype i = 0; i < buttons_.size(); ++i) {
        const report::Figure& figure = figures[static_cast<std::size_t>(i)];
        buttons_[i]->setObjectName(QStringLiteral("line_") + words(figure.id.english()));
        const QString text = spoken(figure.text);
        if (buttons_[i]->text() == text && buttons_[i]->toolTip() == spoken(figure.explains)) {
            continue;
        }
        sayStill(buttons_[i], text);
        buttons_[i]->setToolTip(spoken(figure.explains));
        buttons_[i]->setAccessibleName(QStringLiteral("%1: %2").arg(spoken(figure.id), text));
    }
}

void LineBar::setSaving(bool settled) {
    const QString text = settled ? tr("saved") : tr("saving …");
    if (saved_->text() != text) {
        sayStill(saved_, text);
        saved_->setToolTip({});
        place_->setVisible(false);
    }
}

void LineBar::setInMemory(bool changed) {
    sayStill(saved_, changed ? QStringLiteral("■ ") + tr("in memory only") : tr("reading only"));
    saved_->setToolTip(changed ? tr("No file holds the changes yet.") : QString{});
    place_->setVisible(true);
}

void LineBar::setNotSaved(const QString& why) {
    sayStill(saved_, QStringLiteral("■ ") + tr("not saved; trying again"));
    saved_->setToolTip(why);
    place_->setVisible(true);
}

QString LineBar::textOf(const QString& figure) const {
    const auto* button = findChild<QToolButton*>(QStringLiteral("line_") + figure);
    return button == nullptr ? QString{} : button->text();
}

QString LineBar::savedText() const {
    return saved_->text();
}

} // namespace yf::app
