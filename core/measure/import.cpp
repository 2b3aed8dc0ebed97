// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/measure/import.h"

#include "core/measure/decode.h"
#include "core/measure/inputs.h"
#include "core/measure/table_json.h"
#include "core/measure/table_lines.h"
#include "core/measure/touchstone.h"
#include "core/quantity/level.h"
#include "core/text/fields.h"
#include "core/text/given.h"
#include "core/text/number.h"

#include <algorithm>
#include <cmath>
#include <numeric>
#include <utility>

namespace yf::measure {

namespace {

Error at(int line, std::size_t column, const Words& what) {
    return {"text",
            say(YF_WORDS("core", "line %1, column %2: %3"),
                std::to_string(line),
                std::to_string(column),
                what),
            ""};
}

std::string quoted(std::string_view token) {
    std::string shown(token.substr(0, 24));
    return "'" + shown + (token.size() > shown.size() ? "…" : "") + "'";
}

/// The numbers of one row, as many as `columns`; `wanted` of them are looked at.
struct Row {
    int line{};
    double frequency{};
    double value{};
    double phase{};
};

struct Form {
    Delimiter delimiter{};
    bool decimalComma{};
    std::size_t columns{};
    std::size_t value{1}; ///< index of its column
    std::optional<std::size_t> phase;
};

Result<double>
readCell(std::string_view token, const Line& line, std::size_t column, const Form& form) {
    const bool point = contains(token, ".");
    const bool comma = contains(token, ",");
    if (point && comma) {
        return at(
            line.number,
            column,
            say(YF_WORDS("core", "%1 has a point and a comma; thousands separators are not read"),
                quoted(token)));
    }
    if (form.decimalComma ? point : comma) {
        return at(
            line.number,
            column,
            point ? say(YF_WORDS("core", "%1 has a decimal point in a table with decimal commas"),
                        quoted(token))
                  : say(YF_WORDS("core", "%1 has a decimal comma in a table with decimal points"),
                        quoted(token)));
    }
    const auto number = readToken(token);
    if (!number) {
        return at(line.number, column, say(YF_WORDS("core", "%1 is not a number"), quoted(token)));
    }
    return *number;
}

bool isMinusInfinity(std::string_view token) {
    const std::string word = lower(token);
    return word == "-inf" || word == "-infinity";
}

/// One table with decimal commas that also separate columns ("20,5,87,3") reads as four whole
/// columns: refused rather than guessed.
bool commaIsBoth(const std::vector<Line>& data) {
    return std::ranges::all_of(data, [](const Line& line) {
        const auto columns = splitColumns(line.content, Delimiter::comma);
        return (columns.size() == 4 || columns.size() == 6) && !contains(line.content, ".");
    });
}

Result<Form> findForm(const std::vector<Line>& data, const ImportRequest& request) {
    Form form;
    form.delimiter = request.delimiter == DelimiterChoice::automatic
                         ? guessDelimiter(data)
                         : static_cast<Delimiter>(static_cast<int>(request.delimiter) - 1);
    const bool guessed = request.delimiter == DelimiterChoice::automatic;
    if (form.delimiter == Delimiter::comma && guessed && data.size() > 1 && commaIsBoth(data)) {
        return at(data.front().number,
                  1,
                  YF_WORDS("core",
                           "the comma seems to stand both between columns and within numbers; say "
                           "the delimiter, or write the table with another one"));
    }
    bool anyComma = false;
    bool anyPoint = false;
    for (const Line& line : data) {
        anyComma = anyComma || contains(line.content, ",");
        anyPoint = anyPoint || contains(line.content, ".");
    }
    form.decimalComma = form.delimiter != Delimiter::comma && anyComma && !anyPoint;
    if (request.decimal != DecimalChoice::automatic) {
        form.decimalComma = request.decimal == DecimalChoice::comma;
    }
    form.columns = splitColumns(data.front().content, form.delimiter).size();
    if (form.columns < 2) {
        return at(
            data.front().number,
            1,
            YF_WORDS("core", "only one column was found; frequency and level or ohms are needed"));
    }
    form.value = static_cast<std::size_t>(request.valueColumn) - 1;
    if (form.value >= form.columns) {
        return Error{
            "value_column",
            text::given(std::to_string(request.valueColumn)),
            say(YF_WORDS("core", "the table has %1 columns"), std::to_string(form.columns))};
    }
    const auto phase = static_cast<std::size_t>(request.phaseColumn.value_or(3));
    if (request.phaseColumn && phase > form.columns) {
        return Error{
            "phase_column",
            text::given(std::to_string(phase)),
            say(YF_WORDS("core", "the table has %1 columns"), std::to_string(form.columns))};
    }
    if (phase > 0 && phase <= form.columns && phase - 1 != form.value) {
        form.phase = phase - 1;
    }
    return form;
}

struct Rows {
    std::vector<Row> rows;
    int read{};
    bool dcDropped{};
};

Result<Rows> readRows(const std::vector<Line>& data, const Form& form) {
    Rows result;
    result.rows.reserve(data.size());
    for (const Line& line : data) {
        const auto cells = splitColumns(line.content, form.delimiter);
        if (cells.size() != form.columns) {
            return at(line.number,
                      std::min(cells.size(), form.columns) + 1,
                      say(YF_WORDS("core", "%1 columns where the first row has %2"),
                          std::to_string(cells.size()),
                          std::to_string(form.columns)));
        }
        Row row{.line = line.number};
        YF_TRY(frequency, readCell(cells[0], line, 1, form));
        row.frequency = frequency;
        if (frequency < 0.0) {
            return at(line.number,
                      1,
                      say(YF_WORDS("core", "%1 is a negative frequency"), quoted(cells[0])));
        }
        ++result.read;
        const std::string_view cell = cells[form.value];
        if (frequency == 0.0 &&
            (isMinusInfinity(cell) || readCell(cell, line, form.value + 1, form))) {
            result.dcDropped = true;
            continue;
        }
        YF_TRY(value, readCell(cell, line, form.value + 1, form));
        row.value = value;
        if (form.phase) {
            YF_TRY(phase, readCell(cells[*form.phase], line, *form.phase + 1, form));
            row.phase = phase;
        }
        result.rows.push_back(row);
    }
    return result;
}

/// What the second column is called, lower case; the whole header where columns cannot be told.
std::string valueHeader(std::string_view header, const Form& form) {
    const auto names = splitColumns(header, form.delimiter);
    return lower(names.size() == form.columns ? names[form.value] : header);
}

std::optional<bool> impedanceByHeader(const std::string& words) {
    const bool ohms = contains(words, "ohm") || contains(words, "imped") || contains(words, "ω") ||
                      contains(words, "Ω") || contains(words, "\u2126");
    const bool level = contains(words, "spl") || contains(words, "db") || contains(words, "level");
    if (ohms != level) {
        return ohms;
    }
    return std::nullopt;
}

/// Without a word in the header: a level may be negative and a loudspeaker's lies far above 40 dB,
/// a driver's modulus is positive and seldom has its median above 40 ohms (rule of thumb; the
/// guess is told as a warning).
bool looksLikeImpedance(const std::vector<Row>& rows) {
    std::vector<double> values;
    values.reserve(rows.size());
    std::ranges::transform(rows, std::back_inserter(values), &Row::value);
    const auto middle = values.begin() + static_cast<std::ptrdiff_t>(values.size() / 2);
    std::ranges::nth_element(values, middle);
    constexpr double mostOhms = 40.0;
    return std::ranges::all_of(values, [](double v) { return v > 0.0; }) && *middle < mostOhms;
}

/// Complex mean of the rows that share a frequency.
Row merged(std::span<const Row> equal, bool impedance) {
    std::complex<double> sum{};
    for (const Row& row : equal) {
        sum += std::polar(impedance ? row.value : quantity::gain(row.value), row.phase);
    }
    const std::complex<double> mean = sum / static_cast<double>(equal.size());
    Row row = equal.front();
    row.value = impedance ? std::abs(mean) : quantity::decibels(mean);
    row.phase = std::arg(mean);
    return row;
}

std::vector<Row> mergeEqual(const std::vector<Row>& rows, bool impedance, bool& anyMerged) {
    std::vector<Row> result;
    result.reserve(rows.size());
    for (std::size_t i = 0; i < rows.size();) {
        std::size_t end = i + 1;
        while (end < rows.size() && rows[end].frequency == rows[i].frequency) {
            ++end;
        }
        anyMerged = anyMerged || end > i + 1;
        result.push_back(end == i + 1 ? rows[i]
                                      : merged(std::span(rows).subspan(i, end - i), impedance));
        i = end;
    }
    return result;
}

std::optional<Error> checkRows(const std::vector<Row>& rows, bool impedance) {
    for (const Row& row : rows) {
        if (impedance && !(row.value > 0.0)) {
            return at(row.line,
                      2,
                      say(YF_WORDS("core", "%1 ohms; an impedance must be above 0"),
                          text::printNumber(row.value)));
        }
        constexpr double wildest = 1000.0;
        if (!impedance && !(std::abs(row.value) <= wildest)) {
            return at(row.line,
                      2,
                      say(YF_WORDS("core", "%1 dB; a level must lie within ±1000 dB"),
                          text::printNumber(row.value)));
        }
        constexpr double lowest = 1e-3;
        constexpr double highest = 1e7;
        if (!(row.frequency >= lowest && row.frequency <= highest)) {
            return at(row.line,
                      1,
                      say(YF_WORDS("core", "%1 Hz; a frequency must be 0.001 to 10000000"),
                          text::printNumber(row.frequency)));
        }
    }
    return std::nullopt;
}

/// By wish, by the header's words, or by a guess that is told.
bool isImpedance(QuantityChoice wish,
                 const std::optional<bool>& named,
                 const std::vector<Row>& rows,
                 std::vector<std::string>& warnings) {
    if (wish != QuantityChoice::automatic) {
        return wish == QuantityChoice::impedance;
    }
    if (named) {
        return *named;
    }
    warnings.emplace_back("quantity_guessed");
    return !rows.empty() && looksLikeImpedance(rows);
}

} // namespace

std::optional<Error> check(const ImportRequest& request) {
    if (request.text.has_value() == request.textFile.has_value()) {
        return Error{"text",
                     request.text ? YF_WORDS("core", "given together with text_file")
                                  : YF_WORDS("core", "missing, and text_file too"),
                     YF_WORDS("core", "exactly one of the two must be given")};
    }
    return std::nullopt;
}

namespace {

Result<ImportedTable> readTable(const std::string& text, const ImportRequest& request) {
    const Lines lines = splitLines(text);
    if (lines.data.empty()) {
        return Error{"text",
                     lines.header.empty() ? YF_WORDS("core", "empty")
                                          : YF_WORDS("core", "no row begins with a number"),
                     YF_WORDS("core", "must hold a table")};
    }
    YF_TRY(form, findForm(lines.data, request));
    YF_TRY(read, readRows(lines.data, form));
    std::vector<Row>& rows = read.rows;
    ImportedTable table;
    const std::string header = lower(lines.header);
    if (request.frequencyUnit == FrequencyUnitChoice::khz ||
        (request.frequencyUnit == FrequencyUnitChoice::automatic && contains(header, "khz"))) {
        std::ranges::for_each(rows, [](Row& row) { row.frequency *= 1000.0; });
        table.warnings.emplace_back("kilohertz");
    }
    table.hasPhase = form.phase.has_value();
    const bool radians = table.hasPhase && (request.phaseUnit == PhaseUnitChoice::automatic
                                                ? hasWord(header, "rad")
                                                : request.phaseUnit == PhaseUnitChoice::radians);
    if (radians) {
        table.warnings.emplace_back("radians");
    } else {
        std::ranges::for_each(rows, [](Row& row) { row.phase *= quantity::degree; });
    }
    if (read.dcDropped) {
        table.warnings.emplace_back("dc_row_dropped");
    }
    const std::optional<bool> named = impedanceByHeader(valueHeader(lines.header, form));
    const bool impedance = isImpedance(request.quantity, named, rows, table.warnings);
    if (auto error = checkRows(rows, impedance)) {
        return *error;
    }
    if (!std::ranges::is_sorted(rows, {}, &Row::frequency)) {
        std::ranges::stable_sort(rows, {}, &Row::frequency);
        table.warnings.emplace_back("unsorted");
    }
    bool anyMerged = false;
    rows = mergeEqual(rows, impedance, anyMerged);
    if (anyMerged) {
        table.warnings.emplace_back("duplicates");
    }
    if (rows.size() < 2) {
        return Error{"text",
                     rows.size() == 1
                         ? Words(YF_WORDS("core", "1 row of data"))
                         : say(YF_WORDS("core", "%1 rows of data"), std::to_string(rows.size())),
                     YF_WORDS("core", "must have at least 2 with different frequencies")};
    }
    table.quantity = impedance ? "impedance" : "level";
    table.rows = read.read;
    table.columns = static_cast<int>(form.columns);
    table.delimiter = delimiterNames[static_cast<std::size_t>(form.delimiter)];
    table.decimal = form.decimalComma ? YF_WORDS("core", "comma") : YF_WORDS("core", "point");
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
    return table;
}

FormChoice formOf(const std::string& text) {
    const std::size_t first = text.find_first_not_of(" \t\r\n");
    return first != std::string::npos && text[first] == '{' ? FormChoice::json
           : looksLikeTouchstone(text)                      ? FormChoice::touchstone
                                                            : FormChoice::table;
}

} // namespace

Result<ImportedTable> importTable(const ImportRequest& request) {
    if (!request.text) {
        return Error{"text", "missing", YF_WORDS("core", "must hold the table")};
    }
    YF_TRY(text, decode(*request.text));
    switch (request.form == FormChoice::automatic ? formOf(text) : request.form) {
    case FormChoice::touchstone:
        return readOnePort(text);
    case FormChoice::json:
        return readJson(text);
    default:
        return readTable(text, request);
    }
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
    const Lines lines = splitLines(text);
    if (lines.data.empty()) {
        return Error{"text",
                     YF_WORDS("core", "no row begins with a number"),
                     YF_WORDS("core", "must hold a table")};
    }
    YF_TRY(columns, findForm(lines.data, request));
    TablePreview preview;
    const auto names = splitColumns(lines.header, columns.delimiter);
    for (std::size_t c = 0; c < columns.columns; ++c) {
        preview.header.emplace_back(names.size() == columns.columns ? names[c]
                                                                    : std::string_view{});
        preview.roles.push_back(c == 0               ? ColumnRole::frequency
                                : c == columns.value ? ColumnRole::value
                                : c == columns.phase ? ColumnRole::phase
                                                     : ColumnRole::unused);
    }
    for (std::size_t r = 0; r < std::min(previewRows, lines.data.size()); ++r) {
        const auto cells = splitColumns(lines.data[r].content, columns.delimiter);
        preview.rows.emplace_back(cells.begin(), cells.end());
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

Words warningInWords(std::string_view code) {
    static constexpr std::pair<std::string_view, std::string_view> sentences[] = {
        {"unsorted", YF_WORDS("core", "Rows were out of order and have been sorted.")},
        {"duplicates",
         YF_WORDS("core", "Some frequencies stood more than once; their complex mean was taken.")},
        {"dc_row_dropped", YF_WORDS("core", "The row at 0 Hz was left out.")},
        {"kilohertz", YF_WORDS("core", "Frequencies were in kHz.")},
        {"radians", YF_WORDS("core", "Phases were in radians.")},
        {"quantity_guessed",
         YF_WORDS("core",
                  "Nothing said what the second column holds; this is a guess, please check it.")}};
    const auto* found =
        std::ranges::find(sentences, code, &std::pair<std::string_view, std::string_view>::first);
    return found == std::end(sentences) ? Words(code) : Words(found->second);
}

} // namespace yf::measure
