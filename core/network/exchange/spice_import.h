// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/network/solve/network.h"

namespace yf::network {

/// Input of `network import`.
struct ImportRequest {
    std::string text;

    static void fields(auto& self, auto&& field) {
        field(self.text, yf::quantity::Word{"text", "a SPICE netlist"});
    }
};

/// A netlist read as a free net.
struct Imported {
    Network network;
    std::vector<Words> notes; ///< what was left out, with its line

    [[nodiscard]] text::Value write() const;
};

/// The first line is the title and not read, as simulators have it.
///
/// The subset that crossover networks need: R, L, C, K, one V, X with two nodes, .subckt … .ends of
/// R, L and C, comments, continuation lines, values with the simulator's prefixes (M is milli, MEG
/// million). The source's hot node becomes `in`, 0 or gnd the return. A subcircuit is a driver: its
/// impedance on the design axis is computed from its parts. A polarity is that of the order of an
/// X line's nodes. Commands (a dot in front) are noted and left out.
/// Fails naming line and element: another element, a node too few, a value that can't be read, no
/// source or two, a subcircuit that is not there, what reading a network refuses.
[[nodiscard]] Result<Imported> importSpice(const ImportRequest& request);

/// A value as a simulator reads it: "4.7uF", "1MEG", "10m"; letters behind a prefix are ignored.
[[nodiscard]] std::optional<double> spiceValue(const std::string& text);

} // namespace yf::network
