// SPDX-License-Identifier: GPL-3.0-or-later
// Simulated meters with their tips on a simulated driver, over TCP and pseudo-terminals, or a
// simulated bench as a sound card of a JACK server, for who has no instrument at hand. `--help`
// lists what can be chosen.
#include "core/bench/evidence.h"
#include "core/text/sentence.h"
#include "devices/sound_client.h"
#include "devices/stand_in.h"

#include <QCommandLineParser>
#include <QCoreApplication>

#include <algorithm>
#include <cstdio>

namespace {

using namespace yf;

int refuse(const std::string& words) {
    std::fprintf(stderr, "yellowfront-sim: %s\n", words.c_str());
    return 2;
}

/// A midrange of no particular make in a room (its answer is short enough to be folded sample by
/// sample), or a flat path where figures are to be checked.
sim::SoundBench plainBench(bool flat) {
    job::Job job;
    job.drivers.push_back({.id = "midrange", .name = "Midrange", .band = job::Band::mid});
    auto bench = sim::soundBench(job, {.driver = "midrange", .distance = 1.0});
    if (flat) {
        bench->pressure = [gain = bench->fullScalePressure / bench->fullScaleVoltage](double) {
            return curve::Complex{0.25 * gain, 0.0};
        };
        bench->room = {.distance = 1.0};
    }
    return *bench;
}

int serveSoundCard(bool flat, bool jig) {
    const auto served =
        devices::serveSound(plainBench(flat),
                            jig ? devices::Wired::jig : devices::Wired::microphone,
                            [told = false](double rate) mutable {
                                if (!told) {
                                    told = true;
                                    std::printf("sound card 'Yellowfront bench' at %g Hz\n", rate);
                                    std::fflush(stdout);
                                }
                                return true;
                            });
    return served ? 0 : refuse(text::sentence(served.error()).english());
}

} // namespace

int main(int argc, char** argv) {
    QCoreApplication application(argc, argv);
    QCommandLineParser parser;
    parser.setApplicationDescription(
        QStringLiteral("Simulated multimeter and LCR meter on a simulated driver."));
    parser.addHelpOption();
    const QCommandLineOption driver(QStringLiteral("driver"),
                                    QStringLiteral("woofer, large-woofer or midrange."),
                                    QStringLiteral("kind"),
                                    QStringLiteral("woofer"));
    const QCommandLineOption fault(QStringLiteral("fault"),
                                   QStringLiteral("What is wrong with it; see 'bench specimen'."),
                                   QStringLiteral("key"),
                                   QStringLiteral("healthy"));
    const QCommandLineOption severity(QStringLiteral("severity"),
                                      QStringLiteral("How far it has gone."),
                                      QStringLiteral("number"));
    const QCommandLineOption port(QStringLiteral("port"),
                                  QStringLiteral("TCP port of the multimeter; the LCR meter has "
                                                 "the next one. 0: any that are free."),
                                  QStringLiteral("number"),
                                  QStringLiteral("5025"));
    const QCommandLineOption mischief(
        QStringLiteral("mischief"),
        QStringLiteral("none, closes, garbage, half-lines, silence, wrong-unit or overload."),
        QStringLiteral("what"),
        QStringLiteral("none"));
    const QCommandLineOption flat(QStringLiteral("flat"),
                                  QStringLiteral("Sound: a flat path in place of a driver."));
    const QCommandLineOption jig(
        QStringLiteral("jig"), QStringLiteral("Sound: an impedance jig in place of a microphone."));
    parser.addPositionalArgument(QStringLiteral("what"),
                                 QStringLiteral("meters (unless given) or sound."),
                                 QStringLiteral("[what]"));
    parser.addOptions({driver, fault, severity, port, mischief, flat, jig});
    parser.process(application);
    const QString what = parser.positionalArguments().value(0, QStringLiteral("meters"));
    if (what == QStringLiteral("sound")) {
        return serveSoundCard(parser.isSet(flat), parser.isSet(jig));
    }
    if (what != QStringLiteral("meters")) {
        return refuse("'" + what.toStdString() + "' given, must be meters or sound");
    }

    const QStringList kinds{
        QStringLiteral("woofer"), QStringLiteral("large-woofer"), QStringLiteral("midrange")};
    const qsizetype kind = kinds.indexOf(parser.value(driver));
    if (kind < 0) {
        return refuse("--driver: '" + parser.value(driver).toStdString() +
                      "' given, must be woofer, large-woofer or midrange");
    }
    sim::Specimen specimen;
    specimen.motor = sim::stock()[static_cast<std::size_t>(kind)].motor;
    specimen.fault = parser.value(fault).toStdString();
    if (!bench::shippedTable().fault(specimen.fault)) {
        return refuse("--fault: '" + specimen.fault + "' given, is none of the table");
    }
    const sim::SeverityRange range = sim::severityRange(specimen.fault);
    bool ok = !parser.isSet(severity);
    specimen.severity = ok ? (range.low + range.high) / 2.0 : parser.value(severity).toDouble(&ok);
    if (!ok || specimen.severity < range.low || specimen.severity > range.high) {
        return refuse("--severity: '" + parser.value(severity).toStdString() + "' given, must be " +
                      std::to_string(range.low) + " to " + std::to_string(range.high));
    }
    const auto wanted =
        std::ranges::find(devices::mischiefNames, parser.value(mischief).toStdString());
    if (wanted == devices::mischiefNames.end()) {
        return refuse("--mischief: '" + parser.value(mischief).toStdString() +
                      "' given, must be one of those that --help lists");
    }
    const int first = parser.value(port).toInt(&ok);
    if (!ok || first < 0 || first > 65534) {
        return refuse("--port: '" + parser.value(port).toStdString() +
                      "' given, must be 0 to 65534");
    }

    std::vector<std::unique_ptr<devices::StandIn>> all;
    const auto serve = [&](devices::MeterKind meter, const char* name, int at) {
        const char* lines[] = {"SCPI over TCP", "SCPI on a serial line", "lines on a serial line"};
        for (int way = 0; way < 3; ++way) {
            auto standIn =
                std::make_unique<devices::StandIn>(devices::StandInMeter(meter, specimen, 1));
            standIn->meter().mischief =
                static_cast<devices::Mischief>(wanted - devices::mischiefNames.begin());
            const auto address = way == 0 ? standIn->serveTcp(static_cast<quint16>(at))
                                          : standIn->serveTerminal(way == 2);
            if (!address) {
                refuse(text::sentence(address.error()).english());
                return false;
            }
            std::printf("%s, %s: %s\n", name, lines[way], qPrintable(*address));
            all.push_back(std::move(standIn));
        }
        return true;
    };
    const int second = first == 0 ? 0 : first + 1;
    if (!serve(devices::MeterKind::ohms, "multimeter", first) ||
        !serve(devices::MeterKind::lcr, "LCR meter", second)) {
        return 1;
    }
    std::fflush(stdout);
    return QCoreApplication::exec();
}
