// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/box/passive_radiator.h"

#include <cmath>

namespace yf::box {

namespace {

constexpr double twoPi = 2.0 * std::numbers::pi;

} // namespace

double stiffness(const PassiveRadiator& b, const Source& s) {
    return s.rho * s.c * s.c * b.Sp * b.Sp / b.Vap;
}

double bareMass(const PassiveRadiator& b, const Source& s) {
    return stiffness(b, s) / (twoPi * b.fp * twoPi * b.fp);
}

double notch(const PassiveRadiator& b, const Source& s) {
    return std::sqrt(stiffness(b, s) / (bareMass(b, s) + b.addedMass)) / twoPi;
}

double compliances(const PassiveRadiator& b) {
    return b.count * b.Vap / (b.gain * b.Vb);
}

double tuning(const PassiveRadiator& b, const Source& s) {
    return notch(b, s) * std::sqrt(1.0 + compliances(b));
}

double massFor(const PassiveRadiator& b, double fb, const Source& s) {
    const double boxStiffness = s.rho * s.c * s.c * b.Sp * b.Sp * b.count / (b.gain * b.Vb);
    return (stiffness(b, s) + boxStiffness) / (twoPi * fb * twoPi * fb) - bareMass(b, s);
}

Chambers chambersOf(const PassiveRadiator& b, const Motor& /*motor*/, const Source& s) {
    const double wb = twoPi * tuning(b, s);
    Chambers c{.rear = 1};
    c.air[0] = portedChamber({.V = b.Vb, .gain = b.gain, .wb = wb, .QL = b.QL, .QA = b.QA}, s);
    const double area2 = b.count * b.Sp * b.Sp;
    c.outward[0] = {.there = true,
                    .M = (bareMass(b, s) + b.addedMass) / area2,
                    .R = twoPi * b.fp * bareMass(b, s) / b.Qmp / area2,
                    .K = stiffness(b, s) / area2};
    return c;
}

PassiveRadiator changed(PassiveRadiator box, const BoxChange& by) {
    box.Vb *= by.volume;
    box.fp *= by.tuning;
    box.QL *= by.loss;
    return box;
}

} // namespace yf::box
