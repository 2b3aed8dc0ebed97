// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/curve/curve.h"
#include "core/measure/table/imported_table.h"
#include "core/measure/table/reading.h"
#include "core/quantity/quantities.h"

#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace yf::measure {

enum class FormChoice { automatic, table, touchstone, json };
enum class QuantityChoice { automatic, level, impedance };
enum class DelimiterChoice { automatic, tab, semicolon, space, comma };
enum class DecimalChoice { automatic, point, comma };
enum class FrequencyUnitChoice { automatic, hz, khz, angular, logarithm };
enum class PhaseUnitChoice { automatic, degrees, radians };

/// A text to be read, and what of its form is known already. Command line: `measure import`;
/// exactly one of text and text_file.
struct ImportRequest {
    std::optional<std::string> text;
    std::optional<std::string> textFile;
    FormChoice form{};
    QuantityChoice quantity{};
    DelimiterChoice delimiter{};
    DecimalChoice decimal{};
    FrequencyUnitChoice frequencyUnit{};
    PhaseUnitChoice phaseUnit{};
    std::optional<int> valueColumn; ///< absent: as names and numbers say
    std::optional<int> phaseColumn; ///< 0: none; absent: as names and numbers say
    std::string meanings; ///< of each column, by commas; "auto" where it is open; empty: all open
    std::optional<int> curve; ///< which one, from 1, of a text that holds several

    static void fields(auto& self, auto&& field) {
        using namespace yf::quantity;
        field(self.text, Word{"text", "the table itself"});
        field(self.textFile, Word{"text_file", "or the file that holds it"});
        field(self.form,
              Choice<4>{
                  "form", {"auto", "table", "touchstone", "json"}, "what kind of text it is", 0});
        field(self.quantity,
              Choice<3>{"quantity", {"auto", "level", "impedance"}, "what the values are", 0});
        field(self.delimiter,
              Choice<5>{"delimiter",
                        {"auto", "tab", "semicolon", "space", "comma"},
                        "what separates columns",
                        0});
        field(self.decimal, Choice<3>{"decimal", {"auto", "point", "comma"}, "decimal sign", 0});
        field(self.frequencyUnit,
              Choice<5>{"frequency_unit",
                        {"auto", "hz", "khz", "rad_per_s", "log10_hz"},
                        "unit of the frequencies",
                        0});
        field(self.phaseUnit,
              Choice<3>{"phase_unit", {"auto", "degrees", "radians"}, "unit of the phases", 0});
        field(self.valueColumn, Whole{"value_column", 1, 1000, "which column holds the value"});
        field(self.phaseColumn,
              Whole{"phase_column", 0, 1000, "which column holds the phase; 0: none"});
        field(self.meanings,
              Word{"meanings", "what each column is, as \"hz,db,unused,deg\"; auto: open", ""});
        field(self.curve, Whole{"curve", 1, 1000000, "which curve of a text with several"});
    }

    bool operator==(const ImportRequest&) const = default;
};

[[nodiscard]] std::optional<Error> check(const ImportRequest& request);

/// Reads a curve from a text: JSON (from its first '{': frequencies_hz with levels_db,
/// impedances_ohm or magnitudes_ohm and perhaps phases_deg, as the verbs write them), a Touchstone
/// one-port (measure::readTouchstone), or else a delimited table.
///
/// Table: every column gets its meaning from its name, its unit and its numbers (reading.h), each
/// step overridable. Read: any order of columns; Hz, kHz, rad/s, log10 of Hz; dB, Pa, V, ratios; Ω
/// with m and k, dB of Ω; moduli with phases in degrees or radians, wrapped or not; real and
/// imaginary parts; several curves side by side or below each other. Coherence, noise, distortion,
/// delays, row numbers and words are left out, and told.
/// Two readings that are both plausible are an error that names both; so are several curves
/// without a choice of one. Refused with line and column (both from 1, lines of the file): a word
/// where the rows have numbers, a short or long row, points and commas that can't both be decimal
/// signs, a negative frequency, a value beyond its limits (`limits.h`), a zero byte, fewer than two
/// rows, a text beyond `largestTable`. Rows without a number are left out, and told. Equal
/// frequencies become their complex mean, unless each stands equally often: then these are curves.
/// Source: docs/theory/measurement.md, "Text tables".
[[nodiscard]] Result<ImportedTable> importTable(const ImportRequest& request);

/// All curves of a text, in its order; `request.curve` is not looked at.
[[nodiscard]] Result<std::vector<ImportedTable>> importCurves(const ImportRequest& request);

/// One answer to a question about a table.
struct TableAnswer {
    Words said;                        ///< what the columns would be
    std::vector<std::string> meanings; ///< a word for each column
};

/// The first rows of a table as they stand in it and what its columns were taken for, for a look
/// before it is taken.
struct TablePreview {
    std::vector<ColumnReading> columns;         ///< of the likeliest reading
    std::vector<std::vector<std::string>> rows; ///< at most `previewRows`
    std::vector<TableAnswer> answers;           ///< two or more: one has to be chosen
    bool unread{}; ///< nothing can be frequencies with values beside it: columns have to be named
    std::vector<std::string> curves; ///< their names; empty where it could not be read
    std::string shape; ///< the same for files of one kind: names, columns and delimiter
};

/// Never fails on a cell: what is wrong with one is said by importTable. Fails where there is no
/// table at all.
[[nodiscard]] Result<TablePreview> previewTable(const ImportRequest& request);

/// A word for each column as ImportRequest::meanings holds them, and back.
[[nodiscard]] std::string joinMeanings(const std::vector<std::string>& words);
[[nodiscard]] std::vector<std::string> splitMeanings(const std::string& meanings);

/// The table as a curve: pascals (levels re 20 µPa) or ohms; without a phase column the values are
/// real and the curve says Phase::none.
[[nodiscard]] curve::Curve toCurve(const ImportedTable& table);

/// What was understood, in one sentence for a person.
[[nodiscard]] Words understood(const ImportedTable& table);

/// Whether something was guessed, changed or left out that is worth a look; that units were put
/// into others or columns named otherwise left out is none.
[[nodiscard]] bool isDoubtful(const ImportedTable& table);

/// A warning's code in words.
[[nodiscard]] Words warningInWords(std::string_view code);

} // namespace yf::measure
