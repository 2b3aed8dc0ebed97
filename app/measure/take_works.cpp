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
            works.problem = words(text::sentence(fit.error()));
        }
    }
    return works;
}

} // namespace

TakeWorks::TakeWorks(QObject* parent) : QObject(parent) {}

TakeWorks::~TakeWorks() {
    if (thread_.joinable()) {
        thread_.join();
    }
}

std::shared_ptr<const TakeWorks::Works> TakeWorks::of(const job::Take& take) {
    const QString key = keyOf(take);
    if (const auto found = kept_.constFind(key); found != kept_.constEnd()) {
        return *found;
    }
    begin({key, take, std::nullopt});
    return nullptr;
}

void TakeWorks::gate(const job::Take& take, const signal::Gate& gate) {
    begin({keyOf(take), take, gate});
}

void TakeWorks::begin(Wish wish) {
    if (busy_) {
        next_ = std::move(wish);
        return;
    }
    busy_ = true;
    if (thread_.joinable()) {
        thread_.join();
    }
    thread_ = std::thread([this, wish = std::move(wish)] {
        auto works = std::make_shared<const Works>(wish.gate ? Works{} : worksOf(wish.take));
        std::shared_ptr<const take::MadeTake> again;
        if (wish.gate) {
            if (auto made = take::remakeTake(wish.take, wish.gate)) {
                again = std::make_shared<const take::MadeTake>(std::move(*made));
            }
        }
        QMetaObject::invokeMethod(this, [this, wish, works, again] {
            busy_ = false;
            if (again) {
                Q_EMIT gated(again->take);
            } else if (!wish.gate) {
                constexpr qsizetype enough = 12;
                kept_.insert(wish.key, works);
                order_ << wish.key;
                while (order_.size() > enough) {
                    kept_.remove(order_.takeFirst());
                }
            }
            if (next_) {
                Wish later = std::move(*next_);
                next_.reset();
                begin(std::move(later));
            }
            if (!wish.gate) {
                Q_EMIT made();
            }
        });
    });
}

} // namespace yf::app
