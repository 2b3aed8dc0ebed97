// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/sim/wiring_trial.h"

#include "core/network/circuit/ladder_edit.h"
#include "core/network/design/textbook.h"
#include "core/quantity/level.h"
#include "core/sim/find_trial.h"
#include "core/sim/random.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::sim {

namespace {

using curve::Complex;

constexpr double low = 150.0;
constexpr double high = 16000.0;

double between(Random& random, double from, double to) {
    return from * std::pow(to / from, random.uniform());
}

/// Noise that is alike over a twelfth of an octave, as smoothed takes have it.
std::vector<double> noise(Random& random, std::size_t points, double sigma) {
    constexpr std::size_t alike = 4;
    std::vector<double> values;
    while (values.size() < points) {
        values.insert(values.end(), alike, sigma * random.normal());
    }
    values.resize(points);
    return values;
}

/// The ways' pressures behind the book's network, as it is drawn.
std::vector<std::vector<Complex>> drawnWays(const network::DriverSet& drivers,
                                            const network::Network& network,
                                            const curve::Axis& axis) {
    const auto loads = network::loadsOn(network, axis);
    YF_EXPECT(loads.ok());
    const network::PreparedLoads prepared(*loads);
    const auto solution = network::solve(network.circuit, prepared);
    YF_EXPECT(solution.ok());
    const auto made = network::pressures(network.circuit, prepared.loads(), *solution);
    YF_EXPECT(made.ok());
    auto ways = made->ways;
    // Pads are no matter here: each way at the level of the lowest.
    double reference = 0.0;
    for (std::size_t w = 0; w < ways.size(); ++w) {
        double most = 0.0;
        for (const Complex& p : ways[w]) {
            most = std::max(most, std::abs(p));
        }
        reference = w == 0 ? most : reference;
        for (Complex& p : ways[w]) {
            p *= reference / most;
        }
    }
    static_cast<void>(drivers);
    return ways;
}

double unevenness(const std::vector<std::vector<Complex>>& ways, unsigned pattern) {
    double sum = 0.0;
    double squares = 0.0;
    const std::size_t points = ways.front().size();
    for (std::size_t k = 0; k < points; ++k) {
        Complex S;
        for (std::size_t w = 0; w < ways.size(); ++w) {
            S += (pattern >> w & 1U) != 0U ? -ways[w][k] : ways[w][k];
        }
        const double level = quantity::decibels(std::max(std::abs(S), 1e-12));
        sum += level;
        squares += level * level;
    }
    const auto n = static_cast<double>(points);
    return squares / n - sum * sum / n / n;
}

/// The designer's polarities: those with the flattest sum.
void wireAsDesigned(std::vector<std::vector<Complex>>& ways) {
    unsigned best = 0;
    for (unsigned pattern = 0; pattern < 1U << ways.size(); pattern += 2) {
        if (unevenness(ways, pattern) < unevenness(ways, best)) {
            best = pattern;
        }
    }
    for (std::size_t w = 0; w < ways.size(); ++w) {
        if ((best >> w & 1U) != 0U) {
            for (Complex& p : ways[w]) {
                p = -p;
            }
        }
    }
}

network::Network bookFor(const network::DriverSet& drivers, int order, Random& random) {
    const bool three = drivers.drivers.size() == 3;
    network::TextbookRequest request{
        .kind = three ? network::TextbookKind::threeWay : network::TextbookKind::twoWay,
        .alignment = order % 2 == 0 && random.uniform() < 0.5 ? network::Alignment::linkwitzRiley
                                                              : network::Alignment::butterworth,
        .order = order};
    std::vector<double> at;
    if (three) {
        request.fxLow = between(random, 350.0, 700.0);
        request.fxHigh = between(random, 2500.0, 4000.0);
        at = {*request.fxLow, std::sqrt(*request.fxLow * *request.fxHigh), *request.fxHigh};
    } else {
        request.fx = between(random, 1500.0, 3500.0);
        at = {*request.fx, *request.fx};
    }
    std::vector<double> loads;
    for (std::size_t q = 0; q < at.size(); ++q) {
        const auto& model = std::get<driver::ImpedanceModel>(drivers.drivers[q].impedance);
        loads.push_back(std::abs(driver::impedance(model, curve::Axis{at[q]}).front()));
    }
    request.lowLoad = loads.front();
    request.highLoad = loads.back();
    if (three) {
        request.midLoad = loads[1];
    }
    const auto book = network::textbook(request);
    YF_EXPECT(book.ok());
    network::Network network{.circuit = book->network.circuit, .drivers = drivers.drivers};
    std::size_t next = 0;
    network.circuit = network::withDrivers(
        network.circuit, [&](const std::string&) { return drivers.drivers[next++].name; });
    for (std::size_t q = 0; q < drivers.drivers.size(); ++q) {
        network.circuit = *network::withPolarity(network.circuit, q, 1);
    }
    return network;
}

} // namespace

WiringCase wiringCase(int seed, int number, bool wrong) {
    Random random(static_cast<std::uint64_t>(seed) * 7919U + static_cast<std::uint64_t>(number));
    const int ways = random.uniform() < 0.5 ? 2 : 3;
    const auto drivers = knownDrivers(seed, number, ways);
    WiringCase one{.axis = curve::within(curve::designAxis(), low, high)};
    one.order = 1 + static_cast<int>(4.0 * random.uniform());
    const auto network = bookFor(drivers, one.order, random);
    auto truth = drawnWays(drivers, network, one.axis);
    wireAsDesigned(truth);
    one.reversed.assign(static_cast<std::size_t>(ways), false);
    std::vector<double> signs(static_cast<std::size_t>(ways), 1.0);
    if (wrong) {
        const auto which = static_cast<std::size_t>(ways * random.uniform());
        signs[which] = -1.0;
        // The lowest turned over is all others turned over: named by those that are fewer.
        const bool lowest = which == 0;
        for (std::size_t w = 1; w < signs.size(); ++w) {
            one.reversed[w] = lowest || w == which;
        }
    }
    const double level = 1.0 * random.normal();
    const double tilt = 0.3 * random.normal(); // dB an octave: room, drift
    const auto e = noise(random, one.axis.size(), 0.4);
    for (std::size_t k = 0; k < one.axis.size(); ++k) {
        Complex drawn;
        Complex real;
        for (std::size_t w = 0; w < truth.size(); ++w) {
            drawn += truth[w][k];
            real += signs[w] * truth[w][k];
        }
        const double now = quantity::decibels(std::max(std::abs(real), 1e-12));
        one.heard = std::max(one.heard,
                             std::abs(quantity::decibels(std::max(std::abs(drawn), 1e-12)) - now));
        one.sum.push_back(now + level + tilt * std::log2(one.axis[k] / 1000.0) + e[k]);
    }
    for (std::vector<Complex>& way : truth) {
        const auto levels = noise(random, way.size(), 0.3);
        const auto phases = noise(random, way.size(), 3.0 * quantity::degree);
        for (std::size_t k = 0; k < way.size(); ++k) {
            way[k] *= std::polar(quantity::gain(levels[k]), phases[k]);
        }
    }
    one.ways = std::move(truth);
    return one;
}

Result<WiringTrial> wiringTrial(const WiringTrialRequest& request) {
    WiringTrial trial;
    for (int i = 0; i < request.speakers; ++i) {
        for (const bool wrong : {true, false}) {
            const WiringCase one = wiringCase(request.seed, 2 * i + (wrong ? 1 : 0), wrong);
            const auto found = speaker::wiringOf({one.axis, one.ways, one.sum, {low, high}});
            const bool said = found && speaker::isWrong(*found);
            if (!wrong) {
                ++trial.right;
                trial.falseAlarms += said ? 1 : 0;
                continue;
            }
            constexpr double audible = 3.0; // dB
            if (one.heard < audible) {
                ++trial.unheard;
                continue;
            }
            ++trial.wrong;
            const bool same = said && found->best.reversed == one.reversed;
            trial.named += same ? 1 : 0;
            trial.misnamed += said && !same ? 1 : 0;
        }
    }
    return trial;
}

} // namespace yf::sim
