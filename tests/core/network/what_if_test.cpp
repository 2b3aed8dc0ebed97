// SPDX-License-Identifier: GPL-3.0-or-later
// Other states of a speaker, against circuits in which that state is written out by hand.
#include "core/network/judge/what_if.h"
#include "core/quantity/level.h"
#include "tests/support/networks.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <cmath>

namespace yf::test {

namespace {

using curve::Complex;
using network::WhatIf;

/// A two-way whose drivers speak as they are driven, `w` and `t` being their impedances in JSON.
network::Network twoWay(const std::string& w, const std::string& t, const std::string& source) {
    const std::string flat =
        R"(,"response":{"frequencies_hz":[10,40000],"levels_db":[88,88],"phases_deg":[0,0]}})";
    return networkFrom(
        R"({"source":{"resistance_ohm":)" + source + R"(},"drivers":{"w":{)" + w + flat +
        R"(,"t":{)" + t + flat + R"(},"ways":[)" +
        R"({"ladder":[{"series":"L1 1mH dcr=0.3"},{"shunt":"C1 10uF"}],"driver":"w"},)" +
        R"({"ladder":[{"series":"C2 6uF"},{"shunt":"L2 0.4mH"}],"driver":"t"}]})");
}

const std::string woofer = R"("Re_ohm":5.8,"Le_h":0.0004,"fs_hz":42,"Qms":4.5,"Qes":0.42)";
const std::string tweeter = R"("Re_ohm":5.2,"Le_h":0.00005,"fs_hz":900,"Qms":2.5,"Qes":1.2)";

void addResistor(network::Section& way, const char* id, double ohms) {
    network::Part part;
    part.id = id;
    part.value = ohms;
    network::SeriesSlot slot;
    slot.port = part;
    way.ladder.emplace_back(slot);
}

network::WhatIfCurves state(const network::Network& n, const WhatIf& what) {
    return *network::whatIf(n.circuit, *network::loadsOn(n, curve::designAxis()), what);
}

} // namespace

// Hot: a resistor of 0.4 Re at the terminals of each driver does the same, terminals being behind
// it.
TEST(WhatIf, hotCoilsAreResistorsBeforeTheDrivers) {
    const auto cold = twoWay(woofer, tweeter, "0.05");
    const auto hot = state(cold, {.kind = WhatIf::Kind::hotCoils, .amount = 0.4});
    network::Network written = cold;
    auto& ways = std::get<network::Ways>(written.circuit.tree()->end).sections;
    addResistor(ways[0], "R8", 0.4 * 5.8);
    addResistor(ways[1], "R9", 0.4 * 5.2);
    const auto loads = *network::loadsOn(written, curve::designAxis());
    const auto solution = solved(written, curve::designAxis());
    const auto p = *network::pressures(written.circuit, loads, solution);
    for (std::size_t k = 0; k < hot.axis.size(); ++k) {
        ASSERT_LT(std::abs(hot.impedance[k] - solution.impedances[k]), 1e-9);
        ASSERT_LT(std::abs(hot.sum[k] / p.sum[k] - 1.0), 1e-9) << hot.axis[k];
    }
}

TEST(WhatIf, anAmplifierOfItsOwn) {
    const auto quiet = state(twoWay(woofer, tweeter, "0.05"),
                             {.kind = WhatIf::Kind::sourceResistance, .amount = 2.0});
    const auto written = solved(twoWay(woofer, tweeter, "2"), curve::designAxis());
    for (std::size_t k = 0; k < quiet.axis.size(); ++k) {
        ASSERT_LT(std::abs(quiet.impedance[k] - written.impedances[k]), 1e-12);
    }
    // Level falls by the divider at the least of |Z|, and less where |Z| is high.
    const auto before = state(twoWay(woofer, tweeter, "0"),
                              {.kind = WhatIf::Kind::sourceResistance, .amount = 0.0});
    for (std::size_t k = 0; k < quiet.axis.size(); ++k) {
        const Complex divider = quiet.impedance[k] / (quiet.impedance[k] + 2.0);
        ASSERT_NEAR(
            quantity::decibels(quiet.sum[k] / before.sum[k]), quantity::decibels(divider), 1e-9);
    }
}

// A low-pass without its driver is a series resonator (docs/theory/network.md).
TEST(WhatIf, aDriverUnpluggedOrShortedIsSilent) {
    const auto n = twoWay(woofer, tweeter, "0.05");
    const auto open = state(n, {.kind = WhatIf::Kind::driverOpen, .driver = "w"});
    double least = 1e9;
    for (const Complex& Z : open.impedance) {
        least = std::min(least, std::abs(Z));
    }
    EXPECT_LT(least, 1.0); // 0.35 Ω of losses are all that is left at 1.6 kHz
    const auto tweeterOnly = network::whatIf(n.circuit,
                                             *network::loadsOn(n, {100.0}),
                                             {.kind = WhatIf::Kind::driverOpen, .driver = "w"});
    EXPECT_LT(quantity::decibels(tweeterOnly->sum[0] / quantity::referencePressure), 40.0);
    const auto shorted = state(n, {.kind = WhatIf::Kind::driverShorted, .driver = "w"});
    // In the bass only the coil's wire is left.
    EXPECT_NEAR(std::abs(shorted.impedance.front()), 0.31, 0.06);
    const auto wrong = network::whatIf(n.circuit,
                                       *network::loadsOn(n, {100.0}),
                                       {.kind = WhatIf::Kind::driverOpen, .driver = "x"});
    ASSERT_FALSE(wrong.ok());
    EXPECT_EQ(wrong.error().subject, "driver");
}

} // namespace yf::test
