// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/curve/curve.h"
#include "core/curve/minimum_phase.h"

#include <optional>
#include <string_view>

namespace yf::signal {

/// Delay and polarity of a driver from its phase in excess of the minimum phase.
///
///     ψ(f) = φ0 − 2πfτ
struct DelayFit {
    double delay{};    ///< τ, s re the curve's time zero
    double offset{};   ///< φ0, −π … π: near 0 positive, near ±π negative
    double residual{}; ///< weighted rms, radians
    double u{};        ///< standard uncertainty of the delay, s
    curve::Range band; ///< in which it was fitted

    [[nodiscard]] double octaves() const;

    /// |cos φ0| · max(0, 1 − residual/60°) · min(1, octaves/1.5): 0 to 1.
    [[nodiscard]] double confidence() const;

    bool operator==(const DelayFit&) const = default;
};

enum class Polarity { positive, negative, uncertain };

/// Below a confidence of 0.5 the answer is uncertain.
[[nodiscard]] Polarity polarityOf(const DelayFit& fit);

[[nodiscard]] std::string_view polarityName(Polarity polarity);

/// Fits the excess phase of one driver's response.
///
/// The τ that makes |Σ w·e^(jψ)·e^(j2πfτ)| largest (steps of 0.1/bandwidth, then weighted least
/// squares on the de-rotated phase), w = |H|·Δln f, within the one stretch around the maximum of
/// the third-octave smoothed level that stays within 20 dB of it. The minimum phase comes from the
/// stretch within 30 dB: a tail fitted to a noise floor would be flat and wrong. `near` and
/// `reach` bound the search. u joins the scatter of the phase and 12° of tail error over the
/// band's width: 2 µs for a tweeter, 0.3 ms for a subwoofer.
/// Nothing where fewer than six points are left. Holds for single drivers and linear chains.
[[nodiscard]] std::optional<DelayFit> excessDelay(const curve::Curve& response,
                                                  double near,
                                                  double reach,
                                                  std::optional<curve::Range> band = {});

/// What is left of a response's phase without that of its levels, and the delay that best explains
/// it, taken out; 0 where none can be told.
struct ExcessPhase {
    curve::Curve curve; ///< the same levels
    double delay{};     ///< s
};

[[nodiscard]] ExcessPhase excessPhase(const curve::Curve& response);

/// The stretch around the highest third-octave level that stays within so many dB of it.
[[nodiscard]] curve::Range loudStretch(const curve::Curve& response, double within);

} // namespace yf::signal
