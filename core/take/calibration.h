// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/driver/jig_standards.h"
#include "core/job/job.h"

#include <optional>
#include <string>

namespace yf::take {

/// Sweep of a jig or a loop, which bear the whole band: Hz, and dB peak re full scale.
inline constexpr double calibrationStart = 10.0;
inline constexpr double calibrationLevel = -20.0;

/// The tone that a voltmeter reads: dB peak re full scale, and Hz where any meter is right.
inline constexpr double toneLevel = -20.0;
inline constexpr double toneFrequency = 400.0;

/// What is known of somebody's equipment. It belongs to the equipment, not to a job; each take
/// carries what was taken off it.
struct Calibration {
    std::string microphoneName;  ///< of its file
    std::string microphoneTable; ///< that file's content
    /// Measured input over reference input, both on the output: level and phase.
    std::string cardChannels;
    /// Measured input over what was played, the delay taken out: for takes without a reference.
    std::string cardLoop;
    std::optional<driver::JigStandards> jig;
    std::optional<double> fullScalePressure; ///< Pa of digital 1.0
    std::optional<double> fullScaleVoltage;  ///< V for 1.0 of the reference, or played
    double lead{}; ///< Ω, of the jig's clips, where there are no standards

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.microphoneName, q::Word{"microphone", "name of its file", ""});
        field(self.microphoneTable, q::Word{"microphone_table", "its content", ""});
        field(self.cardChannels, q::Word{"card_channels", "inputs against each other", ""});
        field(self.cardLoop, q::Word{"card_loop", "input against what was played", ""});
        field(self.jig, q::Group{"jig", "open, short and load", true});
        field(self.fullScalePressure,
              q::Quantity{"K", "full_scale_pa", 1.0, "Pa", 1e-6, 1e6, "of digital 1.0"});
        field(self.fullScaleVoltage,
              q::Quantity{"V", "full_scale_v", 1.0, "V", 1e-6, 1e4, "for 1.0 played"});
        field(self.lead, q::leads.orElse(0.0));
    }
};

[[nodiscard]] std::string writeCalibration(const Calibration& calibration);
[[nodiscard]] Result<Calibration> readCalibration(const std::string& text);

/// A microphone's file is read before it is believed; one that spans more than 15 dB is taken, but
/// is worth a warning (measure::MicrophoneTable::wide). Fails as measure::readMicrophone does, with
/// the file's name.
[[nodiscard]] Result<Calibration>
withMicrophone(Calibration calibration, const std::string& name, const std::string& text);

/// Both inputs were wired to the output. Refused where the judge finds it unusable (clipped,
/// lost samples, nothing heard).
[[nodiscard]] Result<Calibration> withCard(Calibration calibration,
                                           const signal::Recording& recording,
                                           const signal::SweepPlan& plan);

/// One of the jig's standards. Fails as driver::withStandard does, and without a reference input.
[[nodiscard]] Result<Calibration> withJig(Calibration calibration,
                                          driver::Standard which,
                                          const signal::Recording& recording,
                                          const signal::SweepPlan& plan,
                                          double sense,
                                          double load);

/// A calibrator of `level` dB re 20 µPa sat on the microphone; nothing was played.
[[nodiscard]] Result<Calibration>
withCalibrator(Calibration calibration, const signal::Recording& recording, double level);

/// A tone of `amplitude` (of 1.0) was played and a voltmeter at the terminals read `volts` rms.
[[nodiscard]] Result<Calibration> withVoltage(Calibration calibration,
                                              const signal::Recording& recording,
                                              double amplitude,
                                              double volts);

/// By how many decibels a sweep comes back lower that was played `softer` dB lower, through both
/// inputs wired to the output: the mean of third octaves. Refused where that is off by more than
/// 0.2 dB: automatic gain, noise suppression or an echo canceller of the sound system is at work.
[[nodiscard]] Result<double> gainStep(const signal::Recording& first,
                                      const signal::Recording& second,
                                      const signal::SweepPlan& plan,
                                      double softer);

/// What a take that is about to be recorded carries with it.
void apply(const Calibration& calibration,
           job::TakeKind kind,
           bool referenced,
           job::Recorded& recorded);

} // namespace yf::take
