// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/measure/judge.h"
#include "core/sim/room.h"

#include <future>
#include <string>
#include <vector>

namespace yf::test {

/// A made-up device of one of five kinds and the sweep that suits it.
struct Device {
    std::string kind; ///< "woofer", "midrange", "tweeter", "subwoofer", "full range"
    std::vector<sim::Filter> filters;
    signal::SweepPlan plan;
    double gain{-12.0}; ///< dB
    int polarity{1};
    double distance{1.0};

    [[nodiscard]] curve::Complex at(double f) const;
};

/// The n-th of a seed.
[[nodiscard]] Device device(int seed, int n);

/// Its recording through a chain with one reflection.
[[nodiscard]] signal::Recording
record(const Device& device, const sim::Chain& chain, bool reference, const signal::Sweep& sweep);

/// Codes of what a verdict says, for messages.
[[nodiscard]] std::string faultsOf(const measure::Verdict& verdict);

/// take(0) to take(count - 1) on two threads: each stands by itself.
template <class Take>
auto inTwo(int count, Take&& take) {
    std::vector<decltype(take(0))> results(static_cast<std::size_t>(count));
    const auto half = [&](int from) {
        for (int n = from; n < count; n += 2) {
            results[static_cast<std::size_t>(n)] = take(n);
        }
    };
    auto other = std::async(std::launch::async, half, 1);
    half(0);
    other.get();
    return results;
}

} // namespace yf::test
