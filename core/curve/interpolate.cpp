// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/curve/interpolate.h"

#include "core/text/number.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::curve {

namespace {

constexpr double twoPi = 2.0 * std::numbers::pi;

/// Longest delay looked for: 20 ms are seven metres of flight.
constexpr double longestDelay = 0.02;

/// A value of exactly zero has no logarithm; this is 6000 dB down and finite.
constexpr double leastModulus = 1e-300;

double coherence(const Curve& curve, double tau) {
    const auto& f = curve.frequencies();
    const auto& v = curve.values();
    Complex sum{};
    for (std::size_t i = 1; i < f.size(); ++i) {
        const double weight =
            std::min(std::abs(v[i]), std::abs(v[i - 1])) * std::log(f[i] / f[i - 1]);
        const double step = std::arg(v[i] * std::conj(v[i - 1])) + twoPi * (f[i] - f[i - 1]) * tau;
        sum += std::polar(weight, step);
    }
    return std::abs(sum);
}

} // namespace

double bulkDelay(const Curve& curve) {
    const auto& f = curve.frequencies();
    double widestStep = 0.0;
    for (std::size_t i = 1; i < f.size(); ++i) {
        widestStep = std::max(widestStep, f[i] - f[i - 1]);
    }
    // The agreement of neighbours turns over no faster than the widest step between points.
    const double step = std::max(0.2 / widestStep, longestDelay / 2000.0);
    double best = 0.0;
    double most = coherence(curve, 0.0);
    const auto offer = [&](double tau) {
        // A delay must earn its place: equal agreement keeps the smaller one.
        const double agreement = coherence(curve, tau);
        if (agreement > most * (1.0 + 1e-9)) {
            most = agreement;
            best = tau;
        }
    };
    for (double tau = step; tau <= longestDelay; tau += step) {
        offer(tau);
        offer(-tau);
    }
    for (double finer = step / 2.0; finer > step / 64.0; finer /= 2.0) {
        const double centre = best;
        offer(centre - finer);
        offer(centre + finer);
    }
    return best;
}

Interpolant::Interpolant(const Curve& curve)
    : frequencies_(curve.frequencies()), delay_(bulkDelay(curve)) {
    const auto& v = curve.values();
    for (std::size_t i = 0; i < v.size(); ++i) {
        logLevel_.push_back(std::log(std::max(std::abs(v[i]), leastModulus)));
        const double wrapped = std::arg(v[i]) + twoPi * frequencies_[i] * delay_;
        const double before = i == 0 ? wrapped : phase_[i - 1];
        phase_.push_back(before + std::remainder(wrapped - before, twoPi));
    }
}

Result<std::vector<Complex>> Interpolant::at(const Axis& axis) const {
    const auto& f = frequencies_;
    const Range holds = extent();
    // A grid computed twice may differ in the last bit; that is not leaving the data.
    constexpr double sameFrequency = 1e-9;
    std::vector<Complex> result;
    result.reserve(axis.size());
    for (const double wanted : axis) {
        if (wanted < holds.from * (1.0 - sameFrequency) ||
            wanted > holds.to * (1.0 + sameFrequency)) {
            return Error{"frequencies_hz",
                         text::printNumber(wanted) + " Hz asked",
                         "the curve holds from " + text::printNumber(holds.from) + " to " +
                             text::printNumber(holds.to) + " Hz"};
        }
        const auto above = std::lower_bound(f.begin() + 1, f.end() - 1, wanted);
        const auto i = static_cast<std::size_t>(above - f.begin()) - 1;
        const double t = std::clamp(std::log(wanted / f[i]) / std::log(f[i + 1] / f[i]), 0.0, 1.0);
        const double level = logLevel_[i] + t * (logLevel_[i + 1] - logLevel_[i]);
        const double angle = phase_[i] + t * (phase_[i + 1] - phase_[i]) - twoPi * wanted * delay_;
        result.push_back(std::polar(std::exp(level), angle));
    }
    return result;
}

Result<std::vector<Complex>> interpolate(const Curve& curve, const Axis& at) {
    return Interpolant(curve).at(at);
}

} // namespace yf::curve
