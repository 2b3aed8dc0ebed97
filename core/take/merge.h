// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/job.h"
#include "core/measure/merge.h"

#include <optional>
#include <string>

namespace yf::take {

/// Which takes of a driver are joined, and what only a ruler knows.
struct MergeOrder {
    std::string driver;
    std::string near; ///< take in front of the cone
    std::string far;  ///< take at a distance
    std::string port; ///< take in the port; empty: a closed box
    double Sd{};      ///< m², of one cone
    int cones{1};
    std::optional<double> portDiameter; ///< m
    int ports{1};
    std::optional<double> portDistance; ///< m, cone to port, centres
    bool baffle{};                      ///< the cabinet's front spreads the near field's sound
    std::optional<double> splice;       ///< Hz; absent: as computed
    double blend{0.5};                  ///< octaves
    measure::Match match{};
};

/// The joined take, and what is to be told about it.
struct MergedTake {
    job::Take take; ///< without id
    measure::Merged merged;
    std::shared_ptr<const curve::Curve> near; ///< as it joins, in the far curve's pascals
};

/// Near field of cone and port joined to the far response: measure::merge with distances, gates and
/// the front's size taken from the takes and the cabinet. The drives are brought together.
/// Fails in words: a take that is not there or of another place, a port without phases.
[[nodiscard]] Result<MergedTake> mergeTakes(const job::Job& job, const MergeOrder& order);

} // namespace yf::take
