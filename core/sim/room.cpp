// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/sim/room.h"

#include "core/curve/interpolate.h"
#include "core/measure/table/import.h"
#include "core/quantity/air.h"
#include "core/quantity/level.h"
#include "core/signal/resample.h"
#include "core/signal/spectrum.h"
#include "core/sim/random.h"
#include "core/text/number.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::sim {

namespace {

using curve::Complex;

constexpr double twoPi = 2.0 * std::numbers::pi;

double dB(double gain) {
    return 20.0 * std::log10(std::max(gain, 1e-20));
}

double rms(const std::vector<double>& x) {
    double sum = 0.0;
    for (const double v : x) {
        sum += v * v;
    }
    return std::sqrt(sum / static_cast<double>(std::max<std::size_t>(x.size(), 1)));
}

/// White noise of rms 1, or pink between 10 Hz and half the rate.
std::vector<double> noiseOf(std::size_t count, double rate, NoiseColour colour, Random& random) {
    std::vector<double> noise(count);
    for (double& v : noise) {
        v = random.normal();
    }
    if (colour == NoiseColour::pink) {
        const std::size_t length = signal::goodLength(count);
        auto spectrum = signal::transform(noise, length);
        constexpr double lowest = 10.0;
        for (std::size_t k = 0; k < spectrum.size(); ++k) {
            const double f = static_cast<double>(k) * rate / static_cast<double>(length);
            spectrum[k] /= std::sqrt(std::max(f, lowest));
        }
        noise = signal::transformBack(spectrum, length);
        noise.resize(count);
        const double size = rms(noise);
        for (double& v : noise) {
            v /= size;
        }
    }
    return noise;
}

/// x + a2·x² + a3·x³ at four times the rate. For a sine of amplitude A the second harmonic is
/// a2·A/2 and the third a3·A²/4 of the fundamental.
std::vector<double> bent(const std::vector<double>& play, const Chain& chain) {
    const double A = *std::ranges::max_element(play, {}, [](double v) { return std::abs(v); });
    if ((chain.secondHarmonic == 0.0 && chain.thirdHarmonic == 0.0) || A == 0.0) {
        return play;
    }
    const double a2 = 2.0 * chain.secondHarmonic / std::abs(A);
    const double a3 = 4.0 * chain.thirdHarmonic / (A * A);
    constexpr std::size_t times = 4;
    const std::size_t length = signal::goodLength(play.size());
    auto spectrum = signal::transform(play, length);
    const std::size_t bins = spectrum.size();
    spectrum.resize(times * length / 2 + 1);
    auto fine = signal::transformBack(spectrum, times * length);
    for (double& v : fine) {
        const double x = v * times;
        v = x + a2 * x * x + a3 * x * x * x;
    }
    auto back = signal::transform(fine, times * length);
    back.resize(bins);
    auto result = signal::transformBack(back, length);
    for (double& v : result) {
        v /= times;
    }
    result.resize(play.size());
    return result;
}

/// Response of the late tail re the direct sound: noise that decays, of the energy asked for.
std::vector<Complex>
tailSpectrum(const Chain& chain, double rate, std::size_t length, Random& random) {
    if (!chain.tail || !chain.tailLevel) {
        return {};
    }
    constexpr double begins = 5e-3; // s after the direct sound
    const auto first = static_cast<std::size_t>(begins * rate);
    const auto count = std::min(static_cast<std::size_t>(*chain.tail * rate), length - first);
    std::vector<double> tail(first + count);
    double energy = 0.0;
    for (std::size_t n = first; n < tail.size(); ++n) {
        const double t = static_cast<double>(n - first) / rate;
        tail[n] = random.normal() * std::pow(10.0, -3.0 * t / *chain.tail);
        energy += tail[n] * tail[n];
    }
    const double scale = quantity::gain(*chain.tailLevel) / std::sqrt(energy);
    for (double& v : tail) {
        v *= scale;
    }
    return signal::transform(tail, length);
}

void loseSamples(std::vector<double>& channel, const Chain& chain, double rate) {
    const auto at = std::min(static_cast<std::size_t>(chain.dropoutTime * rate), channel.size());
    const auto place = channel.begin() + static_cast<std::ptrdiff_t>(at);
    if (chain.dropoutSamples > 0) {
        channel.erase(
            place, place + std::min<std::ptrdiff_t>(chain.dropoutSamples, channel.end() - place));
    } else if (chain.dropoutSamples < 0) {
        channel.insert(place, static_cast<std::size_t>(-chain.dropoutSamples), 0.0);
    }
}

} // namespace

Complex Filter::at(double f) const {
    const Complex s{0.0, f / f0};
    const Complex below = s * s + s / q + 1.0;
    switch (kind) {
    case FilterKind::highPass:
        return s * s / below;
    case FilterKind::lowPass:
        return 1.0 / below;
    case FilterKind::peak:
        break;
    }
    return (s * s + s * quantity::gain(gain) / q + 1.0) / below;
}

Heard hear(const std::vector<double>& play,
           double rate,
           const std::function<Complex(double)>& h,
           const std::vector<Way>& ways,
           const Chain& chain) {
    Random random(static_cast<std::uint64_t>(chain.seed));
    // What is lost must be followed by something: the recorder goes on.
    const std::size_t spare = static_cast<std::size_t>(std::max(chain.dropoutSamples, 0)) +
                              static_cast<std::size_t>(2e-3 * static_cast<double>(play.size())) +
                              64;
    const std::size_t wanted = play.size() + spare;
    const auto ring = static_cast<std::size_t>((chain.tail.value_or(0.0) + 1.0) * rate);
    const std::size_t length = signal::goodLength(wanted + ring);
    const auto P = signal::transform(bent(play, chain), length);
    const auto clean = signal::transform(play, length);
    const auto tail = tailSpectrum(chain, rate, length, random);
    std::vector<Complex> M(P.size());
    std::vector<Complex> R(P.size());
    for (std::size_t k = 0; k < P.size(); ++k) {
        const double f = static_cast<double>(k) * rate / static_cast<double>(length);
        Complex room{};
        for (const Way& way : ways) {
            room += std::polar(way.factor, -twoPi * f * (way.delay + chain.latency));
        }
        if (!tail.empty() && !ways.empty()) {
            room += tail[k] * std::polar(ways.front().factor,
                                         -twoPi * f * (ways.front().delay + chain.latency));
        }
        // At rest the answer is real: what it is just above.
        constexpr double atRest = 0.01; // Hz
        const Complex answer = k == 0 ? Complex{h(atRest).real()} : h(f);
        M[k] = P[k] * answer * room;
        R[k] = clean[k] * std::polar(1.0, -twoPi * f * chain.latency);
    }
    Heard heard{signal::transformBack(M, length), signal::transformBack(R, length)};
    heard.measured.resize(wanted);
    heard.reference.resize(wanted);
    const auto noise = noiseOf(wanted, rate, chain.noiseColour, random);
    const double noiseGain = quantity::gain(chain.noise);
    constexpr int lines = 8;
    double humSum = 0.0;
    for (int m = 1; m <= lines; ++m) {
        humSum += 0.5 / (m * m);
    }
    const double humGain = chain.hum ? quantity::gain(chain.humLevel) / std::sqrt(humSum) : 0.0;
    const double limit = quantity::gain(chain.clip);
    for (std::size_t n = 0; n < wanted; ++n) {
        double v = heard.measured[n] + noiseGain * noise[n];
        if (chain.hum) {
            const double t = static_cast<double>(n) / rate;
            for (int m = 1; m <= lines; ++m) {
                v += humGain / m * std::sin(twoPi * *chain.hum * m * t + m);
            }
        }
        heard.clipped += std::abs(v) >= limit ? 1 : 0;
        heard.measured[n] = std::clamp(v, -limit, limit);
    }
    for (auto* channel : {&heard.measured, &heard.reference}) {
        if (chain.clockDrift != 0.0) {
            *channel = signal::resampled(*channel, 1.0 / (1.0 + chain.clockDrift));
        }
        loseSamples(*channel, chain, rate);
        channel->resize(play.size());
    }
    return heard;
}

std::optional<Error> check(const SimulateRequest& request) {
    if (request.polarity == 0) {
        return Error{"polarity", "0 given", "must be 1 or -1"};
    }
    if (request.chain.tail.has_value() != request.chain.tailLevel.has_value()) {
        return Error{
            request.chain.tail ? "tail_db" : "tail_s", "missing", "tail_s and tail_db go together"};
    }
    if (!std::is_sorted(request.frequencies.begin(), request.frequencies.end())) {
        return Error{"frequencies_hz", "not rising", "must be strictly rising"};
    }
    return check(request.geometry);
}

Result<Simulated> simulate(const SimulateRequest& request) {
    YF_TRY(sweep, signal::makeSweep(request.sweep.plan));
    signal::Geometry geometry = request.geometry;
    if (!geometry.distance) {
        geometry.distance = 1.0;
    }
    const double c = quantity::soundSpeedAt(geometry.temperature);
    std::optional<curve::Interpolant> microphone;
    if (request.microphoneError) {
        YF_TRY(table,
               measure::importTable(
                   {.text = *request.microphoneError, .quantity = measure::QuantityChoice::level}));
        // A level of 0 dB is a gain of 1, whatever pressure the table's decibels meant.
        microphone.emplace(measure::toCurve(table));
    }
    const double gain = request.polarity * quantity::gain(request.gain);
    const auto h = [&](double f) {
        Complex value{gain, 0.0};
        for (const Filter& filter : request.filters) {
            value *= filter.at(f);
        }
        if (microphone) {
            const auto holds = microphone->extent();
            const auto own = microphone->at({std::clamp(f, holds.from, holds.to)});
            value *= own.value().front() / quantity::referencePressure;
        }
        return value;
    };
    const auto paths = signal::pathsOf(geometry);
    std::vector<Way> ways;
    Simulated result;
    for (const signal::Path& path : paths) {
        ways.push_back(
            {(ways.empty() ? 1.0 : request.chain.reflection) / path.length, path.length / c});
        if (ways.size() > 1) {
            result.reflectionDelays.push_back(ways.back().delay - ways.front().delay);
        }
    }
    const std::vector<double> play = signal::playSignal(sweep);
    Heard heard = hear(play, sweep.rate, h, ways, request.chain);
    result.samples = static_cast<int>(heard.measured.size());
    result.peak = dB(std::abs(
        *std::ranges::max_element(heard.measured, {}, [](double v) { return std::abs(v); })));
    result.noise = request.chain.noise;
    result.directDelay = ways.front().delay;
    result.clipped = heard.clipped;
    result.frequencies = request.frequencies.empty()
                             ? curve::within(curve::designAxis(), sweep.fullFrom(), sweep.fullTo())
                             : request.frequencies;
    double before = 0.0;
    for (const double f : result.frequencies) {
        Complex value{gain, 0.0};
        for (const Filter& filter : request.filters) {
            value *= filter.at(f);
        }
        result.levels.push_back(dB(std::abs(value) * ways.front().factor));
        const double own = std::arg(value);
        before += std::remainder(own - before, twoPi);
        result.phases.push_back(before - twoPi * f * ways.front().delay);
    }
    result.channels.push_back(std::move(heard.measured));
    if (request.reference) {
        result.channels.push_back(std::move(heard.reference));
    }
    return result;
}

} // namespace yf::sim
