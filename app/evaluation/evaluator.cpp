// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/evaluation/evaluator.h"

#include "core/evaluation/assemble.h"

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
        waiting_ = Order{submitted_, job, tables_, purpose};
    }
    wake_.notify_one();
    return submitted_;
}

void Evaluator::work() {
    evaluation::Memory memory;
    std::shared_ptr<const evaluation::Assembly> assembly;
    for (;;) {
        std::unique_lock lock(mutex_);
        wake_.wait(lock, [this] { return stop_ || waiting_.has_value(); });
        if (stop_) {
            return;
        }
        Order order = std::move(*waiting_);
        waiting_.reset();
        lock.unlock();
        evaluation::Assembly made = evaluation::assemble(order.job, memory);
        // The same place in memory says that nothing measured has changed.
        if (!assembly || !(*assembly == made)) {
            assembly = std::make_shared<const evaluation::Assembly>(std::move(made));
        }
        auto result = std::make_shared<Evaluated>();
        result->evaluation = evaluation::evaluate(order.job, *assembly, order.tables, memory);
        result->findings = findings::assess(order.job, *assembly, result->evaluation);
        result->assembly = assembly;
        result->evaluation.revision = order.revision;
        result->job = std::move(order.job);
        result->purpose = order.purpose;
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
