// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/quantity/quantities.h"

#include <optional>
#include <string>
#include <vector>

namespace yf::measure {

/// A table as it was understood. Levels in dB or moduli in ohms, phases in radians; rows rise in
/// frequency, equal frequencies are merged.
struct ImportedTable {
    std::vector<double> frequencies;
    std::optional<std::vector<double>> levels;
    std::optional<std::vector<double>> magnitudes;
    std::optional<std::vector<double>> phases;
    bool hasPhase{};
    std::string quantity;      ///< "level" or "impedance"
    std::string form{"table"}; ///< "table", "touchstone" or "json"
    int rows{};                ///< data rows in the text, before merging
    int columns{};
    std::string delimiter; ///< "tab", "semicolon", "space", "comma"; of a table
    std::string decimal;   ///< "point" or "comma"
    std::vector<std::string>
        warnings; ///< unsorted, duplicates, dc_row_dropped, kilohertz, radians, quantity_guessed

    static void fields(auto& self, auto&& field) {
        namespace q = yf::quantity;
        field(self.frequencies, q::frequencies);
        field(self.levels, q::levels);
        field(self.magnitudes, q::impedances.as("magnitudes_ohm", "impedance moduli"));
        field(self.phases, q::phases);
        field(self.hasPhase, q::Flag{"has_phase", "whether the table has a phase column"});
        field(self.quantity, q::Word{"quantity", "level or impedance"});
        field(self.form, q::Word{"form", "table, touchstone or json"});
        field(self.rows, q::Whole{"rows", 0, 100000000, "data rows"});
        field(self.columns, q::Whole{"columns", 0, 1000000, "columns"});
        field(self.delimiter, q::Word{"delimiter", "what separates columns"});
        field(self.decimal, q::Word{"decimal", "decimal sign"});
        field(self.warnings, q::Word{"warnings", "what was done or guessed"});
    }

    bool operator==(const ImportedTable&) const = default;
};

} // namespace yf::measure
