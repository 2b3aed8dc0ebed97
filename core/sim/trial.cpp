// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/sim/trial.h"

#include "core/bench/next_check.h"
#include "core/sim/bench_session.h"

#include <algorithm>

namespace yf::sim {

namespace {

/// Faults for which the driver itself is blamed.
constexpr std::string_view driverFaults[] = {"open_coil",
                                             "broken_lead_in",
                                             "shorted_turns",
                                             "rubbing_coil",
                                             "torn_surround",
                                             "loose_former",
                                             "wrong_driver"};

/// Those of them after which it is reconed or replaced.
constexpr std::string_view ends[] = {"open_coil", "shorted_turns", "rubbing_coil", "wrong_driver"};

bool blamesDriver(std::string_view fault) {
    return std::ranges::find(driverFaults, fault) != std::end(driverFaults);
}

bool endsDriver(std::string_view fault) {
    return std::ranges::find(ends, fault) != std::end(ends);
}

struct Case {
    std::size_t fault{};
    std::size_t verdict{};
    double claim{};
    double minutes{};
    std::size_t checks{};
};

std::string drawOutcome(const bench::Check& check, std::size_t fault, Random& random) {
    double u = random.uniform();
    for (const bench::Outcome& o : check.outcomes) {
        if (u < o.likelihoods[fault]) {
            return o.key;
        }
        u -= o.likelihoods[fault];
    }
    return check.outcomes.back().key;
}

Case work(const TrialRequest& r, std::uint64_t seed) {
    const bench::EvidenceTable& table = bench::shippedTable();
    Random random(seed);
    const Hidden hidden = drawFault(random);
    const auto& all = stock();
    const Stock& kind =
        all[static_cast<std::size_t>(random.uniform() * static_cast<double>(all.size()))];
    BenchSession session({kind.motor, kind.path, hidden.fault, hidden.severity},
                         kind.nominal,
                         Random(random.bits()));
    bench::Belief belief(table);
    Case out{.fault = *table.fault(hidden.fault)};
    for (;;) {
        const auto offers = bench::offers(belief, {});
        if (offers.empty()) {
            break;
        }
        const std::size_t pick =
            r.order == Order::advice
                ? 0U
                : static_cast<std::size_t>(random.uniform() * static_cast<double>(offers.size()));
        const bench::Check& check = table.checks[offers[pick].check];
        const std::string outcome = r.readings == Readings::table
                                        ? drawOutcome(check, out.fault, random)
                                        : session.outcome(check.key);
        out.minutes += offers[pick].minutes;
        ++out.checks;
        YF_EXPECT(belief.add({check.key, outcome}).ok());
    }
    out.verdict = belief.leader();
    out.claim = belief.probabilities()[out.verdict];
    return out;
}

double share(double part, double whole) {
    return whole > 0.0 ? part / whole : 0.0;
}

} // namespace

Result<Trial> trial(const TrialRequest& r) {
    const bench::EvidenceTable& table = bench::shippedTable();
    const auto n = static_cast<std::size_t>(r.cases);
    std::vector<double> minutes;
    std::vector<double> count(table.faults.size());
    std::vector<double> right(table.faults.size());
    double sound{};
    double blamed{};
    double condemned{};
    double healthyCondemned{};
    Trial out{.faults = table.faults};
    // Cases are independent: each has a seed of its own, drawn from the first.
    Random seeds(static_cast<std::uint64_t>(r.seed));
    for (std::size_t k = 0; k < n; ++k) {
        const Case c = work(r, seeds.bits());
        minutes.push_back(c.minutes);
        out.claimed += c.claim / r.cases;
        out.meanMinutes += c.minutes / r.cases;
        out.meanChecks += static_cast<double>(c.checks) / r.cases;
        count[c.fault] += 1.0;
        right[c.fault] += c.fault == c.verdict ? 1.0 : 0.0;
        out.right += (c.fault == c.verdict ? 1.0 : 0.0) / r.cases;
        const std::string& truth = table.faults[c.fault];
        const std::string& verdict = table.faults[c.verdict];
        if (!blamesDriver(truth)) {
            const bool isCondemned = endsDriver(verdict) && c.claim >= bench::enough;
            sound += 1.0;
            blamed += blamesDriver(verdict) ? 1.0 : 0.0;
            condemned += isCondemned ? 1.0 : 0.0;
            healthyCondemned += isCondemned && truth == "healthy" ? 1.0 : 0.0;
        }
    }
    std::ranges::nth_element(minutes, minutes.begin() + static_cast<std::ptrdiff_t>(n / 2));
    out.medianMinutes = minutes[n / 2];
    out.soundCondemned = share(condemned, sound);
    out.soundBlamed = share(blamed, sound);
    const auto healthy = table.fault("healthy");
    out.healthyCondemned = healthy ? share(healthyCondemned, count[*healthy]) : 0.0;
    for (std::size_t f = 0; f < count.size(); ++f) {
        out.rights.push_back(count[f] > 0.0 ? std::optional(right[f] / count[f]) : std::nullopt);
    }
    return out;
}

} // namespace yf::sim
