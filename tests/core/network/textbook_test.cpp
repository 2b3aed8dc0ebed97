// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/network/design/pad.h"
#include "core/network/design/textbook.h"
#include "core/network/design/zobel.h"
#include "core/network/line/prototype.h"
#include "core/network/parts/e_series.h"
#include "core/quantity/level.h"
#include "core/text/sentence.h"
#include "tests/support/networks.h"

#include <gtest/gtest.h>

#include <numbers>

namespace yf::test {

namespace {

using namespace network;

constexpr double twoPi = 2.0 * std::numbers::pi;

Textbook book(const TextbookRequest& request) {
    EXPECT_FALSE(check(request).has_value());
    auto result = textbook(request);
    EXPECT_TRUE(result.ok()) << (result.ok() ? "" : text::sentence(result.error()));
    return result.value();
}

std::vector<double> valuesOf(const Textbook& t) {
    std::vector<double> values;
    for (const Part& part : t.values) {
        values.push_back(part.value);
    }
    return values;
}

void expectValues(const Textbook& t, const std::vector<double>& expected, double tolerance) {
    const auto values = valuesOf(t);
    ASSERT_EQ(values.size(), expected.size());
    for (std::size_t i = 0; i < values.size(); ++i) {
        EXPECT_NEAR(values[i] / expected[i], 1.0, tolerance) << t.partIds[i];
    }
}

/// |1/D(jω)| in dB.
double levelOf(const Polynomial& D, double omega) {
    std::complex<long double> sum{};
    std::complex<long double> power{1.0L};
    for (const long double c : D) {
        sum += c * power;
        power *= std::complex<long double>(0.0L, omega);
    }
    return -20.0 * static_cast<double>(std::log10(std::abs(sum)));
}

} // namespace

// Zverev 1967, "Handbook of filter synthesis", tables for a source of zero impedance (Butterworth,
// Bessel normalised to −3 dB, Chebyshev 0.5 dB); Linkwitz-Riley from squared Butterworth
// polynomials (Linkwitz 1976). Five digits as in docs/theory/network.md, "Ladders".
TEST(Prototype, ladderValuesOfTheTables) {
    struct {
        PrototypeRequest request;
        std::vector<double> g;
    } const rows[] = {
        {{Alignment::butterworth, 1}, {1.0}},
        {{Alignment::butterworth, 2}, {1.41421, 0.70711}},
        {{Alignment::butterworth, 3}, {1.5, 1.33333, 0.5}},
        {{Alignment::butterworth, 4}, {1.53073, 1.57716, 1.08239, 0.38268}},
        {{Alignment::linkwitzRiley, 2}, {2.0, 0.5}},
        {{Alignment::linkwitzRiley, 4}, {1.88562, 1.59099, 0.94281, 0.35355}},
        {{Alignment::linkwitzRiley, 6}, {1.8, 1.85185, 1.47273, 1.12037, 0.72727, 0.25}},
        {{Alignment::linkwitzRiley, 8},
         {1.74941, 1.93202, 1.70186, 1.45476, 1.20953, 0.91319, 0.56545, 0.19134}},
        {{Alignment::bessel, 2}, {1.36165, 0.45388}},
        {{Alignment::bessel, 3}, {1.46306, 0.84272, 0.29261}},
        {{Alignment::bessel, 4}, {1.50119, 0.97807, 0.61273, 0.21139}},
        {{Alignment::chebyshev, 3, 0.5}, {1.57200, 1.51790, 0.93182}},
    };

    for (const auto& row : rows) {
        const auto g = ladderValues(prototype(row.request));
        ASSERT_EQ(g.size(), row.g.size());
        for (std::size_t i = 0; i < g.size(); ++i) {
            EXPECT_NEAR(g[i], row.g[i], 0.6e-5)
                << "alignment " << static_cast<int>(row.request.alignment) << " order "
                << row.request.order << " g" << i + 1;
        }
    }
}

// Butterworth 1930: |H|² = 1/(1 + ω^2N); its level is known without any table.
TEST(Prototype, butterworthFollowsItsFormula) {
    for (int order = 1; order <= 8; ++order) {
        const Polynomial D = prototype({Alignment::butterworth, order});
        for (const double omega : {0.1, 0.5, 1.0, 2.0, 10.0}) {
            EXPECT_NEAR(
                levelOf(D, omega), -10.0 * std::log10(1.0 + std::pow(omega, 2 * order)), 1e-9)
                << order << " " << omega;
        }
    }
}

TEST(Prototype, lastCrossingOfTheLevelLiesAtOne) {
    for (const Alignment alignment :
         {Alignment::butterworth, Alignment::bessel, Alignment::chebyshev}) {
        for (int order = 1; order <= 8; ++order) {
            for (const double level : {-3.0103, -6.0206}) {
                const Polynomial D = prototype({alignment, order, 0.5, level});
                EXPECT_NEAR(levelOf(D, 1.0), level, 1e-6)
                    << static_cast<int>(alignment) << " " << order;
                EXPECT_LT(levelOf(D, 1.05), level);
            }
        }
    }
}

// Chebyshev 0.5 dB: between 0 and −0.5 dB up to the ripple's end, as often at the bottom as half
// the order.
TEST(Prototype, chebyshevRipplesWithinItsRipple) {
    for (int order = 2; order <= 8; ++order) {
        const Polynomial D = prototype({Alignment::chebyshev, order, 0.5});
        double lowest = 0.0;
        for (double omega = 0.0; omega < 0.7; omega += 0.001) {
            const double level = levelOf(D, omega);
            EXPECT_LT(std::abs(level), 0.5005);
            lowest = std::min(lowest, level);
        }
        EXPECT_LT(lowest, order % 2 == 0 ? 0.001 : -0.49);
    }
}

// D(s)·… with a source resistance: ngspice and our solver check the circuit; here the law that the
// available power is never exceeded and that the level at fx is what was asked.
TEST(Prototype, sourceResistanceIsTakenIntoTheDesign) {
    const TextbookRequest request{.kind = TextbookKind::lowPass,
                                  .alignment = Alignment::butterworth,
                                  .order = 4,
                                  .fx = 1000.0,
                                  .load = 8.0,
                                  .source = 0.8};
    const Textbook t = book(request);
    const auto solution = solved(t.network, {10.0, 1000.0, 2000.0});
    const double passband = quantity::decibels(solution.drives[0][0]);
    EXPECT_NEAR(quantity::decibels(solution.drives[0][1]) - passband, -3.0103, 1e-3);
    EXPECT_NEAR(quantity::decibels(solution.drives[0][2]) - passband, -24.0992, 1e-3);
}

// docs/theory/network.md, "Levels, sums and loads". Computed for resistive loads; the sums of
// Butterworth and Linkwitz-Riley pairs are textbook knowledge (Linkwitz 1976; Small 1971).
TEST(Textbook, pairsOfTheTable) {
    struct {
        Alignment alignment;
        int order;
        double atFx;
        double octavePast;
        double sumAtFx;
        double sumMax;
        double impedanceMax; ///< of the load
    } const rows[] = {
        {Alignment::butterworth, 1, -3.0103, -6.9897, 0.0, 0.0, 1.0},
        {Alignment::butterworth, 2, -3.0103, -12.3045, 3.0103, 3.0103, 1.0},
        {Alignment::linkwitzRiley, 2, -6.0206, -13.9794, 0.0, 0.0, 2.0},
        {Alignment::butterworth, 3, -3.0103, -18.1291, 0.0, 0.0, 1.0},
        {Alignment::butterworth, 4, -3.0103, -24.0992, 3.0103, 3.0103, 1.0},
        {Alignment::linkwitzRiley, 4, -6.0206, -24.6090, 0.0, 0.0, 2.0},
        {Alignment::linkwitzRiley, 8, -6.0206, -48.1984, 0.0, 0.0, 2.0},
    };

    for (const auto& row : rows) {
        const Textbook t = book({.kind = TextbookKind::twoWay,
                                 .alignment = row.alignment,
                                 .order = row.order,
                                 .fx = 2500.0,
                                 .load = 8.0});
        EXPECT_NEAR(t.levelAtFx.value(), row.atFx, 1e-4);
        EXPECT_NEAR(t.octavePast.value(), row.octavePast, 1e-3);
        EXPECT_NEAR(t.sumAtFx.value(), row.sumAtFx, 1e-4);
        EXPECT_NEAR(t.sumMax.value(), row.sumMax, 1e-3);
        // A Linkwitz-Riley pair dips a little below the load beside its hump.
        EXPECT_NEAR(t.impedanceMin, 8.0, row.alignment == Alignment::butterworth ? 1e-3 : 0.02);
        EXPECT_NEAR(t.impedanceMax, 8.0 * row.impedanceMax, 1e-2);
        EXPECT_EQ(t.polarities, (std::vector<int>{1, reversedByRule(row.order) ? -1 : 1}));
    }
}

TEST(Textbook, besselPairs) {
    struct {
        int order;
        double octavePast;
        double sumMax;
    } const rows[] = {{2, -9.82, 2.68}, {3, -12.00, 2.89}, {4, -13.41, 1.69}};

    for (const auto& row : rows) {
        const Textbook t = book({.kind = TextbookKind::twoWay,
                                 .alignment = Alignment::bessel,
                                 .order = row.order,
                                 .fx = 1000.0});
        EXPECT_NEAR(t.octavePast.value(), row.octavePast, 0.01);
        EXPECT_NEAR(t.sumMax.value(), row.sumMax, 0.01) << row.order;
    }
    EXPECT_NEAR(book({.kind = TextbookKind::twoWay,
                      .alignment = Alignment::bessel,
                      .order = 4,
                      .fx = 1000.0})
                    .sumMin.value(),
                -0.91,
                0.01);
}

// docs/theory/network.md, "Check values": formulas of the trade for R and fx (published many times
// over, from memory) and fitted circuits.
TEST(Textbook, partValuesOfTheCheckTable) {
    const double R = 8.0;
    const double f = 2500.0;
    expectValues(book({.kind = TextbookKind::twoWay,
                       .alignment = Alignment::linkwitzRiley,
                       .order = 2,
                       .fx = f,
                       .load = R}),
                 {R / (std::numbers::pi * f),
                  1.0 / (4.0 * std::numbers::pi * R * f),
                  1.0 / (4.0 * std::numbers::pi * R * f),
                  R / (std::numbers::pi * f)},
                 1e-9);
    expectValues(book({.kind = TextbookKind::twoWay,
                       .alignment = Alignment::linkwitzRiley,
                       .order = 4,
                       .fx = f,
                       .load = R}),
                 {0.3001 * R / f,
                  0.2532 / (R * f),
                  0.1501 * R / f,
                  0.0563 / (R * f),
                  0.0844 / (R * f),
                  0.1000 * R / f,
                  0.1688 / (R * f),
                  0.4502 * R / f},
                 7e-4);
    expectValues(book({.kind = TextbookKind::twoWay,
                       .alignment = Alignment::butterworth,
                       .order = 3,
                       .fx = f,
                       .load = R}),
                 {0.2387 * R / f,
                  0.2122 / (R * f),
                  0.0796 * R / f,
                  0.1061 / (R * f),
                  0.1194 * R / f,
                  0.3183 / (R * f)},
                 5e-4);
    const Textbook band = book({.kind = TextbookKind::bandPass,
                                .alignment = Alignment::linkwitzRiley,
                                .order = 2,
                                .fxLow = 400.0,
                                .fxHigh = 3000.0,
                                .load = 8.0});
    // Parts in writing order from the amplifier: the high-pass ladder first.
    const auto values = valuesOf(band);
    ASSERT_EQ(values.size(), 4U);
    EXPECT_NEAR(values[0], 34.339e-6, 0.001e-6);
    EXPECT_NEAR(values[1], 6.5365e-3, 0.0001e-3);
    EXPECT_NEAR(values[2], 0.67853e-3, 0.00001e-3);
    EXPECT_NEAR(values[3], 2.92564e-6, 0.00001e-6);
    EXPECT_NEAR(band.bandGain.value(), 3.032, 0.001);
    const Textbook filler = book({.kind = TextbookKind::filler, .fx = 700.0, .load = 8.0});
    expectValues(filler, {2.5723e-3, 20.096e-6, 1.2862e-3, 40.193e-6, 20.096e-6, 2.5723e-3}, 5e-5);
    EXPECT_NEAR(filler.impedanceMin, 4.0, 1e-3);
    EXPECT_NEAR(filler.sumMax.value(), 0.0, 1e-6);
    EXPECT_NEAR(filler.sumMin.value(), 0.0, 1e-6);
    const Textbook series = book({.kind = TextbookKind::series,
                                  .alignment = Alignment::butterworth,
                                  .order = 2,
                                  .fx = 2200.0,
                                  .load = 6.0});
    expectValues(series, {17.051e-6, 0.30693e-3, 0.30693e-3, 17.051e-6}, 5e-5);
    EXPECT_NEAR(series.impedanceMin, 6.0, 1e-6);
    EXPECT_NEAR(series.impedanceMax, 6.0, 1e-6);
}

// docs/theory/network.md, "Band-pass": K at fH/fL = 8 over the plain product, dB.
TEST(Textbook, bandGainOfTheTable) {
    struct {
        Alignment alignment;
        int order;
        BandTopology topology;
        double K;
    } const rows[] = {{Alignment::butterworth, 1, BandTopology::highPassFirst, 1.02},
                      {Alignment::butterworth, 1, BandTopology::lowPassFirst, 1.02},
                      {Alignment::linkwitzRiley, 2, BandTopology::highPassFirst, 2.86},
                      {Alignment::linkwitzRiley, 2, BandTopology::lowPassFirst, 2.86},
                      {Alignment::butterworth, 3, BandTopology::highPassFirst, 1.55},
                      {Alignment::butterworth, 3, BandTopology::lowPassFirst, 1.55},
                      {Alignment::linkwitzRiley, 4, BandTopology::highPassFirst, 2.98},
                      {Alignment::linkwitzRiley, 4, BandTopology::lowPassFirst, 2.98}};

    for (const auto& row : rows) {
        const Textbook t = book({.kind = TextbookKind::bandPass,
                                 .alignment = row.alignment,
                                 .order = row.order,
                                 .fxLow = 400.0,
                                 .fxHigh = 3200.0,
                                 .bandTopology = row.topology});
        EXPECT_NEAR(t.bandGain.value(), row.K, 0.006) << row.order;
    }
}

// A lossless pair obeys Re Y = Σ|H|²/R: Butterworth is a constant resistance at every order.
TEST(Textbook, butterworthPairIsAConstantResistance) {
    for (int order = 1; order <= 8; ++order) {
        const Textbook t = book({.kind = TextbookKind::twoWay,
                                 .alignment = Alignment::butterworth,
                                 .order = order,
                                 .fx = 1234.0,
                                 .load = 5.0});
        EXPECT_NEAR(t.impedanceMin, 5.0, 1e-5) << order;
        EXPECT_NEAR(t.impedanceMax, 5.0, 1e-5) << order;
    }
}

TEST(Textbook, refusalsNameTheKey) {
    struct {
        TextbookRequest request;
        const char* subject;
    } const rows[] = {
        {{.kind = TextbookKind::twoWay,
          .alignment = Alignment::linkwitzRiley,
          .order = 3,
          .fx = 1000.0},
         "order"},
        {{.kind = TextbookKind::twoWay, .fx = 1000.0}, "order"},
        {{.kind = TextbookKind::twoWay, .order = 2}, "fx_hz"},
        {{.kind = TextbookKind::bandPass, .order = 2, .fxLow = 3000.0, .fxHigh = 400.0},
         "fx_high_hz"},
        {{.kind = TextbookKind::lowPass, .order = 2, .fx = 1000.0, .load = 4.0, .source = 4.0},
         "source_ohm"},
        {{.kind = TextbookKind::series,
          .alignment = Alignment::linkwitzRiley,
          .order = 2,
          .fx = 1000.0},
         "alignment"},
    };

    for (const auto& row : rows) {
        const auto error = check(row.request);
        ASSERT_TRUE(error.has_value()) << row.subject;
        EXPECT_EQ(error->subject, row.subject) << text::sentence(*error);
        EXPECT_FALSE(error->allowed.empty());
    }
}

// IEC 60063: the series themselves. E24 in full; single values of the finer series where rounding
// and the standard differ.
TEST(ESeries, valuesOfTheStandard) {
    const std::vector<double> e24{1.0, 1.1, 1.2, 1.3, 1.5, 1.6, 1.8, 2.0, 2.2, 2.4, 2.7, 3.0,
                                  3.3, 3.6, 3.9, 4.3, 4.7, 5.1, 5.6, 6.2, 6.8, 7.5, 8.2, 9.1};
    EXPECT_EQ(mantissas(ESeries::E24), e24);
    EXPECT_EQ(mantissas(ESeries::E12),
              (std::vector<double>{1.0, 1.2, 1.5, 1.8, 2.2, 2.7, 3.3, 3.9, 4.7, 5.6, 6.8, 8.2}));
    EXPECT_EQ(mantissas(ESeries::E6), (std::vector<double>{1.0, 1.5, 2.2, 3.3, 4.7, 6.8}));
    EXPECT_EQ(mantissas(ESeries::E3), (std::vector<double>{1.0, 2.2, 4.7}));

    struct {
        ESeries series;
        std::size_t count;
    } const counts[] = {{ESeries::E48, 48}, {ESeries::E96, 96}, {ESeries::E192, 192}};

    for (const auto& row : counts) {
        EXPECT_EQ(mantissas(row.series).size(), row.count);
        EXPECT_TRUE(std::ranges::is_sorted(mantissas(row.series)));
    }
    const auto has = [](ESeries series, double m) {
        return std::ranges::find(mantissas(series), m) != mantissas(series).end();
    };
    EXPECT_TRUE(has(ESeries::E192, 9.20));
    EXPECT_FALSE(has(ESeries::E192, 9.19));
    EXPECT_TRUE(has(ESeries::E96, 1.02));
    EXPECT_TRUE(has(ESeries::E48, 1.05));
}

TEST(ESeries, nearestIsNearestInTheLogarithm) {
    struct {
        double value;
        ESeries series;
        double nearest;
    } const rows[] = {{7.03e-6, ESeries::E12, 6.8e-6},
                      {0.83e-3, ESeries::E6, 1e-3},
                      {1.2247, ESeries::E6, 1.0},
                      {1.2248, ESeries::E6, 1.5},
                      {9.6, ESeries::E12, 10.0},
                      {99.0, ESeries::E3, 100.0}};

    for (const auto& row : rows) {
        EXPECT_NEAR(nearestValue(row.value, row.series) / row.nearest, 1.0, 1e-9) << row.value;
    }
}

TEST(ESeries, aStepGoesToTheNextValueAndBack) {
    EXPECT_NEAR(stepValue(6.8e-6, ESeries::E12, 1), 8.2e-6, 1e-12);
    EXPECT_NEAR(stepValue(6.8e-6, ESeries::E12, -1), 5.6e-6, 1e-12);
    EXPECT_NEAR(stepValue(8.2e-6, ESeries::E12, 1), 10e-6, 1e-12);
    EXPECT_NEAR(stepValue(1.0, ESeries::E12, -1), 0.82, 1e-12);
    EXPECT_NEAR(
        stepValue(7.0e-6, ESeries::E12, 1), 8.2e-6, 1e-12); // from between two values to the next
    EXPECT_NEAR(stepValue(7.0e-6, ESeries::E12, -1), 6.8e-6, 1e-12);
    for (const ESeries series : {ESeries::E3,
                                 ESeries::E6,
                                 ESeries::E12,
                                 ESeries::E24,
                                 ESeries::E48,
                                 ESeries::E96,
                                 ESeries::E192}) {
        double value = 1e-6;
        for (const double m : mantissas(series)) {
            EXPECT_NEAR(value / (m * 1e-6), 1.0, 1e-9);
            value = stepValue(value, series, 1);
        }
        EXPECT_NEAR(value, 1e-5, 1e-14);
    }
}

// Exhaustive search as the witness: every pair of the series over the same decades.
TEST(ESeries, pairIsTheBestOfAll) {
    for (const double target : {7.03, 0.83, 3.14159, 47.1}) {
        for (const PartKind kind : {PartKind::resistor, PartKind::capacitor}) {
            const PairOfValues pair = nearestPair(target, kind, ESeries::E6);
            double best = 1e9;
            for (int a = -5; a <= 5; ++a) {
                for (int b = -5; b <= 5; ++b) {
                    for (const double m : mantissas(ESeries::E6)) {
                        for (const double n : mantissas(ESeries::E6)) {
                            const double x = m * std::pow(10.0, a);
                            const double y = n * std::pow(10.0, b);
                            best = std::min({best,
                                             std::abs(std::log((x + y) / target)),
                                             std::abs(std::log(x * y / (x + y) / target))});
                        }
                    }
                }
            }
            EXPECT_NEAR(std::abs(std::log(pair.value / target)), best, 1e-12) << target;
            EXPECT_LE(pair.first, pair.second);
            const bool sum = (pair.join == Joining::series) == (kind != PartKind::capacitor);
            EXPECT_NEAR(pair.value,
                        sum ? pair.first + pair.second
                            : pair.first * pair.second / (pair.first + pair.second),
                        1e-9 * target);
        }
    }
}

TEST(Pad, checkValues) {
    struct {
        double A;
        double R;
        double series;
        double shunt;
        double tolerance;
    } const rows[] = {{6.0, 8.0, 3.99, 8.04, 0.01}, {3.5, 5.3, 1.7578, 10.680, 0.001}};

    for (const auto& row : rows) {
        const auto p = pad({.attenuation = row.A, .load = row.R, .voltage = 2.83});
        ASSERT_TRUE(p.ok());
        EXPECT_NEAR(p->series, row.series, row.tolerance);
        EXPECT_NEAR(p->shunt.value(), row.shunt, row.tolerance);
        EXPECT_NEAR(p->seen, row.R, 1e-9); // constant impedance: the definition of the pad
        EXPECT_NEAR(p->seriesPower + p->shuntPower + p->loadPower, 2.83 * 2.83 / row.R, 1e-9);
        EXPECT_NEAR(10.0 * std::log10(p->loadPower / (2.83 * 2.83 / row.R)), -row.A, 1e-9);
    }
    const auto alone =
        pad({.kind = PadKind::series, .attenuation = 3.0, .load = 6.0, .voltage = 1.0});
    ASSERT_TRUE(alone.ok());
    EXPECT_NEAR(alone->series, 6.0 * (std::pow(10.0, 0.15) - 1.0), 1e-9);
    EXPECT_NEAR(alone->seen, 6.0 * std::pow(10.0, 0.15), 1e-9);
    // An old control found at 12.6 Ω and 7.4 Ω before 6.8 Ω (docs/theory/network.md, solved
    // circuit).
    const auto old =
        pad({.kind = PadKind::measured, .load = 6.8, .series = 12.6, .shunt = 7.4, .voltage = 1.0});
    ASSERT_TRUE(old.ok());
    EXPECT_NEAR(old->attenuation, 13.0, 4.5); // bracket; the exact figure below
    EXPECT_NEAR(old->seen, 12.6 + 7.4 * 6.8 / (7.4 + 6.8), 1e-9);
    EXPECT_NEAR(old->attenuation, -20.0 * std::log10((old->seen - 12.6) / old->seen), 1e-9);
}

TEST(Zobel, exactForACoil) {
    // C = Le/Re²: 5.6 Ω and 0.47 mH give 14.99 µF, and the whole is 5.6 Ω at every frequency.
    const auto z = zobel({.Re = 5.6, .Le = 0.47e-3});
    ASSERT_TRUE(z.ok());
    EXPECT_NEAR(z->R, 5.6, 1e-9);
    EXPECT_NEAR(z->C.value(), 14.987e-6, 1e-9);
    EXPECT_NEAR(z->deviation, 0.0, 1e-9);
    for (const double f : {20.0, 500.0, 3000.0, 20000.0}) {
        const std::complex<double> s{0.0, twoPi * f};
        const auto coil = 5.6 + s * 0.47e-3;
        const auto shunt = z->R + 1.0 / (s * z->C.value());
        EXPECT_NEAR(std::abs(coil * shunt / (coil + shunt)), 5.6, 1e-9);
    }
}

// docs/theory/network.md: the bass unit of the notation's example, 300 Hz to 8 kHz, to 6 Ω.
TEST(Zobel, fittedToAModelledWoofer) {
    const driver::ImpedanceModel bass{.Re = 5.8,
                                      .fs = 42.0,
                                      .Qms = 4.5,
                                      .Qes = 0.42,
                                      .inductance = driver::InductanceModel::lr2,
                                      .Le = 0.35e-3,
                                      .L2 = 0.9e-3,
                                      .R2 = 3.2};
    const curve::Axis axis = curve::within(curve::designAxis(), 300.0, 8000.0);
    const Zobel z = fitZobel(axis, driver::impedance(bass, axis), 6.0);
    // The source does not say on which points it was fitted; the valley is flat in R.
    EXPECT_NEAR(z.R, 7.80, 0.05);
    EXPECT_NEAR(z.C.value(), 15.14e-6, 0.05e-6);
    EXPECT_NEAR(z.deviation, 1.11, 0.02);
}

// The complete conjugate makes the driver a resistor at every frequency; solved as a network.
TEST(Zobel, conjugateIsExactAtEveryFrequency) {
    for (const auto model : {driver::InductanceModel::ideal,
                             driver::InductanceModel::lr2,
                             driver::InductanceModel::none}) {
        ZobelRequest request{.kind = ZobelKind::conjugate,
                             .Re = 6.0,
                             .fs = 900.0,
                             .Qms = 2.0,
                             .Qes = 1.9,
                             .inductance = model};
        driver::ImpedanceModel unit{
            .Re = 6.0, .fs = 900.0, .Qms = 2.0, .Qes = 1.9, .inductance = model};
        if (model != driver::InductanceModel::none) {
            request.Le = unit.Le = 0.5e-3;
        }
        if (model == driver::InductanceModel::lr2) {
            request.L2 = unit.L2 = 0.3e-3;
            request.R2 = unit.R2 = 2.0;
        }
        const auto z = zobel(request);
        ASSERT_TRUE(z.ok()) << text::sentence(z.error());
        Network network;
        network.drivers = {{.name = "d", .impedance = unit}};
        Section top{.ladder = {ShuntSlot{z->shunt()}}, .end = DriverEnd{.driver = "d"}};
        network.circuit.body = top;
        // Bare letters are numbered by reading.
        network.circuit = Circuit::read(network.circuit.write(), "").value();
        for (const auto& Z : solved(network, curve::designAxis()).impedances) {
            ASSERT_LT(std::abs(Z - 6.0), 1e-9);
        }
    }
}

} // namespace yf::test
