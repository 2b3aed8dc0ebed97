// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/read_file.h"

#include "core/base/plain_file.h"

#include <QFile>
#include <QFileInfo>

namespace yf::app {

Result<std::string> readFile(const QString& path, std::size_t most) {
    const std::string name = QFileInfo(path).fileName().toStdString();
    if (auto wrong = notPlainFile(name, QFile::encodeName(path).toStdString())) {
        return *wrong;
    }
    QFile file(path);
    if (!file.open(QIODevice::ReadOnly)) {
        return Error{name, file.errorString().toStdString(), ""};
    }
    return file.read(static_cast<qint64>(most) + 1).toStdString();
}

} // namespace yf::app
