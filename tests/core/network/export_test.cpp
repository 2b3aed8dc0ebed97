// SPDX-License-Identifier: GPL-3.0-or-later
// What leaves: the netlist is run by ngspice 39 and held against our own solution; the others are
// read back as what they say they are.
#include "core/driver/impedance.h"
#include "core/network/exchange/export.h"
#include "core/network/exchange/spice_import.h"
#include "core/quantity/level.h"
#include "tests/support/networks.h"
#include "tests/support/spice.h"

#include <gtest/gtest.h>

#include <cmath>
#include <sstream>

namespace yf::test {

namespace {

using curve::Complex;

/// Expressions that the netlist itself names in its comments.
std::vector<std::string> drivesOf(const std::string& netlist) {
    std::vector<std::string> all;
    std::istringstream in(netlist);
    for (std::string line; std::getline(in, line);) {
        const auto at = line.find(": v(");
        if (line.starts_with("* drive of ") || at != std::string::npos) {
            all.push_back("(" + line.substr(line.find(": ") + 2) + ")");
        }
    }
    return all;
}

void expectNgspiceAgrees(const network::Network& n, const std::string& what) {
    const auto text = network::spiceNetlist(n);
    ASSERT_TRUE(text.ok()) << what;
    const std::string body = text->substr(0, text->rfind(".end"));
    auto expressions = drivesOf(body);
    expressions.emplace_back("v(in)/(-i(V1))");
    const auto [axis, theirs] = spice::sweep(body, expressions);
    const auto ours = solved(n, axis);
    ASSERT_EQ(theirs.size(), ours.drives.size() + 1) << what;
    for (std::size_t d = 0; d <= ours.drives.size(); ++d) {
        const auto& mine = d < ours.drives.size() ? ours.drives[d] : ours.impedances;
        for (std::size_t k = 0; k < axis.size(); ++k) {
            ASSERT_LT(std::abs(mine[k] - theirs[d][k]),
                      1e-8 * std::max(1.0, std::abs(theirs[d][k])))
                << what << ", column " << d << ", " << axis[k] << " Hz";
        }
    }
}

const std::string lossyTwoWay = R"({"source":{"resistance_ohm":0.05},
 "drivers":{"b 1":{"Re_ohm":5.8,"inductance_model":"lr2","Le_h":0.00035,"L2_h":0.0009,"R2_ohm":3.2,"fs_hz":42,"Qms":4.5,"Qes":0.42},
            "t":{"Re_ohm":5.2,"Le_h":0.00005,"fs_hz":900,"Qms":2.5,"Qes":1.2,"role":"treble"}},
 "ways":[{"name":"low","ladder":[{"series":"L1 1.8mH dcr=0.35 rp=400"},{"shunt":["C1 12uF esr=0.05","R1 1.5"]}],"driver":"b 1","count":2,"wiring":"series"},
         {"name":"high","ladder":[{"series":"C2 5.6uF df=0.05 leak=47k tol=10 price=3.5"},{"control":{"kind":"l-pad","total_ohm":8,"position":0.4,"id":"P1"}},
          {"series":{"parallel":["R2 6.8","L3 0.22mH","C3 4.7uF"]}}],"driver":"t","polarity":-1}]})";

} // namespace

TEST(Export, theNetlistIsTheNetwork) {
    expectNgspiceAgrees(networkFrom(lossyTwoWay), "two-way with losses");
    expectNgspiceAgrees(networkFrom(threeWayOfThirteenSlots()), "three-way");
    expectNgspiceAgrees(
        networkFrom(
            R"({"drivers":{"a":{"r_ohm":8},"b":{"r_ohm":6}},"net":{"parts":[["L1 1mH dcr=0.2","in","a"],["C1 10uF","a","0"],["C2 4.7uF","in","b"],["L2 0.3mH","b","0"],["R1 22","a","b"]],"drivers":[["a","a","0",1],["b","b","0",-1]]},"couplings":[["L1","L2",0.1]]})"),
        "net with coupled coils");
    expectNgspiceAgrees(
        networkFrom(
            R"({"drivers":{"a":{"r_ohm":8}},"ladder":[{"transformer":{"ratio":0.6,"magnetizing_h":0.02,"dcr_ohm":0.3}},{"series":"C1 10uF"}],"driver":"a"})"),
        "transformer");
    for (std::uint64_t seed = 101; seed <= 108; ++seed) {
        expectNgspiceAgrees(randomNetwork(seed), "seed " + std::to_string(seed));
    }
}

// A coil without parts: described by some, and how well is said.
TEST(Export, aCurveIsDescribedAndTheErrorSaid) {
    const std::string leach =
        R"({"drivers":{"m":{"Re_ohm":6.1,"inductance_model":"leach","leach_k":0.02,"leach_n":0.65,"fs_hz":95,"Qms":3.2,"Qes":0.6}},"ladder":[{"series":"C1 47uF"}],"driver":"m"})";
    network::Network n = networkFrom(leach);
    const auto text = network::spiceNetlist(n);
    ASSERT_TRUE(text.ok());
    const auto at = text->find("at worst ");
    ASSERT_NE(at, std::string::npos);
    const double told = std::stod(text->substr(at + 9));
    EXPECT_GT(told, 0.1);
    EXPECT_LT(told, 40.0);
    // The same as a table.
    const auto& model = std::get<driver::ImpedanceModel>(n.drivers.front().impedance);
    n.drivers.front().impedance = curve::Curve(
        curve::designAxis(), driver::impedance(model, curve::designAxis()), curve::Phase::own);
    const auto again = network::spiceNetlist(n);
    ASSERT_TRUE(again.ok());
    EXPECT_NE(again->find("at worst "), std::string::npos);
    // What is no driver is refused by name.
    n.drivers.front().impedance =
        curve::Curve(curve::designAxis(),
                     std::vector<Complex>(curve::designAxis().size(), 8.0),
                     curve::Phase::own);
    const auto refused = network::spiceNetlist(n);
    ASSERT_FALSE(refused.ok());
    EXPECT_EQ(refused.error().subject, "network.drivers.m");
}

TEST(Export, touchstoneHoldsOhms) {
    const network::Network n = networkFrom(lossyTwoWay);
    const auto out =
        network::exportNetwork({.network = n, .format = network::ExportFormat::touchstone});
    ASSERT_TRUE(out.ok());
    std::istringstream in(out->text);
    std::string line;
    std::getline(in, line);
    EXPECT_EQ(line.front(), '!');
    std::getline(in, line);
    EXPECT_EQ(line, "# HZ Z RI R 1");
    const auto ours = solved(n, curve::designAxis());
    std::size_t k = 0;
    for (double f = 0.0, re = 0.0, im = 0.0; in >> f >> re >> im; ++k) {
        ASSERT_DOUBLE_EQ(f, curve::designAxis()[k]);
        ASSERT_EQ(Complex(re, im), ours.impedances[k]);
    }
    EXPECT_EQ(k, curve::designAxis().size());
}

TEST(Export, thePartsListSumsUp) {
    const network::Network n = networkFrom(lossyTwoWay);
    const auto out = network::exportNetwork(
        {.network = n, .format = network::ExportFormat::csvParts, .voltage = 20.0});
    ASSERT_TRUE(out.ok());
    std::istringstream in(out->text);
    std::string line;
    std::getline(in, line);
    EXPECT_EQ(line, "id,way,kind,value,unit,loss_ohm,watts,peak_v,tolerance_pct,price");
    double sum = 0.0;
    int rows = 0;
    while (std::getline(in, line) && !line.starts_with("sum")) {
        ++rows;
        sum += std::stod(line.substr(line.rfind(',') + 1));
        if (line.starts_with("C2,")) {
            EXPECT_TRUE(line.starts_with("C2,high,capacitor,5.6,uF,1.421,")) << line;
            EXPECT_NE(line.find(",10,3.50"), std::string::npos) << line;
        }
    }
    EXPECT_EQ(rows, 7);
    EXPECT_NEAR(std::stod(line.substr(line.rfind(',') + 1)), sum, 1e-9);
    // Heat goes with the square of the voltage.
    const auto loads = network::loadSource(n);
    const auto low = *network::partsList(n.circuit, loads, 10.0, {});
    const auto high = *network::partsList(n.circuit, loads, 20.0, {});
    for (std::size_t i = 0; i < low.size(); ++i) {
        EXPECT_NEAR(high[i].watts, 4.0 * low[i].watts, 1e-9 * high[i].watts);
        EXPECT_NEAR(high[i].volts, 2.0 * low[i].volts, 1e-9 * high[i].volts);
    }
}

// Out and in again: the same drives and the same load, whatever the tree was.
TEST(Import, aNetlistReadBackIsTheSameNetwork) {
    std::vector<network::Network> all{networkFrom(lossyTwoWay),
                                      networkFrom(threeWayOfThirteenSlots())};
    for (const network::Network& n : all) {
        const auto text = network::spiceNetlist(n);
        const auto read = network::importSpice({*text});
        ASSERT_TRUE(read.ok()) << read.error().subject << read.error().given;
        const auto before = solved(n, curve::designAxis());
        const auto after = solved(read->network, curve::designAxis());
        const std::size_t units = after.drives.size();
        EXPECT_GE(units, before.drives.size());
        for (std::size_t k = 0; k < curve::designAxis().size(); ++k) {
            // The source's resistance has become a part: the load is seen before it.
            const double Rs = n.circuit.source.resistance;
            ASSERT_LT(std::abs(after.impedances[k] - Rs - before.impedances[k]),
                      1e-7 * std::abs(before.impedances[k]));
            ASSERT_LT(std::abs(after.drives[units - 1][k] - before.drives.back()[k]),
                      1e-7 * std::abs(before.drives.back()[k]) + 1e-12)
                << curve::designAxis()[k];
        }
    }
}

// A netlist that somebody wrote by hand, against ngspice itself on the very same lines.
TEST(Import, readsWhatPeopleWrite) {
    const std::string lines = "two-way by hand\n"
                              "V1 amp gnd dc 0 ac 1\n"
                              "L1 AMP a 1.2mH ; the simulator's case does not matter\n"
                              "C1 a 0\n+ 8.2u\n"
                              "C2 amp b 4.7uF\nL2 b 0 0.33m\nK12 L1 L2 0.04\n"
                              "R9 b t 1.5\n"
                              "X1 a 0 woofer\nX2 0 t dome\n"
                              ".subckt woofer p m\nR1 p q 5.8\nL1 q m 0.5m\n.ends\n"
                              ".subckt dome p m\nR1 p m 6\n.ends\n"
                              ".options reltol=1e-6\n"
                              ".control\nac dec 10 10 10k\n.endc\n.end\n";
    const auto body = lines.substr(lines.find('\n') + 1);
    const auto read = network::importSpice({lines});
    ASSERT_TRUE(read.ok()) << read.error().given;
    ASSERT_EQ(read->notes.size(), 1U);
    EXPECT_NE(read->notes.front().english().find("line 19: .options"), std::string::npos)
        << read->notes.front();
    const std::string circuit = "* title\n" + body.substr(0, body.find(".options"));
    const auto [axis, theirs] = spice::sweep(circuit, {"v(a)", "-v(t)", "v(amp)/(-i(V1))"});
    const auto ours = solved(read->network, curve::designAxis());
    ASSERT_EQ(ours.drives.size(), 2U);
    for (std::size_t k = 0; k < axis.size(); ++k) {
        ASSERT_LT(std::abs(ours.drives[0][k] - theirs[0][k]), 1e-7);
        ASSERT_LT(std::abs(ours.drives[1][k] - theirs[1][k]), 1e-7);
        ASSERT_LT(std::abs(ours.impedances[k] / theirs[2][k] - 1.0), 1e-7);
    }
}

// Prefixes as ngspice's manual lists them ("Some conventions": T G Meg K m u n p f).
TEST(Import, valuesAreTheSimulators) {
    const std::pair<const char*, double> rows[] = {{"4.7uF", 4.7e-6},
                                                   {"1MEG", 1e6},
                                                   {"10M", 10e-3},
                                                   {"3k3", 3e3}, // what follows is not read
                                                   {"1e-6", 1e-6},
                                                   {"2.2E3Ohm", 2.2e3},
                                                   {"15p", 15e-12},
                                                   {"8", 8.0}};
    for (const auto& [text, value] : rows) {
        const auto read = network::spiceValue(text);
        ASSERT_TRUE(read.has_value()) << text;
        EXPECT_NEAR(*read / value, 1.0, 1e-12) << text;
    }
    EXPECT_FALSE(network::spiceValue("u").has_value());
}

TEST(Import, refusesNamingTheLine) {
    const std::string good =
        "title\nV1 in 0 1\nR1 in a 2\nX1 a 0 d\n.subckt d p m\nR1 p m 8\n.ends\n";
    ASSERT_TRUE(network::importSpice({good}).ok());
    const std::pair<std::string, const char*> rows[] = {
        {good + "Q1 a b c model\n", "line 8, Q1"},
        {good + "R2 a\n", "line 8, R2"},
        {good + "R2 a 0 zero\n", "'zero' is no value"},
        {good + "V2 b 0 1\n", "a second source"},
        {good + "X2 a 0 e\n", "no subcircuit 'e'"},
        {"V1 in 0 1\nR1 in 0 2\n", "no source"}, // the first line is the title,
        {"title\nV1 a b 1\n", "neither node is 0"},
        {good + ".subckt e p\n", "without two nodes"}};
    for (const auto& [text, words] : rows) {
        const auto read = network::importSpice({text});
        ASSERT_FALSE(read.ok()) << text;
        EXPECT_NE(read.error().given.english().find(words), std::string::npos)
            << read.error().given;
    }
    // A node that hangs on nothing is the network's own refusal, by name.
    const auto floating = network::importSpice({good + "R5 x y 3\n"});
    EXPECT_TRUE(floating.ok() == false ||
                !network::solveNetwork({.network = floating->network}).ok());
}

TEST(Export, curvesAsATable) {
    const network::Network n = networkFrom(lossyTwoWay);
    const auto out =
        network::exportNetwork({.network = n, .format = network::ExportFormat::csvResponse});
    ASSERT_TRUE(out.ok());
    std::istringstream in(out->text);
    std::string line;
    std::getline(in, line);
    EXPECT_EQ(line,
              "frequencies_hz,sum_level_db,sum_phase_deg,impedances_ohm,phases_deg,drive_db b 1,"
              "drive_deg b 1,drive_db t,drive_deg t");
    const auto ours = solved(n, curve::designAxis());
    std::size_t k = 0;
    while (std::getline(in, line)) {
        std::vector<double> columns;
        std::istringstream cells(line);
        for (std::string cell; std::getline(cells, cell, ',');) {
            columns.push_back(std::stod(cell));
        }
        ASSERT_EQ(columns.size(), 9U);
        ASSERT_NEAR(columns[3], std::abs(ours.impedances[k]), 1e-9 * columns[3]);
        ASSERT_NEAR(columns[5], quantity::decibels(std::abs(ours.drives[0][k])), 1e-9);
        ++k;
    }
    EXPECT_EQ(k, curve::designAxis().size());
}

} // namespace yf::test
