// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/findings/assess.h"

#include "core/evaluation/assemble.h"
#include "core/evaluation/evaluate.h"
#include "core/findings/dismissal.h"
#include "core/findings/facts.h"

namespace yf::findings {

Assessment assess(const job::Job& job,
                  const evaluation::Assembly& assembly,
                  const evaluation::Evaluation& evaluation) {
    Assessment assessment{.facts = facts(job, assembly, evaluation), .judgement = {}};
    assessment.judgement = judge(assessment.facts, limitsOf(job));
    return assessment;
}

Assessment assess(const job::Job& job, const evaluation::Tables& tables) {
    evaluation::Memory memory;
    const evaluation::Assembly assembly = evaluation::assemble(job, memory);
    return assess(job, assembly, evaluation::evaluate(job, assembly, tables, memory));
}

} // namespace yf::findings
