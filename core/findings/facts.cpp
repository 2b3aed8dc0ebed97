// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/findings/facts.h"

#include "core/box/driver.h"
#include "core/box/source.h"
#include "core/curve/smooth.h"
#include "core/driver/resonance.h"
#include "core/evaluation/directions.h"
#include "core/evaluation/neighbours.h"
#include "core/evaluation/take_polarity.h"
#include "core/findings/box_facts.h"
#include "core/findings/collector.h"
#include "core/findings/known_facts.h"
#include "core/findings/pair_facts.h"
#include "core/job/lookup.h"
#include "core/network/circuit/ladder_edit.h"
#include "core/network/solve/network.h"
#include "core/quantity/air.h"
#include "core/speaker/crossover.h"
#include "core/speaker/lobes.h"
#include "core/speaker/wiring.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::findings {

namespace {

/// What was found of a cabinet when it came in.
void putIntake(Collector& all, std::size_t around, const job::Cabinet& cabinet) {
    for (const job::Protector& p : cabinet.protectors) {
        const std::size_t scope = all.add({.cabinet = cabinet.id, .part = p.id}, around);
        all.put(scope, fact::intake::bridged, isBridged(p));
        all.put(scope, fact::intake::protector_open, p.state == job::ProtectorState::open);
    }
    for (const job::OldPart& part : cabinet.oldParts) {
        const std::size_t scope = all.add({.cabinet = cabinet.id, .part = part.id}, around);
        all.put(scope, fact::intake::part_bad, part.condition == job::OldPartCondition::bad);
    }
}

/// Readings by hand; they come before what a curve says of the same thing.
void putReadings(Collector& all, std::size_t scope, const evaluation::DriverBench& bench) {
    const auto& faults = bench.diagnosis.faults;
    const auto shorted = std::ranges::find(faults, "shorted_turns");
    if (shorted != faults.end() && !bench.evidence.empty()) {
        all.put(scope,
                fact::bench::p_shorted_turns,
                bench.diagnosis.probabilities[static_cast<std::size_t>(shorted - faults.begin())]);
    }
    if (bench.dcr) {
        constexpr double openReading = 1e6; // Ω: over the range of any meter
        all.put(scope, fact::bench::Re_ohm, bench.dcr->dcr.value_or(openReading));
        if (bench.dcr->dcr && bench.dcr->twinDeviation) {
            all.put(scope,
                    fact::bench::Re_expected_ohm,
                    *bench.dcr->dcr / (1.0 + *bench.dcr->twinDeviation));
        }
    }
}

void putDriver(Collector& all,
               std::size_t scope,
               const evaluation::Assembly& assembly,
               const job::Driver& driver) {
    if (driver.nominal) {
        all.put(scope, fact::bench::nominal_ohm, *driver.nominal);
    }
    const auto reading = assembly.readings.find(driver.id);
    if (reading == assembly.readings.end()) {
        return;
    }
    all.put(scope, fact::driver::Re_ohm, reading->second.Re);
    all.put(scope, fact::bench::Re_ohm, reading->second.Re);
    if (const auto& peak = reading->second.resonance) {
        all.put(scope, fact::bench::Zpeak_ohm, peak->Zpeak);
        all.put(scope, fact::bench::fs_hz, peak->fs);
        all.put(scope, fact::driver::fs_hz, peak->fs);
    }
}

/// A driver's impedance in use that has phase; null where there is none.
const curve::Curve* impedanceOf(const job::Job& job, const job::Driver& driver) {
    const job::Take* take = job::takeInUse(job, driver, job::TakeKind::impedance);
    return take == nullptr || take->curve->phase() == curve::Phase::none ? nullptr
                                                                         : take->curve.get();
}

/// Inductance that a reactance looks like at f, which the curve holds; nothing where it is not
/// inductive. Between two points the reactance is taken as straight over ln f: it is read after
/// every change, and up there it is smooth.
std::optional<double> inductanceAt(const curve::Curve& Z, double f) {
    const auto& at = Z.frequencies();
    if (at.size() < 2) {
        return std::nullopt;
    }
    const auto above = std::lower_bound(at.begin() + 1, at.end() - 1, f);
    const auto i = static_cast<std::size_t>(above - at.begin()) - 1;
    const double share = std::clamp(std::log(f / at[i]) / std::log(at[i + 1] / at[i]), 0.0, 1.0);
    const double X = std::lerp(Z.values()[i].imag(), Z.values()[i + 1].imag(), share);
    const double L = X / (2.0 * std::numbers::pi * f);
    return L > 0.0 ? std::optional(L) : std::nullopt;
}

/// What a driver is held against: the same driver in the other cabinet unless that one is faulty,
/// else its data sheet.
void putExpected(Collector& all,
                 std::size_t scope,
                 const CabinetView& view,
                 const job::Driver& own) {
    const job::Driver* twin = job::twinOf(view.job, view.cabinet.id, own.id);
    const bool faulty = twin != nullptr && (twin->condition == job::Condition::suspect ||
                                            twin->condition == job::Condition::dead);
    const auto& readings = view.assembly.readings;
    const auto mine = readings.find(own.id);
    const auto other = twin == nullptr || faulty ? readings.end() : readings.find(twin->id);
    if (other != readings.end() && other->second.resonance) {
        all.put(scope, fact::bench::fs_expected_hz, other->second.resonance->fs);
    } else if (own.sheet.model.fs) {
        all.put(scope, fact::bench::fs_expected_hz, *own.sheet.model.fs);
    }
    if (mine == readings.end() || other == readings.end() || !mine->second.resonance ||
        !other->second.resonance) {
        return;
    }
    const curve::Curve* Z = impedanceOf(view.job, own);
    const curve::Curve* reference = impedanceOf(view.job, *twin);
    const auto losses = driver::qFactors(*Z, mine->second.Re, *mine->second.resonance);
    const auto expected = driver::qFactors(*reference, other->second.Re, *other->second.resonance);
    if (losses && expected) {
        all.put(scope, fact::bench::Qms, losses->Qms);
        all.put(scope, fact::bench::Qms_expected, expected->Qms);
    }
    constexpr double high = 10000.0; // Hz: the coil is most of the reactance there
    const double f = std::min({high, Z->extent().to, reference->extent().to});
    const auto L = inductanceAt(*Z, f);
    const auto expectedL = inductanceAt(*reference, f);
    if (L && expectedL) {
        all.put(scope, fact::bench::Le_h, *L);
        all.put(scope, fact::bench::Le_expected_h, *expectedL);
    }
}

/// The battery that a driver was tried with, and what the data sheet says that it does to it.
void putBattery(Collector& all,
                std::size_t scope,
                const CabinetView& view,
                const job::Driver& own) {
    const auto tried = job::readingsOf(view.job, view.cabinet.id, own.id, "battery_pop");
    if (tried.empty() || !tried.back()->voltage) {
        return;
    }
    all.put(scope, fact::bench::battery_v, *tried.back()->voltage);
    const driver::Part& sheet = own.sheet;
    if (sheet.power) {
        all.put(scope, fact::bench::rated_w, *sheet.power);
    }
    const auto& m = sheet.model;
    if (!sheet.Xmax || !sheet.Sd || !sheet.Vas || !m.fs || !m.Qes || !m.Qms || !m.Re) {
        return;
    }
    const box::Motor motor = box::motorOf({.Re = *m.Re,
                                           .fs = *m.fs,
                                           .Qms = *m.Qms,
                                           .Qes = *m.Qes,
                                           .Vas = *sheet.Vas,
                                           .Sd = *sheet.Sd},
                                          {});
    all.put(scope, fact::bench::Cms_m_per_n, motor.C);
    all.put(scope, fact::bench::Bl_t_m, motor.Bl);
    all.put(scope, fact::bench::Xmax_m, *sheet.Xmax);
}

/// Parts of one way, each once; `around` is its driver.
void putParts(Collector& all,
              std::size_t around,
              const Subject& subject,
              const network::Section& section) {
    for (const network::Slot& slot : section.ladder) {
        const auto* inLine = std::get_if<network::SeriesSlot>(&slot);
        const auto* across = std::get_if<network::ShuntSlot>(&slot);
        if (inLine == nullptr && across == nullptr) {
            continue;
        }
        network::forEachPart(inLine != nullptr ? inLine->port : across->port,
                             [&](const network::Part& part) {
                                 Subject own = subject;
                                 own.part = part.id;
                                 const std::size_t scope = all.add(std::move(own), around);
                                 if (part.kind == network::PartKind::capacitor) {
                                     all.put(scope, fact::net::cap_esr_ohm, lossResistance(part));
                                     if (part.printed) {
                                         all.put(scope, fact::net::C_f, part.value);
                                         all.put(scope, fact::net::C_nominal_f, *part.printed);
                                     }
                                 }
                                 if (part.kind == network::PartKind::coil && inLine != nullptr) {
                                     all.put(scope, fact::net::coil_dcr_ohm, part.dcr);
                                 }
                             });
    }
}

void putTakes(Collector& all,
              std::size_t around,
              const Subject& subject,
              const job::Job& job,
              const job::Driver& driver) {
    const job::Take* take = job::takeInUse(job, driver, job::TakeKind::response);
    if (take == nullptr) {
        return;
    }
    Subject own = subject;
    own.take = take->id;
    const std::size_t scope = all.add(std::move(own), around);
    all.put(scope, fact::meas::distance_m, take->distance);
    if (take->gate) {
        all.put(scope, fact::meas::gate_s, *take->gate);
        all.put(scope, fact::meas::lowest_hz, take->curve->trusted().from);
    }
}

std::optional<double> gateOf(const job::Job& job, const job::Driver& driver) {
    const job::Take* take = job::takeInUse(job, driver, job::TakeKind::response);
    return take == nullptr ? std::nullopt : take->gate;
}

/// Plateaus on both sides of a crossover, up to the next ones.
std::optional<double> excess(const evaluation::CabinetResult& result,
                             const Placed& lower,
                             const Placed& upper,
                             curve::Range plateaus,
                             double fx) {
    const double root = std::sqrt(2.0);
    // Narrower bands have no plateau: there the slopes of both neighbours are still at work.
    constexpr double leastWidth = 2.8; // 1.5 octaves
    if (fx / root < leastWidth * plateaus.from || plateaus.to < leastWidth * fx * root) {
        return std::nullopt;
    }
    const auto below =
        speaker::meanLevel(result.axis, lower.way->pressure, {plateaus.from, fx / root});
    const auto above =
        speaker::meanLevel(result.axis, upper.way->pressure, {fx * root, plateaus.to});
    return below && above ? std::optional(*above - *below) : std::nullopt;
}

/// What is known of one crossover by itself.
void putCrossover(Collector& all, std::size_t scope, const speaker::Crossover& x) {
    all.put(scope, fact::align::fx_hz, x.fx);
    all.put(scope, fact::align::flip_gain_db, x.flipGain);
    all.put(scope, fact::align::in_phase_design, x.inPhase);
    all.put(scope, fact::align::phase_spread_deg, x.phaseSpread / quantity::degree);
    // With the wrong polarity in place the null says nothing about the design yet.
    if (x.flipGain < speaker::flipThreshold && x.nullDepth) {
        all.put(scope, fact::align::null_depth_db, *x.nullDepth);
        if (x.inPhase) {
            all.put(scope, fact::align::notch_hz, *x.notch);
        }
    }
}

/// The null that lies nearest to the axis, up or down, where both are equally loud.
void putNull(Collector& all,
             std::size_t scope,
             const CabinetView& view,
             const Placed& lower,
             const Placed& upper,
             double fx) {
    const std::size_t at = evaluation::nearestPoint(view.result.axis, fx);
    const auto taken = [&](const Placed& one) {
        return speaker::Taken{
            .place = {one.mount->x, one.mount->y, one.mount->z},
            .microphone = evaluation::microphoneOf(
                view.job, view.cabinet, evaluation::takeDistance(view.job, one.driver->id))};
    };
    const double turned = std::arg(upper.way->pressure[at] * std::conj(lower.way->pressure[at]));
    const auto found =
        speaker::lobesOf(taken(lower), taken(upper), turned, quantity::Plane::vertical, fx);
    const auto nearest =
        std::ranges::min_element(found.nulls, {}, [](double angle) { return std::abs(angle); });
    if (nearest != found.nulls.end()) {
        all.put(scope, fact::polar::nearest_null_deg, *nearest / quantity::degree);
    }
}

/// What its two drivers and their places add to it.
void putNeighbours(Collector& all,
                   std::size_t scope,
                   const CabinetView& view,
                   const Placed& lower,
                   const Placed& upper,
                   double fx) {
    const auto fs = resonanceOf(view.assembly, upper.driver->id);
    if (fs && upper.driver->band >= job::Band::high) {
        all.put(scope, fact::driver::tweeter_fs_hz, *fs);
    }
    if (lower.mount != nullptr && upper.mount != nullptr) {
        const double spacing =
            std::hypot(upper.mount->x - lower.mount->x, upper.mount->y - lower.mount->y);
        all.put(scope, fact::polar::spacing_wavelengths, spacing * fx / quantity::soundSpeed);
        putNull(all, scope, view, lower, upper, fx);
    }
    if (lower.driver->sheet.Sd) { // a guessed cone makes no finding
        const double a = std::sqrt(*lower.driver->sheet.Sd / std::numbers::pi);
        all.put(
            scope, fact::polar::ka_at_fx, 2.0 * std::numbers::pi * fx / quantity::soundSpeed * a);
    }
    const auto gateLow = gateOf(view.job, *lower.driver);
    const auto gateHigh = gateOf(view.job, *upper.driver);
    if (gateLow && gateHigh) {
        all.put(scope, fact::meas::gate_s, std::min(*gateLow, *gateHigh));
    }
}

/// What the whole cabinet's take says, where it is of the network as it is drawn.
void putWiring(Collector& all, std::size_t around, const CabinetView& view) {
    const auto& told = view.result.wiring;
    if (!told || !told->ofThisNetwork) {
        return;
    }
    if (!speaker::isWrong(told->found)) {
        all.put(around, fact::align::wired_otherwise, false);
        return;
    }
    for (const std::string& driver : told->reversed) {
        const std::size_t scope =
            all.add({.cabinet = view.cabinet.id, .driver = driver, .take = told->take}, around);
        all.put(scope, fact::align::wired_otherwise, true);
        all.put(scope, fact::align::wiring_change_db, told->found.difference);
    }
}

/// Where no sum can be computed: the deepest hole in the take of the whole cabinet.
void putHole(Collector& all, std::size_t around, const CabinetView& view) {
    const job::Take* whole = job::wholeTake(view.job, view.cabinet);
    if (whole == nullptr || (!view.result.sum.empty() && view.result.ways.size() > 1)) {
        return;
    }
    const curve::Range trusted = whole->curve->trusted();
    const curve::Axis axis = curve::within(curve::designAxis(), trusted.from, trusted.to);
    constexpr double sixth = 6.0; // of an octave: ripples do not cut a hole in two
    if (axis.size() < 2) {
        return;
    }
    const auto values = curve::smoothedAt(*whole->curve, sixth, curve::Smoothing::power, 0.0, axis);
    const auto holes = speaker::holesIn(axis, curve::levels(values, 1.0), trusted);
    if (!holes.empty()) {
        const std::size_t scope = all.add({.cabinet = view.cabinet.id, .take = whole->id}, around);
        all.put(scope, fact::align::hole_db, holes.front().depth);
        all.put(scope, fact::align::hole_hz, holes.front().frequency);
    }
}

std::optional<speaker::Crossover>
crossoverOf(const CabinetView& view, const Placed& lower, const Placed& upper) {
    const auto place = [&](const Placed& one) {
        return static_cast<std::size_t>(one.way - view.result.ways.data());
    };
    const evaluation::Neighbourhood* n = view.result.between(place(lower), place(upper));
    return n == nullptr ? std::nullopt : n->met;
}

void putCrossovers(Collector& all, std::size_t around, const CabinetView& view) {
    const auto ways = waysFromBelow(view);
    std::vector<std::optional<speaker::Crossover>> met;
    for (std::size_t i = 1; i < ways.size(); ++i) {
        met.push_back(crossoverOf(view, ways[i - 1], ways[i]));
    }
    for (std::size_t i = 0; i < met.size(); ++i) {
        if (!met[i]) {
            continue;
        }
        const Placed& lower = ways[i];
        const Placed& upper = ways[i + 1];
        const std::size_t scope = all.add(
            {.cabinet = view.cabinet.id, .driver = upper.driver->id, .other = lower.driver->id},
            around);
        putCrossover(all, scope, *met[i]);
        putNeighbours(all, scope, view, lower, upper, met[i]->fx);
        constexpr curve::Range judged{200.0, 10000.0};
        const double root = std::sqrt(2.0);
        const curve::Range plateaus{i > 0 && met[i - 1] ? met[i - 1]->fx * root : judged.from,
                                    i + 1 < met.size() && met[i + 1] ? met[i + 1]->fx / root
                                                                     : judged.to};
        if (const auto level = excess(view.result, lower, upper, plateaus, met[i]->fx)) {
            all.put(scope, fact::align::tweeter_excess_db, *level);
        }
    }
}

/// The crossover above a driver, if it is known.
std::optional<double> crossoverAbove(const CabinetView& view, const std::string& driver) {
    const auto ways = waysFromBelow(view);
    for (std::size_t i = 1; i < ways.size(); ++i) {
        if (ways[i - 1].driver->id == driver) {
            const auto met = crossoverOf(view, ways[i - 1], ways[i]);
            return met ? std::optional(met->fx) : std::nullopt;
        }
    }
    return std::nullopt;
}

std::size_t putCabinet(Collector& all, const CabinetView& view) {
    const job::Cabinet& cabinet = view.cabinet;
    const std::size_t scope = all.add({.cabinet = cabinet.id});
    all.put(scope,
            fact::box::largest_m,
            std::max({cabinet.width, cabinet.height, cabinet.depth.value_or(0.0)}));
    if (cabinet.nominal) {
        all.put(scope, fact::net::nominal_ohm, *cabinet.nominal);
    }
    if (view.result.leastImpedance) {
        all.put(scope, fact::net::Zmin_ohm, view.result.leastImpedance->ohms);
    }
    if (view.result.leastEpdr) {
        all.put(scope, fact::net::epdr_min_ohm, view.result.leastEpdr->ohms);
    }
    if (!view.result.sum.empty() && view.result.ways.size() > 1) {
        const bool common =
            std::ranges::all_of(view.result.ways, [&](const evaluation::WayResult& way) {
                const job::Take* take = job::takeInUse(
                    view.job, *job::findDriver(view.job, way.driver), job::TakeKind::response);
                return take->curve->phase() == curve::Phase::common;
            });
        all.put(scope, fact::meas::timing_common, common);
        all.put(scope, fact::meas::phase_used, true);
    }
    const auto ends = network::driverEnds(cabinet.circuit);
    for (const job::Mount& mount : cabinet.mounts) {
        const job::Driver& driver = *job::findDriver(view.job, mount.driver);
        const Subject subject{.cabinet = cabinet.id, .driver = driver.id};
        const std::size_t inner = all.add(subject, scope);
        putDriver(all, inner, view.assembly, driver);
        putExpected(all, inner, view, driver);
        putBattery(all, inner, view, driver);
        if (const evaluation::DriverBench* bench =
                view.evaluation.findBench(cabinet.id, driver.id)) {
            putReadings(all, inner, *bench);
        }
        if (const auto least = view.result.unloaded.find(driver.id);
            least != view.result.unloaded.end()) {
            all.put(inner, fact::net::Zmin_unloaded_ohm, least->second);
        }
        for (std::size_t way = 0; way < ends.size(); ++way) {
            const network::Section* section = network::waySection(cabinet.circuit, way);
            if (section != nullptr && ends[way].driver == driver.id) {
                putParts(all, inner, subject, *section);
            }
        }
        putTakes(all, inner, subject, view.job, driver);
    }
    for (const job::Enclosure& e : cabinet.boxes) {
        const std::size_t inner = all.add({.cabinet = cabinet.id, .driver = e.driver}, scope);
        const BoxView box{.job = view.job,
                          .assembly = view.assembly,
                          .cabinet = cabinet,
                          .enclosure = e,
                          .result = view.result.box(e.driver),
                          .fx = crossoverAbove(view, e.driver)};
        all.put(inner, boxFacts(box));
    }
    putIntake(all, scope, cabinet);
    putCrossovers(all, scope, view);
    putWiring(all, scope, view);
    putHole(all, scope, view);
    return scope;
}

} // namespace

std::vector<Scope> facts(const job::Job& job,
                         const evaluation::Assembly& assembly,
                         const evaluation::Evaluation& evaluation) {
    Collector all;
    std::vector<CabinetView> views;
    for (std::size_t i = 0; i < job.cabinets.size(); ++i) {
        views.push_back({job, assembly, job.cabinets[i], evaluation.cabinets[i], evaluation});
        putCabinet(all, views.back());
    }
    for (std::size_t i = 0; i < views.size(); ++i) {
        for (std::size_t j = i + 1; j < views.size(); ++j) {
            if (views[i].cabinet.twin == views[j].cabinet.id) {
                putPair(all, views[i], views[j]);
            }
        }
    }
    return all.take();
}

} // namespace yf::findings
