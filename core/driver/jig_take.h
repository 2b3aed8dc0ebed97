// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/driver/jig.h"
#include "core/measure/judge.h"

#include <optional>
#include <vector>

namespace yf::driver {

/// Ratio of a jig's channels over frequency, V_B/V_A, with the share of noise in it.
struct Ratios {
    curve::Axis frequencies;
    std::vector<curve::Complex> ratio;
    std::vector<double> noise; ///< rms re |V_A|; 0 where none is known
};

/// Out of a judged recording of channel B (measured) against channel A (reference).
///
/// Up to 500 Hz from the response's own first second, exact at each frequency, since a resonance
/// must not be averaged over; above as Σ B·A*/Σ |A|² over 1/96 octave, which takes out noise.
[[nodiscard]] Ratios ratiosOf(const measure::Examined& examined,
                              const signal::Sweep& sweep,
                              const curve::Axis& frequencies);

/// Open, short and known load, taken with the same sweep.
struct StandardTakes {
    Ratios open;
    Ratios shorted;
    Ratios load;
    double loadOhms{};
};

/// A measured impedance. Points beyond the jig are left out.
struct JigTake {
    curve::Curve impedance;
    std::vector<double> u;       ///< standard uncertainty, shares
    std::vector<double> scatter; ///< of it, what differs from point to point: noise alone
    std::vector<double> beyond;  ///< Hz
};

/// Impedance on the frequencies of the ratios. Fails with words where fewer than two points can be
/// read: nothing connected, or a resistor far off.
[[nodiscard]] Result<JigTake> impedanceOf(const Ratios& ratios,
                                          const Jig& jig,
                                          const std::optional<StandardTakes>& standards = {});

} // namespace yf::driver
