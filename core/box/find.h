// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/box/map.h"

#include <string>

namespace yf::box {

enum class FindKind { closed, vented };
enum class Objective { f3, volume };

/// Input of `box find`.
struct FindRequest {
    Driver driver;
    Source source;
    std::vector<std::string> kinds;
    double VbMax{};
    std::optional<double> VbMin;
    std::optional<double> f3Max;
    double peakMax{1.0};
    std::optional<double> groupDelayMax;
    std::optional<double> levelMin;
    Objective objective{};
    double QL{usualQL};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        Driver::fields(self.driver, field);
        Source::fields(self.source, field);
        field(self.kinds, q::Word{"kinds", "closed, vented, or both"});
        field(self.VbMax, q::Vb.as("Vb_max_l", "largest volume"));
        field(self.VbMin, q::Vb.as("Vb_min_l", "smallest volume; default: a tenth"));
        field(self.f3Max, q::f3.as("f3_max_hz", "wish"));
        field(self.peakMax, q::peak.as("peak_max_db", "wish").within(0.0, 40.0).orElse(1.0));
        field(self.groupDelayMax, q::groupDelay.as("group_delay_max_s", "wish").within(0.0, 1.0));
        field(self.levelMin,
              q::peak.as("level_min_db", "wish: least level that travel and power allow"));
        field(self.objective,
              q::Choice<2>{"objective", {"f3", "volume"}, "what is to be least", 0});
        field(self.QL, q::QL.orElse(usualQL));
    }
};

[[nodiscard]] std::optional<Error> check(const FindRequest& request);

/// One of the boxes between which only taste decides.
struct FoundBox {
    double Vb{};
    double fb{};
    double f3{};
    double groupDelay{};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.Vb, q::Vb);
        field(self.fb, q::fb);
        field(self.f3, q::f3);
        field(self.groupDelay, q::groupDelay.as("group_delay_max_s", "10 Hz to 1 kHz"));
    }
};

struct Found {
    std::optional<std::string> kind;
    std::optional<double> Vb;
    std::optional<double> fb;
    std::optional<double> f3;
    double feasible{};                   ///< share of the boxes tried
    std::optional<std::string> blocking; ///< key of the wish that most boxes fail; none: found
    std::vector<FoundBox> front;     ///< ported ones that no other beats in volume, f3 and delay
    std::optional<double> reachable; ///< what that wish would have to give way to, in its unit

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.kind, q::Word{"best_kind", "closed or vented"});
        field(self.Vb, q::Vb.as("best_Vb_l", "volume"));
        field(self.fb, q::fb.as("best_fb_hz", "tuning"));
        field(self.f3, q::f3.as("best_f3_hz", "of the full model"));
        field(self.feasible,
              q::Quantity{"", "feasible_pct", 0.01, "%", 0.0, 100.0, "of the boxes tried"});
        field(self.blocking, q::Word{"blocking", "wish that excludes most, if all are excluded"});
        field(self.reachable,
              q::Quantity{
                  "", "blocking_reachable", 1.0, "", -1e9, 1e9, "what it would have to allow"});
        field(self.front,
              q::Group{"front", "ported boxes unbeaten in volume, f3 and group delay", true});
    }
};

/// 100 volumes by 100 tunings (0.4 to 2 fs), closed ones by volume alone; then the grid is laid
/// eight times finer round the best, three times, since wishes make corners. Ties go to the smaller
/// box. Nothing feasible is an answer, not an error.
[[nodiscard]] Result<Found> find(const FindRequest& request);

} // namespace yf::box
