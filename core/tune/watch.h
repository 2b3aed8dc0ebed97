// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/tune/descent.h"

#include <atomic>
#include <mutex>

namespace yf::tune {

/// One goOn for many threads: asked one at a time, and once it says no it is no for all.
class Watch {
public:
    explicit Watch(const GoOn& goOn) : goOn_(goOn) {}

    bool operator()(const std::vector<double>& x, const Standing& standing) {
        if (stopped_) {
            return false;
        }
        if (goOn_) {
            const std::scoped_lock lock(mutex_);
            if (!stopped_ && !goOn_(x, standing)) {
                stopped_ = true;
            }
        }
        return !stopped_;
    }

    [[nodiscard]] bool stopped() const { return stopped_; }

private:
    const GoOn& goOn_;
    std::mutex mutex_;
    std::atomic<bool> stopped_{false};
};

} // namespace yf::tune
