// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/measure/compare.h"

#include "core/curve/interpolate.h"
#include "core/curve/smooth.h"
#include "core/quantity/level.h"
#include "core/text/given.h"
#include "core/text/number.h"

#include <algorithm>
#include <cmath>

namespace yf::measure {

namespace {

using text::printNumber;

struct Flatness {
    double deviation{};
    double spread{};
};

Flatness flatness(const std::vector<double>& u, const std::vector<double>& level, Trend trend) {
    const auto n = static_cast<double>(u.size());
    double su = 0.0;
    double sl = 0.0;
    double suu = 0.0;
    double sul = 0.0;
    for (std::size_t i = 0; i < u.size(); ++i) {
        su += u[i];
        sl += level[i];
        suu += u[i] * u[i];
        sul += u[i] * level[i];
    }
    const double det = n * suu - su * su;
    const double slope = trend == Trend::line && det > 0.0 ? (n * sul - su * sl) / det : 0.0;
    const double start = (sl - slope * su) / n;
    double sum = 0.0;
    double most = -1e300;
    double least = 1e300;
    for (std::size_t i = 0; i < u.size(); ++i) {
        const double rest = level[i] - start - slope * u[i];
        sum += rest * rest;
        most = std::max(most, rest);
        least = std::min(least, rest);
    }
    return {std::sqrt(sum / n), 0.5 * (most - least)};
}

std::vector<double> levelsAt(const curve::Curve& c, int fraction, const curve::Axis& axis) {
    std::vector<double> levels;
    if (fraction > 0) {
        for (const auto& v : curve::smoothedAt(c, fraction, curve::Smoothing::power, 0.0, axis)) {
            levels.push_back(20.0 * std::log10(std::abs(v)));
        }
        return levels;
    }
    const auto values = curve::interpolate(c, axis);
    for (const auto& v : values.value()) {
        levels.push_back(20.0 * std::log10(std::abs(v)));
    }
    return levels;
}

struct Wanted {
    curve::Range range;
    Normalise normalise{};
    curve::Range normaliseWithin;
    int fraction{};
    Trend trend{};
};

Comparison compared(const curve::Curve& a, const curve::Curve& b, const Wanted& wanted) {
    Comparison c;
    c.frequencies = curve::within(curve::designAxis(), wanted.range.from, wanted.range.to);
    if (c.frequencies.size() < 2) {
        c.frequencies = curve::within(a.frequencies(), wanted.range.from, wanted.range.to);
    }
    const auto la = levelsAt(a, wanted.fraction, c.frequencies);
    const auto lb = levelsAt(b, wanted.fraction, c.frequencies);
    double sum = 0.0;
    int count = 0;
    for (std::size_t i = 0; i < la.size(); ++i) {
        if (wanted.normaliseWithin.holds(c.frequencies[i])) {
            sum += lb[i] - la[i];
            ++count;
        }
    }
    const double mean = count > 0 ? sum / count : 0.0;
    c.offset = mean;
    const double taken = wanted.normalise == Normalise::mean ? mean : 0.0;
    std::vector<double> u;
    double squares = 0.0;
    double plain = 0.0;
    for (std::size_t i = 0; i < la.size(); ++i) {
        const double d = lb[i] - la[i] - taken;
        c.difference.push_back(d);
        u.push_back(std::log(c.frequencies[i]));
        squares += d * d;
        plain += d;
        if (std::abs(d) > c.maxDifference || i == 0) {
            c.maxDifference = std::abs(d);
            c.maxAt = c.frequencies[i];
        }
    }
    const auto n = static_cast<double>(la.size());
    c.rmsDifference = std::sqrt(squares / n);
    c.meanDifference = plain / n;
    const Flatness fa = flatness(u, la, wanted.trend);
    const Flatness fb = flatness(u, lb, wanted.trend);
    c.deviationA = fa.deviation;
    c.spreadA = fa.spread;
    c.deviationB = fb.deviation;
    c.spreadB = fb.spread;
    return c;
}

} // namespace

std::optional<Error> check(const CompareRequest& r) {
    if (r.from && r.to && !(*r.from < *r.to)) {
        return Error{"to_hz",
                     text::given(printNumber(*r.to)),
                     say(YF_WORDS("core", "must be above from_hz %1"), printNumber(*r.from))};
    }
    if (r.normaliseFrom && r.normaliseTo && !(*r.normaliseFrom < *r.normaliseTo)) {
        return Error{"normalise_to_hz",
                     text::given(printNumber(*r.normaliseTo)),
                     say(YF_WORDS("core", "must be above normalise_from_hz %1"),
                         printNumber(*r.normaliseFrom))};
    }
    return std::nullopt;
}

Result<Comparison> compare(const CompareRequest& r) {
    const curve::Curve a = toCurve(r.a);
    const curve::Curve b = toCurve(r.b);
    constexpr double lowest = 20.0;
    constexpr double highest = 20000.0;
    const curve::Range common{std::max(a.extent().from, b.extent().from),
                              std::min(a.extent().to, b.extent().to)};

    const struct {
        const char* key;
        std::optional<double> given;
    } ends[] = {{"from_hz", r.from}, {"to_hz", r.to}};

    for (const auto& end : ends) {
        // To rounding: the end of a table may be the very end that is asked for.
        constexpr double rounding = 1e-9;
        if (end.given && (*end.given < common.from * (1.0 - rounding) ||
                          *end.given > common.to * (1.0 + rounding))) {
            return Error{
                end.key,
                text::given(printNumber(*end.given)),
                common.from < common.to
                    ? say(YF_WORDS("core", "must lie where both curves have data, %1 to %2"),
                          printNumber(common.from),
                          printNumber(common.to))
                    : "the curves have no band in common"};
        }
    }
    const curve::Range range{std::max(r.from.value_or(lowest), common.from),
                             std::min(r.to.value_or(highest), common.to)};
    if (!(range.from < range.to) ||
        (curve::within(curve::designAxis(), range.from, range.to).size() < 2 &&
         curve::within(a.frequencies(), range.from, range.to).size() < 2)) {
        return Error{"curve_b.frequencies_hz",
                     say(YF_WORDS("core", "%1 to %2 Hz"),
                         printNumber(b.extent().from),
                         printNumber(b.extent().to)),
                     "has no band in common with curve_a and the range asked for"};
    }
    return compared(a,
                    b,
                    {.range = range,
                     .normalise = r.normalise,
                     .normaliseWithin = {r.normaliseFrom.value_or(range.from),
                                         r.normaliseTo.value_or(range.to)},
                     .fraction = r.fraction,
                     .trend = r.trend});
}

std::optional<Comparison> compareCurves(const curve::Curve& a,
                                        const curve::Curve& b,
                                        curve::Range range,
                                        Normalise normalise) {
    range.from = std::max({range.from, a.extent().from, b.extent().from});
    range.to = std::min({range.to, a.extent().to, b.extent().to});
    if (!(range.from < range.to) ||
        curve::within(curve::designAxis(), range.from, range.to).size() < 2) {
        return std::nullopt;
    }
    return compared(a, b, {.range = range, .normalise = normalise, .normaliseWithin = range});
}

double midLevel(const curve::Curve& curve) {
    constexpr curve::Range middle{300.0, 3000.0};
    constexpr double least = 1e-12; // of nothing there is no level
    double sum = 0.0;
    int count = 0;
    for (std::size_t k = 0; k < curve.size(); ++k) {
        const double f = curve.frequencies()[k];
        if (middle.holds(f) && curve.trusted().holds(f)) {
            sum += quantity::decibels(std::max(std::abs(curve.values()[k]), least));
            ++count;
        }
    }
    return count > 0 ? sum / count : 0.0;
}

} // namespace yf::measure
