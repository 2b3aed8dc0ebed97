// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/measure/table/grid.h"

#include "core/measure/table/cell.h"

#include <algorithm>
#include <map>

namespace yf::measure {

namespace {

/// How many lines the form of a table is judged by.
constexpr std::size_t linesLookedAt = 200;

struct Line {
    int number{};
    std::string_view content;
    bool comment{};
};

std::vector<Line> linesOf(std::string_view text) {
    std::vector<Line> lines;
    int number = 0;
    while (!text.empty()) {
        const std::size_t end = text.find_first_of("\r\n");
        std::string_view line = text.substr(0, end);
        ++number;
        std::size_t skip = end == std::string_view::npos ? text.size() : end + 1;
        if (end != std::string_view::npos && text[end] == '\r' && end + 1 < text.size() &&
            text[end + 1] == '\n') {
            ++skip;
        }
        text.remove_prefix(skip);
        while (!line.empty() && line.front() == ' ') {
            line.remove_prefix(1);
        }
        while (!line.empty() && line.back() == ' ') {
            line.remove_suffix(1);
        }
        if (line.find_first_not_of(" \t") == std::string_view::npos) {
            continue;
        }
        const bool comment =
            std::string_view("*#;!%").find(line.front()) != std::string_view::npos ||
            line.starts_with("//");
        lines.push_back({number, line, comment});
    }
    return lines;
}

/// What every row looks like: how many cells, and which of them are words.
struct Pattern {
    std::size_t cells{};
    std::vector<bool> words;

    auto operator<=>(const Pattern&) const = default;
};

struct Guess {
    Delimiter delimiter{};
    Pattern pattern;
    std::size_t rows{};    ///< of those looked at
    std::size_t numbers{}; ///< cells of them
};

/// The pattern that most lines have under a delimiter, of those with two numbers or more.
Guess guessUnder(const std::vector<Line>& lines, Delimiter delimiter) {
    std::map<Pattern, std::pair<std::size_t, std::size_t>> seen; // how often, and first where
    std::vector<std::string_view> cells;
    std::size_t looked = 0;
    for (std::size_t i = 0; i < lines.size() && looked < linesLookedAt; ++i) {
        if (lines[i].comment) {
            continue;
        }
        ++looked;
        splitCells(lines[i].content, delimiter, cells);
        Pattern pattern{cells.size(), {}};
        std::size_t numbers = 0;
        for (const std::string_view cell : cells) {
            const CellKind kind = kindOf(cell);
            pattern.words.push_back(kind == CellKind::word);
            numbers += kind == CellKind::number ? 1 : 0;
        }
        if (numbers >= 2) {
            auto [at, isNew] = seen.try_emplace(std::move(pattern), 0, i);
            ++at->second.first;
        }
    }
    Guess best;
    best.delimiter = delimiter;
    std::size_t bestFirst = 0;
    for (const auto& [pattern, count] : seen) {
        if (count.first > best.rows || (count.first == best.rows && count.second < bestFirst)) {
            best.rows = count.first;
            best.pattern = pattern;
            bestFirst = count.second;
        }
    }
    best.numbers = static_cast<std::size_t>(std::ranges::count(best.pattern.words, false));
    return best;
}

/// Numbers with decimal commas between commas ("20,5,87,3") read as whole columns: refused rather
/// than guessed.
bool commaIsBoth(const std::vector<Line>& lines, const Guess& guess) {
    if (guess.delimiter != Delimiter::comma || guess.rows < 2 ||
        (guess.pattern.cells != 4 && guess.pattern.cells != 6)) {
        return false;
    }
    return std::ranges::all_of(lines, [](const Line& line) {
        return line.comment || (line.content.find('.') == std::string_view::npos &&
                                line.content.find('"') == std::string_view::npos);
    });
}

Result<Guess> guessForm(const std::vector<Line>& lines, const GridWishes& wishes) {
    if (wishes.delimiter) {
        return guessUnder(lines, *wishes.delimiter);
    }
    Guess best;
    for (const Delimiter delimiter :
         {Delimiter::tab, Delimiter::semicolon, Delimiter::comma, Delimiter::space}) {
        Guess guess = guessUnder(lines, delimiter);
        // Blanks also stand behind other delimiters and before units: they must do better.
        if (guess.rows > best.rows || (guess.rows == best.rows && delimiter != Delimiter::space &&
                                       guess.numbers > best.numbers)) {
            best = std::move(guess);
        }
    }
    if (commaIsBoth(lines, best)) {
        return atCell(
            lines.front().number,
            1,
            YF_WORDS("core",
                     "the comma seems to stand both between columns and within numbers; say "
                     "the delimiter, or write the table with another one"));
    }
    return best;
}

enum class LineKind { row, bad, text };

/// Whether a line is a row of the pattern; a line that is none, with numbers in half the places
/// where the rows have some, is bad rather than text.
LineKind kindOfLine(const std::vector<std::string_view>& cells, const Pattern& pattern) {
    std::size_t numbers = 0;
    bool fits = true;
    std::size_t count = cells.size();
    while (count > pattern.cells && kindOf(cells[count - 1]) == CellKind::missing &&
           cells[count - 1].empty()) {
        --count;
    }
    for (std::size_t c = 0; c < count; ++c) {
        const CellKind kind = kindOf(cells[c]);
        const bool word = c < pattern.words.size() && pattern.words[c];
        numbers += kind == CellKind::number && !word ? 1 : 0;
        fits = fits && (word || kind != CellKind::word);
    }
    fits = fits && count == pattern.cells;
    const auto wanted = static_cast<std::size_t>(std::ranges::count(pattern.words, false));
    return fits && numbers > 0     ? LineKind::row
           : 2 * numbers >= wanted ? LineKind::bad
                                   : LineKind::text;
}

Error complain(const Line& line,
               const std::vector<std::string_view>& cells,
               const Pattern& pattern) {
    for (std::size_t c = 0; c < std::min(cells.size(), pattern.cells); ++c) {
        if (!pattern.words[c] && kindOf(cells[c]) == CellKind::word) {
            return atCell(line.number,
                          c + 1,
                          say(YF_WORDS("core", "%1 is not a number"), quotedCell(cells[c])));
        }
    }
    return atCell(line.number,
                  std::min(cells.size(), pattern.cells) + 1,
                  say(YF_WORDS("core", "%1 columns where the first row has %2"),
                      std::to_string(cells.size()),
                      std::to_string(pattern.cells)));
}

std::string_view withoutMark(const Line& line, Delimiter delimiter) {
    std::string_view content = line.content;
    if (!line.comment) {
        return content;
    }
    const std::size_t from = content.find_first_not_of("*#!%/");
    content = content.substr(std::min(from, content.size()));
    // A semicolon is a mark as long as it stands before a name.
    if (content.starts_with(';') &&
        (delimiter != Delimiter::semicolon || content.starts_with("; "))) {
        content.remove_prefix(1);
    }
    while (content.starts_with(' ')) {
        content.remove_prefix(1);
    }
    return content;
}

/// Units under names that are parted by blanks: a column without one leaves no mark, so there are
/// fewer than columns and nobody says whose they are.
std::vector<std::string> looseUnits(const Line& line, Delimiter delimiter, std::size_t columns) {
    if (delimiter != Delimiter::space) {
        return {};
    }
    std::vector<std::string> units = headWords(withoutMark(line, delimiter), false);
    const bool fewer = units.size() > 1 && units.size() < columns;
    const bool all = std::ranges::all_of(units, [](const std::string& unit) {
        return isUnit(unit.substr(0, unit.find(' '))) || isUnit(unit.substr(unit.rfind(' ') + 1));
    });
    return fewer && all ? units : std::vector<std::string>{};
}

/// A line above the rows as heads, if it has a cell for each column.
std::optional<std::vector<std::string>>
headsOf(const Line& line, Delimiter delimiter, std::size_t columns) {
    const std::string_view content = withoutMark(line, delimiter);
    const bool hash = line.comment && line.content.starts_with('#');
    constexpr int manners = 3; // by two blanks, word by word, units with their names
    for (int manner = 0; manner < (delimiter == Delimiter::space ? manners : 1); ++manner) {
        std::vector<std::string> heads;
        if (delimiter == Delimiter::space && manner != 1) {
            heads = headWords(content, manner == 2);
        } else {
            std::vector<std::string_view> cells;
            splitCells(content, delimiter, cells);
            heads.assign(cells.begin(), cells.end());
        }
        while (heads.size() > columns && heads.back().empty()) {
            heads.pop_back();
        }
        // "# Hz dB" over three columns: the mark names the first one.
        if (heads.size() + 1 == columns && hash) {
            heads.insert(heads.begin(), "#");
        }
        if (hash && heads.size() == columns && heads.front().empty()) {
            heads.front() = "#";
        }
        const bool anyWord =
            std::ranges::any_of(heads, [](const std::string& head) { return !head.empty(); });
        if (heads.size() == columns && anyWord) {
            return heads;
        }
    }
    return std::nullopt;
}

/// The sign of decimals, from every number that shows it.
struct Signs {
    bool decimalComma{};
    bool thousands{};
};

class SignsSeen {
public:
    void look(std::string_view cell) {
        const SeparatorsIn in = separatorsIn(cell);
        point_ = point_ || in.decimalPoint;
        comma_ = comma_ || in.decimalComma;
        loosePoint_ = loosePoint_ || in.loosePoint;
        looseComma_ = looseComma_ || in.looseComma;
        thousands_ = thousands_ || in.thousands;
    }

    /// Without any number that shows it beyond doubt, a single point or comma is a decimal one.
    [[nodiscard]] Signs signs() const {
        const bool comma = comma_ || (!point_ && looseComma_ && !loosePoint_);
        return {comma, thousands_ || (comma ? loosePoint_ : looseComma_ && point_)};
    }

    [[nodiscard]] bool contradict() const { return point_ && comma_; }

    [[nodiscard]] bool onlyLoose() const {
        return !point_ && !comma_ && (loosePoint_ || looseComma_);
    }

private:
    bool point_{};
    bool comma_{};
    bool loosePoint_{};
    bool looseComma_{};
    bool thousands_{};
};

/// Everything that is known while the lines are gone through.
class Cutter {
public:
    Cutter(const std::vector<Line>& lines, const Guess& guess, const GridWishes& wishes)
        : lines_(lines), pattern_(guess.pattern), wishes_(wishes) {
        grid_.delimiter = guess.delimiter;
    }

    Result<Grid> cut() {
        YF_TRY(last, lastRow());
        if (auto wrong = findSigns(last)) {
            return *wrong;
        }
        // Columns at the end that are empty in every row are none: a delimiter stood behind each.
        grid_.columns = pattern_.cells;
        while (grid_.columns > 0 && !filled_[grid_.columns - 1]) {
            --grid_.columns;
        }
        if (grid_.columns < 2) {
            return atCell(
                lines_[rows_.front()].number,
                1,
                YF_WORDS("core",
                         "only one column was found; frequency and level or ohms are needed"));
        }
        grid_.numbers.resize(grid_.columns);
        grid_.cellUnits.resize(grid_.columns);
        grid_.words.assign(pattern_.words.begin(),
                           pattern_.words.begin() + static_cast<std::ptrdiff_t>(grid_.columns));
        Block block;
        for (std::size_t i = 0; i < lines_.size(); ++i) {
            if (i > last) {
                grid_.footer += lines_[i].comment ? 0 : 1;
                continue;
            }
            if (!isRow_[i]) {
                if (grid_.rows() > block.first) {
                    block.last = grid_.rows();
                    grid_.blocks.push_back(std::move(block));
                    block = Block{};
                    block.first = grid_.rows();
                }
                addText(lines_[i], block);
                continue;
            }
            addRow(lines_[i]);
        }
        block.last = grid_.rows();
        grid_.blocks.push_back(std::move(block));
        return std::move(grid_);
    }

private:
    /// Marks the rows; the index of the last one. Refuses a row that is none.
    Result<std::size_t> lastRow() {
        isRow_.assign(lines_.size(), false);
        filled_.assign(pattern_.cells, false);
        std::optional<std::size_t> last;
        std::optional<std::size_t> bad;
        for (std::size_t i = 0; i < lines_.size(); ++i) {
            if (lines_[i].comment) {
                continue;
            }
            splitCells(lines_[i].content, grid_.delimiter, cells_);
            const LineKind kind = kindOfLine(cells_, pattern_);
            if (kind == LineKind::row) {
                isRow_[i] = true;
                last = i;
                rows_.push_back(i);
                for (std::size_t c = 0; c < pattern_.cells; ++c) {
                    seen_.look(cells_[c]);
                    filled_[c] = filled_[c] || !cells_[c].empty();
                }
            } else if (kind == LineKind::bad && last && !bad) {
                bad = i;
            }
        }
        if (!last) {
            return Error{"text",
                         YF_WORDS("core", "no row begins with a number"),
                         YF_WORDS("core", "must hold a table")};
        }
        if (bad) {
            splitCells(lines_[*bad].content, grid_.delimiter, cells_);
            // Numbers amid words behind the table ("Mean: 3 of 5") are no row.
            const bool behind = *bad > *last && cells_.size() < 2;
            if (!behind) {
                return complain(lines_[*bad], cells_, pattern_);
            }
        }
        return *last;
    }

    std::optional<Error> findSigns(std::size_t last) {
        const Signs signs = seen_.signs();
        grid_.decimalComma = wishes_.decimalComma.value_or(signs.decimalComma);
        grid_.thousands = signs.thousands;
        if (!wishes_.decimalComma && seen_.onlyLoose() && fallsAsDecimal()) {
            grid_.decimalComma = !grid_.decimalComma;
            grid_.thousands = true;
        }
        if (seen_.contradict() && !wishes_.decimalComma) {
            return mixed(last);
        }
        return std::nullopt;
    }

    /// "800; 1.000; 1.250": rises as thousands and not as decimals.
    bool fallsAsDecimal() {
        for (std::size_t c = 0; c < pattern_.cells; ++c) {
            std::vector<double> decimal;
            std::vector<double> thousand;
            for (const std::size_t i : rows_) {
                splitCells(lines_[i].content, grid_.delimiter, cells_);
                if (c < cells_.size()) {
                    decimal.push_back(numberIn(cells_[c], grid_.decimalComma));
                    thousand.push_back(numberIn(cells_[c], !grid_.decimalComma));
                }
            }
            const auto rises = [](const std::vector<double>& list) {
                return std::ranges::is_sorted(list) || std::ranges::is_sorted(list, std::greater());
            };
            if (rises(thousand) && !rises(decimal)) {
                return true;
            }
        }
        return false;
    }

    /// Points here and commas there: the first number that is not like the first one.
    Error mixed(std::size_t last) {
        std::optional<bool> comma;
        for (std::size_t i = 0; i <= last; ++i) {
            if (!isRow_[i]) {
                continue;
            }
            splitCells(lines_[i].content, grid_.delimiter, cells_);
            for (std::size_t c = 0; c < cells_.size(); ++c) {
                const SeparatorsIn in = separatorsIn(cells_[c]);
                if (!in.decimalComma && !in.decimalPoint) {
                    continue;
                }
                if (comma.value_or(in.decimalComma) != in.decimalComma) {
                    return atCell(
                        lines_[i].number,
                        c + 1,
                        in.decimalPoint
                            ? say(YF_WORDS("core",
                                           "%1 has a decimal point in a table with decimal commas"),
                                  quotedCell(cells_[c]))
                            : say(YF_WORDS("core",
                                           "%1 has a decimal comma in a table with decimal points"),
                                  quotedCell(cells_[c])));
                }
                comma = in.decimalComma;
            }
        }
        return atCell(lines_.front().number, 1, YF_WORDS("core", "points and commas are mixed"));
    }

    void addText(const Line& line, Block& block) {
        if (auto units = looseUnits(line, grid_.delimiter, grid_.columns);
            !units.empty() && !block.heads.empty()) {
            block.looseUnits = std::move(units);
            return;
        }
        auto heads = headsOf(line, grid_.delimiter, grid_.columns);
        if (heads) {
            block.heads.push_back({std::move(*heads), line.comment});
        } else {
            block.title.emplace_back(line.content);
        }
    }

    void addRow(const Line& line) {
        splitCells(line.content, grid_.delimiter, cells_);
        for (std::size_t c = 0; c < grid_.columns; ++c) {
            std::string_view unit;
            double number = numberIn(cells_[c], grid_.decimalComma, &unit);
            if (!unit.empty()) {
                std::string& known = grid_.cellUnits[c];
                const double scale = known.empty() ? 1.0 : scaleBetween(unit, known);
                if (known.empty()) {
                    known = std::string(unit);
                }
                number *= scale;
            }
            grid_.missing += !(number == number) && !grid_.words[c] ? 1 : 0;
            grid_.numbers[c].push_back(number);
        }
        grid_.lines.push_back(line.number);
        if (grid_.shown.size() < previewRows) {
            grid_.shown.emplace_back(cells_.begin(),
                                     cells_.begin() + static_cast<std::ptrdiff_t>(
                                                          std::min(cells_.size(), grid_.columns)));
        }
    }

    const std::vector<Line>& lines_;
    Pattern pattern_;
    const GridWishes& wishes_;
    Grid grid_;
    std::vector<bool> isRow_;
    std::vector<bool> filled_; ///< a column with something in some row
    SignsSeen seen_;
    std::vector<std::size_t> rows_;
    std::vector<std::string_view> cells_;
};

} // namespace

Error atCell(int line, std::size_t column, const Words& what) {
    return {"text",
            say(YF_WORDS("core", "line %1, column %2: %3"),
                std::to_string(line),
                std::to_string(column),
                what),
            ""};
}

std::string quotedCell(std::string_view cell) {
    std::string shown(cell.substr(0, 24));
    return "'" + shown + (cell.size() > shown.size() ? "…" : "") + "'";
}

Result<Grid> cutGrid(std::string_view text, const GridWishes& wishes) {
    const std::vector<Line> lines = linesOf(text);
    if (std::ranges::all_of(lines, &Line::comment)) {
        return Error{"text", YF_WORDS("core", "empty"), YF_WORDS("core", "must hold a table")};
    }
    YF_TRY(guess, guessForm(lines, wishes));
    if (guess.rows == 0) {
        const auto begins = std::ranges::find_if(lines, [](const Line& line) {
            return !line.comment && kindOf(line.content) == CellKind::number;
        });
        if (begins != lines.end()) {
            return atCell(
                begins->number,
                1,
                YF_WORDS("core",
                         "only one column was found; frequency and level or ohms are needed"));
        }
        return Error{"text",
                     YF_WORDS("core", "no row begins with a number"),
                     YF_WORDS("core", "must hold a table")};
    }
    return Cutter(lines, guess, wishes).cut();
}

} // namespace yf::measure
