// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/box/driver.h"

#include "core/text/number.h"

#include <cmath>

namespace yf::box {

namespace {

constexpr double pi = std::numbers::pi;

/// Compliance of one driver.
double CmsOf(const Driver& d, const Source& s) {
    return d.Vas / (s.rho * s.c * s.c * d.Sd * d.Sd);
}

double MmsOf(const Driver& d, const Source& s) {
    const double w = 2.0 * pi * d.fs;
    return 1.0 / (w * w * CmsOf(d, s));
}

} // namespace

std::optional<Error> check(const Driver& d) {
    const auto missing = [](const char* key, const char* model) {
        return Error{key, "missing", say(YF_WORDS("core", "inductance_model %1 needs it"), model)};
    };
    if (d.coil == Coil::leach && !d.leachK) {
        return missing("leach_k", "leach");
    }
    if (d.coil == Coil::leach && !d.leachN) {
        return missing("leach_n", "leach");
    }
    if (d.coil == Coil::lr2 && !d.L2) {
        return missing("L2_h", "lr2");
    }
    if (d.coil == Coil::lr2 && !d.R2) {
        return missing("R2_ohm", "lr2");
    }
    if (d.isobaric && d.count() % 2 != 0) {
        return Error{"isobaric",
                     d.count() == 1 ? Words(YF_WORDS("core", "true given with 1 driver"))
                                    : say(YF_WORDS("core", "true given with %1 drivers"),
                                          std::to_string(d.count())),
                     "isobaric drivers come in pairs: drivers_in_series times drivers_in_parallel "
                     "must be even"};
    }
    return std::nullopt;
}

std::complex<double> Motor::coilImpedance(double w) const {
    const std::complex<double> s{0.0, w};
    switch (coil) {
    case Coil::ideal:
        return s * Le;
    case Coil::leach:
        return std::polar(K * std::pow(w, n), 0.5 * n * pi);
    case Coil::lr2: {
        const std::complex<double> a = s * L2;
        return s * Le + (R2 > 0.0 ? a * R2 / (a + R2) : 0.0);
    }
    }
    return {};
}

Motor motorOf(const Driver& d, const Source& s) {
    const double Cms = CmsOf(d, s);
    const double Mms = MmsOf(d, s);
    const double w = 2.0 * pi * d.fs;
    const double n = d.count();
    const double m = d.isobaric ? 2.0 : 1.0;
    const double ohms = static_cast<double>(d.inSeries) / d.inParallel;
    return {.Re = d.Re * ohms,
            .Bl = d.inSeries * std::sqrt(w * Mms * d.Re / d.Qes),
            .M = n * Mms,
            .R = n * w * Mms / d.Qms,
            .C = Cms / n,
            .S = n * d.Sd / m,
            .fs = d.fs,
            .Qms = d.Qms,
            .Qes = d.Qes,
            .Vas = n * d.Vas / (m * m),
            .coil = d.coil,
            .Le = d.Le * ohms,
            .K = d.leachK.value_or(0.0) * ohms,
            .n = d.leachN.value_or(1.0),
            .L2 = d.L2.value_or(0.0) * ohms,
            .R2 = d.R2.value_or(0.0) * ohms,
            .Xmax = d.Xmax,
            .power = d.power};
}

double eta0(const Motor& m, const Source& s) {
    return 4.0 * pi * pi / (s.c * s.c * s.c) * m.fs * m.fs * m.fs * m.Vas / m.Qes;
}

double asymptote(const Motor& m, const Source& s) {
    return s.rho * m.S * m.Bl * s.voltage / (s.angle() * s.distance * (m.Re + s.resistance) * m.M);
}

double sensitivity(const Motor& m, const Source& s) {
    return quantity::decibels(asymptote(m, {.resistance = s.resistance, .rho = s.rho, .c = s.c}) /
                              quantity::referencePressure);
}

bool vasPlausible(const Driver& d, const Source& s) {
    constexpr double lightest = 0.2;
    constexpr double heaviest = 12.0;
    const double share = MmsOf(d, s) / d.Sd;
    return share >= lightest && share <= heaviest;
}

} // namespace yf::box
