// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/check/check_words.h"

#include "app/widgets/words.h"
#include "core/bench/words.h"
#include "core/text/number.h"

#include <QCoreApplication>
#include <QLocale>

#include <array>
#include <cmath>

namespace yf::app {

namespace {

/// The stage's words.
struct Said {
    Q_DECLARE_TR_FUNCTIONS(yf::app::CheckStage)
};

} // namespace

namespace {

QString ohms(double value) {
    return figures(text::printEngineering(value, "Ω"));
}

QString share(double value) {
    return QLocale().toString(value, 'f', 2);
}

QString dcrClassSaid(bench::DcrClass kind) {
    static constexpr std::array names{
        QT_TRANSLATE_NOOP("yf::app::CheckStage", "almost a short circuit"),
        QT_TRANSLATE_NOOP("yf::app::CheckStage", "low"),
        QT_TRANSLATE_NOOP("yf::app::CheckStage", "slightly low"),
        QT_TRANSLATE_NOOP("yf::app::CheckStage", "normal"),
        QT_TRANSLATE_NOOP("yf::app::CheckStage", "slightly high"),
        QT_TRANSLATE_NOOP("yf::app::CheckStage", "high"),
        QT_TRANSLATE_NOOP("yf::app::CheckStage", "open"),
        QT_TRANSLATE_NOOP("yf::app::CheckStage", "does not settle"),
        QT_TRANSLATE_NOOP("yf::app::CheckStage", "low against its twin"),
        QT_TRANSLATE_NOOP("yf::app::CheckStage", "high against its twin")};
    return Said::tr(names.at(static_cast<std::size_t>(kind)));
}

QString lcrClassSaid(bench::LcrClass kind) {
    static constexpr std::array names{
        QT_TRANSLATE_NOOP("yf::app::CheckStage", "like its reference"),
        QT_TRANSLATE_NOOP("yf::app::CheckStage", "both low, the mark of shorted turns"),
        QT_TRANSLATE_NOOP("yf::app::CheckStage", "resistance low"),
        QT_TRANSLATE_NOOP("yf::app::CheckStage", "inductance low"),
        QT_TRANSLATE_NOOP("yf::app::CheckStage", "unlike its reference"),
        QT_TRANSLATE_NOOP("yf::app::CheckStage", "open"),
        QT_TRANSLATE_NOOP("yf::app::CheckStage", "nothing to compare it with yet"),
        QT_TRANSLATE_NOOP("yf::app::CheckStage", "judged differently in series and in parallel")};
    return Said::tr(names.at(static_cast<std::size_t>(kind)));
}

} // namespace

QString dcrSaid(const bench::DcrJudgement& judged, double nominal) {
    const QString kind = dcrClassSaid(judged.kind);
    const QString range =
        Said::tr("%1 to %2").arg(ohms(judged.expectedLow), ohms(judged.expectedHigh));
    if (!judged.dcr) {
        return Said::tr("No number: %1. Normal is %2.").arg(kind, range);
    }
    QString said =
        Said::tr("%1 at 20 °C without the leads, %2 of %3: %4. Normal is %5.")
            .arg(ohms(*judged.dcr), share(judged.ratio.value_or(0.0)), ohms(nominal), kind, range);
    if (judged.twinDeviation) {
        const int percent = static_cast<int>(std::lround(std::abs(*judged.twinDeviation) * 100.0));
        said +=
            u' ' + (percent == 0                  ? Said::tr("The same as its twin.")
                    : *judged.twinDeviation < 0.0 ? Said::tr("%1 % below its twin.").arg(percent)
                                                  : Said::tr("%1 % above its twin.").arg(percent));
    }
    if (!judged.sure && judged.u) {
        said += u' ' +
                Said::tr("Not sure: the meter may be off by %1, which would change the judgement.")
                    .arg(ohms(*judged.u));
    }
    return said;
}

QString lcrSaid(const bench::LcrJudgement& judged) {
    const QString kind = lcrClassSaid(judged.kind);
    QStringList said;
    if (!judged.r || !judged.l) {
        said << Said::tr("No number: %1.").arg(kind);
    } else {
        const QString pair =
            Said::tr("%1 and %2 in series")
                .arg(ohms(*judged.r), figures(text::printEngineering(*judged.l, "H")));
        said << (judged.ratioR && judged.ratioL
                     ? Said::tr("%1: %2 (%3 and %4 of the reference).")
                           .arg(pair, kind, share(*judged.ratioR), share(*judged.ratioL))
                     : Said::tr("%1: %2.").arg(pair, kind));
    }
    if (judged.danger) {
        said << Said::tr("Keep it away from an amplifier.");
    }
    if (judged.coneInReading) {
        said << (judged.recommended
                     ? Said::tr("So close to its resonance the cone is read too: use %1.")
                           .arg(figures(text::printEngineering(*judged.recommended, "Hz")))
                     : Said::tr("So close to its resonance the cone is read too."));
    }
    if (judged.modeDoubtful) {
        said << Said::tr("As series values they are unlikely for this driver: is the meter set to "
                         "parallel?");
    }
    return said.join(u' ');
}

QString capital(QString text) {
    if (!text.isEmpty()) {
        text[0] = text[0].toUpper();
    }
    return text;
}

QString percentSaid(double probability) {
    const int percent = static_cast<int>(std::lround(probability * 100.0));
    if (percent == 0) {
        return Said::tr("<1 %");
    }
    return percent == 100 ? Said::tr(">99 %") : Said::tr("%1 %").arg(percent);
}

QString verdictSaid(const bench::Diagnosis& diagnosis, bool anyEvidence) {
    const QString top = capital(spoken(bench::faultInWords(diagnosis.top)));
    if (!anyEvidence) {
        return Said::tr("Nothing checked yet");
    }
    if (diagnosis.done) {
        return Said::tr("%1: %2").arg(top, percentSaid(diagnosis.topP));
    }
    return Said::tr("Not settled. Likeliest: %1, %2")
        .arg(spoken(bench::faultInWords(diagnosis.top)), percentSaid(diagnosis.topP));
}

QString factorSaid(double bits) {
    const double factor = std::exp2(std::abs(bits));
    constexpr double whole = 9.5;
    constexpr double most = 999.5;
    const QString figure = factor > most     ? QStringLiteral("1000+")
                           : factor >= whole ? QString::number(std::lround(factor))
                                             : QLocale().toString(factor, 'f', 1);
    return (bits < 0.0 ? QStringLiteral("÷") : QStringLiteral("×")) + figure;
}

QString driverSaid(const job::Job& job, const std::string& cabinet, const std::string& driver) {
    const job::Driver* found = job::findDriver(job, driver);
    const job::Cabinet* where = job::findCabinet(job, cabinet);
    if (found == nullptr || where == nullptr) {
        return {};
    }
    return QStringLiteral("%1 · %2").arg(words(found->name), words(where->name));
}

} // namespace yf::app
