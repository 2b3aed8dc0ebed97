// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/network/exchange/export.h"

#include "core/driver/fit.h"
#include "core/network/judge/power.h"
#include "core/text/csv.h"
#include "core/text/number.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yf::network {

namespace {

/// Seventeen digits with an exponent: in a netlist M is milli.
std::string exact(double value) {
    char text[32];
    std::snprintf(text, sizeof text, "%.16e", value);
    return text;
}

/// A driver by parts, and how far they are from what is known.
struct Described {
    driver::ImpedanceModel model;
    std::optional<double> worst; ///< share; absent: it is what is known
};

Described withError(driver::ImpedanceModel model, const curve::Curve& known) {
    const auto Z = driver::impedance(model, known.frequencies());
    double worst = 0.0;
    for (std::size_t k = 0; k < Z.size(); ++k) {
        worst = std::max(worst, std::abs(Z[k] / known.values()[k] - 1.0));
    }
    return {model, worst};
}

Result<Described> described(const NamedDriver& driver) {
    const auto* model = std::get_if<driver::ImpedanceModel>(&driver.impedance);
    using driver::InductanceModel;
    const InductanceModel coil = model == nullptr
                                     ? InductanceModel::lr2
                                     : model->inductance.value_or(InductanceModel::ideal);
    const bool byParts = coil == InductanceModel::none || coil == InductanceModel::ideal ||
                         coil == InductanceModel::lr2;
    if (model != nullptr && byParts) {
        return Described{*model, {}};
    }
    const curve::Curve known = model != nullptr
                                   ? curve::Curve(curve::designAxis(),
                                                  driver::impedance(*model, curve::designAxis()),
                                                  curve::Phase::own)
                                   : std::get<curve::Curve>(driver.impedance);
    const auto fitted =
        driver::fitImpedance({.impedance = known, .inductance = InductanceModel::lr2});
    if (!fitted) {
        return Error{
            "network.drivers." + driver.name,
            YF_WORDS("core", "no parts describe its impedance"),
            YF_WORDS("core", "a netlist needs Re_ohm, fs_hz, Qms, Qes and a coil, or r_ohm")};
    }
    return withError(fitted->model, known);
}

/// Names that a simulator takes: letters and digits only.
std::string plain(const std::string& name) {
    std::string out;
    for (const char c : name) {
        const bool good =
            (c >= 'a' && c <= 'z') || (c >= 'A' && c <= 'Z') || (c >= '0' && c <= '9');
        out += good ? c : '_';
    }
    return out;
}

class NetlistWriter {
public:
    explicit NetlistWriter(const Network& network) : network_(network) {}

    Result<std::string> write() {
        text_ = "* crossover network, exponents instead of prefixes\n";
        for (const NamedDriver& driver : network_.drivers) {
            YF_TRY(done, subcircuit(driver));
            static_cast<void>(done);
        }
        if (ownAmplifiers(network_.circuit)) {
            line("* an amplifier for each way; what its line does is not in here");
            for (const Section& way : std::get<Ways>(network_.circuit.tree()->end).sections) {
                section(way, amplifier(), "0");
            }
        } else if (const Section* tree = network_.circuit.tree()) {
            section(*tree, amplifier(), "0");
        } else {
            amplifier();
            net(*network_.circuit.net());
        }
        int number = 0;
        for (const Coupling& coupling : network_.circuit.couplings) {
            line("K" + std::to_string(++number) + " L" + plain(coupling.first) + " L" +
                 plain(coupling.second) + " " + exact(coupling.k));
        }
        line(".end");
        return text_;
    }

private:
    void line(const std::string& words) { text_ += words + "\n"; }

    std::string fresh() { return "n" + std::to_string(++nodes_); }

    std::string helper() { return "x" + std::to_string(++helpers_); }

    /// The next source with its resistance; the node behind it. The first one's is "in".
    std::string amplifier() {
        const std::string n = std::to_string(++amplifiers_);
        const std::string in = amplifiers_ == 1 ? "in" : "in" + n;
        const double R = network_.circuit.source.resistance;
        const std::string emf = R > 0.0 ? (amplifiers_ == 1 ? "emf" : "emf" + n) : in;
        line("V" + n + " " + emf + " 0 dc 0 ac 1");
        if (R > 0.0) {
            line("RS" + (amplifiers_ == 1 ? std::string() : n) + " " + emf + " " + in + " " +
                 exact(R));
        }
        return in;
    }

    Result<bool> subcircuit(const NamedDriver& driver) {
        const std::string name = "driver_" + plain(driver.name);
        if (const auto* resistor = std::get_if<ResistorLoad>(&driver.impedance)) {
            line(".subckt " + name + " a b\nR1 a b " + exact(resistor->resistance) + "\n.ends");
            return true;
        }
        if (const auto* still = std::get_if<CoilLoad>(&driver.impedance)) {
            const driver::ImpedanceModel& coil = still->coil;
            if (coil.inductance && *coil.inductance != driver::InductanceModel::ideal &&
                *coil.inductance != driver::InductanceModel::none) {
                return Error{text::join("network.drivers", driver.name),
                             "an inductance model that a netlist has no part for",
                             "must be ideal: Re_ohm and Le_h"};
            }
            line(".subckt " + name + " a b\nRe a c " + exact(coil.Re) + "\nLe c b " +
                 exact(coil.Le.value_or(0.0)) + "\n.ends");
            return true;
        }
        YF_TRY(made, described(driver));
        const driver::ImpedanceModel& m = made.model;
        if (made.worst) {
            constexpr double percent = 100.0;
            line("* " + name + ": described by parts, at worst " +
                 text::printFixed(percent * *made.worst, 1) + " % off");
        }
        const double w = 2.0 * std::numbers::pi * m.fs;
        const double Rm = m.Re * m.Qms / m.Qes;
        line(".subckt " + name + " a b");
        line("Re a c " + exact(m.Re));
        std::string next = "c";
        if (m.Le) {
            line("Le c d " + exact(*m.Le));
            next = "d";
        }
        if (m.L2 && m.R2) {
            line("L2 " + next + " e " + exact(*m.L2));
            line("R2 " + next + " e " + exact(*m.R2));
            next = "e";
        }
        line("Rm " + next + " b " + exact(Rm));
        line("Lm " + next + " b " + exact(Rm / (w * m.Qms)));
        line("Cm " + next + " b " + exact(m.Qms / (w * Rm)));
        line(".ends");
        return true;
    }

    void part(const Part& p, const std::string& from, const std::string& to) {
        const std::string id = plain(p.id);
        if (p.kind == PartKind::resistor) {
            line("R" + id + " " + from + " " + to + " " + exact(p.value));
            return;
        }
        const double loss = lossResistance(p);
        const std::string inner = loss > 0.0 ? helper() : from;
        if (loss > 0.0) {
            line("R" + id + "_loss " + from + " " + inner + " " + exact(loss));
        }
        const bool coil = p.kind == PartKind::coil;
        line((coil ? "L" : "C") + id + " " + inner + " " + to + " " + exact(p.value));
        if (const auto beside = coil ? p.rp : p.leak) {
            line("R" + id + "_beside " + inner + " " + to + " " + exact(*beside));
        }
    }

    void port(const OnePort& p, const std::string& from, const std::string& to) {
        if (const Part* one = p.part()) {
            part(*one, from, to);
            return;
        }
        const Composite& composite = *p.composite();
        std::string hot = from;
        for (std::size_t i = 0; i < composite.ports.size(); ++i) {
            if (composite.joining == Joining::parallel) {
                port(composite.ports[i], from, to);
                continue;
            }
            const std::string next = i + 1 == composite.ports.size() ? to : helper();
            port(composite.ports[i], hot, next);
            hot = next;
        }
    }

    void end(const DriverEnd& e, const std::string& hot, const std::string& back) {
        const std::string name = "driver_" + plain(e.driver);
        const std::string plus = e.polarity > 0 ? hot : back;
        const std::string minus = e.polarity > 0 ? back : hot;
        for (int p = 0; p < e.inParallel; ++p) {
            std::string from = plus;
            for (int s = 0; s < e.inSeries; ++s) {
                const std::string to = s + 1 == e.inSeries ? minus : helper();
                line("X" + std::to_string(++units_) + " " + from + " " + to + " " + name);
                from = to;
            }
        }
        const auto voltage = [](const std::string& node) {
            return node == "0" ? std::string("0") : "v(" + node + ")";
        };
        line("* drive of " + name + ": " + voltage(plus) + "-" + voltage(minus));
    }

    std::string control(const ControlSlot& slot, const std::string& hot, const std::string& back) {
        constexpr double contact = 1e-12; // a slider at its end is a wire
        const ControlResistances r = resistances(slot);
        const std::string next = fresh();
        line("R" + plain(slot.id) + "_line " + hot + " " + next + " " +
             exact(std::max(r.inLine, contact)));
        if (r.toReturn) {
            line("R" + plain(slot.id) + "_return " + next + " " + back + " " +
                 exact(std::max(*r.toReturn, contact)));
        }
        return next;
    }

    std::string
    transformer(const TransformerSlot& t, const std::string& hot, const std::string& back) {
        const std::string id = std::to_string(++transformers_);
        std::string primary = hot;
        if (t.dcr > 0.0) {
            primary = helper();
            line("RT" + id + "_dcr " + hot + " " + primary + " " + exact(t.dcr));
        }
        if (t.magnetizing) {
            line("LT" + id + "_mag " + primary + " " + back + " " + exact(*t.magnetizing));
        }
        // E carries the voltage over, F the current back.
        const std::string inside = helper();
        const std::string out = fresh();
        line("ET" + id + " " + inside + " " + back + " " + primary + " " + back + " " +
             exact(t.ratio));
        line("VT" + id + " " + inside + " " + out + " 0");
        line("FT" + id + " " + primary + " " + back + " VT" + id + " " + exact(t.ratio));
        return out;
    }

    void section(const Section& s, std::string hot, const std::string& back) {
        if (!s.name.empty()) {
            line("* " + s.name);
        }
        for (const Slot& slot : s.ladder) {
            if (const auto* series = std::get_if<SeriesSlot>(&slot)) {
                const std::string next = fresh();
                port(series->port, hot, next);
                hot = next;
            } else if (const auto* shunt = std::get_if<ShuntSlot>(&slot)) {
                port(shunt->port, hot, back);
            } else if (const auto* t = std::get_if<TransformerSlot>(&slot)) {
                hot = transformer(*t, hot, back);
            } else {
                hot = control(std::get<ControlSlot>(slot), hot, back);
            }
        }
        if (const auto* e = std::get_if<DriverEnd>(&s.end)) {
            end(*e, hot, back);
            return;
        }
        const auto& ways = std::get<Ways>(s.end);
        for (std::size_t q = 0; q < ways.sections.size(); ++q) {
            if (ways.join == Joining::parallel) {
                section(ways.sections[q], hot, back);
                continue;
            }
            const std::string foot = q + 1 == ways.sections.size() ? back : fresh();
            section(ways.sections[q], hot, foot);
            hot = foot;
        }
    }

    void net(const Net& n) {
        // Node names are kept; what is not a letter or a digit would not be read.
        const auto node = [](const std::string& name) {
            return name == "0" || name == "in" ? name : plain(name);
        };
        for (const NetPart& p : n.parts) {
            port(p.port, node(p.from), node(p.to));
        }
        for (const NetDriver& d : n.drivers) {
            end(d.end, node(d.from), node(d.to));
        }
    }

    const Network& network_;
    std::string text_;
    int nodes_{};
    int helpers_{};
    int units_{};
    int transformers_{};
    int amplifiers_{};
};

void wayOf(const Section& section, const std::string& way, std::vector<std::string>& ways) {
    for (const Slot& slot : section.ladder) {
        const OnePort* port = nullptr;
        if (const auto* series = std::get_if<SeriesSlot>(&slot)) {
            port = &series->port;
        } else if (const auto* shunt = std::get_if<ShuntSlot>(&slot)) {
            port = &shunt->port;
        }
        if (port != nullptr) {
            forEachPart(*port, [&](const Part&) { ways.push_back(way); });
        }
    }
    if (const auto* join = std::get_if<Ways>(&section.end)) {
        for (const Section& inner : join->sections) {
            const auto* end = std::get_if<DriverEnd>(&inner.end);
            wayOf(inner,
                  !inner.name.empty() ? inner.name
                  : end != nullptr    ? end->driver
                                      : way,
                  ways);
        }
    }
}

Result<std::string> csvResponse(const Network& network) {
    const Axis axis = coveredAxis(network);
    YF_TRY(out, solveNetwork({.network = network, .frequencies = axis}));
    std::string text = "frequencies_hz,sum_level_db,sum_phase_deg,impedances_ohm,phases_deg";
    for (const std::string& name : out.driverNames) {
        text += "," + text::csvCell("drive_db " + name) + "," + text::csvCell("drive_deg " + name);
    }
    text += "\n";
    constexpr double degrees = 180.0 / std::numbers::pi;
    const auto number = [](double value) { return text::printNumber(value); };
    for (std::size_t k = 0; k < axis.size(); ++k) {
        text += number(axis[k]) + "," +
                number(quantity::decibels(std::abs(out.sum[k]) / out.sumReference)) + "," +
                number(degrees * std::arg(out.sum[k])) + "," + number(std::abs(out.impedances[k])) +
                "," + number(degrees * std::arg(out.impedances[k]));
        for (const auto& drive : out.drives) {
            text += "," + number(quantity::decibels(std::abs(drive[k]))) + "," +
                    number(degrees * std::arg(drive[k]));
        }
        text += "\n";
    }
    return text;
}

} // namespace

Result<std::string> spiceNetlist(const Network& network) {
    return NetlistWriter(network).write();
}

std::string touchstone(const Axis& axis, const std::vector<Complex>& Z) {
    std::string text = "! impedance at the amplifier's terminals, ohm\n# HZ Z RI R 1\n";
    for (std::size_t k = 0; k < axis.size(); ++k) {
        text += exact(axis[k]) + " " + exact(Z[k].real()) + " " + exact(Z[k].imag()) + "\n";
    }
    return text;
}

Result<std::vector<ListedPart>>
partsList(const Circuit& circuit, const LoadsOn& loadsOn, double voltage, const Prices& prices) {
    constexpr double low = 20.0;
    constexpr double high = 20000.0;
    YF_TRY(power, powers(circuit, loadsOn, {.voltage = voltage, .from = low, .to = high}));
    std::vector<std::string> ways;
    if (const Section* tree = circuit.tree()) {
        wayOf(*tree, {}, ways);
    }
    std::vector<ListedPart> list;
    for (const Part& part : parts(circuit)) {
        const std::size_t i = list.size();
        list.push_back({i < ways.size() ? ways[i] : std::string(),
                        part,
                        power.parts[i],
                        power.peaks[i],
                        prices.of(part)});
    }
    return list;
}

std::string csvOf(const std::vector<ListedPart>& parts) {
    static constexpr const char* kinds[] = {"resistor", "coil", "capacitor"};
    static constexpr const char* units[] = {"ohm", "mH", "uF"};
    constexpr double percent = 100.0;
    std::string text = "id,way,kind,value,unit,loss_ohm,watts,peak_v,tolerance_pct,price\n";
    double sum = 0.0;
    for (const ListedPart& p : parts) {
        const auto kind = static_cast<std::size_t>(p.part.kind);
        sum += p.price;
        text +=
            text::csvCell(p.part.id) + "," + text::csvCell(p.way) + "," + kinds[kind] + "," +
            text::printNumber(p.part.value / customaryUnit(p.part.kind)) + "," + units[kind] + "," +
            text::printFixed(lossResistance(p.part), 3) + "," + text::printFixed(p.watts, 3) + "," +
            text::printFixed(p.volts, 1) + "," +
            (p.part.tolerance ? text::printNumber(percent * *p.part.tolerance) : std::string()) +
            "," + text::printFixed(p.price, 2) + "\n";
    }
    return text + "sum,,,,,,,,," + text::printFixed(sum, 2) + "\n";
}

namespace {

std::string numbers(const std::array<double, 5>& values) {
    std::string text;
    for (const double v : values) {
        text += "," + text::printNumber(v);
    }
    return text;
}

Result<std::string> csvOfLine(const std::string& way, const Line& line, double sampleRate) {
    std::string text;
    for (const LineFilter& filter : line.filters) {
        const auto made = sectionsOf(filter, sampleRate);
        if (!made) {
            return Error{way + ", " + words(filter), made.error().given, made.error().allowed};
        }
        const std::string head = text::csvCell(way) + "," + text::csvCell(words(filter));
        for (const Biquad& s : made->sections) {
            text += head + numbers({s.b[0], s.b[1], s.b[2], s.a[1], s.a[2]}) + "\n";
        }
    }
    text += text::csvCell(way) + ",gain" + numbers({quantity::gain(line.gain), 0, 0, 0, 0}) + "\n";
    return text + text::csvCell(way) + ",delay in samples," +
           text::printNumber(line.delay * sampleRate) + ",,,,\n";
}

} // namespace

Result<std::string> csvOfLines(const Circuit& circuit, double sampleRate) {
    const Section* tree = circuit.tree();
    if (tree == nullptr || !(tree->line || ownAmplifiers(circuit))) {
        return Error{"line", "none in this network", "there must be filters at line level"};
    }
    std::string text = "way,what,b0,b1,b2,a1,a2\n";
    if (tree->line) {
        YF_TRY(common, csvOfLine("all", *tree->line, sampleRate));
        text += common;
    }
    if (ownAmplifiers(circuit)) {
        for (const Section& way : std::get<Ways>(tree->end).sections) {
            const auto* end = std::get_if<DriverEnd>(&way.end);
            const std::string name = way.name.empty() && end != nullptr ? end->driver : way.name;
            YF_TRY(one, csvOfLine(name, way.line.value_or(Line{}), sampleRate));
            text += one;
        }
    }
    return text;
}

Result<ExportAnswer> exportNetwork(const ExportRequest& request) {
    const Network& network = request.network;
    switch (request.format) {
    case ExportFormat::spice: {
        YF_TRY(text, spiceNetlist(network));
        return ExportAnswer{text};
    }
    case ExportFormat::touchstone: {
        YF_TRY(out, solveNetwork({.network = network, .frequencies = coveredAxis(network)}));
        return ExportAnswer{touchstone(out.frequencies, out.impedances)};
    }
    case ExportFormat::csvParts: {
        YF_TRY(list,
               partsList(network.circuit,
                         loadSource(network),
                         request.voltage.value_or(network.circuit.source.voltage),
                         request.prices));
        return ExportAnswer{csvOf(list)};
    }
    case ExportFormat::csvLine: {
        constexpr double usualRate = 48000.0;
        YF_TRY(text, csvOfLines(network.circuit, request.sampleRate.value_or(usualRate)));
        return ExportAnswer{text};
    }
    case ExportFormat::csvResponse:
        break;
    }
    YF_TRY(text, csvResponse(network));
    return ExportAnswer{text};
}

} // namespace yf::network
