// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/desk/recent.h"

#include "app/widgets/words.h"

#include <QCryptographicHash>
#include <QFileInfo>
#include <QSettings>
#include <QStandardPaths>

namespace yf::app {

namespace {

constexpr int kept = 8;

QString group() {
    return QStringLiteral("recent");
}

QVector<RecentJob> stored() {
    QVector<RecentJob> jobs;
    QSettings settings;
    const int count = settings.beginReadArray(group());
    for (int i = 0; i < count; ++i) {
        settings.setArrayIndex(i);
        jobs.push_back(
            {settings.value(QStringLiteral("path")).toString(),
             settings.value(QStringLiteral("title")).toString(),
             FrontPicture::fromText(settings.value(QStringLiteral("front")).toString())});
    }
    settings.endArray();
    return jobs;
}

} // namespace

QVector<RecentJob> recentJobs() {
    QVector<RecentJob> jobs = stored();
    jobs.removeIf([](const RecentJob& job) { return !QFileInfo::exists(job.path); });
    return jobs;
}

void rememberRecent(const QString& path, const job::Job& job) {
    QVector<RecentJob> jobs = stored();
    const QString absolute = QFileInfo(path).absoluteFilePath();
    jobs.removeIf([&](const RecentJob& old) { return old.path == absolute; });
    jobs.push_front(
        {absolute,
         words(job.title),
         job.cabinets.empty() ? FrontPicture{} : FrontPicture::of(job, job.cabinets.front())});
    QSettings settings;
    settings.remove(group());
    settings.beginWriteArray(group());
    for (int i = 0; i < std::min<int>(kept, static_cast<int>(jobs.size())); ++i) {
        settings.setArrayIndex(i);
        settings.setValue(QStringLiteral("path"), jobs[i].path);
        settings.setValue(QStringLiteral("title"), jobs[i].title);
        settings.setValue(QStringLiteral("front"), jobs[i].front.toText());
    }
    settings.endArray();
}

namespace {

/// In the user's data folder, by the file's path.
QString keptOf(const QString& path, const QString& folder) {
    const QByteArray digest = QCryptographicHash::hash(QFileInfo(path).absoluteFilePath().toUtf8(),
                                                       QCryptographicHash::Sha1)
                                  .toHex()
                                  .left(16);
    return QStandardPaths::writableLocation(QStandardPaths::AppDataLocation) + u'/' + folder +
           u'/' + QString::fromLatin1(digest);
}

} // namespace

QString earlierStatesFolder(const QString& path) {
    return keptOf(path, QStringLiteral("earlier"));
}

QString openingTrail(const QString& path) {
    return keptOf(path, QStringLiteral("opening"));
}

} // namespace yf::app
