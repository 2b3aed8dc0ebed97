// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/driver/parameters.h"
#include "core/edit/parts.h"
#include "core/measure/response.h"

namespace yf::take {

/// A recording as it came from a device, with what was meant by it.
struct TakeOrder {
    job::TakeKind kind{};
    job::Recorded recorded; ///< without faults and digest, which are found here
    signal::Recording recording;
    std::string date; ///< ISO 8601 day
    double distance{1.0};
    double drive{quantity::referenceVoltage};
    bool lossFlagged{}; ///< by the sound system
};

/// What comes out of a recording, beside the take itself: everything that the stage shows.
struct MadeTake {
    job::Take take; ///< without id
    measure::Verdict verdict;
    std::optional<signal::Impulse> impulse; ///< Pa (or recorded units) for the drive, of a response
    measure::ImpulseReading reading;        ///< of a response
    measure::Corrections corrections;       ///< taken off the curve, not off the impulse
    signal::Polarity polarity{signal::Polarity::uncertain};
    std::optional<signal::Distortion> distortion;
    std::optional<double> medianSignalToNoise;
    std::optional<driver::JigTake> jig; ///< of an impedance
};

/// Judges a recording and makes its curve. A recording that can't be used still comes back, with
/// the verdict; its curve is believed nowhere where there is none to speak of. Errors only where no
/// curve can be made at all (nothing recorded).
[[nodiscard]] Result<MadeTake> makeTake(const TakeOrder& order);

/// The same again from a take's kept samples, with its own gate or another one.
[[nodiscard]] Result<MadeTake> remakeTake(const job::Take& take,
                                          std::optional<signal::Gate> gate = {});

/// The response through another gate, for a hand that drags it: nothing is judged anew, so it is
/// believed no further than the take's curve. Nothing where the gate leaves fewer than two points.
[[nodiscard]] std::optional<curve::Curve> throughGate(const MadeTake& made,
                                                      const signal::Gate& gate);

/// Parameters from an impedance take that was recorded here or imported.
[[nodiscard]] Result<driver::FitResult> parametersOf(const job::Take& take);

/// Digest of raw samples as they are kept (32-bit float).
[[nodiscard]] std::string samplesKey(const signal::Recording& recording);

} // namespace yf::take
