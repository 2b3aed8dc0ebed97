// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/network/exchange/spice_import.h"

#include "core/network/solve/solve.h"
#include "core/text/number.h"

#include <algorithm>
#include <cctype>
#include <cmath>
#include <map>
#include <sstream>

namespace yf::network {

namespace {

using Tokens = std::vector<std::string>;

std::string lowered(std::string text) {
    std::ranges::transform(
        text, text.begin(), [](unsigned char c) { return static_cast<char>(std::tolower(c)); });
    return text;
}

struct Line {
    int number{};
    Tokens words;
};

/// Lines with continuations joined, comments and what stands in a control block left out.
std::vector<Line> linesOf(const std::string& text) {
    std::vector<Line> lines;
    std::istringstream in(text);
    bool control = false;
    int number = 0;
    for (std::string raw; std::getline(in, raw);) {
        ++number;
        raw = raw.substr(0, raw.find_first_of(";$"));
        std::ranges::replace_if(
            raw, [](char c) { return c == '(' || c == ')' || c == ',' || c == '='; }, ' ');
        std::istringstream cells(raw);
        Tokens words;
        for (std::string word; cells >> word;) {
            words.push_back(word);
        }
        // The first line is the title, whatever it says.
        if (number == 1 || words.empty() || words.front().front() == '*') {
            continue;
        }
        const std::string first = lowered(words.front());
        control = first == ".control" || (control && first != ".endc");
        if (control || first == ".endc") {
            continue;
        }
        if (first.front() == '+' && !lines.empty()) {
            words.front().erase(0, 1);
            const auto from = words.begin() + (words.front().empty() ? 1 : 0);
            lines.back().words.insert(lines.back().words.end(), from, words.end());
            continue;
        }
        lines.push_back({number, std::move(words)});
    }
    return lines;
}

Error wrong(const Line& line, const Words& given, const Words& allowed) {
    return {"text",
            say(YF_WORDS("core", "line %1, %2: %3"),
                std::to_string(line.number),
                line.words.front(),
                given),
            allowed};
}

PartKind kindOf(char letter) {
    return letter == 'r'   ? PartKind::resistor
           : letter == 'l' ? PartKind::coil
                           : PartKind::capacitor;
}

Result<NetPart> partOf(const Line& line) {
    constexpr std::size_t enough = 4;
    if (line.words.size() < enough) {
        return wrong(line,
                     say(YF_WORDS("core", "has %1 words"), std::to_string(line.words.size())),
                     "must be a name, two nodes and a value");
    }
    const auto value = spiceValue(line.words[3]);
    if (!value || *value <= 0.0) {
        return wrong(line,
                     say(YF_WORDS("core", "'%1' is no value"), line.words[3]),
                     "must be a number above 0");
    }
    const char letter = lowered(line.words[0]).front();
    Part part;
    part.kind = kindOf(letter);
    part.value = *value;
    // Our IDs begin with the kind's letter and go on with what the netlist says.
    part.id = std::string(1, network::letter(part.kind)) + line.words[0].substr(1);
    NetPart made;
    made.port = part;
    made.from = line.words[1];
    made.to = line.words[2];
    return made;
}

struct Subcircuit {
    Tokens ports;
    std::vector<NetPart> parts;
};

class Reader {
public:
    Result<Imported> read(const std::string& text) {
        for (const Line& line : linesOf(text)) {
            YF_TRY(done, take(line));
            static_cast<void>(done);
        }
        if (hot_.empty()) {
            return Error{"text", "no source", "must have one V line"};
        }
        return made();
    }

private:
    Result<bool> take(const Line& line) {
        const std::string first = lowered(line.words.front());
        if (first == ".subckt") {
            constexpr std::size_t nameAndPorts = 4;
            if (line.words.size() != nameAndPorts) {
                return wrong(line, "a subcircuit without two nodes", "a driver has two");
            }
            inside_ = lowered(line.words[1]);
            subcircuits_[inside_].ports = {line.words[2], line.words[3]};
            return true;
        }
        if (first == ".ends") {
            inside_.clear();
            return true;
        }
        if (first.front() == '.') {
            if (first != ".end") {
                notes_.push_back(say(YF_WORDS("core", "line %1: %2 is left out"),
                                     std::to_string(line.number),
                                     line.words.front()));
            }
            return true;
        }
        return element(line, first.front());
    }

    Result<bool> element(const Line& line, char letter) {
        switch (letter) {
        case 'r':
        case 'l':
        case 'c': {
            YF_TRY(part, partOf(line));
            (inside_.empty() ? parts_ : subcircuits_[inside_].parts).push_back(std::move(part));
            return true;
        }
        case 'k':
            return coupling(line);
        case 'v':
            return source(line);
        case 'x':
            return driver(line);
        default:
            return wrong(line, "not understood", "R, L, C, K, V and X are");
        }
    }

    Result<bool> coupling(const Line& line) {
        constexpr std::size_t enough = 4;
        const auto k = line.words.size() >= enough ? spiceValue(line.words[3]) : std::nullopt;
        if (!k || !inside_.empty()) {
            return wrong(line, "not understood", "must name two coils and give k, outside drivers");
        }
        couplings_.push_back({"L" + line.words[1].substr(1), "L" + line.words[2].substr(1), *k});
        return true;
    }

    Result<bool> source(const Line& line) {
        if (line.words.size() < 3 || !inside_.empty()) {
            return wrong(line, "not understood", "must be a name and two nodes, outside drivers");
        }
        if (!hot_.empty()) {
            return wrong(line, "a second source", "must be one");
        }
        const bool turned = isReturn(line.words[1]);
        hot_ = turned ? line.words[2] : line.words[1];
        if (!isReturn(turned ? line.words[1] : line.words[2])) {
            return wrong(line, "neither node is 0", "one node of the source must be the return");
        }
        return true;
    }

    Result<bool> driver(const Line& line) {
        constexpr std::size_t enough = 4;
        if (line.words.size() != enough || !inside_.empty()) {
            return wrong(line, "not understood", "must be a name, two nodes and a subcircuit");
        }
        drivers_.push_back(line);
        return true;
    }

    [[nodiscard]] static bool isReturn(const std::string& node) {
        return node == "0" || lowered(node) == "gnd";
    }

    [[nodiscard]] std::string node(const std::string& name) const {
        if (isReturn(name)) {
            return "0";
        }
        if (lowered(name) == lowered(hot_)) {
            return "in";
        }
        // Somebody else's "in", behind a resistance that is a part here.
        return lowered(name) == "in" ? "in_2" : lowered(name);
    }

    /// Impedance of a subcircuit between its ports, on the design axis.
    [[nodiscard]] static Result<curve::Curve> impedanceOf(const Subcircuit& sub) {
        const auto inner = [&](const std::string& name) {
            return lowered(name) == lowered(sub.ports[0])   ? std::string("in")
                   : lowered(name) == lowered(sub.ports[1]) ? std::string("0")
                                                            : "n" + name;
        };
        Net net;
        for (NetPart part : sub.parts) {
            part.from = inner(part.from);
            part.to = inner(part.to);
            net.parts.push_back(std::move(part));
        }
        // A network without any driver is none: an open pair of wires in its place.
        constexpr double open = 1e15;
        net.drivers.push_back({DriverEnd{.driver = "open"}, "in", "0"});
        Circuit circuit;
        circuit.body = std::move(net);
        Loads loads{.axis = curve::designAxis(), .drivers = {}};
        loads.drivers.push_back(
            {.driver = "open",
             .impedance = std::vector<Complex>(curve::designAxis().size(), Complex(open))});
        YF_TRY(solution, solve(circuit, PreparedLoads(std::move(loads))));
        return curve::Curve(curve::designAxis(), std::move(solution.impedances), curve::Phase::own);
    }

    Result<Imported> made() const {
        Imported imported{.network = {}, .notes = notes_};
        Net net;
        for (NetPart part : parts_) {
            part.from = node(part.from);
            part.to = node(part.to);
            net.parts.push_back(std::move(part));
        }
        for (const Line& line : drivers_) {
            const std::string name = lowered(line.words[3]);
            const auto sub = subcircuits_.find(name);
            if (sub == subcircuits_.end()) {
                return wrong(line,
                             say(YF_WORDS("core", "no subcircuit '%1'"), line.words[3]),
                             "must be in the text");
            }
            net.drivers.push_back(
                {DriverEnd{.driver = name}, node(line.words[1]), node(line.words[2])});
            const bool known =
                std::ranges::find(imported.network.drivers, name, &NamedDriver::name) !=
                imported.network.drivers.end();
            if (!known) {
                YF_TRY(curve, impedanceOf(sub->second));
                imported.network.drivers.push_back(
                    {.name = name, .impedance = std::move(curve), .response = {}});
            }
        }
        imported.network.circuit.body = std::move(net);
        imported.network.circuit.couplings = couplings_;
        // What a network must be is said by its own reader.
        YF_TRY(checked, Network::read(imported.network.write(), "network"));
        imported.network = std::move(checked);
        return imported;
    }

    std::string inside_;
    std::string hot_;
    std::vector<NetPart> parts_;
    std::vector<Coupling> couplings_;
    std::vector<Line> drivers_;
    std::map<std::string, Subcircuit> subcircuits_;
    std::vector<Words> notes_;
};

} // namespace

std::optional<double> spiceValue(const std::string& text) {
    std::size_t used = 0;
    while (used < text.size() &&
           (std::isdigit(static_cast<unsigned char>(text[used])) != 0 || text[used] == '.' ||
            text[used] == '-' || text[used] == '+' ||
            ((text[used] == 'e' || text[used] == 'E') && used + 1 < text.size() &&
             (std::isdigit(static_cast<unsigned char>(text[used + 1])) != 0 ||
              text[used + 1] == '-' || text[used + 1] == '+')))) {
        ++used;
    }
    const auto number = text::parseNumber(text.substr(0, used));
    if (!number) {
        return std::nullopt;
    }
    const std::string rest = lowered(text.substr(used));
    static const std::pair<const char*, double> prefixes[] = {{"meg", 1e6},
                                                              {"t", 1e12},
                                                              {"g", 1e9},
                                                              {"k", 1e3},
                                                              {"m", 1e-3},
                                                              {"u", 1e-6},
                                                              {"n", 1e-9},
                                                              {"p", 1e-12},
                                                              {"f", 1e-15}};
    for (const auto& [prefix, factor] : prefixes) {
        if (rest.starts_with(prefix)) {
            return *number * factor;
        }
    }
    return *number;
}

Result<Imported> importSpice(const ImportRequest& request) {
    return Reader().read(request.text);
}

text::Value Imported::write() const {
    text::Value::List said;
    for (const Words& note : notes) {
        said.emplace_back(note);
    }
    return text::Value::Object{{"network", network.write()}, {"notes", said}};
}

} // namespace yf::network
