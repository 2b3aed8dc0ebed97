// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/signal/group_delay.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::signal {

namespace {

constexpr double twoPi = 2.0 * std::numbers::pi;

} // namespace

// τg of a second-order low-pass is (ω0/Q)(ω0² + ω²)/((ω0² − ω²)² + (ω0ω/Q)²) (textbook), here
// behind 1 ms of flight.
TEST(GroupDelay, followsTheClosedFormOfALowPassBehindItsFlight) {
    constexpr double f0 = 1000.0;
    constexpr double Q = 0.9;
    constexpr double flight = 1e-3;
    const curve::Axis axis = curve::within(curve::designAxis(), 20.0, 20000.0);
    std::vector<curve::Complex> values;
    for (const double f : axis) {
        const curve::Complex s(0.0, f / f0);
        values.push_back(std::polar(1.0, -twoPi * f * flight) / (1.0 + s / Q + s * s));
    }
    const auto delays = groupDelay(curve::Curve(axis, values, curve::Phase::common));
    ASSERT_EQ(delays.size(), axis.size());
    for (std::size_t k = 0; k < axis.size(); ++k) {
        if (axis[k] < 60.0 || axis[k] > 8000.0) {
            continue;
        }
        const double w = twoPi * axis[k];
        const double w0 = twoPi * f0;
        const double exact =
            (w0 / Q) * (w0 * w0 + w * w) / (std::pow(w0 * w0 - w * w, 2) + std::pow(w0 * w / Q, 2));
        EXPECT_NEAR(delays[k], flight + exact, 0.02 * exact + 6e-6) << axis[k];
    }
    // Half a degree of noise at every point: differences of neighbours would swing by tenths of a
    // millisecond at 300 Hz.
    std::vector<curve::Complex> noisy = values;
    for (std::size_t k = 0; k < noisy.size(); ++k) {
        noisy[k] *= std::polar(1.0, (k % 2 == 0 ? 0.5 : -0.5) * twoPi / 360.0);
    }
    const auto still = groupDelay(curve::Curve(axis, noisy, curve::Phase::common));
    const auto k = static_cast<std::size_t>(std::ranges::lower_bound(axis, 300.0) - axis.begin());
    EXPECT_NEAR(still[k], delays[k], 5e-5);
    const double neighbours =
        (std::arg(noisy[k] / values[k]) - std::arg(noisy[k + 1] / values[k + 1])) /
        (twoPi * (axis[k + 1] - axis[k]));
    EXPECT_GT(std::abs(neighbours), 3e-4);
    // Without phase it is that of the minimum phase.
    std::vector<curve::Complex> bare;
    for (const auto& v : values) {
        bare.emplace_back(std::abs(v), 0.0);
    }
    const auto own = groupDelay(curve::Curve(axis, bare, curve::Phase::none));
    EXPECT_NEAR(own[k], delays[k] - flight, 2e-5);
}

} // namespace yf::signal
