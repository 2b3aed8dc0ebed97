// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/driver/fit_order.h"

namespace yf::driver {

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
/// before the upper flank; Zmax/Re below 1.3; a model that leaves more than 10 % rms up to
/// 10·fs: such a curve is no driver's, and its parameters would be nobody's.
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

} // namespace yf::driver
