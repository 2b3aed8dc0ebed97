// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/evaluation/cabinet_result.h"

#include "core/network/solve/solve.h"

#include <algorithm>
#include <cmath>

namespace yf::evaluation {

namespace {

using curve::Axis;
using curve::Complex;
using curve::Range;

/// Band of the sensitivity figure (docs/theory/speaker.md).
constexpr Range sensitivityBand{200.0, 4000.0};

/// A way this far below the sum cannot spoil its trust (rule of thumb: 1 dB of it moves the sum
/// by 0.1 dB).
constexpr double negligible = 20.0;

/// Mean over ln f by the trapezium rule of something given at each point of the axis.
template <class F>
std::optional<double> logMean(const Axis& axis, const Range& range, F&& value) {
    double sum = 0.0;
    double width = 0.0;
    for (std::size_t k = 1; k < axis.size(); ++k) {
        if (range.holds(axis[k - 1]) && range.holds(axis[k])) {
            const double step = std::log(axis[k] / axis[k - 1]);
            sum += 0.5 * step * (value(k - 1) + value(k));
            width += step;
        }
    }
    return width > 0.0 ? std::optional(sum / width) : std::nullopt;
}

double levelOf(const Complex& p) {
    return quantity::decibels(std::abs(p) / quantity::referencePressure);
}

std::optional<CorridorResult> judgeCorridor(const job::Target& target,
                                            const CabinetResult& result) {
    const Range range{target.from, target.to};
    const auto level = [&](std::size_t k) { return levelOf(result.sum[k]); };
    const auto mean = logMean(result.axis, range, level);
    if (!mean) {
        return std::nullopt;
    }
    CorridorResult corridor{.level = target.level.value_or(*mean), .judged = {1e12, 0.0}};
    for (std::size_t k = 0; k < result.axis.size(); ++k) {
        const double f = result.axis[k];
        if (range.holds(f) && result.trusted[k]) {
            corridor.judged = {std::min(corridor.judged.from, f), std::max(corridor.judged.to, f)};
            const double off = std::abs(level(k) - corridor.level);
            if (off > corridor.deviation) {
                corridor.deviation = off;
                corridor.worstAt = f;
            }
        }
    }
    return corridor.judged.to > 0.0 ? std::optional(corridor) : std::nullopt;
}

/// The sum is trusted where every way that matters in it is.
std::vector<bool> trustOf(const CabinetResult& result,
                          const std::map<std::string, Range>& trusted) {
    std::vector<bool> sure(result.axis.size(), true);
    for (const WayResult& way : result.ways) {
        const Range range = trusted.at(way.driver);
        for (std::size_t k = 0; k < result.axis.size(); ++k) {
            const bool matters = levelOf(way.pressure[k]) > levelOf(result.sum[k]) - negligible;
            if (matters && !range.holds(result.axis[k])) {
                sure[k] = false;
            }
        }
    }
    return sure;
}

void sumUp(const CabinetInputs& in, const network::Solution& solution, CabinetResult& result) {
    const AssembledCabinet& assembled = *in.assembled;
    const auto pressures = network::pressures(in.circuit, assembled.loads->loads(), solution);
    YF_EXPECT(pressures.ok());
    result.sum = pressures->sum;
    for (std::size_t w = 0; w < result.ways.size(); ++w) {
        WayResult& way = result.ways[w];
        way.pressure = pressures->ways[w];
        way.reversedSum = result.sum;
        for (std::size_t k = 0; k < result.sum.size(); ++k) {
            way.reversedSum[k] -= 2.0 * way.pressure[k];
        }
    }
    result.trusted = trustOf(result, assembled.trusted);
    const auto energy = logMean(
        result.axis, sensitivityBand, [&](std::size_t k) { return std::norm(result.sum[k]); });
    if (energy) {
        // The drive may be another; sensitivity is always stated for 2.83 V.
        const double scale = quantity::referenceVoltage / in.circuit.source.voltage;
        result.sensitivity = levelOf(std::sqrt(*energy) * scale);
    }
    result.corridor = judgeCorridor(in.target, result);
}

} // namespace

CabinetResult evaluateCabinet(const CabinetInputs& in) {
    const AssembledCabinet& assembled = *in.assembled;
    CabinetResult result{
        .cabinet = in.cabinet, .axis = assembled.axis, .missing = assembled.missing};
    for (const network::Part& part : network::parts(in.circuit)) {
        ++result.parts;
        result.pricedParts += part.price ? 1U : 0U;
        result.price += part.price.value_or(0.0);
    }
    const auto ends = network::driverEnds(in.circuit);
    const auto names = network::wayNames(in.circuit);
    for (std::size_t w = 0; w < ends.size(); ++w) {
        result.ways.push_back(
            {.name = names[w], .driver = ends[w].driver, .polarity = ends[w].polarity});
    }
    if (!assembled.hasImpedances) {
        return result;
    }
    auto solution = network::solve(in.circuit, *assembled.loads);
    if (!solution) {
        result.missing.push_back(text::sentence(solution.error()));
        return result;
    }
    for (std::size_t w = 0; w < ends.size(); ++w) {
        result.ways[w].drive = solution->drives[w];
    }
    result.impedance = solution->impedances;
    if (assembled.audible) {
        const auto least =
            network::leastImpedance(in.circuit, assembled.impedances, *assembled.audible);
        const auto stress = network::leastEpdr(in.circuit, *assembled.audible);
        YF_EXPECT(least.ok() && stress.ok());
        result.leastImpedance = *least;
        result.leastEpdr = *stress;
        for (const auto& [driver, loads] : assembled.without) {
            const auto unloaded =
                network::leastImpedanceWithout(in.circuit, assembled.impedances, *loads, driver);
            YF_EXPECT(unloaded.ok());
            result.unloaded.emplace(driver, unloaded->ohms);
        }
    }
    if (assembled.hasResponses) {
        sumUp(in, *solution, result);
    }
    return result;
}

} // namespace yf::evaluation
