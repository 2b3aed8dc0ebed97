// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/measure/inputs.h"

#include "core/signal/wav.h"
#include "core/text/given.h"
#include "core/text/number.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::measure {

using curve::Complex;
using text::printNumber;

std::optional<Error> checkRising(const std::vector<double>& f, const std::string& key) {
    for (std::size_t i = 1; i < f.size(); ++i) {
        if (!(f[i] > f[i - 1])) {
            return Error{key,
                         say(YF_WORDS("core", "entry %1 (%2) is not above entry %3 (%4)"),
                             std::to_string(i + 1),
                             printNumber(f[i]),
                             std::to_string(i),
                             printNumber(f[i - 1])),
                         ""};
        }
    }
    return std::nullopt;
}

std::optional<Error> check(const CurveKeys& keys) {
    const std::size_t count = keys.frequencies.size();
    if (count < 2) {
        return Error{"frequencies_hz", text::given(std::to_string(count)), "must be 2 or more"};
    }
    const auto wrong = [&](const char* key, std::size_t given) {
        return Error{key,
                     say(YF_WORDS("core", "%1 values for %2 entries of frequencies_hz"),
                         std::to_string(given),
                         std::to_string(count)),
                     ""};
    };
    if (keys.levels.size() != count) {
        return wrong("levels_db", keys.levels.size());
    }
    if (keys.phases && keys.phases->size() != count) {
        return wrong("phases_deg", keys.phases->size());
    }
    return checkRising(keys.frequencies, "frequencies_hz");
}

curve::Curve toCurve(const CurveKeys& keys) {
    std::vector<Complex> values;
    values.reserve(keys.levels.size());
    for (std::size_t i = 0; i < keys.levels.size(); ++i) {
        values.push_back(std::polar(std::pow(10.0, keys.levels[i] / 20.0),
                                    keys.phases ? (*keys.phases)[i] : 0.0));
    }
    return {
        keys.frequencies, std::move(values), keys.phases ? curve::Phase::own : curve::Phase::none};
}

CurveKeys toKeys(const curve::Curve& curve) {
    CurveKeys keys{.frequencies = curve.frequencies()};
    constexpr double least = 1e-15;
    std::vector<double> phases;
    for (const Complex& v : curve.values()) {
        keys.levels.push_back(20.0 * std::log10(std::max(std::abs(v), least)));
        phases.push_back(std::arg(v));
    }
    if (curve.phase() != curve::Phase::none) {
        keys.phases = std::move(phases);
    }
    return keys;
}

Result<signal::Impulse> impulseOf(const ImpulseKeys& keys) {
    if (!keys.given()) {
        return Error{"impulse_file", "missing", "must be given, or impulse with sample_rate_hz"};
    }
    if (keys.file && keys.samples) {
        return Error{"impulse", "given beside impulse_file", "must be one of both"};
    }
    signal::Impulse impulse{.timeZero = keys.timeZero};
    const std::string key = keys.file ? "impulse_file" : "impulse";
    if (keys.file) {
        if (!keys.bytes) {
            return Error{
                "impulse_file", say(YF_WORDS("core", "'%1' was not read"), *keys.file), ""};
        }
        YF_TRY(sound, signal::readWav(*keys.bytes, "impulse_file"));
        if (keys.channel > static_cast<int>(sound.channels.size())) {
            return Error{
                "impulse_channel",
                text::given(std::to_string(keys.channel)),
                say(YF_WORDS("core", "must be 1 to %1"), std::to_string(sound.channels.size()))};
        }
        impulse.rate = sound.rate;
        impulse.samples = sound.channels[static_cast<std::size_t>(keys.channel - 1)];
    } else {
        if (!keys.rate) {
            return Error{"sample_rate_hz", "missing", "impulse needs it"};
        }
        impulse.rate = *keys.rate;
        impulse.samples = *keys.samples;
    }
    constexpr std::size_t least = 8;
    if (impulse.samples.size() < least) {
        return Error{key,
                     say(YF_WORDS("core", "%1 samples"), std::to_string(impulse.samples.size())),
                     "must be 8 or more"};
    }
    if (std::ranges::all_of(impulse.samples, [](double v) { return v == 0.0; })) {
        return Error{key, "only zeros", "must hold an impulse response"};
    }
    if (impulse.timeZero > impulse.duration()) {
        return Error{"time_zero_s",
                     text::given(printNumber(impulse.timeZero)),
                     say(YF_WORDS("core", "must lie within the %1 s of the data"),
                         printNumber(impulse.duration()))};
    }
    return impulse;
}

curve::Axis axisOr(const std::vector<double>& asked, double from, double to) {
    return asked.empty() ? curve::within(curve::designAxis(), from, to) : asked;
}

} // namespace yf::measure
