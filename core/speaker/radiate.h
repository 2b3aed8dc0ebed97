// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/speaker/place.h"

#include <string>

/// Drivers that sound together, heard at a point.
namespace yf::speaker {

/// A driver with all that stands before it: network, polarity, gain, delay.
///
/// Two kinds of curve, never mixed in one speaker without a delay found for the former:
///   own     Pa at 1 m on the driver's own axis, delay to its acoustic centre taken out
///             p(P) = H·D(ψ)·(1 m/r)·e^(−jkr)
///   common  Pa at `takenAt`, all with one clock; the arrival over |takenAt − O| taken out. They
///           hold path, offset and panel already, and are carried on by ratios only:
///             p(P) = H·e^(−jk|P0−O|)·[D(ψ(P))/D(ψ(P0))]·[r(P0)/r(P)]·e^(−jk(r(P) − r(P0)))
/// Where |D(ψ(P0))| is below −20 dB, both D are taken as no less than that: nothing can be carried
/// on from a null.
struct Radiator {
    std::string name;
    Point place;
    Direction axis;
    Directivity directivity;
    std::vector<Complex> pressure; ///< H
    std::optional<Point> takenAt;  ///< common timing
};

struct Radiators {
    Axis axis;           ///< Hz
    Listening listening; ///< O, and the distance where none is asked for
    std::vector<Radiator> of;
};

/// Wave numbers 2πf/c, rad/m.
[[nodiscard]] std::vector<double> waveNumbers(const Axis& axis);

/// Pressure of each driver at a point, Pa, [driver][frequency], relative to an arrival from O over
/// `removed` metres (p·e^(+jk·removed)). The point is farther than 10 mm from every driver.
[[nodiscard]] std::vector<std::vector<Complex>>
pressuresAt(const Radiators& radiators, const Point& point, double removed);

/// Their sum.
[[nodiscard]] std::vector<Complex>
sumAt(const Radiators& radiators, const Point& point, double removed);

/// The sum in many directions at the listening distance: [direction][frequency].
[[nodiscard]] std::vector<std::vector<Complex>>
sums(const Radiators& radiators, std::span<const Direction> directions, double distance);

/// Nearest driver to a point, m.
[[nodiscard]] double nearest(const Radiators& radiators, const Point& point);

} // namespace yf::speaker
