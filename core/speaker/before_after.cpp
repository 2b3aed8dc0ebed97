// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/speaker/before_after.h"

#include "core/curve/interpolate.h"
#include "core/quantity/level.h"
#include "core/text/fields.h"

#include <algorithm>
#include <cmath>

namespace yf::speaker {

namespace {

/// What one condition of both says; nothing where they agree or neither states it.
class Judge {
public:
    explicit Judge(std::vector<Words>& whyNot) : whyNot_(whyNot) {}

    template <class T, class Alike>
    void ask(const char* what, const std::optional<T>& a, const std::optional<T>& b, Alike alike) {
        if (a.has_value() != b.has_value()) {
            whyNot_.push_back(a ? say(YF_WORDS("core", "%1: not known for after"), what)
                                : say(YF_WORDS("core", "%1: not known for before"), what));
        } else if (a && !alike(*a, *b)) {
            whyNot_.push_back(
                say(YF_WORDS("core", "%1: %2 before, %3 after"), what, text(*a), text(*b)));
        }
    }

private:
    static std::string text(double v) { return text::printSignificant(v, 4); }

    static std::string text(int v) { return std::to_string(v); }

    static std::string text(const std::string& v) { return "'" + v + "'"; }

    std::vector<Words>& whyNot_;
};

bool alikeWithin(double a, double b, double share) {
    return std::abs(a - b) <= share * std::max(std::abs(a), std::abs(b)) + 1e-12;
}

void judgeConditions(const Conditions& a, const Conditions& b, StatesAnswer& answer) {
    Judge judge(answer.whyNot);
    judge.ask("distance", a.distance, b.distance, [](double x, double y) {
        return alikeWithin(x, y, 0.02);
    });
    judge.ask("height", a.height, b.height, [](double x, double y) {
        return std::abs(x - y) <= 0.02 + 1e-12;
    });
    judge.ask("angle", a.angle, b.angle, [](double x, double y) {
        return std::abs(x - y) <= 2.0 * quantity::degree + 1e-12;
    });
    judge.ask("gate", a.gate, b.gate, [](double x, double y) { return alikeWithin(x, y, 0.1); });
    judge.ask("smoothing", a.smoothing, b.smoothing, [](int x, int y) { return x == y; });
    judge.ask("temperature", a.temperature, b.temperature, [](double x, double y) {
        return std::abs(x - y) <= 5.0 + 1e-12;
    });
    const auto same = [](const std::string& x, const std::string& y) { return x == y; };
    judge.ask("microphone", a.microphone, b.microphone, same);
    judge.ask("space", a.space, b.space, same);
    judge.ask("drive", a.drive, b.drive, [&](double x, double y) {
        constexpr double bearable = 0.2;
        const double off = quantity::decibels(x / y);
        if (std::abs(off) > bearable) {
            answer.driveCorrection = off;
        }
        return true; // put right, and said
    });
}

double widthAt(const curve::Axis& axis, std::size_t k) {
    const std::size_t before = k == 0 ? 0 : k - 1;
    const std::size_t after = std::min(k + 1, axis.size() - 1);
    return 0.5 * std::log(axis[after] / axis[before]);
}

} // namespace

std::optional<Error> check(const StateKeys& keys) {
    return check(keys.curve);
}

std::optional<Error> check(const StatesRequest& r) {
    return r.band.size() == 2 && r.band[0] < r.band[1]
               ? std::nullopt
               : std::optional(
                     Error{"band_hz", "does not rise", "must be two frequencies, the lower first"});
}

Result<StatesAnswer> compareStates(const StatesRequest& r) {
    const auto& a = r.before.curve;
    const auto& b = r.after.curve;
    const double from = std::max({r.band[0], a.frequencies.front(), b.frequencies.front()});
    const double to = std::min({r.band[1], a.frequencies.back(), b.frequencies.back()});
    const curve::Axis axis = curve::within(curve::designAxis(), from, to);
    constexpr std::size_t leastPoints = 3;
    if (axis.size() < leastPoints) {
        return Error{"band_hz", "both curves hold too little of it", "must lie within both"};
    }
    StatesAnswer answer;
    judgeConditions(r.before.conditions.value_or(Conditions{}),
                    r.after.conditions.value_or(Conditions{}),
                    answer);
    answer.comparable = answer.whyNot.empty();
    const auto levels = [&](const measure::CurveKeys& keys) -> Result<std::vector<double>> {
        measure::CurveKeys bare = keys;
        bare.phases.reset();
        YF_TRY(values, curve::interpolate(measure::toCurve(bare), axis));
        return curve::levels(values, 1.0);
    };
    YF_TRY(before, levels(a));
    YF_TRY(after, levels(b));
    const auto mean = [&](auto&& value) {
        double sum = 0.0;
        double width = 0.0;
        for (std::size_t k = 0; k < axis.size(); ++k) {
            sum += widthAt(axis, k) * value(k);
            width += widthAt(axis, k);
        }
        return sum / width;
    };
    const auto difference = [&](std::size_t k) {
        return after[k] + answer.driveCorrection - before[k];
    };
    answer.levelDifference = mean(difference);
    const auto shape = [&](std::size_t k) { return difference(k) - answer.levelDifference; };
    answer.shapeRms = std::sqrt(mean([&](std::size_t k) { return shape(k) * shape(k); }));
    for (std::size_t k = 0; k < axis.size(); ++k) {
        if (std::abs(shape(k)) > std::abs(answer.shapeMax)) {
            answer.shapeMax = shape(k);
            answer.shapeMaxAt = axis[k];
        }
    }
    answer.shapeMaxAt = answer.shapeMaxAt > 0.0 ? answer.shapeMaxAt : axis.front();
    answer.withinOne = mean([&](std::size_t k) { return std::abs(shape(k)) <= 1.0 ? 1.0 : 0.0; });
    const auto flatness = [&](const std::vector<double>& level) {
        const double middle = mean([&](std::size_t k) { return level[k]; });
        return std::sqrt(
            mean([&](std::size_t k) { return (level[k] - middle) * (level[k] - middle); }));
    };
    answer.flatnessBefore = flatness(before);
    answer.flatnessAfter = flatness(after);
    return answer;
}

} // namespace yf::speaker
