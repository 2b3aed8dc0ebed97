// SPDX-License-Identifier: GPL-3.0-or-later
#include "devices/answers.h"

#include "core/text/number.h"

#include <algorithm>
#include <cctype>
#include <cmath>

namespace yf::devices {

namespace {

constexpr double overload = 9.9e37; // SCPI-1999, volume 1, 7.2.1.4: infinity
constexpr double notANumber = 9.91e37;

std::string_view trimmed(std::string_view s) {
    const auto blank = [](char c) { return std::isspace(static_cast<unsigned char>(c)) != 0; };
    while (!s.empty() && blank(s.front())) {
        s.remove_prefix(1);
    }
    while (!s.empty() && blank(s.back())) {
        s.remove_suffix(1);
    }
    return s;
}

std::string upper(std::string_view s) {
    std::string up(s);
    std::ranges::transform(
        up, up.begin(), [](unsigned char c) { return static_cast<char>(std::toupper(c)); });
    return up;
}

std::vector<std::string_view> parted(std::string_view s, char by) {
    std::vector<std::string_view> parts;
    for (;;) {
        const std::size_t at = s.find(by);
        parts.push_back(trimmed(s.substr(0, at)));
        if (at == std::string_view::npos) {
            return parts;
        }
        s.remove_prefix(at + 1);
    }
}

std::vector<std::string_view> wordsOf(std::string_view s) {
    std::vector<std::string_view> words;
    for (const std::string_view word : parted(s, ' ')) {
        if (!word.empty()) {
            words.push_back(word);
        }
    }
    return words;
}

/// What came, fit to be shown: printable, not endless.
std::string shown(std::string_view line) {
    constexpr std::size_t enough = 40;
    std::string said;
    for (const char c : line.substr(0, enough)) {
        said += std::isprint(static_cast<unsigned char>(c)) != 0 ? c : '?';
    }
    return "'" + said + (line.size() > enough ? "…'" : "'");
}

Error odd(std::string_view line, std::string_view wanted) {
    return Error{YF_WORDS("core", "answer"),
                 say(YF_WORDS("core", "%1 came"), shown(line)),
                 say(YF_WORDS("core", "expected %1"), wanted)};
}

/// NR1, NR2 or NR3 of IEEE 488.2: an optional sign, digits, perhaps a point, perhaps an exponent.
std::optional<double> number(std::string_view s) {
    if (!s.empty() && s.front() == '+') {
        s.remove_prefix(1);
    }
    return text::parseNumber(s);
}

/// Value of the last digit of "+5.4120E+00".
double lastDigit(std::string_view s) {
    int decimals = 0;
    int exponent = 0;
    const std::size_t e = s.find_first_of("eE");
    const std::string_view mantissa = s.substr(0, e);
    if (const std::size_t point = mantissa.find('.'); point != std::string_view::npos) {
        decimals = static_cast<int>(mantissa.size() - point - 1);
    }
    if (e != std::string_view::npos) {
        exponent = static_cast<int>(number(s.substr(e + 1)).value_or(0.0));
    }
    return std::pow(10.0, exponent - decimals);
}

bool isOhm(std::string_view unit) {
    const std::string up = upper(unit);
    return up == "OHM" || up == "OHMS" || unit == "Ω";
}

Result<OhmsShown> ohmsOf(std::string_view figure, std::string_view line) {
    if (const std::string up = upper(figure); up == "OL" || up == "OVLD" || up == "INF") {
        return OhmsShown{};
    }
    const auto value = number(figure);
    if (!value || *value < 0.0) {
        return odd(line, YF_WORDS("core", "ohms, such as +5.41E+00"));
    }
    if (std::abs(*value / notANumber - 1.0) < 1e-6) {
        return odd(line, YF_WORDS("core", "a number; the meter says it has none"));
    }
    if (*value >= overload * (1.0 - 1e-6)) {
        return OhmsShown{};
    }
    return OhmsShown{*value, lastDigit(figure)};
}

} // namespace

Result<std::vector<std::string>> LineSplitter::add(std::string_view bytes) {
    std::vector<std::string> lines;
    for (const char c : bytes) {
        if (c == '\n' || c == '\r') {
            if (!half_.empty()) {
                lines.push_back(std::move(half_));
                half_.clear();
            }
            continue;
        }
        half_ += c;
        if (half_.size() > longest) {
            half_.clear();
            return Error{YF_WORDS("core", "answer"),
                         say(YF_WORDS("core", "more than %1 characters without an end"),
                             std::to_string(longest)),
                         YF_WORDS("core", "expected lines of a meter")};
        }
    }
    return lines;
}

Result<std::string> readIdentity(std::string_view line) {
    const auto fields = parted(line, ',');
    if (fields.size() != 4 || fields[0].empty() || fields[1].empty()) {
        return odd(line, YF_WORDS("core", "maker, model, serial number and version"));
    }
    return std::string(fields[0]) + " " + std::string(fields[1]);
}

Done readFunction(std::string_view line) {
    std::string name = upper(trimmed(line));
    std::erase(name, '"');
    if (name == "RES" || name == "FRES" || name == "RESISTANCE" || name == "FRESISTANCE") {
        return done();
    }
    return Error{YF_WORDS("core", "answer"),
                 say(YF_WORDS("core", "the meter is set to %1"), shown(name)),
                 YF_WORDS("core", "set it to ohms")};
}

Result<OhmsShown> readOhms(std::string_view line) {
    const auto words = wordsOf(trimmed(line));
    if (words.empty() || words.size() > 2) {
        return odd(line, YF_WORDS("core", "ohms, such as +5.41E+00"));
    }
    if (words.size() == 2 && !isOhm(words[1])) {
        return Error{YF_WORDS("core", "answer"),
                     say(YF_WORDS("core", "%1 came"), shown(line)),
                     YF_WORDS("core", "is no resistance: set the meter to ohms")};
    }
    return ohmsOf(words[0], line);
}

Result<bench::LcrMode> readPairMode(std::string_view line) {
    std::string name = upper(trimmed(line));
    std::erase(name, '"');
    if (name == "LSRS") {
        return bench::LcrMode::series;
    }
    if (name == "LPRP") {
        return bench::LcrMode::parallel;
    }
    return Error{
        YF_WORDS("core", "answer"),
        say(YF_WORDS("core", "the meter shows %1"), shown(name)),
        YF_WORDS("core",
                 "set it to inductance and resistance, in series (LSRS) or in parallel (LPRP)")};
}

Result<double> readFrequency(std::string_view line) {
    const auto value = number(trimmed(line));
    constexpr double most = 1e7;
    if (!value || !(*value > 0.0) || *value > most) {
        return odd(line, YF_WORDS("core", "a frequency in hertz"));
    }
    return *value;
}

Result<PairShown> readPair(std::string_view line, double frequency, bench::LcrMode mode) {
    const auto fields = parted(trimmed(line), ',');
    if (fields.size() < 2 || fields.size() > 3) {
        return odd(line, YF_WORDS("core", "inductance, resistance and status"));
    }
    const auto l = number(fields[0]);
    const auto r = number(fields[1]);
    const auto status = fields.size() == 3 ? number(fields[2]) : std::optional(0.0);
    if (!l || !r || !status) {
        return odd(line, YF_WORDS("core", "inductance, resistance and status"));
    }
    PairShown pair{frequency, *r, *l, mode};
    if (*status != 0.0 || std::abs(*r) >= overload * (1.0 - 1e-6) ||
        std::abs(*l) >= overload * (1.0 - 1e-6)) {
        pair.r.reset();
        pair.l = 0.0;
    }
    return pair;
}

Result<LineShown> readLine(std::string_view line) {
    const auto words = wordsOf(trimmed(line));
    LineShown out;
    if (words.size() == 3 && words[0] == "R") {
        if (!isOhm(words[2])) {
            return Error{YF_WORDS("core", "answer"),
                         say(YF_WORDS("core", "%1 came"), shown(line)),
                         YF_WORDS("core", "is no resistance: set the meter to ohms")};
        }
        YF_TRY(ohms, ohmsOf(words[1], line));
        out.ohms = ohms;
        return out;
    }
    const bool pair = words.size() == 8 && words[0] == "LCR" && words[2] == "Hz" &&
                      isOhm(words[4]) && words[6] == "H" &&
                      (words[7] == "series" || words[7] == "parallel");
    if (!pair) {
        return odd(line, "'R 5.41 ohm' or 'LCR 1000 Hz 5.42 ohm 0.00031 H series'");
    }
    YF_TRY(frequency, readFrequency(words[1]));
    YF_TRY(ohms, ohmsOf(words[3], line));
    const auto l = number(words[5]);
    if (!l) {
        return odd(line, "henry before 'H'");
    }
    out.pair = PairShown{frequency,
                         ohms.ohms,
                         ohms.ohms ? *l : 0.0,
                         words[7] == "series" ? bench::LcrMode::series : bench::LcrMode::parallel};
    return out;
}

} // namespace yf::devices
