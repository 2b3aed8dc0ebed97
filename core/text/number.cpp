// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/text/number.h"

#include <algorithm>
#include <array>
#include <charconv>
#include <cmath>
#include <utility>

namespace yf::text {

namespace {

using Spelling = std::pair<std::string_view, double>;

/// Unit spellings that take a prefix.
std::string_view const* prefixed(Unit unit, std::size_t& count) {
    static constexpr std::array ohm{std::string_view{"Ω"},
                                    std::string_view{"\u2126"},
                                    std::string_view{"ohms"},
                                    std::string_view{"ohm"},
                                    std::string_view{"Ohm"},
                                    std::string_view{"R"}};
    static constexpr std::array henry{std::string_view{"H"}};
    static constexpr std::array farad{std::string_view{"F"}};
    static constexpr std::array hertz{std::string_view{"Hz"}, std::string_view{"hz"}};
    static constexpr std::array volt{std::string_view{"V"}};
    static constexpr std::array watt{std::string_view{"W"}};
    static constexpr std::array second{std::string_view{"s"}};
    const auto give = [&](const auto& list) {
        count = list.size();
        return list.data();
    };
    switch (unit) {
    case Unit::ohm:
        return give(ohm);
    case Unit::henry:
        return give(henry);
    case Unit::farad:
        return give(farad);
    case Unit::hertz:
        return give(hertz);
    case Unit::volt:
        return give(volt);
    case Unit::watt:
        return give(watt);
    case Unit::second:
        return give(second);
    default:
        count = 0;
        return nullptr;
    }
}

/// Units with spellings of their own, no prefixes.
double plainUnit(Unit unit, std::string_view word) {
    static constexpr double foot = 0.3048;
    static constexpr Spelling metre[] = {{"m", 1.0},
                                         {"cm", 1e-2},
                                         {"mm", 1e-3},
                                         {"\"", 0.0254},
                                         {"in", 0.0254},
                                         {"inch", 0.0254},
                                         {"inches", 0.0254},
                                         {"ft", foot},
                                         {"'", foot}};
    static constexpr double cubicFoot = foot * foot * foot;
    static constexpr Spelling cubic[] = {{"m3", 1.0},
                                         {"m³", 1.0},
                                         {"l", 1e-3},
                                         {"L", 1e-3},
                                         {"litre", 1e-3},
                                         {"litres", 1e-3},
                                         {"cm3", 1e-6},
                                         {"cm³", 1e-6},
                                         {"cu ft", cubicFoot},
                                         {"cuft", cubicFoot},
                                         {"ft3", cubicFoot},
                                         {"ft³", cubicFoot}};
    static constexpr Spelling decibel[] = {{"dB", 1.0}, {"db", 1.0}};
    static constexpr Spelling degree[] = {{"°", 0.017453292519943295},
                                          {"deg", 0.017453292519943295}};
    static constexpr Spelling percent[] = {{"%", 0.01}};
    const auto look = [&](const auto& list) {
        const auto* found = std::ranges::find(list, word, &Spelling::first);
        return found == std::end(list) ? 0.0 : found->second;
    };
    switch (unit) {
    case Unit::metre:
        return look(metre);
    case Unit::cubicMetre:
        return look(cubic);
    case Unit::decibel:
        return look(decibel);
    case Unit::degree:
        return look(degree);
    case Unit::percent:
        return look(percent);
    default:
        return 0.0;
    }
}

struct Prefix {
    std::string_view text;
    double factor;
};

constexpr Prefix prefixes[] = {{"p", 1e-12},
                               {"n", 1e-9},
                               {"u", 1e-6},
                               {"µ", 1e-6},
                               {"\u03bc", 1e-6},
                               {"m", 1e-3},
                               {"k", 1e3},
                               {"K", 1e3},
                               {"M", 1e6},
                               {"G", 1e9}};

std::string_view trimmed(std::string_view text) {
    const auto space = [](std::string_view& t) {
        for (const std::string_view blank : {" ", "\t", "\u00a0", "\u202f", "\u2009"}) {
            if (t.starts_with(blank)) {
                t.remove_prefix(blank.size());
                return true;
            }
            if (t.ends_with(blank)) {
                t.remove_suffix(blank.size());
                return true;
            }
        }
        return false;
    };
    while (space(text)) {
    }
    return text;
}

const Prefix* leadingPrefix(std::string_view word) {
    const auto* found =
        std::ranges::find_if(prefixes, [&](const Prefix& p) { return word.starts_with(p.text); });
    return found == std::end(prefixes) ? nullptr : found;
}

bool isUnitWord(Unit unit, std::string_view word) {
    std::size_t count = 0;
    const std::string_view* names = prefixed(unit, count);
    return names != nullptr && std::find(names, names + count, word) != names + count;
}

/// What stands behind the digits, as a factor; 0 if it is not understood.
double factorOf(Unit unit, std::string_view word, double bare) {
    if (word.empty()) {
        return bare;
    }
    if (const double plain = plainUnit(unit, word); plain > 0.0) {
        return plain;
    }
    if (isUnitWord(unit, word)) {
        return 1.0;
    }
    std::size_t count = 0;
    if (prefixed(unit, count) == nullptr) {
        return 0.0;
    }
    const Prefix* prefix = leadingPrefix(word);
    if (prefix == nullptr) {
        return 0.0;
    }
    const std::string_view rest = trimmed(word.substr(prefix->text.size()));
    return rest.empty() || isUnitWord(unit, rest) ? prefix->factor : 0.0;
}

Error notUnderstood(std::string_view text, std::string allowed) {
    return {"value",
            say(YF_WORDS("core", "'%1' is not understood"), std::string(text.substr(0, 40))),
            std::move(allowed)};
}

std::string_view example(Unit unit) {
    switch (unit) {
    case Unit::ohm:
        return YF_WORDS("core", "write it like 3.3, 3R3 or 2k2");
    case Unit::henry:
        return YF_WORDS("core", "write it like 0.35 mH or 350uH");
    case Unit::farad:
        return YF_WORDS("core", "write it like 6.8 µF, 6u8 or 470n");
    case Unit::hertz:
        return YF_WORDS("core", "write it like 2500, 2.5 kHz or 2k5");
    case Unit::metre:
        return YF_WORDS("core", "write it like 31 cm, 310 mm or 12\"");
    case Unit::cubicMetre:
        return YF_WORDS("core", "write it like 12 l or 1.2 cu ft");
    default:
        return YF_WORDS("core", "write it like 6.8");
    }
}

/// "6u8", "3R3", "2k2": a letter in the place of the decimal point.
std::optional<double> letterAsPoint(std::string_view text, Unit unit) {
    const auto digit = [](char c) { return c >= '0' && c <= '9'; };
    std::size_t whole = 0;
    while (whole < text.size() && digit(text[whole])) {
        ++whole;
    }
    if (whole == 0) {
        return std::nullopt;
    }
    std::string_view rest = text.substr(whole);
    double factor = 0.0;
    std::size_t letter = 0;
    if (unit == Unit::ohm && rest.starts_with("R")) {
        factor = 1.0;
        letter = 1;
    } else if (const Prefix* prefix = leadingPrefix(rest)) {
        factor = prefix->factor;
        letter = prefix->text.size();
    }
    std::size_t end = letter;
    while (end < rest.size() && digit(rest[end])) {
        ++end;
    }
    if (factor == 0.0 || end == letter) {
        return std::nullopt;
    }
    std::size_t count = 0;
    if (prefixed(unit, count) == nullptr) {
        return std::nullopt;
    }
    const std::string_view unitWord = trimmed(rest.substr(end));
    if (!unitWord.empty() && !isUnitWord(unit, unitWord)) {
        return std::nullopt;
    }
    const std::string joined =
        std::string(text.substr(0, whole)) + "." + std::string(rest.substr(letter, end - letter));
    return parseNumber(joined).value() * factor;
}

std::string withPlainMinus(std::string_view text) {
    constexpr std::string_view minus = "\u2212"; // the typographic one
    std::string plain;
    while (!text.empty()) {
        const bool isMinus = text.starts_with(minus);
        plain += isMinus ? '-' : text.front();
        text.remove_prefix(isMinus ? minus.size() : 1);
    }
    return plain;
}

bool isDigit(char c) {
    return c >= '0' && c <= '9';
}

/// Behind sign, digits with any points and commas, and an exponent if it has digits of its own.
std::size_t endOfNumber(std::string_view text) {
    std::size_t end = text.front() == '-' || text.front() == '+' ? 1 : 0;
    while (end < text.size() && (isDigit(text[end]) || text[end] == '.' || text[end] == ',')) {
        ++end;
    }
    if (end + 1 >= text.size() || (text[end] != 'e' && text[end] != 'E')) {
        return end;
    }
    std::size_t exponent = end + 1;
    exponent += text[exponent] == '-' || text[exponent] == '+' ? 1 : 0;
    const std::size_t digits = exponent;
    while (exponent < text.size() && isDigit(text[exponent])) {
        ++exponent;
    }
    return exponent > digits ? exponent : end;
}

} // namespace

std::string printNumber(double value) {
    // People read "100000", not "1e+05", and "0.0001", not "1e-04".
    const double size = std::abs(value);
    const bool plain = value == 0.0 || (size >= 1e-4 && size < 1e9);
    std::array<char, 40> buffer{};
    const auto end = std::to_chars(buffer.data(),
                                   buffer.data() + buffer.size(),
                                   value,
                                   plain ? std::chars_format::fixed : std::chars_format::general);
    return {buffer.data(), end.ptr};
}

std::optional<double> parseNumber(std::string_view text) {
    double value = 0.0;
    const char* last = text.data() + text.size();
    const auto end = std::from_chars(text.data(), last, value);
    if (end.ec != std::errc{} || end.ptr != last || !std::isfinite(value)) {
        return std::nullopt;
    }
    return value;
}

Result<double> parseQuantity(std::string_view text, Unit unit, double bare) {
    const std::string normal = withPlainMinus(trimmed(text));
    if (normal.empty()) {
        return Error{"value", YF_WORDS("core", "nothing is written"), std::string(example(unit))};
    }
    if (const auto value = letterAsPoint(normal, unit)) {
        return *value;
    }
    const std::size_t numberEnd = endOfNumber(normal);
    std::string digits =
        normal.substr(normal.front() == '+' ? 1 : 0, numberEnd - (normal.front() == '+' ? 1 : 0));
    const auto separators =
        std::ranges::count_if(digits, [](char c) { return c == '.' || c == ','; });
    if (separators > 1) {
        return Error{
            "value",
            say(YF_WORDS("core", "'%1' has more than one point or comma"), normal),
            YF_WORDS("core", "write the number with one decimal sign and no thousands signs")};
    }
    std::ranges::replace(digits, ',', '.');
    const auto value = parseNumber(digits);
    const double factor = factorOf(unit, trimmed(std::string_view(normal).substr(numberEnd)), bare);
    if (!value || factor == 0.0) {
        return notUnderstood(text, std::string(example(unit)));
    }
    return *value * factor;
}

std::string printEngineering(double value, std::string_view unit, int digits) {
    static constexpr std::pair<double, std::string_view> steps[] = {{1e9, "G"},
                                                                    {1e6, "M"},
                                                                    {1e3, "k"},
                                                                    {1.0, ""},
                                                                    {1e-3, "m"},
                                                                    {1e-6, "µ"},
                                                                    {1e-9, "n"},
                                                                    {1e-12, "p"}};
    double factor = 1.0;
    std::string_view prefix;
    // Rounding first keeps 999.96 from becoming "1000 Ω".
    const double size = std::abs(value);
    if (size > 0.0) {
        const double place = std::pow(10.0, std::floor(std::log10(size)) - (digits - 1));
        const double rounded = std::round(size / place) * place;
        const auto* step = std::ranges::find_if(
            steps, [&](const auto& s) { return rounded >= s.first * (1.0 - 1e-12); });
        if (step == std::end(steps)) {
            step = std::prev(std::end(steps));
        }
        factor = step->first;
        prefix = step->second;
    }
    const double shown = value / factor;
    std::string number = printSignificant(shown, digits);
    if (unit.empty() && prefix.empty()) {
        return number;
    }
    return number + std::string(thinSpace) + std::string(prefix) + std::string(unit);
}

std::string printSignificant(double value, int digits) {
    const double magnitude =
        std::abs(value) > 0.0 ? std::floor(std::log10(std::abs(value)) + 1e-12) : 0.0;
    std::string number = printFixed(value, std::max(0, digits - 1 - static_cast<int>(magnitude)));
    if (number.find('.') != std::string::npos) {
        number.erase(number.find_last_not_of('0') + 1);
        if (number.back() == '.') {
            number.pop_back();
        }
    }
    return number;
}

std::string printFixed(double value, int decimals) {
    std::array<char, 400> buffer{};
    const auto end = std::to_chars(
        buffer.data(), buffer.data() + buffer.size(), value, std::chars_format::fixed, decimals);
    std::string text(buffer.data(), end.ptr);
    const bool nothingBut = text.find_first_not_of("-0.") == std::string::npos;
    if (nothingBut && text.front() == '-') {
        text.erase(0, 1);
    }
    return text;
}

} // namespace yf::text
