// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/driver/fit_points.h"

#include <vector>

/// Where a fit of an impedance begins.
namespace yf::driver {

/// ln|Z| smoothed over 1/8 octave: running median, then mean.
[[nodiscard]] std::vector<double> smoothLevel(const Points& points);

struct Peak {
    std::size_t at{};
    double prominence{}; ///< in ln|Z|
};

/// By prominence: height over the higher of the two flanking minima. The coil's rise at the end of
/// the band is often higher than the peak, but has no right flank.
[[nodiscard]] std::vector<Peak> peaksOf(const std::vector<double>& level);

struct Start {
    double Re{};
    double fs{};
    double Qms{};
    double Qes{};
    bool upperFlank{};
};

/// Re from the lowest level or the meter, fs at the peak, the Q from the widths of its flanks.
[[nodiscard]] Start
startFrom(const Points& points, const std::vector<double>& level, const Peak& peak);

/// Of the coil, from the highest point: |Z_L| = √(|Z|² − Re²).
[[nodiscard]] std::vector<double> coilStart(const Points& points, double Re, InductanceModel coil);

/// Both as the parameters of log_impedance.h.
[[nodiscard]] std::vector<double> vectorOf(const Start& start, const std::vector<double>& coil);

} // namespace yf::driver
