// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/findings/rules.h"
#include "core/text/value.h"

#include <map>
#include <string>
#include <vector>

/// The application's judgement: facts in, findings out.
namespace yf::findings {

/// What facts are about; empty where they are about more than that. All are ids of a job.
struct Subject {
    std::string cabinet;
    std::string driver;
    std::string other; ///< the second of a pair: cabinet or driver
    std::string part;
    std::string take;

    auto operator<=>(const Subject&) const = default;
};

/// Facts about one subject. What is not known here is looked up in the scope around it (a part's
/// coil resistance here, its driver's Re there). Rules fire in the innermost scope that adds a
/// fact of theirs, so a rule about the cabinet is not repeated for each of its parts.
struct Scope {
    Subject subject;
    Facts facts;
    std::optional<std::size_t> around; ///< index of an earlier scope

    bool operator==(const Scope&) const = default;
};

struct Finding {
    std::size_t rule{}; ///< index in rules()
    Subject subject;
    std::optional<double> figure;
    std::optional<double> threshold;
    Facts facts; ///< those that the rule used

    bool operator==(const Finding&) const = default;
};

/// Limits that a person changed: rule id → limit.
using Limits = std::map<std::string, double, std::less<>>;

struct Judgement {
    std::vector<Finding> findings;       ///< most urgent first, then in the order of the rules
    std::vector<std::size_t> notChecked; ///< rules no scope had all the facts for

    bool operator==(const Judgement&) const = default;
};

/// Every rule on every scope. A rule fires only where all its facts are there; one that never had
/// them is not checked. Absence of a finding means "not found", never "good".
[[nodiscard]] Judgement judge(const std::vector<Scope>& scopes, const Limits& limits = {});

/// A rule's facts that no scope knows: what would have to be measured to check it.
[[nodiscard]] std::vector<const FactKind*> missingFacts(std::size_t rule,
                                                        const std::vector<Scope>& scopes);

/// Every fact that a rule names, with what all rules together say of it: one that some rule
/// divides by must be positive for all. In the order of the rules.
[[nodiscard]] const std::vector<FactUse>& factUses();

/// Input of `speaker findings`: {"facts": {group: {key: value}}}.
struct FindingsRequest {
    Facts facts;

    /// Refused with the full path: an unknown group or key (with the nearest known one), a text
    /// where a figure is wanted, a negative resistance, a zero that a rule divides by.
    static Result<FindingsRequest> read(const text::Value& value, const std::string& path);
    [[nodiscard]] static text::Value describe();
};

/// Output: findings, `ids` sorted, `not_checked` sorted.
struct FindingsAnswer {
    Judgement judgement;

    [[nodiscard]] text::Value write() const;
};

[[nodiscard]] Result<FindingsAnswer> findings(const FindingsRequest& request);

} // namespace yf::findings
