// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/signal/deconvolve.h"

#include "core/base/expect.h"
#include "core/curve/smooth.h"
#include "core/signal/spectrum.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::signal {

namespace {

using curve::Complex;

constexpr double pi = std::numbers::pi;
constexpr double twoPi = 2.0 * pi;

/// A stretch of a periodic impulse response with half-cosine edges, seconds re its time zero.
struct Window {
    double from{};
    double to{};
    double riseEnds{};
    double fallBegins{};

    [[nodiscard]] double at(double t) const {
        if (t < from || t > to) {
            return 0.0;
        }
        if (t < riseEnds) {
            return 0.5 - 0.5 * std::cos(pi * (t - from) / (riseEnds - from));
        }
        if (t > fallBegins) {
            return 0.5 - 0.5 * std::cos(pi * (to - t) / (to - fallBegins));
        }
        return 1.0;
    }
};

struct Periodic {
    const std::vector<double>& samples;
    double rate;

    [[nodiscard]] double at(std::ptrdiff_t n) const {
        const auto length = static_cast<std::ptrdiff_t>(samples.size());
        return samples[static_cast<std::size_t>(((n % length) + length) % length)];
    }

    [[nodiscard]] std::vector<double> windowed(const Window& window, double& from) const {
        const auto first = static_cast<std::ptrdiff_t>(std::ceil(window.from * rate));
        const auto last = static_cast<std::ptrdiff_t>(std::floor(window.to * rate));
        std::vector<double> part;
        part.reserve(static_cast<std::size_t>(std::max<std::ptrdiff_t>(0, last - first + 1)));
        for (std::ptrdiff_t n = first; n <= last; ++n) {
            part.push_back(at(n) * window.at(static_cast<double>(n) / rate));
        }
        from = static_cast<double>(first) / rate;
        return part;
    }
};

/// Where harmonic m (1: the linear part) is looked for, re its own time.
Window windowOf(const Sweep& sweep, int m, double centre) {
    const double left = sweep.rateConstant * std::log((m + 1.0) / m);
    // To the right of the linear part there is no harmonic: as far as to its left.
    const double right =
        m == 1 ? left : sweep.rateConstant * std::log(static_cast<double>(m) / (m - 1.0));
    const double from = centre - 0.1 * left;
    const double to = centre + 0.8 * right;
    const double length = to - from;
    return {from, to, std::min(centre, from + 0.1 * length), to - 0.2 * length};
}

} // namespace

std::size_t RepeatSpectra::bin(double f) const {
    const double place = std::round(f * static_cast<double>(length) / rate);
    return static_cast<std::size_t>(std::clamp(place, 0.0, static_cast<double>(length / 2)));
}

std::vector<double> repeatOf(const std::vector<double>& channel, const Sweep& sweep, int repeat) {
    std::vector<double> part(sweep.samples + sweep.after);
    const std::size_t from = std::min(sweep.startOf(repeat), channel.size());
    const std::size_t count = std::min(part.size(), channel.size() - from);
    std::copy_n(channel.begin() + static_cast<std::ptrdiff_t>(from), count, part.begin());
    return part;
}

RepeatSpectra transformRepeats(const Recording& recording, const Sweep& sweep) {
    RepeatSpectra spectra{
        .length = goodLength(sweep.period() + sweep.samples), .rate = recording.rate, .sweep = {}};
    while (spectra.length % 2 == 1) { // half the rate is a bin of its own
        spectra.length = goodLength(spectra.length + 1);
    }
    spectra.sweep = transform(samplesOf(sweep), spectra.length);
    for (int r = 0; r < sweep.repeats; ++r) {
        spectra.measured.push_back(
            transform(repeatOf(recording.measured, sweep, r), spectra.length));
        if (!recording.reference.empty()) {
            spectra.reference.push_back(
                transform(repeatOf(recording.reference, sweep, r), spectra.length));
        }
    }
    return spectra;
}

Spectrum mean(const std::vector<Spectrum>& spectra) {
    YF_EXPECT(!spectra.empty());
    Spectrum sum = spectra.front();
    for (std::size_t r = 1; r < spectra.size(); ++r) {
        for (std::size_t k = 0; k < sum.size(); ++k) {
            sum[k] += spectra[r][k];
        }
    }
    const double count = static_cast<double>(spectra.size());
    for (Complex& v : sum) {
        v /= count;
    }
    return sum;
}

Spectrum linearResponse(const Spectrum& measured,
                        const Spectrum& against,
                        const RepeatSpectra& of,
                        const Sweep& sweep) {
    Spectrum H(measured.size());
    for (std::size_t k = 0; k < H.size(); ++k) {
        const double window = sweep.bandWindow(of.frequency(k));
        if (window > 0.0 && std::norm(against[k]) > 0.0) {
            H[k] = window * measured[k] * std::conj(against[k]) / std::norm(against[k]);
        }
    }
    return H;
}

Impulse
impulseOf(const Spectrum& response, std::size_t length, double rate, double before, double after) {
    const std::vector<double> h = transformBack(response, length);
    const auto first = -static_cast<std::ptrdiff_t>(std::ceil(before * rate));
    const auto last = static_cast<std::ptrdiff_t>(std::ceil(after * rate));
    const Periodic periodic{h, rate};
    Impulse impulse{.rate = rate, .timeZero = static_cast<double>(-first) / rate};
    impulse.samples.reserve(static_cast<std::size_t>(last - first + 1));
    for (std::ptrdiff_t n = first; n <= last; ++n) {
        impulse.samples.push_back(periodic.at(n));
    }
    return impulse;
}

std::vector<std::optional<double>> Distortion::total() const {
    std::vector<std::optional<double>> sums(frequencies.size());
    for (std::size_t i = 0; i < sums.size(); ++i) {
        for (const auto& order : orders) {
            if (order[i]) {
                sums[i] = std::hypot(sums[i].value_or(0.0), *order[i]);
            }
        }
    }
    return sums;
}

Distortion distortion(const Spectrum& measured,
                      const RepeatSpectra& of,
                      const Sweep& sweep,
                      double arrival,
                      const curve::Axis& frequencies) {
    Spectrum product(measured.size());
    for (std::size_t k = 1; k < product.size(); ++k) {
        product[k] = measured[k] * inverseAt(sweep, of.frequency(k)) / (sweep.amplitude * of.rate);
    }
    const std::vector<double> h = transformBack(product, of.length);
    const Periodic periodic{h, of.rate};
    Distortion result{.frequencies = frequencies};
    const auto sizes = [&](const Window& window, int m) {
        double from = 0.0;
        const std::vector<double> part = periodic.windowed(window, from);
        std::vector<std::optional<double>> values;
        for (const double f : frequencies) {
            if (m * f < 0.5 * of.rate) {
                values.emplace_back(std::abs(dtft(part, from, of.rate, m * f)));
            } else {
                values.emplace_back();
            }
        }
        return values;
    };
    const auto linear = sizes(windowOf(sweep, 1, arrival), 1);
    // Behind the linear part's window nothing answers to the sweep any more but noise.
    const double room = static_cast<double>(sweep.after) / of.rate;
    for (int m = 2; m <= 5; ++m) {
        const Window window = windowOf(sweep, m, arrival - sweep.advance(m));
        const double length = window.to - window.from;
        const double quiet = std::max(arrival + 0.8 * sweep.rateConstant * std::numbers::ln2,
                                      arrival + room - length);
        const double shift = quiet - window.from;
        const Window silent{window.from + shift,
                            window.to + shift,
                            window.riseEnds + shift,
                            window.fallBegins + shift};
        auto values = sizes(window, m);
        auto floors = sizes(silent, m);
        for (std::size_t i = 0; i < values.size(); ++i) {
            if (values[i] && linear[i] && *linear[i] > 0.0) {
                *values[i] /= *linear[i];
                *floors[i] /= *linear[i];
            } else {
                values[i].reset();
                floors[i].reset();
            }
        }
        result.orders[static_cast<std::size_t>(m - 2)] = std::move(values);
        result.floor[static_cast<std::size_t>(m - 2)] = std::move(floors);
    }
    return result;
}

std::optional<Harmonic>
harmonicOf(const curve::Curve& fundamental, const Distortion& distortion, std::size_t order) {
    const auto& ratio = distortion.orders.at(order - 2);
    const auto& floor = distortion.floor.at(order - 2);
    const auto& f = fundamental.frequencies();
    constexpr double over = 2.0; // 6 dB
    std::vector<double> at;
    std::vector<curve::Complex> size;
    std::vector<bool> clear;
    for (std::size_t k = 0; k < distortion.frequencies.size(); ++k) {
        // Both axes are meant to be one; a point apart is taken, a hole is not bridged.
        const auto above = std::ranges::lower_bound(f, distortion.frequencies[k] * 0.999);
        if (above == f.end() || *above > distortion.frequencies[k] * 1.02 || !ratio[k]) {
            continue;
        }
        const auto point = static_cast<std::size_t>(above - f.begin());
        at.push_back(distortion.frequencies[k]);
        size.emplace_back(std::abs(fundamental.values()[point]) * std::max(*ratio[k], 1e-9));
        clear.push_back(floor[k] && *ratio[k] > over * *floor[k]);
    }
    if (at.size() < 2) {
        return std::nullopt;
    }
    constexpr double sixth = 6.0;
    return Harmonic{
        curve::smoothed(curve::Curve(at, size, curve::Phase::none), sixth, curve::Smoothing::power),
        std::move(clear)};
}

} // namespace yf::signal
