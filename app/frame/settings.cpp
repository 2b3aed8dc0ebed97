// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/frame/settings.h"

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

} // namespace yf::app::settings
