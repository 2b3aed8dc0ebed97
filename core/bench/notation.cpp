// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/bench/notation.h"

#include "core/text/given.h"
#include "core/text/number.h"

#include <algorithm>
#include <array>
#include <cctype>
#include <cmath>
#include <string>

namespace yf::bench {

namespace {

constexpr std::array<std::string_view, 9> overRange{
    "ol", "0l", "o.l", "0.l", "over", "open", "inf", "infinite", "∞"};
constexpr std::array<std::string_view, 7> unitsAlone{"Ω", "ohm", "ohms", "R", "kΩ", "mΩ", "kohm"};

bool isBlank(char c) {
    return std::isspace(static_cast<unsigned char>(c)) != 0;
}

std::string lowered(std::string_view word) {
    std::string low(word);
    std::ranges::transform(
        low, low.begin(), [](unsigned char c) { return static_cast<char>(std::tolower(c)); });
    return low;
}

/// Words between separators; a unit that stands alone belongs to the number before it.
std::vector<std::string> wordsOf(std::string_view text) {
    std::vector<std::string> words;
    std::string word;
    const auto finish = [&] {
        if (word.empty()) {
            return;
        }
        const bool unit = std::ranges::find(unitsAlone, word) != unitsAlone.end();
        if (unit && !words.empty()) {
            words.back() += word;
        } else {
            words.push_back(word);
        }
        word.clear();
    };
    for (std::size_t i = 0; i < text.size(); ++i) {
        const char c = text[i];
        const bool comma = c == ',' && (i + 1 == text.size() || isBlank(text[i + 1]));
        if (isBlank(c) || c == ';' || comma) {
            finish();
        } else {
            word += c;
        }
    }
    finish();
    return words;
}

bool isDigit(char c) {
    return std::isdigit(static_cast<unsigned char>(c)) != 0;
}

/// Value of the last digit of a number as it was written: 0.1 for "6.1" and "6R1", 10 for "0.47k".
double lastDigit(const std::string& word) {
    std::size_t i = 0;
    while (i < word.size() && isDigit(word[i])) {
        ++i;
    }
    int decimals = 0;
    if (i < word.size()) {
        // What stands behind the whole digits parts them from the decimals, or is the unit.
        for (std::size_t k = i + 1; k < word.size() && isDigit(word[k]); ++k) {
            ++decimals;
        }
    }
    const double scale = word.find('k') != std::string::npos                           ? 1e3
                         : word.find('M') != std::string::npos                         ? 1e6
                         : word.find("mΩ") != std::string::npos || word.ends_with('m') ? 1e-3
                                                                                       : 1.0;
    return scale * std::pow(10.0, -decimals);
}

} // namespace

Result<WrittenOhms> readOhms(std::string_view text) {
    WrittenOhms out;
    for (const std::string& word : wordsOf(text)) {
        if (std::ranges::find(overRange, lowered(word)) != overRange.end()) {
            out.ohms.emplace_back(std::nullopt);
            continue;
        }
        const auto ohms = text::parseQuantity(word, text::Unit::ohm);
        if (!ohms || *ohms < 0.0) {
            return Error{
                YF_WORDS("core", "readings"),
                text::givenWord(word),
                YF_WORDS("core",
                         "must be ohms such as 6.1 or 6R1, several with blanks between, and OL "
                         "where the meter shows no number")};
        }
        out.ohms.emplace_back(*ohms);
        const double digit = lastDigit(word);
        out.resolution = out.resolution == 0.0 ? digit : std::min(out.resolution, digit);
    }
    if (out.ohms.empty()) {
        return Error{"readings",
                     YF_WORDS("core", "nothing written"),
                     YF_WORDS("core", "write what the meter shows")};
    }
    return out;
}

} // namespace yf::bench
