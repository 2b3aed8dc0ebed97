// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/measure/table/cell.h"

#include <algorithm>
#include <array>
#include <cctype>
#include <charconv>
#include <limits>

namespace yf::measure {

namespace {

bool isDigit(char c) {
    return c >= '0' && c <= '9';
}

std::string_view trim(std::string_view text) {
    while (!text.empty() && (text.front() == ' ' || text.front() == '\t')) {
        text.remove_prefix(1);
    }
    while (!text.empty() && (text.back() == ' ' || text.back() == '\t')) {
        text.remove_suffix(1);
    }
    return text;
}

bool isMissing(std::string_view cell) {
    if (cell.empty()) {
        return true;
    }
    if (cell.size() > 9) {
        return false;
    }
    static constexpr std::string_view words[] = {"nan",
                                                 "-nan",
                                                 "inf",
                                                 "-inf",
                                                 "+inf",
                                                 "infinity",
                                                 "-infinity",
                                                 "n/a",
                                                 "na",
                                                 "null",
                                                 "none",
                                                 "-",
                                                 "--",
                                                 "---",
                                                 "1.#inf",
                                                 "-1.#inf",
                                                 "1.#qnan",
                                                 "-1.#ind"};
    return std::ranges::find(words, lower(cell)) != std::end(words);
}

/// Where the number at the start of a cell ends; 0 if there is none. A blank or an apostrophe
/// counts within it if just three digits follow.
std::size_t numberEnd(std::string_view cell) {
    std::size_t i = cell.starts_with('-') || cell.starts_with('+') ? 1 : 0;
    std::size_t digits = 0;
    for (; i < cell.size(); ++i) {
        const char c = cell[i];
        if (isDigit(c)) {
            ++digits;
            continue;
        }
        if (c == '.' || c == ',') {
            continue;
        }
        const bool group = (c == ' ' || c == '\'') && i > 0 && isDigit(cell[i - 1]) &&
                           i + 3 < cell.size() && isDigit(cell[i + 1]) && isDigit(cell[i + 2]) &&
                           isDigit(cell[i + 3]) && !(i + 4 < cell.size() && isDigit(cell[i + 4]));
        if (!group) {
            break;
        }
    }
    if (digits == 0) {
        return 0;
    }
    if (i < cell.size() && std::string_view("eEdD").find(cell[i]) != std::string_view::npos) {
        std::size_t at = i + 1;
        at += at < cell.size() && (cell[at] == '-' || cell[at] == '+') ? 1 : 0;
        const std::size_t first = at;
        while (at < cell.size() && isDigit(cell[at])) {
            ++at;
        }
        if (at > first) {
            i = at;
        }
    }
    return i;
}

/// The first word of what stands behind a number.
std::string_view firstWord(std::string_view text) {
    text = trim(text);
    return text.substr(0, text.find(' '));
}

struct KnownUnit {
    std::string_view word;
    int kind; ///< units of one kind can be put into each other
    double scale;
};

constexpr KnownUnit knownUnits[] = {
    {"hz", 1, 1.0},        {"khz", 1, 1e3},     {"mhz", 1, 1e6},      {"ohm", 2, 1.0},
    {"ohms", 2, 1.0},      {"kohm", 2, 1e3},    {"kohms", 2, 1e3},    {"mohm", 2, 1e-3},
    {"milliohm", 2, 1e-3}, {"\u03a9", 2, 1.0},  {"k\u03a9", 2, 1e3},  {"m\u03a9", 2, 1e-3},
    {"\u2126", 2, 1.0},    {"k\u2126", 2, 1e3}, {"m\u2126", 2, 1e-3}, {"pa", 3, 1.0},
    {"mpa", 3, 1e-3},      {"v", 4, 1.0},       {"mv", 4, 1e-3},      {"v/v", 0, 1.0},
    {"linear", 0, 1.0},    {"lin", 0, 1.0},     {"db", 0, 1.0},       {"dbspl", 0, 1.0},
    {"dba", 0, 1.0},       {"dbv", 0, 1.0},     {"dbohm", 0, 1.0},    {"db\u03a9", 0, 1.0},
    {"deg", 0, 1.0},       {"\u00b0", 0, 1.0},  {"degree", 0, 1.0},   {"degrees", 0, 1.0},
    {"grad", 0, 1.0},      {"rad", 0, 1.0},     {"radian", 0, 1.0},   {"radians", 0, 1.0},
    {"rad/s", 0, 1.0},     {"1/s", 0, 1.0},     {"%", 0, 1.0},        {"percent", 0, 1.0},
    {"s", 5, 1.0},         {"ms", 5, 1e-3},     {"us", 5, 1e-6},      {"\u00b5s", 5, 1e-6},
    {"db(spl)", 0, 1.0},   {"db(a)", 0, 1.0},   {"kiloohm", 2, 1e3},  {"\u00b0.", 0, 1.0},
};

const KnownUnit* findUnit(std::string_view word) {
    if (word.empty() || word.size() > 10) {
        return nullptr;
    }
    // Capitals of two bytes keep their form: only ASCII is made small.
    const std::string small = lower(word);
    const auto* found = std::ranges::find(knownUnits, small, &KnownUnit::word);
    return found == std::end(knownUnits) ? nullptr : found;
}

} // namespace

std::string lower(std::string_view text) {
    std::string result(text);
    std::ranges::transform(
        result, result.begin(), [](unsigned char c) { return static_cast<char>(std::tolower(c)); });
    return result;
}

bool isUnit(std::string_view word) {
    return findUnit(word) != nullptr;
}

double scaleBetween(std::string_view unit, std::string_view known) {
    const KnownUnit* from = findUnit(firstWord(unit));
    const KnownUnit* to = findUnit(firstWord(known));
    return from != nullptr && to != nullptr && from->kind == to->kind && from->kind != 0
               ? from->scale / to->scale
               : 1.0;
}

CellKind kindOf(std::string_view cell) {
    const std::size_t end = numberEnd(cell);
    if (end == cell.size() && end > 0) {
        return CellKind::number;
    }
    if (isMissing(cell)) {
        return CellKind::missing;
    }
    return end > 0 && isUnit(firstWord(cell.substr(end))) ? CellKind::number : CellKind::word;
}

double numberIn(std::string_view cell, bool decimalComma, std::string_view* unit) {
    constexpr double none = std::numeric_limits<double>::quiet_NaN();
    const std::size_t end = numberEnd(cell);
    if (end == 0) {
        return none;
    }
    if (end < cell.size()) {
        const std::string_view behind = trim(cell.substr(end));
        if (!isUnit(firstWord(behind))) {
            return none;
        }
        if (unit != nullptr) {
            *unit = behind;
        }
    }
    std::array<char, 64> plain{};
    std::size_t length = 0;
    for (std::size_t i = 0; i < end && length < plain.size(); ++i) {
        const char c = cell[i];
        if (c == '.' || c == ',') {
            if ((c == ',') == decimalComma) {
                plain[length++] = '.';
            }
        } else if (c == 'd' || c == 'D') {
            plain[length++] = 'e';
        } else if (c != ' ' && c != '\'' && !(c == '+' && i == 0)) {
            plain[length++] = c;
        }
    }
    double value = none;
    const auto [at, error] = std::from_chars(plain.data(), plain.data() + length, value);
    return error == std::errc() && at == plain.data() + length ? value : none;
}

SeparatorsIn separatorsIn(std::string_view cell) {
    SeparatorsIn in;
    const std::size_t end = numberEnd(cell);
    std::size_t points = 0;
    std::size_t commas = 0;
    std::size_t lastSign = 0;
    bool exponent = false;
    std::size_t mantissa = end;
    for (std::size_t i = 0; i < end; ++i) {
        const char c = cell[i];
        if (c == '.' || c == ',') {
            (c == '.' ? points : commas) += 1;
            lastSign = i;
        } else if (c == ' ' || c == '\'') {
            in.thousands = true;
        } else if (!isDigit(c) && i > 0) {
            exponent = true;
            mantissa = i;
            break;
        }
    }
    if (points + commas == 0) {
        return in;
    }
    if (points > 0 && commas > 0) {
        in.thousands = true;
        (cell[lastSign] == '.' ? in.decimalPoint : in.decimalComma) = true;
        return in;
    }
    if (points + commas > 1) {
        in.thousands = true;
        (points > 0 ? in.decimalComma : in.decimalPoint) = true;
        return in;
    }
    const std::size_t first = isDigit(cell[0]) ? 0 : 1;
    const std::size_t before = lastSign > first ? lastSign - first : 0;
    const bool loose = !exponent && !in.thousands && mantissa - lastSign - 1 == 3 && before >= 1 &&
                       before <= 3 && cell[first] != '0';
    if (loose) {
        (points > 0 ? in.loosePoint : in.looseComma) = true;
    } else {
        (points > 0 ? in.decimalPoint : in.decimalComma) = true;
    }
    return in;
}

void splitCells(std::string_view line, Delimiter delimiter, std::vector<std::string_view>& cells) {
    cells.clear();
    const bool quotes = line.find('"') != std::string_view::npos;
    const char mark = delimiter == Delimiter::tab         ? '\t'
                      : delimiter == Delimiter::semicolon ? ';'
                                                          : ',';
    const auto put = [&](std::string_view cell) {
        cell = trim(cell);
        if (quotes && cell.size() >= 2 && cell.front() == '"' && cell.back() == '"') {
            cell = trim(cell.substr(1, cell.size() - 2));
        }
        cells.push_back(cell);
    };
    if (!quotes && delimiter != Delimiter::space) {
        std::size_t at = 0;
        for (std::size_t end = line.find(mark); end != std::string_view::npos;
             end = line.find(mark, at)) {
            cells.push_back(trim(line.substr(at, end - at)));
            at = end + 1;
        }
        cells.push_back(trim(line.substr(at)));
        return;
    }
    bool inside = false;
    std::size_t from = 0;
    bool any = false;
    for (std::size_t i = 0; i < line.size(); ++i) {
        const char c = line[i];
        if (c == '"') {
            inside = !inside;
        }
        const bool ends =
            !inside && (delimiter == Delimiter::space ? c == ' ' || c == '\t' : c == mark);
        if (!ends) {
            any = true;
            continue;
        }
        if (delimiter != Delimiter::space || any) {
            put(line.substr(from, i - from));
        }
        any = false;
        from = i + 1;
    }
    if (delimiter != Delimiter::space || any) {
        put(line.substr(from));
    }
}

std::vector<std::string> headWords(std::string_view line, bool wordByWord) {
    std::vector<std::string> heads;
    if (line.find('"') != std::string_view::npos) {
        std::vector<std::string_view> cells;
        splitCells(line, Delimiter::space, cells);
        heads.assign(cells.begin(), cells.end());
        return heads;
    }
    std::size_t at = 0;
    bool open = false;
    while ((at = line.find_first_not_of(" \t", at)) != std::string_view::npos) {
        std::size_t end = line.find_first_of(" \t", at);
        if (!wordByWord) {
            // A single blank belongs to the name.
            while (end != std::string_view::npos && line[end] == ' ' && end + 1 < line.size() &&
                   line[end + 1] != ' ' && line[end + 1] != '\t') {
                end = line.find_first_of(" \t", end + 1);
            }
        }
        const std::string_view word = line.substr(at, end - at);
        const bool more = wordByWord && !heads.empty() &&
                          (open || word.starts_with('(') || word.starts_with('[') ||
                           word.starts_with('/') || isUnit(word));
        if (more) {
            heads.back() += ' ' + std::string(word);
        } else {
            heads.emplace_back(word);
        }
        const std::size_t opened = word.find_last_of("([");
        const std::size_t closed = word.find_last_of(")]");
        open = (open || opened != std::string_view::npos) &&
               (closed == std::string_view::npos ||
                (opened != std::string_view::npos && opened > closed));
        if (end == std::string_view::npos) {
            break;
        }
        at = end;
    }
    return heads;
}

} // namespace yf::measure
