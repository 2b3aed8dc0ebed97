// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/box/motion.h"

#include <optional>

namespace yf::box {

/// A response in a few figures, all re the asymptote and without inductance.
struct Summary {
    std::optional<double> f3; ///< highest upward crossing: nothing above it falls below again
    std::optional<double> f6;
    std::optional<double> f10;
    std::optional<double> peak; ///< dB; none: no more than 0.01
    std::optional<double> peakAt;
    double groupDelayMax{}; ///< s, sought from 10 Hz to 1 kHz, ends included
    double groupDelayAt{};
    double sensitivity{}; ///< dB, 2.83 V, 1 m, half space

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.f3, q::f3);
        field(self.f6, q::f3.as("f6_hz", "−6 dB"));
        field(self.f10, q::f3.as("f10_hz", "−10 dB"));
        field(self.peak, q::peak);
        field(self.peakAt, q::peakAt);
        field(self.groupDelayMax, q::groupDelay.as("group_delay_max_s", "10 Hz to 1 kHz"));
        field(self.groupDelayAt, q::frequency.as("group_delay_max_hz", "where"));
        field(self.sensitivity, q::sensitivity);
    }

    bool operator==(const Summary&) const = default;
};

[[nodiscard]] Summary summarise(System system);

/// Where the level passes −`down` dB for the last time, in the order of rising frequency; none if
/// it never does between 0.5 Hz and 20 kHz.
[[nodiscard]] std::optional<double> highestCrossing(const System& system, double down);

/// The same from eight points an octave up to forty times fs: for many draws of one box.
[[nodiscard]] std::optional<double> roughCrossing(const System& system, double down);

/// The least level that travel and power allow from f3 to 200 Hz, dB re 20 µPa at the source's
/// distance, inductance left out; none where neither Xmax nor a rating is known.
[[nodiscard]] std::optional<double> leastLevel(System system, double f3);

/// Edges of a band-pass, its gain and ripple.
struct PassBand {
    double low{};    ///< Hz, −3.01 dB re the highest level
    double high{};   ///< Hz
    double gain{};   ///< dB, highest level re the asymptote
    double ripple{}; ///< dB, least level between the outermost peaks within 3 dB of it

    bool operator==(const PassBand&) const = default;
};

[[nodiscard]] PassBand passBand(System system);

} // namespace yf::box
