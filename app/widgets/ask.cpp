// SPDX-License-Identifier: GPL-3.0-or-later
#include "app/widgets/ask.h"

#include <QFileDialog>

namespace yf::app {

QStringList
AskWithDialogs::filesToOpen(QWidget* parent, const QString& title, const QString& filter) {
    return QFileDialog::getOpenFileNames(parent, title, {}, filter);
}

QString AskWithDialogs::fileToWrite(QWidget* parent,
                                    const QString& title,
                                    const QString& proposal,
                                    const QString& filter) {
    return QFileDialog::getSaveFileName(parent, title, proposal, filter);
}

} // namespace yf::app
