// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/driver/fit.h"
#include "core/driver/impedance_keys.h"
#include "core/text/value.h"

#include <optional>
#include <string>
#include <vector>

namespace yf::driver {

/// "auto" or one of the coil's descriptions.
enum class InductanceChoice { automatic, none, ideal, leach, lr2, semi, semiRing };

/// Input of `driver fit-impedance`.
struct FitRequest {
    ImpedanceKeys impedance;
    std::optional<double> dcr;
    double dcrU{0.01};
    FitKind kind{};
    InductanceChoice inductance{};
    std::vector<double> u;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        ImpedanceKeys::fields(self.impedance, field);
        field(self.dcr, q::dcr.as("dcr_ohm", "by meter, leads off").within(0.05, 2000.0));
        field(self.dcrU,
              q::Quantity{"", "dcr_u_pct", 0.01, "%", 0.01, 50.0, "its uncertainty"}.orElse(1.0));
        field(self.kind,
              q::Choice<2>{"kind", {"free", "vented"}, "free air or in a vented box", 0});
        field(self.inductance,
              q::Choice<7>{"inductance_model",
                           {"auto", "none", "ideal", "leach", "lr2", "semi", "semi_ring"},
                           "how the coil is described",
                           0});
        field(self.u,
              q::Quantity{"", "u_pct", 0.01, "%", 1e-6, 100.0, "of each point"}.orElse(0.0));
    }
};

[[nodiscard]] std::optional<Error> check(const FitRequest& request);

struct FitAnswer {
    FitResult fit;

    [[nodiscard]] text::Value write() const;
};

[[nodiscard]] Result<FitAnswer> fitVerb(const FitRequest& request);

} // namespace yf::driver
