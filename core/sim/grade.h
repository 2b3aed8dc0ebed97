// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/bench/evidence.h"
#include "core/quantity/quantities.h"

namespace yf::sim {

/// Input of `bench grade`.
struct GradeRequest {
    std::string fault;
    std::string verdict;
    std::vector<std::string> checks;
    int barredDone{};
    int cautionsIgnored{};
    double reference{}; ///< minutes
    bool boxOpen{};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.fault, q::Word{"fault", "the truth"});
        field(self.verdict, q::Word{"verdict", "what was said"});
        field(self.checks, q::Word{"checks", "those done, in order"});
        field(self.barredDone, q::Whole{"barred_done", 0, 100, "checks done while barred", 0});
        field(self.cautionsIgnored, q::Whole{"cautions_ignored", 0, 100, "cautions not minded", 0});
        field(self.reference,
              q::Quantity{"t", "reference_min", 1.0, "min", 0.0, 1e4, "time of the advised route"});
        field(self.boxOpen, q::Flag{"box_open", "the cabinet was open at the start", false});
    }
};

/// Points out of 100.
struct Grade {
    double used{}; ///< minutes
    double verdict{};
    double time{};
    double safety{};
    double score{};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.used, q::Quantity{"t", "used_min", 1.0, "min", 0.0, 1e4, "with opening"});
        field(self.verdict, points("verdict_points"));
        field(self.time, points("time_points"));
        field(self.safety, points("safety_points"));
        field(self.score, points("score"));
    }

private:
    static constexpr quantity::Quantity points(std::string_view key) {
        return {"", key, 1.0, "", 0.0, 100.0, "points"};
    }
};

/// Verdict right 60, wrong with the same consequence 30; time 25·min(1, reference/used), with a
/// right verdict only; safety 15 less 5 for each caution ignored. A barred check done, or "healthy"
/// said of shorted turns: 40 at most. Errors: unknown fault, verdict or check; a check twice.
[[nodiscard]] Result<Grade> grade(const GradeRequest& request);

/// Faults after which the same is done: open coil or lead-in; protector, wire or contact; surround
/// or former.
[[nodiscard]] bool sameConsequence(std::string_view a, std::string_view b);

} // namespace yf::sim
