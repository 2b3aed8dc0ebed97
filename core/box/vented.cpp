// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/box/vented.h"

#include "core/box/roots.h"

#include <algorithm>
#include <cmath>

namespace yf::box {

// NOLINTNEXTLINE(bugprone-easily-swappable-parameters): in the order of the equation
Branch portBranch(double wb, double C, double QP) {
    const double M = 1.0 / (wb * wb * C);
    return {.there = true, .M = M, .R = QP >= lossless ? 0.0 : wb * M / QP};
}

Chamber portedChamber(const PortedAir& a, const Source& s) {
    Chamber c{.C = a.gain * a.V / (s.rho * s.c * s.c)};
    c.R = a.QA >= lossless ? 0.0 : 1.0 / (a.wb * c.C * a.QA);
    // Kept even where it is as good as none: without any loss the air stands still at its tuning
    // behind an infinite pressure, which no number holds.
    c.G = a.wb * c.C / a.QL;
    return c;
}

Chambers chambersOf(const Vented& box, const Motor& /*motor*/, const Source& s) {
    const double wb = 2.0 * std::numbers::pi * box.fb;
    Chambers c{.rear = 1};
    c.air[0] =
        portedChamber({.V = box.Vb, .gain = box.gain, .wb = wb, .QL = box.QL, .QA = box.QA}, s);
    c.outward[0] = portBranch(wb, c.air[0].C, box.QP);
    return c;
}

double FourthOrder::power(double y) const {
    const double re = y * y - a2 * y + 1.0;
    const double im2 = y * (a3 - a1 * y) * (a3 - a1 * y);
    const double y2 = y * y;
    return y2 * y2 / (re * re + im2);
}

double FourthOrder::halfPower() const {
    const auto roots = positiveRoots({-1.0,
                                      -(a3 * a3 - 2.0 * a2),
                                      -(a2 * a2 + 2.0 - 2.0 * a1 * a3),
                                      -(a1 * a1 - 2.0 * a2),
                                      1.0});
    return std::sqrt(roots.back());
}

FourthOrder fourthOrder(const VentedShape& v, double QL) {
    const double r = std::sqrt(v.h);
    return {.a1 = r / QL + 1.0 / (r * v.Qt),
            .a2 = v.h + 1.0 / (v.Qt * QL) + (1.0 + v.alpha) / v.h,
            .a3 = r / v.Qt + 1.0 / (r * QL)};
}

std::optional<VentedShape> shapeOf(const FourthOrder& a, double QL) {
    const auto from = [&](double r) {
        const double h = r * r;
        const double Qt = 1.0 / (r * (a.a1 - r / QL));
        return VentedShape{.h = h, .Qt = Qt, .alpha = h * (a.a2 - 1.0 / (Qt * QL) - h) - 1.0};
    };
    const auto real = [](const VentedShape& v) { return v.alpha > 0.0 && v.Qt > 0.0; };
    constexpr double asGoodAsNone = 1e8;
    if (QL >= asGoodAsNone) {
        const VentedShape v = from(std::sqrt(a.a3 / a.a1));
        return real(v) ? std::optional(v) : std::nullopt;
    }
    for (const double r : positiveRoots({-1.0, QL * a.a3, 0.0, -QL * a.a1, 1.0})) {
        const VentedShape v = from(r);
        if (real(v)) {
            return v;
        }
    }
    return std::nullopt;
}

Vented changed(Vented box, const BoxChange& by) {
    box.Vb *= by.volume;
    box.fb *= by.tuned();
    box.QL *= by.loss;
    return box;
}

} // namespace yf::box
