// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/speaker/align.h"

#include "core/curve/interpolate.h"
#include "core/quantity/air.h"
#include "core/quantity/level.h"
#include "core/text/given.h"
#include "core/text/number.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::speaker {

namespace {

constexpr double pi = std::numbers::pi;

/// All curves on one fine axis over what they share.
struct Shared {
    Axis axis;
    std::vector<Complex> first;
    std::vector<Complex> second;
    std::vector<double> sum;
    std::vector<double> reversed;
};

Result<Shared> sharedOf(const AlignRequest& r) {
    curve::Range held{0.0, 1e9};
    const auto narrow = [&](const measure::CurveKeys& keys) {
        held.from = std::max(held.from, keys.frequencies.front());
        held.to = std::min(held.to, keys.frequencies.back());
    };
    narrow(r.first);
    narrow(r.second);
    for (const auto* extra : {&r.sum, &r.reversed}) {
        if (*extra) {
            narrow(**extra);
        }
    }
    Shared s{.axis = curve::within(curve::designAxis(), held.from, held.to)};
    constexpr std::size_t leastPoints = 8;
    if (s.axis.size() < leastPoints) {
        return Error{"second",
                     YF_WORDS("core", "shares no range with first"),
                     YF_WORDS("core", "curves must overlap in frequency")};
    }
    YF_TRY(first, curve::interpolate(measure::toCurve(r.first), s.axis));
    YF_TRY(second, curve::interpolate(measure::toCurve(r.second), s.axis));
    s.first = std::move(first);
    s.second = std::move(second);
    const auto levels = [&](const measure::CurveKeys& keys) -> Result<std::vector<double>> {
        measure::CurveKeys bare = keys;
        bare.phases.reset();
        YF_TRY(values, curve::interpolate(measure::toCurve(bare), s.axis));
        return curve::levels(values, 1.0);
    };
    if (r.sum) {
        YF_TRY(sum, levels(*r.sum));
        s.sum = std::move(sum);
    }
    if (r.reversed) {
        YF_TRY(reversed, levels(*r.reversed));
        s.reversed = std::move(reversed);
    }
    return s;
}

Complex valueAt(const Axis& axis, const std::vector<Complex>& values, double f) {
    const auto found = curve::interpolate(curve::Curve(axis, values, curve::Phase::own), {f});
    return found ? found->front() : Complex{};
}

std::vector<Complex> added(const Shared& s, double gain, double delay) {
    std::vector<Complex> sum(s.axis.size());
    for (std::size_t k = 0; k < sum.size(); ++k) {
        sum[k] = s.first[k] + gain * s.second[k] * std::polar(1.0, -2.0 * pi * s.axis[k] * delay);
    }
    return sum;
}

std::string micro(double seconds) {
    return text::printFixed(std::abs(seconds) * 1e6, 0) + " µs";
}

/// The extra delay of one of them, ±2/fx, that adds most to the octave, with a polarity.
Change bestDelay(const Shared& s, const std::vector<Complex>& now, double fx, bool flip) {
    constexpr int steps = 160;
    Change best{.words = {}, .gain = -1e9, .flip = flip, .delay = 0.0};
    for (int i = -steps; i <= steps; ++i) {
        const double delay = 2.0 / fx * i / steps;
        const double gain = octaveGain(s.axis, now, added(s, flip ? -1.0 : 1.0, delay), fx);
        // Of equals the least delay: wood is easier moved a little.
        if (gain > best.gain + 0.01 ||
            (gain > best.gain - 0.01 && std::abs(delay) < std::abs(best.delay))) {
            best.gain = gain;
            best.delay = delay;
        }
    }
    best.words = std::string(flip ? "flip and delay " : "delay ") +
                 (best.delay >= 0.0 ? "the second by " : "the first by ") + micro(best.delay);
    return best;
}

std::vector<Change> adviceOf(const Shared& s, double fx) {
    const auto now = added(s, 1.0, 0.0);
    const auto gainOf = [&](double gain) {
        return octaveGain(s.axis, now, added(s, gain, 0.0), fx);
    };
    std::vector<Change> all;
    all.push_back({.words = "flip", .gain = gainOf(-1.0), .flip = true});
    all.push_back(bestDelay(s, now, fx, false));
    all.push_back(bestDelay(s, now, fx, true));
    all.push_back({.words = "second 3 dB up", .gain = gainOf(quantity::gain(3.0))});
    all.push_back({.words = "second 3 dB down", .gain = gainOf(quantity::gain(-3.0))});
    std::ranges::stable_sort(all, std::ranges::greater{}, &Change::gain);
    return all;
}

} // namespace

double octaveGain(const Axis& axis,
                  std::span<const Complex> before,
                  std::span<const Complex> after,
                  double fx) {
    double was = 0.0;
    double is = 0.0;
    for (std::size_t k = 1; k < axis.size(); ++k) {
        if (axis[k] >= fx / std::numbers::sqrt2 && axis[k] <= fx * std::numbers::sqrt2) {
            const double w = std::log(axis[k] / axis[k - 1]);
            was += w * std::norm(before[k]);
            is += w * std::norm(after[k]);
        }
    }
    constexpr double most = 100.0;
    if (!(was > 0.0) || !(is > 0.0)) {
        return is > 0.0 ? most : was > 0.0 ? -most : 0.0;
    }
    return std::clamp(10.0 * std::log10(is / was), -most, most);
}

std::optional<Error> check(const AlignRequest& r) {
    if (!r.first.hasPhase() || !r.second.hasPhase()) {
        return Error{r.first.hasPhase() ? "second.phases_deg" : "first.phases_deg",
                     "missing",
                     YF_WORDS("core", "must be given: curves that are added need phases")};
    }
    if (r.timing == Timing::own && !r.sum) {
        return Error{"sum",
                     "missing",
                     YF_WORDS("core", "must be given for timing own: levels of both together")};
    }
    if (r.delays.size() != 2 || !(r.delays[0] < r.delays[1])) {
        return Error{"delay_range_s",
                     YF_WORDS("core", "does not rise"),
                     YF_WORDS("core", "must be two delays, the earlier first")};
    }
    if (r.band && (r.band->size() != 2 || !((*r.band)[0] < (*r.band)[1]))) {
        return Error{"band_hz",
                     YF_WORDS("core", "does not rise"),
                     YF_WORDS("core", "must be two frequencies, the lower first")};
    }
    return std::nullopt;
}

Result<AlignAnswer> align(const AlignRequest& r) {
    YF_TRY(shared, sharedOf(r));
    AlignAnswer answer;
    const auto noOverlap = [&] {
        return Error{"second",
                     say(YF_WORDS("core", "%1 dB apart at the nearest"),
                         text::printFixed(apart(shared.first, shared.second) + 12.0, 1)),
                     YF_WORDS("core", "must come within 12 dB of first over a third of an octave")};
    };
    if (r.timing == Timing::own) {
        const auto found =
            delayFrom({.axis = shared.axis,
                       .first = shared.first,
                       .second = shared.second,
                       .sum = shared.sum,
                       .reversed = shared.reversed,
                       .band = r.band ? std::optional(curve::Range{r.band->front(), r.band->back()})
                                      : std::nullopt,
                       .earliest = r.delays[0],
                       .latest = r.delays[1],
                       .levelSigma = r.levelSigma});
        if (!found) {
            return noOverlap();
        }
        answer.found = found;
        for (std::size_t k = 0; k < shared.axis.size(); ++k) {
            shared.second[k] *= std::polar(static_cast<double>(found->best.polarity),
                                           -2.0 * pi * shared.axis[k] * found->best.delay);
        }
    }
    const auto crossing = crossover({shared.axis, shared.first, shared.second});
    if (!r.fx && !crossing) {
        return apart(shared.first, shared.second) > 0.0
                   ? noOverlap()
                   : Error{"fx_hz",
                           YF_WORDS("core",
                                    "missing, and the second never takes over from the first"),
                           YF_WORDS("core", "must be given")};
    }
    answer.fx = r.fx.value_or(crossing ? crossing->fx : 0.0);
    if (answer.fx < shared.axis.front() || answer.fx > shared.axis.back()) {
        return Error{"fx_hz",
                     text::given(text::printNumber(answer.fx)),
                     YF_WORDS("core", "must lie where all curves have data")};
    }
    const Complex a = valueAt(shared.axis, shared.first, answer.fx);
    const Complex b = valueAt(shared.axis, shared.second, answer.fx);
    answer.difference = std::arg(b / a);
    const auto decibels = [](double x) { return quantity::decibels(std::max(x, 1e-15)); };
    answer.loss = decibels(std::abs(a) + std::abs(b)) - decibels(std::abs(a + b));
    answer.flipGainFx = decibels(std::abs(a - b)) - decibels(std::abs(a + b));
    answer.flipGain =
        octaveGain(shared.axis, added(shared, 1.0, 0.0), added(shared, -1.0, 0.0), answer.fx);
    answer.recommend = answer.flipGain >= flipThreshold    ? "flip"
                       : answer.flipGain <= -flipThreshold ? "keep"
                                                           : "undecided";
    answer.advice = adviceOf(shared, answer.fx);
    return answer;
}

text::Value AlignAnswer::write() const {
    using text::Value;
    Value::Object object;
    if (found) {
        object = {{"polarity", found->best.polarity},
                  {"delay_s", found->best.delay},
                  {"delay_sigma_s", found->sigma},
                  {"offset_m", quantity::soundSpeed * found->best.delay},
                  {"residual_db", found->best.residual},
                  {"level_error_db", found->levelError},
                  {"triangle_violation_db", found->triangleViolation},
                  {"ambiguous", found->ambiguous}};
        Value::List others;
        for (const DelaySolution& other : found->alternatives) {
            others.emplace_back(Value::Object{{"polarity", other.polarity},
                                              {"delay_s", other.delay},
                                              {"residual_db", other.residual}});
        }
        object.push_back({"alternatives", std::move(others)});
    }
    object.push_back({"fx_hz", fx});
    object.push_back({"phase_difference_deg", difference / quantity::degree});
    object.push_back({"loss_db", loss});
    object.push_back({"flip_gain_db", flipGain});
    object.push_back({"flip_gain_fx_db", flipGainFx});
    object.push_back({"recommend", recommend});
    Value::List list;
    for (const Change& change : advice) {
        list.emplace_back(Value::Object{{"change", change.words}, {"gain_db", change.gain}});
    }
    object.push_back({"advice", std::move(list)});
    return object;
}

} // namespace yf::speaker
