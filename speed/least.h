// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <algorithm>
#include <chrono>

namespace yf::speed {

/// The least time of many runs: what the machine can do when nobody disturbs it.
template <class F>
double least(int runs, F&& run) {
    using Clock = std::chrono::steady_clock;
    double best = 1e9;
    for (int i = 0; i < runs; ++i) {
        const auto before = Clock::now();
        run();
        best = std::min(best, std::chrono::duration<double>(Clock::now() - before).count());
    }
    return best;
}

} // namespace yf::speed
