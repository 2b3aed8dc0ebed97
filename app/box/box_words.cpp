// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/box/box_words.h"

#include "app/widgets/words.h"
#include "core/text/number.h"

#include <QCoreApplication>

#include <cmath>

namespace yf::app {

namespace {

QString tr(const char* text) {
    return QCoreApplication::translate("yf::app", text);
}

const QChar thin(0x202F);

QString fixed(double value, int decimals, const char* unit) {
    return figures(text::printFixed(value, decimals)) + thin + QString::fromUtf8(unit);
}

QString travelWords(const box::Motion& m, double f) {
    return tr("Cone ±%1 at this drive.").arg(fixed(1e3 * box::travel(m, f), 2, "mm"));
}

/// Only ports sound: below the front one's tuning its air goes along, above it stays behind.
QString bandPassWords(double h) {
    constexpr double near = 0.93;
    constexpr double nearAbove = 1.08;
    return h < near ? tr("Only the port sounds. Below its tuning its air goes along with the cone.")
           : h <= nearAbove
               ? tr("At its tuning the port's air moves most, a quarter turn behind; the cone all "
                    "but stands still.")
               : tr("Above its tuning the port's air no longer follows: the chamber's spring takes "
                    "up what the cone does, and the level falls.");
}

QString portedWords(const evaluation::BoxResult& r, const box::Motion& m, double f) {
    const box::Complex ratio =
        std::abs(m.flow.to[0]) > std::abs(m.flow.to[1]) ? m.flow.to[0] : m.flow.to[1];
    const double fb = *r.fb;
    const double times = std::abs(ratio);
    const double angle = std::arg(ratio) * 180.0 / std::numbers::pi;
    const bool radiator = std::holds_alternative<box::PassiveRadiator>(r.box);
    const QString what = radiator ? tr("the radiator") : tr("the air in the port");
    const QString moved =
        tr("It moves %1 times the cone's air, %2° ahead.")
            .arg(figures(text::printSignificant(times, 2)),
                 figures(text::printFixed(angle, 0)).replace(u'-', QChar(0x2212)));
    if (std::holds_alternative<box::BandPass4>(r.box) ||
        std::holds_alternative<box::BandPass6>(r.box)) {
        return bandPassWords(f / fb) + u' ' + moved;
    }
    constexpr double wellBelow = 0.75;
    constexpr double near = 0.93;
    constexpr double nearAbove = 1.08;
    constexpr double wellAbove = 1.6;
    const double h = f / fb;
    if (h < wellBelow) {
        return tr("Below the tuning %1 runs against the cone: the two cancel, and only its own "
                  "suspension holds the cone.")
                   .arg(what) +
               u' ' + moved;
    }
    if (h < near) {
        return tr("A little below the tuning: %1 lags less and less behind being opposed, and "
                  "takes over.")
                   .arg(what) +
               u' ' + moved;
    }
    if (h <= nearAbove) {
        return tr("At the tuning %1 does the work, a quarter turn ahead; the cone all but stands "
                  "still.")
                   .arg(what) +
               u' ' + moved;
    }
    if (h < wellAbove) {
        return tr("Above the tuning %1 swings into step with the cone: both add.").arg(what) +
               u' ' + moved;
    }
    return tr("Well above the tuning %1 is in step and hardly moves: the box acts as a closed one.")
               .arg(what) +
           u' ' + moved;
}

} // namespace

QStringList allKindWords() {
    return {tr("infinite baffle"),
            tr("closed"),
            tr("ported"),
            tr("passive radiator"),
            tr("band-pass, 4th order"),
            tr("band-pass, 6th, parallel"),
            tr("band-pass, 6th, series"),
            tr("open baffle")};
}

QString kindWords(box::Kind kind) {
    return allKindWords().at(static_cast<qsizetype>(kind));
}

QString litres(double volume) {
    const double l = 1e3 * volume;
    return fixed(l, l < 10.0 ? 2 : 1, "l");
}

QString hertz(double f) {
    return figures(text::printEngineering(f, "Hz", 3));
}

QString centimetres(double length) {
    return fixed(1e2 * length, 1, "cm");
}

QString decibels(double level) {
    return fixed(level, 1, "dB");
}

QString motionWords(const evaluation::BoxResult& r, double f) {
    const box::System system = box::systemOf(r.known.driver, r.box, r.source);
    const box::Motion m = box::motionAt(system, f);
    QString said;
    if (r.fb) {
        said = portedWords(r, m, f);
    } else if (std::holds_alternative<box::OpenBaffle>(r.box)) {
        said = tr("Front and rear both sound, opposed: below, the one fills the other's gap and "
                  "the level falls by 6 dB an octave more.");
    } else {
        const double fc = r.fc.value_or(r.known.driver.fs);
        constexpr double apart = 1.25;
        said = f < fc / apart
                   ? tr("Below resonance springs hold the cone, the air's and its own: its travel "
                        "stays, the level falls by 12 dB an octave.")
               : f > fc * apart
                   ? tr("Above resonance its mass holds the cone: travel falls with the square of "
                        "frequency, the level stays.")
                   : tr("At resonance spring and mass cancel: only damping holds the cone.");
    }
    return said + u' ' + travelWords(m, f);
}

QString volumeWords(const job::BoxVolumes& v) {
    const auto l = [](double volume) { return figures(text::printFixed(1e3 * volume, 2)); };
    return tr("net %1 = inside %2 − driver %3 − port %4 − braces %5 − network %6 l")
        .arg(litres(v.net),
             l(v.inside.gross),
             l(v.less.driver),
             l(v.less.port),
             l(v.less.bracing),
             l(v.less.crossover));
}

QString summaryWords(const evaluation::BoxResult& r) {
    QStringList said;
    const box::Summary& s = r.summary;
    if (s.f3) {
        QString f3 = tr("f3 %1").arg(hertz(*s.f3));
        if (!r.bands.f3.low.empty()) {
            f3 += tr(" (%1 to %2)").arg(hertz(r.bands.f3.low[0]), hertz(r.bands.f3.high[0]));
        }
        said << f3;
    }
    if (s.f6 && s.f10) {
        said << tr("f6 %1, f10 %2").arg(hertz(*s.f6), hertz(*s.f10));
    }
    said << (s.peak ? tr("peak %1 at %2").arg(decibels(*s.peak), hertz(*s.peakAt)) : tr("no peak"));
    if (r.Qtc) {
        said << tr("fc %1, Qtc %2").arg(hertz(*r.fc), figures(text::printFixed(*r.Qtc, 2)));
    }
    if (r.fb) {
        const auto* v = std::get_if<box::Vented>(&r.box);
        said << tr("fb %1").arg(hertz(*r.fb)) +
                    (v != nullptr ? tr(" at QL %1").arg(figures(text::printSignificant(v->QL, 3)))
                                  : QString{});
    }
    said << tr("group delay up to %1").arg(fixed(1e3 * s.groupDelayMax, 1, "ms"));
    if (r.fastest) {
        said << tr("air up to %1").arg(fixed(*r.fastest, 1, "m/s"));
    }
    return said.join(QStringLiteral(" · "));
}

} // namespace yf::app
