// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/measure/merge.h"

#include "core/curve/interpolate.h"
#include "core/quantity/air.h"
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
            return Error{"port_area_m2", "missing", "port needs it"};
        }
        if (!r.near.hasPhase() || !r.port->hasPhase()) {
            return Error{r.near.hasPhase() ? "port.phases_deg" : "near.phases_deg",
                         "missing",
                         "cone and port are added with their phases"};
        }
    }
    if (r.diffraction == Diffraction::baffle) {
        if (!r.baffleWidth || !r.baffleHeight) {
            return Error{r.baffleWidth ? "baffle_height_m" : "baffle_width_m",
                         "missing",
                         "diffraction baffle needs it"};
        }
        if (r.driverX.value_or(0.0) > *r.baffleWidth) {
            return Error{"driver_x_m",
                         printNumber(*r.driverX) + " given",
                         "must be 0 to " + printNumber(*r.baffleWidth)};
        }
        if (r.driverY.value_or(0.0) > *r.baffleHeight) {
            return Error{"driver_y_m",
                         printNumber(*r.driverY) + " given",
                         "must be 0 to " + printNumber(*r.baffleHeight)};
        }
    }
    return checkRising(r.frequencies, "frequencies_hz");
}

Result<Merged> merge(const MergeRequest& r) {
    const curve::Curve near = toCurve(r.near);
    const curve::Curve far = toCurve(r.far);
    const double a = radius(r.coneArea);
    Merged m{.computedGain = 20.0 * std::log10(a / (2.0 * r.farDistance)),
             .nearLimit = quantity::soundSpeed / (2.0 * pi * a)};
    const double lowest = r.farLowestValid.value_or(far.extent().from);
    double nearTo = near.extent().to;
    double nearFrom = near.extent().from;
    if (r.port) {
        nearTo = std::min(nearTo, r.port->frequencies.back());
        nearFrom = std::max(nearFrom, r.port->frequencies.front());
    }
    const Overlap both{std::max({lowest, far.extent().from, nearFrom}),
                       std::min(nearTo, far.extent().to)};
    if (!(both.from < both.to)) {
        return Error{"far.frequencies_hz",
                     "holds from " + printNumber(both.from) + " Hz, the near curves to " +
                         printNumber(both.to),
                     "both must hold in a common band"};
    }
    m.splice = r.splice.value_or(std::clamp(std::sqrt(lowest * m.nearLimit), both.from, both.to));
    if (m.splice < both.from || m.splice > both.to) {
        return Error{"splice_hz",
                     printNumber(m.splice) + " is outside " + printNumber(both.from) + " to " +
                         printNumber(both.to) + ", where both curves hold",
                     ""};
    }
    if (lowest > m.nearLimit) {
        m.warnings.emplace_back("no_overlap");
    }
    if (m.splice > m.nearLimit) {
        m.warnings.emplace_back("splice_above_near_field_limit");
    }
    if (r.nearDistance > a) {
        m.warnings.emplace_back("near_distance_too_large");
    }
    const auto corrected = [&](const curve::Axis& axis) {
        auto sum = nearSum(r, axis);
        if (r.diffraction == Diffraction::baffle) {
            const double x = r.driverX.value_or(0.5 * *r.baffleWidth);
            const double y = r.driverY.value_or(0.5 * *r.baffleHeight);
            for (std::size_t i = 0; i < axis.size(); ++i) {
                sum[i] *= baffleStep(*r.baffleWidth, *r.baffleHeight, x, y, axis[i]);
            }
        }
        return sum;
    };
    // Level and delay over half an octave to each side of the splice, as far as both hold.
    const curve::Axis around = finely(std::max(both.from, m.splice / std::numbers::sqrt2),
                                      std::min(both.to, m.splice * std::numbers::sqrt2));
    const auto nearThere = corrected(around);
    const auto farThere = curve::interpolate(far, around);
    double difference = 0.0;
    for (std::size_t i = 0; i < around.size(); ++i) {
        difference += 20.0 * std::log10(std::abs((*farThere)[i]) / std::abs(nearThere[i]));
    }
    difference /= static_cast<double>(around.size());
    m.mismatch = difference - m.computedGain;
    m.nearGain = r.match == Match::overlap ? difference : m.computedGain;
    const bool phases = near.phase() != curve::Phase::none && far.phase() != curve::Phase::none;
    if (phases) {
        const double flight = r.farDistance / quantity::soundSpeed;
        const double half = 0.5 / m.splice;
        double most = -1e300;
        constexpr int steps = 2000;
        for (int i = 0; i <= steps; ++i) {
            const double tau = flight - half + 2.0 * half * i / steps;
            double sum = 0.0;
            for (std::size_t k = 0; k < around.size(); ++k) {
                const Complex turned = nearThere[k] * std::polar(1.0, -2.0 * pi * around[k] * tau);
                sum += std::cos(std::arg((*farThere)[k] * std::conj(turned)));
            }
            if (sum > most) {
                most = sum;
                m.nearDelay = tau;
            }
        }
    }
    const curve::Axis axis = r.frequencies.empty()
                                 ? curve::within(curve::designAxis(), nearFrom, far.extent().to)
                                 : r.frequencies;
    if (axis.size() < 2 || axis.front() < nearFrom || axis.back() > far.extent().to) {
        return Error{
            "frequencies_hz",
            axis.empty() ? "none" : printNumber(axis.front()) + " to " + printNumber(axis.back()),
            "must lie in " + printNumber(nearFrom) + " to " + printNumber(far.extent().to)};
    }
    const double low = std::max(both.from, m.splice * std::exp2(-0.5 * r.blend));
    const double high = std::min(both.to, m.splice * std::exp2(0.5 * r.blend));
    const auto farShare = [&](double f) {
        if (!(high > low)) {
            return f < m.splice ? 0.0 : 1.0;
        }
        const double t = std::clamp(std::log(f / low) / std::log(high / low), 0.0, 1.0);
        return 0.5 - 0.5 * std::cos(pi * t);
    };
    const double gain = std::pow(10.0, m.nearGain / 20.0);
    m.near.frequencies = curve::within(axis, axis.front(), nearTo);
    const auto nearValues = corrected(m.near.frequencies);
    for (const Complex& v : nearValues) {
        m.near.levels.push_back(20.0 * std::log10(std::max(gain * std::abs(v), 1e-15)));
    }
    const curve::Axis farAxis = curve::within(axis, far.extent().from, axis.back());
    const auto farValues = curve::interpolate(far, farAxis);
    const std::size_t onlyNear = axis.size() - farAxis.size();
    std::vector<Complex> values;
    for (std::size_t i = 0; i < axis.size(); ++i) {
        const double f = axis[i];
        const double share = farShare(f);
        const bool hasNear = i < nearValues.size() && share < 1.0;
        const bool hasFar = i >= onlyNear && share > 0.0;
        const Complex n =
            hasNear ? nearValues[i] * gain *
                          (phases ? std::polar(1.0, -2.0 * pi * f * m.nearDelay) : Complex(1.0))
                    : Complex{};
        const Complex v = hasFar ? (*farValues)[i - onlyNear] : Complex{};
        if (!hasFar || !hasNear) {
            values.push_back(hasFar ? v : n);
            continue;
        }
        const double level = (1.0 - share) * std::log(std::abs(n)) + share * std::log(std::abs(v));
        const double turn = std::arg(v * std::conj(n));
        values.push_back(std::polar(std::exp(level), std::arg(n) + share * turn));
    }
    m.curve = {.frequencies = axis};
    for (const Complex& v : values) {
        m.curve.levels.push_back(20.0 * std::log10(std::max(std::abs(v), 1e-15)));
    }
    if (phases) {
        m.curve.phases = unwrapped(values);
    }
    return m;
}

} // namespace yf::measure
