// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/speaker/null_test.h"

#include "core/curve/interpolate.h"
#include "core/quantity/level.h"
#include "core/speaker/crossover.h"
#include "core/text/given.h"
#include "core/text/number.h"

#include <algorithm>
#include <cmath>
#include <complex>
#include <numbers>

namespace yf::speaker {

namespace {

using measure::CurveKeys;

double decibelsOf(double p) {
    return 10.0 * std::log10(std::max(p, 1e-30));
}

/// Powers of all curves on one axis; empty where a curve is not given.
struct Sums {
    curve::Axis axis;
    std::vector<double> normal;
    std::vector<double> reversed;
    std::vector<double> first;
    std::vector<double> second;
};

const std::optional<CurveKeys>* curvesOf(const NullTestRequest& r, std::size_t index) {
    const std::optional<CurveKeys>* all[] = {&r.normal, &r.reversed, &r.first, &r.second};
    return all[index];
}

Result<Sums> onOneAxis(const NullTestRequest& r) {
    constexpr std::size_t count = 4;
    double from = 0.0;
    double to = 1e9;
    for (std::size_t i = 0; i < count; ++i) {
        if (const auto& keys = *curvesOf(r, i)) {
            from = std::max(from, keys->frequencies.front());
            to = std::min(to, keys->frequencies.back());
        }
    }
    Sums sums;
    for (const double f : r.normal->frequencies) {
        if (f >= from && f <= to) {
            sums.axis.push_back(f);
        }
    }
    constexpr std::size_t leastPoints = 3;
    if (sums.axis.size() < leastPoints) {
        return Error{
            "normal",
            YF_WORDS("core", "shares no range with the others"),
            YF_WORDS("core", "all curves must hold the same frequencies about the crossover")};
    }
    std::vector<double>* rows[] = {&sums.normal, &sums.reversed, &sums.first, &sums.second};
    for (std::size_t i = 0; i < count; ++i) {
        if (const auto& keys = *curvesOf(r, i)) {
            CurveKeys bare = *keys;
            bare.phases.reset();
            YF_TRY(values, curve::interpolate(measure::toCurve(bare), sums.axis));
            for (const auto& v : values) {
                rows[i]->push_back(std::norm(v));
            }
        }
    }
    return sums;
}

/// Where the levels meet, with what lies there.
std::optional<double> meetingOf(const Sums& sums) {
    std::vector<curve::Complex> a;
    std::vector<curve::Complex> b;
    for (std::size_t k = 0; k < sums.axis.size(); ++k) {
        a.emplace_back(std::sqrt(sums.first[k]));
        b.emplace_back(std::sqrt(sums.second[k]));
    }
    const auto found = crossover({sums.axis, a, b});
    return found ? std::optional(found->fx) : std::nullopt;
}

/// Value at a frequency, linear in ln f between points.
double at(const curve::Axis& axis, const std::vector<double>& values, double f) {
    const auto above = std::ranges::lower_bound(axis, f);
    const auto k = std::clamp<std::ptrdiff_t>(
        above - axis.begin(), 1, static_cast<std::ptrdiff_t>(axis.size()) - 1);
    const auto i = static_cast<std::size_t>(k);
    const double share =
        std::clamp(std::log(f / axis[i - 1]) / std::log(axis[i] / axis[i - 1]), 0.0, 1.0);
    return (1.0 - share) * values[i - 1] + share * values[i];
}

/// The reversed sum: as taken, or by the parallelogram.
std::vector<double> reversedOf(const Sums& sums) {
    if (!sums.reversed.empty()) {
        return sums.reversed;
    }
    std::vector<double> reversed;
    for (std::size_t k = 0; k < sums.axis.size(); ++k) {
        const double A = std::sqrt(sums.first[k]);
        const double B = std::sqrt(sums.second[k]);
        reversed.push_back(std::max(2.0 * (A * A + B * B) - sums.normal[k], (A - B) * (A - B)));
    }
    return reversed;
}

void putNotch(const Sums& sums, std::optional<double> fx, NullTestAnswer& answer) {
    const double half = std::numbers::sqrt2;
    std::vector<double> depth;
    std::vector<double> where;
    for (std::size_t k = 0; k < sums.axis.size(); ++k) {
        if (!fx || (sums.axis[k] >= *fx / half && sums.axis[k] <= *fx * half)) {
            depth.push_back(decibelsOf(sums.normal[k]) - decibelsOf(sums.reversed[k]));
            where.push_back(std::log(sums.axis[k]));
        }
    }
    if (depth.empty()) {
        return;
    }
    const auto most = static_cast<std::size_t>(std::ranges::max_element(depth) - depth.begin());
    answer.depth = depth[most];
    answer.notch = std::exp(where[most]);
    if (most > 0 && most + 1 < depth.size()) {
        // A parabola through three points over ln f.
        const double x0 = where[most - 1] - where[most];
        const double x2 = where[most + 1] - where[most];
        const double y0 = depth[most - 1] - depth[most];
        const double y2 = depth[most + 1] - depth[most];
        const double a = (y2 / x2 - y0 / x0) / (x2 - x0);
        const double b = y0 / x0 - a * x0;
        if (a < 0.0) {
            const double x = std::clamp(-b / (2.0 * a), x0, x2);
            answer.depth = depth[most] + a * x * x + b * x;
            answer.notch = std::exp(where[most] + x);
        }
    }
    if (*answer.depth > 0.0) {
        answer.bounds = boundsOf(*answer.depth);
    }
}

/// Weighted sums over the octave about fx.
template <class F>
double overOctave(const Sums& sums, double fx, F&& value) {
    double total = 0.0;
    double width = 0.0;
    for (std::size_t k = 1; k < sums.axis.size(); ++k) {
        if (sums.axis[k] >= fx / std::numbers::sqrt2 && sums.axis[k] <= fx * std::numbers::sqrt2) {
            const double w = std::log(sums.axis[k] / sums.axis[k - 1]);
            total += w * value(k);
            width += w;
        }
    }
    return width > 0.0 ? total / width : 0.0;
}

void putParts(const Sums& sums, double fx, NullTestAnswer& answer) {
    const auto reversed = reversedOf(sums);
    const double A2 = at(sums.axis, sums.first, fx);
    const double B2 = at(sums.axis, sums.second, fx);
    const double S2 = at(sums.axis, sums.normal, fx);
    const double R2 = at(sums.axis, reversed, fx);
    const double twoAB = 2.0 * std::sqrt(A2 * B2);
    const double cosine =
        sums.reversed.empty() ? (S2 - A2 - B2) / twoAB : (S2 - R2) / (2.0 * twoAB);
    answer.phaseError = std::acos(std::clamp(cosine, -1.0, 1.0));
    answer.reversedLevel = decibelsOf(R2);
    const double same = overOctave(sums, fx, [&](std::size_t k) { return sums.normal[k]; });
    const double other = overOctave(sums, fx, [&](std::size_t k) { return reversed[k]; });
    if (same > 0.0 && other > 0.0) {
        answer.flipGain = decibelsOf(other) - decibelsOf(same);
        answer.recommend = *answer.flipGain >= flipThreshold    ? "flip"
                           : *answer.flipGain <= -flipThreshold ? "keep"
                                                                : "undecided";
    }
    double worst = 0.0;
    for (std::size_t k = 0; k < sums.axis.size(); ++k) {
        const double A = std::sqrt(sums.first[k]);
        const double B = std::sqrt(sums.second[k]);
        constexpr double overlap = 10.0; // of the powers
        if (A * A > overlap * B * B || B * B > overlap * A * A) {
            continue;
        }
        const double S = decibelsOf(sums.normal[k]);
        worst = std::max({worst,
                          S - quantity::decibels(A + B),
                          quantity::decibels(std::max(std::abs(A - B), 1e-15)) - S});
    }
    answer.triangleViolation = worst;
    if (!sums.reversed.empty()) {
        answer.consistency = std::sqrt(overOctave(sums, fx, [&](std::size_t k) {
            const double off = decibelsOf(sums.normal[k] + sums.reversed[k]) -
                               decibelsOf(2.0 * (sums.first[k] + sums.second[k]));
            return off * off;
        }));
    }
}

} // namespace

NullOf nullOf(double levelDifference, double phaseDifference) {
    const double r = std::pow(10.0, levelDifference / 20.0);
    const std::complex<double> second = std::polar(r, phaseDifference);
    NullOf of;
    of.normal = quantity::decibels(std::max(std::abs(1.0 + second), 1e-15));
    of.reversed = quantity::decibels(std::max(std::abs(1.0 - second), 1e-15));
    of.depth = of.normal - of.reversed;
    of.loss = quantity::decibels(1.0 + r) - of.normal;
    return of;
}

NullBounds boundsOf(double depth) {
    const double d = std::pow(10.0, depth / 20.0);
    return {2.0 * std::atan(1.0 / d), quantity::decibels((d + 1.0) / (d - 1.0))};
}

const char* judgeDepth(double depth) {
    constexpr double excellent = 30.0;
    constexpr double good = 20.0;
    constexpr double improvable = 12.0;
    return depth >= excellent    ? YF_WORDS("core", "excellent")
           : depth >= good       ? YF_WORDS("core", "good")
           : depth >= improvable ? YF_WORDS("core", "improvable")
                                 : YF_WORDS("core", "not aligned");
}

std::optional<Error> check(const NullTestRequest& r) {
    const bool figures = r.levelDifference || r.phaseDifference;
    if (figures && (r.normal || r.reversed || r.first || r.second || r.fx)) {
        return Error{r.levelDifference ? "level_difference_db" : "phase_difference_deg",
                     YF_WORDS("core", "given beside curves"),
                     YF_WORDS("core", "give two figures, or curves")};
    }
    if (figures) {
        return r.levelDifference && r.phaseDifference
                   ? std::nullopt
                   : std::optional(
                         Error{r.levelDifference ? "phase_difference_deg" : "level_difference_db",
                               "missing",
                               YF_WORDS("core", "must be given with the other figure")});
    }
    if (!r.normal) {
        return Error{"normal",
                     "missing",
                     YF_WORDS("core", "must be levels of both together, or give two figures")};
    }
    if (r.first.has_value() != r.second.has_value()) {
        return Error{r.first ? "second" : "first",
                     "missing",
                     YF_WORDS("core", "both drivers alone, or neither")};
    }
    if (!r.reversed && !r.first) {
        return Error{"reversed", "missing", YF_WORDS("core", "must be given, or first and second")};
    }
    return std::nullopt;
}

Result<NullTestAnswer> nullTest(const NullTestRequest& r) {
    NullTestAnswer answer;
    if (r.levelDifference) {
        answer.predicted = nullOf(*r.levelDifference, *r.phaseDifference);
        return answer;
    }
    YF_TRY(sums, onOneAxis(r));
    std::optional<double> fx = r.fx;
    if (r.first && !fx) {
        fx = meetingOf(sums);
        if (!fx) {
            return Error{
                "fx_hz",
                YF_WORDS("core", "missing, and the two levels never meet"),
                YF_WORDS("core", "must be given, or the second must take over from the first")};
        }
    }
    if (fx && (*fx < sums.axis.front() || *fx > sums.axis.back())) {
        return Error{"fx_hz",
                     text::given(text::printNumber(*fx)),
                     say(YF_WORDS("core", "must lie where all curves have data, %1 to %2"),
                         text::printNumber(sums.axis.front()),
                         text::printNumber(sums.axis.back()))};
    }
    if (!sums.reversed.empty()) {
        putNotch(sums, fx, answer);
    }
    if (r.first) {
        answer.fx = fx;
        putParts(sums, *fx, answer);
        if (sums.reversed.empty()) {
            Sums with = sums;
            with.reversed = reversedOf(sums);
            putNotch(with, fx, answer);
        }
    }
    return answer;
}

text::Value NullTestAnswer::write() const {
    using text::Value;
    const auto maybe = [](const std::optional<double>& v, double unit = 1.0) {
        return v ? Value{*v / unit} : Value{};
    };
    if (predicted) {
        return Value::Object{{"normal_db", predicted->normal},
                             {"reversed_db", predicted->reversed},
                             {"depth_db", predicted->depth},
                             {"loss_db", predicted->loss}};
    }
    Value::Object object{
        {"depth_db", maybe(depth)},
        {"notch_hz", maybe(notch)},
        {"phase_error_max_deg", bounds ? Value{bounds->phase / quantity::degree} : Value{}},
        {"level_error_max_db", bounds ? Value{bounds->level} : Value{}}};
    if (fx) {
        object.push_back({"fx_hz", *fx});
        object.push_back({"phase_error_deg", maybe(phaseError, quantity::degree)});
        object.push_back({"triangle_violation_db", maybe(triangleViolation)});
        object.push_back({"reversed_level_db", maybe(reversedLevel)});
        object.push_back({"flip_gain_db", maybe(flipGain)});
        object.push_back({"recommend", recommend.empty() ? Value{} : Value{recommend}});
    }
    if (consistency) {
        constexpr double consistent = 0.5;
        object.push_back({"consistency_db", *consistency});
        object.push_back({"consistent", *consistency <= consistent});
    }
    return object;
}

} // namespace yf::speaker
