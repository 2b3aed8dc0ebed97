// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/measure/table_lines.h"

#include "core/text/number.h"

#include <algorithm>
#include <cctype>

namespace yf::measure {

std::optional<double> readToken(std::string_view token) {
    std::string plain(token.starts_with('+') ? token.substr(1) : token);
    for (char& c : plain) {
        if (c == ',') {
            c = '.';
        } else if (c == 'd' || c == 'D') {
            c = 'e';
        }
    }
    return text::parseNumber(plain);
}

std::string lower(std::string_view text) {
    std::string result(text);
    std::ranges::transform(
        result, result.begin(), [](unsigned char c) { return static_cast<char>(std::tolower(c)); });
    return result;
}

bool contains(std::string_view text, std::string_view part) {
    return text.find(part) != std::string_view::npos;
}

bool hasWord(std::string_view text, std::string_view word) {
    const auto letter = [&](std::size_t i) {
        return i < text.size() && std::isalpha(static_cast<unsigned char>(text[i])) != 0;
    };
    for (std::size_t at = text.find(word); at != std::string_view::npos;
         at = text.find(word, at + 1)) {
        if (!(at > 0 && letter(at - 1)) && !letter(at + word.size())) {
            return true;
        }
    }
    return false;
}

namespace {

/// How many data lines the delimiter is judged by.
constexpr std::size_t linesLookedAt = 20;

bool isBlank(char c) {
    return c == ' ' || c == '\t';
}

std::string_view trim(std::string_view text) {
    while (!text.empty() && isBlank(text.front())) {
        text.remove_prefix(1);
    }
    while (!text.empty() && isBlank(text.back())) {
        text.remove_suffix(1);
    }
    return text;
}

bool isComment(std::string_view line) {
    return line.empty() || std::string_view("*#;!%").find(line.front()) != std::string_view::npos ||
           line.starts_with("//");
}

bool startsWithNumber(std::string_view line) {
    const std::size_t end = line.find_first_of(" \t;");
    std::string_view token = line.substr(0, end);
    if (readToken(token)) {
        return true;
    }
    token = token.substr(0, token.find(','));
    return readToken(token).has_value();
}

} // namespace

Lines splitLines(std::string_view text) {
    Lines lines;
    std::string_view commentHeader;
    int number = 0;
    while (!text.empty()) {
        const std::size_t end = text.find_first_of("\r\n");
        const std::string_view line = trim(text.substr(0, end));
        ++number;
        std::size_t skip = end == std::string_view::npos ? text.size() : end + 1;
        if (end != std::string_view::npos && text[end] == '\r' && end + 1 < text.size() &&
            text[end + 1] == '\n') {
            ++skip;
        }
        text.remove_prefix(skip);
        if (isComment(line)) {
            const std::string words = lower(line);
            // Many programs comment out the line that names the columns; a kHz there counts too.
            if (lines.data.empty() && contains(words, "freq") && contains(words, "hz")) {
                commentHeader = line;
            }
            continue;
        }
        if (lines.data.empty() && !startsWithNumber(line)) {
            lines.header = line;
            continue;
        }
        lines.data.push_back({number, line});
    }
    if (lines.header.empty()) {
        lines.header = commentHeader;
    }
    return lines;
}

std::vector<std::string_view> splitColumns(std::string_view line, Delimiter delimiter) {
    std::vector<std::string_view> columns;
    if (delimiter == Delimiter::space) {
        std::size_t at = 0;
        while ((at = line.find_first_not_of(" \t", at)) != std::string_view::npos) {
            const std::size_t end = line.find_first_of(" \t", at);
            columns.push_back(line.substr(at, end - at));
            at = end;
        }
        return columns;
    }
    const char mark = delimiter == Delimiter::tab         ? '\t'
                      : delimiter == Delimiter::semicolon ? ';'
                                                          : ',';
    std::size_t at = 0;
    for (std::size_t end = line.find(mark); end != std::string_view::npos;
         end = line.find(mark, at)) {
        columns.push_back(trim(line.substr(at, end - at)));
        at = end + 1;
    }
    columns.push_back(trim(line.substr(at)));
    while (!columns.empty() && columns.back().empty()) {
        columns.pop_back();
    }
    return columns;
}

Delimiter guessDelimiter(const std::vector<Line>& data) {
    const std::size_t looked = std::min(data.size(), linesLookedAt);
    const auto all = [&](auto&& holds) {
        return std::all_of(data.begin(),
                           data.begin() + static_cast<std::ptrdiff_t>(looked),
                           [&](const Line& line) { return holds(line.content); });
    };
    if (all([](std::string_view line) { return contains(line, "\t"); })) {
        return Delimiter::tab;
    }
    if (all([](std::string_view line) { return contains(line, ";"); })) {
        return Delimiter::semicolon;
    }
    const bool blanks =
        all([](std::string_view line) { return splitColumns(line, Delimiter::space).size() >= 2; });
    const bool commaBlank =
        all([](std::string_view line) { return contains(line, ", ") || contains(line, ",\t"); });
    if (blanks && !commaBlank) {
        return Delimiter::space;
    }
    if (all([](std::string_view line) { return contains(line, ","); })) {
        return Delimiter::comma;
    }
    return Delimiter::space;
}

} // namespace yf::measure
