// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/frame/language.h"

#include <QApplication>
#include <QLibraryInfo>
#include <QLocale>
#include <QTranslator>

namespace yf::app {

void useLanguage(QApplication& application, const QString& id) {
    const QLocale locale = id.isEmpty() ? QLocale::system() : QLocale(id);
    QLocale::setDefault(locale);
    for (QTranslator* old : application.findChildren<QTranslator*>()) {
        QCoreApplication::removeTranslator(old);
        delete old;
    }
    const auto install = [&](const QString& name, const QString& folder) {
        auto* translator = new QTranslator(&application);
        if (translator->load(locale, name, QStringLiteral("_"), folder)) {
            QCoreApplication::installTranslator(translator);
        } else {
            delete translator;
        }
    };
    install(QStringLiteral("qtbase"), QLibraryInfo::path(QLibraryInfo::TranslationsPath));
    install(QStringLiteral("yellowfront"), QStringLiteral(":/i18n"));
}

} // namespace yf::app
