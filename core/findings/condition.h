// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/job/job.h"

#include <memory>
#include <optional>
#include <string>
#include <string_view>
#include <variant>
#include <vector>

/// Conditions over facts, written as text: `abs(pair.level_difference_db) > 0.5`.
namespace yf::findings {

/// A figure or a yes/no.
using Fact = std::variant<double, bool>;

/// What a condition says of one fact it uses.
struct FactUse {
    std::string name;      ///< "group.key"
    bool isFlag{};         ///< compared with true or false
    bool mustBePositive{}; ///< divided by, or under a logarithm

    bool operator==(const FactUse&) const = default;
};

/// Outcome of a condition whose facts are all there.
struct Outcome {
    bool holds{};
    std::optional<double> figure;    ///< left side of the first comparison of figures
    std::optional<double> threshold; ///< its right side
};

/// Comparisons (> < >= <= ==) of sums, products, quotients, powers (**, binds tighter than a sign
/// before it, to the right), abs() and log2() of facts and numbers, joined by `and`. A flag is
/// compared by == with true or false. Nothing else is understood.
class Condition {
public:
    /// Fails with the text as subject and the column of what was not understood. `limit` stands in
    /// place of the limit written in the text.
    [[nodiscard]] static Result<Condition> parse(std::string_view text,
                                                 std::optional<double> limit = std::nullopt);

    /// Facts in the order of their first use.
    [[nodiscard]] const std::vector<FactUse>& facts() const { return facts_; }

    /// The first number on the right side of the first comparison of figures: what a person may
    /// change. Nothing where both sides are facts, or yes/no alone is asked.
    [[nodiscard]] std::optional<double> limit() const { return limit_; }

    /// `values` stand in the order of facts(); a flag holds bool, a figure double.
    [[nodiscard]] Outcome judge(const std::vector<Fact>& values) const;

    struct Node;

private:
    struct Comparison {
        enum class Sign { above, below, atLeast, atMost, equal } sign{};
        std::shared_ptr<const Node> left;
        std::shared_ptr<const Node> right;
        std::optional<std::size_t> flag; ///< index of the fact compared with `wanted`
        bool wanted{};
    };

    friend class ConditionParser;

    std::vector<Comparison> comparisons_;
    std::vector<FactUse> facts_;
    std::optional<double> limit_;
};

} // namespace yf::findings
