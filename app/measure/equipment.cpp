// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/measure/equipment.h"

#include <QSettings>

#include <algorithm>

namespace yf::app::equipment {

namespace {

/// A device's name may hold anything.
QString calibrationKey(const QString& device) {
    return QStringLiteral("calibration/") +
           QString::fromLatin1(device.toUtf8().toPercentEncoding());
}

} // namespace

QString calibration(const QString& device) {
    return QSettings().value(calibrationKey(device)).toString();
}

void setCalibration(const QString& device, const QString& text) {
    QSettings().setValue(calibrationKey(device), text);
}

double highestLevel() {
    constexpr double otherwise = -6.0; // dB
    constexpr double lowest = -60.0;
    return std::clamp(
        QSettings().value(QStringLiteral("highest_level_db"), otherwise).toDouble(), lowest, 0.0);
}

void setHighestLevel(double level) {
    QSettings().setValue(QStringLiteral("highest_level_db"), level);
}

} // namespace yf::app::equipment
