// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/curve/axis.h"

#include <complex>
#include <span>
#include <vector>

namespace yf::curve {

using Complex = std::complex<double>;

/// Where a curve may be believed, Hz, both ends included.
struct Range {
    double from{};
    double to{};

    [[nodiscard]] bool holds(double f) const { return f >= from && f <= to; }

    bool operator==(const Range&) const = default;
};

/// What the phase of a curve is worth.
enum class Phase {
    none,   ///< only levels are known; the values are real and positive
    own,    ///< measured, with a time zero of its own
    common, ///< measured, with the time zero that all curves of the set share
    minimum ///< computed from the levels
};

/// Complex values over frequency with the range in which they hold.
///
/// Kept true: as many values as frequencies, at least two, frequencies strictly rising and > 0,
/// the trusted range lies inside the data. Pascals for 2.83 V at the stated distance, or ohms.
class Curve {
public:
    Curve(Axis frequencies, std::vector<Complex> values, Phase phase, Range trusted);

    /// The same, trusted everywhere.
    Curve(Axis frequencies, std::vector<Complex> values, Phase phase);

    [[nodiscard]] const Axis& frequencies() const { return frequencies_; }

    [[nodiscard]] const std::vector<Complex>& values() const { return values_; }

    [[nodiscard]] std::size_t size() const { return frequencies_.size(); }

    [[nodiscard]] Phase phase() const { return phase_; }

    [[nodiscard]] Range trusted() const { return trusted_; }

    /// First and last frequency of the data.
    [[nodiscard]] Range extent() const { return {frequencies_.front(), frequencies_.back()}; }

    /// The same data, believed only in [from, to].
    [[nodiscard]] Curve trustedWithin(Range range) const;

    bool operator==(const Curve&) const = default;

private:
    Axis frequencies_;
    std::vector<Complex> values_;
    Phase phase_;
    Range trusted_;
};

/// 20 lg(|v|/reference), one for each value.
[[nodiscard]] std::vector<double> levels(std::span<const Complex> values, double reference);

/// Angle of each value in radians, −π … π.
[[nodiscard]] std::vector<double> angles(std::span<const Complex> values);

} // namespace yf::curve
