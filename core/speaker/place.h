// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/speaker/directivity.h"

/// Where things are. Origin on the plane of the front, in its middle; x right as the listener sees
/// the front, y up, z out of it towards the listener. A cone's acoustic centre has z below nought.
namespace yf::speaker {

struct Point {
    double x{};
    double y{};
    double z{};

    bool operator==(const Point&) const = default;
};

[[nodiscard]] Point operator-(const Point& a, const Point& b);
[[nodiscard]] double length(const Point& v);

/// Radians; horizontal towards +x, vertical upwards.
struct Direction {
    double horizontal{};
    double vertical{};

    bool operator==(const Direction&) const = default;
};

/// Unit vector: (sin h·cos v, sin v, cos h·cos v).
[[nodiscard]] Point unit(const Direction& direction);

/// Where the listening axis leaves the front, and how far away the ear is.
struct Listening {
    double x{};
    double y{};
    double distance{2.0};

    [[nodiscard]] Point origin() const { return {x, y, 0.0}; }

    bool operator==(const Listening&) const = default;
};

/// The ear in a direction from the listening axis' origin: O + D·unit. True distances, never
/// parallel rays: at 1 m and 0.2 m of spacing they matter.
[[nodiscard]] Point ear(const Listening& listening, const Direction& direction);

/// A point as a driver at `place`, looking along `axis`, sees it. ψ is clamped before acos.
[[nodiscard]] Sight sightOf(const Point& place, const Direction& axis, const Point& from);

} // namespace yf::speaker
