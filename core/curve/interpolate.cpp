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

/// Steps between neighbouring points: how much each counts and turns, and over which Δω.
class Steps {
public:
    explicit Steps(const Curve& curve) {
        const auto& f = curve.frequencies();
        const auto& v = curve.values();
        for (std::size_t i = 1; i < f.size(); ++i) {
            const double weight =
                std::min(std::abs(v[i]), std::abs(v[i - 1])) * std::log(f[i] / f[i - 1]);
            const Complex turn = v[i] * std::conj(v[i - 1]);
            const double size = std::abs(turn);
            turns_.push_back(size > 0.0 ? turn * (weight / size) : Complex{weight, 0.0});
            dOmega_.push_back(twoPi * (f[i] - f[i - 1]));
        }
    }

    /// |Σ w·e^(j(Δφ + Δω·τ))|.
    [[nodiscard]] double agreement(double tau) const {
        Complex sum{};
        for (std::size_t i = 0; i < turns_.size(); ++i) {
            sum += turns_[i] * std::polar(1.0, dOmega_[i] * tau);
        }
        return std::abs(sum);
    }

    /// The same at τ and −τ for τ = step, 2·step … up to `longest`, told one after the other. Each
    /// turns on from the one before: thousands of delays are tried, and no sine has to be computed.
    void walk(double step, double longest, const auto& tell) const {
        std::vector<Complex> by;
        for (const double w : dOmega_) {
            by.push_back(std::polar(1.0, w * step));
        }
        std::vector<Complex> turned(by.size(), Complex{1.0, 0.0});
        for (double tau = step; tau <= longest; tau += step) {
            Complex later{};
            Complex sooner{};
            for (std::size_t i = 0; i < turned.size(); ++i) {
                turned[i] *= by[i];
                later += turns_[i] * turned[i];
                sooner += turns_[i] * std::conj(turned[i]);
            }
            tell(tau, std::abs(later));
            tell(-tau, std::abs(sooner));
        }
    }

private:
    std::vector<Complex> turns_;
    std::vector<double> dOmega_;
};

} // namespace

double bulkDelay(const Curve& curve) {
    const auto& f = curve.frequencies();
    double widestStep = 0.0;
    for (std::size_t i = 1; i < f.size(); ++i) {
        widestStep = std::max(widestStep, f[i] - f[i - 1]);
    }
    // The agreement of neighbours turns over no faster than the widest step between points.
    const double step = std::max(0.2 / widestStep, longestDelay / 2000.0);
    const Steps steps(curve);
    double best = 0.0;
    double most = steps.agreement(0.0);
    const auto offer = [&](double tau, double agreement) {
        // A delay must earn its place: equal agreement keeps the smaller one.
        if (agreement > most * (1.0 + 1e-9)) {
            most = agreement;
            best = tau;
        }
    };
    steps.walk(step, longestDelay, offer);
    for (double finer = step / 2.0; finer > step / 64.0; finer /= 2.0) {
        const double centre = best;
        for (const double tau : {centre - finer, centre + finer}) {
            offer(tau, steps.agreement(tau));
        }
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
                         say(YF_WORDS("core", "%1 Hz asked"), text::printNumber(wanted)),
                         say(YF_WORDS("core", "the curve holds from %1 to %2 Hz"),
                             text::printNumber(holds.from),
                             text::printNumber(holds.to))};
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
