// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/evaluation/memory.h"

namespace yf::evaluation {

Reuse Memory::reuse() const {
    Reuse all;
    for (const Reuse& one : {readings.reuse(),
                             measured.reuse(),
                             directivities.reuse(),
                             carries.reuse(),
                             placed.reuse(),
                             boxDrivers.reuse(),
                             boxReads.reuse(),
                             cabinets.reuse(),
                             neighbours.reuse(),
                             wirings.reuse(),
                             boxes.reuse(),
                             benches.reuse()}) {
        all.taken += one.taken;
        all.computed += one.computed;
    }
    return all;
}

void Memory::makeRoom(const job::Job& job) {
    const std::size_t forCabinets = 2 * job.cabinets.size();
    const std::size_t forDrivers = 2 * job.drivers.size();
    measured.makeRoom(forCabinets);
    placed.makeRoom(forCabinets);
    cabinets.makeRoom(forCabinets);
    neighbours.makeRoom(forCabinets);
    wirings.makeRoom(forCabinets);
    readings.makeRoom(forDrivers);
    directivities.makeRoom(forDrivers);
    carries.makeRoom(forDrivers);
    boxDrivers.makeRoom(forDrivers);
    boxReads.makeRoom(forDrivers);
    boxes.makeRoom(forDrivers);
}

} // namespace yf::evaluation
