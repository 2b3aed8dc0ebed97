// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/box/closed.h"

#include "core/text/given.h"
#include "core/text/number.h"

#include <cmath>

namespace yf::box {

namespace {

/// Qtc of a given stiffening; rises with α.
// NOLINTNEXTLINE(bugprone-easily-swappable-parameters): in the order of the equation
double QtcOf(double alpha, double Qts, double QA) {
    return 1.0 / (1.0 / (Qts * std::sqrt(1.0 + alpha)) + alpha / ((1.0 + alpha) * QA));
}

/// Beyond it no box is one.
constexpr double stiffest = 1e6;

/// α that gives Qtc. Without absorption in closed form, else by halving: one root above Qts.
double alphaFor(double Qtc, double Qts, double QA) {
    const double plain = Qtc * Qtc / (Qts * Qts) - 1.0;
    if (QA >= lossless) {
        return plain;
    }
    double low = 0.0;
    double high = plain + 1.0;
    while (QtcOf(high, Qts, QA) < Qtc && high < stiffest) {
        high *= 2.0;
    }
    constexpr int halvings = 80;
    for (int i = 0; i < halvings; ++i) {
        const double middle = 0.5 * (low + high);
        (QtcOf(middle, Qts, QA) < Qtc ? low : high) = middle;
    }
    return 0.5 * (low + high);
}

} // namespace

Chambers chambersOf(const Closed& box, const Motor& motor, const Source& s) {
    Chambers c{.rear = 1};
    c.air[0].C = box.gain * box.Vb / (s.rho * s.c * s.c);
    const double w0 =
        2.0 * std::numbers::pi * motor.fs * std::sqrt(1.0 + motor.Vas / (box.gain * box.Vb));
    c.air[0].R = box.QA >= lossless ? 0.0 : 1.0 / (w0 * c.air[0].C * box.QA);
    c.air[0].G = box.QL >= lossless ? 0.0 : w0 * c.air[0].C / box.QL;
    return c;
}

double f3OverFc(double Qtc) {
    const double x = 1.0 / (Qtc * Qtc) - 2.0;
    return std::sqrt(0.5 * (x + std::sqrt(x * x + 4.0)));
}

ClosedSystem closedSystem(const Motor& motor, const Closed& box, const Source& source) {
    ClosedSystem s{.alpha = motor.Vas / (box.gain * box.Vb)};
    s.fc = motor.fs * std::sqrt(1.0 + s.alpha);
    s.Qtc = QtcOf(s.alpha, motor.QtsWith(source.resistance), box.QA);
    s.f3 = s.fc * f3OverFc(s.Qtc);
    const double Q2 = s.Qtc * s.Qtc;
    if (Q2 > 0.5) {
        const double peak = quantity::decibels(Q2 / std::sqrt(Q2 - 0.25));
        constexpr double least = 0.01;
        if (peak >= least) {
            s.peak = peak;
            s.peakAt = s.fc / std::sqrt(1.0 - 0.5 / Q2);
        }
    }
    return s;
}

std::optional<Error> check(const ClosedRequest& r) {
    if (auto error = check(r.driver)) {
        return error;
    }
    if (r.Vb.has_value() == r.Qtc.has_value()) {
        return Error{"Vb_l",
                     r.Vb ? "given together with Qtc" : "missing, and so is Qtc",
                     "exactly one of Vb_l and Qtc must be given"};
    }
    return std::nullopt;
}

Result<ClosedAnswer> closed(const ClosedRequest& r) {
    const Motor motor = motorOf(r.driver, r.source);
    const double Qts = motor.QtsWith(r.source.resistance);
    Closed box{.gain = r.gain, .QA = r.QA};
    if (r.Vb) {
        box.Vb = *r.Vb;
    } else {
        const double least = Qts * (1.0 + 1e-6);
        if (*r.Qtc <= least) {
            return Error{"Qtc",
                         text::given(text::printNumber(*r.Qtc)),
                         say(YF_WORDS("core",
                                      "must be above the driver's own Q with its source, %1: a box "
                                      "can only raise it. Choose a higher Qtc, an open or infinite "
                                      "baffle, less source resistance, or a damped vent"),
                             text::printFixed(Qts, 4))};
        }
        const double most = QtcOf(stiffest, Qts, r.QA);
        if (*r.Qtc >= most) {
            return Error{
                "Qtc",
                text::given(text::printNumber(*r.Qtc)),
                say(YF_WORDS("core",
                             "must be below %1, the most that the absorption leaves: raise QA"),
                    text::printFixed(most, 4))};
        }
        box.Vb = motor.Vas / (r.gain * alphaFor(*r.Qtc, Qts, r.QA));
    }
    const ClosedSystem s = closedSystem(motor, box, r.source);
    return ClosedAnswer{.Vb = box.Vb,
                        .Vab = box.gain * box.Vb,
                        .alpha = s.alpha,
                        .fc = s.fc,
                        .Qtc = s.Qtc,
                        .f3 = s.f3,
                        .peak = s.peak,
                        .peakAt = s.peakAt,
                        .eta0 = eta0(motor, r.source),
                        .sensitivity = sensitivity(motor, r.source),
                        .vasPlausible = vasPlausible(r.driver, r.source)};
}

Closed changed(Closed box, const BoxChange& by) {
    box.Vb *= by.volume;
    return box;
}

} // namespace yf::box
