// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/network/start_bar.h"

#include "app/widgets/flow_layout.h"
#include "app/widgets/quantity_field.h"
#include "app/widgets/words.h"
#include "core/quantity/quantities.h"
#include "core/text/number.h"

#include <QCheckBox>
#include <QComboBox>
#include <QLabel>
#include <QPushButton>
#include <QToolButton>

namespace yf::app {

StartBar::StartBar(QWidget* parent) : QWidget(parent) {
    const job::Start usual;
    order_ = new QComboBox(this);
    order_->setObjectName(QStringLiteral("start_order"));
    order_->setAccessibleName(tr("Order"));
    order_->addItems({tr("1st order"), tr("2nd order"), tr("3rd order"), tr("4th order")});
    order_->setCurrentIndex(usual.order - 1);
    alignment_ = new QComboBox(this);
    alignment_->setObjectName(QStringLiteral("start_alignment"));
    alignment_->setAccessibleName(tr("Alignment"));
    // In the order of network::Alignment.
    alignment_->addItems({QStringLiteral("Butterworth"),
                          QStringLiteral("Linkwitz-Riley"),
                          QStringLiteral("Bessel"),
                          QStringLiteral("Chebyshev")});
    alignment_->setCurrentIndex(static_cast<int>(usual.alignment));
    fx_ = new QuantityField(quantity::fx, text::Unit::hertz, this);
    fx_->setObjectName(QStringLiteral("start_fx"));
    fx_->setValue(usual.fx);
    fx_->setFixedWidth(84);
    flatten_ = new QCheckBox(tr("flatten impedance"), this);
    flatten_->setObjectName(QStringLiteral("start_flatten"));
    flatten_->setToolTip(tr("A resistor and a capacitor across each driver whose impedance rises, "
                            "fitted from half to four times fx."));
    pad_ = new QCheckBox(tr("level pad"), this);
    pad_->setObjectName(QStringLiteral("start_pad"));
    pad_->setToolTip(tr("Two resistors in front of the louder driver, from the mean levels over "
                        "the octave on each side of fx."));
    take_ = new QPushButton(tr("Take this start"), this);
    take_->setObjectName(QStringLiteral("start_take"));
    leave_ = new QPushButton(tr("Leave it"), this);
    leave_->setObjectName(QStringLiteral("start_leave"));
    leave_->setVisible(false);
    offer_ = new QToolButton(this);
    offer_->setObjectName(QStringLiteral("start_offer"));
    offer_->setVisible(false);
    connect(offer_, &QToolButton::clicked, this, [this] {
        if (offered_ > 0.0) {
            fx_->setValue(offered_);
            propose();
        }
    });
    loads_ = new QLabel(this);
    loads_->setObjectName(QStringLiteral("start_loads"));
    loads_->setTextFormat(Qt::PlainText);

    auto* row = new FlowLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(6);
    auto* title = new QLabel(tr("From the book"), this);
    title->setMinimumHeight(28);
    row->addWidget(title);
    row->addWidget(order_);
    row->addWidget(alignment_);
    auto* at = new QLabel(tr("at"), this);
    at->setBuddy(fx_);
    row->addWidget(at);
    row->addWidget(fx_);
    row->addWidget(offer_);
    row->addWidget(flatten_);
    row->addWidget(pad_);
    row->addWidget(take_);
    row->addWidget(leave_);
    row->addWidget(loads_);

    connect(order_, &QComboBox::activated, this, &StartBar::propose);
    connect(alignment_, &QComboBox::activated, this, &StartBar::propose);
    connect(fx_, &QuantityField::valueChanged, this, &StartBar::propose);
    connect(fx_, &QuantityField::problemChanged, this, [this](const QString& problem) {
        take_->setEnabled(problem.isEmpty());
        if (!problem.isEmpty()) {
            loads_->setText(problem);
        }
    });
    connect(flatten_, &QCheckBox::clicked, this, &StartBar::propose);
    connect(pad_, &QCheckBox::clicked, this, &StartBar::propose);
    connect(take_, &QPushButton::clicked, this, [this] { Q_EMIT taken(start()); });
    connect(leave_, &QPushButton::clicked, this, [this] {
        endProposal();
        Q_EMIT left();
    });
}

job::Start StartBar::start() const {
    return {.alignment = static_cast<network::Alignment>(alignment_->currentIndex()),
            .order = order_->currentIndex() + 1,
            .fx = fx_->value(),
            .flattenImpedance = flatten_->isChecked(),
            .padLevels = pad_->isChecked()};
}

void StartBar::tellLoads(const QString& loads) {
    if (loads == loads_->text()) {
        return;
    }
    loads_->setText(loads);
    // Out of step with the row only when its length changes.
    layout()->invalidate();
    loads_->setToolTip(
        tr("|Z| of the drivers at fx, which the book's values are computed for.\n%1").arg(loads));
}

void StartBar::offerBand(const std::optional<job::JoinBand>& band, const QString& why) {
    const double offered = band ? band->middle : 0.0;
    const QString text = band ? tr("both well %1 to %2")
                                    .arg(figures(text::printEngineering(band->from, "Hz", 2)),
                                         figures(text::printEngineering(band->to, "Hz", 2)))
                              : tr("no common band");
    if (offered == offered_ && text == offer_->text() && why == offer_->toolTip()) {
        return;
    }
    offered_ = offered;
    offer_->setVisible(!why.isEmpty());
    offer_->setEnabled(band.has_value());
    offer_->setText(text);
    offer_->setToolTip(why);
    layout()->invalidate();
}

void StartBar::propose() {
    proposing_ = true;
    leave_->setVisible(true);
    take_->setProperty("main", true);
    take_->setStyleSheet(take_->styleSheet());
    Q_EMIT proposed(start());
}

void StartBar::endProposal() {
    proposing_ = false;
    leave_->setVisible(false);
    take_->setProperty("main", false);
    take_->setStyleSheet(take_->styleSheet());
}

} // namespace yf::app
