// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/signal/sweep.h"

#include "core/text/given.h"
#include "core/text/number.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>

namespace yf::signal {

namespace {

constexpr double pi = std::numbers::pi;
constexpr std::array usualRates{44100.0, 48000.0, 88200.0, 96000.0, 176400.0, 192000.0};

double rounded(double x) {
    return std::floor(x + 0.5);
}

std::size_t samplesIn(double seconds, double rate) {
    return static_cast<std::size_t>(rounded(seconds * rate));
}

double startOf(const SweepPlan& plan) {
    return plan.protectAbove ? std::max(plan.start, *plan.protectAbove) : plan.start;
}

double endOf(const SweepPlan& plan) {
    return plan.end.value_or(0.48 * plan.rate);
}

/// Two decimals, upwards: what is named must do.
std::string upwards(double value) {
    return text::printFixed(std::ceil(value * 100.0) / 100.0, 2);
}

double tone(const Sweep& sweep, double t) {
    // e^(t/L) alone would lose digits of the phase late in a long sweep: k·e^(t/L) is split into
    // whole cycles and the rest.
    const double cycles = sweep.cycles * std::exp(t / sweep.rateConstant);
    return std::sin(2.0 * pi * (cycles - std::floor(cycles)));
}

constexpr double burstStart = 2000.0;
constexpr double burstEnd = 16000.0;
constexpr double burstAsked = 0.1;
constexpr double burstFade = 0.01;
constexpr double burstPause = 0.5;

Sweep burstSweep(double rate, double amplitude) {
    Sweep s{.rate = rate, .start = burstStart, .end = burstEnd, .amplitude = amplitude};
    const double ratio = std::log(burstEnd / burstStart);
    s.cycles = static_cast<int>(rounded(burstStart * burstAsked / ratio));
    s.rateConstant = s.cycles / burstStart;
    s.duration = s.rateConstant * ratio;
    s.samples = static_cast<std::size_t>(std::ceil(s.duration * rate));
    s.fadeInSamples = s.fadeOutSamples = samplesIn(burstFade, rate);
    return s;
}

double dB(double gain) {
    return 20.0 * std::log10(std::max(gain, 1e-20));
}

} // namespace

std::optional<Error> check(const SweepPlan& plan) {
    using text::printNumber;
    if (std::ranges::find(usualRates, plan.rate) == usualRates.end()) {
        return Error{"sample_rate_hz",
                     text::given(printNumber(plan.rate)),
                     "must be 44100, 48000, 88200, 96000, 176400 or 192000"};
    }
    const double start = startOf(plan);
    const double end = endOf(plan);
    if (plan.start > plan.rate / 4.0) {
        return Error{"start_hz",
                     text::given(printNumber(plan.start)),
                     say(YF_WORDS("core", "must be 1 to %1"), printNumber(plan.rate / 4.0))};
    }
    if (start > plan.rate / 4.0) {
        return Error{"protect_above_hz",
                     text::given(printNumber(start)),
                     say(YF_WORDS("core", "must be at most %1"), printNumber(plan.rate / 4.0))};
    }
    if (!(end >= 2.0 * start && end < plan.rate / 2.0)) {
        return Error{
            "end_hz",
            text::given(printNumber(end)),
            say(YF_WORDS("core",
                         "must be at least %1 (twice the start) and below %2 (half the rate)"),
                printNumber(2.0 * start),
                printNumber(plan.rate / 2.0))};
    }
    if (plan.level > plan.mostLevel) {
        return Error{"level_db",
                     say(YF_WORDS("core", "%1 is above max_level_db %2 (allowed -80 to %3)"),
                         printNumber(plan.level),
                         printNumber(plan.mostLevel),
                         printNumber(plan.mostLevel)),
                     ""};
    }
    const double ratio = std::log(end / start);
    if (rounded(start * plan.duration / ratio) < 1.0) {
        return Error{
            "duration_s",
            say(YF_WORDS("core", "%1 is too short for a sweep from %2 Hz to %3 Hz (at least %4)"),
                printNumber(plan.duration),
                printNumber(start),
                printNumber(end),
                upwards(0.5 * ratio / start)),
            ""};
    }
    return std::nullopt;
}

double Sweep::timeOf(double frequency) const {
    return rateConstant * std::log(frequency / start);
}

double Sweep::frequencyAt(double time) const {
    return start * std::exp(time / rateConstant);
}

double Sweep::advance(int harmonic) const {
    return rateConstant * std::log(static_cast<double>(harmonic));
}

double Sweep::fullFrom() const {
    return start * std::exp2(fadeIn);
}

double Sweep::fullTo() const {
    return end * std::exp2(-fadeOut);
}

double Sweep::bandWindow(double f) const {
    if (f <= start || f >= end) {
        return 0.0;
    }
    if (f < fullFrom()) {
        return 0.5 - 0.5 * std::cos(pi * std::log(f / start) / std::log(fullFrom() / start));
    }
    if (f > fullTo()) {
        return 0.5 - 0.5 * std::cos(pi * std::log(f / end) / std::log(fullTo() / end));
    }
    return 1.0;
}

Result<Sweep> makeSweep(const SweepPlan& plan) {
    if (auto error = check(plan)) {
        return *error;
    }
    Sweep s{.rate = plan.rate,
            .start = startOf(plan),
            .end = endOf(plan),
            .amplitude = std::pow(10.0, plan.level / 20.0),
            .fadeIn = plan.fadeIn,
            .fadeOut = plan.fadeOut,
            .repeats = plan.repeats};
    const double ratio = std::log(s.end / s.start);
    s.cycles = static_cast<int>(rounded(s.start * plan.duration / ratio));
    s.rateConstant = s.cycles / s.start;
    s.duration = s.rateConstant * ratio;
    s.samples = static_cast<std::size_t>(std::ceil(s.duration * plan.rate));
    const auto fade = [&](double octaves) {
        const double wanted = rounded(plan.rate * s.rateConstant * std::numbers::ln2 * octaves);
        return std::min(static_cast<std::size_t>(wanted), s.samples / 2);
    };
    s.fadeInSamples = fade(plan.fadeIn);
    s.fadeOutSamples = fade(plan.fadeOut);
    s.before = samplesIn(plan.silenceBefore, plan.rate);
    s.after = samplesIn(plan.silenceAfter, plan.rate);
    if (plan.timing == Timing::burst) {
        s.lead = burstSweep(plan.rate, 1.0).samples + samplesIn(burstPause, plan.rate);
    }
    return s;
}

std::vector<double> samplesOf(const Sweep& sweep) {
    std::vector<double> x(sweep.samples);
    for (std::size_t n = 0; n < x.size(); ++n) {
        x[n] = sweep.amplitude * tone(sweep, static_cast<double>(n) / sweep.rate);
    }
    const auto faded = [](std::size_t n, std::size_t length) {
        return 0.5 - 0.5 * std::cos(pi * static_cast<double>(n) / static_cast<double>(length));
    };
    for (std::size_t n = 0; n < sweep.fadeInSamples; ++n) {
        x[n] *= faded(n, sweep.fadeInSamples);
    }
    for (std::size_t n = 0; n < sweep.fadeOutSamples; ++n) {
        x[x.size() - 1 - n] *= faded(n, sweep.fadeOutSamples);
    }
    return x;
}

std::vector<double> burst(double rate, double amplitude) {
    return samplesOf(burstSweep(rate, amplitude));
}

std::vector<double> playSignal(const Sweep& sweep) {
    std::vector<double> play(sweep.total());
    const std::vector<double> one = samplesOf(sweep);
    const std::vector<double> mark =
        sweep.lead > 0 ? burst(sweep.rate, sweep.amplitude) : std::vector<double>{};
    for (int r = 0; r < sweep.repeats; ++r) {
        const auto at = static_cast<std::ptrdiff_t>(sweep.startOf(r));
        std::ranges::copy(one, play.begin() + at);
        std::ranges::copy(mark, play.begin() + at - static_cast<std::ptrdiff_t>(sweep.lead));
    }
    return play;
}

std::complex<double> inverseAt(const Sweep& sweep, double f) {
    const double L = sweep.rateConstant;
    return std::polar(2.0 * std::sqrt(f / L),
                      -2.0 * pi * f * L * (1.0 - std::log(f / sweep.start)) + pi / 4.0);
}

std::optional<Error> check(const SweepRequest& request) {
    return check(request.plan);
}

Result<SweepFacts> describeSweep(const SweepRequest& request) {
    YF_TRY(sweep, makeSweep(request.plan));
    const std::vector<double> one = samplesOf(sweep);
    SweepFacts facts{.start = sweep.start,
                     .end = sweep.end,
                     .duration = sweep.duration,
                     .rateConstant = sweep.rateConstant,
                     .cycles = sweep.cycles,
                     .samples = static_cast<int>(sweep.samples),
                     .period = static_cast<int>(sweep.period()),
                     .total = static_cast<int>(sweep.total()),
                     .totalDuration = static_cast<double>(sweep.total()) / sweep.rate,
                     .fadeInSamples = static_cast<int>(sweep.fadeInSamples),
                     .fadeOutSamples = static_cast<int>(sweep.fadeOutSamples)};
    for (int order = 2; order <= 5; ++order) {
        facts.advances.push_back(sweep.advance(order));
    }
    double peak = 0.0;
    double energy = 0.0;
    for (const double v : one) {
        peak = std::max(peak, std::abs(v));
        energy += v * v;
    }
    facts.peak = dB(peak);
    facts.rms = dB(std::sqrt(energy / static_cast<double>(one.size())));
    if (sweep.start > request.plan.start) {
        facts.warnings.emplace_back("start_raised");
    }
    if (!request.atSamples.empty()) {
        const std::vector<double> play = playSignal(sweep);
        for (std::size_t i = 0; i < request.atSamples.size(); ++i) {
            const double n = request.atSamples[i];
            if (n != std::floor(n) || n >= static_cast<double>(play.size())) {
                return Error{"at_samples[" + std::to_string(i) + "]",
                             text::given(text::printNumber(n)),
                             say(YF_WORDS("core", "must be a whole number, 0 to %1"),
                                 std::to_string(play.size() - 1))};
            }
            facts.values.push_back(play[static_cast<std::size_t>(n)]);
        }
    }
    return facts;
}

} // namespace yf::signal
