// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/text/value.h"

#include <memory>
#include <optional>
#include <span>
#include <string>
#include <string_view>
#include <utility>
#include <vector>

/// Checks at the bench: what a check may show, how likely that is for each fault, which check comes
/// next. Theory, sources and check tables: docs/theory/bench.md.
namespace yf::bench {

/// One result that a check can have, and P(outcome | fault) for each fault of the table.
struct Outcome {
    std::string key;
    std::vector<double> likelihoods;
};

/// One check a person can make. Its last outcome is the rest: what is seen when nothing is wrong.
struct Check {
    std::string key;
    double minutes{};
    std::string group;          ///< checks of one group look at the same thing; may be empty
    bool opensBox{};            ///< the driver must be reached: five minutes the first time
    bool drivesFromAmplifier{}; ///< barred while the coil may be shorted
    std::vector<std::string> tools;
    std::vector<std::string> cautions;
    std::vector<Outcome> outcomes;
};

/// The whole judgement: faults with priors (normalised), checks in the order of the table.
/// Kept true by its readers: likelihoods are 0 to 1 and add up to 1 over a check's outcomes for
/// every fault; `shorted_turns` is among the faults, since the bar on amplifiers hangs on it.
struct EvidenceTable {
    std::vector<std::string> faults;
    std::vector<double> priors;
    std::vector<Check> checks;

    [[nodiscard]] std::optional<std::size_t> fault(std::string_view key) const;
    [[nodiscard]] std::optional<std::size_t> check(std::string_view key) const;
};

/// Minutes to open a cabinet, once.
inline constexpr double openingMinutes = 5.0;

/// Faults, checks or outcomes with a number each, from a JSON object.
struct ByKey {
    std::vector<std::pair<std::string, double>> entries;

    [[nodiscard]] static Result<ByKey> read(const text::Value& value, const std::string& path);
    [[nodiscard]] text::Value write() const;

    bool operator==(const ByKey&) const = default;
};

/// Rows in place of the table's: check → outcome → (fault or "default") → likelihood.
struct Rows {
    struct Row {
        std::string check;
        std::string outcome;
        ByKey likelihoods;

        bool operator==(const Row&) const = default;
    };

    std::vector<Row> rows;

    [[nodiscard]] static Result<Rows> read(const text::Value& value, const std::string& path);
    [[nodiscard]] text::Value write() const;

    bool operator==(const Rows&) const = default;
};

/// The JSON text of the table that ships (core/bench/evidence.json).
[[nodiscard]] std::string_view shippedText();

/// That table.
[[nodiscard]] const EvidenceTable& shippedTable();

/// The table that the window judges by: the shipped one, or somebody's own. Safe from any thread;
/// who holds it keeps it whole while another takes its place.
[[nodiscard]] std::shared_ptr<const EvidenceTable> tableInForce();
void useTable(std::shared_ptr<const EvidenceTable> table);

/// Reads a table file. Errors name the place: a likelihood outside 0 to 1, outcomes that add up to
/// more than 1, a fault or check named twice or not known, a missing `shorted_turns`.
[[nodiscard]] Result<EvidenceTable> readTable(std::string_view json);

/// The table with some priors replaced (then all normalised) and some rows replaced (the rest
/// outcome is what is left to 1). Errors on `priors` and `likelihoods`.
[[nodiscard]] Result<EvidenceTable>
adjusted(EvidenceTable table, const ByKey& priors, const Rows& likelihoods);

/// "evidence: 'dcrr' given, the nearest known check is dcr" and its kin.
[[nodiscard]] Error unknown(std::string subject,
                            const Words& what,
                            const std::string& given,
                            std::span<const std::string> known);

} // namespace yf::bench
