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

} // namespace yf::evaluation
