// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/measure/inputs.h"
#include "core/signal/delay.h"

#include <optional>
#include <string>
#include <vector>

namespace yf::measure {

/// Input of `measure min-phase`.
struct MinPhaseRequest {
    CurveKeys curve;
    std::optional<double> lowSlope; ///< slope of ln|H| over ln f
    std::optional<double> highSlope;
    std::optional<double> from;
    std::optional<double> to;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        // 20·lg 2 decibels an octave are a slope of 1.
        constexpr double perOctave = 1.0 / 6.020599913279624;
        CurveKeys::fields(self.curve, field);
        field(
            self.lowSlope,
            q::Quantity{
                "", "low_slope_db_per_octave", perOctave, "dB/oct", -60.0, 60.0, "below the data"});
        field(self.highSlope,
              q::Quantity{
                  "", "high_slope_db_per_octave", perOctave, "dB/oct", -120.0, 60.0, "above them"});
        field(self.from, q::frequency.as("from_hz", "lower end of what is believed"));
        field(self.to, q::frequency.as("to_hz", "upper end of it"));
    }
};

[[nodiscard]] std::optional<Error> check(const MinPhaseRequest& request);

struct MinPhase {
    std::vector<double> frequencies;
    std::vector<double> minimum; ///< unwrapped, radians
    double lowSlope{};
    double highSlope{};
    std::optional<double> delay;
    std::optional<double> offset;
    std::optional<double> residual;
    std::optional<std::vector<double>> excess; ///< delay taken out, wrapped
    std::vector<double> groupDelay;            ///< s

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        constexpr double perOctave = 1.0 / 6.020599913279624;
        field(self.frequencies, q::frequencies);
        field(self.minimum, q::phases.as("minimum_phase_deg", "unwrapped"));
        field(self.groupDelay,
              q::Quantity{"", "group_delay_s", 1.0, "s", -1e3, 1e3, "by local straight lines"});
        field(self.lowSlope,
              q::Quantity{"", "low_slope_db_per_octave", perOctave, "dB/oct", -1e4, 1e4, "used"});
        field(self.highSlope,
              q::Quantity{"", "high_slope_db_per_octave", perOctave, "dB/oct", -1e4, 1e4, "used"});
        if (self.excess) {
            field(self.delay,
                  q::Quantity{"", "excess_delay_s", 1.0, "s", -1e3, 1e3, "delay in excess"});
            field(self.offset, q::phases.as("excess_offset_deg", "phase in excess at 0 Hz"));
            field(self.residual, q::phases.as("excess_residual_deg", "rms of what is left"));
            field(self.excess, q::phases.as("excess_phase_deg", "delay taken out, wrapped"));
        }
    }
};

/// Minimum phase of the levels, +180° at 0 Hz for a second-order high-pass; with phases, what is
/// measured in excess of it.
[[nodiscard]] Result<MinPhase> minPhase(const MinPhaseRequest& request);

/// Input of `measure delay` and `measure polarity`: an impulse response or a curve with phase.
struct DelayRequest {
    ImpulseKeys impulse;
    std::vector<double> frequencies;
    std::vector<double> levels;
    std::vector<double> phases;
    std::optional<double> from;
    std::optional<double> to;
    double gate{0.02};
    double temperature{20.0};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        ImpulseKeys::fields(self.impulse, field);
        field(self.frequencies, q::frequencies.orElse(0.0));
        field(self.levels, q::levels.orElse(0.0));
        field(self.phases, q::phases.orElse(0.0));
        field(self.from, q::frequency.as("from_hz", "lower end of the fit"));
        field(self.to, q::frequency.as("to_hz", "upper end of the fit"));
        field(self.gate, q::gate.as("gate_s", "kept after the arrival").orElse(0.02));
        field(self.temperature, q::temperature.within(-20.0, 50.0).orElse(20.0));
    }
};

[[nodiscard]] std::optional<Error> check(const DelayRequest& request);

struct Delay {
    double delay{};
    double distance{};
    double u{};
    double offset{};
    double residual{};
    double from{};
    double to{};
    std::optional<double> peak;
    std::optional<double> onset;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        const auto seconds = [](const char* key, const char* help) {
            return q::Quantity{"", key, 1.0, "s", -1e3, 1e3, help};
        };
        field(self.delay, seconds("delay_s", "re time zero"));
        field(self.distance, q::Quantity{"", "distance_m", 1.0, "m", -1e6, 1e6, "c times delay"});
        field(self.u, seconds("uncertainty_s", "standard uncertainty"));
        field(self.offset, q::phases.as("excess_offset_deg", "phase in excess at 0 Hz"));
        field(self.residual, q::phases.as("residual_deg", "rms of what is left"));
        field(self.from, q::frequency.as("from_hz", "fitted from"));
        field(self.to, q::frequency.as("to_hz", "fitted to"));
        if (self.peak) {
            field(self.peak, seconds("delay_peak_s", "highest sample"));
            field(self.onset, seconds("delay_onset_s", "a fifth of the envelope"));
        }
    }
};

[[nodiscard]] Result<Delay> delay(const DelayRequest& request);

struct PolarityFound {
    std::string polarity;
    double confidence{};
    double offset{};
    double residual{};
    double from{};
    double to{};
    std::optional<std::string> peakSign;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.polarity, q::Word{"polarity", "positive, negative or uncertain"});
        field(self.confidence, q::Quantity{"", "confidence", 1.0, "", 0.0, 1.0, "0 to 1"});
        field(self.offset, q::phases.as("excess_offset_deg", "phase in excess at 0 Hz"));
        field(self.residual, q::phases.as("residual_deg", "rms of what is left"));
        field(self.from, q::frequency.as("from_hz", "fitted from"));
        field(self.to, q::frequency.as("to_hz", "fitted to"));
        field(self.peakSign, q::Word{"peak_sign", "of the highest sample: a second witness"});
    }
};

[[nodiscard]] Result<PolarityFound> polarity(const DelayRequest& request);

} // namespace yf::measure
