// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/network/parts/part.h"
#include "core/quantity/quantities.h"
#include "core/text/fields.h"

namespace yf::network {

/// Preferred values of IEC 60063.
enum class ESeries { E3, E6, E12, E24, E48, E96, E192 };

inline constexpr quantity::Choice<7> eSeriesKey{
    "e_series", {"E3", "E6", "E12", "E24", "E48", "E96", "E192"}, "preferred values of IEC 60063"};

/// Values of one decade, 1 ≤ m < 10. E48 and finer: 10^(i/N) to three digits, but 9.20 for 9.19;
/// E24: two digits with its eight historical values; E12, E6, E3 every 2nd, 4th, 8th of E24.
[[nodiscard]] const std::vector<double>& mantissas(ESeries series);

/// The value of the series nearest in the logarithm.
[[nodiscard]] double nearestValue(double value, ESeries series);

/// The next value of the series above (steps > 0) or below: what the wheel does to a part.
[[nodiscard]] double stepValue(double value, ESeries series, int steps);

/// Two parts for one value.
struct PairOfValues {
    double first{}; ///< the smaller
    double second{};
    Joining join{};
    double value{};
};

/// The best two values of the series, in series or parallel, by exhaustive search over
/// value/10⁴ … value·10⁴.
[[nodiscard]] PairOfValues nearestPair(double value, PartKind kind, ESeries series);

/// Input of `network parts`.
struct PartsRequest {
    std::optional<PartKind> kind;
    std::optional<double> ohm;
    std::optional<double> henry;
    std::optional<double> farad;
    ESeries series{};
    bool list{};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.kind, q::Choice<3>{"kind", {"R", "L", "C"}, "resistor, coil or capacitor"});
        field(self.ohm, q::resistance.as("value_ohm", "resistance wanted"));
        field(self.henry, q::inductance.as("value_h", "inductance wanted"));
        field(self.farad, q::capacitance.as("value_f", "capacitance wanted"));
        field(self.series, eSeriesKey);
        field(self.list, q::Flag{"list", "give the series itself", false});
    }
};

[[nodiscard]] std::optional<Error> check(const PartsRequest& request);

/// Output of `network parts`: either mantissas, or the nearest value and the nearest pair.
struct PartsAnswer {
    std::optional<std::vector<double>> mantissas;
    PartKind kind{};
    double snapped{};
    double error{}; ///< 0.01 is 1 %
    PairOfValues pair;
    double pairError{};

    [[nodiscard]] text::Value write() const;
};

[[nodiscard]] Result<PartsAnswer> purchasable(const PartsRequest& request);

} // namespace yf::network
