// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/sim/import_trial.h"

#include "core/measure/table/import.h"
#include "core/quantity/level.h"

#include <algorithm>
#include <cmath>
#include <map>
#include <numbers>

namespace yf::sim {

TableGrade gradeOf(const worlds::TrueCurve& truth, const measure::ImportedTable& read) {
    if (truth.impedance != (read.quantity == "impedance") ||
        (read.phases && truth.degrees.empty())) {
        return TableGrade::wrong;
    }
    std::map<double, std::size_t> rows;
    for (std::size_t i = 0; i < truth.hertz.size(); ++i) {
        rows[truth.hertz[i]] = i;
    }
    const std::vector<double>& values = truth.impedance ? *read.magnitudes : *read.levels;
    constexpr double within = 1e-6;
    std::optional<double> offset;
    for (std::size_t i = 0; i < read.frequencies.size(); ++i) {
        const auto row = rows.lower_bound(read.frequencies[i] * (1.0 - within));
        if (row == rows.end() || row->first > read.frequencies[i] * (1.0 + within)) {
            return TableGrade::wrong;
        }
        const std::size_t at = row->second;
        double error = truth.impedance ? 20.0 * std::log10(values[i] / truth.values[at])
                                       : values[i] - truth.values[at];
        if (truth.relative) {
            offset = offset.value_or(error);
            error -= *offset;
        }
        if (!(std::abs(error) < 0.02)) {
            return TableGrade::wrong;
        }
        if (read.phases && !std::isnan(truth.degrees[at])) {
            const double degrees = (*read.phases)[i] * 180.0 / std::numbers::pi;
            if (!(std::abs(std::remainder(degrees - truth.degrees[at], 360.0)) < 0.2)) {
                return TableGrade::wrong;
            }
        }
    }
    if (20 * read.frequencies.size() < 17 * truth.hertz.size()) {
        return TableGrade::wrong;
    }
    return !truth.degrees.empty() && !read.phases ? TableGrade::withoutPhase : TableGrade::right;
}

namespace {

TableGrade worst(const worlds::ForeignTable& table,
                 const std::vector<measure::ImportedTable>& read) {
    if (read.size() != table.curves.size()) {
        return TableGrade::wrong;
    }
    TableGrade grade = TableGrade::right;
    for (std::size_t k = 0; k < read.size(); ++k) {
        grade = std::max(grade, gradeOf(table.curves[k], read[k]));
    }
    return grade;
}

/// Whether what could not be read is a question that a person can answer.
bool asks(const std::string& bytes) {
    const auto preview = measure::previewTable({.text = bytes});
    return preview.ok() && (preview->unread || preview->answers.size() > 1);
}

} // namespace

Result<ImportTrial> importTrial(const ImportTrialRequest& request) {
    ImportTrial trial;
    const int all = worlds::contentCount() * worlds::headerCount();
    const int wanted = std::min(request.kinds.value_or(all), all);
    for (int k = 0; k < wanted; ++k) {
        const int kind = static_cast<int>(static_cast<long>(k) * all / wanted);
        const worlds::ForeignTable table =
            worlds::foreignTable(kind / worlds::headerCount(),
                                 kind % worlds::headerCount(),
                                 static_cast<std::uint64_t>(request.seed));
        const auto read = measure::importCurves({.text = table.bytes});
        ++trial.kinds;
        trial.readable += table.readable ? 1 : 0;
        const TableGrade grade = read ? worst(table, *read) : TableGrade::wrong;
        const bool silent = read.ok() && grade == TableGrade::wrong;
        const bool asked = !read.ok() && asks(table.bytes);
        if (!read) {
            (asked ? trial.asked : trial.refused) += 1;
        } else {
            (grade == TableGrade::right          ? trial.right
             : grade == TableGrade::withoutPhase ? trial.incomplete
                                                 : trial.silent) += 1;
        }
        const bool good = read.ok() && grade == TableGrade::right;
        trial.readableRead += table.readable && good ? 1 : 0;
        if (silent || (table.readable && !good)) {
            trial.wrong.push_back(table.content + " | " + table.header + " | " + table.form +
                                  " | " +
                                  (silent      ? "silent"
                                   : read.ok() ? "without phase"
                                   : asked     ? "asked"
                                               : "refused"));
        }
    }
    return trial;
}

} // namespace yf::sim
