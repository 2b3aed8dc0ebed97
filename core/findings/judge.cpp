// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/findings/judge.h"

#include "core/text/given.h"
#include "core/text/nearest.h"
#include "core/text/number.h"
#include "core/text/sentence.h"

#include <algorithm>
#include <cmath>
#include <set>

namespace yf::findings {

namespace {

using text::Value;

const Fact* lookUp(const std::vector<Scope>& scopes, std::size_t scope, const FactKind& kind) {
    for (std::optional<std::size_t> s = scope; s; s = scopes[*s].around) {
        if (const Fact* found = scopes[*s].facts.find(kind)) {
            return found;
        }
    }
    return nullptr;
}

/// A rule's facts in a scope, or nothing where one is missing or none is the scope's own.
std::optional<std::vector<Fact>>
factsFor(const Condition& condition, const std::vector<Scope>& scopes, std::size_t scope) {
    const bool own = std::ranges::any_of(condition.facts(), [&](const FactUse& use) {
        return scopes[scope].facts.contains(*use.kind);
    });
    if (!own) {
        return std::nullopt;
    }
    std::vector<Fact> values;
    for (const FactUse& use : condition.facts()) {
        const Fact* fact = lookUp(scopes, scope, *use.kind);
        if (fact == nullptr) {
            return std::nullopt;
        }
        values.push_back(*fact);
    }
    return values;
}

std::vector<std::string> knownGroups() {
    std::vector<std::string> groups;
    for (const FactUse& use : factUses()) {
        std::string group(use.kind->group());
        if (std::ranges::find(groups, group) == groups.end()) {
            groups.push_back(std::move(group));
        }
    }
    return groups;
}

std::vector<std::string> knownKeys(const std::string& group) {
    std::vector<std::string> keys;
    for (const FactUse& use : factUses()) {
        if (use.kind->group() == group) {
            keys.emplace_back(use.kind->key());
        }
    }
    return keys;
}

Result<Fact> readFact(const FactUse& use, const Value& value, const std::string& path) {
    if (use.flag != nullptr) {
        if (const bool* flag = value.flag()) {
            return Fact{*flag};
        }
        return Error{path, text::given(text::kindOf(value)), "must be true or false"};
    }
    const double* number = value.number();
    if (number == nullptr) {
        return Error{path, text::given(text::kindOf(value)), "must be a number"};
    }
    const Words given = text::given(text::printNumber(*number));
    if (!std::isfinite(*number)) {
        return Error{path, given, "must be finite"};
    }
    if (use.mustBePositive && !(*number > 0.0)) {
        return Error{path, given, "must be above 0"};
    }
    if (use.figure->range == Range::notNegative && !(*number >= 0.0)) {
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
        return Error{path, text::given(text::kindOf(value)), "must be an object"};
    }
    for (const text::Member& member : *members) {
        const auto use = std::ranges::find_if(factUses(), [&](const FactUse& u) {
            return u.kind->group() == group && u.kind->key() == member.key;
        });
        const std::string inner = text::join(path, member.key);
        if (use == factUses().end()) {
            return Error{inner,
                         "unknown key",
                         say(YF_WORDS("core", "the nearest known key is %1"),
                             text::nearest(member.key, knownKeys(group)))};
        }
        YF_TRY(fact, readFact(*use, member.value, inner));
        facts.put({use->kind, fact});
    }
    return done();
}

Value figureOrNull(const std::optional<double>& figure) {
    return figure && std::isfinite(*figure) ? Value{*figure} : Value{};
}

} // namespace

const std::vector<FactUse>& factUses() {
    static const std::vector<FactUse> known = [] {
        std::vector<FactUse> all;
        for (std::size_t r = 0; r < rules().size(); ++r) {
            for (const FactUse& use : rules()[r].when.facts()) {
                const auto found = std::ranges::find(all, use.kind, &FactUse::kind);
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

Judgement judge(const std::vector<Scope>& scopes, const Limits& limits) {
    Judgement judgement;
    for (std::size_t r = 0; r < rules().size(); ++r) {
        std::optional<Condition> changed;
        if (const auto limit = limits.find(rules()[r].id); limit != limits.end()) {
            changed = rules()[r].when.withLimit(limit->second);
        }
        const Condition& condition = changed ? *changed : rules()[r].when;
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
                    finding.facts.put({condition.facts()[i].kind, (*values)[i]});
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

std::vector<const FactKind*> missingFacts(std::size_t rule, const std::vector<Scope>& scopes) {
    std::vector<const FactKind*> missing;
    for (const FactUse& use : rules()[rule].when.facts()) {
        if (std::ranges::none_of(
                scopes, [&](const Scope& scope) { return scope.facts.contains(*use.kind); })) {
            missing.push_back(use.kind);
        }
    }
    return missing;
}

Result<FindingsRequest> FindingsRequest::read(const Value& value, const std::string& path) {
    const auto* object = value.object();
    if (object == nullptr) {
        return Error{
            path.empty() ? "input" : path, text::given(text::kindOf(value)), "must be an object"};
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
        return Error{inner, text::given(text::kindOf(*given)), "must be an object"};
    }
    FindingsRequest request;
    const auto groups = knownGroups();
    for (const text::Member& group : *given->object()) {
        if (std::ranges::find(groups, group.key) == groups.end()) {
            return Error{text::join(inner, group.key),
                         "unknown key",
                         say(YF_WORDS("core", "the nearest known key is %1"),
                             text::nearest(group.key, groups))};
        }
        YF_TRY(read,
               readGroup(group.key, group.value, text::join(inner, group.key), request.facts));
        static_cast<void>(read);
    }
    return request;
}

Value FindingsRequest::describe() {
    Value::List keys;
    for (const FactUse& use : factUses()) {
        Value::Object about{{"group", use.kind->group()},
                            {"key", use.kind->key()},
                            {"kind", use.flag != nullptr ? "true or false" : "number"},
                            {"required", false}};
        if (use.figure != nullptr) {
            about.push_back({"above_zero", use.mustBePositive});
            about.push_back(
                {"never_negative", use.mustBePositive || use.figure->range == Range::notNegative});
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
