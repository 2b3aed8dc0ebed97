// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <vector>

namespace yf::box {

/// Real positive roots of Σ c_i·x^i, rising; eigenvalues of the companion matrix, each polished by
/// Newton. The last coefficient must not be 0.
[[nodiscard]] std::vector<double> positiveRoots(const std::vector<double>& coefficients);

} // namespace yf::box
