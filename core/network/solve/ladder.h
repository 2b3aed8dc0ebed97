// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/network/solve/solution.h"

namespace yf::network {

/// Section tree: one pass from each driver back to the source, no matrix.
///
///     start   v = 1, i = 1/Z_D        series  v ← v + Z·i      shunt  i ← i + Y·v
///     transformer  v ← v/n, i ← n·i, then L_m as shunt, DCR as series
///     result  T = 1/v,  Y_in = i/v
///
/// Joined in parallel Y_in = Σ Y_k; in series Z_in = Σ 1/Y_k and child k sees Z_k/Z_in.
/// At the top V_in/EMF = 1/(1 + R_s·Y_in). `loadOfEnd` maps each driver end to its load.
/// Source: chain (ABCD) matrices, any text on two-ports; docs/theory/network.md.
[[nodiscard]] Solution solveTree(const Circuit& circuit,
                                 const PreparedLoads& loads,
                                 const std::vector<std::size_t>& loadOfEnd);

} // namespace yf::network
