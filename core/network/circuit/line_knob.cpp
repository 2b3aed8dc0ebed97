// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/network/circuit/line_knob.h"

#include "core/network/circuit/line_edit.h"

#include <algorithm>
#include <cmath>
#include <limits>
#include <numbers>

namespace yf::network {

namespace {

using What = LineKnob::What;
using Complex = std::complex<double>;

constexpr double perNeper = 20.0 / std::numbers::ln10;
constexpr double delayUnit = 1e-4; // s

} // namespace

std::vector<LineKnob> lineKnobs(const Circuit& circuit) {
    const auto ends = driverEnds(circuit);
    std::vector<LineKnob> knobs;
    if (!ownAmplifiers(circuit)) {
        return knobs;
    }
    const auto* ways = std::get_if<Ways>(&circuit.tree()->end);
    if (ways != nullptr && ways->sections.size() != ends.size()) {
        return knobs; // a way branches: its line moves two drivers
    }
    for (std::size_t q = 0; q < ends.size(); ++q) {
        const auto line = lineOf(circuit, q);
        if (!line) {
            return {};
        }
        if (q > 0) {
            knobs.push_back({q, {}, What::gain});
        }
        knobs.push_back({q, {}, What::delay});
        for (std::size_t i = 0; i < line->filters.size(); ++i) {
            knobs.push_back({q, i, What::f0});
            if (!line->filters[i].alignment) {
                knobs.push_back({q, i, What::Q});
            }
            if (line->filters[i].hasGain()) {
                knobs.push_back({q, i, What::gain});
            }
        }
    }
    return knobs;
}

double turnedTo(const Line& line, const LineKnob& knob) {
    switch (knob.what) {
    case What::gain:
        return (knob.filter ? line.filters[*knob.filter].gain : line.gain) / perNeper;
    case What::delay:
        return line.delay / delayUnit;
    case What::f0:
        return std::log(line.filters[*knob.filter].f0);
    case What::Q:
        break;
    }
    return std::log(line.filters[*knob.filter].Q);
}

void turn(Line& line, const LineKnob& knob, double x) {
    switch (knob.what) {
    case What::gain:
        (knob.filter ? line.filters[*knob.filter].gain : line.gain) = perNeper * x;
        return;
    case What::delay:
        line.delay = delayUnit * x;
        return;
    case What::f0:
        line.filters[*knob.filter].f0 = std::exp(x);
        return;
    case What::Q:
        line.filters[*knob.filter].Q = std::exp(x);
        return;
    }
}

KnobRange rangeOf(const Line& line, const LineKnob& knob) {
    const double now = turnedTo(line, knob);
    const auto holding = [&](double low, double high) {
        return KnobRange{std::min(low, now), std::max(high, now)};
    };
    constexpr double decibels = 12.0;
    constexpr double latest = 1e-3; // s
    constexpr double lowestQ = 0.3;
    constexpr double highestQ = 8.0;
    switch (knob.what) {
    case What::gain:
        return knob.filter ? holding(-decibels / perNeper, decibels / perNeper)
                           : KnobRange{now - decibels / perNeper, now + decibels / perNeper};
    case What::delay:
        return holding(0.0, latest / delayUnit);
    case What::f0:
        return {now - 2.0 * std::numbers::ln2, now + 2.0 * std::numbers::ln2};
    case What::Q:
        break;
    }
    return holding(std::log(lowestQ), std::log(highestQ));
}

std::vector<Complex>
logSlope(const Line& line, const LineKnob& knob, const std::vector<double>& frequencies) {
    if (!knob.filter) {
        std::vector<Complex> slope(frequencies.size(), 1.0);
        for (std::size_t k = 0; k < slope.size() && knob.what == What::delay; ++k) {
            slope[k] = Complex(0.0, -2.0 * std::numbers::pi * frequencies[k] * delayUnit);
        }
        return slope;
    }
    constexpr double h = 1e-5;
    const double x = turnedTo(line, knob);
    Line up = line;
    Line down = line;
    turn(up, knob, x + h);
    turn(down, knob, x - h);
    const auto above = transfer(up.filters[*knob.filter], frequencies);
    const auto below = transfer(down.filters[*knob.filter], frequencies);
    std::vector<Complex> slope;
    for (std::size_t k = 0; k < above.size(); ++k) {
        slope.push_back((above[k] - below[k]) / (h * (above[k] + below[k])));
    }
    return slope;
}

Circuit turned(const Circuit& circuit, const std::vector<LineKnob>& knobs, const double* x) {
    if (knobs.empty()) {
        return circuit;
    }
    const std::size_t ways = driverEnds(circuit).size();
    std::vector<Line> lines;
    for (std::size_t q = 0; q < ways; ++q) {
        lines.push_back(*lineOf(circuit, q));
    }
    for (std::size_t i = 0; i < knobs.size(); ++i) {
        turn(lines[knobs[i].way], knobs[i], x[i]);
    }
    double least = std::numeric_limits<double>::infinity();
    for (const Line& line : lines) {
        least = std::min(least, line.delay);
    }
    Circuit changed = circuit;
    for (std::size_t q = 0; q < ways; ++q) {
        lines[q].delay -= least;
        changed = *withLine(changed, q, lines[q]);
    }
    return changed;
}

} // namespace yf::network
