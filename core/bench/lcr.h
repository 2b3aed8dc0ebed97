// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/bench/dcr.h"
#include "core/driver/model_keys.h"
#include "core/quantity/kinds.h"

#include <complex>

namespace yf::bench {

/// How the meter shows its pair of numbers.
enum class LcrMode { series, parallel, unknown };

enum class LcrClass {
    match,
    shortedTurns, ///< resistance and inductance both low
    lowR,
    lowL,
    otherMismatch,
    open,
    noReference,
    dependsOnMode ///< series and parallel would be judged differently
};

inline constexpr quantity::Choice<8> lcrClass{"class",
                                              {"match",
                                               "shorted_turns",
                                               "low_r",
                                               "low_l",
                                               "other_mismatch",
                                               "open",
                                               "no_reference",
                                               "depends_on_mode"},
                                              "what the reading is"};

/// Input of `bench lcr`.
struct LcrRequest {
    double frequency{};
    std::optional<std::optional<double>> r; ///< Ω; null: open
    double l{};                             ///< H
    LcrMode mode{};
    double leads{};
    std::optional<double> twinR;
    std::optional<double> twinL;
    driver::ModelKeys model;
    std::optional<double> nominal;
    /// Z of a known-good driver at this frequency, leads off; for callers that have measured it.
    std::optional<std::complex<double>> measured;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.frequency, q::frequency.within(1.0, 1e6 / 5.0));
        field(self.r, q::reading.as("r_ohm", "resistance shown; null: open"));
        field(self.l, q::Quantity{"L", "l_h", 1.0, "H", -100.0, 100.0, "inductance shown"});
        field(self.mode,
              q::Choice<3>{"mode", {"series", "parallel", "unknown"}, "how it is shown", 0});
        field(self.leads, q::leads.orElse(0.0));
        field(self.twinR, q::reading.as("twin_r_ohm", "the twin's, same mode and leads"));
        field(self.twinL,
              q::Quantity{
                  "L", "twin_l_h", 1.0, "H", -100.0, 100.0, "the twin's, same mode and leads"});
        field(self.nominal, q::nominal.within(0.5, 600.0));
        driver::ModelKeys::fields(self.model, field);
    }
};

/// An LCR reading, as series values, against its reference.
struct LcrJudgement {
    std::optional<double> r; ///< Ω, series, leads off
    std::optional<double> l; ///< H, series
    std::optional<double> modulus;
    std::optional<double> phase; ///< rad
    std::optional<double> ratioR;
    std::optional<double> ratioL;
    LcrClass kind{};
    std::optional<LcrClass> kindIfSeries; ///< only where the mode is unknown
    std::optional<LcrClass> kindIfParallel;
    bool modeDoubtful{};               ///< series values that a driver of this rating hardly has
    bool coneInReading{};              ///< below 5·fs
    std::optional<double> recommended; ///< Hz, lowest frequency of common meters from 5·fs up
    bool danger{};

    bool operator==(const LcrJudgement&) const = default;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.r, q::reading.as("r_series_ohm", "series resistance, leads off"));
        field(self.l, q::Quantity{"L", "l_series_h", 1.0, "H", -1e9, 1e9, "series inductance"});
        field(self.modulus, q::reading.as("impedance_ohm", "modulus"));
        field(self.phase,
              q::Quantity{"φ", "phase_deg", q::degree, "°", -180.0, 180.0, "angle of Z"});
        field(self.ratioR, q::Quantity{"", "ratio_r", 1.0, "", -1e9, 1e9, "to the reference"});
        field(self.ratioL, q::Quantity{"", "ratio_l", 1.0, "", -1e9, 1e9, "to the reference"});
        field(self.kind, lcrClass);
        field(self.kindIfSeries, named("class_if_series"));
        field(self.kindIfParallel, named("class_if_parallel"));
        field(self.modeDoubtful,
              q::Flag{"mode_doubtful", "as series values a driver of this rating hardly has them"});
        field(self.coneInReading, q::Flag{"cone_in_reading", "below 5·fs the cone is read too"});
        field(self.recommended, q::frequency.as("recommended_hz", "meter frequency to use"));
        field(self.danger, q::Flag{"danger", "it can destroy an amplifier"});
    }

private:
    static constexpr quantity::Choice<8> named(std::string_view key) {
        quantity::Choice<8> choice = lcrClass;
        choice.key = key;
        return choice;
    }
};

/// Judges a reading of an LCR meter against the twin's, else against the driver's model at that
/// frequency.
///
/// Everything is compared as series values Z = R + jωL: parallel ones by 1/Z = 1/R + 1/(jωL); the
/// leads come off R. Match: R within 10 %, L within 15 % (common practice). Both low is the mark of
/// shorted turns. Where the mode is unknown both are judged; if they differ, that is the answer.
/// Errors: leads above the series resistance (`lead_ohm`), a twin by halves, a model by halves.
[[nodiscard]] Result<LcrJudgement> lcr(const LcrRequest& request);

/// Outcome of the check `lcr` for the diagnosis, or nothing where the reading decides nothing.
[[nodiscard]] std::optional<std::string> lcrOutcome(LcrClass kind);

/// Where a driver's inductance is read if its resonance is not known yet (common practice), Hz.
[[nodiscard]] constexpr double usualMeterFrequency(quantity::DriverRole role) {
    return role == quantity::DriverRole::tweeter ? 10000.0 : 1000.0;
}

/// Lowest of 100, 120, 1000, 10 000, 100 000 Hz that is at least 5·fs.
[[nodiscard]] std::optional<double> meterFrequency(double fs);

} // namespace yf::bench
