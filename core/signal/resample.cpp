// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/signal/resample.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::signal {

namespace {

constexpr int half = 32;     ///< points on each side
constexpr int phases = 1024; ///< table entries between samples, linear between them
constexpr double beta = 9.0; ///< of the Kaiser window

/// Modified Bessel function of order zero.
double bessel0(double x) {
    double sum = 1.0;
    double term = 1.0;
    for (int k = 1; k < 50; ++k) {
        term *= x / (2.0 * k) * x / (2.0 * k);
        sum += term;
    }
    return sum;
}

std::vector<double> makeKernel() {
    std::vector<double> kernel(static_cast<std::size_t>(half * phases + 2));
    for (std::size_t i = 0; i < kernel.size(); ++i) {
        const double x = static_cast<double>(i) / phases;
        const double share = std::min(1.0, x / half);
        const double window = bessel0(beta * std::sqrt(1.0 - share * share)) / bessel0(beta);
        const double t = std::numbers::pi * x;
        kernel[i] = window * (t < 1e-12 ? 1.0 : std::sin(t) / t);
    }
    return kernel;
}

double kernelAt(const std::vector<double>& kernel, double x) {
    const double place = std::abs(x) * phases;
    const auto i = static_cast<std::size_t>(place);
    if (i + 1 >= kernel.size()) {
        return 0.0;
    }
    const double t = place - static_cast<double>(i);
    return kernel[i] + t * (kernel[i + 1] - kernel[i]);
}

} // namespace

std::vector<double> resampled(const std::vector<double>& x, double step) {
    static const std::vector<double> kernel = makeKernel();
    const auto count = static_cast<std::size_t>(static_cast<double>(x.size()) / step);
    std::vector<double> result(count);
    for (std::size_t n = 0; n < count; ++n) {
        const double place = static_cast<double>(n) * step;
        const auto middle = static_cast<std::ptrdiff_t>(std::floor(place));
        const auto first = std::max<std::ptrdiff_t>(0, middle - half + 1);
        const auto last =
            std::min<std::ptrdiff_t>(static_cast<std::ptrdiff_t>(x.size()) - 1, middle + half);
        double sum = 0.0;
        for (std::ptrdiff_t i = first; i <= last; ++i) {
            sum +=
                x[static_cast<std::size_t>(i)] * kernelAt(kernel, place - static_cast<double>(i));
        }
        result[n] = sum;
    }
    return result;
}

} // namespace yf::signal
