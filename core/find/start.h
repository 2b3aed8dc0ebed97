// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/find/shape.h"
#include "core/tune/tuner.h"

namespace yf::find {

/// The same problem on fewer points: about two thirds of them within its band, the others where
/// floor and limits hold.
[[nodiscard]] tune::Problem thinned(const tune::Problem& problem, std::size_t points);

/// Modulus of a driver's impedance next to a frequency, Ω.
[[nodiscard]] double modulusAt(const network::Load& load, const curve::Axis& axis, double f);

/// Mean level of a driver's own curve over the band where its way is to work, between the middles
/// of its crossings, dB re the target.
[[nodiscard]] double
ownLevel(const tune::Problem& problem, const std::vector<curve::Range>& crossings, std::size_t way);

/// What a passive network can keep: the least of those. A search may lose 2 dB of it (rule of
/// thumb: coils and flattening take about one); a goal of its own stays.
void keepLevel(tune::Problem& problem, const std::vector<curve::Range>& crossings);

/// One way by itself, brought as near as its parts allow to a Linkwitz-Riley slope.
struct Alone {
    Values values{};
    double rms{};   ///< dB from the slope, where that is above −20 dB
    double level{}; ///< dB, how loud the way is: level of the sum's own target added
};

struct Slope {
    int order{}; ///< even
    std::optional<double> fxLow;
    std::optional<double> fxHigh;
};

/// `way`: its place among the ends of `problem`. A pad of the shape is left out.
[[nodiscard]] Alone
tunedAlone(const tune::Problem& problem, std::size_t way, Shape shape, const Slope& slope);

/// Logarithms of the values of a shape, in the order in which its parts stand.
void appendTo(std::vector<double>& x, const Shape& shape, const Values& values);

/// The values again; `next` is the place of the first.
void takeFrom(const std::vector<double>& x, std::size_t& next, const Shape& shape, Values& values);

/// The accepted range of a part of each role that a shape has.
void appendTo(tune::Box& box, const Shape& shape);

/// Bare wire of a way's air coils, m: thick where the most power goes (rule of thumb).
[[nodiscard]] double wireOf(Rank rank);

/// Where a way lies among so many.
[[nodiscard]] Rank rankOf(std::size_t way, std::size_t ways);

} // namespace yf::find
