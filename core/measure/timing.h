// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/signal/deconvolve.h"

#include <optional>
#include <vector>

namespace yf::measure {

/// How late the sweep arrived while it passed one band.
struct Arrival {
    double f{};     ///< Hz, middle of the band
    double time{};  ///< s of the sweep
    double delay{}; ///< s
};

/// Samples that the sound system lost (negative: put in) and when, s into the recording.
struct Dropout {
    int samples{};
    double time{};

    bool operator==(const Dropout&) const = default;
};

/// What the arrivals of the sweep say about clocks and lost samples.
struct TimingFound {
    std::optional<Dropout> dropout;
    double drift{};   ///< share, positive where the recorder runs fast; 0: none that is significant
    double latency{}; ///< s of the first repeat's reference, or of the sound itself without one
};

/// Group delay of the reference over the sweep (without one, of the measured channel less its
/// minimum phase, where it is within 12 dB of its maximum), in 1/6-octave bands a twelfth apart:
/// the phase of Σ Z(f+δ)Z*(f). Two levels with a break fit better than a line: samples were lost.
/// A slope of the reference: two clocks, if it is four times its own uncertainty. With two repeats
/// or more the drift comes from the shift between first and last, and losses show in each repeat
/// against the first, the device's own delay taken out. One repeat without reference says nothing
/// of clocks: a room's tail and a driver's delay slope as well.
/// Robust throughout (absolute deviations). See docs/theory/measurement.md, "Clocks and losses".
[[nodiscard]] TimingFound timing(const signal::RepeatSpectra& spectra, const signal::Sweep& sweep);

/// Above it two clocks are not told from something else, and are not corrected: crystals are within
/// 100 ppm each (common practice).
inline constexpr double mostDrift = 300e-6;

/// The impulse response of M/X in two figures.
struct Answer {
    double delay{}; ///< s, of its highest sample
    double crest{}; ///< that sample over the rms of all: noise has about 5, an answer far more
};

[[nodiscard]] Answer answerOf(const signal::Spectrum& measured,
                              const signal::RepeatSpectra& of,
                              const signal::Sweep& sweep);

} // namespace yf::measure
