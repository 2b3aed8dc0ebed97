// SPDX-License-Identifier: GPL-3.0-or-later
// The network's two solvers beside ngspice as a library, in one run on one machine: a three-way of
// 13 slots, 577 points, one value changed before each solution so that nothing can be reused.
#include "core/network/ladder_edit.h"
#include "core/network/solve.h"
#include "speed/least.h"
#include "speed/peer_ngspice.h"
#include "tests/support/networks.h"
#include "tests/support/spice.h"

#include <benchmark/benchmark.h>

#include <algorithm>
#include <chrono>
#include <cstdio>

namespace {

using namespace yf;

struct Bench {
    network::Network network = test::networkFrom(test::threeWayOfThirteenSlots());
    network::PreparedLoads loads{network::loadsOn(network, curve::designAxis()).value()};
    network::Part coil = network::findPart(network.circuit, "L1").value();
    double step{};

    /// The circuit with another value of L1 each time, changed in place.
    network::Circuit& next() {
        step += 1e-9;
        for (network::Slot& slot :
             std::get<network::Ways>(network.circuit.tree()->end).sections[0].ladder) {
            if (auto* series = std::get_if<network::SeriesSlot>(&slot);
                series != nullptr && series->port.part()->id == "L1") {
                series->port.part()->value = coil.value + step;
            }
        }
        return network.circuit;
    }
};

Bench& bench() {
    static Bench made;
    return made;
}

speed::Ngspice& peer() {
    static speed::Ngspice made(test::spice::circuitOf("02-three-way-drivers.cir"),
                               "ac dec 160 10 39810.7171");
    return made;
}

void solveBy(benchmark::State& state, network::Method method) {
    for (auto _ : state) {
        benchmark::DoNotOptimize(network::solve(bench().next(), bench().loads, method));
    }
}

void ladder(benchmark::State& state) {
    solveBy(state, network::Method::ladder);
}

void nodal(benchmark::State& state) {
    solveBy(state, network::Method::nodal);
}

void ngspice(benchmark::State& state) {
    double henry = 3.3e-3;
    for (auto _ : state) {
        henry += 1e-9;
        if (peer().run("l1", henry) != 577) {
            state.SkipWithError("ngspice gave other points");
        }
    }
}

void printRatios() {
    constexpr int runs = 400;
    double henry = 3.3e-3;
    const auto solve = [](network::Method method) {
        benchmark::DoNotOptimize(network::solve(bench().next(), bench().loads, method));
    };
    const double theirs = speed::least(runs, [&] { peer().run("l1", henry += 1e-9); });
    const double byLadder = speed::least(runs, [&] { solve(network::Method::ladder); });
    const double byNodal = speed::least(runs, [&] { solve(network::Method::nodal); });
    std::printf("\nthree-way of 13 slots, 577 points, least of %d runs, same process:\n", runs);
    std::printf("  ngspice library  %8.1f us\n", 1e6 * theirs);
    std::printf("  section tree     %8.1f us   %6.0f times faster (goal: 100)\n",
                1e6 * byLadder,
                theirs / byLadder);
    std::printf("  nodal            %8.1f us   %6.0f times faster (goal: 50)\n",
                1e6 * byNodal,
                theirs / byNodal);
}

} // namespace

BENCHMARK(ladder)->Unit(benchmark::kMicrosecond);
BENCHMARK(nodal)->Unit(benchmark::kMicrosecond);
BENCHMARK(ngspice)->Unit(benchmark::kMicrosecond);

int main(int argc, char** argv) {
    benchmark::Initialize(&argc, argv);
    benchmark::RunSpecifiedBenchmarks();
    printRatios();
    return 0;
}
