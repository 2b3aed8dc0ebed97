// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/job/evaluate.h"
#include "core/speaker/polar.h"

/// A cabinet heard from anywhere.
namespace yf::job {

/// The microphone of takes on the axis: on the listening axis, so far away as they say.
[[nodiscard]] speaker::Point microphoneOf(const Job& job, const Cabinet& cabinet, double distance);

/// Height on the front where the listening axis leaves it.
[[nodiscard]] double axisOf(const Job& job, const Cabinet& cabinet);

/// What a driver does to the side: from its takes at angles where there are some (levels alone),
/// else a piston of its size.
struct DriverDirectivity {
    speaker::Directivity directivity;
    bool measured{};
    bool areaGuessed{};
};

[[nodiscard]] DriverDirectivity
directivityOf(const Job& job, const std::string& driver, const curve::Axis& axis);

/// What carries a driver's response from where it was taken to where it sits now, at the
/// microphone; nothing where it was not moved.
[[nodiscard]] std::optional<std::vector<curve::Complex>>
moved(const Job& job, const Cabinet& cabinet, const Mount& mount, const curve::Axis& axis);

/// Everything that sounds, at every `stride`-th point of the result's axis, common timing.
struct Directions {
    speaker::Radiators radiators;
    std::vector<std::size_t> points; ///< of the result's axis
    std::vector<bool> measured;      ///< by radiator: its sides were taken, not modelled
    bool areaGuessed{};
};

/// Nothing without responses.
[[nodiscard]] std::optional<Directions> directionsOf(const Job& job,
                                                     const Cabinet& cabinet,
                                                     const CabinetResult& result,
                                                     std::size_t stride);

/// What carries each end's pressure from where it was taken to a direction at the seat's distance,
/// [end][point of the axis], arrivals over that distance out of it.
[[nodiscard]] std::vector<std::vector<curve::Complex>>
carriedTo(const Job& job,
          const Cabinet& cabinet,
          const curve::Axis& axis,
          const speaker::Direction& direction);

/// Levels over angles and frequency, dB re the axis' own level at each frequency, or as they are.
struct AngleMap {
    speaker::Plane plane{};
    std::vector<double> angles; ///< rad, rising
    curve::Axis axis;
    std::vector<std::vector<double>> levels; ///< [angle][frequency], dB re 20 µPa
    /// rad: from where to where every driver whose sides were taken was taken; beyond, the last
    /// take is held. Absent where no sides were taken.
    std::optional<std::pair<double, double>> taken;
};

[[nodiscard]] AngleMap
mapOf(const Directions& directions, const Seat& seat, speaker::Plane plane, int step, int widest);

/// Elevation of an ear as the listening axis sees it, rad: sitting or standing, true heights.
[[nodiscard]] double elevationOf(const Job& job, const Cabinet& cabinet, double ear);

/// p/p_direct with the floor's reflection, R = 0.9 (hard floor): a dip there is the room, not the
/// speaker. 1 + R·(D/D′)·e^(−jkΔ); docs/theory/align.md.
[[nodiscard]] std::vector<curve::Complex>
floorBounce(const Job& job, const Cabinet& cabinet, const curve::Axis& axis);

/// What the front does to each driver at the listening place, over half space; [driver of the
/// radiators][point]. Nothing for drivers off the front.
[[nodiscard]] std::vector<std::vector<curve::Complex>>
frontEffect(const Cabinet& cabinet, const Directions& directions, const speaker::Point& listener);

} // namespace yf::job
