// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/measure/disturbance.h"
#include "core/measure/timing.h"
#include "core/signal/deconvolve.h"

#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace yf::measure {

/// What can be wrong with a recording, gravest first.
enum class Fault {
    noSignal,
    channelsSwapped,
    referenceMissing,
    cutShort,
    clipped,
    dropout,
    clocksApart,
    tooLow,
    noisy,
    event,
    clockDrift,
    hum,
    referenceInverted
};

inline constexpr std::size_t faultCount = 13;

/// "no_signal" … as on the command line and in files.
[[nodiscard]] std::string_view faultName(Fault fault);

/// Whether a recording with it gives no usable curve.
[[nodiscard]] bool spoils(Fault fault);

/// A recording judged. Levels in dB re digital full scale.
struct Verdict {
    std::vector<Fault> faults; ///< gravest first
    double peak{};             ///< of the measured channel
    double noise{};            ///< rms before the first sweep; of the end where there is no before
    int clippedSamples{};
    bool referenceClipped{}; ///< it was the reference that was clipped
    double hum{};            ///< Hz; 0: none
    double humLevel{-200.0};
    std::optional<Dropout> dropout;
    std::optional<Stale> stale; ///< a dropout too: no samples are missing, some say nothing new
    double clockDrift{};        ///< share; corrected, but for `clocksApart`
    bool driftByReference{};    ///< that is what it rests on; else the repeats
    std::vector<int> rejected;  ///< repeats left out, from 1
    std::optional<double> eventTime;           ///< s, where a single recording was disturbed
    std::optional<double> medianSignalToNoise; ///< dB, in the device's own band

    [[nodiscard]] std::optional<Fault> mainFault() const;
    [[nodiscard]] bool usable() const;
    [[nodiscard]] bool has(Fault fault) const;
};

/// A fault in one sentence that says what to do.
[[nodiscard]] Words sentenceOf(Fault fault, const Verdict& verdict);

/// A judged recording with everything that was computed on the way.
struct Examined {
    Verdict verdict;
    signal::RepeatSpectra spectra; ///< on one clock, disturbed repeats left out
    signal::Spectrum measured;     ///< mean
    signal::Spectrum against;      ///< mean reference, or the sweep itself
    signal::Spectrum response;     ///< linear, inside the band window
    std::vector<double> noise;     ///< power in each bin of the mean
    bool referenced{};
    double latency{}; ///< s, after where the answer was looked for
    /// Samples into the recording from which on everything here is counted: nought unless the
    /// answer came much earlier or later than the layout says.
    std::ptrdiff_t offset{};

    /// The same in seconds.
    [[nodiscard]] double placed() const { return static_cast<double>(offset) / spectra.rate; }

    /// In the third octave about a frequency, dB; ratio of sums. Absent where no noise is known.
    [[nodiscard]] std::optional<double> signalToNoise(double frequency) const;

    /// The device's own level there, dB recorded per played (or reference) unit.
    [[nodiscard]] double level(double frequency) const;
};

/// Judges a recording of a sweep by its own signal, puts its repeats onto one clock and leaves
/// disturbed ones out. `lossFlagged`: the sound system itself reported lost samples, which spoils
/// a recording even where no step is found.
/// An answer that is up to 3 s late or early is looked for and judged where it is.
/// The rules, with their limits: docs/theory/measurement.md, "Judging a recording".
[[nodiscard]] Examined
examine(const signal::Recording& recording, const signal::Sweep& sweep, bool lossFlagged = false);

} // namespace yf::measure
