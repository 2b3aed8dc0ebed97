// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/sim/trouble.h"

#include "core/sim/random.h"

#include <algorithm>
#include <cmath>

namespace yf::sim {

namespace {

double peakOf(const std::vector<double>& samples) {
    double most = 0.0;
    for (const double v : samples) {
        most = std::max(most, std::abs(v));
    }
    return most;
}

void scale(std::vector<double>& samples, double factor) {
    for (double& v : samples) {
        v *= factor;
    }
}

} // namespace

Chain troubled(Chain chain, Trouble trouble, double duration) {
    switch (trouble) {
    case Trouble::hum:
        chain.hum = 50.0;
        chain.humLevel = -42.0;
        break;
    case Trouble::lostSamples: {
        constexpr double middle = 0.5;
        constexpr int buffer = 441; // a hundredth of a second at 44.1 kHz
        chain.dropoutTime = middle * duration;
        chain.dropoutSamples = buffer;
        break;
    }
    case Trouble::twoClocks:
        chain.clockDrift = 80e-6;
        break;
    default:
        break;
    }
    return chain;
}

void befall(Heard& heard, Trouble trouble, int seed) {
    Random random(static_cast<std::uint64_t>(seed));
    const double peak = peakOf(heard.measured);
    switch (trouble) {
    case Trouble::tooQuiet:
        scale(heard.measured, 1e-3 / std::max(peak, 1e-9));
        break;
    case Trouble::overloaded:
        for (double& v : heard.measured) {
            v = std::clamp(v, -0.6 * peak, 0.6 * peak);
        }
        break;
    case Trouble::bang: {
        // Three fifths into it: within a sweep, whatever its repeats.
        const std::size_t at = heard.measured.size() * 3 / 5;
        constexpr std::size_t length = 4800;
        constexpr double decay = 900.0; // samples
        for (std::size_t k = 0; k < length && at + k < heard.measured.size(); ++k) {
            heard.measured[at + k] +=
                0.7 * peak * random.normal() * std::exp(-static_cast<double>(k) / decay);
        }
        break;
    }
    case Trouble::exchanged:
        std::swap(heard.measured, heard.reference);
        break;
    case Trouble::noReference:
        for (double& v : heard.reference) {
            v = 1e-5 * random.normal();
        }
        break;
    case Trouble::reversedReference:
        scale(heard.reference, -1.0);
        break;
    default:
        break;
    }
}

} // namespace yf::sim
