// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/evaluation/evaluate.h"

#include "core/evaluation/assemble.h"
#include "core/evaluation/bench.h"
#include "core/evaluation/cabinet_result.h"

#include <algorithm>
#include <atomic>
#include <future>
#include <thread>

namespace yf::evaluation {

namespace {

/// A box that has to be computed, and where its result goes.
struct MissingBox {
    BoxInputs in;
    std::size_t cabinet{};
    std::size_t place{};
};

/// Boxes of all cabinets, those that memory does not hold computed at once: a pair changes
/// together, and the hand waits for both.
void evaluateBoxes(const job::Job& job,
                   const Assembly& assembly,
                   Memory& memory,
                   std::vector<CabinetResult>& results) {
    std::vector<MissingBox> missing;
    for (std::size_t i = 0; i < job.cabinets.size(); ++i) {
        const job::Cabinet& cabinet = job.cabinets[i];
        for (const job::Enclosure& e : cabinet.boxes) {
            const auto known = assembly.boxDrivers.find(e.driver);
            if (known == assembly.boxDrivers.end()) {
                continue;
            }
            BoxInputs in = boxInputs(job, cabinet, e, known->second);
            const auto kept = memory.boxes.find(in);
            if (kept == nullptr) {
                missing.push_back({std::move(in), i, results[i].boxes.size()});
            }
            results[i].boxes.push_back(kept == nullptr ? BoxResult{} : *kept);
        }
    }
    Work begun{.part = Piece::box, .of = {}};
    for (const MissingBox& box : missing) {
        begun.of.push_back(job.cabinets[box.cabinet].id);
    }
    if (!missing.empty()) {
        memory.begin(begun);
    }
    std::vector<BoxResult> made(missing.size());
    std::atomic<std::size_t> next{0};
    const auto work = [&] {
        for (std::size_t m = next++; m < missing.size(); m = next++) {
            made[m] = boxResult(missing[m].in);
        }
    };
    // As many at once as there are processors, however many cabinets a job has.
    const std::size_t hands =
        std::min<std::size_t>(missing.size(), std::max(1U, std::thread::hardware_concurrency()));
    std::vector<std::future<void>> beside;
    for (std::size_t h = 1; h < hands; ++h) {
        beside.push_back(std::async(std::launch::async, work));
    }
    work();
    for (std::future<void>& hand : beside) {
        hand.get();
    }
    for (std::size_t m = 0; m < missing.size(); ++m) {
        results[missing[m].cabinet].boxes[missing[m].place] = made[m];
        memory.boxes.keep(std::move(missing[m].in), std::move(made[m]));
    }
}

std::vector<Neighbourhood> meetings(const NeighbourInputs& in) {
    return neighbourhoods(in);
}

/// A take of another network says nothing of the one that is drawn: then it is only named. So is
/// every notch of a part that is being turned, which makes another network of it.
std::optional<WiringTold> wiringOf(const job::Job& job,
                                   const job::Cabinet& cabinet,
                                   const std::shared_ptr<const CabinetResult>& result,
                                   Memory& memory) {
    auto in = wiringInputs(job, cabinet, result);
    if (!in) {
        return std::nullopt;
    }
    if (!in->ofThisNetwork) {
        return WiringTold{.take = in->take, .networkKnown = in->networkKnown};
    }
    return *memory.wirings.of(std::move(*in),
                              [](const WiringInputs& inputs) { return wiringTold(inputs); });
}

std::vector<DriverBench> benches(const BenchInputs& in) {
    std::vector<DriverBench> all;
    for (const job::Cabinet& cabinet : in.view.cabinets) {
        for (const job::Mount& mount : cabinet.mounts) {
            all.push_back(benchOf(in.view, in.readings, cabinet.id, mount.driver, *in.table));
        }
    }
    return all;
}

} // namespace

Evaluation
evaluate(const job::Job& job, const Assembly& assembly, const Tables& tables, Memory& memory) {
    YF_EXPECT(assembly.cabinets.size() == job.cabinets.size());
    Evaluation evaluation;
    for (std::size_t i = 0; i < job.cabinets.size(); ++i) {
        const job::Cabinet& cabinet = job.cabinets[i];
        memory.begin({Piece::network, {cabinet.id}});
        const auto result = memory.cabinets.of({.cabinet = cabinet.id,
                                                .circuit = cabinet.circuit,
                                                .target = cabinet.target,
                                                .assembled = assembly.cabinets[i]},
                                               evaluateCabinet);
        evaluation.cabinets.push_back(*result);
        evaluation.cabinets.back().neighbours =
            *memory.neighbours.of(neighbourInputs(job, result), meetings);
        evaluation.cabinets.back().wiring = wiringOf(job, cabinet, result, memory);
    }
    evaluateBoxes(job, assembly, memory, evaluation.cabinets);
    memory.begin({Piece::bench, {}});
    evaluation.table = tables.evidence;
    evaluation.bench = memory.benches.of(benchInputs(job, assembly.readings, tables), benches);
    return evaluation;
}

Evaluation evaluate(const job::Job& job, const Assembly& assembly, const Tables& tables) {
    Memory memory;
    return evaluate(job, assembly, tables, memory);
}

Evaluation evaluate(const job::Job& job, const Tables& tables) {
    Memory memory;
    const Assembly assembly = assemble(job, memory);
    return evaluate(job, assembly, tables, memory);
}

} // namespace yf::evaluation
