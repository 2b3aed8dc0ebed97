// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/measure/inputs.h"

#include <optional>
#include <string>
#include <vector>

namespace yf::measure {

enum class Diffraction { none, baffle };
enum class Match { overlap, computed };

/// Input of `measure merge`: near field of cone and port, and a far response.
struct MergeRequest {
    CurveKeys near;
    CurveKeys far;
    std::optional<CurveKeys> port;
    double coneArea{};
    int coneCount{1};
    std::optional<double> portArea;
    int portCount{1};
    double nearDistance{};
    double portNearDistance{};
    std::optional<double> portDistance; ///< centre to centre: readings are un-mixed
    double farDistance{1.0};
    std::optional<double> farLowestValid;
    Diffraction diffraction{};
    std::optional<double> baffleWidth;
    std::optional<double> baffleHeight;
    std::optional<double> driverX;
    std::optional<double> driverY;
    std::optional<double> splice;
    double blend{0.5};
    Match match{};
    std::vector<double> frequencies;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        const auto length = [](const char* key, double lowest, const char* help) {
            return q::Quantity{"", key, 1.0, "m", lowest, 10.0, help};
        };
        field(self.near, q::Group{"near", "cone, microphone at its dust cap"});
        field(self.far, q::Group{"far", "at a distance"});
        field(self.port, q::Group{"port", "port, microphone in its mouth", true});
        field(self.coneArea,
              q::Quantity{"Sd", "cone_area_m2", 1.0, "m²", 1e-5, 1.0, "of one cone"});
        field(self.coneCount, q::Whole{"cone_count", 1, 16, "alike", 1});
        field(self.portArea,
              q::Quantity{"Sp", "port_area_m2", 1.0, "m²", 1e-5, 1.0, "of one port"});
        field(self.portCount, q::Whole{"port_count", 1, 16, "alike", 1});
        field(self.nearDistance, length("near_distance_m", 0.0, "from the cone").orElse(0.0));
        field(self.portNearDistance,
              length("port_near_distance_m", 0.0, "from the port's mouth").orElse(0.0));
        field(self.portDistance, length("port_distance_m", 0.01, "cone to port, centres"));
        field(self.farDistance, q::distance.as("far_distance_m", "of the far response"));
        field(self.farLowestValid, q::frequency.as("far_lowest_valid_hz", "the gate's limit"));
        field(self.diffraction,
              q::Choice<2>{"diffraction", {"none", "baffle"}, "of the near response", 0});
        field(self.baffleWidth, length("baffle_width_m", 0.02, "of the front"));
        field(self.baffleHeight, length("baffle_height_m", 0.02, "of the front"));
        field(self.driverX, length("driver_x_m", 0.0, "from its lower left corner"));
        field(self.driverY, length("driver_y_m", 0.0, "from its lower left corner"));
        field(self.splice, q::frequency.as("splice_hz", "where they are joined"));
        field(self.blend,
              q::Quantity{"", "blend_octaves", 1.0, "", 0.05, 4.0, "over which"}.orElse(0.5));
        field(self.match,
              q::Choice<2>{"match", {"overlap", "computed"}, "what sets the near level", 0});
        field(self.frequencies, q::frequencies.orElse(0.0));
    }
};

[[nodiscard]] std::optional<Error> check(const MergeRequest& request);

struct Merged {
    CurveKeys curve;
    CurveKeys near; ///< corrected and brought over, for a picture; levels only
    double splice{};
    double nearGain{};     ///< dB, applied to the corrected near sum
    double computedGain{}; ///< dB, a/(2r)
    double mismatch{};     ///< dB, overlap over computed; see muchMismatch
    double nearDelay{};    ///< s
    double nearLimit{};    ///< Hz, c/(2πa)
    std::vector<std::string> warnings;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        const auto level = [](const char* key, const char* help) {
            return q::Quantity{"", key, 1.0, "dB", -1e4, 1e4, help};
        };
        field(self.curve.frequencies, q::frequencies);
        field(self.curve.levels, q::levels);
        if (self.curve.phases) {
            field(self.curve.phases, q::phases);
        }
        field(self.splice, q::frequency.as("splice_hz", "where they are joined"));
        field(self.nearGain, level("near_gain_db", "applied to the near sum"));
        field(self.computedGain, level("computed_gain_db", "from area and distance"));
        field(self.mismatch, level("mismatch_db", "overlap over computed"));
        field(self.nearDelay, q::Quantity{"", "near_delay_s", 1.0, "s", -10.0, 10.0, "applied"});
        field(self.nearLimit, q::frequency.as("near_field_limit_hz", "c over 2 pi a"));
        field(self.warnings, q::Word{"warnings", "what to mind"});
    }
};

/// Near and far field joined.
///
/// Piston of radius a: p_far = p_near·a/(2r) in half space, below c/(2πa) (Keele 1974). A
/// microphone at z reads √(1+(z/a)²) − z/a of the pressure at the cone: taken out. Sources add as
/// p_cone·n + p_port·√(Sp/Sd)·n_p. With `port_distance_m` each reading is freed of the other
/// source, which it hears by (a_other/2d)·e^(−jkd) of its near pressure. Diffraction `baffle`:
/// first-order edge model of the front on axis. Level and phase difference are blended with a
/// raised cosine in ln f; the mismatch between measured and computed level is told, not hidden.
/// Errors: splice_hz outside the overlap; port without phases or area; baffle without its size.
[[nodiscard]] Result<Merged> merge(const MergeRequest& request);

/// Beyond this a distance, an area, the front or a gain is not what it is said to be (rule of
/// thumb). dB
inline constexpr double muchMismatch = 1.0;

/// D(f) = 1 − ½·mean over θ of e^(−jkρ(θ)), ρ the way from the driver's centre to the edge: 0.5 at
/// low frequency (full space), 1 with ripple above. x, y from the lower left corner.
[[nodiscard]] curve::Complex
baffleStep(double width, double height, double x, double y, double frequency);

} // namespace yf::measure
