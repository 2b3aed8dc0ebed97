// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/box/bandpass.h"

namespace yf::box {

namespace {

constexpr double twoPi = 2.0 * std::numbers::pi;

} // namespace

Chambers chambersOf(const BandPass4& b, const Motor& motor, const Source& s) {
    Chambers c = chambersOf(Closed{.Vb = b.Vr, .gain = b.gain, .QA = b.QA}, motor, s);
    c.front = 2;
    const double wb = twoPi * b.fbFront;
    c.air[1] = portedChamber({.V = b.Vf, .wb = wb, .QL = b.QL}, s);
    c.outward[1] = portBranch(wb, c.air[1].C, b.QP);
    return c;
}

Chambers chambersOf(const BandPass6& b, const Motor& /*motor*/, const Source& s) {
    Chambers c{.front = 2, .rear = 1};
    const double wr = twoPi * b.fbRear;
    const double wf = twoPi * b.fbFront;
    c.air[0] = portedChamber({.V = b.Vr, .wb = wr, .QL = b.QL}, s);
    c.air[1] = portedChamber({.V = b.Vf, .wb = wf, .QL = b.QL}, s);
    const Branch rear = portBranch(wr, c.air[0].C, b.QP);
    (b.chaining == Chaining::parallel ? c.outward[0] : c.inner) = rear;
    c.outward[1] = portBranch(wf, c.air[1].C, b.QP);
    return c;
}

BandPass4 bandPassDesign(const Motor& motor, double Qbp, double S, const Source& source) {
    const double Qts = motor.QtsWith(source.resistance);
    const double ratio = Qbp / Qts;
    const double front = 2.0 * S * Qts;
    return {.Vr = motor.Vas / (ratio * ratio - 1.0),
            .Vf = motor.Vas * front * front,
            .fbFront = ratio * motor.fs,
            .QL = lossless};
}

BandPass4 changed(BandPass4 box, const BoxChange& by) {
    box.Vr *= by.volume;
    box.Vf *= by.volume;
    box.fbFront *= by.tuned();
    box.QL *= by.loss;
    return box;
}

BandPass6 changed(BandPass6 box, const BoxChange& by) {
    box.Vr *= by.volume;
    box.Vf *= by.volume;
    box.fbFront *= by.tuned();
    box.fbRear *= by.tuned();
    box.QL *= by.loss;
    return box;
}

} // namespace yf::box
