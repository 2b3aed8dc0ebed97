// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/driver/vas.h"

#include "core/quantity/air.h"
#include "core/text/given.h"
#include "core/text/number.h"

#include <cmath>
#include <numbers>

namespace yf::driver {

namespace {

constexpr double pi = std::numbers::pi;

double stiffnessOfAir() {
    return quantity::airDensity * quantity::soundSpeed * quantity::soundSpeed;
}

} // namespace

std::optional<Error> check(const AddedMassRequest& r) {
    if (r.Sd.has_value() == r.diameter.has_value()) {
        return Error{
            "Sd_m2", r.Sd ? "given beside diameter_m" : "missing", "must be given, or diameter_m"};
    }
    if (r.fsLoaded >= r.fs) {
        return Error{"fs_loaded_hz",
                     text::given(text::printNumber(r.fsLoaded)),
                     say(YF_WORDS("core", "must be below fs_hz %1"), text::printNumber(r.fs))};
    }
    return std::nullopt;
}

Result<AddedMass> addedMass(const AddedMassRequest& r) {
    const double Sd = r.Sd ? *r.Sd : pi * *r.diameter * *r.diameter / 4.0;
    const double q = (r.fs / r.fsLoaded) * (r.fs / r.fsLoaded);
    const double w = 2.0 * pi * r.fs;
    AddedMass a;
    a.Mms = r.mass / (q - 1.0);
    a.Cms = 1.0 / (w * w * a.Mms);
    a.Vas = stiffnessOfAir() * Sd * Sd * a.Cms;
    if (r.Re && r.Qes) {
        a.Bl = std::sqrt(w * a.Mms * *r.Re / *r.Qes);
    }
    if (r.Qms) {
        a.Rms = w * a.Mms / *r.Qms;
    }
    const double pull = 2.0 * q / (q - 1.0);
    a.MmsU = std::hypot(r.massU, pull * std::hypot(r.fsU, r.fsLoadedU));
    // Mms and Cms share fs: u of Vas from the whole formula.
    a.VasU = std::hypot(std::hypot(2.0 * r.SdU, r.massU),
                        std::hypot(2.0 / (q - 1.0) * r.fsU, pull * r.fsLoadedU));
    a.fall = 1.0 - r.fsLoaded / r.fs;
    constexpr double leastFall = 0.2;
    constexpr double mostFall = 0.5;
    constexpr double bestFall = 0.3;
    a.advice = a.fall < leastFall  ? MassAdvice::addMass
               : a.fall > mostFall ? MassAdvice::lessMass
                                   : MassAdvice::ok;
    a.recommendedMass = a.Mms * (1.0 / ((1.0 - bestFall) * (1.0 - bestFall)) - 1.0);
    return a;
}

std::optional<Error> check(const TestBoxRequest& r) {
    if (r.fc <= r.fs) {
        return Error{"fc_hz",
                     text::given(text::printNumber(r.fc)),
                     say(YF_WORDS("core", "must be above fs_hz %1"), text::printNumber(r.fs))};
    }
    if (r.Qec && !r.Qes) {
        return Error{"Qes", "missing", "Qec needs it"};
    }
    if (r.Qec && r.Qes && r.fc * *r.Qec <= r.fs * *r.Qes) {
        return Error{"Qec",
                     text::given(text::printNumber(*r.Qec)),
                     say(YF_WORDS("core", "must be above %1"),
                         text::printSignificant(r.fs * *r.Qes / r.fc, 4))};
    }
    return std::nullopt;
}

Result<TestBox> testBox(const TestBoxRequest& r) {
    TestBox b;
    const bool full = r.Qes && r.Qec;
    b.method = full ? BoxMethod::withQec : BoxMethod::frequenciesOnly;
    const double ratio = r.fc / r.fs;
    const double q = full ? ratio * *r.Qec / *r.Qes : ratio * ratio;
    b.alpha = q - 1.0;
    b.Vas = r.Vb * b.alpha;
    const double uq = full ? std::hypot(std::hypot(r.fsU, r.fcU), std::hypot(r.QesU, r.QecU))
                           : 2.0 * std::hypot(r.fsU, r.fcU);
    b.VasU = std::hypot(r.VbU, q / (q - 1.0) * uq);
    constexpr double leakBelow = 0.8;
    b.leakSuspected = full && r.Qms && r.Qmc && *r.Qmc < leakBelow * *r.Qms * *r.Qec / *r.Qes;
    constexpr double leastQ = 1.5;
    constexpr double mostQ = 6.0;
    b.advice = q < leastQ  ? BoxAdvice::smallerBox
               : q > mostQ ? BoxAdvice::largerBox
                           : BoxAdvice::ok;
    b.recommendedVb = 0.5 * b.Vas;
    return b;
}

} // namespace yf::driver
