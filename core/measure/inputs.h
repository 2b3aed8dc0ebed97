// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/curve/curve.h"
#include "core/quantity/quantities.h"
#include "core/signal/impulse.h"

#include <optional>
#include <string>
#include <vector>

/// What many verbs of the topic take: a curve, an impulse response.
namespace yf::measure {

/// frequencies_hz with levels_db and, where there are any, phases_deg.
struct CurveKeys {
    std::vector<double> frequencies;
    std::vector<double> levels;
    std::optional<std::vector<double>> phases;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.frequencies, q::frequencies);
        field(self.levels, q::levels);
        field(self.phases, q::phases);
    }

    [[nodiscard]] bool hasPhase() const { return phases.has_value(); }

    bool operator==(const CurveKeys&) const = default;
};

/// Two points at least, lists of one length, frequencies strictly rising.
[[nodiscard]] std::optional<Error> check(const CurveKeys& keys);

/// Frequencies strictly rising: "frequencies_hz: entry 3 (200) is not above entry 2 (400)".
[[nodiscard]] std::optional<Error> checkRising(const std::vector<double>& frequencies,
                                               const std::string& key);

/// Decibels become gains (0 dB: 1), phases stay.
[[nodiscard]] curve::Curve toCurve(const CurveKeys& keys);

/// Gains to decibels; `unwrapped` phases where the curve has any.
[[nodiscard]] CurveKeys toKeys(const curve::Curve& curve);

/// An impulse response from a file or as numbers; only one of both.
struct ImpulseKeys {
    std::optional<std::string> file;
    int channel{1};
    std::optional<std::vector<double>> samples;
    std::optional<double> rate;
    double timeZero{};
    std::optional<std::string> bytes; ///< content of the file, for whoever may read files

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.file, q::Word{"impulse_file", "WAV with the impulse response"});
        field(self.channel, q::Whole{"impulse_channel", 1, 64, "which of its channels", 1});
        field(self.samples,
              q::Quantity{"h", "impulse", 1.0, "", -1e12, 1e12, "or the samples themselves"});
        field(self.rate, q::sampleRate);
        field(self.timeZero,
              q::Quantity{"t0", "time_zero_s", 1.0, "s", -10.0, 100.0, "after the first sample"}
                  .orElse(0.0));
    }

    [[nodiscard]] bool given() const { return file || samples; }
};

/// The samples that the keys name. Errors: none or two of both, no rate beside numbers, a channel
/// that is not there, fewer than 8 samples, only zeros.
[[nodiscard]] Result<signal::Impulse> impulseOf(const ImpulseKeys& keys);

/// Points of the design axis in [from, to], or what was asked for.
[[nodiscard]] curve::Axis axisOr(const std::vector<double>& asked, double from, double to);

} // namespace yf::measure
