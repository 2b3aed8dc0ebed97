// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/network/circuit/ladder_edit.h"
#include "core/network/judge/load.h"
#include "core/network/solve/solve.h"
#include "core/quantity/level.h"
#include "tests/support/check_table.h"
#include "tests/support/networks.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <numbers>

namespace yf::test {

namespace {

using namespace network;

AmplifierLoad loadFrom(const std::string& json, std::optional<double> minimum = {}) {
    auto load = loadOf({.network = networkFrom(json), .minimum = minimum});
    EXPECT_TRUE(load.ok());
    return load.value();
}

bool warns(const AmplifierLoad& load, const std::string& code) {
    return std::ranges::find(load.warnings, code) != load.warnings.end();
}

std::string oneWay(const std::string& ladder, const std::string& driver = R"({"r_ohm": 8})") {
    return R"({"drivers": {"d": )" + driver + R"(}, "ladder": [)" + ladder + R"(], "driver": "d"})";
}

} // namespace

// Benjamin 1994 by its closed form: 1 at 0°, 1/8·1/sin³(…) elsewhere; three digits as published in
// docs/theory/network.md.
TEST(Epdr, ofTheTable) {
    const Row table[] = {{0.0, 1.0, 1e-9},
                         {30.0, 0.471, 5e-4},
                         {45.0, 0.354, 5e-4},
                         {60.0, 0.278, 5e-4},
                         {90.0, 0.192, 5e-4}};
    checkTable(table, [](double degrees) {
        return epdr(std::polar(1.0, degrees * std::numbers::pi / 180.0));
    });
    EXPECT_EQ(epdr(std::polar(5.0, 0.7)), epdr(std::polar(5.0, -0.7)));
    EXPECT_NEAR(epdr(std::polar(5.4966, 43.30 * std::numbers::pi / 180.0)), 2.0023, 2e-4);
}

// Brute force as the witness: 200 000 points over the band.
TEST(LeastImpedance, isFoundBetweenThePoints) {
    const char* const ladders[] = {
        R"({"shunt": ["R1 0.4", "L1 1mH", "C1 10uF"]})",   // a dip of Q 25
        R"({"shunt": ["L1 0.3mH dcr=0.05", "C1 33uF"]})",  // a sharper one
        R"({"series": "L1 0.5mH"}, {"shunt": "C1 10uF"})", // a resonance with the load
        R"({"series": {"parallel": ["L1 1mH", "C1 10uF"]}})",
    };
    for (const char* const ladder : ladders) {
        const Network network = networkFrom(oneWay(ladder));
        const Axis audible = audibleAxis({10.0, 40000.0});
        const LoadsOn source = loadSource(network);
        const auto found =
            leastImpedance(network.circuit, source, PreparedLoads(source(audible).value()));
        ASSERT_TRUE(found.ok());
        Axis fine;
        for (int k = 0; k <= 200000; ++k) {
            fine.push_back(20.0 * std::pow(1000.0, k / 200000.0));
        }
        const auto Z = solved(network, fine).impedances;
        const auto least =
            std::ranges::min_element(Z, {}, [](const Complex& z) { return std::abs(z); });
        EXPECT_NEAR(found->ohms, std::abs(*least), 1e-4 * std::abs(*least)) << ladder;
        EXPECT_NEAR(found->frequency / fine[static_cast<std::size_t>(least - Z.begin())], 1.0, 2e-3)
            << ladder;
    }
}

TEST(LeastImpedance, ofSeriesResonanceIsItsLoss) {
    // f0 = 1/(2π√(LC)), |Z| there = R of the branch ∥ the load.
    const Network network =
        networkFrom(oneWay(R"({"shunt": ["R1 0.5", "L1 1mH", "C1 22uF"]})", R"({"r_ohm": 1000})"));
    const LoadsOn source = loadSource(network);
    const auto found = leastImpedance(
        network.circuit, source, PreparedLoads(source(audibleAxis({10.0, 40000.0})).value()));
    EXPECT_NEAR(found->frequency, 1.0 / (2.0 * std::numbers::pi * std::sqrt(1e-3 * 22e-6)), 0.05);
    EXPECT_NEAR(found->ohms, 0.5 * 1000.0 / 1000.5, 1e-6);
}

TEST(Load, warningsAndTheirAbsence) {
    struct {
        std::string json;
        std::vector<std::string> present;
        std::vector<std::string> absent;
    } const rows[] = {
        {oneWay(""),
         {},
         {"z-below-limit", "epdr-below-2-ohm", "short-at-dc", "short-at-hf", "dc-reaches:d"}},
        {oneWay("", R"({"r_ohm": 3})"), {"z-below-limit"}, {"short-at-dc", "epdr-below-2-ohm"}},
        {oneWay("", R"({"r_ohm": 0.9})"),
         {"z-below-limit", "epdr-below-2-ohm", "short-at-dc", "short-at-hf"},
         {}},
        {oneWay("", R"({"r_ohm": 8, "role": "treble"})"), {"dc-reaches:d"}, {}},
        {oneWay(R"({"series": "C1 5uF"})", R"({"r_ohm": 8, "role": "treble"})"),
         {},
         {"dc-reaches:d"}},
        // A leaking capacitor lets direct current through.
        {oneWay(R"({"series": "C1 5uF leak=10k"})", R"({"r_ohm": 8, "role": "treble"})"),
         {"dc-reaches:d"},
         {}},
        // Resonating above 500 Hz it takes none either, whatever its role says.
        {oneWay("", R"({"Re_ohm": 6, "fs_hz": 900, "Qms": 2, "Qes": 1.5})"), {"dc-reaches:d"}, {}},
        {oneWay(R"({"shunt": "L1 5mH dcr=0.3"})"), {"short-at-dc"}, {"short-at-hf"}},
        {oneWay(R"({"shunt": "C1 5uF"})"), {"short-at-hf"}, {"short-at-dc"}},
        {oneWay(R"({"series": "L1 1mH"}, {"shunt": "C1 10uF"})"),
         {"near-short-if-removed:d"},
         {"short-at-hf"}},
    };

    for (const auto& row : rows) {
        const AmplifierLoad load = loadFrom(row.json);
        for (const std::string& code : row.present) {
            EXPECT_TRUE(warns(load, code)) << row.json << " " << code;
        }
        for (const std::string& code : row.absent) {
            EXPECT_FALSE(warns(load, code)) << row.json << " " << code;
        }
    }
}

TEST(Load, directCurrentByRules) {
    struct {
        std::string json;
        std::optional<double> dcr;
        std::vector<bool> paths;
    } const rows[] = {
        {oneWay(R"({"series": "L1 1mH dcr=0.4"})"), 8.4, {true}},
        {oneWay(R"({"series": "L1 1mH dcr=0.4"}, {"shunt": "R1 8"})"), 4.4, {true}},
        {oneWay(R"({"series": "C1 10uF"})"), std::nullopt, {false}},
        {oneWay(R"({"series": "C1 10uF"}, {"shunt": "L1 1mH"})"), std::nullopt, {false}},
        {oneWay(R"({"transformer": {"ratio": 0.5, "dcr_ohm": 0.2}})"), 0.2 + 8.0 / 0.25, {true}},
        {oneWay(R"({"transformer": {"ratio": 0.5, "magnetizing_h": 0.1, "dcr_ohm": 0.2}})"),
         0.2,
         {false}},
        {R"({"drivers": {"d": {"r_ohm": 8}}, "net": {"parts": [["R1 4", "in", "a"], ["R2 8", "a", "0"]], "drivers": [["d", "a", "0", 1]]}})",
         8.0,
         {true}},
    };

    for (const auto& row : rows) {
        const AmplifierLoad load = loadFrom(row.json);
        ASSERT_EQ(load.dcr.has_value(), row.dcr.has_value()) << row.json;
        if (row.dcr) {
            EXPECT_NEAR(*load.dcr, *row.dcr, 1e-9) << row.json;
        }
        EXPECT_EQ(load.dcPaths, row.paths) << row.json;
    }
}

TEST(Load, limitFollowsTheAmplifier) {
    EXPECT_FALSE(warns(loadFrom(oneWay("", R"({"r_ohm": 3})"), 2.5), "z-below-limit"));
    EXPECT_TRUE(warns(loadFrom(oneWay("", R"({"r_ohm": 5})"), 6.0), "z-below-limit"));
}

// Pressure of a way: units in parallel add, units in series share the voltage, a delay turns and
// does no more.
TEST(Pressures, countWiringAndDelay) {
    const std::string response =
        R"("response": {"frequencies_hz": [10, 40000], "levels_db": [80, 80], "phases_deg": [0, 0]})";
    const auto sumOf = [&](const std::string& end, const std::string& extra = "") {
        const Network network = networkFrom(R"({"drivers": {"d": {"r_ohm": 8, )" + response +
                                            extra + R"(}}, "driver": "d")" + end + "}");
        const auto loads = loadsOn(network, {100.0, 1000.0});
        const auto solution = solve(network.circuit, PreparedLoads(*loads));
        return pressures(network.circuit, *loads, *solution)->sum;
    };
    const auto one = sumOf("");
    EXPECT_NEAR(quantity::decibels(one[0] / quantity::referencePressure), 80.0, 1e-9);
    EXPECT_NEAR(std::abs(sumOf(R"(, "count": 2)")[0] / one[0]), 2.0, 1e-12);
    EXPECT_NEAR(std::abs(sumOf(R"(, "count": 2, "wiring": "series")")[0] / one[0]), 1.0, 1e-12);
    EXPECT_NEAR(std::abs(sumOf(R"(, "polarity": -1)")[0] + one[0]), 0.0, 1e-12);
    const auto late = sumOf("", R"(, "delay_s": 0.00025)");
    EXPECT_NEAR(std::abs(late[1] / one[1]), 1.0, 1e-12);
    EXPECT_NEAR(std::arg(late[1] / one[1]), -2.0 * std::numbers::pi * 0.25, 1e-9);
}

// Which changes would let direct current through to a driver: only those that take the last thing
// away that kept it off.
TEST(Load, whatWouldGiveDirectCurrentIsKnown) {
    const network::Circuit c = networkFrom(
                                   R"({"drivers":{"bass":{"r_ohm":6},"treble":{"r_ohm":6}},
            "ways":[{"ladder":[{"series":"L1 1mH"},{"shunt":"C3 10uF"}],"driver":"bass"},
                    {"ladder":[{"series":"C1 4.7uF"},{"shunt":"L2 0.3mH"},{"series":"C2 10uF"}],"driver":"treble"}]})")
                                   .circuit;
    const auto without = [&](const network::Circuit& from, const char* id) {
        return *network::withoutPart(from, id);
    };
    for (const char* id : {"L1", "C3", "L2", "C1", "C2"}) {
        EXPECT_FALSE(network::givesDirectCurrent(c, without(c, id))) << id;
    }
    const network::Circuit one = without(c, "C1");
    EXPECT_TRUE(network::givesDirectCurrent(one, without(one, "C2")));
    EXPECT_TRUE(network::givesDirectCurrent(c, without(one, "C2")));
    EXPECT_FALSE(network::givesDirectCurrent(without(one, "C2"), c)) << "it gets one instead";
}

} // namespace yf::test
