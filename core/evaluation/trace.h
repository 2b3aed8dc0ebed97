// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/bench/trace.h"
#include "core/evaluation/result.h"

namespace yf::evaluation {

/// What the checks of a cabinet have ruled out on the way from the source to a driver.
[[nodiscard]] bench::Trace
traceOf(const job::Job& job, const Evaluation& evaluation, const std::string& cabinet);

} // namespace yf::evaluation
