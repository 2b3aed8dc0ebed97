// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/speaker/place.h"

#include <algorithm>
#include <cmath>

namespace yf::speaker {

namespace {

double dot(const Point& a, const Point& b) {
    return a.x * b.x + a.y * b.y + a.z * b.z;
}

} // namespace

Point operator-(const Point& a, const Point& b) {
    return {a.x - b.x, a.y - b.y, a.z - b.z};
}

double length(const Point& v) {
    return std::sqrt(dot(v, v));
}

Point unit(const Direction& d) {
    return {std::sin(d.horizontal) * std::cos(d.vertical),
            std::sin(d.vertical),
            std::cos(d.horizontal) * std::cos(d.vertical)};
}

Point ear(const Listening& listening, const Direction& direction) {
    const Point u = unit(direction);
    const Point o = listening.origin();
    const double D = listening.distance;
    return {o.x + D * u.x, o.y + D * u.y, o.z + D * u.z};
}

Sight sightOf(const Point& place, const Direction& axis, const Point& from) {
    const Point to = from - place;
    const double r = length(to);
    if (!(r > 0.0)) {
        return {};
    }
    const Point n = unit(axis);
    const double off = std::acos(std::clamp(dot(to, n) / r, -1.0, 1.0));
    // Right and up as the driver has them: turned with its axis.
    const Point right{std::cos(axis.horizontal), 0.0, -std::sin(axis.horizontal)};
    const Point up{-std::sin(axis.horizontal) * std::sin(axis.vertical),
                   std::cos(axis.vertical),
                   -std::cos(axis.horizontal) * std::sin(axis.vertical)};
    return {off, std::atan2(dot(to, up), dot(to, right))};
}

} // namespace yf::speaker
