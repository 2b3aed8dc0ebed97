// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/signal/impulse.h"

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

std::size_t highestPeak(const std::vector<double>& data) {
    return static_cast<std::size_t>(
        std::ranges::max_element(data, {}, [](double v) { return std::abs(v); }) - data.begin());
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
        response.push_back(dtft(part, timeOf(impulse, first), impulse.rate, f));
    }
    return response;
}

std::optional<DelayFit> delayOf(const Impulse& impulse, double right) {
    const double peak = timeOf(impulse, highestPeak(impulse.samples));
    // The minimum phase of what was cut off is wrong: a slow onset stays in.
    constexpr double around = 6e-3;
    const double rest = impulse.duration() - impulse.timeZero - peak;
    const Gate wide{.left = around, .right = std::min(right, std::max(rest, 1e-3)), .taper = 0.5};
    const curve::Axis axis = curve::within(
        curve::designAxis(), wide.lowestValid(), std::min(20000.0, 0.45 * impulse.rate));
    constexpr std::size_t leastPoints = 8;
    if (axis.size() < leastPoints) {
        return std::nullopt;
    }
    const auto values = gatedResponse(impulse, peak, wide, axis);
    return excessDelay(curve::Curve(axis, values, curve::Phase::own), peak, around);
}

double arrival(const Impulse& impulse) {
    const auto fit = delayOf(impulse, directSound);
    return fit ? fit->delay : timeOf(impulse, highestPeak(impulse.samples));
}

double peakTime(const Impulse& impulse) {
    return timeOf(impulse, highestPeak(impulse.samples));
}

bool peakIsPositive(const Impulse& impulse) {
    return impulse.samples[highestPeak(impulse.samples)] > 0.0;
}

double onsetTime(const Impulse& impulse) {
    const std::vector<double> size = envelope(impulse.samples);
    constexpr double share = 0.2;
    const double threshold = share * std::ranges::max(size);
    const auto first = std::ranges::find_if(size, [&](double v) { return v >= threshold; });
    return timeOf(impulse, static_cast<std::size_t>(first - size.begin()));
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
    // Cut after the envelope: a Hilbert transform goes round, and the end stands beside the start.
    std::vector<double> size = envelope(transformBack(ratio, length));
    size.resize(whole.size());
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
    const auto cluster = std::max<std::size_t>(1, static_cast<std::size_t>(1.2e-4 * impulse.rate));
    for (std::size_t n = std::max<std::size_t>(from, 1); n + 1 < size.size(); ++n) {
        const auto ahead = std::span(size).subspan(n + 1, std::min(cluster, size.size() - n - 1));
        if (size[n] > threshold && size[n] >= size[n - 1] && size[n] >= std::ranges::max(ahead)) {
            return Reflection{static_cast<double>(n) / impulse.rate,
                              20.0 * std::log10(size[n] / reference)};
        }
    }
    return std::nullopt;
}

Gate gateBefore(const std::optional<Reflection>& reflection, double rest) {
    constexpr double most = 0.5; // s
    Gate gate{.right = std::min(rest, most)};
    if (reflection) {
        // The reflection's own rise begins before its peak.
        constexpr double before = 1e-4;
        gate.right = std::min(gate.right, reflection->after - before);
    }
    return gate;
}

Gate proposedGate(const Impulse& impulse, double arrivalTime) {
    return gateBefore(firstReflection(impulse, arrivalTime),
                      impulse.duration() - impulse.timeZero - arrivalTime);
}

} // namespace yf::signal
