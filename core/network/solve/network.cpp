// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/network/solve/network.h"

#include "core/curve/interpolate.h"
#include "core/driver/resonance.h"
#include "core/network/solve/solve.h"
#include "core/text/given.h"

#include <algorithm>
#include <array>
#include <cmath>

namespace yf::network {

namespace {

using text::Value;

/// Where in a network a driver is named: "network.ways[0].driver".
std::optional<std::string>
placeOfDriver(const Value& value, const std::string& name, const std::string& path) {
    if (const auto* object = value.object()) {
        for (const text::Member& member : *object) {
            const std::string here = text::join(path, member.key);
            const std::string* word = member.value.word();
            if (member.key == "driver" && word != nullptr && *word == name) {
                return here;
            }
            if (auto place = placeOfDriver(member.value, name, here)) {
                return place;
            }
        }
    } else if (const auto* list = value.list()) {
        for (std::size_t i = 0; i < list->size(); ++i) {
            if (auto place = placeOfDriver((*list)[i], name, text::join(path, i))) {
                return place;
            }
        }
    }
    return std::nullopt;
}

std::optional<Error> checkDriverNames(const Value& value,
                                      const Circuit& circuit,
                                      const std::vector<NamedDriver>& drivers,
                                      const std::string& path) {
    for (const DriverEnd& end : driverEnds(circuit)) {
        if (std::ranges::find(drivers, end.driver, &NamedDriver::name) == drivers.end()) {
            std::vector<std::string> names;
            std::ranges::transform(drivers, std::back_inserter(names), &NamedDriver::name);
            return Error{placeOfDriver(value, end.driver, path).value_or(path),
                         say(YF_WORDS("core", "'%1' is not among the drivers"), end.driver),
                         names.empty()
                             ? say(YF_WORDS("core", "%1 is empty"), text::join(path, "drivers"))
                             : say(YF_WORDS("core", "the nearest known driver is %1"),
                                   text::nearest(end.driver, names))};
        }
    }
    return std::nullopt;
}

bool blocksHighFrequency(const DriverSource& source) {
    if (std::holds_alternative<ResistorLoad>(source)) {
        return false;
    }
    const auto* coil = std::get_if<CoilLoad>(&source);
    const auto* model =
        coil != nullptr ? &coil->coil : std::get_if<driver::ImpedanceModel>(&source);
    if (model != nullptr) {
        const bool none =
            model->inductance ? *model->inductance == driver::InductanceModel::none : !model->Le;
        return !none;
    }
    return true;
}

/// One driver's curves, ready for any axis.
struct ReadyDriver {
    NamedDriver driver;
    std::optional<curve::Interpolant> impedance;
    std::optional<curve::Interpolant> response;
    double fs{}; ///< Hz, read off a measured impedance; 0 where none is seen
};

ReadyDriver makeReady(const NamedDriver& driver) {
    ReadyDriver ready{.driver = driver};
    if (const auto* table = std::get_if<curve::Curve>(&driver.impedance)) {
        ready.impedance.emplace(*table);
        if (const auto peak = driver::resonance(*table)) {
            ready.fs = peak->fs;
        }
    }
    if (driver.response) {
        ready.response.emplace(*driver.response);
    }
    return ready;
}

Result<std::vector<Complex>>
asked(const curve::Interpolant& curve, const Axis& axis, const std::string& path) {
    auto values = curve.at(axis);
    if (!values) {
        return text::under(path, values.error());
    }
    return values;
}

Result<Load> loadOn(const ReadyDriver& ready, const Axis& axis) {
    const NamedDriver& driver = ready.driver;
    const std::string path = "network.drivers." + driver.name;
    Load load{.driver = driver.name,
              .delay = driver.delay,
              .role = driver.role,
              .dcResistance = dcResistance(driver.impedance),
              .openAtHighFrequency = blocksHighFrequency(driver.impedance)};
    if (const auto* resistor = std::get_if<ResistorLoad>(&driver.impedance)) {
        load.impedance.assign(axis.size(), resistor->resistance);
        load.still = true;
    } else if (const auto* coil = std::get_if<CoilLoad>(&driver.impedance)) {
        load.still = true;
        for (const double f : axis) {
            load.impedance.push_back(coil->coil.Re + driver::coilImpedance(coil->coil, f));
        }
    } else if (const auto* model = std::get_if<driver::ImpedanceModel>(&driver.impedance)) {
        load.impedance = driver::impedance(*model, axis);
        load.fs = model->fs;
    } else {
        YF_TRY(Z, asked(*ready.impedance, axis, path));
        load.impedance = std::move(Z);
        load.fs = ready.fs;
    }
    if (ready.response) {
        YF_TRY(p, asked(*ready.response, axis, text::join(path, "response")));
        load.pressure = std::move(p);
    }
    return load;
}

} // namespace

Result<Network> Network::read(const Value& value, const std::string& path) {
    Network network;
    YF_TRY(circuit, readCircuit(value, path, {"drivers"}));
    network.circuit = std::move(circuit);
    const std::string driversPath = text::join(path, "drivers");
    const Value* drivers = value.find("drivers");
    if (drivers == nullptr) {
        return Error{driversPath, "missing", "must be an object of drivers by name"};
    }
    YF_TRY(set, DriverSet::read(*drivers, driversPath));
    network.drivers = std::move(set.drivers);
    if (auto error = checkDriverNames(value, network.circuit, network.drivers, path)) {
        return *error;
    }
    if (driverEnds(network.circuit).empty()) {
        return Error{path, "no driver in the network", "must hold at least one"};
    }
    return network;
}

Value Network::write() const {
    Value::Object object = writeCircuit(circuit);
    object.insert(object.begin() + 1, {"drivers", DriverSet{drivers}.write()});
    return object;
}

double dcResistance(const DriverSource& source) {
    return std::visit(
        [](const auto& s) {
            using T = std::decay_t<decltype(s)>;
            if constexpr (std::is_same_v<T, ResistorLoad>) {
                return s.resistance;
            } else if constexpr (std::is_same_v<T, CoilLoad>) {
                return s.coil.Re;
            } else if constexpr (std::is_same_v<T, driver::ImpedanceModel>) {
                return s.Re;
            } else {
                double least = std::abs(s.values().front());
                for (const Complex& Z : s.values()) {
                    least = std::min(least, std::max(Z.real(), 1e-3));
                }
                return least;
            }
        },
        source);
}

LoadsOn loadSource(const Network& network) {
    std::vector<ReadyDriver> ready;
    std::ranges::transform(network.drivers, std::back_inserter(ready), makeReady);
    return [ready = std::move(ready)](const Axis& axis) -> Result<Loads> {
        Loads loads{.axis = axis};
        for (const ReadyDriver& driver : ready) {
            YF_TRY(load, loadOn(driver, axis));
            loads.drivers.push_back(std::move(load));
        }
        return loads;
    };
}

Result<Loads> loadsOn(const Network& network, const Axis& axis) {
    return loadSource(network)(axis);
}

Axis coveredAxis(const Network& network) {
    double from = curve::designAxis().front();
    double to = curve::designAxis().back();
    const auto narrow = [&](const curve::Curve& curve) {
        from = std::max(from, curve.extent().from);
        to = std::min(to, curve.extent().to);
    };
    for (const NamedDriver& driver : network.drivers) {
        if (const auto* table = std::get_if<curve::Curve>(&driver.impedance)) {
            narrow(*table);
        }
        if (driver.response) {
            narrow(*driver.response);
        }
    }
    return curve::within(curve::designAxis(), from, to);
}

std::optional<Error> checkAxis(const std::vector<double>& frequencies, const std::string& path) {
    if (frequencies.size() < 2) {
        return Error{path,
                     say(YF_WORDS("core", "%1 entries given"), std::to_string(frequencies.size())),
                     "must have at least 2"};
    }
    for (std::size_t i = 1; i < frequencies.size(); ++i) {
        if (!(frequencies[i] > frequencies[i - 1])) {
            return Error{path,
                         say(YF_WORDS("core", "entry %1 (%2) is not above entry %3 (%4)"),
                             std::to_string(i + 1),
                             text::printNumber(frequencies[i]),
                             std::to_string(i),
                             text::printNumber(frequencies[i - 1])),
                         ""};
        }
    }
    return std::nullopt;
}

std::optional<Error> checkFrequencies(const std::optional<std::vector<double>>& frequencies) {
    if (!frequencies) {
        return std::nullopt;
    }
    if (frequencies->empty()) {
        return Error{"frequencies_hz", "0 entries given", "must have at least 1"};
    }
    return frequencies->size() == 1 ? std::nullopt : checkAxis(*frequencies, "frequencies_hz");
}

std::optional<Error> check(const SolveInput& input) {
    return checkFrequencies(input.frequencies);
}

Value SolveOutput::write() const {
    Value::List drivesDb;
    Value::List drivesDeg;
    // A level of nothing does not exist; it is null, never minus infinity.
    const auto level = [](const Complex& v, double reference) -> Value {
        return std::abs(v) > 0.0 ? Value{quantity::decibels(std::abs(v) / reference)} : Value{};
    };
    const auto degrees = [](const Complex& v) { return Value{std::arg(v) / quantity::degree}; };
    for (const auto& drive : drives) {
        Value::List db;
        Value::List deg;
        for (const Complex& v : drive) {
            db.push_back(level(v, 1.0));
            deg.push_back(degrees(v));
        }
        drivesDb.emplace_back(std::move(db));
        drivesDeg.emplace_back(std::move(deg));
    }
    std::vector<double> modulus;
    std::vector<double> re;
    std::vector<double> im;
    Value::List phase;
    for (const Complex& Z : impedances) {
        modulus.push_back(std::abs(Z));
        re.push_back(Z.real());
        im.push_back(Z.imag());
        phase.push_back(degrees(Z));
    }
    Value::List sumDb;
    Value::List sumDeg;
    for (const Complex& S : sum) {
        sumDb.push_back(level(S, sumReference));
        sumDeg.push_back(degrees(S));
    }
    return Value::Object{{"frequencies_hz", frequencies},
                         {"driver_names", driverNames},
                         {"drives_db", std::move(drivesDb)},
                         {"drives_deg", std::move(drivesDeg)},
                         {"impedances_ohm", modulus},
                         {"impedances_ohm_re", re},
                         {"impedances_ohm_im", im},
                         {"phases_deg", std::move(phase)},
                         {"sum_level_db", std::move(sumDb)},
                         {"sum_phase_deg", std::move(sumDeg)}};
}

Result<SolveOutput> solveNetwork(const SolveInput& input) {
    // Where nothing is asked for: all that every curve covers.
    const Axis axis = input.frequencies.value_or(coveredAxis(input.network));
    if (axis.empty()) {
        return Error{"network.drivers", "their curves share no frequency", ""};
    }
    YF_TRY(loads, loadsOn(input.network, axis));
    const PreparedLoads prepared(loads);
    YF_TRY(solution, solve(input.network.circuit, prepared, input.method));
    YF_TRY(pressure, pressures(input.network.circuit, loads, solution));
    const bool acoustic = std::ranges::any_of(
        loads.drivers, [](const Load& load) { return load.pressure.has_value(); });
    return SolveOutput{.frequencies = axis,
                       .driverNames = solution.driverNames,
                       .drives = solution.drives,
                       .impedances = solution.impedances,
                       .sum = pressure.sum,
                       .sumReference = acoustic ? quantity::referencePressure : 1.0};
}

} // namespace yf::network
