// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/signal/sweep.h"

#include <vector>

namespace yf::measure {

/// Samples on flat tops of a recorded sweep; 0: none.
///
/// A sine stays above 0.999 of its peak for (fs/πf)·acos(0.999) samples, and f is known from the
/// time in the sweep. Runs longer than three times that and 2 samples, twice or more, are
/// clipping. In the treble a flat top makes no run, so a pile-up is looked for as well: more
/// samples within 0.9985 … 1 of the maximum than four times those within 0.994 … 0.9985, plus 20
/// (a clean sine gives equal numbers). Finds an overloaded preamplifier far below digital full
/// scale. Each half-wave is looked at by itself. `latency`: of the recording, s.
[[nodiscard]] int
clippedSamples(const std::vector<double>& channel, const signal::Sweep& sweep, double latency);

} // namespace yf::measure
