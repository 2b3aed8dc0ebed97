// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/network/parts/e_series.h"

namespace yf::network {

enum class PadKind { lPad, series, measured };

/// Input of `network pad`.
struct PadRequest {
    PadKind kind{};
    std::optional<double> attenuation;
    std::optional<double> load;
    std::optional<double> series;
    std::optional<double> shunt;
    double voltage{};
    std::optional<ESeries> eSeries;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.kind,
              q::Choice<3>{"kind",
                           {"l-pad", "series", "measured"},
                           "two resistors, one, or an old control as found",
                           0});
        field(self.attenuation, q::attenuation);
        field(self.load, q::loadResistance);
        field(self.series,
              q::Quantity{"R", "series_ohm", 1.0, "Ω", 0.0, 1e9, "resistor in the line, as found"});
        field(self.shunt, q::resistance.as("shunt_ohm", "resistor across the load, as found"));
        field(self.voltage, q::voltage.orElse(2.83));
        field(self.eSeries, eSeriesKey);
    }
};

[[nodiscard]] std::optional<Error> check(const PadRequest& request);

/// A level pad in front of a load of resistance R; k = 10^(−A/20).
///
/// l-pad: series R(1−k), then shunt R·k/(1−k): the load seen stays R. series: R(1/k − 1), the load
/// seen grows to R/k. measured: what two found resistances do. Powers for `voltage` at the input.
struct Pad {
    double series{};
    std::optional<double> shunt;
    double attenuation{};
    double seen{};
    double seriesPower{};
    double shuntPower{};
    double loadPower{};
    std::optional<double> seriesSnapped;
    std::optional<double> shuntSnapped;

    [[nodiscard]] text::Value write() const;
};

[[nodiscard]] Result<Pad> pad(const PadRequest& request);

} // namespace yf::network
