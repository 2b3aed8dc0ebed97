// SPDX-License-Identifier: GPL-3.0-or-later
// Judging recordings: every fault found in a seeded set of bad takes, hardly one in a set of good
// ones. The recordings come from core/sim, whose truth is exact.
#include "core/measure/judge.h"
#include "core/sim/random.h"
#include "tests/support/takes.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <cmath>
#include <map>

namespace yf::test {

namespace {

using measure::Fault;
using measure::Verdict;

constexpr double rate = 48000.0;

/// Noise, latency and the like of a take without a fault.
sim::Chain ordinary(sim::Random& random, int n) {
    return {.noise = -85.0 + 20.0 * random.uniform() - (n % 5 == 3 ? 10.0 : 0.0),
            .noiseColour = n % 2 == 0 ? sim::NoiseColour::white : sim::NoiseColour::pink,
            .latency = 0.01 + 0.3 * random.uniform(),
            .secondHarmonic = 0.01 * random.uniform(),
            .thirdHarmonic = 0.005 * random.uniform(),
            .seed = n + 1};
}

struct Outcome {
    Fault fault{};
    std::string device;
    bool referenced{};
    int repeats{};
    bool found{};
    Verdict verdict;
    double asked{};
};

double peakOf(const std::vector<double>& x) {
    double most = 0.0;
    for (const double v : x) {
        most = std::max(most, std::abs(v));
    }
    return most;
}

/// One bad take of a kind of fault.
Outcome badTake(int n) {
    sim::Random random(static_cast<std::uint64_t>(n) + 4242U);
    Device d = device(11, n);
    const auto fault = static_cast<Fault>(n % static_cast<int>(measure::faultCount));
    const bool aboutReference = fault == Fault::channelsSwapped ||
                                fault == Fault::referenceMissing ||
                                fault == Fault::referenceInverted;
    const bool referenced = aboutReference || random.uniform() < 0.6;
    if (fault == Fault::event) {
        d.plan.repeats = 1 + n / 7 % 4;
    }
    if (fault == Fault::clockDrift && !referenced) {
        d.plan.repeats = std::max(d.plan.repeats, 2); // the only witness
    }
    if (fault == Fault::clocksApart && !referenced) {
        d.plan.repeats = std::max(d.plan.repeats, 3); // one step could be lost samples
    }
    const auto sweep = signal::makeSweep(d.plan).value();
    sim::Chain chain = ordinary(random, n);
    Outcome o{.fault = fault, .device = d.kind, .referenced = referenced, .repeats = sweep.repeats};
    switch (fault) {
    case Fault::noSignal:
        d.gain = -140.0;
        break;
    case Fault::tooLow:
        d.gain = -50.0;
        chain.noise = -110.0;
        break;
    case Fault::noisy:
        chain.noise = -22.0 + 8.0 * random.uniform();
        break;
    case Fault::hum:
        chain.hum = random.uniform() < 0.5 ? 50.0 : 60.0;
        chain.humLevel = -55.0 + 20.0 * random.uniform();
        break;
    case Fault::clockDrift:
        chain.clockDrift = (20e-6 + 150e-6 * random.uniform()) * (n % 2 == 0 ? 1.0 : -1.0);
        o.asked = chain.clockDrift;
        break;
    case Fault::clocksApart:
        chain.clockDrift = (400e-6 + 500e-6 * random.uniform()) * (n % 2 == 0 ? 1.0 : -1.0);
        break;
    case Fault::dropout: {
        chain.dropoutSamples = static_cast<int>(32 + 1500 * random.uniform());
        // Somewhere in the stretch in which the device speaks, of one of the repeats.
        const double low = std::max(d.filters[0].f0, sweep.fullFrom() * 1.3);
        const double high = std::min(d.filters[1].f0, sweep.fullTo() / 1.5);
        const double f = low * std::pow(high / low, 0.2 + 0.6 * random.uniform());
        const int repeat = static_cast<int>(random.uniform() * sweep.repeats);
        chain.dropoutTime = static_cast<double>(sweep.startOf(repeat)) / rate + sweep.timeOf(f) +
                            chain.latency + d.distance / 343.2;
        o.asked = chain.dropoutSamples;
        break;
    }
    default:
        break;
    }
    auto recording = record(d, chain, referenced, sweep);
    switch (fault) {
    case Fault::clipped: {
        const double limit =
            peakOf(recording.measured) * std::pow(10.0, -(0.5 + 5.0 * random.uniform()) / 20.0);
        for (double& v : recording.measured) {
            v = std::clamp(v, -limit, limit);
        }
        break;
    }
    case Fault::cutShort:
        recording.measured.resize(sweep.startOf(sweep.repeats - 1) + sweep.samples * 2 / 3);
        if (referenced) {
            recording.reference.resize(recording.measured.size());
        }
        break;
    case Fault::channelsSwapped:
        std::swap(recording.measured, recording.reference);
        break;
    case Fault::referenceMissing:
        for (double& v : recording.reference) {
            v = 1e-5 * random.normal();
        }
        break;
    case Fault::referenceInverted:
        for (double& v : recording.reference) {
            v = -v;
        }
        break;
    case Fault::event: {
        // A bang: a decaying burst of noise, as loud as the take itself.
        const int repeat = static_cast<int>(random.uniform() * sweep.repeats);
        const auto at =
            sweep.startOf(repeat) + static_cast<std::size_t>((0.1 + 0.75 * random.uniform()) *
                                                             static_cast<double>(sweep.samples));
        const double size = peakOf(recording.measured) * (0.2 + 0.5 * random.uniform());
        for (std::size_t k = 0; k < 4800 && at + k < recording.measured.size(); ++k) {
            recording.measured[at + k] +=
                size * random.normal() * std::exp(-static_cast<double>(k) / 900.0);
        }
        break;
    }
    default:
        break;
    }
    o.verdict = measure::examine(recording, sweep).verdict;
    o.found = o.verdict.has(fault);
    return o;
}

Verdict goodTake(int n) {
    sim::Random random(static_cast<std::uint64_t>(n) + 99U);
    const Device d = device(23, n);
    const auto sweep = signal::makeSweep(d.plan).value();
    const sim::Chain chain = ordinary(random, n);
    return measure::examine(record(d, chain, n % 5 != 2, sweep), sweep).verdict;
}

} // namespace

TEST(Judge, twoHundredBadTakes) {
    const auto outcomes = inTwo(200, [](int n) { return badTake(n); });
    std::map<Fault, std::pair<int, int>> byFault;
    int found = 0;
    for (const Outcome& o : outcomes) {
        auto& [hits, all] = byFault[o.fault];
        ++all;
        hits += o.found ? 1 : 0;
        found += o.found ? 1 : 0;
        if (!o.found) {
            std::printf("missed %s: %s, reference %d, %d repeats, asked %g; told: %s\n",
                        std::string(measure::faultName(o.fault)).c_str(),
                        o.device.c_str(),
                        o.referenced,
                        o.repeats,
                        o.asked,
                        faultsOf(o.verdict).c_str());
        }
    }
    for (const auto& [fault, hits] : byFault) {
        std::printf("%s: %d of %d\n",
                    std::string(measure::faultName(fault)).c_str(),
                    hits.first,
                    hits.second);
    }
    EXPECT_GE(found, 190) << "at least 95 %";
}

TEST(Judge, twoHundredGoodTakes) {
    const auto verdicts = inTwo(200, [](int n) { return goodTake(n); });
    int wrong = 0;
    for (std::size_t n = 0; n < verdicts.size(); ++n) {
        if (!verdicts[n].faults.empty()) {
            ++wrong;
            std::printf("take %zu (%s): %s\n",
                        n,
                        device(23, static_cast<int>(n)).kind.c_str(),
                        faultsOf(verdicts[n]).c_str());
        }
    }
    EXPECT_LE(wrong, 2) << "at most 1 %";
}

} // namespace yf::test
