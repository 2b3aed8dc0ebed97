// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <cmath>

namespace yf::box {

/// Stands for "no such loss".
inline constexpr double lossless = 1e9;

/// Of a ported box of 25 to 100 l; smaller, tight ones have 10 to 15, old cabinets 3 to 5
/// (Small 1973, from memory).
inline constexpr double usualQL = 7.0;

/// Factors by which a box as built differs from the one that was meant.
struct BoxChange {
    double volume{1.0};
    double tuning{1.0};
    double loss{1.0};

    /// Of a port's resonance, which goes with the root of the volume too.
    [[nodiscard]] double tuned() const { return tuning / std::sqrt(volume); }
};

} // namespace yf::box
