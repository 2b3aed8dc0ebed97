// SPDX-License-Identifier: GPL-3.0-or-later
// Filters before amplifiers: against identities published for them, and an amplifier for each way
// against each way solved by itself.
#include "core/network/exchange/export.h"
#include "core/network/judge/load.h"
#include "core/network/line/biquad.h"
#include "core/network/solve/sweep.h"
#include "core/quantity/level.h"
#include "core/tune/objective.h"
#include "tests/support/networks.h"

#include <gtest/gtest.h>

#include <cmath>

namespace yf::test {

namespace {

using curve::Complex;
using network::Alignment;
using network::BiquadKind;
using network::LineFilter;

LineFilter aligned(BiquadKind kind, Alignment alignment, int order, double fx) {
    return {.kind = kind, .alignment = alignment, .order = order, .f0 = fx};
}

Complex at(const LineFilter& filter, double f) {
    return network::transfer(filter, std::vector<double>{f}).front();
}

/// The three-way of modelled drivers with lines before its ways.
network::Network lined(const std::string& resistance) {
    std::string json = threeWayOfThirteenSlots();
    const auto put = [&json](const std::string& before, const std::string& what) {
        const auto place = json.find(before);
        EXPECT_NE(place, std::string::npos);
        json.insert(place, what);
    };
    put(R"("ladder": [{"series": "L1)",
        R"("line":{"filters":[{"kind":"low-pass","alignment":"linkwitz-riley","order":4,"f0_hz":500}],"delay_s":0.0002},)");
    put(R"("ladder": [{"series": "C5)",
        R"("line":{"filters":[{"kind":"high-pass","f0_hz":3000,"q":0.8},{"kind":"peaking","f0_hz":6000,"q":2,"gain_db":-3}],"gain_db":-4},)");
    const auto place = json.find("0.08");
    json.replace(place, 4, resistance);
    return networkFrom(json);
}

const curve::Axis& axis() {
    static const curve::Axis some = curve::within(curve::designAxis(), 20.0, 20000.0);
    return some;
}

} // namespace

// Linkwitz 1976 (JAES 24, "Active crossover networks for noncoincident drivers"): both halves of a
// fourth order in the same polarity make an all-pass, that of the Butterworth it is squared from.
TEST(Line, linkwitzRileyHalvesMakeTheAllPass) {
    for (const int order : {4, 8}) {
        const auto low = aligned(BiquadKind::lowPass, Alignment::linkwitzRiley, order, 2500.0);
        const auto high = aligned(BiquadKind::highPass, Alignment::linkwitzRiley, order, 2500.0);
        const auto all = aligned(BiquadKind::allPass, Alignment::butterworth, order / 2, 2500.0);
        for (const double f : {50.0, 800.0, 2500.0, 2501.0, 9000.0, 19000.0}) {
            EXPECT_NEAR(std::abs(at(low, f) + at(high, f) - at(all, f)), 0.0, 1e-12)
                << order << " at " << f;
        }
        EXPECT_NEAR(quantity::decibels(at(low, 2500.0)), -20.0 * std::log10(2.0), 1e-9);
    }
}

// "Cookbook formulae for audio equalizer biquad filter coefficients": what the figures mean.
TEST(Line, figuresMeanWhatThePublishedFormulasSay) {
    LineFilter peak{.kind = BiquadKind::peaking, .f0 = 1000.0, .Q = 2.0, .gain = 6.0};
    EXPECT_NEAR(quantity::decibels(at(peak, 1000.0)), 6.0, 1e-12);
    // Half the gain in dB an octave's share away: the bandwidth between the midpoints is f0/Q.
    const double upper = 1000.0 * (std::sqrt(1.0 + 1.0 / 16.0) + 0.25);
    EXPECT_NEAR(quantity::decibels(at(peak, upper)), 3.0, 1e-9);
    LineFilter shelf{.kind = BiquadKind::lowShelf, .f0 = 300.0, .Q = 0.7071, .gain = 6.0};
    EXPECT_NEAR(quantity::decibels(at(shelf, 0.01)), 6.0, 1e-6);
    EXPECT_NEAR(quantity::decibels(at(shelf, 300.0)), 3.0, 1e-9);
    EXPECT_NEAR(quantity::decibels(at(shelf, 2e5)), 0.0, 1e-4);
    shelf.kind = BiquadKind::highShelf;
    EXPECT_NEAR(quantity::decibels(at(shelf, 0.01)), 0.0, 1e-6);
    EXPECT_NEAR(quantity::decibels(at(shelf, 2e5)), 6.0, 1e-4);
    LineFilter all{.kind = BiquadKind::allPass, .f0 = 500.0, .Q = 0.5};
    EXPECT_NEAR(std::abs(at(all, 123.0)), 1.0, 1e-12);
    EXPECT_NEAR(std::abs(std::arg(at(all, 500.0))), std::acos(-1.0), 1e-9);
}

// The bilinear transform is exact far below half the rate, so a high rate gives the analogue one.
TEST(Line, digitalSectionsAreTheSameFilters) {
    std::vector<LineFilter> all{aligned(BiquadKind::allPass, Alignment::butterworth, 3, 700.0),
                                aligned(BiquadKind::highPass, Alignment::bessel, 4, 900.0),
                                {.kind = BiquadKind::highShelf, .f0 = 2000.0, .gain = -5.0}};
    constexpr double rate = 4e6;
    for (const LineFilter& filter : all) {
        const auto made = network::sectionsOf(filter, rate);
        ASSERT_TRUE(made.ok());
        for (const double f : {200.0, 900.0, 5000.0}) {
            Complex H{1.0};
            for (const network::Biquad& s : made->sections) {
                H *= s.at(f / rate);
            }
            EXPECT_NEAR(std::abs(H - at(filter, f)), 0.0, 2e-5)
                << network::words(filter) << " at " << f;
        }
    }
}

TEST(Line, eachWayStandsOnItsOwnAmplifier) {
    const auto n = lined("0.8");
    const auto all = solved(n, axis());
    const auto each = network::amplifiers(n.circuit);
    ASSERT_EQ(each.size(), 3u);
    std::vector<Complex> hardest;
    const auto& ways = std::get<network::Ways>(n.circuit.tree()->end).sections;
    for (std::size_t w = 0; w < 3; ++w) {
        network::Network alone = n;
        alone.circuit = each[w];
        const auto one = solved(alone, axis());
        const auto H = network::transfer(ways[w].line.value_or(network::Line{}), axis());
        for (std::size_t k = 0; k < axis().size(); ++k) {
            EXPECT_NEAR(std::abs(all.drives[w][k] - H[k] * one.drives[0][k]), 0.0, 1e-12);
            EXPECT_LE(std::abs(all.impedances[k]), std::abs(one.impedances[k]) * (1.0 + 1e-12));
        }
    }
    // Behind one amplifier of that resistance the ways disturb each other.
    auto together = n;
    for (auto& way : std::get<network::Ways>(together.circuit.tree()->end).sections) {
        way.line.reset();
    }
    network::Network alone = n;
    alone.circuit = each[0];
    const auto shared = solved(together, axis());
    const auto own = solved(alone, axis());
    double apart = 0.0;
    for (std::size_t k = 0; k < axis().size(); ++k) {
        apart = std::max(apart, std::abs(shared.drives[0][k] - own.drives[0][k]));
    }
    EXPECT_GT(apart, 0.01);
}

TEST(Line, theSweepKnowsThemToo) {
    for (const char* R : {"0", "0.8"}) {
        const auto n = lined(R);
        const network::PreparedLoads loads(*network::loadsOn(n, axis()));
        network::Sweep sweep(n.circuit, loads);
        ASSERT_EQ(sweep.amplifiers(), 3u);
        const auto plain = solved(n, axis());
        sweep.run(1);
        sweep.differentiate({}, false);
        constexpr std::size_t k = 17;
        const std::size_t point = network::blockSize + k;
        for (std::size_t end = 0; end < 3; ++end) {
            const Complex drive{sweep.drive(end).re[k], sweep.drive(end).im[k]};
            EXPECT_NEAR(std::abs(drive - plain.drives[end][point]), 0.0, 1e-12);
        }
        for (std::size_t p = 0; p < sweep.parts().size(); ++p) {
            constexpr double h = 1e-5;
            const auto with = [&](double x) {
                network::Part changed = sweep.parts()[p];
                changed.value *= std::exp(x);
                network::Sweep other(n.circuit, loads);
                other.setPart(p, changed);
                other.run(1);
                const auto& Y = other.admittance(other.amplifierOf(p));
                std::vector<Complex> figures{{Y.re[k], Y.im[k]}};
                for (std::size_t end = 0; end < 3; ++end) {
                    figures.emplace_back(other.drive(end).re[k], other.drive(end).im[k]);
                }
                return figures;
            };
            const auto up = with(h);
            const auto down = with(-h);
            const Complex dY = (up[0] - down[0]) / (2.0 * h);
            const auto& mine = sweep.admittanceLog(p);
            EXPECT_NEAR(std::abs(Complex(mine.re[k], mine.im[k]) - dY), 0.0, 1e-8);
            for (std::size_t end = 0; end < 3; ++end) {
                const Complex d = (up[end + 1] - down[end + 1]) / (2.0 * h);
                const auto* log = sweep.drivesLog(p, end);
                const Complex exact =
                    log == nullptr ? Complex{}
                                   : Complex(log->re[k], log->im[k]) * plain.drives[end][point];
                EXPECT_NEAR(std::abs(exact - d), 0.0, 1e-7) << sweep.parts()[p].id;
                EXPECT_EQ(sweep.amplifierOf(p) != end && log != nullptr && std::abs(d) > 1e-12,
                          false);
            }
        }
    }
}

/// The floor of a tuner is each amplifier's: three ways of 6 Ω are not a load of 2 Ω.
TEST(Line, theFloorIsEachAmplifiers) {
    const auto n = lined("0");
    const network::PreparedLoads loads(*network::loadsOn(n, axis()));
    const auto factors = *network::pressureFactors(n.circuit, loads.loads());
    const auto missed = [&](const network::Network& of, double floor) {
        tune::Goal goal{.axis = axis(),
                        .inBand = std::vector<bool>(axis().size(), true),
                        .target = std::vector<double>(axis().size(), 0.0),
                        .floor = floor};
        tune::Objective objective(of.circuit,
                                  loads,
                                  factors,
                                  std::vector<bool>(network::parts(of.circuit).size(), true),
                                  goal);
        return objective.value(objective.start()).floorMissed;
    };
    const double least = network::leastImpedance(n.circuit, network::loadSource(n), loads)->ohms;
    EXPECT_GT(missed(n, least * 1.01), 0.0);
    EXPECT_EQ(missed(n, least * 0.99), 0.0);
}

TEST(Line, linesStandOnlyBeforeAmplifiers) {
    const auto refuses = [](const std::string& json, const std::string& subject) {
        const auto value = text::parseJson(json);
        ASSERT_TRUE(value.ok());
        const auto n = network::Network::read(*value, "network");
        ASSERT_FALSE(n.ok()) << json;
        EXPECT_EQ(n.error().subject, subject) << n.error().given;
    };
    const std::string drivers = R"("drivers":{"a":{"r_ohm":8},"b":{"r_ohm":8}},)";
    const std::string line = R"("line":{"gain_db":-3},)";
    refuses("{" + drivers + R"("ladder":[{"series":"L1 1mH"}],"ways":[{)" + line +
                R"("driver":"a"},{"driver":"b"}]})",
            "network.ways[0].line");
    refuses("{" + drivers + R"("join":"series","ways":[{"driver":"a"},{)" + line +
                R"("driver":"b"}]})",
            "network.ways[1].line");
    refuses("{" + drivers + R"("ways":[{"ways":[{)" + line + R"("driver":"a"},{"driver":"b"}]}]})",
            "network.ways[0].ways[0].line");
    refuses(
        "{" + drivers +
            R"("ways":[{"line":{"filters":[{"kind":"peaking","alignment":"bessel","f0_hz":9}]},"driver":"a"},{"driver":"b"}]})",
        "network.ways[0].line.filters[0].alignment");
    refuses(
        "{" + drivers + R"("ways":[{)" + line +
            R"("ladder":[{"series":"L1 1mH"}],"driver":"a"},{"ladder":[{"series":"L2 1mH"}],"driver":"b"}],"couplings":[["L1","L2",0.1]]})",
        "network.couplings");
}

TEST(Line, isWrittenAsItIsRead) {
    const auto n = lined("0");
    const auto again = network::Network::read(n.write(), "network");
    ASSERT_TRUE(again.ok()) << again.error().subject << again.error().given;
    EXPECT_EQ(*again, n);
}

TEST(Line, whatIsTypedIsUnderstood) {
    const LineFilter low = aligned(BiquadKind::lowPass, Alignment::linkwitzRiley, 4, 2500.0);
    const auto typed = [](const LineFilter& old, const char* text) {
        const auto filter = network::typedFilter(old, text);
        EXPECT_TRUE(filter.ok()) << text;
        return filter ? *filter : old;
    };
    EXPECT_EQ(typed(low, "3k"), aligned(BiquadKind::lowPass, Alignment::linkwitzRiley, 4, 3000.0));
    EXPECT_EQ(typed(low, "bw 3 800 Hz"),
              aligned(BiquadKind::lowPass, Alignment::butterworth, 3, 800.0));
    EXPECT_EQ(typed(low, "Bessel2"), aligned(BiquadKind::lowPass, Alignment::bessel, 2, 2500.0));
    const LineFilter loose = typed(low, "q 0.6 1,2 kHz");
    EXPECT_FALSE(loose.alignment);
    EXPECT_EQ(loose.Q, 0.6);
    EXPECT_EQ(loose.f0, 1200.0);
    const LineFilter peak{.kind = BiquadKind::peaking, .f0 = 1000.0, .Q = 2.0, .gain = -3.0};
    EXPECT_EQ(typed(peak, "+2").gain, 2.0);
    EXPECT_EQ(typed(peak, "1.5 dB").gain, 1.5);
    EXPECT_EQ(typed(peak, network::figuresOf(peak).c_str()), peak);
    EXPECT_EQ(typed(low, network::figuresOf(low).c_str()), low);

    // What is wrong, the piece that is wrong, and what would do.
    const std::array<std::array<const char*, 2>, 6> wrong{{{"LR3", "3 given"},
                                                           {"-3 dB", "'-3dB' given"},
                                                           {"q0", "'q0' given"},
                                                           {"loud", "'loud' given"},
                                                           {"LR9", "'LR9' given"},
                                                           {"", "nothing is written"}}};
    for (const auto& [text, given] : wrong) {
        const auto filter = network::typedFilter(low, text);
        ASSERT_FALSE(filter.ok()) << text;
        EXPECT_EQ(filter.error().given, given);
        EXPECT_FALSE(filter.error().allowed.empty());
    }
}

TEST(Line, leavesAsSectionsForADigitalCrossover) {
    const auto n = lined("0");
    const auto csv = network::csvOfLines(n.circuit, 48000.0);
    ASSERT_TRUE(csv.ok());
    // LR4 is two sections; the way in the middle has none, but its gain and delay all the same.
    EXPECT_EQ(std::ranges::count(*csv, '\n'), 1 + (2 + 2) + 2 + (2 + 2));
    EXPECT_NE(csv->find("low,delay in samples,9.6"), std::string::npos) << *csv;
    EXPECT_NE(csv->find("high,gain,0.63095734448"), std::string::npos) << *csv;
    const auto tooLow = network::csvOfLines(n.circuit, 8000.0);
    ASSERT_FALSE(tooLow.ok());
    EXPECT_TRUE(tooLow.error().subject.starts_with("high, peak 6\u202FkHz")); // which one it is
    EXPECT_FALSE(network::csvOfLines(networkFrom(twoWayOfEightParts()).circuit, 48000.0).ok());
}

} // namespace yf::test
