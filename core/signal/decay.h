// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/curve/axis.h"
#include "core/signal/impulse.h"

#include <vector>

namespace yf::signal {

/// Levels over time (or periods) and frequency, dB re `reference`, not below −range.
struct DecayImage {
    std::vector<double> times; ///< s after the arrival; for bursts: periods
    std::vector<double> frequencies;
    std::vector<std::vector<double>> levels; ///< [time][frequency]
    double reference{};                      ///< dB of the data
    double lowestValid{};                    ///< Hz; below it the picture is the window's
};

/// A cumulative decay: slice k is the spectrum of what comes after arrival + k·step.
///
/// Windows: half-cosine rise over `rise` ending at arrival + k·step, then 1 to arrival + length
/// with a half-cosine fall over the last tenth. `arrival` for pictures is where the envelope
/// reaches a fifth of its maximum. Levels come from transforms padded eightfold and read between
/// bins by cubic interpolation (within 0.01 dB).
struct CumulativeDecay {
    int slices{40};
    double step{1e-4};
    double rise{2e-4};
    double length{0.02};
};

[[nodiscard]] DecayImage cumulativeDecay(const Impulse& impulse,
                                         const CumulativeDecay& form,
                                         const curve::Axis& frequencies);

/// A burst's decay: |h ∗ b| with b = e^(j2πft)·Hann over `cycles` periods, Σ|b| = 1, read at whole
/// periods after the arrival: constant relative bandwidth, so bass and treble compare fairly.
struct BurstDecay {
    double cycles{4.0};
    int periods{30};
};

[[nodiscard]] DecayImage
burstDecay(const Impulse& impulse, const BurstDecay& form, const curve::Axis& frequencies);

/// Sets reference and range: absent, the highest value of the first row (of all rows for bursts).
void seal(DecayImage& image, std::optional<double> reference, double range, bool wholeImage);

/// Running sum of the samples over the rate: the answer to a step of 1.
[[nodiscard]] std::vector<double> stepResponse(const Impulse& impulse);

/// A mode that rings on.
struct ModeFound {
    double f{};     ///< Hz
    double Q{};     ///< π·f/decay rate
    double level{}; ///< dB re the third-octave smoothed response there

    /// 27.29·f/Q dB per second.
    [[nodiscard]] double decayRate() const { return 27.287527 * f / Q; }
};

/// Modes with Q of at least `minimumQ`, rising in frequency: damped exponentials fitted to what is
/// left after the direct sound, by the matrix pencil (Hua, Sarkar 1990) in octaves half an octave
/// apart. A mode counts if it comes back within 1 % of f and 20 % of Q from three starts one period
/// apart and lies between −35 and +12 dB re the response. Modes that need longer than `gate` are
/// not seen; reflections inside it make false ones.
[[nodiscard]] std::vector<ModeFound>
ringingModes(const Impulse& impulse, double gate, double minimumQ);

/// From this Q on a mode is told as ringing (rule of thumb): it takes 0.73·Q periods, about four,
/// to fall by 20 dB.
inline constexpr double ringingQ = 5.0;

/// The `most` loudest of those, rising in frequency.
[[nodiscard]] std::vector<ModeFound>
loudestModes(const Impulse& impulse, double gate, std::size_t most);

} // namespace yf::signal
