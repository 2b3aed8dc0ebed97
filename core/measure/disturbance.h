// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/signal/sweep.h"

#include <optional>
#include <span>
#include <vector>

namespace yf::measure {

/// Mains hum: lines at multiples of 50 or 60 Hz.
struct Hum {
    double mains{};     ///< Hz
    double amplitude{}; ///< rms of all lines
};

/// Looks for lines at multiples 1 … 8 of 50 and 60 Hz in silence: at least two of them twelve
/// times above the median of the bins 3 to 8 line widths away, or one of the first three sixty
/// times. Whether it is loud enough to matter is not said here.
[[nodiscard]] std::optional<Hum> humIn(std::span<const double> silence, double rate);

/// Repeats (from 0) that differ from the median of all by more than 60 times the median block
/// energy in some 20 ms. Needs three repeats; at most half of them are named.
[[nodiscard]] std::vector<int> disturbedRepeats(const std::vector<std::vector<double>>& repeats,
                                                double rate);

/// A loud event in a recording of one or two repeats: energy 20 dB above the silence in
/// time-frequency cells away from the lines of the sweep and its harmonics, s into the recording.
[[nodiscard]] std::optional<double>
eventIn(const std::vector<double>& channel, const signal::Sweep& sweep, double latency);

/// A stretch of the answer that holds nothing new: a buffer of zeros, or the one before once more.
struct Stale {
    int samples{};
    double time{}; ///< s into the channel
    bool again{};  ///< the samples before it once more; else one value
};

/// The first such stretch within the sweeps' answers, `latency` s late.
///
/// One value for half a period of what is played there, and 48 samples at least: neither an
/// overload nor rounding holds it so long where the channel moves by 8 of its own steps and more.
/// The samples of a usual buffer's length (32 to 4096) before it, exactly, for half a buffer, where
/// it moves by 100 steps: a sweep is never the same twice.
[[nodiscard]] std::optional<Stale>
staleIn(const std::vector<double>& channel, const signal::Sweep& sweep, double latency);

} // namespace yf::measure
