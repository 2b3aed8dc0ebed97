// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/evaluation/evaluator.h"

#include "core/evaluation/assemble.h"

namespace yf::app {

struct Evaluator::Earlier {
    evaluation::Memory memory;
    std::shared_ptr<const evaluation::Assembly> assembly;
};

Evaluator::Evaluator(QObject* parent) : QObject(parent), earlier_(std::make_shared<Earlier>()) {}

std::uint64_t Evaluator::submit(const job::Job& job, Purpose purpose) {
    ++submitted_;
    aside_.ask([this,
                revision = submitted_,
                job = evaluation::without(job, left_),
                watch = watch_,
                tables = tables_,
                purpose,
                earlier = earlier_](Aside::Link& /*link*/) mutable -> Aside::Delivery {
        earlier->memory.watch = watch;
        evaluation::Assembly made = evaluation::assemble(job, earlier->memory);
        // The same place in memory says that nothing measured has changed.
        if (!earlier->assembly || !(*earlier->assembly == made)) {
            earlier->assembly = std::make_shared<const evaluation::Assembly>(std::move(made));
        }
        auto result = std::make_shared<Evaluated>();
        result->assembly = earlier->assembly;
        result->evaluation = evaluation::evaluate(job, *result->assembly, tables, earlier->memory);
        result->evaluation.revision = revision;
        earlier->memory.begin({evaluation::Piece::whole, {}});
        result->findings = findings::assess(job, *result->assembly, result->evaluation);
        result->job = std::move(job);
        result->purpose = purpose;
        return [this, result] {
            delivered_ = result->evaluation.revision;
            Q_EMIT ready(result);
        };
    });
    return submitted_;
}

} // namespace yf::app
