// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/edit/parts.h"
#include "core/evaluation/evaluate.h"
#include "core/tune/sparing.h"

#include <functional>

/// A cabinet's network tuned to its target by machine.

namespace yf::study {

struct TuneWish {
    double floor{3.2};         ///< Ω, least |Z| that the amplifier is to see
    network::EndValues values; ///< none: exact values
    std::optional<int> slopes; ///< each way is to follow a Linkwitz-Riley of that order where it
                               ///< crosses its neighbours today; none: only the sum counts
    int changes{};             ///< at most so many parts; 0: all that are not fixed
    std::optional<tune::Sparing> sparing; ///< parts are left out in the end; not with `changes`
    int starts{8};
    bool robust{};      ///< networks with parts off by their tolerances count too
    bool aside{};       ///< the sum 10° above and below and 30° to both sides counts too
    bool inStep{};      ///< neighbours in step count too: dips beside the axis are less deep then
    bool filters{true}; ///< with own amplifiers, their filters, gains and delays too
    bool polarities{true}; ///< every way but the first is tried both ways round; not with `changes`

    bool operator==(const TuneWish&) const = default;
};

/// The cabinet's sum within its target's range, level free unless the target has one. Each driver
/// is kept where it is at home: above its usable band no more drive than −6 dB at the band's end,
/// falling by 12 dB an octave; below its resonance, where that lies above 200 Hz, no more than −12
/// dB at fs, falling likewise; or what it gets today where that is more (rules of thumb).
/// Neighbours change places where both are at home, or where they do today.
/// Fails with what is missing: responses, impedances, a network of ways, parts that may change.
[[nodiscard]] Result<tune::Problem> tuneProblem(const job::Job& job,
                                                const job::Cabinet& cabinet,
                                                const evaluation::Assembly& assembly,
                                                const TuneWish& wish);

/// The goal, the limits and the curves of that, no part being free: drives by the rules alone, not
/// by what a network gives today.
[[nodiscard]] Result<tune::Problem> goalProblem(const job::Job& job,
                                                const job::Cabinet& cabinet,
                                                const evaluation::Assembly& assembly,
                                                double floor);

/// The sum 10° above and below and 30° to both sides counts too, half as much as the axis and each
/// at its own level: a flat axis with a hole beside it is none.
void putAsides(const job::Job& job, const job::Cabinet& cabinet, tune::Problem& problem);

/// How far a search is.
struct TuneProgress {
    std::optional<network::Circuit> best; ///< allowed ones only; not for fewest changes
    tune::Standing standing;              ///< of the best so far
    int tried{};                          ///< networks computed
};

/// false ends the search.
using TuneWatch = std::function<bool(const TuneProgress& progress)>;

struct Tuned {
    tune::Found found;
    tune::Found before;
    std::vector<tune::Found> steps;    ///< with fewest changes: none, one, two … parts
    std::vector<tune::Spared> leftOut; ///< with `sparing`, in the order in which they went
    double priceBefore{};              ///< of all parts, with `sparing`
    double price{};
    double partsOff{}; ///< dB, what the parts' tolerances can add in the band, to first order
};

[[nodiscard]] Tuned
tuneCabinet(const tune::Problem& problem, const TuneWish& wish, const TuneWatch& watch);

} // namespace yf::study
