// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/measure/table/touchstone.h"

#include "core/quantity/quantities.h"
#include "core/text/number.h"

#include <algorithm>
#include <array>
#include <cctype>
#include <cmath>

namespace yf::measure {

namespace {

using curve::Complex;

std::string upper(std::string_view text) {
    std::string result(text);
    std::ranges::transform(
        result, result.begin(), [](unsigned char c) { return static_cast<char>(std::toupper(c)); });
    return result;
}

std::vector<std::string_view> tokensOf(std::string_view line) {
    line = line.substr(0, line.find('!'));
    std::vector<std::string_view> tokens;
    constexpr std::string_view blanks = " \t\r";
    for (std::size_t at = line.find_first_not_of(blanks); at != std::string_view::npos;) {
        const std::size_t end = std::min(line.find_first_of(blanks, at), line.size());
        tokens.push_back(line.substr(at, end - at));
        at = line.find_first_not_of(blanks, end);
    }
    return tokens;
}

/// Calls `each` with the line's number from 1 and its tokens, comments left out, until it is false.
void forEachLine(std::string_view text, auto&& each) {
    int number = 0;
    while (!text.empty()) {
        const std::size_t end = std::min(text.find('\n'), text.size());
        ++number;
        const auto tokens = tokensOf(text.substr(0, end));
        text.remove_prefix(std::min(end + 1, text.size()));
        if (!tokens.empty() && !each(number, tokens)) {
            return;
        }
    }
}

struct Unit {
    std::string_view name;
    double factor;
};

constexpr std::array<Unit, 4> units{{{"HZ", 1.0}, {"KHZ", 1e3}, {"MHZ", 1e6}, {"GHZ", 1e9}}};

bool isForm(std::string_view word) {
    return word == "RI" || word == "MA" || word == "DB";
}

Error at(int line, std::size_t column, const Words& given, const Words& allowed) {
    return {"text",
            say(YF_WORDS("core", "line %1, column %2: %3"),
                std::to_string(line),
                std::to_string(column),
                given),
            allowed};
}

struct Options {
    double factor{1e9};
    char parameter{'S'};
    std::string form{"MA"};
    double reference{50.0};
};

Result<Options> readOptions(int line, const std::vector<std::string_view>& tokens) {
    Options o;
    for (std::size_t i = 0; i < tokens.size(); ++i) {
        std::string word = upper(tokens[i]);
        if (i == 0) {
            word.erase(0, 1); // '#', with or without a blank behind it
            if (word.empty()) {
                continue;
            }
        }
        const auto* unit = std::ranges::find(units, word, &Unit::name);
        if (unit != units.end()) {
            o.factor = unit->factor;
        } else if (isForm(word)) {
            o.form = word;
        } else if (word == "S" || word == "Y" || word == "Z") {
            o.parameter = word[0];
        } else if (word == "H" || word == "G") {
            return at(line,
                      i + 1,
                      say(YF_WORDS("core", "'%1' parameters"), word),
                      YF_WORDS("core", "must be S, Y or Z of one port"));
        } else if (word == "R") {
            const auto R = i + 1 < tokens.size() ? text::parseNumber(tokens[i + 1]) : std::nullopt;
            if (!R || !(*R > 0.0)) {
                return at(line,
                          i + 1,
                          YF_WORDS("core", "R without a resistance"),
                          YF_WORDS("core", "must be a number above 0"));
            }
            o.reference = *R;
            ++i;
        } else {
            return at(
                line,
                i + 1,
                "'" + std::string(tokens[i]) + "'",
                YF_WORDS("core",
                         "an option line holds Hz, kHz, MHz or GHz; S, Y or Z; RI, MA or DB; R and "
                         "a resistance"));
        }
    }
    return o;
}

Complex valueOf(const std::string& form, double first, double second) {
    if (form == "RI") {
        return {first, second};
    }
    const double size = form == "DB" ? std::pow(10.0, first / 20.0) : first;
    return std::polar(size, second * quantity::degree);
}

/// Keywords of version 2 that are about one port.
Result<bool> keyword(int line, const std::vector<std::string_view>& tokens, OnePort& port) {
    std::string word;
    std::string value;
    bool closed = false;
    for (const auto token : tokens) {
        (closed ? value : word) += upper(token);
        closed = closed || token.ends_with(']');
    }
    const auto number = text::parseNumber(value);
    if (word == "[VERSION]") {
        port.version = 2;
    } else if (word == "[NUMBEROFPORTS]" && number != 1.0) {
        return at(line,
                  2,
                  say(YF_WORDS("core", "'%1' ports"), value),
                  YF_WORDS("core", "must be one port"));
    } else if (word == "[REFERENCE]") {
        if (!number || !(*number > 0.0)) {
            return at(line, 2, "'" + value + "'", YF_WORDS("core", "must be a resistance above 0"));
        }
        port.reference = *number;
    }
    return word != "[END]" && word != "[NOISEDATA]";
}

Result<Complex> ohms(const OnePort& port, Complex value, int line) {
    const double R = port.version == 1 ? port.reference : 1.0;
    constexpr double least = 1e-12;
    if (port.parameter == 'Z') {
        return value * R;
    }
    if (port.parameter == 'Y') {
        if (std::abs(value) < least) {
            return at(line,
                      2,
                      YF_WORDS("core", "an admittance of 0"),
                      YF_WORDS("core", "must be a circuit that is not open"));
        }
        return R / value;
    }
    if (std::abs(1.0 - value) < least) {
        return at(line, 2, "S of 1", YF_WORDS("core", "must be a circuit that is not open"));
    }
    return port.reference * (1.0 + value) / (1.0 - value);
}

/// Takes a file line by line; false: the rest is not about the port.
class Reader {
public:
    Result<bool> take(int line, const std::vector<std::string_view>& tokens) {
        if (tokens[0].starts_with('#')) {
            return optionLine(line, tokens);
        }
        if (tokens[0].starts_with('[')) {
            return keyword(line, tokens, port_);
        }
        if (!options_) {
            return at(line,
                      1,
                      YF_WORDS("core", "a row before the option line"),
                      YF_WORDS("core", "begins with '#'"));
        }
        return dataRow(line, tokens);
    }

    [[nodiscard]] const OnePort& port() const { return port_; }

private:
    Result<bool> optionLine(int line, const std::vector<std::string_view>& tokens) {
        if (!options_) { // only the first counts
            YF_TRY(read, readOptions(line, tokens));
            options_ = read;
            port_.reference = read.reference;
            port_.parameter = read.parameter;
            port_.form = read.form;
        }
        return true;
    }

    Result<bool> dataRow(int line, const std::vector<std::string_view>& tokens) {
        constexpr std::size_t onePort = 3;
        if (tokens.size() != onePort) {
            return at(line,
                      std::min(tokens.size(), onePort + 1),
                      say(YF_WORDS("core", "%1 columns"), std::to_string(tokens.size())),
                      YF_WORDS("core", "one port has 3: frequency and two numbers"));
        }
        std::array<double, onePort> row{};
        for (std::size_t c = 0; c < onePort; ++c) {
            const auto number =
                text::parseNumber(tokens[c].starts_with('+') ? tokens[c].substr(1) : tokens[c]);
            if (!number) {
                return at(line,
                          c + 1,
                          say(YF_WORDS("core", "'%1' is not a number"), std::string(tokens[c])),
                          "");
            }
            row[c] = *number;
        }
        const double f = row[0] * options_->factor;
        if (f < 0.0 || (!port_.frequencies.empty() && f <= port_.frequencies.back())) {
            return at(
                line, 1, text::printNumber(row[0]), YF_WORDS("core", "frequencies must rise"));
        }
        if (f == 0.0) {
            port_.dcDropped = true;
            return true;
        }
        YF_TRY(Z, ohms(port_, valueOf(options_->form, row[1], row[2]), line));
        if (!(std::abs(Z) <= quantity::impedances.highest)) {
            return at(line,
                      2,
                      YF_WORDS("core", "an impedance beyond all measure"),
                      say(YF_WORDS("core", "must be at most %1"),
                          text::printEngineering(quantity::impedances.highest, "Ω")));
        }
        port_.frequencies.push_back(f);
        port_.Z.push_back(Z);
        return true;
    }

    OnePort port_;
    std::optional<Options> options_;
};

} // namespace

bool looksLikeTouchstone(std::string_view text) {
    bool found = false;
    forEachLine(text, [&](int /*line*/, const std::vector<std::string_view>& tokens) {
        const bool version = upper(tokens[0]).starts_with("[VERSION]");
        bool resistance = false;
        for (std::size_t i = 1; i < tokens.size(); ++i) {
            resistance = resistance ||
                         (upper(tokens[i - 1]) == "R" && text::parseNumber(tokens[i]).has_value());
        }
        found = version || (tokens[0].starts_with('#') && resistance && readOptions(1, tokens));
        return false;
    });
    return found;
}

Result<OnePort> readTouchstone(std::string_view text) {
    Reader reader;
    std::optional<Error> error;
    forEachLine(text, [&](int line, const std::vector<std::string_view>& tokens) {
        auto goesOn = reader.take(line, tokens);
        if (!goesOn) {
            error = goesOn.error();
        }
        return goesOn && *goesOn;
    });
    if (error) {
        return *error;
    }
    if (reader.port().frequencies.size() < 2) {
        return Error{"text",
                     say(YF_WORDS("core", "%1 rows of data"),
                         std::to_string(reader.port().frequencies.size())),
                     YF_WORDS("core", "must have at least 2")};
    }
    return reader.port();
}

std::string writeTouchstone(const curve::Curve& impedance) {
    constexpr double R = 50.0;
    std::string text = "! impedance of a loudspeaker, one port\n# Hz S RI R 50\n";
    for (std::size_t k = 0; k < impedance.size(); ++k) {
        const Complex Z = impedance.values()[k];
        const Complex S = (Z - R) / (Z + R);
        text += text::printNumber(impedance.frequencies()[k]) + " " + text::printNumber(S.real()) +
                " " + text::printNumber(S.imag()) + "\n";
    }
    return text;
}

} // namespace yf::measure
