// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/sim/room.h"

/// Recordings that went wrong, to learn from.
namespace yf::sim {

enum class Trouble {
    tooQuiet,
    overloaded,
    hum,
    bang,
    lostSamples,
    twoClocks,
    exchanged,
    noReference,
    reversedReference
};

inline constexpr int troubleCount = 9;

/// A chain in which a trouble happens, as far as a chain can have it.
[[nodiscard]] Chain troubled(Chain chain, Trouble trouble, double duration);

/// What it does to a recording that a chain made.
void befall(Heard& heard, Trouble trouble, int seed);

} // namespace yf::sim
