// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/ask.h"

#include <QFileDialog>

namespace yf::app {

namespace {

/// A dialog in which files are chosen neither renames nor deletes: a stray key in its list would.
constexpr auto onlyChoose = QFileDialog::ReadOnly;

} // namespace

QStringList
AskWithDialogs::filesToOpen(QWidget* parent, const QString& title, const QString& filter) {
    return QFileDialog::getOpenFileNames(parent, title, {}, filter, nullptr, onlyChoose);
}

QString AskWithDialogs::fileToWrite(QWidget* parent,
                                    const QString& title,
                                    const QString& proposal,
                                    const QString& filter) {
    return QFileDialog::getSaveFileName(parent, title, proposal, filter, nullptr, onlyChoose);
}

} // namespace yf::app
