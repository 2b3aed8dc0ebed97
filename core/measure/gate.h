// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/measure/inputs.h"
#include "core/signal/geometry.h"
#include "core/text/value.h"

#include <optional>
#include <string>
#include <vector>

namespace yf::measure {

/// Input of `measure gate`: an impulse response, the room's measures, or both.
struct GateRequest {
    ImpulseKeys impulse;
    signal::Geometry geometry;
    double left{1e-3};
    std::optional<double> right;
    double taper{0.25};
    std::vector<double> frequencies;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        ImpulseKeys::fields(self.impulse, field);
        signal::Geometry::fields(self.geometry, field);
        field(
            self.left,
            q::Quantity{"", "left_s", 1.0, "s", 0.0, 1.0, "kept before the arrival"}.orElse(0.001));
        field(self.right, q::gate.as("right_s", "kept after it; absent: as proposed"));
        field(self.taper,
              q::Quantity{"", "right_taper", 1.0, "", 0.0, 1.0, "share of right that falls"}.orElse(
                  0.25));
        field(self.frequencies, q::frequencies.orElse(0.0));
    }
};

[[nodiscard]] std::optional<Error> check(const GateRequest& request);

/// What the room allows.
struct RoomGate {
    std::vector<std::string> surfaces;
    std::vector<double> delays; ///< s after the direct sound, rising
    std::string first;
    double reflectionFree{}; ///< s
    double lowestValid{};    ///< Hz, with a taper of a quarter
};

/// Nothing without a distance or any surface.
[[nodiscard]] std::optional<RoomGate> roomGate(const signal::Geometry& geometry, double taper);

/// A gated response. From geometry the first five, from an impulse the others.
struct Gated {
    std::optional<RoomGate> room;
    std::optional<double> arrival;
    bool reflectionFound{};
    std::optional<double> reflection;
    std::optional<double> reflectionLevel;
    std::optional<double> left;
    std::optional<double> right;
    std::optional<double> lowestValid;
    std::vector<double> frequencies;
    std::vector<double> levels;
    std::vector<double> phases;
    std::vector<bool> trusted;

    [[nodiscard]] text::Value write() const;
};

/// Right end beyond the data: error on `right_s`. Phases are re time zero.
[[nodiscard]] Result<Gated> gate(const GateRequest& request);

} // namespace yf::measure
