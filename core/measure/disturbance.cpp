// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/measure/disturbance.h"

#include "core/signal/spectrum.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>

namespace yf::measure {

namespace {

constexpr double pi = std::numbers::pi;

std::vector<double> hann(std::size_t length) {
    std::vector<double> w(length);
    for (std::size_t n = 0; n < length; ++n) {
        w[n] =
            0.5 - 0.5 * std::cos(2.0 * pi * static_cast<double>(n) / static_cast<double>(length));
    }
    return w;
}

std::vector<double> powers(std::span<const double> part, const std::vector<double>& window) {
    std::vector<double> x(part.begin(), part.end());
    for (std::size_t n = 0; n < x.size(); ++n) {
        x[n] *= window[n];
    }
    std::vector<double> power;
    for (const auto& v : signal::transform(x, x.size())) {
        power.push_back(std::norm(v));
    }
    return power;
}

double medianOf(std::vector<double>& values) {
    const auto middle = values.begin() + static_cast<std::ptrdiff_t>(values.size() / 2);
    std::ranges::nth_element(values, middle);
    return *middle;
}

} // namespace

std::optional<Hum> humIn(std::span<const double> silence, double rate) {
    constexpr double leastLength = 0.2; // s: lines 50 Hz apart must be apart
    if (static_cast<double>(silence.size()) < leastLength * rate) {
        return std::nullopt;
    }
    const std::vector<double> power = powers(silence, hann(silence.size()));
    const double width = rate / static_cast<double>(silence.size());
    std::optional<Hum> best;
    for (const double mains : {50.0, 60.0}) {
        int lines = 0;
        bool clear = false;
        double sum = 0.0;
        for (int m = 1; m <= 8; ++m) {
            const auto at = static_cast<std::ptrdiff_t>(std::lround(m * mains / width));
            if (at + 8 >= static_cast<std::ptrdiff_t>(power.size())) {
                break;
            }
            std::vector<double> around;
            for (std::ptrdiff_t away = 3; away <= 8; ++away) {
                for (const std::ptrdiff_t k : {at - away, at + away}) {
                    if (k > 0) {
                        around.push_back(power[static_cast<std::size_t>(k)]);
                    }
                }
            }
            double line = 0.0;
            double highest = 0.0;
            for (std::ptrdiff_t k = at - 1; k <= at + 1; ++k) {
                line += power[static_cast<std::size_t>(k)];
                highest = std::max(highest, power[static_cast<std::size_t>(k)]);
            }
            constexpr double above = 12.0;
            if (highest > above * medianOf(around) && highest > 0.0) {
                ++lines;
                sum += line;
            }
            // One line alone, too: noise comes so high once in a million times.
            constexpr double farAbove = 60.0;
            constexpr int mostAlone = 3;
            clear = clear || (m <= mostAlone && power[static_cast<std::size_t>(at)] == highest &&
                              highest > farAbove * medianOf(around) && highest > 0.0);
        }
        // Σ|X|² of a Hann-windowed sine of rms 1 over its three bins: 3/8·N²/2.
        const double count = static_cast<double>(silence.size());
        const double amplitude = std::sqrt(sum / (3.0 / 16.0 * count * count));
        if ((lines >= 2 || clear) && (!best || amplitude > best->amplitude)) {
            best = Hum{mains, amplitude};
        }
    }
    return best;
}

std::vector<int> disturbedRepeats(const std::vector<std::vector<double>>& repeats, double rate) {
    if (repeats.size() < 3) {
        return {};
    }
    const std::size_t count = repeats.front().size();
    std::vector<double> middle(count);
    std::vector<double> column(repeats.size());
    for (std::size_t n = 0; n < count; ++n) {
        for (std::size_t r = 0; r < repeats.size(); ++r) {
            column[r] = repeats[r][n];
        }
        middle[n] = medianOf(column);
        if (column.size() % 2 == 0) {
            const auto half = column.begin() + static_cast<std::ptrdiff_t>(column.size() / 2);
            middle[n] = 0.5 * (middle[n] + *std::max_element(column.begin(), half));
        }
    }
    constexpr double block = 0.02;
    const auto length = static_cast<std::size_t>(block * rate);
    std::vector<double> all;
    std::vector<double> worst(repeats.size());
    for (std::size_t r = 0; r < repeats.size(); ++r) {
        for (std::size_t n = 0; n + length <= count; n += length) {
            double energy = 0.0;
            for (std::size_t i = n; i < n + length; ++i) {
                energy += (repeats[r][i] - middle[i]) * (repeats[r][i] - middle[i]);
            }
            all.push_back(energy);
            worst[r] = std::max(worst[r], energy);
        }
    }
    if (all.empty()) {
        return {};
    }
    constexpr double over = 60.0;
    const double limit = over * medianOf(all);
    std::vector<int> order(repeats.size());
    for (std::size_t r = 0; r < order.size(); ++r) {
        order[r] = static_cast<int>(r);
    }
    std::ranges::sort(
        order, std::greater<>(), [&](int r) { return worst[static_cast<std::size_t>(r)]; });
    std::vector<int> disturbed;
    for (const int r : order) {
        if (worst[static_cast<std::size_t>(r)] > limit && limit > 0.0 &&
            disturbed.size() < repeats.size() / 2) {
            disturbed.push_back(r);
        }
    }
    std::ranges::sort(disturbed);
    return disturbed;
}

std::optional<double>
eventIn(const std::vector<double>& channel, const signal::Sweep& sweep, double latency) {
    constexpr std::size_t block = 2048;
    // Squared: the sweep's own line must not leak into far cells.
    std::vector<double> window = hann(block);
    for (double& w : window) {
        w *= w;
    }
    const auto silence = std::min(sweep.before, channel.size());
    std::vector<double> quiet(block / 2 + 1);
    std::size_t blocks = 0;
    for (std::size_t n = 0; n + block <= silence; n += block / 2) {
        const auto power = powers(std::span(channel).subspan(n, block), window);
        for (std::size_t k = 0; k < quiet.size(); ++k) {
            quiet[k] += power[k];
        }
        ++blocks;
    }
    constexpr std::size_t leastBlocks = 4;
    if (blocks < leastBlocks) {
        return std::nullopt;
    }
    double most = 0.0;
    for (const double v : channel) {
        most = std::max(most, std::abs(v));
    }
    // Rounding of a converter and products of high order are no event: 80 dB under the peak.
    const double least = 0.1 * static_cast<double>(block) * most * most * 1e-8; // of each bin
    for (double& v : quiet) {
        v = std::max(v / static_cast<double>(blocks), least);
    }
    // Times after the sweep's line during which the room still answers, and before it.
    constexpr double after = 0.6;
    constexpr double before = 0.15;
    constexpr int orders = 8;
    const double binWidth = sweep.rate / static_cast<double>(block);
    const double blockTime = static_cast<double>(block) / sweep.rate;
    std::vector<std::array<double, orders>> passes(quiet.size());
    for (std::size_t k = 1; k < quiet.size(); ++k) {
        for (int m = 1; m <= orders; ++m) {
            passes[k][static_cast<std::size_t>(m - 1)] =
                sweep.timeOf(static_cast<double>(k) * binWidth / m);
        }
    }
    for (int r = 0; r < sweep.repeats; ++r) {
        const std::size_t from = sweep.startOf(r);
        const std::size_t end = std::min(from + sweep.samples, channel.size());
        for (std::size_t n = from; n + block <= end; n += block / 2) {
            const double t =
                (static_cast<double>(n) - static_cast<double>(from)) / sweep.rate - latency;
            const auto power = powers(std::span(channel).subspan(n, block), window);
            double there = 0.0;
            double expected = 0.0;
            std::size_t cells = 0;
            for (std::size_t k = 8; k + 8 < quiet.size(); ++k) {
                const bool near = std::ranges::any_of(passes[k], [&](double passing) {
                    return t + blockTime > passing - before && t < passing + after;
                });
                if (!near) {
                    there += power[k];
                    expected += quiet[k];
                    ++cells;
                }
            }
            constexpr std::size_t leastCells = 40;
            constexpr double over = 100.0; // 20 dB
            if (cells >= leastCells && there > over * expected) {
                return static_cast<double>(n) / sweep.rate;
            }
        }
    }
    return std::nullopt;
}

namespace {

/// The smallest step between neighbours that are not equal: what the channel resolves.
double stepOf(std::span<const double> x) {
    double least = 1e300;
    for (std::size_t n = 1; n < x.size(); ++n) {
        const double step = std::abs(x[n] - x[n - 1]);
        least = step > 0.0 ? std::min(least, step) : least;
    }
    return least;
}

double rmsAbout(std::span<const double> x, std::size_t from, std::size_t to, std::size_t reach) {
    double sum = 0.0;
    std::size_t count = 0;
    for (std::size_t n = from - std::min(from, reach); n < std::min(to + reach, x.size()); ++n) {
        if (n < from || n >= to) {
            sum += x[n] * x[n];
            ++count;
        }
    }
    return count > 0 ? std::sqrt(sum / static_cast<double>(count)) : 0.0;
}

constexpr std::size_t leastStale = 48;

/// In one repeat's answer. Times are from its own start.
std::optional<Stale> staleWithin(std::span<const double> x, const signal::Sweep& sweep) {
    const double step = stepOf(x);
    const auto periodAt = [&](std::size_t n) {
        return sweep.rate / sweep.frequencyAt(static_cast<double>(n) / sweep.rate);
    };
    const auto found = [&](std::size_t from, std::size_t to, bool again) {
        return Stale{static_cast<int>(to - from), static_cast<double>(from) / sweep.rate, again};
    };
    std::size_t held = 0;
    for (std::size_t n = 1; n <= x.size(); ++n) {
        if (n < x.size() && x[n] == x[held]) {
            continue;
        }
        const double period = periodAt(held);
        if (static_cast<double>(n - held) >=
            std::max(static_cast<double>(leastStale), 0.5 * period)) {
            constexpr double moves = 8.0;
            const auto reach = static_cast<std::size_t>(std::max(2.0 * period, 256.0));
            if (rmsAbout(x, held, n, reach) >= moves * step) {
                return found(held, n, false);
            }
        }
        held = n;
    }
    constexpr double moves = 100.0;
    for (const std::size_t buffer :
         {32U,  48U,  64U,  96U,  128U,  192U,  240U,  256U,  384U,  441U, 480U,
          512U, 576U, 882U, 960U, 1024U, 1152U, 1536U, 2048U, 3072U, 4096U}) {
        const std::size_t enough = std::max<std::size_t>(leastStale, buffer / 2);
        const auto alike = [&](std::size_t n) { return x[n] == x[n - buffer]; };
        // Every run of that length passes one of these places.
        for (std::size_t n = buffer + leastStale / 2; n < x.size(); n += leastStale / 2) {
            if (!alike(n)) {
                continue;
            }
            std::size_t first = n;
            while (first > buffer && alike(first - 1)) {
                --first;
            }
            while (n < x.size() && alike(n)) {
                ++n;
            }
            if (n - first >= enough && rmsAbout(x, first, first, 2 * buffer) >= moves * step) {
                return found(first, n, true);
            }
        }
    }
    return std::nullopt;
}

} // namespace

std::optional<Stale>
staleIn(const std::vector<double>& channel, const signal::Sweep& sweep, double latency) {
    for (int r = 0; r < sweep.repeats; ++r) {
        const double place = static_cast<double>(sweep.startOf(r)) + latency * sweep.rate;
        const auto from = static_cast<std::size_t>(std::max(place, 0.0));
        if (from >= channel.size()) {
            break;
        }
        const std::size_t count = std::min(sweep.samples, channel.size() - from);
        if (auto stale = staleWithin(std::span(channel).subspan(from, count), sweep)) {
            stale->time += static_cast<double>(from) / sweep.rate;
            return stale;
        }
    }
    return std::nullopt;
}

} // namespace yf::measure
