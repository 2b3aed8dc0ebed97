// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/findings/collector.h"

namespace yf::findings {

/// What two cabinets of a pair say of each other: one scope for both, within it one for each pair
/// of drivers in the same place.
void putPair(Collector& all, const CabinetView& left, const CabinetView& right);

} // namespace yf::findings
