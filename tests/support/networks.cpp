// SPDX-License-Identifier: GPL-3.0-or-later
#include "tests/support/networks.h"

#include "core/text/sentence.h"

#include <gtest/gtest.h>

#include <cmath>

namespace yf::test {

namespace {

using namespace network;

double valueOf(PartKind kind, Random& random) {
    switch (kind) {
    case PartKind::resistor:
        return random.between(0.5, 50.0);
    case PartKind::coil:
        return random.between(0.05e-3, 5e-3);
    case PartKind::capacitor:
        return random.between(1e-6, 100e-6);
    }
    return 1.0;
}

Part randomPart(Random& random, int& number, bool lossy) {
    Part part;
    part.kind = static_cast<PartKind>(random.below(3));
    part.id = std::string(1, letter(part.kind)) + std::to_string(++number);
    part.value = valueOf(part.kind, random);
    if (lossy && part.kind == PartKind::coil) {
        part.dcr = random.between(0.05, 1.0);
        if (random.below(3) == 0) {
            part.rp = random.between(100.0, 5000.0);
        }
    }
    if (lossy && part.kind == PartKind::capacitor) {
        part.esr = random.between(0.01, 0.5);
        if (random.below(3) == 0) {
            part.leak = random.between(1e4, 1e6);
        }
    }
    return part;
}

OnePort randomPort(Random& random, int& number, bool lossy) {
    const int shape = random.below(6);
    if (shape < 4) {
        return OnePort{randomPart(random, number, lossy)};
    }
    Composite composite{.joining = shape == 4 ? Joining::series : Joining::parallel};
    const int count = 2 + random.below(2);
    for (int i = 0; i < count; ++i) {
        composite.ports.emplace_back(randomPart(random, number, lossy));
    }
    return OnePort{composite};
}

std::vector<Slot> randomLadder(Random& random, int& number, bool lossy, int most) {
    std::vector<Slot> ladder;
    const int count = random.below(most + 1);
    for (int i = 0; i < count; ++i) {
        OnePort port = randomPort(random, number, lossy);
        if (random.below(2) == 0) {
            ladder.emplace_back(SeriesSlot{std::move(port)});
        } else {
            ladder.emplace_back(ShuntSlot{std::move(port)});
        }
    }
    return ladder;
}

driver::ImpedanceModel randomDriver(Random& random) {
    return {.Re = random.between(3.0, 8.0),
            .fs = random.between(30.0, 1500.0),
            .Qms = random.between(1.0, 8.0),
            .Qes = random.between(0.3, 2.0),
            .inductance = driver::InductanceModel::lr2,
            .Le = random.between(0.02e-3, 0.8e-3),
            .L2 = random.between(0.05e-3, 1.5e-3),
            .R2 = random.between(0.5, 5.0)};
}

} // namespace

Network networkFrom(const std::string& json) {
    const auto value = text::parseJson(json);
    EXPECT_TRUE(value.ok()) << (value.ok() ? "" : text::sentence(value.error()));
    auto network = text::read<Network>(value.value(), "network");
    EXPECT_TRUE(network.ok()) << (network.ok() ? "" : text::sentence(network.error()));
    return network.value();
}

Solution solved(const Network& network, const curve::Axis& axis, Method method) {
    auto loads = loadsOn(network, axis);
    EXPECT_TRUE(loads.ok()) << (loads.ok() ? "" : text::sentence(loads.error()));
    auto solution = solve(network.circuit, PreparedLoads(loads.value()), method);
    EXPECT_TRUE(solution.ok()) << (solution.ok() ? "" : text::sentence(solution.error()));
    return solution.value();
}

std::uint64_t Random::bits() {
    state_ += 0x9E3779B97F4A7C15ULL;
    std::uint64_t z = state_;
    z = (z ^ (z >> 30U)) * 0xBF58476D1CE4E5B9ULL;
    z = (z ^ (z >> 27U)) * 0x94D049BB133111EBULL;
    return z ^ (z >> 31U);
}

double Random::uniform() {
    return static_cast<double>(bits() >> 11U) / 9007199254740992.0;
}

double Random::between(double lowest, double highest) {
    return lowest * std::pow(highest / lowest, uniform());
}

Network randomNetwork(std::uint64_t seed) {
    Random random(seed);
    int number = 0;
    const bool lossy = random.below(3) != 0;
    Network network;
    network.circuit.source.resistance = random.below(2) == 0 ? 0.0 : random.between(0.005, 0.1);
    Section top;
    top.ladder = randomLadder(random, number, lossy, random.below(2));
    Ways ways{.join = random.below(4) == 0 ? Joining::series : Joining::parallel};
    const int count = 1 + random.below(3);
    for (int w = 0; w < count; ++w) {
        Section way{.name = "w" + std::to_string(w),
                    .ladder = randomLadder(random, number, lossy, 8)};
        const std::string driver = "d" + std::to_string(w);
        DriverEnd end{.driver = driver, .polarity = random.below(2) == 0 ? 1 : -1};
        if (random.below(2) == 1) {
            const bool inSeries = random.below(2) == 0;
            constexpr std::uint64_t both = 4; // every fourth network has strings side by side
            end.inSeries = inSeries || seed % both == 0 ? 2 : 1;
            end.inParallel = !inSeries || seed % both == 0 ? 2 : 1;
        }
        way.end = end;
        ways.sections.push_back(std::move(way));
        network.drivers.push_back({.name = driver, .impedance = randomDriver(random)});
    }
    top.end = std::move(ways);
    network.circuit.body = std::move(top);
    return network;
}

std::string threeWayOfThirteenSlots() {
    return R"({"source": {"voltage_v": 2.83, "resistance_ohm": 0.08},
 "drivers": {
   "bass": {"Re_ohm": 5.8, "inductance_model": "lr2", "Le_h": 0.00035, "L2_h": 0.0009, "R2_ohm": 3.2, "fs_hz": 42, "Qms": 4.5, "Qes": 0.42},
   "mid": {"Re_ohm": 5.5, "inductance_model": "lr2", "Le_h": 0.0001, "L2_h": 0.00025, "R2_ohm": 2.4, "fs_hz": 330, "Qms": 3, "Qes": 0.75, "role": "mid"},
   "treble": {"Re_ohm": 4.9, "inductance_model": "lr2", "Le_h": 0.00002, "L2_h": 0.00004, "R2_ohm": 1.5, "fs_hz": 900, "Qms": 2, "Qes": 1.9, "role": "treble"}},
 "ways": [
   {"name": "low", "ladder": [{"series": "L1 3.3mH dcr=0.45"}, {"shunt": "C1 68uF esr=0.12"}, {"shunt": ["R1 6.8", "C2 22uF"]}], "driver": "bass"},
   {"name": "mid", "ladder": [{"series": "C3 33uF esr=0.05"}, {"shunt": "L2 2.2mH dcr=0.35"}, {"series": "L3 0.39mH dcr=0.2"},
                              {"shunt": "C4 6.8uF esr=0.03"}, {"series": "R2 1.5"}], "driver": "mid", "polarity": -1},
   {"name": "high", "ladder": [{"series": "C5 4.7uF esr=0.03"}, {"shunt": "L4 0.27mH dcr=0.25"}, {"series": "C6 10uF"},
                               {"series": "R3 2.2"}, {"shunt": "R4 10"}], "driver": "treble"}]})";
}

std::string twoWayOfEightParts() {
    return R"({"source":{"resistance_ohm":0.05},
 "drivers":{"bass":{"Re_ohm":5.8,"inductance_model":"lr2","Le_h":0.00035,"L2_h":0.0009,"R2_ohm":3.2,
                    "fs_hz":42,"Qms":4.5,"Qes":0.42,"role":"bass"},
            "treble":{"Re_ohm":5.2,"inductance_model":"ideal","Le_h":0.00005,"fs_hz":900,"Qms":2.5,
                      "Qes":1.2,"role":"treble"}},
 "ways":[{"name":"low","ladder":[{"series":"L1 1.0mH dcr=0.3"},{"shunt":["C1 12uF esr=0.05","R1 1.5"]}],"driver":"bass"},
         {"name":"high","ladder":[{"series":"R2 1"},{"series":"C2 5.6uF"},{"shunt":"L2 0.4mH dcr=0.2"},
                                  {"series":"C3 20uF"},{"shunt":"R3 20"}],"driver":"treble"}]})";
}

} // namespace yf::test
