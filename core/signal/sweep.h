// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/quantity/quantities.h"
#include "core/signal/wav.h"

#include <complex>
#include <optional>
#include <string>
#include <vector>

namespace yf::signal {

enum class Timing { none, burst };

/// What is to be played: everything that has to be known to understand a recording of it later.
struct SweepPlan {
    double rate{48000.0};      ///< Hz
    double start{10.0};        ///< Hz
    std::optional<double> end; ///< Hz; absent: 0.48 of the rate
    double duration{5.0};      ///< s asked for; the true length differs a little
    double level{-12.0};       ///< dB, peak re digital full scale
    double mostLevel{0.0};     ///< dB: a limit that no plan may pass
    int repeats{1};
    double silenceBefore{0.5};
    double silenceAfter{1.0};
    double fadeIn{1.0 / 3.0};           ///< octaves
    double fadeOut{1.0 / 24.0};         ///< octaves
    std::optional<double> protectAbove; ///< Hz: the start is raised to it
    Timing timing{};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.rate, q::sampleRate.orElse(48000.0));
        field(self.start,
              q::frequency.as("start_hz", "first frequency").within(1.0, 48000.0).orElse(10.0));
        field(self.end, q::frequency.as("end_hz", "last frequency; 0.48 of the rate unless given"));
        field(self.duration,
              q::Quantity{"T", "duration_s", 1.0, "s", 0.05, 120.0, "length wanted"}.orElse(5.0));
        field(self.level,
              q::Quantity{"A", "level_db", 1.0, "dB", -80.0, 0.0, "peak re full scale"}.orElse(
                  -12.0));
        field(self.mostLevel,
              q::Quantity{"", "max_level_db", 1.0, "dB", -80.0, 0.0, "limit of the level"}.orElse(
                  0.0));
        field(self.repeats, q::Whole{"repeats", 1, 64, "how often it is played", 1});
        field(self.silenceBefore,
              q::Quantity{"", "silence_before_s", 1.0, "s", 0.0, 10.0, "before the first"}.orElse(
                  0.5));
        field(self.silenceAfter,
              q::Quantity{"", "silence_after_s", 1.0, "s", 0.0, 30.0, "after each"}.orElse(1.0));
        field(self.fadeIn,
              q::Quantity{"", "fade_in_octaves", 1.0, "", 0.0, 3.0, "length of the fade-in"}.orElse(
                  1.0 / 3.0));
        field(
            self.fadeOut,
            q::Quantity{"", "fade_out_octaves", 1.0, "", 0.0, 1.0, "length of the fade-out"}.orElse(
                1.0 / 24.0));
        field(self.protectAbove,
              q::frequency.as("protect_above_hz", "raises the start to protect a driver"));
        field(self.timing,
              q::Choice<2>{"timing", {"none", "burst"}, "a timing burst before each sweep", 0});
    }

    bool operator==(const SweepPlan&) const = default;
};

/// Rules between a plan's figures: rate one of the six usual ones, start ≤ rate/4,
/// 2·start ≤ end < rate/2, level ≤ max_level_db, and long enough for one cycle of k.
[[nodiscard]] std::optional<Error> check(const SweepPlan& plan);

/// Synchronised exponential sweep and its layout in samples.
///
///     x(t) = A · w(t) · sin(2π f1 L e^(t/L)),  0 ≤ t < T
///     k = round(f1·Tq/ln(f2/f1)),  L = k/f1,  T = L·ln(f2/f1)
///
/// Since f1·L is whole, the m-th harmonic of the sweep is the sweep advanced by L·ln m, and
/// harmonic impulse responses keep their phase. Sources: Farina 2000; Novak, Lotton, Simon 2015.
struct Sweep {
    double rate{};
    double start{};
    double end{};
    double amplitude{};    ///< re full scale
    int cycles{};          ///< k
    double rateConstant{}; ///< L, s: the frequency grows by e every L seconds
    double duration{};     ///< T, s
    double fadeIn{};       ///< octaves
    double fadeOut{};
    std::size_t samples{};
    std::size_t fadeInSamples{};
    std::size_t fadeOutSamples{};
    std::size_t before{};
    std::size_t lead{}; ///< of each repeat: burst and the pause behind it
    std::size_t after{};
    int repeats{1};

    [[nodiscard]] std::size_t period() const { return lead + samples + after; }

    [[nodiscard]] std::size_t total() const {
        return before + static_cast<std::size_t>(repeats) * period();
    }

    /// First sample of a repeat's sweep, counted from 0.
    [[nodiscard]] std::size_t startOf(int repeat) const {
        return before + static_cast<std::size_t>(repeat) * period() + lead;
    }

    /// When the sweep passes a frequency, s after its own start.
    [[nodiscard]] double timeOf(double frequency) const;

    /// The frequency that is played at that time.
    [[nodiscard]] double frequencyAt(double time) const;

    /// The m-th harmonic's response stands that much before the linear one, s.
    [[nodiscard]] double advance(int harmonic) const;

    /// 0 outside the sweep's band, 1 inside, raised cosines in ln f along the fades: where a
    /// division by the sweep means something.
    [[nodiscard]] double bandWindow(double frequency) const;

    /// Band in which bandWindow is 1.
    [[nodiscard]] double fullFrom() const;
    [[nodiscard]] double fullTo() const;
};

[[nodiscard]] Result<Sweep> makeSweep(const SweepPlan& plan);

/// One sweep.
[[nodiscard]] std::vector<double> samplesOf(const Sweep& sweep);

/// Everything that is played: silence, then each repeat with its burst and its silence.
[[nodiscard]] std::vector<double> playSignal(const Sweep& sweep);

/// The timing burst: a short synchronised sweep 2 to 16 kHz, 0.1 s asked, fades of 10 ms.
[[nodiscard]] std::vector<double> burst(double rate, double amplitude);

/// Spectrum of the inverse of the unfaded analogue sweep of amplitude 1 (Novak 2015, eq. 43):
/// X̃(f) = 2·√(f/L)·e^(−j2πfL(1 − ln(f/f1)) + jπ/4), which unlike division by the sweep also
/// knows frequencies above its end. For an unscaled discrete transform divide by the rate.
[[nodiscard]] std::complex<double> inverseAt(const Sweep& sweep, double frequency);

/// Input of `measure sweep`.
struct SweepRequest {
    SweepPlan plan;
    std::optional<std::string> outputFile;
    SampleFormat format{};
    std::vector<double> atSamples; ///< indices, whole numbers

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        SweepPlan::fields(self.plan, field);
        field(self.outputFile, q::Word{"output_file", "WAV to write"});
        field(self.format,
              q::Choice<3>{"output_format", {"pcm24", "pcm16", "float32"}, "its samples", 0});
        field(self.atSamples,
              q::Quantity{"n", "at_samples", 1.0, "", 0.0, 1e9, "samples to tell"}.orElse(0.0));
    }
};

[[nodiscard]] std::optional<Error> check(const SweepRequest& request);

/// What `measure sweep` tells.
struct SweepFacts {
    double start{};
    double end{};
    double duration{};
    double rateConstant{};
    int cycles{};
    int samples{};
    int period{};
    int total{};
    double totalDuration{};
    std::vector<double> advances; ///< s, of orders 2 to 5
    double peak{};                ///< dB re full scale
    double rms{};
    int fadeInSamples{};
    int fadeOutSamples{};
    std::vector<std::string> warnings; ///< "start_raised"
    std::vector<double> values;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.start, q::frequency.as("start_hz", "first frequency"));
        field(self.end, q::frequency.as("end_hz", "last frequency"));
        field(self.duration, q::Quantity{"T", "duration_s", 1.0, "s", 0.0, 1e9, "true length"});
        field(self.rateConstant,
              q::Quantity{"L", "rate_constant_s", 1.0, "s", 0.0, 1e9, "e-fold of the frequency"});
        field(self.cycles, q::Whole{"cycles", 1, 1000000000, "k"});
        field(self.samples, q::Whole{"sweep_samples", 1, 1000000000, "N"});
        field(self.period, q::Whole{"repeat_period_samples", 1, 1000000000, "P"});
        field(self.total, q::Whole{"total_samples", 1, 2000000000, "everything"});
        field(self.totalDuration,
              q::Quantity{"", "total_duration_s", 1.0, "s", 0.0, 1e9, "everything"});
        field(self.advances,
              q::Quantity{"", "harmonic_advances_s", 1.0, "s", 0.0, 1e9, "orders 2 to 5"});
        field(self.peak, q::Quantity{"", "peak_db", 1.0, "dB", -400.0, 0.0, "re full scale"});
        field(self.rms, q::Quantity{"", "rms_db", 1.0, "dB", -400.0, 0.0, "of the sweep"});
        field(self.fadeInSamples, q::Whole{"fade_in_samples", 0, 1000000000, "fade-in"});
        field(self.fadeOutSamples, q::Whole{"fade_out_samples", 0, 1000000000, "fade-out"});
        field(self.warnings, q::Word{"warnings", "what was changed"});
        field(self.values, q::Quantity{"x", "values", 1.0, "", -1.0, 1.0, "at at_samples"});
    }
};

/// Errors: those of the plan; an index beyond the play signal.
[[nodiscard]] Result<SweepFacts> describeSweep(const SweepRequest& request);

} // namespace yf::signal
