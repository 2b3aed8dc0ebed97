// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/sim/specimen.h"

#include "core/bench/battery.h"
#include "core/bench/evidence.h"
#include "core/curve/axis.h"
#include "core/text/fields.h"
#include "core/text/given.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::sim {

namespace {

using bench::Place;

struct Range {
    std::string_view fault;
    SeverityRange range;
};

constexpr Range ranges[] = {{"shorted_turns", {0.02, 0.4}},
                            {"rubbing_coil", {0.05, 0.5}},
                            {"torn_surround", {0.1, 0.5}},
                            {"wrong_driver", {0.1, 0.6}},
                            {"dirty_contact", {1.0, 20.0}},
                            {"capacitor_drifted", {0.4, 0.8}}};

/// Series resistance that a drifted electrolytic shows beside its lost value.
constexpr double driftedEsr = 2.0;

double omega(double f) {
    return 2.0 * std::numbers::pi * f;
}

bool is(const Specimen& s, std::string_view fault) {
    return s.fault == fault;
}

bool coilIsOpen(const Specimen& s) {
    return is(s, "open_coil") || is(s, "broken_lead_in");
}

bool pathIsOpen(const Specimen& s) {
    return is(s, "protector_open") || is(s, "wiring_open") || is(s, "capacitor_open") ||
           is(s, "resistor_burnt");
}

double shorted(const Specimen& s) {
    return is(s, "shorted_turns") ? s.severity : 0.0;
}

double friction(const Specimen& s) {
    return is(s, "rubbing_coil") ? s.severity : 0.0;
}

/// The motor as the fault has left it.
Motor faulty(const Specimen& s) {
    Motor m = s.motor;
    if (is(s, "torn_surround")) {
        m.Cms *= 1.0 + s.severity;
        m.Rms *= 1.0 + 4.0 * s.severity;
    }
    if (is(s, "wrong_driver")) {
        m.Cms /= (1.0 + s.severity) * (1.0 + s.severity);
        m.Re *= 1.0 - s.severity / 2.0;
    }
    return m;
}

Complex withShortedTurns(const Motor& m, const Specimen& specimen, double f) {
    const double s = shorted(specimen);
    const Complex Zc = driver::coilImpedance(m.coil, f);
    const Complex perMotion = m.Bl * m.Bl / m.mechanical(f);
    const double rest = 1.0 - s;
    const Complex A = rest * m.Re + rest * rest * (Zc + perMotion);
    const Complex B = s * rest * (specimen.coupling * Zc + perMotion);
    const Complex C = s * m.Re + s * s * (Zc + perMotion);
    return A - B * B / C;
}

/// `drive`: V rms at its terminals.
Complex withRub(const Specimen& s, double f, double drive) {
    const Motor& m = s.motor;
    const double Fc = friction(s);
    const Complex Zb = m.Re + driver::coilImpedance(m.coil, f);
    const Complex Zm = m.mechanical(f);
    const double peakVolts = std::numbers::sqrt2 * drive;
    const double F = 4.0 * Fc / std::numbers::pi;
    const double push = m.Bl * peakVolts / std::abs(Zb);
    if (F >= push) {
        return Zb; // stuck: nothing moves, nothing is induced
    }
    const Complex A = Zb * Zm + m.Bl * m.Bl;
    const double a = std::norm(A);
    const double b = 2.0 * F * std::real(A * std::conj(Zb));
    const double c = std::norm(Zb) * (F * F - push * push);
    const double v = (-b + std::sqrt(b * b - 4.0 * a * c)) / (2.0 * a);
    return Zb + m.Bl * m.Bl / (Zm + F / v);
}

Complex ofDriver(const Specimen& s, double f, double drive) {
    const Motor m = faulty(s);
    if (shorted(s) > 0.0) {
        return withShortedTurns(m, s, f);
    }
    if (friction(s) > 0.0) {
        return withRub(s, f, drive);
    }
    return m.Re + driver::coilImpedance(m.coil, f) + m.Bl * m.Bl / m.mechanical(f);
}

double pathAtRest(const Specimen& s) {
    return s.path.protector + s.path.seriesR + s.path.seriesLdcr +
           (is(s, "dirty_contact") ? s.severity : 0.0);
}

Complex ofPath(const Specimen& s, double f) {
    Complex Z = pathAtRest(s) + Complex{0.0, omega(f) * s.path.seriesL};
    if (s.path.seriesC > 0.0) {
        const bool drifted = is(s, "capacitor_drifted");
        const double C = s.path.seriesC * (drifted ? s.severity : 1.0);
        Z += Complex{drifted ? driftedEsr : 0.0, -1.0 / (omega(f) * C)};
    }
    return Z;
}

/// DC meets the driver: nothing open, and no capacitor on the way.
bool conducts(const Specimen& s, Place place) {
    return !coilIsOpen(s) && (place == Place::driver || (!pathIsOpen(s) && s.path.seriesC <= 0.0));
}

std::string pushOutcome(const std::string& fault) {
    const bench::EvidenceTable& table = bench::shippedTable();
    const auto& outcomes = table.checks[*table.check("push")].outcomes;
    const std::size_t f = *table.fault(fault);
    return std::ranges::max_element(
               outcomes, {}, [&](const bench::Outcome& o) { return o.likelihoods[f]; })
        ->key;
}

Result<Hidden> hiddenOf(const SpecimenRequest& r, Random& random) {
    const Hidden drawn = drawFault(random);
    if (r.fault.has_value() == r.seed.has_value()) {
        return Error{"fault",
                     r.fault ? "given beside seed" : "missing",
                     "must be one of the faults, or a seed that draws it"};
    }
    if (r.seed) {
        return drawn;
    }
    const bench::EvidenceTable& table = bench::shippedTable();
    if (!table.fault(*r.fault)) {
        return bench::unknown("fault", "fault", *r.fault, table.faults);
    }
    const SeverityRange range = severityRange(*r.fault);
    if (range.high <= 0.0) {
        return Hidden{*r.fault, 0.0};
    }
    const Words allowed =
        say(YF_WORDS("core", "must be %1"), text::rangeText(range.low, range.high));
    if (!r.severity) {
        return Error{"severity", "missing", allowed};
    }
    if (!(*r.severity >= range.low && *r.severity <= range.high)) {
        return Error{"severity", text::given(text::printNumber(*r.severity)), allowed};
    }
    return Hidden{*r.fault, *r.severity};
}

/// fs, Qms and Qes may be given beside the base quantities, but then they must be theirs.
std::optional<Error> contradiction(const driver::ModelKeys& keys, const Motor& motor) {
    constexpr double slack = 0.10;
    const driver::ImpedanceModel own = motor.model();

    const struct {
        const char* key;
        const std::optional<double>& given;
        double implied;
    } rows[] = {{"fs_hz", keys.fs, own.fs}, {"Qms", keys.Qms, own.Qms}, {"Qes", keys.Qes, own.Qes}};

    for (const auto& row : rows) {
        if (row.given && !(std::abs(*row.given / row.implied - 1.0) <= slack)) {
            return Error{
                row.key,
                text::given(text::printNumber(*row.given)),
                say(YF_WORDS("core",
                             "must be within 10 % of %1, which Re, Bl, Mms, Cms and Rms make"),
                    text::printSignificant(row.implied, 4))};
        }
    }
    return std::nullopt;
}

} // namespace

double Motor::fs() const {
    return 1.0 / (2.0 * std::numbers::pi * std::sqrt(Mms * Cms));
}

Complex Motor::mechanical(double f) const {
    return {Rms, omega(f) * Mms - 1.0 / (omega(f) * Cms)};
}

driver::ImpedanceModel Motor::model() const {
    driver::ImpedanceModel m = coil;
    const double root = std::sqrt(Mms / Cms);
    m.Re = Re;
    m.fs = fs();
    m.Qms = root / Rms;
    m.Qes = root * Re / (Bl * Bl);
    return m;
}

SeverityRange severityRange(std::string_view fault) {
    const auto* found = std::ranges::find(ranges, fault, &Range::fault);
    return found == std::end(ranges) ? SeverityRange{} : found->range;
}

Hidden drawFault(Random& random) {
    const bench::EvidenceTable& table = bench::shippedTable();
    const double u = random.uniform();
    Hidden hidden{table.faults.back(), 0.0};
    double sum{};
    for (std::size_t f = 0; f < table.faults.size(); ++f) {
        sum += table.priors[f];
        if (u < sum) {
            hidden.fault = table.faults[f];
            break;
        }
    }
    const SeverityRange range = severityRange(hidden.fault);
    hidden.severity = range.low + (range.high - range.low) * random.uniform();
    return hidden;
}

std::optional<Complex> impedance(const Specimen& s, Place place, double f, double drive) {
    if (coilIsOpen(s) || (place == Place::cabinet && pathIsOpen(s))) {
        return std::nullopt;
    }
    const Complex Z = ofDriver(s, f, drive);
    return place == Place::driver ? Z : Z + ofPath(s, f);
}

std::optional<double> dcr(const Specimen& s, Place place) {
    if (!conducts(s, place)) {
        return std::nullopt;
    }
    const double coil = (1.0 - shorted(s)) * faulty(s).Re;
    return place == Place::driver ? coil : coil + pathAtRest(s);
}

double batteryTravel(const Specimen& s, Place place, const Battery& battery) {
    const auto R = dcr(s, place);
    if (!R) {
        return 0.0;
    }
    const Motor m = faulty(s);
    const double I = battery.voltage / (*R + battery.resistance);
    const double force = (1.0 - shorted(s)) * m.Bl * I;
    const double x = m.Cms * std::max(0.0, force - friction(s));
    return is(s, "reversed_polarity") ? -x : x;
}

std::optional<Peak> peak(const Specimen& s, double drive) {
    if (coilIsOpen(s)) {
        return std::nullopt;
    }
    const double fs = faulty(s).fs();
    constexpr int steps = 240;
    const auto modulus = [&](double f) { return std::abs(ofDriver(s, f, drive)); };
    const auto at = [&](double k) { return fs / 3.0 * std::pow(9.0, k / steps); };
    int best{};
    for (int k = 1; k <= steps; ++k) {
        if (modulus(at(k)) > modulus(at(best))) {
            best = k;
        }
    }
    // Thirds of the neighbourhood, until the place is known to a millionth.
    double low = at(std::max(best - 1, 0));
    double high = at(std::min(best + 1, steps));
    while (high - low > 1e-6 * low) {
        const double left = low + (high - low) / 3.0;
        const double right = high - (high - low) / 3.0;
        if (modulus(left) < modulus(right)) {
            low = left;
        } else {
            high = right;
        }
    }
    const double f = 0.5 * (low + high);
    return Peak{modulus(f), f};
}

Result<SpecimenReadings> specimen(const SpecimenRequest& r) {
    if (!r.keys.Re) {
        return Error{"Re_ohm", "missing", "must be 0.05 to 2000"};
    }
    Random random(r.seed ? static_cast<std::uint64_t>(*r.seed) : 0U);
    YF_TRY(hidden, hiddenOf(r, random));
    Specimen s{r.motor, r.path, hidden.fault, hidden.severity, r.coupling};
    s.motor.Re = *r.keys.Re;
    s.motor.coil = {.inductance = r.keys.inductance,
                    .Le = r.keys.Le,
                    .leachK = r.keys.leachK,
                    .leachN = r.keys.leachN,
                    .L2 = r.keys.L2,
                    .R2 = r.keys.R2,
                    .Leb = r.keys.Leb,
                    .Ke = r.keys.Ke,
                    .Rss = r.keys.Rss};
    if (auto error = check(s.motor.coil)) {
        return *error;
    }
    if (auto error = contradiction(r.keys, s.motor)) {
        return *error;
    }
    SpecimenReadings out;
    if (const auto R = dcr(s, r.place)) {
        out.dcr = *R + r.leads;
    }
    if (const auto Z = impedance(s, r.place, r.lcrFrequency, r.drive)) {
        out.lcrR = Z->real() + r.leads;
        out.lcrL = Z->imag() / omega(r.lcrFrequency);
    }
    const double cell = r.cellResistance.value_or(bench::cellResistance(r.cellVoltage));
    out.travel = batteryTravel(s, r.place, {r.cellVoltage, cell + r.leads});
    out.battery = out.travel > 0.0   ? BatteryShows::out
                  : out.travel < 0.0 ? BatteryShows::in
                                     : BatteryShows::none;
    out.frequencies = r.frequencies.empty() ? curve::designAxis() : r.frequencies;
    std::vector<double> re;
    std::vector<double> im;
    for (const double f : out.frequencies) {
        if (const auto Z = impedance(s, r.place, f, r.drive)) {
            const double size = r.noise > 0.0 ? 1.0 + r.noise * random.normal() : 1.0;
            const double turn = r.noise > 0.0 ? r.noise * random.normal() : 0.0;
            const Complex read = *Z * std::polar(1.0, turn) * size;
            re.push_back(read.real());
            im.push_back(read.imag());
        }
    }
    if (!re.empty()) {
        out.re = std::move(re);
        out.im = std::move(im);
    }
    if (const auto top = peak(s, r.drive)) {
        out.peakOhms = top->ohms;
        out.peakFrequency = top->frequency;
    }
    out.push = pushOutcome(s.fault);
    if (r.reveal.value_or(r.fault.has_value())) {
        out.fault = s.fault;
        out.severity = s.severity;
    }
    return out;
}

} // namespace yf::sim
