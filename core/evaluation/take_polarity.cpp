// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/evaluation/take_polarity.h"

#include "core/base/words.h"
#include "core/curve/interpolate.h"
#include "core/job/lookup.h"
#include "core/speaker/crossover.h"

#include <algorithm>
#include <cmath>

namespace yf::evaluation {

namespace {

AlikeByTakes alike(const job::Take* one, const job::Take* other, const char* missing) {
    if (one == nullptr || other == nullptr) {
        return {.found = {}, .missing = missing};
    }
    AlikeByTakes told{.found = speaker::relativePolarity(*one->curve, *other->curve),
                      .missing = {}};
    if (!told.found) {
        told.missing =
            YF_WORDS("core", "takes with phase over two octaves, alike but for their delay");
    }
    return told;
}

} // namespace

AlikeByTakes alikeByTakes(const job::Job& job, const job::Driver& one, const job::Driver& other) {
    return alike(job::takeInUse(job, one, job::TakeKind::response),
                 job::takeInUse(job, other, job::TakeKind::response),
                 YF_WORDS("core", "a response of each"));
}

AlikeByTakes alikeByTakes(const job::Job& job, const job::Cabinet& one, const job::Cabinet& other) {
    return alike(job::wholeTake(job, one),
                 job::wholeTake(job, other),
                 YF_WORDS("core", "a take of each cabinet as a whole, on its axis"));
}

StackByTakes stackByTakes(const job::Job& job, const job::Cabinet& one, const job::Cabinet& other) {
    StackByTakes told{.lower = one.id, .upper = other.id};
    const job::Take* a = job::wholeTake(job, one);
    const job::Take* b = job::wholeTake(job, other);
    constexpr double sameDistance = 0.02; // share
    const bool comparable = a != nullptr && b != nullptr &&
                            a->curve->phase() == curve::Phase::common &&
                            b->curve->phase() == curve::Phase::common &&
                            std::abs(a->distance - b->distance) <= sameDistance * a->distance;
    told.missing =
        comparable ? ""
                   : YF_WORDS("core",
                              "a take of each as a whole, with one time reference, the microphone "
                              "staying where it is");
    if (!comparable) {
        return told;
    }
    const curve::Axis axis =
        curve::within(curve::designAxis(),
                      std::max(a->curve->trusted().from, b->curve->trusted().from),
                      std::min(a->curve->trusted().to, b->curve->trusted().to));
    const auto pa = curve::interpolate(*a->curve, axis);
    const auto pb = curve::interpolate(*b->curve, axis);
    // Who is the lower one shows below: tried both ways round.
    auto met = pa && pb && axis.size() > 1 ? speaker::crossover({axis, *pa, *pb}) : std::nullopt;
    if (!met && pa && pb && axis.size() > 1) {
        met = speaker::crossover({axis, *pb, *pa});
        std::swap(told.lower, told.upper);
    }
    if (!met) {
        told.missing = YF_WORDS("core", "two that hand over: their levels never meet");
        return told;
    }
    told.fx = met->fx;
    told.flipGain = met->flipGain;
    return told;
}

} // namespace yf::evaluation
