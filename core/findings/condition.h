// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/findings/fact.h"

#include <memory>
#include <optional>
#include <vector>

/// Conditions over facts, written as they are read: `abs(pair::level_difference_db) > 0.5`. What
/// they name, the compiler knows.
namespace yf::findings {

/// A sum, product, quotient, power, abs() or log2() of figures and numbers.
class Expression {
public:
    Expression(double number);        // NOLINT(google-explicit-constructor): 2 * figure
    Expression(const Figure& figure); // NOLINT(google-explicit-constructor): figure * 2

    struct Node;

private:
    explicit Expression(std::shared_ptr<const Node> node) : node_(std::move(node)) {}

    friend struct ExpressionParts;

    std::shared_ptr<const Node> node_;
};

[[nodiscard]] Expression operator+(const Expression& a, const Expression& b);
[[nodiscard]] Expression operator-(const Expression& a, const Expression& b);
[[nodiscard]] Expression operator*(const Expression& a, const Expression& b);
[[nodiscard]] Expression operator/(const Expression& a, const Expression& b);
[[nodiscard]] Expression pow(const Expression& base, const Expression& exponent);
[[nodiscard]] Expression abs(const Expression& a);
[[nodiscard]] Expression log2(const Expression& a);

/// What a condition says of one fact it uses.
struct FactUse {
    const FactKind* kind{};
    const Figure* figure{}; ///< null: a flag
    const Flag* flag{};     ///< null: a figure
    bool mustBePositive{};  ///< divided by, or under a logarithm

    bool operator==(const FactUse&) const = default;
};

/// Outcome of a condition whose facts are all there.
struct Outcome {
    bool holds{};
    std::optional<double> figure;    ///< left side of the first comparison of figures
    std::optional<double> threshold; ///< its right side
};

/// Comparisons, all of which must hold.
class Condition {
public:
    /// Facts in the order of their first use.
    [[nodiscard]] const std::vector<FactUse>& facts() const { return facts_; }

    /// The first number on the right side of the first comparison of figures: what a person may
    /// change. Nothing where both sides are facts, or yes/no alone is asked.
    [[nodiscard]] std::optional<double> limit() const { return limit_; }

    /// The same with another limit; unchanged where there is none.
    [[nodiscard]] Condition withLimit(double limit) const;

    /// `values` stand in the order of facts(); a flag holds bool, a figure double.
    [[nodiscard]] Outcome judge(const std::vector<Fact>& values) const;

    /// The fact that the first comparison of figures compares by itself or by its size, or null.
    [[nodiscard]] const Figure* compared() const;

    enum class Sign { above, below, atLeast, atMost };

private:
    struct Comparison {
        Sign sign{};
        std::shared_ptr<const Expression::Node> left; ///< null: a flag
        std::shared_ptr<const Expression::Node> right;
        const Flag* flag{};
        bool wanted{};
    };

    friend struct ExpressionParts;

    double valueOf(const Expression::Node& node, const std::vector<Fact>& values) const;

    std::vector<Comparison> comparisons_;
    std::vector<FactUse> facts_;
    std::optional<double> limit_;
};

[[nodiscard]] Condition operator>(const Expression& a, const Expression& b);
[[nodiscard]] Condition operator<(const Expression& a, const Expression& b);
[[nodiscard]] Condition operator>=(const Expression& a, const Expression& b);
[[nodiscard]] Condition operator<=(const Expression& a, const Expression& b);
[[nodiscard]] Condition operator==(const Flag& flag, bool wanted);
[[nodiscard]] Condition operator&&(const Condition& a, const Condition& b);

} // namespace yf::findings
