// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/speaker/diffraction.h"

#include "core/quantity/air.h"
#include "core/quantity/level.h"
#include "core/text/given.h"
#include "core/text/number.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>

namespace yf::speaker {

namespace {

constexpr double pi = std::numbers::pi;
constexpr double c = quantity::soundSpeed;
constexpr double nu = 2.0 / 3.0; // π/(3π/2): a wedge of 270°

/// One set of four edges: where the wave runs along the front to, and where that point really is.
struct Ring {
    double path{};  ///< m that the rectangle of the source's path is larger on each side
    double place{}; ///< m that the true edge is larger on each side
    double depth{}; ///< m that it lies behind the front
    double strength{1.0};
};

std::vector<Ring> ringsOf(const Front& front) {
    const double e = front.edgeSize;
    if (front.edge == Edge::sharp || !(e > 0.0)) {
        return {{}};
    }
    if (front.edge == Edge::chamfer) {
        return {{-e, -e, 0.0, 0.5}, {-e + e * std::numbers::sqrt2, 0.0, e, 0.5}};
    }
    constexpr int arcs = 8;
    std::vector<Ring> rings;
    for (int q = 0; q < arcs; ++q) {
        const double beta = (q + 0.5) * 0.5 * pi / arcs;
        rings.push_back(
            {-e + e * beta, -e + e * std::sin(beta), e * (1.0 - std::cos(beta)), 1.0 / arcs});
    }
    return rings;
}

/// Strength over delay: what one transform turns into a response.
class Delays {
public:
    Delays(double longest, double highest) : step_(c / (16.0 * highest)) {
        bins_.resize(static_cast<std::size_t>(longest / step_) + 3);
    }

    /// Split over the two neighbours of its place.
    void add(double path, double strength) {
        const double at = std::max(path, 0.0) / step_;
        const auto i = std::min(static_cast<std::size_t>(at), bins_.size() - 2);
        const double share = at - static_cast<double>(i);
        bins_[i] += (1.0 - share) * strength;
        bins_[i + 1] += share * strength;
    }

    [[nodiscard]] Complex at(double k) const {
        const Complex turn = std::polar(1.0, -k * step_);
        Complex phase{1.0};
        Complex sum;
        for (const double strength : bins_) {
            sum += strength * phase;
            phase *= turn;
        }
        return sum;
    }

    [[nodiscard]] double all() const {
        double sum = 0.0;
        for (const double strength : bins_) {
            sum += strength;
        }
        return sum;
    }

private:
    double step_;
    std::vector<double> bins_;
};

/// cosh(⅔·arcosh x).
double coshTwoThirds(double x) {
    const double y = std::cbrt(x + std::sqrt(x * x - 1.0));
    const double a = y * y;
    return 0.5 * (a + 1.0 / a);
}

/// One edge, its own coordinates: along it z, across it towards the outside.
struct EdgeLine {
    double from{}; ///< z of its ends, of the source's path
    double to{};
    double trueFrom{}; ///< likewise of the true edge
    double trueTo{};
    double zS{};
    double zP{};
    double rS{};       ///< source to the edge of its path
    double outP{};     ///< listener beyond that edge
    double trueOutP{}; ///< beyond the true edge
    double height{};   ///< of the listener above the front
    double depth{};    ///< of the true edge behind it
};

void addEdge(const EdgeLine& e, double strength, double d0, double longest, Delays& delays) {
    const double rP = std::hypot(e.outP, e.height);
    const double theta = std::atan2(e.height, -e.outP);
    double sines[2];
    double cosines[2];
    for (const int sign : {0, 1}) {
        const double angle = nu * (pi + (sign == 0 ? theta : -theta));
        sines[sign] = std::sin(angle);
        cosines[sign] = std::cos(angle);
    }
    const auto count = static_cast<int>(std::ceil((e.to - e.from) / std::max(longest, 1e-4)));
    const double dz = (e.to - e.from) / count;
    const double stretch = (e.trueTo - e.trueFrom) / (e.to - e.from);
    for (int i = 0; i < count; ++i) {
        const double z = e.from + (i + 0.5) * dz;
        const double m = std::hypot(e.rS, z - e.zS);
        const double l = std::hypot(rP, z - e.zP);
        const double coshEta = std::max(1.0, (m * l + (z - e.zS) * (z - e.zP)) / (e.rS * rP));
        const double C = coshTwoThirds(coshEta);
        const double beta = 2.0 * (sines[0] / (C - cosines[0]) + sines[1] / (C - cosines[1]));
        const double trueZ = e.trueFrom + (z - e.from) * stretch;
        const double trueL = std::hypot(std::hypot(e.trueOutP, e.height + e.depth), trueZ - e.zP);
        delays.add(m + trueL - d0, strength * 0.5 * d0 * -nu / (4.0 * pi) * beta / (m * l) * dz);
    }
}

/// All four edges of a ring for one point of the source.
void addRing(const Front& front,
             const Ring& ring,
             const Point& source,
             const Point& listener,
             double strength,
             double segment,
             Delays& delays) {
    const double d0 = length(listener - source);

    /// The edges that run along one axis of the front, and what lies across them.
    struct Axis {
        double halfAlong, halfAcross;
        double sourceAlong, sourceAcross;
        double listenerAlong, listenerAcross;
    };

    const double w = 0.5 * front.width;
    const double h = 0.5 * front.height;
    const Axis upright{h, w, source.y, source.x, listener.y, listener.x};
    const Axis level{w, h, source.x, source.y, listener.x, listener.y};
    for (const int side : {1, -1}) {
        for (const Axis& a : {upright, level}) {
            addEdge({.from = -a.halfAlong - ring.path,
                     .to = a.halfAlong + ring.path,
                     .trueFrom = -a.halfAlong - ring.place,
                     .trueTo = a.halfAlong + ring.place,
                     .zS = a.sourceAlong,
                     .zP = a.listenerAlong,
                     .rS = a.halfAcross + ring.path - side * a.sourceAcross,
                     .outP = side * a.listenerAcross - (a.halfAcross + ring.path),
                     .trueOutP = side * a.listenerAcross - (a.halfAcross + ring.place),
                     .height = listener.z,
                     .depth = ring.depth},
                    strength,
                    d0,
                    segment,
                    delays);
        }
    }
}

/// A disc as 1 + 6 + 12 points of equal weight in rings of equal area.
std::vector<Point> pointsOf(const FrontSource& source) {
    std::vector<Point> points{{source.x, source.y, 0.0}};
    if (!(source.radius > 0.0)) {
        return points;
    }
    constexpr int all = 19;
    int before = 1;
    for (const int count : {6, 12}) {
        // The radius that halves the ring's area.
        const double r = source.radius * std::sqrt((before + 0.5 * count) / all);
        for (int i = 0; i < count; ++i) {
            const double a = 2.0 * pi * (i + 0.5) / count;
            points.push_back({source.x + r * std::cos(a), source.y + r * std::sin(a), 0.0});
        }
        before += count;
    }
    return points;
}

Complex sphericalHankel(unsigned n, double x) {
    return {std::sph_bessel(n, x), -std::sph_neumann(n, x)};
}

} // namespace

std::vector<Complex> diffractionOf(const Front& front,
                                   const FrontSource& source,
                                   const Point& listener,
                                   const Axis& axis) {
    const Point centre{source.x, source.y, 0.0};
    const double d0 = length(listener - centre);
    const double highest = std::max(axis.back(), 1000.0);
    const double segment = c / highest / 8.0;
    const double size = std::hypot(front.width, front.height);
    Delays delays(2.5 * size + 4.0 * source.radius, highest);
    const auto points = pointsOf(source);
    for (const Ring& ring : ringsOf(front)) {
        for (const Point& point : points) {
            // A point of the disc that would lie outside its own path's rectangle has none.
            Point inside = point;
            const double margin = 1e-3;
            const double w = 0.5 * front.width + ring.path - margin;
            const double h = 0.5 * front.height + ring.path - margin;
            inside.x = std::clamp(point.x, -w, w);
            inside.y = std::clamp(point.y, -h, h);
            addRing(front,
                    ring,
                    inside,
                    listener,
                    ring.strength / static_cast<double>(points.size()),
                    segment,
                    delays);
        }
    }
    const double root = std::sqrt(front.width * front.height);
    const double cosine = std::clamp(listener.z / d0, -1.0, 1.0);
    constexpr double acousticCentre = 0.30; // of √(wh), before the front at low frequencies
    const double H0 = 0.5 * d0 / (d0 - acousticCentre * root * cosine);
    const double g0 = (H0 - 1.0) / delays.all();
    const double f1 = 0.25 * c / root;
    const auto D = directivityAt(source.radius > 0.0 ? Directivity{Piston{source.radius}}
                                                     : Directivity{Omni{}},
                                 {std::acos(cosine), 0.0},
                                 [&] {
                                     std::vector<double> k;
                                     for (const double f : axis) {
                                         k.push_back(2.0 * pi * f / c);
                                     }
                                     return k;
                                 }());
    std::vector<Complex> H;
    H.reserve(axis.size());
    for (std::size_t i = 0; i < axis.size(); ++i) {
        const Complex jf{0.0, axis[i] / f1};
        const Complex g = (g0 + jf) / (1.0 + jf);
        H.push_back(D[i] + g * delays.at(2.0 * pi * axis[i] / c));
    }
    return H;
}

std::vector<Complex> sphereOf(double radius, double cosine, const Axis& axis) {
    std::vector<Complex> H;
    for (const double f : axis) {
        const double ka = 2.0 * pi * f / c * radius;
        const auto terms = static_cast<unsigned>(ka + 12.0 + 4.0 * std::cbrt(ka));
        Complex sum;
        Complex turn{0.0, 1.0}; // j^(n+1)
        for (unsigned n = 0; n <= terms; ++n) {
            const Complex derivative =
                n == 0 ? -sphericalHankel(1, ka)
                       : sphericalHankel(n - 1, ka) -
                             (static_cast<double>(n) + 1.0) / ka * sphericalHankel(n, ka);
            sum += (2.0 * n + 1.0) * turn * std::legendre(n, cosine) / derivative;
            turn *= Complex{0.0, 1.0};
        }
        H.push_back(-std::polar(1.0, -ka) / (2.0 * ka * ka) * sum);
    }
    return H;
}

std::optional<Error> check(const DiffractionRequest& r) {
    const auto missing = [](const char* key, const char* why) {
        return Error{key, "missing", why};
    };
    if (r.shape == Shape::sphere) {
        if (!r.radius || !(*r.radius > 0.0)) {
            return missing("radius_m", "a sphere needs its radius, above 0");
        }
        if (r.width || r.height) {
            return Error{r.width ? "width_m" : "height_m", "given", "belongs to a box"};
        }
        return std::nullopt;
    }
    if (!r.width || !r.height) {
        return missing(r.width ? "height_m" : "width_m", "a box needs width and height");
    }
    const auto outside = [](const char* key, double value, double half) {
        return Error{key,
                     text::given(text::printNumber(value)),
                     say(YF_WORDS("core", "must lie on the panel, within %1 of its middle"),
                         text::printNumber(half))};
    };
    if (!(std::abs(r.sourceX) < 0.5 * *r.width)) {
        return outside("source_x_m", r.sourceX, 0.5 * *r.width);
    }
    if (!(std::abs(r.sourceY) < 0.5 * *r.height)) {
        return outside("source_y_m", r.sourceY, 0.5 * *r.height);
    }
    const double shorter = std::min(*r.width, *r.height);
    if (!(r.edgeSize <= 0.5 * shorter)) {
        return Error{"edge_m",
                     text::given(text::printNumber(r.edgeSize)),
                     say(YF_WORDS("core", "must be at most half the shorter side, %1"),
                         text::printNumber(0.5 * shorter))};
    }
    if (r.radius && !(*r.radius <= 0.5 * shorter)) {
        return Error{"radius_m",
                     text::given(text::printNumber(*r.radius)),
                     say(YF_WORDS("core", "must be at most half the shorter side, %1"),
                         text::printNumber(0.5 * shorter))};
    }
    const double off =
        std::acos(std::clamp(std::cos(r.horizontal) * std::cos(r.vertical), -1.0, 1.0)) /
        quantity::degree;
    if (!(off <= widestAngle + 1e-9)) {
        return Error{std::abs(r.horizontal) >= std::abs(r.vertical) ? "horizontal_deg"
                                                                    : "vertical_deg",
                     say(YF_WORDS("core", "%1 degrees off the axis"), text::printNumber(off)),
                     "must be within 80 degrees: behind that the method fails"};
    }
    return std::nullopt;
}

Result<DiffractionAnswer> diffraction(const DiffractionRequest& r) {
    constexpr double low = 20.0;
    constexpr double high = 20000.0;
    const Axis axis =
        r.frequencies ? *r.frequencies : curve::within(curve::designAxis(), low, high);
    if (axis.empty()) {
        return Error{"frequencies_hz", "none given", "must be at least one"};
    }
    if (auto error = measure::checkRising(axis, "frequencies_hz")) {
        return *error;
    }
    std::vector<Complex> H;
    if (r.shape == Shape::sphere) {
        H = sphereOf(*r.radius, std::cos(r.horizontal) * std::cos(r.vertical), axis);
    } else {
        const Point listener =
            ear({.distance = r.distance}, {.horizontal = r.horizontal, .vertical = r.vertical});
        H = diffractionOf({*r.width, *r.height, r.edge, r.edgeSize},
                          {r.sourceX, r.sourceY, r.radius.value_or(0.0)},
                          listener,
                          axis);
    }
    DiffractionAnswer answer{.frequencies = axis};
    constexpr double halfPower = -3.0;
    for (std::size_t i = 0; i < axis.size(); ++i) {
        answer.levels.push_back(quantity::decibels(std::abs(H[i])));
        answer.phases.push_back(std::arg(H[i]));
        const double now = answer.levels[i];
        if (!answer.step && i > 0 && answer.levels[i - 1] < halfPower && now >= halfPower) {
            const double share = (halfPower - answer.levels[i - 1]) / (now - answer.levels[i - 1]);
            answer.step = axis[i - 1] * std::pow(axis[i] / axis[i - 1], share);
        }
    }
    return answer;
}

} // namespace yf::speaker
