// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/speaker/crossover.h"
#include "core/speaker/speaker.h"
#include "core/speaker/three_takes.h"
#include "core/text/value.h"

/// Two neighbours at their crossover: polarity, delay, and what a change would bring.
namespace yf::speaker {

/// A change that could be made at the crossover.
struct Change {
    std::string words; ///< "flip", "delay the second by 52 µs"
    double gain{};     ///< dB that it brings to the octave about fx
    bool flip{};
    double delay{}; ///< s, of the second; negative: of the first
};

/// Input of `speaker align`.
struct AlignRequest {
    Timing timing{};
    measure::CurveKeys first;
    measure::CurveKeys second;
    std::optional<measure::CurveKeys> sum;
    std::optional<measure::CurveKeys> reversed;
    std::optional<std::vector<double>> band;
    std::vector<double> delays{-1e-3, 1e-3};
    double levelSigma{0.25};
    std::optional<double> fx;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.timing, q::Choice<2>{"timing", {"own", "common"}, "of the curves", 0});
        field(self.first, q::Group{"first", "the lower one, with phases"});
        field(self.second, q::Group{"second", "the upper one, with phases"});
        field(self.sum, q::Group{"sum", "levels of both together; needed for own", true});
        field(self.reversed, q::Group{"sum_reversed", "levels with one turned over", true});
        field(self.band, q::frequencies.as("band_hz", "lower and upper end of what is fitted"));
        field(self.delays,
              q::Quantity{"τ", "delay_range_s", 1.0, "s", -0.02, 0.02, "that is scanned"}.orElse(
                  0.001));
        field(
            self.levelSigma,
            q::Quantity{"σ", "level_sigma_db", 1.0, "dB", 0.001, 10.0, "of a level"}.orElse(0.25));
        field(self.fx, q::fx);
    }
};

[[nodiscard]] std::optional<Error> check(const AlignRequest& request);

struct AlignAnswer {
    std::optional<DelayFound> found; ///< own timing
    double fx{};
    double difference{}; ///< rad, second re first as wired, delay included
    double loss{};       ///< dB at fx, below both in step
    double flipGain{};   ///< dB over the octave about fx
    double flipGainFx{}; ///< dB at fx
    std::string recommend;
    std::vector<Change> advice; ///< best first

    [[nodiscard]] text::Value write() const;
};

/// Own timing: delay and polarity from three takes, then as for common timing, where the curves
/// are added as they are. Advice: what a flip, the delay that adds most (scanned ±2/fx), both
/// together, and ±3 dB of the second would bring, computed by the full sum.
/// Fails: no overlap of the two (saying how many dB apart), no fx.
[[nodiscard]] Result<AlignAnswer> align(const AlignRequest& request);

/// dB by which a change makes the octave about fx louder: sums over w = Δ ln f.
[[nodiscard]] double octaveGain(const Axis& axis,
                                std::span<const Complex> before,
                                std::span<const Complex> after,
                                double fx);

} // namespace yf::speaker
