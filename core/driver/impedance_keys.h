// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/curve/curve.h"
#include "core/quantity/quantities.h"

#include <optional>
#include <vector>

namespace yf::driver {

/// An impedance as lists: real and imaginary parts, or moduli with or without phases.
struct ImpedanceKeys {
    std::vector<double> frequencies;
    std::optional<std::vector<double>> re;
    std::optional<std::vector<double>> im;
    std::optional<std::vector<double>> moduli;
    std::optional<std::vector<double>> phases;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.frequencies, q::frequencies);
        field(self.re, q::impedancesRe);
        field(self.im, q::impedancesIm);
        field(self.moduli, q::impedances);
        field(self.phases, q::phases);
    }
};

/// Frequencies rising, lists of their length, one form only.
[[nodiscard]] std::optional<Error> check(const ImpedanceKeys& keys);

[[nodiscard]] curve::Curve toCurve(const ImpedanceKeys& keys);

} // namespace yf::driver
