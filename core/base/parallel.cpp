// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/parallel.h"

#include <algorithm>
#include <atomic>
#include <thread>
#include <vector>

namespace yf {

void inParallel(std::size_t count, const std::function<void(std::size_t)>& work) {
    const std::size_t cores = std::max(1U, std::thread::hardware_concurrency());
    std::atomic<std::size_t> next{0};
    const auto take = [&] {
        for (std::size_t i = next++; i < count; i = next++) {
            work(i);
        }
    };
    std::vector<std::thread> others;
    for (std::size_t t = 1; t < std::min(cores, count); ++t) {
        others.emplace_back(take);
    }
    take();
    for (std::thread& other : others) {
        other.join();
    }
}

} // namespace yf
