// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/study/arrival.h"

#include "core/curve/interpolate.h"
#include "core/evaluation/neighbours.h"
#include "core/job/lookup.h"
#include "core/quantity/air.h"
#include "core/quantity/level.h"
#include "core/signal/delay.h"
#include "core/speaker/three_takes.h"

#include <algorithm>
#include <cmath>

namespace yf::study {

using curve::Complex;

namespace {

Arrival byCommonReference(const job::Job& job,
                          const job::Driver& lower,
                          const job::Driver& upper,
                          double fx) {
    Arrival arrival{.method = Arrival::Method::common};
    const job::Take* a = job::takeInUse(job, lower, job::TakeKind::response);
    const job::Take* b = job::takeInUse(job, upper, job::TakeKind::response);
    if (a == nullptr || b == nullptr || a->curve->phase() != curve::Phase::common ||
        b->curve->phase() != curve::Phase::common) {
        arrival.missing = YF_WORDS("core", "responses of both with one time reference");
        return arrival;
    }
    // Each about the crossover, on its own side of it: an octave and a half.
    constexpr double reach = 5e-3;
    const auto first = signal::excessDelay(*a->curve, 0.0, reach, curve::Range{fx / 4.0, fx * 1.4});
    const auto second =
        signal::excessDelay(*b->curve, 0.0, reach, curve::Range{fx / 1.4, fx * 4.0});
    if (!first || !second) {
        arrival.missing = YF_WORDS("core", "responses that reach an octave beyond the crossover");
        return arrival;
    }
    arrival.delay = second->delay - first->delay;
    arrival.u = std::hypot(first->u, second->u);
    return arrival;
}

Arrival byThreeTakes(const job::Job& job, const job::Driver& lower, const job::Driver& upper) {
    Arrival arrival{.method = Arrival::Method::threeTakes};
    const job::Take* both = nullptr;
    for (const job::Take& take : job.takes) {
        const job::Recorded& r = take.recorded;
        const bool pair = (r.driver == lower.id && r.also == upper.id) ||
                          (r.driver == upper.id && r.also == lower.id);
        if (take.kind == job::TakeKind::response && pair && r.angle == 0.0) {
            both = &take;
        }
    }
    const job::Take* a = job::takeInUse(job, lower, job::TakeKind::response);
    const job::Take* b = job::takeInUse(job, upper, job::TakeKind::response);
    if (both == nullptr || a == nullptr || b == nullptr) {
        arrival.missing =
            say(YF_WORDS("core", "a take of %1 and %2 together"), lower.name, upper.name);
        return arrival;
    }
    const auto clip = [](const job::Take& t) { return t.curve->trusted(); };
    const double from = std::max({clip(*a).from, clip(*b).from, clip(*both).from});
    const double to = std::min({clip(*a).to, clip(*b).to, clip(*both).to});
    const curve::Axis axis = curve::within(curve::designAxis(), from, to);
    constexpr std::size_t leastPoints = 24;
    if (axis.size() < leastPoints) {
        arrival.missing = YF_WORDS("core", "three takes that share half an octave");
        return arrival;
    }
    const auto own = [&](const job::Take& t) {
        const curve::Curve minimum = curve::withMinimumPhase(*t.curve);
        return *curve::interpolate(minimum, axis);
    };
    const auto first = own(*a);
    const auto second = own(*b);
    const auto sum = curve::levels(*curve::interpolate(*both->curve, axis), 1.0);
    const auto found =
        speaker::delayFrom({.axis = axis, .first = first, .second = second, .sum = sum});
    if (!found) {
        arrival.missing = YF_WORDS("core", "drivers that overlap");
        return arrival;
    }
    arrival.delay = found->best.delay;
    arrival.u = found->sigma;
    arrival.ambiguous = found->ambiguous;
    return arrival;
}

/// Where a driver's centre lies before the front, by its kind: a rule of thumb.
double depthOf(const job::Driver& driver) {
    constexpr double ofCone = -0.2;  // of its diameter
    constexpr double ofDome = 0.002; // m
    return driver.band >= job::Band::high ? ofDome : ofCone * driver.diameter;
}

Arrival byDepth(const job::Driver& lower, const job::Driver& upper) {
    constexpr double unsure = 0.010; // m
    return {.method = Arrival::Method::geometry,
            .delay = (depthOf(lower) - depthOf(upper)) / quantity::soundSpeed,
            .u = unsure / quantity::soundSpeed};
}

/// What the methods' answers ask for.
struct Advice {
    std::string words;
    bool together{}; ///< a take of both would settle it
};

Advice adviceOf(const std::vector<Arrival>& ways, double fx) {
    const Arrival& common = ways[0];
    const Arrival& three = ways[1];
    constexpr double tooMuch = 15.0; // degrees
    const auto degrees = [&](double seconds) { return 360.0 * fx * seconds; };
    if (three.ambiguous) {
        return {YF_WORDS("core",
                         "Two delays explain the sum: repeat the three takes without the network, "
                         "or with the microphone raised by a known height."),
                true};
    }
    if (common.delay && three.delay) {
        const double apart = std::abs(*common.delay - *three.delay);
        if (apart > 2.0 * std::hypot(common.u, three.u)) {
            return {
                YF_WORDS(
                    "core",
                    "Common reference and three takes differ by more than both allow: something "
                    "moved between them, or a level changed; repeat the take of both together."),
                true};
        }
    }
    const Arrival& best = three.delay && (!common.delay || three.u < common.u) ? three : common;
    if (!best.delay) {
        return {YF_WORDS("core",
                         "Only the drivers' depth is known, good to 10 mm: take both with one time "
                         "reference, or each alone and both together."),
                true};
    }
    if (degrees(best.u) > tooMuch) {
        return {YF_WORDS("core",
                         "The delay is not known to 15 degrees at the crossover: take one of them "
                         "turned over as well, or widen the overlap."),
                true};
    }
    return {};
}

} // namespace

std::vector<ArrivalStudy> arrivals(const job::Job& job,
                                   const job::Cabinet& /*cabinet*/,
                                   const evaluation::CabinetResult& result) {
    std::vector<ArrivalStudy> all;
    for (const evaluation::Neighbourhood& n : evaluation::neighbourhoods(job, result)) {
        const job::Driver* lower = job::findDriver(job, result.ways[n.lower].driver);
        const job::Driver* upper = job::findDriver(job, result.ways[n.upper].driver);
        if (!n.met) {
            continue;
        }
        ArrivalStudy study{.lower = n.lower, .upper = n.upper, .fx = n.met->fx};
        study.ways = {byCommonReference(job, *lower, *upper, study.fx),
                      byThreeTakes(job, *lower, *upper),
                      byDepth(*lower, *upper)};
        const Advice advice = adviceOf(study.ways, study.fx);
        study.advice = advice.words;
        if (advice.together || !study.ways[1].delay) {
            // What is missing first: one alone, then the other, then both.
            const auto has = [&](const job::Driver& driver) {
                return job::takeInUse(job, driver, job::TakeKind::response) != nullptr;
            };
            study.wanted = !has(*lower)   ? TakeWanted{lower->id, {}}
                           : !has(*upper) ? TakeWanted{upper->id, {}}
                                          : TakeWanted{lower->id, upper->id};
        }
        all.push_back(std::move(study));
    }
    return all;
}

std::optional<SideAdvice> sideAdvice(const job::Job& job,
                                     const job::Cabinet& cabinet,
                                     const evaluation::CabinetResult& result) {
    const bool aside = std::ranges::any_of(
        cabinet.mounts, [](const job::Mount& m) { return std::abs(m.x) > 0.005; });
    const auto pairs = evaluation::neighbourhoods(job, result);
    constexpr std::size_t stride = 3;
    auto directions = evaluation::directionsOf(job, cabinet, result, stride);
    if (!aside || pairs.empty() || !pairs.back().met || !directions) {
        return std::nullopt;
    }
    const double fx = pairs.back().met->fx;
    const auto& axis = directions->radiators.axis;
    constexpr double usualAngle = 20.0; // degrees, of a speaker that is not turned to the seat
    constexpr double wallAngle = 55.0;
    const double listen =
        cabinet.seat.aside != 0.0 ? std::abs(cabinet.seat.aside) : usualAngle * quantity::degree;
    // The highest driver's side: inside means that it lies towards the listener.
    const auto order = evaluation::waysFromBelow(job, result);
    const double side = directions->radiators.of[order.back()].place.x >= 0.0 ? 1.0 : -1.0;
    const auto at = [&](double angle) {
        const speaker::Direction where{angle, 0.0};
        return speaker::sums(directions->radiators, std::span(&where, 1), cabinet.seat.distance)[0];
    };

    struct Heard {
        double rms{};
        double mean{};
    };

    const auto judge = [&](const std::vector<Complex>& p) {
        double sum = 0.0;
        double squares = 0.0;
        double count = 0.0;
        for (std::size_t k = 0; k < axis.size(); ++k) {
            if (axis[k] >= fx / 2.0 && axis[k] <= 2.0 * fx) {
                const double level = quantity::decibels(std::max(std::abs(p[k]), 1e-15));
                sum += level;
                squares += level * level;
                count += 1.0;
            }
        }
        const double mean = sum / count;
        return Heard{std::sqrt(std::max(0.0, squares / count - mean * mean)), mean};
    };
    const double wall = wallAngle * quantity::degree;
    const Heard inside = judge(at(side * listen));
    const Heard outside = judge(at(-side * listen));
    SideAdvice advice{.inside = inside.rms,
                      .outside = outside.rms,
                      .wallInside = judge(at(-side * wall)).mean - inside.mean,
                      .wallOutside = judge(at(side * wall)).mean - outside.mean};
    constexpr double alike = 0.2; // dB
    advice.preferInside = std::abs(inside.rms - outside.rms) > alike
                              ? inside.rms < outside.rms
                              : advice.wallInside <= advice.wallOutside;
    return advice;
}

} // namespace yf::study
