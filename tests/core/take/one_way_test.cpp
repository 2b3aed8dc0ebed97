// SPDX-License-Identifier: GPL-3.0-or-later
// A recording, the same as a file and as a verb's request, an impulse response written and read
// again: all go one way and must say the same. The loudspeaker is a digital filter in the time
// domain (Bristow-Johnson's cookbook, from memory) with one echo, no model of the program's.
#include "core/measure/deconvolve.h"
#include "core/measure/gate.h"
#include "core/take/export.h"
#include "core/take/import.h"
#include "core/take/make.h"

#include <gtest/gtest.h>

#include <cmath>
#include <numbers>
#include <random>

namespace yf::take {

namespace {

using Samples = std::vector<double>;

enum class Pass { high, low };

/// Second order, Q = 0.707.
Samples filtered(const Samples& x, Pass pass, double f, double rate) {
    const double w = 2.0 * std::numbers::pi * f / rate;
    const double alpha = std::sin(w) / (2.0 * 0.707);
    const double edge = pass == Pass::high ? 1.0 + std::cos(w) : 1.0 - std::cos(w);
    const double b1 = pass == Pass::high ? -edge : edge;
    const double b0 = 0.5 * edge;
    const double a0 = 1.0 + alpha;
    Samples y(x.size());
    double x1 = 0.0;
    double x2 = 0.0;
    double y1 = 0.0;
    double y2 = 0.0;
    for (std::size_t n = 0; n < x.size(); ++n) {
        y[n] = (b0 * x[n] + b1 * x1 + b0 * x2 + 2.0 * std::cos(w) * y1 - (1.0 - alpha) * y2) / a0;
        x2 = x1;
        x1 = x[n];
        y2 = y1;
        y1 = y[n];
    }
    return y;
}

void addLate(Samples& to, const Samples& from, std::size_t late, double factor) {
    for (std::size_t n = late; n < to.size(); ++n) {
        to[n] += factor * from[n - late];
    }
}

struct Scene {
    double sign{1.0};
    double referenceSign{1.0};
    bool referenced{true};
    std::size_t latency{700};  ///< samples, of both channels
    std::size_t flight{140};   ///< of the direct sound
    std::size_t burstFrom{60}; ///< flight from the loudspeaker that plays the burst
    double echo{0.5};          ///< re the direct sound
};

constexpr std::size_t echoAfter = 300; // samples: 6.25 ms

signal::Recording heard(const Scene& scene, const signal::Sweep& sweep) {
    Samples play = signal::playSignal(sweep);
    Samples burst(play.size());
    if (sweep.lead > 0) {
        // It comes from another loudspeaker.
        for (int r = 0; r < sweep.repeats; ++r) {
            const std::size_t from = sweep.startOf(r) - sweep.lead;
            for (std::size_t n = from; n < from + sweep.lead; ++n) {
                burst[n] = std::exchange(play[n], 0.0);
            }
        }
    }
    const Samples sound =
        filtered(filtered(play, Pass::high, 90.0, sweep.rate), Pass::low, 9000.0, sweep.rate);
    signal::Recording recording{.rate = sweep.rate, .measured = Samples(play.size())};
    addLate(recording.measured, sound, scene.latency + scene.flight, 0.3 * scene.sign);
    addLate(recording.measured,
            sound,
            scene.latency + scene.flight + echoAfter,
            0.3 * scene.echo * scene.sign);
    addLate(recording.measured, burst, scene.latency + scene.burstFrom, 0.3);
    std::mt19937 random(7);
    std::normal_distribution<double> noise(0.0, 1e-5);
    for (double& v : recording.measured) {
        v += noise(random);
    }
    if (scene.referenced) {
        recording.reference = Samples(play.size());
        addLate(recording.reference, play, scene.latency, scene.referenceSign);
        for (double& v : recording.reference) {
            v += noise(random);
        }
    }
    return recording;
}

signal::SweepPlan plan(signal::Timing timing = signal::Timing::none) {
    return {.start = 20.0,
            .end = 22000.0,
            .duration = 1.0,
            .level = -12.0,
            .silenceBefore = 0.3,
            .silenceAfter = 0.5,
            .timing = timing};
}

TakeOrder orderOf(const Scene& scene, const signal::SweepPlan& sweepPlan = plan()) {
    TakeOrder order{.kind = job::TakeKind::response,
                    .recorded = {.device = "file", .sweep = sweepPlan}};
    order.recording = heard(scene, *signal::makeSweep(sweepPlan));
    return order;
}

measure::Deconvolved byVerb(const TakeOrder& order) {
    job::Take take{.kind = order.kind, .recorded = order.recorded};
    take.recording = std::make_shared<const signal::Recording>(order.recording);
    take.curve = std::make_shared<const curve::Curve>(
        curve::Axis{100.0, 1000.0}, std::vector<curve::Complex>(2, 1.0), curve::Phase::none);
    const auto file = exportTake(take, TakeFormat::recording);
    EXPECT_TRUE(file.ok());
    const auto found =
        measure::deconvolve({.recordingFile = "sound.wav",
                             .sweep = {.plan = order.recorded.sweep},
                             .referenceChannel = order.recording.reference.empty() ? 0 : 2,
                             .bytes = file->bytes});
    EXPECT_TRUE(found.ok()) << found.error().given.english();
    return *found;
}

} // namespace

TEST(OneWay, recordingFileAndVerbTellTheSame) {
    const Scene scene;
    const TakeOrder order = orderOf(scene);
    const auto made = makeTake(order);
    ASSERT_TRUE(made.ok());
    const double rate = order.recording.rate;
    // A second-order low-pass delays by its minimum phase, which is no flight.
    EXPECT_NEAR(made->reading.arrival, static_cast<double>(scene.flight) / rate, 30e-6);
    ASSERT_TRUE(made->reading.reflection.has_value());
    EXPECT_NEAR(made->reading.reflection->after, static_cast<double>(echoAfter) / rate, 50e-6);
    EXPECT_EQ(made->polarity, signal::Polarity::positive);

    const measure::Deconvolved verb = byVerb(order);
    ASSERT_TRUE(verb.delay.has_value());
    EXPECT_NEAR(*verb.delay, made->reading.arrival, 1e-6);
    EXPECT_EQ(verb.polarity, "positive");
    EXPECT_EQ(verb.usable, made->verdict.usable());

    // The impulse response as a file, into a take and into the gate's verb.
    const auto file = exportTake(made->take, TakeFormat::impulse);
    ASSERT_TRUE(file.ok());
    ImportOrder wanted{.file = {file->bytes, "impulse.wav", "2026-12-01"}};
    wanted.sound.right = made->reading.gate.right;
    const auto imported = importTake(wanted);
    ASSERT_TRUE(imported.ok());
    measure::GateRequest request;
    request.impulse.file = "impulse.wav";
    request.impulse.bytes = file->bytes;
    request.impulse.timeZero = imported->impulse->impulse.timeZero;
    request.right = made->reading.gate.right;
    const auto gated = measure::gate(request);
    ASSERT_TRUE(gated.ok()) << gated.error().given.english();
    EXPECT_EQ(*gated->arrival, imported->impulse->arrival);
    const curve::Curve& own = *made->take.curve;
    const curve::Curve& other = *imported->take.curve;
    std::size_t compared = 0;
    for (std::size_t i = 0; i < own.size(); ++i) {
        const double f = own.frequencies()[i];
        const auto at = std::ranges::find(other.frequencies(), f);
        const auto there = std::ranges::find(gated->frequencies, f);
        if (f < 200.0 || f > 15000.0) {
            continue;
        }
        ASSERT_NE(at, other.frequencies().end());
        ASSERT_NE(there, gated->frequencies.end());
        const double level = 20.0 * std::log10(std::abs(own.values()[i]));
        const auto k = static_cast<std::size_t>(there - gated->frequencies.begin());
        EXPECT_NEAR(gated->levels[k], level, 0.01) << f;
        const double pascals =
            std::abs(other.values()[static_cast<std::size_t>(at - other.frequencies().begin())]);
        constexpr double oneUnit = 1.002374; // Pa of 94 dB re 20 µPa
        EXPECT_NEAR(20.0 * std::log10(pascals / oneUnit), level, 0.01) << f;
        ++compared;
    }
    EXPECT_GT(compared, 200U);
}

TEST(OneWay, polarityIsToldWhereItCanBe) {
    const auto told = [](const Scene& scene) {
        const TakeOrder order = orderOf(scene);
        const auto made = makeTake(order);
        EXPECT_TRUE(made.ok());
        const std::string verb = byVerb(order).polarity;
        EXPECT_EQ(signal::polarityName(made->polarity), verb);
        return verb;
    };
    EXPECT_EQ(told({.sign = 1.0}), "positive");
    EXPECT_EQ(told({.sign = -1.0}), "negative");
    // The reference's wires are exchanged: whose sign it is can't be told.
    EXPECT_EQ(told({.sign = 1.0, .referenceSign = -1.0}), "uncertain");
    EXPECT_EQ(told({.sign = -1.0, .referenceSign = -1.0}), "uncertain");
}

TEST(OneWay, aDraggedGateShowsWhatItWillKeep) {
    TakeOrder order = orderOf({});
    order.recorded.microphoneTable = "20 -3\n1000 0\n20000 6\n";
    order.recorded.cardTable = "20 1\n20000 -1\n";
    const auto made = makeTake(order);
    ASSERT_TRUE(made.ok());
    const signal::Gate shorter{.left = 1e-3, .right = 3e-3, .taper = 0.25};
    const auto shown = throughGate(*made, shorter);
    const auto kept = remakeTake(made->take, shorter);
    ASSERT_TRUE(shown.has_value());
    ASSERT_TRUE(kept.ok());
    const curve::Curve& curve = *kept->take.curve;
    ASSERT_EQ(shown->frequencies().back(), curve.frequencies().back());
    // The dragged curve starts where the take's does, the kept one perhaps before.
    for (std::size_t i = 0; i < shown->size(); ++i) {
        const auto at = std::ranges::find(curve.frequencies(), shown->frequencies()[i]);
        ASSERT_NE(at, curve.frequencies().end());
        const auto k = static_cast<std::size_t>(at - curve.frequencies().begin());
        EXPECT_LT(std::abs(shown->values()[i] / curve.values()[k] - 1.0), 1e-9);
    }
    EXPECT_GT(shown->size(), 200U);
    // The tables are taken off it: 6 dB and −1 dB at the upper end.
    TakeOrder plain = order;
    plain.recorded.microphoneTable.clear();
    plain.recorded.cardTable.clear();
    const auto bare = throughGate(*makeTake(plain), shorter);
    ASSERT_TRUE(bare.has_value());
    EXPECT_NEAR(
        20.0 * std::log10(std::abs(bare->values().back() / shown->values().back())), 5.0, 0.3);
}

// The window's key of that name: the usual gate before the reflection, also of a take that was made
// close to a cone, or whose gate a hand has moved.
TEST(OneWay, theGateBeforeTheReflectionIsThereForEveryTake) {
    const auto far = makeTake(orderOf({}));
    ASSERT_TRUE(far.ok());
    const signal::Gate before = far->reading.beforeReflection;
    EXPECT_EQ(before, far->reading.gate);
    EXPECT_NEAR(before.right, static_cast<double>(echoAfter) / 48000.0, 0.2e-3);

    TakeOrder close = orderOf({});
    close.recorded.place = job::MicPlace::nearCone;
    const auto near = makeTake(close);
    ASSERT_TRUE(near.ok());
    EXPECT_GT(near->reading.gate.right, 0.2) << "the room does not count there";
    EXPECT_EQ(near->reading.beforeReflection, before);

    const auto moved = remakeTake(far->take, signal::Gate{.left = 3e-3, .right = 2e-3});
    ASSERT_TRUE(moved.ok());
    EXPECT_EQ(moved->reading.gate.left, 3e-3);
    EXPECT_EQ(moved->reading.beforeReflection, before);
}

// Whatever the latency, the burst's arrival is time zero: for a take as for the verb.
TEST(OneWay, aTimingBurstSetsTimeZero) {
    // Without an echo: one repeat without a reference can't tell it from a clock that runs away.
    const Scene here{.referenced = false, .latency = 500, .echo = 0.0};
    const Scene late{.referenced = false, .latency = 3137, .echo = 0.0};
    for (const Scene& scene : {here, late}) {
        const TakeOrder order = orderOf(scene, plan(signal::Timing::burst));
        const auto made = makeTake(order);
        ASSERT_TRUE(made.ok());
        const double expected =
            (static_cast<double>(scene.flight) - static_cast<double>(scene.burstFrom)) /
            order.recording.rate;
        EXPECT_NEAR(made->reading.arrival, expected, 40e-6) << scene.latency;
        const measure::Deconvolved verb = byVerb(order);
        ASSERT_TRUE(verb.delay.has_value());
        EXPECT_NEAR(*verb.delay, made->reading.arrival, 1e-6);
        EXPECT_EQ(made->take.curve->phase(), curve::Phase::own) << "no reference was recorded";
    }
}

} // namespace yf::take
