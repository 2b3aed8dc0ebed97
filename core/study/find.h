// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/find/by_hand.h"
#include "core/study/tune.h"

/// Whole networks looked for against a cabinet's drivers.

namespace yf::study {

struct FindWish {
    double floor{3.2}; ///< Ω, least |Z| that the amplifier is to see
    std::optional<network::ESeries> series{network::ESeries::E12};
    int highestOrder{4};
    std::optional<int> maxParts;
    bool aside{}; ///< the sum 10° above and below and 30° to both sides counts too, as in tuning

    bool operator==(const FindWish&) const = default;
};

/// The search for a cabinet: its target, its drivers and their places, each driver kept at home as
/// tuning does it, neighbours crossing where both work well.
///
/// Bands narrower than half an octave are widened to that; where two drivers leave nothing between
/// them, or nothing is known of one, where they meet by find::meeting counts. Fails with what is
/// missing: responses, impedances, ways straight behind the amplifier, two drivers that never meet.
[[nodiscard]] Result<find::Plan> findPlan(const job::Job& job,
                                          const job::Cabinet& cabinet,
                                          const evaluation::Assembly& assembly,
                                          const FindWish& wish);

/// What the present network comes to by the same measure; its price by the job's list.
[[nodiscard]] job::FoundNetwork presentNetwork(const find::Plan& plan,
                                               const network::Circuit& circuit);

/// As a cabinet keeps it.
[[nodiscard]] job::FoundNetwork keptNetwork(const find::Point& point);

/// One thing that a network has and another has not.
struct ShapeChange {
    enum class What { series, highPass, lowPass, sequence, trap, pad, zobel } what{};
    std::size_t way{};
    int order{}; ///< of a filter; 1 or 0 for what is there or not
};

[[nodiscard]] std::vector<ShapeChange> shapeChanges(const job::FoundNetwork& from,
                                                    const job::FoundNetwork& to);

/// Of a front those that are flatter than all before them with as many or fewer parts, or (`price`)
/// than all that cost no more: places in the list.
[[nodiscard]] std::vector<std::size_t> flattest(const std::vector<job::FoundNetwork>& networks,
                                                bool price);

} // namespace yf::study
