// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/curve/curve.h"
#include "core/quantity/kinds.h"
#include "core/quantity/quantities.h"

#include <optional>
#include <string>
#include <vector>

namespace yf::driver {

/// A peak of the response above its surroundings: a cone's own mode, if the impedance shows it too.
struct Breakup {
    double f{};
    double height{}; ///< dB re the reference band
    double Q{};      ///< f/Δf(−3 dB)

    /// Time to fall by 20 dB, s.
    [[nodiscard]] double decay20() const { return 2.3 * Q / (3.14159265358979 * f); }
};

/// Input of `driver usable-band`.
struct UsableBandRequest {
    double fs{};
    double Sd{};
    quantity::DriverRole role{};
    std::optional<double> Xmax;
    int lowOrder{4};
    int highOrder{4};
    double level{96.0};
    double offAxis{}; ///< radians
    std::vector<double> frequencies;
    std::vector<double> levels;
    std::vector<double> referenceBand;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.fs, q::fs);
        field(self.Sd, q::Sd);
        field(self.role, q::driverRole);
        field(self.Xmax, q::Xmax);
        field(self.lowOrder, q::Whole{"low_order", 1, 8, "acoustic order of its high-pass", 4});
        field(self.highOrder, q::Whole{"high_order", 1, 8, "acoustic order of its low-pass", 4});
        field(self.level,
              q::Quantity{"L", "level_db", 1.0, "dB", 40.0, 140.0, "wanted at 1 m"}.orElse(96.0));
        field(self.offAxis,
              q::Quantity{"θ", "off_axis_deg", q::degree, "°", 5.0, 90.0, "as wide it should speak"}
                  .orElse(45.0));
        field(self.frequencies, q::frequencies.orElse(0.0));
        field(self.levels, q::levels.orElse(0.0));
        field(self.referenceBand,
              q::frequencies.as("reference_band_hz", "two: where its level is taken").orElse(0.0));
    }
};

[[nodiscard]] std::optional<Error> check(const UsableBandRequest& request);

/// From where to where a driver should work, and why; suggestions, never orders.
struct UsableBand {
    std::optional<double> low; ///< Hz; absent for a woofer, whose lower limit is its box
    double high{};
    std::optional<double> resonance;
    std::optional<double> excursion;
    double directivity{};
    std::optional<double> breakup;
    std::optional<double> response;
    std::optional<std::string> lowReason;
    std::string highReason;
    std::vector<Breakup> breakups;
    double ka1{};
    std::vector<Words> notes;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.low, q::frequency.as("band_low_hz", "lowest advised"));
        field(self.high, q::frequency.as("band_high_hz", "highest advised"));
        field(self.resonance, q::frequency.as("limit_resonance_hz", "by its resonance"));
        field(self.excursion, q::frequency.as("limit_excursion_hz", "by its travel"));
        field(self.directivity, q::frequency.as("limit_directivity_hz", "by its size"));
        field(self.breakup, q::frequency.as("limit_breakup_hz", "by a mode of its cone"));
        field(self.response, q::frequency.as("limit_response_hz", "by its own fall"));
        field(self.lowReason, q::Word{"low_reason", "which limit is highest"});
        field(self.highReason, q::Word{"high_reason", "which limit is lowest"});
        std::vector<double> f;
        std::vector<double> height;
        for (const auto& b : self.breakups) {
            f.push_back(b.f);
            height.push_back(b.height);
        }
        field(f, q::frequencies.as("breakups_hz", "peaks found"));
        field(height, q::levels.as("breakups_db", "above the reference band"));
        field(self.ka1, q::frequency.as("ka1_hz", "where ka is 1"));
        field(self.notes, q::Word{"notes", "what to mind"});
    }
};

/// Lower: m·fs with m = 4, 3, 2.5, 2 for order 1 … 4; f_X = √(√2·2π·r·p/(ρ·Sd·Xmax))/2π for the
/// level wanted (order 1: f_X²/fs). Upper: a rigid piston's −6 dB at the angle, 2.212·c/(2πa·sin
/// θ); breakup at f_p of H dB: f_p/(10^((H+20)/10) − 1)^(1/2n); where the third-octave level falls
/// 6 dB. Source: docs/theory/driver.md, "Usable band". Errors: levels without frequencies, a
/// reference band outside the data.
[[nodiscard]] Result<UsableBand> usableBand(const UsableBandRequest& request);

/// Peaks at least 3 dB above a running median over one octave and narrower than half an octave.
[[nodiscard]] std::vector<Breakup> findBreakups(const curve::Curve& response,
                                                curve::Range reference);

} // namespace yf::driver
