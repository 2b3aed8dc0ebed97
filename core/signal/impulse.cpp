// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/signal/impulse.h"

#include "core/curve/minimum_phase.h"
#include "core/signal/spectrum.h"

#include <algorithm>
#include <cmath>
#include <numbers>
#include <span>

namespace yf::signal {

namespace {

using curve::Complex;

constexpr double twoPi = 2.0 * std::numbers::pi;

/// Index of the sample of that time after time zero, within the data.
std::size_t indexAt(const Impulse& impulse, double time) {
    const double index = std::round((time + impulse.timeZero) * impulse.rate);
    return static_cast<std::size_t>(
        std::clamp(index, 0.0, static_cast<double>(impulse.samples.size() - 1)));
}

double timeOf(const Impulse& impulse, std::size_t index) {
    return static_cast<double>(index) / impulse.rate - impulse.timeZero;
}

/// 0…1 along a half-cosine.
double rise(double share) {
    return 0.5 - 0.5 * std::cos(std::numbers::pi * std::clamp(share, 0.0, 1.0));
}

double weight(const Gate& gate, double afterArrival) {
    if (afterArrival < 0.0) {
        return gate.left > 0.0 ? rise((afterArrival + gate.left) / gate.left) : 0.0;
    }
    const double flat = gate.right * (1.0 - gate.taper);
    if (afterArrival <= flat || gate.taper <= 0.0) {
        return afterArrival <= gate.right ? 1.0 : 0.0;
    }
    return rise((gate.right - afterArrival) / (gate.right - flat));
}

/// Phasor sum Σ h[n]·e^(−jω(t_n)); the phasor is made anew now and then, so that its rounding does
/// not grow.
Complex sumAt(std::span<const double> data, double from, double rate, double f) {
    constexpr std::size_t anew = 256;
    const Complex turn = std::polar(1.0, -twoPi * f / rate);
    Complex sum{};
    for (std::size_t begin = 0; begin < data.size(); begin += anew) {
        Complex phasor = std::polar(1.0, -twoPi * f * (from + static_cast<double>(begin) / rate));
        const std::size_t end = std::min(begin + anew, data.size());
        for (std::size_t n = begin; n < end; ++n) {
            sum += data[n] * phasor;
            phasor *= turn;
        }
    }
    return sum;
}

std::size_t highestPeak(const std::vector<double>& data) {
    return static_cast<std::size_t>(
        std::ranges::max_element(data, {}, [](double v) { return std::abs(v); }) - data.begin());
}

/// Phase in excess of the minimum phase and its weight, over the stretch where the driver speaks.
struct Excess {
    std::vector<double> f;
    std::vector<double> angle;
    std::vector<double> weight;
};

Excess excessPhase(const curve::Curve& response) {
    const auto minimum = curve::minimumPhase(response);
    const auto& f = response.frequencies();
    const auto& H = response.values();
    const double most =
        std::abs(*std::ranges::max_element(H, {}, [](const Complex& v) { return std::abs(v); }));
    constexpr double within = 0.1; // 20 dB
    Excess excess;
    for (std::size_t k = 1; k < f.size(); ++k) {
        if (std::abs(H[k]) >= within * most) {
            excess.f.push_back(f[k]);
            excess.angle.push_back(std::arg(H[k]) - minimum[k]);
            excess.weight.push_back(std::abs(H[k]) * std::log(f[k] / f[k - 1]));
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

} // namespace

std::vector<Complex> gatedResponse(const Impulse& impulse,
                                   double arrivalTime,
                                   const Gate& gate,
                                   const curve::Axis& frequencies) {
    const std::size_t first = indexAt(impulse, arrivalTime - gate.left);
    const std::size_t last = indexAt(impulse, arrivalTime + gate.right);
    std::vector<double> part(impulse.samples.begin() + static_cast<std::ptrdiff_t>(first),
                             impulse.samples.begin() + static_cast<std::ptrdiff_t>(last + 1));
    for (std::size_t n = 0; n < part.size(); ++n) {
        part[n] *= weight(gate, timeOf(impulse, first + n) - arrivalTime);
    }
    std::vector<Complex> response;
    response.reserve(frequencies.size());
    for (const double f : frequencies) {
        response.push_back(sumAt(part, timeOf(impulse, first), impulse.rate, f));
    }
    return response;
}

double arrival(const Impulse& impulse) {
    const double peak = timeOf(impulse, highestPeak(impulse.samples));
    // 6 ms around the peak hold the answer for any loudspeaker; reflections stay outside as far as
    // that goes.
    constexpr double around = 6e-3;
    const Gate wide{.left = around, .right = 2.0 * around, .taper = 0.5};
    const curve::Axis axis = curve::within(
        curve::designAxis(), wide.lowestValid(), std::min(20000.0, 0.45 * impulse.rate));
    if (axis.size() < 8) {
        return peak;
    }
    const auto values = gatedResponse(impulse, peak, wide, axis);
    if (std::ranges::any_of(values, [](const Complex& v) { return std::abs(v) == 0.0; })) {
        return peak;
    }
    const Excess excess = excessPhase(curve::Curve(axis, values, curve::Phase::own));
    if (excess.f.size() < 4) {
        return peak;
    }
    const double step = 0.1 / (excess.f.back() - excess.f.front());
    double best = peak;
    double most = -1.0;
    for (double delay = peak - around; delay <= peak + around; delay += step) {
        if (const double sum = agreement(excess, delay); sum > most) {
            most = sum;
            best = delay;
        }
    }
    // Golden section around the best step.
    constexpr double golden = 0.6180339887498949;
    double a = best - step;
    double b = best + step;
    for (int i = 0; i < 40; ++i) {
        const double c = b - golden * (b - a);
        const double d = a + golden * (b - a);
        agreement(excess, c) > agreement(excess, d) ? b = d : a = c;
    }
    return 0.5 * (a + b);
}

std::optional<Reflection> firstReflection(const Impulse& impulse, double arrivalTime) {
    constexpr double direct = 1.2e-3; // s
    constexpr double longest = 0.1;   // s after the arrival: no room's first reflection is later
    const std::size_t first = indexAt(impulse, arrivalTime - 1e-3);
    const std::size_t end = indexAt(impulse, arrivalTime + longest) + 1;
    const std::span<const double> whole = std::span(impulse.samples).subspan(first, end - first);
    const double lead = arrivalTime - timeOf(impulse, first);
    if (static_cast<double>(whole.size()) < (lead + 2.0 * direct) * impulse.rate) {
        return std::nullopt;
    }
    const Gate directGate{.left = 1e-3, .right = direct, .taper = 0.4};
    std::vector<double> own(whole.begin(), whole.end());
    for (std::size_t n = 0; n < own.size(); ++n) {
        own[n] *= weight(directGate, timeOf(impulse, first + n) - arrivalTime);
    }
    const std::size_t length = goodLength(2 * whole.size());
    const auto W = transform(whole, length);
    const auto D = transform(own, length);
    double most = 0.0;
    for (const Complex& d : D) {
        most = std::max(most, std::norm(d));
    }
    constexpr double floor = 0.01; // −20 dB of power
    std::vector<Complex> ratio(W.size());
    for (std::size_t k = 0; k < W.size(); ++k) {
        ratio[k] = W[k] * std::conj(D[k]) / (std::norm(D[k]) + floor * most);
    }
    auto train = transformBack(ratio, length);
    train.resize(whole.size());
    const std::vector<double> size = envelope(train);
    const double reference = size.front();
    const auto from = static_cast<std::size_t>(std::ceil(direct * impulse.rate));
    std::vector<double> late(size.begin() + static_cast<std::ptrdiff_t>(size.size() / 2),
                             size.end());
    const auto middle = late.begin() + static_cast<std::ptrdiff_t>(late.size() / 2);
    std::ranges::nth_element(late, middle);
    constexpr double leastShare = 0.08;
    constexpr double overNoise = 6.0;
    const double threshold = std::max(leastShare * reference, overNoise * *middle);
    // The band's own ripple before a strong one is no reflection: the highest of a cluster counts.
    const auto cluster = static_cast<std::size_t>(1.2e-4 * impulse.rate);
    for (std::size_t n = std::max<std::size_t>(from, 1); n + 1 < size.size(); ++n) {
        const auto ahead = std::span(size).subspan(n + 1, std::min(cluster, size.size() - n - 1));
        if (size[n] > threshold && size[n] >= size[n - 1] && size[n] >= std::ranges::max(ahead)) {
            return Reflection{static_cast<double>(n) / impulse.rate,
                              20.0 * std::log10(size[n] / reference)};
        }
    }
    return std::nullopt;
}

Gate proposedGate(const Impulse& impulse, double arrivalTime) {
    constexpr double most = 0.5; // s
    const double rest = impulse.duration() - impulse.timeZero - arrivalTime;
    Gate gate{.right = std::min(rest, most)};
    if (const auto reflection = firstReflection(impulse, arrivalTime)) {
        // The reflection's own rise begins before its peak.
        constexpr double before = 1e-4;
        gate.right = std::min(gate.right, reflection->after - before);
    }
    return gate;
}

} // namespace yf::signal
