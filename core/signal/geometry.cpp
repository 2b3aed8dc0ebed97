// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/signal/geometry.h"

#include "core/text/given.h"
#include "core/text/number.h"

#include <algorithm>
#include <cmath>

namespace yf::signal {

std::optional<Error> check(const Geometry& g) {
    using text::printNumber;
    const bool surfaces =
        g.speakerHeight || g.ceilingHeight || g.sideWall || g.frontWall || g.backWall;
    if (surfaces && !g.distance) {
        return Error{"distance_m", "missing", "walls and heights need it"};
    }
    if (g.ceilingHeight && !g.speakerHeight) {
        return Error{"speaker_height_m", "missing", "ceiling_height_m needs it"};
    }
    const double higher = std::max(g.speakerHeight.value_or(0.0), g.microphoneHeight.value_or(0.0));
    if (g.ceilingHeight && *g.ceilingHeight <= higher) {
        return Error{"ceiling_height_m",
                     text::given(printNumber(*g.ceilingHeight)),
                     say(YF_WORDS("core", "must be above %1"), printNumber(higher))};
    }
    return std::nullopt;
}

std::vector<Path> pathsOf(const Geometry& g) {
    if (!g.distance) {
        return {};
    }
    const double D = *g.distance;
    const double hs = g.speakerHeight.value_or(0.0);
    const double hm = g.microphoneHeight.value_or(hs);
    const double rise = hs - hm;
    std::vector<Path> paths{{"direct", std::hypot(D, rise)}};
    if (g.speakerHeight) {
        paths.push_back({"floor", std::hypot(D, hs + hm)});
    }
    if (g.ceilingHeight) {
        paths.push_back({"ceiling", std::hypot(D, 2.0 * *g.ceilingHeight - hs - hm)});
    }
    if (g.sideWall) {
        paths.push_back({"side_wall", std::hypot(D, 2.0 * *g.sideWall, rise)});
    }
    if (g.frontWall) {
        paths.push_back({"front_wall", std::hypot(D + 2.0 * *g.frontWall, rise)});
    }
    if (g.backWall) {
        paths.push_back({"back_wall", std::hypot(D + 2.0 * *g.backWall, rise)});
    }
    std::stable_sort(paths.begin() + 1, paths.end(), [](const Path& a, const Path& b) {
        return a.length < b.length;
    });
    return paths;
}

std::optional<double> betterHeight(const Geometry& g) {
    const auto paths = pathsOf(g);
    if (paths.size() < 2 || paths[1].surface != "floor") {
        return std::nullopt;
    }
    const double hs = *g.speakerHeight;
    const double hm = g.microphoneHeight.value_or(hs);
    // Where floor and ceiling come at once: half way up.
    double best = g.ceilingHeight ? 0.5 * (*g.ceilingHeight) : 1e9;
    double next = 1e9;
    for (std::size_t i = 2; i < paths.size(); ++i) {
        if (paths[i].surface != "ceiling") {
            next = std::min(next, paths[i].length);
        }
    }
    if (next < 1e9 && next > *g.distance) {
        best = std::min(best, 0.5 * std::sqrt(next * next - *g.distance * *g.distance));
    }
    const double now = 0.5 * (hs + hm);
    constexpr double worthIt = 0.05; // m
    return best < 1e9 && best > now + worthIt ? std::optional(best) : std::nullopt;
}

} // namespace yf::signal
