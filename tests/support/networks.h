// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/network/solve/network.h"

#include <cstdint>
#include <string>

namespace yf::test {

/// A network from the notation; a mistake in it fails the test that asked.
[[nodiscard]] network::Network networkFrom(const std::string& json);

/// Its solution on an axis.
[[nodiscard]] network::Solution solved(const network::Network& network,
                                       const curve::Axis& axis,
                                       network::Method method = network::Method::automatic);

/// SplitMix64: the same networks on every machine.
class Random {
public:
    explicit Random(std::uint64_t seed) : state_(seed) {}

    [[nodiscard]] std::uint64_t bits();

    /// Uniform in [0, 1).
    [[nodiscard]] double uniform();

    /// Uniform in the logarithm.
    [[nodiscard]] double between(double lowest, double highest);

    [[nodiscard]] int below(int count) {
        return static_cast<int>(bits() % static_cast<std::uint64_t>(count));
    }

private:
    std::uint64_t state_;
};

/// A tree of 1 to 3 ways with composites, lossy or lossless parts, drivers with resonance and
/// coil, a common section or not, a source resistance or not, ways in parallel or in series.
[[nodiscard]] network::Network randomNetwork(std::uint64_t seed);

/// The three-way of 13 slots of tests/data/ngspice/02-three-way-drivers.cir in our notation.
[[nodiscard]] std::string threeWayOfThirteenSlots();

/// A two-way of eight parts with modelled drivers, for tuning.
[[nodiscard]] std::string twoWayOfEightParts();

} // namespace yf::test
