// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/measure/calibration.h"
#include "core/measure/judge.h"

#include <optional>
#include <string>
#include <vector>

namespace yf::measure {

// The one way from a sweep, or from an impulse response, to a curve: takes, imported files and
// the command line's verbs all go it. docs/theory/measurement.md, "From a recording to a curve".

/// What becomes of a room's reflections unless a length is asked for.
enum class Echoes {
    endGate, ///< the gate ends before the first
    kept     ///< so close to the source that the room does not count: at most half a second
};

/// How much of an impulse response is to be let through.
struct GateWish {
    double left{1e-3};           ///< s before the arrival
    std::optional<double> right; ///< s after it; absent: as proposed
    double taper{0.25};          ///< share of right that falls
    Echoes echoes{};
};

/// An impulse response read: when the sound arrives, its sign, what the room sends back, and how
/// much is let through.
struct ImpulseReading {
    double arrival{};                      ///< s after time zero
    std::optional<signal::DelayFit> delay; ///< what the arrival rests on; absent: the highest peak
    std::optional<signal::Reflection> reflection;
    double rest{}; ///< s of data after the arrival
    /// With the usual edges, whatever was asked for; the whole where there is no reflection.
    signal::Gate beforeReflection;
    signal::Gate gate;
};

/// A gate longer than the data ends with them; none is shorter than 0.3 ms.
[[nodiscard]] ImpulseReading readImpulse(const signal::Impulse& impulse, const GateWish& wish);

/// Frequencies that a gated response is drawn at: design frequencies from half of what the gate
/// leaves valid up to 0.45 of the sample rate, within `limits`.
[[nodiscard]] curve::Axis gatedAxis(const signal::Gate& gate, double rate, curve::Range limits);

/// Factor from recorded per played unit to pascals for `drive` volts. Only both full scales make
/// an absolute level: with half a calibration, or none, 1.
[[nodiscard]] double
unitFactor(std::optional<double> pressure, std::optional<double> voltage, double drive);

/// What is taken off a response: deviations of the microphone and of the sound card.
struct Corrections {
    std::optional<MicrophoneTable> microphone;
    std::optional<MicrophoneTable> card;

    /// In place, one value for each frequency.
    void apply(const curve::Axis& frequencies, std::vector<curve::Complex>& response) const;
};

/// Texts of tables; an empty one is none. Fails as readMicrophone does, with the table's key.
struct CorrectionTexts {
    std::string microphone;
    std::string microphoneKey{"microphone_table"};
    std::string card;
    std::string cardKey{"card_table"};
};

[[nodiscard]] Result<Corrections> readCorrections(const CorrectionTexts& texts);

/// The impulse response of a judged recording, from `before` to `after` s about its time zero: the
/// reference's arrival; without one that of the timing burst, if one was played; else the start of
/// what was played.
[[nodiscard]] signal::Impulse impulseOf(const Examined& examined,
                                        const signal::Recording& recording,
                                        const signal::Sweep& sweep,
                                        double before,
                                        double after);

/// Whether the recording's own reference sets time zero, so that phases of several takes from one
/// place may be compared.
[[nodiscard]] bool referenceSetsTime(const Examined& examined);

/// Sign of the sound. An inverted reference leaves levels right and turns the sign over, so nothing
/// is said; nor where no fit was possible or nothing was heard.
[[nodiscard]] signal::Polarity polarityOf(const Verdict& verdict,
                                          const std::optional<signal::DelayFit>& fit);

/// The one stretch about the device's maximum in which a response may be believed: inside the
/// sweep's full band, above `lowestValid` (Hz, of the gate), and 15 dB or more above the noise.
[[nodiscard]] std::optional<curve::Range>
trustedBand(const Examined& examined, const signal::Sweep& sweep, double lowestValid);

/// Harmonics over the excitation frequency; `arrival` s after time zero.
[[nodiscard]] signal::Distortion distortionOf(const Examined& examined,
                                              const signal::Sweep& sweep,
                                              double arrival,
                                              const curve::Axis& frequencies);

/// Levels in dB (−300 dB for nothing at all) and phases in radians that run on from point to point.
struct LevelsAndPhases {
    std::vector<double> levels;
    std::vector<double> phases;
};

[[nodiscard]] LevelsAndPhases levelsAndPhases(const std::vector<curve::Complex>& response);

} // namespace yf::measure
