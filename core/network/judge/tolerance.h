// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/network/solve/network.h"

#include <cstdint>

namespace yf::network {

/// What parts are allowed where they do not say it themselves, ± shares.
struct Tolerances {
    double resistor{0.05};
    double coil{0.05};
    double capacitor{0.10};

    [[nodiscard]] double of(const Part& part) const;
};

/// Change of the sum's level, dB, for each part over frequency.
///
/// `slopes` is d(20 lg|S|)/d ln(value): times 0.01 the change for 1 %, times 0.1 a part's reach.
/// A tree's are exact (sweep.h); a net's are central differences. Fails as solve() and pressures().
struct SumSlopes {
    std::vector<std::string> partIds;
    std::vector<std::vector<double>> slopes; ///< dB per unit of ln [part][frequency]
};

/// `lossesFollow`: DCR and ESR go with the value as withValue says; a tolerance leaves them.
[[nodiscard]] Result<SumSlopes>
sumSlopes(const Circuit& circuit, const PreparedLoads& loads, bool lossesFollow);

/// What 10 % of a part's value do to the sum where they do most, to first order.
struct Reach {
    double level{}; ///< dB, as it is when the value grows
    double at{};    ///< Hz
};

/// Of the part in that place, within a range of the axis the slopes were made on; nothing where the
/// axis has no point in it.
[[nodiscard]] std::optional<Reach>
reachOf(const SumSlopes& slopes, std::size_t part, const Axis& axis, const curve::Range& range);

/// Input of `network tolerance`.
struct ToleranceRequest {
    Network network;
    std::optional<std::vector<double>> frequencies;
    Tolerances allowed;
    int runs{};
    int seed{1};
    double limit{1.0};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.network, q::Group{"network", "the network"});
        field(self.frequencies, q::frequencies);
        field(self.allowed.resistor,
              q::tolerance.as("r_tolerance_pct", "of resistors without one").orElse(5.0));
        field(self.allowed.coil,
              q::tolerance.as("l_tolerance_pct", "of coils without one").orElse(5.0));
        field(self.allowed.capacitor,
              q::tolerance.as("c_tolerance_pct", "of capacitors without one").orElse(10.0));
        field(self.runs, q::Whole{"runs", 0, 100000, "networks drawn", 0});
        field(self.seed, q::Whole{"seed", 0, 2147483647, "of the draws", 1});
        field(self.limit, q::attenuation.as("limit_db", "a draw is good within it").orElse(1.0));
    }
};

[[nodiscard]] std::optional<Error> check(const ToleranceRequest& request);

struct ToleranceAnswer {
    std::vector<std::string> partIds;
    std::vector<std::vector<double>> sensitivities; ///< dB for +1 % [part][frequency]
    std::vector<double> worstCases;                 ///< dB, first order, every part at its limit
    std::optional<double> yield;                    ///< share of draws within the limit everywhere
    std::optional<std::vector<double>> spreads;     ///< dB that 95 % of draws stay within
    std::vector<std::size_t> causes;                ///< parts by what they do at worst, most first

    [[nodiscard]] text::Value write() const;
};

/// Draws are uniform within each part's tolerance and independent; the losses stay. W(f) =
/// Σ|S_p|·tol_p is what all of them together can do, to first order.
[[nodiscard]] Result<ToleranceAnswer>
tolerance(const Circuit& circuit, const PreparedLoads& loads, const ToleranceRequest& request);

/// The `tolerance` verb: on the frequencies given, else the design axis as far as tables reach.
[[nodiscard]] Result<ToleranceAnswer> toleranceOf(const ToleranceRequest& request);

} // namespace yf::network
