// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/measure/table/heading.h"

#include "core/measure/table/cell.h"

#include <algorithm>
#include <cctype>
#include <initializer_list>

namespace yf::measure {

namespace {

using enum Meaning;

void replaceAll(std::string& text, std::string_view from, std::string_view to) {
    for (std::size_t at = text.find(from); at != std::string::npos;
         at = text.find(from, at + to.size())) {
        text.replace(at, from.size(), to);
    }
}

/// Small letters, signs spelled out.
std::string spelled(const std::string& name) {
    std::string text = lower(name);
    static constexpr std::pair<std::string_view, std::string_view> signs[] = {
        {"\u00b0", "deg"},
        {"\u03a9", "ohm"},
        {"\u2126", "ohm"},
        {"\u03c9", " omega "},
        {"\u03c6", " phi "},
        {"\u03d5", " phi "},
        {"\u00b5", "u"},
        {"\u03bc", "u"},
        {"\u03c4", " tau "},
        {"\u03b3", "gamma"},
        {"\u00b2", "2"},
        {"\u00e4", "ae"},
        {"\u00c4", "ae"},
        {"\u00f6", "oe"},
        {"\u00fc", "ue"},
        {"\u00e9", "e"},
        {"|z|", " zmod "},
        {"|h|", " hmod "},
        {"|p|", " pmod "},
        {"rad/s", " radpersecond "},
        {"1/s", " radpersecond "},
        {"v/v", " linear "},
        {"pa/v", " pa "},
        {"log10", " log "},
        {"group delay", " groupdelay "},
        {"db re 1 ohm", " dbohm "},
        {"db re ohm", " dbohm "},
        {"db ohm", " dbohm "},
        {"db(spl)", "db"},
        {"db (spl)", "db"},
        {"kilo ohm", "kohm"}};
    for (const auto& [from, to] : signs) {
        replaceAll(text, from, to);
    }
    // "dB re 20 µPa", "dB re 1 V": what a level stands over is no unit of the column.
    if (const std::size_t re = text.find("db re "); re != std::string::npos) {
        text.erase(re + 2);
    }
    return text;
}

struct Token {
    std::string word;
    bool behindNumber{};
};

std::vector<Token> tokensOf(const std::string& text) {
    std::vector<Token> tokens;
    std::string word;
    bool numberBefore = false;
    const auto end = [&] {
        if (word.empty()) {
            return;
        }
        const bool number = std::isdigit(static_cast<unsigned char>(word.front())) != 0;
        if (!number) {
            tokens.push_back({word, numberBefore});
        }
        numberBefore = number && std::isdigit(static_cast<unsigned char>(word.back())) != 0;
        word.clear();
    };
    for (const char c : text) {
        const bool part = std::isalnum(static_cast<unsigned char>(c)) != 0 || c == '%' ||
                          static_cast<unsigned char>(c) >= 0x80;
        const bool inNumber = (c == '.' || c == ',') && !word.empty() &&
                              std::isdigit(static_cast<unsigned char>(word.back())) != 0;
        if (part || inNumber) {
            word += c;
        } else {
            end();
        }
    }
    end();
    return tokens;
}

/// What the units of a column can be.
enum class UnitWord {
    none,
    hertz,
    kilohertz,
    angular,
    logHertz,
    decibel,
    decibelOhm,
    ohm,
    kiloohm,
    milliohm,
    pascal,
    millipascal,
    volt,
    millivolt,
    linear,
    degree,
    radian,
    other
};

constexpr std::pair<std::string_view, UnitWord> unitWords[] = {
    {"hz", UnitWord::hertz},          {"hertz", UnitWord::hertz},
    {"khz", UnitWord::kilohertz},     {"radpersecond", UnitWord::angular},
    {"db", UnitWord::decibel},        {"dbspl", UnitWord::decibel},
    {"dba", UnitWord::decibel},       {"dbv", UnitWord::decibel},
    {"dbu", UnitWord::decibel},       {"dbr", UnitWord::decibel},
    {"dbfs", UnitWord::decibel},      {"dbohm", UnitWord::decibelOhm},
    {"ohm", UnitWord::ohm},           {"ohms", UnitWord::ohm},
    {"kohm", UnitWord::kiloohm},      {"kohms", UnitWord::kiloohm},
    {"kiloohm", UnitWord::kiloohm},   {"kiloohms", UnitWord::kiloohm},
    {"mohm", UnitWord::milliohm},     {"mohms", UnitWord::milliohm},
    {"milliohm", UnitWord::milliohm}, {"milliohms", UnitWord::milliohm},
    {"pa", UnitWord::pascal},         {"pascal", UnitWord::pascal},
    {"mpa", UnitWord::millipascal},   {"v", UnitWord::volt},
    {"volt", UnitWord::volt},         {"volts", UnitWord::volt},
    {"mv", UnitWord::millivolt},      {"linear", UnitWord::linear},
    {"lin", UnitWord::linear},        {"deg", UnitWord::degree},
    {"degree", UnitWord::degree},     {"degrees", UnitWord::degree},
    {"grad", UnitWord::degree},       {"rad", UnitWord::radian},
    {"radian", UnitWord::radian},     {"radians", UnitWord::radian},
    {"bogenmass", UnitWord::radian},  {"%", UnitWord::other},
    {"percent", UnitWord::other},     {"ms", UnitWord::other},
    {"s", UnitWord::other},           {"us", UnitWord::other},
    {"dec", UnitWord::logHertz},
};

enum class Subject {
    none,
    index,
    coherence,
    noise,
    distortion,
    delay,
    other,
    phase,
    imaginary,
    real,
    reactance,
    resistance,
    frequency,
    angular,
    impedance,
    pressure,
    voltage,
    ratio,
    level,
    size
};

/// How a word is recognised: whole, by its beginning, or only where it stands first.
enum class Match { whole, begins, first };

struct NameWord {
    std::string_view word;
    Match match;
    Subject subject;
};

/// In order of precedence: what stands first in the list decides.
constexpr NameWord nameWords[] = {
    {"coh", Match::begins, Subject::coherence},
    {"kohaer", Match::begins, Subject::coherence},
    {"kohar", Match::begins, Subject::coherence},
    {"gamma", Match::begins, Subject::coherence},
    {"noise", Match::begins, Subject::noise},
    {"rausch", Match::begins, Subject::noise},
    {"snr", Match::begins, Subject::other},
    {"std", Match::begins, Subject::other},
    {"sigma", Match::whole, Subject::other},
    {"uncertainty", Match::begins, Subject::other},
    {"smoothing", Match::begins, Subject::other},
    {"target", Match::begins, Subject::other},
    {"excess", Match::begins, Subject::other},
    {"minimum", Match::whole, Subject::other},
    {"thd", Match::begins, Subject::distortion},
    {"distort", Match::begins, Subject::distortion},
    {"klirr", Match::begins, Subject::distortion},
    {"harmonic", Match::begins, Subject::distortion},
    {"groupdelay", Match::begins, Subject::delay},
    {"delay", Match::begins, Subject::delay},
    {"gd", Match::whole, Subject::delay},
    {"laufzeit", Match::begins, Subject::delay},
    {"gruppenlaufzeit", Match::begins, Subject::delay},
    {"tau", Match::whole, Subject::delay},
    {"time", Match::first, Subject::other},
    {"zeit", Match::first, Subject::other},
    {"phas", Match::begins, Subject::phase},
    {"zphas", Match::begins, Subject::phase},
    {"phi", Match::whole, Subject::phase},
    {"ph", Match::whole, Subject::phase},
    {"arg", Match::whole, Subject::phase},
    {"angle", Match::begins, Subject::phase},
    {"winkel", Match::begins, Subject::phase},
    {"imag", Match::begins, Subject::imaginary},
    {"im", Match::whole, Subject::imaginary},
    {"reactance", Match::begins, Subject::reactance},
    {"reaktanz", Match::begins, Subject::reactance},
    {"blindwiderstand", Match::begins, Subject::reactance},
    {"x", Match::first, Subject::reactance},
    {"xs", Match::first, Subject::reactance},
    {"real", Match::begins, Subject::real},
    {"re", Match::whole, Subject::real},
    {"resistance", Match::begins, Subject::resistance},
    {"resistanz", Match::begins, Subject::resistance},
    {"wirkwiderstand", Match::begins, Subject::resistance},
    {"r", Match::first, Subject::resistance},
    {"rs", Match::first, Subject::resistance},
    {"omega", Match::whole, Subject::angular},
    {"angular", Match::first, Subject::angular},
    {"kreisfrequenz", Match::begins, Subject::angular},
    {"w", Match::first, Subject::angular},
    {"imped", Match::begins, Subject::impedance},
    {"scheinwiderstand", Match::begins, Subject::impedance},
    {"zmod", Match::begins, Subject::impedance},
    {"zmag", Match::begins, Subject::impedance},
    {"z", Match::first, Subject::impedance},
    {"spl", Match::whole, Subject::level},
    {"level", Match::begins, Subject::level},
    {"pegel", Match::begins, Subject::level},
    {"schalldruckpegel", Match::begins, Subject::level},
    {"pressure", Match::begins, Subject::pressure},
    {"schalldruck", Match::begins, Subject::pressure},
    {"p", Match::first, Subject::pressure},
    {"pmod", Match::whole, Subject::pressure},
    {"response", Match::begins, Subject::size},
    {"frequenzgang", Match::begins, Subject::size},
    {"amplitudengang", Match::begins, Subject::size},
    {"freq", Match::begins, Subject::frequency},
    {"frequenz", Match::begins, Subject::frequency},
    {"f", Match::first, Subject::frequency},
    {"voltage", Match::begins, Subject::voltage},
    {"spannung", Match::begins, Subject::voltage},
    {"u", Match::first, Subject::voltage},
    {"ratio", Match::begins, Subject::ratio},
    {"hmod", Match::whole, Subject::ratio},
    {"transfer", Match::begins, Subject::ratio},
    {"magn", Match::begins, Subject::size},
    {"mag", Match::whole, Subject::size},
    {"ampl", Match::begins, Subject::size},
    {"betrag", Match::begins, Subject::size},
    {"modulus", Match::whole, Subject::size},
    {"gain", Match::whole, Subject::size},
    {"index", Match::begins, Subject::index},
    {"idx", Match::first, Subject::index},
    {"no", Match::first, Subject::index},
    {"nr", Match::first, Subject::index},
    {"n", Match::first, Subject::index},
    {"i", Match::first, Subject::index},
    {"point", Match::begins, Subject::index},
    {"bin", Match::first, Subject::index},
    {"row", Match::first, Subject::index},
    {"sample", Match::first, Subject::index},
};

bool fits(const NameWord& name, const std::vector<Token>& tokens, std::size_t at) {
    const std::string& word = tokens[at].word;
    switch (name.match) {
    case Match::whole:
        return word == name.word;
    case Match::begins:
        return word.starts_with(name.word);
    case Match::first:
        return at == 0 && word == name.word;
    }
    return false;
}

Subject subjectIn(const std::vector<Token>& tokens) {
    for (const NameWord& name : nameWords) {
        for (std::size_t at = 0; at < tokens.size(); ++at) {
            if (fits(name, tokens, at)) {
                return name.subject;
            }
        }
    }
    return Subject::none;
}

bool anyName(const std::vector<Token>& tokens, std::size_t at) {
    return std::ranges::any_of(nameWords,
                               [&](const NameWord& name) { return fits(name, tokens, at); });
}

std::vector<Meaning> ofUnit(UnitWord unit) {
    switch (unit) {
    case UnitWord::hertz:
        return {hertz};
    case UnitWord::kilohertz:
        return {kilohertz};
    case UnitWord::angular:
        return {angular};
    case UnitWord::logHertz:
        return {logHertz};
    case UnitWord::decibel:
        return {decibel};
    case UnitWord::decibelOhm:
        return {decibelOhm};
    case UnitWord::ohm:
        return {ohm, realOhm, imaginaryOhm};
    case UnitWord::kiloohm:
        return {kiloohm, realKiloohm, imaginaryKiloohm};
    case UnitWord::milliohm:
        return {milliohm, realMilliohm, imaginaryMilliohm};
    case UnitWord::pascal:
        return {pascal, realPascal, imaginaryPascal};
    case UnitWord::millipascal:
        return {millipascal, realMillipascal, imaginaryMillipascal};
    case UnitWord::volt:
        return {volt, realRatio, imaginaryRatio};
    case UnitWord::millivolt:
        return {millivolt, realRatio, imaginaryRatio};
    case UnitWord::linear:
        return {ratio, realRatio, imaginaryRatio};
    case UnitWord::degree:
        return {degrees};
    case UnitWord::radian:
        return {radians};
    default:
        return {};
    }
}

std::vector<Meaning> ofSubject(Subject subject) {
    switch (subject) {
    case Subject::index:
        return {index};
    case Subject::coherence:
        return {coherence};
    case Subject::noise:
        return {noise};
    case Subject::distortion:
        return {distortion};
    case Subject::delay:
        return {delay};
    case Subject::other:
        return {unused};
    case Subject::phase:
        return {degrees, radians};
    case Subject::imaginary:
        return {imaginaryOhm,
                imaginaryPascal,
                imaginaryRatio,
                imaginaryKiloohm,
                imaginaryMilliohm,
                imaginaryMillipascal};
    case Subject::real:
        return {realOhm, realPascal, realRatio, realKiloohm, realMilliohm, realMillipascal};
    case Subject::reactance:
        return {imaginaryOhm, imaginaryKiloohm, imaginaryMilliohm};
    case Subject::resistance:
        return {realOhm, realKiloohm, realMilliohm};
    case Subject::frequency:
        return {hertz, kilohertz, angular, logHertz};
    case Subject::angular:
        return {angular};
    case Subject::impedance:
        return {ohm, kiloohm, milliohm, decibelOhm};
    case Subject::pressure:
        return {pascal, millipascal, decibel};
    case Subject::voltage:
        return {volt, millivolt};
    case Subject::ratio:
        return {ratio, decibel};
    case Subject::level:
        return {decibel};
    case Subject::size:
        return {decibel, ohm, kiloohm, milliohm, pascal, millipascal, ratio};
    case Subject::none:
        return {};
    }
    return {};
}

/// Meanings that name and unit allow together. Where they contradict each other the name decides
/// what it is and the unit of what: "Impedance dB" are decibels of ohms, "R Hz" is nothing.
std::vector<Meaning> together(Subject subject, UnitWord unit) {
    const std::vector<Meaning> named = ofSubject(subject);
    const std::vector<Meaning> measured = ofUnit(unit);
    if (named.empty() || measured.empty()) {
        return named.empty() ? measured : named;
    }
    if (infoOf(named.front()).role == ColumnRole::unused) {
        return named;
    }
    std::vector<Meaning> both;
    std::ranges::copy_if(named, std::back_inserter(both), [&](Meaning m) {
        return std::ranges::find(measured, m) != measured.end();
    });
    if (both.empty() && subject == Subject::impedance && unit == UnitWord::decibel) {
        return {decibelOhm};
    }
    if (both.empty() && subject == Subject::angular) {
        return measured; // "omega (Hz)" is what people write for f
    }
    if (both.empty() && infoOf(measured.front()).role == ColumnRole::value) {
        const auto role = infoOf(named.front()).role;
        if (role == ColumnRole::value) {
            return {measured.front()};
        }
    }
    return both.empty() ? measured : both;
}

std::string labelOf(const std::string& name) {
    // Words as they stand, without those that were understood.
    std::string label;
    std::string word;
    const auto end = [&] {
        if (!word.empty()) {
            const std::vector<Token> tokens = tokensOf(spelled(word));
            const bool known =
                !tokens.empty() && std::ranges::all_of(tokens, [&](const Token& token) {
                    const std::size_t at = static_cast<std::size_t>(&token - tokens.data());
                    return anyName(tokens, at) ||
                           std::ranges::find(unitWords,
                                             token.word,
                                             &std::pair<std::string_view, UnitWord>::first) !=
                               std::end(unitWords);
                });
            if (!known) {
                label += (label.empty() ? "" : " ") + word;
            }
        }
        word.clear();
    };
    for (const char c : name) {
        if (std::string_view(" \t()[]{},;:/_").find(c) != std::string_view::npos) {
            end();
        } else {
            word += c;
        }
    }
    end();
    return label;
}

} // namespace

Heading readHeading(const std::string& name) {
    Heading heading;
    const std::string text = spelled(name);
    std::vector<Token> tokens = tokensOf(text);
    std::erase_if(tokens, [](const Token& token) { return token.behindNumber; });
    UnitWord unit = UnitWord::none;
    std::vector<Token> names;
    for (std::size_t at = 0; at < tokens.size(); ++at) {
        const auto* found = std::ranges::find(
            unitWords, tokens[at].word, &std::pair<std::string_view, UnitWord>::first);
        if (found == std::end(unitWords)) {
            names.push_back(tokens[at]);
        } else if (unit == UnitWord::none || unit == UnitWord::other) {
            unit = found->second;
        }
    }
    Subject subject = name == "#" ? Subject::index : subjectIn(names);
    const bool log = std::ranges::any_of(tokens, [](const Token& token) {
        return token.word == "log" || token.word == "lg" || token.word == "logf";
    });
    std::erase_if(names, [](const Token& t) { return t.word == "log" || t.word == "lg"; });
    if (log && subject == Subject::none) {
        subject = subjectIn(names);
    }
    if (log && (subject == Subject::frequency ||
                (subject == Subject::none && (unit == UnitWord::hertz || names.empty())))) {
        heading.allowed = {logHertz};
        heading.named = subject == Subject::frequency;
        heading.unit = true;
        return heading;
    }
    heading.allowed = together(subject, unit);
    heading.named = subject != Subject::none;
    heading.unit = unit != UnitWord::none && unit != UnitWord::other;
    heading.label = labelOf(name);
    return heading;
}

std::optional<ColumnOf> subjectOf(const std::vector<std::string>& lines) {
    bool ohms = false;
    bool level = false;
    for (const std::string& line : lines) {
        std::vector<Token> tokens = tokensOf(spelled(line));
        std::erase_if(tokens, [](const Token& token) { return token.behindNumber; });
        for (const Token& token : tokens) {
            ohms = ohms || token.word.starts_with("imped") || token.word == "ohm" ||
                   token.word == "ohms" || token.word == "zmod";
            level = level || token.word == "spl" || token.word.starts_with("db") ||
                    token.word.starts_with("pegel") || token.word == "response" ||
                    token.word.starts_with("schalldruck") || token.word == "frequenzgang" ||
                    token.word == "microphone";
        }
    }
    if (ohms == level) {
        return std::nullopt;
    }
    return ohms ? ColumnOf::impedance : ColumnOf::pressure;
}

} // namespace yf::measure
