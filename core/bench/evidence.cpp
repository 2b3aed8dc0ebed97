// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/bench/evidence.h"

#include "core/text/fields.h"
#include "core/text/given.h"

#include <algorithm>
#include <cmath>
#include <mutex>
#include <numeric>

namespace yf::bench {

namespace {

using text::Value;

inline constexpr quantity::Quantity likelihood{
    "P", "default", 1.0, "", 0.0, 1.0, "likelihood where no exception is named"};
inline constexpr quantity::Quantity weight{
    "P", "prior", 1.0, "", 0.0, 1e6, "how likely before any check"};
inline constexpr quantity::Quantity minutes{
    "t", "minutes", 1.0, "min", 0.0, 240.0, "time that the check takes"};

/// Sums that miss 1 by rounding are no mistake.
constexpr double slack = 1e-9;

struct FaultRow {
    std::string key;
    double prior{};

    static void fields(auto& self, auto&& field) {
        field(self.key, quantity::Word{"key", "name of the fault"});
        field(self.prior, weight);
    }
};

struct OutcomeRow {
    std::string key;
    double otherwise{};
    ByKey exceptions;

    static void fields(auto& self, auto&& field) {
        field(self.key, quantity::Word{"key", "name of the outcome"});
        field(self.otherwise, likelihood);
        field(self.exceptions, quantity::Group{"exceptions", "likelihoods by fault", true});
    }
};

struct CheckRow {
    std::string key;
    double minutes{};
    std::string group;
    bool opensBox{};
    bool drives{};
    std::vector<std::string> tools;
    std::vector<std::string> cautions;
    std::string rest;
    std::vector<OutcomeRow> outcomes;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.key, q::Word{"key", "name of the check"});
        field(self.minutes, bench::minutes);
        field(self.group, q::Word{"group", "checks that look at the same thing", ""});
        field(self.opensBox, q::Flag{"opens_box", "the cabinet must be opened", false});
        field(self.drives,
              q::Flag{"drives_from_amplifier", "the speaker is connected to an amplifier", false});
        field(self.tools, q::Word{"tools", "what must be at hand", ""});
        field(self.cautions, q::Word{"cautions", "what to mind", ""});
        field(self.rest, q::Word{"rest", "outcome when nothing shows"});
        field(self.outcomes, q::Group{"outcomes", "what it may show"});
    }
};

struct TableFile {
    std::string format;
    std::string standing;
    std::vector<FaultRow> faults;
    std::vector<CheckRow> checks;

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.format, q::Word{"format", "yellowfront evidence 1"});
        field(self.standing, q::Word{"standing", "where the figures come from", ""});
        field(self.faults, q::Group{"faults", "what may be wrong"});
        field(self.checks, q::Group{"checks", "what may be done to find it"});
    }
};

std::vector<std::string> keysOf(const auto& rows) {
    std::vector<std::string> keys;
    std::ranges::transform(rows, std::back_inserter(keys), [](const auto& row) { return row.key; });
    return keys;
}

std::optional<Error> doubled(const auto& rows, const std::string& path) {
    std::vector<std::string> seen;
    for (const auto& row : rows) {
        if (std::ranges::find(seen, row.key) != seen.end()) {
            return Error{path,
                         say(YF_WORDS("core", "'%1' stands twice"), row.key),
                         "each one is named once"};
        }
        seen.push_back(row.key);
    }
    return std::nullopt;
}

std::optional<Error> refused(double p, const std::string& key, const std::string& path) {
    if (p >= 0.0 && p <= 1.0) {
        return std::nullopt;
    }
    return Error{text::join(path, key), text::given(text::printNumber(p)), "must be 0 to 1"};
}

/// Sets the likelihoods of the faults that are named.
std::optional<Error> setNamed(std::vector<double>& all,
                              const std::vector<std::string>& faults,
                              const ByKey& named,
                              const std::string& path) {
    for (const auto& [key, p] : named.entries) {
        if (key == "default") {
            continue;
        }
        const auto found = std::ranges::find(faults, key);
        if (found == faults.end()) {
            return unknown(path, "fault", key, faults);
        }
        if (auto error = refused(p, key, path)) {
            return error;
        }
        all[static_cast<std::size_t>(found - faults.begin())] = p;
    }
    return std::nullopt;
}

/// A row of the caller's: where it names no default, faults it does not name keep what they had.
Result<std::vector<double>>
replacedRow(const std::vector<std::string>& faults, std::vector<double> all, const ByKey& given) {
    const auto otherwise =
        std::ranges::find(given.entries, "default", &std::pair<std::string, double>::first);
    if (otherwise != given.entries.end()) {
        if (auto error = refused(otherwise->second, "default", "likelihoods")) {
            return *error;
        }
        all.assign(faults.size(), otherwise->second);
    }
    if (auto error = setNamed(all, faults, given, "likelihoods")) {
        return *error;
    }
    return all;
}

/// The rest outcome takes what the others leave.
std::optional<Error>
fillRest(Check& check, const std::vector<std::string>& faults, const std::string& path) {
    std::vector<double>& rest = check.outcomes.back().likelihoods;
    rest.assign(faults.size(), 1.0);
    for (std::size_t f = 0; f < faults.size(); ++f) {
        for (std::size_t o = 0; o + 1 < check.outcomes.size(); ++o) {
            rest[f] -= check.outcomes[o].likelihoods[f];
        }
        if (rest[f] < -slack) {
            return Error{path,
                         say(YF_WORDS("core", "the outcomes of %1 add up to %2 for %3"),
                             check.key,
                             text::printSignificant(1.0 - rest[f], 4),
                             faults[f]),
                         "must be 1 at most"};
        }
        rest[f] = std::max(rest[f], 0.0);
    }
    return std::nullopt;
}

std::optional<Error> normalise(std::vector<double>& priors, const std::string& path) {
    const double sum = std::accumulate(priors.begin(), priors.end(), 0.0);
    if (!(sum > 0.0)) {
        return Error{path, "all are 0", "at least one fault must be possible"};
    }
    for (double& p : priors) {
        p /= sum;
    }
    return std::nullopt;
}

Result<Check>
checkOf(const CheckRow& row, const std::vector<std::string>& faults, const std::string& path) {
    if (auto error = doubled(row.outcomes, text::join(path, "outcomes"))) {
        return *error;
    }
    Check check{
        row.key, row.minutes, row.group, row.opensBox, row.drives, row.tools, row.cautions, {}};
    for (const OutcomeRow& o : row.outcomes) {
        std::vector<double> all(faults.size(), o.otherwise);
        if (auto error = setNamed(all, faults, o.exceptions, text::join(path, o.key))) {
            return *error;
        }
        check.outcomes.push_back({o.key, std::move(all)});
    }
    check.outcomes.push_back({row.rest, {}});
    if (auto error = fillRest(check, faults, path)) {
        return *error;
    }
    return check;
}

} // namespace

std::optional<std::size_t> EvidenceTable::fault(std::string_view key) const {
    const auto found = std::ranges::find(faults, key);
    return found == faults.end() ? std::nullopt
                                 : std::optional(static_cast<std::size_t>(found - faults.begin()));
}

std::optional<std::size_t> EvidenceTable::check(std::string_view key) const {
    const auto found = std::ranges::find(checks, key, &Check::key);
    return found == checks.end() ? std::nullopt
                                 : std::optional(static_cast<std::size_t>(found - checks.begin()));
}

Error unknown(std::string subject,
              const Words& what,
              const std::string& given,
              std::span<const std::string> known) {
    return {std::move(subject),
            text::givenWord(given),
            say(YF_WORDS("core", "the nearest known %1 is %2"), what, text::nearest(given, known))};
}

Result<ByKey> ByKey::read(const Value& value, const std::string& path) {
    const Value::Object* object = value.object();
    if (object == nullptr) {
        return text::wrongKind(path, value, "an object of numbers");
    }
    ByKey all;
    for (const text::Member& member : *object) {
        const double* number = member.value.number();
        if (number == nullptr) {
            return text::wrongKind(text::join(path, member.key), member.value, "a number");
        }
        all.entries.emplace_back(member.key, *number);
    }
    return all;
}

Value ByKey::write() const {
    Value::Object object;
    for (const auto& [key, number] : entries) {
        object.push_back({key, number});
    }
    return object;
}

Result<Rows> Rows::read(const Value& value, const std::string& path) {
    const Value::Object* checks = value.object();
    if (checks == nullptr) {
        return text::wrongKind(path, value, "an object of checks");
    }
    Rows all;
    for (const text::Member& check : *checks) {
        const std::string below = text::join(path, check.key);
        const Value::Object* outcomes = check.value.object();
        if (outcomes == nullptr) {
            return text::wrongKind(below, check.value, "an object of outcomes");
        }
        for (const text::Member& outcome : *outcomes) {
            YF_TRY(row, ByKey::read(outcome.value, text::join(below, outcome.key)));
            all.rows.push_back({check.key, outcome.key, std::move(row)});
        }
    }
    return all;
}

Value Rows::write() const {
    Value::Object checks;
    for (const Row& row : rows) {
        auto found = std::ranges::find(checks, row.check, &text::Member::key);
        if (found == checks.end()) {
            checks.push_back({row.check, Value::Object{}});
            found = checks.end() - 1;
        }
        std::get<Value::Object>(found->value.data)
            .push_back({row.outcome, row.likelihoods.write()});
    }
    return checks;
}

Result<EvidenceTable> readTable(std::string_view json) {
    YF_TRY(value, text::parseJson(json));
    YF_TRY(file, text::read<TableFile>(value, ""));
    if (file.format != "yellowfront evidence 1") {
        return Error{"format", text::givenWord(file.format), "must be 'yellowfront evidence 1'"};
    }
    if (auto error = doubled(file.faults, "faults")) {
        return *error;
    }
    if (auto error = doubled(file.checks, "checks")) {
        return *error;
    }
    EvidenceTable table;
    table.faults = keysOf(file.faults);
    for (const FaultRow& row : file.faults) {
        table.priors.push_back(row.prior);
    }
    if (!table.fault("shorted_turns")) {
        return Error{"faults", "'shorted_turns' is missing", "the bar on amplifiers needs it"};
    }
    if (auto error = normalise(table.priors, "faults")) {
        return *error;
    }
    for (const CheckRow& row : file.checks) {
        YF_TRY(check, checkOf(row, table.faults, "checks." + row.key));
        table.checks.push_back(std::move(check));
    }
    return table;
}

namespace {

struct InForce {
    std::mutex mutex;
    std::shared_ptr<const EvidenceTable> table;
};

InForce& inForce() {
    static InForce held;
    return held;
}

} // namespace

std::shared_ptr<const EvidenceTable> tableInForce() {
    InForce& held = inForce();
    const std::scoped_lock lock(held.mutex);
    if (!held.table) {
        held.table = std::make_shared<const EvidenceTable>(shippedTable());
    }
    return held.table;
}

void useTable(std::shared_ptr<const EvidenceTable> table) {
    InForce& held = inForce();
    const std::scoped_lock lock(held.mutex);
    held.table = std::move(table);
}

const EvidenceTable& shippedTable() {
    static const EvidenceTable table = readTable(shippedText()).value();
    return table;
}

Result<EvidenceTable> adjusted(EvidenceTable table, const ByKey& priors, const Rows& likelihoods) {
    for (const auto& [key, p] : priors.entries) {
        const auto f = table.fault(key);
        if (!f) {
            return unknown("priors", "fault", key, table.faults);
        }
        if (!(p >= weight.lowest && p <= weight.highest)) {
            return Error{"priors." + key,
                         text::given(text::printNumber(p)),
                         say(YF_WORDS("core", "must be %1"),
                             text::rangeText(weight.lowest, weight.highest))};
        }
        table.priors[*f] = p;
    }
    if (auto error = normalise(table.priors, "priors")) {
        return *error;
    }
    for (const Rows::Row& row : likelihoods.rows) {
        const auto c = table.check(row.check);
        if (!c) {
            return unknown("likelihoods", "check", row.check, keysOf(table.checks));
        }
        Check& check = table.checks[*c];
        const auto keys = keysOf(check.outcomes);
        const auto o = std::ranges::find(keys, row.outcome);
        if (o == keys.end()) {
            return unknown("likelihoods." + row.check, "outcome", row.outcome, keys);
        }
        if (o == keys.end() - 1) {
            return Error{"likelihoods." + row.check,
                         text::givenWord(row.outcome),
                         "that is the rest, computed from the others"};
        }
        std::vector<double>& all =
            check.outcomes[static_cast<std::size_t>(o - keys.begin())].likelihoods;
        YF_TRY(replaced, replacedRow(table.faults, all, row.likelihoods));
        all = std::move(replaced);
    }
    // Rows of one check may be given in any order, so the sums are looked at last.
    for (Check& check : table.checks) {
        if (auto error = fillRest(check, table.faults, "likelihoods")) {
            return *error;
        }
    }
    return table;
}

} // namespace yf::bench
