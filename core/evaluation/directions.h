// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/evaluation/result.h"
#include "core/quantity/kinds.h"
#include "core/speaker/polar.h"

/// A cabinet heard from anywhere.
namespace yf::evaluation {

/// The microphone of takes on the axis: on the listening axis, so far away as they say.
[[nodiscard]] speaker::Point
microphoneOf(const job::Job& job, const job::Cabinet& cabinet, double distance);

/// Height on the front where the listening axis leaves it.
[[nodiscard]] double axisOf(const job::Job& job, const job::Cabinet& cabinet);

/// What a driver does to the side: from its takes at angles where there are some (levels alone),
/// else a piston of its size.
struct DriverDirectivity {
    speaker::Directivity directivity;
    bool measured{};
    bool areaGuessed{};
};

[[nodiscard]] DriverDirectivity
directivityOf(const job::Job& job, const std::string& driver, const curve::Axis& axis);

/// Distance of the microphone from a driver whose response is in use; 1 m where none is.
[[nodiscard]] double takeDistance(const job::Job& job, const std::string& driver);

/// What carries a driver's response from where it was measured to where it sits now, as a
/// microphone there hears it. The mount says where it was measured.
[[nodiscard]] std::vector<curve::Complex> carryOf(const DriverDirectivity& driver,
                                                  const job::Mount& mount,
                                                  const speaker::Point& microphone,
                                                  const curve::Axis& axis);

/// The same for a driver of the job, at the microphone that its response was measured with; nothing
/// where it was not moved.
[[nodiscard]] std::optional<std::vector<curve::Complex>> moved(const job::Job& job,
                                                               const job::Cabinet& cabinet,
                                                               const job::Mount& mount,
                                                               const curve::Axis& axis);

/// Everything that sounds, at every `stride`-th point of the result's axis, common timing.
struct Directions {
    speaker::Radiators radiators;
    std::vector<std::size_t> points; ///< of the result's axis
    std::vector<bool> measured;      ///< by radiator: its sides were taken, not modelled
    bool areaGuessed{};
};

/// Nothing without responses.
[[nodiscard]] std::optional<Directions> directionsOf(const job::Job& job,
                                                     const job::Cabinet& cabinet,
                                                     const CabinetResult& result,
                                                     std::size_t stride);

/// What carries each end's pressure from where it was taken to a direction at the seat's distance,
/// [end][point of the axis], arrivals over that distance out of it.
[[nodiscard]] std::vector<std::vector<curve::Complex>>
carriedTo(const job::Job& job,
          const job::Cabinet& cabinet,
          const curve::Axis& axis,
          const speaker::Direction& direction);

/// Levels over angles and frequency, dB re the axis' own level at each frequency, or as they are.
struct AngleMap {
    quantity::Plane plane{};
    std::vector<double> angles; ///< rad, rising
    curve::Axis axis;
    std::vector<std::vector<double>> levels; ///< [angle][frequency], dB re 20 µPa
    /// rad: from where to where every driver whose sides were taken was taken; beyond, the last
    /// take is held. Absent where no sides were taken.
    std::optional<std::pair<double, double>> taken;
};

[[nodiscard]] AngleMap mapOf(const Directions& directions,
                             const job::Seat& seat,
                             quantity::Plane plane,
                             int step,
                             int widest);

/// Elevation of an ear as the listening axis sees it, rad: sitting or standing, true heights.
[[nodiscard]] double elevationOf(const job::Job& job, const job::Cabinet& cabinet, double ear);

/// p/p_direct with the floor's reflection, R = 0.9 (hard floor): a dip there is the room, not the
/// speaker. 1 + R·(D/D′)·e^(−jkΔ); docs/theory/align.md.
[[nodiscard]] std::vector<curve::Complex>
floorBounce(const job::Job& job, const job::Cabinet& cabinet, const curve::Axis& axis);

/// What the front does to each driver at the listening place, over half space; [driver of the
/// radiators][point]. Nothing for drivers off the front.
[[nodiscard]] std::vector<std::vector<curve::Complex>> frontEffect(const job::Cabinet& cabinet,
                                                                   const Directions& directions,
                                                                   const speaker::Point& listener);

} // namespace yf::evaluation
