// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/network/solve/solve.h"

#include "core/network/circuit/graph.h"
#include "core/network/solve/ladder.h"
#include "core/network/solve/nodal.h"
#include "core/text/nearest.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::network {

namespace {

/// Amplifier by amplifier, then the lines before them.
Result<Solution> solveLined(const Circuit& circuit, const PreparedLoads& loads, Method method) {
    Solution all;
    for (const Circuit& one : amplifiers(circuit)) {
        YF_TRY(part, solve(one, loads, method));
        const auto append = [](auto& to, auto& from) {
            to.insert(to.end(), from.begin(), from.end());
        };
        append(all.driverNames, part.driverNames);
        append(all.drives, part.drives);
        if (all.impedances.empty()) {
            all.impedances = part.impedances;
        }
        for (std::size_t k = 0; k < all.impedances.size(); ++k) {
            if (std::abs(part.impedances[k]) < std::abs(all.impedances[k])) {
                all.impedances[k] = part.impedances[k];
            }
        }
    }
    const auto H = lineTransfers(circuit, loads.loads().axis);
    for (std::size_t end = 0; end < all.drives.size(); ++end) {
        for (std::size_t k = 0; k < H[end].size(); ++k) {
            all.drives[end][k] *= H[end][k];
        }
    }
    return all;
}

} // namespace

Result<Solution> solve(const Circuit& circuit, const PreparedLoads& loads, Method method) {
    const auto ends = driverEnds(circuit);
    std::vector<std::size_t> loadOfEnd;
    for (const DriverEnd& end : ends) {
        const auto load = loads.loads().find(end.driver);
        if (!load) {
            std::vector<std::string> names;
            std::ranges::transform(loads.loads().drivers, std::back_inserter(names), &Load::driver);
            return Error{"driver",
                         say(YF_WORDS("core", "'%1' is unknown"), end.driver),
                         names.empty() ? "no driver is known"
                                       : say(YF_WORDS("core", "the nearest known driver is %1"),
                                             text::nearest(end.driver, names))};
        }
        loadOfEnd.push_back(*load);
    }
    if (ownAmplifiers(circuit) || (circuit.tree() != nullptr && circuit.tree()->line)) {
        return solveLined(circuit, loads, method);
    }
    const bool isLadder = circuit.tree() != nullptr && circuit.couplings.empty();
    if (method == Method::ladder && !isLadder) {
        return Error{"method",
                     "'ladder' given",
                     circuit.tree() == nullptr ? "a free net needs nodal or auto"
                                               : "coupled coils need nodal or auto"};
    }
    if (auto error = findFloatingNode(circuit, "network")) {
        return *error;
    }
    Solution solution = isLadder && method != Method::nodal ? solveTree(circuit, loads, loadOfEnd)
                                                            : solveNodal(circuit, loads, loadOfEnd);
    for (const DriverEnd& end : ends) {
        solution.driverNames.push_back(end.driver);
    }
    return solution;
}

Result<std::vector<std::vector<Complex>>> pressureFactors(const Circuit& circuit,
                                                          const Loads& loads) {
    const auto ends = driverEnds(circuit);
    std::optional<bool> withResponse;
    for (const DriverEnd& end : ends) {
        const Load& load = loads.drivers[loads.find(end.driver).value()];
        if (withResponse && *withResponse != load.pressure.has_value()) {
            const std::string silent = load.pressure ? ends.front().driver : end.driver;
            return Error{
                "network.drivers." + silent + ".response",
                "missing",
                "all drivers need a response, or none: a sum of unlike things has no meaning"};
        }
        withResponse = load.pressure.has_value();
    }
    const double EMF = circuit.source.voltage;
    std::vector<std::vector<Complex>> factors;
    for (const DriverEnd& end : ends) {
        const Load& load = loads.drivers[loads.find(end.driver).value()];
        auto& row = factors.emplace_back(loads.axis.size(), Complex{1.0});
        if (!load.pressure) {
            continue;
        }
        const double strings = end.inParallel; // a string shares what it gets
        for (std::size_t k = 0; k < row.size(); ++k) {
            const double turn = -2.0 * std::numbers::pi * loads.axis[k] * load.delay;
            const Complex late = load.delay == 0.0 ? Complex{1.0} : std::polar(1.0, turn);
            row[k] = strings * (EMF / quantity::referenceVoltage) * (*load.pressure)[k] * late;
        }
    }
    return factors;
}

Result<Pressures> pressures(const Circuit& circuit, const Loads& loads, const Solution& solution) {
    YF_TRY(factors, pressureFactors(circuit, loads));
    Pressures result;
    result.sum.assign(loads.axis.size(), Complex{});
    for (std::size_t q = 0; q < factors.size(); ++q) {
        std::vector<Complex> way = solution.drives[q];
        for (std::size_t k = 0; k < way.size(); ++k) {
            way[k] *= factors[q][k];
            result.sum[k] += way[k];
        }
        result.ways.push_back(std::move(way));
    }
    return result;
}

} // namespace yf::network
