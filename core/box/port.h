// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/box/source.h"

#include <optional>

namespace yf::box {

enum class PortShape { round, slot };
enum class End { free, flanged };

/// One of `count` equal ports.
struct Port {
    PortShape shape{};
    double diameter{}; ///< m, narrowest; round
    double width{};    ///< m; slot
    double height{};   ///< m; slot
    bool onWall{};     ///< a slot whose inner end lies on a wall of the box
    int count{1};
    End inner{End::free};
    End outer{End::flanged};
    double flareInner{}; ///< m, radius of a quarter round; round ports only
    double flareOuter{};

    /// Narrowest, of one and of all, m².
    [[nodiscard]] double area() const;

    [[nodiscard]] double totalArea() const { return count * area(); }

    bool operator==(const Port&) const = default;
};

/// What the air before an end adds to a tube's length, over its radius: mode matching for a flanged
/// end (0.8217; a rigid piston would give 0.8488), the integral of Levine and Schwinger (1948) for
/// a free one (0.6127; printed 0.6133).
inline constexpr double flangedEnd = 0.8217;
inline constexpr double freeEnd = 0.6127;

/// Effective length of everything but the straight tube, m: end corrections and flares. A slot of
/// w × t: e·(3π/8)·I/(2π·w·t), where I is the mean of 1/r over pairs of its points times area²;
/// on a wall, its mirror image doubles t at the inner end. A flare R at an end of radius a:
/// ∫ a²/r(x)² dx + e·a²/(a+R).
[[nodiscard]] double endLength(const Port& port);

/// Straight length for an effective one, and back. The length over all includes the flares.
[[nodiscard]] double overallLength(const Port& port, double effective);
[[nodiscard]] double effectiveLength(const Port& port, double overall);

/// L_eff = n·S·c²/((2πfb)²·g·Vb), and the tuning back; Vb net, without the port.
[[nodiscard]] double effectiveFor(const Port& port, double V, double fb, const Source& air);
[[nodiscard]] double tuningOf(const Port& port, double V, double effective, const Source& air);

/// Least total area that keeps the air at about 20 m/s with the cone at Xmax: 0.8·fb·Sd·Xmax, SI
/// (Small 1973, from memory).
// NOLINTNEXTLINE(bugprone-easily-swappable-parameters): in the order of the equation
[[nodiscard]] double leastArea(double fb, double Sd, double Xmax);

/// The same opening in another shape: equal area, a slot four times as wide as high. Roundings go.
[[nodiscard]] Port inShape(const Port& port, PortShape shape);

/// Volume that one tube takes inside, wall included, m³.
[[nodiscard]] double displacement(const Port& port, double inside, double wall);

struct PortKeys {
    PortShape shape{};
    std::optional<double> diameter;
    std::optional<double> width;
    std::optional<double> height;
    bool onWall{};
    int count{1};
    End inner{End::free};
    End outer{End::flanged};
    double flareInner{};
    double flareOuter{};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.shape, q::Choice<2>{"shape", {"round", "slot"}, "of the port", 0});
        field(self.diameter, q::diameter.as("diameter_m", "of a round port, narrowest"));
        field(self.width, q::diameter.as("width_m", "of a slot"));
        field(self.height, q::diameter.as("height_m", "of a slot").within(0.002, 2.0));
        field(self.onWall, q::Flag{"slot_on_wall", "its inner end lies on a wall", false});
        field(self.count, q::Whole{"count", 1, 16, "equal ports", 1});
        field(self.inner, q::Choice<2>{"inner_end", {"free", "flanged"}, "inside", 0});
        field(self.outer, q::Choice<2>{"outer_end", {"free", "flanged"}, "outside", 1});
        field(self.flareInner, q::flare.as("flare_inner_m", "radius of its rounding").orElse(0.0));
        field(self.flareOuter, q::flare.as("flare_outer_m", "radius of its rounding").orElse(0.0));
    }
};

/// Names the size that is missing.
[[nodiscard]] Result<Port> portOf(const PortKeys& keys);

/// Input of `box port`: exactly one of tuning and length.
struct PortRequest {
    double Vb{};
    std::optional<double> fb;
    std::optional<double> length;
    PortKeys port;
    double gain{1.0};
    std::optional<double> Sd;
    std::optional<double> Xmax;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.Vb, q::Vb);
        field(self.fb, q::fb);
        field(self.length, q::portLength.as("length_m", "over all, flares included"));
        PortKeys::fields(self.port, field);
        field(self.gain, q::fillGain.orElse(1.0));
        field(self.Sd, q::Sd);
        field(self.Xmax, q::Xmax);
    }
};

[[nodiscard]] std::optional<Error> check(const PortRequest& request);

struct PortAnswer {
    double length{};
    double straight{};
    double effective{};
    double fb{};
    double area{};
    double pipe{};
    std::optional<double> leastArea;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.length, q::portLength.as("length_m", "over all, flares included"));
        field(self.straight, q::portLength.as("straight_length_m", "without the flares"));
        field(self.effective, q::portLength.as("effective_length_m", "with what the ends add"));
        field(self.fb, q::fb);
        field(self.area, q::portArea.as("area_m2", "of all together"));
        field(self.pipe, q::frequency.as("pipe_resonance_hz", "half a wave in it"));
        field(self.leastArea, q::portArea.as("min_area_m2", "for quiet air at Xmax"));
    }
};

/// Refused: a tuning so high that no tube is left (the limit is printed).
[[nodiscard]] Result<PortAnswer> port(const PortRequest& request);

} // namespace yf::box
