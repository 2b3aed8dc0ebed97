// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/box/keys.h"
#include "core/box/port.h"
#include "core/box/volume.h"
#include "core/text/fields.h"

#include <string>
#include <vector>

namespace yf::job {

/// Where a port leads out. Its place is told by its height.
enum class PortWall { front, back };

/// One port, or several alike, as they are in the wood.
struct PortIn {
    box::Port port{.diameter = 0.07};
    double length{0.15}; ///< m, over all
    double wall{0.003};  ///< m, of the tube
    PortWall side{};     ///< which it leads through
    double height{0.1};  ///< m, of its axis above the clear floor
    bool bent{};         ///< turned by an elbow: its depth is no limit then
    bool ofRear{};       ///< of a band-pass: it opens the chamber behind the cone

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        const auto size = [](const char* key, const char* help) {
            return q::Quantity{"", key, 1.0, "m", 0.0, 5.0, help};
        };
        field(self.port.shape, q::Choice<2>{"shape", {"round", "slot"}, "of the port", 0});
        field(self.port.diameter, size("diameter_m", "of a round one, narrowest").orElse(0.0));
        field(self.port.width, size("width_m", "of a slot").orElse(0.0));
        field(self.port.height, size("height_m", "of a slot").orElse(0.0));
        field(self.port.onWall, q::Flag{"on_wall", "its inner end lies on a wall", false});
        field(self.port.count, q::Whole{"count", 1, 16, "alike", 1});
        field(self.port.inner, q::Choice<2>{"inner_end", {"free", "flanged"}, "inside", 0});
        field(self.port.outer, q::Choice<2>{"outer_end", {"free", "flanged"}, "outside", 1});
        field(self.port.flareInner, q::flare.as("flare_inner_m", "rounding inside").orElse(0.0));
        field(self.port.flareOuter, q::flare.as("flare_outer_m", "rounding outside").orElse(0.0));
        field(self.length, q::portLength.as("length_m", "over all"));
        field(self.wall, q::flare.as("wall_m", "of the tube").orElse(0.003));
        field(self.side, q::Choice<2>{"side", {"front", "back"}, "that it leads through", 0});
        field(self.height, size("place_m", "of its axis above the clear floor"));
        field(self.bent, q::Flag{"bent", "by an elbow", false});
        field(self.ofRear, q::Flag{"of_rear", "opens the chamber behind the cone", false});
    }

    bool operator==(const PortIn&) const = default;
};

/// How much of it is filled. Apparent volume and absorption go with it (from memory): 1.00 and 100,
/// 1.05 and 30, 1.15 and 10, 1.25 and 4.
enum class Fill { none, lined, half, full };

[[nodiscard]] double gainOf(Fill fill);
[[nodiscard]] double absorptionOf(Fill fill);

/// Cones for a port.
struct RadiatorIn {
    double Sd{0.02};
    double fs{20.0};
    double Vas{0.05};
    double Qms{6.0};
    int count{1};
    double addedMass{};
    std::optional<double> Xmax;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.Sd, q::Sd);
        field(self.fs, q::fs);
        field(self.Vas, q::Vas);
        field(self.Qms, q::Qms);
        field(self.count, q::Whole{"count", 1, 16, "alike", 1});
        field(self.addedMass,
              q::Quantity{"m", "added_mass_kg", 1.0, "kg", 0.0, 100.0, "on each"}.orElse(0.0));
        field(self.Xmax, q::Xmax);
    }

    bool operator==(const RadiatorIn&) const = default;
};

/// What is wanted of a box; absent: nothing.
struct BoxWishes {
    std::optional<double> f3;
    std::optional<double> peak;
    std::optional<double> groupDelay;
    std::optional<double> level;
    std::optional<double> speed;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.f3, q::f3.as("f3_max_hz", "no higher"));
        field(self.peak, q::peak.as("peak_max_db", "no more"));
        field(self.groupDelay, q::groupDelay.as("group_delay_max_s", "no longer"));
        field(self.level, q::peak.as("level_min_db", "no less"));
        field(self.speed,
              q::Quantity{"v", "port_speed_max_m_per_s", 1.0, "m/s", 0.1, 340.0, "no faster"});
    }

    bool operator==(const BoxWishes&) const = default;
};

/// The box in which a driver works, as wood and air. Volume and tuning follow from it and are not
/// kept beside it. Outer width, height and depth are the cabinet's.
struct Enclosure {
    std::string driver;
    box::Kind kind{box::Kind::closed};
    bool sealedOff{}; ///< the small chamber of the cabinet, not the large one
    box::Shape shape{};
    double depthTop{}; ///< m, of a cabinet whose front slopes
    double panel{0.019};
    std::optional<double> front; ///< m; absent: as the panels
    std::string material{"mdf"};
    double dead{};              ///< m, clear height of the chamber that is sealed off on top
    std::vector<double> braces; ///< m, heights above the clear floor
    double braceThickness{0.019};
    double braceShare{0.35}; ///< of a brace's area that is wood
    Fill fill{};
    std::optional<double> QL;           ///< absent: usual
    std::optional<double> driverVolume; ///< m³; absent: usual for its size
    double crossoverVolume{};
    std::vector<PortIn> ports;
    RadiatorIn radiator;
    double frontShare{0.5}; ///< of a band-pass: the front chamber's share of the volume
    double voltage{quantity::referenceVoltage}; ///< V, at which travel and speed are shown
    std::optional<double> designVb;             ///< what it is meant to be
    std::optional<double> designfb;
    BoxWishes wishes;

    [[nodiscard]] double frontPanel() const { return front.value_or(panel); }

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.driver, q::Word{"driver", "that works in it"});
        field(self.kind, box::kindChoice);
        field(self.sealedOff, q::Flag{"sealed_off", "the small chamber", false});
        field(self.shape,
              q::Choice<3>{"shape", {"rectangular", "trapezoid", "cylinder"}, "of the cabinet", 0});
        field(self.depthTop, size("depth_top_m", "where the front slopes").orElse(0.0));
        field(self.panel, q::panel.orElse(0.019));
        field(self.front, q::panel.as("front_panel_m", "of the front"));
        field(self.material, q::Word{"material", "of the panels", "mdf"});
        field(self.dead, size("dead_height_m", "chamber sealed off, on top").orElse(0.0));
        field(self.braces, size("braces_m", "heights above the clear floor").orElse(0.0));
        field(self.braceThickness, q::panel.as("brace_m", "of a brace").orElse(0.019));
        field(self.braceShare,
              q::Quantity{"", "brace_wood", 1.0, "", 0.0, 1.0, "share of a brace's area"}.orElse(
                  0.35));
        field(self.fill,
              q::Choice<4>{"fill", {"none", "lined", "half", "full"}, "how much of it", 0});
        field(self.QL, q::QL);
        field(self.driverVolume, litres("driver_l", "basket and magnet"));
        field(self.crossoverVolume, litres("crossover_l", "network inside").orElse(0.0));
        field(self.ports, q::Group{"ports", "openings", true});
        field(self.radiator, q::Group{"radiator", "cones for a port", true});
        field(self.frontShare,
              q::Quantity{"", "front_share", 1.0, "", 0.02, 0.98, "of a band-pass's volume"}.orElse(
                  0.5));
        field(self.voltage, q::voltage.orElse(quantity::referenceVoltage));
        field(self.designVb, q::Vb.as("Vb_design_l", "what it is meant to be"));
        field(self.designfb, q::fb.as("fb_design_hz", "what it is meant to be"));
        field(self.wishes, q::Group{"wishes", "what is wanted of it", true});
    }

    bool operator==(const Enclosure&) const = default;

private:
    static constexpr quantity::Quantity size(std::string_view key, std::string_view help) {
        return {"", key, 1.0, "m", 0.0, 5.0, help};
    }

    static constexpr quantity::Quantity litres(std::string_view key, std::string_view help) {
        return {"V", key, 1e-3, "l", 0.0, 1e5, help};
    }
};

} // namespace yf::job
