// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/network/judge/load.h"
#include "core/network/parts/stock.h"
#include "core/tune/descent.h"

#include <cstdint>

namespace yf::tune {

/// A network and what it is meant to do.
struct Problem {
    network::Circuit circuit;       ///< a tree without couplings
    network::PreparedLoads loads;   ///< on the goal's axis
    network::LoadsOn loadsOn;       ///< on any: dips between points are looked into
    network::PreparedLoads audible; ///< 20 Hz to 20 kHz: where the floor must hold
    std::vector<std::vector<Complex>> factors;
    Goal goal;
    std::vector<bool> free;               ///< which parts may change, in writing order
    Box box;                              ///< for all parts, x = ln(value)
    std::vector<network::LineKnob> knobs; ///< turned at line level too; not with fewest changes
    int starts{8};
    std::uint64_t seed{1};
    int draws{}; ///< networks with parts off by their tolerances that count too; the same in every
                 ///< step, so that the cost stays smooth
};

struct Found {
    network::Circuit circuit;
    Standing standing;
    network::Lowest impedance; ///< verified between the points too
    Stop stop{};
    bool allowed{}; ///< floor and limits hold
};

/// What is allowed comes before what is not, then the cost decides.
[[nodiscard]] bool isBetter(const Found& a, const Found& b);

/// The best of several starts: the values given, then random factors e^(±0.7) of a low-discrepancy
/// sequence shifted by the seed. Floor and limits are checked on the network itself and pushed
/// harder until they hold (floor within 0.1 %, limits within 0.01 dB). Threads: as many as there
/// are cores; the answer does not depend on them.
[[nodiscard]] Found tuneValues(const Problem& problem, const GoOn& goOn);

/// The same for the best choice of at most `most` parts: every subset of one, two, … parts, each
/// from the values given. One entry for each number of changes, none changed first.
[[nodiscard]] std::vector<Found> fewestChanges(const Problem& problem, int most, const GoOn& goOn);

/// Values that can be bought, near an optimum that was found: the closest points of the lattice in
/// the metric JᵀJ by branch and bound, the best thirty tried; beside them one part after the other
/// fixed to its two nearest values and the rest tuned anew. Parts in the drawer are used no more
/// often than there are. The better of both; never one that
/// breaks floor or limits while another holds them. Only parts that differ from `problem` move.
[[nodiscard]] Found purchasable(const Problem& problem,
                                const Found& found,
                                const network::EndValues& values,
                                const GoOn& goOn);

/// The same where `optimum`'s own circuit is the one found and its free parts are those that move.
[[nodiscard]] Found
snapped(const Problem& optimum, const network::EndValues& values, const GoOn& goOn);

/// The index-th start around x (the first is x itself): factors e^(±0.7) that fill the space
/// evenly, shifted by the seed.
[[nodiscard]] std::vector<double>
shaken(const std::vector<double>& x, int index, std::uint64_t seed);

/// The circuit with its free parts at x = ln(value), losses following, then its knobs.
[[nodiscard]] network::Circuit circuitAt(const Problem& problem, const std::vector<double>& x);

/// How a circuit stands to the goal, its impedance between the points not being looked at.
[[nodiscard]] Standing judgedGoal(const Problem& problem, const network::Circuit& circuit);

/// How a circuit stands as it is.
[[nodiscard]] Found judged(const Problem& problem, const network::Circuit& circuit);

} // namespace yf::tune
