// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/quantity/quantities.h"

#include <optional>
#include <string>
#include <vector>

namespace yf::signal {

/// Where loudspeaker and microphone stand in a room; what is absent is far away.
struct Geometry {
    std::optional<double> distance;         ///< m, horizontal
    std::optional<double> speakerHeight;    ///< m above the floor
    std::optional<double> microphoneHeight; ///< m; absent: the loudspeaker's
    std::optional<double> ceilingHeight;    ///< m
    std::optional<double> sideWall;         ///< m beside the axis
    std::optional<double> frontWall;        ///< m behind the loudspeaker
    std::optional<double> backWall;         ///< m behind the microphone
    double temperature{20.0};               ///< °C

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        const auto length = [](const char* key, const char* help) {
            return q::Quantity{"", key, 1.0, "m", 0.01, 100.0, help};
        };
        field(self.distance, q::distance.as("distance_m", "horizontal distance"));
        field(self.speakerHeight, length("speaker_height_m", "driver above the floor"));
        field(self.microphoneHeight, length("microphone_height_m", "microphone above the floor"));
        field(self.ceilingHeight, length("ceiling_height_m", "ceiling above the floor"));
        field(self.sideWall, length("side_wall_m", "nearest wall beside the axis"));
        field(self.frontWall, length("front_wall_m", "wall behind the loudspeaker"));
        field(self.backWall, length("back_wall_m", "wall behind the microphone"));
        field(self.temperature, q::temperature.within(-20.0, 50.0).orElse(20.0));
    }

    bool operator==(const Geometry&) const = default;
};

/// Heights below the ceiling; a height or wall needs a distance.
[[nodiscard]] std::optional<Error> check(const Geometry& geometry);

/// One way of the sound: its length, m.
struct Path {
    std::string surface; ///< "direct", "floor", "ceiling", "side_wall", "front_wall", "back_wall"
    double length{};
};

/// Direct path and first image sources, the direct one first, then by length.
///
/// direct √(D²+(hs−hm)²); floor √(D²+(hs+hm)²); ceiling √(D²+(2H−hs−hm)²);
/// side √(D²+4w²+(hs−hm)²); front and back wall √((D+2w)²+(hs−hm)²).
/// Nothing without a distance.
[[nodiscard]] std::vector<Path> pathsOf(const Geometry& geometry);

/// The height, above the present one, to which both should be raised so that the floor is no
/// longer first; absent where that would not help.
[[nodiscard]] std::optional<double> betterHeight(const Geometry& geometry);

} // namespace yf::signal
