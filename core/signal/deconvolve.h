// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/curve/curve.h"
#include "core/signal/impulse.h"
#include "core/signal/sweep.h"

#include <array>
#include <optional>
#include <vector>

namespace yf::signal {

/// What was recorded while a sweep was played. Full scale is 1. The reference is empty where none
/// was recorded; it is the play signal taken back at the amplifier's or converter's output.
struct Recording {
    double rate{};
    std::vector<double> measured;
    std::vector<double> reference;

    bool operator==(const Recording&) const = default;
};

using Spectrum = std::vector<std::complex<double>>;

/// Each repeat's spectra, on one length without circular overlap.
struct RepeatSpectra {
    std::size_t length{};
    double rate{};
    std::vector<Spectrum> measured;
    std::vector<Spectrum> reference; ///< empty without one
    Spectrum sweep;                  ///< of the known digital sweep

    [[nodiscard]] double frequency(std::size_t bin) const {
        return static_cast<double>(bin) * rate / static_cast<double>(length);
    }

    [[nodiscard]] std::size_t bin(double f) const;
};

/// The repeats cut out (from each sweep's start to the end of its silence), padded to a good length
/// of at least period + sweep, and transformed.
[[nodiscard]] RepeatSpectra transformRepeats(const Recording& recording, const Sweep& sweep);

/// Samples of one channel that belong to a repeat; zeros where the recording ended.
[[nodiscard]] std::vector<double>
repeatOf(const std::vector<double>& channel, const Sweep& sweep, int repeat);

/// Mean over repeats.
[[nodiscard]] Spectrum mean(const std::vector<Spectrum>& spectra);

/// H = M/R (or M/X without a reference) inside the sweep's band window, 0 outside: regularised
/// inversion whose regularisation has the sweep's own shape. (A constant relative to the largest
/// |X|² would cost 1.4 dB at 20 kHz, since the sweep falls 10 dB a decade.)
[[nodiscard]] Spectrum linearResponse(const Spectrum& measured,
                                      const Spectrum& against,
                                      const RepeatSpectra& of,
                                      const Sweep& sweep);

/// The impulse response of it from `before` s before time zero to `after` s after: negative times
/// are at the end of the transform.
[[nodiscard]] Impulse
impulseOf(const Spectrum& response, std::size_t length, double rate, double before, double after);

/// Harmonic distortion of orders 2 to 5 over the excitation frequency, from the harmonics' own
/// impulse responses.
///
///     h̃ = IFFT(M·X̃/A);  d_m(f) = |H̃_m(m·f)| / |H̃_1(f)|;  THD = √Σ d_m²
///
/// Harmonic m stands L·ln m before the linear part; its window reaches from 10 % of the gap to its
/// left to 80 % of the gap to its right, with half-cosine edges of 10 and 20 %.
/// Source: Farina 2000; Novak, Lotton, Simon 2015.
struct Distortion {
    std::vector<double> frequencies;
    /// Linear ratios to the fundamental, [order − 2][frequency]; absent beyond half the rate.
    std::array<std::vector<std::optional<double>>, 4> orders;
    /// The same window laid where no harmonic lies: values within 6 dB of it are noise.
    std::array<std::vector<std::optional<double>>, 4> floor;

    /// THD of the orders that are there; absent where none is.
    [[nodiscard]] std::vector<std::optional<double>> total() const;
};

/// One harmonic as a level: the fundamental's size times the ratio, point by point of `distortion`
/// where the fundamental is known, smoothed by a sixth of an octave for the eye.
struct Harmonic {
    curve::Curve curve;
    std::vector<bool> clear; ///< more than 6 dB above what noise alone would show
};

/// Nothing where fewer than two points are known. `order` from 2.
[[nodiscard]] std::optional<Harmonic>
harmonicOf(const curve::Curve& fundamental, const Distortion& distortion, std::size_t order);

/// `arrival`: of the linear part, s after the sweep's nominal start (latency and flight).
[[nodiscard]] Distortion distortion(const Spectrum& measured,
                                    const RepeatSpectra& of,
                                    const Sweep& sweep,
                                    double arrival,
                                    const curve::Axis& frequencies);

} // namespace yf::signal
