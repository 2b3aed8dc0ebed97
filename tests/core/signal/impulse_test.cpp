// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/quantity/level.h"
#include "core/quantity/quantities.h"
#include "core/signal/impulse.h"
#include "core/signal/spectrum.h"
#include "core/signal/wav.h"
#include "core/take/import.h"
#include "core/text/sentence.h"
#include "tests/support/networks.h"

#include <gtest/gtest.h>

#include <cmath>
#include <numbers>

namespace yf::test {

namespace {

using signal::Gate;
using signal::Impulse;

constexpr double rate = 48000.0;

/// Samples of a second-order band: high-pass and low-pass of 2nd order by the bilinear transform.
struct Biquad {
    double b0, b1, b2, a1, a2;

    static Biquad lowPass(double f, double q) { return make(f, q, true); }

    static Biquad highPass(double f, double q) { return make(f, q, false); }

    static Biquad make(double f, double q, bool low) {
        const double w = 2.0 * std::numbers::pi * f / rate;
        const double alpha = std::sin(w) / (2.0 * q);
        const double c = std::cos(w);
        const double a0 = 1.0 + alpha;
        const double edge = low ? (1.0 - c) / 2.0 : (1.0 + c) / 2.0;
        return {edge / a0,
                (low ? 2.0 : -2.0) * edge / a0,
                edge / a0,
                -2.0 * c / a0,
                (1.0 - alpha) / a0};
    }

    void run(std::vector<double>& x) const {
        double s1 = 0.0;
        double s2 = 0.0;
        for (double& v : x) {
            const double out = b0 * v + s1;
            s1 = b1 * v - a1 * out + s2;
            s2 = b2 * v - a2 * out;
            v = out;
        }
    }
};

/// A driver's response: delta through its band, arriving after `delay` whole samples.
Impulse driver(double low, double high, int delay, double length = 0.2) {
    std::vector<double> h(static_cast<std::size_t>(length * rate));
    h[static_cast<std::size_t>(delay)] = 1.0;
    Biquad::highPass(low, 0.7).run(h);
    Biquad::lowPass(high, 0.7).run(h);
    return {h, rate, 0.0};
}

void addReflection(Impulse& impulse, double after, double share) {
    const auto n = static_cast<std::size_t>(std::lround(after * rate));
    for (std::size_t i = impulse.samples.size(); i-- > n;) {
        impulse.samples[i] += share * impulse.samples[i - n];
    }
}

/// Evenly between −1 and 1.
double even(Random& random) {
    return 2.0 * std::log(random.between(1.0, std::numbers::e)) - 1.0;
}

void addNoise(Impulse& impulse, double level, std::uint64_t seed) {
    Random random(seed);
    for (double& v : impulse.samples) {
        // Sum of uniforms: near enough to normal.
        double sum = 0.0;
        for (int k = 0; k < 6; ++k) {
            sum += even(random);
        }
        v += level * sum;
    }
}

} // namespace

TEST(Spectrum, andBackAndParseval) {
    std::vector<double> x;
    Random random(5);
    for (int i = 0; i < 1000; ++i) {
        x.push_back(even(random));
    }
    const std::size_t length = signal::goodLength(1001);
    EXPECT_EQ(length, 1024U);
    const auto X = signal::transform(x, length);
    const auto y = signal::transformBack(X, length);
    double energy = 0.0;
    double spectral = 0.0;
    for (std::size_t n = 0; n < x.size(); ++n) {
        EXPECT_NEAR(y[n], x[n], 1e-12);
        energy += x[n] * x[n];
    }
    for (std::size_t k = 0; k < X.size(); ++k) {
        spectral += (k == 0 || k == length / 2 ? 1.0 : 2.0) * std::norm(X[k]);
    }
    EXPECT_NEAR(spectral / static_cast<double>(length), energy, 1e-9 * energy);
}

TEST(Spectrum, goodLengthsHaveSmallFactors) {
    struct {
        std::size_t least, good;
    } const rows[] = {{1, 1}, {7, 8}, {31, 32}, {97, 100}, {1048583, 1049760}};

    for (const auto& row : rows) {
        EXPECT_EQ(signal::goodLength(row.least), row.good);
    }
}

TEST(Spectrum, envelopeOfATone) {
    std::vector<double> x;
    for (int n = 0; n < 4800; ++n) {
        x.push_back(0.5 * std::sin(2.0 * std::numbers::pi * 1000.0 * n / rate));
    }
    const auto size = signal::envelope(x);
    for (std::size_t n = 500; n < 4300; ++n) {
        EXPECT_NEAR(size[n], 0.5, 0.01);
    }
}

// Butterworth low-pass, 2nd order, 1 kHz at 48 kHz by the bilinear transform: levels and phases
// from SciPy 1.10, scipy.signal.freqz.
TEST(GatedResponse, ofAKnownFilterIsExact) {
    std::vector<double> h(4800);
    h[0] = 1.0;
    Biquad::lowPass(1000.0, std::numbers::sqrt2 / 2.0).run(h);
    const Impulse impulse{h, rate, 0.0};

    struct {
        double f, level, phase;
    } const rows[] = {{100.0, -0.0004, -8.118},
                      {500.0, -0.2622, -43.263},
                      {1000.0, -3.0103, -90.0},
                      {2000.0, -12.3749, -136.891},
                      {5000.0, -28.5761, -164.165},
                      {10000.0, -42.7383, -173.062}};

    curve::Axis axis;
    for (const auto& row : rows) {
        axis.push_back(row.f);
    }
    const auto H =
        signal::gatedResponse(impulse, 0.0, {.left = 0.0, .right = 0.05, .taper = 0.0}, axis);
    for (std::size_t k = 0; k < axis.size(); ++k) {
        EXPECT_NEAR(quantity::decibels(std::abs(H[k])), rows[k].level, 0.001) << axis[k];
        EXPECT_NEAR(std::arg(H[k]) / quantity::degree, rows[k].phase, 0.01) << axis[k];
    }
}

// Below 1/T the curve is the window's; above it a driver whose ringing has ended by then is within
// a third of a decibel (docs/theory/measurement.md, "Gate").
TEST(Gate, errorIsSmallFromItsLowestValidFrequencyUp) {
    const Impulse impulse = driver(60.0, 4000.0, 100);
    const Gate whole{.left = 2e-3, .right = 0.19};
    const Gate gate{.left = 1e-3, .right = 5e-3};
    EXPECT_NEAR(gate.lowestValid(), 1.0 / (5e-3 * 0.875), 1e-9);
    const curve::Axis axis = curve::within(curve::designAxis(), gate.lowestValid(), 10000.0);
    const double arrival = signal::arrival(impulse);
    const auto a = signal::gatedResponse(impulse, arrival, whole, axis);
    const auto b = signal::gatedResponse(impulse, arrival, gate, axis);
    for (std::size_t k = 0; k < axis.size(); ++k) {
        EXPECT_NEAR(quantity::decibels(std::abs(b[k] / a[k])), 0.0, 0.33) << axis[k];
    }
}

TEST(Arrival, isTheDelayOfTheExcessPhase) {
    struct {
        double low, high, tolerance;
    } const rows[] = {{800.0, 20000.0, 10e-6}, {200.0, 6000.0, 40e-6}, {50.0, 3000.0, 60e-6}};

    for (const auto& row : rows) {
        for (const int delay : {140, 333}) {
            EXPECT_NEAR(
                signal::arrival(driver(row.low, row.high, delay)), delay / rate, row.tolerance)
                << row.high;
        }
    }
    Impulse shifted = driver(800.0, 20000.0, 300);
    shifted.timeZero = 0.005;
    EXPECT_NEAR(signal::arrival(shifted), 300 / rate - 0.005, 10e-6);
}

// Thirty drivers in rooms with a known first reflection, with noise.
TEST(FirstReflection, isFoundAndNoneIsInvented) {
    Random random(17);
    int found = 0;
    for (int i = 0; i < 30; ++i) {
        const double after = random.between(2.0e-3, 9e-3);
        const double share = random.between(0.25, 0.7);
        const double low = random.between(50.0, 900.0);
        Impulse impulse = driver(low, random.between(8.0, 20.0) * 1000.0, 200);
        const double arrival = signal::arrival(impulse);
        addNoise(impulse, 2e-5, static_cast<std::uint64_t>(i) + 1);
        EXPECT_FALSE(signal::firstReflection(impulse, arrival).has_value()) << i;
        addReflection(impulse, after, share);
        const auto reflection = signal::firstReflection(impulse, arrival);
        if (reflection && std::abs(reflection->after - after) < 5e-5) {
            ++found;
            EXPECT_LT(signal::proposedGate(impulse, arrival).right, after);
        }
    }
    EXPECT_GE(found, 29);
}

// A decaying tone, at every rate that a file may have; below 8,334 Hz nothing lay ahead of a
// sample.
// A Hilbert transform goes round: the direct sound came back as a reflection at the last samples,
// at any rate. Pulses of a resonance, nothing behind them.
TEST(FirstReflection, theDirectSoundIsNoneAtTheEndOfTheData) {
    for (const double fs : {8000.0, 11025.0, 16000.0, 44100.0, 48000.0}) {
        for (const double f : {300.0, 2500.0}) {
            for (const std::size_t size : {300U, 2000U, 5000U}) {
                signal::Impulse impulse{.samples = std::vector<double>(size), .rate = fs};
                constexpr std::size_t at = 40;
                for (std::size_t n = at; n < size; ++n) {
                    const double t = static_cast<double>(n - at) / fs;
                    impulse.samples[n] = std::exp(-t / 0.0008) * std::cos(6.2831853 * f * t);
                }
                const auto found = signal::firstReflection(impulse, static_cast<double>(at) / fs);
                EXPECT_FALSE(found)
                    << fs << " Hz, " << size << ": " << (found ? found->after : 0.0);
            }
        }
    }
}

TEST(FirstReflection, asksForNoSampleThatIsNotThere) {
    for (const double low : {1000.0, 2000.0, 8000.0, 8333.0, 11025.0, 22050.0, 768000.0}) {
        Impulse impulse{std::vector<double>(static_cast<std::size_t>(0.2 * low)), low, 0.01};
        for (std::size_t n = static_cast<std::size_t>(0.01 * low); n < impulse.samples.size();
             ++n) {
            const double t = static_cast<double>(n) / low - 0.01;
            impulse.samples[n] =
                std::exp(-t / 0.004) * std::cos(2.0 * std::numbers::pi * 200.0 * t);
        }
        const auto reflection = signal::firstReflection(impulse, 0.0);
        EXPECT_TRUE(!reflection || (reflection->after > 0.0 && reflection->after < 0.2)) << low;
    }
}

TEST(Wav, headersObeyTheLimitsOfTheKeys) {
    for (const double odd : {1.0, 999.0, 768001.0}) {
        const auto sound = signal::readWav(signal::writeWav({0.1, 0.2, 0.3, 0.4}, odd), "x.wav");
        ASSERT_FALSE(sound.ok()) << odd;
        EXPECT_EQ(sound.error().subject, "x.wav");
    }
    EXPECT_TRUE(signal::readWav(signal::writeWav({0.1, 0.2}, 1000.0), "x.wav").ok());
    EXPECT_TRUE(signal::readWav(signal::writeWav({0.1, 0.2}, 768000.0), "x.wav").ok());
    const auto many = [](std::size_t channels) {
        const std::vector<std::vector<double>> all(channels, {0.1, 0.2});
        return signal::readWav(signal::writeWav(all, 48000.0, signal::SampleFormat::pcm16),
                               "x.wav");
    };
    EXPECT_TRUE(many(64).ok());
    EXPECT_FALSE(many(65).ok());
}

TEST(Wav, readsBackWhatWasWritten) {
    const std::vector<double> samples{0.0, 0.5, -0.25, 1.5};
    const std::string bytes = signal::writeWav(samples, 44100.0);
    EXPECT_TRUE(signal::looksLikeWav(bytes));
    const auto sound = signal::readWav(bytes, "x.wav");
    ASSERT_TRUE(sound.ok());
    EXPECT_EQ(sound->rate, 44100.0);
    ASSERT_EQ(sound->channels.size(), 1U);
    EXPECT_EQ(sound->channels.front(), samples) << "floats beyond full scale are kept";
}

TEST(Wav, refusalsNameTheFile) {
    const std::string good = signal::writeWav({0.1, 0.2, 0.3, 0.4}, 48000.0);
    std::string nan = good;
    const float bad = std::nanf("");
    nan.replace(nan.size() - 4, 4, reinterpret_cast<const char*>(&bad), 4);
    for (const std::string& bytes : {std::string("frequency,level\n"),
                                     good.substr(0, 20),
                                     nan,
                                     signal::writeWav({}, 48000.0)}) {
        const auto sound = signal::readWav(bytes, "take 3.wav");
        ASSERT_FALSE(sound.ok());
        EXPECT_EQ(sound.error().subject, "take 3.wav");
        EXPECT_FALSE(sound.error().given.empty());
    }
}

TEST(ImportTake, aWavBecomesAGatedResponse) {
    Impulse impulse = driver(60.0, 12000.0, 480);
    addReflection(impulse, 4e-3, 0.5);
    const take::ImportOrder order{
        .file = {signal::writeWav(impulse.samples, rate), "left brome.wav", "2026-03-14"},
        .distance = 0.7,
        .commonTime = false};
    const auto imported = take::importTake(order);
    ASSERT_TRUE(imported.ok()) << text::sentence(imported.error());
    const job::Take& take = imported->take;
    EXPECT_EQ(take.kind, job::TakeKind::response);
    EXPECT_EQ(take.distance, 0.7);
    EXPECT_EQ(take.curve->phase(), curve::Phase::own);
    EXPECT_NEAR(take.gate.value(), 3.9e-3, 1e-4);
    EXPECT_NEAR(take.curve->trusted().from, 1.0 / (take.gate.value() * 0.875), 1.0);
    EXPECT_LT(take.curve->extent().from, take.curve->trusted().from) << "kept, not trusted";
    EXPECT_NE(imported->told.english().find("First reflection"), std::string::npos);
    EXPECT_TRUE(imported->doubtful) << "the level of a sample is nowhere said";
    // In its pass band the filter has a gain of one: a sample of 1 for 94 dB.
    const auto& f = take.curve->frequencies();
    const auto k = static_cast<std::size_t>(std::ranges::lower_bound(f, 1000.0) - f.begin());
    EXPECT_NEAR(quantity::decibels(std::abs(take.curve->values()[k]) / quantity::referencePressure),
                94.0,
                0.6);
    take::ImportOrder shorter = order;
    shorter.sound.right = 2e-3;
    EXPECT_NEAR(take::importTake(shorter)->take.gate.value(), 2e-3, 1e-9);
    take::ImportOrder wrong = order;
    wrong.sound.channel = 2;
    EXPECT_NE(
        text::sentence(take::importTake(wrong).error()).english().find("left brome.wav: channel 2"),
        std::string::npos);
    take::ImportOrder silent = order;
    silent.file.bytes = signal::writeWav(std::vector<double>(500), rate);
    EXPECT_NE(text::sentence(take::importTake(silent).error()).english().find("only zeros"),
              std::string::npos);
}

TEST(ImportTake, correctionsAreObeyed) {
    take::ImportOrder order{
        .file = {"f x level angle\n0.1 9 80 1.0\n1 9 90 0.5\n10 9 70 -0.5\n", "t.txt", ""}};
    order.table.frequencyUnit = measure::FrequencyUnitChoice::khz;
    order.table.valueColumn = 3;
    order.table.phaseColumn = 4;
    order.table.phaseUnit = measure::PhaseUnitChoice::radians;
    order.table.quantity = measure::QuantityChoice::level;
    order.trustedFrom = 500.0;
    order.drive = 1.0;
    const auto imported = take::importTake(order);
    ASSERT_TRUE(imported.ok()) << text::sentence(imported.error());
    EXPECT_EQ(imported->take.curve->frequencies(), (curve::Axis{100.0, 1000.0, 10000.0}));
    EXPECT_NEAR(std::arg(imported->take.curve->values()[0]), 1.0, 1e-12);
    EXPECT_EQ(imported->take.curve->trusted().from, 500.0);
    EXPECT_EQ(imported->take.drive, 1.0);
    order.table.phaseColumn = 0;
    EXPECT_EQ(take::importTake(order)->take.curve->phase(), curve::Phase::none);
    order.table.valueColumn = 9;
    EXPECT_NE(text::sentence(take::importTake(order).error())
                  .english()
                  .find("t.txt, value_column: 9 given"),
              std::string::npos);
}

TEST(PreviewTable, tellsWhatEachColumnWasTakenFor) {
    measure::ImportRequest request{.text = "freq;spl;phase deg;note\n20;80;1;7\n200;81;2;7\n"};
    auto preview = measure::previewTable(request);
    ASSERT_TRUE(preview.ok());
    using measure::Meaning;
    const auto names = [&] {
        std::vector<std::string> list;
        for (const auto& column : preview->columns) {
            list.push_back(column.name);
        }
        return list;
    };
    const auto meanings = [&] {
        std::vector<Meaning> list;
        for (const auto& column : preview->columns) {
            list.push_back(column.meaning);
        }
        return list;
    };
    EXPECT_EQ(names(), (std::vector<std::string>{"freq", "spl", "phase deg", "note"}));
    EXPECT_EQ(preview->columns[1].basis, measure::Basis::name);
    EXPECT_EQ(preview->columns[1].certainty, measure::Certainty::sure);
    EXPECT_EQ(preview->rows.size(), 2U);
    EXPECT_EQ(preview->columns[0].meaning, Meaning::hertz);
    request.valueColumn = 4;
    request.phaseColumn = 0;
    request.quantity = measure::QuantityChoice::impedance;
    preview = measure::previewTable(request);
    EXPECT_EQ(meanings(),
              (std::vector{Meaning::hertz, Meaning::unused, Meaning::unused, Meaning::ohm}));
    request = {.text = request.text, .meanings = "hz,unused,unused,db"};
    preview = measure::previewTable(request);
    EXPECT_EQ(meanings(),
              (std::vector{Meaning::hertz, Meaning::unused, Meaning::unused, Meaning::decibel}));
    EXPECT_FALSE(measure::previewTable({.text = "words only"}).ok());
}

} // namespace yf::test
