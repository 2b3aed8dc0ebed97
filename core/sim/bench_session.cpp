// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/sim/bench_session.h"

#include "core/bench/evidence.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::sim {

namespace {

constexpr double smallDrive = 0.1; // V rms, and twenty decibels above it
constexpr double largeDrive = 1.0;
constexpr double sweepNoise = 0.005;
constexpr double openFrom = 0.60; // shares of a broken lead-in's moods
constexpr double loose = 0.85;
constexpr double warm = 2.0; // kelvin that a coil has left at the first reading
constexpr double copper = 0.00393;

Motor spread(const Motor& m, Random& random) {
    const auto about = [&](double value, double deviation) {
        return value * std::exp(deviation * random.normal());
    };
    Motor out = m;
    out.Re = about(m.Re, 0.015);
    out.Bl = about(m.Bl, 0.02);
    out.Mms = about(m.Mms, 0.02);
    out.Cms = about(m.Cms, 0.05);
    out.Rms = about(m.Rms, 0.10);
    if (m.coil.leachK) {
        out.coil.leachK = about(*m.coil.leachK, 0.04);
    }
    return out;
}

driver::ImpedanceModel coil(double leachK) {
    return {.inductance = driver::InductanceModel::leach, .leachK = leachK, .leachN = 0.68};
}

} // namespace

std::optional<double> read(const Meter& meter, std::optional<double> truth, Random& random) {
    if (!truth) {
        return std::nullopt;
    }
    const double shown =
        (*truth + meter.leads) * meter.gain * (1.0 + meter.noise * random.normal());
    return meter.resolution * std::round(shown / meter.resolution);
}

const std::vector<Stock>& stock() {
    static const std::vector<Stock> all{
        {{5.8, 7.1, 0.0168, 0.95e-3, 1.15, coil(0.02)}, 8.0, {0.1, 0.0, 1.2e-3, 0.4, 0.0}},
        {{5.4, 17.0, 0.065, 0.35e-3, 3.2, coil(0.035)}, 8.0, {0.1, 0.0, 3.5e-3, 0.6, 0.0}},
        {{6.2, 5.5, 0.0072, 0.40e-3, 0.9, coil(0.012)}, 8.0, {0.1, 1.5, 0.0, 0.0, 47e-6}}};
    return all;
}

BenchSession::BenchSession(Specimen specimen, double nominal, Random random)
    : specimen_(std::move(specimen)), nominal_(nominal), random_(random) {
    const Motor plan = specimen_.motor;
    specimen_.motor = spread(plan, random_);
    twin_ = specimen_;
    twin_.motor = spread(plan, random_);
    twin_.fault = "healthy";
    twin_.severity = 0.0;
    ohmmeter_ = {0.1, 1.0 + 0.004 * random_.normal(), 0.002, 0.2 + 0.4 * random_.uniform()};
    lcrMeter_ = {0.01, 1.0 + 0.002 * random_.normal(), 0.002, 0.05 + 0.1 * random_.uniform()};
}

BenchSession::LeadIn BenchSession::leadIn() {
    if (specimen_.fault != "broken_lead_in") {
        return LeadIn::closed;
    }
    const double u = random_.uniform();
    if (u < openFrom) {
        return LeadIn::open;
    }
    return u < loose ? LeadIn::comesAndGoes : LeadIn::closed;
}

namespace {

/// A broken lead-in that happens to conduct is a sound driver for the moment.
Specimen conducting(Specimen s) {
    if (s.fault == "broken_lead_in") {
        s.fault = "healthy";
    }
    return s;
}

} // namespace

std::vector<std::optional<double>> BenchSession::dcrReadings() {
    const LeadIn state = leadIn();
    std::optional<double> truth = dcr(specimen_, bench::Place::driver);
    if (state != LeadIn::open) {
        truth = dcr(conducting(specimen_), bench::Place::driver);
    }
    std::vector<std::optional<double>> all;
    for (int k = 0; k < 4; ++k) {
        const bool lost = state == LeadIn::comesAndGoes && k % 2 == 1;
        const double cooling = 1.0 + copper * warm * std::exp(-0.7 * k);
        all.push_back(lost || !truth ? std::nullopt : read(ohmmeter_, *truth * cooling, random_));
    }
    return all;
}

double BenchSession::twinDcr() {
    return read(ohmmeter_, dcr(twin_, bench::Place::driver), random_).value_or(0.0) -
           ohmmeter_.leads;
}

double BenchSession::lcrFrequency() const {
    return bench::meterFrequency(specimen_.motor.fs()).value_or(1000.0);
}

BenchSession::LcrPair BenchSession::lcrOf(const Specimen& s) {
    const double f = lcrFrequency();
    const auto Z = impedance(s, bench::Place::driver, f, 0.3);
    if (!Z) {
        return {};
    }
    const double noise = 1.0 + lcrMeter_.noise * random_.normal();
    return {read(lcrMeter_, Z->real(), random_),
            Z->imag() / (2.0 * std::numbers::pi * f) * lcrMeter_.gain * noise};
}

BenchSession::LcrPair BenchSession::lcrReading() {
    const LeadIn state = leadIn();
    LcrPair pair = lcrOf(state == LeadIn::open ? specimen_ : conducting(specimen_));
    if (state == LeadIn::comesAndGoes && pair.r) {
        // What a loose strand adds, in the moment at which the meter looks.
        pair.r = *pair.r * (1.3 + random_.uniform());
    }
    return pair;
}

BenchSession::LcrPair BenchSession::twinLcr() {
    return lcrOf(twin_);
}

std::optional<bench::ImpedancePeak> BenchSession::sweep(const Specimen& s, double drive) {
    const auto top = peak(s, drive);
    if (!top) {
        return std::nullopt;
    }
    return bench::ImpedancePeak{top->ohms * (1.0 + sweepNoise * random_.normal()),
                                top->frequency * (1.0 + sweepNoise * random_.normal())};
}

std::string BenchSession::dcrOutcome() {
    bench::DcrRequest request;
    request.readings = dcrReadings();
    request.nominal = nominal_;
    request.leads = ohmmeter_.leads;
    request.twin = twinDcr();
    const auto judged = bench::dcr(request);
    return judged ? bench::dcrOutcome(judged->kind) : "drifting";
}

std::string BenchSession::lcrOutcome() {
    const LcrPair seen = lcrReading();
    const LcrPair known = twinLcr();
    bench::LcrRequest request;
    request.frequency = lcrFrequency();
    request.r = seen.r;
    request.l = seen.l;
    request.leads = lcrMeter_.leads;
    request.twinR = known.r;
    request.twinL = known.l;
    const auto judged = bench::lcr(request);
    return judged ? bench::lcrOutcome(judged->kind).value_or("other_mismatch") : "other_mismatch";
}

std::string BenchSession::batteryOutcome() {
    const LeadIn state = leadIn();
    if (state == LeadIn::comesAndGoes) {
        return "crackle";
    }
    const Specimen s = state == LeadIn::open ? specimen_ : conducting(specimen_);
    if (!dcr(s, bench::Place::driver)) {
        return "silent";
    }
    // A rub or a loose joint is heard, not seen: how often is the table's to say.
    if (drawn("battery_pop") == "crackle") {
        return "crackle";
    }
    return batteryTravel(s, bench::Place::driver, {}) < 0.0 ? "moves_in" : "moves_out";
}

std::string BenchSession::sweepOutcome() {
    const LeadIn state = leadIn();
    if (state == LeadIn::comesAndGoes) {
        return "level_dependent";
    }
    const Specimen s = state == LeadIn::open ? specimen_ : conducting(specimen_);
    const auto reference = sweep(twin_, smallDrive);
    return bench::sweepOutcome({sweep(s, smallDrive), sweep(s, largeDrive)}, *reference);
}

std::string BenchSession::capacitorOutcome() {
    constexpr double tolerance = 0.20; // a bipolar electrolytic's, against its print
    if (specimen_.fault == "capacitor_open") {
        return "open";
    }
    const double share = specimen_.fault == "capacitor_drifted" ? specimen_.severity
                                                                : std::exp(0.04 * random_.normal());
    return std::abs(share - 1.0) > tolerance ? "off_value" : "in_tolerance";
}

std::string BenchSession::drawn(const std::string& check) {
    const bench::EvidenceTable& table = bench::shippedTable();
    const auto& outcomes = table.checks[*table.check(check)].outcomes;
    const std::size_t f = *table.fault(specimen_.fault);
    double u = random_.uniform();
    for (const bench::Outcome& o : outcomes) {
        if (u < o.likelihoods[f]) {
            return o.key;
        }
        u -= o.likelihoods[f];
    }
    return outcomes.back().key;
}

std::string BenchSession::outcome(const std::string& check) {
    if (check == "dcr") {
        return dcrOutcome();
    }
    if (check == "lcr") {
        return lcrOutcome();
    }
    if (check == "battery_pop") {
        return batteryOutcome();
    }
    if (check == "impedance_sweep") {
        return sweepOutcome();
    }
    if (check == "capacitor_test") {
        return capacitorOutcome();
    }
    if (check == "resistor_test") {
        return specimen_.fault == "resistor_burnt" ? "open_or_off" : "in_tolerance";
    }
    if (check == "protector") {
        return specimen_.fault == "protector_open" ? "open" : "continuous";
    }
    return drawn(check);
}

} // namespace yf::sim
