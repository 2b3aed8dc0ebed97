// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/plots/qcustomplot.h"

namespace yf::app {

/// Ticks of a logarithmic axis as people read it: 1, 2 and 5 of each decade with a label, the
/// others as sub-ticks (the library's own text ticker draws no sub-ticks).
class LogTicks final : public QCPAxisTicker {
public:
    explicit LogTicks(QString unit) : unit_(std::move(unit)) {}

protected:
    QVector<double> createTickVector(double tickStep, const QCPRange& range) override;
    QVector<double> createSubTickVector(int subTickCount, const QVector<double>& ticks) override;
    double getTickStep(const QCPRange& range) override;
    int getSubTickCount(double tickStep) override;
    QString
    getTickLabel(double tick, const QLocale& locale, QChar formatChar, int precision) override;

private:
    QString unit_;
};

/// Ticks of a time axis in seconds, labelled in milliseconds.
class MillisecondTicks final : public QCPAxisTicker {
protected:
    QString
    getTickLabel(double tick, const QLocale& locale, QChar formatChar, int precision) override;
};

} // namespace yf::app
