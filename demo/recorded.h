// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/edit.h"

namespace yf::demo {

/// Takes of the pair as received, recorded on the simulated bench: both cabinets as a whole, on
/// axis and as a load, the two midranges and the left tweeter by themselves with their samples; and
/// a set of angles of each cabinet without. None of them is put to use. The same each time.
[[nodiscard]] job::Edit recordAsReceived();

/// One short take of the projection room's tweeter: for job files that are to stay small.
[[nodiscard]] job::Edit recordOneShort();

} // namespace yf::demo
