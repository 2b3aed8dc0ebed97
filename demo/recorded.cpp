// SPDX-License-Identifier: GPL-3.0-or-later
#include "demo/recorded.h"

#include "core/edit/measurement.h"
#include "core/sim/sound_bench.h"
#include "core/take/make.h"
#include "demo/drivers.h"

#include <cmath>
#include <future>
#include <map>
#include <span>

namespace yf::demo {

namespace {

constexpr const char* day = "2026-03-14";

struct Wanted {
    const char* cabinet;
    const char* driver; ///< "": the whole cabinet
    job::TakeKind kind;
    double start; ///< Hz
    double duration{0.8};
    job::MicPlace place{};
    double distance{1.0}; ///< m
};

constexpr Wanted wanted[] = {
    {"left", "", job::TakeKind::response, 20.0},
    {"left", "", job::TakeKind::impedance, 10.0},
    {"right", "", job::TakeKind::response, 20.0},
    {"right", "", job::TakeKind::impedance, 10.0},
    {"left", "left-sorrel", job::TakeKind::response, 50.0},
    {"left", "left-sorrel", job::TakeKind::impedance, 15.0},
    {"right", "right-sorrel", job::TakeKind::response, 50.0},
    {"right", "right-sorrel", job::TakeKind::impedance, 15.0},
    {"left", "left-teasel", job::TakeKind::response, 500.0},
};

/// Joined after the sets of angles. Shorter: enough for drivers that nothing is wrong with.
constexpr double brief = 0.5;
constexpr double close = 0.005; // m
constexpr Wanted wantedLater[] = {
    {"right", "right-teasel", job::TakeKind::response, 500.0, brief},
    {"left", "left-teasel", job::TakeKind::impedance, 100.0, brief},
    {"right", "right-teasel", job::TakeKind::impedance, 100.0, brief},
    {"left", "left-brome", job::TakeKind::response, 20.0, brief},
    {"left", "left-brome", job::TakeKind::impedance, 10.0, brief},
    {"right", "right-brome", job::TakeKind::response, 20.0, brief},
    {"right", "right-brome", job::TakeKind::impedance, 10.0, brief},
    {"left", "left-brome", job::TakeKind::response, 10.0, brief, job::MicPlace::nearCone, close},
};

Result<job::Take> recordOne(sim::SoundBench bench, const Wanted& w, int seed) {
    bench.chain.seed = seed;
    const bool impedance = w.kind == job::TakeKind::impedance;
    take::TakeOrder order{.kind = w.kind,
                          .recorded = {.cabinet = w.cabinet,
                                       .driver = w.driver,
                                       .place = w.place,
                                       .condition = "as received",
                                       .device = "Simulated bench",
                                       .simulated = true,
                                       .sweep = {.start = w.start,
                                                 .end = 22000.0,
                                                 .duration = w.duration,
                                                 .level = -20.0,
                                                 .silenceBefore = 0.25,
                                                 .silenceAfter = impedance ? 0.6 : 0.3},
                                       .temperature = 19.0},
                          .date = day,
                          .distance = w.distance};
    if (impedance) {
        order.recorded.sense = 10.0;
        order.recorded.lead = bench.lead;
    } else {
        order.recorded.fullScalePressure = bench.fullScalePressure;
        order.recorded.fullScaleVoltage = bench.fullScaleVoltage;
    }
    YF_TRY(sweep, signal::makeSweep(order.recorded.sweep));
    const auto play = signal::playSignal(sweep);
    sim::Heard heard = impedance ? sim::hearJig(bench, play, sweep.rate)
                                 : sim::hearResponse(bench, play, sweep.rate);
    order.recording = {sweep.rate, std::move(heard.measured), std::move(heard.reference)};
    YF_TRY(made, take::makeTake(order));
    return std::move(made.take);
}

/// A set of angles as it would come from files: curves without samples.
std::vector<job::Take> angles(const sim::SoundBench& onAxis, const job::Cabinet& cabinet) {
    std::vector<job::Take> set;
    for (const double angle : {-60.0, -30.0, -15.0, 15.0, 30.0, 60.0}) {
        const sim::SoundBench bench = sim::turned(onAxis, cabinet, angle);
        const curve::Axis axis = curve::within(curve::designAxis(), 200.0, 20000.0);
        std::vector<curve::Complex> values;
        for (const double f : axis) {
            values.push_back(bench.pressure(f) * quantity::referenceVoltage);
        }
        job::Take take{.kind = job::TakeKind::response,
                       .name = std::string(angle > 0.0 ? "right " : "left ") +
                               std::to_string(static_cast<int>(std::abs(angle))),
                       .understood = YF_WORDS("core", "One of a set of angles."),
                       .date = day};
        take.recorded = {.cabinet = cabinet.id,
                         .angle = angle,
                         .condition = "as received",
                         .device = "Simulated bench",
                         .simulated = true};
        take.curve =
            std::make_shared<const curve::Curve>(axis, std::move(values), curve::Phase::common);
        set.push_back(std::move(take));
    }
    return set;
}

} // namespace

edit::Edit recordBoxes(const std::vector<WooferInBox>& woofers) {
    return {"Sweep the woofers in their cabinets",
            [woofers](const job::Job& job) -> Result<job::Job> {
                job::Job changed = job;
                unsigned seed = 4601;
                for (const WooferInBox& w : woofers) {
                    job::Take take{.id = "take-" + std::to_string(changed.takes.size() + 1),
                                   .kind = job::TakeKind::impedance,
                                   .name = w.driver + "-in-its-cabinet.txt",
                                   .understood =
                                       YF_WORDS("core", "The woofer's lugs, network taken off."),
                                   .date = day};
                    take.recorded = {.cabinet = w.cabinet,
                                     .driver = w.driver,
                                     .condition = "as received",
                                     .device = "Simulated bench",
                                     .simulated = true};
                    take.recorded.mounting = job::Mounting::ventedBox;
                    take.curve = std::make_shared<const curve::Curve>(
                        impedanceInBox(w.woofer, w.box, seed++));
                    take.curveKey = job::curveKey(*take.curve);
                    changed.takes.push_back(std::move(take));
                }
                return changed;
            },
            {},
            {}};
}

edit::Edit recordAsReceived() {
    return {"Record the pair as received",
            [](const job::Job& job) -> Result<job::Job> {
                job::Job changed = job;
                const auto join = [&](job::Take take) {
                    take.id = "take-" + std::to_string(changed.takes.size() + 1);
                    take.curveKey = job::curveKey(*take.curve);
                    if (const job::Cabinet* whole = job::findCabinet(job, take.recorded.cabinet);
                        take.recorded.driver.empty() && whole != nullptr) {
                        take.recorded.network = job::networkKey(whole->circuit);
                    }
                    changed.takes.push_back(std::move(take));
                };
                int seed = 1;
                std::map<std::string, sim::SoundBench> benches;
                // One bench for each place; the whole cabinet's is costly. Recording is done on all
                // cores, since every start with the demo waits for it.
                using Awaited = std::vector<std::future<Result<job::Take>>>;
                const auto begin = [&](std::span<const Wanted> list,
                                       Awaited& awaited) -> std::optional<Error> {
                    for (const Wanted& w : list) {
                        const std::string what =
                            std::string(w.cabinet) + ' ' + w.driver +
                            std::string(static_cast<std::size_t>(w.place), '*');
                        if (!benches.contains(what)) {
                            auto bench = sim::soundBench(job,
                                                         {.cabinet = w.cabinet,
                                                          .driver = w.driver,
                                                          .place = w.place,
                                                          .distance = w.distance});
                            if (!bench) {
                                return bench.error();
                            }
                            benches.emplace(what, std::move(*bench));
                        }
                        awaited.push_back(std::async(
                            std::launch::async, [bench = benches.at(what), w, seed]() mutable {
                                return recordOne(std::move(bench), w, seed);
                            }));
                        ++seed;
                    }
                    return std::nullopt;
                };
                const auto finish = [&](Awaited& awaited) -> std::optional<Error> {
                    for (auto& one : awaited) {
                        auto take = one.get();
                        if (!take) {
                            return take.error();
                        }
                        join(std::move(*take));
                    }
                    return std::nullopt;
                };
                Awaited first;
                Awaited later;
                if (auto error = begin(wanted, first)) {
                    return *error;
                }
                if (auto error = begin(wantedLater, later)) {
                    return *error;
                }
                if (auto error = finish(first)) {
                    return *error;
                }
                for (const std::string cabinet : {"left", "right"}) {
                    for (job::Take& take :
                         angles(benches.at(cabinet + ' '), *job::findCabinet(job, cabinet))) {
                        join(std::move(take));
                    }
                }
                if (auto error = finish(later)) {
                    return *error;
                }
                return changed;
            },
            {}};
}

edit::Edit recordOneShort() {
    return {"Record the tweeter",
            [](const job::Job& job) -> Result<job::Job> {
                const Wanted w{"projection", "teasel", job::TakeKind::response, 1000.0, 0.1};
                YF_TRY(bench,
                       sim::soundBench(
                           job, {.cabinet = w.cabinet, .driver = w.driver, .distance = 1.0}));
                YF_TRY(take, recordOne(std::move(bench), w, 1));
                // Whatever a file of the present version can hold of how a take was made.
                take.recorded.cardTable = "20 0\n20000 0\n";
                take.recorded.calibration = "sound card";
                return edit::addRecordedTake(std::move(take)).apply(job);
            },
            {}};
}

} // namespace yf::demo
