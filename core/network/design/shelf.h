// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/quantity/quantities.h"

#include <optional>

namespace yf::network {

/// f_c of the step of a front of width w is about 115 m/s over w (from memory; a sphere's +3 dB
/// point lies at 108.5 over its diameter). Real boxes lie lower: a computed place goes before it.
inline constexpr double stepTimesWidth = 115.0;

/// Input of `network baffle-step`.
struct ShelfRequest {
    std::optional<double> width;
    std::optional<double> centre;
    double step{};
    double load{};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.width, q::width.as("width_m", YF_WORDS("core", "width of the front")));
        field(self.centre, q::frequency.as("centre_hz", "half of the step"));
        field(self.step,
              q::attenuation.as("step_db", "height of the step").orElse(6.020599913279624));
        field(self.load, q::loadResistance.orElse(8.0));
    }
};

/// One of width and centre.
[[nodiscard]] std::optional<Error> check(const ShelfRequest& request);

/// A resistor and a coil, parallel, in the line.
struct Shelf {
    double R{};
    double L{};
    double centre{};
    double pole{};
    double zero{};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.R, q::resistance);
        field(self.L, q::inductance);
        field(self.centre, q::frequency.as("centre_hz", "half of the step"));
        field(self.pole, q::frequency.as("pole_hz", "lower corner"));
        field(self.zero, q::frequency.as("zero_hz", "upper corner"));
    }
};

/// Step g = 10^(A/20): R = R_L(g−1), pole f_c/√g, zero f_c·√g, L = R/(2πf_c√g); |H| is half the
/// step (in dB) at f_c exactly. R_L is taken for constant: flatten the load first.
[[nodiscard]] Result<Shelf> shelf(const ShelfRequest& request);

} // namespace yf::network
