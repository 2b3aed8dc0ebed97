// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/job/evaluate.h"

#include "core/job/box_study.h"
#include "core/job/directions.h"
#include "core/job/facts.h"
#include "core/network/solve.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <future>

namespace yf::job {

namespace {

using curve::Axis;
using curve::Complex;
using curve::Range;

/// Band of the sensitivity figure (docs/theory/speaker.md).
constexpr Range sensitivityBand{200.0, 4000.0};

/// A way this far below the sum cannot spoil its trust (rule of thumb: 1 dB of it moves the sum
/// by 0.1 dB).
constexpr double negligible = 20.0;

network::Role roleOf(Band band) {
    switch (band) {
    case Band::sub:
    case Band::low:
        return network::Role::bass;
    case Band::mid:
        return network::Role::mid;
    case Band::high:
    case Band::top:
        return network::Role::treble;
    }
    return network::Role::bass;
}

/// Drivers of a cabinet's network, each once, in writing order.
std::vector<const Driver*> driversOf(const Job& job, const Cabinet& cabinet) {
    std::vector<const Driver*> drivers;
    for (const network::DriverEnd& end : network::driverEnds(cabinet.circuit)) {
        const Driver* driver = findDriver(job, end.driver);
        if (driver != nullptr && std::ranges::find(drivers, driver) == drivers.end()) {
            drivers.push_back(driver);
        }
    }
    return drivers;
}

struct Survey {
    Range common{0.0, 1e9};
    std::vector<std::string> missing;
    bool impedances{true};
    bool responses{true};
};

void narrow(Range& range, const curve::Curve& curve) {
    range.from = std::max(range.from, curve.extent().from);
    range.to = std::min(range.to, curve.extent().to);
}

Survey survey(const Job& job, const std::vector<const Driver*>& drivers) {
    Survey s;
    for (const Driver* driver : drivers) {
        const Take* impedance = takeInUse(job, *driver, TakeKind::impedance);
        const Take* response = takeInUse(job, *driver, TakeKind::response);
        if (impedance == nullptr) {
            s.impedances = false;
            s.missing.push_back(driver->name +
                                " has no impedance yet: nothing can be computed for this cabinet.");
        } else if (impedance->curve->phase() == curve::Phase::none) {
            s.impedances = false;
            s.missing.push_back(
                driver->name +
                ": its impedance has no phase. Measure it with phase, or use the minimum phase.");
        } else {
            narrow(s.common, *impedance->curve);
        }
        if (response == nullptr) {
            s.responses = false;
            s.missing.push_back(driver->name + " has no response yet: no sum can be shown.");
        } else if (response->curve->phase() == curve::Phase::none) {
            s.responses = false;
            s.missing.push_back(driver->name +
                                ": its response has no phase, so it cannot be summed. Use the "
                                "minimum phase, which knows no flight time.");
        }
    }
    if (s.responses) {
        for (const Driver* driver : drivers) {
            narrow(s.common, *takeInUse(job, *driver, TakeKind::response)->curve);
        }
    }
    return s;
}

std::vector<Complex> onAxis(const curve::Curve& curve, const Axis& axis) {
    auto values = curve::interpolate(curve, axis);
    YF_EXPECT(values.ok()); // the axis was cut to what every curve covers
    return std::move(*values);
}

/// What the saw has moved sounds from where it sits now.
void carryOn(std::vector<Complex>& pressure,
             const Job& job,
             const Cabinet& cabinet,
             const Driver& driver,
             const Axis& axis) {
    const auto mount = std::ranges::find(cabinet.mounts, driver.id, &Mount::driver);
    const auto carry =
        mount == cabinet.mounts.end() ? std::nullopt : moved(job, cabinet, *mount, axis);
    for (std::size_t k = 0; carry && k < pressure.size(); ++k) {
        pressure[k] *= (*carry)[k];
    }
}

/// The loads as taken, each from where its driver sits now.
void placeLoads(const Job& job, const Cabinet& cabinet, AssembledCabinet& assembled) {
    network::Loads loads = *assembled.taken;
    for (network::Load& load : loads.drivers) {
        if (load.pressure) {
            carryOn(*load.pressure, job, cabinet, *findDriver(job, load.driver), assembled.axis);
        }
    }
    assembled.loads = std::make_shared<const network::PreparedLoads>(std::move(loads));
}

/// Whether drivers that were moved since they were taken sit alike, listened to alike.
bool sameMoves(const Cabinet& a, const Cabinet& b) {
    const auto anyMoved = [](const Cabinet& c) {
        return std::ranges::any_of(c.mounts, [](const Mount& m) { return m.taken.has_value(); });
    };
    return !(anyMoved(a) || anyMoved(b)) || (a.mounts == b.mounts && a.seat.axis == b.seat.axis);
}

AssembledCabinet assembleCabinet(const Job& job, const Cabinet& cabinet) {
    const auto drivers = driversOf(job, cabinet);
    Survey s = survey(job, drivers);
    AssembledCabinet assembled{.missing = std::move(s.missing),
                               .hasImpedances = s.impedances && !drivers.empty(),
                               .hasResponses = s.responses};
    if (!assembled.hasImpedances) {
        return assembled;
    }
    assembled.axis = curve::within(curve::designAxis(), s.common.from, s.common.to);
    constexpr std::size_t leastPoints = 3;
    if (assembled.axis.size() < leastPoints) {
        assembled.hasImpedances = false;
        assembled.missing.emplace_back(
            "The curves in use share no range of frequencies, so nothing can be computed.");
        return assembled;
    }
    network::Network bare;
    network::Loads loads{.axis = assembled.axis};
    for (const Driver* driver : drivers) {
        const curve::Curve& Z = *takeInUse(job, *driver, TakeKind::impedance)->curve;
        network::Load load{.driver = driver->id,
                           .impedance = onAxis(Z, assembled.axis),
                           .role = roleOf(driver->band),
                           .dcResistance = network::dcResistance(Z)};
        if (assembled.hasResponses) {
            const curve::Curve& p = *takeInUse(job, *driver, TakeKind::response)->curve;
            load.pressure = onAxis(p, assembled.axis);
            assembled.trusted.emplace(driver->id, p.trusted());
        }
        loads.drivers.push_back(std::move(load));
        bare.drivers.push_back({.name = driver->id, .impedance = Z, .role = roleOf(driver->band)});
    }
    assembled.impedances = network::loadSource(bare);
    if (const Axis audible = network::audibleAxis(s.common); audible.front() < audible.back()) {
        auto onAudible = assembled.impedances(audible);
        YF_EXPECT(onAudible.ok()); // within what every curve covers
        for (const network::Load& load : onAudible->drivers) {
            assembled.without.emplace(load.driver,
                                      std::make_shared<const network::PreparedLoads>(
                                          network::withoutDriver(*onAudible, load.driver)));
        }
        assembled.audible = std::make_shared<const network::PreparedLoads>(std::move(*onAudible));
    }
    assembled.taken = std::make_shared<const network::Loads>(std::move(loads));
    placeLoads(job, cabinet, assembled);
    return assembled;
}

/// Mean over ln f by the trapezium rule of something given at each point of the axis.
template <class F>
std::optional<double> logMean(const Axis& axis, const Range& range, F&& value) {
    double sum = 0.0;
    double width = 0.0;
    for (std::size_t k = 1; k < axis.size(); ++k) {
        if (range.holds(axis[k - 1]) && range.holds(axis[k])) {
            const double step = std::log(axis[k] / axis[k - 1]);
            sum += 0.5 * step * (value(k - 1) + value(k));
            width += step;
        }
    }
    return width > 0.0 ? std::optional(sum / width) : std::nullopt;
}

double levelOf(const Complex& p) {
    return quantity::decibels(std::abs(p) / quantity::referencePressure);
}

std::optional<CorridorResult> judgeCorridor(const Target& target, const CabinetResult& result) {
    const Range range{target.from, target.to};
    const auto level = [&](std::size_t k) { return levelOf(result.sum[k]); };
    const auto mean = logMean(result.axis, range, level);
    if (!mean) {
        return std::nullopt;
    }
    CorridorResult corridor{.level = target.level.value_or(*mean), .judged = {1e12, 0.0}};
    for (std::size_t k = 0; k < result.axis.size(); ++k) {
        const double f = result.axis[k];
        if (range.holds(f) && result.trusted[k]) {
            corridor.judged = {std::min(corridor.judged.from, f), std::max(corridor.judged.to, f)};
            const double off = std::abs(level(k) - corridor.level);
            if (off > corridor.deviation) {
                corridor.deviation = off;
                corridor.worstAt = f;
            }
        }
    }
    return corridor.judged.to > 0.0 ? std::optional(corridor) : std::nullopt;
}

/// The sum is trusted where every way that matters in it is.
std::vector<bool> trustOf(const CabinetResult& result,
                          const std::map<std::string, Range>& trusted) {
    std::vector<bool> sure(result.axis.size(), true);
    for (const WayResult& way : result.ways) {
        const Range range = trusted.at(way.driver);
        for (std::size_t k = 0; k < result.axis.size(); ++k) {
            const bool matters = levelOf(way.pressure[k]) > levelOf(result.sum[k]) - negligible;
            if (matters && !range.holds(result.axis[k])) {
                sure[k] = false;
            }
        }
    }
    return sure;
}

void sumUp(const Cabinet& cabinet,
           const AssembledCabinet& assembled,
           const network::Solution& solution,
           CabinetResult& result) {
    const auto pressures = network::pressures(cabinet.circuit, assembled.loads->loads(), solution);
    YF_EXPECT(pressures.ok());
    result.sum = pressures->sum;
    for (std::size_t w = 0; w < result.ways.size(); ++w) {
        WayResult& way = result.ways[w];
        way.pressure = pressures->ways[w];
        way.reversedSum = result.sum;
        for (std::size_t k = 0; k < result.sum.size(); ++k) {
            way.reversedSum[k] -= 2.0 * way.pressure[k];
        }
    }
    result.trusted = trustOf(result, assembled.trusted);
    const auto energy = logMean(
        result.axis, sensitivityBand, [&](std::size_t k) { return std::norm(result.sum[k]); });
    if (energy) {
        // The drive may be another; sensitivity is always stated for 2.83 V.
        const double scale = quantity::referenceVoltage / cabinet.circuit.source.voltage;
        result.sensitivity = levelOf(std::sqrt(*energy) * scale);
    }
    result.corridor = judgeCorridor(cabinet.target, result);
}

CabinetResult evaluateCabinet(const Cabinet& cabinet, const AssembledCabinet& assembled) {
    CabinetResult result{
        .cabinet = cabinet.id, .axis = assembled.axis, .missing = assembled.missing};
    for (const network::Part& part : network::parts(cabinet.circuit)) {
        ++result.parts;
        result.pricedParts += part.price ? 1U : 0U;
        result.price += part.price.value_or(0.0);
    }
    const auto ends = network::driverEnds(cabinet.circuit);
    const auto names = network::wayNames(cabinet.circuit);
    for (std::size_t w = 0; w < ends.size(); ++w) {
        result.ways.push_back(
            {.name = names[w], .driver = ends[w].driver, .polarity = ends[w].polarity});
    }
    if (!assembled.hasImpedances) {
        return result;
    }
    auto solution = network::solve(cabinet.circuit, *assembled.loads);
    if (!solution) {
        result.missing.push_back(text::sentence(solution.error()));
        return result;
    }
    for (std::size_t w = 0; w < ends.size(); ++w) {
        result.ways[w].drive = solution->drives[w];
    }
    result.impedance = solution->impedances;
    if (assembled.audible) {
        const auto least =
            network::leastImpedance(cabinet.circuit, assembled.impedances, *assembled.audible);
        const auto stress = network::leastEpdr(cabinet.circuit, *assembled.audible);
        YF_EXPECT(least.ok() && stress.ok());
        result.leastImpedance = *least;
        result.leastEpdr = *stress;
        for (const auto& [driver, loads] : assembled.without) {
            const auto unloaded = network::leastImpedanceWithout(
                cabinet.circuit, assembled.impedances, *loads, driver);
            YF_EXPECT(unloaded.ok());
            result.unloaded.emplace(driver, unloaded->ohms);
        }
    }
    if (assembled.hasResponses) {
        sumUp(cabinet, assembled, *solution, result);
    }
    return result;
}

/// Whether a box is what it was: its own wood, and what of the cabinet it works with.
bool sameBox(const Cabinet& before, const Cabinet& after, const Enclosure& e) {
    const auto old = std::ranges::find(before.boxes, e.driver, &Enclosure::driver);
    return old != before.boxes.end() && *old == e && before.width == after.width &&
           before.height == after.height && before.depth == after.depth &&
           before.mounts == after.mounts &&
           seriesResistance(before, e.driver) == seriesResistance(after, e.driver);
}

struct EarlierCabinet {
    const Cabinet* cabinet{};
    const CabinetResult* result{};
};

void evaluateBoxes(const Job& job,
                   const Cabinet& cabinet,
                   const Assembly& assembly,
                   const EarlierCabinet& earlier,
                   CabinetResult& result) {
    for (const Enclosure& e : cabinet.boxes) {
        const auto known = assembly.boxDrivers.find(e.driver);
        if (known == assembly.boxDrivers.end()) {
            continue;
        }
        const BoxResult* old = earlier.cabinet != nullptr && sameBox(*earlier.cabinet, cabinet, e)
                                   ? earlier.result->box(e.driver)
                                   : nullptr;
        result.boxes.push_back(old != nullptr ? *old : boxResult(job, cabinet, e, known->second));
    }
}

/// All that is measured of a driver and what is written of it is as it was.
bool sameDriver(const Job& before, const Job& after, const std::string& id) {
    const Driver* a = findDriver(before, id);
    const Driver* b = findDriver(after, id);
    if (a == nullptr || b == nullptr || a->sheet != b->sheet || a->band != b->band ||
        a->diameter != b->diameter || a->impedanceTake != b->impedanceTake) {
        return false;
    }
    const auto ofDriver = [&](const Job& job) {
        std::vector<std::string> keys;
        for (const Take& take : job.takes) {
            if (take.kind == TakeKind::impedance &&
                (take.recorded.driver == id || take.id == a->impedanceTake)) {
                keys.push_back(take.id + take.curveKey +
                               std::to_string(static_cast<int>(take.recorded.mounting)));
            }
        }
        return keys;
    };
    return ofDriver(before) == ofDriver(after);
}

void assembleBox(const Job& job,
                 const std::string& driver,
                 const EarlierAssembly* earlier,
                 Assembly& assembly) {
    if (earlier != nullptr && sameDriver(earlier->job, job, driver)) {
        const auto known = earlier->assembly.boxDrivers.find(driver);
        if (known != earlier->assembly.boxDrivers.end()) {
            assembly.boxDrivers.insert(*known);
            const auto read = earlier->assembly.boxReads.find(driver);
            if (read != earlier->assembly.boxReads.end()) {
                assembly.boxReads.insert(*read);
            }
            return;
        }
    }
    if (const Driver* found = findDriver(job, driver)) {
        assembly.boxDrivers.emplace(driver, boxDriver(job, *found));
    }
    for (const Take* take : boxTakes(job, driver)) {
        // The newest that can be read.
        if (auto read = readTake(*take)) {
            assembly.boxReads.insert_or_assign(driver, std::move(*read));
        }
    }
}

} // namespace

namespace {

/// Its curves in use are the same, and believed alike.
bool sameCurves(const Job& before, const Job& after, const std::string& id) {
    const Driver* a = findDriver(before, id);
    const Driver* b = findDriver(after, id);
    if (a == nullptr || b == nullptr || *a != *b) {
        return false;
    }
    return std::ranges::all_of(
        std::array{TakeKind::impedance, TakeKind::response}, [&](TakeKind kind) {
            const Take* one = takeInUse(before, *a, kind);
            const Take* two = takeInUse(after, *b, kind);
            return (one == nullptr) == (two == nullptr) &&
                   (one == nullptr || (one->id == two->id && one->curveKey == two->curveKey &&
                                       one->distance == two->distance));
        });
}

/// A cabinet whose drivers and takes are as before: only what was moved is placed anew.
AssembledCabinet
assembleAsBefore(const Job& job, const Cabinet& cabinet, const EarlierAssembly* earlier) {
    const auto index = [&] {
        const auto& before = earlier->job.cabinets;
        return static_cast<std::size_t>(std::ranges::find(before, cabinet.id, &Cabinet::id) -
                                        before.begin());
    };
    if (earlier == nullptr || index() >= earlier->assembly.cabinets.size()) {
        return assembleCabinet(job, cabinet);
    }
    const Cabinet& before = earlier->job.cabinets[index()];
    const auto ends = network::driverEnds(cabinet.circuit);
    const bool same = std::ranges::equal(network::driverEnds(before.circuit),
                                         ends,
                                         {},
                                         &network::DriverEnd::driver,
                                         &network::DriverEnd::driver) &&
                      std::ranges::all_of(ends, [&](const network::DriverEnd& end) {
                          return sameDriver(earlier->job, job, end.driver) &&
                                 sameCurves(earlier->job, job, end.driver);
                      });
    if (!same) {
        return assembleCabinet(job, cabinet);
    }
    AssembledCabinet again = earlier->assembly.cabinets[index()];
    if (again.taken && !sameMoves(before, cabinet)) {
        placeLoads(job, cabinet, again);
    }
    return again;
}

} // namespace

Assembly assemble(const Job& job, const EarlierAssembly* earlier) {
    Assembly assembly;
    for (const Cabinet& cabinet : job.cabinets) {
        assembly.cabinets.push_back(assembleAsBefore(job, cabinet, earlier));
    }
    for (const Driver& driver : job.drivers) {
        if (earlier != nullptr && sameDriver(earlier->job, job, driver.id)) {
            const auto known = earlier->assembly.readings.find(driver.id);
            if (known != earlier->assembly.readings.end()) {
                assembly.readings.insert(*known);
            }
            continue;
        }
        const Take* take = takeInUse(job, driver, TakeKind::impedance);
        if (take != nullptr && take->curve->phase() != curve::Phase::none) {
            assembly.readings.emplace(driver.id,
                                      DriverReading{network::dcResistance(*take->curve),
                                                    driver::resonance(*take->curve)});
        }
    }
    for (const Cabinet& cabinet : job.cabinets) {
        for (const Enclosure& e : cabinet.boxes) {
            assembleBox(job, e.driver, earlier, assembly);
        }
    }
    return assembly;
}

bool sameMeasurements(const Job& before, const Job& after) {
    if (before.drivers != after.drivers || before.takes.size() != after.takes.size() ||
        before.cabinets.size() != after.cabinets.size()) {
        return false;
    }
    const auto sameTake = [](const Take& a, const Take& b) {
        return a.id == b.id && a.curveKey == b.curveKey;
    };
    if (!std::ranges::equal(before.takes, after.takes, sameTake)) {
        return false;
    }
    const auto sameDrivers = [](const Cabinet& a, const Cabinet& b) {
        return a.id == b.id &&
               std::ranges::equal(network::driverEnds(a.circuit),
                                  network::driverEnds(b.circuit),
                                  {},
                                  &network::DriverEnd::driver,
                                  &network::DriverEnd::driver) &&
               std::ranges::equal(a.boxes, b.boxes, {}, &Enclosure::driver, &Enclosure::driver) &&
               sameMoves(a, b);
    };
    return std::ranges::equal(before.cabinets, after.cabinets, sameDrivers);
}

const BoxResult* CabinetResult::box(const std::string& driver) const {
    const auto found = std::ranges::find(boxes, driver, &BoxResult::driver);
    return found == boxes.end() ? nullptr : &*found;
}

const DriverBench* Evaluation::findBench(const std::string& cabinet,
                                         const std::string& driver) const {
    const auto found = std::ranges::find_if(
        *bench, [&](const DriverBench& b) { return b.cabinet == cabinet && b.driver == driver; });
    return found == bench->end() ? nullptr : &*found;
}

const CabinetResult* Evaluation::find(const std::string& cabinet) const {
    const auto found = std::ranges::find(cabinets, cabinet, &CabinetResult::cabinet);
    return found == cabinets.end() ? nullptr : &*found;
}

namespace {

/// What the bench says hangs on readings, drivers, and who stands where beside whom.
bool sameBench(const Job& before, const Job& after) {
    const auto sameFront = [](const Cabinet& a, const Cabinet& b) {
        return a.id == b.id && a.twin == b.twin && a.mounts == b.mounts &&
               a.protectors == b.protectors && a.noProtectors == b.noProtectors &&
               a.noControls == b.noControls;
    };
    return before.readings == after.readings && before.drivers == after.drivers &&
           std::ranges::equal(before.cabinets, after.cabinets, sameFront);
}

std::shared_ptr<const std::vector<DriverBench>>
benches(const Job& job, const Assembly& assembly, const bench::EvidenceTable& table) {
    auto all = std::make_shared<std::vector<DriverBench>>();
    for (const Cabinet& cabinet : job.cabinets) {
        for (const Mount& mount : cabinet.mounts) {
            all->push_back(benchOf(job, assembly, cabinet.id, mount.driver, table));
        }
    }
    return all;
}

} // namespace

namespace {

/// Wood moves nothing in the network: ways, sum and load stay.
bool onlyBoxesDiffer(const Cabinet& before, const Cabinet& after) {
    Cabinet alike = before;
    alike.boxes = after.boxes;
    alike.depth = after.depth;
    return alike == after;
}

} // namespace

Evaluation evaluate(const Job& job, const Assembly& assembly, const Earlier* earlier) {
    YF_EXPECT(assembly.cabinets.size() == job.cabinets.size());
    Evaluation evaluation;
    std::vector<std::size_t> others; // cabinets whose boxes are not as before
    for (std::size_t i = 0; i < job.cabinets.size(); ++i) {
        const bool same = earlier != nullptr && i < earlier->job.cabinets.size() &&
                          earlier->job.cabinets[i] == job.cabinets[i];
        const bool sameNetwork =
            same || (earlier != nullptr && i < earlier->job.cabinets.size() &&
                     onlyBoxesDiffer(earlier->job.cabinets[i], job.cabinets[i]));
        evaluation.cabinets.push_back(sameNetwork
                                          ? earlier->evaluation.cabinets[i]
                                          : evaluateCabinet(job.cabinets[i], assembly.cabinets[i]));
        if (!same) {
            evaluation.cabinets.back().boxes.clear();
            others.push_back(i);
        }
    }
    // A pair changes together: one cabinet's boxes beside the other's, as a hand waits for both.
    const auto boxesOf = [&](std::size_t i) {
        const bool there = earlier != nullptr && i < earlier->job.cabinets.size();
        evaluateBoxes(
            job,
            job.cabinets[i],
            assembly,
            there ? EarlierCabinet{&earlier->job.cabinets[i], &earlier->evaluation.cabinets[i]}
                  : EarlierCabinet{},
            evaluation.cabinets[i]);
    };
    std::vector<std::future<void>> beside;
    for (std::size_t k = 1; k < others.size(); ++k) {
        if (!job.cabinets[others[k]].boxes.empty()) {
            beside.push_back(std::async(std::launch::async, boxesOf, others[k]));
        }
    }
    if (!others.empty()) {
        boxesOf(others.front());
    }
    for (std::future<void>& one : beside) {
        one.get();
    }
    evaluation.table = bench::tableInForce();
    const bool sameJudgement = earlier != nullptr && sameBench(earlier->job, job) &&
                               earlier->evaluation.table == evaluation.table;
    evaluation.bench =
        sameJudgement ? earlier->evaluation.bench : benches(job, assembly, *evaluation.table);
    evaluation.facts = facts(job, assembly, evaluation);
    evaluation.judgement = speaker::judge(evaluation.facts, limitsOf(job));
    return evaluation;
}

Evaluation evaluate(const Job& job) {
    return evaluate(job, assemble(job));
}

Result<network::Network> networkOf(const Job& job, const Cabinet& cabinet) {
    const auto drivers = driversOf(job, cabinet);
    const Survey s = survey(job, drivers);
    if (!s.impedances) {
        return Error{"network", s.missing.empty() ? "no driver" : s.missing.front(), ""};
    }
    network::Network network{.circuit = cabinet.circuit};
    for (const Driver* driver : drivers) {
        network::NamedDriver named{.name = driver->id,
                                   .impedance =
                                       *takeInUse(job, *driver, TakeKind::impedance)->curve,
                                   .role = roleOf(driver->band)};
        if (s.responses) {
            named.response = *takeInUse(job, *driver, TakeKind::response)->curve;
        }
        network.drivers.push_back(std::move(named));
    }
    return network;
}

} // namespace yf::job
