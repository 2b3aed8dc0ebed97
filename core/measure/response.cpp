// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/measure/response.h"

#include "core/quantity/level.h"
#include "core/signal/spectrum.h"

#include <algorithm>
#include <cmath>
#include <numbers>
#include <span>

namespace yf::measure {

using curve::Complex;

namespace {

/// Arrival of the timing burst, s after its own nominal start: as late as the sweep would be
/// from the loudspeaker that played the burst.
double
burstZero(const signal::Recording& recording, const signal::Sweep& sweep, std::ptrdiff_t offset) {
    const std::vector<double> mark = signal::burst(sweep.rate, 1.0);
    const auto begins = static_cast<std::ptrdiff_t>(sweep.before) + offset;
    const std::size_t from = std::min(static_cast<std::size_t>(std::max<std::ptrdiff_t>(begins, 0)),
                                      recording.measured.size());
    const std::size_t count = std::min(sweep.lead, recording.measured.size() - from);
    if (count == 0) {
        return 0.0;
    }
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

ImpulseReading readImpulse(const signal::Impulse& impulse, const GateWish& wish) {
    ImpulseReading r;
    r.delay = signal::delayOf(impulse, signal::directSound);
    r.arrival = r.delay ? r.delay->delay : signal::peakTime(impulse);
    r.rest = impulse.duration() - impulse.timeZero - r.arrival;
    r.reflection = signal::firstReflection(impulse, r.arrival);
    constexpr double longest = 0.5;   // s
    constexpr double shortest = 3e-4; // s
    const auto held = [&](double right) {
        return std::clamp(right, shortest, std::max(r.rest, shortest));
    };
    r.beforeReflection = signal::gateBefore(r.reflection, r.rest);
    r.beforeReflection.right = held(r.beforeReflection.right);
    r.gate = wish.echoes == Echoes::endGate ? r.beforeReflection
                                            : signal::Gate{.right = std::min(r.rest, longest)};
    r.gate.left = wish.left;
    r.gate.taper = wish.taper;
    r.gate.right = held(wish.right.value_or(r.gate.right));
    return r;
}

curve::Axis gatedAxis(const signal::Gate& gate, double rate, curve::Range limits) {
    return curve::within(curve::designAxis(),
                         std::max(limits.from, gate.lowestValid() / 2.0),
                         std::min(limits.to, 0.45 * rate));
}

double unitFactor(std::optional<double> pressure, std::optional<double> voltage, double drive) {
    return pressure && voltage ? FullScale{*pressure, *voltage}.factor(drive) : 1.0;
}

void Corrections::apply(const curve::Axis& frequencies, std::vector<Complex>& response) const {
    for (std::size_t i = 0; i < response.size(); ++i) {
        if (microphone) {
            response[i] /= microphone->at(frequencies[i]);
        }
        if (card) {
            response[i] /= card->at(frequencies[i]);
        }
    }
}

Result<Corrections> readCorrections(const CorrectionTexts& texts) {
    Corrections c;
    if (!texts.microphone.empty()) {
        YF_TRY(table, readMicrophone(texts.microphone, texts.microphoneKey));
        c.microphone = std::move(table);
    }
    if (!texts.card.empty()) {
        YF_TRY(table, readMicrophone(texts.card, texts.cardKey));
        c.card = std::move(table);
    }
    return c;
}

signal::Impulse impulseOf(const Examined& e,
                          const signal::Recording& recording,
                          const signal::Sweep& sweep,
                          double before,
                          double after) {
    const bool byBurst = sweep.lead > 0 && !referenceSetsTime(e);
    const double shift = byBurst ? burstZero(recording, sweep, e.offset) : 0.0;
    constexpr double least = 0.02; // s: the band's lower edge rings before time zero
    signal::Impulse impulse = signal::impulseOf(
        e.response, e.spectra.length, sweep.rate, std::max(before - shift, least), after + shift);
    impulse.timeZero += shift;
    // Only where nothing but the layout sets the time does an answer's place count.
    impulse.timeZero -= byBurst || referenceSetsTime(e) ? 0.0 : e.placed();
    return impulse;
}

bool referenceSetsTime(const Examined& e) {
    return e.referenced && !e.verdict.has(Fault::referenceMissing);
}

signal::Polarity polarityOf(const Verdict& verdict, const std::optional<signal::DelayFit>& fit) {
    if (!fit || verdict.has(Fault::noSignal) || verdict.has(Fault::referenceInverted)) {
        return signal::Polarity::uncertain;
    }
    return signal::polarityOf(*fit);
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

signal::Distortion distortionOf(const Examined& e,
                                const signal::Sweep& sweep,
                                double arrival,
                                const curve::Axis& frequencies) {
    // With a reference the latency is its own, and the flight comes on top.
    const double whole = e.latency + (referenceSetsTime(e) ? arrival : 0.0);
    return signal::distortion(e.measured, e.spectra, sweep, whole, frequencies);
}

LevelsAndPhases levelsAndPhases(const std::vector<Complex>& response) {
    LevelsAndPhases out;
    double before = 0.0;
    for (const Complex& v : response) {
        constexpr double least = 1e-15;
        out.levels.push_back(quantity::decibels(std::max(std::abs(v), least)));
        before += std::remainder(std::arg(v) - before, 2.0 * std::numbers::pi);
        out.phases.push_back(before);
    }
    return out;
}

} // namespace yf::measure
