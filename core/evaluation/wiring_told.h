// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/evaluation/inputs.h"

namespace yf::evaluation {

/// What the wiring is told from.
struct WiringInputs {
    std::shared_ptr<const CabinetResult> result;
    std::vector<std::size_t> fromBelow; ///< its ways with pressures, by their drivers' bands
    std::string take;                   ///< of the whole cabinet, in use
    CurvePtr curve;
    bool networkKnown{};
    bool ofThisNetwork{};

    bool operator==(const WiringInputs&) const = default;
};

/// Nothing without such a take, or without two ways that can be summed.
[[nodiscard]] std::optional<WiringInputs> wiringInputs(const job::Job& job,
                                                       const job::Cabinet& cabinet,
                                                       std::shared_ptr<const CabinetResult> result);

/// Nothing where the take tells too little.
[[nodiscard]] std::optional<WiringTold> wiringTold(const WiringInputs& in);

/// The same of a result that no evaluation has told it of yet.
[[nodiscard]] std::optional<WiringTold>
wiringTold(const job::Job& job, const job::Cabinet& cabinet, const CabinetResult& result);

} // namespace yf::evaluation
