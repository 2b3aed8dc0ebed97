// SPDX-License-Identifier: GPL-3.0-or-later
// The network's two solvers beside ngspice as a library, in one run on one machine: a three-way of
// 13 slots, 577 points, one value changed before each solution so that nothing can be reused.
#include "core/network/circuit/ladder_edit.h"
#include "core/network/judge/tolerance.h"
#include "core/network/solve/solve.h"
#include "core/network/solve/sweep.h"
#include "core/tune/tune.h"
#include "speed/least.h"
#include "speed/peer_ngspice.h"
#include "tests/support/networks.h"
#include "tests/support/spice.h"

#include <benchmark/benchmark.h>

#include <algorithm>
#include <chrono>
#include <cstdio>
#include <cstdlib>
#include <filesystem>
#include <fstream>

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

/// ngspice as its users start it: a process for each run that reads the circuit and writes its AC
/// sweep to a file; seconds of the quickest of some.
double batchRun() {
    namespace fs = std::filesystem;
    const fs::path folder = fs::temp_directory_path();
    const std::string circuit = (folder / "yf-speed.cir").string();
    const std::string raw = (folder / "yf-speed.raw").string();
    std::ofstream(circuit) << test::spice::circuitOf("02-three-way-drivers.cir")
                           << "\n.ac dec 160 10 39810.7171\n.end\n";
    const std::string command = "ngspice -b -r " + raw + " " + circuit + " >/dev/null 2>/dev/null";
    constexpr int runs = 15;
    bool failed = false;
    const double seconds =
        speed::least(runs, [&] { failed = std::system(command.c_str()) != 0 || failed; });
    const bool written = fs::exists(raw) && fs::file_size(raw) > 0;
    fs::remove(circuit);
    fs::remove(raw);
    return failed || !written ? 0.0 : seconds;
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
    const double batch = batchRun();
    std::printf("  ngspice process  %8.1f us\n", 1e6 * batch);
    std::printf("  section tree     %8.1f us   %6.0f times the library (goal: 100), %.0f times the "
                "process (500)\n",
                1e6 * byLadder,
                theirs / byLadder,
                batch / byLadder);
    std::printf("  nodal            %8.1f us   %6.0f times the library (goal: 50), %.0f times the "
                "process (300)\n",
                1e6 * byNodal,
                theirs / byNodal,
                batch / byNodal);
    network::Sweep sweep(bench().network.circuit, bench().loads);
    double value = sweep.parts()[0].value;
    const auto all = [&](bool slopes) {
        sweep.setValue(0, value += 1e-9);
        for (std::size_t block = 0; block < sweep.grid().blocks(); ++block) {
            sweep.run(block);
            if (slopes) {
                sweep.differentiate({}, true);
            }
        }
    };
    const double plain = speed::least(runs, [&] { all(false); });
    const double withSlopes = speed::least(runs, [&] { all(true); });
    std::printf(
        "  tree again       %8.1f us   with the slopes of all %zu parts %.1f us: %.1f times "
        "(goal: at most 3)\n",
        1e6 * plain,
        sweep.parts().size(),
        1e6 * withSlopes,
        withSlopes / plain);
    constexpr int draws = 1000;
    const network::ToleranceRequest request{.network = bench().network, .runs = draws};
    const double cloud = speed::least(5, [&] {
        benchmark::DoNotOptimize(
            network::tolerance(bench().network.circuit, bench().loads, request));
    });
    std::printf("  %d draws of tolerances %.1f ms, %.1f tree solutions each\n",
                draws,
                1e3 * cloud,
                cloud / draws / byLadder);
    const auto twoWay = test::networkFrom(test::twoWayOfEightParts());
    const tune::TuneRequest tune{.network = twoWay,
                                 .goal = {.from = 200.0,
                                          .to = 12000.0,
                                          .sumWeight = 1.0,
                                          .minimum = 3.5,
                                          .limits = {{"treble", {200.0, 900.0}, {-30.0, -14.0}}}}};
    const double tuned = speed::least(10, [&] { benchmark::DoNotOptimize(tune::tune(tune)); });
    std::printf("  tune of a two-way, 8 starts, all cores %.1f ms (goal: 50, so that it may run "
                "while a slider is held), as long as %.1f runs of ngspice\n",
                1e3 * tuned,
                tuned / theirs);
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
