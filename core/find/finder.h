// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/curve/curve.h"
#include "core/find/plan.h"

#include <memory>

namespace yf::find {

/// Networks of all shapes tried against the drivers, the cheap ones first.
///
/// Each shape of each way is tuned alone to a Linkwitz-Riley slope of second and of fourth order at
/// two or three frequencies of its crossing's band: the starts. Two-way networks are tried
/// exhaustively; with more ways each way keeps the shapes that are best for their parts. All
/// combinations and polarities are then gone through by their number of parts: a few steps on 64
/// frequencies from the best starts and from what the next simpler network came to (so more parts
/// are hardly ever worse), the best quarter on 128, and what would enter the front on all points,
/// with floor and limits verified. It ends early where the front reaches what the richest network
/// does. Same plan, same answer, whatever the number of cores.
///
/// Source: docs/theory/find.md.
class Finder {
public:
    explicit Finder(Plan plan);
    ~Finder();
    Finder(Finder&&) noexcept;
    Finder& operator=(Finder&&) noexcept;

    /// How many networks the whole space holds: Π(shapes of each way)·2^(ways−1), series ones
    /// besides.
    [[nodiscard]] std::size_t candidates() const;

    /// Searches on from where it was stopped; true when there is nothing more to do.
    bool run(const Watch& watch);

    /// By parts, then price.
    [[nodiscard]] const std::vector<Point>& front() const;

private:
    struct State;
    std::unique_ptr<State> state_;
};

/// Of a front those that are flatter than all with as many or fewer parts.
[[nodiscard]] std::vector<Point> byParts(const std::vector<Point>& front);

} // namespace yf::find
