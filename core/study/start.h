// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/edit/parts.h"
#include "core/network/line/prototype.h"

/// A network from the textbook for a job's own drivers.
namespace yf::study {

/// How the ways hang together.
///
/// parallel     a filter for each way, side by side
/// series       two ways one behind the other: Butterworth; a failure in one way reaches both
/// lineLevel    an amplifier for each way, filters before it: the same curves, no pads; where
/// slopes
///              are Linkwitz-Riley each way also takes the all-pass of the crossovers above it, so
///              that a three-way sums flat; a treble driver keeps a capacitor two octaves below fx
/// halfWay      three drivers, the lowest two alike: the first rolled off by one coil at fx (near
///              the front's step), the second up to the tweeter at upper[0]
/// filler       three drivers: the lowest and the highest cross over at fx in second order of Q
///              0.7071, the one between fills their gap through a coil and a capacitor
enum class Plan { parallel, series, lineLevel, halfWay, filler };

/// How to start a network from the book.
struct Start {
    network::Alignment alignment{network::Alignment::linkwitzRiley};
    int order{4};
    double fx{2500.0};         ///< Hz, of the lowest pair of ways
    std::vector<double> upper; ///< Hz, of further pairs upwards, rising
    Plan plan{};
    bool flattenImpedance{};
    bool padLevels{};

    bool operator==(const Start&) const = default;
};

/// Crossover frequencies to begin with for 2 to 5 ways, from the lowest up (common practice); the
/// drivers' own bands say more. Fewer ways are taken for two, more for five. Hz
[[nodiscard]] std::vector<double> customaryCrossovers(int ways);

[[nodiscard]] Result<edit::Edit>
startNetwork(const job::Job& job, const std::string& cabinet, const Start& start);

/// The same as a value: the circuit for a job's drivers. Each way is computed for |Z| of its driver
/// at fx (a middle way: at the middle of its two), with the impedance as flattened where that is
/// asked. Pads bring louder ways down to the quietest one by the mean levels over the octave beyond
/// fx on each one's own side, a middle way's over its own band and with the gain that its band-pass
/// has. Neighbours are turned over by the textbook's rule.
/// Sources: docs/theory/network.md (plans), docs/theory/line_level.md.
/// Fails: a plan for another number of ways, one way, not one fx for each pair, fx that do not
/// rise, no impedance at fx (naming driver and range), odd Linkwitz-Riley orders.
[[nodiscard]] Result<network::Circuit>
startedNetwork(const job::Job& job, const job::Cabinet& cabinet, const Start& start);

/// |Z| of each way's driver, Ω, where the book reads it. Fails likewise.
[[nodiscard]] Result<std::vector<double>>
bookLoads(const job::Job& job, const job::Cabinet& cabinet, const Start& start);

} // namespace yf::study
