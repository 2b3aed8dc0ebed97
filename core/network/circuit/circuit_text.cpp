// SPDX-License-Identifier: GPL-3.0-or-later
// How a circuit is read and written.
#include "core/network/circuit/circuit.h"
#include "core/quantity/quantities.h"
#include "core/text/fields.h"
#include "core/text/given.h"

#include <algorithm>
#include <cmath>
#include <set>

namespace yf::network {

namespace {

namespace q = yf::quantity;
using text::Value;

// How the pieces that are plain structs stand in JSON.

struct SourceKeys {
    Source source;

    static void fields(auto& self, auto&& field) {
        field(self.source.voltage, q::voltage.orElse(q::referenceVoltage));
        field(self.source.resistance, q::sourceResistance.orElse(0.0));
    }
};

struct TransformerKeys {
    TransformerSlot slot;

    static void fields(auto& self, auto&& field) {
        field(self.slot.ratio,
              q::Quantity{"n", "ratio", 1.0, "", 1e-3, 1e3, "secondary over primary turns"});
        field(self.slot.magnetizing, q::inductance.as("magnetizing_h", "coil across the primary"));
        field(self.slot.dcr, q::dcr.orElse(0.0));
    }
};

struct ControlKeys {
    ControlSlot slot;

    static void fields(auto& self, auto&& field) {
        field(self.slot.kind,
              q::Choice<3>{"kind", {"rheostat", "potentiometer", "l-pad"}, "how it is wired"});
        field(self.slot.total, q::resistance.as("total_ohm", "whole track").within(1e-3, 1e6));
        field(self.slot.position,
              q::Quantity{"x", "position", 1.0, "", 0.0, 1.0, "0 quiet, 1 loud"});
        field(self.slot.id, q::Word{"id", "name of the control", ""});
    }
};

Error unknownKey(const std::string& path, const std::string& key, std::vector<std::string> known) {
    return {text::join(path, key),
            "unknown key",
            say(YF_WORDS("core", "the nearest known key is %1"), text::nearest(key, known))};
}

std::optional<Error>
onlyKeys(const Value& value, const std::string& path, const std::vector<std::string>& known) {
    for (const text::Member& member : *value.object()) {
        if (std::ranges::find(known, member.key) == known.end()) {
            return unknownKey(path, member.key, known);
        }
    }
    return std::nullopt;
}

Result<Slot> readSlot(const Value& value, const std::string& path) {
    const auto* object = value.object();
    static const std::vector<std::string> kinds{"series", "shunt", "transformer", "control"};
    if (object == nullptr || object->size() != 1) {
        return text::wrongKind(
            path, value, "an object with one of series, shunt, transformer, control");
    }
    const auto& [key, content] = object->front();
    const std::string inner = text::join(path, key);
    if (key == "series") {
        YF_TRY(port, readOnePort(content, inner));
        return Slot{SeriesSlot{std::move(port)}};
    }
    if (key == "shunt") {
        YF_TRY(port, readOnePort(content, inner));
        return Slot{ShuntSlot{std::move(port)}};
    }
    if (key == "transformer") {
        YF_TRY(keys, text::read<TransformerKeys>(content, inner));
        return Slot{keys.slot};
    }
    if (key == "control") {
        YF_TRY(keys, text::read<ControlKeys>(content, inner));
        return Slot{keys.slot};
    }
    return unknownKey(path, key, kinds);
}

Result<int> readPolarity(const Value& value, const std::string& path) {
    const double* number = value.number();
    if (number == nullptr || std::abs(*number) != 1.0) {
        return Error{path,
                     number == nullptr ? text::given(text::kindOf(value))
                                       : text::given(text::printNumber(*number)),
                     "must be 1 or -1"};
    }
    return *number > 0.0 ? 1 : -1;
}

Result<Joining> readJoining(const Value& value, const std::string& path) {
    const std::string* word = value.word();
    if (word == nullptr || (*word != "parallel" && *word != "series")) {
        return Error{path,
                     word == nullptr ? text::given(text::kindOf(value)) : text::givenWord(*word),
                     "must be one of parallel, series"};
    }
    return *word == "parallel" ? Joining::parallel : Joining::series;
}

/// A number of alike units under a key; nothing where it is not given.
Result<std::optional<int>> readUnits(const Value& value, const char* key, const std::string& path) {
    const Value* given = value.find(key);
    if (given == nullptr) {
        return std::optional<int>{};
    }
    constexpr double most = 100.0;
    const double* number = given->number();
    const bool fits =
        number != nullptr && *number >= 1.0 && *number <= most && *number == std::floor(*number);
    if (!fits) {
        return Error{text::join(path, key),
                     number == nullptr ? text::given(text::kindOf(*given))
                                       : text::given(text::printNumber(*number)),
                     "must be a whole number, 1 to 100"};
    }
    return std::optional<int>(static_cast<int>(*number));
}

Result<DriverEnd> readDriverEnd(const Value& value, const std::string& path) {
    DriverEnd end;
    const Value* driver = value.find("driver");
    if (driver->word() == nullptr) {
        return text::wrongKind(text::join(path, "driver"), *driver, "a driver's name");
    }
    end.driver = *driver->word();
    if (const Value* polarity = value.find("polarity")) {
        YF_TRY(sign, readPolarity(*polarity, text::join(path, "polarity")));
        end.polarity = sign;
    }
    YF_TRY(count, readUnits(value, "count", path));
    YF_TRY(inSeries, readUnits(value, "in_series", path));
    YF_TRY(inParallel, readUnits(value, "in_parallel", path));
    auto wiring = Joining::parallel;
    if (const Value* given = value.find("wiring")) {
        YF_TRY(joining, readJoining(*given, text::join(path, "wiring")));
        wiring = joining;
    }
    if (count && (inSeries || inParallel)) {
        return Error{text::join(path, "count"),
                     "given beside in_series or in_parallel",
                     "must be one or the other"};
    }
    end.inSeries = inSeries.value_or(wiring == Joining::series ? count.value_or(1) : 1);
    end.inParallel = inParallel.value_or(wiring == Joining::parallel ? count.value_or(1) : 1);
    return end;
}

Result<Section> readSection(const Value& value,
                            const std::string& path,
                            const std::vector<std::string>& alsoKnown) {
    if (value.object() == nullptr) {
        return text::wrongKind(path, value, "an object");
    }
    std::vector<std::string> known{"name",
                                   "line",
                                   "ladder",
                                   "driver",
                                   "polarity",
                                   "count",
                                   "wiring",
                                   "in_series",
                                   "in_parallel",
                                   "ways",
                                   "join"};
    known.insert(known.end(), alsoKnown.begin(), alsoKnown.end());
    if (auto error = onlyKeys(value, path, known)) {
        return *error;
    }
    Section section;
    if (const Value* name = value.find("name")) {
        if (name->word() == nullptr) {
            return text::wrongKind(text::join(path, "name"), *name, "text");
        }
        section.name = *name->word();
    }
    if (const Value* line = value.find("line")) {
        YF_TRY(made, text::read<Line>(*line, text::join(path, "line")));
        section.line = std::move(made);
    }
    if (const Value* ladder = value.find("ladder")) {
        const std::string ladderPath = text::join(path, "ladder");
        if (ladder->list() == nullptr) {
            return text::wrongKind(ladderPath, *ladder, "a list of slots");
        }
        for (std::size_t i = 0; i < ladder->list()->size(); ++i) {
            YF_TRY(slot, readSlot((*ladder->list())[i], text::join(ladderPath, i)));
            section.ladder.push_back(std::move(slot));
        }
    }
    const Value* ways = value.find("ways");
    const bool hasDriver = value.find("driver") != nullptr;
    if ((ways != nullptr) == hasDriver) {
        return Error{text::join(path, hasDriver ? "ways" : "driver"),
                     hasDriver ? "given together with driver" : "missing, and ways too",
                     "a section ends in exactly one of driver and ways"};
    }
    if (hasDriver) {
        YF_TRY(end, readDriverEnd(value, path));
        section.end = std::move(end);
        return section;
    }
    const std::string waysPath = text::join(path, "ways");
    if (ways->list() == nullptr || ways->list()->empty()) {
        return text::wrongKind(waysPath, *ways, "a list of at least one section");
    }
    Ways inner;
    if (const Value* join = value.find("join")) {
        YF_TRY(joining, readJoining(*join, text::join(path, "join")));
        inner.join = joining;
    }
    for (std::size_t i = 0; i < ways->list()->size(); ++i) {
        YF_TRY(child, readSection((*ways->list())[i], text::join(waysPath, i), {}));
        inner.sections.push_back(std::move(child));
    }
    section.end = std::move(inner);
    return section;
}

Result<std::string> readNode(const Value& value, const std::string& path) {
    if (value.word() == nullptr || value.word()->empty()) {
        return text::wrongKind(path, value, "a node's name");
    }
    return *value.word();
}

Result<Net> readNet(const Value& value, const std::string& path) {
    if (value.object() == nullptr) {
        return text::wrongKind(path, value, "an object with parts and drivers");
    }
    if (auto error = onlyKeys(value, path, {"parts", "drivers"})) {
        return *error;
    }
    Net net;
    if (const Value* list = value.find("parts")) {
        const std::string listPath = text::join(path, "parts");
        if (list->list() == nullptr) {
            return text::wrongKind(listPath, *list, "a list");
        }
        for (std::size_t i = 0; i < list->list()->size(); ++i) {
            const Value& row = (*list->list())[i];
            const std::string rowPath = text::join(listPath, i);
            if (row.list() == nullptr || row.list()->size() != 3) {
                return text::wrongKind(rowPath, row, "a list of part, node and node");
            }
            YF_TRY(port, readOnePort((*row.list())[0], text::join(rowPath, 0)));
            YF_TRY(from, readNode((*row.list())[1], text::join(rowPath, 1)));
            YF_TRY(to, readNode((*row.list())[2], text::join(rowPath, 2)));
            net.parts.push_back({std::move(port), from, to});
        }
    }
    const Value* drivers = value.find("drivers");
    const std::string driversPath = text::join(path, "drivers");
    if (drivers == nullptr || drivers->list() == nullptr) {
        return Error{driversPath, "missing", "must be a list of [name, node, node, polarity]"};
    }
    for (std::size_t i = 0; i < drivers->list()->size(); ++i) {
        const Value& row = (*drivers->list())[i];
        const std::string rowPath = text::join(driversPath, i);
        const bool shaped =
            row.list() != nullptr && (row.list()->size() == 3 || row.list()->size() == 4);
        if (!shaped || (*row.list())[0].word() == nullptr) {
            return text::wrongKind(rowPath, row, "a list of name, node, node and polarity");
        }
        NetDriver driver;
        driver.end.driver = *(*row.list())[0].word();
        YF_TRY(from, readNode((*row.list())[1], text::join(rowPath, 1)));
        YF_TRY(to, readNode((*row.list())[2], text::join(rowPath, 2)));
        driver.from = from;
        driver.to = to;
        if (row.list()->size() == 4) {
            YF_TRY(sign, readPolarity((*row.list())[3], text::join(rowPath, 3)));
            driver.end.polarity = sign;
        }
        net.drivers.push_back(std::move(driver));
    }
    return net;
}

/// Where each part stands, for messages and numbering.
struct PlacedPart {
    Part* part{};
    std::string path;
};

void place(OnePort& port, const std::string& path, std::vector<PlacedPart>& placed) {
    if (Part* part = port.part()) {
        placed.push_back({part, path});
        return;
    }
    Composite& composite = *port.composite();
    const std::string inner =
        composite.joining == Joining::parallel ? text::join(path, "parallel") : path;
    for (std::size_t i = 0; i < composite.ports.size(); ++i) {
        place(composite.ports[i], text::join(inner, i), placed);
    }
}

void place(Section& section, const std::string& path, std::vector<PlacedPart>& placed) {
    for (std::size_t i = 0; i < section.ladder.size(); ++i) {
        const std::string slotPath = text::join(text::join(path, "ladder"), i);
        if (auto* series = std::get_if<SeriesSlot>(&section.ladder[i])) {
            place(series->port, text::join(slotPath, "series"), placed);
        } else if (auto* shunt = std::get_if<ShuntSlot>(&section.ladder[i])) {
            place(shunt->port, text::join(slotPath, "shunt"), placed);
        }
    }
    if (auto* ways = std::get_if<Ways>(&section.end)) {
        for (std::size_t i = 0; i < ways->sections.size(); ++i) {
            place(ways->sections[i], text::join(text::join(path, "ways"), i), placed);
        }
    }
}

std::vector<PlacedPart> placedParts(Circuit& circuit, const std::string& path) {
    std::vector<PlacedPart> placed;
    if (Section* tree = circuit.tree()) {
        place(*tree, path, placed);
    } else {
        auto& net = std::get<Net>(circuit.body);
        for (std::size_t i = 0; i < net.parts.size(); ++i) {
            place(net.parts[i].port, text::join(text::join(path, "net.parts"), i), placed);
        }
    }
    return placed;
}

std::optional<Error> numberParts(std::vector<PlacedPart>& placed) {
    std::set<std::string> taken;
    for (const PlacedPart& p : placed) {
        const bool bare = p.part->id.size() == 1;
        if (!bare && !taken.insert(p.part->id).second) {
            return Error{p.path,
                         say(YF_WORDS("core", "'%1' given twice"), p.part->id),
                         "an ID may stand once"};
        }
    }
    for (PlacedPart& p : placed) {
        if (p.part->id.size() == 1) {
            int number = 1;
            while (!taken.insert(p.part->id + std::to_string(number)).second) {
                ++number;
            }
            p.part->id += std::to_string(number);
        }
    }
    return std::nullopt;
}

Result<std::vector<Coupling>>
readCouplings(const Value& value, const std::string& path, const std::vector<PlacedPart>& placed) {
    std::vector<Coupling> couplings;
    if (value.list() == nullptr) {
        return text::wrongKind(path, value, "a list of [coil, coil, k]");
    }
    for (std::size_t i = 0; i < value.list()->size(); ++i) {
        const Value& row = (*value.list())[i];
        const std::string rowPath = text::join(path, i);
        const auto* cells = row.list();
        if (cells == nullptr || cells->size() != 3 || (*cells)[0].word() == nullptr ||
            (*cells)[1].word() == nullptr || (*cells)[2].number() == nullptr) {
            return text::wrongKind(rowPath, row, "a list of coil, coil and k");
        }
        Coupling coupling{*(*cells)[0].word(), *(*cells)[1].word(), *(*cells)[2].number()};
        for (const std::string& id : {coupling.first, coupling.second}) {
            const bool isCoil = std::ranges::any_of(placed, [&](const PlacedPart& p) {
                return p.part->id == id && p.part->kind == PartKind::coil;
            });
            if (!isCoil) {
                return Error{
                    rowPath, text::givenWord(id), "must be the ID of a coil of this network"};
            }
        }
        const double k = std::abs(coupling.k);
        if (!(k > 0.0 && k < 1.0) || coupling.first == coupling.second) {
            return Error{rowPath,
                         coupling.first == coupling.second
                             ? say(YF_WORDS("core", "'%1' coupled with itself"), coupling.first)
                             : say(YF_WORDS("core", "k %1 given"), text::printNumber(coupling.k)),
                         "k must lie between -1 and 1, without -1, 0 and 1, and join two coils"};
        }
        couplings.push_back(std::move(coupling));
    }
    return couplings;
}

Value writeSlot(const Slot& slot) {
    return std::visit(
        [](const auto& s) -> Value {
            using T = std::decay_t<decltype(s)>;
            if constexpr (std::is_same_v<T, SeriesSlot>) {
                return Value::Object{{"series", writeOnePort(s.port)}};
            } else if constexpr (std::is_same_v<T, ShuntSlot>) {
                return Value::Object{{"shunt", writeOnePort(s.port)}};
            } else if constexpr (std::is_same_v<T, TransformerSlot>) {
                return Value::Object{{"transformer", text::write(TransformerKeys{s})}};
            } else {
                return Value::Object{{"control", text::write(ControlKeys{s})}};
            }
        },
        slot);
}

std::string_view joiningName(Joining joining) {
    return joining == Joining::parallel ? "parallel" : "series";
}

void writeSection(const Section& section, Value::Object& object) {
    if (!section.name.empty()) {
        object.push_back({"name", section.name});
    }
    if (section.line) {
        object.push_back({"line", text::write(*section.line)});
    }
    if (!section.ladder.empty()) {
        Value::List ladder;
        for (const Slot& slot : section.ladder) {
            ladder.push_back(writeSlot(slot));
        }
        object.push_back({"ladder", std::move(ladder)});
    }
    if (const auto* end = std::get_if<DriverEnd>(&section.end)) {
        object.push_back({"driver", end->driver});
        object.push_back({"polarity", end->polarity});
        if (end->inSeries > 1 && end->inParallel > 1) {
            object.push_back({"in_series", end->inSeries});
            object.push_back({"in_parallel", end->inParallel});
        } else if (end->units() > 1) {
            object.push_back({"count", end->units()});
            object.push_back(
                {"wiring", joiningName(end->inSeries > 1 ? Joining::series : Joining::parallel)});
        }
        return;
    }
    const Ways& ways = std::get<Ways>(section.end);
    object.push_back({"join", joiningName(ways.join)});
    Value::List list;
    for (const Section& child : ways.sections) {
        Value::Object inner;
        writeSection(child, inner);
        list.emplace_back(std::move(inner));
    }
    object.push_back({"ways", std::move(list)});
}

/// A line where no amplifier can stand.
// NOLINTNEXTLINE(misc-no-recursion): sections nest
std::optional<Error>
misplacedLine(const Section& section, const std::string& path, bool allowed, bool top) {
    if (section.line && !allowed) {
        return Error{text::join(path, "line"),
                     "given",
                     "a line stands before an amplifier: at the top, or at ways in parallel with "
                     "no common ladder"};
    }
    if (const auto* ways = std::get_if<Ways>(&section.end)) {
        const bool below = top && section.ladder.empty() && ways->join == Joining::parallel;
        for (std::size_t i = 0; i < ways->sections.size(); ++i) {
            if (auto error = misplacedLine(
                    ways->sections[i], text::join(text::join(path, "ways"), i), below, false)) {
                return error;
            }
        }
    }
    return std::nullopt;
}

} // namespace

Result<Circuit> readCircuit(const Value& value,
                            const std::string& path,
                            const std::vector<std::string>& alsoKnown) {
    if (value.object() == nullptr) {
        return text::wrongKind(path, value, "an object");
    }
    Circuit circuit;
    if (const Value* source = value.find("source")) {
        YF_TRY(keys, text::read<SourceKeys>(*source, text::join(path, "source")));
        circuit.source = keys.source;
    }
    std::vector<std::string> known{"source", "couplings", "net"};
    known.insert(known.end(), alsoKnown.begin(), alsoKnown.end());
    if (const Value* net = value.find("net")) {
        known.emplace_back("name");
        if (auto error = onlyKeys(value, path, known)) {
            return *error;
        }
        YF_TRY(body, readNet(*net, text::join(path, "net")));
        circuit.body = std::move(body);
    } else {
        YF_TRY(body, readSection(value, path, known));
        if (auto error = misplacedLine(body, path, true, true)) {
            return *error;
        }
        circuit.body = std::move(body);
    }
    auto placed = placedParts(circuit, path);
    if (auto error = numberParts(placed)) {
        return *error;
    }
    if (const Value* couplings = value.find("couplings")) {
        if (ownAmplifiers(circuit)) {
            return Error{text::join(path, "couplings"),
                         "given beside lines",
                         "coupled coils are computed behind one amplifier only"};
        }
        YF_TRY(list, readCouplings(*couplings, text::join(path, "couplings"), placed));
        circuit.couplings = std::move(list);
    }
    return circuit;
}

Result<Circuit> Circuit::read(const Value& value, const std::string& path) {
    return readCircuit(value, path);
}

Value Circuit::write() const {
    return writeCircuit(*this);
}

Value::Object writeCircuit(const Circuit& circuit) {
    Value::Object object;
    object.push_back({"source", text::write(SourceKeys{circuit.source})});
    if (const Section* tree = circuit.tree()) {
        writeSection(*tree, object);
    } else {
        Value::List parts;
        for (const NetPart& part : circuit.net()->parts) {
            parts.emplace_back(Value::List{writeOnePort(part.port), part.from, part.to});
        }
        Value::List drivers;
        for (const NetDriver& driver : circuit.net()->drivers) {
            drivers.emplace_back(
                Value::List{driver.end.driver, driver.from, driver.to, driver.end.polarity});
        }
        object.push_back(
            {"net", Value::Object{{"parts", std::move(parts)}, {"drivers", std::move(drivers)}}});
    }
    if (!circuit.couplings.empty()) {
        Value::List list;
        for (const Coupling& c : circuit.couplings) {
            list.emplace_back(Value::List{c.first, c.second, c.k});
        }
        object.push_back({"couplings", std::move(list)});
    }
    return object;
}

} // namespace yf::network
