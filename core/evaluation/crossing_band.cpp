// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/evaluation/crossing_band.h"

#include "core/evaluation/usable_band.h"
#include "core/find/find.h"

#include <cmath>

namespace yf::evaluation {

namespace {

std::optional<DriverBand>
bandOf(const job::Job& job, const std::string& id, const Assembly& assembly) {
    const job::Driver* driver = job::findDriver(job, id);
    const auto reading = assembly.readings.find(id);
    const std::optional<double> fs = reading != assembly.readings.end() && reading->second.resonance
                                         ? std::optional(reading->second.resonance->fs)
                                         : std::nullopt;
    return driver == nullptr ? std::nullopt : usableBandOf(job, *driver, fs);
}

/// At least half an octave, about its middle.
curve::Range widened(const curve::Range& band) {
    const double least = std::sqrt(2.0);
    if (band.to >= least * band.from) {
        return band;
    }
    const double middle = std::sqrt(band.from * band.to);
    return {middle / std::sqrt(least), middle * std::sqrt(least)};
}

} // namespace

Result<curve::Range> crossingBand(const job::Job& job,
                                  const Assembly& assembly,
                                  const network::Loads& loads,
                                  const std::string& lower,
                                  const std::string& upper) {
    const auto below = bandOf(job, lower, assembly);
    const auto above = bandOf(job, upper, assembly);
    if (below && above) {
        if (const auto join = joinBand(*below, *above)) {
            return widened({join->from, join->to});
        }
    }
    const auto meeting =
        find::meeting(loads, loads.drivers[*loads.find(lower)], loads.drivers[*loads.find(upper)]);
    if (!meeting) {
        return Error{"drivers",
                     say(YF_WORDS("core", "%1 and %2 do not meet"), lower, upper),
                     YF_WORDS("core", "no network mends that: one of them must be another")};
    }
    return *meeting;
}

} // namespace yf::evaluation
