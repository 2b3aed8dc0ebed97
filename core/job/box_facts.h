// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/evaluate.h"

namespace yf::job {

/// One box with what is known around it.
struct BoxView {
    const Job& job;
    const Assembly& assembly;
    const Cabinet& cabinet;
    const Enclosure& enclosure;
    const BoxResult* result{}; ///< null: nothing computed
    std::optional<double> fx;  ///< Hz, the crossover above its driver
};

/// What a box gives away, as facts for the rules on boxes and ports.
[[nodiscard]] speaker::Facts boxFacts(const BoxView& view);

} // namespace yf::job
