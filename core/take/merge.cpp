// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/take/merge.h"

#include "core/take/make.h"
#include "core/text/number.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::take {

namespace {

Result<const job::Take*>
takeAt(const job::Job& job, const std::string& id, job::MicPlace place, const std::string& what) {
    const job::Take* take = job::findTake(job, id);
    if (take == nullptr) {
        return Error{what,
                     id.empty() ? YF_WORDS("core", "no take chosen")
                                : say(YF_WORDS("core", "'%1' is not in the job"), id),
                     ""};
    }
    if (take->kind != job::TakeKind::response || take->recorded.place != place) {
        return Error{what,
                     say(YF_WORDS("core", "'%1' was taken elsewhere"), take->name),
                     YF_WORDS("core", "choose one from there")};
    }
    return take;
}

/// For one volt, so that takes of different drives are one scale.
measure::CurveKeys keysOf(const job::Take& take, curve::Range within) {
    measure::CurveKeys all = measure::toKeys(*take.curve);
    measure::CurveKeys keys;
    const double perVolt = -20.0 * std::log10(take.drive);
    if (all.phases) {
        keys.phases.emplace();
    }
    for (std::size_t k = 0; k < all.frequencies.size(); ++k) {
        if (within.holds(all.frequencies[k])) {
            keys.frequencies.push_back(all.frequencies[k]);
            keys.levels.push_back(all.levels[k] + perVolt);
            if (all.phases) {
                keys.phases->push_back((*all.phases)[k]);
            }
        }
    }
    return keys;
}

Done addPort(const job::Job& job, const MergeOrder& order, measure::MergeRequest& request) {
    YF_TRY(port, takeAt(job, order.port, job::MicPlace::nearPort, "port"));
    if (!order.portDiameter) {
        return Error{YF_WORDS("core", "port diameter"),
                     "missing",
                     YF_WORDS("core", "the port's size must be known")};
    }
    request.port = keysOf(*port, port->curve->trusted());
    request.portArea = 0.25 * std::numbers::pi * *order.portDiameter * *order.portDiameter;
    request.portCount = order.ports;
    // In the mouth: what a microphone there reads is the pressure at the mouth.
    request.portNearDistance = port->distance;
    return done();
}

/// The front that the driver sits in spreads the near field's sound.
Done addFront(const job::Job& job, const MergeOrder& order, measure::MergeRequest& request) {
    for (const job::Cabinet& cabinet : job.cabinets) {
        const auto mount = std::ranges::find(cabinet.mounts, order.driver, &job::Mount::driver);
        if (mount != cabinet.mounts.end()) {
            request.diffraction = measure::Diffraction::baffle;
            request.baffleWidth = cabinet.width;
            request.baffleHeight = cabinet.height;
            request.driverX = std::clamp(0.5 * cabinet.width + mount->x, 0.0, cabinet.width);
            request.driverY = std::clamp(0.5 * cabinet.height + mount->y, 0.0, cabinet.height);
        }
    }
    if (request.diffraction == measure::Diffraction::none) {
        return Error{YF_WORDS("core", "baffle"),
                     YF_WORDS("core", "the driver sits in no front"),
                     YF_WORDS("core", "place it on the Front first")};
    }
    return done();
}

curve::Curve forDrive(measure::CurveKeys keys, double drive) {
    for (double& level : keys.levels) {
        level += 20.0 * std::log10(drive);
    }
    return measure::toCurve(keys);
}

Words toldOf(const measure::Merged& merged, bool withPort) {
    const std::string splice = text::printEngineering(merged.splice, "Hz");
    const std::string gain = text::printSignificant(merged.nearGain, 3);
    const std::string mismatch = text::printSignificant(merged.mismatch, 2);
    return withPort ? say(YF_WORDS("core",
                                   "Near field of cone and port joined to the far at %1, by "
                                   "%2 dB; %3 dB from what area and distance say."),
                          splice,
                          gain,
                          mismatch)
                    : say(YF_WORDS("core",
                                   "Near field joined to the far at %1, by %2 dB; %3 dB "
                                   "from what area and distance say."),
                          splice,
                          gain,
                          mismatch);
}

} // namespace

Result<MergedTake> mergeTakes(const job::Job& job, const MergeOrder& order) {
    YF_TRY(near, takeAt(job, order.near, job::MicPlace::nearCone, "near"));
    YF_TRY(far, takeAt(job, order.far, job::MicPlace::farField, "far"));
    if (!(order.Sd > 0.0)) {
        return Error{"Sd", "missing", YF_WORDS("core", "the cone's area must be known")};
    }
    measure::MergeRequest request{.near = keysOf(*near, near->curve->trusted()),
                                  .far = keysOf(*far, far->curve->extent()),
                                  .coneArea = order.Sd,
                                  .coneCount = order.cones,
                                  .nearDistance = near->distance,
                                  .portDistance = order.portDistance,
                                  .farDistance = far->distance,
                                  .farLowestValid = far->curve->trusted().from,
                                  .splice = order.splice,
                                  .blend = order.blend,
                                  .match = order.match};
    if (!order.port.empty()) {
        if (auto added = addPort(job, order, request); !added) {
            return added.error();
        }
    }
    if (order.baffle) {
        if (auto added = addFront(job, order, request); !added) {
            return added.error();
        }
    }
    if (auto error = measure::check(request)) {
        return *error;
    }
    YF_TRY(merged, measure::merge(request));
    const curve::Curve joined = forDrive(merged.curve, far->drive);
    const bool common =
        far->curve->phase() == curve::Phase::common && joined.phase() != curve::Phase::none;
    MergedTake made{.merged = merged};
    job::Take& take = made.take;
    take.kind = job::TakeKind::response;
    take.name = YF_WORDS("core", "near and far");
    take.understood = toldOf(merged, !order.port.empty());
    take.date = far->date;
    take.distance = far->distance;
    take.drive = far->drive;
    take.curve = std::make_shared<const curve::Curve>(
        joined.frequencies(),
        joined.values(),
        common ? curve::Phase::common : joined.phase(),
        curve::Range{joined.extent().from, far->curve->trusted().to});
    take.recorded.cabinet = far->recorded.cabinet;
    take.recorded.driver = order.driver;
    take.recorded.simulated = far->recorded.simulated || near->recorded.simulated;
    made.near = std::make_shared<const curve::Curve>(forDrive(merged.near, far->drive));
    return made;
}

} // namespace yf::take
