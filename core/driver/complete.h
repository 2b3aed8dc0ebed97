// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/driver/figures.h"
#include "core/text/value.h"

#include <array>
#include <optional>
#include <string>
#include <vector>

namespace yf::driver {

enum class Mounting { baffle, freeAir };

/// Input of `driver complete`.
struct CompleteRequest {
    Figures given;
    std::optional<double> diameter; ///< m, effective, in place of Sd
    std::optional<double> Le;
    std::optional<double> Xmax;
    double tolerance{0.05};
    double sensitivityTolerance{1.5}; ///< dB
    Mounting mounting{};
    double rho{1.204};
    double c{343.2};
    std::vector<std::pair<std::string, double>> uncertainties; ///< key → standard uncertainty, %

    [[nodiscard]] static Result<CompleteRequest> read(const text::Value& value,
                                                      const std::string& path);
    [[nodiscard]] static text::Value describe();
};

enum class SheetVerdict { consistent, oneOff, cannotTell, severalOff, notCheckable };

/// One of the familiar relations, where everything in it was given.
struct SheetCheck {
    std::string relation;
    double given{};
    double expected{};
    double deviation{}; ///< share
    bool ok{};
};

/// A data sheet completed and judged.
struct Completed {
    Figures values;
    std::optional<double> Le;
    std::optional<double> Xmax;
    std::optional<double> ebp;
    std::optional<double> Vd;
    std::vector<std::string> undetermined;
    std::vector<std::pair<std::string, std::vector<std::string>>> wouldSettle;
    std::vector<SheetCheck> checks;
    std::vector<std::string> unchecked;
    SheetVerdict verdict{};
    std::vector<std::string> suspects;
    std::vector<std::pair<std::string, double>> implied; ///< in the key's unit
    std::vector<std::pair<std::string, std::string>> slips;
    std::vector<std::pair<std::string, double>> uncertainties; ///< symbol_u_pct

    [[nodiscard]] text::Value write() const;
};

/// Fills in a data sheet and says which figure is the odd one out.
///
/// Unknowns x = ln(Re, Bl, Mms, Cms, Rms, Sd). The logarithm of every figure is linear in x but
/// for Qts and Mmd, which are smooth. Least squares of (ln given − ln model)/u, u = tolerance/2,
/// by Levenberg–Marquardt with minimum-norm steps from one fixed start; the rank and the null space
/// come from the singular values of the weighted Jacobian (rank at 1e-6 of the largest). A figure
/// is determined if its gradient has no part in the null space; others stay absent, and for each
/// the figures any one of which would settle it are named.
/// The odd one out: redundancies r_i = 1 − H_ii, normalised residuals w_i = v_i/(u_i√r_i)
/// (Baarda 1968, data snooping); with any |w| > 2 each figure is left out in turn, and is a suspect
/// if the rest then agrees. One suspect is named, more are listed, and "cannot tell" is said.
/// Errors: nothing given.
[[nodiscard]] Result<Completed> complete(const CompleteRequest& request);

} // namespace yf::driver
