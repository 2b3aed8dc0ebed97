// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/network/circuit/line_edit.h"

#include "core/network/circuit/ladder_edit.h"
#include "core/text/given.h"
#include "core/text/number.h"

#include <algorithm>
#include <cmath>
#include <sstream>

namespace yf::network {

namespace {

constexpr double mostGain = 60.0; ///< dB
constexpr double mostDelay = 0.1; ///< s

Error noAmplifier(std::size_t way) {
    return {"way",
            std::to_string(way + 1),
            YF_WORDS("core", "must be a way with an amplifier of its own")};
}

Result<Line> typedGain(const Line& old, const std::string& text) {
    std::string plain = text;
    for (const auto& [what, with] : {std::pair<std::string_view, const char*>{"−", "-"},
                                     {text::thinSpace, " "},
                                     {",  ", " "},
                                     {" late", ""}}) {
        for (auto at = plain.find(what); at != std::string::npos; at = plain.find(what)) {
            plain.replace(at, what.size(), with);
        }
    }
    std::istringstream in(plain);
    std::vector<std::string> pieces;
    for (std::string word; in >> word;) {
        if (word.ends_with(',')) {
            word.pop_back();
        }
        const bool unit = !pieces.empty() && (word == "dB" || word == "db" || word == "ms" ||
                                              word == "us" || word == "µs" || word == "s");
        if (unit) {
            pieces.back() += word;
        } else if (!word.empty()) {
            pieces.push_back(word);
        }
    }
    if (pieces.empty()) {
        return Error{"line",
                     YF_WORDS("core", "nothing is written"),
                     YF_WORDS("core", "must be a gain (-3 dB), a delay (0.2 ms)")};
    }
    Line line = old;
    for (const std::string& piece : pieces) {
        const bool time = piece.ends_with('s');
        const std::string bare = piece.front() == '+' ? piece.substr(1) : piece;
        const auto value =
            text::parseQuantity(bare, time ? text::Unit::second : text::Unit::decibel);
        if (!value) {
            return Error{"line",
                         text::givenWord(piece),
                         YF_WORDS("core", "must be a gain (-3 dB) or a delay (0.2 ms)")};
        }
        if (time && !(*value >= 0.0 && *value <= mostDelay)) {
            return Error{
                "line", text::givenWord(piece), YF_WORDS("core", "a delay must be 0 to 100 ms")};
        }
        if (!time && !(std::abs(*value) <= mostGain)) {
            return Error{
                "line", text::givenWord(piece), YF_WORDS("core", "a gain must be -60 to 60 dB")};
        }
        (time ? line.delay : line.gain) = *value;
    }
    return line;
}

} // namespace

bool canSeparate(const Circuit& circuit) {
    const Section* tree = circuit.tree();
    if (tree == nullptr || !circuit.couplings.empty()) {
        return false;
    }
    const auto* ways = std::get_if<Ways>(&tree->end);
    return ways == nullptr || (tree->ladder.empty() && ways->join == Joining::parallel);
}

std::optional<Line> lineOf(const Circuit& circuit, std::size_t way) {
    const Section* section = waySection(circuit, way);
    const bool apart = section != nullptr && (ownAmplifiers(circuit) || section->line);
    return apart ? std::optional(section->line.value_or(Line{})) : std::nullopt;
}

Result<Circuit> separated(const Circuit& circuit, bool own) {
    if (!canSeparate(circuit)) {
        return Error{
            "network",
            YF_WORDS("core", "its ways hang together"),
            YF_WORDS("core",
                     "amplifiers for each way need ways side by side, with no part before them")};
    }
    Circuit changed = circuit;
    Section& tree = *changed.tree();
    const auto set = [own](Section& section) {
        section.line = own ? std::optional(section.line.value_or(Line{})) : std::nullopt;
    };
    if (auto* ways = std::get_if<Ways>(&tree.end)) {
        std::ranges::for_each(ways->sections, set);
    } else {
        set(tree);
    }
    return changed;
}

Result<Circuit> withLine(const Circuit& circuit, std::size_t way, const Line& line) {
    if (!lineOf(circuit, way)) {
        return noAmplifier(way);
    }
    Circuit changed = circuit;
    Section& tree = *changed.tree();
    auto* ways = std::get_if<Ways>(&tree.end);
    (ways != nullptr ? ways->sections[way] : tree).line = line;
    return changed;
}

LineFilter newFilter(BiquadKind kind, double near) {
    LineFilter filter{.kind = kind, .f0 = near};
    switch (kind) {
    case BiquadKind::lowPass:
    case BiquadKind::highPass:
        filter.alignment = Alignment::linkwitzRiley;
        filter.order = 4;
        break;
    case BiquadKind::peaking:
        filter.Q = 2.0;
        break;
    case BiquadKind::allPass:
    case BiquadKind::lowShelf:
    case BiquadKind::highShelf:
        break;
    }
    return filter;
}

Result<Line>
typedLine(const Line& old, std::optional<std::size_t> filter, const std::string& text) {
    if (!filter) {
        return typedGain(old, text);
    }
    if (*filter >= old.filters.size()) {
        return Error{
            "filter", std::to_string(*filter + 1), YF_WORDS("core", "must be one of this way's")};
    }
    Line line = old;
    YF_TRY(typed, typedFilter(old.filters[*filter], text));
    line.filters[*filter] = typed;
    return line;
}

Line steppedLine(const Line& old, std::optional<std::size_t> filter, int steps, bool fine) {
    Line line = old;
    if (!filter) {
        const double step = fine ? 0.1 : 0.5;
        // On the grid of the steps, so that nought is met again.
        line.gain = std::clamp(step * (std::round(old.gain / step) + steps), -mostGain, mostGain);
        return line;
    }
    const double perOctave = fine ? 48.0 : 12.0;
    constexpr double lowest = 1.0;
    constexpr double highest = 100000.0;
    double& f0 = line.filters[*filter].f0;
    f0 = std::clamp(f0 * std::exp2(steps / perOctave), lowest, highest);
    return line;
}

std::string gainWords(const Line& line) {
    std::string said = (line.gain < 0.0   ? "−"
                        : line.gain > 0.0 ? "+"
                                          : "") +
                       text::printSignificant(std::abs(line.gain), 3) +
                       std::string(text::thinSpace) + "dB";
    if (line.delay > 0.0) {
        said += ", " + text::printEngineering(line.delay, "s") + " late"; // typed back as it is
    }
    return said;
}

} // namespace yf::network
