// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/driver/parameters.h"
#include "core/job/edit.h"
#include "core/measure/judge.h"

namespace yf::job {

/// A recording as it came from a device, with what was meant by it.
struct TakeOrder {
    TakeKind kind{};
    Recorded recorded; ///< without faults and digest, which are found here
    signal::Recording recording;
    std::string date; ///< ISO 8601 day
    double distance{1.0};
    double drive{quantity::referenceVoltage};
    bool lossFlagged{}; ///< by the sound system
};

/// What comes out of a recording, beside the take itself: everything that the stage shows.
struct MadeTake {
    Take take; ///< without id
    measure::Verdict verdict;
    std::optional<signal::Impulse> impulse; ///< Pa (or recorded units) for the drive, of a response
    double arrival{};
    signal::Gate gate;
    std::optional<signal::Reflection> reflection;
    std::optional<signal::DelayFit> delay;
    std::optional<signal::Distortion> distortion;
    std::optional<double> medianSignalToNoise;
    std::optional<driver::JigTake> jig; ///< of an impedance
};

/// Judges a recording and makes its curve. A recording that can't be used still comes back, with
/// the verdict; its curve is believed nowhere where there is none to speak of. Errors only where no
/// curve can be made at all (nothing recorded).
[[nodiscard]] Result<MadeTake> makeTake(const TakeOrder& order);

/// The same again from a take's kept samples, with its own gate or another one.
[[nodiscard]] Result<MadeTake> remakeTake(const Take& take, std::optional<signal::Gate> gate = {});

/// Parameters from an impedance take that was recorded here or imported.
[[nodiscard]] Result<driver::FitResult> parametersOf(const Take& take);

/// A take joins the job. One of a driver by itself, on axis and usable, becomes the one in use.
[[nodiscard]] Edit addRecordedTake(Take take);

/// A take in place of the one of its id: another gate, made aside.
[[nodiscard]] Edit replaceTake(Take take);

/// Note and condition of a take.
[[nodiscard]] Edit
describeTake(const std::string& take, const std::string& note, const std::string& condition);

/// The take that a driver's response or impedance is from now on.
[[nodiscard]] Edit useTake(const std::string& driver, const std::string& take);

/// The driver or cabinet that a take is about: what was recorded says it, else who uses it.
struct TakeAbout {
    std::string cabinet;
    std::string driver;
};

[[nodiscard]] TakeAbout aboutOf(const Job& job, const Take& take);

/// Digest of raw samples as they are kept (32-bit float).
[[nodiscard]] std::string samplesKey(const signal::Recording& recording);

} // namespace yf::job
