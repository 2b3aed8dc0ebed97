// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/curve/curve.h"

#include "core/base/expect.h"
#include "core/quantity/level.h"

#include <algorithm>
#include <functional>

namespace yf::curve {

Curve::Curve(Axis frequencies, std::vector<Complex> values, Phase phase, Range trusted)
    : frequencies_(std::move(frequencies)), values_(std::move(values)), phase_(phase) {
    YF_EXPECT(frequencies_.size() == values_.size());
    YF_EXPECT(frequencies_.size() >= 2);
    YF_EXPECT(frequencies_.front() > 0.0);
    YF_EXPECT(std::ranges::adjacent_find(frequencies_, std::greater_equal{}) == frequencies_.end());
    trusted_ = {std::clamp(trusted.from, frequencies_.front(), frequencies_.back()),
                std::clamp(trusted.to, frequencies_.front(), frequencies_.back())};
}

Curve::Curve(Axis frequencies, std::vector<Complex> values, Phase phase)
    : Curve(std::move(frequencies), std::move(values), phase, Range{0.0, 1e12}) {}

Curve Curve::trustedWithin(Range range) const {
    return {frequencies_, values_, phase_, range};
}

std::vector<double> levels(std::span<const Complex> values, double reference) {
    std::vector<double> result;
    result.reserve(values.size());
    for (const Complex& v : values) {
        result.push_back(quantity::decibels(std::abs(v) / reference));
    }
    return result;
}

std::vector<double> angles(std::span<const Complex> values) {
    std::vector<double> result;
    result.reserve(values.size());
    for (const Complex& v : values) {
        result.push_back(std::arg(v));
    }
    return result;
}

} // namespace yf::curve
