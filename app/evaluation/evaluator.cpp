// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/evaluation/evaluator.h"

namespace yf::app {

Evaluator::Evaluator(QObject* parent) : QObject(parent), worker_([this] { work(); }) {}

Evaluator::~Evaluator() {
    {
        const std::lock_guard lock(mutex_);
        stop_ = true;
    }
    wake_.notify_one();
    worker_.join();
}

std::uint64_t Evaluator::submit(const job::Job& job, Purpose purpose) {
    ++submitted_;
    {
        const std::lock_guard lock(mutex_);
        waiting_ = Order{submitted_, job, purpose};
    }
    wake_.notify_one();
    return submitted_;
}

void Evaluator::work() {
    // Measured curves on the design axis: kept from one evaluation to the next while the takes
    // stay.
    std::optional<job::Job> assembledFor;
    std::shared_ptr<const job::Assembly> assembly;
    std::shared_ptr<Evaluated> last;
    for (;;) {
        std::unique_lock lock(mutex_);
        wake_.wait(lock, [this] { return stop_ || waiting_.has_value(); });
        if (stop_) {
            return;
        }
        Order order = std::move(*waiting_);
        waiting_.reset();
        lock.unlock();
        if (!assembledFor || !job::sameMeasurements(*assembledFor, order.job)) {
            if (assembledFor) {
                const job::EarlierAssembly earlier{*assembledFor, *assembly};
                assembly =
                    std::make_shared<const job::Assembly>(job::assemble(order.job, &earlier));
            } else {
                assembly = std::make_shared<const job::Assembly>(job::assemble(order.job));
            }
            assembledFor = order.job;
            last.reset();
        }
        auto result = std::make_shared<Evaluated>();
        if (last) {
            const job::Earlier earlier{last->job, last->evaluation};
            result->evaluation = job::evaluate(order.job, *assembly, &earlier);
        } else {
            result->evaluation = job::evaluate(order.job, *assembly);
        }
        result->assembly = assembly;
        result->evaluation.revision = order.revision;
        result->job = std::move(order.job);
        result->purpose = order.purpose;
        last = result;
        // Results are queued in the order in which they were made: one worker, one queue.
        QMetaObject::invokeMethod(
            this, [this, result] { deliver(result); }, Qt::QueuedConnection);
    }
}

void Evaluator::deliver(const std::shared_ptr<const Evaluated>& result) {
    delivered_ = result->evaluation.revision;
    Q_EMIT ready(result);
}

} // namespace yf::app
