// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/evaluation/result.h"
#include "core/speaker/crossover.h"
#include "core/speaker/null_test.h"

/// Ways next to each other in frequency, and how they meet.
namespace yf::evaluation {

/// Two neighbours, from below.
struct Neighbourhood {
    std::size_t lower{}; ///< way
    std::size_t upper{};
    std::optional<speaker::Crossover> met;
    std::vector<double> difference; ///< rad, upper re lower, −π … π, on the result's axis
    std::vector<bool> overlap;      ///< levels within 10 dB
    double levelDifference{};       ///< dB, upper re lower at fx
    double loss{};                  ///< dB, of the sum at fx below both in step
    double groupDelay{};            ///< s, upper re lower at fx: −Δ(dφ/dω)
    std::optional<speaker::NullBounds> bounds; ///< what the null's depth leaves open
};

/// Ways in order of their drivers' bands, each with the next; two of one band are no pair.
[[nodiscard]] std::vector<Neighbourhood> neighbourhoods(const job::Job& job,
                                                        const CabinetResult& result);

/// Ways that have a pressure, in order of their drivers' bands.
[[nodiscard]] std::vector<std::size_t> waysFromBelow(const job::Job& job,
                                                     const CabinetResult& result);

/// Index of the point nearest to a frequency on a logarithmic scale.
[[nodiscard]] std::size_t nearestPoint(const curve::Axis& axis, double f);

} // namespace yf::evaluation
