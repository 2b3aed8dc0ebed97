// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/network/circuit/circuit.h"
#include "core/network/solve/loads.h"

#include <string>
#include <vector>

namespace yf::network {

/// automatic: the section tree where the circuit is one, nodal where it has a net or couplings.
enum class Method { automatic, ladder, nodal };

/// What a network does at each frequency of the axis.
struct Solution {
    std::vector<std::string> driverNames;     ///< driver ends in writing order, depth first
    std::vector<std::vector<Complex>> drives; ///< [end][frequency] voltage across the end over the
                                              ///< source's EMF, its polarity included; for units in
                                              ///< series the voltage across all of them; lines
                                              ///< before the amplifiers included
    std::vector<Complex> impedances;          ///< Ω behind the source's resistance; of several
                                              ///< amplifiers the lowest modulus at each frequency

    bool operator==(const Solution&) const = default;
};

} // namespace yf::network
