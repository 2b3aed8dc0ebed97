// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/quantity/level.h"

#include <complex>
#include <vector>

namespace yf::network {

enum class Alignment { butterworth, linkwitzRiley, bessel, chebyshev };

/// A polynomial in s, lowest power first. Long double: at order 8 with a source resistance the
/// continued fraction loses nine digits.
using Polynomial = std::vector<long double>;

[[nodiscard]] Polynomial multiply(const Polynomial& a, const Polynomial& b);

/// What is asked of a prototype low-pass.
struct PrototypeRequest {
    Alignment alignment{};
    int order{};
    double ripple{0.5};                     ///< dB, Chebyshev only
    double levelAtFx{-quantity::halfPower}; ///< dB re 0 Hz at ω = 1, at its last crossing
};

/// D(s) of H(s) = 1/D(s) with D(0) = 1, scaled so that the last crossing of the level lies at ω
/// = 1.
///
/// Butterworth: poles e^(jπ(2k+N−1)/2N). Linkwitz-Riley (N even): Butterworth of N/2 squared,
/// −6.02 dB at ω = 1 whatever levelAtFx says. Bessel: θ_N(s) = Σ (2N−k)!/(2^(N−k) k! (N−k)!) s^k.
/// Chebyshev with ripple r: ε = √(10^(r/10) − 1), a = asinh(1/ε)/N, poles −sinh a·sin θ_k ±
/// j·cosh a·cos θ_k, θ_k = π(2k−1)/2N. High-pass: s → 1/s.
/// Sources: Butterworth 1930; Linkwitz 1976; Thomson 1949; Zverev 1967 (tables checked in tests).
[[nodiscard]] Polynomial prototype(const PrototypeRequest& request);

/// H of the filter at x = f/fx: 1/D(jx), for a high-pass 1/D(1/jx).
[[nodiscard]] std::complex<double> filterAt(const Polynomial& D, double x, bool highPass);

/// g values from source to load for a ladder that works from an ideal source into 1 Ω.
///
/// With the source shorted the load looks back into even/odd parts of D: a lossless one-port;
/// poles at infinity are removed one by one, the first at the load. Source: Darlington 1939,
/// Guillemin 1957 (singly terminated ladders).
[[nodiscard]] std::vector<double> ladderValues(const Polynomial& D);

/// The same with a source of resistance Rs (load 1 Ω, 0 < Rs < 1): doubly terminated.
/// Fails where the curve asks for more than the available power (a peak above it).
[[nodiscard]] Result<std::vector<double>> ladderValues(const Polynomial& D, double Rs);

/// One element of a band-pass ladder, seen from the load.
struct LadderElement {
    bool inLine{};
    bool coil{};
    double value{}; ///< H or F for 1 Ω and 1 rad/s
};

enum class BandTopology { highPassFirst, lowPassFirst };

/// Ladder of a band-pass of order N at both ends from amplifier to load, for 1 Ω.
///
/// D is the product of both denominators, degree 2N. From the load N poles at infinity (series L,
/// shunt C) and N at zero (series C, shunt L) are removed; high-pass-first removes those at
/// infinity first, so that the high-pass part stands at the amplifier.
[[nodiscard]] std::vector<LadderElement>
bandPassLadder(const Polynomial& D, int N, BandTopology topology);

} // namespace yf::network
