// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/curve/curve.h"
#include "core/signal/geometry.h"
#include "core/signal/sweep.h"

#include <functional>
#include <string>
#include <vector>

namespace yf::sim {

enum class NoiseColour { white, pink };

/// What is wrong or unavoidable on the way from the play signal to the recording. Levels are rms
/// re digital full scale unless said otherwise.
struct Chain {
    double reflection{0.8};          ///< pressure reflection factor of every surface
    std::optional<double> tail;      ///< s to fall by 60 dB
    std::optional<double> tailLevel; ///< dB, energy of the late tail re that of the direct sound
    double noise{-80.0};
    NoiseColour noiseColour{};
    std::optional<double> hum; ///< Hz
    double humLevel{-60.0};
    double latency{0.03};
    double clip{0.0};           ///< dB re full scale, where the recorder's input overloads
    double secondHarmonic{0.0}; ///< of the fundamental, at the play signal's amplitude
    double thirdHarmonic{0.0};
    double clockDrift{0.0}; ///< share: positive where the recorder runs fast
    double dropoutTime{0.0};
    int dropoutSamples{0}; ///< lost; negative: silent ones put in
    int seed{1};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        const auto level = [](const char* key, double otherwise, const char* help) {
            return q::Quantity{"", key, 1.0, "dB", -200.0, 20.0, help}.orElse(otherwise);
        };
        field(self.reflection,
              q::Quantity{"", "reflection_pct", 0.01, "%", 0.0, 100.0, "of the pressure"}.orElse(
                  80.0));
        field(self.tail, q::Quantity{"", "tail_s", 1.0, "s", 0.01, 20.0, "decay by 60 dB"});
        field(self.tailLevel,
              q::Quantity{"", "tail_db", 1.0, "dB", -100.0, 20.0, "late energy re the direct"});
        field(self.noise, level("noise_db", -80.0, "noise"));
        field(self.noiseColour,
              q::Choice<2>{"noise_colour", {"white", "pink"}, "spectrum of the noise", 0});
        field(self.hum, q::Quantity{"", "hum_hz", 1.0, "Hz", 10.0, 1000.0, "mains frequency"});
        field(self.humLevel, level("hum_db", -60.0, "hum, all lines"));
        field(self.latency,
              q::Quantity{"", "latency_s", 1.0, "s", 0.0, 2.0, "of the sound system"}.orElse(0.03));
        field(self.clip, level("clip_db", 0.0, "where the input overloads"));
        field(self.secondHarmonic,
              q::Quantity{"", "second_harmonic_pct", 0.01, "%", 0.0, 50.0, "of the fundamental"}
                  .orElse(0.0));
        field(self.thirdHarmonic,
              q::Quantity{"", "third_harmonic_pct", 0.01, "%", 0.0, 50.0, "of the fundamental"}
                  .orElse(0.0));
        field(self.clockDrift,
              q::Quantity{"", "clock_drift_ppm", 1e-6, "ppm", -1000.0, 1000.0, "recorder fast: +"}
                  .orElse(0.0));
        field(self.dropoutTime,
              q::Quantity{"", "dropout_time_s", 1.0, "s", 0.0, 1e4, "when samples are lost"}.orElse(
                  0.0));
        field(self.dropoutSamples,
              q::Whole{"dropout_samples", -100000, 100000, "how many; negative: put in", 0});
        field(self.seed, q::Whole{"seed", 0, 2147483647, "of the noise", 1});
    }

    bool operator==(const Chain&) const = default;
};

/// What a recorder made of a play signal.
struct Heard {
    std::vector<double> measured;
    std::vector<double> reference; ///< the play signal, late by the latency
    int clipped{};                 ///< samples at the recorder's limit
};

/// One way from loudspeaker to microphone: what is left of the pressure, and how late it is.
struct Way {
    double factor{1.0};
    double delay{}; ///< s
};

/// recording(t) = clip( Σ (factor_i)·[h ⊛ g(play)](t − delay_i − latency) + tail + hum + noise ),
/// re-clocked, samples lost.
///
/// h: recorded units per played unit at a frequency, evaluated on a zero-padded transform, so that
/// delays are exact to fractions of a sample. g: y = x + a2·x² + a3·x³ on the signal oversampled
/// four times. The same seed gives the same noise on every machine.
[[nodiscard]] Heard hear(const std::vector<double>& play,
                         double rate,
                         const std::function<curve::Complex(double)>& h,
                         const std::vector<Way>& ways,
                         const Chain& chain);

enum class FilterKind { highPass, lowPass, peak };

/// s²/(s²+s/q+1), 1/(s²+s/q+1), (s²+s·g/q+1)/(s²+s/q+1) with s = jf/f0 and g = 10^(gain/20).
struct Filter {
    FilterKind kind{};
    double f0{};
    double q{0.7071};
    double gain{0.0}; ///< dB, of a peak

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.kind, q::Choice<3>{"kind", {"highpass", "lowpass", "peak"}, "which", {}});
        field(self.f0, q::frequency.as("frequency_hz", "its corner or middle"));
        field(self.q, q::Quantity{"Q", "q", 1.0, "", 0.05, 500.0, "its quality"}.orElse(0.7071));
        field(self.gain,
              q::Quantity{"", "gain_db", 1.0, "dB", -60.0, 60.0, "of a peak"}.orElse(0.0));
    }

    [[nodiscard]] curve::Complex at(double f) const;

    bool operator==(const Filter&) const = default;
};

/// Input of `measure simulate`: a loudspeaker whose response is exactly known, in a room, through
/// a recorder with faults of one's choice.
struct SimulateRequest {
    signal::SweepRequest sweep;
    std::vector<Filter> filters;
    double gain{-12.0}; ///< dB, recorded per played unit at 1 m
    int polarity{1};
    signal::Geometry geometry;
    Chain chain;
    std::optional<std::string> microphoneErrorFile;
    std::optional<std::string> microphoneError; ///< its content
    bool reference{true};
    std::optional<std::string> recordingFile;
    std::vector<double> frequencies;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.sweep, q::Group{"sweep", "what is played"});
        field(self.filters, q::Group{"filters", "the loudspeaker, sections in a row", true});
        field(self.gain,
              q::Quantity{"", "gain_db", 1.0, "dB", -120.0, 60.0, "per played unit at 1 m"}.orElse(
                  -12.0));
        field(self.polarity, q::Whole{"polarity", -1, 1, "1, or -1 for reversed", 1});
        signal::Geometry::fields(self.geometry, field);
        Chain::fields(self.chain, field);
        field(self.microphoneErrorFile,
              q::Word{"microphone_error_file", "table of the microphone's own deviation"});
        field(self.reference, q::Flag{"reference", "a second channel with the play signal", true});
        field(self.recordingFile, q::Word{"recording_file", "WAV to write"});
        field(self.frequencies, q::frequencies.orElse(0.0));
    }
};

[[nodiscard]] std::optional<Error> check(const SimulateRequest& request);

/// What was made, and the truth without room, noise and latency.
struct Simulated {
    int samples{};
    double peak{};
    double noise{};
    double directDelay{};
    std::vector<double> reflectionDelays; ///< s after the direct sound, rising
    int clipped{};
    std::vector<double> frequencies;
    std::vector<double> levels;
    std::vector<double> phases;
    std::vector<std::vector<double>> channels; ///< measured, reference; not told

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        const auto count = [](const char* key, const char* help) {
            return q::Whole{key, 0, 2147483647, help};
        };
        const auto seconds = [](const char* key, const char* help) {
            return q::Quantity{"", key, 1.0, "s", 0.0, 1e3, help};
        };
        field(self.samples, count("samples", "length of the recording"));
        field(self.peak, q::Quantity{"", "peak_db", 1.0, "dB", -400.0, 100.0, "re full scale"});
        field(self.noise,
              q::Quantity{"", "noise_rms_db", 1.0, "dB", -400.0, 100.0, "hum not counted"});
        field(self.directDelay, seconds("direct_delay_s", "flight of the direct sound"));
        field(self.reflectionDelays, seconds("reflection_delays_s", "after the direct sound"));
        field(self.clipped, count("clipped_samples", "at the limit"));
        field(self.frequencies, q::frequencies);
        field(self.levels, q::levels);
        field(self.phases, q::phases);
    }
};

/// Distance 1 m unless given. Errors: those of sweep and geometry; a microphone table that cannot
/// be read.
[[nodiscard]] Result<Simulated> simulate(const SimulateRequest& request);

} // namespace yf::sim
