// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/evaluation/result.h"

#include <memory>
#include <vector>

/// Ways next to each other in frequency, and how they meet.
namespace yf::evaluation {

/// What neighbours are told from: ways with their pressures, in order of their drivers' bands.
struct NeighbourInputs {
    std::shared_ptr<const CabinetResult> result;
    std::vector<std::size_t> fromBelow;
    std::vector<job::Band> bands; ///< of those

    bool operator==(const NeighbourInputs&) const = default;
};

[[nodiscard]] NeighbourInputs neighbourInputs(const job::Job& job,
                                              std::shared_ptr<const CabinetResult> result);

/// Each way with the next; two of one band are no pair.
[[nodiscard]] std::vector<Neighbourhood> neighbourhoods(const NeighbourInputs& in);

/// The same of a result that no evaluation has told it of yet.
[[nodiscard]] std::vector<Neighbourhood> neighbourhoods(const job::Job& job,
                                                        const CabinetResult& result);

/// Ways that have a pressure, in order of their drivers' bands.
[[nodiscard]] std::vector<std::size_t> waysFromBelow(const job::Job& job,
                                                     const CabinetResult& result);

/// Index of the point nearest to a frequency on a logarithmic scale.
[[nodiscard]] std::size_t nearestPoint(const curve::Axis& axis, double f);

} // namespace yf::evaluation
