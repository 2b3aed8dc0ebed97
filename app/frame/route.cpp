// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/frame/route.h"

#include <QToolButton>
#include <QVBoxLayout>

namespace yf::app {

namespace {

/// ① to ⑧.
QString circled(int place) {
    return QString(QChar(0x2460 + place - 1));
}

} // namespace

Route::Route(const QVector<Stage*>& stages, QWidget* parent) : QWidget(parent), stages_(stages) {
    setObjectName(QStringLiteral("route"));
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(2);
    for (Stage* stage : stages_) {
        auto* button = new QToolButton(this);
        button->setObjectName(QStringLiteral("route_") + stage->id());
        button->setCheckable(true);
        button->setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
        button->setToolTip(tr("Ctrl+%1").arg(stage->place()));
        button->setStyleSheet(QStringLiteral("QToolButton{text-align:left}QToolButton:checked{"
                                             "background:palette(highlight);color:#1F2328}"));
        connect(button, &QToolButton::clicked, this, [this, stage] {
            setCurrent(stage); // a click must not lift the one that is down
            Q_EMIT chosen(stage);
        });
        column->addWidget(button);
        buttons_.push_back(button);
    }
}

void Route::display(const Sight& sight) {
    for (qsizetype i = 0; i < stages_.size(); ++i) {
        const QString state = stages_[i]->state(sight);
        const QString text = QStringLiteral("%1 %2   %3")
                                 .arg(circled(stages_[i]->place()), stages_[i]->title(), state);
        if (text == buttons_[i]->text()) {
            continue;
        }
        buttons_[i]->setText(text);
        buttons_[i]->setAccessibleName(tr("Stage %1, %2").arg(stages_[i]->title(), state));
    }
}

/// Of one size, whatever figure stands in them: no digit lays the window out anew.
void Route::resizeEvent(QResizeEvent* /*event*/) {
    for (QToolButton* button : buttons_) {
        button->setMaximumWidth(width());
        button->setFixedHeight(button->sizeHint().height());
        button->setMinimumWidth(width());
    }
}

void Route::setCurrent(const Stage* stage) {
    for (qsizetype i = 0; i < stages_.size(); ++i) {
        buttons_[i]->setChecked(stages_[i] == stage);
    }
}

} // namespace yf::app
