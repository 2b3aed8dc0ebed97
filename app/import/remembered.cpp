// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/import/remembered.h"

#include <QCryptographicHash>
#include <QSettings>
#include <QStringList>

#include <algorithm>

namespace yf::app {

namespace {

QSettings store() {
    return QSettings(QStringLiteral("yellowfront"), QStringLiteral("yellowfront"));
}

QString keyOf(const std::string& shape) {
    const QByteArray hash = QCryptographicHash::hash(
        QByteArray(shape.data(), static_cast<qsizetype>(shape.size())), QCryptographicHash::Sha256);
    return QStringLiteral("tables/") + QString::fromLatin1(hash.toHex().left(32));
}

} // namespace

std::vector<std::string> rememberedMeanings(const std::string& shape) {
    std::vector<std::string> meanings;
    const QStringList words = store().value(keyOf(shape)).toStringList();
    std::ranges::transform(words, std::back_inserter(meanings), [](const QString& word) {
        return word.toStdString();
    });
    return meanings;
}

void rememberMeanings(const std::string& shape, const std::vector<std::string>& meanings) {
    QSettings settings = store();
    const bool open =
        std::ranges::all_of(meanings, [](const std::string& word) { return word == "auto"; });
    if (open) {
        settings.remove(keyOf(shape));
        return;
    }
    QStringList words;
    std::ranges::transform(meanings, std::back_inserter(words), [](const std::string& word) {
        return QString::fromStdString(word);
    });
    settings.setValue(keyOf(shape), words);
}

} // namespace yf::app
