// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/plots/frequency_ticks.h"

#include <cmath>

namespace yf::app {

namespace {

template <class Wanted>
QVector<double> decadeSteps(double from, double to, Wanted wanted) {
    QVector<double> ticks;
    const int last = static_cast<int>(std::floor(std::log10(to)));
    for (int exponent = static_cast<int>(std::floor(std::log10(from))); exponent <= last;
         ++exponent) {
        const double decade = std::pow(10.0, exponent);
        for (int m = 1; m <= 9; ++m) {
            const double value = m * decade;
            // A hair beyond either end still belongs to the axis.
            if (wanted(m) && value >= from * 0.9999 && value <= to * 1.0001) {
                ticks.push_back(value);
            }
        }
    }
    return ticks;
}

bool labelled(int m) {
    return m == 1 || m == 2 || m == 5;
}

} // namespace

QVector<double> LogTicks::createTickVector(double /*tickStep*/, const QCPRange& range) {
    return decadeSteps(range.lower, range.upper, labelled);
}

QVector<double> LogTicks::createSubTickVector(int /*subTickCount*/, const QVector<double>& ticks) {
    if (ticks.isEmpty()) {
        return {};
    }
    return decadeSteps(ticks.front() / 2.5, ticks.back() * 2.5, [](int m) { return !labelled(m); });
}

double LogTicks::getTickStep(const QCPRange& /*range*/) {
    return 1.0;
}

int LogTicks::getSubTickCount(double /*tickStep*/) {
    return 1;
}

QString LogTicks::getTickLabel(double tick,
                               const QLocale& locale,
                               QChar /*formatChar*/,
                               int /*precision*/) {
    constexpr double thousand = 1000.0;
    const bool kilo = tick >= thousand * 0.9999;
    const double shown = kilo ? tick / thousand : tick;
    QString label = locale.toString(shown, 'g', 3);
    return kilo ? label + QStringLiteral("k") : label + unit_;
}

QString MillisecondTicks::getTickLabel(double tick,
                                       const QLocale& locale,
                                       QChar /*formatChar*/,
                                       int /*precision*/) {
    constexpr double thousand = 1000.0;
    return locale.toString(std::round(tick * thousand * 1000.0) / 1000.0, 'g', 4) +
           QStringLiteral("ms");
}

} // namespace yf::app
