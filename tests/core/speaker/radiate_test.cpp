// SPDX-License-Identifier: GPL-3.0-or-later
// Drivers at their places: sums, directions, lobes, fronts. Figures marked "closed form" were
// worked out from the formula named; those of boundary elements were handed down with the method.
#include "core/quantity/air.h"
#include "core/quantity/level.h"
#include "core/speaker/diffraction.h"
#include "core/speaker/lobes.h"
#include "core/speaker/polar.h"

#include <gtest/gtest.h>

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>

namespace yf::test {

namespace {

using curve::Complex;
using speaker::Point;
using speaker::SpeakerDriver;

constexpr double pi = std::numbers::pi;
constexpr double c = quantity::soundSpeed;

SpeakerDriver driver(const char* name, double y, double z = 0.0) {
    SpeakerDriver d;
    d.name = name;
    d.y = y;
    d.z = z;
    d.sensitivity = 90.0;
    return d;
}

speaker::IdealFilter filter(speaker::FilterKind kind, int order, bool high, double fx = 1000.0) {
    return {kind, order, high ? speaker::FilterSide::high : speaker::FilterSide::low, fx};
}

/// Two drivers at one place behind a pair of ideal filters.
speaker::Speaker pairOf(speaker::FilterKind kind, int order, int polarity) {
    speaker::Speaker s;
    s.drivers = {driver("low", 0.0), driver("high", 0.0)};
    s.drivers[0].filters = {filter(kind, order, false)};
    s.drivers[1].filters = {filter(kind, order, true)};
    s.drivers[1].polarity = polarity;
    return s;
}

std::vector<double> sumLevels(const speaker::Speaker& s, std::vector<double> at) {
    const auto sum = speaker::sum({.speaker = s, .distance = 1.0, .frequencies = at});
    EXPECT_TRUE(sum.ok());
    return sum->levels;
}

double levelOf(const Complex& p) {
    return quantity::decibels(std::abs(p));
}

} // namespace

// Rayleigh's piston: zeros of J1 (Abramowitz and Stegun, table 9.5), half-power and side lobe
// closed form.
TEST(Piston, followsItsFormula) {
    EXPECT_EQ(speaker::pistonAt(0.0), 1.0);
    for (const auto& [x, J1] :
         {std::pair{1.0, 0.4400505857}, {2.0, 0.5767248078}, {3.0, 0.3390589585}}) {
        EXPECT_NEAR(speaker::pistonAt(x), 2.0 * J1 / x, 1e-6);
    }
    for (const double zero : {3.8317059702, 7.0155866698}) {
        EXPECT_NEAR(speaker::pistonAt(zero), 0.0, 1e-6);
    }
    EXPECT_LT(speaker::pistonAt(5.0), 0.0); // its sign is kept past the null
    for (const auto& [x, level] : {std::pair{1.6137, -3.0}, {2.2118, -6.0}, {2.7314, -10.0}}) {
        EXPECT_NEAR(quantity::decibels(speaker::pistonAt(x)), level, 0.002);
    }
    EXPECT_NEAR(quantity::decibels(std::abs(speaker::pistonAt(5.1356))), -17.570, 0.001);
    EXPECT_NEAR(speaker::pistonAt(119.9), speaker::pistonAt(120.1), 2e-3);
    EXPECT_NEAR(speaker::stripAt(pi), 0.0, 1e-12);
    EXPECT_NEAR(speaker::stripAt(1e-6), 1.0, 1e-12);
}

TEST(Sum, equalSourcesAddBySixDecibels) {
    speaker::Speaker s;
    s.drivers = {driver("a", 0.0), driver("b", 0.0)};
    EXPECT_NEAR(sumLevels(s, {1000.0})[0], 90.0 + 20.0 * std::log10(2.0), 1e-9);
    s.drivers[1].delay = 0.25e-3; // a quarter of a period
    EXPECT_NEAR(sumLevels(s, {1000.0})[0], 90.0 + 10.0 * std::log10(2.0), 1e-9);
    s.drivers[1].delay = 0.0;
    s.drivers[1].polarity = -1;
    EXPECT_LT(sumLevels(s, {1000.0})[0], -100.0);
    // Twice as far: 6 dB; at an angle the true distances.
    s.drivers.pop_back();
    const auto at = speaker::sum({.speaker = s, .distance = 2.0, .frequencies = {{1000.0}}});
    EXPECT_NEAR(at->levels[0], 90.0 - 20.0 * std::log10(2.0), 1e-9);
    EXPECT_NEAR(at->removed, 2.0 / c, 1e-15);
    s.drivers[0].y = 0.2;
    const auto up = speaker::sum(
        {.speaker = s, .distance = 1.0, .vertical = pi / 6.0, .frequencies = {{1000.0}}});
    EXPECT_NEAR(up->drivers[0].path, std::hypot(std::cos(pi / 6.0), 0.5 - 0.2), 1e-12);
    EXPECT_NEAR(up->drivers[0].delay, up->drivers[0].path / c, 1e-15);
}

// Linkwitz 1976 and Butterworth 1930: sums of ideal pairs.
TEST(Sum, textbookPairs) {
    using enum speaker::FilterKind;
    const std::vector<double> at{50.0, 500.0, 900.0, 1000.0, 1700.0, 9000.0};

    struct Row {
        speaker::FilterKind kind;
        int order;
        int polarity;
    };

    for (const Row& flat : {Row{linkwitzRiley, 2, -1},
                            Row{linkwitzRiley, 4, 1},
                            Row{linkwitzRiley, 6, -1},
                            Row{linkwitzRiley, 8, 1},
                            Row{butterworth, 1, 1},
                            Row{butterworth, 1, -1},
                            Row{butterworth, 3, 1},
                            Row{butterworth, 3, -1}}) {
        for (const double level : sumLevels(pairOf(flat.kind, flat.order, flat.polarity), at)) {
            EXPECT_NEAR(level, 90.0, 1e-6) << flat.order << ' ' << flat.polarity;
        }
    }
    for (const auto kind : {linkwitzRiley, butterworth}) {
        EXPECT_LT(sumLevels(pairOf(kind, 2, 1), {1000.0})[0], -10.0); // −100 dB re 90 dB
    }
    EXPECT_NEAR(sumLevels(pairOf(butterworth, 2, -1), {1000.0})[0], 93.0103, 1e-4);
    EXPECT_NEAR(sumLevels(pairOf(butterworth, 4, 1), {1000.0})[0], 93.0103, 1e-4);
    // Group delay of the fourth-order Linkwitz-Riley's all-pass: 2√2 at 0, 2 + √2 at its peak.
    const auto delayAt = [&](double x) {
        constexpr double h = 1e-4;
        const auto s = speaker::sum({.speaker = pairOf(linkwitzRiley, 4, 1),
                                     .distance = 1.0,
                                     .frequencies = {{1000.0 * x, 1000.0 * x * (1.0 + h)}}});
        return std::remainder(s->phases[0] - s->phases[1], 2.0 * pi) / (x * h);
    };
    EXPECT_NEAR(delayAt(0.01), 2.0 * std::numbers::sqrt2, 0.002);
    EXPECT_NEAR(delayAt(0.6436), 2.0 + std::numbers::sqrt2, 0.002);
}

// Curves taken with one clock at one place hold their paths: at that place they add as they are,
// whatever is thought of depths; elsewhere they are carried on by ratios.
TEST(Sum, commonCurvesAddAsTheyAreWhereTheyWereTaken) {
    speaker::Radiators all{.axis = {500.0, 2000.0}, .listening = {.y = 0.1}, .of = {}};
    const Point taken{0.0, 0.1, 1.0};
    for (const double z : {-0.05, 0.0}) {
        all.of.push_back({.name = "d",
                          .place = {0.03, z * 4.0, z},
                          .axis = {},
                          .directivity = speaker::Piston{0.05},
                          .pressure = {{0.3, 0.4}, {-0.1, 0.2 + z}},
                          .takenAt = taken});
    }
    const auto sum = speaker::sumAt(all, taken, 1.0);
    for (std::size_t k = 0; k < 2; ++k) {
        EXPECT_NEAR(std::abs(sum[k] - all.of[0].pressure[k] - all.of[1].pressure[k]), 0.0, 1e-12);
    }
    // An own curve carried to the same place by hand is the same at any other place.
    speaker::Radiators own = all;
    for (speaker::Radiator& one : own.of) {
        const double r = length(taken - one.place);
        const auto k = speaker::waveNumbers(own.axis);
        const auto D = speaker::directivityAt(
            one.directivity, speaker::sightOf(one.place, one.axis, taken), k);
        for (std::size_t i = 0; i < 2; ++i) {
            one.pressure[i] *= std::polar(r, k[i] * (r - 1.0)) / D[i];
        }
        one.takenAt.reset();
    }
    const Point elsewhere{0.4, -0.3, 1.7};
    const auto a = speaker::sumAt(all, elsewhere, 1.9);
    const auto b = speaker::sumAt(own, elsewhere, 1.9);
    for (std::size_t k = 0; k < 2; ++k) {
        EXPECT_NEAR(std::abs(a[k] - b[k]), 0.0, 1e-12);
    }
}

TEST(Directivity, measuredSidesAreInterpolatedInDecibels) {
    auto measured = std::make_shared<speaker::MeasuredDirectivity>();
    for (const double degrees : {-30.0, 0.0, 30.0}) {
        measured->horizontal.push_back(
            {degrees * quantity::degree, {-std::abs(degrees) * 0.02}, {degrees * 0.01}});
    }
    const speaker::Directivity D{std::shared_ptr<const speaker::MeasuredDirectivity>(measured)};
    const double k = 10.0;
    const auto at = [&](double off, double around) {
        return speaker::directivityAt(D, {off * quantity::degree, around}, std::span(&k, 1))[0];
    };
    EXPECT_NEAR(std::abs(at(15.0, 0.0) - std::polar(std::exp(-0.3), 0.15)), 0.0, 1e-12);
    EXPECT_NEAR(std::abs(at(15.0, pi) - std::polar(std::exp(-0.3), -0.15)), 0.0, 1e-12);
    // Beyond the data the last is held and marked; upwards it is assumed round and marked.
    EXPECT_EQ(at(80.0, 0.0), at(30.0, 0.0));
    EXPECT_TRUE(speaker::reachOf(D, {1.4, 0.0}).beyond);
    EXPECT_FALSE(speaker::reachOf(D, {0.4, 0.0}).beyond);
    EXPECT_TRUE(speaker::reachOf(D, {0.4, 0.5 * pi}).turned);
    EXPECT_TRUE(speaker::reachOf(speaker::Piston{0.1}, {2.0, 0.0}).behind);
}

// Two-point interference, closed form: asin of what the phase leaves.
TEST(Lobes, nullsAndPeaksOfPairs) {
    const double k = 2.0 * pi; // a wavelength of 1

    struct Row {
        double d;
        double psi0;
        std::vector<double> nulls;
        double peak;
    };

    const std::vector<Row> table{{0.5, 0.0, {-90.0, 90.0}, 0.0},
                                 {1.0, 0.0, {-30.0, 30.0}, 0.0},
                                 {1.0, 0.5 * pi, {-48.590, 14.478}, -14.478},
                                 {1.0, -0.5 * pi, {-14.478, 48.590}, 14.478},
                                 {0.3, 0.0, {}, 0.0}};
    for (const Row& row : table) {
        const auto found = speaker::lobes({.d = row.d, .psi0 = row.psi0, .k = k});
        ASSERT_EQ(found.nulls.size(), row.nulls.size()) << row.d;
        for (std::size_t i = 0; i < row.nulls.size(); ++i) {
            EXPECT_NEAR(found.nulls[i] / quantity::degree, row.nulls[i], 0.001);
        }
        EXPECT_NEAR(*found.peak / quantity::degree, row.peak, 0.001);
    }
    // Depth tilts everything by about its angle.
    const auto deep = speaker::lobes({.d = 1.0, .dz = 0.1, .k = k});
    EXPECT_NEAR(*deep.peak, -std::atan2(0.1, 1.0), 1e-9);
}

// Two like sources in step, 0.3 m apart, heard by one microphone: the phase there is that of the
// paths, and far away it is taken out again, so that all lies about the axis (two-point
// interference: nulls at sin θ = ±λ/2d).
TEST(Polar, lobesFarAwayDoNotRememberTheMicrophone) {
    const double f = 1000.0;
    const double k = 2.0 * pi * f / c;
    const speaker::Point low{0.0, -0.15, 0.0};
    const speaker::Point high{0.0, 0.15, 0.0};
    for (const speaker::Point& microphone :
         {speaker::Point{0.0, 0.15, 0.5}, speaker::Point{0.0, -0.4, 1.0}, {0.0, 0.0, 2.0}}) {
        const double turned = -k * (length(microphone - high) - length(microphone - low));
        const auto found = speaker::lobesOf(
            {low, microphone}, {high, microphone}, turned, quantity::Plane::vertical, f);
        ASSERT_EQ(found.nulls.size(), 2U);
        EXPECT_NEAR(std::sin(found.nulls[0]), -c / f / 0.6, 1e-9);
        EXPECT_NEAR(std::sin(found.nulls[1]), c / f / 0.6, 1e-9);
        EXPECT_NEAR(*found.peak, 0.0, 1e-9);
        EXPECT_TRUE(
            speaker::lobesOf(
                {low, microphone}, {high, microphone}, turned, quantity::Plane::horizontal, f)
                .nulls.empty())
            << "side by side there is nothing between them";
    }
}

// The formula of lobes against the full sum far away.
TEST(Polar, nullsLieWhereTheSumHasThem) {
    speaker::Speaker s = pairOf(speaker::FilterKind::butterworth, 1, 1);
    s.drivers[1].y = c / 1000.0;
    std::vector<double> angles;
    for (int i = -900; i <= 900; ++i) {
        angles.push_back(0.1 * i * quantity::degree);
    }
    const auto polar = speaker::polar({.speaker = s,
                                       .plane = quantity::Plane::vertical,
                                       .angles = angles,
                                       .frequencies = {{1000.0}},
                                       .distance = 100.0,
                                       .pair = {{"low", "high"}},
                                       .fx = 1000.0});
    ASSERT_TRUE(polar.ok());
    EXPECT_NEAR(polar->psi0, 0.5 * pi, 1e-9);
    const auto& row = polar->levels[0];
    const auto least = std::ranges::min_element(row) - row.begin();
    const double at = angles[static_cast<std::size_t>(least)];
    double nearest = 10.0;
    for (const double null : polar->lobes->nulls) {
        nearest = std::min(nearest, std::abs(null - at));
    }
    EXPECT_LT(nearest, 0.15 * quantity::degree);
    // The lobe is 3 dB above the axis for equal levels in quadrature.
    EXPECT_NEAR(*std::ranges::max_element(polar->relative[0]), 3.0103, 0.05);
}

// Q = (ka)²/(1 − J1(2ka)/(ka)) of a piston (closed form) and what 5° rings make of it.
TEST(Polar, pistonsHaveTheirIndexAndWidth) {
    speaker::Speaker s;
    s.drivers = {driver("p", 0.0)};
    s.drivers[0].Sd = pi * 0.01;
    std::vector<double> at;
    for (const double ka : {0.1, 1.0, 2.0, 3.0, 5.0}) {
        at.push_back(ka * c / (2.0 * pi * 0.1));
    }
    const auto polar = speaker::polar(
        {.speaker = s, .plane = quantity::Plane::horizontal, .frequencies = at, .distance = 10.0});
    ASSERT_TRUE(polar.ok());
    const std::array closed{3.018, 3.734, 5.880, 9.159, 14.017};
    for (std::size_t k = 0; k < closed.size(); ++k) {
        EXPECT_NEAR(polar->averages.directivity[k], closed[k], 0.02);
        const double ka = at[k] * 2.0 * pi * 0.1 / c;
        EXPECT_NEAR(closed[k],
                    10.0 * std::log10(ka * ka / (1.0 - std::cyl_bessel_j(1.0, 2.0 * ka) / ka)),
                    0.005);
    }
    EXPECT_FALSE(polar->beamwidths[0].has_value()); // never 6 dB down
    EXPECT_NEAR(*polar->beamwidths[4], 2.0 * std::asin(2.2118 / 5.0), 0.02);
}

// Point source at the pole of a sphere: series of Legendre functions (Morse); the second table with
// the listener behind it.
TEST(Diffraction, ofASphere) {
    const double a = 0.1;
    curve::Axis at;
    for (const double ka : {0.1, 1.0, 2.0, 5.0}) {
        at.push_back(ka * c / (2.0 * pi * a));
    }
    const auto ahead = speaker::sphereOf(a, 1.0, at);
    const std::array front{-6.013, -2.985, -1.613, -0.565};
    for (std::size_t k = 0; k < front.size(); ++k) {
        EXPECT_NEAR(levelOf(ahead[k]), front[k], 0.002);
    }
    const auto behind = speaker::sphereOf(a, -1.0, at);
    EXPECT_NEAR(levelOf(behind[1]), -5.448, 0.002);
    EXPECT_NEAR(levelOf(behind[2]), -4.975, 0.002);
}

// A closed box 0.25 × 0.40 × 0.25 m, source 50 mm above the middle, 10 m away, by boundary
// elements.
TEST(Diffraction, ofABox) {
    const curve::Axis at{150.0, 250.0, 450.0, 700.0, 1000.0, 1450.0, 2400.0};

    struct Row {
        double degrees;
        double bearable;
        std::array<double, 7> levels;
    };

    for (const Row& row : {Row{0.0, 1.0, {-5.10, -3.09, -0.38, 3.08, 3.10, 1.68, -3.32}},
                           Row{60.0, 1.25, {-5.87, -4.76, -1.83, -1.30, -1.01, -2.47, -0.26}}}) {
        const auto H = speaker::diffractionOf(
            {0.25, 0.40},
            {0.0, 0.05},
            speaker::ear({.distance = 10.0}, {row.degrees * quantity::degree, 0.0}),
            at);
        for (std::size_t k = 0; k < at.size(); ++k) {
            EXPECT_NEAR(levelOf(H[k]), row.levels[k], row.bearable) << row.degrees << ' ' << at[k];
        }
    }
    // Far down it is the full space: −6 dB; a large rounding takes the ripple off.
    const auto far = speaker::ear({.distance = 10.0}, {});
    EXPECT_NEAR(
        levelOf(speaker::diffractionOf({0.25, 0.40}, {0.0, 0.05}, far, {20.0})[0]), -6.02, 0.1);
    const auto ripple = [&](const speaker::Front& front) {
        const auto axis = curve::within(curve::designAxis(), 700.0, 8000.0);
        double worst = 0.0;
        for (const Complex& H : speaker::diffractionOf(front, {0.0, 0.0, 0.02}, far, axis)) {
            worst = std::max(worst, std::abs(levelOf(H)));
        }
        return worst;
    };
    EXPECT_LT(ripple({0.25, 0.25, speaker::Edge::round, 0.08}), 0.6 * ripple({0.25, 0.25}));
    EXPECT_LT(ripple({0.25, 0.25, speaker::Edge::chamfer, 0.08}), 0.8 * ripple({0.25, 0.25}));
}

TEST(Diffraction, refusesWhatItCannotDo) {
    speaker::DiffractionRequest r{.shape = speaker::Shape::box};
    r.width = 0.3;
    r.height = 0.5;
    r.distance = 2.0;
    EXPECT_TRUE(!speaker::check(r));
    const auto subject = [](const speaker::DiffractionRequest& asked) {
        const auto error = speaker::check(asked);
        return error ? error->subject : std::string();
    };
    auto wrong = r;
    wrong.horizontal = 85.0 * quantity::degree;
    EXPECT_EQ(subject(wrong), "horizontal_deg");
    wrong = r;
    wrong.sourceX = 0.2;
    EXPECT_EQ(subject(wrong), "source_x_m");
    wrong = r;
    wrong.edgeSize = 0.16;
    EXPECT_EQ(subject(wrong), "edge_m");
    wrong = r;
    wrong.width.reset();
    EXPECT_EQ(subject(wrong), "width_m");
    wrong = {.shape = speaker::Shape::sphere};
    EXPECT_EQ(subject(wrong), "radius_m");
}

} // namespace yf::test
