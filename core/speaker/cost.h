// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/quantity/quantities.h"

#include <string>
#include <vector>

/// What ways of repair cost, in the job's currency; every number is the user's own.
namespace yf::speaker {

struct CostPart {
    std::string name;
    double price{};
    int count{1};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.name, q::Word{"name", "what is bought", ""});
        field(self.price, q::price);
        field(self.count, q::Whole{"count", 0, 10000, "how many", 1});
    }
};

struct CostPath {
    std::string name;
    std::vector<CostPart> parts;
    double hours{};
    double rate{};
    double risk{}; ///< share
    double reworkHours{};
    double reworkPrice{};

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        const q::Quantity hours{"", "hours", 1.0, "h", 0.0, 1e5, "of work"};
        field(self.name, q::Word{"name", "of the way"});
        field(self.parts, q::Group{"parts", "what is bought", true});
        field(self.hours, hours.orElse(0.0));
        field(self.rate,
              q::Quantity{"", "hourly_rate", 1.0, "", 0.0, 1e6, "of an hour"}.orElse(0.0));
        field(self.risk,
              q::Quantity{"", "risk_pct", 0.01, "%", 0.0, 100.0, "that it has to be done again"}
                  .orElse(0.0));
        field(self.reworkHours, hours.as("rework_hours", "if so").orElse(0.0));
        field(self.reworkPrice,
              q::Quantity{"", "rework_price", 1.0, "", 0.0, 1e6, "if so"}.orElse(0.0));
    }
};

struct CostRequest {
    std::vector<CostPath> paths;

    static void fields(auto& self, auto&& field) {
        field(self.paths, yf::quantity::Group{"paths", "one or more"});
    }
};

[[nodiscard]] std::optional<Error> check(const CostRequest& request);

struct CostAnswer {
    std::vector<double> expected;
    std::vector<double> worst;
    std::string cheapest; ///< by what is expected

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        const auto money = [](const char* key, const char* help) {
            return q::Quantity{"", key, 1.0, "", 0.0, 1e12, help};
        };
        field(self.expected, money("expected", "for each, in order"));
        field(self.worst, money("worst", "with everything done again"));
        field(self.cheapest, q::Word{"cheapest", "name, by expected"});
    }
};

/// expected = Σ price·count + hours·rate + risk·(rework_price + rework_hours·rate); worst: risk 1.
[[nodiscard]] Result<CostAnswer> cost(const CostRequest& request);

} // namespace yf::speaker
