// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/curve/smooth.h"
#include "core/measure/inputs.h"

namespace yf::measure {

enum class OutputGrid { input, bands };

/// Input of `measure smooth`.
struct SmoothRequest {
    CurveKeys curve;
    int fraction{};
    curve::Smoothing mode{};
    double delayRemoved{};
    OutputGrid grid{};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        CurveKeys::fields(self.curve, field);
        field(self.fraction, q::Whole{"fraction", 1, 96, "1/n octave"});
        field(self.mode,
              q::Choice<3>{"mode", {"power", "level", "complex"}, "what is averaged", 0});
        field(self.delayRemoved,
              q::Quantity{"", "delay_removed_s", 1.0, "s", -10.0, 10.0, "out before, back after"}
                  .orElse(0.0));
        field(self.grid,
              q::Choice<2>{
                  "output_grid", {"input", "bands"}, "the data's own points, or mid-bands", 0});
    }
};

[[nodiscard]] std::optional<Error> check(const SmoothRequest& request);

struct Smoothed {
    CurveKeys curve;
    double halfBandRatio{};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.curve.frequencies, q::frequencies);
        field(self.curve.levels, q::levels);
        if (self.curve.phases) {
            field(self.curve.phases, q::phases);
        }
        field(self.halfBandRatio,
              q::Quantity{"", "half_band_ratio", 1.0, "", 1.0, 10.0, "edge over middle"});
    }
};

/// Bands: exact mid-bands whose whole band lies in the data. Errors: complex without phases; no
/// band in the data.
[[nodiscard]] Result<Smoothed> smooth(const SmoothRequest& request);

} // namespace yf::measure
