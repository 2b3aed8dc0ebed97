// SPDX-License-Identifier: GPL-3.0-or-later
// Every source of truth here is ngspice 39, a general-purpose circuit simulator: the ten netlists
// of tests/data/ngspice (hand-written, each explained in its header) and circuits written out by
// tests/support/spice from networks of our own.
#include "core/network/judge/load.h"
#include "core/network/solve/solve.h"
#include "core/quantity/level.h"
#include "tests/support/networks.h"
#include "tests/support/spice.h"

#include <gtest/gtest.h>

#include <numbers>

namespace yf::test {

namespace {

using curve::Complex;
using network::Method;

constexpr double levelTolerance = 0.001;  // dB
constexpr double phaseTolerance = 0.01;   // degrees
constexpr double lowestCompared = -180.0; // dB re EMF: below it ngspice's own fifteen digits end

void expectAlike(const std::vector<Complex>& ours,
                 const std::vector<Complex>& theirs,
                 const std::string& what) {
    ASSERT_EQ(ours.size(), theirs.size()) << what;
    std::size_t compared = 0;
    for (std::size_t k = 0; k < ours.size(); ++k) {
        if (quantity::decibels(theirs[k]) < lowestCompared) {
            continue;
        }
        ++compared;
        const Complex ratio = ours[k] / theirs[k];
        ASSERT_NEAR(quantity::decibels(ratio), 0.0, levelTolerance)
            << what << " at " << curve::designAxis()[k];
        ASSERT_NEAR(std::arg(ratio) * 180.0 / std::numbers::pi, 0.0, phaseTolerance)
            << what << " at " << curve::designAxis()[k];
    }
    EXPECT_GT(compared, ours.size() / 2) << what;
}

struct Case {
    const char* netlist;
    const char* network;
    std::vector<std::string> drives;
    std::string impedance;
};

void compare(const Case& c, Method method) {
    const network::Network network = networkFrom(c.network);
    std::vector<std::string> expressions = c.drives;
    expressions.push_back(c.impedance);
    const auto [axis, theirs] = spice::sweep(spice::circuitOf(c.netlist), expressions);
    const auto ours = solved(network, axis, method);
    for (std::size_t d = 0; d < c.drives.size(); ++d) {
        expectAlike(ours.drives[d], theirs[d], std::string(c.netlist) + " " + c.drives[d]);
    }
    expectAlike(ours.impedances, theirs.back(), std::string(c.netlist) + " impedance");
}

const char* const load = "v(in)/(-i(V1))";

} // namespace

TEST(NgspiceReference, textbookTwoWay) {
    const Case c{"01-two-way-lr4.cir",
                 R"({"drivers": {"w": {"r_ohm": 8}, "t": {"r_ohm": 8}}, "ways": [
                    {"ladder": [{"series": "L1 0.960337404mH"}, {"shunt": "C1 12.6606982uF"}, {"series": "L2 0.480168702mH"}, {"shunt": "C2 2.81348849uF"}], "driver": "w"},
                    {"ladder": [{"series": "C3 4.22023273uF"}, {"shunt": "L3 0.320112468mH"}, {"series": "C4 8.44046546uF"}, {"shunt": "L4 1.44050610mH"}], "driver": "t"}]})",
                 {"v(lo)", "v(hi)"},
                 load};
    compare(c, Method::ladder);
    compare(c, Method::nodal);
}

TEST(NgspiceReference, threeWayOfThirteenSlots) {
    const std::string json = threeWayOfThirteenSlots();
    const Case c{
        "02-three-way-drivers.cir", json.c_str(), {"v(w)/2.83", "(-v(m))/2.83", "v(t)/2.83"}, load};
    compare(c, Method::ladder);
    compare(c, Method::nodal);
}

TEST(NgspiceReference, seriesNetwork) {
    const Case c{"03-series-first-order.cir",
                 R"({"drivers": {
                      "bass": {"Re_ohm": 5.8, "inductance_model": "lr2", "Le_h": 0.00035, "L2_h": 0.0009, "R2_ohm": 3.2, "fs_hz": 42, "Qms": 4.5, "Qes": 0.42},
                      "dome": {"Re_ohm": 5.6, "Le_h": 0.00003, "fs_hz": 1250, "Qms": 3.4, "Qes": 1.7}},
                     "join": "series", "ways": [{"ladder": [{"shunt": "C1 10uF"}], "driver": "bass"}, {"ladder": [{"shunt": "L1 0.33mH"}], "driver": "dome"}]})",
                 {"(v(in)-v(a))", "v(a)"},
                 load};
    compare(c, Method::ladder);
    compare(c, Method::nodal);
    // The header's claim: the two drives add up to the source whatever the drivers are.
    const auto ours = solved(networkFrom(c.network), curve::designAxis());
    for (std::size_t k = 0; k < ours.impedances.size(); ++k) {
        ASSERT_NEAR(std::abs(ours.drives[0][k] + ours.drives[1][k] - 1.0), 0.0, 1e-13);
    }
}

TEST(NgspiceReference, fillerDriver) {
    const Case c{"04-filler-driver.cir",
                 R"({"drivers": {"a": {"r_ohm": 8}, "b": {"r_ohm": 8}, "c": {"r_ohm": 8}}, "ways": [
                    {"ladder": [{"series": "L1 2.57233233mH"}, {"shunt": "C1 20.0963463uF"}], "driver": "a"},
                    {"ladder": [{"series": ["L2 1.28616617mH", "C2 40.1926927uF"]}], "driver": "b"},
                    {"ladder": [{"series": "C3 20.0963463uF"}, {"shunt": "L3 2.57233233mH"}], "driver": "c"}]})",
                 {"v(lo)", "v(mid)", "v(hi)"},
                 load};
    compare(c, Method::ladder);
    compare(c, Method::nodal);
}

TEST(NgspiceReference, flattenedImpedances) {
    struct {
        const char* json;
        const char* voltage;
    } const rows[] = {
        {R"({"drivers": {"d": {"r_ohm": 6}}, "ladder": [{"shunt": ["R1 6", "C1 13.8888889uF"]}, {"series": "L1 0.5mH"}], "driver": "d"})",
         "v(a)"},
        {R"({"drivers": {"d": {"Re_ohm": 6, "inductance_model": "none", "fs_hz": 900, "Qms": 2, "Qes": 1.9}},
             "ladder": [{"shunt": ["R1 11.7", "L1 2.01597108mH", "C1 15.5122926uF"]}], "driver": "d"})",
         "v(b)"},
        {R"({"drivers": {"d": {"Re_ohm": 6, "Le_h": 0.0005, "fs_hz": 900, "Qms": 2, "Qes": 1.9}},
             "ladder": [{"shunt": ["R2 6", "C2 13.8888889uF"]}, {"shunt": ["R1 11.7", "L1 2.01597108mH", "C1 15.5122926uF"]}], "driver": "d"})",
         "v(c)"},
        {R"({"drivers": {"d": {"Re_ohm": 6, "Le_h": 0.0005, "fs_hz": 900, "Qms": 2, "Qes": 1.9}},
             "ladder": [{"shunt": ["R2 6", {"parallel": ["C2 13.8888889uF", ["R1 5.7", "L1 2.01597108mH", "C1 15.5122926uF"]]}]}], "driver": "d"})",
         "v(d)"}};

    for (const auto& row : rows) {
        // A current source of 1 A into a load that shows its ohms as volts.
        const auto [axis, theirs] =
            spice::sweep(spice::circuitOf("05-flat-impedance.cir"), {row.voltage});
        for (const Method method : {Method::ladder, Method::nodal}) {
            expectAlike(
                solved(networkFrom(row.json), axis, method).impedances, theirs[0], row.voltage);
        }
    }
}

TEST(NgspiceReference, trapsAndShelf) {
    const Case c{"06-traps-and-step.cir",
                 R"({"drivers": {"a": {"r_ohm": 8}, "b": {"r_ohm": 8}, "c": {"r_ohm": 8}}, "ways": [
                    {"ladder": [{"series": {"parallel": ["R1 6.226235280", "L1 0.0544470397mH", "C1 17.2051833uF"]}}], "driver": "a"},
                    {"ladder": [{"series": "R2 3.3"}, {"shunt": ["R3 3.994375753", "L2 0.373955674mH", "C2 5.859523525uF"]}], "driver": "b"},
                    {"ladder": [{"series": {"parallel": ["R4 8", "L3 1.6440559mH"]}}], "driver": "c"}]})",
                 {"v(a)", "v(b)", "v(c)"},
                 load};
    compare(c, Method::ladder);
    compare(c, Method::nodal);
}

TEST(NgspiceReference, peakDissipationAgreesWithTheTimeDomain) {
    const Case c{
        "07-load-and-peak-dissipation.cir",
        R"({"drivers": {"d": {"r_ohm": 4}}, "ladder": [{"series": "L1 1.5mH"}], "driver": "d"})",
        {},
        load};
    compare(c, Method::ladder);
    const auto at400 = solved(networkFrom(c.network), {400.0, 401.0});
    EXPECT_NEAR(std::abs(at400.impedances[0]), spice::printed(c.netlist, "z_abs"), 1e-4);
    // epdr_time is found by ngspice from the instantaneous power of a transient run.
    EXPECT_NEAR(network::epdr(at400.impedances[0]), spice::printed(c.netlist, "epdr_time"), 0.002);
}

TEST(NgspiceReference, coupledCoils) {
    for (const char* const k : {"1e-9", "0.05"}) {
        std::string circuit = spice::circuitOf("08-coupled-coils.cir");
        circuit.replace(circuit.find("1e-9"), 4, k);
        const std::string json =
            R"({"drivers": {"w": {"r_ohm": 8}, "t": {"r_ohm": 8}}, "couplings": [["L1", "L2", )" +
            std::string(k) + R"(]], "ways": [
            {"ladder": [{"series": "L1 1.5mH"}, {"shunt": "C1 15uF"}], "driver": "w"},
            {"ladder": [{"series": "C2 5.6uF"}, {"shunt": "L2 0.4mH"}], "driver": "t"}]})";
        const auto [axis, theirs] = spice::sweep(circuit, {"v(a)", "v(b)", load});
        const auto ours = solved(networkFrom(json), axis);
        expectAlike(ours.drives[0], theirs[0], "woofer, k " + std::string(k));
        expectAlike(ours.drives[1], theirs[1], "tweeter, k " + std::string(k));
        expectAlike(ours.impedances, theirs[2], "load, k " + std::string(k));
    }
}

TEST(NgspiceReference, directCurrentAndLimits) {
    const char* const netlist = "09-direct-current-and-limits.cir";
    const network::Network network = networkFrom(
        R"({"drivers": {"lo": {"r_ohm": 5.8}, "hi": {"r_ohm": 4.9, "role": "treble"}}, "ways": [
        {"ladder": [{"shunt": "C1 2.2uF esr=0.1"}, {"series": "L1 1mH dcr=0.3"}], "driver": "lo"},
        {"ladder": [{"series": "R1 8.2"}, {"shunt": "L2 0.5mH dcr=0.4"}], "driver": "hi"}]})");
    const auto load09 = network::loadOf({.network = network});
    ASSERT_TRUE(load09.ok());
    EXPECT_NEAR(load09->dcr.value(), spice::printed(netlist, "dc_ohm"), 1e-6);
    const auto far = solved(network, {1e5, 1.9e5});
    EXPECT_EQ(load09->dcPaths, (std::vector<bool>{true, true}));
    // ngspice's limit at 1 GHz is the 0.1 Ω of the capacitor branch; at 190 kHz it is nearly there.
    EXPECT_NEAR(spice::printed(netlist, "hf_ohm"), 0.1, 1e-3);
    EXPECT_LT(std::abs(far.impedances[1]), 0.5);
    EXPECT_EQ(load09->warnings.front(), "epdr-below-2-ohm");
    EXPECT_NE(std::ranges::find(load09->warnings, "dc-reaches:hi"), load09->warnings.end());
    EXPECT_NE(std::ranges::find(load09->warnings, "short-at-hf"), load09->warnings.end());
}

TEST(NgspiceReference, driverRemoved) {
    const char* const netlist = "10-driver-removed.cir";
    const char* const json = R"({"drivers": {"w": {"r_ohm": 8}, "t": {"r_ohm": 8}}, "ways": [
        {"ladder": [{"series": "L1 1.01859164mH dcr=0.35"}, {"shunt": "C1 3.97887358uF esr=0.05"}], "driver": "w"},
        {"ladder": [{"series": "C2 3.97887358uF"}, {"shunt": "L2 1.01859164mH"}], "driver": "t"}]})";
    compare({netlist, json, {"v(p2)", "v(q)"}, "v(p)/(-i(V1))"}, Method::ladder);
    const auto found = network::loadOf({.network = networkFrom(json)});
    ASSERT_TRUE(found.ok());
    // z_whole_min of the file reaches to 25 kHz; ours is for 20 Hz to 20 kHz.
    double least = 1e9;
    const auto [axis, theirs] = spice::sweep(spice::circuitOf(netlist), {"v(p)/(-i(V1))"});
    for (std::size_t k = 0; k < theirs[0].size(); ++k) {
        if (axis[k] >= 20.0 && axis[k] <= 20000.0) {
            least = std::min(least, std::abs(theirs[0][k]));
        }
    }
    EXPECT_NEAR(found->impedance.ohms, least, 0.01);
    EXPECT_LE(found->impedance.ohms, least);
    // ngspice looks at 1600 points a decade and may miss the bottom of a dip of Q 40 by half a
    // step: 16 Ω·0.14 % across 0.395 Ω, 0.0007 at the most; ours narrows it between its points.
    const double gridMinimum = spice::printed(netlist, "z_removed_min");
    EXPECT_LE(found->unloadedMinimums[0], gridMinimum);
    EXPECT_NEAR(found->unloadedMinimums[0], gridMinimum, 7e-4);
    EXPECT_NE(std::ranges::find(found->warnings, "near-short-if-removed:w"), found->warnings.end());
}

namespace {

const char* const driverA =
    R"("bass": {"Re_ohm": 5.6, "inductance_model": "lr2", "Le_h": 0.0003, "L2_h": 0.0008, "R2_ohm": 3, "fs_hz": 45, "Qms": 4, "Qes": 0.5})";
const char* const driverB =
    R"("dome": {"Re_ohm": 5.1, "Le_h": 0.00002, "fs_hz": 950, "Qms": 2.2, "Qes": 1.4, "role": "treble"})";

/// Networks of our own, each for something that the ten files do not hold.
const struct {
    const char* name;
    const char* body;
} ownNetworks[] = {
    {"first order with a source of 0.4 ohm",
     R"("source": {"resistance_ohm": 0.4}, "ways": [{"ladder": [{"series": "L1 0.4mH dcr=0.2"}], "driver": "bass"}, {"ladder": [{"series": "C1 6.8uF"}], "driver": "dome", "polarity": -1}])"},
    {"loss factor, leakage and core loss",
     R"("ways": [{"ladder": [{"series": "L1 1mH dcr=0.3 rp=300"}, {"shunt": "C1 10uF df=0.05 leak=47k"}], "driver": "bass"}, {"ladder": [{"series": "C2 4.7uF df=0.02 df_hz=120"}, {"shunt": "L2 0.3mH dcr=0.2"}], "driver": "dome"}])"},
    {"transformer with magnetising coil",
     R"("ways": [{"ladder": [{"series": "L1 0.6mH"}], "driver": "bass"}, {"ladder": [{"series": "C1 5.6uF"}, {"transformer": {"ratio": 0.6, "magnetizing_h": 0.02, "dcr_ohm": 0.3}}], "driver": "dome"}])"},
    {"level controls of old cabinets",
     R"("ways": [{"ladder": [{"series": "L1 0.6mH"}], "driver": "bass"}, {"ladder": [{"series": "C1 5.6uF"}, {"control": {"kind": "potentiometer", "total_ohm": 20, "position": 0.63, "id": "P1"}}], "driver": "dome"}])"},
    {"two woofers in series, two tweeters in parallel",
     R"("ways": [{"ladder": [{"series": "L1 1.2mH"}, {"shunt": "C1 8.2uF"}], "driver": "bass", "count": 2, "wiring": "series"}, {"ladder": [{"series": "C2 5.6uF"}], "driver": "dome", "count": 2, "wiring": "parallel"}])"},
    {"common ladder before the ways",
     R"("source": {"resistance_ohm": 0.05}, "ladder": [{"series": {"parallel": ["R1 3.3", "L1 1.5mH"]}}, {"shunt": ["R2 5.6", "C1 22uF"]}], "ways": [{"ladder": [{"series": "L2 0.8mH"}], "driver": "bass"}, {"ladder": [{"series": "C2 4.7uF"}, {"shunt": "L3 0.25mH"}], "driver": "dome"}])"},
    {"ways that split again",
     R"("ways": [{"ladder": [{"series": "L1 2mH dcr=0.4"}], "ways": [{"driver": "bass"}, {"ladder": [{"series": "L2 1mH"}, {"shunt": "C1 15uF"}], "driver": "bass", "polarity": -1}]}, {"ladder": [{"series": "C2 3.3uF"}], "driver": "dome"}])"},
    {"series join of second order",
     R"("join": "series", "ways": [{"ladder": [{"shunt": "C1 17uF"}, {"series": "L1 0.3mH"}], "driver": "bass"}, {"ladder": [{"shunt": "L2 0.3mH"}, {"series": "C2 17uF"}], "driver": "dome"}])"},
    {"bridge between the ways",
     R"("net": {"parts": [["L1 1mH dcr=0.2", "in", "a"], ["C1 10uF", "a", "0"], ["C2 4.7uF", "in", "b"], ["L2 0.3mH", "b", "0"], ["R1 22", "a", "b"]], "drivers": [["bass", "a", "0", 1], ["dome", "b", "0", -1]]})"},
    {"three coupled coils in a net",
     R"("net": {"parts": [["L1 1mH", "in", "a"], ["C1 10uF", "a", "0"], ["C2 4.7uF", "in", "b"], ["L2 0.3mH", "b", "0"]], "drivers": [["bass", "a", "0", 1], ["dome", "b", "0", 1]]}, "couplings": [["L1", "L2", -0.11]])"}};

} // namespace

TEST(NgspiceOwn, tenNetworksAgreeOnDrivesAndLoad) {
    for (const auto& own : ownNetworks) {
        const network::Network network = networkFrom("{\"drivers\": {" + std::string(driverA) +
                                                     ", " + driverB + "}, " + own.body + "}");
        const spice::Netlist list = spice::netlist(network);
        std::vector<std::string> expressions = list.drives;
        expressions.push_back(list.impedance);
        const auto [axis, theirs] = spice::sweep(list.text, expressions);
        const auto ours = solved(network, axis);
        ASSERT_EQ(ours.drives.size(), list.drives.size()) << own.name;
        for (std::size_t d = 0; d < list.drives.size(); ++d) {
            expectAlike(ours.drives[d], theirs[d], own.name);
        }
        expectAlike(ours.impedances, theirs.back(), own.name);
    }
}

// A sample of the random networks of solvers_test, at the bound that fifteen written digits allow.
TEST(NgspiceOwn, randomNetworksAgreeToNineDigits) {
    for (std::uint64_t seed = 1; seed <= 12; ++seed) {
        const network::Network network = randomNetwork(seed);
        const spice::Netlist list = spice::netlist(network);
        std::vector<std::string> expressions = list.drives;
        expressions.push_back(list.impedance);
        const auto [axis, theirs] = spice::sweep(list.text, expressions);
        const auto ours = solved(network, axis);
        for (std::size_t d = 0; d < list.drives.size(); ++d) {
            for (std::size_t k = 0; k < theirs[d].size(); ++k) {
                // ngspice solves by nodal voltages: what a drive loses as their difference is its
                // own, so the bound is relative to the EMF of 1 V.
                ASSERT_LT(std::abs(ours.drives[d][k] - theirs[d][k]),
                          1e-9 * std::max(1.0, std::abs(theirs[d][k])))
                    << "seed " << seed << ", drive " << d << ", " << axis[k] << " Hz";
            }
        }
    }
}

} // namespace yf::test
