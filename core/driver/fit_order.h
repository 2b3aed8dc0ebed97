// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/curve/curve.h"
#include "core/driver/impedance.h"

#include <optional>
#include <string>
#include <string_view>
#include <vector>

/// What is asked of a fit of an impedance curve, and what it comes to.

namespace yf::driver {

enum class FitKind { freeAir, vented };

/// Losses and tuning of a box, as far as an impedance curve shows them.
struct BoxSeen {
    double alpha{}; ///< Vas/Vb
    double fb{};    ///< Hz
    double QL{};    ///< one lumped loss

    bool operator==(const BoxSeen&) const = default;
};

/// A measured impedance to be described. Phases may be missing (Phase::none).
struct FitOrder {
    curve::Curve impedance;
    std::vector<double> u;     ///< standard uncertainty of each point, share; empty: unknown
    std::optional<double> dcr; ///< Ω by meter, leads off
    double dcrU{0.01};         ///< its standard uncertainty, share
    FitKind kind{};
    std::optional<InductanceModel> inductance; ///< absent: the fit chooses
};

/// How well one description of the coil did over the whole band.
struct ModelTried {
    InductanceModel model{};
    double rms{}; ///< relative error of |Z| and angle, outliers left out
    double bic{};
    int parameters{};
};

/// Standard uncertainties, shares of the value.
struct FitUncertainty {
    double Re{};
    double fs{};
    double Qms{};
    double Qes{};
    double Qts{};
};

/// A driver's parameters from its impedance.
struct FitResult {
    ImpedanceModel model; ///< Re, fs, Qms, Qes and the coil
    double Qts{};
    FitUncertainty u;
    std::vector<double>
        coilU; ///< of the coil's values in coilFigures' order; the exponent's as such
    std::optional<BoxSeen> box;
    double rms{};                 ///< relative, outliers left out
    std::vector<double> outliers; ///< Hz
    bool phaseUsed{};
    std::vector<ModelTried> tried;         ///< best first
    std::vector<Words> notes;              ///< in words: what to mind
    std::vector<curve::Complex> residuals; ///< ln(Z/model) at each point of the data
};

/// Name of a coil's description as on the command line.
[[nodiscard]] std::string_view inductanceName(InductanceModel model);

} // namespace yf::driver
