// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/findings/condition.h"

#include <algorithm>
#include <cmath>

namespace yf::findings {

struct Expression::Node {
    enum class Kind { number, figure, add, subtract, multiply, divide, power, abs, log2 };
    Kind kind{};
    double number{};
    const Figure* figure{};
    std::shared_ptr<const Node> a;
    std::shared_ptr<const Node> b;
};

namespace {

using Node = Expression::Node;
using NodePtr = std::shared_ptr<const Node>;

/// Notes what is used, in the order in which it is read.
void use(std::vector<FactUse>& uses, const FactUse& use) {
    const auto known = std::ranges::find(uses, use.kind, &FactUse::kind);
    if (known == uses.end()) {
        uses.push_back(use);
    } else {
        known->mustBePositive = known->mustBePositive || use.mustBePositive;
    }
}

void useAll(std::vector<FactUse>& uses, const Node& node, bool mustBePositive) {
    if (node.figure != nullptr) {
        use(uses, {.kind = node.figure, .figure = node.figure, .mustBePositive = mustBePositive});
    }
    if (node.a) {
        useAll(uses, *node.a, mustBePositive || node.kind == Node::Kind::log2);
    }
    if (node.b) {
        useAll(uses, *node.b, mustBePositive || node.kind == Node::Kind::divide);
    }
}

/// The first number as one reads it, or null.
const Node* firstNumber(const Node& node) {
    if (node.kind == Node::Kind::number) {
        return &node;
    }
    const Node* found = node.a ? firstNumber(*node.a) : nullptr;
    return found == nullptr && node.b ? firstNumber(*node.b) : found;
}

NodePtr withNumber(const NodePtr& node, const Node* old, double number) {
    if (!node) {
        return node;
    }
    Node changed = *node;
    if (node.get() == old) {
        changed.number = number;
    }
    changed.a = withNumber(node->a, old, number);
    changed.b = withNumber(node->b, old, number);
    return std::make_shared<const Node>(std::move(changed));
}

} // namespace

/// The inside of expressions and conditions, for the operators alone.
struct ExpressionParts {
    static Expression join(Node::Kind kind, const Expression& a, const Expression* b = nullptr) {
        return Expression(std::make_shared<const Node>(
            Node{.kind = kind, .a = a.node_, .b = b == nullptr ? nullptr : b->node_}));
    }

    static Condition compare(Condition::Sign sign, const Expression& a, const Expression& b) {
        Condition made;
        useAll(made.facts_, *a.node_, false);
        useAll(made.facts_, *b.node_, false);
        if (const Node* number = firstNumber(*b.node_)) {
            made.limit_ = number->number;
        }
        made.comparisons_.push_back({.sign = sign, .left = a.node_, .right = b.node_});
        return made;
    }

    static Condition compare(const Flag& flag, bool wanted) {
        Condition made;
        use(made.facts_, {.kind = &flag, .flag = &flag});
        made.comparisons_.push_back({.flag = &flag, .wanted = wanted});
        return made;
    }

    static Condition both(const Condition& a, const Condition& b) {
        Condition made = a;
        const bool figuresBefore = std::ranges::any_of(
            a.comparisons_, [](const auto& comparison) { return comparison.left != nullptr; });
        if (!figuresBefore) {
            made.limit_ = b.limit_;
        }
        for (const FactUse& u : b.facts_) {
            use(made.facts_, u);
        }
        made.comparisons_.insert(
            made.comparisons_.end(), b.comparisons_.begin(), b.comparisons_.end());
        return made;
    }
};

Expression::Expression(double number)
    : node_(std::make_shared<const Node>(Node{.kind = Node::Kind::number, .number = number})) {}

Expression::Expression(const Figure& figure)
    : node_(std::make_shared<const Node>(Node{.kind = Node::Kind::figure, .figure = &figure})) {}

Expression operator+(const Expression& a, const Expression& b) {
    return ExpressionParts::join(Node::Kind::add, a, &b);
}

Expression operator-(const Expression& a, const Expression& b) {
    return ExpressionParts::join(Node::Kind::subtract, a, &b);
}

Expression operator*(const Expression& a, const Expression& b) {
    return ExpressionParts::join(Node::Kind::multiply, a, &b);
}

Expression operator/(const Expression& a, const Expression& b) {
    return ExpressionParts::join(Node::Kind::divide, a, &b);
}

Expression pow(const Expression& base, const Expression& exponent) {
    return ExpressionParts::join(Node::Kind::power, base, &exponent);
}

Expression abs(const Expression& a) {
    return ExpressionParts::join(Node::Kind::abs, a);
}

Expression log2(const Expression& a) {
    return ExpressionParts::join(Node::Kind::log2, a);
}

Condition operator>(const Expression& a, const Expression& b) {
    return ExpressionParts::compare(Condition::Sign::above, a, b);
}

Condition operator<(const Expression& a, const Expression& b) {
    return ExpressionParts::compare(Condition::Sign::below, a, b);
}

Condition operator>=(const Expression& a, const Expression& b) {
    return ExpressionParts::compare(Condition::Sign::atLeast, a, b);
}

Condition operator<=(const Expression& a, const Expression& b) {
    return ExpressionParts::compare(Condition::Sign::atMost, a, b);
}

Condition operator==(const Flag& flag, bool wanted) {
    return ExpressionParts::compare(flag, wanted);
}

Condition operator&&(const Condition& a, const Condition& b) {
    return ExpressionParts::both(a, b);
}

Condition Condition::withLimit(double limit) const {
    Condition changed = *this;
    const auto figures = std::ranges::find_if(
        changed.comparisons_, [](const Comparison& c) { return c.left != nullptr; });
    if (limit_ && figures != changed.comparisons_.end()) {
        figures->right = withNumber(figures->right, firstNumber(*figures->right), limit);
        changed.limit_ = limit;
    }
    return changed;
}

const Figure* Condition::compared() const {
    for (const Comparison& c : comparisons_) {
        if (c.left != nullptr) {
            const Node& side = c.left->kind == Node::Kind::abs ? *c.left->a : *c.left;
            return side.figure;
        }
    }
    return nullptr;
}

double Condition::valueOf(const Node& node, const std::vector<Fact>& values) const {
    const auto a = [&] { return valueOf(*node.a, values); };
    const auto b = [&] { return valueOf(*node.b, values); };
    switch (node.kind) {
    case Node::Kind::number:
        return node.number;
    case Node::Kind::figure: {
        const auto at = std::ranges::find(facts_, node.figure, &FactUse::figure);
        return std::get<double>(values[static_cast<std::size_t>(at - facts_.begin())]);
    }
    case Node::Kind::add:
        return a() + b();
    case Node::Kind::subtract:
        return a() - b();
    case Node::Kind::multiply:
        return a() * b();
    case Node::Kind::divide:
        return a() / b();
    case Node::Kind::power:
        return std::pow(a(), b());
    case Node::Kind::abs:
        return std::abs(a());
    case Node::Kind::log2:
        return std::log2(a());
    }
    return 0.0;
}

Outcome Condition::judge(const std::vector<Fact>& values) const {
    Outcome outcome{.holds = true};
    for (const Comparison& c : comparisons_) {
        if (c.flag != nullptr) {
            const auto at = std::ranges::find(facts_, c.flag, &FactUse::flag);
            outcome.holds =
                outcome.holds &&
                std::get<bool>(values[static_cast<std::size_t>(at - facts_.begin())]) == c.wanted;
            continue;
        }
        const double left = valueOf(*c.left, values);
        const double right = valueOf(*c.right, values);
        if (!outcome.figure) {
            outcome.figure = left;
            outcome.threshold = right;
        }
        const auto holds = [&] {
            switch (c.sign) {
            case Sign::above:
                return left > right;
            case Sign::below:
                return left < right;
            case Sign::atLeast:
                return left >= right;
            case Sign::atMost:
                return left <= right;
            }
            return false;
        };
        outcome.holds = outcome.holds && holds();
    }
    return outcome;
}

} // namespace yf::findings
