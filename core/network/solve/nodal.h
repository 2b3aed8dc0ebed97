// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/network/solve/solution.h"

namespace yf::network {

/// Any circuit, by fundamental cut-sets: unknowns are the voltages of the branches of a spanning
/// tree that holds every driver, the matrix is Q·diag(y)·Qᵀ with Q from whole numbers.
///
/// A driver's voltage is then an unknown itself and never the difference of two node voltages,
/// which in a series network of fourth order at 10 Hz would cost nine digits. Transformers add one
/// constraint row each, coupled coils the inverse of their impedance matrix.
/// The symmetric matrix is factored as LDLᵀ without pivoting, elimination order and fill found
/// once, over blocks of frequencies; a frequency whose pivot falls below 1e-10 of the largest
/// entry is solved again densely with pivoting.
/// Sources: Branin 1967 (cut-set analysis); George & Liu 1981 (minimum degree);
/// docs/theory/network.md.
[[nodiscard]] Solution solveNodal(const Circuit& circuit,
                                  const PreparedLoads& loads,
                                  const std::vector<std::size_t>& loadOfEnd);

} // namespace yf::network
