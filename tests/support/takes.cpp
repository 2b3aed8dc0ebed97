// SPDX-License-Identifier: GPL-3.0-or-later
#include "tests/support/takes.h"

#include "core/quantity/air.h"
#include "core/sim/random.h"

#include <cmath>

namespace yf::test {

namespace {

double between(sim::Random& random, double low, double high) {
    return low * std::pow(high / low, random.uniform());
}

} // namespace

curve::Complex Device::at(double f) const {
    curve::Complex value{polarity * std::pow(10.0, gain / 20.0), 0.0};
    for (const auto& filter : filters) {
        value *= filter.at(f);
    }
    return value;
}

Device device(int seed, int n) {
    sim::Random random(static_cast<std::uint64_t>(seed) * 7919U + static_cast<std::uint64_t>(n));

    struct Kind {
        const char* name;
        double lowFrom, lowTo, highFrom, highTo, start;
        int lowPasses;
    };

    constexpr Kind kinds[] = {{"woofer", 30, 60, 1500, 5000, 10, 1},
                              {"midrange", 150, 500, 4000, 9000, 50, 1},
                              {"tweeter", 900, 2500, 18000, 26000, 500, 1},
                              {"subwoofer", 20, 35, 100, 200, 8, 2},
                              {"full range", 60, 120, 12000, 20000, 20, 1}};
    const Kind& kind = kinds[n % 5];
    Device d{.kind = kind.name};
    d.filters.push_back({sim::FilterKind::highPass,
                         between(random, kind.lowFrom, kind.lowTo),
                         between(random, 0.6, 1.1)});
    const double top = between(random, kind.highFrom, kind.highTo);
    d.filters.push_back(
        {sim::FilterKind::lowPass, top, kind.lowPasses == 2 ? 0.541 : between(random, 0.6, 1.2)});
    if (kind.lowPasses == 2) {
        d.filters.push_back({sim::FilterKind::lowPass, top, 1.307});
    }
    if (random.uniform() < 0.6) {
        d.filters.push_back({sim::FilterKind::peak,
                             between(random, 3.0 * kind.lowTo, std::min(0.7 * top, 15000.0)),
                             between(random, 1.0, 5.0),
                             12.0 * random.uniform() - 6.0});
    }
    constexpr double lengths[] = {1.2, 1.6, 2.5};
    d.plan = {.start = kind.start,
              .duration = lengths[n / 5 % 3],
              .repeats = 1 + n / 3 % 4,
              .silenceBefore = 0.5,
              .silenceAfter = 0.6};
    d.gain = -18.0 + 12.0 * random.uniform();
    d.polarity = random.uniform() < 0.5 ? 1 : -1;
    d.distance = between(random, 0.5, 2.0);
    return d;
}

signal::Recording
record(const Device& d, const sim::Chain& chain, bool reference, const signal::Sweep& sweep) {
    const double flight = d.distance / quantity::soundSpeed;
    auto heard = sim::hear(
        signal::playSignal(sweep),
        sweep.rate,
        [&](double f) { return d.at(f); },
        {{1.0 / d.distance, flight}, {0.5 / d.distance, flight + 4.1e-3}},
        chain);
    signal::Recording recording{.rate = sweep.rate, .measured = std::move(heard.measured)};
    if (reference) {
        recording.reference = std::move(heard.reference);
    }
    return recording;
}

std::string faultsOf(const measure::Verdict& verdict) {
    std::string all;
    for (const measure::Fault fault : verdict.faults) {
        all += std::string(measure::faultName(fault)) + " ";
    }
    return all;
}

} // namespace yf::test
