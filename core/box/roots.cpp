// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/box/roots.h"

#include <Eigen/Eigenvalues>

#include <algorithm>
#include <cmath>

namespace yf::box {

namespace {

double polished(const std::vector<double>& c, double x) {
    for (int i = 0; i < 4; ++i) {
        double value = 0.0;
        double slope = 0.0;
        for (std::size_t k = c.size(); k-- > 0;) {
            slope = slope * x + value;
            value = value * x + c[k];
        }
        if (slope == 0.0 || std::abs(value / slope) > 0.1 * std::abs(x)) {
            break;
        }
        x -= value / slope;
    }
    return x;
}

} // namespace

std::vector<double> positiveRoots(const std::vector<double>& c) {
    const auto n = static_cast<Eigen::Index>(c.size()) - 1;
    Eigen::MatrixXd companion = Eigen::MatrixXd::Zero(n, n);
    for (Eigen::Index i = 0; i < n; ++i) {
        companion(i, n - 1) = -c[static_cast<std::size_t>(i)] / c.back();
        if (i > 0) {
            companion(i, i - 1) = 1.0;
        }
    }
    const Eigen::VectorXcd values = companion.eigenvalues();
    std::vector<double> roots;
    for (const auto& v : values) {
        constexpr double real = 1e-7;
        if (v.real() > 0.0 && std::abs(v.imag()) <= real * std::abs(v)) {
            roots.push_back(polished(c, v.real()));
        }
    }
    std::ranges::sort(roots);
    return roots;
}

} // namespace yf::box
