// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/measure/inputs.h"
#include "core/quantity/kinds.h"
#include "core/text/value.h"

#include <optional>
#include <string>
#include <vector>

namespace yf::measure {

/// A response at an angle: horizontal + with the microphone moved to its right as it looks at the
/// front, vertical + above.
struct PolarCurve {
    quantity::Plane plane{};
    double angle{}; ///< degrees, −180 … 180
    std::vector<double> levels;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.plane, q::plane);
        field(self.angle, q::Quantity{"θ", "angle_deg", 1.0, "°", -180.0, 180.0, "off the axis"});
        field(self.levels, q::levels);
    }
};

enum class Fill { none, mirror, axisymmetric };

/// Input of `measure polar-summary`.
struct PolarRequest {
    std::vector<double> frequencies;
    std::vector<PolarCurve> curves;
    Fill fill{};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.frequencies, q::frequencies);
        field(self.curves, q::Group{"curves", "one for each angle"});
        field(self.fill,
              q::Choice<3>{"fill", {"none", "mirror", "axisymmetric"}, "for missing angles", 0});
    }
};

[[nodiscard]] std::optional<Error> check(const PolarRequest& request);

/// Summaries of a polar set after ANSI/CTA-2034-A (angles and weights from memory); what its
/// angles do not allow is absent.
struct PolarSummary {
    std::vector<double> frequencies;
    std::vector<double> onAxis;
    std::optional<std::vector<double>> listeningWindow;
    std::optional<std::vector<double>> earlyReflections;
    std::optional<std::vector<double>> soundPower;
    std::optional<std::vector<double>> directivityIndex;
    std::optional<std::vector<double>> earlyReflectionsIndex;
    std::optional<std::vector<double>> inRoom;
    std::optional<std::vector<double>> beamwidthHorizontal; ///< degrees between −6 dB points
    std::optional<std::vector<double>> beamwidthVertical;
    std::vector<std::string> missing; ///< "horizontal 40", of the 36 + 36 positions, after fill
    std::vector<std::string> warnings;

    [[nodiscard]] text::Value write() const;
};

/// Averages of |p|² per frequency. Missing angles are interpolated in dB between measured
/// neighbours at most 30° apart; nothing is extrapolated. Error: no curve at 0°.
[[nodiscard]] Result<PolarSummary> polarSummary(const PolarRequest& request);

/// Share of the sphere nearest to a point at `angle` (radians) of one of four half orbits with
/// points `step` apart; the orbit's points together make 1.
[[nodiscard]] double sphereShare(double angle, double step);

/// Plane and angle of a file of a polar set.
struct PolarFile {
    std::string name;
    std::optional<quantity::Plane> plane;
    std::optional<double> angle; ///< degrees
    std::string problem;         ///< "no plane", "no angle", "twice"; empty: none

    bool operator==(const PolarFile&) const = default;
};

/// Reads planes and angles from file names: a plane word (h, hor, horizontal, v, ver, vertical)
/// followed by a signed number, "deg" or "°" allowed after it. A hyphen after another separator is
/// a minus; directly after a word it is one only if the set also holds the positive angle.
[[nodiscard]] std::vector<PolarFile> readPolarNames(const std::vector<std::string>& names);

} // namespace yf::measure
