// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/box/driver.h"

#include <string>

namespace yf::box {

/// Which box a school of thought names. A rule, not a computation: the response overrules it.
enum class Advice { vented, closed, open, either };

/// Input of `box advise`.
struct AdviseRequest {
    double fs{};
    double Qms{};
    double Qes{};
    std::optional<double> Re;
    double sourceResistance{};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.fs, q::fs.within(5.0, 5000.0));
        field(self.Qms, q::Qms.within(0.1, 100.0));
        field(self.Qes, q::Qes.within(0.02, 50.0));
        field(self.Re, q::Re.within(0.1, 1000.0));
        field(self.sourceResistance,
              q::sourceResistance.as("source_resistance_ohm", "before the driver; needs Re_ohm")
                  .within(0.0, 100.0)
                  .orElse(0.0));
    }
};

[[nodiscard]] std::optional<Error> check(const AdviseRequest& request);

struct Advised {
    double Qts{}; ///< with the source
    double ebp{}; ///< fs/Qes, Hz, without it
    Advice byQts{};
    Advice byEbp{};
    bool agree{};
    Advice advice{};
    Words reason; ///< a sentence

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        constexpr std::array<std::string_view, 4> names{"vented", "closed", "open", "either"};
        field(self.Qts, q::Qts);
        field(self.ebp, q::frequency.as("ebp_hz", "fs over Qes"));
        field(self.byQts, q::Choice<4>{"by_Qts", names, "brackets on Qts", {}});
        field(self.byEbp, q::Choice<4>{"by_ebp", names, "brackets on fs/Qes", {}});
        field(self.agree, q::Flag{"agree", "both name the same"});
        field(self.advice, q::Choice<4>{"advice", names, "default: Qts decides", {}});
        field(self.reason, q::Word{"reason", "in words"});
    }
};

/// Brackets [low, high) on Qts: below 0.4 vented, to 0.7 closed, above open; on fs/Qes: below 50 Hz
/// closed, above 100 Hz vented, either between (common practice, both). Qts decides since it
/// includes the mechanical damping.
[[nodiscard]] Result<Advised> advise(const AdviseRequest& request);

[[nodiscard]] std::string_view adviceName(Advice advice);

} // namespace yf::box
