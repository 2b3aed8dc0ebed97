// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/evaluation/evaluate.h"
#include "core/job/recorded.h"
#include "core/quantity/kinds.h"
#include "core/sim/room.h"

#include <functional>
#include <optional>
#include <string>

namespace yf::sim {

/// A speaker on the simulated bench and what is around it.
struct SoundBench {
    std::function<curve::Complex(double)> pressure;  ///< Pa per volt where the microphone stands
    std::function<curve::Complex(double)> impedance; ///< Ω at the clips, without their leads
    signal::Geometry room;
    Chain chain;
    double sense{10.0};             ///< Ω, true value of the jig's resistor
    double lead{0.12};              ///< Ω, of the clips
    double fullScaleVoltage{28.3};  ///< V at the terminals for 1.0 played
    double fullScalePressure{20.0}; ///< Pa that read 1.0
};

/// What is to be measured, and from where.
struct BenchView {
    std::string cabinet;
    std::string driver; ///< empty: the whole cabinet
    std::string also;   ///< another driver on the same clips; empty: none
    job::MicPlace place{};
    quantity::Plane plane{};
    double angle{};    ///< degrees
    double distance{}; ///< m
};

/// The bench for a job: its drivers are what their curves in use say, carried on beyond the data
/// with the slopes of second-order ends; a driver without curves is a plain one of its band and
/// size. Off the axis a driver is a rigid piston of its size; near fields follow from area and
/// distance (Keele 1974), a port from box and tuning. The whole cabinet is the sum of its ways as
/// evaluated. Fails where the job has no such driver or cabinet.
[[nodiscard]] Result<SoundBench> soundBench(const job::Job& job, const BenchView& view);

/// A whole cabinet's bench seen from another angle, the evaluation spared.
[[nodiscard]] SoundBench
turned(const SoundBench& onAxis, const job::Cabinet& cabinet, double degrees);

/// What its microphone and its reference input record of a play signal: a response.
[[nodiscard]] Heard
hearResponse(const SoundBench& bench, const std::vector<double>& play, double rate);

/// What both inputs record when they are wired to the output.
[[nodiscard]] Heard hearLoop(const SoundBench& bench, const std::vector<double>& play, double rate);

/// What its jig records with something else in its clips; open: 1 GΩ.
[[nodiscard]] Heard
hearInClips(const SoundBench& bench, double ohms, const std::vector<double>& play, double rate);

/// What the microphone records of a calibrator of `level` dB re 20 µPa at 1 kHz.
[[nodiscard]] Heard
hearCalibrator(const SoundBench& bench, double level, std::size_t samples, double rate);

/// What its jig records: channel B as measured, channel A as the reference.
[[nodiscard]] Heard hearJig(const SoundBench& bench, const std::vector<double>& play, double rate);

} // namespace yf::sim
