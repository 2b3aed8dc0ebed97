// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/quantity/quantities.h"
#include "core/text/fields.h"

#include <optional>
#include <string>
#include <vector>

namespace yf::bench {

/// One way to go on, and what it takes.
struct Path {
    double parts{}; ///< price, in the job's currency
    double hours{};
    double success{1.0}; ///< chance that it works
    double mismatch{};   ///< dB left against the other side

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.parts, q::Quantity{"", "parts", 1.0, "", 0.0, 1e7, "price of the parts"});
        field(self.hours, q::Quantity{"t", "hours", 1.0, "h", 0.0, 1e4, "hours of work"});
        field(self.success,
              q::Quantity{"q", "success", 1.0, "", 0.0, 1.0, "chance that it works"}.orElse(1.0));
        field(self.mismatch,
              q::Quantity{"", "mismatch_db", 1.0, "dB", 0.0, 60.0, "left against the other side"}
                  .orElse(0.0));
    }
};

/// Input of `bench decide`.
struct DecideRequest {
    std::optional<Path> leave;
    std::optional<Path> repair;
    std::optional<Path> replaceDriver;
    std::optional<Path> replaceAndRedesign;
    std::optional<Path> newCabinet;
    double rate{};
    double penalty{};
    std::string fault;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.leave, q::Group{"leave", "leave it as it is", true});
        field(self.repair, q::Group{"repair", "recone, new surround, lead-in or part", true});
        field(self.replaceDriver, q::Group{"replace_driver", "another driver on this side", true});
        field(self.replaceAndRedesign,
              q::Group{"replace_and_redesign", "new drivers and network on both sides", true});
        field(self.newCabinet, q::Group{"new_cabinet", "build anew", true});
        field(self.rate,
              q::Quantity{"", "rate_per_hour", 1.0, "", 0.0, 1e6, "price of an hour"}.orElse(0.0));
        field(self.penalty,
              q::Quantity{
                  "", "penalty_per_db", 1.0, "", 0.0, 1e6, "price of a decibel unmatched beyond 1"}
                  .orElse(0.0));
        field(self.fault, q::Word{"fault", "what was found", ""});
    }
};

/// The paths compared.
struct Decision {
    std::vector<std::string> paths;
    std::vector<double> direct;
    std::vector<double> total;
    std::vector<std::string> ranking;
    std::optional<std::string> recommended;
    std::vector<std::string> notAllowed;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.paths, q::Word{"paths", "those given"});
        field(self.direct, q::Quantity{"", "direct", 1.0, "", 0.0, 1e12, "parts and hours"});
        field(self.total,
              q::Quantity{"", "total", 1.0, "", 0.0, 1e12, "with risk and what stays unmatched"});
        field(self.ranking, q::Word{"ranking", "allowed ones, cheapest first"});
        field(self.recommended, q::Word{"recommended", "cheapest of the allowed ones"});
        field(self.notAllowed, q::Word{"not_allowed", "paths that the fault bars"});
    }
};

/// direct = parts + hours·rate;
/// total = direct + (1 − success)·(cheapest direct of the other paths except leave; 0 if none)
///         + max(0, mismatch − 1 dB)·penalty.
/// Shorted turns, a rub or an open coil cannot be left; an amplifier's fault has no path here but
/// service, so nothing is recommended. Errors: no path given; a fault that is not known (`fault`).
[[nodiscard]] Result<Decision> decide(const DecideRequest& request);

} // namespace yf::bench
