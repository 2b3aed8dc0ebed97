// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/box/box.h"
#include "core/box/volume.h"
#include "core/job/job.h"

/// What the wood and the ports of a cabinet make: volumes, lengths, tuning. Nothing measured
/// enters.
namespace yf::job {

/// Space inside, litre by litre.
struct BoxVolumes {
    box::Inside inside; ///< of the chamber that the driver works in
    box::Deductions less;
    double net{}; ///< m³

    bool operator==(const BoxVolumes&) const = default;
};

/// Fails, naming the dimension, where nothing is left or the depth is not known.
[[nodiscard]] Result<BoxVolumes>
volumesOf(const Job& job, const Cabinet& cabinet, const Enclosure& enclosure);

/// The same for a driver of that outer diameter, m.
[[nodiscard]] Result<BoxVolumes>
volumesOf(double driverDiameter, const Cabinet& cabinet, const Enclosure& enclosure);

/// m, outer; 0.2 for a driver that the job does not know.
[[nodiscard]] double diameterOf(const Job& job, const std::string& driver);

/// The shell of a cabinet with its enclosure's panels.
[[nodiscard]] Result<box::Shell> shellOf(const Cabinet& cabinet, const Enclosure& enclosure);

/// Outer length of one port within the box, for its displacement.
[[nodiscard]] double portDisplacement(const PortIn& port);

/// Tuning that ports give to a volume: Σ n·S/L_eff over g·V. Nothing without ports.
[[nodiscard]] std::optional<double> tunedBy(const std::vector<PortIn>& ports, double V);

/// The enclosure as a model for a net volume.
[[nodiscard]] box::Box boxOf(const Cabinet& cabinet, const Enclosure& enclosure, double net);

/// Mean distance from a driver's centre to the rim of its front, over all directions.
[[nodiscard]] double meanRim(const Cabinet& cabinet, const std::string& driver);

/// Heights that divide a room evenly.
[[nodiscard]] std::vector<double> evenBraces(double height, int count);

/// Whether a port in the back wall has its mouth behind the driver's basket.
[[nodiscard]] bool
portBehindDriver(const Job& job, const Cabinet& cabinet, const Enclosure& enclosure);

/// Height of a driver's axis above the clear floor of its chamber, m.
[[nodiscard]] double driverHeight(const Cabinet& cabinet, const Enclosure& enclosure);

/// The enclosure of a driver, its own or that of the one it is wired with; null: none.
[[nodiscard]] const Enclosure*
findEnclosure(const Job& job, const Cabinet& cabinet, const std::string& driver);

/// The length that would be set by it.
[[nodiscard]] Result<double> swappedLength(const Job& job,
                                           const Cabinet& cabinet,
                                           const Enclosure& enclosure,
                                           const PortIn& made);

/// Length over all of the first port for a tuning, what it displaces included.
[[nodiscard]] Result<double>
lengthFor(const Job& job, const Cabinet& cabinet, const Enclosure& enclosure, double fb);

} // namespace yf::job
