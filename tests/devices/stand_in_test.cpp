// SPDX-License-Identifier: GPL-3.0-or-later
// The stand-ins tell the truth of their specimen, and the parsers bear anything that a line brings.
#include "core/bench/evidence.h"
#include "core/bench/notation.h"
#include "core/text/number.h"
#include "core/text/sentence.h"
#include "devices/meter.h"
#include "devices/stand_in.h"
#include "devices/stand_in_meter.h"

#include <QCoreApplication>
#include <QProcess>
#include <QTest>

#include <gtest/gtest.h>

#include <cmath>
#include <numbers>

namespace yf::test {

namespace {

using devices::MeterKind;
using devices::StandInMeter;

sim::Specimen specimenWith(const std::string& fault) {
    sim::Specimen s;
    s.motor = sim::stock().front().motor;
    s.fault = fault;
    const sim::SeverityRange range = sim::severityRange(fault);
    s.severity = (range.low + range.high) / 2.0;
    return s;
}

/// Printable and other bytes, mixed as noise on a line is.
std::string noise(sim::Random& random) {
    std::string bytes;
    const auto length = static_cast<std::size_t>(random.uniform() * 40.0);
    for (std::size_t i = 0; i < length; ++i) {
        constexpr std::string_view likely = "0123456789+-.eE ,;OLRohmHz\"";
        const bool any = random.uniform() < 0.3;
        bytes += any ? static_cast<char>(random.uniform() * 256.0)
                     : likely[static_cast<std::size_t>(random.uniform() *
                                                       static_cast<double>(likely.size()))];
    }
    return bytes;
}

void withApplication() {
    if (QCoreApplication::instance() == nullptr) {
        static int argc = 1;
        static char name[] = "test";
        static char* argv[] = {name, nullptr};
        static const QCoreApplication application(argc, argv);
    }
}

} // namespace

TEST(StandIn, ohmsAreThoseOfTheSpecimenForEveryFault) {
    for (const std::string& fault : bench::shippedTable().faults) {
        const sim::Specimen specimen = specimenWith(fault);
        StandInMeter meter(MeterKind::ohms, specimen, 11);
        const auto shown = devices::readOhms(meter.answer("READ?"));
        ASSERT_TRUE(shown.ok()) << fault;
        const auto truth = sim::dcr(specimen, bench::Place::driver);
        ASSERT_EQ(shown->ohms.has_value(), truth.has_value()) << fault;
        if (truth) {
            EXPECT_NEAR(*shown->ohms - 0.3, *truth, 0.015 * *truth + 0.02) << fault;
        }
    }
}

TEST(StandIn, pairsAreThoseOfTheSpecimenForEveryFault) {
    for (const std::string& fault : bench::shippedTable().faults) {
        const sim::Specimen specimen = specimenWith(fault);
        StandInMeter meter(MeterKind::lcr, specimen, 12);
        for (const double f : {100.0, 1000.0, 10000.0}) {
            EXPECT_EQ(meter.answer("FREQ " + text::printNumber(f)), "");
            EXPECT_NEAR(devices::readFrequency(meter.answer("FREQ?")).value(), f, 1e-3);
            const auto shown = devices::readPair(meter.answer("FETC?"), f, bench::LcrMode::series);
            ASSERT_TRUE(shown.ok()) << fault;
            const auto Z = sim::impedance(specimen, bench::Place::driver, f, 0.3);
            ASSERT_EQ(shown->r.has_value(), Z.has_value()) << fault;
            if (Z) {
                EXPECT_NEAR(*shown->r - 0.08, Z->real(), 0.01 * Z->real() + 0.02) << fault;
                EXPECT_NEAR(shown->l,
                            Z->imag() / (2.0 * std::numbers::pi * f),
                            0.01 * std::abs(shown->l) + 1e-9)
                    << fault;
            }
        }
    }
}

TEST(StandIn, tipsTogetherReadTheLeadsWhateverIsUnderThem) {
    for (const char* const fault : {"healthy", "open_coil"}) {
        StandInMeter ohms(MeterKind::ohms, specimenWith(fault), 3);
        EXPECT_EQ(ohms.answer("SIM:TIPS TOGETHER"), "");
        EXPECT_NEAR(*devices::readOhms(ohms.answer("READ?"))->ohms, 0.30, 0.02);
        EXPECT_EQ(ohms.answer("SIM:TIPS DRIVER"), "");
        const auto back = devices::readOhms(ohms.answer("READ?"));
        EXPECT_EQ(back->ohms.has_value(), std::string_view(fault) == "healthy");
    }
}

TEST(StandIn, streamedLinesSayTheSameAsAnswers) {
    for (const char* const fault : {"healthy", "shorted_turns", "open_coil"}) {
        StandInMeter asked(MeterKind::ohms, specimenWith(fault), 5);
        StandInMeter streamed(MeterKind::ohms, specimenWith(fault), 5);
        const auto answer = devices::readOhms(asked.answer("READ?"));
        const auto line = devices::readLine(streamed.streamed());
        ASSERT_TRUE(answer.ok() && line.ok() && line->ohms) << fault;
        ASSERT_EQ(answer->ohms.has_value(), line->ohms->ohms.has_value()) << fault;
        if (answer->ohms) {
            EXPECT_NEAR(*answer->ohms, *line->ohms->ohms, 1e-9) << fault;
        }
    }
    StandInMeter lcr(MeterKind::lcr, specimenWith("healthy"), 5);
    const auto pair = devices::readLine(lcr.streamed());
    ASSERT_TRUE(pair.ok() && pair->pair) << text::sentence(pair.error());
    EXPECT_NEAR(pair->pair->l, 0.991e-3, 0.02e-3);
}

TEST(StandIn, readingsScatterAndRepeatBySeed) {
    const auto series = [](std::uint64_t seed) {
        StandInMeter meter(MeterKind::ohms, specimenWith("healthy"), seed);
        std::vector<std::string> all;
        for (int i = 0; i < 12; ++i) {
            all.push_back(meter.answer("READ?"));
        }
        return all;
    };
    EXPECT_EQ(series(4), series(4));
    EXPECT_NE(series(4), series(5)) << "another meter of the kind";
    const auto one = series(4);
    EXPECT_NE(std::ranges::count(one, one.front()), 12) << "a real meter's last digit moves";
}

TEST(Parsers, bearWhateverALineBrings) {
    sim::Random random(20260314);
    int understood = 0;
    for (int i = 0; i < 20000; ++i) {
        const std::string bytes = noise(random);
        const auto ohms = devices::readOhms(bytes);
        if (ohms) {
            ++understood;
            if (ohms->ohms) {
                EXPECT_TRUE(std::isfinite(*ohms->ohms) && *ohms->ohms >= 0.0) << bytes;
                EXPECT_GT(ohms->resolution, 0.0) << bytes;
            }
        } else {
            // What is shown of it can stand on a screen.
            for (const char c : text::sentence(ohms.error()).english()) {
                EXPECT_FALSE(static_cast<unsigned char>(c) < 0x20) << bytes;
            }
        }
        const auto pair = devices::readPair(bytes, 1000.0, bench::LcrMode::series);
        EXPECT_TRUE(!pair || std::isfinite(pair->l));
        static_cast<void>(devices::readLine(bytes).ok());
        static_cast<void>(devices::readIdentity(bytes).ok());
        static_cast<void>(devices::readFunction(bytes).ok());
        static_cast<void>(devices::readPairMode(bytes).ok());
        static_cast<void>(devices::readFrequency(bytes).ok());
        devices::LineSplitter splitter;
        static_cast<void>(splitter.add(bytes).ok());
        const auto written = bench::readOhms(bytes);
        if (written) {
            for (const auto& reading : written->ohms) {
                EXPECT_TRUE(!reading || (std::isfinite(*reading) && *reading >= 0.0)) << bytes;
            }
        }
    }
    EXPECT_GT(understood, 100) << "the noise must hold some readings, or nothing is tried";
}

TEST(Parsers, whatIsPrintedIsReadBack) {
    sim::Random random(7);
    for (int i = 0; i < 2000; ++i) {
        const double ohms = std::pow(10.0, random.uniform() * 5.0 - 1.0);
        const std::string text = text::printSignificant(ohms, 5);
        const auto scpi = devices::readOhms(text);
        const auto hand = bench::readOhms(text);
        ASSERT_TRUE(scpi.ok() && hand.ok()) << text;
        EXPECT_NEAR(*scpi->ohms, ohms, 1e-4 * ohms);
        EXPECT_NEAR(*hand->ohms.front(), ohms, 1e-4 * ohms);
        EXPECT_NEAR(scpi->resolution, hand->resolution, 1e-9 * scpi->resolution)
            << text << ": the last digit is the last digit";
    }
}

TEST(Simulator, theProgramServesWhatItPrints) {
    withApplication();
    QProcess program;
    program.start(QStringLiteral(YF_SIM_PROGRAM),
                  {QStringLiteral("--port"),
                   QStringLiteral("0"),
                   QStringLiteral("--driver"),
                   QStringLiteral("midrange"),
                   QStringLiteral("--fault"),
                   QStringLiteral("open_coil")});
    ASSERT_TRUE(program.waitForStarted(10000));
    QByteArray printed;
    ASSERT_TRUE(QTest::qWaitFor(
        [&] {
            printed += program.readAllStandardOutput();
            return printed.count('\n') >= 6;
        },
        10000))
        << printed.toStdString();
    int tried = 0;
    for (const QByteArray& line : printed.trimmed().split('\n')) {
        const QString address = QString::fromUtf8(line.mid(line.indexOf(": ") + 2));
        devices::Meter meter(line.startsWith("multimeter") ? MeterKind::ohms : MeterKind::lcr);
        ASSERT_TRUE(meter.open(address).ok()) << address.toStdString();
        EXPECT_TRUE(
            QTest::qWaitFor([&] { return meter.state() == devices::MeterState::live; }, 5000))
            << address.toStdString() << ": " << meter.said().english();
        EXPECT_TRUE(meter.kind() == MeterKind::ohms ? meter.ohms() && !meter.ohms()->ohms
                                                    : meter.pair() && !meter.pair()->r)
            << "the coil is open";
        ++tried;
    }
    EXPECT_EQ(tried, 6);
    program.kill();
    program.waitForFinished(5000);
}

TEST(Simulator, whatItCannotServeIsRefusedByName) {
    withApplication();

    struct Row {
        QStringList words;
        const char* named;
    };

    const Row rows[] = {{{QStringLiteral("--driver"), QStringLiteral("horn")}, "horn"},
                        {{QStringLiteral("--fault"), QStringLiteral("rot")}, "rot"},
                        {{QStringLiteral("--fault"),
                          QStringLiteral("shorted_turns"),
                          QStringLiteral("--severity"),
                          QStringLiteral("0.9")},
                         "0.9"},
                        {{QStringLiteral("--mischief"), QStringLiteral("fun")}, "fun"},
                        {{QStringLiteral("--port"), QStringLiteral("70000")}, "70000"}};
    for (const Row& row : rows) {
        QProcess program;
        program.start(QStringLiteral(YF_SIM_PROGRAM), row.words);
        ASSERT_TRUE(program.waitForFinished(10000));
        EXPECT_EQ(program.exitCode(), 2) << row.named;
        EXPECT_TRUE(program.readAllStandardError().contains(row.named)) << row.named;
    }
}

} // namespace yf::test
