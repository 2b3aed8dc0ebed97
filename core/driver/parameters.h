// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/driver/fit.h"
#include "core/driver/jig_take.h"
#include "core/driver/vas.h"

#include <optional>

namespace yf::driver {

/// A take on the jig to be turned into parameters.
struct ParameterOrder {
    const JigTake& take;
    std::optional<double> dcr; ///< Ω by meter, leads off
    double dcrU{0.01};
    Jig jig;
    FitKind kind{};
};

/// Parameters with everything that is known to be uncertain about them.
struct Parameters {
    FitResult fit;
    FitUncertainty u; ///< scatter of the fit, and the jig's resistor, gain and leads
};

/// Fits a take and adds what no scatter shows: an error of the sense resistor scales the whole
/// curve (Re, not the Q); an error of the leads adds to Re alone, which lowers or raises Qes by its
/// share of Re.
[[nodiscard]] Result<Parameters> parametersOf(const ParameterOrder& order);

} // namespace yf::driver
