// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/worlds/room.h"

#include "core/worlds/draws.h"

#include <algorithm>
#include <cmath>
#include <complex>
#include <iterator>

namespace worlds {

namespace {

constexpr double pi = 3.14159265358979323846;
constexpr double soundSpeed = 343.2; // m/s at 20 °C

/// A second-order section, direct form II transposed.
struct Section {
    double b0{1.0};
    double b1{};
    double b2{};
    double a1{};
    double a2{};

    void run(std::vector<double>& x) const {
        double s1 = 0.0;
        double s2 = 0.0;
        for (double& v : x) {
            const double y = b0 * v + s1;
            s1 = b1 * v - a1 * y + s2;
            s2 = b2 * v - a2 * y;
            v = y;
        }
    }

    [[nodiscard]] double gain(double turn) const {
        const std::complex<double> z = std::polar(1.0, -turn);
        return std::abs((b0 + b1 * z + b2 * z * z) / (1.0 + a1 * z + a2 * z * z));
    }
};

Section highPass(double f, double q, double rate) {
    const double k = std::tan(pi * f / rate);
    const double n = 1.0 / (1.0 + k / q + k * k);
    return {n, -2.0 * n, n, 2.0 * (k * k - 1.0) * n, (1.0 - k / q + k * k) * n};
}

Section lowPass(double f, double q, double rate) {
    const double k = std::tan(pi * f / rate);
    const double n = 1.0 / (1.0 + k / q + k * k);
    return {
        k * k * n, 2.0 * k * k * n, k * k * n, 2.0 * (k * k - 1.0) * n, (1.0 - k / q + k * k) * n};
}

Section firstLowPass(double f, double rate) {
    const double k = std::tan(pi * f / rate);
    return {k / (1.0 + k), k / (1.0 + k), 0.0, (k - 1.0) / (1.0 + k), 0.0};
}

Section bump(double f, double dB, double rate) {
    const double k = std::tan(pi * f / rate);
    const double v = std::pow(10.0, dB / 20.0);
    constexpr double q = 4.0;
    const double n = 1.0 / (1.0 + k / q + k * k);
    return {(1.0 + v * k / q + k * k) * n,
            2.0 * (k * k - 1.0) * n,
            (1.0 - v * k / q + k * k) * n,
            2.0 * (k * k - 1.0) * n,
            (1.0 - k / q + k * k) * n};
}

std::vector<Section> sectionsOf(const Speaker& s, double rate) {
    std::vector<Section> all{highPass(s.low, s.lowQ, rate)};
    if (s.high < 0.45 * rate) {
        all.push_back(s.highOrder > 1 ? lowPass(s.high, 0.7071, rate) : firstLowPass(s.high, rate));
    }
    if (s.peak != 0.0) {
        all.push_back(bump(s.peakAt, s.peak, rate));
    }
    return all;
}

struct Tap {
    long at{};
    double size{};
    int dullness{}; ///< how often it went through a wall
};

/// Reflections up to the second order of a box 5.1 × 3.9 × 2.5 m about the two.
std::vector<Tap> mirrored(const Bench& b, Draws& draws) {
    const double room[3]{5.1, 3.9, 2.5};
    const double from[3]{draws.between(1.0, 1.6), draws.between(1.2, 2.7), draws.between(0.8, 1.2)};
    const double to[3]{from[0] + b.distance, from[1], from[2]};
    // What Sabine's law asks of the walls for that decay.
    const double volume = room[0] * room[1] * room[2];
    const double area = 2.0 * (room[0] * room[1] + room[1] * room[2] + room[0] * room[2]);
    const double absorption = std::min(0.9, 0.161 * volume / (area * b.decay));
    const double kept = std::sqrt(1.0 - absorption);
    std::vector<Tap> taps;
    for (int x = -2; x <= 2; ++x) {
        for (int y = -2; y <= 2; ++y) {
            for (int z = -2; z <= 2; ++z) {
                const int order = std::abs(x) + std::abs(y) + std::abs(z);
                if (order == 0 || order > 2) {
                    continue;
                }
                const int cell[3]{x, y, z};
                double square = 0.0;
                for (int d = 0; d < 3; ++d) {
                    const int n = cell[d];
                    const double image =
                        n % 2 == 0 ? n * room[d] + from[d] : (n + 1) * room[d] - from[d];
                    square += (image - to[d]) * (image - to[d]);
                }
                const double way = std::sqrt(square);
                taps.push_back({std::lround((way - b.distance) / soundSpeed * b.rate),
                                std::pow(kept, order) * b.distance / way,
                                order});
            }
        }
    }
    return taps;
}

/// The tail from where the mirrored ones end, the direct sound's energy times `ratio`.
std::vector<Tap> tail(const Bench& b, Draws& draws) {
    constexpr double density = 1500.0; // taps a second
    constexpr double begins = 0.012;   // s
    std::vector<Tap> taps;
    double energy = 0.0;
    for (double t = begins; t < b.decay; t += 1.0 / density) {
        const double size = std::pow(10.0, -3.0 * t / b.decay) * (draws.chance(0.5) ? 1.0 : -1.0);
        taps.push_back({std::lround((t + draws.share() / density) * b.rate),
                        size,
                        t > 0.3 * b.decay   ? 3
                        : t > 0.1 * b.decay ? 2
                                            : 1});
        energy += size * size;
    }
    for (Tap& tap : taps) {
        tap.size *= std::sqrt(std::pow(10.0, b.ratio / 10.0) / energy);
    }
    return taps;
}

/// What another clock samples: a sinc of 48 points under a Blackman window.
std::vector<double> reclocked(const std::vector<double>& x, double step) {
    constexpr int half = 24;
    std::vector<double> y(x.size());
    for (std::size_t n = 0; n < y.size(); ++n) {
        const double place = static_cast<double>(n) * step;
        const long middle = std::lround(std::floor(place));
        double sum = 0.0;
        for (long k = middle - half + 1; k <= middle + half; ++k) {
            if (k < 0 || k >= static_cast<long>(x.size())) {
                continue;
            }
            const double t = place - static_cast<double>(k);
            const double sinc = std::abs(t) < 1e-9 ? 1.0 : std::sin(pi * t) / (pi * t);
            const double u = t / half;
            const double window = 0.42 + 0.5 * std::cos(pi * u) + 0.08 * std::cos(2.0 * pi * u);
            sum += x[static_cast<std::size_t>(k)] * sinc * window;
        }
        y[n] = sum;
    }
    return y;
}

std::vector<double> delayed(const std::vector<double>& x, double samples) {
    const long whole = std::lround(samples);
    std::vector<double> y(x.size());
    for (long n = 0; n < static_cast<long>(y.size()); ++n) {
        const long from = n - whole;
        if (from >= 0 && from < static_cast<long>(x.size())) {
            y[static_cast<std::size_t>(n)] = x[static_cast<std::size_t>(from)];
        }
    }
    return y;
}

} // namespace

Recorded record(const std::vector<double>& played, const Speaker& speaker, const Bench& b) {
    Draws draws(b.seed, 77);
    std::vector<double> spoken = played;
    for (const Section& section : sectionsOf(speaker, b.rate)) {
        section.run(spoken);
    }
    std::vector<Tap> taps = mirrored(b, draws);
    for (const Tap& tap : tail(b, draws)) {
        taps.push_back(tap);
    }
    // Each dullness once: the more walls, the less treble.
    std::vector<double> sum = spoken;
    for (int dullness = 1; dullness <= 3; ++dullness) {
        std::vector<double> dull = spoken;
        firstLowPass(std::min(9000.0 / dullness, 0.4 * b.rate), b.rate).run(dull);
        for (const Tap& tap : taps) {
            if (tap.dullness == dullness) {
                for (std::size_t n = static_cast<std::size_t>(tap.at); n < sum.size(); ++n) {
                    sum[n] += tap.size * dull[n - static_cast<std::size_t>(tap.at)];
                }
            }
        }
    }
    const auto finish = [&](const std::vector<double>& x, double late, double gain) {
        std::vector<double> y = delayed(x, late * b.rate);
        if (b.drift != 0.0) {
            y = reclocked(y, 1.0 / (1.0 + b.drift));
        }
        const double noise = std::pow(10.0, b.noise / 20.0);
        for (double& v : y) {
            v = gain * v + noise * draws.scatter();
        }
        return y;
    };
    Recorded out;
    out.heard =
        finish(sum, b.latency + b.distance / soundSpeed, b.gain * speaker.sign / b.distance);
    if (b.reference) {
        out.reference = finish(played, b.latency, 0.5);
    }
    return out;
}

double levelOf(const Speaker& speaker, const Bench& bench, double frequency) {
    double gain = bench.gain / bench.distance;
    for (const Section& section : sectionsOf(speaker, bench.rate)) {
        gain *= section.gain(2.0 * pi * frequency / bench.rate);
    }
    return 20.0 * std::log10(gain);
}

namespace {

struct Ends {
    double from{};
    double to{};
};

/// What drivers of a kind do, from small and poor ones to large and good ones.
struct Kind {
    Ends low; ///< Hz
    Ends lowQ;
    Ends high; ///< Hz
    int highOrder{};
};

constexpr Kind kinds[]{{{30.0, 80.0}, {0.4, 1.2}, {800.0, 5000.0}, 2},       // woofer
                       {{100.0, 400.0}, {0.5, 1.2}, {3000.0, 9000.0}, 2},    // midrange
                       {{600.0, 2000.0}, {0.5, 1.5}, {15000.0, 20000.0}, 1}, // tweeter
                       {{35.0, 80.0}, {0.5, 1.0}, {15000.0, 20000.0}, 1}};   // a whole speaker

} // namespace

Case drawnRoom(std::uint64_t seed) {
    Draws draws(seed, 5);
    const auto spread = [&](const Ends& ends) { return draws.spread(ends.from, ends.to); };
    const Kind& kind = kinds[draws.below(static_cast<int>(std::size(kinds)))];
    Case c;
    c.speaker.low = spread(kind.low);
    c.speaker.lowQ = spread(kind.lowQ);
    c.speaker.high = spread(kind.high);
    c.speaker.highOrder = kind.highOrder;
    if (draws.chance(0.5)) {
        c.speaker.peak = draws.between(2.0, 8.0);
        c.speaker.peakAt = c.speaker.high * draws.between(0.3, 0.8);
    }
    c.speaker.sign = draws.chance(0.5) ? 1.0 : -1.0;
    c.bench.decay = draws.spread(0.15, 0.8);
    c.bench.distance = draws.spread(0.5, 1.5);
    c.bench.ratio = draws.between(-12.0, 3.0);
    c.bench.latency = draws.spread(0.003, 0.2);
    c.bench.noise = draws.between(-90.0, -60.0);
    c.bench.seed = seed;
    return c;
}

} // namespace worlds
