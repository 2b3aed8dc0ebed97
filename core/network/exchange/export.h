// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/network/line/biquad.h"
#include "core/network/parts/price.h"
#include "core/network/solve/network.h"

namespace yf::network {

enum class ExportFormat { spice, touchstone, csvParts, csvResponse, csvLine };

/// Input of `network export`.
struct ExportRequest {
    Network network;
    ExportFormat format{};
    std::optional<double> voltage;
    Prices prices;
    std::optional<double> sampleRate;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.network, q::Group{"network", "the network"});
        field(self.format,
              q::Choice<5>{"format",
                           {"spice", "touchstone", "csv-parts", "csv-response", "csv-line"},
                           "netlist, load, parts list, curves, or the lanes' digital filters"});
        field(self.voltage,
              q::voltage.as("voltage_v", "EMF that watts and volts of the parts list are for"));
        field(self.prices, q::Group{"prices", "what parts cost", true});
        field(self.sampleRate, q::sampleRate.as("sample_rate_hz", "of csv-line; 48000"));
    }
};

struct ExportAnswer {
    std::string text;

    static void fields(auto& self, auto&& field) {
        field(self.text, yf::quantity::Word{"text", "the file's content"});
    }
};

/// A SPICE netlist: the return is node 0, V1 the source of 1 V with its resistance behind it (of
/// several amplifiers V1, V2 …, the lines before them not being in it), a
/// subcircuit for each driver (Re, coil, and Rm = Re·Qms/Qes, Lm = Rm/(2πfs·Qms), Cm =
/// Qms/(2πfs·Rm) in parallel), losses as resistors of their own, 17 digits, exponents instead of
/// prefixes. Comments name the drive of each driver as an expression. A driver that is a measured
/// curve, or whose coil has no parts, is described by parts first; its worst error is in a comment.
/// Fails where that does not work, naming the driver.
[[nodiscard]] Result<std::string> spiceNetlist(const Network& network);

/// The load as a one-port, version 1: `# HZ Z RI R 1`.
[[nodiscard]] std::string touchstone(const Axis& axis, const std::vector<Complex>& Z);

/// One line of a parts list.
struct ListedPart {
    std::string way; ///< empty: before the ways, or in a net
    Part part;
    double watts{};
    double volts{}; ///< peak
    double price{};
};

/// All parts in writing order with what programme at an EMF does to them. Fails as powers().
[[nodiscard]] Result<std::vector<ListedPart>>
partsList(const Circuit& circuit, const LoadsOn& loadsOn, double voltage, const Prices& prices);

/// Columns id, way, kind, value, unit, loss_ohm, watts, peak_v, tolerance_pct, price, and a last
/// line with the sum; decimal point, commas.
[[nodiscard]] std::string csvOf(const std::vector<ListedPart>& parts);

/// What stands before the amplifiers, for a digital crossover: columns way, what, b0, b1, b2, a1,
/// a2 (a0 = 1), a line for each section in order, then the gain as a factor in b0 and the delay in
/// samples. Fails: no lines; a corner from half the rate on, naming way and filter.
[[nodiscard]] Result<std::string> csvOfLines(const Circuit& circuit, double sampleRate = 48000.0);

/// The `export` verb.
[[nodiscard]] Result<ExportAnswer> exportNetwork(const ExportRequest& request);

} // namespace yf::network
