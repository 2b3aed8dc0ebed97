// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/driver/fit_points.h"
#include "core/driver/least_squares.h"

#include <cmath>
#include <vector>

/// The minimisations of a fit, and what is known once one is at rest.
namespace yf::driver {

/// What one minimisation looks at: which parameters move, which loss.
struct Task {
    const Points& points;
    ImpedanceForm form;
    const std::vector<double>* robust{}; ///< Tukey weights; absent: Cauchy loss
    std::size_t frozen{};                ///< leading parameters that stay
};

/// Least squares within the parameters' bounds; the frozen ones stay.
[[nodiscard]] Minimum minimise(const Task& task, const std::vector<double>& start);

/// A fit at rest: parameters, their covariance, the weights that were found.
struct Settled {
    std::vector<double> p;
    std::vector<double> covariance; ///< of those that moved, row by row; empty: none did
    std::vector<double> robust;
    std::vector<curve::Complex> errors;
    double scale{};
    double bic{};
    double rms{};

    /// Between two of the parameters, frozen ones left out.
    [[nodiscard]] double covarianceOf(std::size_t i, std::size_t k) const {
        const auto n = static_cast<std::size_t>(
            std::lround(std::sqrt(static_cast<double>(covariance.size()))));
        return covariance.at(i * n + k);
    }
};

/// Errors of every point under a model.
[[nodiscard]] std::vector<curve::Complex>
errorsOf(const Points& points, const std::vector<double>& p, const ImpedanceForm& form);

/// From a start near enough to rest, by steps of Gauss and Newton under Tukey's weights; then
/// covariance and quality. With nothing to move (all parameters frozen), quality alone.
[[nodiscard]] Settled
settle(Points points, const ImpedanceForm& form, std::vector<double> p, std::size_t frozen);

} // namespace yf::driver
