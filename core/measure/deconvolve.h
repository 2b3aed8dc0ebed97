// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/measure/calibration.h"
#include "core/measure/inputs.h"
#include "core/measure/response.h"
#include "core/quantity/level.h"

#include <optional>
#include <string>
#include <vector>

namespace yf::measure {

/// Input of `measure deconvolve`.
struct DeconvolveRequest {
    std::string recordingFile;
    signal::SweepRequest sweep;
    int measurementChannel{1};
    int referenceChannel{0}; ///< 0: none
    std::vector<double> frequencies;
    double left{0.01};
    std::optional<double> right;
    std::optional<std::string> calibrationFile;
    std::optional<double> fullScalePressure;
    std::optional<double> fullScaleVoltage;
    double drive{quantity::referenceVoltage};
    double temperature{20.0};
    std::vector<double> distortionFrequencies;
    std::optional<std::string> impulseFile;
    std::optional<std::string> bytes;           ///< of the recording
    std::optional<std::string> calibrationText; ///< of the table

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.recordingFile, q::Word{"recording_file", "WAV as it was recorded"});
        field(self.sweep, q::Group{"sweep", "what was played", true});
        field(self.measurementChannel,
              q::Whole{"measurement_channel", 1, 64, "of the recording", 1});
        field(self.referenceChannel, q::Whole{"reference_channel", 0, 64, "0: none", 0});
        field(self.frequencies, q::frequencies.orElse(0.0));
        field(self.left,
              q::Quantity{"", "window_left_s", 1.0, "s", 0.0, 10.0, "kept before time zero"}.orElse(
                  0.01));
        field(self.right,
              q::Quantity{
                  "", "window_right_s", 1.0, "s", 0.0005, 30.0, "kept after; half the silence"});
        field(self.calibrationFile,
              q::Word{"calibration_file", "table of the microphone's deviation"});
        field(self.fullScalePressure,
              q::Quantity{"K", "full_scale_pa", 1.0, "Pa", 1e-6, 1e6, "of digital 1.0"});
        field(self.fullScaleVoltage,
              q::Quantity{"V", "full_scale_v", 1.0, "V", 1e-6, 1e4, "for 1.0 played"});
        field(self.drive,
              q::voltage.as("drive_v", YF_WORDS("core", "drive, rms")).orElse(q::referenceVoltage));
        field(self.temperature, q::temperature.within(-20.0, 50.0).orElse(20.0));
        field(
            self.distortionFrequencies,
            q::frequencies.as("distortion_frequencies_hz", "where distortion is told").orElse(0.0));
        field(self.impulseFile, q::Word{"impulse_file", "WAV to write"});
    }
};

[[nodiscard]] std::optional<Error> check(const DeconvolveRequest& request);

/// A recording turned into a response, and its judgement.
struct Deconvolved {
    std::string mainFault;
    std::vector<std::string> faults;
    bool usable{};
    double peak{};
    double noise{};
    int clippedSamples{};
    double humFrequency{};
    double humLevel{};
    int dropoutSamples{};
    double dropoutTime{};
    double clockDrift{};
    int repeatsUsed{};
    std::vector<double> rejectedRepeats;
    std::vector<double> frequencies;
    std::vector<double> levels;
    std::vector<double> phases;
    std::string levelReference;
    std::optional<double> trustedFrom;
    std::optional<double> trustedTo;
    std::optional<double> delay;
    std::optional<double> distance;
    std::string polarity;
    std::vector<std::optional<double>> signalToNoise;
    std::optional<double> medianSignalToNoise;
    std::array<std::vector<std::optional<double>>, 4> distortion; ///< dB re the fundamental
    std::vector<std::optional<double>> distortionTotal;
    signal::Impulse impulse; ///< not told; for impulse_file

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        const auto level = [](const char* key, const char* help) {
            return q::Quantity{"", key, 1.0, "dB", -1000.0, 1000.0, help};
        };
        field(self.mainFault, q::Word{"main_fault", "gravest fault, or none"});
        field(self.faults, q::Word{"faults", "all of them, gravest first"});
        field(self.usable, q::Flag{"usable", "whether the curve may be believed"});
        field(self.peak, level("peak_db", "highest sample re full scale"));
        field(self.noise, level("noise_db", "rms before the sweep"));
        field(self.clippedSamples, q::Whole{"clipped_samples", 0, 2147483647, "on flat tops"});
        field(self.humFrequency, q::Quantity{"", "hum_hz", 1.0, "Hz", 0.0, 1000.0, "0: none"});
        field(self.humLevel, level("hum_db", "rms of the lines"));
        field(self.dropoutSamples,
              q::Whole{"dropout_samples", -2147483647, 2147483647, "lost; negative: put in"});
        field(self.dropoutTime, q::Quantity{"", "dropout_time_s", 1.0, "s", 0.0, 1e5, "when"});
        field(self.clockDrift,
              q::Quantity{"", "clock_drift_ppm", 1e-6, "ppm", -1e6, 1e6, "recorder fast: +"});
        field(self.repeatsUsed, q::Whole{"repeats_used", 0, 64, "after rejection"});
        field(self.rejectedRepeats,
              q::Quantity{"", "rejected_repeats", 1.0, "", 1.0, 64.0, "from 1"});
        field(self.frequencies, q::frequencies);
        field(self.levels, q::levels);
        field(self.phases, q::phases);
        field(self.levelReference, q::Word{"level_reference", "ratio or spl"});
        field(self.trustedFrom, q::frequency.as("trusted_from_hz", "believed from"));
        field(self.trustedTo, q::frequency.as("trusted_to_hz", "believed to"));
        field(self.delay, q::Quantity{"", "delay_s", 1.0, "s", -1e3, 1e3, "arrival re time zero"});
        field(self.distance, q::Quantity{"", "distance_m", 1.0, "m", -1e5, 1e5, "c times delay"});
        field(self.polarity, q::Word{"polarity", "positive, negative or uncertain"});
        field(self.signalToNoise, level("signal_to_noise_db", "in the third octave about it"));
        field(self.medianSignalToNoise,
              level("signal_to_noise_median_db", "in the device's own band"));
        if (!self.distortionTotal.empty()) {
            const char* keys[] = {
                "distortion_2_db", "distortion_3_db", "distortion_4_db", "distortion_5_db"};
            for (std::size_t i = 0; i < self.distortion.size(); ++i) {
                field(self.distortion[i], level(keys[i], "re the fundamental"));
            }
            field(self.distortionTotal,
                  q::Quantity{"", "distortion_pct", 0.01, "%", 0.0, 1e6, "orders 2 to 5"});
        }
    }
};

/// From a recording to a response that says how far it may be believed.
///
/// Trusted: inside the sweep's full band, above 1/T of the window, and where the signal is 15 dB
/// or more above the noise, in one stretch about the device's maximum. A bad recording is no
/// error: it is read, judged, and answered with usable false.
/// Errors: another rate; shorter than the last sweep's end; a channel missing or used twice; half a
/// calibration.
[[nodiscard]] Result<Deconvolved> deconvolve(const DeconvolveRequest& request);

} // namespace yf::measure
