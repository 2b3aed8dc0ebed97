// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/network/solve/solve.h"

namespace yf::network {

/// Another state that a speaker can get into.
struct WhatIf {
    enum class Kind { hotCoils, sourceResistance, driverOpen, driverShorted } kind{};
    double amount{};    ///< share of Re more, or Ω
    std::string driver; ///< whose wires are off, or touch
};

/// Re grows by about 0.4 % a kelvin; 100 K more is a coil that works hard (common practice).
inline constexpr double hotShare = 0.4;

/// Ω behind a tube amplifier of usual feedback (rule of thumb: 1 to 4).
inline constexpr double tubeResistance = 2.0;

struct WhatIfCurves {
    Axis axis;
    std::vector<Complex> sum; ///< Pa; empty where responses are not known
    std::vector<Complex> impedance;
};

/// The network solved in that state.
///
/// hotCoils: Z + a·Re, and since the response is for volts at the terminals, p·Z/(Z + a·Re).
/// driverOpen, driverShorted: that driver is silent. Fails as solve() and pressures(), and where no
/// driver has that name.
[[nodiscard]] Result<WhatIfCurves>
whatIf(const Circuit& circuit, const Loads& loads, const WhatIf& state);

} // namespace yf::network
