// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/curve/curve.h"
#include "core/driver/impedance.h"

#include <optional>
#include <string>
#include <string_view>
#include <vector>

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
    std::vector<std::string> notes;        ///< in words: what to mind
    std::vector<curve::Complex> residuals; ///< ln(Z/model) at each point of the data
};

/// Re, fs, Qms, Qes and the coil from a measured curve, with uncertainties that are true.
///
/// Residual of a point: e = ln(Z/Z_model), complex: relative magnitude and phase, so the peak does
/// not outweigh the rest. Stage 1 takes the resonance from f ≤ 10·fs; stage 2 freezes it and
/// chooses the coil's description over the whole band by BIC (docs/theory/driver.md). Starts from
/// the most prominent peaks of the smoothed curve; Cauchy loss, then Tukey's bisquare until the
/// parameters rest. Covariance from the scatter found; where neighbouring residuals agree
/// (ρ1 > 0.2) it is widened by (1+ρ1)/(1−ρ1); where other coils fit the resonance about as well,
/// their difference joins u.
/// Fails with words for a person: fewer than 6 points; no peak of 10 % prominence; the band ends
/// before the upper flank; Zmax/Re below 1.3.
[[nodiscard]] Result<FitResult> fitImpedance(const FitOrder& order);

/// One value of a coil's description.
struct CoilFigure {
    std::string_view symbol; ///< "Le", "n"
    std::string_view key;    ///< of the command line, "Le_h"
    std::string_view unit;   ///< "H", "Ω", or nothing
    double value{};
    std::optional<double> u; ///< standard uncertainty, share
};

/// Those of the chosen description, with what scatter makes of them while Re, fs and Q stand.
[[nodiscard]] std::vector<CoilFigure> coilFigures(const FitResult& fit);

/// Impedance of driver and vented box: the free-air formula with (Re/Qes)/(z_m + z_box).
[[nodiscard]] std::vector<curve::Complex>
ventedImpedance(const ImpedanceModel& model, const BoxSeen& box, const curve::Axis& axis);

/// Name of a coil's description as on the command line.
[[nodiscard]] std::string_view inductanceName(InductanceModel model);

} // namespace yf::driver
