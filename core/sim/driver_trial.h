// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/driver/fit.h"
#include "core/quantity/quantities.h"

#include <string>
#include <vector>

namespace yf::sim {

/// A driver drawn at random, everything about it known.
struct KnownDriver {
    driver::ImpedanceModel model;
    double Mms{};  ///< kg
    double Sd{};   ///< m²
    double lead{}; ///< Ω, of the clips

    [[nodiscard]] double Qts() const { return model.Qms * model.Qes / (model.Qms + model.Qes); }

    [[nodiscard]] double Vas() const;
};

/// The n-th driver of a seed: woofers, midranges and tweeters in turn, the coil's descriptions too.
[[nodiscard]] KnownDriver knownDriver(int seed, int n);

/// Input of `driver trial`.
struct DriverTrialRequest {
    int seed{1};
    int first{0}; ///< number of the first driver of that seed
    int count{300};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.seed, q::Whole{"seed", 0, 1000000, "of the draws", 1});
        field(self.first, q::Whole{"first", 0, 1000000, "number of the first driver", 0});
        field(self.count, q::Whole{"count", 1, 10000, "drivers", 300});
    }
};

/// How one figure came out over all drivers.
struct FigureTrial {
    std::string figure;
    double medianError{}; ///< share
    double covered{};     ///< share of cases whose 95 % interval holds the truth

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.figure, q::Word{"figure", "which"});
        field(self.medianError,
              q::Quantity{"", "median_error_pct", 0.01, "%", 0.0, 1e6, "of the truth"});
        field(self.covered,
              q::Quantity{"", "covered_pct", 0.01, "%", 0.0, 100.0, "95 % intervals that hold it"});
    }
};

struct DriverTrial {
    int drivers{};
    int failed{}; ///< no fit
    std::vector<FigureTrial> figures;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.drivers, q::Whole{"drivers", 0, 100000, "tried"});
        field(self.failed, q::Whole{"failed", 0, 100000, "without a fit"});
        field(self.figures, q::Group{"figures", "Re, fs, Qts, Vas"});
    }
};

/// Each driver is measured on the simulated jig with a sweep through noise, clips and a resistor
/// that is not quite what it says, once free and once with a mass on; the parameters are fitted and
/// held against the truth.
[[nodiscard]] Result<DriverTrial> driverTrial(const DriverTrialRequest& request);

} // namespace yf::sim
