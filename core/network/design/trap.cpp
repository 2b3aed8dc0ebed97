// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/network/design/trap.h"

#include "core/quantity/level.h"
#include "core/text/given.h"
#include "core/text/number.h"

#include <cmath>
#include <numbers>
#include <utility>

namespace yf::network {

namespace {

constexpr double twoPi = 2.0 * std::numbers::pi;

Error need(const char* key) {
    return Error{key, "missing", "this kind needs it"};
}

Error dcrTooHigh(double dcr, double most) {
    return Error{"dcr_ohm",
                 text::given(text::printNumber(dcr)),
                 say(YF_WORDS("core", "must be below the resistance that the trap needs, %1"),
                     text::printNumber(most))};
}

std::optional<Error> checkEdges(const TrapRequest& r) {
    if (r.Q) {
        return r.low || r.high
                   ? std::optional(Error{"q", "given", "give either q or f_low_hz and f_high_hz"})
                   : std::nullopt;
    }
    if (!r.low || !r.high) {
        return Error{r.low    ? "f_high_hz"
                     : r.high ? "f_low_hz"
                              : "q",
                     "missing",
                     "give q, or f_low_hz and f_high_hz"};
    }
    if (*r.low >= *r.f0) {
        return Error{"f_low_hz",
                     text::given(text::printNumber(*r.low)),
                     say(YF_WORDS("core", "must be below f0_hz, %1"), text::printNumber(*r.f0))};
    }
    if (*r.high <= *r.f0) {
        return Error{"f_high_hz",
                     text::given(text::printNumber(*r.high)),
                     say(YF_WORDS("core", "must be above f0_hz, %1"), text::printNumber(*r.f0))};
    }
    return std::nullopt;
}

Result<Trap> inLine(const TrapRequest& r, double g, double Q) {
    const double omega = twoPi * *r.f0;
    const double R = *r.load * (g - 1.0);
    const double L = R / (omega * Q);
    // The winding's resistance detunes and damps: at f0 the coil is r + jω0L.
    const double square = r.dcr * r.dcr + omega * omega * L * L;
    const double left = 1.0 / R - r.dcr / square;
    if (r.dcr >= R) {
        return dcrTooHigh(r.dcr, R);
    }
    if (!(left > 0.0)) {
        // r/(r² + X²) = 1/R has its lower root where the coil alone damps as much as wanted.
        const double X = omega * L;
        return dcrTooHigh(r.dcr, 0.5 * (R - std::sqrt(std::max(R * R - 4.0 * X * X, 0.0))));
    }
    return Trap{.R = 1.0 / left, .L = L, .C = L / square, .Q = Q};
}

Result<Trap> across(const TrapRequest& r, double g, double Q) {
    const double omega = twoPi * *r.f0;
    const double before = *r.upstream * *r.load / (*r.upstream + *r.load);
    const double R = before / (g - 1.0);
    if (r.dcr >= R) {
        return dcrTooHigh(r.dcr, R);
    }
    const double L = R * Q / omega;
    return Trap{.R = R - r.dcr, .L = L, .C = 1.0 / (omega * omega * L), .Q = Q};
}

Result<Trap> againstResonance(const TrapRequest& r) {
    const double omega = twoPi * *r.fs;
    const double R = *r.Re * (1.0 + *r.Qes / *r.Qms);
    if (r.dcr >= R) {
        return dcrTooHigh(r.dcr, R);
    }
    return Trap{.R = R - r.dcr,
                .L = *r.Re * *r.Qes / omega,
                .C = 1.0 / (omega * *r.Re * *r.Qes),
                .Q = *r.Qes * *r.Qms / (*r.Qes + *r.Qms)};
}

} // namespace

std::optional<Error> check(const TrapRequest& r) {
    const auto firstMissing =
        [](std::initializer_list<std::pair<const std::optional<double>*, const char*>> keys)
        -> std::optional<Error> {
        for (const auto& [value, key] : keys) {
            if (!*value) {
                return need(key);
            }
        }
        return std::nullopt;
    };
    if (r.kind == TrapKind::resonance) {
        return firstMissing(
            {{&r.Re, "Re_ohm"}, {&r.fs, "fs_hz"}, {&r.Qms, "Qms"}, {&r.Qes, "Qes"}});
    }
    if (auto error =
            firstMissing({{&r.f0, "f0_hz"}, {&r.height, "height_db"}, {&r.load, "load_ohm"}})) {
        return error;
    }
    if (r.kind == TrapKind::shunt && !r.upstream) {
        return Error{"upstream_ohm",
                     "missing",
                     "without a resistance before it a trap across the driver does nothing"};
    }
    return checkEdges(r);
}

Result<Trap> trap(const TrapRequest& r) {
    if (r.kind == TrapKind::resonance) {
        return againstResonance(r);
    }
    const double g = quantity::gain(*r.height);
    const double Q = r.Q ? *r.Q : std::sqrt(g) * *r.f0 / (*r.high - *r.low);
    return r.kind == TrapKind::series ? inLine(r, g, Q) : across(r, g, Q);
}

} // namespace yf::network
