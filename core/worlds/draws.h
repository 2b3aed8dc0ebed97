// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <cmath>
#include <cstdint>
#include <vector>

namespace worlds {

/// Draws of the worlds: PCG32 (O'Neill 2014), of their own, so that no world shares its chances
/// with what it judges.
class Draws {
public:
    explicit Draws(std::uint64_t seed, std::uint64_t stream = 1) : step_((stream << 1U) | 1U) {
        bits();
        state_ += seed;
        bits();
    }

    std::uint32_t bits() {
        const std::uint64_t old = state_;
        state_ = old * 6364136223846793005U + step_;
        const auto shifted = static_cast<std::uint32_t>(((old >> 18U) ^ old) >> 27U);
        const auto turn = static_cast<std::uint32_t>(old >> 59U);
        return (shifted >> turn) | (shifted << ((32U - turn) & 31U));
    }

    /// 0 ≤ u < 1.
    double share() { return static_cast<double>(bits()) / 4294967296.0; }

    double between(double low, double high) { return low + (high - low) * share(); }

    /// Log-uniform.
    double spread(double low, double high) { return low * std::pow(high / low, share()); }

    int below(int count) { return static_cast<int>(share() * count); }

    bool chance(double p) { return share() < p; }

    /// Twelve uniforms less six: mean 0, deviation 1, never beyond 6.
    double scatter() {
        double sum = -6.0;
        for (int k = 0; k < 12; ++k) {
            sum += share();
        }
        return sum;
    }

    template <class T>
    const T& oneOf(const std::vector<T>& list) {
        return list[static_cast<std::size_t>(below(static_cast<int>(list.size())))];
    }

private:
    std::uint64_t state_{};
    std::uint64_t step_;
};

} // namespace worlds
