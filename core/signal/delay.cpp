// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/signal/delay.h"

#include "core/curve/interpolate.h"
#include "core/curve/smooth.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::signal {

namespace {

using curve::Complex;

constexpr double twoPi = 2.0 * std::numbers::pi;
constexpr double degree = std::numbers::pi / 180.0;

/// Phase in excess of the minimum phase, and its weight.
struct Excess {
    std::vector<double> f;
    std::vector<double> angle;
    std::vector<double> weight;
};

Excess excessPhase(const curve::Curve& response, const curve::Range& band) {
    constexpr double inMinimumPhase = 30.0; // dB
    const curve::Range wide = loudStretch(response, inMinimumPhase);
    const auto minimum = curve::minimumPhase(response.trustedWithin(wide));
    const auto& f = response.frequencies();
    Excess excess;
    for (std::size_t k = 0; k < f.size(); ++k) {
        if (band.holds(f[k])) {
            const double below = f[k > 0 ? k - 1 : 0];
            const double above = f[std::min(k + 1, f.size() - 1)];
            excess.f.push_back(f[k]);
            excess.angle.push_back(std::arg(response.values()[k]) - minimum[k]);
            excess.weight.push_back(std::abs(response.values()[k]) * std::log(above / below));
        }
    }
    return excess;
}

double agreement(const Excess& excess, double delay) {
    Complex sum{};
    for (std::size_t k = 0; k < excess.f.size(); ++k) {
        sum += std::polar(excess.weight[k], excess.angle[k] + twoPi * excess.f[k] * delay);
    }
    return std::abs(sum);
}

/// Weighted straight line through the de-rotated phase: offset and what is left of the delay.
void refine(const Excess& excess, DelayFit& fit) {
    Complex mean{};
    for (std::size_t k = 0; k < excess.f.size(); ++k) {
        mean += std::polar(excess.weight[k], excess.angle[k] + twoPi * excess.f[k] * fit.delay);
    }
    const double middle = std::arg(mean);
    double sw = 0.0;
    double sx = 0.0;
    double sy = 0.0;
    double sxx = 0.0;
    double sxy = 0.0;
    double sww = 0.0;
    std::vector<double> y;
    for (std::size_t k = 0; k < excess.f.size(); ++k) {
        const double w = excess.weight[k];
        const double x = twoPi * excess.f[k];
        y.push_back(std::remainder(excess.angle[k] + x * fit.delay - middle, twoPi));
        sw += w;
        sww += w * w;
        sx += w * x;
        sy += w * y.back();
        sxx += w * x * x;
        sxy += w * x * y.back();
    }
    const double det = sw * sxx - sx * sx;
    const double slope = (sw * sxy - sx * sy) / det;
    const double start = (sy - slope * sx) / sw;
    double rest = 0.0;
    for (std::size_t k = 0; k < excess.f.size(); ++k) {
        const double r = y[k] - start - slope * twoPi * excess.f[k];
        rest += excess.weight[k] * r * r;
    }
    fit.delay -= slope;
    fit.offset = std::remainder(middle + start, twoPi);
    fit.residual = std::sqrt(rest / sw);
    // Neighbouring points of a smooth error are not independent: an octave counts as three.
    const double independent = std::max(3.0, std::min(sw * sw / sww, 3.0 * fit.octaves()));
    const double spread = std::sqrt((sxx - sx * sx / sw) / sw);
    const double scatter = fit.residual / (spread * std::sqrt(independent - 2.0));
    const double tails = 12.0 * degree / (twoPi * (fit.band.to - fit.band.from));
    fit.u = std::hypot(scatter, tails);
}

} // namespace

double DelayFit::octaves() const {
    return std::log2(band.to / band.from);
}

double DelayFit::confidence() const {
    constexpr double enough = 1.5;
    return std::abs(std::cos(offset)) * std::max(0.0, 1.0 - residual / (60.0 * degree)) *
           std::min(1.0, octaves() / enough);
}

Polarity polarityOf(const DelayFit& fit) {
    constexpr double least = 0.5;
    if (fit.confidence() < least) {
        return Polarity::uncertain;
    }
    return std::cos(fit.offset) > 0.0 ? Polarity::positive : Polarity::negative;
}

std::string_view polarityName(Polarity polarity) {
    switch (polarity) {
    case Polarity::positive:
        return "positive";
    case Polarity::negative:
        return "negative";
    case Polarity::uncertain:
        break;
    }
    return "uncertain";
}

curve::Range loudStretch(const curve::Curve& response, double within) {
    const auto smooth = curve::smoothed(response, 3.0, curve::Smoothing::power);
    const auto& f = response.frequencies();
    std::size_t top = 0;
    bool any = false;
    const auto size = [&](std::size_t k) { return std::abs(smooth.values()[k]); };
    for (std::size_t k = 0; k < f.size(); ++k) {
        if (response.trusted().holds(f[k]) && (!any || size(k) > size(top))) {
            top = k;
            any = true;
        }
    }
    const double least = size(top) * std::pow(10.0, -within / 20.0);
    std::size_t first = top;
    std::size_t last = top;
    while (first > 0 && response.trusted().holds(f[first - 1]) && size(first - 1) >= least) {
        --first;
    }
    while (last + 1 < f.size() && response.trusted().holds(f[last + 1]) &&
           size(last + 1) >= least) {
        ++last;
    }
    return {f[first], f[last]};
}

std::optional<DelayFit> excessDelay(const curve::Curve& response,
                                    double near,
                                    double reach,
                                    std::optional<curve::Range> band) {
    if (std::ranges::any_of(response.values(), [](Complex v) { return std::abs(v) == 0.0; })) {
        return std::nullopt;
    }
    constexpr double within = 20.0; // dB
    DelayFit fit{.band = band.value_or(loudStretch(response, within))};
    const Excess excess = excessPhase(response, fit.band);
    constexpr std::size_t leastPoints = 6;
    if (excess.f.size() < leastPoints) {
        return std::nullopt;
    }
    const double step = 0.1 / (excess.f.back() - excess.f.front());
    double most = -1.0;
    for (double delay = near - reach; delay <= near + reach; delay += step) {
        if (const double sum = agreement(excess, delay); sum > most) {
            most = sum;
            fit.delay = delay;
        }
    }
    refine(excess, fit);
    refine(excess, fit); // once more from the middle: the first one wrapped the phase elsewhere
    return fit;
}

ExcessPhase excessPhase(const curve::Curve& response) {
    constexpr double reach = 6e-3; // s, about the bulk delay
    const auto minimum = curve::minimumPhase(response);
    const auto fit = excessDelay(response, curve::bulkDelay(response), reach);
    const double delay = fit ? fit->delay : 0.0;
    std::vector<curve::Complex> values;
    for (std::size_t k = 0; k < response.size(); ++k) {
        const curve::Complex& H = response.values()[k];
        values.push_back(std::polar(
            std::abs(H),
            std::arg(H) - minimum[k] + 2.0 * std::numbers::pi * response.frequencies()[k] * delay));
    }
    return {curve::Curve(
                response.frequencies(), std::move(values), response.phase(), response.trusted()),
            delay};
}

} // namespace yf::signal
