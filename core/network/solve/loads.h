// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/curve/curve.h"
#include "core/quantity/kinds.h"

#include <memory>
#include <optional>
#include <string>
#include <vector>

namespace yf::network {

using curve::Axis;
using curve::Complex;

/// All that a network knows of a driver: two curves on the axis in use.
struct Load {
    std::string driver;
    std::vector<Complex> impedance;               ///< Ω
    std::optional<std::vector<Complex>> pressure; ///< Pa for 2.83 V at its own terminals
    double delay{};                               ///< s, extra
    quantity::DriverRole role{};    ///< the load checks treat a tweeter with more care
    double dcResistance{};          ///< Ω at 0 Hz
    double fs{};                    ///< Hz; 0 where unknown
    bool still{};                   ///< a resistor or a coil: no resonance to be known
    bool openAtHighFrequency{true}; ///< its coil blocks; a plain resistor does not

    bool operator==(const Load&) const = default;
};

struct Loads {
    Axis axis;
    std::vector<Load> drivers;

    /// Index of the driver of that name, or nothing.
    [[nodiscard]] std::optional<std::size_t> find(const std::string& driver) const;

    bool operator==(const Loads&) const = default;
};

struct Grid;

/// Loads in the form that the solvers read: real and imaginary parts apart, in blocks of
/// frequencies, admittances ready. Made once for each set of curves, shared by every solution.
class PreparedLoads {
public:
    explicit PreparedLoads(Loads loads);

    [[nodiscard]] const Loads& loads() const { return loads_; }

    [[nodiscard]] const Grid& grid() const { return *grid_; }

private:
    Loads loads_;
    std::shared_ptr<const Grid> grid_;
};

} // namespace yf::network
