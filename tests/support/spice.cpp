// SPDX-License-Identifier: GPL-3.0-or-later
#include "tests/support/spice.h"

#include "core/text/number.h"
#include "tests/support/temp_folder.h"

#include <gtest/gtest.h>

#include <cmath>
#include <cstdlib>
#include <numbers>
#include <regex>
#include <sstream>

namespace yf::test::spice {

namespace {

using namespace network;

constexpr double twoPi = 2.0 * std::numbers::pi;

/// 17 digits with an exponent: a prefix M would be milli.
std::string number(double value) {
    std::ostringstream out;
    out.precision(17);
    out << std::scientific << value;
    return out.str();
}

class Writer {
public:
    explicit Writer(const Network& network) : network_(network) {}

    Netlist write() {
        const Source& source = network_.circuit.source;
        line("V1 emf 0 AC 1");
        std::string in = "emf";
        if (source.resistance > 0.0) {
            line("Rsource emf in " + number(source.resistance));
            in = "in";
        }
        result_.impedance = "v(" + in + ")/(-i(V1))";
        if (const Section* tree = network_.circuit.tree()) {
            section(*tree, in, "0");
        } else {
            net(*network_.circuit.net(), in);
        }
        for (const Coupling& c : network_.circuit.couplings) {
            line("K" + fresh() + " LL" + c.first + " LL" + c.second + " " + number(c.k));
        }
        result_.text = "* written by a test\n" + text_;
        return std::move(result_);
    }

private:
    void line(const std::string& content) { text_ += content + "\n"; }

    std::string fresh() { return "x" + std::to_string(++count_); }

    void part(const Part& p, const std::string& a, const std::string& b) {
        switch (p.kind) {
        case PartKind::resistor:
            line("RR" + p.id + " " + a + " " + b + " " + number(p.value));
            return;
        case PartKind::coil: {
            const std::string middle = p.dcr > 0.0 ? fresh() : a;
            if (p.dcr > 0.0) {
                line("RD" + p.id + " " + a + " " + middle + " " + number(p.dcr));
            }
            line("LL" + p.id + " " + middle + " " + b + " " + number(p.value));
            if (p.rp) {
                line("RP" + p.id + " " + middle + " " + b + " " + number(*p.rp));
            }
            return;
        }
        case PartKind::capacitor: {
            const double loss = p.esr + p.df / (twoPi * p.dfFrequency * p.value);
            const std::string middle = loss > 0.0 ? fresh() : a;
            if (loss > 0.0) {
                line("RE" + p.id + " " + a + " " + middle + " " + number(loss));
            }
            line("CC" + p.id + " " + middle + " " + b + " " + number(p.value));
            if (p.leak) {
                line("RL" + p.id + " " + middle + " " + b + " " + number(*p.leak));
            }
            return;
        }
        }
    }

    void port(const OnePort& p, const std::string& a, const std::string& b) {
        if (const Part* lone = p.part()) {
            part(*lone, a, b);
            return;
        }
        const Composite& composite = *p.composite();
        std::string from = a;
        for (std::size_t i = 0; i < composite.ports.size(); ++i) {
            if (composite.joining == Joining::parallel) {
                port(composite.ports[i], a, b);
                continue;
            }
            const std::string to = i + 1 == composite.ports.size() ? b : fresh();
            port(composite.ports[i], from, to);
            from = to;
        }
    }

    void oneDriver(const NamedDriver& named, const std::string& a, const std::string& b) {
        if (const auto* resistor = std::get_if<ResistorLoad>(&named.impedance)) {
            line("R" + fresh() + " " + a + " " + b + " " + number(resistor->resistance));
            return;
        }
        const auto& model = std::get<driver::ImpedanceModel>(named.impedance);
        const std::string afterRe = fresh();
        line("R" + fresh() + " " + a + " " + afterRe + " " + number(model.Re));
        std::string at = afterRe;
        if (model.Le) {
            const std::string next = fresh();
            line("L" + fresh() + " " + at + " " + next + " " + number(*model.Le));
            at = next;
        }
        if (model.L2) {
            const std::string next = fresh();
            line("L" + fresh() + " " + at + " " + next + " " + number(*model.L2));
            line("R" + fresh() + " " + at + " " + next + " " + number(*model.R2));
            at = next;
        }
        const double Rm = model.Re * model.Qms / model.Qes;
        line("R" + fresh() + " " + at + " " + b + " " + number(Rm));
        line("L" + fresh() + " " + at + " " + b + " " +
             number(Rm / (twoPi * model.fs * model.Qms)));
        line("C" + fresh() + " " + at + " " + b + " " +
             number(model.Qms / (twoPi * model.fs * Rm)));
    }

    void end(const DriverEnd& e, const std::string& hot, const std::string& back) {
        const auto named = std::ranges::find(network_.drivers, e.driver, &NamedDriver::name);
        for (int string = 0; string < e.inParallel; ++string) {
            std::string from = hot;
            for (int i = 0; i < e.inSeries; ++i) {
                const std::string to = i + 1 == e.inSeries ? back : fresh();
                oneDriver(*named, from, to);
                from = to;
            }
        }
        const std::string voltage =
            back == "0" ? "v(" + hot + ")" : "(v(" + hot + ")-v(" + back + "))";
        result_.drives.push_back(e.polarity > 0 ? voltage : "(-" + voltage + ")");
    }

    void section(const Section& s, std::string hot, const std::string& back) {
        for (const Slot& slot : s.ladder) {
            if (const auto* series = std::get_if<SeriesSlot>(&slot)) {
                const std::string next = fresh();
                port(series->port, hot, next);
                hot = next;
            } else if (const auto* shunt = std::get_if<ShuntSlot>(&slot)) {
                port(shunt->port, hot, back);
            } else if (const auto* transformer = std::get_if<TransformerSlot>(&slot)) {
                hot = transform(*transformer, hot, back);
            } else {
                const ControlResistances r = resistances(std::get<ControlSlot>(slot));
                const std::string next = fresh();
                line("R" + fresh() + " " + hot + " " + next + " " +
                     number(std::max(r.inLine, 1e-12)));
                if (r.toReturn) {
                    line("R" + fresh() + " " + next + " " + back + " " + number(*r.toReturn));
                }
                hot = next;
            }
        }
        if (const auto* e = std::get_if<DriverEnd>(&s.end)) {
            end(*e, hot, back);
            return;
        }
        const auto& ways = std::get<Ways>(s.end);
        for (std::size_t w = 0; w < ways.sections.size(); ++w) {
            const bool last = w + 1 == ways.sections.size();
            if (ways.join == Joining::parallel) {
                section(ways.sections[w], hot, back);
            } else {
                const std::string foot = last ? back : fresh();
                section(ways.sections[w], hot, foot);
                hot = foot;
            }
        }
    }

    /// Controlled sources: E carries the voltage up, F the current back.
    std::string
    transform(const TransformerSlot& t, const std::string& hot, const std::string& back) {
        std::string primary = hot;
        if (t.dcr > 0.0) {
            primary = fresh();
            line("R" + fresh() + " " + hot + " " + primary + " " + number(t.dcr));
        }
        if (t.magnetizing) {
            line("L" + fresh() + " " + primary + " " + back + " " + number(*t.magnetizing));
        }
        const std::string secondary = fresh();
        const std::string inside = fresh();
        const std::string sense = "V" + fresh();
        line("E" + fresh() + " " + inside + " " + back + " " + primary + " " + back + " " +
             number(t.ratio));
        line(sense + " " + inside + " " + secondary + " 0");
        line("F" + fresh() + " " + primary + " " + back + " " + sense + " " + number(t.ratio));
        return secondary;
    }

    void net(const Net& n, const std::string& in) {
        const auto node = [&](const std::string& name) {
            return name == "0" ? name : name == "in" ? in : "n_" + name;
        };
        for (const NetPart& p : n.parts) {
            port(p.port, node(p.from), node(p.to));
        }
        for (const NetDriver& d : n.drivers) {
            end(d.end, node(d.from), node(d.to));
        }
    }

    const Network& network_;
    Netlist result_;
    std::string text_;
    int count_{};
};

/// Runs ngspice in a folder; its standard output.
std::string run(const TempFolder& folder, const std::string& circuit) {
    folder.write("circuit.cir", circuit);
    const std::string log = folder.path("log");
    const std::string command =
        "cd '" + folder.path("") + "' && timeout 20 ngspice -b circuit.cir > log 2>&1";
    EXPECT_EQ(std::system(command.c_str()), 0) << fileContent(log);
    return fileContent(log);
}

} // namespace

Netlist netlist(const Network& network) {
    return Writer(network).write();
}

std::string circuitOf(const std::string& file) {
    const std::string whole = dataFile("ngspice/" + file);
    return whole.substr(0, whole.find(".control"));
}

Sweep sweep(const std::string& circuit, const std::vector<std::string>& expressions) {
    std::string control =
        ".control\nset numdgt=15\nset wr_singlescale\nset wr_vecnames\nac dec 160 10 39810.7171\n";
    std::string names;
    for (std::size_t i = 0; i < expressions.size(); ++i) {
        const std::string name = "yf" + std::to_string(i);
        control += "let " + name + " = " + expressions[i] + "\n";
        names += " " + name;
    }
    control += "wrdata table.txt" + names + "\nquit\n.endc\n.end\n";
    const TempFolder folder;
    const std::string log = run(folder, circuit + control);
    std::istringstream table(fileContent(folder.path("table.txt")));
    std::string header;
    std::getline(table, header);
    Sweep result;
    result.values.resize(expressions.size());
    for (double frequency = 0.0; table >> frequency;) {
        result.frequencies.push_back(frequency);
        for (auto& column : result.values) {
            double re = 0.0;
            double im = 0.0;
            table >> re >> im;
            column.emplace_back(re, im);
        }
    }
    EXPECT_EQ(result.frequencies.size(), 577U) << log;
    return result;
}

double printed(const std::string& file, const std::string& name) {
    const TempFolder folder;
    const std::string log = run(folder, dataFile("ngspice/" + file));
    std::smatch found;
    const std::regex pattern("(^|\\n)" + name + "\\s*=\\s*(\\S+)");
    if (!std::regex_search(log, found, pattern)) {
        ADD_FAILURE() << file << " printed no " << name << "\n" << log;
        return 0.0;
    }
    return text::parseNumber(found[2].str()).value_or(NAN);
}

} // namespace yf::test::spice
