// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <complex>
#include <span>
#include <vector>

namespace yf::signal {

/// Smallest length not below `least` that is 2^a·3^b·5^c: transforms of other lengths may take
/// fifty times as long.
[[nodiscard]] std::size_t goodLength(std::size_t least);

/// Transform of real data padded with zeros to `length`: length/2 + 1 values, not scaled.
[[nodiscard]] std::vector<std::complex<double>> transform(std::span<const double> data,
                                                          std::size_t length);

/// Real data of that length from its spectrum; transform and back give the data again.
[[nodiscard]] std::vector<double> transformBack(std::span<const std::complex<double>> spectrum,
                                                std::size_t length);

/// Σ h[n]·e^(−jω(from + n/rate)) at any frequency: an exact sum, no nearest bin.
[[nodiscard]] std::complex<double>
dtft(std::span<const double> data, double from, double rate, double frequency);

/// Size of the analytic signal: the envelope of real data.
[[nodiscard]] std::vector<double> envelope(std::span<const double> data);

} // namespace yf::signal
