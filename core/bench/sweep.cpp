// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/bench/sweep.h"

#include <algorithm>
#include <cmath>

namespace yf::bench {

namespace {

constexpr double growthLimit = 1.15;
constexpr double collapseLimit = 0.75;
constexpr double shiftLimit = 0.10;

} // namespace

std::string sweepOutcome(const SweepPair& seen, const ImpedancePeak& reference) {
    if (!seen.small || !seen.large) {
        return "open";
    }
    if (seen.large->ohms > growthLimit * seen.small->ohms) {
        return "level_dependent";
    }
    if (std::max(seen.small->ohms, seen.large->ohms) < collapseLimit * reference.ohms) {
        return "peak_collapsed";
    }
    const double shift = std::abs(std::log(seen.small->frequency / reference.frequency));
    return shift > shiftLimit ? "peak_shifted" : "as_expected";
}

} // namespace yf::bench
