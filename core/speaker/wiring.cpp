// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/speaker/wiring.h"

#include "core/speaker/align.h"
#include "core/speaker/crossover.h"

#include <algorithm>
#include <cmath>

namespace yf::speaker {

namespace {

constexpr double silence = 1e-30;

double powerLevel(double square) {
    return 10.0 * std::log10(std::max(square, silence));
}

double robust(double e) {
    constexpr double linear = 3.0; // dB
    const double a = std::abs(e);
    return a < linear ? e * e : linear * (2.0 * a - linear);
}

std::vector<Complex> sumOf(const Wired& wired, unsigned pattern) {
    std::vector<Complex> sum(wired.axis.size());
    for (std::size_t w = 0; w < wired.ways.size(); ++w) {
        const double sign = (pattern >> w & 1U) != 0U ? -1.0 : 1.0;
        for (std::size_t k = 0; k < sum.size(); ++k) {
            sum[k] += sign * wired.ways[w][k];
        }
    }
    return sum;
}

/// Twelfths of an octave, energies averaged.
struct Bands {
    std::vector<double> level;
};

Bands bandsOf(const Axis& axis, const curve::Range& range, const std::vector<double>& squares) {
    Bands bands;
    double edge = 0.0;
    double energy = 0.0;
    double count = 0.0;
    const double step = std::exp2(1.0 / 12.0);
    const auto close = [&] {
        if (count > 0.0) {
            bands.level.push_back(powerLevel(energy / count));
        }
        energy = 0.0;
        count = 0.0;
    };
    for (std::size_t k = 0; k < axis.size(); ++k) {
        if (!range.holds(axis[k])) {
            continue;
        }
        if (axis[k] >= edge) {
            close();
            edge = axis[k] * step;
        }
        energy += squares[k];
        count += 1.0;
    }
    close();
    return bands;
}

double residualOf(const Bands& model, const Bands& measured) {
    std::vector<double> off;
    for (std::size_t i = 0; i < model.level.size(); ++i) {
        off.push_back(measured.level[i] - model.level[i]);
    }
    // The common level: the median, which a hole does not move.
    std::vector<double> sorted = off;
    const auto middle = sorted.begin() + static_cast<std::ptrdiff_t>(sorted.size() / 2);
    std::ranges::nth_element(sorted, middle);
    const double level = *middle;
    double sum = 0.0;
    for (const double e : off) {
        sum += robust(e - level);
    }
    return std::sqrt(sum / static_cast<double>(off.size()));
}

unsigned countOf(unsigned pattern) {
    unsigned count = 0;
    for (; pattern != 0U; pattern >>= 1U) {
        count += pattern & 1U;
    }
    return count;
}

std::vector<double> squaresOf(const std::vector<Complex>& values) {
    std::vector<double> squares;
    squares.reserve(values.size());
    for (const Complex& v : values) {
        squares.push_back(std::norm(v));
    }
    return squares;
}

} // namespace

std::optional<WiringFound> wiringOf(const Wired& wired) {
    const std::size_t n = wired.ways.size();
    constexpr std::size_t most = 8;
    if (n < 2 || n > most || !(wired.range.to >= 2.0 * wired.range.from)) {
        return std::nullopt;
    }
    std::vector<double> measured;
    for (const double level : wired.sum) {
        measured.push_back(std::pow(10.0, level / 10.0));
    }
    const Bands heard = bandsOf(wired.axis, wired.range, measured);

    struct Tried {
        unsigned pattern{};
        double residual{};
    };

    std::vector<Tried> all;
    for (unsigned pattern = 0; pattern < 1U << n; pattern += 2) { // the lowest stays
        const auto model = squaresOf(sumOf(wired, pattern));
        all.push_back({pattern, residualOf(bandsOf(wired.axis, wired.range, model), heard)});
    }
    const auto patternOf = [n](const Tried& tried) {
        WiringPattern of{.reversed = std::vector<bool>(n), .residual = tried.residual};
        for (std::size_t w = 0; w < n; ++w) {
            of.reversed[w] = (tried.pattern >> w & 1U) != 0U;
        }
        return of;
    };
    WiringFound found{.drawn = patternOf(all.front())};
    std::ranges::stable_sort(all, [](const Tried& a, const Tried& b) {
        return a.residual < b.residual ||
               (a.residual == b.residual && countOf(a.pattern) < countOf(b.pattern));
    });
    found.best = patternOf(all.front());
    found.next = all[1].residual;
    constexpr double alike = 0.08; // dB: no take tells them apart
    if (found.next - found.best.residual > alike) {
        const double share = found.best.residual / found.next;
        found.confidence = 1.0 - share * share;
    }
    const auto drawn = sumOf(wired, 0);
    const auto real = sumOf(wired, all.front().pattern);
    for (std::size_t w = 0; w + 1 < n; ++w) {
        if (found.best.reversed[w] == found.best.reversed[w + 1]) {
            continue;
        }
        const auto met = crossover({wired.axis, wired.ways[w], wired.ways[w + 1]});
        if (!met) {
            continue;
        }
        const double gain = octaveGain(wired.axis, real, drawn, met->fx);
        if (found.fx == 0.0 || std::abs(gain) > std::abs(found.gain)) {
            found.fx = met->fx;
            found.gain = gain;
        }
    }
    for (std::size_t k = 0; k < drawn.size(); ++k) {
        if (wired.range.holds(wired.axis[k])) {
            const double off = powerLevel(std::norm(drawn[k])) - powerLevel(std::norm(real[k]));
            found.hole = std::max(found.hole, off);
            found.difference = std::max(found.difference, std::abs(off));
        }
    }
    return found;
}

bool isWrong(const WiringFound& found) {
    constexpr double sure = 0.25;
    constexpr double heard = 2.0; // dB
    const bool other = std::ranges::find(found.best.reversed, true) != found.best.reversed.end();
    return other && found.confidence >= sure && found.difference >= heard;
}

std::vector<Hole> holesIn(const Axis& axis, const std::vector<double>& levels, curve::Range range) {
    constexpr double leastDepth = 6.0;
    constexpr double leastWidth = 0.3;
    constexpr double mostTilt = 6.0;
    std::vector<Hole> holes;
    const auto meanAt = [&](double f) -> std::optional<double> {
        double sum = 0.0;
        double count = 0.0;
        const double half = std::exp2(1.0 / 6.0);
        for (std::size_t k = 0; k < axis.size(); ++k) {
            if (axis[k] >= f / half && axis[k] <= f * half && range.holds(axis[k])) {
                sum += std::pow(10.0, levels[k] / 10.0);
                count += 1.0;
            }
        }
        return count > 0.0 ? std::optional(powerLevel(sum / count)) : std::nullopt;
    };
    for (std::size_t k = 1; k + 1 < axis.size(); ++k) {
        if (!(levels[k] <= levels[k - 1] && levels[k] < levels[k + 1])) {
            continue;
        }
        const auto below = meanAt(axis[k] / 2.0);
        const auto above = meanAt(axis[k] * 2.0);
        if (!below || !above || std::abs(*below - *above) > mostTilt) {
            continue;
        }
        const double shoulder = std::min(*below, *above);
        const double depth = shoulder - levels[k];
        if (depth < leastDepth) {
            continue;
        }
        double from = axis[k];
        double to = axis[k];
        const double half = shoulder - 0.5 * std::min(depth, 12.0);
        for (std::size_t i = k; i-- > 0 && levels[i] < half;) {
            from = axis[i];
        }
        for (std::size_t i = k + 1; i < axis.size() && levels[i] < half; ++i) {
            to = axis[i];
        }
        const Hole hole{axis[k], depth, std::log2(to / from)};
        const bool within = std::ranges::any_of(holes, [&](const Hole& other) {
            return std::abs(std::log2(other.frequency / hole.frequency)) < 0.5;
        });
        if (hole.width >= leastWidth && !within) {
            holes.push_back(hole);
        }
    }
    std::ranges::stable_sort(holes, std::ranges::greater{}, &Hole::depth);
    return holes;
}

} // namespace yf::speaker
