// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/measure/table/evidence.h"

#include "core/curve/minimum_phase.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>
#include <numeric>

namespace yf::measure {

namespace {

constexpr double pi = std::numbers::pi;

bool alike(std::vector<double> steps) {
    const auto [least, most] = std::ranges::minmax(steps);
    // Printed with few digits, small steps differ: most must be alike, none far off.
    const auto at = [&](std::size_t rank) {
        const auto place = steps.begin() + static_cast<std::ptrdiff_t>(rank);
        std::ranges::nth_element(steps, place);
        return *place;
    };
    const double low = at(steps.size() / 10);
    const double high = at(steps.size() - 1 - steps.size() / 10);
    return low > 0.0 && high < 1.12 * low && most < 3.0 * least + 1e-300;
}

void lookAtSpacing(std::vector<double> sorted, ColumnShape& shape) {
    const std::size_t all = sorted.size();
    sorted.erase(std::ranges::unique(sorted).begin(), sorted.end());
    shape.marks = all >= 6 && 3 * sorted.size() <= all;
    if (sorted.size() < 4) {
        return;
    }
    std::vector<double> steps;
    std::vector<double> ratios;
    for (std::size_t i = 1; i < sorted.size(); ++i) {
        steps.push_back(sorted[i] - sorted[i - 1]);
        ratios.push_back(sorted.front() > 0.0 ? std::log(sorted[i] / sorted[i - 1]) : 0.0);
    }
    shape.evenly = alike(steps);
    shape.step = (sorted.back() - sorted.front()) / static_cast<double>(steps.size());
    shape.evenRatios = sorted.front() > 0.0 && alike(ratios);
    const bool whole = std::ranges::all_of(sorted, [](double v) { return v == std::floor(v); });
    shape.counts = whole && (sorted.front() == 0.0 || sorted.front() == 1.0) &&
                   sorted.back() - sorted.front() == static_cast<double>(sorted.size() - 1);
}

} // namespace

ColumnShape shapeOf(std::span<const double> numbers) {
    ColumnShape shape;
    std::vector<double> kept;
    kept.reserve(numbers.size());
    std::ranges::copy_if(
        numbers, std::back_inserter(kept), [](double v) { return std::isfinite(v); });
    shape.count = kept.size();
    if (kept.empty()) {
        return shape;
    }
    shape.rising = shape.falling = kept.size() > 1;
    std::vector<double> steps;
    for (std::size_t i = 1; i < kept.size(); ++i) {
        const double step = kept[i] - kept[i - 1];
        shape.rising = shape.rising && step > 0.0;
        shape.falling = shape.falling && step < 0.0;
        shape.turns += std::abs(step) > 300.0 && std::abs(step) < 361.0 ? 1 : 0;
        shape.radianTurns += std::abs(step) > 5.2 && std::abs(step) < 6.3 ? 1 : 0;
        steps.push_back(std::abs(step));
    }
    const bool rising = shape.rising;
    std::vector<double> sorted = std::move(kept);
    if (!rising) {
        std::ranges::sort(sorted);
    }
    shape.least = sorted.front();
    shape.most = sorted.back();
    shape.median = sorted[sorted.size() / 2];
    const double most = std::max(std::abs(shape.least), std::abs(shape.most));
    // A phase that is wrapped comes near the edge of a turn.
    shape.turns = most <= 180.51 && most > 165.0 ? shape.turns : 0;
    shape.radianTurns = most <= pi + 0.006 && most > 0.92 * pi ? shape.radianTurns : 0;
    if (!steps.empty() && shape.most > shape.least) {
        const auto middle = steps.begin() + static_cast<std::ptrdiff_t>(steps.size() / 2);
        std::ranges::nth_element(steps, middle);
        shape.roughness = *middle / (shape.most - shape.least);
    }
    lookAtSpacing(std::move(sorted), shape);
    return shape;
}

namespace {

double levelScore(const ColumnShape& s) {
    if (s.most > 300.0 || s.least < -400.0) {
        return impossible;
    }
    if (s.most - s.least > 200.0 || s.turns > 0) {
        return -4.0;
    }
    // A loudspeaker's levels; below them levels re anything.
    if (s.median >= 50.0 && s.median <= 130.0) {
        return 3.0;
    }
    if (s.most < 5.0 && s.least > -5.0) {
        return -1.0; // hardly moves: rather a ratio, a pressure or parts of one
    }
    return s.least < 0.0 ? 1.0 : 0.5;
}

double ohmScore(const ColumnShape& s) {
    if (!(s.least > 0.0)) {
        return impossible;
    }
    const double restless = s.most < 1.15 * s.least ? -1.0 : 0.0;
    if (s.least >= 1.2 && s.median <= 40.0 && s.most <= 400.0) {
        return 2.5 + restless;
    }
    return (s.least >= 0.3 && s.median <= 200.0 && s.most < 2000.0 ? 0.5 : -2.0) + restless;
}

/// A pressure's level must be one that is measured: 60 to 125 dB at its highest.
double pressureScore(double pascals) {
    return pascals >= 0.02 && pascals <= 36.0 ? 0.0 : -3.0;
}

double phaseScore(const ColumnShape& s, double half, int turns) {
    const double most = std::max(std::abs(s.least), std::abs(s.most));
    if (turns > 0) {
        return 4.0;
    }
    if (most <= half * 1.003) {
        return s.least > 0.0 ? -1.0 : 0.0; // a phase that only leads is rare
    }
    // Unwrapped: goes far, in small steps.
    return s.roughness < 0.05 && most < 400.0 * half ? 0.0 : -4.0;
}

} // namespace

double contentScore(Meaning meaning, const ColumnShape& s) {
    using enum Meaning;
    if (s.count == 0) {
        return infoOf(meaning).role == ColumnRole::unused ? 0.0 : impossible;
    }
    const bool positive = s.least > 0.0;
    switch (meaning) {
    case decibel:
        return levelScore(s);
    case ohm:
        return ohmScore(s);
    case kiloohm:
        return s.least >= 0.0012 && s.median <= 0.04 && s.most <= 0.4 ? 0.8
               : positive                                             ? -3.0
                                                                      : impossible;
    case milliohm:
        return s.least >= 1200.0 && s.median <= 40000.0 ? 0.8 : positive ? -3.0 : impossible;
    case decibelOhm:
        return s.least >= 2.0 && s.most <= 52.0 ? 0.5 : -6.0;
    case pascal:
        return positive ? pressureScore(s.most) : impossible;
    case millipascal:
        return positive ? pressureScore(s.most / 1000.0) : impossible;
    case volt:
    case millivolt:
    case ratio:
        return positive ? -0.3 : impossible;
    case degrees:
        return phaseScore(s, 180.0, s.turns);
    case radians:
        return phaseScore(s, pi, s.radianTurns);
    case realOhm:
        return positive ? ohmScore(s) - 1.0 : impossible;
    case realKiloohm:
        return positive && s.median <= 0.04 && s.least >= 0.0012 ? -0.5 : -4.0;
    case realMilliohm:
        return positive && s.least >= 1200.0 ? -0.5 : -4.0;
    case realPascal:
    case imaginaryPascal:
        return pressureScore(std::max(std::abs(s.least), std::abs(s.most))) - 0.5;
    case realMillipascal:
    case imaginaryMillipascal:
        return pressureScore(std::max(std::abs(s.least), std::abs(s.most)) / 1000.0) - 0.5;
    case imaginaryOhm:
        return std::max(std::abs(s.least), std::abs(s.most)) <= 1000.0 ? -0.5 : -3.0;
    case imaginaryKiloohm:
        return std::max(std::abs(s.least), std::abs(s.most)) <= 0.4 ? -0.5 : -4.0;
    case imaginaryMilliohm:
        return std::max(std::abs(s.least), std::abs(s.most)) >= 300.0 ? -0.5 : -4.0;
    case realRatio:
    case imaginaryRatio:
        return -0.5;
    case coherence:
        return s.least >= 0.0 && s.most <= 1.0001 && s.median > 0.7 ? 1.5 : -3.0;
    case index:
        return s.counts ? 2.0 : -4.0;
    default:
        return -0.7;
    }
}

double axisScore(const ColumnShape& s) {
    // A logarithm of hertz is positive too: a table begins above 1 Hz.
    if (s.count < 2 || s.least < 0.0 || s.most > 1e7) {
        return impossible;
    }
    double score = 0.0;
    score += s.rising ? 1.5 : s.falling ? 1.0 : 0.0;
    score += s.evenRatios ? 2.5 : s.evenly ? 2.0 : 0.0;
    score += s.most > 3.0 * s.least ? 0.5 : 0.0;
    return score - (s.counts ? 1.5 : 0.0);
}

namespace {

/// Two digits, within a share of its own.
bool isRound(double value, double within) {
    if (!(value > 0.0)) {
        return false;
    }
    const double unit = std::pow(10.0, std::floor(std::log10(value)) - 1.0);
    return std::abs(value / unit - std::round(value / unit)) * unit < within * value;
}

/// A step between bins of a transform: a usual sample rate over a power of two.
bool isBin(double step) {
    for (const double rate : {44100.0, 48000.0, 96000.0}) {
        const double power = std::log2(rate / step);
        if (power > 4.0 && power < 22.0 && std::abs(power - std::round(power)) < 1e-4) {
            return true;
        }
    }
    return isRound(step, 5e-5);
}

bool looksLike(const ColumnShape& s, double scale) {
    return s.evenly && s.count > 8
               ? isBin(s.step * scale)
               : isRound(s.least * scale, 1e-3) && isRound(s.most * scale, 1e-3);
}

} // namespace

double unitScore(Meaning unit, const ColumnShape& s) {
    const double most = s.most;
    const double least =
        s.least > 0.0 ? s.least : most / std::max<double>(1.0, static_cast<double>(s.count));
    switch (unit) {
    case Meaning::hertz: {
        if (least < 0.3 && most <= 100.0) {
            return most < 5.0 ? -4.0 : -1.0;
        }
        return most >= 300.0  ? (most <= 60000.0 ? 3.0 : 0.8)
               : least >= 3.0 ? 2.5
               : most >= 60.0 ? 0.5
                              : -0.5;
    }
    case Meaning::kilohertz:
        return least < 0.3 && most >= 0.2 && most <= 100.0     ? 2.5
               : least >= 0.3 && least <= 10.0 && most <= 45.0 ? 1.0
                                                               : -3.0;
    case Meaning::angular: {
        constexpr double turn = 2.0 * pi;
        const bool round = looksLike(s, 1.0 / turn) && !looksLike(s, 1.0);
        return round && most > 200.0 ? 3.0 : most > 60000.0 ? 1.0 : -3.0;
    }
    case Meaning::logHertz:
        // Even steps of a logarithm are the rule, but any axis may be written as one.
        return most > 5.4 || s.least < 0.3 ? -4.0 : s.evenly && !s.evenRatios ? 1.5 : 0.8;
    default:
        return impossible;
    }
}

namespace {

struct Point {
    double frequency{};
    double size{};
    double phase{};
};

/// What the band's edges hide of a minimum phase: as fmin/f from below, radians at the lowest one.
constexpr double mostBelow = 2.0;

/// Of what there is, the mean of cos of what is left, at the best flight time and share from below.
/// The time is looked for from 20 periods of the highest frequency before zero to 600 after it
/// (30 ms at 20 kHz), so that the answer does not depend on the unit of the frequencies.
double bestMean(const std::vector<Point>& points, const std::vector<double>& minimum) {
    constexpr double earliest = -20.0;
    constexpr double latest = 600.0;
    constexpr double step = 0.25;
    // Real and imaginary parts apart, in lanes: this is the loop that an import waits for.
    constexpr std::size_t lanes = 8;
    const std::size_t size = (points.size() + lanes - 1) / lanes * lanes;
    std::vector<float> re(size);
    std::vector<float> im(size);
    std::vector<float> turnRe(size);
    std::vector<float> turnIm(size);
    float best = 0.0F;
    for (double below = -mostBelow; below <= mostBelow; below += 1.0) {
        for (std::size_t i = 0; i < points.size(); ++i) {
            const double share = 2.0 * pi * points[i].frequency / points.back().frequency;
            const double hidden = below * points.front().frequency / points[i].frequency;
            const double left = points[i].phase - minimum[i] - hidden + share * earliest;
            re[i] = static_cast<float>(std::cos(left));
            im[i] = static_cast<float>(std::sin(left));
            turnRe[i] = static_cast<float>(std::cos(share * step));
            turnIm[i] = static_cast<float>(std::sin(share * step));
        }
        for (double delay = earliest; delay <= latest; delay += step) {
            std::array<float, lanes> sums{};
            for (std::size_t i = 0; i < size; i += lanes) {
                for (std::size_t k = 0; k < lanes; ++k) {
                    const float real = re[i + k];
                    const float imaginary = im[i + k];
                    sums[k] += real;
                    re[i + k] = real * turnRe[i + k] - imaginary * turnIm[i + k];
                    im[i + k] = real * turnIm[i + k] + imaginary * turnRe[i + k];
                }
            }
            best = std::max(best, std::abs(std::accumulate(sums.begin(), sums.end(), 0.0F)));
        }
    }
    return static_cast<double>(best) / static_cast<double>(points.size());
}

/// The same of an impedance: no flight time, but what the edges hide, as fmin/f from below and
/// f/fmax from above, by least squares.
double edgedMean(const std::vector<Point>& points, const std::vector<double>& minimum) {
    double aa = 1e-12;
    double ab = 0.0;
    double bb = 1e-12;
    double ar = 0.0;
    double br = 0.0;
    for (std::size_t i = 0; i < points.size(); ++i) {
        const double a = points.front().frequency / points[i].frequency;
        const double b = points[i].frequency / points.back().frequency;
        const double left = std::remainder(points[i].phase - minimum[i], 2.0 * pi);
        aa += a * a;
        ab += a * b;
        bb += b * b;
        ar += a * left;
        br += b * left;
    }
    const double det = aa * bb - ab * ab;
    const double below = std::clamp((ar * bb - br * ab) / det, -mostBelow, mostBelow);
    const double above = std::clamp((br * aa - ar * ab) / det, -mostBelow, mostBelow);
    double sum = 0.0;
    for (std::size_t i = 0; i < points.size(); ++i) {
        sum += std::cos(points[i].phase - minimum[i] -
                        below * points.front().frequency / points[i].frequency -
                        above * points[i].frequency / points.back().frequency);
    }
    return sum / static_cast<double>(points.size());
}

} // namespace

std::optional<double> phaseAgreement(std::span<const double> frequencies,
                                     std::span<const double> sizes,
                                     std::span<const double> phases,
                                     bool impedance) {
    constexpr std::size_t fewest = 16;
    constexpr std::size_t enough = 120;
    std::vector<Point> points;
    for (std::size_t i = 0; i < frequencies.size(); ++i) {
        if (frequencies[i] > 0.0 && std::isfinite(sizes[i]) && std::isfinite(phases[i])) {
            points.push_back({frequencies[i], sizes[i], phases[i]});
        }
    }
    std::ranges::sort(points, {}, &Point::frequency);
    const auto repeated = std::ranges::unique(points, {}, &Point::frequency);
    points.erase(repeated.begin(), repeated.end());
    if (points.size() < fewest) {
        return std::nullopt;
    }
    if (points.size() > enough) {
        // Evenly over the logarithm, so that no end outweighs the other.
        std::vector<Point> thinned;
        const double ratio = std::pow(points.back().frequency / points.front().frequency,
                                      1.0 / static_cast<double>(enough));
        double next = 0.0;
        for (const Point& point : points) {
            if (point.frequency >= next) {
                thinned.push_back(point);
                next = point.frequency * ratio;
            }
        }
        points = std::move(thinned);
    }
    curve::Axis axis;
    std::vector<curve::Complex> values;
    for (const Point& point : points) {
        axis.push_back(point.frequency);
        values.emplace_back(std::exp(std::clamp(point.size, -40.0, 40.0)));
    }
    const std::vector<double> minimum =
        curve::minimumPhase(curve::Curve(axis, values, curve::Phase::none));
    const std::vector<double> zero(points.size(), 0.0);
    const double with = impedance ? edgedMean(points, minimum) : bestMean(points, minimum);
    const double without = impedance ? edgedMean(points, zero) : bestMean(points, zero);
    constexpr double nothingToExplain = 0.995;
    if (without > nothingToExplain && with > nothingToExplain) {
        return std::nullopt;
    }
    return 1.0 - (1.0 - with) / std::max(1.0 - without, 1.0 - nothingToExplain);
}

} // namespace yf::measure
