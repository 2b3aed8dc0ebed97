// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/curve/curve.h"

#include <optional>
#include <string>
#include <vector>

namespace yf::measure {

/// A microphone's own deviation over frequency, from a text table of decibels and, if present,
/// phases: taken off the measured level and phase. Held at its end values outside its range, where
/// the result is not trusted.
struct MicrophoneTable {
    curve::Curve deviation; ///< gains, 1 for 0 dB
    bool wide{};            ///< more than 15 dB from end to end: probably a response, no deviation
    bool phaseOpen{};       ///< further columns, nameless, may be its phase: left out

    /// The deviation at a frequency.
    [[nodiscard]] curve::Complex at(double frequency) const;
};

[[nodiscard]] Result<MicrophoneTable> readMicrophone(const std::string& text,
                                                     const std::string& key);

/// Pascals for digital 1.0 and volts at the loudspeaker for 1.0 in the excitation (or reference).
/// Only both together make an absolute level.
struct FullScale {
    double pressure{}; ///< Pa
    double voltage{};  ///< V

    /// Factor from recorded per played unit to pascals for `drive` volts.
    [[nodiscard]] double factor(double drive) const { return pressure / voltage * drive; }
};

/// What a recording of a sound calibrator gave.
struct CalibratorFound {
    double fullScale{};  ///< Pa that read digital 1.0: 20 µPa·10^(level/20)/rms of the tone
    double frequency{};  ///< Hz
    double steadiness{}; ///< dB, largest change of the tone's level between tenths of a second
    double overRest{};   ///< dB, tone over everything else
};

/// The tone of a calibrator of so many dB re 20 µPa near 1 kHz (250 Hz to 2 kHz), band-passed by
/// a tenth of its frequency to either side. Refused: unsteady by more than 0.1 dB, less than 30 dB
/// over the rest, shorter than half a second, no tone.
[[nodiscard]] Result<CalibratorFound>
calibrate(const std::vector<double>& recording, double rate, double level);

} // namespace yf::measure
