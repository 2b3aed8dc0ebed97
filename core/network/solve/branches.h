// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/network/solve/solve.h"

namespace yf::network {

/// What flows through each part and lies across it, in writing order, over the EMF.
struct Branches {
    std::vector<std::vector<Complex>> currents; ///< A/V [part][frequency]
    std::vector<std::vector<Complex>> voltages; ///< V/V
};

/// A tree by its columns; a free net, or coils that see each other, by nodal equations with the
/// currents of coupled coils, transformers and an ideal source as further unknowns, dense.
/// Fails as solve() does.
[[nodiscard]] Result<Branches> branches(const Circuit& circuit, const PreparedLoads& loads);

} // namespace yf::network
