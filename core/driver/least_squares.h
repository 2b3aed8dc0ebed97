// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <functional>
#include <vector>

namespace yf::driver {

struct Bounds {
    double low{};
    double high{};
};

/// Where a sum of squares is least.
struct Minimum {
    std::vector<double> p;
    double cost{1e300}; ///< half the sum of squares
};

/// Fills residuals `r` from parameters and, unless it is null, their slopes `J` as
/// [residual·parameters + parameter].
using ResidualFunction = std::function<void(const double* p, double* r, double* J)>;

/// Trust-region least squares within bounds. `count`: of the residuals.
[[nodiscard]] Minimum leastSquares(const ResidualFunction& residuals,
                                   std::size_t count,
                                   std::vector<double> start,
                                   const std::vector<Bounds>& bounds);

} // namespace yf::driver
