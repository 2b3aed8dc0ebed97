// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/measure/table/imported_table.h"
#include "core/quantity/quantities.h"
#include "core/worlds/tables.h"

/// How well tables are read that the importer knows nothing of.
namespace yf::sim {

/// Input of `measure import-trial`.
struct ImportTrialRequest {
    int seed{1};
    std::optional<int> kinds; ///< absent: all; else so many, spread evenly over them

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.seed, q::Whole{"seed", 0, 1000000, "of the draws", 1});
        field(self.kinds, q::Whole{"kinds", 1, 100000, "how many kinds of table; absent: all"});
    }
};

struct ImportTrial {
    int kinds{};
    int right{};      ///< every curve with its values and phases
    int incomplete{}; ///< the values, without the phases that are there
    int asked{};      ///< a question about the columns
    int refused{};
    int silent{};                   ///< read, and something else than what stands there
    int readable{};                 ///< a careful person would know
    int readableRead{};             ///< of those: right
    std::vector<std::string> wrong; ///< the silent ones and the readable ones that were not read

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        const auto count = [](const char* key, const char* help) {
            return q::Whole{key, 0, 1000000, help};
        };
        field(self.kinds, count("kinds", "tables, each of another kind"));
        field(self.right, count("right", "every curve with its values and phases"));
        field(self.incomplete, count("incomplete", "the values without the phases"));
        field(self.asked, count("asked", "a question about the columns"));
        field(self.refused, count("refused", "with a reason"));
        field(self.silent, count("silent", "read as something else, without a word"));
        field(self.readable, count("readable", "a careful person would know"));
        field(self.readableRead, count("readable_read", "of those: right"));
        field(self.wrong, q::Word{"wrong", "silent ones, and readable ones that were not read"});
    }
};

/// Tables of every content under every kind of header (worlds/tables.h), with order, delimiter,
/// decimals, encoding and defect drawn from the seed, against what is read of them. Right: each
/// frequency within 1e-6, levels and moduli within 0.02 dB, phases within 0.2°, at least 85 % of
/// the rows (defects cost some); of volts and ratios the level up to a constant.
[[nodiscard]] Result<ImportTrial> importTrial(const ImportTrialRequest& request);

/// How a curve stands to the truth.
enum class TableGrade { right, withoutPhase, wrong };

[[nodiscard]] TableGrade gradeOf(const worlds::TrueCurve& truth,
                                 const measure::ImportedTable& read);

} // namespace yf::sim
