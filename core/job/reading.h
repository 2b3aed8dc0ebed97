// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/bench/lcr.h"
#include "core/text/fields.h"

#include <optional>
#include <string>
#include <vector>

namespace yf::job {

/// One check at the bench: what was read, as the instrument showed it, and what it showed. It is
/// never changed: a new reading joins the old ones, and one that was a mistake is set aside.
struct BenchReading {
    std::string id;
    std::string check;   ///< key of the evidence table
    std::string outcome; ///< key; empty where the reading decides nothing yet
    std::string cabinet;
    std::string driver; ///< empty: about the cabinet as a whole
    std::string at;     ///< local time
    bench::Place place{};
    std::vector<std::optional<double>> ohms; ///< DC resistance, leads included; null: over range
    std::optional<double> frequency;         ///< of the LCR reading, Hz
    std::optional<double> r;                 ///< Ω, as shown; absent beside a frequency: open
    std::optional<double> l;                 ///< H, as shown
    bench::LcrMode mode{};
    double leads{};
    double resolution{0.1};
    std::optional<double> voltage; ///< of the battery
    std::string instrument;        ///< empty: by hand
    std::string note;
    bool setAside{};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.id, q::Word{"id", "name inside the job"});
        field(self.check, q::Word{"check", "which check"});
        field(self.outcome, q::Word{"outcome", "what it showed", ""});
        field(self.cabinet, q::Word{"cabinet", "at which cabinet", ""});
        field(self.driver, q::Word{"driver", "on which driver", ""});
        field(self.at, q::Word{"at", "when", ""});
        field(self.place, bench::where);
        field(self.ohms, q::reading.as("readings_ohm", "as shown, leads included").orElse(0.0));
        field(self.frequency, q::frequency);
        field(self.r, q::reading.as("r_ohm", "as shown"));
        field(self.l, q::Quantity{"L", "l_h", 1.0, "H", -100.0, 100.0, "as shown"});
        field(self.mode,
              q::Choice<3>{"mode", {"series", "parallel", "unknown"}, "how it is shown", 0});
        field(self.leads, q::leads.orElse(0.0));
        field(self.resolution,
              q::reading.as("resolution_ohm", "last digit").within(0.0, 10.0).orElse(0.1));
        field(self.voltage, q::cell);
        field(self.instrument, q::Word{"instrument", "what read it", ""});
        field(self.note, q::Word{"note", "remark", ""});
        field(self.setAside, q::Flag{"set_aside", "a mistake: no longer counted", false});
    }

    bool operator==(const BenchReading&) const = default;
};

} // namespace yf::job
