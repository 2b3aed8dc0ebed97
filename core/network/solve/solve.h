// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/network/solve/solution.h"

#include <vector>

namespace yf::network {

/// Solves a circuit with its drivers' measured or modelled impedances as loads.
///
/// Both methods agree within 1e-9 in every drive above −140 dB re the EMF.
/// Fails: a driver without a load; `ladder` asked for a net or coupled coils; in a net a node that
/// is not connected to the amplifier, the return or anything but itself (named in writing order).
[[nodiscard]] Result<Solution>
solve(const Circuit& circuit, const PreparedLoads& loads, Method method = Method::automatic);

/// Pressure of each driver end, Pa, and their sum; empty rows where nothing is known.
///
///     P_q = m_q·(U_q/2.83 V)·p_q·e^(−jωt_q),   U_q = drive·EMF
///
/// m_q = units in parallel; 1 in series, where the end's voltage is shared and the pressures add
/// to what one unit would give at the whole of it.
struct Pressures {
    std::vector<std::vector<Complex>> ways; ///< [end][frequency]
    std::vector<Complex> sum;

    bool operator==(const Pressures&) const = default;
};

/// What a drive becomes pressure by, [end][frequency]: m_q·(EMF/2.83 V)·p_q·e^(−jωt_q), or 1 where
/// no driver has a response. Fails when some have one and some have not.
[[nodiscard]] Result<std::vector<std::vector<Complex>>> pressureFactors(const Circuit& circuit,
                                                                        const Loads& loads);

/// Where no driver has a response the sum is that of the drives, re EMF.
/// Fails when some drivers have a response and some have not: a sum of unlike things.
[[nodiscard]] Result<Pressures>
pressures(const Circuit& circuit, const Loads& loads, const Solution& solution);

} // namespace yf::network
