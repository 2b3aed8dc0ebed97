// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/quantity/kinds.h"
#include "core/speaker/speaker.h"
#include "core/text/value.h"

/// How loud a speaker may be played, and what stops it.
namespace yf::speaker {

/// Travel of a cone over frequency for 2.83 V at the speaker: mandatory with a port, where sound no
/// longer comes from the cone alone.
struct ExcursionKeys {
    std::vector<double> frequencies;
    std::vector<double> peaks; ///< m

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.frequencies, q::frequencies);
        field(self.peaks, q::Quantity{"x", "peak_m", 1.0, "m", 1e-12, 1.0, "one way, for 2.83 V"});
    }
};

[[nodiscard]] std::optional<Error> check(const ExcursionKeys& keys);

struct PowerWay {
    std::string name;
    measure::CurveKeys response;
    std::optional<measure::CurveKeys> transfer;
    double rated{};     ///< W, noise
    double ratedOhms{}; ///< that the rating refers to
    double Sd{};
    double Xmax{};
    std::optional<ExcursionKeys> excursion;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.name, q::Word{"name", "of the way"});
        field(self.response, q::Group{"response", "dB re 20 µPa at 1 m, 2.83 V at the driver"});
        field(self.transfer, q::Group{"transfer", "driver's voltage over the speaker's", true});
        field(self.rated, q::Quantity{"P", "rated_w", 1.0, "W", 1e-3, 1e5, "noise power"});
        field(self.ratedOhms, q::nominal.as("rated_ohm", "resistance that it refers to"));
        field(self.Sd, q::Sd);
        field(self.Xmax, q::Xmax);
        field(self.excursion, q::Group{"excursion", "from a box model", true});
    }
};

struct PowerRequest {
    std::vector<PowerWay> ways;
    std::optional<measure::CurveKeys> sum;
    quantity::Space space{};
    double amplifier{};
    double amplifierOhms{};
    double distance{1.0};
    double crest{12.0};
    std::vector<double> band{20.0, 20000.0};
    bool pair{};
    std::optional<double> target;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.ways, q::Group{"ways", "one or more"});
        field(self.sum, q::Group{"sum", "levels of all together, 2.83 V, 1 m", true});
        field(self.space, q::space);
        field(self.amplifier, q::Quantity{"P", "amplifier_w", 1.0, "W", 1e-3, 1e6, "sine power"});
        field(self.amplifierOhms, q::nominal.as("amplifier_ohm", "into that resistance"));
        field(self.distance, q::distance.within(0.05, 100.0).orElse(1.0));
        field(self.crest,
              q::Quantity{"", "crest_db", 1.0, "dB", 0.0, 40.0, "peak over rms of the programme"}
                  .orElse(12.0));
        field(self.band, q::frequencies.as("band_hz", "of the programme"));
        field(self.pair, q::Flag{"pair", "two speakers, uncorrelated", false});
        field(self.target, q::Quantity{"L", "target_db", 1.0, "dB", 0.0, 160.0, "level wanted"});
    }
};

[[nodiscard]] std::optional<Error> check(const PowerRequest& request);

struct PowerAnswer {
    double programmeVolts{};
    double programmeLevel{};
    std::string limitingWay;
    std::string limitingCause; ///< thermal, excursion, amplifier
    double speakerVolts{};     ///< that the speaker alone takes
    std::vector<double> frequencies;
    std::vector<double> sineLevels;
    std::optional<double> neededWatts;
    std::optional<bool> reachable;

    [[nodiscard]] text::Value write() const;
};

/// Per way, T the driver's voltage over the speaker's, x̂ the peak travel for 1 V rms:
///
///     x̂ = √2·(20 µPa·10^(L/20)/2.83)·Ω·(1 m)/(ρω²Sd)     Ω = 2π or 4π
///     sine       V(f) = min(Xmax/x̂, √(P·R)/|T|, √(P_A·R_A))
///     programme  thermal √(P·R)/√⟨|T|²⟩, travel Xmax/(κ√⟨x̂²/2⟩), amplifier √(2P_A·R_A)/κ
///
/// κ = 10^(crest/20), ⟨ ⟩ over ln f (pink noise). Warm coils and ratings of unknown origin are not
/// in it: a coil 200 K warmer gives up to 5 dB less. Sources: IEC 60268-5 for V²/R (from memory);
/// docs/theory/align.md.
[[nodiscard]] Result<PowerAnswer> power(const PowerRequest& request);

} // namespace yf::speaker
