// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/settings.h"

#include <QSettings>

#include <algorithm>

namespace yf::app::settings {

namespace {

/// By name, since the size is asked for before there is an application.
QSettings store() {
    return QSettings(QStringLiteral("yellowfront"), QStringLiteral("yellowfront"));
}

} // namespace

ThemeName theme() {
    const QString id = store().value(QStringLiteral("theme_name")).toString();
    const auto* found =
        std::ranges::find_if(themeNames, [&](ThemeName n) { return idOf(n) == id; });
    return found == themeNames.end() ? ThemeName::linen : *found;
}

void setTheme(ThemeName name) {
    store().setValue(QStringLiteral("theme_name"), idOf(name));
}

int scale() {
    return std::clamp(store().value(QStringLiteral("scale"), 100).toInt(), 100, 200);
}

void setScale(int percent) {
    store().setValue(QStringLiteral("scale"), percent);
}

QString language() {
    return store().value(QStringLiteral("language")).toString();
}

void setLanguage(const QString& id) {
    store().setValue(QStringLiteral("language"), id);
}

namespace {

/// A device's name may hold anything.
QString calibrationKey(const QString& device) {
    return QStringLiteral("calibration/") +
           QString::fromLatin1(device.toUtf8().toPercentEncoding());
}

} // namespace

QString calibration(const QString& device) {
    return store().value(calibrationKey(device)).toString();
}

void setCalibration(const QString& device, const QString& text) {
    store().setValue(calibrationKey(device), text);
}

double highestLevel() {
    constexpr double otherwise = -6.0;
    return std::clamp(
        store().value(QStringLiteral("highest_level_db"), otherwise).toDouble(), -60.0, 0.0);
}

void setHighestLevel(double level) {
    store().setValue(QStringLiteral("highest_level_db"), level);
}

} // namespace yf::app::settings
