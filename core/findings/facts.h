// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/evaluation/evaluate.h"
#include "core/findings/judge.h"

namespace yf::findings {

/// What is known of a job by itself, as the rules ask for it: one scope for each cabinet, within
/// it one for each driver, part, take and pair of neighbouring ways, and one for each pair of
/// cabinets. docs/theory/speaker.md, "Where facts come from", lists them.
[[nodiscard]] std::vector<Scope> facts(const job::Job& job,
                                       const evaluation::Assembly& assembly,
                                       const evaluation::Evaluation& evaluation);

} // namespace yf::findings
