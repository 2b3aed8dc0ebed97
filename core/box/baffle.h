// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/box/chambers.h"
#include "core/box/driver.h"
#include "core/box/losses.h"

namespace yf::box {

/// The rear's sound never reaches the front.
struct InfiniteBaffle {
    bool operator==(const InfiniteBaffle&) const = default;
};

/// Front and rear both heard, the rear later by D/c and turned over: the pressure of one side
/// times 1 − e^(−jωD/c). As loud as one side at c/(6D), 6 dB more at c/(2D), nothing at c/D.
/// For a flat panel D is about the mean distance from the driver's centre to the rim.
struct OpenBaffle {
    double path{}; ///< m, from rear to front

    bool operator==(const OpenBaffle&) const = default;
};

[[nodiscard]] inline Chambers
chambersOf(const InfiniteBaffle& /*box*/, const Motor& /*motor*/, const Source& /*source*/) {
    return {};
}

[[nodiscard]] inline Chambers
chambersOf(const OpenBaffle& box, const Motor& /*motor*/, const Source& /*source*/) {
    return {.dipolePath = box.path};
}

[[nodiscard]] inline InfiniteBaffle changed(InfiniteBaffle box, const BoxChange& /*by*/) {
    return box;
}

[[nodiscard]] inline OpenBaffle changed(OpenBaffle box, const BoxChange& /*by*/) {
    return box;
}

} // namespace yf::box
