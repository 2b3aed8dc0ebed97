// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/base/result.h"
#include "core/curve/curve.h"
#include "core/measure/imported_table.h"
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
enum class FrequencyUnitChoice { automatic, hz, khz };
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
    int valueColumn{2};
    std::optional<int> phaseColumn; ///< 0: none; absent: the third, where there is one

    static void fields(auto& self, auto&& field) {
        using namespace yf::quantity;
        field(self.text, Word{"text", "the table itself"});
        field(self.textFile, Word{"text_file", "or the file that holds it"});
        field(self.form,
              Choice<4>{
                  "form", {"auto", "table", "touchstone", "json"}, "what kind of text it is", 0});
        field(self.quantity,
              Choice<3>{
                  "quantity", {"auto", "level", "impedance"}, "what the second column holds", 0});
        field(self.delimiter,
              Choice<5>{"delimiter",
                        {"auto", "tab", "semicolon", "space", "comma"},
                        "what separates columns",
                        0});
        field(self.decimal, Choice<3>{"decimal", {"auto", "point", "comma"}, "decimal sign", 0});
        field(self.frequencyUnit,
              Choice<3>{"frequency_unit", {"auto", "hz", "khz"}, "unit of the first column", 0});
        field(self.phaseUnit,
              Choice<3>{"phase_unit", {"auto", "degrees", "radians"}, "unit of the phases", 0});
        field(self.valueColumn, Whole{"value_column", 2, 1000, "which column holds the value", 2});
        field(self.phaseColumn,
              Whole{"phase_column", 0, 1000, "which column holds the phase; 0: none"});
    }

    bool operator==(const ImportRequest&) const = default;
};

[[nodiscard]] std::optional<Error> check(const ImportRequest& request);

/// Reads a curve from a text: JSON (from its first '{': frequencies_hz with levels_db,
/// impedances_ohm or magnitudes_ohm and perhaps phases_deg, as the verbs write them), a Touchstone
/// one-port (measure::readTouchstone), or else a delimited table.
///
/// Table: frequency, value, optional phase; further columns are ignored.
/// Told to the user, each step overridable: encoding by byte-order mark, else UTF-8, else Latin-1;
/// comment lines (* # ; ! % //) and header lines; delimiter from the first 20 data lines; decimal
/// comma or point; columns fixed by the first row; kHz, radians and the quantity from header words.
/// Refused with line and column (both from 1, lines of the file): what is not a number, a short or
/// long row, a number with both point and comma, a negative frequency, a modulus ≤ 0 Ω, a zero
/// byte, fewer than two rows, a text beyond `largestTable`. Equal frequencies become their complex
/// mean. Source: docs/theory/measurement.md, "Text tables".
[[nodiscard]] Result<ImportedTable> importTable(const ImportRequest& request);

/// What each column was taken for.
enum class ColumnRole { frequency, value, phase, unused };

/// The first rows of a table as they stand in it, for a look before it is taken.
struct TablePreview {
    std::vector<std::string> header; ///< a word for each column; empty where there is none
    std::vector<ColumnRole> roles;
    std::vector<std::vector<std::string>> rows; ///< at most `previewRows`
};

inline constexpr std::size_t previewRows = 8;

/// Never fails on a cell: what is wrong with one is said by importTable. Fails where there is no
/// table at all.
[[nodiscard]] Result<TablePreview> previewTable(const ImportRequest& request);

/// The table as a curve: pascals (levels re 20 µPa) or ohms; without a phase column the values are
/// real and the curve says Phase::none.
[[nodiscard]] curve::Curve toCurve(const ImportedTable& table);

/// What was understood, in one sentence for a person.
[[nodiscard]] Words understood(const ImportedTable& table);

/// A warning's code in words.
[[nodiscard]] Words warningInWords(std::string_view code);

} // namespace yf::measure
