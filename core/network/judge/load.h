// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/driver/rating.h"
#include "core/network/solve/network.h"

namespace yf::network {

/// Input of `network load`.
struct LoadRequest {
    Network network;
    std::optional<double> minimum;
    std::optional<double> rated;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.network, q::Group{"network", "the network"});
        field(self.minimum,
              q::loadResistance.as(
                  "min_ohm", "least modulus that the amplifier takes; 3.2 unless given or rated"));
        field(self.rated,
              q::loadResistance.as("rated_ohm", "rated impedance; 80 % of it is the limit"));
    }
};

/// A modulus and where it is reached.
struct Lowest {
    double ohms{};
    double frequency{};

    bool operator==(const Lowest&) const = default;
};

/// What the amplifier sees, 20 Hz to 20 kHz.
struct AmplifierLoad {
    Lowest impedance;
    Lowest epdr;
    double phaseMin{}; ///< rad
    double phaseMax{};
    std::optional<double> dcr; ///< absent: no path for direct current
    std::vector<std::string> driverNames;
    std::vector<bool> dcPaths;
    std::vector<double> unloadedMinimums; ///< least |Z| with that driver open
    std::vector<Words> warnings;

    [[nodiscard]] text::Value write() const;
};

using driver::audibleAxis;
using driver::epdr;

/// Least |Z| of a circuit over the axis of `onAxis`: its points, then each valley that could hold
/// something lower narrowed down between its neighbours (a trap's dip is narrower than a grid
/// step). `onAxis` is what `loadsOn` gives for its axis, made ready once for many circuits.
[[nodiscard]] Result<Lowest>
leastImpedance(const Circuit& circuit, const LoadsOn& loadsOn, const PreparedLoads& onAxis);

/// Least EPDR on the points of the axis: between points 1/48 octave apart it falls by less than its
/// use as a rule of thumb asks for.
[[nodiscard]] Result<Lowest> leastEpdr(const Circuit& circuit, const PreparedLoads& onAxis);

/// Least |Z| with one driver taken off its wires. `onAxis` must be `withoutDriver` of the axis's
/// loads.
[[nodiscard]] Result<Lowest> leastImpedanceWithout(const Circuit& circuit,
                                                   const LoadsOn& loadsOn,
                                                   const PreparedLoads& onAxis,
                                                   const std::string& driver);

/// The same loads with one driver open.
[[nodiscard]] Loads withoutDriver(Loads loads, const std::string& driver);

/// DC resistance of the terminals by rules on the graph: C open unless it leaks, L its DCR, a
/// driver its DC resistance; nothing where no path exists.
[[nodiscard]] std::optional<double> dcTerminals(const Circuit& circuit, const Loads& loads);

/// Whether direct current can reach each driver end through coils and resistors.
[[nodiscard]] std::vector<bool> dcPaths(const Circuit& circuit);

/// Whether a driver that a capacitor kept from direct current would be given it: no advice may do
/// that. Ends of both are alike.
[[nodiscard]] bool givesDirectCurrent(const Circuit& before, const Circuit& after);

/// Warning codes in this order: z-below-limit, epdr-below-2-ohm, dc-reaches:NAME, short-at-dc,
/// short-at-hf, near-short-if-removed:NAME. `axis` holds the points looked at first.
[[nodiscard]] Result<AmplifierLoad>
amplifierLoad(const Circuit& circuit, const LoadsOn& loadsOn, const Axis& axis, double minimum);

/// The `load` verb: measured tables must cover 20 Hz to 20 kHz.
[[nodiscard]] Result<AmplifierLoad> loadOf(const LoadRequest& request);

} // namespace yf::network
