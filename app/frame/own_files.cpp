// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/frame/own_files.h"

#include "core/bench/evidence.h"
#include "core/text/sentence.h"

#include <QDir>
#include <QFile>
#include <QFileInfo>
#include <QStandardPaths>

namespace yf::app {

QString ownEvidenceFile() {
    return QStandardPaths::writableLocation(QStandardPaths::AppConfigLocation) +
           QStringLiteral("/evidence.json");
}

Result<evaluation::Tables> ownTables() {
    evaluation::Tables tables = evaluation::Tables::shipped();
    QFile file(ownEvidenceFile());
    if (!file.exists()) {
        return tables;
    }
    const std::string name = file.fileName().toStdString();
    if (!file.open(QIODevice::ReadOnly)) {
        return Error{name, file.errorString().toStdString(), "the shipped table is in force"};
    }
    constexpr qint64 most = 4'000'000; // bytes; the shipped one has 20 000
    const auto table = bench::readTable(file.read(most).toStdString());
    if (!table) {
        return text::under(name, table.error());
    }
    tables.evidence = std::make_shared<const bench::EvidenceTable>(*table);
    return tables;
}

Done writeOwnEvidence() {
    QFile file(ownEvidenceFile());
    if (file.exists()) {
        return done();
    }
    const std::string_view text = bench::shippedText();
    QDir().mkpath(QFileInfo(file).absolutePath());
    const auto size = static_cast<qint64>(text.size());
    if (!file.open(QIODevice::WriteOnly) || file.write(text.data(), size) != size) {
        return Error{file.fileName().toStdString(),
                     "not written: " + file.errorString().toStdString(),
                     "make sure that its folder may be written"};
    }
    return done();
}

} // namespace yf::app
