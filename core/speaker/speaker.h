// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/measure/inputs.h"
#include "core/network/line/prototype.h"
#include "core/quantity/kinds.h"
#include "core/speaker/diffraction.h"
#include "core/speaker/radiate.h"

/// A speaker as the command line knows it: drivers at their places with curves and filters.
namespace yf::speaker {

enum class Timing { own, common };
enum class FilterKind { linkwitzRiley, butterworth };
enum class FilterSide { low, high };
enum class DirectivityKind { piston, strip, omni, measured };

/// An ideal filter at fx: −6.02 dB there for Linkwitz-Riley, −3.01 for Butterworth.
struct IdealFilter {
    FilterKind kind{};
    int order{};
    FilterSide side{};
    double fx{};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.kind, q::Choice<2>{"kind", {"lr", "bw"}, "shape", {}});
        field(self.order, q::Whole{"order", 1, 8, "even for lr"});
        field(self.side, q::Choice<2>{"side", {"low", "high"}, "which side of fx passes", {}});
        field(self.fx, q::fx);
    }

    bool operator==(const IdealFilter&) const = default;
};

[[nodiscard]] std::optional<Error> check(const IdealFilter& filter);

/// A response from one side, absolute, of one set.
struct PolarKeys {
    std::optional<double> horizontal; ///< rad
    std::optional<double> vertical;
    measure::CurveKeys curve;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.horizontal,
              q::Quantity{"θ", "horizontal_deg", q::degree, "°", -180.0, 180.0, "or vertical"});
        field(self.vertical,
              q::Quantity{"θ", "vertical_deg", q::degree, "°", -180.0, 180.0, "or horizontal"});
        measure::CurveKeys::fields(self.curve, field);
    }
};

[[nodiscard]] std::optional<Error> check(const PolarKeys& keys);

struct PointKeys {
    Point point;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        const q::Quantity z{"z", "z_m", 1.0, "m", -5.0, 100.0, "out of the front"};
        field(self.point.x, q::x.within(-100.0, 100.0).orElse(0.0));
        field(self.point.y, q::y.within(-100.0, 100.0).orElse(0.0));
        field(self.point.z, z.orElse(0.0));
    }
};

struct SpeakerDriver {
    std::string name;
    double x{};
    double y{};
    double z{};
    double axisHorizontal{};
    double axisVertical{};
    std::optional<double> Sd;
    std::optional<DirectivityKind> directivity;
    std::optional<double> strip;
    std::vector<PolarKeys> polars;
    std::optional<measure::CurveKeys> response;
    std::optional<double> sensitivity;
    Timing timing{};
    std::optional<PointKeys> takenAt;
    std::optional<measure::CurveKeys> transfer;
    std::vector<IdealFilter> filters;
    int polarity{1};
    double gain{};
    double delay{};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        const q::Quantity place{"", "x_m", 1.0, "m", -5.0, 5.0, "place"};
        const auto axis = [](const char* key, double most) {
            return q::Quantity{"", key, q::degree, "°", -most, most, "where it looks"}.orElse(0.0);
        };
        field(self.name, q::Word{"name", "what it is called"});
        field(self.x, place.as("x_m", "right, as the listener sees it").orElse(0.0));
        field(self.y, place.as("y_m", "up").orElse(0.0));
        field(self.z, place.as("z_m", "acoustic centre, out of the front").orElse(0.0));
        field(self.axisHorizontal, axis("axis_horizontal_deg", 180.0));
        field(self.axisVertical, axis("axis_vertical_deg", 90.0));
        field(self.Sd, q::Sd);
        field(self.directivity,
              q::Choice<4>{"directivity",
                           {"piston", "strip", "omni", "measured"},
                           "piston where Sd is given, else omni",
                           {}});
        field(self.strip, q::Quantity{"ℓ", "strip_m", 1.0, "m", 1e-3, 5.0, "length, upright"});
        field(self.polars, q::Group{"polars", "absolute curves of one set, 0° included", true});
        field(self.response, q::Group{"response", "dB re 20 µPa at 1 m, 2.83 V", true});
        field(self.sensitivity,
              q::Quantity{"L", "sensitivity_db", 1.0, "dB", -200.0, 200.0, "flat, no phase"});
        field(self.timing, q::Choice<2>{"timing", {"own", "common"}, "of the response", 0});
        field(self.takenAt, q::Group{"taken_at", "microphone, for common timing", true});
        field(self.transfer, q::Group{"transfer", "of its network, dB re input", true});
        field(self.filters, q::Group{"filters", "ideal ones, multiplied", true});
        field(self.polarity, q::Whole{"polarity", -1, 1, "1 or -1", 1});
        field(self.gain,
              q::Quantity{"g", "gain_db", 1.0, "dB", -100.0, 100.0, "before it"}.orElse(0.0));
        field(self.delay, q::delay.orElse(0.0));
    }
};

[[nodiscard]] std::optional<Error> check(const SpeakerDriver& driver);

struct ListeningKeys {
    double x{};
    double y{};
    std::optional<double> distance;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.x, q::x.orElse(0.0));
        field(self.y, q::y.orElse(0.0));
        field(self.distance, q::distance.within(0.05, 100.0).as("distance_m", "to the ear"));
    }
};

/// The panel, for `include_baffle`.
struct PanelKeys {
    double width{};
    double height{};
    Edge edge{};
    double edgeSize{};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.width, q::width);
        field(self.height, q::height);
        field(self.edge, q::Choice<3>{"edge", {"sharp", "round", "chamfer"}, "of it", 0});
        field(self.edgeSize,
              q::Quantity{"e", "edge_m", 1.0, "m", 0.0, 2.5, "radius or leg"}.orElse(0.0));
    }
};

struct Speaker {
    std::string name;
    quantity::Space space{};
    ListeningKeys listening;
    std::vector<SpeakerDriver> drivers;
    std::optional<PanelKeys> panel;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.name, q::Word{"name", "of the speaker", ""});
        field(self.space, q::space);
        field(self.listening, q::Group{"listening", "axis and distance", true});
        field(self.drivers, q::Group{"drivers", "1 to 12"});
        field(self.panel, q::Group{"panel", "front, for include_baffle", true});
    }
};

/// Refused: no drivers or more than 12, two of one name, common timing beside own.
[[nodiscard]] std::optional<Error> check(const Speaker& speaker);

/// The range that all curves hold.
[[nodiscard]] curve::Range heldBy(const Speaker& speaker);

/// The speaker on an axis, all curves interpolated. Fails naming the curve that does not reach.
[[nodiscard]] Result<Radiators>
radiatorsOf(const Speaker& speaker, const Axis& axis, const std::string& path);

/// Input of `speaker sum`.
struct SumRequest {
    Speaker speaker;
    std::optional<double> distance;
    double horizontal{};
    double vertical{};
    std::optional<std::vector<double>> frequencies;
    bool baffle{};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.speaker, q::Group{"speaker", "the speaker"});
        field(self.distance, q::distance.within(0.05, 100.0).as("distance_m", "to the ear"));
        field(self.horizontal,
              q::Quantity{"θ", "horizontal_deg", q::degree, "°", -180.0, 180.0, "to the right"}
                  .orElse(0.0));
        field(self.vertical,
              q::Quantity{"θ", "vertical_deg", q::degree, "°", -90.0, 90.0, "up"}.orElse(0.0));
        field(self.frequencies, q::frequencies);
        field(self.baffle, q::Flag{"include_baffle", "add what the panel does", false});
    }
};

[[nodiscard]] std::optional<Error> check(const SumRequest& request);

struct DriverAt {
    std::string name;
    std::vector<double> levels; ///< dB re 20 µPa
    std::vector<double> phases; ///< rad
    double path{};              ///< m
    double delay{};             ///< s

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.name, q::Word{"name", "driver"});
        field(self.levels, q::levels);
        field(self.phases, q::phases);
        field(self.path, q::Quantity{"r", "path_m", 1.0, "m", 0.0, 1e3, "to the ear"});
        field(self.delay, q::Quantity{"τ", "delay_s", 1.0, "s", -1e3, 1e3, "of that path"});
    }
};

struct SumAnswer {
    std::vector<double> frequencies;
    std::vector<double> levels;
    std::vector<double> phases;
    double removed{};
    std::vector<DriverAt> drivers;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.frequencies, q::frequencies);
        field(self.levels, q::levels);
        field(self.phases, q::phases);
        field(self.removed,
              q::Quantity{"", "removed_delay_s", 1.0, "s", 0.0, 1e3, "taken out of the phases"});
        field(self.drivers, q::Group{"drivers", "each alone"});
    }
};

/// Σ s·g·N·H·D·(1 m/r)·e^(−jωt)·e^(−jkr), phases relative to an arrival from O.
[[nodiscard]] Result<SumAnswer> sum(const SumRequest& request);

} // namespace yf::speaker
