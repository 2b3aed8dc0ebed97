// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/take/calibration.h"

#include "core/measure/calibration.h"
#include "core/measure/response.h"
#include "core/quantity/level.h"
#include "core/signal/impulse.h"
#include "core/text/fields.h"
#include "core/text/number.h"

#include <cmath>
#include <numbers>

namespace yf::take {

namespace {

using curve::Complex;

/// A table of level and phase as measure::readMicrophone reads it.
std::string tableOf(const driver::Ratios& ratios) {
    std::string text = "# frequency, Hz; level, dB; phase, degrees\n";
    for (std::size_t i = 0; i < ratios.frequencies.size(); ++i) {
        text += text::printNumber(ratios.frequencies[i]) + "; " +
                text::printNumber(quantity::decibels(std::abs(ratios.ratio[i]))) + "; " +
                text::printNumber(std::arg(ratios.ratio[i]) / quantity::degree) + "\n";
    }
    return text;
}

/// What comes back of what was played. The latency of a device is another one each time: it is
/// taken out, and the loop's own phase is left.
driver::Ratios loopOf(const signal::Recording& recording, const signal::Sweep& sweep) {
    const measure::Examined examined = measure::examine(recording, sweep);
    constexpr double before = 0.1;
    const double right = 0.9 * static_cast<double>(sweep.after) / sweep.rate;
    const signal::Impulse impulse =
        measure::impulseOf(examined, recording, sweep, before, right + before);
    const double arrival = signal::arrival(impulse);
    driver::Ratios loop{
        .frequencies = curve::within(driver::standardAxis(), sweep.fullFrom(), sweep.fullTo())};
    loop.ratio = signal::gatedResponse(
        impulse, arrival, {.left = before, .right = right, .taper = 0.1}, loop.frequencies);
    for (std::size_t i = 0; i < loop.ratio.size(); ++i) {
        loop.ratio[i] *= std::polar(1.0, 2.0 * std::numbers::pi * loop.frequencies[i] * arrival);
    }
    return loop;
}

struct Read {
    signal::Sweep sweep;
    measure::Examined examined;
    driver::Ratios ratios;
};

Result<Read> readSweep(const signal::Recording& recording, const signal::SweepPlan& plan) {
    YF_TRY(sweep, signal::makeSweep(plan));
    measure::Examined examined = measure::examine(recording, sweep);
    const curve::Axis axis =
        curve::within(driver::standardAxis(), sweep.fullFrom(), sweep.fullTo());
    driver::Ratios ratios = driver::ratiosOf(examined, sweep, axis);
    return Read{sweep, std::move(examined), std::move(ratios)};
}

/// Faults that spoil a calibration as well. A short has next to no level by its nature.
std::optional<Error> spoiled(const measure::Verdict& verdict, bool quietAllowed) {
    using measure::Fault;
    for (const Fault fault : verdict.faults) {
        const bool quiet = fault == Fault::noSignal || fault == Fault::tooLow ||
                           fault == Fault::noisy || fault == Fault::channelsSwapped;
        if (measure::spoils(fault) && !(quiet && quietAllowed)) {
            return Error{YF_WORDS("core", "calibration"), measure::sentenceOf(fault, verdict), ""};
        }
    }
    return std::nullopt;
}

double rms(const std::vector<double>& samples) {
    double sum = 0.0;
    for (const double v : samples) {
        sum += v * v;
    }
    return samples.empty() ? 0.0 : std::sqrt(sum / static_cast<double>(samples.size()));
}

} // namespace

std::string writeCalibration(const Calibration& calibration) {
    return text::writeJson(text::write(calibration));
}

Result<Calibration> readCalibration(const std::string& text) {
    YF_TRY(value, text::parseJson(text));
    return text::read<Calibration>(value, "");
}

Result<Calibration>
withMicrophone(Calibration calibration, const std::string& name, const std::string& text) {
    YF_TRY(table, measure::readMicrophone(text, name));
    static_cast<void>(table);
    calibration.microphoneName = name;
    calibration.microphoneTable = text;
    return calibration;
}

Result<Calibration> withCard(Calibration calibration,
                             const signal::Recording& recording,
                             const signal::SweepPlan& plan) {
    YF_TRY(read, readSweep(recording, plan));
    if (auto error = spoiled(read.examined.verdict, false)) {
        return *error;
    }
    calibration.cardChannels.clear();
    if (read.examined.referenced) {
        calibration.cardChannels = tableOf(read.ratios);
    }
    calibration.cardLoop = tableOf(loopOf({recording.rate, recording.measured, {}}, read.sweep));
    return calibration;
}

Result<Calibration> withJig(Calibration calibration,
                            driver::Standard which,
                            const signal::Recording& recording,
                            const signal::SweepPlan& plan,
                            double sense,
                            double load) {
    if (recording.reference.empty()) {
        return Error{YF_WORDS("core", "reference"),
                     YF_WORDS("core", "none chosen"),
                     YF_WORDS("core", "the jig needs both inputs")};
    }
    YF_TRY(read, readSweep(recording, plan));
    if (auto error = spoiled(read.examined.verdict, which == driver::Standard::shorted)) {
        return *error;
    }
    YF_TRY(standards, driver::withStandard(calibration.jig, which, read.ratios, sense, load));
    calibration.jig = std::move(standards);
    return calibration;
}

Result<Calibration>
withCalibrator(Calibration calibration, const signal::Recording& recording, double level) {
    YF_TRY(found, measure::calibrate(recording.measured, recording.rate, level));
    calibration.fullScalePressure = found.fullScale;
    return calibration;
}

Result<Calibration> withVoltage(Calibration calibration,
                                const signal::Recording& recording,
                                double amplitude,
                                double volts) {
    // With a reference input its own 1.0 counts, else that of what is played.
    double size = amplitude / std::numbers::sqrt2;
    if (!recording.reference.empty()) {
        // Fades at both ends are left out.
        const auto quarter = static_cast<std::ptrdiff_t>(recording.reference.size() / 4);
        size = rms({recording.reference.begin() + quarter, recording.reference.end() - quarter});
    }
    constexpr double least = 1e-4;
    if (!(size > least)) {
        return Error{YF_WORDS("core", "reference"),
                     YF_WORDS("core", "the tone was not heard"),
                     YF_WORDS("core", "is the loop connected?")};
    }
    calibration.fullScaleVoltage = volts / size;
    return calibration;
}

Result<double> gainStep(const signal::Recording& first,
                        const signal::Recording& second,
                        const signal::SweepPlan& plan,
                        double softer) {
    // Against what was played, not against the reference, which passes the same gain.
    signal::SweepPlan lower = plan;
    lower.level -= softer;
    YF_TRY(loud, readSweep({first.rate, first.measured, {}}, plan));
    YF_TRY(soft, readSweep({second.rate, second.measured, {}}, lower));
    for (const Read* read : {&loud, &soft}) {
        if (auto error = spoiled(read->examined.verdict, false)) {
            return *error;
        }
    }
    double sum = 0.0;
    constexpr int thirds = 20; // of an octave, from 100 Hz to 10 kHz
    for (int k = 0; k < thirds; ++k) {
        const double f = 100.0 * std::pow(10.0, 0.1 * k);
        // Level is per played unit: alike if nothing moved the gain meanwhile.
        sum += loud.examined.level(f) - soft.examined.level(f);
    }
    const double step = softer + sum / thirds;
    constexpr double allowed = 0.2; // dB
    if (std::abs(step - softer) > allowed) {
        return Error{
            YF_WORDS("core", "gain"),
            say(YF_WORDS("core", "a sweep %1 dB softer came back %2 dB lower"),
                text::printFixed(softer, 1),
                text::printFixed(step, 1)),
            YF_WORDS("core",
                     "switch off automatic gain, noise suppression and echo cancelling of the "
                     "sound system")};
    }
    return step;
}

void apply(const Calibration& c, job::TakeKind kind, bool referenced, job::Recorded& r) {
    const std::string& card = referenced ? c.cardChannels : c.cardLoop;
    std::vector<Words> said;
    if (kind == job::TakeKind::impedance) {
        if (c.jig && driver::complete(*c.jig)) {
            r.jigTable = driver::writeStandards(*c.jig);
            said.push_back(YF_WORDS("core", "open, short and load of the jig"));
        } else {
            r.cardTable = referenced ? card : "";
            r.lead = c.lead;
        }
    } else {
        r.cardTable = card;
        r.microphoneTable = c.microphoneTable;
        if (!c.microphoneTable.empty()) {
            said.push_back(say(YF_WORDS("core", "microphone %1"), c.microphoneName));
        }
        // Half a calibration is none.
        if (c.fullScalePressure && c.fullScaleVoltage) {
            r.fullScalePressure = c.fullScalePressure;
            r.fullScaleVoltage = c.fullScaleVoltage;
            said.push_back(YF_WORDS("core", "absolute level"));
        }
    }
    if (!r.cardTable.empty()) {
        said.push_back(YF_WORDS("core", "sound card"));
    }
    r.calibration = Words::row(std::move(said), ", ");
}

} // namespace yf::take
