// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/measure/merge.h"

#include "core/curve/interpolate.h"
#include "core/quantity/air.h"
#include "core/text/given.h"
#include "core/text/number.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::measure {

namespace {

using curve::Complex;
using text::printNumber;

constexpr double pi = std::numbers::pi;

/// What a microphone at z from a piston of radius a reads of the pressure at its centre.
double nearReading(double z, double a) {
    return std::hypot(1.0, z / a) - z / a;
}

double radius(double area) {
    return std::sqrt(area / pi);
}

double wave(double f) {
    return 2.0 * pi * f / quantity::soundSpeed;
}

/// Near pressure sum of cones and ports, referred to one cone's area.
std::vector<Complex> nearSum(const MergeRequest& r, const curve::Axis& axis) {
    const double a = radius(r.coneArea);
    const auto cone = curve::interpolate(toCurve(r.near), axis);
    std::vector<Complex> sum;
    const double kc = 1.0 / nearReading(r.nearDistance, a);
    if (!r.port) {
        for (const Complex& v : cone.value()) {
            sum.push_back(v * kc * static_cast<double>(r.coneCount));
        }
        return sum;
    }
    const double ap = radius(*r.portArea);
    const double kp = 1.0 / nearReading(r.portNearDistance, ap);
    const auto port = curve::interpolate(toCurve(*r.port), axis);
    for (std::size_t i = 0; i < axis.size(); ++i) {
        const Complex z = (*cone)[i];
        const Complex q = (*port)[i];
        Complex C = kc * z;
        Complex P = kp * q;
        if (r.portDistance) {
            const double d = *r.portDistance;
            const Complex flight = std::polar(1.0, -wave(axis[i]) * d);
            const Complex beta = ap / (2.0 * d) * flight * static_cast<double>(r.portCount);
            const Complex gamma = a / (2.0 * d) * flight * static_cast<double>(r.coneCount);
            const Complex det = 1.0 - kc * kp * beta * gamma;
            C = kc * (z - beta * kp * q) / det;
            P = kp * (q - gamma * kc * z) / det;
        }
        sum.push_back(C * static_cast<double>(r.coneCount) +
                      P * std::sqrt(*r.portArea / r.coneArea) * static_cast<double>(r.portCount));
    }
    return sum;
}

std::vector<double> unwrapped(const std::vector<Complex>& v) {
    std::vector<double> phase;
    for (const Complex& value : v) {
        const double own = std::arg(value);
        const double before = phase.empty() ? own : phase.back();
        phase.push_back(before + std::remainder(own - before, 2.0 * pi));
    }
    return phase;
}

struct Overlap {
    double from{};
    double to{};
};

curve::Axis finely(double from, double to) {
    curve::Axis axis;
    constexpr int points = 49;
    for (int i = 0; i < points; ++i) {
        axis.push_back(from * std::pow(to / from, static_cast<double>(i) / (points - 1)));
    }
    axis.back() = to;
    return axis;
}

} // namespace

Complex baffleStep(double width, double height, double x, double y, double f) {
    constexpr int directions = 720;
    const double k = wave(f);
    Complex sum{};
    for (int i = 0; i < directions; ++i) {
        const double theta = 2.0 * pi * (i + 0.5) / directions;
        const double c = std::cos(theta);
        const double s = std::sin(theta);
        const double toX = c > 0.0 ? (width - x) / c : -x / std::min(c, -1e-12);
        const double toY = s > 0.0 ? (height - y) / s : -y / std::min(s, -1e-12);
        sum += std::polar(1.0, -k * std::min(std::abs(toX), std::abs(toY)));
    }
    return 1.0 - 0.5 * sum / static_cast<double>(directions);
}

std::optional<Error> check(const MergeRequest& r) {
    if (r.port) {
        if (!r.portArea) {
            return Error{"port_area_m2", "missing", YF_WORDS("core", "port needs it")};
        }
        if (!r.near.hasPhase() || !r.port->hasPhase()) {
            return Error{r.near.hasPhase() ? YF_WORDS("core", "port.phases_deg")
                                           : YF_WORDS("core", "near.phases_deg"),
                         "missing",
                         YF_WORDS("core", "cone and port are added with their phases")};
        }
    }
    if (r.diffraction == Diffraction::baffle) {
        if (!r.baffleWidth || !r.baffleHeight) {
            return Error{r.baffleWidth ? "baffle_height_m" : "baffle_width_m",
                         "missing",
                         YF_WORDS("core", "diffraction baffle needs it")};
        }
        if (r.driverX.value_or(0.0) > *r.baffleWidth) {
            return Error{"driver_x_m",
                         text::given(printNumber(*r.driverX)),
                         say(YF_WORDS("core", "must be 0 to %1"), printNumber(*r.baffleWidth))};
        }
        if (r.driverY.value_or(0.0) > *r.baffleHeight) {
            return Error{"driver_y_m",
                         text::given(printNumber(*r.driverY)),
                         say(YF_WORDS("core", "must be 0 to %1"), printNumber(*r.baffleHeight))};
        }
    }
    return checkRising(r.frequencies, "frequencies_hz");
}

namespace {

/// Both sides of a merge and where each of them holds.
struct Sides {
    const MergeRequest& r;
    curve::Curve near;
    curve::Curve far;
    double nearFrom{}; ///< cone and port
    double nearTo{};
    double lowest{}; ///< the far side is valid from here
    Overlap both{};

    [[nodiscard]] bool phases() const {
        return near.phase() != curve::Phase::none && far.phase() != curve::Phase::none;
    }
};

Sides sidesOf(const MergeRequest& r) {
    Sides s{.r = r, .near = toCurve(r.near), .far = toCurve(r.far)};
    s.nearTo = s.near.extent().to;
    s.nearFrom = s.near.extent().from;
    if (r.port) {
        s.nearTo = std::min(s.nearTo, r.port->frequencies.back());
        s.nearFrom = std::max(s.nearFrom, r.port->frequencies.front());
    }
    s.lowest = r.farLowestValid.value_or(s.far.extent().from);
    s.both = {std::max({s.lowest, s.far.extent().from, s.nearFrom}),
              std::min(s.nearTo, s.far.extent().to)};
    return s;
}

/// The splice, and what is wrong with it. Fails: no common band, a splice outside it.
Result<Merged> splicedAt(const Sides& s) {
    const MergeRequest& r = s.r;
    const double a = radius(r.coneArea);
    Merged m{.computedGain = 20.0 * std::log10(a / (2.0 * r.farDistance)),
             .nearLimit = quantity::soundSpeed / (2.0 * pi * a)};
    if (!(s.both.from < s.both.to)) {
        return Error{"far.frequencies_hz",
                     say(YF_WORDS("core", "holds from %1 Hz, the near curves to %2"),
                         printNumber(s.both.from),
                         printNumber(s.both.to)),
                     YF_WORDS("core", "both must hold in a common band")};
    }
    m.splice =
        r.splice.value_or(std::clamp(std::sqrt(s.lowest * m.nearLimit), s.both.from, s.both.to));
    if (m.splice < s.both.from || m.splice > s.both.to) {
        return Error{"splice_hz",
                     say(YF_WORDS("core", "%1 is outside %2 to %3, where both curves hold"),
                         printNumber(m.splice),
                         printNumber(s.both.from),
                         printNumber(s.both.to)),
                     ""};
    }
    if (s.lowest > m.nearLimit) {
        m.warnings.emplace_back("no_overlap");
    }
    if (m.splice > m.nearLimit) {
        m.warnings.emplace_back("splice_above_near_field_limit");
    }
    if (r.nearDistance > a) {
        m.warnings.emplace_back("near_distance_too_large");
    }
    return m;
}

/// The near sum with what the baffle's edges add.
std::vector<Complex> nearValuesOn(const MergeRequest& r, const curve::Axis& axis) {
    auto sum = nearSum(r, axis);
    if (r.diffraction == Diffraction::baffle) {
        const double x = r.driverX.value_or(0.5 * *r.baffleWidth);
        const double y = r.driverY.value_or(0.5 * *r.baffleHeight);
        for (std::size_t i = 0; i < axis.size(); ++i) {
            sum[i] *= baffleStep(*r.baffleWidth, *r.baffleHeight, x, y, axis[i]);
        }
    }
    return sum;
}

/// The delay of the near side by which the phases agree best, scanned half a period of the splice
/// to each side of the flight time.
double nearDelayOf(const MergeRequest& r,
                   double splice,
                   const curve::Axis& around,
                   const std::vector<Complex>& near,
                   const std::vector<Complex>& far) {
    const double flight = r.farDistance / quantity::soundSpeed;
    const double half = 0.5 / splice;
    double most = -1e300;
    double best = 0.0;
    constexpr int steps = 2000;
    for (int i = 0; i <= steps; ++i) {
        const double tau = flight - half + 2.0 * half * i / steps;
        double sum = 0.0;
        for (std::size_t k = 0; k < around.size(); ++k) {
            const Complex turned = near[k] * std::polar(1.0, -2.0 * pi * around[k] * tau);
            sum += std::cos(std::arg(far[k] * std::conj(turned)));
        }
        if (sum > most) {
            most = sum;
            best = tau;
        }
    }
    return best;
}

/// Level and delay over half an octave to each side of the splice, as far as both hold.
void matchSides(const Sides& s, Merged& m) {
    const curve::Axis around = finely(std::max(s.both.from, m.splice / std::numbers::sqrt2),
                                      std::min(s.both.to, m.splice * std::numbers::sqrt2));
    const auto nearThere = nearValuesOn(s.r, around);
    const auto farThere = curve::interpolate(s.far, around);
    double difference = 0.0;
    for (std::size_t i = 0; i < around.size(); ++i) {
        difference += 20.0 * std::log10(std::abs((*farThere)[i]) / std::abs(nearThere[i]));
    }
    difference /= static_cast<double>(around.size());
    m.mismatch = difference - m.computedGain;
    m.nearGain = s.r.match == Match::overlap ? difference : m.computedGain;
    if (s.phases()) {
        m.nearDelay = nearDelayOf(s.r, m.splice, around, nearThere, *farThere);
    }
}

/// 0 below the blend about the splice, 1 above it, a raised cosine over ln f within.
double farShareAt(const Sides& s, double splice, double f) {
    const double low = std::max(s.both.from, splice * std::exp2(-0.5 * s.r.blend));
    const double high = std::min(s.both.to, splice * std::exp2(0.5 * s.r.blend));
    if (!(high > low)) {
        return f < splice ? 0.0 : 1.0;
    }
    const double t = std::clamp(std::log(f / low) / std::log(high / low), 0.0, 1.0);
    return 0.5 - 0.5 * std::cos(pi * t);
}

/// Between two values by level and by the shorter turn of phase.
Complex blended(const Complex& near, const Complex& far, double share) {
    const double level = (1.0 - share) * std::log(std::abs(near)) + share * std::log(std::abs(far));
    const double turn = std::arg(far * std::conj(near));
    return std::polar(std::exp(level), std::arg(near) + share * turn);
}

std::vector<Complex> joined(const Sides& s, const Merged& m, const curve::Axis& axis) {
    const double gain = std::pow(10.0, m.nearGain / 20.0);
    const auto nearValues = nearValuesOn(s.r, m.near.frequencies);
    const curve::Axis farAxis = curve::within(axis, s.far.extent().from, axis.back());
    const auto farValues = curve::interpolate(s.far, farAxis);
    const std::size_t onlyNear = axis.size() - farAxis.size();
    std::vector<Complex> values;
    for (std::size_t i = 0; i < axis.size(); ++i) {
        const double f = axis[i];
        const double share = farShareAt(s, m.splice, f);
        const bool hasNear = i < nearValues.size() && share < 1.0;
        const bool hasFar = i >= onlyNear && share > 0.0;
        const Complex flight =
            s.phases() ? std::polar(1.0, -2.0 * pi * f * m.nearDelay) : Complex(1.0);
        const Complex n = hasNear ? nearValues[i] * gain * flight : Complex{};
        const Complex v = hasFar ? (*farValues)[i - onlyNear] : Complex{};
        values.push_back(hasNear && hasFar ? blended(n, v, share) : hasFar ? v : n);
    }
    return values;
}

std::vector<double> levelsOf(const std::vector<Complex>& values, double gain) {
    std::vector<double> levels;
    for (const Complex& v : values) {
        levels.push_back(20.0 * std::log10(std::max(gain * std::abs(v), 1e-15)));
    }
    return levels;
}

} // namespace

Result<Merged> merge(const MergeRequest& r) {
    const Sides s = sidesOf(r);
    YF_TRY(m, splicedAt(s));
    matchSides(s, m);
    const double farTo = s.far.extent().to;
    const curve::Axis axis = r.frequencies.empty()
                                 ? curve::within(curve::designAxis(), s.nearFrom, farTo)
                                 : r.frequencies;
    if (axis.size() < 2 || axis.front() < s.nearFrom || axis.back() > farTo) {
        return Error{"frequencies_hz",
                     axis.empty() ? "none"
                                  : say(YF_WORDS("core", "%1 to %2"),
                                        printNumber(axis.front()),
                                        printNumber(axis.back())),
                     say(YF_WORDS("core", "must lie in %1 to %2"),
                         printNumber(s.nearFrom),
                         printNumber(farTo))};
    }
    m.near.frequencies = curve::within(axis, axis.front(), s.nearTo);
    m.near.levels =
        levelsOf(nearValuesOn(r, m.near.frequencies), std::pow(10.0, m.nearGain / 20.0));
    const std::vector<Complex> values = joined(s, m, axis);
    m.curve = {.frequencies = axis};
    m.curve.levels = levelsOf(values, 1.0);
    if (s.phases()) {
        m.curve.phases = unwrapped(values);
    }
    return std::move(m);
}

} // namespace yf::measure
