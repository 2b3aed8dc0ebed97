// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/quantity/quantities.h"

#include <optional>
#include <string>
#include <vector>

namespace yf::sim {

enum class Readings { table, instruments };
enum class Order { advice, random };

/// Input of `bench trial`: how well the advice does on seeded cases.
struct TrialRequest {
    int cases{1500};
    double seed{1.0};
    Readings readings{};
    Order order{};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.cases, q::Whole{"cases", 1, 100000, "speakers to diagnose", 1500});
        field(self.seed,
              q::Quantity{"", "seed", 1.0, "", 0.0, 9007199254740992.0, "of the first case"}.orElse(
                  1.0));
        field(self.readings,
              q::Choice<2>{"readings",
                           {"table", "instruments"},
                           "outcomes drawn from the evidence table, or read from specimens",
                           0});
        field(self.order, q::Choice<2>{"order", {"advice", "random"}, "which check comes next", 0});
    }
};

/// What came of it.
struct Trial {
    double right{};   ///< share of right verdicts
    double claimed{}; ///< mean probability that the verdicts claimed
    double meanMinutes{};
    double medianMinutes{};
    double meanChecks{};
    double healthyCondemned{}; ///< share of healthy speakers whose driver was condemned
    double soundCondemned{};   ///< share of sound drivers condemned, whatever else is wrong
    double soundBlamed{};      ///< share of sound drivers named at all, repairs and doubts included
    std::vector<std::string> faults;
    std::vector<std::optional<double>> rights;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.right, share("right_pct", "verdicts that name the fault"));
        field(self.claimed,
              q::Quantity{"p", "claimed_p", 1.0, "", 0.0, 1.0, "mean claim of the verdicts"});
        field(self.meanMinutes, minutes("mean_min"));
        field(self.medianMinutes, minutes("median_min"));
        field(self.meanChecks, q::Quantity{"", "mean_checks", 1.0, "", 0.0, 100.0, "checks made"});
        field(self.healthyCondemned,
              share("healthy_condemned_pct", "healthy speakers whose driver was condemned"));
        field(self.soundCondemned,
              share("sound_condemned_pct", "sound drivers condemned, whatever else is wrong"));
        field(self.soundBlamed,
              share("sound_blamed_pct", "sound drivers named at all, with whatever claim"));
        field(self.faults, q::Word{"faults", "in the order of the table"});
        field(self.rights, share("rights_pct", "right verdicts by fault; null: no case"));
    }

private:
    static constexpr quantity::Quantity share(std::string_view key, std::string_view help) {
        return {"", key, 0.01, "%", 0.0, 100.0, help};
    }

    static constexpr quantity::Quantity minutes(std::string_view key) {
        return {"t", key, 1.0, "min", 0.0, 1e4, "simulated minutes"};
    }
};

/// Each case: a fault by its prior, then checks one after another until the leader has 90 % or no
/// check gains 0.01 bit; the verdict is the leader. The bar on amplifiers is in force in both
/// orders. Case k of `seed` is the same on every machine.
///
/// Condemned: said with at least 90 % to have an open coil, shorted turns or a rub, or to be the
/// wrong driver, that is, to be reconed or replaced. A torn surround, a lead-in or a joint is
/// repaired, and a leader below 90 % is a doubt.
[[nodiscard]] Result<Trial> trial(const TrialRequest& request);

} // namespace yf::sim
