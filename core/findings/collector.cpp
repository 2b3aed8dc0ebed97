// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/findings/collector.h"

#include "core/driver/resonance.h"
#include "core/job/lookup.h"

#include <algorithm>

namespace yf::findings {

std::vector<Placed> waysFromBelow(const CabinetView& view) {
    std::vector<Placed> placed;
    for (const evaluation::WayResult& way : view.result.ways) {
        const job::Driver* driver = job::findDriver(view.job, way.driver);
        const auto mount = std::ranges::find(view.cabinet.mounts, way.driver, &job::Mount::driver);
        if (driver != nullptr && !way.pressure.empty()) {
            placed.push_back(
                {&way, driver, mount == view.cabinet.mounts.end() ? nullptr : &*mount});
        }
    }
    std::ranges::stable_sort(placed, {}, [](const Placed& p) { return p.driver->band; });
    return placed;
}

std::optional<double> resonanceOf(const evaluation::Assembly& assembly, const std::string& driver) {
    const auto reading = assembly.readings.find(driver);
    return reading == assembly.readings.end() || !reading->second.resonance
               ? std::nullopt
               : std::optional(reading->second.resonance->fs);
}

/// Whether the whole cabinet was taken with the network that is drawn now.
bool hasTakeOfItsNetwork(const CabinetView& view) {
    const job::Take* whole = job::wholeTake(view.job, view.cabinet);
    return whole != nullptr && whole->recorded.network == job::networkKey(view.cabinet.circuit);
}

} // namespace yf::findings
