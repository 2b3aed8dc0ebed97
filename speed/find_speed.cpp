// SPDX-License-Identifier: GPL-3.0-or-later
// Tuning beside SciPy's least squares on the same task, and how many whole networks are tried in a
// minute on one core and on all. Seeded drivers, so that every machine has the same work.
#include "core/sim/find_trial.h"
#include "core/tune/tune.h"
#include "speed/least.h"
#include "tests/support/networks.h"

#include <benchmark/benchmark.h>
#include <sched.h>

#include <chrono>
#include <cstdio>
#include <thread>

namespace {

using namespace yf;

tune::TuneRequest oneStart() {
    return {.network = test::networkFrom(test::twoWayOfEightParts()),
            .goal = {.from = 200.0,
                     .to = 12000.0,
                     .sumWeight = 1.0,
                     .minimum = 3.5,
                     .limits = {{"treble", {200.0, 900.0}, {-30.0, -14.0}}}},
            .starts = 1};
}

void tuned(benchmark::State& state) {
    const tune::TuneRequest request = oneStart();
    for (auto _ : state) {
        benchmark::DoNotOptimize(tune::tune(request));
    }
}

/// SciPy's time, its rms and its evaluations.
void printPeer() {
    std::FILE* pipe = popen("/usr/bin/python3 " YF_PEER_SCIPY_TUNE " 5", "r");
    double seconds = 0.0;
    double rms = 0.0;
    int evaluations = 0;
    const bool read =
        pipe != nullptr && std::fscanf(pipe, "tune %lf %lf %d", &seconds, &rms, &evaluations) == 3;
    if (pipe != nullptr) {
        pclose(pipe);
    }
    if (!read) {
        std::printf("\nSciPy did not answer\n");
        return;
    }
    const tune::TuneRequest request = oneStart();
    const double ours = speed::least(10, [&] { benchmark::DoNotOptimize(tune::tune(request)); });
    const auto answer = tune::tune(request);
    std::printf("\nEight parts tuned flat from one start, least of several runs\n"
                "  SciPy least_squares %8.1f ms   to %.3f dB rms\n"
                "  ours                %8.1f ms   to %.3f dB rms, floor and limits verified: %.0f "
                "times faster\n",
                1e3 * seconds,
                rms,
                1e3 * ours,
                answer ? answer->rms : 0.0,
                seconds / ours);
}

/// Keeps the process on so many of the cores that it may use; back to all with 0.
void useCores(int count) {
    static const cpu_set_t all = [] {
        cpu_set_t set;
        sched_getaffinity(0, sizeof set, &set);
        return set;
    }();
    cpu_set_t some = all;
    int kept = 0;
    for (int cpu = 0; count > 0 && cpu < CPU_SETSIZE; ++cpu) {
        if (CPU_ISSET(cpu, &some) && ++kept > count) {
            CPU_CLR(cpu, &some);
        }
    }
    sched_setaffinity(0, sizeof some, &some);
}

void printFinder(int ways) {
    const auto plan = find::planOf(sim::findRequest(sim::knownDrivers(7, 0, ways)));
    if (!plan) {
        return;
    }
    double alone = 0.0;
    for (const int cores : {1, 0}) {
        useCores(cores);
        find::Finder finder(*plan);
        std::size_t done = 0;
        const auto began = std::chrono::steady_clock::now();
        finder.run([&](const find::Progress& progress) {
            done = progress.done;
            return true;
        });
        const std::chrono::duration<double> took = std::chrono::steady_clock::now() - began;
        alone = cores == 1 ? took.count() : alone;
        constexpr double minute = 60.0;
        std::printf("  %d ways, %s: %5.1f s, %zu of %zu tried (%.0f a minute), %zu in the front",
                    ways,
                    cores == 1 ? "one core " : "all cores",
                    took.count(),
                    done,
                    finder.candidates(),
                    minute * static_cast<double>(done) / took.count(),
                    finder.front().size());
        if (cores == 1) {
            std::printf("\n");
        } else {
            std::printf(", %.2f times as fast as one of %u\n",
                        alone / took.count(),
                        std::thread::hardware_concurrency());
        }
    }
}

} // namespace

BENCHMARK(tuned)->Unit(benchmark::kMillisecond);

int main(int argc, char** argv) {
    benchmark::Initialize(&argc, argv);
    benchmark::RunSpecifiedBenchmarks();
    printPeer();
    std::printf("\nWhole networks, ending in E12\n");
    printFinder(2);
    printFinder(3);
    return 0;
}
