// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/crossover/drawer.h"

#include "app/widgets/flow_layout.h"
#include "app/widgets/still.h"
#include "app/widgets/words.h"
#include "core/text/sentence.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QToolButton>
#include <QVBoxLayout>

namespace yf::app {

Drawer::Drawer(QWidget* parent) : QWidget(parent) {
    field_ = new QLineEdit(this);
    field_->setObjectName(QStringLiteral("own_field"));
    field_->setAccessibleName(tr("Own parts to add"));
    field_->setPlaceholderText(tr("2 x 6.8 uF, Enter"));
    field_->setToolTip(tr("A value with its unit, losses behind it, and how many: 2 x 6.8 uF, 0.35 "
                          "mH dcr=0.2 x3, 3R3 x4."));
    field_->setFixedWidth(190);
    said_ = stillLabel(this, QStringLiteral("own_said"));
    sorts_ = new QWidget(this);
    (new FlowLayout(sorts_))->setContentsMargins(0, 0, 0, 0);
    auto* head = new QHBoxLayout;
    head->addWidget(field_);
    head->addWidget(said_->parentWidget(), 1);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(4);
    column->addLayout(head);
    column->addWidget(sorts_);
    connect(field_, &QLineEdit::returnPressed, this, &Drawer::add);
    rebuild();
}

void Drawer::display(const network::Stock& stock) {
    if (stock != stock_) {
        stock_ = stock;
        rebuild();
    }
}

void Drawer::add() {
    const auto owned = network::typedOwned(field_->text().toStdString());
    if (!owned) {
        said_->setText(QStringLiteral("▲ ") + spoken(text::sentence(owned.error())));
        return;
    }
    field_->clear();
    Q_EMIT changed(network::withOwned(stock_, *owned));
}

void Drawer::rebuild() {
    for (QToolButton* old : sorts_->findChildren<QToolButton*>()) {
        old->setObjectName({});
        old->hide();
        old->deleteLater();
        sorts_->layout()->removeWidget(old);
    }
    int number = 0;
    for (const network::OwnedPart& owned : stock_) {
        auto* sort = new QToolButton(sorts_);
        sort->setObjectName(QStringLiteral("own_%1").arg(number++));
        sort->setText(figures(network::words(owned)) + QStringLiteral("  ✕"));
        sort->setAccessibleName(
            tr("%1; press to take them out").arg(figures(network::words(owned))));
        sort->setToolTip(tr("Takes them out of the list."));
        connect(sort, &QToolButton::clicked, this, [this, owned] {
            network::Stock rest = stock_;
            std::erase(rest, owned);
            Q_EMIT changed(rest);
        });
        sorts_->layout()->addWidget(sort);
        sort->show();
    }
    sorts_->setVisible(!stock_.empty());
    said_->setText(
        stock_.empty()
            ? tr("What lies in your drawer: the wheel can step through it, and tuning can end in "
                 "it.")
            : tr("%1 sorts. Wheel and tuning use no value more often than it is there.")
                  .arg(stock_.size()));
}

} // namespace yf::app
