// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/driver/usable_band.h"
#include "core/job/job.h"

#include <optional>

namespace yf::evaluation {

/// Area of a driver's cone.
struct ConeArea {
    double Sd{};    ///< m²
    bool guessed{}; ///< from the outer diameter
};

/// As printed, else as a round cone of 0.8 of the outer diameter, of a tweeter no more than a usual
/// dome (common practice).
[[nodiscard]] ConeArea coneArea(const job::Driver& driver);

/// From where to where a job's driver should work, by what is known of it there.
struct DriverBand {
    driver::UsableBand band;
    double fs{};         ///< Hz, that it was found with
    bool areaGuessed{};  ///< from the outer diameter
    bool withResponse{}; ///< a measured response was looked at
};

/// fs as given, else the peak of its impedance in use, else printed; area
/// by coneArea. Absent where no resonance is known.
[[nodiscard]] std::optional<DriverBand>
usableBandOf(const job::Job& job, const job::Driver& driver, std::optional<double> fs = {});

/// Where two drivers may be joined: from the upper one's lower limit to the lower one's upper
/// limit, and its geometric middle. Absent where they leave nothing between them.
struct JoinBand {
    double from{}; ///< Hz
    double to{};
    double middle{};
};

[[nodiscard]] std::optional<JoinBand> joinBand(const DriverBand& lower, const DriverBand& upper);

} // namespace yf::evaluation
