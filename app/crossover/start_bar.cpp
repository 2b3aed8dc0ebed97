// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/crossover/start_bar.h"

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

#include <algorithm>

namespace yf::app {

StartBar::StartBar(QWidget* parent) : QWidget(parent) {
    const study::Start usual;
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
    join_ = new QComboBox(this);
    join_->setObjectName(QStringLiteral("start_join"));
    join_->setAccessibleName(tr("How the ways are joined"));
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
        for (std::size_t pair = 0; pair < offered_.size(); ++pair) {
            if (offered_[pair]) {
                fx_[static_cast<qsizetype>(pair)]->setValue(offered_[pair]->middle);
            }
        }
        propose();
    });
    loads_ = new QLabel(this);
    loads_->setObjectName(QStringLiteral("start_loads"));
    loads_->setTextFormat(Qt::PlainText);

    auto* row = new FlowLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(6);
    row->addWidget(order_);
    row->addWidget(alignment_);
    row->addWidget(join_);
    auto* at = new QLabel(tr("at"), this);
    row->addWidget(at);
    constexpr int mostPairs = 4;
    for (int pair = 0; pair < mostPairs; ++pair) {
        fx_ << addFrequency(pair);
        row->addWidget(fx_.back());
    }
    at->setBuddy(fx_.front());
    row->addWidget(offer_);
    row->addWidget(flatten_);
    row->addWidget(pad_);
    row->addWidget(take_);
    row->addWidget(leave_);
    row->addWidget(loads_);

    offerPlans();
    connect(order_, &QComboBox::activated, this, &StartBar::propose);
    connect(alignment_, &QComboBox::activated, this, &StartBar::propose);
    connect(join_, &QComboBox::activated, this, [this] {
        tellPlan();
        propose();
    });
    connect(flatten_, &QCheckBox::clicked, this, &StartBar::propose);
    connect(pad_, &QCheckBox::clicked, this, &StartBar::propose);
    connect(take_, &QPushButton::clicked, this, [this] { Q_EMIT taken(start()); });
    connect(leave_, &QPushButton::clicked, this, [this] {
        endProposal();
        Q_EMIT left();
    });
}

QuantityField* StartBar::addFrequency(int pair) {
    auto* field = new QuantityField(quantity::fx, text::Unit::hertz, this);
    field->setObjectName(pair == 0 ? QStringLiteral("start_fx")
                                   : QStringLiteral("start_fx_%1").arg(pair + 1));
    field->setAccessibleName(tr("Crossover %1 from below").arg(pair + 1));
    field->setFixedWidth(84);
    field->setVisible(pair == 0);
    field->setValue(study::Start{}.fx);
    connect(field, &QuantityField::valueChanged, this, &StartBar::propose);
    connect(field, &QuantityField::problemChanged, this, [this](const QString& problem) {
        take_->setEnabled(problem.isEmpty());
        if (!problem.isEmpty()) {
            loads_->setText(problem);
        }
    });
    return field;
}

void StartBar::setWays(int ways) {
    if (ways == ways_) {
        return;
    }
    ways_ = ways;
    const std::vector<double> customary = study::customaryCrossovers(ways);
    for (int pair = 0; pair < fx_.size(); ++pair) {
        const auto at = static_cast<std::size_t>(pair);
        fx_[pair]->setVisible(at < customary.size());
        if (at < customary.size()) {
            fx_[pair]->setValue(customary[at]);
        }
    }
    offerPlans();
    layout()->invalidate();
}

/// What the book has for so many ways; parallel stays chosen where the other is none.
void StartBar::offerPlans() {
    using study::Plan;
    const int before = join_->currentData().toInt();
    join_->clear();
    const auto offer = [this](Plan plan, const QString& name, const QString& tip) {
        join_->addItem(name, static_cast<int>(plan));
        join_->setItemData(join_->count() - 1, tip, Qt::ToolTipRole);
    };
    offer(Plan::parallel, tr("parallel"), tr("A filter for each way, side by side."));
    if (ways_ == 2) {
        offer(Plan::series,
              tr("in series"),
              tr("Fewer parts, and the drivers' voltages add up to the amplifier's whatever the "
                 "drivers do (first order); but an open driver or part disturbs both ways, and "
                 "neither can be tuned alone. Butterworth only."));
    }
    constexpr int three = 3;
    if (ways_ == three) {
        offer(Plan::halfWay,
              tr("two and a half ways"),
              tr("Two like woofers: the first leaves off by one coil at the first frequency, near "
                 "where the front's step begins; the second goes up to the tweeter. Mind the load "
                 "where both work."));
        offer(Plan::filler,
              tr("with a filler"),
              tr("Woofer and tweeter meet at the first frequency in second order and the same "
                 "polarity; the driver between them fills the gap that they leave, through one "
                 "coil and one capacitor."));
    }
    offer(Plan::lineLevel,
          tr("an amplifier each"),
          tr("Filters before an amplifier for each way. A tweeter keeps a capacitor two octaves "
             "below its crossover (rule of thumb), so that no direct current reaches it."));
    join_->setCurrentIndex(std::max(0, join_->findData(before)));
    tellPlan();
}

/// Fields that the plan has no use for go.
void StartBar::tellPlan() {
    const auto plan = static_cast<study::Plan>(join_->currentData().toInt());
    const bool filler = plan == study::Plan::filler;
    order_->setEnabled(!filler);
    alignment_->setEnabled(!filler);
    flatten_->setEnabled(plan != study::Plan::lineLevel);
    const int pairs = filler ? 1 : std::clamp(ways_ - 1, 1, static_cast<int>(fx_.size()));
    for (int pair = 0; pair < fx_.size(); ++pair) {
        fx_[pair]->setVisible(pair < pairs);
    }
    join_->setToolTip(join_->currentData(Qt::ToolTipRole).toString());
    layout()->invalidate();
}

study::Start StartBar::start() const {
    const auto plan = static_cast<study::Plan>(join_->currentData().toInt());
    std::vector<double> upper;
    for (int pair = 1; plan != study::Plan::filler && pair + 1 < ways_ && pair < fx_.size();
         ++pair) {
        upper.push_back(fx_[pair]->value());
    }
    return {.alignment = static_cast<network::Alignment>(alignment_->currentIndex()),
            .order = order_->currentIndex() + 1,
            .fx = fx_.front()->value(),
            .upper = upper,
            .plan = plan,
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

void StartBar::offerBands(const std::vector<std::optional<evaluation::JoinBand>>& bands,
                          const QString& why) {
    const bool any = std::ranges::any_of(bands, [](const auto& band) { return band.has_value(); });
    QString text = tr("no common band");
    if (any && bands.size() == 1) {
        text = tr("both well %1 to %2")
                   .arg(figures(text::printEngineering(bands[0]->from, "Hz", 2)),
                        figures(text::printEngineering(bands[0]->to, "Hz", 2)));
    } else if (any) {
        QStringList middles;
        for (const auto& band : bands) {
            middles << (band ? figures(text::printEngineering(band->middle, "Hz", 2))
                             : QStringLiteral("–"));
        }
        text = tr("they meet at %1").arg(middles.join(QStringLiteral(", ")));
    }
    offered_ = bands;
    if (text == offer_->text() && why == offer_->toolTip()) {
        return;
    }
    offer_->setVisible(!why.isEmpty());
    offer_->setEnabled(any);
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
