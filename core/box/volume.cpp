// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/box/volume.h"

#include "core/text/given.h"
#include "core/text/number.h"

#include <algorithm>
#include <array>
#include <cmath>

namespace yf::box {

namespace {

constexpr double pi = std::numbers::pi;

Error noInside(const char* key, double given, double needed) {
    return {key,
            text::given(text::printNumber(given)),
            say(YF_WORDS("core", "panels and partition leave nothing inside: must be more than %1"),
                text::printFixed(needed, 4))};
}

} // namespace

Result<Inside> insideOf(const Shell& s) {
    const double t = s.panel;
    const double partition = s.dead > 0.0 ? s.dead + t : 0.0;
    const double heightLess = 2.0 * t + partition;
    Inside in{.height = s.height - heightLess};
    if (!(in.height > 0.0)) {
        return noInside("height_m", s.height, heightLess);
    }
    if (s.shape == Shape::cylinder) {
        in.width = in.depth = s.diameter - 2.0 * t;
        if (!(in.width > 0.0)) {
            return noInside("diameter_m", s.diameter, 2.0 * t);
        }
        in.gross = 0.25 * pi * in.width * in.width * in.height;
        return in;
    }
    in.width = s.width - 2.0 * t;
    if (!(in.width > 0.0)) {
        return noInside("width_m", s.width, 2.0 * t);
    }
    if (s.shape == Shape::rectangular) {
        in.depth = s.depth - t - s.front;
        if (!(in.depth > 0.0)) {
            return noInside("depth_m", s.depth, t + s.front);
        }
    } else {
        const double slope = std::abs(s.depth - s.depthTop) / s.height;
        const double less = t + s.front * std::sqrt(1.0 + slope * slope);
        in.depth = 0.5 * (s.depth + s.depthTop) - less;
        // The shallow end counts: there the front must not meet the back.
        const double shallow = std::min(s.depth, s.depthTop);
        if (!(shallow > less)) {
            return noInside(s.depth < s.depthTop ? "depth_m" : "depth_top_m", shallow, less);
        }
    }
    in.gross = in.width * in.height * in.depth;
    return in;
}

double usualDriverVolume(double diameter) {
    // Pairs of m and l; between them by a straight line in logarithms.
    constexpr std::array<std::array<double, 2>, 7> known{{{0.10, 0.15},
                                                          {0.13, 0.3},
                                                          {0.17, 0.8},
                                                          {0.20, 1.5},
                                                          {0.25, 2.5},
                                                          {0.30, 4.0},
                                                          {0.38, 7.0}}};
    constexpr double litre = 1e-3;
    std::size_t i = 0;
    while (i + 2 < known.size() && diameter > known[i + 1][0]) {
        ++i;
    }
    const double t = std::log(diameter / known[i][0]) / std::log(known[i + 1][0] / known[i][0]);
    return litre * known[i][1] * std::pow(known[i + 1][1] / known[i][1], t);
}

std::optional<Error> check(const VolumeRequest& r) {
    const auto need = [](const char* key, const char* shape) {
        return Error{key, "missing", say(YF_WORDS("core", "a %1 cabinet needs it"), shape)};
    };
    static constexpr std::array<const char*, 3> names{"rectangular", "trapezoid", "cylinder"};
    const char* name = names.at(static_cast<std::size_t>(r.shape));
    if (!r.height) {
        return need("height_m", name);
    }
    if (r.shape == Shape::cylinder) {
        return r.diameter ? std::nullopt : std::optional(need("diameter_m", name));
    }
    if (!r.width) {
        return need("width_m", name);
    }
    if (!r.depth) {
        return need("depth_m", name);
    }
    if (r.shape == Shape::trapezoid) {
        if (!r.depthTop) {
            return need("depth_top_m", name);
        }
        if (r.dead > 0.0) {
            return Error{"dead_height_m",
                         text::given(text::printNumber(r.dead)),
                         YF_WORDS("core", "must be 0 for a trapezoid")};
        }
    }
    return std::nullopt;
}

Result<VolumeAnswer> volume(const VolumeRequest& r) {
    const Shell shell{.shape = r.shape,
                      .height = r.height.value_or(0.0),
                      .width = r.width.value_or(0.0),
                      .depth = r.depth.value_or(0.0),
                      .depthTop = r.depthTop.value_or(0.0),
                      .diameter = r.diameter.value_or(0.0),
                      .panel = r.panel,
                      .front = r.front.value_or(r.panel),
                      .dead = r.dead};
    YF_TRY(inside, insideOf(shell));
    VolumeAnswer a{.inside = inside, .net = inside.gross - r.less.sum()};
    if (!(a.net > 0.0)) {
        const std::array<std::pair<const char*, double>, 4> all{
            {{"driver_l", r.less.driver},
             {"port_l", r.less.port},
             {"bracing_l", r.less.bracing},
             {"crossover_l", r.less.crossover}}};
        const auto& most =
            *std::ranges::max_element(all, {}, [](const auto& d) { return d.second; });
        return Error{
            most.first,
            text::given(text::printNumber(1e3 * most.second)),
            say(YF_WORDS("core", "all that is taken off must stay below the inside volume of %1 l"),
                text::printFixed(1e3 * inside.gross, 2))};
    }
    a.bracingLoss = r.less.bracing / inside.gross;
    a.bracingOk = a.bracingLoss <= bracingAllowance;
    if (r.shape == Shape::rectangular) {
        for (const AirMode& mode : airModes(inside.height, {inside.width, inside.depth})) {
            a.modes.push_back(mode.f);
        }
    }
    return a;
}

} // namespace yf::box
