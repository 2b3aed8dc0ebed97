// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/box/motion.h"

#include <cmath>

namespace yf::box {

namespace {

constexpr double twoPi = 2.0 * std::numbers::pi;
constexpr Complex j{0.0, 1.0};

} // namespace

System systemOf(const Driver& driver, const Box& box, const Source& source) {
    const Motor motor = motorOf(driver, source);
    return {.motor = motor, .source = source, .chambers = chambersOf(box, motor, source)};
}

Motion motionAt(const System& s, double f) {
    const double w = twoPi * f;
    const Motor& m = s.motor;
    Motion out{.flow = s.chambers.at(w)};
    const Complex coil = s.withInductance ? m.coilImpedance(w) : Complex{};
    const Complex Ze = m.Re + s.source.resistance + coil +
                       (s.withInductance ? j * w * s.source.inductance : Complex{});
    const Complex Zm = Complex{m.R, w * m.M - 1.0 / (w * m.C)} + m.S * m.S * out.flow.load;
    out.u = (m.Bl * s.source.voltage / Ze) / (Zm + m.Bl * m.Bl / Ze);
    out.Su = m.S * out.u;
    out.Z = m.Re + coil + m.Bl * m.Bl / Zm;
    out.p = j * w * s.source.rho * out.flow.out * out.Su / (s.source.angle() * s.source.distance);
    if (s.chambers.dipolePath > 0.0) {
        out.p *= 1.0 - std::exp(-j * w * s.chambers.dipolePath / s.source.c);
    }
    return out;
}

double travel(const Motion& motion, double f) {
    return std::numbers::sqrt2 * std::abs(motion.u) / (twoPi * f);
}

double groupDelay(const System& s, double f) {
    constexpr double share = 1e-4;
    const Complex ratio = motionAt(s, f * (1.0 + share)).p / motionAt(s, f * (1.0 - share)).p;
    return -std::arg(ratio) / (2.0 * share * twoPi * f);
}

double levelReAsymptote(const System& s, double f) {
    return quantity::decibels(std::abs(motionAt(s, f).p) / asymptote(s.motor, s.source));
}

double upperLimit(const Driver& driver, const Source& source) {
    return source.c / (twoPi * std::sqrt(driver.Sd / std::numbers::pi));
}

} // namespace yf::box
