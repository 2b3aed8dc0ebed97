// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/network/parts/stock.h"

#include "core/text/given.h"
#include "core/text/number.h"

#include <algorithm>
#include <cmath>
#include <map>
#include <sstream>

namespace yf::network {

namespace {

/// Values of parts that came from text are the same double; a part in hand within this is the same.
constexpr double alike = 1e-6;

bool sameValue(double a, double b) {
    return std::abs(a / b - 1.0) < alike;
}

Error notOwned(const std::string& given) {
    return {
        "part",
        given.empty() ? YF_WORDS("core", "nothing is written") : text::givenWord(given),
        YF_WORDS("core",
                 "must be a value with its unit, and how many: 6.8 uF, 2 x 0.35 mH, 3.3 ohm x4")};
}

/// "x4", "4x", "×4": how many.
std::optional<int> countOf(std::string word) {
    for (auto at = word.find("×"); at != std::string::npos; at = word.find("×")) {
        word.replace(at, std::string_view("×").size(), "x");
    }
    if (word.size() < 2 || (word.front() != 'x' && word.back() != 'x')) {
        return std::nullopt;
    }
    const auto number =
        text::parseNumber(word.front() == 'x' ? word.substr(1) : word.substr(0, word.size() - 1));
    constexpr double most = 1000.0;
    const bool whole =
        number && *number == std::floor(*number) && *number >= 1.0 && *number <= most;
    return whole ? std::optional(static_cast<int>(*number)) : std::nullopt;
}

std::optional<PartKind> kindOf(const std::string& value) {
    const auto has = [&](std::string_view what) { return value.find(what) != std::string::npos; };
    if (has("F")) {
        return PartKind::capacitor;
    }
    if (has("H")) {
        return PartKind::coil;
    }
    if (has("Ω") || has("ohm") || has("R")) {
        return PartKind::resistor;
    }
    return std::nullopt;
}

Part taken(const Part& place, const Part& owned) {
    Part part = owned;
    part.id = place.id;
    part.fixed = place.fixed;
    return part;
}

double away(double a, double b) {
    return std::abs(std::log(a / b));
}

/// Nearest values of a series, nearest first.
std::vector<double> ofSeries(double value, ESeries series, std::size_t count) {
    const double middle = nearestValue(value, series);
    std::vector<double> values{middle};
    for (int i = 1; values.size() < 2 * count; ++i) {
        values.push_back(stepValue(middle, series, i));
        values.push_back(stepValue(middle, series, -i));
    }
    std::ranges::stable_sort(values, {}, [value](double v) { return away(v, value); });
    values.resize(count);
    return values;
}

} // namespace

Result<OwnedPart> OwnedPart::read(const text::Value& value, const std::string& path) {
    const text::Value* part = value.find("part");
    if (part == nullptr) {
        return Error{text::join(path, "part"),
                     "missing",
                     YF_WORDS("core", "must be a part, as in \"C 6.8uF\"")};
    }
    YF_TRY(made, readPart(*part, text::join(path, "part")));
    OwnedPart owned{.part = std::move(made)};
    owned.part.id = std::string(1, letter(owned.part.kind));
    if (const text::Value* count = value.find("count")) {
        constexpr double most = 1000.0;
        const double* number = count->number();
        if (number == nullptr || !(*number >= 1.0 && *number <= most) ||
            *number != std::floor(*number)) {
            return Error{text::join(path, "count"),
                         number == nullptr ? YF_WORDS("core", "no number")
                                           : text::given(text::printNumber(*number)),
                         YF_WORDS("core", "must be a whole number, 1 to 1000")};
        }
        owned.count = static_cast<int>(*number);
    }
    return owned;
}

text::Value OwnedPart::write() const {
    return text::Value::Object{{"part", writePart(part)}, {"count", count}};
}

Result<OwnedPart> typedOwned(const std::string& text) {
    std::istringstream in(text);
    std::vector<std::string> typed;
    for (std::string word; in >> word;) {
        typed.push_back(word);
    }
    int count = 1;
    // "2 x 6.8 uF": the sign stands alone.
    if (typed.size() > 2 && (typed[1] == "x" || typed[1] == "×")) {
        typed[0] += "x";
        typed.erase(typed.begin() + 1);
    }
    std::string rest;
    std::optional<PartKind> kind;
    for (const std::string& word : typed) {
        if (const auto many = countOf(word)) {
            count = *many;
        } else if (rest.empty() && (word == "R" || word == "L" || word == "C")) {
            kind = word == "R"   ? PartKind::resistor
                   : word == "L" ? PartKind::coil
                                 : PartKind::capacitor;
        } else {
            rest += (rest.empty() ? "" : " ") + word;
        }
    }
    const std::string head = rest.substr(0, rest.find('='));
    kind = kind ? kind
                : kindOf(head.substr(0,
                                     head.rfind(' ') == std::string::npos ||
                                             rest.find('=') == std::string::npos
                                         ? head.size()
                                         : head.rfind(' ')));
    if (rest.empty() || !kind) {
        return notOwned(text);
    }
    Part old;
    old.kind = *kind;
    old.id = std::string(1, letter(*kind));
    old.value = 1.0;
    auto part = typedPart(old, rest);
    if (!part) {
        return Error{"part", part.error().given, part.error().allowed};
    }
    return OwnedPart{.part = *part, .count = count};
}

std::string words(const OwnedPart& owned) {
    static constexpr std::string_view units[] = {"Ω", "H", "F"};
    return std::to_string(owned.count) + " × " +
           text::printEngineering(
               owned.part.value, units[static_cast<std::size_t>(owned.part.kind)], 4);
}

Stock withOwned(Stock stock, const OwnedPart& more) {
    const auto same = std::ranges::find(stock, more.part, &OwnedPart::part);
    if (same != stock.end()) {
        same->count += more.count;
        return stock;
    }
    stock.push_back(more);
    std::ranges::stable_sort(stock, [](const OwnedPart& a, const OwnedPart& b) {
        return std::pair(a.part.kind, a.part.value) < std::pair(b.part.kind, b.part.value);
    });
    return stock;
}

std::optional<Part> stepOwned(const Stock& stock, const Part& from, int steps) {
    std::vector<const Part*> beyond;
    for (const OwnedPart& owned : stock) {
        const double v = owned.part.value;
        const bool on = steps > 0 ? v > from.value * (1.0 + alike) : v < from.value / (1.0 + alike);
        if (owned.part.kind == from.kind && on) {
            beyond.push_back(&owned.part);
        }
    }
    if (beyond.empty()) {
        return std::nullopt;
    }
    std::ranges::sort(beyond, {}, [&](const Part* p) { return away(p->value, from.value); });
    const auto index = static_cast<std::size_t>(std::abs(steps) - 1);
    return taken(from, *beyond[std::min(index, beyond.size() - 1)]);
}

std::vector<Part>
nearestParts(const EndValues& values, const Part& part, std::size_t count, bool alsoBought) {
    std::vector<Part> near;
    for (const OwnedPart& owned : values.stock) {
        if (owned.part.kind == part.kind && owned.count > 0) {
            near.push_back(taken(part, owned.part));
        }
    }
    const auto away_ = [&](const Part& p) { return away(p.value, part.value); };
    std::ranges::stable_sort(near, {}, away_);
    if (near.size() > count) {
        near.resize(count);
    }
    if (alsoBought || near.empty()) {
        const ESeries series = values.series.value_or(ESeries::E12);
        for (const double value : ofSeries(part.value, series, count)) {
            if (std::ranges::none_of(near,
                                     [&](const Part& p) { return sameValue(p.value, value); })) {
                near.push_back(withValue(part, value));
            }
        }
        std::ranges::stable_sort(near, {}, away_);
    }
    return near;
}

bool runsShort(const EndValues& values, PartKind kind, std::size_t wanted) {
    std::size_t owned = 0;
    for (const OwnedPart& o : values.stock) {
        owned += o.part.kind == kind ? static_cast<std::size_t>(o.count) : 0;
    }
    return owned < wanted;
}

bool hasAll(const EndValues& values, const std::vector<Part>& all) {
    for (const OwnedPart& owned : values.stock) {
        const auto used = std::ranges::count_if(all, [&](const Part& p) {
            return p.kind == owned.part.kind && sameValue(p.value, owned.part.value);
        });
        if (used <= owned.count) {
            continue;
        }
        // More of them than there are: only what is in the series can be bought.
        const ESeries series = values.series.value_or(ESeries::E12);
        const bool sold = sameValue(nearestValue(owned.part.value, series), owned.part.value) &&
                          runsShort(values,
                                    owned.part.kind,
                                    static_cast<std::size_t>(
                                        std::ranges::count(all, owned.part.kind, &Part::kind)));
        if (!sold) {
            return false;
        }
    }
    return true;
}

EndValues without(EndValues values, const Part& taken) {
    for (OwnedPart& owned : values.stock) {
        if (owned.part.kind == taken.kind && sameValue(owned.part.value, taken.value) &&
            owned.count > 0) {
            --owned.count;
            break;
        }
    }
    return values;
}

} // namespace yf::network
