// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <cstddef>
#include <optional>
#include <vector>

namespace yf::driver {

/// Cheapest way to pair all of an even number of things, any with any.
///
/// `costs`: square and symmetric; nothing where two may not be paired. Out: for each its partner,
/// or nothing at all where no such pairing exists. Minimum-weight perfect matching on a general
/// graph (Edmonds 1965, the blossom method, O(n³) with dual variables after Galil 1986); the
/// assignment method for two groups would answer a → b → c → a. Costs are scaled to whole numbers
/// of 40 bits, so pairings that differ by less than 1e-11 of the largest cost count as equal.
using Costs = std::vector<std::vector<std::optional<double>>>;

[[nodiscard]] std::optional<std::vector<std::size_t>> cheapestPairing(const Costs& costs);

} // namespace yf::driver
