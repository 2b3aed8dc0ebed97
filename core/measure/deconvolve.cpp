// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/measure/deconvolve.h"

#include "core/curve/smooth.h"
#include "core/quantity/air.h"
#include "core/quantity/level.h"
#include "core/signal/spectrum.h"
#include "core/signal/wav.h"
#include "core/text/given.h"
#include "core/text/number.h"

#include <algorithm>
#include <cmath>
#include <numbers>

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

/// Arrival of the timing burst, s after its own nominal start: as late as the sweep would be
/// from the loudspeaker that played the burst.
double burstZero(const signal::Recording& recording, const signal::Sweep& sweep) {
    const std::vector<double> mark = signal::burst(sweep.rate, 1.0);
    const std::size_t from = sweep.before;
    const std::size_t count = std::min(sweep.lead, recording.measured.size() - from);
    const std::span<const double> part(recording.measured.data() + from, count);
    const std::size_t length = signal::goodLength(count + mark.size());
    const auto heard = signal::transform(part, length);
    auto matched = signal::transform(mark, length);
    for (std::size_t k = 0; k < matched.size(); ++k) {
        matched[k] = heard[k] * std::conj(matched[k]);
    }
    const auto size = signal::envelope(signal::transformBack(matched, length));
    const auto top = static_cast<std::size_t>(
        std::max_element(size.begin(), size.begin() + static_cast<std::ptrdiff_t>(count)) -
        size.begin());
    double place = static_cast<double>(top);
    if (top > 0 && top + 1 < size.size()) {
        const double bend = size[top - 1] - 2.0 * size[top] + size[top + 1];
        place += bend < 0.0 ? 0.5 * (size[top - 1] - size[top + 1]) / bend : 0.0;
    }
    return place / sweep.rate;
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

std::optional<curve::Range>
trustedBand(const Examined& e, const signal::Sweep& sweep, double lowestValid) {
    constexpr double leastRatio = 15.0; // dB: an error bar of 1.4 dB
    const curve::Axis bands =
        curve::within(curve::designAxis(), std::max(sweep.fullFrom(), lowestValid), sweep.fullTo());
    if (bands.empty()) {
        return std::nullopt;
    }
    std::vector<bool> good;
    std::vector<double> levels;
    for (const double f : bands) {
        const auto ratio = e.signalToNoise(f);
        good.push_back(!ratio || *ratio >= leastRatio);
        levels.push_back(e.level(f));
    }
    std::optional<std::size_t> top;
    for (std::size_t i = 0; i < bands.size(); ++i) {
        if (good[i] && (!top || levels[i] > levels[*top])) {
            top = i;
        }
    }
    if (!top) {
        return std::nullopt;
    }
    std::size_t first = *top;
    std::size_t last = *top;
    while (first > 0 && good[first - 1]) {
        --first;
    }
    while (last + 1 < bands.size() && good[last + 1]) {
        ++last;
    }
    return curve::Range{bands[first], bands[last]};
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
                  .dropoutTime = v.dropout ? v.dropout->time : 0.0,
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
                 const std::optional<MicrophoneTable>& microphone,
                 Deconvolved& d) {
    const auto band = trustedBand(e, sweep, window.lowestValid());
    if (band) {
        d.trustedFrom = band->from;
        d.trustedTo = band->to;
    }
    d.frequencies = axisOr(request.frequencies,
                           band ? band->from : sweep.fullFrom(),
                           band ? band->to : sweep.fullTo());
    const auto response = signal::gatedResponse(d.impulse, 0.0, window, d.frequencies);
    const double factor =
        request.fullScalePressure
            ? FullScale{*request.fullScalePressure, *request.fullScaleVoltage}.factor(
                  request.drive) /
                  quantity::referencePressure
            : 1.0;
    double before = 0.0;
    for (std::size_t i = 0; i < d.frequencies.size(); ++i) {
        Complex value = response[i] * factor;
        if (microphone) {
            value /= microphone->at(d.frequencies[i]);
        }
        constexpr double least = 1e-15;
        d.levels.push_back(quantity::decibels(std::max(std::abs(value), least)));
        const double own = std::arg(value);
        before += std::remainder(own - before, 2.0 * std::numbers::pi);
        d.phases.push_back(before);
        d.signalToNoise.push_back(e.signalToNoise(d.frequencies[i]));
    }
}

void putArrival(const DeconvolveRequest& request, const Verdict& v, Deconvolved& d) {
    constexpr double direct = 0.02; // s: the arrival lies in the first of it
    const auto fit = v.has(Fault::noSignal) ? std::nullopt : signal::delayOf(d.impulse, direct);
    if (!fit) {
        return;
    }
    d.delay = fit->delay;
    d.distance = fit->delay * quantity::soundSpeedAt(request.temperature);
    // An inverted reference leaves the levels right and turns the sign over.
    d.polarity = v.has(Fault::referenceInverted)
                     ? "uncertain"
                     : std::string(signal::polarityName(signal::polarityOf(*fit)));
}

void putDistortion(const DeconvolveRequest& request,
                   const Examined& e,
                   const signal::Sweep& sweep,
                   Deconvolved& d) {
    if (request.distortionFrequencies.empty()) {
        return;
    }
    const double latency = e.latency + (e.referenced ? d.delay.value_or(0.0) : 0.0);
    const auto found =
        signal::distortion(e.measured, e.spectra, sweep, latency, request.distortionFrequencies);
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
    std::optional<MicrophoneTable> microphone;
    if (request.calibrationText) {
        YF_TRY(table, readMicrophone(*request.calibrationText, "calibration_file"));
        microphone = std::move(table);
    }
    const Examined e = examine(recording, sweep);
    Deconvolved d = judged(request, e);
    const double silence = static_cast<double>(sweep.after) / sweep.rate;
    const double right = request.right.value_or(std::max(0.5 * silence, 0.01));
    const double shift = sweep.lead > 0 && !e.referenced ? burstZero(recording, sweep) : 0.0;
    d.impulse = signal::impulseOf(e.response,
                                  e.spectra.length,
                                  sweep.rate,
                                  std::max(request.left - shift, 0.02),
                                  std::max(right, silence) + shift);
    d.impulse.timeZero += shift;
    const signal::Gate window{.left = request.left, .right = right, .taper = windowTaper};
    putResponse(request, e, sweep, window, microphone, d);
    putArrival(request, e.verdict, d);
    putDistortion(request, e, sweep, d);
    return d;
}

} // namespace yf::measure
