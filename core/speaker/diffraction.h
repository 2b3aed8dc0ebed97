// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/measure/inputs.h"
#include "core/speaker/place.h"

/// What the front's size and edges do to a driver in it.
namespace yf::speaker {

enum class Edge { sharp, round, chamfer };

/// A front of a closed box; the box's depth is taken as of the order of its width.
struct Front {
    double width{};  ///< m
    double height{}; ///< m
    Edge edge{};
    double edgeSize{}; ///< m, radius of a rounding, leg of a chamfer

    bool operator==(const Front&) const = default;
};

/// A source in a front and who listens.
struct FrontSource {
    double x{};      ///< m from the middle
    double y{};      ///< m
    double radius{}; ///< m, of a piston; 0: a point
};

/// Pressure over that of the same source in an infinite wall at the same distance, at the
/// frequencies of an axis.
///
///     E = (d0/2)·Σ ∫ −(ν/4π)·(β/(m·l))·e^(−jk(m+l−d0)) dz      ν = 2/3
///     β = 2·Σ± sin(ν(π ± θ))/(cosh νη − cos ν(π ± θ)),  cosh η = (m·l + (z−zS)(z−zP))/(rS·rP)
///     H = D(ψ) + g·E,  g = (g0 + jf/f1)/(1 + jf/f1),  f1 = c/(4√(wh))
///     g0 = (H0 − 1)/E(0),  H0 = ½·d0/(d0 − 0.30√(wh)·cos ψ)
///
/// First-order edge line integral of Svensson, Fred and Vanderkooy 1999 for a wedge of 270°; g puts
/// right what higher orders add at low frequencies and where the acoustic centre lies then. Within
/// 80° of the axis; against boundary elements 0.3 to 0.4 dB rms, 1.1 dB at worst for sharp edges,
/// 0.6 and 1.6 dB for rounded ones (figures handed down with the method, docs/theory/align.md).
/// Extended source: the mean over 19 points of the disc. Rounded: eight edges along the arc;
/// chamfered: two. Made by sorting strength over delay and one transform: milliseconds for the
/// design axis.
[[nodiscard]] std::vector<Complex> diffractionOf(const Front& front,
                                                 const FrontSource& source,
                                                 const Point& listener,
                                                 const Axis& axis);

/// Beyond this first-order theory fails.
inline constexpr double widestAngle = 80.0; // degrees

/// A point source at the pole of a sphere of radius a, far away at an angle from that axis:
///     H = −e^(−jka)/(2(ka)²)·Σ (2n+1)·j^(n+1)·P_n(cos θ)/h_n⁽²⁾′(ka)
/// Smooth from −6 dB, −2.985 dB at ka = 1; for teaching and as a test of ideas.
/// Source: Morse, Vibration and Sound; Olson 1951 measured the same smoothness.
[[nodiscard]] std::vector<Complex> sphereOf(double radius, double cosine, const Axis& axis);

enum class Shape { box, sphere };

/// Input of `speaker diffraction`.
struct DiffractionRequest {
    Shape shape{};
    std::optional<double> width;
    std::optional<double> height;
    double sourceX{};
    double sourceY{};
    std::optional<double> radius;
    Edge edge{};
    double edgeSize{};
    double distance{1.0};
    double horizontal{}; ///< rad
    double vertical{};   ///< rad
    std::optional<std::vector<double>> frequencies;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        const auto angle = [](const char* key, double most) {
            return q::Quantity{"θ", key, q::degree, "°", -most, most, "off the axis"}.orElse(0.0);
        };
        field(self.shape, q::Choice<2>{"shape", {"box", "sphere"}, "of the cabinet", {}});
        field(self.width, q::width);
        field(self.height, q::height);
        field(self.sourceX, q::x.as("source_x_m", "from the middle, right").orElse(0.0));
        field(self.sourceY, q::y.as("source_y_m", "from the middle, up").orElse(0.0));
        field(self.radius,
              q::Quantity{"a", "radius_m", 1.0, "m", 0.0, 5.0, "of the source, or of the sphere"});
        field(self.edge, q::Choice<3>{"edge", {"sharp", "round", "chamfer"}, "of the front", 0});
        field(self.edgeSize,
              q::Quantity{"e", "edge_m", 1.0, "m", 0.0, 2.5, "radius or leg of it"}.orElse(0.0));
        field(self.distance,
              q::distance.as("distance_m", "from the middle of the front").orElse(1.0));
        field(self.horizontal, angle("horizontal_deg", 180.0));
        field(self.vertical, angle("vertical_deg", 90.0));
        field(self.frequencies, q::frequencies);
    }
};

/// Refused: sizes missing or out of place, the source outside the panel, edges more than half the
/// shorter side, a box seen from beyond 80°.
[[nodiscard]] std::optional<Error> check(const DiffractionRequest& request);

struct DiffractionAnswer {
    std::vector<double> frequencies;
    std::vector<double> levels; ///< dB re half space
    std::vector<double> phases; ///< rad
    std::optional<double> step; ///< Hz, first −3 dB from below

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.frequencies, q::frequencies);
        field(self.levels, q::levels);
        field(self.phases, q::phases);
        field(self.step, q::frequency.as("step_hz", "first -3 dB from below"));
    }
};

[[nodiscard]] Result<DiffractionAnswer> diffraction(const DiffractionRequest& request);

} // namespace yf::speaker
