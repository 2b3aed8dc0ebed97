// SPDX-License-Identifier: GPL-3.0-or-later
// The network's notation (docs/theory/network.md, "Notation"): what is read, what it means, what is
// refused by name, and the hand's work on the ladder.
#include "core/network/circuit/circuit.h"
#include "core/network/circuit/ladder_edit.h"
#include "core/text/sentence.h"
#include "tests/support/networks.h"

#include <gtest/gtest.h>

#include <numbers>

namespace yf::test {

namespace {

using namespace network;

Part partFrom(const std::string& text) {
    auto part = readPart(text, "part");
    EXPECT_TRUE(part.ok()) << text << ": " << (part.ok() ? "" : text::sentence(part.error()));
    return part.ok() ? *part : Part{};
}

Circuit circuitFrom(const std::string& json) {
    auto circuit = Circuit::read(text::parseJson(json).value(), "network");
    EXPECT_TRUE(circuit.ok()) << (circuit.ok() ? "" : text::sentence(circuit.error()));
    return circuit.value();
}

std::vector<std::string> idsOf(const Circuit& circuit) {
    std::vector<std::string> ids;
    for (const Part& part : parts(circuit)) {
        ids.push_back(part.id);
    }
    return ids;
}

using Ids = std::vector<std::string>;

} // namespace

TEST(PartNotation, valuesAndPrefixes) {
    struct {
        const char* text;
        PartKind kind;
        double value;
    } const rows[] = {
        {"R1 6.8", PartKind::resistor, 6.8},
        {"R1 6.8Ω", PartKind::resistor, 6.8},
        {"R1 6.8ohm", PartKind::resistor, 6.8},
        {"R1 2k2", PartKind::resistor, 2200.0},
        {"R1 470m", PartKind::resistor, 0.47},
        {"L1 1.8mH", PartKind::coil, 1.8e-3},
        {"L1 1.8m", PartKind::coil, 1.8e-3},
        {"L1 220uH", PartKind::coil, 220e-6},
        {"L1 0.0018", PartKind::coil, 1.8e-3},
        {"C1 12uF", PartKind::capacitor, 12e-6},
        {"C1 12u", PartKind::capacitor, 12e-6},
        {"C1 470n", PartKind::capacitor, 470e-9},
        {"C1 12µF", PartKind::capacitor, 12e-6},
        {"C1 12 uF", PartKind::capacitor, 12e-6},
        {"C1 1.2e-05F", PartKind::capacitor, 1.2e-5},
        {"C17 100p", PartKind::capacitor, 100e-12},
    };

    for (const auto& row : rows) {
        const Part part = partFrom(row.text);
        EXPECT_EQ(part.kind, row.kind) << row.text;
        EXPECT_NEAR(part.value / row.value, 1.0, 1e-12) << row.text;
    }
}

TEST(PartNotation, lossesToleranceAndPrice) {
    const Part coil = partFrom("L1 1.8mH dcr=0.35 rp=470 tol=5 price=9.8 fixed=1");
    EXPECT_EQ(coil.dcr, 0.35);
    EXPECT_EQ(coil.rp, 470.0);
    EXPECT_NEAR(coil.tolerance.value(), 0.05, 1e-15);
    EXPECT_EQ(coil.price, 9.8);
    EXPECT_TRUE(coil.fixed);
    const Part capacitor = partFrom("C1 12uF esr=30m df=0.04 df_hz=120 leak=47k");
    EXPECT_NEAR(capacitor.esr, 0.03, 1e-15);
    EXPECT_EQ(capacitor.leak, 47000.0);
    // ESR and the loss factor's share: tanδ/(2π·f_δ·C).
    EXPECT_NEAR(
        lossResistance(capacitor), 0.03 + 0.04 / (2.0 * std::numbers::pi * 120.0 * 12e-6), 1e-12);
    EXPECT_EQ(lossResistance(partFrom("R1 5")), 0.0);
    EXPECT_EQ(lossResistance(coil), 0.35);
}

TEST(PartNotation, textAndObjectSayTheSame) {
    for (const char* const text :
         {"R1 6.8", "L2 1.8mH dcr=0.35", "C3 12uF esr=0.03 df=0.04 tol=10 price=2.5"}) {
        const Part part = partFrom(text);
        const auto again = readPart(writePart(part), "part");
        ASSERT_TRUE(again.ok());
        EXPECT_EQ(*again, part);
    }
    const auto object = readPart(
        text::parseJson(R"({"id":"C3","kind":"C","value_f":1.2e-5,"esr_ohm":0.03})").value(),
        "part");
    ASSERT_TRUE(object.ok());
    EXPECT_EQ(*object, partFrom("C3 12uF esr=0.03"));
}

TEST(PartNotation, refusalsNameThePlaceAndWhatWouldDo) {
    struct {
        const char* json;
        const char* said;
    } const rows[] = {
        {R"("C1")", "must be ID VALUE"},
        {R"("X1 5")", "first letter"},
        {R"("C1 12mH")", "'12mH' given"},
        {R"("C1 1,2uF")", "decimal point"},
        {R"("C1 12uF dcr=1")", "nearest known key"},
        {R"("C1 12 uF esr")", "must be key=value"},
        {R"("C1 12uF esr=-1")", "must be"},
        {R"("R1 5 fixed=2")", "fixed must be 0 or 1"},
        {R"("R1 1e30")", "must be"},
        {R"({"id":"C3","kind":"C","value_h":1})", "part.value_h"},
        {R"({"id":"C3","kind":"C"})", "part.value_f"},
        {R"({"id":"L3","kind":"C","value_f":1e-6})", "part.id"},
        {R"(5)", "a part"},
    };

    for (const auto& row : rows) {
        const auto part = readPart(text::parseJson(row.json).value(), "part");
        ASSERT_FALSE(part.ok()) << row.json;
        EXPECT_NE(text::sentence(part.error()).english().find(row.said), std::string::npos)
            << row.json << "\n"
            << text::sentence(part.error());
    }
}

TEST(CircuitNotation, bareLettersAreNumberedInWritingOrder) {
    const Circuit circuit = circuitFrom(R"({"ladder": [{"series": "R 1"}], "ways": [
        {"ladder": [{"series": "L 1mH"}, {"shunt": ["C 1uF", "R 2"]}], "driver": "a"},
        {"ladder": [{"series": {"parallel": ["C 2uF", ["R1 5", "L 2mH"]]}}], "driver": "b"}]})");
    EXPECT_EQ(idsOf(circuit), (Ids{"R2", "L1", "C1", "R3", "C2", "R1", "L2"}));
}

TEST(CircuitNotation, waysDriversAndNames) {
    const Circuit circuit = circuitFrom(
        R"({"source": {"voltage_v": 4, "resistance_ohm": 0.1}, "join": "series", "ways": [
        {"name": "bass", "driver": "a", "count": 2, "wiring": "series"},
        {"ways": [{"driver": "b", "polarity": -1}, {"name": "top", "driver": "c"}]}]})");
    EXPECT_EQ(circuit.source.voltage, 4.0);
    EXPECT_EQ(circuit.source.resistance, 0.1);
    const auto ends = driverEnds(circuit);
    ASSERT_EQ(ends.size(), 3U);
    EXPECT_EQ(ends[0].inSeries, 2);
    EXPECT_EQ(ends[0].inParallel, 1);
    EXPECT_EQ(ends[1].polarity, -1);
    EXPECT_EQ(wayNames(circuit), (Ids{"bass", "b", "top"}));
    EXPECT_EQ(std::get<Ways>(circuit.tree()->end).join, Joining::series);
    EXPECT_EQ(Circuit::read(circuit.write(), "").value(), circuit);
}

// docs/theory/network.md, "Parts": what a control stands for at its position.
TEST(CircuitNotation, controlsAtTheirPosition) {
    struct {
        ControlKind kind;
        double position;
        double inLine;
        std::optional<double> toReturn;
    } const rows[] = {
        {ControlKind::rheostat, 0.25, 15.0, std::nullopt},
        {ControlKind::potentiometer, 0.25, 15.0, 5.0},
        {ControlKind::lPad, 0.25, 15.0, 20.0 / 3.0},
        {ControlKind::lPad, 1.0, 0.0, std::nullopt},
        {ControlKind::rheostat, 1.0, 0.0, std::nullopt},
    };

    for (const auto& row : rows) {
        const ControlResistances R =
            resistances({.kind = row.kind, .total = 20.0, .position = row.position});
        EXPECT_NEAR(R.inLine, row.inLine, 1e-12);
        ASSERT_EQ(R.toReturn.has_value(), row.toReturn.has_value()) << row.inLine;
        if (row.toReturn) {
            EXPECT_NEAR(*R.toReturn, *row.toReturn, 1e-12);
        }
    }
}

// An L-pad keeps the load's impedance at every position: that is what it is built for.
TEST(CircuitNotation, lPadKeepsItsImpedance) {
    for (const double x : {0.1, 0.3, 0.5, 0.9}) {
        const ControlResistances R =
            resistances({.kind = ControlKind::lPad, .total = 8.0, .position = x});
        EXPECT_NEAR(R.inLine + *R.toReturn * 8.0 / (*R.toReturn + 8.0), 8.0, 1e-9) << x;
    }
}

TEST(LadderEdit, replacingTakingOutAndPuttingIn) {
    const Circuit circuit = circuitFrom(R"({"ways": [
        {"ladder": [{"series": "L1 1mH"}, {"shunt": ["R1 5", "C1 10uF"]}], "driver": "a"},
        {"ladder": [{"series": {"parallel": ["C2 5uF", "R2 8", "L2 1mH"]}}], "driver": "b"}]})");
    Part part = findPart(circuit, "C2").value();
    part.value = 7e-6;
    EXPECT_NEAR(findPart(withPart(circuit, part).value(), "C2")->value, 7e-6, 1e-18);
    EXPECT_EQ(idsOf(withoutPart(circuit, "L1").value()), (Ids{"R1", "C1", "C2", "R2", "L2"}));
    // Out of a composite the others stay, and one left over is no composite any more.
    const Circuit less = withoutPart(circuit, "R1").value();
    EXPECT_EQ(idsOf(less), (Ids{"L1", "C1", "C2", "R2", "L2"}));
    EXPECT_NE(std::get<ShuntSlot>(waySection(less, 0)->ladder[1]).port.part(), nullptr);
    // The whole slot goes where a bypass asks for it.
    EXPECT_EQ(idsOf(withoutSlotOf(circuit, "R2").value()), (Ids{"L1", "R1", "C1"}));
    const auto inserted = withInserted(circuit, {1, 0, true}, partFrom("C9 1uF"));
    ASSERT_TRUE(inserted.ok());
    EXPECT_EQ(inserted->id, "C3");
    EXPECT_EQ(idsOf(inserted->circuit), (Ids{"L1", "R1", "C1", "C3", "C2", "R2", "L2"}));
    const auto zobel =
        withSlot(circuit,
                 {0, 2, false},
                 readOnePort(text::parseJson(R"(["R 6", "C 12uF"])").value(), "").value());
    ASSERT_TRUE(zobel.ok());
    EXPECT_EQ(idsOf(*zobel), (Ids{"L1", "R1", "C1", "R3", "C3", "C2", "R2", "L2"}));
    EXPECT_EQ(driverEnds(withPolarity(circuit, 1, -1).value())[1].polarity, -1);
    EXPECT_EQ(driverEnds(withPolarity(circuit, 1, -1).value())[0].polarity, 1);
}

TEST(LadderEdit, couplingsGoWithTheirCoils) {
    const Circuit circuit = circuitFrom(R"({"couplings": [["L1", "L2", 0.1]], "ways": [
        {"ladder": [{"series": "L1 1mH"}], "driver": "a"}, {"ladder": [{"shunt": "L2 1mH"}], "driver": "b"}]})");
    EXPECT_EQ(circuit.couplings.size(), 1U);
    EXPECT_TRUE(withoutPart(circuit, "L2")->couplings.empty());
}

TEST(LadderEdit, everyPlaceOfEveryRandomTreeTakesAPart) {
    for (std::uint64_t seed = 1; seed <= 60; ++seed) {
        const Circuit circuit = randomNetwork(seed).circuit;
        const std::size_t before = parts(circuit).size();
        for (std::size_t way = 0; waySection(circuit, way) != nullptr; ++way) {
            const std::size_t slots = waySection(circuit, way)->ladder.size();
            for (std::size_t slot = 0; slot <= slots; ++slot) {
                const auto inserted =
                    withInserted(circuit, {way, slot, slot % 2 == 0}, partFrom("R1 5"));
                ASSERT_TRUE(inserted.ok());
                ASSERT_EQ(parts(inserted->circuit).size(), before + 1);
                // And out again: the same as before.
                ASSERT_EQ(withoutPart(inserted->circuit, inserted->id).value(), circuit);
            }
            EXPECT_FALSE(withInserted(circuit, {way, slots + 1, true}, partFrom("R1 5")).ok());
        }
        for (const Part& part : parts(circuit)) {
            ASSERT_EQ(parts(withoutPart(circuit, part.id).value()).size(), before - 1);
        }
        EXPECT_FALSE(withoutPart(circuit, "Z1").ok());
    }
}

} // namespace yf::test
