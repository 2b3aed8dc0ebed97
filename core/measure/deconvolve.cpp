// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/measure/deconvolve.h"

#include "core/curve/smooth.h"
#include "core/quantity/air.h"
#include "core/quantity/level.h"
#include "core/signal/wav.h"
#include "core/text/given.h"
#include "core/text/number.h"

#include <algorithm>

namespace yf::measure {

namespace {

using curve::Complex;
using text::printNumber;

constexpr double windowTaper = 0.25;

Result<signal::Recording> recordingOf(const DeconvolveRequest& request,
                                      const signal::Sweep& sweep) {
    if (!request.bytes) {
        return Error{"recording_file",
                     say(YF_WORDS("core", "'%1' was not read"), request.recordingFile),
                     ""};
    }
    YF_TRY(sound, signal::readWav(*request.bytes, "recording_file"));
    if (sound.rate != sweep.rate) {
        return Error{"recording_file",
                     say(YF_WORDS("core", "%1 has %2 Hz, the sweep %3"),
                         request.recordingFile,
                         printNumber(sound.rate),
                         printNumber(sweep.rate)),
                     ""};
    }
    const std::size_t needed = sweep.startOf(sweep.repeats - 1) + sweep.samples;
    const std::size_t there = sound.channels.front().size();
    if (there < needed) {
        return Error{"recording_file",
                     say(YF_WORDS("core", "%1 ends after %2 samples; the sweep needs %3"),
                         request.recordingFile,
                         std::to_string(there),
                         std::to_string(needed)),
                     ""};
    }
    const auto count = static_cast<int>(sound.channels.size());
    for (const auto& [channel, key] : {std::pair(request.measurementChannel, "measurement_channel"),
                                       std::pair(request.referenceChannel, "reference_channel")}) {
        if (channel > count) {
            return Error{key,
                         text::given(std::to_string(channel)),
                         say(YF_WORDS("core", "the recording has %1"), std::to_string(count))};
        }
    }
    signal::Recording recording{.rate = sound.rate};
    if (request.referenceChannel > 0) {
        recording.reference =
            sound.channels[static_cast<std::size_t>(request.referenceChannel - 1)];
    }
    recording.measured =
        std::move(sound.channels[static_cast<std::size_t>(request.measurementChannel - 1)]);
    return recording;
}

} // namespace

std::optional<Error> check(const DeconvolveRequest& r) {
    if (r.referenceChannel == r.measurementChannel) {
        return Error{"reference_channel",
                     say(YF_WORDS("core", "%1 is the measurement_channel too"),
                         std::to_string(r.referenceChannel)),
                     "must be another one, or 0"};
    }
    if (r.fullScalePressure.has_value() != r.fullScaleVoltage.has_value()) {
        return Error{r.fullScalePressure ? "full_scale_v" : "full_scale_pa",
                     "missing; absolute level needs full_scale_pa and full_scale_v",
                     ""};
    }
    const double rate = r.sweep.plan.rate;
    for (const auto& [list, key] :
         {std::pair(&r.frequencies, "frequencies_hz"),
          std::pair(&r.distortionFrequencies, "distortion_frequencies_hz")}) {
        if (auto error = checkRising(*list, key)) {
            return error;
        }
        if (!list->empty() && list->back() >= rate / 2.0) {
            return Error{
                key,
                text::given(printNumber(list->back())),
                say(YF_WORDS("core", "must be below %1 (half the rate)"), printNumber(rate / 2.0))};
        }
    }
    return std::nullopt;
}

namespace {

/// What the judgement of a recording gives away by itself.
Deconvolved judged(const DeconvolveRequest& request, const Examined& e) {
    const Verdict& v = e.verdict;
    Deconvolved d{.mainFault = v.faults.empty() ? "none" : std::string(faultName(v.faults.front())),
                  .usable = v.usable(),
                  .peak = v.peak,
                  .noise = v.noise,
                  .clippedSamples = v.clippedSamples,
                  .humFrequency = v.hum,
                  .humLevel = v.humLevel,
                  .dropoutSamples = v.dropout ? v.dropout->samples : 0,
                  .dropoutTime = v.dropout ? v.dropout->time
                                 : v.stale ? v.stale->time
                                           : 0.0,
                  .clockDrift = v.clockDrift,
                  .repeatsUsed = static_cast<int>(e.spectra.measured.size()),
                  .levelReference = request.fullScalePressure ? "spl" : "ratio",
                  .polarity = "uncertain",
                  .medianSignalToNoise = v.medianSignalToNoise};
    for (const Fault fault : v.faults) {
        d.faults.emplace_back(faultName(fault));
    }
    for (const int r : v.rejected) {
        d.rejectedRepeats.push_back(r);
    }
    return d;
}

/// The response in the window, calibrated, on the frequencies asked for or on the trusted ones.
void putResponse(const DeconvolveRequest& request,
                 const Examined& e,
                 const signal::Sweep& sweep,
                 const signal::Gate& window,
                 const Corrections& corrections,
                 Deconvolved& d) {
    const auto band = trustedBand(e, sweep, window.lowestValid());
    if (band) {
        d.trustedFrom = band->from;
        d.trustedTo = band->to;
    }
    d.frequencies = axisOr(request.frequencies,
                           band ? band->from : sweep.fullFrom(),
                           band ? band->to : sweep.fullTo());
    auto response = signal::gatedResponse(d.impulse, 0.0, window, d.frequencies);
    corrections.apply(d.frequencies, response);
    const double factor =
        request.fullScalePressure
            ? unitFactor(request.fullScalePressure, request.fullScaleVoltage, request.drive) /
                  quantity::referencePressure
            : 1.0;
    for (Complex& value : response) {
        value *= factor;
    }
    auto told = levelsAndPhases(response);
    d.levels = std::move(told.levels);
    d.phases = std::move(told.phases);
    for (const double f : d.frequencies) {
        d.signalToNoise.push_back(e.signalToNoise(f));
    }
}

void putArrival(const DeconvolveRequest& request, const Verdict& v, Deconvolved& d) {
    const auto fit =
        v.has(Fault::noSignal) ? std::nullopt : signal::delayOf(d.impulse, signal::directSound);
    if (!fit) {
        return;
    }
    d.delay = fit->delay;
    d.distance = fit->delay * quantity::soundSpeedAt(request.temperature);
    d.polarity = std::string(signal::polarityName(polarityOf(v, fit)));
}

void putDistortion(const DeconvolveRequest& request,
                   const Examined& e,
                   const signal::Sweep& sweep,
                   Deconvolved& d) {
    if (request.distortionFrequencies.empty()) {
        return;
    }
    const auto found = distortionOf(e, sweep, d.delay.value_or(0.0), request.distortionFrequencies);
    d.distortion = found.orders;
    for (auto& order : d.distortion) {
        for (auto& value : order) {
            if (value) {
                constexpr double least = 1e-15;
                value = quantity::decibels(std::max(*value, least));
            }
        }
    }
    d.distortionTotal = found.total();
}

} // namespace

Result<Deconvolved> deconvolve(const DeconvolveRequest& request) {
    YF_TRY(sweep, signal::makeSweep(request.sweep.plan));
    YF_TRY(recording, recordingOf(request, sweep));
    YF_TRY(corrections,
           readCorrections({.microphone = request.calibrationText.value_or(""),
                            .microphoneKey = "calibration_file"}));
    const Examined e = examine(recording, sweep);
    Deconvolved d = judged(request, e);
    const double silence = static_cast<double>(sweep.after) / sweep.rate;
    const double right = request.right.value_or(std::max(0.5 * silence, 0.01));
    d.impulse = impulseOf(e, recording, sweep, request.left, std::max(right, silence));
    const signal::Gate window{.left = request.left, .right = right, .taper = windowTaper};
    putResponse(request, e, sweep, window, corrections, d);
    putArrival(request, e.verdict, d);
    putDistortion(request, e, sweep, d);
    return d;
}

} // namespace yf::measure
