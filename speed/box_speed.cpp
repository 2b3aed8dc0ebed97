// SPDX-License-Identifier: GPL-3.0-or-later
// Ten thousand vented boxes at 96 frequencies: beside NumPy doing the same with whole arrays, and
// beside a bare loop over the polynomials that asks nothing of them.
#include "core/box/map.h"
#include "speed/least.h"

#include <benchmark/benchmark.h>

#include <algorithm>
#include <array>
#include <cmath>
#include <cstdio>
#include <memory>
#include <string>

namespace yf::speed {

namespace {

constexpr std::size_t points = 96;

box::MapOrder order() {
    const box::Source source;
    box::Driver d{.Re = 5.2, .fs = 38, .Qms = 7, .Qes = 0.30, .Vas = 0.070, .Sd = 0.035};
    d.Xmax = 0.005;
    return {.motor = box::motorOf(d, source),
            .source = source,
            .volumes = {0.02, 0.16, 100},
            .tunings = {0.4 * 38.0, 2.0 * 38.0, 100},
            .portArea = 0.004};
}

void wholeMap() {
    static const box::MapOrder o = order();
    benchmark::DoNotOptimize(box::boxMap(o));
}

/// |D|², level, delay and travel at every point; sums only, so that nothing is left out.
void bareLoop() {
    static const box::MapOrder o = order();
    static const std::array<double, points> x = [] {
        std::array<double, points> v{};
        for (std::size_t k = 0; k < points; ++k) {
            v[k] = 10.0 * std::pow(250.0, static_cast<double>(k) / (points - 1.0)) / 38.0;
        }
        return v;
    }();
    const double Qt = o.motor.QtsWith(0.0);
    double sum = 0.0;
    for (int i = 0; i < 100; ++i) {
        const double alpha = o.motor.Vas / o.volumes.at(i);
        for (int j = 0; j < 100; ++j) {
            const double h = o.tunings.at(j) / 38.0;
            const double c3 = h / o.QL + 1.0 / Qt;
            const double c2 = h * h + h / (Qt * o.QL) + 1.0 + alpha;
            const double c1 = h * h / Qt + h / o.QL;
            const double c0 = h * h;
            for (std::size_t k = 0; k < points; ++k) {
                const double x2 = x[k] * x[k];
                const double re = (x2 - c2) * x2 + c0;
                const double im = x[k] * (c1 - c3 * x2);
                const double dre = x[k] * (4.0 * x2 - 2.0 * c2);
                const double dim = c1 - 3.0 * c3 * x2;
                const double over = 1.0 / (re * re + im * im);
                const double near = 1.0 - x2 / c0;
                sum += x2 * x2 * x2 * x2 * over + (re * dim - im * dre) * over +
                       (near * near + x2 / (c0 * o.QL * o.QL)) * over;
            }
        }
    }
    benchmark::DoNotOptimize(sum);
}

double peer(int runs) {
    const std::string command = "/usr/bin/python3 " YF_PEER_NUMPY " " + std::to_string(runs);
    const std::unique_ptr<std::FILE, int (*)(std::FILE*)> pipe(::popen(command.c_str(), "r"),
                                                               &::pclose);
    char name[64];
    double time = 0.0;
    double check = 0.0;
    return pipe && std::fscanf(pipe.get(), "%63s %lf %lf", name, &time, &check) == 3 ? time : 0.0;
}

void printRatios() {
    // In turns, since a machine's pace changes from second to second: each round has all three, and
    // the least of each is compared.
    constexpr int rounds = 5;
    constexpr int runs = 10;
    double theirs = 1e9;
    double ours = 1e9;
    double bare = 1e9;
    for (int round = 0; round < rounds; ++round) {
        ours = std::min(ours, least(runs, &wholeMap));
        bare = std::min(bare, least(runs, &bareLoop));
        theirs = std::min(theirs, peer(runs));
    }
    std::printf("\nleast of %d runs in %d rounds, in the same run:\n", rounds * runs, rounds);
    std::printf("  10000 boxes x 96 points %.2f ms, %.1f ns a point\n",
                1e3 * ours,
                1e9 * ours / (1e4 * points));
    std::printf("  NumPy %.2f ms: %.1f times as long (goal 10)\n", 1e3 * theirs, theirs / ours);
    std::printf("  bare loop %.2f ms: ours takes %.2f times as long (goal at most 1.5)\n",
                1e3 * bare,
                ours / bare);
}

template <void (*run)()>
void timed(benchmark::State& state) {
    for (auto _ : state) {
        run();
    }
}

} // namespace

} // namespace yf::speed

BENCHMARK(yf::speed::timed<&yf::speed::wholeMap>)->Name("map")->Unit(benchmark::kMillisecond);
BENCHMARK(yf::speed::timed<&yf::speed::bareLoop>)->Name("bare")->Unit(benchmark::kMillisecond);

int main(int argc, char** argv) {
    benchmark::Initialize(&argc, argv);
    benchmark::RunSpecifiedBenchmarks();
    yf::speed::printRatios();
    return 0;
}
