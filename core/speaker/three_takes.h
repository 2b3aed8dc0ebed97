// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/curve/curve.h"

#include <optional>
#include <span>
#include <vector>

/// The arrival difference of two drivers from three takes without a clock in common: each alone,
/// and both together.
namespace yf::speaker {

/// All on one axis, from one microphone place, drive and gate; the silent driver stays connected as
/// in use. The singles carry their own minimum phase, or any phase with the delay taken out; of the
/// sum only levels count.
struct ThreeTakes {
    const curve::Axis& axis;
    std::span<const curve::Complex> first;
    std::span<const curve::Complex> second;
    std::span<const double> sum;      ///< dB
    std::span<const double> reversed; ///< dB, with one of them turned over; empty: not taken
    std::optional<curve::Range> band; ///< absent: where they overlap
    double earliest{-1e-3};           ///< s, what is scanned
    double latest{1e-3};
    double levelSigma{0.25}; ///< dB, of a level
};

struct DelaySolution {
    int polarity{1};
    double delay{};    ///< s, the second later is positive
    double residual{}; ///< dB, C

    bool operator==(const DelaySolution&) const = default;
};

struct DelayFound {
    DelaySolution best;
    double sigma{};                          ///< s
    std::vector<DelaySolution> alternatives; ///< the next ones, best first
    bool ambiguous{};                        ///< one of them explains the sum nearly as well
    double levelError{};                     ///< dB, mean of sum less model outside the band
    double triangleViolation{};              ///< dB, of a sum that its parts cannot make
    curve::Range band;
};

/// Least C² = Σ w·h(M − S)/Σ w over delay τ and polarity p,
///
///     M = 20 lg|H1 + p·H2·e^(−jωτ)|,   h(e) = e² below 1 dB, else 2|e| − 1
///     w = Δlog2 f·u²,  u = 2|H1||H2|/(|H1|² + |H2|²)
///
/// over the band where the levels are within 12 dB of each other and the louder within 20 dB of the
/// top: both polarities scanned in steps of 1/(20·f_max), every local minimum refined, sorted. With
/// the reversed sum C² is the mean of both. σ = s/√(n·Σ wJ²/Σ w), J = ∂M/∂τ, n = 12 for each
/// octave of the band, s the greater of C and the levels' own sigma. Ambiguous: another minimum (of
/// the other polarity, or more than 3σ away) has C below the greater of 2·C_best and 0.4 dB. Where
/// phases run straight and symmetric about fx the mirror solution fits as well, and no other take
/// at that point settles it: a known change does (docs/theory/align.md).
/// Nothing where the two do not overlap over a third of an octave.
[[nodiscard]] std::optional<DelayFound> delayFrom(const ThreeTakes& takes);

/// How far the levels are from meeting within 12 dB, dB; 0 where they do.
[[nodiscard]] double apart(std::span<const curve::Complex> first,
                           std::span<const curve::Complex> second);

} // namespace yf::speaker
