// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/measure/table/candidates.h"

#include "core/measure/table/cell.h"

#include <algorithm>

namespace yf::measure {

namespace {

bool isUnitsOnly(const std::vector<std::string>& cells) {
    bool any = false;
    for (const std::string& cell : cells) {
        const Heading heading = readHeading(cell);
        const bool unit =
            isUnit(cell.substr(0, cell.find(' '))) || (heading.unit && !heading.named);
        if ((heading.named && !unit) || (!cell.empty() && !unit && cell != "1" && cell != "-")) {
            return false;
        }
        any = any || unit;
    }
    return any;
}

int understoodCells(const HeadLine& line) {
    int count = 0;
    bool frequency = false;
    for (const std::string& cell : line.cells) {
        const Heading heading = readHeading(cell);
        count += heading.allowed.empty() ? 0 : 1;
        frequency = frequency || (!heading.allowed.empty() &&
                                  infoOf(heading.allowed.front()).role == ColumnRole::frequency);
    }
    // A remark may have as many words by chance: it names no frequency.
    return line.comment && !frequency ? 0 : count;
}

/// How well a unit goes with a name: with one that may have it, one that says nothing, another.
double unitFits(const std::string& name, const std::string& unit) {
    const std::vector<Meaning> named = readHeading(name).allowed;
    const std::vector<Meaning> meant = readHeading(unit).allowed;
    if (named.empty() || meant.empty()) {
        return 0.3;
    }
    return std::ranges::find_first_of(named, meant) != named.end() ? 1.0 : -2.0;
}

/// Deals units to the columns that they go with best, in their order.
void dealUnits(const std::vector<std::string>& units, std::vector<std::string>& names) {
    // best[u][c]: of the first u units among the first c columns.
    const std::size_t columns = names.size();
    std::vector<std::vector<double>> best(units.size() + 1, std::vector<double>(columns + 1, 0.0));
    for (std::size_t u = 1; u <= units.size(); ++u) {
        best[u][u - 1] = impossible;
        for (std::size_t c = u; c <= columns; ++c) {
            best[u][c] =
                std::max(best[u][c - 1], best[u - 1][c - 1] + unitFits(names[c - 1], units[u - 1]));
        }
    }
    std::size_t u = units.size();
    for (std::size_t c = columns; c > 0 && u > 0; --c) {
        if (best[u][c] > best[u][c - 1]) {
            names[c - 1] += " (" + units[--u] + ")";
        }
    }
}

/// The name of each column, with its unit: of the lines above the rows the one that is understood
/// best, and a line of units beneath it.
std::vector<std::string> namesOf(const Grid& grid) {
    std::vector<std::string> names(grid.columns);
    const auto block =
        std::ranges::find_if(grid.blocks, [](const Block& b) { return !b.heads.empty(); });
    if (block == grid.blocks.end()) {
        return names;
    }
    std::size_t best = block->heads.size();
    int most = 0;
    for (std::size_t h = 0; h < block->heads.size(); ++h) {
        if (isUnitsOnly(block->heads[h].cells) && best < h) {
            continue;
        }
        const int count = understoodCells(block->heads[h]);
        const bool last = h + 1 == block->heads.size() && !block->heads[h].comment;
        if (count >= std::max(most, 1) || (last && most == 0)) {
            most = count;
            best = h;
        }
    }
    if (best == block->heads.size()) {
        return names;
    }
    names = block->heads[best].cells;
    if (best + 1 < block->heads.size() && isUnitsOnly(block->heads[best + 1].cells) &&
        !isUnitsOnly(names)) {
        for (std::size_t c = 0; c < names.size(); ++c) {
            const std::string& unit = block->heads[best + 1].cells[c];
            if (!unit.empty()) {
                names[c] += " (" + unit + ")";
            }
        }
    }
    names.resize(grid.columns);
    if (!block->looseUnits.empty() && block->looseUnits.size() < names.size()) {
        dealUnits(block->looseUnits, names);
    }
    return names;
}

/// Meanings that a column without a name may have: what only a name can tell is none, and volts
/// are a ratio as long as nobody says so.
std::vector<Meaning> anyMeaning() {
    using enum Meaning;
    std::vector<Meaning> list;
    for (const MeaningInfo& info : meanings()) {
        const bool left = info.role == ColumnRole::unused && info.meaning != unused &&
                          info.meaning != coherence && info.meaning != index;
        const bool volts = info.meaning == volt || info.meaning == millivolt;
        if (!left && !volts && info.role != ColumnRole::frequency) {
            list.push_back(info.meaning);
        }
    }
    return list;
}

void add(ColumnEvidence& column, Meaning meaning, double score, Basis basis) {
    if (score > impossible / 2) {
        column.candidates.push_back({meaning, score, basis});
    }
}

bool isNamed(const ColumnEvidence& column, Meaning meaning) {
    return std::ranges::find(column.heading.allowed, meaning) != column.heading.allowed.end();
}

/// What speaks against a meaning where no name speaks for it.
double withoutAName(Meaning meaning, const ColumnShape& shape) {
    const MeaningInfo& info = infoOf(meaning);
    const bool used = info.role != ColumnRole::unused;
    if (shape.counts && meaning != Meaning::index) {
        return -5.0; // it numbers the rows, whatever else it could be
    }
    if (used && shape.rising && (shape.evenly || shape.evenRatios)) {
        return -4.0; // an axis
    }
    if (used && shape.marks) {
        return -3.5;
    }
    const bool pressure = info.of == ColumnOf::pressure && info.role == ColumnRole::value &&
                          meaning != Meaning::decibel;
    return pressure ? -1.0 : 0.0; // seldom without a word
}

} // namespace

Candidates::Candidates(const Grid& grid, const ReadingWishes& wishes)
    : grid_(grid), wishes_(wishes) {
    std::vector<std::string> free;
    for (const Block& block : grid.blocks) {
        free.insert(free.end(), block.title.begin(), block.title.end());
        // A name speaks of its own column only.
        for (const HeadLine& line : block.heads) {
            if (understoodCells(line) == 0) {
                free.insert(free.end(), line.cells.begin(), line.cells.end());
            }
        }
    }
    context_ = subjectOf(free);
    skipsFirst_ = grid.rows() > 2 && std::ranges::any_of(grid.numbers, [](const auto& list) {
                      return list[0] == 0.0 && list[1] > 0.0 && list[2] > list[1];
                  });
    const std::vector<std::string> names = namesOf(grid);
    for (std::size_t c = 0; c < grid.columns; ++c) {
        columns_.push_back(gather(c, names[c]));
    }
}

std::span<const double> Candidates::numbers(std::size_t column) const {
    const std::vector<double>& all = grid_.numbers[column];
    // Under several headings each stretch begins anew; the first shows what a column is.
    const Block& block = grid_.blocks.front();
    constexpr std::size_t enough = 8;
    std::span<const double> rows(all);
    if (block.last - block.first >= enough) {
        rows = rows.subspan(block.first, block.last - block.first);
    }
    return skipsFirst_ ? rows.subspan(1) : rows;
}

ColumnEvidence Candidates::gather(std::size_t c, const std::string& name) const {
    ColumnEvidence column{
        .name = name, .heading = readHeading(name), .shape = {}, .candidates = {}};
    const std::string& cellUnit = grid_.cellUnits[c];
    if (!cellUnit.empty() && !column.heading.unit) {
        std::string label = std::move(column.heading.label);
        column.heading = readHeading(name + " (" + cellUnit + ")");
        column.heading.label = std::move(label);
    }
    column.shape = shapeOf(numbers(c));
    addCandidates(c, column);
    // Of equals the one that stands first in the list of meanings.
    std::ranges::stable_sort(column.candidates, std::greater(), &Candidate::score);
    return column;
}

void Candidates::addCandidates(std::size_t c, ColumnEvidence& column) const {
    if (c < wishes_.meanings.size() && wishes_.meanings[c]) {
        if (infoOf(*wishes_.meanings[c]).role != ColumnRole::frequency) {
            add(column, *wishes_.meanings[c], 10.0, Basis::hand);
        }
    } else if (grid_.words[c] || column.shape.count == 0) {
        add(column, grid_.words[c] ? Meaning::words : Meaning::unused, 6.0, Basis::numbers);
    } else if (!addForced(c, column)) {
        const bool named = !column.heading.allowed.empty() && !overruled(column.heading);
        named ? addNamed(column) : addNameless(column);
    }
}

void Candidates::addNamed(ColumnEvidence& column) const {
    const Heading& heading = column.heading;
    const double base = heading.named && heading.unit ? 6.0 : heading.named ? 5.0 : 4.0;
    for (const Meaning meaning : heading.allowed) {
        if (infoOf(meaning).role == ColumnRole::frequency || !wished(meaning)) {
            continue;
        }
        // A name stands even where the numbers are odd, the usual unit first; they are refused
        // later by place.
        const bool usual = meaning == heading.allowed.front();
        const double content = std::max(contentScore(meaning, column.shape), usual ? -3.0 : -5.0);
        const bool only = heading.allowed.size() == 1;
        add(column, meaning, base + (only ? 0.0 : content), Basis::name);
    }
    if (!heading.named || column.candidates.empty()) {
        add(column, Meaning::unused, column.candidates.empty() ? 0.0 : 1.0, Basis::numbers);
    }
}

void Candidates::addNameless(ColumnEvidence& column) const {
    for (const Meaning meaning : anyMeaning()) {
        if (wished(meaning)) {
            add(column,
                meaning,
                contentScore(meaning, column.shape) + contextScore(meaning) +
                    withoutAName(meaning, column.shape),
                Basis::numbers);
        }
    }
}

/// A name that speaks of levels where ohms were asked for, or the other way round.
bool Candidates::overruled(const Heading& heading) const {
    return std::ranges::all_of(heading.allowed, [&](Meaning meaning) {
        return infoOf(meaning).of != ColumnOf::none && !wished(meaning);
    });
}

/// Columns that a request names by number; false where it says nothing of this one.
bool Candidates::addForced(std::size_t c, ColumnEvidence& column) const {
    if (wishes_.phaseColumn == c) {
        for (const Meaning meaning : {Meaning::degrees, Meaning::radians}) {
            if (wished(meaning)) {
                const double named = isNamed(column, meaning) ? 4.0 : 0.0;
                add(column,
                    meaning,
                    10.0 + contentScore(meaning, column.shape) + named,
                    Basis::hand);
            }
        }
        return true;
    }
    if (!wishes_.valueColumn) {
        return false;
    }
    if (*wishes_.valueColumn != c) {
        const bool phase = !wishes_.phaseColumn && !column.heading.allowed.empty() &&
                           infoOf(column.heading.allowed.front()).role == ColumnRole::phase;
        if (!phase) {
            add(column, Meaning::unused, 6.0, Basis::hand);
        }
        return !phase;
    }
    for (const Meaning meaning : anyMeaning()) {
        if (infoOf(meaning).role == ColumnRole::value && wished(meaning)) {
            const bool named = isNamed(column, meaning);
            add(column,
                meaning,
                10.0 + contentScore(meaning, column.shape) + contextScore(meaning) +
                    (named ? 6.0 : 0.0),
                named ? Basis::name : Basis::numbers);
        }
    }
    return true;
}

bool Candidates::wished(Meaning meaning) const {
    const MeaningInfo& info = infoOf(meaning);
    if (info.role == ColumnRole::phase) {
        return !wishes_.noPhase && (!wishes_.phaseUnit || *wishes_.phaseUnit == meaning);
    }
    if (!wishes_.of || info.of == ColumnOf::none) {
        return true;
    }
    return (*wishes_.of == ColumnOf::impedance) == (info.of == ColumnOf::impedance);
}

double Candidates::contextScore(Meaning meaning) const {
    const ColumnOf of = infoOf(meaning).of;
    if (of == ColumnOf::none || !(wishes_.of || context_)) {
        return 0.0;
    }
    const ColumnOf spoken = wishes_.of.value_or(context_.value_or(ColumnOf::none));
    const bool same = (spoken == ColumnOf::impedance) == (of == ColumnOf::impedance);
    // Who asks for a level without a name means decibels, who asks for ohms means ohms.
    const bool usual = meaning == Meaning::decibel || meaning == Meaning::ohm;
    return same ? (wishes_.of && usual ? 4.5 : 1.5) : -1.5;
}

} // namespace yf::measure
