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
/// times above the median of the bins 3 to 8 line widths away. Whether it is loud enough to matter
/// is not said here.
[[nodiscard]] std::optional<Hum> humIn(std::span<const double> silence, double rate);

/// Repeats (from 0) that differ from the median of all by more than 60 times the median block
/// energy in some 20 ms. Needs three repeats; at most half of them are named.
[[nodiscard]] std::vector<int> disturbedRepeats(const std::vector<std::vector<double>>& repeats,
                                                double rate);

/// A loud event in a recording of one or two repeats: energy 20 dB above the silence in
/// time-frequency cells away from the lines of the sweep and its harmonics, s into the recording.
[[nodiscard]] std::optional<double>
eventIn(const std::vector<double>& channel, const signal::Sweep& sweep, double latency);

} // namespace yf::measure
