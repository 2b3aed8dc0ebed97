// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/take/make.h"

#include "core/base/digest.h"
#include "core/driver/jig_standards.h"
#include "core/job/fresh_id.h"
#include "core/quantity/level.h"
#include "core/text/number.h"

#include <algorithm>
#include <bit>
#include <cmath>

namespace yf::take {

namespace {

using curve::Complex;

/// As they are kept: what is computed today and from the file next year is the same.
void roundToFloat(std::vector<double>& samples) {
    for (double& v : samples) {
        v = static_cast<double>(static_cast<float>(v));
    }
}

std::string placeText(const job::Recorded& r) {
    if (r.place == job::MicPlace::nearCone) {
        return YF_WORDS("core", "near the cone");
    }
    if (r.place == job::MicPlace::nearPort) {
        return YF_WORDS("core", "in the port");
    }
    if (r.angle == 0.0) {
        return r.also.empty() ? YF_WORDS("core", "on axis") : "together with " + r.also;
    }
    const bool across = r.plane == quantity::Plane::horizontal;
    const std::string side =
        across ? (r.angle > 0.0 ? "right" : "left") : (r.angle > 0.0 ? "up" : "down");
    return text::printNumber(std::abs(r.angle)) + "° " + side;
}

/// Where a response may be believed once it is gated.
curve::Range believed(const measure::Examined& e,
                      const signal::Sweep& sweep,
                      const signal::Gate& gate,
                      const curve::Axis& axis) {
    const auto band = measure::trustedBand(e, sweep, gate.lowestValid());
    if (!band) {
        return {axis.front(), axis.front()};
    }
    return {std::max(band->from, axis.front()), std::min(band->to, axis.back())};
}

struct Responded {
    const TakeOrder& order;
    const signal::Sweep& sweep;
    const measure::Examined& examined;
};

Result<MadeTake> responseOf(const Responded& r, std::optional<signal::Gate> asked) {
    const job::Recorded& recorded = r.order.recorded;
    const double silence = static_cast<double>(r.sweep.after) / r.sweep.rate;
    MadeTake made;
    constexpr double before = 0.02;
    made.impulse = measure::impulseOf(
        r.examined, r.order.recording, r.sweep, before, std::max(0.05, 0.9 * silence));
    const double unit =
        measure::unitFactor(recorded.fullScalePressure, recorded.fullScaleVoltage, r.order.drive);
    for (double& v : made.impulse->samples) {
        v *= unit;
    }
    measure::GateWish wish{.left = recorded.gateLeft,
                           .right = recorded.gateRight,
                           .echoes = recorded.place == job::MicPlace::farField
                                         ? measure::Echoes::endGate
                                         : measure::Echoes::kept};
    if (asked) {
        wish.left = asked->left;
        wish.right = asked->right;
        wish.taper = asked->taper;
    }
    made.reading = measure::readImpulse(*made.impulse, wish);
    made.polarity = measure::polarityOf(r.examined.verdict, made.reading.delay);
    const signal::Gate& gate = made.reading.gate;
    const double arrival = made.reading.arrival;
    const curve::Axis axis = measure::gatedAxis(gate, r.sweep.rate, {r.sweep.start, r.sweep.end});
    constexpr std::size_t least = 8;
    if (axis.size() < least) {
        return Error{"gate_right_s",
                     text::printEngineering(gate.right, "s"),
                     YF_WORDS("core", "the gate leaves no frequency to look at: make it longer")};
    }
    YF_TRY(corrections,
           measure::readCorrections(
               {.microphone = recorded.microphoneTable, .card = recorded.cardTable}));
    made.corrections = std::move(corrections);
    auto values = signal::gatedResponse(*made.impulse, arrival, gate, axis);
    made.corrections.apply(axis, values);
    made.take.curve = std::make_shared<const curve::Curve>(
        axis,
        std::move(values),
        measure::referenceSetsTime(r.examined) ? curve::Phase::common : curve::Phase::own,
        believed(r.examined, r.sweep, gate, axis));
    made.take.gate = gate.right;
    made.take.understood = say(YF_WORDS("core", "Arrival %1, gate %2, valid from %3."),
                               text::printEngineering(arrival, "s", 4),
                               text::printEngineering(gate.right, "s"),
                               text::printEngineering(gate.lowestValid(), "Hz"));
    made.distortion = measure::distortionOf(
        r.examined,
        r.sweep,
        arrival,
        curve::within(curve::designAxis(), r.sweep.fullFrom(), r.sweep.fullTo()));
    return made;
}

driver::Jig jigOf(const job::Recorded& recorded) {
    return {.sense = recorded.sense.value_or(10.0), .lead = recorded.lead};
}

driver::FitKind kindOf(const job::Take& take) {
    return take.recorded.mounting == job::Mounting::ventedBox ? driver::FitKind::vented
                                                              : driver::FitKind::freeAir;
}

Result<MadeTake> impedanceTake(const Responded& r) {
    const job::Recorded& recorded = r.order.recorded;
    const curve::Axis axis =
        curve::within(curve::designAxis(), r.sweep.fullFrom(), std::min(20000.0, r.sweep.fullTo()));
    driver::Ratios ratios = driver::ratiosOf(r.examined, r.sweep, axis);
    std::optional<driver::StandardTakes> standards;
    if (!recorded.jigTable.empty()) {
        YF_TRY(read, driver::readStandards(recorded.jigTable));
        standards = driver::onAxis(read, axis);
    } else {
        YF_TRY(corrections, measure::readCorrections({.card = recorded.cardTable}));
        corrections.apply(axis, ratios.ratio);
    }
    YF_TRY(jig, driver::impedanceOf(ratios, jigOf(recorded), standards));
    MadeTake made;
    made.take.curve = std::make_shared<const curve::Curve>(jig.impedance);
    const std::string percent = text::printSignificant(100.0 * jig.u[jig.u.size() / 2], 2);
    made.take.understood =
        standards
            ? say(YF_WORDS("core", "Corrected by open, short and a load of %1, uncertainty %2 %."),
                  text::printEngineering(standards->loadOhms, "Ω"),
                  percent)
            : say(YF_WORDS("core", "Sense resistor %1, leads %2 taken off, uncertainty %3 %."),
                  text::printEngineering(recorded.sense.value_or(10.0), "Ω"),
                  text::printEngineering(recorded.lead, "Ω"),
                  percent);
    made.jig = std::move(jig);
    return made;
}

Result<MadeTake> made(const TakeOrder& order, std::optional<signal::Gate> gate) {
    YF_TRY(sweep, signal::makeSweep(order.recorded.sweep));
    if (order.recording.measured.empty()) {
        return Error{
            "recording", YF_WORDS("core", "holds no samples"), YF_WORDS("core", "record it again")};
    }
    const measure::Examined examined = measure::examine(order.recording, sweep, order.lossFlagged);
    const Responded responded{order, sweep, examined};
    auto result = order.kind == job::TakeKind::response ? responseOf(responded, gate)
                                                        : impedanceTake(responded);
    if (!result) {
        return result;
    }
    job::Take& take = result->take;
    take.kind = order.kind;
    take.date = order.date;
    take.distance = order.distance;
    take.drive = order.drive;
    take.recorded = order.recorded;
    take.recorded.faults.clear();
    for (const measure::Fault fault : examined.verdict.faults) {
        take.recorded.faults.emplace_back(measure::faultName(fault));
    }
    take.name = order.kind == job::TakeKind::impedance ? "impedance" : placeText(order.recorded);
    result->verdict = examined.verdict;
    result->medianSignalToNoise = examined.verdict.medianSignalToNoise;
    return result;
}

} // namespace

std::string samplesKey(const signal::Recording& recording) {
    Digest digest;
    const auto mix = [&](const std::vector<double>& samples) {
        for (const double v : samples) {
            const auto bits = std::bit_cast<std::uint32_t>(static_cast<float>(v));
            for (unsigned byte = 0; byte < 4; ++byte) {
                digest.add(static_cast<unsigned char>((bits >> (8U * byte)) & 0xFFU));
            }
        }
        digest.add(0x5A);
    };
    mix({recording.rate});
    mix(recording.measured);
    mix(recording.reference);
    return digest.hex();
}

Result<MadeTake> makeTake(const TakeOrder& order) {
    TakeOrder kept = order;
    roundToFloat(kept.recording.measured);
    roundToFloat(kept.recording.reference);
    auto result = made(kept, std::nullopt);
    if (result) {
        result->take.recorded.samples = samplesKey(kept.recording);
        result->take.recording =
            std::make_shared<const signal::Recording>(std::move(kept.recording));
    }
    return result;
}

Result<MadeTake> remakeTake(const job::Take& take, std::optional<signal::Gate> gate) {
    if (!take.recording) {
        return Error{"take",
                     say(YF_WORDS("core", "'%1' holds no samples"), take.name),
                     YF_WORDS("core", "only a take recorded here does")};
    }
    TakeOrder order{.kind = take.kind,
                    .recorded = take.recorded,
                    .recording = *take.recording,
                    .date = take.date,
                    .distance = take.distance,
                    .drive = take.drive};
    order.lossFlagged = std::ranges::find(take.recorded.faults, std::string("dropout")) !=
                        take.recorded.faults.end();
    auto result = made(order, gate);
    if (result) {
        job::Take& again = result->take;
        again.id = take.id;
        again.name = take.name;
        again.note = take.note;
        again.recording = take.recording;
        again.smoothing = take.smoothing;
        if (gate) {
            again.recorded.gateLeft = gate->left;
            again.recorded.gateRight = result->reading.gate.right;
        }
        again.curveKey = job::curveKey(*again.curve);
    }
    return result;
}

std::optional<curve::Curve> throughGate(const MadeTake& made, const signal::Gate& gate) {
    if (!made.impulse) {
        return std::nullopt;
    }
    const curve::Range extent = made.take.curve->extent();
    const curve::Axis axis = measure::gatedAxis(gate, made.impulse->rate, extent);
    if (axis.size() < 2) {
        return std::nullopt;
    }
    auto values = signal::gatedResponse(*made.impulse, made.reading.arrival, gate, axis);
    made.corrections.apply(axis, values);
    return curve::Curve(axis,
                        std::move(values),
                        made.take.curve->phase(),
                        {std::clamp(gate.lowestValid(), axis.front(), axis.back()),
                         std::clamp(made.take.curve->trusted().to, axis.front(), axis.back())});
}

Result<driver::FitResult> parametersOf(const job::Take& take) {
    if (take.recording) {
        YF_TRY(again, remakeTake(take));
        YF_TRY(parameters,
               driver::parametersOf(
                   {.take = *again.jig, .jig = jigOf(take.recorded), .kind = kindOf(take)}));
        driver::FitResult fit = parameters.fit;
        fit.u = parameters.u;
        return fit;
    }
    return driver::fitImpedance({.impedance = *take.curve, .kind = kindOf(take)});
}

} // namespace yf::take
