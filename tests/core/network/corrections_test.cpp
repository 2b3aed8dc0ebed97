// SPDX-License-Identifier: GPL-3.0-or-later
// Correction circuits solved in the circuit they are meant for; coils, heat, tolerances and
// sections at line level against published figures.
#include "core/network/circuit/ladder_edit.h"
#include "core/network/design/shelf.h"
#include "core/network/design/trap.h"
#include "core/network/judge/power.h"
#include "core/network/judge/tolerance.h"
#include "core/network/line/biquad.h"
#include "core/network/parts/coil.h"
#include "core/network/solve/branches.h"
#include "core/quantity/level.h"
#include "tests/support/networks.h"
#include "tests/support/spice.h"

#include <gtest/gtest.h>

#include <cmath>
#include <numbers>

namespace yf::test {

namespace {

using curve::Complex;

constexpr double pi = std::numbers::pi;

std::string part(const char* id, double value, const char* more = "") {
    char text[96];
    std::snprintf(text, sizeof text, "%s %.12g %s", id, value, more);
    return text;
}

/// Level at the first driver, dB re the EMF.
double driveAt(const std::string& json, double f) {
    return quantity::decibels(std::abs(solved(networkFrom(json), {f}).drives[0][0]));
}

/// 8 Ω behind what is given.
std::string behind(const std::string& ladder, double load = 8.0) {
    return R"({"drivers":{"d":{"r_ohm":)" + std::to_string(load) + R"(}},"ladder":[)" + ladder +
           R"(],"driver":"d"})";
}

} // namespace

TEST(Trap, inTheLineTakesThePeakAway) {
    for (const double dcr : {0.0, 0.35}) {
        const auto t =
            network::trap({.f0 = 900.0, .height = 6.0, .Q = 1.2, .load = 8.0, .dcr = dcr});
        ASSERT_TRUE(t.ok());
        const std::string json =
            behind(R"({"series":{"parallel":[")" + part("R1", t->R) + R"(",")" +
                   part("L1", t->L, ("dcr=" + std::to_string(dcr)).c_str()) + R"(",")" +
                   part("C1", t->C) + R"("]}})");
        EXPECT_NEAR(driveAt(json, 900.0), -6.0, 1e-4);
        // Without loss it is the exact inverse of (g/Q + jx)/(1/Q + jx).
        if (dcr == 0.0) {
            for (const double f : {300.0, 700.0, 1300.0}) {
                const double x = f / 900.0 - 900.0 / f;
                const double g = quantity::gain(6.0);
                const double peak = quantity::decibels(std::abs(Complex{g / 1.2, x}) /
                                                       std::abs(Complex{1.0 / 1.2, x}));
                EXPECT_NEAR(driveAt(json, f), -peak, 1e-6);
            }
        }
    }
}

TEST(Trap, acrossTheDriverNeedsSomethingBefore) {
    const network::TrapRequest r{.kind = network::TrapKind::shunt,
                                 .f0 = 3400.0,
                                 .height = 4.0,
                                 .Q = 2.0,
                                 .load = 8.0,
                                 .upstream = 3.3,
                                 .dcr = 0.4};
    const auto t = network::trap(r);
    ASSERT_TRUE(t.ok());
    const std::string line = R"({"series":"R9 3.3"})";
    const std::string json =
        behind(line + R"(,{"shunt":[")" + part("R1", t->R) + R"(",")" +
               part("L1", t->L, "dcr=0.4") + R"(",")" + part("C1", t->C) + R"("]})");
    EXPECT_NEAR(driveAt(json, 3400.0) - driveAt(behind(line), 3400.0), -4.0, 1e-4);
    network::TrapRequest alone = r;
    alone.upstream.reset();
    EXPECT_EQ(network::check(alone)->subject, "upstream_ohm");
    network::TrapRequest lossy = r;
    lossy.dcr = 5.0;
    EXPECT_EQ(network::trap(lossy).error().subject, "dcr_ohm");
}

// Half-height frequencies tell Q: both forms are one.
TEST(Trap, edgesTellTheQ) {
    const double g = quantity::gain(5.0);
    const double Q = 3.5;
    // |H| = √g where x·Q = √g.
    const double x = std::sqrt(g) / Q;
    const double up = 0.5 * (x + std::sqrt(x * x + 4.0));
    const auto byEdges = network::trap(
        {.f0 = 5200.0, .height = 5.0, .low = 5200.0 / up, .high = 5200.0 * up, .load = 8.0});
    const auto byQ = network::trap({.f0 = 5200.0, .height = 5.0, .Q = Q, .load = 8.0});
    ASSERT_TRUE(byEdges.ok() && byQ.ok());
    EXPECT_NEAR(byEdges->Q, Q, 1e-9);
    EXPECT_NEAR(byEdges->C, byQ->C, 1e-12);
    EXPECT_NEAR(byQ->R, 6.23, 0.005);
    EXPECT_NEAR(byQ->L, 54.4e-6, 0.05e-6);
    EXPECT_NEAR(byQ->C, 17.2e-6, 0.05e-6);
}

// The dual of the motion: with Re before it the two are Re at every frequency.
TEST(Trap, resonanceIsFlattened) {
    const auto t = network::trap(
        {.kind = network::TrapKind::resonance, .Re = 6.0, .fs = 900.0, .Qms = 2.5, .Qes = 1.1});
    ASSERT_TRUE(t.ok());
    EXPECT_NEAR(t->Q, 2.5 * 1.1 / 3.6, 1e-12);
    const std::string driver =
        R"({"Re_ohm":6,"fs_hz":900,"Qms":2.5,"Qes":1.1,"inductance_model":"none"})";
    const auto n = networkFrom(R"({"drivers":{"d":)" + driver + R"(},"ladder":[{"shunt":[")" +
                               part("R1", t->R) + R"(",")" + part("L1", t->L) + R"(",")" +
                               part("C1", t->C) + R"("]}],"driver":"d"})");
    // At resonance Re(1+Qms/Qes) beside Re(1+Qes/Qms) is Re.
    EXPECT_NEAR(std::abs(solved(n, {900.0}).impedances[0]), 6.0, 1e-6);
}

TEST(Shelf, isHalfAtItsCentre) {
    const auto s = network::shelf({.centre = 480.0, .step = 4.0, .load = 6.3});
    ASSERT_TRUE(s.ok());
    const std::string json = behind(R"({"series":{"parallel":[")" + part("R1", s->R) + R"(",")" +
                                        part("L1", s->L) + R"("]}})",
                                    6.3);
    EXPECT_NEAR(driveAt(json, 480.0), -2.0, 1e-6);
    EXPECT_NEAR(driveAt(json, 1.0), 0.0, 1e-4);
    EXPECT_NEAR(driveAt(json, 30000.0), -4.0, 1e-2);
    EXPECT_NEAR(network::shelf({.width = 0.21, .step = 6.0206, .load = 8.0})->L, 1.644e-3, 1e-6);
}

// Brooks coils: turns, size and resistance of the theory page's table; a former by Wheeler against
// Maxwell's sum over filaments (161.1 turns, 0.495 Ω), which it may miss by a per cent.
TEST(Coil, sizesAndResistance) {
    const auto big = network::coil({.L = 5.6e-3, .wire = 1.4e-3, .insulated = 1.48e-3});
    ASSERT_TRUE(big.ok());
    EXPECT_NEAR(big->turns, 294.0, 0.5);
    EXPECT_NEAR(big->outerDiameter, 0.1015, 0.0001);
    EXPECT_NEAR(big->wireLength, 70.4, 0.05);
    EXPECT_NEAR(big->dcr, 0.788, 0.001);
    const auto small = network::coil({.L = 0.68e-3,
                                      .wire = 0.9e-3,
                                      .insulated = 0.97e-3,
                                      .shape = network::CoilShape::former,
                                      .innerDiameter = 0.03,
                                      .length = 0.025});
    ASSERT_TRUE(small.ok());
    EXPECT_NEAR(small->turns, 161.1, 1.6);
    EXPECT_NEAR(small->outerDiameter, 0.0421, 0.0002);
    EXPECT_NEAR(small->dcr, 0.495, 0.005);
    // DCR ∝ L^0.6 of one wire: what a tuner lets it do.
    const auto half = network::coil({.L = 2.8e-3, .wire = 1.4e-3, .insulated = 1.48e-3});
    EXPECT_NEAR(half->dcr / big->dcr, std::pow(0.5, network::coilExponent), 1e-9);
    // 18 AWG is 1.024 mm (ASTM B258, from memory).
    EXPECT_NEAR(network::gaugeDiameter(18), 1.024e-3, 1e-6);
    EXPECT_EQ(network::check({.L = 1e-3, .wire = 1e-3, .insulated = 0.9e-3})->subject,
              "insulated_m");
}

// The programme noise of IEC 60268-1 in third octaves re its highest (table from memory), 0.5 dB.
TEST(Power, programmeIsShapedAsTheStandardSays) {
    const auto level = [](double f) { return 10.0 * std::log10(network::programmeWeight(f)); };
    const double top = level(315.0);

    const struct {
        double f, dB;
    } table[] = {{31.5, -7.4},
                 {63.0, -2.3},
                 {125.0, -0.5},
                 {250.0, 0.0},
                 {1000.0, -0.4},
                 {2000.0, -1.4},
                 {4000.0, -3.9},
                 {8000.0, -9.0}};

    for (const auto& row : table) {
        EXPECT_NEAR(level(row.f) - top, row.dB, 0.5) << row.f;
    }
    // 8.8 % lies above 3 kHz, 53 % below 500 Hz.
    double all = 0.0;
    double high = 0.0;
    double low = 0.0;
    for (double f = 20.0; f < 20000.0; f *= 1.001) {
        all += network::programmeWeight(f);
        high += f > 3000.0 ? network::programmeWeight(f) : 0.0;
        low += f < 500.0 ? network::programmeWeight(f) : 0.0;
    }
    EXPECT_NEAR(high / all, 0.088, 0.001);
    EXPECT_NEAR(low / all, 0.53, 0.005);
}

TEST(Power, whatGoesInHeatsSomething) {
    for (std::uint64_t seed = 1; seed <= 25; ++seed) {
        const network::Network n = randomNetwork(seed);
        const auto p = network::powers(
            n.circuit, network::loadSource(n), {.voltage = 20.0, .from = 20.0, .to = 20000.0});
        ASSERT_TRUE(p.ok());
        double sum = 0.0;
        for (const auto& list : {p->parts, p->drivers}) {
            for (const double watts : list) {
                sum += watts;
            }
        }
        // Transformers and controls are no parts: such trees may give more than is listed.
        EXPECT_LE(sum, p->source * (1.0 + 1e-9)) << seed;
        EXPECT_GT(sum, 0.0);
    }
    // A sine by Ohm's law: 10 V over 2 + 8 Ω.
    const auto n = networkFrom(behind(R"({"series":"R1 2"})"));
    const auto sine = network::powers(n.circuit,
                                      network::loadSource(n),
                                      {.voltage = 10.0,
                                       .spectrum = network::Spectrum::sine,
                                       .f = 1000.0,
                                       .from = 20.0,
                                       .to = 20000.0});
    ASSERT_TRUE(sine.ok());
    EXPECT_NEAR(sine->parts[0], 2.0, 1e-9);
    EXPECT_NEAR(sine->drivers[0], 8.0, 1e-9);
    EXPECT_NEAR(sine->source, 10.0, 1e-9);
    EXPECT_NEAR(sine->peaks[0], 2.0 * std::numbers::sqrt2, 1e-9);
}

// A net and a tree that are one circuit have one set of currents; coupled coils and a transformer
// keep the balance of power (Tellegen).
TEST(Branches, netsAgreeWithTrees) {
    const auto tree = networkFrom(
        R"({"source":{"resistance_ohm":0.2},"drivers":{"d":{"Re_ohm":6,"fs_hz":90,"Qms":3,"Qes":0.5}},
            "ladder":[{"series":"L1 1mH dcr=0.3"},{"shunt":["C1 10uF","R1 2"]}],"driver":"d"})");
    const auto net = networkFrom(
        R"({"source":{"resistance_ohm":0.2},"drivers":{"d":{"Re_ohm":6,"fs_hz":90,"Qms":3,"Qes":0.5}},
            "net":{"parts":[["L1 1mH dcr=0.3","in","a"],["C1 10uF","a","b"],["R1 2","b","0"]],
                   "drivers":[["d","a","0",1]]}})");
    const curve::Axis axis{50.0, 400.0, 1600.0, 9000.0};
    const auto one =
        network::branches(tree.circuit, network::PreparedLoads(*network::loadsOn(tree, axis)));
    const auto two =
        network::branches(net.circuit, network::PreparedLoads(*network::loadsOn(net, axis)));
    ASSERT_TRUE(one.ok() && two.ok());
    for (std::size_t p = 0; p < 3; ++p) {
        for (std::size_t k = 0; k < axis.size(); ++k) {
            EXPECT_NEAR(std::abs(one->currents[p][k] - two->currents[p][k]), 0.0, 1e-12);
            EXPECT_NEAR(std::abs(one->voltages[p][k] - two->voltages[p][k]), 0.0, 1e-12);
        }
    }
    const auto coupled = networkFrom(
        R"({"drivers":{"a":{"r_ohm":8},"b":{"r_ohm":6}},"couplings":[["L1","L2",0.05]],
            "ways":[{"ladder":[{"series":"L1 1mH dcr=0.3"},{"transformer":{"ratio":0.5}}],"driver":"a"},
                    {"ladder":[{"series":"C1 10uF"},{"shunt":"L2 0.3mH dcr=0.2"}],"driver":"b"}]})");
    const network::PreparedLoads loads(*network::loadsOn(coupled, axis));
    const auto all = network::branches(coupled.circuit, loads);
    const auto solution = network::solve(coupled.circuit, loads);
    ASSERT_TRUE(all.ok());
    for (std::size_t k = 0; k < axis.size(); ++k) {
        Complex sum =
            std::norm(solution->drives[0][k]) / 8.0 + std::norm(solution->drives[1][k]) / 6.0;
        for (std::size_t p = 0; p < all->currents.size(); ++p) {
            sum += all->voltages[p][k] * std::conj(all->currents[p][k]);
        }
        EXPECT_NEAR(std::abs(sum - std::conj(1.0 / solution->impedances[k])), 0.0, 1e-12);
    }
}

TEST(Tolerance, slopesOfANetAreThoseOfItsTree) {
    const auto tree = networkFrom(
        R"({"drivers":{"a":{"r_ohm":8},"b":{"r_ohm":6}},
            "ways":[{"ladder":[{"series":"L1 1mH dcr=0.3"}],"driver":"a"},
                    {"ladder":[{"series":"C1 10uF esr=0.2"},{"shunt":"L2 0.5mH dcr=0.2"}],"driver":"b","polarity":-1}]})");
    const auto net = networkFrom(
        R"({"drivers":{"a":{"r_ohm":8},"b":{"r_ohm":6}},
            "net":{"parts":[["L1 1mH dcr=0.3","in","x"],["C1 10uF esr=0.2","in","y"],["L2 0.5mH dcr=0.2","y","0"]],
                   "drivers":[["a","x","0",1],["b","y","0",-1]]}})");
    const curve::Axis axis{100.0, 700.0, 1500.0, 5000.0};
    for (const bool follow : {true, false}) {
        const auto exact = network::sumSlopes(
            tree.circuit, network::PreparedLoads(*network::loadsOn(tree, axis)), follow);
        const auto byDifferences = network::sumSlopes(
            net.circuit, network::PreparedLoads(*network::loadsOn(net, axis)), follow);
        ASSERT_TRUE(exact.ok() && byDifferences.ok());
        EXPECT_EQ(exact->partIds, byDifferences->partIds);
        for (std::size_t p = 0; p < 3; ++p) {
            for (std::size_t k = 0; k < axis.size(); ++k) {
                EXPECT_NEAR(exact->slopes[p][k], byDifferences->slopes[p][k], 1e-6);
            }
        }
    }
}

// One resistor before 8 Ω: the level is 20 lg(8/(8+R)), so everything is known by hand.
TEST(Tolerance, oneResistorByHand) {
    const auto n = networkFrom(behind(R"({"series":"R1 4"})"));
    network::ToleranceRequest r{.network = n,
                                .frequencies = std::vector<double>{1000.0},
                                .runs = 4000,
                                .seed = 3,
                                .limit = 0.072};
    const auto a = network::toleranceOf(r);
    ASSERT_TRUE(a.ok());
    const double slope = -20.0 / std::numbers::ln10 * 4.0 / 12.0;
    EXPECT_NEAR(a->sensitivities[0][0], 0.01 * slope, 1e-9);
    EXPECT_NEAR(a->worstCases[0], -0.05 * slope, 1e-9);
    // Uniform: 95 % of ±5 % lie within 4.75 %; half within 2.5 %.
    EXPECT_NEAR((*a->spreads)[0], -0.0475 * slope, 0.004);
    EXPECT_NEAR(*a->yield, 0.5, 0.03);
    const auto again = network::toleranceOf(r);
    EXPECT_EQ(*a->yield, *again->yield);
    r.seed = 4;
    EXPECT_NE((*network::toleranceOf(r)->spreads)[0], (*a->spreads)[0]);
    // Its reach: what ten per cent do, to first order.
    const network::PreparedLoads loads(*network::loadsOn(n, {500.0, 1000.0, 2000.0}));
    const auto slopes = network::sumSlopes(n.circuit, loads, true);
    ASSERT_TRUE(slopes.ok());
    const auto reach = network::reachOf(*slopes, 0, loads.loads().axis, {900.0, 3000.0});
    ASSERT_TRUE(reach.has_value());
    EXPECT_NEAR(reach->level, 0.1 * slope, 1e-9);
    EXPECT_GE(reach->at, 900.0);
    EXPECT_FALSE(network::reachOf(*slopes, 0, loads.loads().axis, {3e3, 4e3}).has_value());
    // A part's own tolerance wins.
    r.network = networkFrom(behind(R"({"series":"R1 4 tol=1"})"));
    EXPECT_NEAR(network::toleranceOf(r)->worstCases[0], -0.01 * slope, 1e-9);
}

// The bilinear transform by its definition: H(f) = H_a(tan(πf/fs)/tan(πfx/fs)) of the prototype
// (textbook).
TEST(Biquad, anAlignmentIsItsPrototypeWarped) {
    for (const auto alignment : {network::Alignment::butterworth,
                                 network::Alignment::linkwitzRiley,
                                 network::Alignment::bessel,
                                 network::Alignment::chebyshev}) {
        for (int order = 1; order <= 8; ++order) {
            if (alignment == network::Alignment::linkwitzRiley && order % 2 == 1) {
                continue;
            }
            for (const auto kind : {network::BiquadKind::lowPass, network::BiquadKind::highPass}) {
                const network::BiquadRequest r{.kind = kind,
                                               .alignment = alignment,
                                               .order = order,
                                               .fx = 2500.0,
                                               .sampleRate = 48000.0,
                                               .frequencies =
                                                   std::vector<double>{300.0, 2500.0, 9000.0}};
                const auto a = network::biquad(r);
                ASSERT_TRUE(a.ok());
                EXPECT_EQ(a->sections.size(), static_cast<std::size_t>((order + 1) / 2));
                const auto D = network::prototype({.alignment = alignment, .order = order});
                for (std::size_t k = 0; k < 3; ++k) {
                    const double f = (*r.frequencies)[k];
                    const double x = std::tan(pi * f / 48000.0) / std::tan(pi * 2500.0 / 48000.0);
                    const Complex s{0.0, kind == network::BiquadKind::lowPass ? x : -1.0 / x};
                    Complex value;
                    for (std::size_t i = D.size(); i-- > 0;) {
                        value = value * s + static_cast<double>(D[i]);
                    }
                    EXPECT_NEAR(a->levels[k], -quantity::decibels(std::abs(value)), 1e-5)
                        << static_cast<int>(alignment) << ' ' << order << ' ' << f;
                }
            }
        }
    }
}

// Coefficients of the cookbook's formulas at 1 kHz, 48 kHz, Q 2 and +6 dB, by its own arithmetic
// done on paper (w = 0.1309, α = 0.03263, A = 1.41254).
TEST(Biquad, singleSectionsFollowTheCookbook) {
    const auto section = [](network::BiquadKind kind, std::optional<double> gain) {
        const auto a = network::biquad({.kind = kind,
                                        .f0 = 1000.0,
                                        .Q = 2.0,
                                        .gain = gain,
                                        .sampleRate = 48000.0,
                                        .frequencies = std::vector<double>{10.0, 1000.0, 23990.0}});
        EXPECT_TRUE(a.ok());
        return *a;
    };
    const auto peaking = section(network::BiquadKind::peaking, 6.0);
    EXPECT_NEAR(peaking.sections[0].b[0], 1.02247, 1e-5);
    EXPECT_NEAR(peaking.sections[0].a[2], 0.95484, 1e-5);
    EXPECT_NEAR(peaking.levels[1], 6.0, 1e-9);
    const auto low = section(network::BiquadKind::lowPass, {});
    EXPECT_NEAR(low.levels[1], 20.0 * std::log10(2.0), 1e-9); // Q at f0
    EXPECT_NEAR(low.levels[0], 0.0, 1e-3);
    const auto high = section(network::BiquadKind::highPass, {});
    EXPECT_NEAR(high.levels[1], 20.0 * std::log10(2.0), 1e-9);
    const auto all = section(network::BiquadKind::allPass, {});
    for (const double level : all.levels) {
        EXPECT_NEAR(level, 0.0, 1e-9);
    }
    const auto lowShelf = section(network::BiquadKind::lowShelf, 6.0);
    EXPECT_NEAR(lowShelf.levels[0], 6.0, 1e-2);
    EXPECT_NEAR(lowShelf.levels[1], 3.0, 1e-9);
    EXPECT_NEAR(lowShelf.levels[2], 0.0, 1e-2);
    const auto highShelf = section(network::BiquadKind::highShelf, 6.0);
    EXPECT_NEAR(highShelf.levels[0], 0.0, 1e-2);
    EXPECT_NEAR(highShelf.levels[1], 3.0, 1e-9);
    EXPECT_NEAR(highShelf.levels[2], 6.0, 1e-2);
}

TEST(Biquad, saysWhereTheTransformSqueezes) {
    network::BiquadRequest r{.kind = network::BiquadKind::lowPass,
                             .alignment = network::Alignment::butterworth,
                             .order = 2,
                             .fx = 3000.0,
                             .sampleRate = 48000.0};
    const auto slow = network::biquad(r);
    ASSERT_TRUE(slow->squeezedFrom.has_value());
    r.sampleRate = 192000.0;
    const auto quick = network::biquad(r);
    EXPECT_TRUE(!quick->squeezedFrom || *quick->squeezedFrom > 2.0 * *slow->squeezedFrom);
    r.fx = 96000.0;
    EXPECT_EQ(network::check(r)->subject, "fx_hz");
    r.fx = 3000.0;
    r.alignment = network::Alignment::linkwitzRiley;
    r.order = 3;
    EXPECT_EQ(network::check(r)->subject, "order");
}

} // namespace yf::test
