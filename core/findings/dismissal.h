// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/findings/judge.h"
#include "core/job/job.h"

/// What a person decided about findings.

namespace yf::findings {

/// The limits that a person changed.
[[nodiscard]] Limits limitsOf(const job::Job& job);

/// The dismissal of a finding, or nothing.
[[nodiscard]] const job::Dismissal* dismissalOf(const job::Job& job, const Finding& finding);

/// A dismissal for it, without note and date.
[[nodiscard]] job::Dismissal dismissalFor(const Finding& finding);

} // namespace yf::findings
