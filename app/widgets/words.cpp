// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/words.h"

#include <QCoreApplication>
#include <QLocale>
#include <QRegularExpression>

namespace yf::app {

namespace {

QString withLocalPoint(QString text) {
    const QString point = QLocale().decimalPoint();
    if (point != QStringLiteral(".")) {
        // A point between digits that is not part of a name or a version ("1.2.3").
        static const QRegularExpression decimal(
            QStringLiteral(R"((?<![\w.])(\d+)\.(\d+)(?![\d.]))"));
        text.replace(decimal, QStringLiteral("\\1") + point + QStringLiteral("\\2"));
    }
    return text;
}

QString translated(const QString& english) {
    if (english.isEmpty()) {
        return english;
    }
    const QByteArray utf8 = english.toUtf8();
    const QString said = QCoreApplication::translate("core", utf8.constData());
    return said != english ? said : QCoreApplication::translate("bench", utf8.constData());
}

QString speak(const Words& text) {
    const QString form = translated(words(text.form()));
    const std::vector<Words>& arguments = text.arguments();
    if (arguments.empty()) {
        return form;
    }
    if (form.isEmpty()) {
        QString row;
        for (const Words& part : arguments) {
            row += speak(part);
        }
        return row;
    }
    return fillPlaces(form, [&](std::size_t place) {
        return place < arguments.size() ? speak(arguments[place]) : QString{};
    });
}

} // namespace

QString figures(std::string_view utf8) {
    return withLocalPoint(words(utf8));
}

QString spoken(const Words& text) {
    return withLocalPoint(speak(text));
}

} // namespace yf::app
