// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/measure/decay.h"

#include "core/signal/spectrum.h"
#include "core/text/given.h"
#include "core/text/number.h"

#include <algorithm>
#include <cmath>

namespace yf::measure {

using text::Value;

std::optional<Error> check(const DecayRequest& request) {
    return checkRising(request.frequencies, "frequencies_hz");
}

Result<Decayed> decay(const DecayRequest& request) {
    YF_TRY(impulse, impulseOf(request.impulse));
    Decayed result{.kind = request.kind};
    const double rest = impulse.duration() - impulse.timeZero - signal::onsetTime(impulse);
    const double most = 0.5 * impulse.rate;
    if (!request.frequencies.empty() && request.frequencies.back() >= most) {
        return Error{
            "frequencies_hz",
            text::given(text::printNumber(request.frequencies.back())),
            say(YF_WORDS("core", "must be below %1 (half the rate)"), text::printNumber(most))};
    }
    if (request.gate && *request.gate > rest) {
        return Error{"gate_s",
                     text::given(text::printNumber(*request.gate)),
                     say(YF_WORDS("core", "the data end %1 s after the arrival"),
                         text::printSignificant(rest, 4))};
    }
    switch (request.kind) {
    case DecayKind::csd: {
        const double lowest = std::max(20.0, 1.0 / request.cumulative.length);
        result.image = signal::cumulativeDecay(
            impulse,
            request.cumulative,
            axisOr(request.frequencies, lowest, std::min(20000.0, 0.45 * impulse.rate)));
        signal::seal(result.image, request.reference, request.range, false);
        break;
    }
    case DecayKind::burst:
        result.image = signal::burstDecay(
            impulse,
            request.burst,
            axisOr(request.frequencies, 100.0, std::min(20000.0, 0.45 * impulse.rate)));
        signal::seal(result.image, request.reference, request.range, true);
        break;
    case DecayKind::energy: {
        const auto size = signal::envelope(impulse.samples);
        const double top = std::ranges::max(size);
        for (std::size_t n = 0; n < size.size(); ++n) {
            constexpr double least = 1e-10;
            result.values.push_back(20.0 * std::log10(std::max(size[n] / top, least)));
        }
        break;
    }
    case DecayKind::step:
        result.values = signal::stepResponse(impulse);
        break;
    case DecayKind::resonances:
        result.modes = signal::ringingModes(impulse, request.gate.value_or(rest), request.minimumQ);
        break;
    }
    for (std::size_t n = 0; n < result.values.size(); ++n) {
        result.times.push_back(static_cast<double>(n) / impulse.rate - impulse.timeZero);
    }
    return result;
}

Value Decayed::write() const {
    Value::Object out;
    if (kind == DecayKind::energy || kind == DecayKind::step) {
        out.push_back({"times_s", times});
        out.push_back({kind == DecayKind::energy ? "levels_db" : "values", values});
        return out;
    }
    if (kind == DecayKind::resonances) {
        std::vector<double> f;
        std::vector<double> Q;
        std::vector<double> level;
        std::vector<double> rate;
        for (const auto& mode : modes) {
            f.push_back(mode.f);
            Q.push_back(mode.Q);
            level.push_back(mode.level);
            rate.push_back(mode.decayRate() * 1e-3);
        }
        out.push_back({"resonance_frequencies_hz", f});
        out.push_back({"resonance_qs", Q});
        out.push_back({"resonance_levels_db", level});
        out.push_back({"resonance_decays_db_per_ms", rate});
        return out;
    }
    out.push_back({kind == DecayKind::burst ? "periods" : "times_s", image.times});
    out.push_back({"frequencies_hz", image.frequencies});
    Value::List rows;
    for (const auto& row : image.levels) {
        rows.emplace_back(row);
    }
    out.push_back({"levels_db", rows});
    out.push_back({"reference_level_db", image.reference});
    return out;
}

} // namespace yf::measure
