// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/measure/table/evidence.h"
#include "core/measure/table/heading.h"
#include "core/measure/table/reading_wishes.h"

#include <span>

/// What each column of a grid may be, for itself.
namespace yf::measure {

struct Candidate {
    Meaning meaning{};
    double score{};
    Basis basis{};
};

struct ColumnEvidence {
    std::string name;
    Heading heading;
    ColumnShape shape;
    std::vector<Candidate> candidates; ///< without frequencies, best first
};

/// All columns with what their names, units and numbers say, the likeliest meaning first.
class Candidates {
public:
    Candidates(const Grid& grid, const ReadingWishes& wishes);

    [[nodiscard]] const std::vector<ColumnEvidence>& columns() const { return columns_; }

    /// The rows that a column is judged by: under several headings the first stretch, without a row
    /// at 0 Hz at its beginning.
    [[nodiscard]] std::span<const double> numbers(std::size_t column) const;

private:
    [[nodiscard]] ColumnEvidence gather(std::size_t c, const std::string& name) const;
    void addCandidates(std::size_t c, ColumnEvidence& column) const;
    bool addForced(std::size_t c, ColumnEvidence& column) const;
    void addNamed(ColumnEvidence& column) const;
    void addNameless(ColumnEvidence& column) const;
    [[nodiscard]] bool overruled(const Heading& heading) const;
    [[nodiscard]] bool wished(Meaning meaning) const;
    [[nodiscard]] double contextScore(Meaning meaning) const;

    const Grid& grid_;
    const ReadingWishes& wishes_;
    std::optional<ColumnOf> context_; ///< what the text around the table speaks of
    bool skipsFirst_{};               ///< a row at 0 Hz is no evidence
    std::vector<ColumnEvidence> columns_;
};

} // namespace yf::measure
