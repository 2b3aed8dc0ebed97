// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/box/chambers.h"

namespace yf::box {

namespace {

Complex admittance(const Chamber& c, double w) {
    const Complex Z{c.R, -1.0 / (w * c.C)};
    return 1.0 / Z + c.G;
}

Complex admittance(const Branch& b, double w) {
    return b.there ? 1.0 / Complex{b.R, w * b.M - b.K / w} : Complex{};
}

// NOLINTNEXTLINE(bugprone-easily-swappable-parameters): the node, then both
double facing(int node, int front, int rear) {
    return (node == front ? 1.0 : 0.0) - (node == rear ? 1.0 : 0.0);
}

} // namespace

Flow Chambers::at(double w) const {
    if (rear == 0) {
        return {.out = 1.0};
    }
    const Complex y10 = admittance(outward[0], w);
    const Complex Y1 = admittance(air[0], w) + y10;
    // The cone pushes into the front node and draws from the rear one.
    const double q1 = facing(1, front, rear);
    if (air[1].C <= 0.0) {
        const Complex p1 = q1 / Y1;
        return {.load = -p1, .out = 1.0 + p1 * (air[0].G + y10), .to = {p1 * y10, {}}};
    }
    const Complex y20 = admittance(outward[1], w);
    const Complex y12 = admittance(inner, w);
    const Complex Y2 = admittance(air[1], w) + y20;
    const double q2 = facing(2, front, rear);
    const Complex a = Y1 + y12;
    const Complex d = Y2 + y12;
    const Complex det = a * d - y12 * y12;
    const Complex p1 = (q1 * d + q2 * y12) / det;
    const Complex p2 = (q2 * a + q1 * y12) / det;
    return {.load = (front == 2 ? p2 : Complex{}) - p1,
            .out = (front == 0 ? 1.0 : 0.0) + p1 * (air[0].G + y10) + p2 * (air[1].G + y20),
            .to = {p1 * y10, p2 * y20},
            .between = (p1 - p2) * y12};
}

} // namespace yf::box
