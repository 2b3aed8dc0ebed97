// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/measure/decay_page.h"

#include "app/measure/decay_view.h"
#include "app/widgets/labels.h"
#include "app/widgets/words.h"
#include "core/text/number.h"

#include <QComboBox>
#include <QGridLayout>
#include <QLabel>

#include <algorithm>

namespace yf::app {

namespace {

constexpr double range = 40.0; // dB: fixed, so that pictures compare

} // namespace

DecayPage::DecayPage(TakeWorks* works, QWidget* parent) : QWidget(parent), works_(works) {
    setObjectName(QStringLiteral("decay_page"));
    kind_ = new QComboBox(this);
    kind_->setObjectName(QStringLiteral("decay_kind"));
    kind_->setAccessibleName(tr("Kind of decay"));
    kind_->addItems({tr("after a pulse, over time"), tr("after bursts, over periods")});
    span_ = new QComboBox(this);
    span_->setObjectName(QStringLiteral("decay_span"));
    span_->setAccessibleName(tr("What may take part"));
    span_->addItems({tr("within the gate"), tr("with the room")});
    told_ = wrappedLabel(this, QStringLiteral("decay_told"));
    view_ = new DecayView(this);
    auto* tools = new QHBoxLayout;
    tools->addWidget(kind_);
    tools->addWidget(span_);
    tools->addWidget(told_, 1);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->addLayout(tools);
    column->addWidget(view_, 1);
    connect(kind_, &QComboBox::currentIndexChanged, this, &DecayPage::again);
    connect(span_, &QComboBox::currentIndexChanged, this, &DecayPage::again);
}

void DecayPage::display(const Sight& sight, const job::Take* take) {
    held_ = sight.preview ? sight.preview : sight.present;
    take_ = take != nullptr && take->kind == job::TakeKind::response ? take : nullptr;
    if (sight.driver != driver_) {
        driver_ = sight.driver;
        reference_.reset();
    }
    again();
}

void DecayPage::again() {
    std::shared_ptr<const take::MadeTake> made;
    if (take_ != nullptr && take_->recording) {
        if (const auto works = works_->of(*take_)) {
            made = works->made;
        }
    }
    const bool periods = kind_->currentIndex() == 1;
    if (!made || !made->impulse) {
        drawn_.clear();
        view_->display({}, range, periods, {});
        told_->setText(take_ != nullptr && take_->recording ? tr("working …") : QString());
        return;
    }
    const bool gated = span_->currentIndex() == 0;
    const QString wanted = QStringLiteral("%1 %2 %3 %4")
                               .arg(words(take_->id), words(take_->curveKey))
                               .arg(periods)
                               .arg(gated);
    if (wanted == drawn_) {
        return;
    }
    drawn_ = wanted;
    signal::Impulse impulse = *made->impulse;
    double length = std::min(0.05, made->reading.rest);
    if (gated) {
        length = std::min(length, made->reading.gate.right);
        const auto end = static_cast<std::size_t>(
            (impulse.timeZero + made->reading.arrival + made->reading.gate.right) * impulse.rate);
        std::fill(impulse.samples.begin() +
                      static_cast<std::ptrdiff_t>(std::min(end, impulse.samples.size())),
                  impulse.samples.end(),
                  0.0);
    }
    const double highest = std::min(20000.0, take_->curve->extent().to);
    signal::DecayImage image;
    if (periods) {
        image = signal::burstDecay(
            impulse,
            {},
            curve::within(curve::designAxis(), std::max(100.0, 4.0 / length), highest));
    } else {
        constexpr int slices = 60;
        image = signal::cumulativeDecay(
            impulse,
            {.slices = slices, .step = 0.9 * length / slices, .length = length},
            curve::within(curve::designAxis(), std::max(20.0, 0.5 / length), highest));
    }
    if (sealedKind_ != kind_->currentIndex()) {
        reference_.reset();
        sealedKind_ = kind_->currentIndex();
    }
    signal::seal(image, reference_, range, periods);
    reference_ = image.reference;
    constexpr std::size_t most = 8;
    const auto modes = signal::loudestModes(impulse, length, most);
    told_->setText(modes.empty()
                       ? tr("Nothing rings on that %1 could show.")
                             .arg(figures(text::printEngineering(length, "s")))
                       : (modes.size() == 1
                              ? tr("One mode rings on; what lasts longer than the gate is hidden.")
                              : tr("%1 modes ring on; what lasts longer than the gate is hidden.")
                                    .arg(modes.size())));
    view_->display(std::move(image), range, periods, std::move(modes));
}

} // namespace yf::app
