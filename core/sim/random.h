// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <cmath>
#include <cstdint>
#include <numbers>

namespace yf::sim {

/// SplitMix64 (Steele, Lea, Flood 2014): the same draws from the same seed on every machine, which
/// the standard library's distributions do not promise.
class Random {
public:
    explicit Random(std::uint64_t seed) : state_(seed) {}

    [[nodiscard]] std::uint64_t bits() {
        state_ += 0x9E3779B97F4A7C15U;
        std::uint64_t z = state_;
        z = (z ^ (z >> 30U)) * 0xBF58476D1CE4E5B9U;
        z = (z ^ (z >> 27U)) * 0x94D049BB133111EBU;
        return z ^ (z >> 31U);
    }

    /// 0 ≤ u < 1, 53 bits.
    [[nodiscard]] double uniform() {
        constexpr double scale = 1.0 / 9007199254740992.0;
        return static_cast<double>(bits() >> 11U) * scale;
    }

    /// Mean 0, deviation 1: cosine branch of Box and Muller (1958), from two draws.
    [[nodiscard]] double normal() {
        const double u = 1.0 - uniform(); // never 0
        const double v = uniform();
        return std::sqrt(-2.0 * std::log(u)) * std::cos(2.0 * std::numbers::pi * v);
    }

private:
    std::uint64_t state_;
};

} // namespace yf::sim
