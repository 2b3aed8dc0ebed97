// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/edit/parts.h"
#include "core/evaluation/evaluate.h"
#include "core/speaker/speaker.h"

/// A way's filter made one order steeper: some 90° more at the crossover.
namespace yf::study {

/// A reactance right before the driver, of the other kind of slot than what stands there (in the
/// line after one across, across after one in the line; in the line where the way has no parts):
/// coil in the line and capacitor across for a low-pass, capacitor in the line and coil across for
/// a high-pass. The value is `factor` times that whose reactance is the driver's |Z| at `fx`, out
/// of E12; the coil is an air coil of usual wire.
///
/// Nothing where no impedance reaches fx, or where the way is not a ladder of its own. An order
/// less is a part left out (removePart).
[[nodiscard]] std::optional<edit::Edit> steeperWay(const job::Job& job,
                                                   const job::Cabinet& cabinet,
                                                   std::size_t way,
                                                   speaker::FilterSide side,
                                                   double fx,
                                                   double factor);

} // namespace yf::study
