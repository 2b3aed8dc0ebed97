// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/edit/apply.h"
#include "core/edit/parts.h"
#include "core/tune/sparing.h"

namespace yf::edit {

/// The drawing follows what was found: those drivers are drawn the other way round.
[[nodiscard]] Edit drawAsWired(const std::string& cabinet, const std::vector<std::string>& drivers);

/// A network of the front becomes the cabinet's.
[[nodiscard]] Edit takeNetwork(const std::string& cabinet, const network::Circuit& circuit);

/// The front becomes part of the job.
[[nodiscard]] Edit keepFront(const std::string& cabinet, const job::FoundFront& front);

/// Values, polarities and lines of a tuned network become the cabinet's, and what was left out
/// goes. Fails if its parts are others by then.
[[nodiscard]] Edit takeTuned(const std::string& cabinet,
                             const network::Circuit& tuned,
                             const std::vector<tune::Spared>& leftOut = {});

/// Another price list for parts that do not say what they cost.
[[nodiscard]] Edit changePrices(const network::Prices& prices);

/// The drawer holds these parts from now on.
[[nodiscard]] Edit changeStock(const network::Stock& stock);

} // namespace yf::edit
