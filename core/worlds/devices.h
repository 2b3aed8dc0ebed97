// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/worlds/columns.h"

#include <array>
#include <cmath>
#include <numbers>

/// Loudspeakers and voice coils as other people's tables show them.
namespace worlds {

inline constexpr double turn = 2.0 * std::numbers::pi;

/// Pascals over frequency: chains of resonances with flight time, polarity, bumps and an echo.
struct Speaker {
    double base{};
    double low{};
    double lowQ{};
    double high{};
    double highQ{};
    double flight{};
    double sign{};
    double echo{};
    double echoAfter{};
    std::vector<std::array<double, 3>> bumps; ///< frequency, Q, gain

    explicit Speaker(Draws& draws)
        : base(draws.between(72.0, 104.0)), low(draws.spread(25.0, 900.0)),
          lowQ(draws.spread(0.5, 1.4)), high(draws.spread(2500.0, 30000.0)),
          highQ(draws.spread(0.5, 1.2)), flight(draws.chance(0.3) ? 0.0 : draws.spread(3e-4, 6e-3)),
          sign(draws.chance(0.3) ? -1.0 : 1.0), echo(draws.between(0.0, 0.12)),
          echoAfter(draws.spread(1e-3, 8e-3)) {
        for (int k = draws.below(5); k > 0; --k) {
            bumps.push_back(
                {draws.spread(300.0, 12000.0), draws.spread(1.0, 6.0), draws.spread(0.5, 2.2)});
        }
    }

    [[nodiscard]] Complex at(double f) const {
        const Complex s(0.0, f);
        const auto pole = [&](double f0, double q) { return s * s + s * (f0 / q) + f0 * f0; };
        Complex h = s * s / pole(low, lowQ) * (high * high) / pole(high, highQ);
        for (const auto& [f0, q, gain] : bumps) {
            h *= (s * s + s * (f0 * gain / q) + f0 * f0) / pole(f0, q);
        }
        h *= 1.0 + echo * std::polar(1.0, -turn * f * echoAfter);
        return sign * 20e-6 * std::pow(10.0, base / 20.0) * h * std::polar(1.0, -turn * f * flight);
    }
};

/// Ohms over frequency: a semi-inductance of any exponent, one or two resonances, and creep as a
/// compliance that grows with the logarithm of the period (Knudsen, Jensen 1993; from memory).
struct Coil {
    double re{};
    double fs{};
    double qm{};
    double peak{};
    double creep{};
    double semi{};
    double exponent{};
    double box{};
    double boxPeak{};

    explicit Coil(Draws& draws)
        : re(draws.spread(2.6, 13.0)), fs(draws.spread(22.0, 1400.0)), qm(draws.spread(1.2, 9.0)),
          peak(draws.spread(0.6, 12.0)), creep(draws.between(0.0, 0.14)),
          semi(draws.spread(0.002, 0.03)), exponent(draws.between(0.5, 0.85)),
          box(draws.chance(0.4) ? draws.spread(1.7, 3.2) : 0.0), boxPeak(draws.spread(0.4, 5.0)) {}

    [[nodiscard]] Complex at(double f) const {
        const auto hill = [&](double f0, double q, double height) {
            const Complex soft = 1.0 / (1.0 - creep * std::log10(Complex(0.01, f / f0)));
            return height / (1.0 + Complex(0.0, q) * (f / f0 - f0 / f * soft));
        };
        Complex z = re + hill(fs, qm, re * peak);
        if (box > 0.0) {
            z += hill(fs * box, qm, re * boxPeak);
        }
        return z + semi * std::pow(Complex(0.0, turn * f), exponent);
    }
};

} // namespace worlds
