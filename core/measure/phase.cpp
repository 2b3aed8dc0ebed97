// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/measure/phase.h"

#include "core/curve/interpolate.h"
#include "core/curve/minimum_phase.h"
#include "core/quantity/air.h"
#include "core/signal/group_delay.h"
#include "core/text/given.h"
#include "core/text/number.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::measure {

namespace {

using curve::Complex;
using text::printNumber;

constexpr double twoPi = 2.0 * std::numbers::pi;

std::optional<Error> checkRange(const std::optional<double>& from,
                                const std::optional<double>& to) {
    if (from && to && !(*from < *to)) {
        return Error{"to_hz",
                     text::given(printNumber(*to)),
                     say(YF_WORDS("core", "must be above from_hz %1"), printNumber(*from))};
    }
    return std::nullopt;
}

struct Fitted {
    signal::DelayFit fit;
    std::optional<signal::Impulse> impulse;
};

Result<Fitted> fitted(const DelayRequest& request) {
    Fitted result;
    std::optional<curve::Curve> response;
    double near = 0.0;
    constexpr double reach = 6e-3; // s
    if (request.impulse.given()) {
        YF_TRY(impulse, impulseOf(request.impulse));
        near = signal::peakTime(impulse);
        const double rest = std::max(impulse.duration() - impulse.timeZero - near, 1e-3);
        const signal::Gate wide{
            .left = reach, .right = std::min(request.gate, rest), .taper = 0.25};
        const curve::Axis axis = curve::within(
            curve::designAxis(), wide.lowestValid(), std::min(20000.0, 0.45 * impulse.rate));
        if (axis.size() < 2) {
            return Error{
                "gate_s", text::given(printNumber(request.gate)), "too short for any frequency"};
        }
        response.emplace(axis, signal::gatedResponse(impulse, near, wide, axis), curve::Phase::own);
        result.impulse = std::move(impulse);
    } else {
        response.emplace(toCurve({.frequencies = request.frequencies,
                                  .levels = request.levels,
                                  .phases = request.phases}));
        near = curve::bulkDelay(*response);
    }
    std::optional<curve::Range> band;
    if (request.from || request.to) {
        const curve::Range loud = signal::loudStretch(*response, 20.0);
        band = curve::Range{request.from.value_or(loud.from), request.to.value_or(loud.to)};
    }
    const auto fit = signal::excessDelay(*response, near, reach, band);
    if (!fit) {
        return Error{request.impulse.given() ? "impulse" : "frequencies_hz",
                     "fewer than 6 points in the band of the fit",
                     "the response must be there and reach over more of it"};
    }
    result.fit = *fit;
    return result;
}

} // namespace

std::optional<Error> check(const MinPhaseRequest& request) {
    if (auto error = check(request.curve)) {
        return error;
    }
    return checkRange(request.from, request.to);
}

Result<MinPhase> minPhase(const MinPhaseRequest& request) {
    const curve::Curve whole = toCurve(request.curve);
    const curve::Range range{
        std::max(request.from.value_or(whole.extent().from), whole.extent().from),
        std::min(request.to.value_or(whole.extent().to), whole.extent().to)};
    if (curve::within(whole.frequencies(), range.from, range.to).size() < 2) {
        return Error{"from_hz", "fewer than 2 points in the range", "must leave 2 or more"};
    }
    const curve::Curve curve = whole.trustedWithin(range);
    const curve::Tails own = curve::fittedTails(curve);
    const curve::Tails tails{request.lowSlope ? request.lowSlope : own.low,
                             request.highSlope ? request.highSlope : own.high};
    MinPhase result{.frequencies = curve.frequencies(),
                    .minimum = curve::minimumPhase(curve, tails),
                    .lowSlope = *tails.low,
                    .highSlope = *tails.high,
                    .groupDelay = signal::groupDelay(curve)};
    if (request.curve.hasPhase()) {
        std::vector<Complex> rest;
        for (std::size_t i = 0; i < curve.size(); ++i) {
            rest.push_back(curve.values()[i] * std::polar(1.0, -result.minimum[i]));
        }
        const auto fit = signal::excessDelay(curve, curve::bulkDelay(curve), 6e-3);
        const double delay = fit ? fit->delay : 0.0;
        std::vector<double> excess;
        for (std::size_t i = 0; i < rest.size(); ++i) {
            excess.push_back(
                std::arg(rest[i] * std::polar(1.0, twoPi * curve.frequencies()[i] * delay)));
        }
        result.excess = std::move(excess);
        if (fit) {
            result.delay = fit->delay;
            result.offset = fit->offset;
            result.residual = fit->residual;
        }
    }
    return result;
}

std::optional<Error> check(const DelayRequest& request) {
    if (request.impulse.given() != request.frequencies.empty()) {
        return request.impulse.given()
                   ? Error{"frequencies_hz",
                           "given beside an impulse response",
                           "must be one of both"}
                   : Error{"impulse_file", "missing", "must be given, or a curve with phases_deg"};
    }
    if (!request.impulse.given()) {
        if (request.phases.empty()) {
            return Error{"phases_deg", "missing", "a delay is seen in phases only"};
        }
        if (auto error = check(CurveKeys{request.frequencies, request.levels, request.phases})) {
            return error;
        }
    }
    return checkRange(request.from, request.to);
}

Result<Delay> delay(const DelayRequest& request) {
    YF_TRY(found, fitted(request));
    const signal::DelayFit& fit = found.fit;
    Delay result{.delay = fit.delay,
                 .distance = fit.delay * quantity::soundSpeedAt(request.temperature),
                 .u = fit.u,
                 .offset = fit.offset,
                 .residual = fit.residual,
                 .from = fit.band.from,
                 .to = fit.band.to};
    if (found.impulse) {
        result.peak = signal::peakTime(*found.impulse);
        result.onset = signal::onsetTime(*found.impulse);
    }
    return result;
}

Result<PolarityFound> polarity(const DelayRequest& request) {
    YF_TRY(found, fitted(request));
    const signal::DelayFit& fit = found.fit;
    PolarityFound result{.polarity = std::string(signal::polarityName(signal::polarityOf(fit))),
                         .confidence = fit.confidence(),
                         .offset = fit.offset,
                         .residual = fit.residual,
                         .from = fit.band.from,
                         .to = fit.band.to};
    if (found.impulse) {
        result.peakSign = signal::peakIsPositive(*found.impulse) ? "positive" : "negative";
    }
    return result;
}

} // namespace yf::measure
