// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/worlds/tables.h"

#include "core/worlds/columns.h"
#include "core/worlds/devices.h"
#include "core/worlds/draws.h"
#include "core/worlds/encode.h"

#include <algorithm>
#include <cmath>
#include <cstdio>
#include <cstdlib>
#include <limits>
#include <numbers>
#include <utility>

namespace worlds {

namespace {

constexpr double nothing = std::numeric_limits<double>::quiet_NaN();

enum class Header {
    none,
    names,
    round,
    square,
    slash,
    twoLines,
    comment,
    talk,
    unitsInCells,
    quoted,
    unitsOnly,
    title
};

constexpr std::pair<Header, const char*> headers[] = {
    {Header::none, "no header"},
    {Header::names, "names"},
    {Header::round, "names (unit)"},
    {Header::square, "names [unit]"},
    {Header::slash, "names/unit"},
    {Header::twoLines, "a line of names, one of units"},
    {Header::comment, "commented names (unit)"},
    {Header::talk, "talk, then names (unit)"},
    {Header::unitsInCells, "names, units in cells"},
    {Header::quoted, "quoted names (unit)"},
    {Header::unitsOnly, "units"},
    {Header::title, "a title"},
};

/// All that is drawn of how a table is written.
struct Manner {
    Scale scale{};
    char delimiter{};
    char decimal{'.'};
    std::string thousands;
    bool exponent{};
    int digits{};
    std::string defect{"none"};
};

std::string plainNumber(double value, const Manner& manner, int digits) {
    char text[64];
    std::snprintf(text, sizeof text, manner.exponent ? "%.*e" : "%.*f", digits, value);
    return text;
}

/// The number as it is printed, and what then stands there.
std::string written(double value, const Manner& manner, int digits, double& printed) {
    std::string text = plainNumber(value, manner, digits);
    printed = std::strtod(text.c_str(), nullptr);
    std::size_t point = text.find('.');
    const std::size_t whole = point == std::string::npos ? text.size() : point;
    if (point != std::string::npos) {
        text[point] = manner.decimal;
    }
    if (!manner.thousands.empty() && !manner.exponent) {
        const std::size_t first = text.starts_with('-') ? 1 : 0;
        for (std::size_t at = whole; at > first + 3;) {
            at -= 3;
            text.insert(at, manner.thousands);
        }
    }
    return text;
}

std::vector<double> axisOf(Draws& draws, const Content& content) {
    std::vector<double> axis;
    if (draws.chance(0.3)) {
        const double step = draws.oneOf(std::vector<double>{2.0, 2.9296875, 5.859375, 10.0, 20.0});
        const int count = 250 + draws.below(600);
        for (int k = 1; k <= count; ++k) {
            axis.push_back(step * k);
        }
        return axis;
    }
    const bool ohms = content.columns.front().kind == Kind::ohm;
    const double from = draws.oneOf(ohms ? std::vector<double>{5.0, 10.0, 20.0}
                                         : std::vector<double>{10.0, 20.0, 20.0, 50.0, 200.0});
    const double to = draws.oneOf(std::vector<double>{20000.0, 20000.0, 24000.0, 40000.0});
    const double perOctave = draws.oneOf(std::vector<double>{6.0, 12.0, 24.0, 48.0});
    const int count = static_cast<int>(std::log2(to / from) * perOctave);
    for (int k = 0; k <= count; ++k) {
        axis.push_back(from * std::pow(to / from, static_cast<double>(k) / count));
    }
    return axis;
}

constexpr const char* encodings[] = {
    "UTF-8", "UTF-8 mark", "UTF-16LE mark", "UTF-16BE mark", "UTF-16LE", "UTF-16BE", "Latin-1"};

std::string joined(const std::vector<std::string>& cells, const Manner& manner, bool quotes) {
    std::string line;
    for (std::size_t c = 0; c < cells.size(); ++c) {
        if (c > 0) {
            line += manner.delimiter == ' '   ? std::string("   ")
                    : manner.delimiter == '+' ? std::string(", ")
                                              : std::string(1, manner.delimiter);
        }
        const char mark = manner.delimiter == '+' ? ',' : manner.delimiter;
        const bool needed = mark != ' ' && cells[c].find(mark) != std::string::npos;
        line += quotes || needed ? '"' + cells[c] + '"' : cells[c];
    }
    return line;
}

const char* endOf(int number) {
    return number == 0 ? "\n" : number == 1 ? "\r\n" : "\r";
}

Manner drawManner(Draws& draws, Header header) {
    Manner manner;
    const double s = draws.share();
    manner.scale = s < 0.64   ? Scale::hertz
                   : s < 0.8  ? Scale::kilohertz
                   : s < 0.92 ? Scale::angular
                              : Scale::logarithm;
    manner.delimiter = draws.oneOf(std::vector<char>{'\t', ';', ',', '+', ' '});
    if (manner.delimiter == '\t' || manner.delimiter == ';' ||
        (header == Header::quoted && manner.delimiter == ',')) {
        manner.decimal = draws.chance(0.5) ? ',' : '.';
    }
    manner.exponent = draws.chance(0.15);
    manner.digits = 3 + draws.below(2);
    const std::vector<const char*> all = {"none",
                                          "none",
                                          "none",
                                          "none",
                                          "footer",
                                          "NaN rows",
                                          "empty phases",
                                          "falling",
                                          "repeated rows",
                                          "trailing delimiter",
                                          "blank lines",
                                          "row at 0 Hz",
                                          "thousands",
                                          "shuffled"};
    manner.defect = draws.oneOf(all);
    if (manner.defect == "thousands" && manner.delimiter != ' ') {
        manner.thousands = manner.decimal == ',' ? (draws.chance(0.5) ? "." : " ")
                                                 : (draws.chance(0.5) ? "," : "'");
        manner.exponent = false;
    }
    return manner;
}

/// Between blanks a unit is one word.
std::string cellUnit(Kind kind, const std::string& unit, char delimiter) {
    if (kind == Kind::flag || kind == Kind::coherence || kind == Kind::index) {
        return "";
    }
    return delimiter != ' ' ? unit : unit == "1/s" ? "rad/s" : unit.substr(0, unit.find(' '));
}

/// Whether somebody who sees the table knows what it means.
bool knowable(const Content& content,
              Header header,
              const Manner& manner,
              bool frequencyFirst,
              const std::vector<std::string>& names) {
    using enum Kind;
    const bool bare = header == Header::none || header == Header::title;
    if (bare) {
        return content.plain && manner.scale == Scale::hertz && frequencyFirst;
    }
    const bool unitless = header == Header::names;
    const bool nameless = header == Header::unitsOnly;
    for (std::size_t c = 0; c < content.columns.size(); ++c) {
        const Kind kind = content.columns[c].kind;
        const bool odd = kind == kiloohm || kind == milliohm || kind == decibelOhm ||
                         kind == kiloResistance || kind == kiloReactance || kind == millipascal ||
                         kind == pascal || kind == realPascal || kind == imaginaryPascal ||
                         kind == realRatio || kind == imaginaryRatio || kind == millivolt;
        if (unitless && odd) {
            return false;
        }
        // "Magnitude" or "Left" without a unit may be anything.
        if (unitless && (names[c] == "Magnitude" || names[c] == "Amplitude" || names[c] == "Left" ||
                         names[c] == "mag" || names[c] == "Output")) {
            return content.plain;
        }
        if (nameless &&
            (odd || kind == resistance || kind == reactance || kind == ratio || kind == noise ||
             kind == distortion || kind == groupDelay || kind == coherence || kind == flag)) {
            return false;
        }
    }
    return !((unitless || nameless) && manner.scale != Scale::hertz) &&
           !(nameless && content.curves > 1);
}

} // namespace

int contentCount() {
    return static_cast<int>(contents().size());
}

int headerCount() {
    return static_cast<int>(std::size(headers));
}

namespace {

/// One table while it is written.
class Writer {
public:
    Writer(int content, int header, std::uint64_t seed)
        : draws_(seed, static_cast<std::uint64_t>(content * 100 + header + 1)),
          content_(contents()[static_cast<std::size_t>(content)]), header_(headers[header].first),
          manner_(drawManner(draws_, header_)), curveCount_(content_.curves) {
        table_.content = content_.name;
        table_.header = headers[header].second;
    }

    ForeignTable write() {
        arrange();
        name();
        axis_ = axisOf(draws_, content_);
        const int encoding = draws_.below(7);
        end_ = endOf(draws_.below(3));
        quoteAll_ = header_ == Header::quoted && draws_.chance(0.5);
        for (int page = 0; page < (content_.blocks ? content_.curves : 1); ++page) {
            writePage(page);
        }
        if (manner_.defect == "footer") {
            body_ += std::string("End of data") + end_ + "Written by hand" + end_;
        }
        finish(encoding);
        return std::move(table_);
    }

private:
    /// The columns in their order.
    void arrange() {
        columns_ = content_.columns;
        columns_.insert(columns_.begin(), Column{Kind::frequency, -1});
        const double place = draws_.share();
        if (place < 0.2) {
            columns_.insert(columns_.begin(), Column{Kind::index, -1});
            order_ = "index first";
        } else if (place < 0.35) {
            std::rotate(columns_.begin(), columns_.begin() + 1, columns_.end());
            order_ = "frequency last";
        } else if (place < 0.45 && columns_.size() > 2 && content_.curves == 1) {
            std::swap(columns_[0], columns_[1]);
            order_ = "frequency second";
        }
    }

    /// Names and units over them.
    void name() {
        for (const Column& column : columns_) {
            const Spelling spelling = spellingOf(column.kind, manner_.scale);
            std::string name = draws_.oneOf(spelling.names);
            if (content_.curves > 1 && !content_.blocks && column.curve >= 0) {
                name += " " + std::string(1, static_cast<char>('A' + column.curve));
            }
            names_.push_back(name);
            units_.emplace_back(draws_.oneOf(spelling.units));
            if (column.kind != Kind::frequency && column.kind != Kind::index) {
                valueNames_.emplace_back(name);
            }
        }
        // Both parts of one number have one unit.
        std::size_t real = 0;
        for (std::size_t c = 0; c < columns_.size(); ++c) {
            const Kind kind = columns_[c].kind;
            real = kind == Kind::realRatio || kind == Kind::realPascal ? c : real;
            if (kind == Kind::imaginaryRatio || kind == Kind::imaginaryPascal) {
                units_[c] = units_[real];
            }
            // "dB, dB" without any name are two levels to whoever sees them, noise or not.
            if (header_ == Header::unitsOnly && units_[c].starts_with("dB") &&
                (kind == Kind::noise || kind == Kind::distortion)) {
                columns_[c] = {Kind::decibel, curveCount_++};
            }
        }
    }

    /// Which of the curves of this page a column belongs to.
    [[nodiscard]] std::size_t curveOf(const Column& column) const {
        return content_.blocks ? 0 : static_cast<std::size_t>(column.curve);
    }

    /// What was measured, one list for each curve of the page.
    void measure(int curves) {
        values_.assign(static_cast<std::size_t>(curves), {});
        phases_.assign(static_cast<std::size_t>(curves), {});
        firstCurve_ = table_.curves.size();
        for (std::size_t k = 0; k < values_.size(); ++k) {
            TrueCurve curve;
            curve.name = std::string(1, static_cast<char>('A' + firstCurve_ + k));
            for (const Column& column : columns_) {
                if (column.curve >= 0 && curveOf(column) == k) {
                    curve.impedance = curve.impedance || isOhms(column.kind);
                    curve.relative = curve.relative || column.kind == Kind::millivolt ||
                                     column.kind == Kind::ratio || column.kind == Kind::realRatio;
                }
            }
            const Speaker speaker(draws_);
            const Coil coil(draws_);
            const double scatter = draws_.chance(0.5) ? draws_.spread(1e-4, 0.01) : 0.0;
            double last = 0.0;
            for (const double f : axis_) {
                Complex value = curve.impedance ? coil.at(f) : speaker.at(f);
                value *= 1.0 + scatter * Complex(draws_.scatter(), draws_.scatter());
                const double wrapped = std::arg(value);
                constexpr double turn = 2.0 * std::numbers::pi;
                last = wrapped + turn * std::round((last - wrapped) / turn);
                values_[k].push_back(value);
                phases_[k].push_back(last);
            }
            table_.curves.push_back(std::move(curve));
        }
    }

    [[nodiscard]] std::vector<std::string> heads() const {
        std::vector<std::string> heads;
        for (std::size_t c = 0; c < columns_.size(); ++c) {
            const std::string& unit = units_[c];
            const bool sayUnit = !unit.empty() && header_ != Header::names &&
                                 header_ != Header::unitsInCells && header_ != Header::twoLines;
            heads.push_back(!sayUnit                       ? names_[c]
                            : header_ == Header::square    ? names_[c] + " [" + unit + "]"
                            : header_ == Header::slash     ? names_[c] + "/" + unit
                            : header_ == Header::unitsOnly ? unit
                                                           : names_[c] + " (" + unit + ")");
        }
        return heads;
    }

    void writeHeader(int page) {
        const std::string mark = draws_.oneOf(std::vector<const char*>{"#", "*", ";", "!", "%"});
        const auto row = [&](const std::vector<std::string>& cells, const std::string& before) {
            body_ += before + joined(cells, manner_, header_ == Header::quoted) + end_;
        };
        if (content_.blocks) {
            body_ += header_ == Header::none
                         ? end_
                         : mark + " curve " + std::string(1, static_cast<char>('A' + page)) + end_;
        }
        switch (header_) {
        case Header::none:
            break;
        case Header::title:
            body_ += mark +
                     (isOhms(content_.columns.front().kind) ? " Impedance of a driver"
                                                            : " Frequency response at 1 m") +
                     end_;
            break;
        case Header::talk:
            body_ += mark + " swept to 5 kHz, 2.83 V, 1 kHz tone before" + end_;
            body_ += mark + " level at 1 kHz kept, 48 kHz sample rate, neighbour 8 ohm" + end_;
            row(heads(), "");
            break;
        case Header::comment:
            row(heads(), mark + " ");
            break;
        case Header::twoLines:
            row(heads(), "");
            row(units_, "");
            break;
        default:
            row(heads(), "");
        }
    }

    /// The rows of the axis in the order in which they are written.
    std::vector<std::size_t> rows() {
        std::vector<std::size_t> rows(axis_.size());
        for (std::size_t i = 0; i < rows.size(); ++i) {
            rows[i] = i;
        }
        if (manner_.defect == "falling") {
            std::ranges::reverse(rows);
        } else if (manner_.defect == "shuffled" && !content_.blocks) {
            for (std::size_t i = rows.size() - 1; i > 0; --i) {
                std::swap(rows[i],
                          rows[static_cast<std::size_t>(draws_.below(static_cast<int>(i) + 1))]);
            }
        } else if (manner_.defect == "repeated rows" && !content_.blocks) {
            rows.insert(rows.begin() + 5, rows[5]);
        }
        return rows;
    }

    void writeLine(const std::vector<std::string>& cells) {
        body_ += joined(cells, manner_, quoteAll_);
        if (manner_.defect == "trailing delimiter" && manner_.delimiter != ' ') {
            body_ += manner_.delimiter == '+' ? ',' : manner_.delimiter;
        }
        body_ += end_;
    }

    void writePage(int page) {
        measure(content_.blocks ? 1 : curveCount_);
        writeHeader(page);
        if (manner_.defect == "row at 0 Hz" && manner_.scale != Scale::logarithm) {
            std::vector<std::string> cells;
            double unused = 0.0;
            for (const Column& column : columns_) {
                cells.push_back(column.kind == Kind::decibel ? "-inf"
                                : column.kind == Kind::flag  ? "ok"
                                                             : written(0.0, manner_, 3, unused));
            }
            writeLine(cells);
        }
        int number = 0;
        for (const std::size_t i : rows()) {
            writeRow(i, ++number);
            if (manner_.defect == "blank lines" && i % 50 == 49) {
                body_ += end_;
            }
        }
        for (std::size_t k = firstCurve_; k < table_.curves.size(); ++k) {
            keepTold(table_.curves[k]);
        }
    }

    void writeRow(std::size_t i, int number) {
        const bool notANumber = manner_.defect == "NaN rows" && draws_.chance(0.03);
        const bool noPhase =
            manner_.defect == "empty phases" && manner_.delimiter != ' ' && draws_.chance(0.05);
        for (std::size_t k = firstCurve_; k < table_.curves.size(); ++k) {
            table_.curves[k].values.push_back(nothing);
            table_.curves[k].degrees.push_back(nothing);
        }
        double frequency = 0.0;
        std::vector<std::string> cells;
        for (std::size_t c = 0; c < columns_.size(); ++c) {
            const Column& column = columns_[c];
            double printed = 0.0;
            std::string cell;
            if (column.kind == Kind::frequency) {
                const int digits = manner_.scale == Scale::hertz       ? manner_.digits
                                   : manner_.scale == Scale::logarithm ? 7
                                                                       : manner_.digits + 2;
                cell = written(scaled(axis_[i], manner_.scale), manner_, digits, printed);
                frequency = hertzOf(printed, manner_.scale);
            } else if (column.kind == Kind::index) {
                cell = std::to_string(number);
            } else if (column.kind == Kind::flag) {
                cell = "ok";
            } else {
                const std::size_t k = curveOf(column);
                cell = written(valueOf(column.kind, values_[k][i], phases_[k][i], axis_[i], draws_),
                               manner_,
                               digitsOf(column.kind),
                               printed);
                const bool empty = isPhase(column.kind) && noPhase;
                if (empty || notANumber) {
                    cell = notANumber ? "NaN" : "";
                    printed = nothing;
                }
                tell(table_.curves[firstCurve_ + k], column.kind, printed);
            }
            cells.push_back(withUnit(std::move(cell), c));
        }
        for (std::size_t k = firstCurve_; k < table_.curves.size(); ++k) {
            table_.curves[k].hertz.push_back(frequency);
        }
        writeLine(cells);
    }

    [[nodiscard]] std::string withUnit(std::string cell, std::size_t c) const {
        const bool logarithm =
            manner_.scale == Scale::logarithm && columns_[c].kind == Kind::frequency;
        if (header_ != Header::unitsInCells || cell.empty() || cell == "NaN" || logarithm) {
            return cell;
        }
        const std::string unit = cellUnit(columns_[c].kind, units_[c], manner_.delimiter);
        return unit.empty() ? cell : cell + (manner_.delimiter == ' ' ? "" : " ") + unit;
    }

    /// A curve without a phase has none; rows that say nothing are no truth.
    static void keepTold(TrueCurve& curve) {
        if (std::ranges::all_of(curve.degrees, [](double v) { return std::isnan(v); })) {
            curve.degrees.clear();
        }
        std::size_t kept = 0;
        for (std::size_t i = 0; i < curve.hertz.size(); ++i) {
            if (std::isnan(curve.values[i])) {
                continue;
            }
            curve.hertz[kept] = curve.hertz[i];
            curve.values[kept] = curve.values[i];
            if (!curve.degrees.empty()) {
                curve.degrees[kept] = curve.degrees[i];
            }
            ++kept;
        }
        curve.hertz.resize(kept);
        curve.values.resize(kept);
        curve.degrees.resize(curve.degrees.empty() ? 0 : kept);
    }

    void finish(int encoding) {
        std::string bytes;
        const bool latin1 = encoding == 6 && latin(body_, bytes);
        const int used = encoding == 6 && !latin1 ? 0 : encoding;
        table_.bytes = latin1 ? bytes : encoded(body_, used);
        const char* delimiter = manner_.delimiter == '\t'  ? "tab"
                                : manner_.delimiter == ' ' ? "blanks"
                                : manner_.delimiter == '+' ? "comma and blank"
                                : manner_.delimiter == ';' ? "semicolon"
                                                           : "comma";
        static constexpr const char* scales[] = {"Hz", "kHz", "rad/s", "log10"};
        table_.form = std::string(delimiter) + ", decimal " + manner_.decimal + ", " +
                      encodings[used] + ", " + order_ + ", " +
                      scales[static_cast<int>(manner_.scale)] + ", " + manner_.defect;
        const bool frequencyFirst = order_ == "frequency first" || order_ == "index first";
        table_.readable = knowable(content_, header_, manner_, frequencyFirst, valueNames_);
    }

    Draws draws_;
    const Content& content_;
    Header header_;
    Manner manner_;
    int curveCount_;
    ForeignTable table_;
    std::vector<Column> columns_;
    std::string order_{"frequency first"};
    std::vector<std::string> names_;
    std::vector<std::string> units_;
    std::vector<std::string> valueNames_;
    std::vector<double> axis_;
    std::string body_;
    const char* end_{};
    bool quoteAll_{};
    std::size_t firstCurve_{};
    std::vector<std::vector<Complex>> values_;
    std::vector<std::vector<double>> phases_;
};

} // namespace

ForeignTable foreignTable(int content, int header, std::uint64_t seed) {
    return Writer(content, header, seed).write();
}

} // namespace worlds
