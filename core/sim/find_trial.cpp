// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/sim/find_trial.h"

#include "core/find/by_hand.h"
#include "core/network/circuit/ladder_edit.h"
#include "core/network/parts/part.h"
#include "core/sim/driver_trial.h"
#include "core/sim/random.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::sim {

namespace {

using curve::Complex;

double drawn(Random& random, double low, double high) {
    return low + (high - low) * random.uniform();
}

/// Where drivers of a rank lie.
struct Kind {
    double levelLow, levelHigh; ///< dB re 20 µPa for 2.83 V
    double endLow, endHigh;     ///< Hz
    double depthLow, depthHigh; ///< s, of the acoustic centre
    quantity::DriverRole role;
};

constexpr Kind kinds[] = {{86.0, 89.0, 1800.0, 3500.0, 8e-5, 1.5e-4, quantity::DriverRole::woofer},
                          {87.5, 91.0, 5000.0, 9000.0, 2e-5, 6e-5, quantity::DriverRole::midrange},
                          {88.5, 93.0, 18000.0, 28000.0, 0.0, 1e-5, quantity::DriverRole::tweeter}};

/// (s² + s·g/Q + 1)/(s² + s/Q + 1)
Complex hump(double f, double f0, double height, double Q) {
    const Complex s(0.0, f / f0);
    const double g = std::pow(10.0, height / 20.0);
    return (s * s + s * g / Q + 1.0) / (s * s + s / Q + 1.0);
}

/// `least`: the response reaches as high as somebody would ask for who pairs these drivers.
curve::Curve responseOf(const KnownDriver& driver, const Kind& kind, double least, Random& random) {
    const double level = drawn(random, kind.levelLow, kind.levelHigh);
    const double end = std::max(least, drawn(random, kind.endLow, kind.endHigh));
    const double endQ = drawn(random, 0.6, 1.3);
    const double depth = drawn(random, kind.depthLow, kind.depthHigh);

    struct Hump {
        double f, height, Q;
    };

    std::vector<Hump> humps;
    constexpr int count = 3;
    for (int i = 0; i < count; ++i) {
        const double low = 3.0 * driver.model.fs;
        const double at = low * std::pow(std::max(2.0, end / low), random.uniform());
        humps.push_back({at, drawn(random, -2.5, 3.0), drawn(random, 1.0, 3.5)});
    }
    const auto& axis = curve::designAxis();
    std::vector<Complex> p;
    for (const double f : axis) {
        const Complex x(0.0, f / driver.model.fs);
        const Complex y(0.0, f / end);
        Complex H = x * x / (x * x + x / driver.Qts() + 1.0) / (y * y + y / endQ + 1.0);
        for (const Hump& h : humps) {
            H *= hump(f, h.f, h.height, h.Q);
        }
        p.push_back(quantity::referencePressure * quantity::gain(level) * H *
                    std::polar(1.0, -2.0 * std::numbers::pi * f * depth));
    }
    return {axis, std::move(p), curve::Phase::common};
}

NetworkFigures figuresOf(const find::Point& point) {
    return {point.parts,
            point.price,
            point.found.standing.rms(),
            point.found.standing.most,
            point.found.impedance.ohms};
}

} // namespace

network::DriverSet knownDrivers(int seed, int set, int ways) {
    std::vector<KnownDriver> drawn;
    std::vector<int> ranks;
    for (int q = 0; q < ways; ++q) {
        constexpr int kindsOfDriver = 3;
        ranks.push_back(q == 0 ? 0 : q + 1 == ways ? 2 : 1);
        drawn.push_back(knownDriver(seed, kindsOfDriver * (set * ways + q) + ranks.back()));
    }
    network::DriverSet all;
    for (std::size_t q = 0; q < drawn.size(); ++q) {
        const auto number = static_cast<std::uint64_t>(set) * drawn.size() + q;
        Random random(static_cast<std::uint64_t>(seed) * 1000003U + number);
        constexpr double above = 4.0;
        const double least = q + 1 < drawn.size() ? above * drawn[q + 1].model.fs : 0.0;
        const Kind& kind = kinds[ranks[q]];
        all.drivers.push_back({.name = "way" + std::to_string(q + 1),
                               .impedance = drawn[q].model,
                               .response = responseOf(drawn[q], kind, least, random),
                               .role = kind.role});
    }
    return all;
}

find::FindRequest findRequest(const network::DriverSet& drivers) {
    find::FindRequest request{.drivers = drivers,
                              .goal = {.from = 150.0, .to = 16000.0, .minimum = 3.2},
                              .extras = std::vector<std::string>{"zobel", "trap", "pad"},
                              .eSeries = network::ESeries::E12};
    for (std::size_t q = 0; q < drivers.drivers.size(); ++q) {
        const auto& model = std::get<driver::ImpedanceModel>(drivers.drivers[q].impedance);
        request.ways.push_back(drivers.drivers[q].name);
        if (q > 0) {
            constexpr double atResonance = -12.0;
            constexpr double perOctave = 12.0;
            const double least = std::max(20.0, model.fs / 4.0);
            request.goal.limits.push_back(
                {drivers.drivers[q].name,
                 {least, model.fs},
                 {atResonance - perOctave * std::log2(model.fs / least), atResonance}});
        }
    }
    return request;
}

FindCase findCase(const find::Plan& plan) {
    FindCase one;
    const find::Point hand = find::byHand(plan);
    one.byHand = figuresOf(hand);
    one.allowed = hand.found.allowed;
    find::Finder finder(plan);
    finder.run({});
    for (const find::Point& point : finder.front()) {
        const bool better =
            point.price < hand.price && point.found.standing.rms() < hand.found.standing.rms();
        one.better += better ? 1 : 0;
    }
    for (const find::Point& point : find::byParts(finder.front())) {
        one.front.push_back(figuresOf(point));
    }
    return one;
}

AgedCase agedCase(const find::Plan& plan, std::uint64_t seed) {
    Random random(seed);
    tune::Problem problem = plan.base;
    problem.circuit = find::byHand(plan).found.circuit;
    for (network::Part part : network::parts(problem.circuit)) {
        if (part.kind == network::PartKind::capacitor) {
            constexpr double least = 0.6;
            constexpr double most = 1.3;
            part =
                network::withValue(part, part.value * (least + (most - least) * random.uniform()));
            problem.circuit = *network::withPart(problem.circuit, part);
        }
        const auto usual = network::usualValues(part.kind);
        problem.free.push_back(true);
        problem.box.low.push_back(std::log(std::min(usual.lowest, part.value)));
        problem.box.high.push_back(std::log(std::max(usual.highest, part.value)));
    }
    const auto figures = [&](const tune::Found& found) {
        const auto parts = network::parts(found.circuit);
        return NetworkFigures{static_cast<int>(parts.size()),
                              plan.prices.of(parts),
                              found.standing.rms(),
                              found.standing.most,
                              found.impedance.ohms};
    };
    AgedCase aged{.received = figures(tune::judged(problem, problem.circuit)),
                  .tuned = figures(tune::tuneValues(problem, {}))};
    constexpr int most = 3;
    for (const tune::Found& step : tune::fewestChanges(problem, most, {})) {
        aged.changes.push_back(step.standing.rms());
    }
    return aged;
}

Result<FindTrial> findTrial(const FindTrialRequest& request) {
    FindTrial trial;
    for (int set = 0; set < request.sets; ++set) {
        YF_TRY(plan, find::planOf(findRequest(knownDrivers(request.seed, set, request.ways))));
        trial.sets.push_back(findCase(plan));
        const auto seed =
            static_cast<std::uint64_t>(request.seed) * 1009U + static_cast<std::uint64_t>(set);
        trial.sets.back().aged = agedCase(plan, seed);
    }
    return trial;
}

} // namespace yf::sim
