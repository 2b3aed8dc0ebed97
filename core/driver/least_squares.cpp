// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/driver/least_squares.h"

#include <ceres/cost_function.h>
#include <ceres/problem.h>
#include <ceres/solver.h>

#include <algorithm>
#include <cmath>

namespace yf::driver {

namespace {

/// One block of all residuals: many small ones would cost three times as much.
class Block final : public ceres::CostFunction {
public:
    Block(const ResidualFunction& residuals, std::size_t count, std::size_t parameters)
        : residuals_(residuals), count_(count) {
        set_num_residuals(static_cast<int>(count));
        mutable_parameter_block_sizes()->push_back(static_cast<int>(parameters));
    }

    bool Evaluate(double const* const* p, double* r, double** J) const override {
        residuals_(p[0], r, J == nullptr ? nullptr : J[0]);
        return std::all_of(r, r + count_, [](double v) { return std::isfinite(v); });
    }

private:
    const ResidualFunction& residuals_;
    std::size_t count_;
};

Minimum solved(const ResidualFunction& residuals,
               std::size_t count,
               std::vector<double> start,
               const std::vector<Bounds>* bounds) {
    ceres::Problem problem;
    problem.AddResidualBlock(new Block(residuals, count, start.size()), nullptr, start.data());
    for (std::size_t i = 0; bounds != nullptr && i < start.size(); ++i) {
        problem.SetParameterLowerBound(start.data(), static_cast<int>(i), (*bounds)[i].low);
        problem.SetParameterUpperBound(start.data(), static_cast<int>(i), (*bounds)[i].high);
    }
    ceres::Solver::Options options;
    options.linear_solver_type = ceres::DENSE_QR;
    options.max_num_iterations = 60;
    // Near enough: whoever wants the bottom itself goes on from here by steps of his own.
    options.function_tolerance = 1e-6;
    options.parameter_tolerance = 1e-6;
    options.logging_type = ceres::SILENT;
    ceres::Solver::Summary summary;
    ceres::Solve(options, &problem, &summary);
    return {std::move(start), summary.final_cost};
}

} // namespace

Minimum leastSquares(const ResidualFunction& residuals,
                     std::size_t count,
                     std::vector<double> start,
                     const std::vector<Bounds>& bounds) {
    for (std::size_t i = 0; i < start.size(); ++i) {
        constexpr double inside = 1e-9;
        start[i] = std::clamp(start[i], bounds[i].low + inside, bounds[i].high - inside);
    }
    // Bounds make every step a search along a line; few fits ever come near them.
    Minimum free = solved(residuals, count, start, nullptr);
    bool within = std::isfinite(free.cost);
    for (std::size_t i = 0; i < start.size(); ++i) {
        within = within && free.p[i] > bounds[i].low && free.p[i] < bounds[i].high;
    }
    return within ? free : solved(residuals, count, std::move(start), &bounds);
}

} // namespace yf::driver
