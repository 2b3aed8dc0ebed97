// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/plots/trace.h"
#include "app/stage/stage.h"
#include "core/network/judge/what_if.h"

namespace yf::app {

/// Another state that can be drawn beside the present one; without `state` it is what the parts'
/// tolerances do.
struct DrawnState {
    QString words;
    std::optional<network::WhatIf> state;
};

/// Those of the cabinet in sight: hot voice coils, an amplifier of some resistance, tolerances,
/// each driver off its wires or with its wires touching.
[[nodiscard]] QVector<DrawnState> statesOf(const Sight& sight);

/// The three pictures of the Network stage. While a preview is looked at, the present sum stays as
/// a ghost; else the ghost is the sum with the highest way turned over.
[[nodiscard]] Picture responsePicture(const Sight& sight, const DrawnState* also = nullptr);
[[nodiscard]] Picture phasePicture(const Sight& sight);
[[nodiscard]] Picture impedancePicture(const Sight& sight, const DrawnState* also = nullptr);

} // namespace yf::app
