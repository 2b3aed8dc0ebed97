// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/box/port.h"

#include "core/text/given.h"
#include "core/text/number.h"

#include <cmath>

namespace yf::box {

namespace {

constexpr double pi = std::numbers::pi;

double factor(End end) {
    return end == End::flanged ? flangedEnd : freeEnd;
}

/// ∬∬ dS dS'/r over a rectangle.
double meanInverse(double w, double t) {
    const double d = std::hypot(w, t);
    return 2.0 / 3.0 *
           (3.0 * w * w * t * std::log((t + d) / w) + 3.0 * w * t * t * std::log((w + d) / t) +
            w * w * w + t * t * t - d * d * d);
}

// NOLINTNEXTLINE(bugprone-easily-swappable-parameters): width, height, then the factor
double slotEnd(double w, double t, double e) {
    return e * (3.0 * pi / 8.0) * meanInverse(w, t) / (2.0 * pi * w * t);
}

/// A quarter round of radius R at an end of radius a: the air within it and before it.
// NOLINTNEXTLINE(bugprone-easily-swappable-parameters): the radius, its rounding, then the factor
double flaredEnd(double a, double R, double e) {
    // x = R·sin φ makes the integrand smooth; Simpson's rule.
    constexpr int steps = 64;
    double sum = 0.0;
    for (int i = 0; i <= steps; ++i) {
        const double phi = 0.5 * pi * i / steps;
        const double r = a + R - R * std::cos(phi);
        const double weight = i == 0 || i == steps ? 1.0 : i % 2 == 1 ? 4.0 : 2.0;
        sum += weight * a * a / (r * r) * R * std::cos(phi);
    }
    return sum * 0.5 * pi / steps / 3.0 + e * a * a / (a + R);
}

double flares(const Port& p) {
    return p.shape == PortShape::round ? p.flareInner + p.flareOuter : 0.0;
}

} // namespace

double Port::area() const {
    return shape == PortShape::round ? 0.25 * pi * diameter * diameter : width * height;
}

double endLength(const Port& p) {
    if (p.shape == PortShape::slot) {
        const double t = p.onWall ? 2.0 * p.height : p.height;
        return slotEnd(p.width, t, factor(p.inner)) + slotEnd(p.width, p.height, factor(p.outer));
    }
    const double a = 0.5 * p.diameter;
    return flaredEnd(a, p.flareInner, factor(p.inner)) +
           flaredEnd(a, p.flareOuter, factor(p.outer));
}

double overallLength(const Port& p, double effective) {
    return effective - endLength(p) + flares(p);
}

double effectiveLength(const Port& p, double overall) {
    return overall - flares(p) + endLength(p);
}

double effectiveFor(const Port& p, double V, double fb, const Source& air) {
    const double w = 2.0 * pi * fb;
    return p.totalArea() * air.c * air.c / (w * w * V);
}

double tuningOf(const Port& p, double V, double effective, const Source& air) {
    return air.c / (2.0 * pi) * std::sqrt(p.totalArea() / (V * effective));
}

// NOLINTNEXTLINE(bugprone-easily-swappable-parameters): in the order of the equation
double leastArea(double fb, double Sd, double Xmax) {
    constexpr double small = 0.8; // s/m
    return small * fb * Sd * Xmax;
}

Port inShape(const Port& port, PortShape shape) {
    Port other = port;
    other.shape = shape;
    if (shape == port.shape) {
        return other;
    }
    const double area = port.area();
    if (shape == PortShape::slot) {
        constexpr double wide = 4.0;
        other.height = std::sqrt(area / wide);
        other.width = wide * other.height;
        other.flareInner = other.flareOuter = 0.0;
    } else {
        other.diameter = std::sqrt(4.0 * area / pi);
    }
    return other;
}

double displacement(const Port& p, double inside, double wall) {
    if (inside <= 0.0) {
        return 0.0;
    }
    if (p.shape == PortShape::slot) {
        // A slot on a wall borrows one of its sides from the box.
        const double thick = p.onWall ? p.height + wall : p.height + 2.0 * wall;
        return (p.width + 2.0 * wall) * thick * inside;
    }
    const double r = 0.5 * p.diameter + wall;
    return pi * r * r * inside;
}

Result<Port> portOf(const PortKeys& k) {
    const auto need = [](const char* key, const char* shape) {
        return Error{key, "missing", say(YF_WORDS("core", "a %1 port needs it"), shape)};
    };
    Port p{.shape = k.shape,
           .onWall = k.onWall,
           .count = k.count,
           .inner = k.inner,
           .outer = k.outer,
           .flareInner = k.flareInner,
           .flareOuter = k.flareOuter};
    if (k.shape == PortShape::round) {
        if (!k.diameter) {
            return need("diameter_m", "round");
        }
        p.diameter = *k.diameter;
        return p;
    }
    if (!k.width) {
        return need("width_m", "slot");
    }
    if (!k.height) {
        return need("height_m", "slot");
    }
    if (k.flareInner > 0.0 || k.flareOuter > 0.0) {
        return Error{k.flareInner > 0.0 ? "flare_inner_m" : "flare_outer_m",
                     "given",
                     YF_WORDS("core", "only round ports are flared")};
    }
    p.width = *k.width;
    p.height = *k.height;
    return p;
}

std::optional<Error> check(const PortRequest& r) {
    if (r.fb.has_value() == r.length.has_value()) {
        return Error{"fb_hz",
                     r.fb ? YF_WORDS("core", "given together with length_m")
                          : YF_WORDS("core", "missing, and so is length_m"),
                     YF_WORDS("core", "exactly one of fb_hz and length_m must be given")};
    }
    return std::nullopt;
}

Result<PortAnswer> port(const PortRequest& r) {
    YF_TRY(p, portOf(r.port));
    const Source air;
    const double V = r.gain * r.Vb;
    PortAnswer a{.area = p.totalArea()};
    if (r.fb) {
        a.effective = effectiveFor(p, V, *r.fb, air);
        a.length = overallLength(p, a.effective);
        if (a.length - flares(p) <= 0.0) {
            return Error{
                "fb_hz",
                text::given(text::printNumber(*r.fb)),
                say(YF_WORDS("core",
                             "must be below %1, what this opening gives with no tube at all"),
                    text::printFixed(tuningOf(p, V, endLength(p), air), 2))};
        }
        a.fb = *r.fb;
    } else {
        a.length = *r.length;
        if (a.length < flares(p)) {
            return Error{"length_m",
                         text::given(text::printNumber(a.length)),
                         say(YF_WORDS("core", "must be at least %1, the flares alone"),
                             text::printFixed(flares(p), 3))};
        }
        a.effective = effectiveLength(p, a.length);
        a.fb = tuningOf(p, V, a.effective, air);
    }
    a.straight = a.length - flares(p);
    a.pipe = air.c / (2.0 * a.effective);
    if (r.Sd && r.Xmax) {
        a.leastArea = leastArea(a.fb, *r.Sd, *r.Xmax);
    }
    return a;
}

} // namespace yf::box
