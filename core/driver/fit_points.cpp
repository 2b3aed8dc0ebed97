// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/driver/fit_points.h"

#include "core/base/median.h"

#include <algorithm>
#include <cmath>

namespace yf::driver {

using curve::Complex;

Complex errorOf(Complex measured, Complex model, bool phase) {
    if (!phase) {
        return {0.5 * std::log(std::norm(measured) / std::norm(model)), 0.0};
    }
    const Complex ratio = measured / model;
    return {0.5 * std::log(std::norm(ratio)), std::arg(ratio)};
}

std::vector<double> weightsOf(const FitOrder& order) {
    const auto& f = order.impedance.frequencies();
    std::vector<double> w;
    if (!order.u.empty()) {
        const double middle = median(order.u);
        for (const double u : order.u) {
            constexpr double most = 3.0;
            w.push_back(std::clamp(middle / std::max(u, 1e-9), 1.0 / most, most));
        }
        return w;
    }
    std::vector<double> spacing;
    for (std::size_t i = 0; i < f.size(); ++i) {
        const double below = f[i > 0 ? i - 1 : 0];
        const double above = f[std::min(i + 1, f.size() - 1)];
        const double share = i == 0 || i + 1 == f.size() ? 1.0 : 0.5;
        spacing.push_back(share * std::log(above / below));
    }
    const double middle = median(spacing);
    for (const double s : spacing) {
        constexpr double least = 0.3;
        constexpr double most = 2.0;
        w.push_back(std::clamp(std::sqrt(s / middle), least, most));
    }
    return w;
}

int coilParameters(InductanceModel model) {
    return static_cast<int>(ImpedanceForm{.coil = model}.coilSize());
}

} // namespace yf::driver
