// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/measure/table/import.h"

#include "core/measure/table/decode.h"
#include "core/measure/table/json.h"
#include "core/measure/table/limits.h"
#include "core/measure/table/rows.h"
#include "core/measure/table/touchstone.h"
#include "core/quantity/level.h"
#include "core/text/given.h"
#include "core/text/number.h"

#include <algorithm>
#include <cmath>
#include <utility>

namespace yf::measure {

std::string joinMeanings(const std::vector<std::string>& words) {
    std::string joined;
    for (const std::string& word : words) {
        joined += (joined.empty() ? "" : ",") + word;
    }
    return joined;
}

std::vector<std::string> splitMeanings(const std::string& meanings) {
    std::vector<std::string> words;
    std::string_view left = meanings;
    while (!left.empty()) {
        const std::size_t end = left.find(',');
        words.emplace_back(left.substr(0, end));
        left = end == std::string_view::npos ? std::string_view() : left.substr(end + 1);
    }
    return words;
}

std::optional<Error> check(const ImportRequest& request) {
    if (request.text.has_value() == request.textFile.has_value()) {
        return Error{"text",
                     request.text ? YF_WORDS("core", "given together with text_file")
                                  : YF_WORDS("core", "missing, and text_file too"),
                     YF_WORDS("core", "exactly one of the two must be given")};
    }
    for (const std::string& word : splitMeanings(request.meanings)) {
        if (word != "auto" && !meaningNamed(word)) {
            std::string words = "auto";
            for (const MeaningInfo& info : meanings()) {
                words += ", " + std::string(info.word);
            }
            return Error{
                "meanings", text::given(word), say(YF_WORDS("core", "must be one of %1"), words)};
        }
    }
    return std::nullopt;
}

namespace {

Result<ReadingWishes> wishesOf(const ImportRequest& request, const Grid& grid) {
    ReadingWishes wishes;
    const auto missing = [&](const char* key, int column) {
        return Error{
            key,
            text::given(std::to_string(column)),
            say(YF_WORDS("core", "the table has %1 columns"), std::to_string(grid.columns))};
    };
    if (request.quantity != QuantityChoice::automatic) {
        wishes.of = request.quantity == QuantityChoice::impedance ? ColumnOf::impedance
                                                                  : ColumnOf::pressure;
    }
    static constexpr Meaning units[] = {
        Meaning::unused, Meaning::hertz, Meaning::kilohertz, Meaning::angular, Meaning::logHertz};
    if (request.frequencyUnit != FrequencyUnitChoice::automatic) {
        wishes.frequencyUnit = units[static_cast<std::size_t>(request.frequencyUnit)];
    }
    if (request.phaseUnit != PhaseUnitChoice::automatic) {
        wishes.phaseUnit =
            request.phaseUnit == PhaseUnitChoice::degrees ? Meaning::degrees : Meaning::radians;
    }
    if (request.valueColumn) {
        wishes.valueColumn = static_cast<std::size_t>(*request.valueColumn) - 1;
        if (*wishes.valueColumn >= grid.columns) {
            return missing("value_column", *request.valueColumn);
        }
    }
    wishes.noPhase = request.phaseColumn == 0;
    if (request.phaseColumn && !wishes.noPhase) {
        wishes.phaseColumn = static_cast<std::size_t>(*request.phaseColumn) - 1;
        if (*wishes.phaseColumn >= grid.columns) {
            return missing("phase_column", *request.phaseColumn);
        }
    }
    const std::vector<std::string> chosen = splitMeanings(request.meanings);
    if (chosen.size() > grid.columns) {
        return missing("meanings", static_cast<int>(chosen.size()));
    }
    for (const std::string& word : chosen) {
        wishes.meanings.push_back(meaningNamed(word));
    }
    return wishes;
}

Result<Grid> gridOf(const std::string& text, const ImportRequest& request) {
    GridWishes wishes;
    if (request.delimiter != DelimiterChoice::automatic) {
        wishes.delimiter = static_cast<Delimiter>(static_cast<int>(request.delimiter) - 1);
    }
    if (request.decimal != DecimalChoice::automatic) {
        wishes.decimalComma = request.decimal == DecimalChoice::comma;
    }
    return cutGrid(text, wishes);
}

/// Both readings, and the key that decides.
Error question(const std::vector<Reading>& readings) {
    std::vector<Words> ways;
    for (const Reading& reading : readings) {
        ways.push_back(say(
            YF_WORDS("core", "%1 (meanings: %2)"), readingInWords(reading), meaningsOf(reading)));
    }
    return {"text",
            say(YF_WORDS("core", "can be read in %1 ways: %2"),
                std::to_string(readings.size()),
                Words::row(std::move(ways), "; ")),
            YF_WORDS("core", "say which, by meanings")};
}

Error unreadable() {
    return {"text",
            YF_WORDS("core", "no column was found that can be frequencies with values beside it"),
            YF_WORDS("core", "say what the columns are, by meanings")};
}

Result<std::vector<ImportedTable>> readTable(const std::string& text,
                                             const ImportRequest& request) {
    YF_TRY(grid, gridOf(text, request));
    YF_TRY(wishes, wishesOf(request, grid));
    const std::vector<Reading> readings = readingsOf(grid, wishes);
    if (readings.empty()) {
        return unreadable();
    }
    if (readings.size() > 1) {
        return question(readings);
    }
    return curvesOf(grid, readings.front());
}

Result<ImportedTable> readOnePort(const std::string& text) {
    YF_TRY(port, readTouchstone(text));
    ImportedTable table{.frequencies = port.frequencies,
                        .magnitudes = std::vector<double>(),
                        .phases = std::vector<double>(),
                        .hasPhase = true,
                        .quantity = "impedance",
                        .form = "touchstone",
                        .rows =
                            static_cast<int>(port.frequencies.size()) + (port.dcDropped ? 1 : 0),
                        .columns = 3,
                        .delimiter = "space",
                        .decimal = "point"};
    for (const curve::Complex& Z : port.Z) {
        table.magnitudes->push_back(std::abs(Z));
        table.phases->push_back(std::arg(Z));
    }
    if (port.dcDropped) {
        table.warnings.emplace_back("dc_row_dropped");
    }
    return withinLimits(std::move(table));
}

FormChoice formOf(const std::string& text) {
    const std::size_t first = text.find_first_not_of(" \t\r\n");
    return first != std::string::npos && text[first] == '{' ? FormChoice::json
           : looksLikeTouchstone(text)                      ? FormChoice::touchstone
                                                            : FormChoice::table;
}

} // namespace

Result<std::vector<ImportedTable>> importCurves(const ImportRequest& request) {
    if (!request.text) {
        return Error{"text", "missing", YF_WORDS("core", "must hold the table")};
    }
    YF_TRY(text, decode(*request.text));
    const auto alone = [](Result<ImportedTable> table) -> Result<std::vector<ImportedTable>> {
        if (!table) {
            return table.error();
        }
        return std::vector{std::move(*table)};
    };
    switch (request.form == FormChoice::automatic ? formOf(text) : request.form) {
    case FormChoice::touchstone:
        return alone(readOnePort(text));
    case FormChoice::json: {
        YF_TRY(table, readJson(text));
        return alone(withinLimits(std::move(table)));
    }
    default:
        return readTable(text, request);
    }
}

Result<ImportedTable> importTable(const ImportRequest& request) {
    YF_TRY(tables, importCurves(request));
    const int count = static_cast<int>(tables.size());
    if (count > 1 && !request.curve) {
        std::vector<Words> names;
        for (int k = 0; k < count; ++k) {
            const std::string& name = tables[static_cast<std::size_t>(k)].name;
            names.push_back(name.empty()
                                ? Words(std::to_string(k + 1))
                                : say(YF_WORDS("core", "%1: %2"), std::to_string(k + 1), name));
        }
        return Error{"curve",
                     say(YF_WORDS("core", "missing; the text holds %1 curves (%2)"),
                         std::to_string(count),
                         Words::row(std::move(names), ", ")),
                     say(YF_WORDS("core", "must be 1 to %1"), std::to_string(count))};
    }
    const int wanted = request.curve.value_or(1);
    if (wanted < 1 || wanted > count) {
        return Error{"curve",
                     text::given(std::to_string(wanted)),
                     say(YF_WORDS("core", "must be 1 to %1"), std::to_string(count))};
    }
    return std::move(tables[static_cast<std::size_t>(wanted) - 1]);
}

Result<TablePreview> previewTable(const ImportRequest& request) {
    if (!request.text) {
        return Error{"text", "missing", YF_WORDS("core", "must hold the table")};
    }
    YF_TRY(text, decode(*request.text));
    const FormChoice form = request.form == FormChoice::automatic ? formOf(text) : request.form;
    if (form != FormChoice::table) {
        return Error{"text",
                     YF_WORDS("core", "no table"),
                     YF_WORDS("core", "only a table has columns to look at")};
    }
    YF_TRY(grid, gridOf(text, request));
    YF_TRY(wishes, wishesOf(request, grid));
    const std::vector<Reading> readings = readingsOf(grid, wishes);
    TablePreview preview;
    preview.rows = grid.shown;
    preview.shape = std::string(delimiterNames[static_cast<std::size_t>(grid.delimiter)]) + "|" +
                    std::to_string(grid.columns);
    if (readings.empty()) {
        preview.unread = true;
        preview.columns.resize(grid.columns);
        return preview;
    }
    preview.columns = readings.front().columns;
    for (const ColumnReading& column : preview.columns) {
        preview.shape += "|" + column.name;
    }
    if (readings.size() > 1) {
        for (const Reading& reading : readings) {
            TableAnswer answer{.said = readingInWords(reading), .meanings = {}};
            for (const ColumnReading& column : reading.columns) {
                answer.meanings.emplace_back(infoOf(column.meaning).word);
            }
            preview.answers.push_back(std::move(answer));
        }
    }
    if (const auto curves = curvesOf(grid, readings.front())) {
        for (const ImportedTable& table : *curves) {
            preview.curves.push_back(table.name);
        }
    }
    return preview;
}

curve::Curve toCurve(const ImportedTable& table) {
    std::vector<curve::Complex> values;
    values.reserve(table.frequencies.size());
    for (std::size_t i = 0; i < table.frequencies.size(); ++i) {
        const double size = table.magnitudes
                                ? (*table.magnitudes)[i]
                                : quantity::referencePressure * quantity::gain((*table.levels)[i]);
        values.push_back(std::polar(size, table.phases ? (*table.phases)[i] : 0.0));
    }
    return {table.frequencies,
            std::move(values),
            table.hasPhase ? curve::Phase::common : curve::Phase::none};
}

Words understood(const ImportedTable& table) {
    const std::string rows = std::to_string(table.rows);
    const std::string from = text::printEngineering(table.frequencies.front(), "Hz");
    const std::string to = text::printEngineering(table.frequencies.back(), "Hz");
    const bool impedance = table.quantity == "impedance";
    std::vector<Words> said;
    if (table.form == "json") {
        said.push_back(say(YF_WORDS("core", "JSON, %1 rows, %2 to %3."), rows, from, to));
    } else if (table.form != "table") {
        said.push_back(
            say(YF_WORDS("core", "Touchstone of one port, %1 rows, %2 to %3."), rows, from, to));
    } else {
        said.push_back(say(
            YF_WORDS("core",
                     "%1 rows, %2 to %3; read as frequency, %4, %5; columns by %6, decimal %7."),
            rows,
            from,
            to,
            impedance ? YF_WORDS("core", "ohms") : YF_WORDS("core", "level in dB"),
            table.hasPhase ? YF_WORDS("core", "phase") : YF_WORDS("core", "no phase"),
            table.delimiter,
            table.decimal));
    }
    for (const std::string& warning : table.warnings) {
        said.push_back(warningInWords(warning));
    }
    return Words::row(std::move(said), " ");
}

namespace {

/// A code, what it means, and whether it is worth a look.
struct Warning {
    std::string_view code;
    std::string_view said;
    bool doubt{};
};

constexpr Warning warnings[] = {
    {"unsorted", YF_WORDS("core", "Rows were out of order and have been sorted."), true},
    {"duplicates",
     YF_WORDS("core", "Some frequencies stood more than once; their complex mean was taken."),
     true},
    {"dc_row_dropped", YF_WORDS("core", "The row at 0 Hz was left out."), true},
    {"kilohertz", YF_WORDS("core", "Frequencies were in kHz."), true},
    {"angular", YF_WORDS("core", "Frequencies were in rad/s."), true},
    {"log_frequency", YF_WORDS("core", "Frequencies were given as their logarithm."), true},
    {"frequency_unit_guessed",
     YF_WORDS("core", "Nothing but the numbers told the unit of the frequencies; please check it."),
     true},
    {"radians", YF_WORDS("core", "Phases were in radians."), true},
    {"phase_guessed",
     YF_WORDS("core", "Nothing but the numbers told the phase, or its unit; please check it."),
     true},
    {"phase_contradicts",
     YF_WORDS("core",
              "What is called a phase does not go with the values beside it, whatever the flight "
              "time; a sum of several ways may be so, one driver not."),
     true},
    {"phase_left_out",
     YF_WORDS("core", "The phase is missing in more than a fifth of the rows and was left out."),
     true},
    {"rows_without_phase", YF_WORDS("core", "Rows without a phase were left out."), true},
    {"rows_without_number", YF_WORDS("core", "Rows without a number were left out."), true},
    {"quantity_guessed",
     YF_WORDS("core", "Nothing but the numbers told what the values are; please check it."),
     true},
    {"relative_level",
     YF_WORDS("core", "Levels are only right against each other: volts and ratios are no pascals."),
     true},
    {"unit_changed", YF_WORDS("core", "The values were put into dB or ohms."), false},
    {"parts", YF_WORDS("core", "Real and imaginary parts were put together."), false},
    {"thousands", YF_WORDS("core", "Signs between thousands were left out."), false},
    {"footer", YF_WORDS("core", "Lines below the table were left out."), false},
    {"columns_left_out",
     YF_WORDS("core", "Columns that are no part of a curve were left out."),
     false},
};

} // namespace

Words warningInWords(std::string_view code) {
    const auto* found = std::ranges::find(warnings, code, &Warning::code);
    return found == std::end(warnings) ? Words(code) : Words(found->said);
}

bool isDoubtful(const ImportedTable& table) {
    return std::ranges::any_of(table.warnings, [](const std::string& code) {
        const auto* found = std::ranges::find(warnings, code, &Warning::code);
        return found == std::end(warnings) || found->doubt;
    });
}

} // namespace yf::measure
