// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/driver/impedance.h"
#include "core/network/circuit/circuit.h"
#include "core/network/solve/loads.h"
#include "core/network/solve/solve.h"
#include "core/quantity/kinds.h"
#include "core/text/fields.h"

#include <functional>

namespace yf::network {

/// A plain resistor in a driver's place.
struct ResistorLoad {
    double resistance{};

    bool operator==(const ResistorLoad&) const = default;
};

/// A coil with its resistance and nothing that moves: Re and the inductance of a model, whose fs,
/// Qms and Qes mean nothing here.
struct CoilLoad {
    driver::ImpedanceModel coil;

    bool operator==(const CoilLoad&) const = default;
};

/// How a driver of the notation is given: a resistor, a coil, a model, or a measured impedance.
using DriverSource = std::variant<ResistorLoad, CoilLoad, driver::ImpedanceModel, curve::Curve>;

struct NamedDriver {
    std::string name;
    DriverSource impedance;
    std::optional<curve::Curve> response; ///< Pa for 2.83 V
    quantity::DriverRole role{};
    double delay{};

    bool operator==(const NamedDriver&) const = default;
};

/// Drivers by name: the `drivers` object of the command line.
struct DriverSet {
    std::vector<NamedDriver> drivers;

    /// Refused with the full path: a driver given in no way or in two, ragged tables, frequencies
    /// that do not rise.
    static Result<DriverSet> read(const text::Value& value, const std::string& path);
    [[nodiscard]] text::Value write() const;
};

/// A circuit together with its drivers: the `network` object of the command line.
struct Network {
    Circuit circuit;
    std::vector<NamedDriver> drivers;

    /// Refused with the full path: what readCircuit refuses, a driver that is not listed, a driver
    /// given in no way or in two ways, ragged tables, frequencies that do not rise.
    static Result<Network> read(const text::Value& value, const std::string& path);
    [[nodiscard]] text::Value write() const;

    bool operator==(const Network&) const = default;
};

/// Two frequencies or more, each above the one before; an error at `path`.
[[nodiscard]] std::optional<Error> checkAxis(const std::vector<double>& frequencies,
                                             const std::string& path);

/// Loads on any axis: what a search between grid points needs.
using LoadsOn = std::function<Result<Loads>(const Axis&)>;

/// The drivers of a network, made ready to be asked on any axis.
[[nodiscard]] LoadsOn loadSource(const Network& network);

/// The drivers' curves on an axis. A table is interpolated; beyond its ends it is refused, naming
/// the driver and the range.
[[nodiscard]] Result<Loads> loadsOn(const Network& network, const Axis& axis);

/// The part of the design axis that all tables of the network cover.
[[nodiscard]] Axis coveredAxis(const Network& network);

/// DC resistance of a driver: Re, the resistor, or the least real part of a measured curve.
[[nodiscard]] double dcResistance(const DriverSource& source);

/// Input of `network solve`.
struct SolveInput {
    Network network;
    std::optional<std::vector<double>> frequencies;
    Method method{};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.network, q::Group{"network", "the network"});
        field(self.frequencies, q::frequencies);
        field(self.method, q::Choice<3>{"method", {"auto", "ladder", "nodal"}, "which solver", 0});
    }
};

/// "frequencies_hz" of a verb, where given: at least one, ascending.
[[nodiscard]] std::optional<Error>
checkFrequencies(const std::optional<std::vector<double>>& frequencies);

[[nodiscard]] std::optional<Error> check(const SolveInput& input);

/// Output of `network solve`.
struct SolveOutput {
    std::vector<double> frequencies;
    std::vector<std::string> driverNames;
    std::vector<std::vector<Complex>> drives;
    std::vector<Complex> impedances;
    std::vector<Complex> sum;
    double sumReference{1.0};

    [[nodiscard]] text::Value write() const;
};

/// Solves a network; the sum is a level re 20 µPa where drivers have responses, else re the EMF.
[[nodiscard]] Result<SolveOutput> solveNetwork(const SolveInput& input);

} // namespace yf::network
