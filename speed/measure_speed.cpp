// SPDX-License-Identifier: GPL-3.0-or-later
// Measuring: each figure beside SciPy doing the same in the same run; deconvolution also beside the
// bare transforms that it needs.
#include "core/curve/smooth.h"
#include "core/driver/fit.h"
#include "core/signal/decay.h"
#include "core/signal/deconvolve.h"
#include "core/signal/spectrum.h"
#include "core/sim/random.h"
#include "speed/least.h"

#include <benchmark/benchmark.h>

#include <chrono>
#include <cmath>
#include <cstdio>
#include <map>
#include <memory>
#include <string>

namespace yf::speed {

namespace {

std::vector<double> noise(std::size_t count, std::uint64_t seed) {
    sim::Random random(seed);
    std::vector<double> x(count);
    for (double& v : x) {
        v = random.normal();
    }
    return x;
}

constexpr std::size_t length = 1U << 20U;

/// One two-channel repeat: M/R in the band's window, and back.
void deconvolution() {
    static const auto measured = noise(length, 1);
    static const auto reference = noise(length, 2);
    static const auto sweep = signal::makeSweep({}).value();
    signal::RepeatSpectra of{.length = length, .rate = 48000.0};
    const auto M = signal::transform(measured, length);
    const auto R = signal::transform(reference, length);
    benchmark::DoNotOptimize(
        signal::transformBack(signal::linearResponse(M, R, of, sweep), length));
}

void oneTransform() {
    static const auto x = noise(length, 1);
    benchmark::DoNotOptimize(signal::transform(x, length));
}

void decay() {
    static const signal::Impulse impulse = [] {
        auto x = noise(2048, 3);
        for (std::size_t n = 0; n < x.size(); ++n) {
            x[n] *= std::exp(-static_cast<double>(n) / 100.0);
        }
        return signal::Impulse{x, 48000.0, 0.0};
    }();
    static const auto axis = curve::within(curve::designAxis(), 20.0, 20000.0);
    benchmark::DoNotOptimize(
        signal::cumulativeDecay(impulse, {.slices = 200, .step = 8e-5, .length = 0.02}, axis));
}

void fit() {
    static const curve::Curve curve = [] {
        const driver::ImpedanceModel m{.Re = 5.8,
                                       .fs = 42.0,
                                       .Qms = 4.5,
                                       .Qes = 0.45,
                                       .inductance = driver::InductanceModel::leach,
                                       .leachK = 0.02,
                                       .leachN = 0.7};
        auto Z = driver::impedance(m, curve::designAxis());
        sim::Random random(4);
        for (auto& z : Z) {
            z *= std::exp(curve::Complex{0.01 * random.normal(), 0.01 * random.normal()});
        }
        return curve::Curve(curve::designAxis(), Z, curve::Phase::common);
    }();
    benchmark::DoNotOptimize(driver::fitImpedance({.impedance = curve}));
}

void smoothing() {
    static const curve::Curve curve = [] {
        curve::Axis f;
        std::vector<curve::Complex> v;
        sim::Random random(5);
        for (int k = 1; k <= 65536; ++k) {
            f.push_back(k * 24000.0 / 65536.0);
            v.emplace_back(0.5 + random.uniform());
        }
        return curve::Curve(f, v, curve::Phase::none);
    }();
    benchmark::DoNotOptimize(curve::smoothed(curve, 24.0, curve::Smoothing::power));
}

std::map<std::string, double> peer(int runs) {
    std::map<std::string, double> times;
    const std::string command = "/usr/bin/python3 " YF_PEER_SCIPY " " + std::to_string(runs);
    const std::unique_ptr<std::FILE, int (*)(std::FILE*)> pipe(::popen(command.c_str(), "r"),
                                                               &::pclose);
    char name[64];
    double time = 0.0;
    while (pipe && std::fscanf(pipe.get(), "%63s %lf", name, &time) == 2) {
        times[name] = time;
    }
    return times;
}

void printRatios() {
    constexpr int runs = 10;
    const auto theirs = peer(runs);
    const double one = least(runs, &oneTransform);

    const struct {
        const char* name;
        const char* what;
        void (*run)();
    } rows[] = {{"deconvolution", "deconvolution, two channels of 2^20", &deconvolution},
                {"decay", "decay image of 200 slices", &decay},
                {"fit", "fit of 577 points (ours: with all coils)", &fit},
                {"smoothing", "64k points to 1/24 octave", &smoothing}};

    std::printf("\nleast of %d runs, ours and SciPy in the same run:\n", runs);
    for (const auto& row : rows) {
        const double ours = least(runs, row.run);
        const auto found = theirs.find(row.name);
        std::printf("  %-42s %9.2f ms", row.what, 1e3 * ours);
        if (found != theirs.end()) {
            std::printf("   SciPy %9.2f ms, ratio %.2f", 1e3 * found->second, found->second / ours);
        }
        std::printf("   %.1f bare transforms of 2^20\n", ours / one);
    }
    std::printf("  goals: deconvolution at most 6 transforms\n");
}

template <void (*run)()>
void timed(benchmark::State& state) {
    for (auto _ : state) {
        run();
    }
}

} // namespace

} // namespace yf::speed

BENCHMARK(yf::speed::timed<&yf::speed::deconvolution>)
    ->Name("deconvolution")
    ->Unit(benchmark::kMillisecond);
BENCHMARK(yf::speed::timed<&yf::speed::decay>)->Name("decay")->Unit(benchmark::kMillisecond);
BENCHMARK(yf::speed::timed<&yf::speed::fit>)->Name("fit")->Unit(benchmark::kMillisecond);
BENCHMARK(yf::speed::timed<&yf::speed::smoothing>)
    ->Name("smoothing")
    ->Unit(benchmark::kMillisecond);

int main(int argc, char** argv) {
    benchmark::Initialize(&argc, argv);
    benchmark::RunSpecifiedBenchmarks();
    yf::speed::printRatios();
    return 0;
}
