// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/evaluation/inputs.h"
#include "core/evaluation/memo.h"
#include "core/evaluation/neighbours.h"
#include "core/evaluation/wiring_told.h"
#include "core/evaluation/work.h"

namespace yf::evaluation {

/// What was computed lately, each part beside what it was computed from. It changes how long an
/// evaluation takes, never what it says. For one thread at a time.
class Memory {
public:
    /// Of all parts together.
    [[nodiscard]] Reuse reuse() const;

    /// Room for the parts of that many cabinets and drivers twice, so that a change and its undoing
    /// find what was there before.
    void makeRoom(const job::Job& job);

    /// Told what is begun, where somebody listens.
    Watch watch;

    void begin(const Work& work) const {
        if (watch) {
            watch(work);
        }
    }

    Memo<CurvePtr, DriverReading> readings{128};
    Memo<std::vector<DriverCurves>, AssembledCabinet> measured{16};
    Memo<DirectivityInputs, DriverDirectivity> directivities{32};
    Memo<CarryInputs, std::vector<curve::Complex>> carries{64};
    Memo<PlacedInputs, AssembledCabinet> placed{16};
    Memo<BoxDriverInputs, Result<BoxDriver>> boxDrivers{32};
    Memo<BoxReadInputs, Result<box::ReadBack>> boxReads{32};
    Memo<CabinetInputs, CabinetResult> cabinets{16};
    Memo<NeighbourInputs, std::vector<Neighbourhood>> neighbours{16};
    Memo<WiringInputs, std::optional<WiringTold>> wirings{16};
    Memo<BoxInputs, BoxResult> boxes{16};
    Memo<BenchInputs, std::vector<DriverBench>> benches{4};
};

} // namespace yf::evaluation
