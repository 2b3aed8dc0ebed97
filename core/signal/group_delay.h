// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/curve/curve.h"

#include <vector>

namespace yf::signal {

/// Group delay −dφ/dω at each point of a curve, s.
///
/// Taken apart, so that noise is not differentiated: that of the minimum phase, the delay of the
/// excess phase, and what is left of the excess phase; each slope by a straight line, weighted by
/// the level, over a sixth of an octave about the point. Differences of neighbouring points of a
/// measured phase would be nothing but noise. Of a curve without phase: of its minimum phase alone.
[[nodiscard]] std::vector<double> groupDelay(const curve::Curve& curve);

} // namespace yf::signal
