// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <array>
#include <complex>

/// The air of a box as a small circuit: chambers are pressure nodes, the outside is node 0.
namespace yf::box {

using Complex = std::complex<double>;

/// Air behind a volume V: compliance C = g·V/(ρc²) (m⁵/N), absorption R in series with it, leak G
/// (conductance) from it to the outside. Losses are constants, fixed at the chamber's reference
/// frequency (Small 1973).
struct Chamber {
    double C{};
    double R{};
    double G{};
};

/// A port or passive radiator: jωM + R + K/(jω), N·s/m⁵.
struct Branch {
    bool there{};
    double M{};
    double R{};
    double K{};
};

/// What a driver of unit volume velocity S·u does in there.
struct Flow {
    Complex load;              ///< Z_A = p_front − p_rear, N·s/m⁵
    Complex out;               ///< T: volume velocity that crosses the enclosure's skin
    std::array<Complex, 2> to; ///< of it, through the branch from chamber 1 and from 2 to outside
    Complex between;           ///< from chamber 1 into 2
};

/// Up to two chambers and the branches between them and the outside. `front` and `rear` are the
/// nodes that the cone faces; node 0 is the outside.
struct Chambers {
    int front{};
    int rear{};
    std::array<Chamber, 2> air{};
    std::array<Branch, 2> outward{}; ///< from chamber 1, from chamber 2, to outside
    Branch inner{};                  ///< from chamber 1 to chamber 2
    double dipolePath{};             ///< m; > 0: open baffle, the rear radiates too, D later

    /// Node equations solved by hand. The leak radiates: `out` is everything that leaves.
    [[nodiscard]] Flow at(double w) const;
};

} // namespace yf::box
