// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/curve/curve.h"

#include <memory>
#include <optional>
#include <span>
#include <variant>
#include <vector>

/// How much less a driver sends to the side than straight ahead.
namespace yf::speaker {

using curve::Axis;
using curve::Complex;

/// 2·J1(x)/x, x = ka·sin ψ: a flat piston in a plane; real, negative between its first null (x =
/// 3.8317) and the second. By the table from x = 0 to 120 (linear between points 1/256 apart, good
/// to 5e-7), beyond it by its asymptote √(8/πx³)·cos(x − 3π/4).
/// Source: Rayleigh, Theory of Sound, §302; any text on acoustics.
[[nodiscard]] double pistonAt(double x);

/// sin(u)/u, u = (kℓ/2)·sin ψ: a strip of length ℓ along the plane of the angle.
[[nodiscard]] double stripAt(double u);

/// The same in every direction.
struct Omni {
    bool operator==(const Omni&) const = default;
};

/// Radius √(Sd/π), m. Holds while the cone moves as a whole; a dome is wider than that.
struct Piston {
    double radius{};

    bool operator==(const Piston&) const = default;
};

/// Length along the vertical, m; across it radiates as omni does.
struct Strip {
    double length{};

    bool operator==(const Strip&) const = default;
};

/// What was measured from the sides over what was measured on the axis, on one axis of frequencies.
struct MeasuredDirectivity {
    struct Side {
        double angle{};            ///< radians off the axis; + right (as the listener sees) or up
        std::vector<double> level; ///< ln of the ratio
        std::vector<double> phase; ///< rad, unwrapped over frequency
    };

    std::vector<Side> horizontal; ///< rising angles, 0 among them; empty: only the other plane
    std::vector<Side> vertical;
};

using Directivity = std::variant<Omni, Piston, Strip, std::shared_ptr<const MeasuredDirectivity>>;

/// A direction as a driver sees it.
struct Sight {
    double off{};    ///< ψ, radians off its axis, 0 … π
    double around{}; ///< where about the axis: 0 right, π/2 up
};

/// How far the figures may be believed.
struct Reach {
    bool behind{}; ///< ψ beyond 90°: the value at 90° is held (piston, strip)
    bool beyond{}; ///< outside the measured angles: the last one is held
    bool turned{}; ///< one plane's measurement stands for another: assumed round
};

/// D at each frequency, `k` being the wave numbers in rad/m. Measured sides must be on the same
/// frequencies.
[[nodiscard]] std::vector<Complex>
directivityAt(const Directivity& directivity, const Sight& sight, std::span<const double> k);

[[nodiscard]] Reach reachOf(const Directivity& directivity, const Sight& sight);

} // namespace yf::speaker
