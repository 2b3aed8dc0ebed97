// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/box/baffle.h"
#include "core/box/bandpass.h"
#include "core/box/closed.h"
#include "core/box/passive_radiator.h"
#include "core/box/vented.h"

#include <variant>

namespace yf::box {

using Box =
    std::variant<InfiniteBaffle, Closed, Vented, PassiveRadiator, BandPass4, BandPass6, OpenBaffle>;

[[nodiscard]] Chambers chambersOf(const Box& box, const Motor& motor, const Source& source);

} // namespace yf::box
