// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/words.h"

#include "app/widgets/phrases.h"

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
    const QByteArray utf8 = english.toUtf8();
    const QString said = QCoreApplication::translate("core", utf8.constData());
    return said != english ? said : QCoreApplication::translate("bench", utf8.constData());
}

/// A phrase with places %1, %2 … as a pattern whose places catch anything.
struct Pattern {
    QString phrase;
    QRegularExpression expression;
    int places{};
};

QVector<Pattern> makePatterns() {
    QVector<Pattern> patterns;
    for (const char* const phrase : phrases()) {
        const QString text = QString::fromUtf8(phrase);
        QString pattern = QRegularExpression::escape(text);
        int places = 0;
        while (pattern.contains(QStringLiteral("\\%%1").arg(places + 1))) {
            ++places;
            pattern.replace(QStringLiteral("\\%%1").arg(places), QStringLiteral("(.+?)"));
        }
        patterns.push_back({text,
                            QRegularExpression(QRegularExpression::anchoredPattern(pattern),
                                               QRegularExpression::DotMatchesEverythingOption),
                            places});
    }
    return patterns;
}

/// A whole sentence, or the first phrase that fits it with its places spoken in turn; of several
/// sentences each by itself.
QString speak(const QString& english, int depth) {
    constexpr int deepest = 4;
    const QString whole = translated(english);
    if (whole != english || depth > deepest || english.isEmpty()) {
        return whole;
    }
    static const QVector<Pattern> patterns = makePatterns();
    static const QRegularExpression endOfSentence(QStringLiteral(R"((?<=[.!?]) (?=[A-Z]))"));
    if (const QStringList sentences = english.split(endOfSentence); sentences.size() > 1) {
        QStringList said;
        for (const QString& sentence : sentences) {
            said << speak(sentence, depth + 1);
        }
        return said.join(u' ');
    }
    for (const Pattern& pattern : patterns) {
        const auto match = pattern.expression.match(english);
        if (!match.hasMatch()) {
            continue;
        }
        QString said = translated(pattern.phrase);
        // Backwards, so that a place that holds "%1" itself is left alone.
        for (int place = pattern.places; place > 0; --place) {
            said.replace(QStringLiteral("%%1").arg(place), speak(match.captured(place), depth + 1));
        }
        return said;
    }
    return english;
}

} // namespace

QString figures(std::string_view utf8) {
    return withLocalPoint(words(utf8));
}

QString spoken(std::string_view utf8) {
    // In English there is nothing to look for.
    static const QString probe = QStringLiteral("Add %1");
    if (translated(probe) == probe) {
        return withLocalPoint(words(utf8));
    }
    return withLocalPoint(speak(words(utf8), 0));
}

} // namespace yf::app
