// SPDX-License-Identifier: GPL-3.0-or-later
// Every kind of box three ways: the chambers solved by hand, the same equations as one dense matrix
// (Eigen), and the circuit in ngspice 39, which shares no line with either.
#include "core/box/designs.h"
#include "core/box/motion.h"
#include "core/box/response.h"
#include "core/box/summary.h"
#include "tests/support/check_table.h"
#include "tests/support/spice.h"

#include <Eigen/Dense>
#include <gtest/gtest.h>

#include <cmath>
#include <sstream>

namespace yf::test {

namespace {

using box::Complex;

constexpr double twoPi = 2.0 * std::numbers::pi;

box::Driver largeWoofer() {
    return {.Re = 5.6, .fs = 32, .Qms = 4.5, .Qes = 0.42, .Vas = 0.062, .Sd = 0.0214};
}

box::Driver bassWoofer() {
    return {.Re = 5.2, .fs = 38, .Qms = 7, .Qes = 0.30, .Vas = 0.070, .Sd = 0.035};
}

struct Case {
    const char* name;
    box::Driver driver;
    box::Box box;
    box::Source source;
};

std::vector<Case> cases() {
    const box::Source plain;
    const box::Source cable{.resistance = 0.5, .inductance = 0.4e-3};
    box::Driver coil = largeWoofer();
    coil.Le = 0.8e-3;
    box::Driver pair = largeWoofer();
    pair.inSeries = 2;
    pair.isobaric = true;
    return {
        {"infinite baffle", coil, box::InfiniteBaffle{}, cable},
        {"closed", coil, box::Closed{.Vb = 0.025, .gain = 1.15, .QA = 5, .QL = 12}, cable},
        {"closed, tight", largeWoofer(), box::Closed{.Vb = 0.025}, plain},
        {"vented", coil, box::Vented{.Vb = 0.045, .fb = 34, .QL = 7, .QA = 40, .QP = 60}, cable},
        {"vented, isobaric pair", pair, box::Vented{.Vb = 0.023, .fb = 30}, plain},
        {"passive radiator",
         coil,
         box::PassiveRadiator{.Vb = 0.038,
                              .QL = 9,
                              .Sp = 0.033,
                              .fp = 22,
                              .Vap = 0.11,
                              .Qmp = 6,
                              .addedMass = 0.0537},
         plain},
        {"band-pass 4",
         bassWoofer(),
         box::BandPass4{.Vr = 0.0104, .Vf = 0.0116, .fbFront = 105.7, .QA = 30, .QP = 50},
         cable},
        {"band-pass 6, parallel",
         bassWoofer(),
         box::BandPass6{box::Chaining::parallel, 0.096, 0.0173, 40.7, 90.0, 7, 80},
         plain},
        {"band-pass 6, series",
         bassWoofer(),
         box::BandPass6{box::Chaining::series, 0.05, 0.03, 35.0, 70.0, 9, 100},
         cable}};
}

std::string number(double v) {
    std::ostringstream out;
    out.precision(17);
    out << std::scientific << v;
    return out.str();
}

/// The box as a circuit: the cone's current in the mechanical loop is u, pressures are voltages.
std::string circuit(const box::System& s) {
    const box::Motor& m = s.motor;
    const box::Chambers& c = s.chambers;
    std::ostringstream out;
    const auto line = [&](const std::string& text) { out << text << "\n"; };
    const auto node = [](int k) { return k == 0 ? std::string("0") : "p" + std::to_string(k); };
    line("* written by a test");
    line("V1 emf 0 AC " + number(s.source.voltage));
    const auto orWire = [&](char kind, const std::string& id, const std::string& ends, double v) {
        line((v > 0.0 ? kind + id : "Vw" + (kind + id)) + " " + ends + " " + number(v));
    };
    orWire('R', "g", "emf a", s.source.resistance);
    orWire('L', "g", "a t", s.source.inductance);
    line("Re t c " + number(m.Re));
    orWire('L', "e", "c d", m.Le);
    line("Hbl d e Vm " + number(m.Bl));
    line("Ve e 0 0");
    line("Hf m1 0 Ve " + number(m.Bl));
    line("Lm m1 m2 " + number(m.M));
    line("Rm m2 m3 " + number(m.R));
    line("Cm m3 m4 " + number(m.C));
    line("Vm m4 m5 0");
    line("Ep m5 0 " + node(c.front) + " " + node(c.rear) + " " + number(m.S));
    if (c.front != 0) {
        line("Ffront 0 " + node(c.front) + " Vm " + number(m.S));
    }
    if (c.rear != 0) {
        line("Frear " + node(c.rear) + " 0 Vm " + number(m.S));
    }
    const auto branch = [&](const box::Branch& b,
                            const std::string& from,
                            const std::string& to,
                            const std::string& id) {
        if (!b.there) {
            return;
        }
        line("LB" + id + " " + from + " " + id + "1 " + number(b.M));
        orWire('R', "B" + id, id + "1 " + id + "2", b.R);
        if (b.K > 0.0) {
            line("CB" + id + " " + id + "2 " + to + " " + number(1.0 / b.K));
        } else {
            line("VS" + id + " " + id + "2 " + to + " 0");
        }
    };
    for (int k = 1; k <= 2; ++k) {
        const box::Chamber& air = c.air.at(static_cast<std::size_t>(k - 1));
        if (air.C <= 0.0) {
            continue;
        }
        const std::string id = std::to_string(k);
        orWire('R', "A" + id, node(k) + " x" + id, air.R);
        line("CA" + id + " x" + id + " 0 " + number(air.C));
        if (air.G > 0.0) {
            line("RL" + id + " " + node(k) + " out " + number(1.0 / air.G));
        }
        branch(c.outward.at(static_cast<std::size_t>(k - 1)), node(k), "out", "o" + id);
    }
    branch(c.inner, "p1", "p2", "i12");
    line("Vout out 0 0");
    return out.str();
}

/// The node equations as one matrix, unknowns I, u, p1, p2.
struct Dense {
    Complex u;
    Complex U;
};

Dense dense(const box::System& s, double f) {
    const double w = twoPi * f;
    const Complex j{0.0, 1.0};
    const box::Motor& m = s.motor;
    const box::Chambers& c = s.chambers;
    Eigen::Matrix4cd A = Eigen::Matrix4cd::Zero();
    Eigen::Vector4cd b = Eigen::Vector4cd::Zero();
    A(0, 0) = s.source.resistance + j * w * s.source.inductance + m.Re + m.coilImpedance(w);
    A(0, 1) = m.Bl;
    b(0) = s.source.voltage;
    A(1, 0) = m.Bl;
    A(1, 1) = -(j * w * m.M + m.R + 1.0 / (j * w * m.C));
    const auto y = [&](const box::Branch& x) {
        return x.there ? 1.0 / (j * w * x.M + x.R + x.K / (j * w)) : Complex{};
    };
    std::array<Complex, 2> skin{};
    for (int k = 1; k <= 2; ++k) {
        const auto i = static_cast<std::size_t>(k - 1);
        A(1, 1 + k) = m.S * ((c.rear == k ? 1.0 : 0.0) - (c.front == k ? 1.0 : 0.0));
        if (c.air.at(i).C <= 0.0) {
            A(1 + k, 1 + k) = 1.0;
            continue;
        }
        skin.at(i) = c.air.at(i).G + y(c.outward.at(i));
        A(1 + k, 1 + k) =
            1.0 / (c.air.at(i).R + 1.0 / (j * w * c.air.at(i).C)) + skin.at(i) + y(c.inner);
        A(1 + k, 1) = m.S * ((c.rear == k ? 1.0 : 0.0) - (c.front == k ? 1.0 : 0.0));
    }
    if (c.inner.there) {
        A(2, 3) = A(3, 2) = -y(c.inner);
    }
    const Eigen::Vector4cd x = A.fullPivLu().solve(b);
    return {x(1), (c.front == 0 ? m.S * x(1) : 0.0) + skin[0] * x(2) + skin[1] * x(3)};
}

} // namespace

TEST(BoxModels, allKindsAgreeWithTheDenseEquations) {
    for (const Case& c : cases()) {
        const box::System s = box::systemOf(c.driver, c.box, c.source);
        for (double f = 10.0; f < 2000.0; f *= 1.07) {
            const box::Motion m = box::motionAt(s, f);
            const Dense d = dense(s, f);
            ASSERT_LT(relativeError(m.u, d.u), 1e-10) << c.name << " at " << f;
            ASSERT_LT(relativeError(m.flow.out * m.Su, d.U), 1e-9) << c.name << " at " << f;
        }
    }
}

TEST(BoxModels, allKindsAgreeWithNgspice) {
    for (const Case& c : cases()) {
        const box::System s = box::systemOf(c.driver, c.box, c.source);
        const std::string direct =
            s.chambers.front == 0 ? number(s.motor.S) + "*i(Vm)+i(Vout)" : "i(Vout)";
        const auto theirs = spice::sweep(circuit(s), {"i(Vm)", direct, "v(t)/i(Ve)"});
        ASSERT_EQ(theirs.values.size(), 3U);
        for (std::size_t k = 0; k < theirs.frequencies.size(); k += 8) {
            const double f = theirs.frequencies[k];
            if (f > 3000.0) {
                break;
            }
            const box::Motion m = box::motionAt(s, f);
            EXPECT_LT(relativeError(m.u, theirs.values[0][k]), 1e-5) << c.name << " at " << f;
            EXPECT_LT(relativeError(m.flow.out * m.Su, theirs.values[1][k]), 1e-5)
                << c.name << " at " << f;
            EXPECT_LT(relativeError(m.Z, theirs.values[2][k]), 1e-5) << c.name << " at " << f;
        }
    }
}

// Closed: G = s²/(s² + s·ωc/Qtc + ωc²) with absorption too (Small 1972).
TEST(BoxModels, closedBoxFollowsTheSecondOrderFormula) {
    const box::Closed box{.Vb = 0.025, .gain = 1.15, .QA = 5};
    const box::System s = [&] {
        box::System made = box::systemOf(largeWoofer(), box, {});
        made.withInductance = false;
        return made;
    }();
    const auto system = box::closedSystem(s.motor, box, {});
    for (double f = 10.0; f < 2000.0; f *= 1.2) {
        const Complex x{0.0, f / system.fc};
        const double expected =
            quantity::decibels(std::abs(x * x / (x * x + x / system.Qtc + 1.0)));
        EXPECT_NEAR(box::levelReAsymptote(s, f), expected, 1e-9) << f;
    }
}

// Vented with leak only: the normalised polynomial (Thiel 1971, Small 1973).
TEST(BoxModels, ventedBoxFollowsTheFourthOrderPolynomial) {
    const box::Vented box{.Vb = 0.045, .fb = 34};
    const box::System s = box::systemOf(largeWoofer(), box, {});
    const box::VentedShape shape{
        .h = 34.0 / 32.0, .Qt = s.motor.QtsWith(0.0), .alpha = 0.062 / 0.045};
    const box::FourthOrder g = box::fourthOrder(shape, 7.0);
    const double f0 = std::sqrt(32.0 * 34.0);
    for (double f = 10.0; f < 2000.0; f *= 1.2) {
        EXPECT_NEAR(
            box::levelReAsymptote(s, f), 10.0 * std::log10(g.power(f * f / (f0 * f0))), 1e-9)
            << f;
    }
}

// U_P/(S·u) = −1/(1 − (ω/ωb)² + jω/(ωb·QL)): opposed below, a quarter turn ahead at, in step above.
TEST(BoxModels, portAndConeMoveAsTheTuningSays) {
    const box::System s = box::systemOf(largeWoofer(), box::Vented{.Vb = 0.045, .fb = 34}, {});

    const struct {
        double times, ratio, angle;
    } table[] = {{0.5, 1.33, 174.6}, {1.0, 7.0, 90.0}, {2.0, 0.33, 5.4}};

    for (const auto& row : table) {
        const Complex ratio = box::motionAt(s, 34.0 * row.times).flow.to[0];
        EXPECT_NEAR(std::abs(ratio), row.ratio, 0.006);
        EXPECT_NEAR(std::arg(ratio) / quantity::degree, row.angle, 0.06);
    }
}

// Slopes far down, between 0.25 and 0.5 Hz: what must come out if no flow is forgotten.
TEST(BoxModels, slopesFarDown) {
    const auto slope = [](const box::Driver& d, const box::Box& b) {
        const box::System s = box::systemOf(d, b, {});
        return box::levelReAsymptote(s, 0.5) - box::levelReAsymptote(s, 0.25);
    };
    const box::Driver L = largeWoofer();
    const box::Driver M = bassWoofer();
    EXPECT_NEAR(slope(L, box::InfiniteBaffle{}), 12.04, 0.02);
    EXPECT_NEAR(slope(L, box::Closed{.Vb = 0.025}), 12.04, 0.02);
    // A leak makes the box tend to 18: further down it is nearer.
    EXPECT_GT(slope(L, box::Closed{.Vb = 0.025, .QL = 7}), 17.0);
    EXPECT_LT(slope(L, box::Closed{.Vb = 0.025, .QL = 7}), 18.06);
    EXPECT_NEAR(slope(L, box::Vented{.Vb = 0.045, .fb = 34, .QL = 7}), 24.08, 0.1);
    EXPECT_NEAR(slope(M, box::BandPass4{.Vr = 0.0104, .Vf = 0.0116, .fbFront = 105.7}), 12.04, 0.1);
    EXPECT_NEAR(
        slope(M, box::BandPass6{box::Chaining::parallel, 0.096, 0.0173, 40.7, 90.0}), 24.08, 0.3);
    EXPECT_NEAR(
        slope(M, box::BandPass6{box::Chaining::series, 0.05, 0.03, 35.0, 70.0}), 24.08, 0.3);
    EXPECT_NEAR(slope(L, box::OpenBaffle{.path = 0.35}), 18.06, 0.02);
}

// |1 − e^(−jωD/c)|: one side's level at c/(6D), twice at c/(2D), nothing at c/D.
TEST(BoxModels, openBaffleIsADipole) {
    const box::System open = box::systemOf(largeWoofer(), box::OpenBaffle{.path = 0.35}, {});
    const box::System one = box::systemOf(largeWoofer(), box::InfiniteBaffle{}, {});
    const auto gain = [&](double f) {
        return box::levelReAsymptote(open, f) - box::levelReAsymptote(one, f);
    };
    EXPECT_NEAR(gain(343.2 / (6.0 * 0.35)), 0.0, 1e-9);
    EXPECT_NEAR(gain(343.2 / (2.0 * 0.35)), 6.02, 0.001);
    EXPECT_LT(gain(343.2 / 0.35), -200.0);
}

// 112.16 dB + 10 lg eta0 for 1 W into Re (Small 1972), and the volume's own law for travel.
TEST(BoxModels, levelsFollowEfficiencyAndVolume) {
    const box::Driver d = largeWoofer();
    const box::Source oneWatt{.voltage = std::sqrt(5.6)};
    const box::Motor m = box::motorOf(d, oneWatt);
    EXPECT_NEAR(quantity::decibels(box::asymptote(m, oneWatt) / 20e-6),
                112.16 + 10.0 * std::log10(box::eta0(m, oneWatt)),
                0.01);
    // 100 cm³ of peak displacement at 30 Hz, half space, 1 m: 87.63 dB, from p = ρ·ω²·Vd/(2πr)/√2.
    box::Driver piston = d;
    piston.Sd = 0.02;
    piston.Xmax = 0.005;
    const box::Response r =
        box::response({.system = box::systemOf(piston, box::InfiniteBaffle{}, {})}, {30.0, 31.0});
    EXPECT_NEAR(r.maxLevel[0], 87.63, 0.01);
    EXPECT_EQ(r.limiters[0], box::Limiter::displacement);
}

// Several drivers: fs and all Q stay, Vas' = n·Vas/m², an isobaric pair has half the efficiency.
TEST(BoxModels, groupsOfDriversKeepTheirQ) {
    const box::Motor one = box::motorOf(largeWoofer(), {});
    box::Driver four = largeWoofer();
    four.inSeries = 2;
    four.inParallel = 2;
    const box::Motor group = box::motorOf(four, {});
    EXPECT_NEAR(group.Re, one.Re, 1e-12);
    EXPECT_NEAR(group.Vas, 4.0 * one.Vas, 1e-12);
    EXPECT_NEAR(group.M / group.S, one.M / one.S, 1e-9);
    EXPECT_NEAR(box::eta0(group, {}), 4.0 * box::eta0(one, {}), 1e-9);
    box::Driver pair = largeWoofer();
    pair.inSeries = 2;
    pair.isobaric = true;
    const box::Motor iso = box::motorOf(pair, {});
    EXPECT_NEAR(iso.Vas, 0.5 * one.Vas, 1e-12);
    EXPECT_NEAR(box::eta0(iso, {}), 0.5 * box::eta0(one, {}), 1e-12);
    EXPECT_NEAR(std::sqrt(iso.M * iso.C), std::sqrt(one.M * one.C), 1e-12);
    pair.inSeries = 3;
    const auto error = box::check(pair);
    ASSERT_TRUE(error.has_value());
    EXPECT_EQ(error->subject, "isobaric");
}

// Passive means that power only goes in: Re Z ≥ Re of the coil's wire.
TEST(BoxModels, impedanceIsPassive) {
    for (const Case& c : cases()) {
        const box::System s = box::systemOf(c.driver, c.box, c.source);
        for (double f = 5.0; f < 5000.0; f *= 1.1) {
            EXPECT_GE(box::motionAt(s, f).Z.real(), s.motor.Re * (1.0 - 1e-12)) << c.name;
        }
    }
}

// The notch of a passive radiator, found by scanning, is its resonance with the added mass.
TEST(BoxModels, radiatorTakesTheSoundAwayAtItsResonance) {
    const box::PassiveRadiator box{
        .Vb = 0.038, .Sp = 0.033, .fp = 22, .Vap = 0.11, .Qmp = 60, .addedMass = 0.0537112};
    EXPECT_NEAR(box::tuning(box, {}), 33.0, 0.001);
    EXPECT_NEAR(box::massFor(box, 33.0, {}), 0.0537112, 1e-6);
    const box::System s = box::systemOf(largeWoofer(), box::PassiveRadiator(box), {});
    double lowest = 0.0;
    double at = 0.0;
    for (double f = 12.0; f < 25.0; f += 0.002) {
        // Steep skirt: the dip shows against the slope of the fourth order.
        const double level = box::levelReAsymptote(s, f) - 24.0 * std::log2(f / 20.0);
        if (at == 0.0 || level < lowest) {
            lowest = level;
            at = f;
        }
    }
    EXPECT_NEAR(at, box::notch(box, {}), 0.05);
}

// A sixth-order box that follows the asymptote from 40 to 120 Hz: 0.66 dB rms at 96 l, 17.3 l,
// 40.7 Hz, 90 Hz by another program's simplex.
TEST(BoxModels, sixthOrderDesignIsAsFlatAsKnown) {
    const auto design = box::sixthOrderDesign(bassWoofer(), {}, {});
    EXPECT_LT(design.rms, 0.70);
    EXPECT_GT(design.rms, 0.5);
    EXPECT_NEAR(design.box.fbRear, 40.7, 4.0);
    EXPECT_NEAR(design.box.fbFront, 90.0, 9.0);
}

// A fit that did not converge may say anything; what is drawn of it must survive.
TEST(Summary, absurdDriversHaveNoCornerRatherThanACrash) {
    const box::Box closed = box::Closed{.Vb = 0.025};
    for (const double fs : {0.0, 1e-300, 1e300, -1.0, std::nan("")}) {
        box::System s = box::systemOf(largeWoofer(), closed, {});
        s.motor.fs = fs;
        EXPECT_EQ(box::roughCrossing(s, 3.0), std::nullopt) << fs;
    }
}

} // namespace yf::test
