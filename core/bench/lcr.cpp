// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/bench/lcr.h"

#include "core/text/given.h"
#include "core/text/number.h"

#include <cmath>
#include <numbers>

namespace yf::bench {

namespace {

using Complex = std::complex<double>;

constexpr double matchR = 0.10;
constexpr double matchL = 0.15;
constexpr double aboveResonance = 5.0;
/// A coil's reactance at the usual meter frequencies stays near its nominal impedance or below.
constexpr double doubtfulReactance = 2.0;

double omegaOf(const LcrRequest& r) {
    return 2.0 * std::numbers::pi * r.frequency;
}

/// What the meter showed, as Z with the leads off.
Complex seriesOf(double R, double L, bool parallel, const LcrRequest& r) {
    const double X = omegaOf(r) * L;
    Complex Z{R, X};
    if (parallel) {
        const Complex jX{0.0, X};
        Z = X == 0.0 || R == 0.0 ? Complex{} : R * jX / (R + jX);
    }
    return Z - r.leads;
}

struct Ratios {
    double R{};
    double L{};
};

LcrClass judge(const Ratios& ratio) {
    const bool lowR = ratio.R < 1.0 - matchR;
    const bool lowL = ratio.L < 1.0 - matchL;
    const bool goodR = std::abs(ratio.R - 1.0) <= matchR;
    const bool goodL = std::abs(ratio.L - 1.0) <= matchL;
    if (goodR && goodL) {
        return LcrClass::match;
    }
    if (lowR && lowL) {
        return LcrClass::shortedTurns;
    }
    if (lowR && goodL) {
        return LcrClass::lowR;
    }
    return lowL && goodR ? LcrClass::lowL : LcrClass::otherMismatch;
}

/// One reading of the meter: what it says if it is shown so.
struct Reading {
    Complex Z;
    LcrClass kind{LcrClass::noReference};
    std::optional<Ratios> ratios;
};

Result<Reading> readAs(bool parallel, const LcrRequest& r, const std::optional<Complex>& model) {
    Reading reading{.Z = seriesOf(**r.r, r.l, parallel, r)};
    if (reading.Z.real() < 0.0) {
        return Error{"lead_ohm",
                     text::given(text::printNumber(r.leads)),
                     say(YF_WORDS("core", "must be at most the series resistance, %1"),
                         text::printSignificant(reading.Z.real() + r.leads, 4))};
    }
    std::optional<Complex> reference = model;
    if (r.twinR) {
        reference = seriesOf(*r.twinR, *r.twinL, parallel, r);
    }
    if (reference && reference->real() > 0.0 && reference->imag() != 0.0) {
        reading.ratios = {reading.Z.real() / reference->real(),
                          reading.Z.imag() / reference->imag()};
        reading.kind = judge(*reading.ratios);
    }
    return reading;
}

} // namespace

std::optional<double> meterFrequency(double fs) {
    for (const double f : {100.0, 120.0, 1000.0, 10000.0, 100000.0}) {
        if (f >= aboveResonance * fs) {
            return f;
        }
    }
    return std::nullopt;
}

Result<LcrJudgement> lcr(const LcrRequest& r) {
    if (!r.r) {
        return Error{"r_ohm",
                     "missing",
                     YF_WORDS("core", "must be 0 to 1e+09, or null for an open reading")};
    }
    if (r.twinR.has_value() != r.twinL.has_value()) {
        return Error{r.twinR ? "twin_l_h" : "twin_r_ohm",
                     "missing",
                     YF_WORDS("core", "a twin has both readings")};
    }
    YF_TRY(model, driver::modelOf(r.model));
    LcrJudgement out;
    if (r.model.fs) {
        out.coneInReading = r.frequency < aboveResonance * *r.model.fs;
        out.recommended = meterFrequency(*r.model.fs);
    }
    if (!*r.r) {
        out.kind = LcrClass::open;
        return out;
    }
    std::optional<Complex> reference = r.measured;
    if (model && !reference) {
        reference = driver::impedance(*model, {r.frequency}).front();
    }
    YF_TRY(first, readAs(r.mode == LcrMode::parallel, r, reference));
    out.kind = first.kind;
    if (r.mode == LcrMode::unknown) {
        YF_TRY(other, readAs(true, r, reference));
        out.kindIfSeries = first.kind;
        out.kindIfParallel = other.kind;
        if (first.kind != other.kind) {
            out.kind = LcrClass::dependsOnMode;
        }
    }
    out.r = first.Z.real();
    out.l = first.Z.imag() / omegaOf(r);
    out.modulus = std::abs(first.Z);
    out.phase = std::arg(first.Z);
    if (first.ratios) {
        out.ratioR = first.ratios->R;
        out.ratioL = first.ratios->L;
    }
    out.modeDoubtful =
        r.mode != LcrMode::parallel && r.nominal && first.Z.imag() > doubtfulReactance * *r.nominal;
    out.danger = out.kind == LcrClass::shortedTurns;
    return out;
}

std::optional<std::string> lcrOutcome(LcrClass kind) {
    switch (kind) {
    case LcrClass::match:
        return "match";
    case LcrClass::shortedTurns:
        return "low_r_low_l";
    case LcrClass::lowR:
    case LcrClass::lowL:
    case LcrClass::otherMismatch:
        return "other_mismatch";
    case LcrClass::open:
        return "open";
    case LcrClass::noReference:
    case LcrClass::dependsOnMode:
        return std::nullopt;
    }
    return std::nullopt;
}

} // namespace yf::bench
