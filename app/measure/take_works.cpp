// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/measure/take_works.h"

#include "app/widgets/words.h"
#include "core/text/sentence.h"

namespace yf::app {

namespace {

QString keyOf(const job::Take& take) {
    return words(take.id + " " + take.curveKey);
}

TakeWorks::Works worksOf(const job::Take& take) {
    TakeWorks::Works works;
    if (take.recording) {
        if (auto made = take::remakeTake(take)) {
            works.made = std::make_shared<const take::MadeTake>(std::move(*made));
        }
    }
    if (take.kind == job::TakeKind::impedance) {
        auto fit = take::parametersOf(take);
        if (fit) {
            works.fit = std::make_shared<const driver::FitResult>(std::move(*fit));
        } else {
            works.problem = text::sentence(fit.error());
        }
    }
    return works;
}

} // namespace

std::shared_ptr<const TakeWorks::Works> TakeWorks::of(const job::Take& take) {
    const QString key = keyOf(take);
    if (const auto found = kept_.constFind(key); found != kept_.constEnd()) {
        return *found;
    }
    aside_.ask([this, key, take](Aside::Link& /*link*/) -> Aside::Delivery {
        const auto works = std::make_shared<const Works>(worksOf(take));
        return [this, key, works] { keep(key, works); };
    });
    return nullptr;
}

void TakeWorks::gate(const job::Take& take, const signal::Gate& gate) {
    aside_.ask([this, take, gate](Aside::Link& /*link*/) -> Aside::Delivery {
        auto made = take::remakeTake(take, gate);
        if (!made) {
            return {};
        }
        return [this, again = std::make_shared<const take::MadeTake>(std::move(*made))] {
            Q_EMIT gated(again->take);
        };
    });
}

void TakeWorks::keep(const QString& key, const std::shared_ptr<const Works>& works) {
    constexpr qsizetype enough = 12;
    kept_.insert(key, works);
    order_ << key;
    while (order_.size() > enough) {
        kept_.remove(order_.takeFirst());
    }
    Q_EMIT made();
}

} // namespace yf::app
