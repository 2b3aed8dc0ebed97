// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/curve/curve.h"
#include "core/signal/delay.h"

#include <optional>
#include <vector>

namespace yf::signal {

/// An impulse response: pascals (or any unit) for one volt, sampled evenly.
struct Impulse {
    std::vector<double> samples;
    double rate{};     ///< Hz
    double timeZero{}; ///< s after the first sample: where t = 0 lies

    [[nodiscard]] double duration() const { return static_cast<double>(samples.size()) / rate; }

    bool operator==(const Impulse&) const = default;
};

/// Time of the sound's arrival after time zero, s: the delay of the excess phase near the highest
/// peak (docs/theory/measurement.md, "Arrival"), which a low-passed driver's peak itself misses by
/// up to 5 ms. Good to 10 µs for a tweeter, 60 µs for a woofer, whose minimum phase depends on what
/// lies beyond the data.
[[nodiscard]] double arrival(const Impulse& impulse);

/// The whole fit behind `arrival`, from what lies 6 ms before and `right` after the highest peak
/// (half of it falling). Nothing where that holds too little.
[[nodiscard]] std::optional<DelayFit> delayOf(const Impulse& impulse, double right);

/// How much after the highest peak a driver's delay is read from: reflections stay outside as far
/// as that goes.
inline constexpr double directSound = 12e-3; // s

/// Second witnesses, s after time zero: the highest sample, and where the envelope first reaches a
/// fifth of its maximum. Wrong by up to 5 ms and 0.4 ms for low-passed drivers.
[[nodiscard]] double peakTime(const Impulse& impulse);
[[nodiscard]] double onsetTime(const Impulse& impulse);
[[nodiscard]] bool peakIsPositive(const Impulse& impulse);

/// What is let through of an impulse response.
///
/// From `left` before the arrival (a rising half-cosine) to `right` after it, the last share
/// `taper` of right falling as a half-cosine. Below 1/T, T = right·(1 − taper/2), the curve is the
/// window's and not the loudspeaker's.
struct Gate {
    double left{1e-3};
    double right{};
    double taper{0.25};

    [[nodiscard]] double lowestValid() const { return 1.0 / (right * (1.0 - taper / 2.0)); }

    bool operator==(const Gate&) const = default;
};

/// The first reflection: how long after the arrival, and how loud re the direct sound.
struct Reflection {
    double after{}; ///< s
    double level{}; ///< dB

    bool operator==(const Reflection&) const = default;
};

/// Found in the echo train: the whole response's spectrum divided by that of its own direct part,
/// in which the driver's ringing has gone. Nothing if none stands out; never later than the data.
[[nodiscard]] std::optional<Reflection> firstReflection(const Impulse& impulse, double arrival);

/// A gate up to just before the first reflection; the whole of the data, at most 0.5 s, where none
/// was found.
[[nodiscard]] Gate proposedGate(const Impulse& impulse, double arrival);

/// The same where the reflection is known, with `rest` s of data after the arrival.
[[nodiscard]] Gate gateBefore(const std::optional<Reflection>& reflection, double rest);

/// Response of the gated part at any frequencies up to half the sample rate: exact sums, no nearest
/// bins. Phases are re time zero.
[[nodiscard]] std::vector<curve::Complex> gatedResponse(const Impulse& impulse,
                                                        double arrival,
                                                        const Gate& gate,
                                                        const curve::Axis& frequencies);

} // namespace yf::signal
