// SPDX-License-Identifier: GPL-3.0-or-later
// Ports, volumes, panels and boards. Sources stand at the rows.
#include "core/box/cut_list.h"
#include "core/box/panel.h"
#include "core/box/port_swap.h"
#include "core/box/volume.h"

#include <gtest/gtest.h>

#include <cmath>

namespace yf::test {

namespace {

constexpr double pi = std::numbers::pi;

} // namespace

// End corrections over the radius: flanged 0.8217 (mode matching, Nomura 1960, from memory), free
// 0.6133 (Levine and Schwinger 1948, from memory), both 0.2 %.
TEST(Port, endsOfARoundTube) {
    box::Port p{.diameter = 0.068};
    EXPECT_NEAR(box::endLength(p) / 0.034, 0.8217 + 0.6133, 0.003);
    p.inner = box::End::flanged;
    EXPECT_NEAR(box::endLength(p) / 0.034, 1.643, 0.003);
    p.inner = p.outer = box::End::free;
    EXPECT_NEAR(box::endLength(p) / 0.034, 1.225, 0.002);
}

// Rectangles against a circle of the same area, by the integral of 1/r over all pairs of points.
TEST(Port, endsOfASlot) {
    const struct {
        double ratio, share;
    } table[] = {{1.0, 0.988}, {2.0, 0.960}, {5.0, 0.852}, {10.0, 0.742}};

    for (const auto& row : table) {
        const double area = 0.004;
        const double t = std::sqrt(area / row.ratio);
        const box::Port slot{.shape = box::PortShape::slot, .width = area / t, .height = t};
        const box::Port round{.diameter = std::sqrt(4.0 * area / pi)};
        EXPECT_NEAR(box::endLength(slot) / box::endLength(round), row.share, 0.001);
    }
    // The mean of 1/r between two points of a unit square: 4·ln(1+√2) − 4·(√2−1)/3 (textbook).
    const double I = 4.0 * std::log(1.0 + std::sqrt(2.0)) - 4.0 * (std::sqrt(2.0) - 1.0) / 3.0;
    const box::Port square{.shape = box::PortShape::slot, .width = 1.0, .height = 1.0};
    const double byFormula = box::endLength(square) / ((0.8217 + 0.6127) * 3.0 / 16.0);
    EXPECT_NEAR(byFormula / I, 1.0, 1e-12);
}

TEST(Port, lengthAndTuningGoBothWays) {
    for (const double flare : {0.0, 0.01, 0.02}) {
        box::PortRequest r{.Vb = 0.045, .fb = 34.0};
        r.port.diameter = 0.068;
        r.port.flareOuter = flare;
        const auto there = box::port(r);
        ASSERT_TRUE(there.ok());
        EXPECT_NEAR(there->straight, there->length - flare, 1e-12);
        r.fb.reset();
        r.length = there->length;
        EXPECT_NEAR(box::port(r)->fb, 34.0, 1e-9);
    }
    // Two ports need twice the effective length of one, each with its own ends.
    box::PortRequest two{.Vb = 0.045, .fb = 34.0};
    two.port.diameter = 0.068;
    const double one = box::port(two)->effective;
    two.port.count = 2;
    EXPECT_NEAR(box::port(two)->effective, 2.0 * one, 1e-12);
    // Helmholtz: ω² = c²S/(L·V).
    EXPECT_NEAR(
        std::pow(2.0 * pi * 34.0, 2) * one * 0.045, 343.2 * 343.2 * pi * 0.034 * 0.034, 1e-6);
}

TEST(Port, tooHighATuningNamesItsLimit) {
    box::PortRequest r{.Vb = 0.01, .fb = 200.0};
    r.port.diameter = 0.05;
    const auto refused = box::port(r);
    ASSERT_FALSE(refused.ok());
    EXPECT_EQ(refused.error().subject, "fb_hz");
    box::PortRequest at{.Vb = 0.01, .length = 0.0};
    at.port.diameter = 0.05;
    const auto limit = box::port(at);
    EXPECT_NE(refused.error().allowed.english().find(std::to_string(limit->fb).substr(0, 5)),
              std::string::npos);
}

// A flare is a short horn: its air weighs less than the straight tube's, and the more the wider.
TEST(Port, flareShortensTheEffectiveLength) {
    const auto effective = [](double R) {
        const box::Port p{.diameter = 0.07, .flareOuter = R};
        return box::effectiveLength(p, 0.15);
    };
    EXPECT_GT(effective(0.0), effective(0.01));
    EXPECT_GT(effective(0.01), effective(0.03));
    // By slices: ∫ a²/r² dx over a quarter round of 30 mm at 35 mm, and the mouth's correction.
    double sum = 0.0;
    const int n = 20000;
    for (int i = 0; i < n; ++i) {
        const double x = 0.03 * (i + 0.5) / n;
        const double r = 0.035 + 0.03 - std::sqrt(0.03 * 0.03 - x * x);
        sum += 0.03 / n * 0.035 * 0.035 / (r * r);
    }
    const double mouth = 0.8217 * 0.035 * 0.035 / 0.065;
    EXPECT_NEAR(effective(0.03), 0.12 + sum + mouth + 0.6127 * 0.035, 1e-6);
}

TEST(PortSwap, keepsTheTuning) {
    box::SwapRequest r{.oldDiameter = 0.067, .oldLength = 0.12, .newDiameter = 0.085};
    const auto a = box::portSwap(r);
    ASSERT_TRUE(a.ok());
    EXPECT_NEAR(a->length, 0.20952, 1e-5);
    EXPECT_NEAR(a->workshop, 0.20985, 1e-5);
    EXPECT_NEAR(a->simple, 0.19314, 1e-5);
    // With a volume the wider tube's own displacement counts: the tuning of the box with it is the
    // old one.
    r.Vb = 0.030;
    r.newFlareOuter = 0.015;
    const auto b = box::portSwap(r);
    const box::Port old{.diameter = 0.067};
    const box::Port made{.diameter = 0.085, .flareOuter = 0.015};
    const double gross = 0.030 + box::displacement(old, 0.12, 0.003);
    const double net = gross - box::displacement(made, b->length, 0.003);
    EXPECT_NEAR(box::tuningOf(made, net, box::effectiveLength(made, b->length), {}), *b->fb, 0.005);
    EXPECT_NEAR(box::tuningOf(old, 0.030, box::effectiveLength(old, 0.12), {}), *b->fb, 1e-9);
    box::SwapRequest tiny{.oldDiameter = 0.1, .oldLength = 0.05, .newDiameter = 0.03};
    const auto refused = box::portSwap(tiny);
    ASSERT_FALSE(refused.ok());
    EXPECT_EQ(refused.error().subject, "new_diameter_m");
}

// Rules of the workshop by hand: (12 + 0.732·6.7)·(8.5/6.7)² − 0.732·8.5 = 21.0 cm, and
// 12·(8.5/6.7)² = 19.3 cm (common practice).
TEST(PortSwap, theWorkshopsRules) {
    const box::Port old{.diameter = 0.067};
    const box::Port made{.diameter = 0.085};
    const box::Swap swap{.old = old, .oldLength = 0.12, .made = made};
    EXPECT_NEAR(box::workshopLength(swap), 0.2098, 1e-4);
    EXPECT_NEAR(box::simpleLength(swap), 0.1931, 1e-4);
    EXPECT_GT(box::swappedLength(swap), 0.2);
    const box::Port narrow{.diameter = 0.01};
    EXPECT_EQ(box::workshopLength({.old = old, .oldLength = 0.01, .made = narrow}), 0.0);
}

TEST(Port, anotherShapeKeepsTheArea) {
    const box::Port round{.diameter = 0.08, .count = 2, .flareOuter = 0.01};
    const box::Port slot = box::inShape(round, box::PortShape::slot);
    EXPECT_NEAR(slot.area(), round.area(), 1e-15);
    EXPECT_NEAR(slot.width / slot.height, 4.0, 1e-12);
    EXPECT_EQ(slot.flareOuter, 0.0);
    EXPECT_EQ(slot.count, 2);
    box::Port wide = slot;
    wide.width *= 2.0;
    const box::Port back = box::inShape(wide, box::PortShape::round);
    EXPECT_NEAR(back.diameter, 0.08 * std::sqrt(2.0), 1e-12);
    EXPECT_TRUE(box::inShape(round, box::PortShape::round) == round);
}

TEST(Volume, slopedFrontByIntegration) {
    const box::Shell s{.shape = box::Shape::trapezoid,
                       .height = 0.9,
                       .width = 0.25,
                       .depth = 0.35,
                       .depthTop = 0.25,
                       .panel = 0.019,
                       .front = 0.025};
    const auto in = box::insideOf(s);
    ASSERT_TRUE(in.ok());
    // Slices: the front's inner face lies t_front/cos θ behind the outer one at every height.
    const double slope = 0.1 / 0.9;
    const double behind = 0.025 * std::sqrt(1.0 + slope * slope);
    double sum = 0.0;
    const int n = 2000;
    for (int i = 0; i < n; ++i) {
        const double y = 0.019 + (0.9 - 0.038) * (i + 0.5) / n;
        const double outer = 0.35 - 0.1 * y / 0.9;
        sum += (outer - behind - 0.019) * (0.25 - 0.038) * (0.9 - 0.038) / n;
    }
    EXPECT_NEAR(in->gross, sum, 1e-9);
    const auto cylinder = box::insideOf(
        {.shape = box::Shape::cylinder, .height = 0.5, .diameter = 0.3, .panel = 0.01});
    EXPECT_NEAR(cylinder->gross, 0.25 * pi * 0.28 * 0.28 * 0.48, 1e-12);
}

TEST(Volume, whatLeavesNothingIsNamed) {
    box::VolumeRequest r{.height = 0.5, .width = 0.03, .depth = 0.3, .panel = 0.018};
    EXPECT_EQ(box::volume(r).error().subject, "width_m");
    r.width = 0.2;
    r.less = {.driver = 0.004, .bracing = 0.03};
    EXPECT_EQ(box::volume(r).error().subject, "bracing_l");
    r.less.bracing = 0.002;
    const auto a = box::volume(r);
    ASSERT_TRUE(a.ok());
    EXPECT_FALSE(a->bracingOk);
    EXPECT_NEAR(a->modes.front(), 343.2 / (2.0 * 0.464), 1e-9);
}

// A pressure node lies in the middle of the first mode, maxima at both ends.
TEST(AirModes, wherePressureIs) {
    const auto modes = box::airModes(0.8, {0.2, 0.3});
    EXPECT_NEAR(modes[0].f, 214.5, 0.01);
    EXPECT_NEAR(modes[0].pressureAt({0.5, 0.5, 0.0}), 0.0, 1e-12);
    EXPECT_NEAR(modes[0].pressureAt({1.0, 0.5, 0.0}), 1.0, 1e-12);
    EXPECT_EQ(modes[0].order[0], 1);
}

// Clamped square: ω·a²·√(ρh/D) = 35.99 (Leissa 1969, from memory); the formula gives 36.11.
TEST(Panel, clampedSquareAgainstLeissa) {
    const box::Panel p{.E = 3.5e9, .rho = 750, .thickness = 0.018, .a = 0.4, .b = 0.4};
    const double D = 3.5e9 * std::pow(0.018, 3) / (12.0 * (1.0 - 0.09));
    const double w = 2.0 * pi * box::panelResonance(p).clamped;
    EXPECT_NEAR(w * 0.16 * std::sqrt(750 * 0.018 / D) / 35.99, 1.0, 0.005);
    // Simply supported square: 2π² exactly.
    const double s = 2.0 * pi * box::panelResonance(p).supported;
    EXPECT_NEAR(s * 0.16 * std::sqrt(750 * 0.018 / D), 2.0 * pi * pi, 1e-9);
}

TEST(CutList, boardsMakeTheBox) {
    const box::Shell s{
        .height = 1.05, .width = 0.22, .depth = 0.30, .panel = 0.018, .front = 0.025, .dead = 0.24};
    const auto boards = box::cutList(s, {.braces = 2, .braceThickness = 0.018});
    // The boards' own volume is the outside less the inside: with partition and braces as solids.
    double wood = 0.0;
    for (const auto& b : boards) {
        wood += b.count * b.length * b.width * b.thickness;
    }
    const auto in = box::insideOf(s);
    const double outside = 1.05 * 0.22 * 0.30;
    const double dead = 0.24 * in->width * in->depth;
    const double braces = 2.0 * 0.018 * in->width * in->depth;
    EXPECT_NEAR(wood, outside - in->gross - dead + braces, 1e-9);
}

TEST(CutList, layoutKeepsBoardsApart) {
    const box::Shell s{
        .height = 1.05, .width = 0.22, .depth = 0.30, .panel = 0.018, .front = 0.018};
    const auto boards = box::cutList(s, {.braces = 3});
    const box::Sheet sheet;
    const auto layout = box::layOut(boards, sheet);
    EXPECT_EQ(layout.sheets, 1);
    EXPECT_TRUE(layout.tooLarge.empty());
    for (std::size_t i = 0; i < layout.laid.size(); ++i) {
        const auto& a = layout.laid[i];
        EXPECT_LE(a.x + a.length, sheet.length + 1e-9);
        EXPECT_LE(a.y + a.width, sheet.width + 1e-9);
        for (std::size_t k = i + 1; k < layout.laid.size(); ++k) {
            const auto& b = layout.laid[k];
            const bool apart = a.sheet != b.sheet || a.x + a.length + 0.0029 <= b.x ||
                               b.x + b.length + 0.0029 <= a.x || a.y + a.width + 0.0029 <= b.y ||
                               b.y + b.width + 0.0029 <= a.y;
            EXPECT_TRUE(apart) << i << " " << k;
        }
    }
    const auto none = box::layOut({{"wall", 1, 3.0, 1.5, 0.018}}, sheet);
    EXPECT_EQ(none.tooLarge.size(), 1U);
}

} // namespace yf::test
