// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/read_file.h"

#include <QFile>
#include <QFileInfo>

namespace yf::app {

Result<std::string> readFile(const QString& path, std::size_t most) {
    const QFileInfo info(path);
    const std::string name = info.fileName().toStdString();
    if (path.contains(QChar::Null) || (info.exists() && !info.isFile())) {
        return Error{
            name, YF_WORDS("core", "is not a file"), YF_WORDS("core", "must be a readable file")};
    }
    QFile file(path);
    if (!file.open(QIODevice::ReadOnly)) {
        return Error{name, file.errorString().toStdString(), ""};
    }
    return file.read(static_cast<qint64>(most) + 1).toStdString();
}

} // namespace yf::app
