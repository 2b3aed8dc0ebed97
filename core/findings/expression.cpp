// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/findings/expression.h"

#include "core/job/job.h"
#include "core/text/number.h"

#include <algorithm>
#include <cmath>

namespace yf::findings {

struct Condition::Node {
    enum class Kind { number, fact, add, subtract, multiply, divide, power, negate, abs, log2 };
    Kind kind{};
    double number{};
    std::size_t fact{};
    std::shared_ptr<const Node> a;
    std::shared_ptr<const Node> b;
};

namespace {

using Node = Condition::Node;
using NodePtr = std::shared_ptr<const Node>;

double valueOf(const Node& node, const std::vector<Fact>& facts) {
    const auto a = [&] { return valueOf(*node.a, facts); };
    const auto b = [&] { return valueOf(*node.b, facts); };
    switch (node.kind) {
    case Node::Kind::number:
        return node.number;
    case Node::Kind::fact:
        return std::get<double>(facts[node.fact]);
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
    case Node::Kind::negate:
        return -a();
    case Node::Kind::abs:
        return std::abs(a());
    case Node::Kind::log2:
        return std::log2(a());
    }
    return 0.0;
}

bool isLetter(char c) {
    return (c >= 'a' && c <= 'z') || (c >= 'A' && c <= 'Z') || c == '_';
}

bool isDigit(char c) {
    return c >= '0' && c <= '9';
}

} // namespace

/// Recursive descent; the first thing that is not understood ends it.
class ConditionParser {
public:
    ConditionParser(std::string_view text, std::optional<double> limit)
        : text_(text), newLimit_(limit) {}

    Result<Condition> parse() {
        do {
            comparison();
        } while (!error_ && word("and"));
        skip();
        if (!error_ && at_ != text_.size()) {
            fail("the end, 'and' or an operator");
        }
        if (error_) {
            return *error_;
        }
        return std::move(condition_);
    }

private:
    void fail(const std::string& wanted) {
        if (!error_) {
            error_ = Error{std::string(text_),
                           "column " + std::to_string(at_ + 1) + " is not understood",
                           "must be " + wanted};
        }
    }

    void skip() {
        while (at_ < text_.size() && text_[at_] == ' ') {
            ++at_;
        }
    }

    bool sign(std::string_view wanted) {
        skip();
        if (text_.substr(at_, wanted.size()) != wanted) {
            return false;
        }
        at_ += wanted.size();
        return true;
    }

    bool word(std::string_view wanted) {
        skip();
        const std::size_t end = at_ + wanted.size();
        if (text_.substr(at_, wanted.size()) != wanted ||
            (end < text_.size() && (isLetter(text_[end]) || isDigit(text_[end])))) {
            return false;
        }
        at_ = end;
        return true;
    }

    void comparison() {
        using Sign = Condition::Comparison::Sign;
        Condition::Comparison made;
        const bool mayBeLimit = !sawFigures_;
        made.left = sum();
        constexpr std::pair<std::string_view, Sign> signs[] = {{">=", Sign::atLeast},
                                                               {"<=", Sign::atMost},
                                                               {"==", Sign::equal},
                                                               {">", Sign::above},
                                                               {"<", Sign::below}};
        const auto* found =
            std::ranges::find_if(signs, [&](const auto& s) { return sign(s.first); });
        if (found == std::end(signs)) {
            fail("one of > < >= <= ==");
            return;
        }
        made.sign = found->second;
        if (const bool yes = word("true"); yes || word("false")) {
            if (made.sign != Sign::equal || !made.left || made.left->kind != Node::Kind::fact) {
                fail("one fact == true or false");
                return;
            }
            made.flag = made.left->fact;
            made.wanted = yes;
            condition_.facts_[*made.flag].isFlag = true;
        } else {
            limitHere_ = mayBeLimit;
            made.right = sum();
            limitHere_ = false;
            sawFigures_ = true;
        }
        condition_.comparisons_.push_back(std::move(made));
    }

    static NodePtr node(Node::Kind kind, NodePtr a, NodePtr b = nullptr) {
        return std::make_shared<const Node>(
            Node{.kind = kind, .a = std::move(a), .b = std::move(b)});
    }

    NodePtr sum() {
        NodePtr left = product();
        while (!error_) {
            if (sign("+")) {
                left = node(Node::Kind::add, left, product());
            } else if (sign("-")) {
                left = node(Node::Kind::subtract, left, product());
            } else {
                break;
            }
        }
        return left;
    }

    NodePtr product() {
        NodePtr left = signedPower();
        while (!error_) {
            if (sign("/")) {
                const std::size_t first = uses_.size();
                NodePtr divisor = signedPower();
                needPositiveFrom(first);
                left = node(Node::Kind::divide, left, std::move(divisor));
            } else if (text_.substr(std::min(skipped(), text_.size()), 2) != "**" && sign("*")) {
                left = node(Node::Kind::multiply, left, signedPower());
            } else {
                break;
            }
        }
        return left;
    }

    std::size_t skipped() {
        skip();
        return at_;
    }

    NodePtr signedPower() {
        if (sign("-")) {
            return node(Node::Kind::negate, signedPower());
        }
        NodePtr base = atom();
        return !error_ && sign("**") ? node(Node::Kind::power, base, signedPower()) : base;
    }

    NodePtr atom() {
        skip();
        if (sign("(")) {
            NodePtr inner = sum();
            close();
            return inner;
        }
        for (const auto& [name, kind] : {std::pair{std::string_view("abs"), Node::Kind::abs},
                                         std::pair{std::string_view("log2"), Node::Kind::log2}}) {
            if (word(name)) {
                if (!sign("(")) {
                    fail("( after " + std::string(name));
                    return nullptr;
                }
                const std::size_t first = uses_.size();
                NodePtr inner = sum();
                if (kind == Node::Kind::log2) {
                    needPositiveFrom(first);
                }
                close();
                return node(kind, std::move(inner));
            }
        }
        if (at_ < text_.size() && isDigit(text_[at_])) {
            return number();
        }
        if (at_ < text_.size() && isLetter(text_[at_])) {
            return fact();
        }
        fail("a number, a fact, abs(), log2() or a bracket");
        return nullptr;
    }

    void close() {
        if (!error_ && !sign(")")) {
            fail(")");
        }
    }

    NodePtr number() {
        const std::size_t begin = at_;
        while (at_ < text_.size() && (isDigit(text_[at_]) || text_[at_] == '.')) {
            ++at_;
        }
        const auto value = text::parseNumber(text_.substr(begin, at_ - begin));
        if (!value) {
            at_ = begin;
            fail("a number");
            return nullptr;
        }
        double used = *value;
        if (limitHere_) {
            limitHere_ = false;
            condition_.limit_ = newLimit_.value_or(*value);
            used = *condition_.limit_;
        }
        return std::make_shared<const Node>(Node{.kind = Node::Kind::number, .number = used});
    }

    NodePtr fact() {
        const std::size_t begin = at_;
        while (at_ < text_.size() &&
               (isLetter(text_[at_]) || isDigit(text_[at_]) || text_[at_] == '.')) {
            ++at_;
        }
        const std::string name(text_.substr(begin, at_ - begin));
        const auto dot = name.find('.');
        if (dot == std::string::npos || dot == 0 || dot + 1 == name.size()) {
            at_ = begin;
            fail("a fact with its group, such as net.Zmin_ohm");
            return nullptr;
        }
        auto& facts = condition_.facts_;
        const auto known = std::ranges::find(facts, name, &FactUse::name);
        const auto index = static_cast<std::size_t>(known - facts.begin());
        if (known == facts.end()) {
            facts.push_back({.name = name});
        }
        uses_.push_back(index);
        return std::make_shared<const Node>(Node{.kind = Node::Kind::fact, .fact = index});
    }

    void needPositiveFrom(std::size_t first) {
        for (std::size_t i = first; i < uses_.size(); ++i) {
            condition_.facts_[uses_[i]].mustBePositive = true;
        }
    }

    std::string_view text_;
    std::optional<double> newLimit_;
    std::size_t at_{};
    bool sawFigures_{};
    bool limitHere_{};
    std::vector<std::size_t> uses_; ///< facts as they were met
    Condition condition_;
    std::optional<Error> error_;
};

Result<Condition> Condition::parse(std::string_view text, std::optional<double> limit) {
    return ConditionParser(text, limit).parse();
}

Outcome Condition::judge(const std::vector<Fact>& values) const {
    Outcome outcome{.holds = true};
    for (const Comparison& c : comparisons_) {
        if (c.flag) {
            outcome.holds = outcome.holds && std::get<bool>(values[*c.flag]) == c.wanted;
            continue;
        }
        const double left = valueOf(*c.left, values);
        const double right = valueOf(*c.right, values);
        if (!outcome.figure) {
            outcome.figure = left;
            outcome.threshold = right;
        }
        bool holds = false;
        switch (c.sign) {
        case Comparison::Sign::above:
            holds = left > right;
            break;
        case Comparison::Sign::below:
            holds = left < right;
            break;
        case Comparison::Sign::atLeast:
            holds = left >= right;
            break;
        case Comparison::Sign::atMost:
            holds = left <= right;
            break;
        case Comparison::Sign::equal:
            holds = left == right;
            break;
        }
        outcome.holds = outcome.holds && holds;
    }
    return outcome;
}

} // namespace yf::findings
