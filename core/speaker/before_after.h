// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/measure/inputs.h"

/// Two states of one speaker against each other, and whether they may be compared at all.
namespace yf::speaker {

/// How a curve was taken; what is not known stays absent.
struct Conditions {
    std::optional<double> distance;
    std::optional<double> height;
    std::optional<double> angle; ///< rad
    std::optional<double> gate;
    std::optional<int> smoothing;
    std::optional<double> drive;
    std::optional<double> temperature;
    std::optional<std::string> microphone;
    std::optional<std::string> space;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.distance, q::distance);
        field(self.height,
              q::Quantity{"h", "height_m", 1.0, "m", -10.0, 10.0, "of the microphone"});
        field(self.angle,
              q::Quantity{"θ", "angle_deg", q::degree, "°", -180.0, 180.0, "off the axis"});
        field(self.gate, q::gate);
        field(self.smoothing, q::smoothing);
        field(self.drive, q::voltage.as("drive_v", "at the terminals"));
        field(self.temperature, q::temperature);
        field(self.microphone, q::Word{"microphone", "and its calibration"});
        field(self.space, q::Word{"space", "room or place"});
    }
};

struct StateKeys {
    measure::CurveKeys curve;
    std::optional<Conditions> conditions;

    static void fields(auto& self, auto&& field) {
        measure::CurveKeys::fields(self.curve, field);
        field(self.conditions, yf::quantity::Group{"conditions", "how it was taken", true});
    }
};

[[nodiscard]] std::optional<Error> check(const StateKeys& keys);

/// Input of `speaker compare`.
struct StatesRequest {
    StateKeys before;
    StateKeys after;
    std::vector<double> band{200.0, 10000.0};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.before, q::Group{"before", "levels and conditions"});
        field(self.after, q::Group{"after", "levels and conditions"});
        field(self.band, q::frequencies.as("band_hz", "that is judged").orElse(200.0));
    }
};

[[nodiscard]] std::optional<Error> check(const StatesRequest& request);

struct StatesAnswer {
    double levelDifference{}; ///< dB, after − before, mean over ln f
    double shapeRms{};        ///< dB, of what is left
    double shapeMax{};        ///< dB, signed
    double shapeMaxAt{};      ///< Hz
    double withinOne{};       ///< share of ln f within ±1 dB
    double flatnessBefore{};  ///< dB rms about its mean
    double flatnessAfter{};
    double driveCorrection{}; ///< dB that was added to `after` for another drive
    bool comparable{true};
    std::vector<Words> whyNot;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        const auto level = [](const char* key, const char* help) {
            return q::Quantity{"", key, 1.0, "dB", -1e4, 1e4, help};
        };
        field(self.levelDifference, level("level_difference_db", "after less before"));
        field(self.shapeRms, level("shape_rms_db", "of the rest"));
        field(self.shapeMax, level("shape_max_db", "signed"));
        field(self.shapeMaxAt, q::frequency.as("shape_max_hz", "where"));
        field(self.withinOne,
              q::Quantity{"", "within_1db_pct", 0.01, "%", 0.0, 100.0, "of the band"});
        field(self.flatnessBefore, level("flatness_before_db", "rms about its mean"));
        field(self.flatnessAfter, level("flatness_after_db", "rms about its mean"));
        field(self.driveCorrection, level("drive_correction_db", "for another drive"));
        field(self.comparable, q::Flag{"comparable", "taken alike"});
        field(self.whyNot, q::Word{"why_not", "what differs"});
    }
};

/// Alike are: distance within 2 %, height 20 mm, angle 2°, gate 10 %, smoothing equal, temperature
/// 5 K, the same microphone and space (rules of thumb). A drive more than 0.2 dB off is put right
/// by its ratio, and that is said. What only one of them states is said too.
[[nodiscard]] Result<StatesAnswer> compareStates(const StatesRequest& request);

} // namespace yf::speaker
