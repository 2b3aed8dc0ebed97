// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/evaluation/evaluate.h"
#include "core/findings/judge.h"

namespace yf::findings {

/// One box with what is known around it.
struct BoxView {
    const job::Job& job;
    const evaluation::Assembly& assembly;
    const job::Cabinet& cabinet;
    const job::Enclosure& enclosure;
    const evaluation::BoxResult* result{}; ///< null: nothing computed
    std::optional<double> fx;              ///< Hz, the crossover above its driver
};

/// What a box gives away, as facts for the rules on boxes and ports.
[[nodiscard]] Facts boxFacts(const BoxView& view);

} // namespace yf::findings
