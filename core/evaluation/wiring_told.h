// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/evaluation/result.h"
#include "core/speaker/wiring.h"

namespace yf::evaluation {

/// What the whole cabinet's take says of its wiring; nothing without such a take.
struct WiringTold {
    speaker::WiringFound found;
    std::string take;
    std::vector<std::string> reversed; ///< driver ids, against the drawing
    bool networkKnown{};               ///< it was noted which network the take is of
    bool ofThisNetwork{}; ///< the take is known to be of the network as it is drawn now
};

[[nodiscard]] std::optional<WiringTold>
wiringTold(const job::Job& job, const job::Cabinet& cabinet, const CabinetResult& result);

} // namespace yf::evaluation
