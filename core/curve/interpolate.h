// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/curve/curve.h"

namespace yf::curve {

/// Seconds of pure delay in a curve, so that what remains can be unwrapped safely.
///
/// The τ in ±20 ms that makes neighbouring points agree best in phase:
/// maximum of |Σ w·e^(j(Δφ + Δω·τ))| with w the smaller of the two moduli times Δln f.
/// It is not an arrival time: it only keeps steps between points below 180°.
[[nodiscard]] double bulkDelay(const Curve& curve);

/// A curve made ready to be asked at other frequencies, as often as wanted.
///
/// Decibels and unwrapped phase, linear in ln f, with the bulk delay taken out before and put
/// back after. (The chord between complex values 60° apart would lose 1.25 dB midway.)
class Interpolant {
public:
    explicit Interpolant(const Curve& curve);

    /// `axis` may not leave the data: refused, naming the range, since neither holding the last
    /// value nor going on straight is right at either end of an impedance.
    [[nodiscard]] Result<std::vector<Complex>> at(const Axis& axis) const;

    [[nodiscard]] Range extent() const { return {frequencies_.front(), frequencies_.back()}; }

private:
    Axis frequencies_;
    std::vector<double> logLevel_;
    std::vector<double> phase_;
    double delay_{};
};

/// The same for one use.
[[nodiscard]] Result<std::vector<Complex>> interpolate(const Curve& curve, const Axis& at);

} // namespace yf::curve
