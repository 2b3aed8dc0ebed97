// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/network/circuit/circuit.h"

/// What a machine may turn at line level, each as one unknown without unit.
namespace yf::network {

/// One figure of a way's line, or of a filter of it.
///
///     gain   x = gain·ln(10)/20 (nepers)       f0   x = ln(f0)
///     delay  x = delay/100 µs                  Q    x = ln(Q)
struct LineKnob {
    enum class What { gain, delay, f0, Q };
    std::size_t way{}; ///< in the order of driverEnds
    std::optional<std::size_t> filter;
    What what{};

    bool operator==(const LineKnob&) const = default;
};

/// All there is to turn where each driver has an amplifier of its own: f0 of every filter, Q where
/// no alignment holds it, gain of peaks and shelves, each way's delay, and each way's gain but the
/// lowest one's, which the others are set against. None where amplifiers are shared or a way
/// branches.
[[nodiscard]] std::vector<LineKnob> lineKnobs(const Circuit& circuit);

[[nodiscard]] double turnedTo(const Line& line, const LineKnob& knob);

/// With the knob at x.
void turn(Line& line, const LineKnob& knob, double x);

/// How far it may go: f0 two octaves either way; Q 0.3 to 8; gains 12 dB about what they are;
/// delay to 1 ms. What is there already may stay.
struct KnobRange {
    double low{};
    double high{};
};

[[nodiscard]] KnobRange rangeOf(const Line& line, const LineKnob& knob);

/// d ln H/dx of the line's transfer at the frequencies: exact for gain and delay, of filters by
/// central differences of their closed forms (1e-9 relative).
[[nodiscard]] std::vector<std::complex<double>>
logSlope(const Line& line, const LineKnob& knob, const std::vector<double>& frequencies);

/// The circuit with its knobs at x; of the ways' delays the least is taken off all, since nobody
/// hears it.
[[nodiscard]] Circuit
turned(const Circuit& circuit, const std::vector<LineKnob>& knobs, const double* x);

} // namespace yf::network
