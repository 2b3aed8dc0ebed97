// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/measure/table/rows.h"

#include "core/measure/table/heading.h"
#include "core/measure/table/limits.h"
#include "core/quantity/level.h"
#include "core/text/number.h"

#include <algorithm>
#include <cmath>
#include <complex>
#include <limits>
#include <numbers>
#include <span>

namespace yf::measure {

namespace {

/// One row of one curve.
struct Row {
    std::size_t at{}; ///< of the grid
    double frequency{};
    double value{};
    double phase{}; ///< radians; NaN where there is none
};

double frequencyOf(double printed, const MeaningInfo& unit) {
    return unit.logarithmic ? std::pow(10.0, printed) : printed * unit.scale;
}

/// A size in dB or ohms.
double valueOf(double printed, const MeaningInfo& info) {
    const bool ohms = info.of == ColumnOf::impedance;
    if (info.logarithmic) {
        return ohms ? quantity::gain(printed) : printed;
    }
    const double size = printed * info.scale;
    if (ohms) {
        return size;
    }
    const double over = info.of == ColumnOf::pressure ? quantity::referencePressure : 1.0;
    return 20.0 * std::log10(size / over);
}

struct Gathered {
    std::vector<Row> rows;
    int read{};
    int withoutNumber{};
    int withoutPhase{};
    bool dcDropped{};
};

/// The rows of a curve in the order of the file; what has no number is counted.
Result<Gathered> gather(const Grid& grid, const Reading& reading, const CurveColumns& curve) {
    Gathered gathered;
    gathered.rows.reserve(grid.rows());
    const MeaningInfo& unit = infoOf(reading.columns[reading.frequency].meaning);
    const MeaningInfo& info = infoOf(reading.columns[curve.value].meaning);
    const bool impedance = info.of == ColumnOf::impedance;
    for (std::size_t r = 0; r < grid.rows(); ++r) {
        const double printed = grid.numbers[reading.frequency][r];
        Row row{r, frequencyOf(printed, unit), 0.0, std::numeric_limits<double>::quiet_NaN()};
        ++gathered.read;
        if (!unit.logarithmic && printed == 0.0) {
            gathered.dcDropped = true;
            continue;
        }
        if (printed < 0.0 && !unit.logarithmic) {
            return atCell(grid.lines[r],
                          reading.frequency + 1,
                          say(YF_WORDS("core", "%1 is a negative frequency"),
                              quotedCell(text::printNumber(printed))));
        }
        const double first = grid.numbers[curve.value][r];
        if (curve.imaginary) {
            const std::complex<double> sum(first, grid.numbers[*curve.imaginary][r]);
            row.value = sum == 0.0 ? std::numeric_limits<double>::quiet_NaN()
                                   : valueOf(std::abs(sum), info);
            row.phase = std::arg(sum);
        } else {
            row.value = valueOf(first, info);
        }
        if (curve.phase) {
            row.phase =
                grid.numbers[*curve.phase][r] * infoOf(reading.columns[*curve.phase].meaning).scale;
        }
        if (std::isnan(row.frequency) || std::isnan(row.value)) {
            // A level of a linear size that is not above 0 has no logarithm: said by its place.
            if (!std::isnan(first) && !std::isnan(printed) && !impedance && !curve.imaginary) {
                return atCell(
                    grid.lines[r],
                    curve.value + 1,
                    say(YF_WORDS("core", "%1; a size must be above 0"), text::printNumber(first)));
            }
            ++gathered.withoutNumber;
            continue;
        }
        if (auto wrong = beyondLimits(row.frequency, row.value, impedance)) {
            const bool frequency =
                row.frequency < lowestFrequency || row.frequency > highestFrequency;
            return atCell(grid.lines[r], (frequency ? reading.frequency : curve.value) + 1, *wrong);
        }
        gathered.withoutPhase += curve.phase && std::isnan(row.phase) ? 1 : 0;
        gathered.rows.push_back(row);
    }
    return gathered;
}

/// Rows of one curve each, with its name.
struct Part {
    std::string name;
    std::vector<Row> rows;
};

/// A line over a block without its marks.
std::string plainTitle(std::string title) {
    title.erase(0, std::min(title.find_first_not_of("*#;!%/ \t\""), title.size()));
    while (!title.empty() &&
           std::string_view(" \t\";,").find(title.back()) != std::string_view::npos) {
        title.pop_back();
    }
    return title;
}

std::string titleAt(const Grid& grid, std::size_t row) {
    const auto block = std::ranges::find(grid.blocks, row, &Block::first);
    if (block == grid.blocks.end()) {
        return {};
    }
    if (!block->title.empty()) {
        return plainTitle(block->title.front());
    }
    // A short remark may have as many words as there are columns.
    for (const HeadLine& line : block->heads) {
        const bool names = std::ranges::any_of(line.cells, [](const std::string& cell) {
            return cell != "#" && !readHeading(cell).allowed.empty();
        });
        if (line.comment && !names) {
            std::string title;
            for (const std::string& cell : line.cells) {
                title += (title.empty() || cell.empty() ? "" : " ") + cell;
            }
            return plainTitle(title);
        }
    }
    return {};
}

/// Curves below each other: frequencies begin anew, over the same range.
std::vector<Part> belowEachOther(const Grid& grid, const std::vector<Row>& rows) {
    std::size_t rises = 0;
    std::size_t falls = 0;
    for (std::size_t i = 1; i < rows.size(); ++i) {
        rises += rows[i].frequency > rows[i - 1].frequency ? 1 : 0;
        falls += rows[i].frequency < rows[i - 1].frequency ? 1 : 0;
    }
    const bool rising = rises >= falls;
    std::vector<std::span<const Row>> runs;
    std::size_t from = 0;
    for (std::size_t i = 1; i <= rows.size(); ++i) {
        const bool ends = i == rows.size() || (rising ? rows[i].frequency < rows[i - 1].frequency
                                                      : rows[i].frequency > rows[i - 1].frequency);
        if (ends) {
            runs.emplace_back(rows.data() + from, i - from);
            from = i;
        }
    }
    constexpr std::size_t mostCurves = 400;
    constexpr std::size_t fewestRows = 3;
    if (runs.size() < 2 || runs.size() > mostCurves) {
        return {};
    }
    const auto ends = [](std::span<const Row> run) {
        return std::minmax(std::log(run.front().frequency), std::log(run.back().frequency));
    };
    const auto [low, high] = ends(runs.front());
    std::vector<Part> parts;
    for (const std::span<const Row> run : runs) {
        const auto [a, b] = ends(run);
        const double common = std::min(b, high) - std::max(a, low);
        if (run.size() < fewestRows || common < 0.5 * std::min(b - a, high - low)) {
            return {};
        }
        std::string name = titleAt(grid, run.front().at);
        parts.push_back({name.empty() ? std::to_string(parts.size() + 1) : std::move(name),
                         {run.begin(), run.end()}});
    }
    return parts;
}

/// What tells the copies of one frequency apart: a column that is the same for each copy's rows.
std::string copyName(const Grid& grid, const Reading& reading, const Part& part, std::size_t copy) {
    for (std::size_t c = 0; c < grid.columns; ++c) {
        if (infoOf(reading.columns[c].meaning).role != ColumnRole::unused || grid.words[c]) {
            continue;
        }
        const double first = grid.numbers[c][part.rows.front().at];
        if (std::ranges::all_of(part.rows,
                                [&](const Row& row) { return grid.numbers[c][row.at] == first; })) {
            const std::string& name = reading.columns[c].name;
            return (name.empty() ? "" : name + " ") + text::printNumber(first);
        }
    }
    return std::to_string(copy + 1);
}

/// Curves woven into each other: each frequency stands equally often, with different values.
std::vector<Part>
interleaved(const Grid& grid, const Reading& reading, const std::vector<Row>& sorted) {
    constexpr std::size_t fewest = 4;
    std::size_t copies = 0;
    bool differ = false;
    std::size_t groups = 0;
    for (std::size_t i = 0; i < sorted.size(); ++groups) {
        std::size_t end = i + 1;
        while (end < sorted.size() && sorted[end].frequency == sorted[i].frequency) {
            differ = differ || sorted[end].value != sorted[i].value;
            ++end;
        }
        if (copies == 0) {
            copies = end - i;
        }
        if (copies < 2 || end - i != copies) {
            return {};
        }
        i = end;
    }
    if (!differ || groups < fewest) {
        return {};
    }
    std::vector<Part> parts(copies);
    for (std::size_t i = 0; i < sorted.size(); ++i) {
        parts[i % copies].rows.push_back(sorted[i]);
    }
    for (std::size_t k = 0; k < copies; ++k) {
        parts[k].name = copyName(grid, reading, parts[k], k);
    }
    return parts;
}

/// Complex mean of the rows that share a frequency.
Row merged(std::span<const Row> equal, bool impedance) {
    std::complex<double> sum{};
    for (const Row& row : equal) {
        sum += std::polar(impedance ? row.value : quantity::gain(row.value),
                          std::isnan(row.phase) ? 0.0 : row.phase);
    }
    const std::complex<double> mean = sum / static_cast<double>(equal.size());
    Row row = equal.front();
    row.value = impedance ? std::abs(mean) : quantity::decibels(mean);
    if (!std::isnan(row.phase)) {
        row.phase = std::arg(mean);
    }
    return row;
}

bool mergeEqual(std::vector<Row>& rows, bool impedance) {
    std::vector<Row> result;
    result.reserve(rows.size());
    bool any = false;
    for (std::size_t i = 0; i < rows.size();) {
        std::size_t end = i + 1;
        while (end < rows.size() && rows[end].frequency == rows[i].frequency) {
            ++end;
        }
        any = any || end > i + 1;
        result.push_back(end == i + 1 ? rows[i]
                                      : merged(std::span(rows).subspan(i, end - i), impedance));
        i = end;
    }
    rows = std::move(result);
    return any;
}

/// What a curve is called beside others: by its label, its column's name, or its column.
std::string nameOf(const Reading& reading, const CurveColumns& curve) {
    const std::string& column = reading.columns[curve.value].name;
    return !curve.label.empty() ? curve.label
           : !column.empty()    ? column
                                : std::to_string(curve.value + 1);
}

/// What was done for all curves alike.
void tellCommon(const Grid& grid,
                const Reading& reading,
                const CurveColumns& curve,
                std::vector<std::string>& warnings) {
    const Meaning unit = reading.columns[reading.frequency].meaning;
    if (unit != Meaning::hertz) {
        warnings.emplace_back(unit == Meaning::kilohertz ? "kilohertz"
                              : unit == Meaning::angular ? "angular"
                                                         : "log_frequency");
    }
    if (curve.phase && reading.columns[*curve.phase].meaning == Meaning::radians) {
        warnings.emplace_back("radians");
    }
    const MeaningInfo& info = infoOf(reading.columns[curve.value].meaning);
    if (info.of == ColumnOf::relative) {
        warnings.emplace_back("relative_level");
    } else if (info.meaning != Meaning::decibel && info.meaning != Meaning::ohm &&
               !curve.imaginary) {
        warnings.emplace_back("unit_changed");
    }
    if (curve.imaginary) {
        warnings.emplace_back("parts");
    }
    if (grid.thousands) {
        warnings.emplace_back("thousands");
    }
    if (grid.footer > 0) {
        warnings.emplace_back("footer");
    }
    const bool leftOut = std::ranges::any_of(reading.columns, [](const ColumnReading& column) {
        return infoOf(column.meaning).role == ColumnRole::unused &&
               column.meaning != Meaning::index;
    });
    if (leftOut) {
        warnings.emplace_back("columns_left_out");
    }
    // What only the numbers told, or a name that left more than one meaning well possible.
    const auto guessed = [&](std::size_t column) {
        const ColumnReading& read = reading.columns[column];
        return read.basis == Basis::numbers ||
               (read.basis == Basis::name && read.certainty != Certainty::sure);
    };
    if (unit != Meaning::hertz && guessed(reading.frequency)) {
        warnings.emplace_back("frequency_unit_guessed");
    }
    if (guessed(curve.value)) {
        warnings.emplace_back("quantity_guessed");
    }
    if (curve.phase && guessed(*curve.phase)) {
        warnings.emplace_back("phase_guessed");
    }
    if (reading.phaseContradicts) {
        warnings.emplace_back("phase_contradicts");
    }
}

Result<ImportedTable> finish(const Grid& grid,
                             const Reading& reading,
                             const CurveColumns& curve,
                             Gathered& gathered,
                             Part part) {
    const bool impedance = infoOf(reading.columns[curve.value].meaning).of == ColumnOf::impedance;
    ImportedTable table{.quantity = impedance ? "impedance" : "level", .rows = gathered.read};
    std::vector<Row>& rows = part.rows;
    tellCommon(grid, reading, curve, table.warnings);
    if (gathered.withoutNumber > 0) {
        table.warnings.emplace_back("rows_without_number");
    }
    table.hasPhase = curve.phase.has_value() || curve.imaginary.has_value();
    if (table.hasPhase && gathered.withoutPhase > 0) {
        // Some empty cells cost their rows; a phase that is mostly missing is none.
        constexpr std::size_t share = 5;
        const bool mostly =
            share * static_cast<std::size_t>(gathered.withoutPhase) > gathered.rows.size();
        table.warnings.emplace_back(mostly ? "phase_left_out" : "rows_without_phase");
        if (mostly) {
            table.hasPhase = false;
        } else {
            std::erase_if(rows, [](const Row& row) { return std::isnan(row.phase); });
        }
    }
    if (gathered.dcDropped) {
        table.warnings.emplace_back("dc_row_dropped");
    }
    if (!std::ranges::is_sorted(rows, {}, &Row::frequency)) {
        std::ranges::stable_sort(rows, {}, &Row::frequency);
        table.warnings.emplace_back("unsorted");
    }
    if (mergeEqual(rows, impedance)) {
        table.warnings.emplace_back("duplicates");
    }
    if (rows.size() < 2) {
        return Error{"text",
                     rows.size() == 1
                         ? Words(YF_WORDS("core", "1 row of data"))
                         : say(YF_WORDS("core", "%1 rows of data"), std::to_string(rows.size())),
                     YF_WORDS("core", "must have at least 2 with different frequencies")};
    }
    table.name = part.name;
    table.columns = static_cast<int>(grid.columns);
    table.delimiter = delimiterNames[static_cast<std::size_t>(grid.delimiter)];
    table.decimal = grid.decimalComma ? YF_WORDS("core", "comma") : YF_WORDS("core", "point");
    for (const ColumnReading& column : reading.columns) {
        table.meanings.emplace_back(infoOf(column.meaning).word);
        table.certainties.emplace_back(column.certainty == Certainty::sure     ? "sure"
                                       : column.certainty == Certainty::likely ? "likely"
                                                                               : "open");
    }
    std::vector<double> values;
    std::vector<double> phases;
    for (const Row& row : rows) {
        table.frequencies.push_back(row.frequency);
        values.push_back(row.value);
        phases.push_back(row.phase);
    }
    (impedance ? table.magnitudes : table.levels) = std::move(values);
    if (table.hasPhase) {
        table.phases = std::move(phases);
    }
    return table;
}

} // namespace

Result<std::vector<ImportedTable>> curvesOf(const Grid& grid, const Reading& reading) {
    std::vector<ImportedTable> tables;
    for (const CurveColumns& curve : reading.curves) {
        YF_TRY(gathered, gather(grid, reading, curve));
        std::vector<Part> parts = belowEachOther(grid, gathered.rows);
        if (parts.empty()) {
            std::vector<Row> sorted = gathered.rows;
            std::ranges::stable_sort(sorted, {}, &Row::frequency);
            parts = interleaved(grid, reading, sorted);
        }
        if (parts.empty()) {
            parts.push_back(
                {reading.curves.size() > 1 ? nameOf(reading, curve) : "", gathered.rows});
        } else if (reading.curves.size() > 1) {
            for (Part& part : parts) {
                part.name = nameOf(reading, curve) + ", " + part.name;
            }
        }
        for (Part& part : parts) {
            YF_TRY(table, finish(grid, reading, curve, gathered, std::move(part)));
            tables.push_back(std::move(table));
        }
    }
    for (ImportedTable& table : tables) {
        table.curves = static_cast<int>(tables.size());
    }
    return tables;
}

} // namespace yf::measure
