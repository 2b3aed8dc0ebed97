// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/evaluation/memory.h"

namespace yf::evaluation {

/// Everything that is computed of a job: a pure function of the job and the tables.
///
/// `assembly` is that of this job. `memory` only saves time: with any memory, and with none, the
/// answer is the same bit for bit. Boxes of different cabinets are computed beside each other.
[[nodiscard]] Evaluation
evaluate(const job::Job& job, const Assembly& assembly, const Tables& tables, Memory& memory);
[[nodiscard]] Evaluation
evaluate(const job::Job& job, const Assembly& assembly, const Tables& tables = Tables::shipped());
[[nodiscard]] Evaluation evaluate(const job::Job& job, const Tables& tables = Tables::shipped());

} // namespace yf::evaluation
