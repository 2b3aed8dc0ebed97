// SPDX-License-Identifier: GPL-3.0-or-later
// What is drawn of a measured curve beside the curve itself: its middle level, what is left of its
// phase, its harmonics.
#include "core/measure/compare.h"
#include "core/quantity/level.h"
#include "core/quantity/quantities.h"
#include "core/signal/deconvolve.h"
#include "core/signal/delay.h"

#include <gtest/gtest.h>

#include <cmath>
#include <numbers>

namespace yf::test {

namespace {

using curve::Complex;

curve::Curve made(double from, double to, Complex (*H)(double)) {
    const curve::Axis axis = curve::within(curve::designAxis(), from, to);
    std::vector<Complex> values;
    for (const double f : axis) {
        values.push_back(H(f));
    }
    return {axis, std::move(values), curve::Phase::own};
}

/// A second-order Butterworth high-pass at 500 Hz: minimum phase.
Complex highPass(double f) {
    const Complex s{0.0, f / 500.0};
    return s * s / (s * s + std::numbers::sqrt2 * s + 1.0);
}

Complex late(double f) {
    return std::polar(1.0, -2.0 * std::numbers::pi * f * 1e-3);
}

} // namespace

// What is minimum phase and late has no phase left once its delay is out.
TEST(ExcessPhase, ofALateMinimumPhaseChainIsItsDelay) {
    const auto excess =
        signal::excessPhase(made(20.0, 20000.0, [](double f) { return highPass(f) * late(f); }));
    EXPECT_NEAR(excess.delay, 1e-3, 5e-6);
    for (std::size_t k = 0; k < excess.curve.size(); ++k) {
        const double f = excess.curve.frequencies()[k];
        if (f > 200.0 && f < 5000.0) {
            EXPECT_NEAR(std::arg(excess.curve.values()[k]) / quantity::degree, 0.0, 10.0) << f;
        }
        EXPECT_NEAR(std::abs(excess.curve.values()[k]), std::abs(highPass(f)), 1e-9);
    }
}

// An all-pass of first order at 1 kHz turns by 90° there and by 180° far above (its own formula);
// no single delay makes up for it.
TEST(ExcessPhase, ofAnAllPassIsLeft) {
    const auto excess = signal::excessPhase(made(20.0, 20000.0, [](double f) {
        const Complex s{0.0, f / 1000.0};
        return highPass(f) * (1.0 - s) / (1.0 + s) * late(f);
    }));
    double most = 0.0;
    for (std::size_t k = 0; k < excess.curve.size(); ++k) {
        most = std::max(most, std::abs(std::arg(excess.curve.values()[k])));
    }
    EXPECT_GT(most / quantity::degree, 60.0);
}

TEST(MidLevel, isTheMeanOfTheMiddleAlone) {
    const auto flat = made(20.0, 20000.0, [](double f) {
        return Complex{f < 300.0 || f > 3000.0 ? 100.0 : 0.5, 0.0};
    });
    EXPECT_NEAR(measure::midLevel(flat), quantity::decibels(0.5), 1e-9);
    const auto low = made(20.0, 200.0, [](double /*f*/) { return Complex{0.5, 0.0}; });
    EXPECT_EQ(measure::midLevel(low), 0.0) << "nothing of it lies there";
}

TEST(Harmonic, standsUnderItsFundamental) {
    const auto fundamental = made(100.0, 1000.0, [](double /*f*/) { return Complex{2.0, 0.0}; });
    signal::Distortion d{.frequencies = fundamental.frequencies(), .orders = {}, .floor = {}};
    for (std::size_t order = 0; order < 4; ++order) {
        d.orders[order].resize(d.frequencies.size());
        d.floor[order].resize(d.frequencies.size());
    }
    // The second one is a tenth; from the middle on the noise is as large.
    const std::size_t half = d.frequencies.size() / 2;
    for (std::size_t k = 0; k < d.frequencies.size(); ++k) {
        d.orders[0][k] = 0.1;
        d.floor[0][k] = k < half ? 0.01 : 0.1;
    }
    const auto second = signal::harmonicOf(fundamental, d, 2);
    ASSERT_TRUE(second.has_value());
    EXPECT_NEAR(std::abs(second->curve.values()[half / 2]), 0.2, 1e-3) << "20 dB below";
    EXPECT_TRUE(second->clear.front());
    EXPECT_FALSE(second->clear.back());
    EXPECT_FALSE(signal::harmonicOf(fundamental, d, 3).has_value()) << "it was not there";
}

} // namespace yf::test
