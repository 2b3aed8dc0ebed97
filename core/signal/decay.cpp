// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/signal/decay.h"

#include "core/signal/spectrum.h"

#include <algorithm>
#include <cmath>
#include <numbers>
#include <span>

namespace yf::signal {

namespace {

using curve::Complex;

constexpr double pi = std::numbers::pi;
constexpr double least = 1e-15;

double level(double size) {
    return 20.0 * std::log10(std::max(size, least));
}

double sampleAt(const Impulse& impulse, std::ptrdiff_t n) {
    return n >= 0 && n < static_cast<std::ptrdiff_t>(impulse.samples.size())
               ? impulse.samples[static_cast<std::size_t>(n)]
               : 0.0;
}

/// Between bins by the cubic through four of them; the data's own middle is at time zero.
Complex between(const std::vector<Complex>& spectrum, double place) {
    const auto last = static_cast<std::ptrdiff_t>(spectrum.size()) - 1;
    const auto i = std::clamp<std::ptrdiff_t>(static_cast<std::ptrdiff_t>(place), 1, last - 2);
    const double t = place - static_cast<double>(i);
    const auto v = [&](std::ptrdiff_t k) { return spectrum[static_cast<std::size_t>(i + k)]; };
    return v(-1) * (-t * (t - 1.0) * (t - 2.0) / 6.0) +
           v(0) * ((t + 1.0) * (t - 1.0) * (t - 2.0) / 2.0) +
           v(1) * (-(t + 1.0) * t * (t - 2.0) / 2.0) + v(2) * ((t + 1.0) * t * (t - 1.0) / 6.0);
}

} // namespace

DecayImage cumulativeDecay(const Impulse& impulse,
                           const CumulativeDecay& form,
                           const curve::Axis& frequencies) {
    const double arrival = onsetTime(impulse) + impulse.timeZero;
    const auto first =
        static_cast<std::ptrdiff_t>(std::floor((arrival - form.rise) * impulse.rate));
    const auto count =
        static_cast<std::size_t>(std::ceil((form.length + form.rise) * impulse.rate)) + 2;
    constexpr std::size_t padding = 8;
    const std::size_t length = goodLength(padding * count);
    DecayImage image{.frequencies = frequencies, .lowestValid = 1.0 / form.length};
    std::vector<double> part(count);
    for (int k = 0; k < form.slices; ++k) {
        const double start = arrival + k * form.step;
        const double end = arrival + form.length;
        const double falls = end - 0.1 * form.length;
        for (std::size_t n = 0; n < count; ++n) {
            const std::ptrdiff_t at = first + static_cast<std::ptrdiff_t>(n);
            const double t = static_cast<double>(at) / impulse.rate;
            double w = 0.0;
            if (t >= start - form.rise && t <= end) {
                w = t < start ? 0.5 - 0.5 * std::cos(pi * (t - start + form.rise) / form.rise)
                              : 1.0;
                w *= t > falls ? 0.5 - 0.5 * std::cos(pi * (end - t) / (end - falls)) : 1.0;
            }
            part[n] = w * sampleAt(impulse, at);
        }
        // Turned so that the slice's own beginning is at time zero: then bins differ little.
        std::vector<double> turned(length);
        const auto begin = static_cast<std::size_t>(k * form.step * impulse.rate);
        for (std::size_t n = 0; n < count; ++n) {
            turned[(n + length - std::min(begin, count)) % length] = part[n];
        }
        const auto spectrum = transform(turned, length);
        std::vector<double> row;
        row.reserve(frequencies.size());
        for (const double f : frequencies) {
            row.push_back(
                level(std::abs(between(spectrum, f * static_cast<double>(length) / impulse.rate))));
        }
        image.times.push_back(k * form.step);
        image.levels.push_back(std::move(row));
    }
    return image;
}

DecayImage
burstDecay(const Impulse& impulse, const BurstDecay& form, const curve::Axis& frequencies) {
    const double arrival = onsetTime(impulse) + impulse.timeZero;
    DecayImage image{.frequencies = frequencies};
    image.levels.assign(static_cast<std::size_t>(form.periods + 1),
                        std::vector<double>(frequencies.size()));
    for (int k = 0; k <= form.periods; ++k) {
        image.times.push_back(k);
    }
    for (std::size_t i = 0; i < frequencies.size(); ++i) {
        const double f = frequencies[i];
        const double half = 0.5 * form.cycles / f * impulse.rate; // samples
        const auto reach = static_cast<std::ptrdiff_t>(half);
        std::vector<Complex> b;
        double size = 0.0;
        for (std::ptrdiff_t m = -reach; m <= reach; ++m) {
            const double w = 0.5 + 0.5 * std::cos(pi * static_cast<double>(m) / half);
            b.push_back(std::polar(w, 2.0 * pi * f * static_cast<double>(m) / impulse.rate));
            size += w;
        }
        for (int k = 0; k <= form.periods; ++k) {
            const auto at = static_cast<std::ptrdiff_t>(
                std::lround(arrival * impulse.rate + k * impulse.rate / f));
            Complex sum{};
            for (std::ptrdiff_t m = -reach; m <= reach; ++m) {
                sum += b[static_cast<std::size_t>(m + reach)] * sampleAt(impulse, at - m);
            }
            image.levels[static_cast<std::size_t>(k)][i] = level(std::abs(sum) / size);
        }
    }
    return image;
}

void seal(DecayImage& image, std::optional<double> reference, double range, bool wholeImage) {
    double most = -1e9;
    for (std::size_t row = 0; row < (wholeImage ? image.levels.size() : 1); ++row) {
        for (const double v : image.levels[row]) {
            most = std::max(most, v);
        }
    }
    image.reference = reference.value_or(most);
    for (auto& row : image.levels) {
        for (double& v : row) {
            v = std::max(v - image.reference, -range);
        }
    }
}

std::vector<double> stepResponse(const Impulse& impulse) {
    std::vector<double> step;
    step.reserve(impulse.samples.size());
    double sum = 0.0;
    for (const double v : impulse.samples) {
        sum += v / impulse.rate;
        step.push_back(sum);
    }
    return step;
}

} // namespace yf::signal
