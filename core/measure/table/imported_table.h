// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/quantity/quantities.h"

#include <optional>
#include <string>
#include <vector>

namespace yf::measure {

/// One curve of a text as it was understood. Levels in dB or moduli in ohms, phases in radians;
/// rows rise in frequency, equal frequencies are merged.
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
    std::string delimiter;                ///< "tab", "semicolon", "space", "comma"; of a table
    std::string decimal;                  ///< "point" or "comma"
    std::vector<std::string> warnings;    ///< codes, in words by warningInWords
    std::vector<std::string> meanings;    ///< of a table's columns, as a request names them
    std::vector<std::string> certainties; ///< of each: "sure", "likely" or "open"
    std::string name;                     ///< of this curve in its text; may be empty
    int curves{1};                        ///< how many the text holds

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
        field(self.meanings, q::Word{"meanings", "what each column was taken for"});
        field(self.certainties, q::Word{"certainties", "how sure that is: sure, likely or open"});
        field(self.name, q::Word{"name", "of this curve in its text"});
        field(self.curves, q::Whole{"curves", 1, 1000000, "curves in the text"});
    }

    bool operator==(const ImportedTable&) const = default;
};

} // namespace yf::measure
