// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/evaluation/result.h"
#include "core/evaluation/tables.h"
#include "core/findings/facts.h"
#include "core/findings/judge.h"

namespace yf::findings {

/// What is known of a job as the rules ask for it, and what they say of it.
struct Assessment {
    std::vector<Scope> facts;
    Judgement judgement;

    bool operator==(const Assessment&) const = default;
};

/// A pure function of its arguments; the limits that a person moved are the job's.
[[nodiscard]] Assessment assess(const job::Job& job,
                                const evaluation::Assembly& assembly,
                                const evaluation::Evaluation& evaluation);

/// The same with everything computed on the way.
[[nodiscard]] Assessment assess(const job::Job& job,
                                const evaluation::Tables& tables = evaluation::Tables::shipped());

} // namespace yf::findings
