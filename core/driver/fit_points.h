// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/driver/fit_order.h"
#include "core/driver/log_impedance.h"

#include <optional>
#include <vector>

namespace yf::driver {

/// Points of the data that a fit uses, with their weights.
struct Points {
    std::vector<double> f;
    std::vector<curve::Complex> Z;
    std::vector<double> weight;
    bool phase{};
    std::optional<double> dcr;
    double dcrU{0.01};
    double noise{0.01}; ///< scale of the points, for the reading by meter

    [[nodiscard]] Points below(double limit) const {
        Points part{.phase = phase, .dcr = dcr, .dcrU = dcrU, .noise = noise};
        for (std::size_t i = 0; i < f.size(); ++i) {
            if (f[i] <= limit) {
                part.f.push_back(f[i]);
                part.Z.push_back(Z[i]);
                part.weight.push_back(weight[i]);
            }
        }
        return part;
    }
};

/// ln(measured/model); the modulus alone where there is no phase.
[[nodiscard]] curve::Complex errorOf(curve::Complex measured, curve::Complex model, bool phase);

/// Weights of a curve's points: against their stated uncertainties, else by how densely they stand.
[[nodiscard]] std::vector<double> weightsOf(const FitOrder& order);

/// Parameters of one description of the coil.
[[nodiscard]] int coilParameters(InductanceModel model);

} // namespace yf::driver
