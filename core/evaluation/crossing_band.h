// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/curve/curve.h"
#include "core/evaluation/evaluate.h"

namespace yf::evaluation {

/// Where two neighbours, drivers by ID, may change places: where both are at home; at least half an
/// octave. Where their usable bands leave nothing between them, or nothing is known of one, where
/// they meet by find::meeting. Fails if they do not meet at all.
[[nodiscard]] Result<curve::Range> crossingBand(const job::Job& job,
                                                const Assembly& assembly,
                                                const network::Loads& loads,
                                                const std::string& lower,
                                                const std::string& upper);

} // namespace yf::evaluation
