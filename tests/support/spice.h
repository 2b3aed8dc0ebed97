// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/network/solve/network.h"

#include <complex>
#include <string>
#include <vector>

/// The general-purpose circuit simulator ngspice as a witness: it shares no line with our solvers.
namespace yf::test::spice {

/// A network as a netlist with the return at node 0 and V1 as source; each driver of the notation a
/// subcircuit made from its parameters. Written independently of core/network/graph.
struct Netlist {
    std::string text;                ///< without control section and .end
    std::vector<std::string> drives; ///< an expression for each driver end, re the EMF of 1 V
    std::string impedance;           ///< an expression for the load behind the source resistance
};

[[nodiscard]] Netlist netlist(const network::Network& network);

/// The circuit of a netlist file without its own control section.
[[nodiscard]] std::string circuitOf(const std::string& file);

/// Values of expressions, [expression][point], at the 577 points of the design axis as ngspice
/// itself steps through them.
struct Sweep {
    std::vector<double> frequencies;
    std::vector<std::vector<std::complex<double>>> values;
};

/// By `ngspice -b` in a folder of its own with a time limit of 20 s.
[[nodiscard]] Sweep sweep(const std::string& circuit, const std::vector<std::string>& expressions);

/// Lines "name = value" of a run of a whole file.
[[nodiscard]] double printed(const std::string& file, const std::string& name);

} // namespace yf::test::spice
