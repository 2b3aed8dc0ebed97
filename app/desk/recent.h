// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/front/front_picture.h"

#include <QString>
#include <QVector>

namespace yf::app {

/// A job that was open, for the start page: without opening its file.
struct RecentJob {
    QString path;
    QString title;
    FrontPicture front;
};

/// Newest first, those whose file is gone left out.
[[nodiscard]] QVector<RecentJob> recentJobs();

void rememberRecent(const QString& path, const job::Job& job);

/// Where earlier states of a job file are kept: in the user's data folder, by the file's path.
[[nodiscard]] QString earlierStatesFolder(const QString& path);

/// File that tells what an opening of that job was busy with (OpeningTrail), likewise.
[[nodiscard]] QString openingTrail(const QString& path);

} // namespace yf::app
