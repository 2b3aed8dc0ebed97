// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/quantity/quantities.h"

#include <optional>
#include <string>
#include <vector>

namespace yf::bench {

/// Where the tips were.
enum class Place { driver, cabinet };

inline constexpr quantity::Choice<2> where{
    "where", {"driver", "cabinet"}, "lugs of the driver, or terminals of the cabinet", 0};

enum class DcrClass {
    isShorted,
    low,
    slightlyLow,
    normal,
    slightlyHigh,
    high,
    open,
    drifting,
    lowAgainstTwin,
    highAgainstTwin
};

inline constexpr quantity::Choice<10> dcrClass{"class",
                                               {"shorted",
                                                "low",
                                                "slightly_low",
                                                "normal",
                                                "slightly_high",
                                                "high",
                                                "open",
                                                "drifting",
                                                "low_against_twin",
                                                "high_against_twin"},
                                               "what the reading is"};

/// Input of `bench dcr`. A reading over the meter's range is null.
struct DcrRequest {
    std::optional<std::optional<double>> reading;
    std::vector<std::optional<double>> readings;
    bool overRange{};
    double nominal{};
    double leads{};
    Place place{};
    std::optional<double> twin; ///< leads off
    double temperature{20.0};   ///< °C, of the coil
    double meterError{0.01};    ///< of the reading
    double resolution{0.1};     ///< Ω

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.reading, q::reading);
        field(self.readings,
              q::reading.as("readings_ohm", "repeated readings").orElse(0.0)); // default: none
        field(self.overRange, q::Flag{"over_range", "the meter shows no number", false});
        field(self.nominal, q::nominal.within(0.5, 600.0));
        field(self.leads, q::leads.orElse(0.0));
        field(self.place, where);
        field(self.twin, q::reading.as("twin_ohm", "the twin's, leads off").within(0.01, 1e4));
        field(self.temperature, q::temperature.orElse(20.0));
        field(self.meterError,
              q::Quantity{"", "meter_pct", 0.01, "%", 0.0, 50.0, "meter's error"}.orElse(1.0));
        field(self.resolution,
              q::reading.as("resolution_ohm", "last digit of the meter")
                  .within(0.0, 10.0)
                  .orElse(0.1));
    }
};

/// A DC resistance, what it is, and how sure that is.
struct DcrJudgement {
    std::optional<double> dcr;   ///< Ω, leads off, at 20 °C, median; absent: open
    std::optional<double> ratio; ///< to the nominal impedance
    DcrClass kind{};
    double expectedLow{};
    double expectedHigh{};
    std::optional<double> u;             ///< Ω, limit of error
    bool sure{};                         ///< the class is the same at both ends of ±u
    std::optional<double> twinDeviation; ///< share of the twin's
    std::vector<std::string> suspects;   ///< faults to think of
    std::string next;                    ///< check to make next

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.dcr, q::dcr);
        field(self.ratio, q::Quantity{"", "ratio", 1.0, "", 0.0, 1e9, "to the nominal impedance"});
        field(self.kind, dcrClass);
        field(self.expectedLow, q::dcr.as("expected_low_ohm", "least that is normal"));
        field(self.expectedHigh, q::dcr.as("expected_high_ohm", "most that is normal"));
        field(self.u, q::dcr.as("u_ohm", "limit of error of the reading"));
        field(self.sure, q::Flag{"sure", "the class holds within the limit of error"});
        field(self.twinDeviation,
              q::Quantity{"", "twin_deviation_pct", 0.01, "%", -100.0, 1e9, "from the twin"});
        field(self.suspects, q::Word{"suspects", "faults to think of"});
        field(self.next, q::Word{"next", "check to make next"});
    }

    bool operator==(const DcrJudgement&) const = default;
};

/// Judges readings of DC resistance against the nominal impedance and, where known, the twin.
///
/// r = DCR/nominal: shorted < 0.10 ≤ low < 0.60 ≤ slightly low < 0.70 ≤ normal ≤ 1.15 <
/// slightly high ≤ 1.30 < high ≤ 10 < open (common practice: 70 to 90 % is what one meets).
/// At the cabinet a coil in series may add 1 Ω to the bounds above normal. Readings that spread by
/// more than 5 %, or open some of the time, are drifting. Order: open, drifting, nominal, twin.
/// Limit of error: meter_pct of the reading, and one resolution each for reading and leads.
/// Copper: R(T) = R20·(1 + 0.00393·(T − 20 °C)), after IEC 60028.
/// Errors: no reading given, or given in more than one way; leads above the reading (`lead_ohm`).
[[nodiscard]] Result<DcrJudgement> dcr(const DcrRequest& request);

/// Outcome of the check `dcr` for the diagnosis: open, low, high, drifting or normal.
[[nodiscard]] std::string dcrOutcome(DcrClass kind);

} // namespace yf::bench
