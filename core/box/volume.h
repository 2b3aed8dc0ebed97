// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/box/air_modes.h"
#include "core/box/source.h"

#include <optional>
#include <vector>

namespace yf::box {

enum class Shape { rectangular, trapezoid, cylinder };

/// Outside of a cabinet. Sides run the full height, top and bottom lie between them, the back is
/// let in, the front overlaid.
struct Shell {
    Shape shape{};
    double height{};
    double width{};
    double depth{};    ///< of a trapezoid: at the bottom
    double depthTop{}; ///< of a trapezoid
    double diameter{}; ///< of a cylinder
    double panel{0.018};
    double front{0.018};
    double dead{}; ///< height of a chamber sealed off, its partition not counted; 0: none

    bool operator==(const Shell&) const = default;
};

/// Clear inside, m. A trapezoid's depth is its mean, a cylinder's width and depth its bore.
struct Inside {
    double height{};
    double width{};
    double depth{};
    double gross{}; ///< m³, nothing taken off yet

    bool operator==(const Inside&) const = default;
};

/// Exact for these joints. Sloped front: (W−2t)(H−2t)((d_bottom+d_top)/2 − t − t_front/cos θ),
/// tan θ = |d_bottom − d_top|/H. Fails, naming the key, where panels leave no inside.
[[nodiscard]] Result<Inside> insideOf(const Shell& shell);

/// What takes volume away, m³.
struct Deductions {
    double driver{};
    double port{};
    double bracing{};
    double crossover{};

    [[nodiscard]] double sum() const { return driver + port + bracing + crossover; }

    bool operator==(const Deductions&) const = default;
};

/// Of a driver's basket and magnet where it is not known, by its outer diameter; ±50 % (from
/// memory): 10 cm 0.15 l … 38 cm 7 l.
[[nodiscard]] double usualDriverVolume(double diameter);

/// Above this share of the gross volume added bracing is worth a word: 5 % less volume moves the
/// tuning by 2.6 % (common practice).
inline constexpr double bracingAllowance = 0.05;

/// Input of `box volume`.
struct VolumeRequest {
    Shape shape{};
    std::optional<double> height;
    std::optional<double> width;
    std::optional<double> depth;
    std::optional<double> depthTop;
    std::optional<double> diameter;
    double panel{};
    std::optional<double> front;
    double dead{};
    Deductions less;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        const auto litres = [](const char* key, const char* help) {
            return q::Quantity{"V", key, 1e-3, "l", 0.0, 1e5, help}.orElse(0.0);
        };
        const auto side = [](const char* key, const char* help) {
            return q::Quantity{"", key, 1.0, "m", 0.02, 10.0, help};
        };
        field(
            self.shape,
            q::Choice<3>{"shape", {"rectangular", "trapezoid", "cylinder"}, "of the cabinet", {}});
        field(self.height, side("height_m", "outside"));
        field(self.width, side("width_m", "outside"));
        field(self.depth, side("depth_m", "outside; of a trapezoid at the bottom"));
        field(self.depthTop, side("depth_top_m", "of a trapezoid"));
        field(self.diameter, side("diameter_m", "of a cylinder, outside"));
        field(self.panel, q::panel);
        field(self.front, q::panel.as("front_panel_m", "of the front; default: as the others"));
        field(self.dead,
              q::Quantity{"", "dead_height_m", 1.0, "m", 0.0, 10.0, "chamber sealed off"}.orElse(
                  0.0));
        field(self.less.driver, litres("driver_l", "basket and magnet"));
        field(self.less.port, litres("port_l", "tube, outside volume within the box"));
        field(self.less.bracing, litres("bracing_l", "braces"));
        field(self.less.crossover, litres("crossover_l", "network"));
    }
};

[[nodiscard]] std::optional<Error> check(const VolumeRequest& request);

struct VolumeAnswer {
    Inside inside;
    double net{};
    double bracingLoss{};
    bool bracingOk{};
    std::vector<double> modes;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        const auto side = [](const char* key) {
            return q::Quantity{"", key, 1.0, "m", 0.0, 10.0, "clear"};
        };
        field(self.inside.height, side("inside_height_m"));
        field(self.inside.width, side("inside_width_m"));
        field(self.inside.depth, side("inside_depth_m"));
        field(self.inside.gross, q::Vb.as("gross_l", "before anything is taken off"));
        field(self.net, q::Vb.as("net_l", "what the driver works into"));
        field(self.bracingLoss,
              q::Quantity{"", "bracing_loss_pct", 0.01, "%", 0.0, 100.0, "of the gross volume"});
        field(self.bracingOk, q::Flag{"bracing_ok", "5 % or less"});
        field(self.modes, q::frequencies.as("modes_hz", "lowest of the air inside"));
    }
};

/// Refused: deductions as large as the inside (the largest is named).
[[nodiscard]] Result<VolumeAnswer> volume(const VolumeRequest& request);

} // namespace yf::box
