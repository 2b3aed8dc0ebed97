// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/sim/driver_trial.h"

#include "core/driver/parameters.h"
#include "core/quantity/air.h"
#include "core/quantity/level.h"
#include "core/sim/random.h"
#include "core/sim/room.h"
#include "core/take/make.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>

namespace yf::sim {

namespace {

using driver::InductanceModel;

constexpr double pi = std::numbers::pi;

double between(Random& random, double low, double high) {
    return low * std::pow(high / low, random.uniform());
}

struct Kind {
    double fsLow, fsHigh;
    double QmsLow, QmsHigh;
    double QesLow, QesHigh;
    double LLow, LHigh; ///< H, of the coil at about 1 kHz
    double SdLow, SdHigh;
    double MmsPerSd; ///< kg/m², in the middle
};

constexpr std::array<Kind, 3> kinds{
    Kind{20, 70, 2.0, 9.0, 0.25, 0.9, 3e-4, 2e-3, 0.008, 0.06, 1.3},
    Kind{80, 400, 2.0, 7.0, 0.3, 1.0, 1e-4, 8e-4, 0.003, 0.014, 0.7},
    Kind{500, 1800, 1.2, 4.0, 0.5, 1.5, 1.5e-5, 8e-5, 5e-4, 9e-4, 0.45}};

void drawCoil(driver::ImpedanceModel& m, InductanceModel coil, double L, Random& random) {
    m.inductance = coil;
    switch (coil) {
    case InductanceModel::none:
        return;
    case InductanceModel::ideal:
        m.Le = 0.5 * L;
        return;
    case InductanceModel::leach:
        m.leachN = 0.55 + 0.3 * random.uniform();
        m.leachK = 2.0 * pi * 1000.0 * L / std::pow(2.0 * pi * 1000.0, *m.leachN);
        return;
    case InductanceModel::lr2:
        m.Le = L * between(random, 0.2, 0.5);
        m.L2 = L * between(random, 0.5, 1.2);
        m.R2 = 2.0 * pi * between(random, 600.0, 3000.0) * *m.L2;
        return;
    case InductanceModel::semi:
    case InductanceModel::semiRing:
        m.Leb = L * between(random, 0.05, 0.2);
        m.Le = L * between(random, 1.0, 2.5);
        m.Ke = std::sqrt(2.0 * pi * between(random, 500.0, 3000.0)) * *m.Le;
        if (coil == InductanceModel::semiRing) {
            m.Rss = 2.0 * pi * between(random, 2000.0, 8000.0) * *m.Le;
        }
        return;
    }
}

/// Where the jig's truth is.
struct Bench {
    double sense;
    double amplifierLevel; ///< dB, peak of the play signal
    double noise;          ///< dB re full scale
    double clock;          ///< share by which the interface runs fast
    double gain;           ///< of channel B re channel A
    int seed;
};

/// Sweeps a driver on the jig; the read curve.
Result<driver::JigTake> measureOn(const Bench& bench,
                                  const driver::ImpedanceModel& model,
                                  double lead,
                                  const driver::Jig& jig) {
    const double lowest = model.fs < 100.0 ? 5.0 : model.fs < 450.0 ? 15.0 : 50.0;
    signal::SweepPlan plan{.start = lowest,
                           .end = 22000.0,
                           .duration = 2.0,
                           .level = bench.amplifierLevel,
                           .repeats = 1,
                           .silenceBefore = 0.3,
                           .silenceAfter = model.fs < 100.0 ? 0.8 : 0.3};
    YF_TRY(sweep, signal::makeSweep(plan));
    const auto play = signal::playSignal(sweep);
    const auto h = [&](double f) {
        const auto Z = driver::impedance(model, {f * (1.0 + bench.clock)}).front() + lead;
        return bench.gain * Z / (Z + bench.sense);
    };
    Heard heard = hear(play,
                       sweep.rate,
                       h,
                       {Way{1.0, 0.0}},
                       {.noise = bench.noise, .latency = 0.005, .seed = bench.seed});
    take::TakeOrder order{.kind = job::TakeKind::impedance,
                          .recorded = {.device = "trial", .simulated = true, .sweep = plan}};
    order.recorded.sense = jig.sense;
    order.recorded.lead = jig.lead;
    order.recording = {sweep.rate, std::move(heard.measured), std::move(heard.reference)};
    YF_TRY(made, take::makeTake(order));
    return std::move(*made.jig);
}

struct Case {
    double error;
    double u;
};

FigureTrial summed(std::string name, std::vector<Case> cases) {
    FigureTrial t{.figure = std::move(name)};
    std::vector<double> sizes;
    int held = 0;
    for (const Case& c : cases) {
        sizes.push_back(std::abs(c.error));
        held += std::abs(c.error) <= quantity::coverage95 * c.u ? 1 : 0;
    }
    if (!sizes.empty()) {
        const auto middle = sizes.begin() + static_cast<std::ptrdiff_t>(sizes.size() / 2);
        std::ranges::nth_element(sizes, middle);
        t.medianError = *middle;
        t.covered = static_cast<double>(held) / static_cast<double>(cases.size());
    }
    return t;
}

} // namespace

double KnownDriver::Vas() const {
    const double w = 2.0 * pi * model.fs;
    const double c = quantity::soundSpeed;
    return quantity::airDensity * c * c * Sd * Sd / (w * w * Mms);
}

KnownDriver knownDriver(int seed, int n) {
    Random random(static_cast<std::uint64_t>(seed) * 1000003U + static_cast<std::uint64_t>(n));
    const Kind& kind = kinds.at(static_cast<std::size_t>(n % 3));
    KnownDriver d;
    d.model.Re = between(random, 3.0, 7.5);
    d.model.fs = between(random, kind.fsLow, kind.fsHigh);
    d.model.Qms = between(random, kind.QmsLow, kind.QmsHigh);
    d.model.Qes = between(random, kind.QesLow, kind.QesHigh);
    drawCoil(d.model,
             static_cast<InductanceModel>((n / 3) % 6),
             between(random, kind.LLow, kind.LHigh),
             random);
    d.Sd = between(random, kind.SdLow, kind.SdHigh);
    d.Mms = d.Sd * kind.MmsPerSd * between(random, 0.6, 1.6);
    d.lead = between(random, 0.05, 0.3);
    return d;
}

Result<DriverTrial> driverTrial(const DriverTrialRequest& request) {
    DriverTrial trial{.drivers = request.count};
    std::vector<Case> Re;
    std::vector<Case> fs;
    std::vector<Case> Qts;
    std::vector<Case> Vas;
    for (int n = request.first; n < request.first + request.count; ++n) {
        const KnownDriver d = knownDriver(request.seed, n);
        Random random(static_cast<std::uint64_t>(request.seed) * 7919U +
                      static_cast<std::uint64_t>(n));
        // Uncertain as the program takes every jig to be: the bench below is drawn by the same.
        const driver::Jig jig{.sense = 10.0, .lead = d.lead + 0.01 * random.normal()};
        const Bench bench{.sense = 10.0 * (1.0 + 1e-3 * random.normal()),
                          .amplifierLevel = -24.0 + 12.0 * random.uniform(),
                          .noise = -95.0 + 15.0 * random.uniform(),
                          .clock = 3e-5 * random.normal(),
                          .gain = 1.0 + jig.gainU * random.normal(),
                          .seed = n + 1};
        const double dcr = d.model.Re * (1.0 + 0.01 * random.normal());
        const bool hasMeter = n % 2 == 0;
        const auto take = measureOn(bench, d.model, d.lead, jig);
        if (!take) {
            ++trial.failed;
            continue;
        }
        const auto found = driver::parametersOf(
            {.take = *take, .dcr = hasMeter ? std::optional(dcr) : std::nullopt, .jig = jig});
        // The same with a lump that lowers the resonance by about 30 %, weighed to 1 %, and the
        // cone measured across to 1 %.
        const double lump = d.Mms * (0.7 + 0.6 * random.uniform());
        driver::ImpedanceModel loaded = d.model;
        const double share = std::sqrt(d.Mms / (d.Mms + lump));
        loaded.fs *= share;
        loaded.Qms /= share;
        loaded.Qes /= share;
        Bench again = bench;
        again.seed += 100000;
        const auto second = measureOn(again, loaded, d.lead, jig);
        if (!found || !second) {
            ++trial.failed;
            continue;
        }
        const auto heavy = driver::parametersOf(
            {.take = *second, .dcr = hasMeter ? std::optional(dcr) : std::nullopt, .jig = jig});
        if (!heavy) {
            ++trial.failed;
            continue;
        }
        const double SdRead = d.Sd * (1.0 + 0.02 * random.normal());
        const double massRead = lump * (1.0 + 0.01 * random.normal());
        const auto mass = driver::addedMass({.fs = found->fit.model.fs,
                                             .fsLoaded = heavy->fit.model.fs,
                                             .mass = massRead,
                                             .Sd = SdRead,
                                             .fsU = found->u.fs,
                                             .fsLoadedU = heavy->u.fs,
                                             .massU = 0.01,
                                             .SdU = 0.02});
        const auto add = [](std::vector<Case>& to, double value, double truth, double u) {
            to.push_back({value / truth - 1.0, u});
        };
        add(Re, found->fit.model.Re, d.model.Re, found->u.Re);
        add(fs, found->fit.model.fs, d.model.fs, found->u.fs);
        add(Qts, found->fit.Qts, d.Qts(), found->u.Qts);
        if (mass) {
            add(Vas, mass->Vas, d.Vas(), mass->VasU);
        }
    }
    trial.figures = {summed("Re", Re), summed("fs", fs), summed("Qts", Qts), summed("Vas", Vas)};
    return trial;
}

} // namespace yf::sim
