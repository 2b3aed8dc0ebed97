// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/take/polar.h"

#include "core/curve/interpolate.h"
#include "core/job/lookup.h"
#include "core/quantity/level.h"
#include "core/take/make.h"

#include <algorithm>
#include <cmath>

namespace yf::take {

Result<PolarSet> polarSetOf(const job::Job& job,
                            const std::string& cabinet,
                            const std::string& driver,
                            measure::Fill fill) {
    std::vector<const job::Take*> takes;
    PolarSet set;
    for (const job::Take& take : job.takes) {
        const job::Recorded& r = take.recorded;
        const job::TakeAbout about = job::aboutOf(job, take);
        const bool here = about.driver == driver && (!driver.empty() || about.cabinet == cabinet);
        if (!here || take.kind != job::TakeKind::response || r.place != job::MicPlace::farField ||
            !r.also.empty()) {
            continue;
        }
        const auto same = std::ranges::find_if(takes, [&](const job::Take* other) {
            // Straight ahead and straight behind belong to both planes.
            const bool both = r.angle == 0.0 || std::abs(r.angle) == 180.0;
            return other->recorded.angle == r.angle && (both || other->recorded.plane == r.plane);
        });
        if (same != takes.end()) {
            set.older.push_back((*same)->id);
            *same = &take;
        } else {
            takes.push_back(&take);
        }
        set.simulated = set.simulated || r.simulated;
    }
    constexpr std::size_t least = 2;
    if (takes.size() < least) {
        return Error{
            YF_WORDS("core", "angles"),
            takes.empty() ? YF_WORDS("core", "no take yet") : YF_WORDS("core", "only one take"),
            YF_WORDS("core", "record the response on axis and at angles, or open a set of files")};
    }
    if (std::ranges::none_of(takes, [](const job::Take* t) { return t->recorded.angle == 0.0; })) {
        return Error{YF_WORDS("core", "angles"),
                     YF_WORDS("core", "none on the axis"),
                     YF_WORDS("core", "record the response on axis as well")};
    }
    double from = 0.0;
    double to = 1e9;
    for (const job::Take* take : takes) {
        from = std::max(from, take->curve->trusted().from);
        to = std::min(to, take->curve->trusted().to);
    }
    set.request.frequencies = curve::within(curve::designAxis(), from, to);
    if (set.request.frequencies.size() < least) {
        return Error{YF_WORDS("core", "angles"),
                     YF_WORDS("core", "no frequency that all takes hold"),
                     YF_WORDS("core", "take them with one gate")};
    }
    set.request.fill = fill;
    for (const job::Take* take : takes) {
        YF_TRY(values, curve::interpolate(*take->curve, set.request.frequencies));
        measure::PolarCurve curve{take->recorded.plane, take->recorded.angle, {}};
        for (const curve::Complex& v : values) {
            curve.levels.push_back(quantity::decibels(std::abs(v) / quantity::referencePressure));
        }
        set.request.curves.push_back(std::move(curve));
        set.takes.push_back(take->id);
    }
    return set;
}

} // namespace yf::take
