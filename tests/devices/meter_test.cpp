// SPDX-License-Identifier: GPL-3.0-or-later
// The real adapters against the stand-ins that ship, over TCP and pseudo-terminals.
#include "core/text/sentence.h"
#include "devices/meter.h"
#include "devices/stand_in.h"

#include <QCoreApplication>
#include <QTcpServer>
#include <QTcpSocket>
#include <QTest>

#include <gtest/gtest.h>

namespace yf::test {

namespace {

using devices::Meter;
using devices::MeterKind;
using devices::MeterState;
using devices::Mischief;
using devices::StandIn;
using devices::StandInMeter;

enum class Way { tcp, serialScpi, serialLines };

sim::Specimen woofer(const char* fault = "healthy", double severity = 0.0) {
    sim::Specimen s;
    s.motor = sim::stock().front().motor;
    s.fault = fault;
    s.severity = severity;
    return s;
}

/// A stand-in and the meter that reads it.
class Bench {
public:
    Bench(MeterKind kind, Way way, const sim::Specimen& specimen, Mischief mischief = {})
        : standIn(StandInMeter(kind, specimen, 7)), meter(kind) {
        standIn.meter().mischief = mischief;
        const auto served =
            way == Way::tcp ? standIn.serveTcp(0) : standIn.serveTerminal(way == Way::serialLines);
        EXPECT_TRUE(served.ok()) << (served ? "" : text::sentence(served.error()));
        address = served ? *served : QString{};
        meter.setPatience(400);
        const auto opened = meter.open(address);
        EXPECT_TRUE(opened.ok());
    }

    bool becomes(MeterState state) {
        return QTest::qWaitFor([&] { return meter.state() == state; }, 5000);
    }

    bool says(const char* part) {
        return QTest::qWaitFor(
            [&] { return meter.said().english().find(part) != std::string::npos; }, 5000);
    }

    StandIn standIn;
    Meter meter;
    QString address;
};

/// One application for all; made once, before anything of Qt's network runs.
class MeterLines : public testing::Test {
protected:
    static void SetUpTestSuite() {
        if (QCoreApplication::instance() == nullptr) {
            static int argc = 1;
            static char name[] = "test";
            static char* argv[] = {name, nullptr};
            static const QCoreApplication application(argc, argv);
        }
    }
};

class Devices : public MeterLines, public testing::WithParamInterface<Way> {};

constexpr Way ways[] = {Way::tcp, Way::serialScpi, Way::serialLines};

std::string wayName(const testing::TestParamInfo<Way>& info) {
    return info.param == Way::tcp          ? "overTcp"
           : info.param == Way::serialScpi ? "overASerialLine"
                                           : "asSimpleLines";
}

} // namespace

TEST_P(Devices, ohmsComeLive) {
    Bench bench(MeterKind::ohms, GetParam(), woofer());
    ASSERT_TRUE(bench.becomes(MeterState::live)) << bench.meter.said().english();
    ASSERT_TRUE(bench.meter.ohms() && bench.meter.ohms()->ohms);
    // 5.80 Ω of the coil and 0.30 Ω of the leads, the meter within 1 %.
    EXPECT_NEAR(*bench.meter.ohms()->ohms, 6.10, 0.08);
    EXPECT_NEAR(bench.meter.ohms()->resolution, 0.01, 1e-9);
    EXPECT_FALSE(bench.meter.name().isEmpty());
    if (GetParam() != Way::serialLines) {
        EXPECT_EQ(bench.meter.name(), QStringLiteral("Yellowfront stand-in multimeter"));
        bench.meter.order("SIM:TIPS TOGETHER");
        EXPECT_TRUE(QTest::qWaitFor(
            [&] { return bench.meter.ohms() && *bench.meter.ohms()->ohms < 0.5; }, 5000));
    }
}

TEST_P(Devices, pairsComeLiveAndAnOpenCoilReadsOver) {
    Bench bench(MeterKind::lcr, GetParam(), woofer());
    ASSERT_TRUE(bench.becomes(MeterState::live)) << bench.meter.said().english();
    ASSERT_TRUE(bench.meter.pair() && bench.meter.pair()->r);
    // The inductance at 1 kHz of the check table: docs/theory/bench.md.
    EXPECT_EQ(bench.meter.pair()->frequency, 1000.0);
    EXPECT_NEAR(bench.meter.pair()->l, 0.991e-3, 0.02e-3);
    bench.standIn.meter().setSpecimen(woofer("open_coil"));
    EXPECT_TRUE(
        QTest::qWaitFor([&] { return bench.meter.pair() && !bench.meter.pair()->r; }, 5000));
    EXPECT_EQ(bench.meter.state(), MeterState::live);
}

TEST_P(Devices, overloadIsAReading) {
    Bench bench(MeterKind::ohms, GetParam(), woofer(), Mischief::overload);
    ASSERT_TRUE(bench.becomes(MeterState::live));
    EXPECT_TRUE(
        QTest::qWaitFor([&] { return bench.meter.ohms() && !bench.meter.ohms()->ohms; }, 5000));
}

TEST_P(Devices, garbageIsToldAndTheMeterComesBack) {
    Bench bench(MeterKind::ohms, GetParam(), woofer(), Mischief::garbage);
    ASSERT_TRUE(bench.becomes(MeterState::troubled));
    EXPECT_TRUE(bench.says("came")) << bench.meter.said().english();
    EXPECT_FALSE(bench.meter.ohms().has_value()) << "no old figure stays";
    bench.standIn.meter().mischief = Mischief::none;
    EXPECT_TRUE(bench.becomes(MeterState::live)) << bench.meter.said().english();
}

TEST_P(Devices, halvesOfLinesAreJoined) {
    Bench bench(MeterKind::ohms, GetParam(), woofer(), Mischief::halfLines);
    ASSERT_TRUE(bench.becomes(MeterState::live)) << bench.meter.said().english();
    EXPECT_NEAR(*bench.meter.ohms()->ohms, 6.10, 0.08);
}

TEST_P(Devices, silenceIsToldAndTheMeterComesBack) {
    Bench bench(MeterKind::ohms, GetParam(), woofer(), Mischief::silence);
    ASSERT_TRUE(bench.becomes(MeterState::troubled));
    EXPECT_TRUE(bench.says("No answer")) << bench.meter.said().english();
    bench.standIn.meter().mischief = Mischief::none;
    EXPECT_TRUE(bench.becomes(MeterState::live)) << bench.meter.said().english();
}

TEST_P(Devices, anotherUnitIsTold) {
    Bench bench(MeterKind::ohms, GetParam(), woofer(), Mischief::wrongUnit);
    ASSERT_TRUE(bench.becomes(MeterState::troubled));
    EXPECT_TRUE(bench.says("to ohms")) << bench.meter.said().english();
    bench.standIn.meter().mischief = Mischief::none;
    EXPECT_TRUE(bench.becomes(MeterState::live)) << "the knob was turned";
}

INSTANTIATE_TEST_SUITE_P(Every, Devices, testing::ValuesIn(ways), wayName);

TEST_F(MeterLines, aClosedConnectionIsToldAndCanBeOpenedAgain) {
    Bench bench(MeterKind::ohms, Way::tcp, woofer(), Mischief::closes);
    ASSERT_TRUE(bench.becomes(MeterState::failed));
    EXPECT_NE(bench.meter.said().english().find("closed the connection"), std::string::npos);
    EXPECT_FALSE(bench.meter.ohms().has_value());
    bench.standIn.meter().mischief = Mischief::none;
    ASSERT_TRUE(bench.meter.open(bench.address).ok());
    EXPECT_TRUE(bench.becomes(MeterState::live));
}

TEST_F(MeterLines, aSerialLineThatGoesAwayIsTold) {
    for (const bool lines : {false, true}) {
        auto standIn = std::make_unique<StandIn>(StandInMeter(MeterKind::ohms, woofer(), 7));
        const auto served = standIn->serveTerminal(lines);
        ASSERT_TRUE(served.ok());
        Meter meter(MeterKind::ohms);
        meter.setPatience(400);
        ASSERT_TRUE(meter.open(*served).ok());
        ASSERT_TRUE(QTest::qWaitFor([&] { return meter.state() == MeterState::live; }, 5000));
        standIn.reset(); // the plug is pulled
        EXPECT_TRUE(QTest::qWaitFor([&] { return meter.state() == MeterState::failed; }, 5000))
            << meter.said().english();
        EXPECT_NE(meter.said().english().find("is gone"), std::string::npos)
            << meter.said().english();
        EXPECT_FALSE(meter.ohms().has_value()) << "no old figure stays";
    }
}

TEST_F(MeterLines, nobodyThereIsTold) {
    QTcpServer shut;
    ASSERT_TRUE(shut.listen(QHostAddress::LocalHost, 0));
    const QString address = QStringLiteral("tcp:127.0.0.1:%1").arg(shut.serverPort());
    shut.close();
    Meter meter(MeterKind::ohms);
    ASSERT_TRUE(meter.open(address).ok());
    EXPECT_TRUE(QTest::qWaitFor([&] { return meter.state() == MeterState::failed; }, 5000));
    EXPECT_NE(meter.said().english().find("No connection"), std::string::npos);
    ASSERT_TRUE(meter.open(QStringLiteral("serial:/dev/no-such-line")).ok());
    EXPECT_EQ(meter.state(), MeterState::failed);
    EXPECT_NE(meter.said().english().find("/dev/no-such-line"), std::string::npos);
}

TEST_F(MeterLines, halfAnAnswerThatNeverEndsIsTold) {
    QTcpServer server;
    ASSERT_TRUE(server.listen(QHostAddress::LocalHost, 0));
    QObject::connect(&server, &QTcpServer::newConnection, &server, [&] {
        QTcpSocket* peer = server.nextPendingConnection();
        QObject::connect(peer, &QIODevice::readyRead, peer, [peer] {
            peer->readAll();
            peer->write("Made-up Wo");
        });
    });
    Meter meter(MeterKind::ohms);
    meter.setPatience(300);
    ASSERT_TRUE(meter.open(QStringLiteral("tcp:127.0.0.1:%1").arg(server.serverPort())).ok());
    EXPECT_TRUE(QTest::qWaitFor(
        [&] { return meter.said().english().find("Half an answer") != std::string::npos; }, 5000))
        << meter.said().english();
}

TEST_F(MeterLines, patienceIsTenSeconds) {
    QTcpServer server; // accepts, and says nothing
    ASSERT_TRUE(server.listen(QHostAddress::LocalHost, 0));
    Meter meter(MeterKind::ohms);
    ASSERT_TRUE(meter.open(QStringLiteral("tcp:127.0.0.1:%1").arg(server.serverPort())).ok());
    EXPECT_FALSE(QTest::qWaitFor([&] { return meter.state() == MeterState::troubled; }, 9000));
    EXPECT_TRUE(QTest::qWaitFor([&] { return meter.state() == MeterState::troubled; }, 3000));
    EXPECT_NE(meter.said().english().find("10 s"), std::string::npos);
}

TEST_F(MeterLines, addressesAreReadOrRefused) {
    using devices::Address;
    EXPECT_EQ(Address::read(QStringLiteral("tcp:meter.bench:5025"))->number, 5025);
    EXPECT_EQ(Address::read(QStringLiteral("serial:/dev/ttyUSB0"))->number, 9600);
    EXPECT_EQ(Address::read(QStringLiteral("lines:/dev/ttyS1@115200"))->number, 115200);
    for (const char* bad : {"",
                            "5025",
                            "tcp:",
                            "tcp::5025",
                            "tcp:meter",
                            "tcp:meter:0",
                            "tcp:meter:70000",
                            "serial:",
                            "serial:/dev/x@fast",
                            "usb:1"}) {
        const auto read = Address::read(QString::fromLatin1(bad));
        ASSERT_FALSE(read.ok()) << bad;
        EXPECT_EQ(read.error().subject, "address");
    }
}

TEST_F(MeterLines, aStandInRefusesWhatAMeterWouldRefuse) {
    StandInMeter lcr(MeterKind::lcr, woofer(), 1);
    EXPECT_EQ(lcr.answer("FREQ 5"), "");
    EXPECT_EQ(lcr.answer("SYST:ERR?"), "-222,\"Data out of range\"");
    EXPECT_EQ(lcr.answer("READ?"), "");
    EXPECT_EQ(lcr.answer("SYST:ERR?"), "-113,\"Undefined header\"");
    EXPECT_EQ(lcr.answer("SYST:ERR?"), "0,\"No error\"");
}

} // namespace yf::test
