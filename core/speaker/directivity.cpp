// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/speaker/directivity.h"

#include "core/base/expect.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>

namespace yf::speaker {

namespace {

constexpr double pi = std::numbers::pi;
constexpr double tableEnd = 120.0;
constexpr double perUnit = 256.0;

const std::vector<double>& pistonTable() {
    static const std::vector<double> table = [] {
        const auto count = static_cast<std::size_t>(tableEnd * perUnit) + 2;
        std::vector<double> values(count, 1.0);
        for (std::size_t i = 1; i < count; ++i) {
            const double x = static_cast<double>(i) / perUnit;
            values[i] = 2.0 * std::cyl_bessel_j(1.0, x) / x;
        }
        return values;
    }();
    return table;
}

/// Between two measured sides, or the last one held.
struct Between {
    std::size_t below{};
    std::size_t above{};
    double share{};
    bool beyond{};
};

Between between(const std::vector<MeasuredDirectivity::Side>& sides, double angle) {
    const auto above =
        std::ranges::lower_bound(sides, angle, {}, &MeasuredDirectivity::Side::angle);
    if (above == sides.begin()) {
        return {0, 0, 0.0, angle < sides.front().angle - 1e-9};
    }
    const std::size_t last = sides.size() - 1;
    if (above == sides.end()) {
        return {last, last, 0.0, angle > sides.back().angle + 1e-9};
    }
    const auto a = static_cast<std::size_t>(above - sides.begin());
    const double width = sides[a].angle - sides[a - 1].angle;
    return {a - 1, a, (angle - sides[a - 1].angle) / width, false};
}

/// Half of a plane's sides alone, as a set: a set without negative angles is taken as mirrored.
double folded(const std::vector<MeasuredDirectivity::Side>& sides, double angle) {
    const bool oneSided = sides.front().angle >= 0.0;
    const bool otherSided = sides.back().angle <= 0.0;
    return oneSided ? std::abs(angle) : otherSided ? -std::abs(angle) : angle;
}

struct Weighted {
    const std::vector<MeasuredDirectivity::Side>* sides{};
    double angle{};
    double weight{};
};

/// The planes that speak for a direction: about the axis the one turns into the other as cos² and
/// sin² of where it is.
std::vector<Weighted> planesFor(const MeasuredDirectivity& m, const Sight& sight) {
    const double c = std::cos(sight.around);
    const double s = std::sin(sight.around);
    const auto signedBy = [&](double side) { return side < 0.0 ? -sight.off : sight.off; };
    if (m.vertical.empty()) {
        return {{&m.horizontal, folded(m.horizontal, signedBy(c)), 1.0}};
    }
    if (m.horizontal.empty()) {
        return {{&m.vertical, folded(m.vertical, signedBy(s)), 1.0}};
    }
    return {{&m.horizontal, folded(m.horizontal, signedBy(c)), c * c},
            {&m.vertical, folded(m.vertical, signedBy(s)), s * s}};
}

std::vector<Complex>
measuredAt(const MeasuredDirectivity& m, const Sight& sight, std::size_t count) {
    std::vector<double> level(count);
    std::vector<double> phase(count);
    for (const Weighted& plane : planesFor(m, sight)) {
        const Between b = between(*plane.sides, plane.angle);
        const auto& low = (*plane.sides)[b.below];
        const auto& high = (*plane.sides)[b.above];
        YF_EXPECT(low.level.size() == count);
        for (std::size_t i = 0; i < count; ++i) {
            level[i] += plane.weight * ((1.0 - b.share) * low.level[i] + b.share * high.level[i]);
            phase[i] += plane.weight * ((1.0 - b.share) * low.phase[i] + b.share * high.phase[i]);
        }
    }
    std::vector<Complex> D(count);
    for (std::size_t i = 0; i < count; ++i) {
        D[i] = std::polar(std::exp(level[i]), phase[i]);
    }
    return D;
}

double sineOf(double off) {
    return std::sin(std::min(off, 0.5 * pi));
}

} // namespace

double pistonAt(double x) {
    x = std::abs(x);
    if (x >= tableEnd) {
        return std::sqrt(8.0 / (pi * x * x * x)) * std::cos(x - 0.75 * pi);
    }
    const auto& table = pistonTable();
    const double at = x * perUnit;
    const auto i = static_cast<std::size_t>(at);
    const double share = at - static_cast<double>(i);
    return table[i] + share * (table[i + 1] - table[i]);
}

double stripAt(double u) {
    constexpr double small = 1e-4;
    return std::abs(u) < small ? 1.0 - u * u / 6.0 : std::sin(u) / u;
}

std::vector<Complex>
directivityAt(const Directivity& directivity, const Sight& sight, std::span<const double> k) {
    if (const auto* m = std::get_if<std::shared_ptr<const MeasuredDirectivity>>(&directivity)) {
        return measuredAt(**m, sight, k.size());
    }
    std::vector<Complex> D(k.size(), Complex{1.0});
    if (const auto* piston = std::get_if<Piston>(&directivity)) {
        const double across = piston->radius * sineOf(sight.off);
        std::ranges::transform(k, D.begin(), [&](double kk) { return pistonAt(kk * across); });
    } else if (const auto* strip = std::get_if<Strip>(&directivity)) {
        const double along = 0.5 * strip->length * sineOf(sight.off) * std::sin(sight.around);
        std::ranges::transform(k, D.begin(), [&](double kk) { return stripAt(kk * along); });
    }
    return D;
}

Reach reachOf(const Directivity& directivity, const Sight& sight) {
    Reach reach;
    if (const auto* m = std::get_if<std::shared_ptr<const MeasuredDirectivity>>(&directivity)) {
        const bool onePlane = (*m)->horizontal.empty() || (*m)->vertical.empty();
        const double other =
            (*m)->horizontal.empty() ? std::cos(sight.around) : std::sin(sight.around);
        constexpr double some = 0.01;
        reach.turned = onePlane && sight.off > some && std::abs(other) > some;
        for (const Weighted& plane : planesFor(**m, sight)) {
            reach.beyond = reach.beyond || between(*plane.sides, plane.angle).beyond;
        }
        return reach;
    }
    reach.behind = !std::holds_alternative<Omni>(directivity) && sight.off > 0.5 * pi + 1e-9;
    return reach;
}

} // namespace yf::speaker
