// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/tune/descent.h"

#include <Eigen/Cholesky>

#include <algorithm>
#include <cmath>

namespace yf::tune {

namespace {

/// The step of the unfrozen components, the longest of them at most 1; empty where there is none.
std::vector<double>
stepOf(const Slope& slope, const std::vector<double>& x, const Box& box, double lambda) {
    const std::size_t n = x.size();
    std::vector<Eigen::Index> moving;
    for (std::size_t i = 0; i < n; ++i) {
        const bool atLow = x[i] <= box.low[i] && slope.g[i] > 0.0;
        const bool atHigh = x[i] >= box.high[i] && slope.g[i] < 0.0;
        if (!atLow && !atHigh) {
            moving.push_back(static_cast<Eigen::Index>(i));
        }
    }
    std::vector<double> step(n, 0.0);
    if (moving.empty()) {
        return step;
    }
    const auto m = static_cast<Eigen::Index>(moving.size());
    Eigen::MatrixXd A(m, m);
    Eigen::VectorXd g(m);
    for (Eigen::Index i = 0; i < m; ++i) {
        const auto row = static_cast<std::size_t>(moving[static_cast<std::size_t>(i)]);
        g(i) = -slope.g[row];
        for (Eigen::Index j = 0; j < m; ++j) {
            A(i, j) =
                slope.A[row * n + static_cast<std::size_t>(moving[static_cast<std::size_t>(j)])];
        }
    }
    constexpr double small = 1e-6; // keeps a part that does nothing where it is
    A.diagonal() += lambda * A.diagonal();
    A.diagonal().array() += small;
    const Eigen::VectorXd d = A.ldlt().solve(g);
    const double longest = d.cwiseAbs().maxCoeff();
    const double shorten = longest > 1.0 ? 1.0 / longest : 1.0;
    for (Eigen::Index i = 0; i < m; ++i) {
        step[static_cast<std::size_t>(moving[static_cast<std::size_t>(i)])] = shorten * d(i);
    }
    return step;
}

} // namespace

const char* stopName(Stop stop) {
    switch (stop) {
    case Stop::settled:
        return "settled";
    case Stop::iterations:
        return "iterations spent";
    case Stop::cancelled:
        return "cancelled";
    case Stop::floorUnreachable:
        return "floor unreachable";
    }
    return "";
}

Descent descend(Objective& objective, std::vector<double> x, const Box& box, const GoOn& goOn) {
    for (std::size_t i = 0; i < x.size(); ++i) {
        x[i] = std::clamp(x[i], box.low[i], box.high[i]);
    }
    constexpr int most = 200;
    constexpr int patience = 8;
    constexpr double little = 1e-4;
    Slope slope;
    Descent at{.x = std::move(x)};
    at.standing = objective.slope(at.x, slope);
    double lambda = 1e-2;
    int refusals = 0;
    int idle = 0;
    for (int i = 0; i < most; ++i) {
        if (goOn && !goOn(at.x, at.standing)) {
            at.stop = Stop::cancelled;
            return at;
        }
        std::vector<double> y = stepOf(slope, at.x, box, lambda);
        for (std::size_t k = 0; k < y.size(); ++k) {
            y[k] = std::clamp(at.x[k] + y[k], box.low[k], box.high[k]);
        }
        const Standing there = objective.value(y);
        if (!(there.cost < at.standing.cost)) {
            lambda *= 5.0;
            if (++refusals == patience) {
                return at;
            }
            continue;
        }
        idle = at.standing.cost - there.cost < little * at.standing.cost ? idle + 1 : 0;
        refusals = 0;
        lambda /= 5.0;
        at.x = std::move(y);
        at.standing = objective.slope(at.x, slope);
        if (idle == 2) {
            return at;
        }
    }
    at.stop = Stop::iterations;
    return at;
}

} // namespace yf::tune
