// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/network/parts/part.h"

#include "core/quantity/quantities.h"
#include "core/text/fields.h"
#include "core/text/given.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>

namespace yf::network {

namespace {

namespace q = yf::quantity;

/// How a part looks as an object; the value stands under the key of its kind.
struct PartObject {
    std::string id;
    PartKind kind{};
    std::optional<double> ohm;
    std::optional<double> henry;
    std::optional<double> farad;
    std::optional<double> printedOhm;
    std::optional<double> printedHenry;
    std::optional<double> printedFarad;
    Part losses;

    static void fields(auto& self, auto&& field) {
        field(self.id, q::Word{"id", "letter of the kind and a number"});
        field(self.kind, q::Choice<3>{"kind", {"R", "L", "C"}, "resistor, coil or capacitor"});
        field(self.ohm, q::resistance.as("value_ohm", "resistance"));
        field(self.henry, q::inductance.as("value_h", "inductance"));
        field(self.farad, q::capacitance.as("value_f", "capacitance"));
        field(self.printedOhm, q::resistance.as("printed_ohm", "resistance as marked"));
        field(self.printedHenry, q::inductance.as("printed_h", "inductance as marked"));
        field(self.printedFarad, q::capacitance.as("printed_f", "capacitance as marked"));
        field(self.losses.dcr, q::dcr.orElse(0.0));
        field(self.losses.rp, q::rp);
        field(self.losses.esr, q::esr.orElse(0.0));
        field(self.losses.df, q::df.orElse(0.0));
        field(self.losses.dfFrequency, q::dfFrequency.orElse(1000.0));
        field(self.losses.leak, q::leak);
        field(self.losses.tolerance, q::tolerance);
        field(self.losses.price, q::price);
        field(self.losses.fixed, q::Flag{"fixed", "the tuner leaves it alone", false});
    }
};

std::optional<PartKind> kindOfLetter(char c) {
    switch (c) {
    case 'R':
        return PartKind::resistor;
    case 'L':
        return PartKind::coil;
    case 'C':
        return PartKind::capacitor;
    default:
        return std::nullopt;
    }
}

text::Unit unitOf(PartKind kind) {
    static constexpr text::Unit units[] = {text::Unit::ohm, text::Unit::henry, text::Unit::farad};
    return units[static_cast<std::size_t>(kind)];
}

const q::Quantity& quantityOf(PartKind kind) {
    static constexpr const q::Quantity* quantities[] = {
        &q::resistance, &q::inductance, &q::capacitance};
    return *quantities[static_cast<std::size_t>(kind)];
}

std::vector<std::string> words(const std::string& text) {
    std::vector<std::string> result;
    std::size_t at = 0;
    while ((at = text.find_first_not_of(" \t", at)) != std::string::npos) {
        const std::size_t end = text.find_first_of(" \t", at);
        result.push_back(text.substr(at, end - at));
        at = end;
    }
    return result;
}

/// Numbers of the notation take a point only: a comma may separate in the files around it.
Result<double> notationNumber(const std::string& word, text::Unit unit, const std::string& path) {
    if (word.find(',') != std::string::npos) {
        return Error{path, text::givenWord(word), "must be a number with a decimal point"};
    }
    auto value = text::parseQuantity(word, unit);
    if (!value) {
        return Error{path, text::givenWord(word), value.error().allowed};
    }
    return *value;
}

Done inside(double value, const q::Quantity& quantity, const std::string& path) {
    const double key = value / quantity.unit;
    if (key >= quantity.lowest && key <= quantity.highest) {
        return done();
    }
    return Error{
        path,
        text::given(text::printNumber(key)),
        say(YF_WORDS("core", "must be %1"), text::rangeText(quantity.lowest, quantity.highest))};
}

struct LossKey {
    std::string_view word;
    const q::Quantity* quantity;
    PartKind kind; ///< the kind that has it
    bool anyKind;
};

constexpr std::string_view printedWord = "printed";

constexpr LossKey lossKeys[] = {{printedWord, nullptr, PartKind::resistor, true},
                                {"dcr", &q::dcr, PartKind::coil, false},
                                {"rp", &q::rp, PartKind::coil, false},
                                {"esr", &q::esr, PartKind::capacitor, false},
                                {"df", &q::df, PartKind::capacitor, false},
                                {"df_hz", &q::dfFrequency, PartKind::capacitor, false},
                                {"leak", &q::leak, PartKind::capacitor, false},
                                {"tol", &q::tolerance, PartKind::resistor, true},
                                {"price", &q::price, PartKind::resistor, true},
                                {"fixed", nullptr, PartKind::resistor, true}};

void put(Part& part, std::string_view key, double value) {
    if (key == "dcr") {
        part.dcr = value;
    } else if (key == "rp") {
        part.rp = value;
    } else if (key == "esr") {
        part.esr = value;
    } else if (key == "df") {
        part.df = value;
    } else if (key == "df_hz") {
        part.dfFrequency = value;
    } else if (key == "leak") {
        part.leak = value;
    } else if (key == "tol") {
        part.tolerance = value;
    } else if (key == "price") {
        part.price = value;
    }
}

Done readLossWord(Part& part, const std::string& word, const std::string& path) {
    const std::size_t equals = word.find('=');
    const std::string key = word.substr(0, equals);
    const auto* known = std::ranges::find(lossKeys, key, &LossKey::word);
    const bool fits = known != std::end(lossKeys) && (known->anyKind || known->kind == part.kind);
    if (equals == std::string::npos || !fits) {
        std::vector<std::string> names;
        for (const LossKey& k : lossKeys) {
            if (k.anyKind || k.kind == part.kind) {
                names.emplace_back(k.word);
            }
        }
        return Error{path,
                     text::givenWord(word),
                     say(YF_WORDS("core", "must be key=value; the nearest known key is %1"),
                         text::nearest(key, names))};
    }
    const std::string number = word.substr(equals + 1);
    if (key == printedWord) {
        YF_TRY(printed, notationNumber(number, unitOf(part.kind), path));
        YF_TRY(checked, inside(printed, quantityOf(part.kind), path));
        static_cast<void>(checked);
        part.printed = printed;
        return done();
    }
    if (known->quantity == nullptr) {
        if (number != "0" && number != "1") {
            return Error{path, text::givenWord(word), "fixed must be 0 or 1"};
        }
        part.fixed = number == "1";
        return done();
    }
    // Losses are ohms and may say so; the others are plain numbers.
    const text::Unit unit = known->quantity->display == "Ω"    ? text::Unit::ohm
                            : known->quantity->display == "Hz" ? text::Unit::hertz
                                                               : text::Unit::none;
    YF_TRY(value, notationNumber(number, unit, path));
    const double si = unit == text::Unit::none ? value * known->quantity->unit : value;
    YF_TRY(checked, inside(si, *known->quantity, path));
    static_cast<void>(checked);
    put(part, key, si);
    return done();
}

Result<Part> readPartText(const std::string& text, const std::string& path) {
    const std::vector<std::string> parts = words(text);
    if (parts.size() < 2) {
        return Error{path,
                     text::givenWord(text),
                     "must be ID VALUE [key=value …], such as \"C1 12uF esr=0.05\""};
    }
    Part part;
    part.id = parts[0];
    const auto kind = kindOfLetter(part.id.front());
    if (!kind) {
        return Error{
            path, text::givenWord(part.id), "the first letter of a part's ID must be R, L or C"};
    }
    part.kind = *kind;
    std::size_t next = 2;
    std::string value = parts[1];
    // "C1 12 uF": the unit may stand apart.
    if (parts.size() > 2 && parts[2].find('=') == std::string::npos) {
        value += parts[2];
        next = 3;
    }
    YF_TRY(number, notationNumber(value, unitOf(part.kind), path));
    part.value = number;
    YF_TRY(checked, inside(part.value, quantityOf(part.kind), path));
    static_cast<void>(checked);
    for (; next < parts.size(); ++next) {
        YF_TRY(loss, readLossWord(part, parts[next], path));
        static_cast<void>(loss);
    }
    return part;
}

Result<Part> readPartObject(const text::Value& value, const std::string& path) {
    YF_TRY(object, text::read<PartObject>(value, path));
    Part part = object.losses;
    part.id = object.id;
    part.kind = object.kind;
    if (part.id.empty() || kindOfLetter(part.id.front()) != part.kind) {
        return Error{text::join(path, "id"),
                     text::givenWord(part.id),
                     "the first letter must be the part's kind"};
    }
    const std::optional<double>* values[] = {&object.ohm, &object.henry, &object.farad};
    static constexpr std::string_view keys[] = {"value_ohm", "value_h", "value_f"};
    for (std::size_t i = 0; i < 3; ++i) {
        const bool wanted = i == static_cast<std::size_t>(part.kind);
        if (values[i]->has_value() != wanted) {
            return Error{text::join(path, keys[i]),
                         wanted ? "missing" : "given",
                         wanted ? "must be given for this kind" : "does not fit the kind"};
        }
    }
    part.value = values[static_cast<std::size_t>(part.kind)]->value();
    const std::optional<double>* printed[] = {
        &object.printedOhm, &object.printedHenry, &object.printedFarad};
    part.printed = *printed[static_cast<std::size_t>(part.kind)];
    return part;
}

std::string partText(const Part& part) {
    static constexpr std::string_view units[] = {"Ω", "H", "F"};
    std::string text = part.id + " " + text::printNumber(part.value) +
                       std::string(units[static_cast<std::size_t>(part.kind)]);
    const auto add = [&](std::string_view key, double value) {
        text += " " + std::string(key) + "=" + text::printNumber(value);
    };
    if (part.printed) {
        add(printedWord, *part.printed);
    }
    if (part.dcr != 0.0) {
        add("dcr", part.dcr);
    }
    if (part.rp) {
        add("rp", *part.rp);
    }
    if (part.esr != 0.0) {
        add("esr", part.esr);
    }
    if (part.df != 0.0) {
        add("df", part.df);
    }
    if (part.dfFrequency != 1000.0) {
        add("df_hz", part.dfFrequency);
    }
    if (part.leak) {
        add("leak", *part.leak);
    }
    if (part.tolerance) {
        add("tol", *part.tolerance / q::tolerance.unit);
    }
    if (part.price) {
        add("price", *part.price);
    }
    return text + (part.fixed ? " fixed=1" : "");
}

} // namespace

char letter(PartKind kind) {
    return "RLC"[static_cast<std::size_t>(kind)];
}

double lossResistance(const Part& part) {
    switch (part.kind) {
    case PartKind::resistor:
        return 0.0;
    case PartKind::coil:
        return part.dcr;
    case PartKind::capacitor:
        return part.esr + part.df / (2.0 * std::numbers::pi * part.dfFrequency * part.value);
    }
    return 0.0;
}

bool Composite::operator==(const Composite& other) const = default;

void forEachPart(const OnePort& port, const std::function<void(const Part&)>& visit) {
    if (const Part* part = port.part()) {
        visit(*part);
        return;
    }
    for (const OnePort& inner : port.composite()->ports) {
        forEachPart(inner, visit);
    }
}

Result<Part> readPart(const text::Value& value, const std::string& path) {
    if (const std::string* text = value.word()) {
        return readPartText(*text, path);
    }
    if (value.object() != nullptr) {
        return readPartObject(value, path);
    }
    return text::wrongKind(path, value, "a part: text such as \"C1 12uF\" or an object");
}

text::Value writePart(const Part& part) {
    const std::string text = partText(part);
    const auto back = readPartText(text, "part");
    if (back && *back == part) {
        return text;
    }
    PartObject object{.id = part.id, .kind = part.kind, .losses = part};
    std::optional<double>* values[] = {&object.ohm, &object.henry, &object.farad};
    *values[static_cast<std::size_t>(part.kind)] = part.value;
    std::optional<double>* printed[] = {
        &object.printedOhm, &object.printedHenry, &object.printedFarad};
    *printed[static_cast<std::size_t>(part.kind)] = part.printed;
    return text::write(object);
}

Result<OnePort> readOnePort(const text::Value& value, const std::string& path) {
    const auto* object = value.object();
    const text::Value* list = value.list() != nullptr ? &value : nullptr;
    Joining joining = Joining::series;
    std::string listPath = path;
    if (object != nullptr && object->size() == 1 &&
        (object->front().key == "series" || object->front().key == "parallel")) {
        joining = object->front().key == "series" ? Joining::series : Joining::parallel;
        list = &object->front().value;
        listPath = text::join(path, object->front().key);
        if (list->list() == nullptr) {
            return text::wrongKind(listPath, *list, "a list of parts");
        }
    }
    if (list == nullptr) {
        YF_TRY(part, readPart(value, path));
        return OnePort{std::move(part)};
    }
    if (list->list()->empty()) {
        return Error{listPath, "an empty list given", "must hold at least one part"};
    }
    Composite composite{.joining = joining, .ports = {}};
    for (std::size_t i = 0; i < list->list()->size(); ++i) {
        YF_TRY(inner, readOnePort((*list->list())[i], text::join(listPath, i)));
        composite.ports.push_back(std::move(inner));
    }
    return OnePort{std::move(composite)};
}

text::Value writeOnePort(const OnePort& port) {
    if (const Part* part = port.part()) {
        return writePart(*part);
    }
    text::Value::List list;
    for (const OnePort& inner : port.composite()->ports) {
        list.push_back(writeOnePort(inner));
    }
    if (port.composite()->joining == Joining::series) {
        return list;
    }
    return text::Value::Object{{"parallel", list}};
}

Part withValue(const Part& old, double value) {
    Part part = old;
    if (value == old.value) {
        return part;
    }
    part.value = value;
    part.printed.reset(); // another part than the one in hand
    part.dcr = old.dcr * std::pow(value / old.value, coilExponent);
    part.esr = old.esr * old.value / value;
    part.price.reset();
    return part;
}

double customaryUnit(PartKind kind) {
    static constexpr double units[] = {1.0, 1e-3, 1e-6};
    return units[static_cast<std::size_t>(kind)];
}

Result<Part> typedPart(const Part& old, const std::string& text) {
    std::vector<std::string> typed = words(text);
    const auto firstKey = std::ranges::find_if(
        typed, [](const std::string& w) { return w.find('=') != std::string::npos; });
    std::string head;
    for (auto word = typed.begin(); word != firstKey; ++word) {
        head += (head.empty() ? "" : " ") + *word;
    }
    Part part = old;
    if (!head.empty() || firstKey == typed.end()) {
        auto value = text::parseQuantity(head, unitOf(old.kind), customaryUnit(old.kind));
        if (!value) {
            return Error{old.id, value.error().given, value.error().allowed};
        }
        if (!(*value > 0.0)) {
            return Error{
                old.id,
                text::givenWord(head),
                YF_WORDS("core",
                         "a part's value must be above zero; to be without it, take it out")};
        }
        YF_TRY(checked, inside(*value, quantityOf(old.kind), old.id));
        static_cast<void>(checked);
        part = withValue(old, *value);
    }
    for (auto word = firstKey; word != typed.end(); ++word) {
        // By hand a decimal comma is as good as a point; in files it is not.
        if (word->find('.') == std::string::npos) {
            std::ranges::replace(*word, ',', '.');
        }
        YF_TRY(loss, readLossWord(part, *word, old.id));
        static_cast<void>(loss);
    }
    return part;
}

ValueRange acceptedValues(PartKind kind) {
    const q::Quantity& quantity = quantityOf(kind);
    return {quantity.lowest, quantity.highest};
}

ValueRange usualValues(PartKind kind) {
    static constexpr ValueRange usual[] = {{0.1, 200.0}, {10e-6, 20e-3}, {0.1e-6, 500e-6}};
    return usual[static_cast<std::size_t>(kind)];
}

} // namespace yf::network
