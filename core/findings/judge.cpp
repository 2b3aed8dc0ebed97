// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/findings/judge.h"

#include "core/text/nearest.h"
#include "core/text/number.h"
#include "core/text/sentence.h"

#include <algorithm>
#include <cmath>
#include <set>

namespace yf::findings {

namespace {

using text::Value;

const Fact* lookUp(const std::vector<Scope>& scopes, std::size_t scope, std::string_view name) {
    for (std::optional<std::size_t> s = scope; s; s = scopes[*s].around) {
        if (const auto found = scopes[*s].facts.find(name); found != scopes[*s].facts.end()) {
            return &found->second;
        }
    }
    return nullptr;
}

/// A rule's facts in a scope, or nothing where one is missing or none is the scope's own.
std::optional<std::vector<Fact>>
factsFor(const Condition& condition, const std::vector<Scope>& scopes, std::size_t scope) {
    const bool own = std::ranges::any_of(condition.facts(), [&](const FactUse& use) {
        return scopes[scope].facts.contains(use.name);
    });
    if (!own) {
        return std::nullopt;
    }
    std::vector<Fact> values;
    for (const FactUse& use : condition.facts()) {
        const Fact* fact = lookUp(scopes, scope, use.name);
        if (fact == nullptr) {
            return std::nullopt;
        }
        values.push_back(*fact);
    }
    return values;
}

/// What every rule says of every fact, joined: flags are flags everywhere, and a fact that one
/// rule divides by must be positive for all.
const std::vector<FactUse>& knownFacts() {
    static const std::vector<FactUse> known = [] {
        std::vector<FactUse> all;
        for (std::size_t r = 0; r < rules().size(); ++r) {
            for (const FactUse& use : conditionOf(r).facts()) {
                const auto found = std::ranges::find(all, use.name, &FactUse::name);
                if (found == all.end()) {
                    all.push_back(use);
                } else {
                    found->mustBePositive = found->mustBePositive || use.mustBePositive;
                }
            }
        }
        return all;
    }();
    return known;
}

std::vector<std::string> knownGroups() {
    std::vector<std::string> groups;
    for (const FactUse& use : knownFacts()) {
        std::string group = use.name.substr(0, use.name.find('.'));
        if (std::ranges::find(groups, group) == groups.end()) {
            groups.push_back(std::move(group));
        }
    }
    return groups;
}

std::vector<std::string> knownKeys(const std::string& group) {
    std::vector<std::string> keys;
    for (const FactUse& use : knownFacts()) {
        if (use.name.starts_with(group + ".")) {
            keys.push_back(use.name.substr(group.size() + 1));
        }
    }
    return keys;
}

Result<Fact> readFact(const FactUse& use, const Value& value, const std::string& path) {
    if (use.isFlag) {
        if (const bool* flag = value.flag()) {
            return Fact{*flag};
        }
        return Error{path, std::string(text::kindOf(value)) + " given", "must be true or false"};
    }
    const double* number = value.number();
    if (number == nullptr) {
        return Error{path, std::string(text::kindOf(value)) + " given", "must be a number"};
    }
    const std::string given = text::printNumber(*number) + " given";
    if (!std::isfinite(*number)) {
        return Error{path, given, "must be finite"};
    }
    if (use.mustBePositive && !(*number > 0.0)) {
        return Error{path, given, "must be above 0"};
    }
    if (neverNegative(use.name) && !(*number >= 0.0)) {
        return Error{path, given, "must not be negative"};
    }
    return Fact{*number};
}

Done readGroup(const std::string& group,
               const Value& value,
               const std::string& path,
               Facts& facts) {
    const auto* members = value.object();
    if (members == nullptr) {
        return Error{path, std::string(text::kindOf(value)) + " given", "must be an object"};
    }
    for (const text::Member& member : *members) {
        const auto use = std::ranges::find(knownFacts(), group + "." + member.key, &FactUse::name);
        const std::string inner = text::join(path, member.key);
        if (use == knownFacts().end()) {
            return Error{inner,
                         "unknown key",
                         "the nearest known key is " + text::nearest(member.key, knownKeys(group))};
        }
        YF_TRY(fact, readFact(*use, member.value, inner));
        facts.emplace(use->name, fact);
    }
    return done();
}

Value figureOrNull(const std::optional<double>& figure) {
    return figure && std::isfinite(*figure) ? Value{*figure} : Value{};
}

} // namespace

bool neverNegative(std::string_view fact) {
    // The longest unit that ends the key decides: Bl_t_m ends in tesla metres, not in metres.
    static constexpr std::pair<std::string_view, bool> units[] = {{"_m_per_s", true},
                                                                  {"_m_per_n", false},
                                                                  {"_t_m", false},
                                                                  {"_hz", true},
                                                                  {"_ohm", true},
                                                                  {"_m", true},
                                                                  {"_s", true},
                                                                  {"_w", true},
                                                                  {"_h", true},
                                                                  {"_f", true},
                                                                  {"_a", true},
                                                                  {"_kg", true},
                                                                  {"_l", true},
                                                                  {".hours", true}};
    const auto* unit =
        std::ranges::find_if(units, [&](const auto& u) { return fact.ends_with(u.first); });
    return unit != std::end(units) && unit->second;
}

Judgement judge(const std::vector<Scope>& scopes, const Limits& limits) {
    Judgement judgement;
    for (std::size_t r = 0; r < rules().size(); ++r) {
        std::optional<Condition> changed;
        if (const auto limit = limits.find(rules()[r].id); limit != limits.end()) {
            auto read = Condition::parse(rules()[r].trigger, limit->second);
            YF_EXPECT(read.ok());
            changed = std::move(*read);
        }
        const Condition& condition = changed ? *changed : conditionOf(r);
        bool checked = false;
        for (std::size_t s = 0; s < scopes.size(); ++s) {
            const auto values = factsFor(condition, scopes, s);
            if (!values) {
                continue;
            }
            checked = true;
            const Outcome outcome = condition.judge(*values);
            if (outcome.holds) {
                Finding finding{.rule = r,
                                .subject = scopes[s].subject,
                                .figure = outcome.figure,
                                .threshold = outcome.threshold};
                for (std::size_t i = 0; i < values->size(); ++i) {
                    finding.facts.emplace(condition.facts()[i].name, (*values)[i]);
                }
                judgement.findings.push_back(std::move(finding));
            }
        }
        if (!checked) {
            judgement.notChecked.push_back(r);
        }
    }
    std::ranges::stable_sort(judgement.findings, {}, [](const Finding& finding) {
        return rules()[finding.rule].severity;
    });
    return judgement;
}

std::vector<std::string> missingFacts(std::size_t rule, const std::vector<Scope>& scopes) {
    std::vector<std::string> missing;
    for (const FactUse& use : conditionOf(rule).facts()) {
        if (std::ranges::none_of(
                scopes, [&](const Scope& scope) { return scope.facts.contains(use.name); })) {
            missing.push_back(use.name);
        }
    }
    return missing;
}

Result<FindingsRequest> FindingsRequest::read(const Value& value, const std::string& path) {
    const auto* object = value.object();
    if (object == nullptr) {
        return Error{path.empty() ? "input" : path,
                     std::string(text::kindOf(value)) + " given",
                     "must be an object"};
    }
    for (const text::Member& member : *object) {
        if (member.key != "facts") {
            return Error{text::join(path, member.key), "unknown key", "the only key is facts"};
        }
    }
    const Value* given = value.find("facts");
    const std::string inner = text::join(path, "facts");
    if (given == nullptr) {
        return Error{inner, "missing", "must be given: {group: {key: value}}"};
    }
    if (given->object() == nullptr) {
        return Error{inner, std::string(text::kindOf(*given)) + " given", "must be an object"};
    }
    FindingsRequest request;
    const auto groups = knownGroups();
    for (const text::Member& group : *given->object()) {
        if (std::ranges::find(groups, group.key) == groups.end()) {
            return Error{text::join(inner, group.key),
                         "unknown key",
                         "the nearest known key is " + text::nearest(group.key, groups)};
        }
        YF_TRY(read,
               readGroup(group.key, group.value, text::join(inner, group.key), request.facts));
        static_cast<void>(read);
    }
    return request;
}

Value FindingsRequest::describe() {
    Value::List keys;
    for (const FactUse& use : knownFacts()) {
        const std::size_t dot = use.name.find('.');
        Value::Object about{{"group", use.name.substr(0, dot)},
                            {"key", use.name.substr(dot + 1)},
                            {"kind", use.isFlag ? "true or false" : "number"},
                            {"required", false}};
        if (!use.isFlag) {
            about.push_back({"above_zero", use.mustBePositive});
            about.push_back({"never_negative", use.mustBePositive || neverNegative(use.name)});
        }
        keys.emplace_back(std::move(about));
    }
    return Value::Object{{"keys",
                          Value::List{Value::Object{{"key", "facts"},
                                                    {"kind", "object of objects"},
                                                    {"required", true},
                                                    {"help", "what is known, by group and key"},
                                                    {"members", std::move(keys)}}}}};
}

Value FindingsAnswer::write() const {
    Value::List list;
    std::set<std::string> ids;
    for (const Finding& finding : judgement.findings) {
        const Rule& rule = rules()[finding.rule];
        list.emplace_back(Value::Object{{"id", rule.id},
                                        {"severity", severityName(rule.severity)},
                                        {"figure", figureOrNull(finding.figure)},
                                        {"threshold", figureOrNull(finding.threshold)},
                                        {"reason", rule.reason},
                                        {"next", rule.next},
                                        {"basis", basisLetter(rule.basis)}});
        ids.emplace(rule.id);
    }
    std::vector<std::string> notChecked;
    for (const std::size_t rule : judgement.notChecked) {
        notChecked.emplace_back(rules()[rule].id);
    }
    std::ranges::sort(notChecked);
    return Value::Object{{"findings", std::move(list)},
                         {"ids", std::vector<std::string>(ids.begin(), ids.end())},
                         {"not_checked", notChecked}};
}

Result<FindingsAnswer> findings(const FindingsRequest& request) {
    return FindingsAnswer{judge({Scope{.facts = request.facts}})};
}

} // namespace yf::findings
