// SPDX-License-Identifier: GPL-3.0-or-later
// Recordings from rooms that the program knows nothing of (core/worlds/room: image sources and a
// diffuse tail, in time): no clock is invented, an answer is found where it is, and what can't be
// mended is refused.
#include "core/measure/judge.h"
#include "core/measure/response.h"
#include "core/worlds/draws.h"
#include "core/worlds/room.h"
#include "tests/support/takes.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <cmath>
#include <cstdio>

namespace yf::test {

namespace {

using measure::Fault;

constexpr double rate = 48000.0;

signal::Sweep sweepOf(int repeats, double after = 1.0) {
    const signal::SweepPlan plan{.rate = rate,
                                 .start = 20.0,
                                 .end = 20000.0,
                                 .duration = 1.5,
                                 .repeats = repeats,
                                 .silenceBefore = 0.5,
                                 .silenceAfter = after};
    return signal::makeSweep(plan).value();
}

signal::Recording
recorded(const worlds::Case& room, const signal::Sweep& sweep, double longer = 0.0) {
    std::vector<double> played(sweep.total());
    const std::vector<double> once = signal::samplesOf(sweep);
    for (int r = 0; r < sweep.repeats; ++r) {
        std::ranges::copy(once, played.begin() + static_cast<std::ptrdiff_t>(sweep.startOf(r)));
    }
    played.resize(played.size() + static_cast<std::size_t>(longer * rate));
    worlds::Recorded take = worlds::record(played, room.speaker, room.bench);
    return {
        .rate = rate, .measured = std::move(take.heard), .reference = std::move(take.reference)};
}

/// Root of the mean square of what the gated level is off, over the stretch called valid; nothing
/// where nothing is.
std::optional<double> levelError(const worlds::Case& room,
                                 const signal::Sweep& sweep,
                                 const signal::Recording& recording,
                                 const measure::Examined& e) {
    const auto impulse = measure::impulseOf(e, recording, sweep, 0.1, 0.6);
    const auto reading = measure::readImpulse(impulse, {});
    const auto band = measure::trustedBand(e, sweep, reading.gate.lowestValid());
    if (!band) {
        return std::nullopt;
    }
    const auto axis = measure::gatedAxis(reading.gate, rate, *band);
    const auto told = measure::levelsAndPhases(
        signal::gatedResponse(impulse, reading.arrival, reading.gate, axis));
    double sum = 0.0;
    int count = 0;
    const double shift = room.bench.reference ? 20.0 * std::log10(0.5) : 0.0;
    for (std::size_t i = 0; i < axis.size(); ++i) {
        if (band->holds(axis[i])) {
            const double off =
                told.levels[i] - (worlds::levelOf(room.speaker, room.bench, axis[i]) - shift);
            sum += off * off;
            ++count;
        }
    }
    return count > 0 ? std::optional(std::sqrt(sum / count)) : std::nullopt;
}

} // namespace

TEST(RealRoom, aSingleSweepWithoutReferenceIsToldNoClock) {
    constexpr int cases = 60;
    const auto sweep = sweepOf(1);

    struct Outcome {
        measure::Verdict verdict;
        std::optional<double> error;
    };

    const auto all = inTwo(cases, [&](int n) {
        const auto room = worlds::drawnRoom(100U + static_cast<unsigned>(n));
        const auto recording = recorded(room, sweep);
        const auto e = measure::examine(recording, sweep);
        return Outcome{e.verdict, levelError(room, sweep, recording, e)};
    });
    int accused = 0;
    std::vector<double> errors;
    for (int n = 0; n < cases; ++n) {
        const Outcome& o = all[static_cast<std::size_t>(n)];
        EXPECT_EQ(o.verdict.clockDrift, 0.0) << n;
        if (!o.verdict.faults.empty()) {
            ++accused;
            std::printf("case %d: %s\n", n, faultsOf(o.verdict).c_str());
        }
        if (o.verdict.usable() && o.error) {
            errors.push_back(*o.error);
        }
    }
    std::ranges::sort(errors);
    ASSERT_GE(errors.size(), 40U);
    std::printf("accused %d of %d; level error rms: median %.2f dB, 95 %% %.2f dB, worst %.2f dB\n",
                accused,
                cases,
                errors[errors.size() / 2],
                errors[errors.size() * 95 / 100],
                errors.back());
    EXPECT_LT(errors[errors.size() / 2], 1.0);
}

TEST(RealRoom, clocksAreToldByRepeatsAndByTheReference) {
    constexpr int cases = 12;

    struct Outcome {
        double truth{};
        measure::Verdict verdict;
    };

    const auto all = inTwo(cases, [&](int n) {
        worlds::Draws draws(static_cast<unsigned>(n), 9);
        auto room = worlds::drawnRoom(500U + static_cast<unsigned>(n));
        room.bench.drift = draws.between(15e-6, 280e-6) * (draws.chance(0.5) ? 1.0 : -1.0);
        room.bench.reference = n % 2 == 0;
        const auto sweep = sweepOf(room.bench.reference ? 1 : 3);
        return Outcome{room.bench.drift, measure::examine(recorded(room, sweep), sweep).verdict};
    });
    int right = 0;
    for (int n = 0; n < cases; ++n) {
        const Outcome& o = all[static_cast<std::size_t>(n)];
        const bool near = std::abs(o.verdict.clockDrift - o.truth) < 5e-6;
        right += near ? 1 : 0;
        if (!near) {
            std::printf("case %d: %.1f ppm told %.1f; %s\n",
                        n,
                        1e6 * o.truth,
                        1e6 * o.verdict.clockDrift,
                        faultsOf(o.verdict).c_str());
        }
        EXPECT_EQ(o.verdict.driftByReference, near && n % 2 == 0);
    }
    EXPECT_GE(right, cases - 1);
}

TEST(RealRoom, clocksFurtherApartAreNotCorrected) {
    for (const bool reference : {false, true}) {
        auto room = worlds::drawnRoom(7);
        room.bench.drift = 700e-6;
        room.bench.reference = reference;
        const auto sweep = sweepOf(3);
        const auto e = measure::examine(recorded(room, sweep), sweep);
        EXPECT_TRUE(e.verdict.has(Fault::clocksApart)) << faultsOf(e.verdict);
        EXPECT_FALSE(e.verdict.usable());
    }
}

TEST(RealRoom, aLateOrEarlyAnswerIsFoundOrRefused) {
    struct Start {
        double latency;
        double longer; ///< s that the recorder runs on
        bool whole;    ///< everything of the sweep is on the recording
    };

    const Start starts[]{{0.7, 0.0, true},
                         {0.95, 0.0, true},
                         {0.8, 1.0, true},
                         {3.0, 3.0, true},
                         {-0.3, 0.0, true},
                         {-0.48, 0.0, true},
                         {-0.8, 0.0, false},
                         {-1.2, 0.0, false},
                         {1.6, 0.0, false},
                         {2.9, 1.0, false}};
    constexpr int each = 4; // two rooms, with and without reference

    struct Outcome {
        std::string which;
        bool usable{};
        std::optional<double> error;
        double late{}; ///< s
    };

    const auto all = inTwo(each * static_cast<int>(std::size(starts)), [&](int n) {
        const Start& start = starts[n / each];
        const bool reference = n % 2 == 1;
        const int number = n / each + n / 2 % 2 * 20;
        auto room = worlds::drawnRoom(static_cast<unsigned>(number));
        room.bench.noise = -85.0;
        room.bench.ratio = -10.0;
        room.bench.latency = start.latency;
        room.bench.reference = reference;
        const auto sweep = sweepOf(1 + n / 2 % 2);
        const auto recording = recorded(room, sweep, start.longer);
        const auto e = measure::examine(recording, sweep);
        Outcome o{.which = std::to_string(start.latency) + " s, room " + std::to_string(number) +
                           (reference ? ", reference: " : ": ") + faultsOf(e.verdict),
                  .usable = e.verdict.usable()};
        if (start.whole) {
            o.error = levelError(room, sweep, recording, e);
            const auto impulse = measure::impulseOf(e, recording, sweep, 0.1, 0.6);
            o.late = measure::readImpulse(impulse, {}).arrival - room.bench.distance / 343.2 -
                     (reference ? 0.0 : start.latency);
        }
        return o;
    });
    for (int n = 0; n < static_cast<int>(all.size()); ++n) {
        const Outcome& o = all[static_cast<std::size_t>(n)];
        EXPECT_EQ(o.usable, starts[n / each].whole) << o.which;
        if (starts[n / each].whole) {
            ASSERT_TRUE(o.error) << o.which;
            EXPECT_LT(*o.error, 2.0) << o.which;
            EXPECT_NEAR(o.late, 0.0, 1e-3) << o.which;
        }
    }
}

TEST(RealRoom, emptyAndRepeatedBuffersSpoilATake) {
    constexpr int cases = 48;
    const auto sweep = sweepOf(1);

    struct Outcome {
        std::string which;
        measure::Verdict sound;
        measure::Verdict spoiled;
        double at{};
    };

    const auto all = inTwo(cases, [&](int n) {
        worlds::Draws draws(static_cast<unsigned>(n), 31);
        const auto room = worlds::drawnRoom(700U + static_cast<unsigned>(n));
        auto recording = recorded(room, sweep);
        if (n % 3 == 0) { // a card of 16 bits
            for (double& v : recording.measured) {
                v = std::round(v * 32768.0) / 32768.0;
            }
        }
        Outcome o{.which = {}, .sound = measure::examine(recording, sweep).verdict};
        // Where the speaker speaks, from 150 Hz on: below that a buffer is less than half a period.
        const double f = draws.spread(std::max(2.0 * room.speaker.low, 150.0),
                                      std::min(room.speaker.high, 15000.0));
        const int length = draws.oneOf(std::vector<int>{256, 480, 512, 1024, 2048});
        o.at = 0.5 + room.bench.latency + sweep.timeOf(f);
        const auto at = static_cast<std::ptrdiff_t>(o.at * rate);
        const auto begin = recording.measured.begin() + at;
        if (n % 2 == 0) {
            std::fill_n(begin, length, 0.0);
        } else {
            std::copy_n(begin - length, length, begin);
        }
        o.spoiled = measure::examine(recording, sweep).verdict;
        o.which = std::to_string(n) + ": " + std::to_string(length) + " at " + std::to_string(f) +
                  " Hz; " + faultsOf(o.spoiled);
        return o;
    });
    int told = 0;
    for (const Outcome& o : all) {
        EXPECT_FALSE(o.sound.has(Fault::dropout)) << o.which;
        EXPECT_FALSE(o.spoiled.usable()) << o.which;
        told += o.spoiled.stale && std::abs(o.spoiled.stale->time - o.at) < 0.05 ? 1 : 0;
    }
    std::printf("told by name and place: %d of %d\n", told, cases);
    EXPECT_GE(told, cases - 3);
}

TEST(RealRoom, timesAreToldFromTheBeginningOfTheRecording) {
    const auto sweep = sweepOf(1);
    auto room = worlds::drawnRoom(700);
    room.bench.latency = 0.8;
    auto recording = recorded(room, sweep);
    const double at =
        0.5 + room.bench.latency + sweep.timeOf(std::sqrt(room.speaker.low * room.speaker.high));
    std::fill_n(recording.measured.begin() + static_cast<std::ptrdiff_t>(at * rate), 1024, 0.0);
    const auto verdict = measure::examine(recording, sweep).verdict;
    ASSERT_TRUE(verdict.stale) << faultsOf(verdict);
    EXPECT_NEAR(verdict.stale->time, at, 0.01);
}

TEST(RealRoom, oneLineOfHumAloneIsTold) {
    const auto sweep = sweepOf(1);
    for (const double f : {50.0, 60.0, 100.0, 120.0}) {
        for (const unsigned n : {1U, 2U, 3U}) {
            auto room = worlds::drawnRoom(900U + n);
            room.bench.noise = -80.0;
            auto recording = recorded(room, sweep);
            const double peak = std::ranges::max(recording.measured);
            for (std::size_t k = 0; k < recording.measured.size(); ++k) {
                recording.measured[k] +=
                    0.03 * peak * std::sin(6.2831853 * f * static_cast<double>(k) / rate + n);
            }
            const auto verdict = measure::examine(recording, sweep).verdict;
            EXPECT_TRUE(verdict.has(Fault::hum)) << f << " Hz, room " << n;
        }
    }
}

TEST(RealRoom, aCardThatHearsNothingIsToldNothingElse) {
    const auto sweep = sweepOf(3);
    worlds::Draws draws(4, 4);
    for (int n = 0; n < 8; ++n) {
        signal::Recording recording{.rate = rate, .measured = std::vector<double>(sweep.total())};
        for (double& v : recording.measured) {
            v = draws.chance(0.01 * n) ? 1.0 / 32768.0 : 0.0;
        }
        const auto verdict = measure::examine(recording, sweep).verdict;
        ASSERT_FALSE(verdict.faults.empty()) << n;
        EXPECT_TRUE(verdict.has(Fault::noSignal)) << n;
        EXPECT_FALSE(verdict.has(Fault::dropout) || verdict.has(Fault::cutShort) ||
                     verdict.has(Fault::clockDrift) || verdict.has(Fault::clocksApart))
            << n << ": " << faultsOf(verdict);
    }
}

} // namespace yf::test
