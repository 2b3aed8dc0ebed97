// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/speaker/crossover.h"

#include "core/quantity/level.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::speaker {

namespace {

using curve::Complex;

constexpr double overlap = 10.0; // of the powers: 10 dB

double level(const Complex& p) {
    return quantity::decibels(std::abs(p) / quantity::referencePressure);
}

struct Meeting {
    double fx{};
    double difference{};
};

/// Where the levels meet, the loudest of several; log-linear between points.
std::optional<Meeting> meeting(const Neighbours& ways) {
    std::optional<std::size_t> best;
    double loudest = 0.0;
    for (std::size_t k = 1; k < ways.axis.size(); ++k) {
        const bool meet = std::norm(ways.lower[k - 1]) > std::norm(ways.upper[k - 1]) &&
                          std::norm(ways.lower[k]) <= std::norm(ways.upper[k]) &&
                          std::norm(ways.upper[k - 1]) > 0.0 && std::norm(ways.lower[k]) > 0.0;
        if (meet && std::norm(ways.lower[k]) > loudest) {
            loudest = std::norm(ways.lower[k]);
            best = k;
        }
    }
    if (!best) {
        return std::nullopt;
    }
    const std::size_t k = *best;
    const double before = level(ways.lower[k - 1]) - level(ways.upper[k - 1]);
    const double after = level(ways.lower[k]) - level(ways.upper[k]);
    const double share = before / (before - after);
    const std::size_t near = share < 0.5 ? k - 1 : k;
    return Meeting{ways.axis[k - 1] * std::pow(ways.axis[k] / ways.axis[k - 1], share),
                   std::arg(ways.upper[near] / ways.lower[near])};
}

double flipGain(const Neighbours& ways, double fx) {
    double same = 0.0;
    double reversed = 0.0;
    const curve::Range octave{fx / std::numbers::sqrt2, fx * std::numbers::sqrt2};
    for (std::size_t k = 1; k < ways.axis.size(); ++k) {
        if (octave.holds(ways.axis[k])) {
            const double w = std::log(ways.axis[k] / ways.axis[k - 1]);
            same += w * std::norm(ways.lower[k] + ways.upper[k]);
            reversed += w * std::norm(ways.lower[k] - ways.upper[k]);
        }
    }
    // Perfect cancellation has no figure of its own; 100 dB says enough.
    constexpr double most = 100.0;
    if (!(same > 0.0) || !(reversed > 0.0)) {
        return same > 0.0 ? -most : most;
    }
    return std::clamp(10.0 * std::log10(reversed / same), -most, most);
}

void findNotch(const Neighbours& ways, Crossover& found) {
    const double better = found.flipGain > 0.0 ? -1.0 : 1.0;
    double lowest = 0.0;
    for (std::size_t k = 0; k < ways.axis.size(); ++k) {
        const double f = ways.axis[k];
        if (f < found.fx / 2.0 || f > 2.0 * found.fx) {
            continue;
        }
        const double depth = level(ways.lower[k] + better * ways.upper[k]) -
                             level(ways.lower[k] - better * ways.upper[k]);
        if (!found.nullDepth || depth > lowest) {
            lowest = depth;
            found.nullDepth = std::min(depth, 100.0);
            found.notch = f;
        }
    }
}

double phaseSpread(const Neighbours& ways, double fx) {
    std::optional<double> last;
    double least = 0.0;
    double most = 0.0;
    for (std::size_t k = 0; k < ways.axis.size(); ++k) {
        // The stretch around fx only: far away two noise floors may meet again.
        const bool near = ways.axis[k] > fx / 4.0 && ways.axis[k] < 4.0 * fx;
        const double lower = std::norm(ways.lower[k]);
        const double upper = std::norm(ways.upper[k]);
        if (!near || !(lower <= overlap * upper && upper <= overlap * lower) || lower == 0.0) {
            continue;
        }
        const double angle = std::arg(ways.upper[k] / ways.lower[k]);
        if (!last) {
            last = least = most = angle;
            continue;
        }
        last = *last + std::remainder(angle - *last, 2.0 * std::numbers::pi);
        least = std::min(least, *last);
        most = std::max(most, *last);
    }
    return most - least;
}

} // namespace

std::optional<Crossover> crossover(const Neighbours& ways) {
    const auto met = meeting(ways);
    if (!met) {
        return std::nullopt;
    }
    Crossover found{.fx = met->fx,
                    .flipGain = flipGain(ways, met->fx),
                    .difference = met->difference,
                    .phaseSpread = phaseSpread(ways, met->fx)};
    found.inPhase = std::abs(found.flipGain) >= flipThreshold;
    findNotch(ways, found);
    return found;
}

std::optional<double>
meanLevel(const curve::Axis& axis, std::span<const Complex> pressure, curve::Range range) {
    double sum = 0.0;
    double width = 0.0;
    for (std::size_t k = 1; k < axis.size(); ++k) {
        if (range.holds(axis[k - 1]) && range.holds(axis[k])) {
            const double step = std::log(axis[k] / axis[k - 1]);
            sum += 0.5 * step * (level(pressure[k - 1]) + level(pressure[k]));
            width += step;
        }
    }
    return width > 0.0 && std::isfinite(sum) ? std::optional(sum / width) : std::nullopt;
}

} // namespace yf::speaker
