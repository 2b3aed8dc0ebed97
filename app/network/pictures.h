// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/plots/trace.h"
#include "app/stage.h"

namespace yf::app {

/// The three pictures of the Network stage. While a preview is looked at, the present sum stays as
/// a ghost; else the ghost is the sum with the highest way turned over.
[[nodiscard]] Picture responsePicture(const Sight& sight);
[[nodiscard]] Picture phasePicture(const Sight& sight);
[[nodiscard]] Picture impedancePicture(const Sight& sight);

} // namespace yf::app
