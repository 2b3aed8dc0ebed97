// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/find/shape.h"
#include "core/network/parts/price.h"
#include "core/tune/tuner.h"

#include <functional>
#include <vector>

/// What a search of networks is asked, and what it tells.
namespace yf::find {

/// What is looked for.
struct Plan {
    tune::Problem base; ///< loads, goal, limits; of its circuit the source, what stands before all
                        ///< ways (kept as it is) and the ends, low to high, are what counts
    std::vector<curve::Range> crossings; ///< Hz, for each pair of neighbours
    std::vector<int> orders{1, 2, 3, 4};
    std::vector<Extra> extras;
    bool seriesToo{}; ///< two ways in series are tried as well, of first and second order
    std::optional<int> maxParts;
    int starts{3}; ///< tuned for each candidate: the most promising, the last one shaken
    std::uint64_t seed{1};
    std::optional<network::ESeries> series; ///< values in the end; none: exact
    network::Prices prices;
};

/// A network that no other one found beats in parts, price and flatness at once.
struct Point {
    tune::Found found;
    std::vector<Shape> shapes; ///< of the ways
    int parts{};               ///< with those before all ways
    double price{};
};

struct Progress {
    std::size_t done{};
    std::size_t total{};             ///< networks to be tried; fewer where the best is found before
    const std::vector<Point>& front; ///< so far, by parts and price
};

/// Asked again and again, one thread at a time; false stops the search.
using Watch = std::function<bool(const Progress& progress)>;

} // namespace yf::find
