// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/evaluation/assemble.h"

#include <algorithm>

namespace yf::evaluation {

namespace {

using curve::Axis;
using curve::Complex;
using curve::Range;

struct Survey {
    Range common{0.0, 1e9};
    std::vector<Words> missing;
    bool impedances{true};
    bool responses{true};
};

void narrow(Range& range, const curve::Curve& curve) {
    range.from = std::max(range.from, curve.extent().from);
    range.to = std::min(range.to, curve.extent().to);
}

Survey survey(const std::vector<DriverCurves>& drivers) {
    Survey s;
    for (const DriverCurves& driver : drivers) {
        if (driver.impedance == nullptr) {
            s.impedances = false;
            s.missing.push_back(
                say(YF_WORDS("core",
                             "%1 has no impedance yet: nothing can be computed for this cabinet."),
                    driver.name));
        } else if (driver.impedance->phase() == curve::Phase::none) {
            s.impedances = false;
            s.missing.push_back(say(YF_WORDS("core",
                                             "%1: its impedance has no phase. Measure it with "
                                             "phase, or use the minimum phase."),
                                    driver.name));
        } else {
            narrow(s.common, *driver.impedance);
        }
        if (driver.response == nullptr) {
            s.responses = false;
            s.missing.push_back(
                say(YF_WORDS("core", "%1 has no response yet: no sum can be shown."), driver.name));
        } else if (driver.response->phase() == curve::Phase::none) {
            s.responses = false;
            s.missing.push_back(
                say(YF_WORDS("core",
                             "%1: its response has no phase, so it cannot be summed. Use the "
                             "minimum phase, which knows no flight time."),
                    driver.name));
        }
    }
    if (s.responses) {
        for (const DriverCurves& driver : drivers) {
            narrow(s.common, *driver.response);
        }
    }
    return s;
}

std::vector<Complex> onAxis(const curve::Curve& curve, const Axis& axis) {
    auto values = curve::interpolate(curve, axis);
    YF_EXPECT(values.ok()); // the axis was cut to what every curve covers
    return std::move(*values);
}

/// Curves as they were measured; nothing is moved yet.
AssembledCabinet measuredLoads(const std::vector<DriverCurves>& drivers) {
    Survey s = survey(drivers);
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
        assembled.missing.emplace_back(YF_WORDS(
            "core",
            "The curves in use share no range of frequencies, so nothing can be computed."));
        return assembled;
    }
    network::Network bare;
    network::Loads loads{.axis = assembled.axis};
    for (const DriverCurves& driver : drivers) {
        const curve::Curve& Z = *driver.impedance;
        network::Load load{.driver = driver.id,
                           .impedance = onAxis(Z, assembled.axis),
                           .role = job::roleOf(driver.band),
                           .dcResistance = network::dcResistance(Z)};
        if (assembled.hasResponses) {
            const curve::Curve& p = *driver.response;
            load.pressure = onAxis(p, assembled.axis);
            assembled.trusted.emplace(driver.id, p.trusted());
        }
        loads.drivers.push_back(std::move(load));
        bare.drivers.push_back(
            {.name = driver.id, .impedance = Z, .role = job::roleOf(driver.band)});
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
    assembled.taken = std::make_shared<const network::Loads>(loads);
    assembled.loads = std::make_shared<const network::PreparedLoads>(std::move(loads));
    return assembled;
}

/// The loads as measured, each carried on to where its driver sits now.
AssembledCabinet placed(const PlacedInputs& in) {
    AssembledCabinet assembled = *in.measured;
    network::Loads loads = *assembled.taken;
    for (std::size_t d = 0; d < loads.drivers.size(); ++d) {
        auto& pressure = loads.drivers[d].pressure;
        for (std::size_t k = 0; pressure && in.carries[d] != nullptr && k < pressure->size(); ++k) {
            (*pressure)[k] *= (*in.carries[d])[k];
        }
    }
    assembled.loads = std::make_shared<const network::PreparedLoads>(std::move(loads));
    return assembled;
}

/// What carries a driver on; null where it sits where it was measured.
std::shared_ptr<const std::vector<Complex>> carryFor(const job::Job& job,
                                                     const job::Cabinet& cabinet,
                                                     const std::string& driver,
                                                     const std::shared_ptr<const Axis>& axis,
                                                     Memory& memory) {
    const auto mount = std::ranges::find(cabinet.mounts, driver, &job::Mount::driver);
    if (mount == cabinet.mounts.end() || !mount->taken) {
        return nullptr;
    }
    const auto directivity = memory.directivities.of(
        {.view = directivityView(job, driver), .driver = driver, .axis = axis},
        [](const DirectivityInputs& in) { return directivityOf(in.view, in.driver, *in.axis); });
    return memory.carries.of({.directivity = directivity,
                              .mount = *mount,
                              .microphone = microphoneOf(job, cabinet, takeDistance(job, driver)),
                              .axis = axis},
                             [](const CarryInputs& in) {
                                 return carryOf(*in.directivity, in.mount, in.microphone, *in.axis);
                             });
}

std::shared_ptr<const AssembledCabinet>
assembleCabinet(const job::Job& job, const job::Cabinet& cabinet, Memory& memory) {
    const auto measured = memory.measured.of(driverCurves(job, cabinet), measuredLoads);
    if (!measured->taken) {
        return measured;
    }
    PlacedInputs in{.measured = measured, .carries = {}};
    const std::shared_ptr<const Axis> axis(measured, &measured->axis);
    for (const network::Load& load : measured->taken->drivers) {
        in.carries.push_back(load.pressure ? carryFor(job, cabinet, load.driver, axis, memory)
                                           : nullptr);
    }
    const bool still = std::ranges::all_of(in.carries, [](const auto& c) { return c == nullptr; });
    return still ? measured : memory.placed.of(std::move(in), placed);
}

void assembleBox(const job::Job& job,
                 const std::string& driver,
                 Memory& memory,
                 Assembly& assembly) {
    memory.begin({Piece::measurements, {driver}});
    if (job::findDriver(job, driver) != nullptr) {
        assembly.boxDrivers.insert_or_assign(
            driver,
            memory.boxDrivers.of(boxDriverInputs(job, driver), [](const BoxDriverInputs& in) {
                return boxDriver(in.view, *job::findDriver(in.view, in.driver));
            }));
    }
    for (const job::Take* take : take::boxTakes(job, driver)) {
        const auto read = memory.boxReads.of(
            {.impedance = take->curve, .kind = take::readKindOf(take->recorded.mounting)},
            [](const BoxReadInputs& in) {
                return box::readBack({.impedance = *in.impedance, .kind = in.kind});
            });
        // The newest that can be read.
        if (read->ok()) {
            assembly.boxReads.insert_or_assign(driver, read);
        }
    }
}

} // namespace

Assembly assemble(const job::Job& job, Memory& memory) {
    Assembly assembly;
    memory.makeRoom(job);
    for (const job::Cabinet& cabinet : job.cabinets) {
        memory.begin({Piece::network, {cabinet.id}});
        assembly.cabinets.push_back(assembleCabinet(job, cabinet, memory));
    }
    for (const job::Driver& driver : job.drivers) {
        const job::Take* take = job::takeInUse(job, driver, job::TakeKind::impedance);
        if (take != nullptr && take->curve->phase() != curve::Phase::none) {
            memory.begin({Piece::measurements, {driver.id}});
            assembly.readings.emplace(
                driver.id, *memory.readings.of(take->curve, [](const CurvePtr& Z) {
                    return DriverReading{network::dcResistance(*Z), driver::resonance(*Z)};
                }));
        }
    }
    for (const job::Cabinet& cabinet : job.cabinets) {
        for (const job::Enclosure& e : cabinet.boxes) {
            assembleBox(job, e.driver, memory, assembly);
        }
    }
    return assembly;
}

Assembly assemble(const job::Job& job) {
    Memory memory;
    return assemble(job, memory);
}

Result<network::Network> networkOf(const job::Job& job, const job::Cabinet& cabinet) {
    const auto drivers = driverCurves(job, cabinet);
    const Survey s = survey(drivers);
    if (!s.impedances) {
        return Error{
            "network", s.missing.empty() ? YF_WORDS("core", "no driver") : s.missing.front(), ""};
    }
    network::Network network{.circuit = cabinet.circuit};
    for (const DriverCurves& driver : drivers) {
        network::NamedDriver named{
            .name = driver.id, .impedance = *driver.impedance, .role = job::roleOf(driver.band)};
        if (s.responses) {
            named.response = *driver.response;
        }
        network.drivers.push_back(std::move(named));
    }
    return network;
}

Result<std::shared_ptr<const AssembledCabinet>>
curvesOf(const job::Job& job, const job::Cabinet& cabinet, const Assembly& assembly) {
    const auto found = std::ranges::find(job.cabinets, cabinet.id, &job::Cabinet::id);
    const auto index = static_cast<std::size_t>(found - job.cabinets.begin());
    const auto made = index < assembly.cabinets.size() ? assembly.cabinets[index] : nullptr;
    if (made == nullptr || !made->loads || !made->hasImpedances) {
        return Error{"cabinet",
                     made != nullptr && !made->missing.empty()
                         ? made->missing.front()
                         : YF_WORDS("core", "impedances are missing"),
                     YF_WORDS("core", "heat and voltage need the impedance of every driver")};
    }
    return made;
}

Result<network::Network>
networkOf(const job::Job& job, const job::Cabinet& cabinet, const Assembly& assembly) {
    YF_TRY(made, curvesOf(job, cabinet, assembly));
    network::Network network{.circuit = cabinet.circuit, .drivers = {}};
    for (const network::Load& load : made->loads->loads().drivers) {
        network::NamedDriver driver{.name = load.driver,
                                    .impedance =
                                        curve::Curve(made->axis, load.impedance, curve::Phase::own),
                                    .role = load.role,
                                    .delay = load.delay};
        if (load.pressure) {
            driver.response = curve::Curve(made->axis, *load.pressure, curve::Phase::common);
        }
        network.drivers.push_back(std::move(driver));
    }
    return network;
}

} // namespace yf::evaluation
