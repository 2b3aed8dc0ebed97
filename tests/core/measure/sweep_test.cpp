// SPDX-License-Identifier: GPL-3.0-or-later
// The sweep, its deconvolution, phase, delay, smoothing, decay, polar sets and merging, against
// figures with a source beside each.
#include "core/curve/minimum_phase.h"
#include "core/curve/smooth.h"
#include "core/measure/compare.h"
#include "core/measure/deconvolve.h"
#include "core/measure/gate.h"
#include "core/measure/merge.h"
#include "core/measure/polar.h"
#include "core/quantity/air.h"
#include "core/quantity/level.h"
#include "core/signal/decay.h"
#include "core/signal/resample.h"
#include "core/signal/spectrum.h"
#include "core/sim/random.h"
#include "core/text/sentence.h"
#include "tests/support/takes.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::test {

namespace {

using curve::Complex;
using signal::SweepPlan;

constexpr double pi = std::numbers::pi;
constexpr double degree = pi / 180.0;

double degrees(double radians) {
    return radians / degree;
}

/// highpass(45 Hz, Q 0.8) · lowpass(2.2 kHz, Q 1.1) · peak(900 Hz, Q 4, 5.1 dB).
Complex band(double f) {
    return sim::Filter{sim::FilterKind::highPass, 45.0, 0.8}.at(f) *
           sim::Filter{sim::FilterKind::lowPass, 2200.0, 1.1}.at(f) *
           sim::Filter{sim::FilterKind::peak, 900.0, 4.0, 5.1}.at(f);
}

curve::Curve bandCurve(double from, double to) {
    const curve::Axis axis = curve::within(curve::designAxis(), from, to);
    std::vector<Complex> values;
    for (const double f : axis) {
        values.push_back(band(f));
    }
    return {axis, values, curve::Phase::own};
}

std::string refused(const SweepPlan& plan) {
    const auto sweep = signal::makeSweep(plan);
    return sweep ? "" : text::sentence(sweep.error()).english();
}

} // namespace

// Novak, Lotton, Simon 2015: k = round(f1·T/ln(f2/f1)), L = k/f1, T = L·ln(f2/f1).
TEST(Sweep, isSynchronised) {
    const auto sweep = signal::makeSweep({}).value();
    EXPECT_EQ(sweep.cycles, 6);
    EXPECT_DOUBLE_EQ(sweep.rateConstant, 0.6);
    EXPECT_NEAR(sweep.duration, 4.6454, 1e-4);
    EXPECT_NEAR(sweep.advance(2), 0.6 * std::numbers::ln2, 1e-12);
    // The second harmonic of the sweep is the sweep advanced by L·ln 2.
    const auto x = [&](double t) {
        return std::sin(2.0 * pi * sweep.start * sweep.rateConstant *
                        std::exp(t / sweep.rateConstant));
    };
    for (const double t : {0.3, 1.1, 2.7}) {
        const double phase =
            2.0 * pi * sweep.start * sweep.rateConstant * std::exp(t / sweep.rateConstant);
        EXPECT_NEAR(std::sin(2.0 * phase), x(t + sweep.advance(2)), 1e-9);
    }
    const auto samples = signal::samplesOf(sweep);
    EXPECT_EQ(samples.size(), sweep.samples);
    EXPECT_EQ(samples.front(), 0.0);
}

TEST(Sweep, wrongPlansAreRefusedInWords) {
    EXPECT_EQ(refused({.start = 1.0, .end = 20000.0, .duration = 2.0}),
              "duration_s: 2 is too short for a sweep from 1 Hz to 20000 Hz (at least 4.96)");
    EXPECT_EQ(refused({.level = -3.0, .mostLevel = -10.0}),
              "level_db: -3 is above max_level_db -10 (allowed -80 to -10)");
    EXPECT_NE(refused({.rate = 50000.0}).find("sample_rate_hz"), std::string::npos);
    EXPECT_NE(refused({.end = 24000.0}).find("end_hz"), std::string::npos);
    EXPECT_EQ(signal::makeSweep({.start = 20.0, .protectAbove = 900.0})->start, 900.0);
}

// Equal energy per octave, crest factor 3 dB (Farina 2000).
TEST(Sweep, crestFactorIsThreeDecibels) {
    const auto facts = signal::describeSweep({});
    ASSERT_TRUE(facts.ok());
    EXPECT_NEAR(facts->peak - facts->rms, 3.01, 0.12);
}

// The analytic inverse against the transform of a faded sweep: within 0.1 dB and 1°, 20 Hz to
// 20 kHz; 0.01 dB and 0.1° from 40 Hz to 16 kHz.
TEST(Sweep, analyticInverseUndoesIt) {
    const auto sweep = signal::makeSweep({}).value();
    const std::size_t length = signal::goodLength(2 * sweep.samples);
    const auto X = signal::transform(signal::samplesOf(sweep), length);
    for (double f = 20.0; f < 20000.0; f *= 1.13) {
        const auto k = static_cast<std::size_t>(f * static_cast<double>(length) / 48000.0);
        const double at = static_cast<double>(k) * 48000.0 / static_cast<double>(length);
        const Complex product =
            X[k] * signal::inverseAt(sweep, at) / (sweep.amplitude * sweep.rate);
        const bool inner = at > 40.0 && at < 16000.0;
        EXPECT_NEAR(20.0 * std::log10(std::abs(product)), 0.0, inner ? 0.01 : 0.1) << at;
        EXPECT_NEAR(degrees(std::arg(product)), 0.0, inner ? 0.1 : 1.1) << at;
    }
}

// Sweep → exactly known filter → noise → deconvolve: within 0.05 dB where SNR is 40 dB or more.
TEST(Deconvolve, roundTrip) {
    Device d{.filters = {{sim::FilterKind::highPass, 45.0, 0.8},
                         {sim::FilterKind::lowPass, 2200.0, 1.1},
                         {sim::FilterKind::peak, 900.0, 4.0, 5.1}}};
    d.plan = {.repeats = 2};
    const auto sweep = signal::makeSweep(d.plan).value();
    const auto play = signal::playSignal(sweep);
    const auto heard = sim::hear(play,
                                 48000.0,
                                 [&](double f) { return d.at(f); },
                                 {{1.0, 1.0 / quantity::soundSpeed}},
                                 {.noise = -82.0});
    const auto e = measure::examine({48000.0, heard.measured, heard.reference}, sweep);
    EXPECT_TRUE(e.verdict.faults.empty());
    const auto impulse = signal::impulseOf(e.response, e.spectra.length, 48000.0, 0.2, 0.8);
    const curve::Axis axis = curve::within(curve::designAxis(), 100.0, 4300.0);
    const auto H =
        signal::gatedResponse(impulse, 0.0, {.left = 0.15, .right = 0.7, .taper = 0.25}, axis);
    for (std::size_t k = 0; k < axis.size(); ++k) {
        if (*e.signalToNoise(axis[k]) >= 40.0) {
            EXPECT_NEAR(quantity::decibels(std::abs(H[k]) / std::abs(d.at(axis[k]))), 0.0, 0.05)
                << axis[k];
        }
    }
    EXPECT_NEAR(signal::arrival(impulse), 1.0 / quantity::soundSpeed, 30e-6);
}

// A polynomial's harmonics are known: |a2|·A/2 and |a3|·A²/4 of the fundamental.
TEST(Deconvolve, harmonicsAreThoseOfThePolynomial) {
    const auto sweep = signal::makeSweep({.level = -12.0}).value();
    const auto heard = sim::hear(signal::playSignal(sweep),
                                 48000.0,
                                 [](double) { return Complex{0.5}; },
                                 {{}},
                                 {.noise = -110.0, .secondHarmonic = 0.01, .thirdHarmonic = 0.003});
    const auto e = measure::examine({48000.0, heard.measured, heard.reference}, sweep);
    const auto d =
        signal::distortion(e.measured, e.spectra, sweep, e.latency, {200.0, 1000.0, 3000.0});
    for (std::size_t k = 0; k < 3; ++k) {
        EXPECT_NEAR(quantity::decibels(*d.orders[0][k] / 0.01), 0.0, 0.4);
        EXPECT_NEAR(quantity::decibels(*d.orders[1][k] / 0.003), 0.0, 0.6);
        EXPECT_LT(*d.orders[2][k], 1e-4);
    }
}

// Bode's relation in closed form against a rational function: within 1° from 40 Hz to 10 kHz from
// data of the design axis; folding the cepstrum at 48 kHz is wrong by tens of degrees at 10 kHz,
// since it gives the minimum phase of a digital filter.
TEST(MinimumPhase, integralHoldsWhereTheCepstrumFails) {
    const curve::Curve c = bandCurve(10.0, 39900.0);
    const auto phase = curve::minimumPhase(c);
    double worst = 0.0;
    for (std::size_t k = 0; k < c.size(); ++k) {
        const double f = c.frequencies()[k];
        if (f >= 40.0 && f <= 10000.0) {
            worst = std::max(
                worst,
                std::abs(degrees(std::remainder(phase[k] - std::arg(c.values()[k]), 2.0 * pi))));
        }
    }
    EXPECT_LT(worst, 1.0);
    // The textbook way on a linear grid to half the rate.
    constexpr std::size_t length = 1U << 16U;
    std::vector<Complex> logs(length / 2 + 1);
    for (std::size_t k = 0; k < logs.size(); ++k) {
        const double f = std::max(0.4, static_cast<double>(k) * 48000.0 / length);
        logs[k] = std::log(std::abs(band(f)));
    }
    auto cepstrum = signal::transformBack(logs, length);
    for (std::size_t n = 1; n < length / 2; ++n) {
        cepstrum[n] *= 2.0;
        cepstrum[length - n] = 0.0;
    }
    const auto folded = signal::transform(cepstrum, length);
    const auto k = static_cast<std::size_t>(10000.0 * length / 48000.0);
    const double error =
        degrees(std::remainder(folded[k].imag() - std::arg(band(10000.0)), 2.0 * pi));
    EXPECT_GT(std::abs(error), 40.0) << "57° was computed for the theory page";
    // A table of weights on an even grid and the sum point by point are the same.
    std::vector<Complex> values = c.values();
    curve::Axis bent = c.frequencies();
    bent[3] *= 1.0 + 1e-7;
    const auto general = curve::minimumPhase(curve::Curve(bent, values, curve::Phase::own));
    for (std::size_t i = 10; i < phase.size(); i += 37) {
        EXPECT_NEAR(phase[i], general[i], 1e-5);
    }
}

// Tails decide: 12 dB/octave wrong at one end is 37° one octave inside it.
TEST(MinimumPhase, tailsDecide) {
    const curve::Curve c = bandCurve(20.0, 20000.0);
    const curve::Tails fitted = curve::fittedTails(c);
    const auto right = curve::minimumPhase(c);
    const auto wrong = curve::minimumPhase(c, {*fitted.low - curve::slopeOf(12.0), fitted.high});
    const auto at = std::ranges::lower_bound(c.frequencies(), 40.0) - c.frequencies().begin();
    EXPECT_NEAR(std::abs(degrees(right[static_cast<std::size_t>(at)] -
                                 wrong[static_cast<std::size_t>(at)])),
                37.0,
                1.5);
}

// IEC 61260-1 mid-band frequencies and band-edge ratios.
TEST(Smoothing, bandsOfTheStandard) {
    const auto thirds = curve::midBands(3, 25.0, 20000.0);
    EXPECT_NEAR(thirds.front(), 25.119, 1e-3);
    EXPECT_NEAR(thirds[1], 31.623, 1e-3);
    EXPECT_NEAR(thirds.back(), 19952.6, 0.1);
    const auto sixths = curve::midBands(6, 940.0, 1060.0);
    ASSERT_EQ(sixths.size(), 2U);
    EXPECT_NEAR(sixths[0], 944.061, 1e-3);
    EXPECT_NEAR(sixths[1], 1059.254, 1e-3);
    EXPECT_NEAR(curve::halfBandRatio(1), 1.412538, 1e-6);
    EXPECT_NEAR(curve::halfBandRatio(24), 1.014495, 1e-6);
}

// Power smoothing lifts a slope by 10·lg(sinh x/x), x = p·ln G/(2b): 0.60 dB for 24 dB/octave at a
// third; level smoothing does not. On a linear grid as on a logarithmic one.
TEST(Smoothing, slopesAndGrids) {
    const double p = 24.0 / (10.0 * std::log10(2.0));
    for (const bool linear : {false, true}) {
        curve::Axis f;
        for (int k = 1; k <= 4000; ++k) {
            f.push_back(linear ? 5.0 * k : 20.0 * std::pow(1000.0, k / 4000.0));
        }
        std::vector<Complex> v;
        for (const double x : f) {
            v.emplace_back(std::pow(x / 1000.0, p / 2.0));
        }
        const curve::Curve slope(f, v, curve::Phase::none);
        const auto at = curve::Axis{1000.0};
        const double power =
            quantity::decibels(curve::smoothedAt(slope, 3, curve::Smoothing::power, 0.0, at)[0]);
        const double level =
            quantity::decibels(curve::smoothedAt(slope, 3, curve::Smoothing::level, 0.0, at)[0]);
        EXPECT_NEAR(power, 0.60, 0.01);
        EXPECT_NEAR(level, 0.0, 0.002);
    }
}

// One metre at 1.2 m height: the floor answers 4.66 ms later, 214.5 Hz.
TEST(Gate, geometryOfARoom) {
    const signal::Geometry g{.distance = 1.0, .speakerHeight = 1.2};
    const auto gate = measure::roomGate(g, 0.0);
    ASSERT_TRUE(gate.has_value());
    EXPECT_EQ(gate->first, "floor");
    EXPECT_NEAR(gate->reflectionFree, 4.662e-3, 1e-6);
    EXPECT_NEAR(gate->lowestValid, 214.5, 0.1);
}

// A driver at two places, or two drivers: difference of arrivals at 40 dB signal to noise.
TEST(Delay, differenceBetweenTwoDrivers) {
    std::vector<double> errors;
    for (int n = 0; n < 60; ++n) {
        sim::Random random(static_cast<std::uint64_t>(n) + 5U);
        const double apart = 200e-6 * (random.uniform() - 0.5);
        double found[2];
        for (int which = 0; which < 2; ++which) {
            // A midrange and a tweeter, sharing the octaves around their crossover.
            const sim::Filter high{sim::FilterKind::highPass, which == 0 ? 150.0 : 800.0, 0.7};
            const sim::Filter low{sim::FilterKind::lowPass, which == 0 ? 9000.0 : 24000.0, 0.8};
            const curve::Axis axis = curve::within(curve::designAxis(), 20.0, 38000.0);
            std::vector<Complex> values;
            for (const double f : axis) {
                const Complex noise{random.normal(), random.normal()};
                values.push_back(high.at(f) * low.at(f) *
                                     std::polar(1.0, -2.0 * pi * f * (3e-3 + which * apart)) +
                                 0.01 / std::numbers::sqrt2 * noise);
            }
            const auto fit =
                signal::excessDelay(curve::Curve(axis, values, curve::Phase::own), 3e-3, 6e-3);
            ASSERT_TRUE(fit.has_value());
            found[which] = fit->delay;
        }
        errors.push_back(std::abs(found[1] - found[0] - apart));
    }
    std::ranges::sort(errors);
    EXPECT_LT(errors[30], 2e-6) << "median";
    EXPECT_LT(errors[57], 8e-6) << "95 %";
}

// Polarity is right or "uncertain": 300 full-range and 300 band-limited devices.
TEST(Delay, polarityIsRightOrNotStated) {
    int wrongWide = 0;
    int saidWide = 0;
    int wrongBand = 0;
    for (int n = 0; n < 600; ++n) {
        const bool wide = n < 300;
        Device d = device(77, wide ? 5 * n + 4 : 5 * (n - 300) + (n % 4));
        sim::Random random(static_cast<std::uint64_t>(n));
        const curve::Axis axis = curve::within(curve::designAxis(), 20.0, 22000.0);
        std::vector<Complex> values;
        const double gain = std::abs(d.gain) < 1e9 ? std::pow(10.0, d.gain / 20.0) : 1.0;
        for (const double f : axis) {
            values.push_back(d.at(f) * std::polar(1.0, -2.0 * pi * f * d.distance / 343.2) +
                             0.003 * gain * Complex{random.normal(), random.normal()});
        }
        const auto fit = signal::excessDelay(
            curve::Curve(axis, values, curve::Phase::own), d.distance / 343.2, 4e-3);
        ASSERT_TRUE(fit.has_value());
        const auto polarity = signal::polarityOf(*fit);
        const bool said = polarity != signal::Polarity::uncertain;
        const bool right = (polarity == signal::Polarity::positive) == (d.polarity > 0);
        (wide ? wrongWide : wrongBand) += said && !right ? 1 : 0;
        saidWide += wide && said ? 1 : 0;
    }
    EXPECT_EQ(wrongWide, 0);
    EXPECT_EQ(saidWide, 300) << "nothing is doubtful in a full-range driver";
    EXPECT_LE(wrongBand, 3) << "99 % right or not stated";
}

// A resonance of Q decays by 27.29·f/Q dB a second: 1.3644 dB/ms at 1 kHz and Q 20.
TEST(Decay, ringingModesByNumber) {
    EXPECT_NEAR((signal::ModeFound{1000.0, 20.0, 0.0}.decayRate()), 1364.4, 0.1);
    const double rate = 48000.0;
    signal::Impulse h{std::vector<double>(9600), rate, 0.002};
    h.samples[96] = 1.0;

    const struct { double f, Q; } modes[] = {{940.0, 28.0}, {5200.0, 18.0}};

    for (const auto& m : modes) {
        for (std::size_t n = 96; n < h.samples.size(); ++n) {
            const double t = static_cast<double>(n - 96) / rate;
            h.samples[n] +=
                0.05 * m.f / 5000.0 * std::exp(-pi * m.f / m.Q * t) * std::sin(2.0 * pi * m.f * t);
        }
    }
    const auto found = signal::ringingModes(h, 0.15, 5.0);
    for (const auto& m : modes) {
        const auto close = std::ranges::find_if(
            found, [&](const auto& x) { return std::abs(x.f / m.f - 1.0) < 0.005; });
        ASSERT_NE(close, found.end()) << m.f;
        EXPECT_NEAR(close->Q / m.Q, 1.0, 0.05);
    }
    EXPECT_LE(found.size(), 3U) << "and next to nothing else";
}

// A slice falls at the mode's own rate.
TEST(Decay, slicesFallAsTheModeDoes) {
    const double rate = 48000.0;
    signal::Impulse h{std::vector<double>(4800), rate, 0.0};
    for (std::size_t n = 48; n < h.samples.size(); ++n) {
        const double t = static_cast<double>(n - 48) / rate;
        h.samples[n] = std::exp(-pi * 1000.0 / 20.0 * t) * std::sin(2.0 * pi * 1000.0 * t);
    }
    auto image = signal::cumulativeDecay(h, {.slices = 21, .step = 5e-4, .length = 0.06}, {1000.0});
    signal::seal(image, {}, 60.0, false);
    EXPECT_NEAR(image.levels[4][0] - image.levels[20][0], 1.3644 * 8.0, 0.6);
    EXPECT_NEAR(image.levels[0][0], 0.0, 1e-9);
}

// Weights of the standard's sound power for 10° steps (ANSI/CTA-2034-A, from memory); together 1.
TEST(Polar, weightsOfTheSphere) {
    const double step = 10.0 * degree;
    EXPECT_NEAR(measure::sphereShare(0.0, step), 0.000604486, 1e-9);
    EXPECT_NEAR(measure::sphereShare(step, step), 0.004730189, 1e-9);
    EXPECT_NEAR(measure::sphereShare(9.0 * step, step), 0.019629373, 1e-9);
    double sum = 4.0 * measure::sphereShare(0.0, step);
    for (int k = 1; k <= 8; ++k) {
        sum += 8.0 * measure::sphereShare(k * step, step);
    }
    sum += 4.0 * measure::sphereShare(9.0 * step, step);
    sum += 0.0;
    EXPECT_NEAR(sum + 4.0 * measure::sphereShare(0.0, step), 1.0, 1e-9);
}

// A dipole, cos θ: −6 dB at 60°, so 119.8° wide; sources that are alike everywhere have index 0.
TEST(Polar, knownPatterns) {
    measure::PolarRequest dipole{.frequencies = {1000.0}};
    measure::PolarRequest sphere = dipole;
    for (double angle = -170.0; angle <= 180.0; angle += 10.0) {
        const double level = 20.0 * std::log10(std::max(std::abs(std::cos(angle * degree)), 1e-3));
        for (const auto plane : {quantity::Plane::horizontal, quantity::Plane::vertical}) {
            if (plane == quantity::Plane::vertical && (angle == 0.0 || angle == 180.0)) {
                continue;
            }
            dipole.curves.push_back({plane, angle, {level}});
            sphere.curves.push_back({plane, angle, {0.0}});
        }
    }
    const auto d = measure::polarSummary(dipole);
    ASSERT_TRUE(d.ok());
    EXPECT_NEAR((*d->beamwidthHorizontal)[0], 119.81, 0.05);
    EXPECT_TRUE(d->missing.empty());
    const auto s = measure::polarSummary(sphere);
    EXPECT_NEAR((*s->directivityIndex)[0], 0.0, 1e-9);
    EXPECT_NEAR((*s->inRoom)[0], 0.0, 1e-9);
    // The front half alone: a listening window, no sound power.
    std::erase_if(dipole.curves, [](const auto& c) { return std::abs(c.angle) > 90.0; });
    const auto half = measure::polarSummary(dipole);
    EXPECT_TRUE(half->listeningWindow.has_value());
    EXPECT_FALSE(half->soundPower.has_value());
}

TEST(Polar, fileNames) {
    const auto files = measure::readPolarNames(
        {"left_hor_-30.txt", "left_hor_30.txt", "V+010deg.csv", "box-1 hor-15.txt", "notes.txt"});
    EXPECT_EQ(files[0].angle, -30.0);
    EXPECT_EQ(files[1].angle, 30.0);
    EXPECT_EQ(files[2].plane, quantity::Plane::vertical);
    EXPECT_EQ(files[2].angle, 10.0);
    EXPECT_EQ(files[3].angle, 15.0) << "no positive one in the set: a hyphen";
    EXPECT_EQ(files[4].problem, "no plane");
}

// Keele 1974: p_far = p_near·a/(2r); two readings that fit give the same curve and no mismatch.
TEST(Merge, nearAndFarOfOnePiston) {
    const double Sd = 0.0137;
    const double a = std::sqrt(Sd / pi);
    measure::MergeRequest m{.coneArea = Sd, .farDistance = 1.0, .farLowestValid = 250.0};
    for (const double f : curve::within(curve::designAxis(), 20.0, 5000.0)) {
        const Complex far = band(f) * std::polar(1.0, -2.0 * pi * f / quantity::soundSpeed);
        if (f < 1000.0) {
            m.near.frequencies.push_back(f);
            m.near.levels.push_back(quantity::decibels(std::abs(far) * 2.0 / a));
        }
        if (f > 200.0) {
            m.far.frequencies.push_back(f);
            m.far.levels.push_back(quantity::decibels(std::abs(far)));
        }
    }
    const auto merged = measure::merge(m);
    ASSERT_TRUE(merged.ok()) << text::sentence(merged.error());
    EXPECT_NEAR(merged->mismatch, 0.0, 0.01);
    EXPECT_NEAR(merged->nearLimit, quantity::soundSpeed / (2.0 * pi * a), 1e-6);
    for (std::size_t k = 0; k < merged->curve.levels.size(); ++k) {
        EXPECT_NEAR(merged->curve.levels[k],
                    quantity::decibels(std::abs(band(merged->curve.frequencies[k]))),
                    0.02);
    }
    m.splice = 120.0;
    EXPECT_NE(text::sentence(measure::merge(m).error()).english().find("splice_hz: 120 is outside"),
              std::string::npos);
}

// −0.66 dB at 5 mm for a = 66 mm (√(1+(z/a)²) − z/a); the baffle's step is 0.5 at low frequency.
TEST(Merge, correctionsOfTheNearField) {
    EXPECT_NEAR(quantity::decibels(std::hypot(1.0, 5.0 / 66.0) - 5.0 / 66.0), -0.63, 0.04);
    EXPECT_NEAR(std::abs(measure::baffleStep(0.2, 0.35, 0.1, 0.2, 10.0)), 0.5, 0.02);
    double high = 0.0;
    for (double f = 5000.0; f < 15000.0; f += 500.0) {
        high += std::abs(measure::baffleStep(0.2, 0.35, 0.1, 0.2, f)) / 20.0;
    }
    EXPECT_NEAR(high, 1.0, 0.08);
}

// Another clock: a tone read at 60 ppm is a tone 60 ppm lower, and nothing else.
TEST(Resample, keepsTones) {
    std::vector<double> x(20000);
    for (std::size_t n = 0; n < x.size(); ++n) {
        x[n] = std::sin(2.0 * pi * 15000.0 / 48000.0 * static_cast<double>(n));
    }
    const double step = 1.0 + 60e-6;
    const auto y = signal::resampled(x, step);
    for (std::size_t n = 1000; n < 18000; n += 123) {
        EXPECT_NEAR(
            y[n], std::sin(2.0 * pi * 15000.0 / 48000.0 * static_cast<double>(n) * step), 2e-5);
    }
}

TEST(Compare, offsetAndFlatness) {
    measure::CompareRequest r;
    for (const double f : curve::within(curve::designAxis(), 100.0, 10000.0)) {
        r.a.frequencies.push_back(f);
        r.a.levels.push_back(80.0 + std::sin(std::log(f)));
        r.b.frequencies.push_back(f);
        r.b.levels.push_back(83.0 + std::sin(std::log(f)) + (f > 999.0 && f < 1001.0 ? 2.0 : 0.0));
    }
    const auto c = measure::compare(r);
    ASSERT_TRUE(c.ok());
    EXPECT_NEAR(c->offset, 3.0, 0.02);
    EXPECT_NEAR(c->maxDifference, 2.0, 0.02);
    EXPECT_NEAR(c->maxAt, 1000.0, 1e-6);
    EXPECT_NEAR(c->spreadA, 1.0, 0.1);
}

// A calibrator of 94 dB is 1.0024 Pa rms.
TEST(Calibration, byACalibrator) {
    std::vector<double> tone(96000);
    for (std::size_t n = 0; n < tone.size(); ++n) {
        tone[n] = 0.1 * std::sin(2.0 * pi * 1000.0 / 48000.0 * static_cast<double>(n));
    }
    const auto found = measure::calibrate(tone, 48000.0, 94.0);
    ASSERT_TRUE(found.ok());
    EXPECT_NEAR(found->fullScale, 1.0024 / (0.1 / std::numbers::sqrt2), 0.01);
    for (std::size_t n = 0; n < tone.size(); ++n) {
        tone[n] *= 1.0 + 0.05 * static_cast<double>(n) / 96000.0;
    }
    EXPECT_FALSE(measure::calibrate(tone, 48000.0, 94.0).ok()) << "unsteady";
}

} // namespace yf::test
