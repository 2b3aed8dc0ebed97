// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/curve/interpolate.h"
#include "core/curve/minimum_phase.h"
#include "core/driver/impedance.h"
#include "core/quantity/level.h"
#include "core/text/sentence.h"
#include "tests/support/check_table.h"

#include <gtest/gtest.h>

#include <numbers>

namespace yf::test {

namespace {

using curve::Axis;
using curve::Complex;
using curve::Curve;

constexpr double twoPi = 2.0 * std::numbers::pi;
constexpr double degree = std::numbers::pi / 180.0;

Axis logAxis(curve::Range range, int perOctave) {
    Axis axis;
    double f = range.from;
    while (f <= range.to) {
        axis.push_back(f);
        f = range.from * std::exp2(static_cast<double>(axis.size()) / perOctave);
    }
    return axis;
}

/// docs/theory/measurement.md, check value: high-pass 45 Hz Q 0.8, low-pass 2.2 kHz Q 1.1, a peak
/// of 5.1 dB at 900 Hz, Q 4.
Complex chain(double f) {
    const auto s = [f](double f0) { return Complex{0.0, f / f0}; };
    const Complex h = s(45.0);
    const Complex l = s(2200.0);
    const Complex p = s(900.0);
    const double g = std::pow(10.0, 5.1 / 20.0);
    return h * h / (h * h + h / 0.8 + 1.0) / (l * l + l / 1.1 + 1.0) * (p * p + p * g / 4.0 + 1.0) /
           (p * p + p / 4.0 + 1.0);
}

template <class F>
Curve sampled(const Axis& axis, F&& value, curve::Phase phase = curve::Phase::common) {
    std::vector<Complex> values;
    for (const double f : axis) {
        values.push_back(value(f));
    }
    return {axis, values, phase};
}

} // namespace

// IEC 61260-1, octave ratio 10^(3/10).
TEST(DesignAxis, isTheBaseTenOctaveSeries) {
    const Axis& axis = curve::designAxis();
    ASSERT_EQ(axis.size(), 577U);
    EXPECT_NEAR(axis.front(), 10.0, 1e-12);
    EXPECT_NEAR(axis[320], 1000.0, 1e-10);
    EXPECT_NEAR(axis.back(), 39810.717, 1e-3);
    EXPECT_NEAR(axis[320 + 48], 1995.262, 1e-3);
    EXPECT_EQ(curve::within(axis, 1000.0, 2000.0).size(), 49U);
    EXPECT_TRUE(curve::within(axis, 3.0, 4.0).empty());
}

// Decibels and unwrapped phase over ln f: a pure delay and a straight slope come back exactly where
// the chord between complex values would lose 1.25 dB.
TEST(Interpolation, keepsDelayAndSlope) {
    const auto value = [](double f) {
        return std::polar(std::pow(f / 1000.0, 1.5), -twoPi * f * 0.0004);
    };
    const Curve curve = sampled(logAxis({50.0, 12000.0}, 12), value);
    for (const double f : {51.0, 333.0, 1000.0, 2718.0, 9999.0}) {
        const auto at = curve::interpolate(curve, {f});
        ASSERT_TRUE(at.ok());
        EXPECT_NEAR(quantity::decibels(at->front() / value(f)), 0.0, 1e-6) << f;
        EXPECT_NEAR(std::arg(at->front() / value(f)) / degree, 0.0, 0.01) << f;
    }
}

TEST(Interpolation, ownPointsComeBackEqual) {
    const Curve curve = sampled(logAxis({20.0, 20000.0}, 24), chain);
    const auto again = curve::interpolate(curve, curve.frequencies());
    ASSERT_TRUE(again.ok());
    for (std::size_t k = 0; k < curve.size(); ++k) {
        EXPECT_LT(relativeError((*again)[k], curve.values()[k]), 1e-12);
    }
}

TEST(Interpolation, refusesToLeaveTheData) {
    const Curve curve = sampled(logAxis({100.0, 1000.0}, 12), chain);
    for (const double f : {99.0, 1100.0}) {
        const auto at = curve::interpolate(curve, {f});
        ASSERT_FALSE(at.ok());
        EXPECT_NE(text::sentence(at.error()).english().find("100"), std::string::npos);
    }
}

TEST(Interpolation, bulkDelayFindsTheFlightTime) {
    for (const double delay : {0.0, 0.0003, 0.003, -0.001}) {
        const Curve curve = sampled(logAxis({100.0, 20000.0}, 48),
                                    [&](double f) { return std::polar(1.0, -twoPi * f * delay); });
        // 20 µs turn neighbouring points of the design axis at 20 kHz by 2°: far from the 180° that
        // would upset unwrapping, which is all that it is for.
        EXPECT_NEAR(curve::bulkDelay(curve), delay, 20e-6) << delay;
    }
}

TEST(MinimumPhase, ofARationalChain) {
    const Curve curve = sampled(
        curve::designAxis(),
        [](double f) { return Complex(std::abs(chain(f))); },
        curve::Phase::none);
    const auto phase = curve::minimumPhase(curve);
    for (std::size_t k = 0; k < curve.size(); ++k) {
        const double f = curve.frequencies()[k];
        if (f >= 40.0 && f <= 10000.0) {
            // The chapter's claim: within 1°.
            EXPECT_NEAR(std::remainder(phase[k] - std::arg(chain(f)), twoPi) / degree, 0.0, 1.0)
                << f;
        }
    }
}

// Bode's law in its simplest form: a straight slope of n·6.02 dB an octave has n·90° everywhere.
TEST(MinimumPhase, ofStraightSlopes) {
    for (const double slope : {-2.0, -1.0, 0.0, 1.0, 2.0, 3.0}) {
        const Curve curve = sampled(
            logAxis({50.0, 5000.0}, 12),
            [&](double f) { return Complex(std::pow(f / 500.0, slope)); },
            curve::Phase::none);
        for (const double phase : curve::minimumPhase(curve)) {
            EXPECT_NEAR(phase, slope * std::numbers::pi / 2.0, 1e-6);
        }
    }
}

TEST(MinimumPhase, levelsStayAndTheCurveSaysSo) {
    const Curve levels = sampled(
        logAxis({20.0, 20000.0}, 24),
        [](double f) { return Complex(std::abs(chain(f))); },
        curve::Phase::none);
    const Curve with = curve::withMinimumPhase(levels);
    EXPECT_EQ(with.phase(), curve::Phase::minimum);
    for (std::size_t k = 0; k < levels.size(); ++k) {
        EXPECT_NEAR(std::abs(with.values()[k]), std::abs(levels.values()[k]), 1e-12);
    }
}

TEST(Curve, trustStaysInsideTheData) {
    const Curve curve = sampled(logAxis({100.0, 1000.0}, 12), chain).trustedWithin({10.0, 400.0});
    EXPECT_EQ(curve.trusted().from, 100.0);
    EXPECT_EQ(curve.trusted().to, 400.0);
    EXPECT_TRUE(curve.trusted().holds(400.0));
    EXPECT_FALSE(curve.trusted().holds(401.0));
}

// Small 1972 and others: what the motional branch must do at its resonance, whatever the coil.
TEST(DriverImpedance, atResonanceAndFarAway) {
    const driver::ImpedanceModel d{.Re = 6.0, .fs = 50.0, .Qms = 4.0, .Qes = 0.5};
    const auto Z = driver::impedance(d, {1e-3, 50.0, 1e5});
    EXPECT_NEAR(std::abs(Z[0]), 6.0, 1e-3);
    EXPECT_NEAR(Z[1].real(), 6.0 * (1.0 + 4.0 / 0.5), 1e-9); // Re + Res, Res = Re·Qms/Qes
    EXPECT_NEAR(Z[1].imag(), 0.0, 1e-9);
    EXPECT_NEAR(std::abs(Z[2]), 6.0, 0.01);
}

// √(f1·f2) = fs where |Z| = √(Re·Zmax): the classical three-point method, solved for here.
TEST(DriverImpedance, threePointMethodGivesTheParametersBack) {
    const driver::ImpedanceModel d{.Re = 5.7, .fs = 58.0, .Qms = 3.6, .Qes = 0.78};
    const double wanted = std::sqrt(d.Re * d.Re * (1.0 + d.Qms / d.Qes));
    const auto modulus = [&](double f) { return std::abs(driver::impedance(d, {f})[0]); };
    const auto crossing = [&](double inside, double outside) {
        for (int i = 0; i < 200; ++i) {
            const double middle = std::sqrt(inside * outside);
            (modulus(middle) > wanted ? inside : outside) = middle;
        }
        return inside;
    };
    const double f1 = crossing(d.fs, 5.0);
    const double f2 = crossing(d.fs, 700.0);
    EXPECT_NEAR(std::sqrt(f1 * f2), d.fs, 1e-6);
    EXPECT_NEAR(d.fs / (f2 - f1) * std::sqrt(1.0 + d.Qms / d.Qes), d.Qms, 1e-6);
}

TEST(DriverImpedance, missingParametersAreNamed) {
    driver::ImpedanceModel d{
        .Re = 6.0, .fs = 50.0, .Qms = 4.0, .Qes = 0.5, .inductance = driver::InductanceModel::lr2};
    EXPECT_EQ(driver::check(d)->subject, "Le_h");
    d.Le = 1e-3;
    EXPECT_EQ(driver::check(d)->subject, "L2_h");
    d.L2 = 1e-3;
    EXPECT_EQ(driver::check(d)->subject, "R2_ohm");
    d.R2 = 3.0;
    EXPECT_FALSE(driver::check(d).has_value());
}

} // namespace yf::test
