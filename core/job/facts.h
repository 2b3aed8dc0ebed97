// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/evaluate.h"
#include "core/speaker/findings.h"

namespace yf::job {

/// What is known of a job by itself, as the rules ask for it: one scope for each cabinet, within
/// it one for each driver, part, take and pair of neighbouring ways, and one for each pair of
/// cabinets. docs/theory/speaker.md, "Where facts come from", lists them.
[[nodiscard]] std::vector<speaker::Scope>
facts(const Job& job, const Assembly& assembly, const Evaluation& evaluation);

/// The limits that a person changed.
[[nodiscard]] speaker::Limits limitsOf(const Job& job);

/// The dismissal of a finding, or nothing.
[[nodiscard]] const Dismissal* dismissalOf(const Job& job, const speaker::Finding& finding);

/// A dismissal for it, without note and date.
[[nodiscard]] Dismissal dismissalFor(const speaker::Finding& finding);

} // namespace yf::job
