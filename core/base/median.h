// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <algorithm>
#include <vector>

namespace yf {

/// The middle value, or the mean of the two in the middle; 0 of nothing.
[[nodiscard]] inline double median(std::vector<double> values) {
    if (values.empty()) {
        return 0.0;
    }
    const auto middle = values.begin() + static_cast<std::ptrdiff_t>(values.size() / 2);
    std::ranges::nth_element(values, middle);
    return values.size() % 2 == 1 ? *middle
                                  : 0.5 * (*middle + *std::max_element(values.begin(), middle));
}

} // namespace yf
