// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <QString>
#include <QStringList>

class QWidget;

namespace yf::app {

/// The only way to open a dialog; tests answer in its place.
class Ask {
public:
    virtual ~Ask() = default;

    /// Files to open, none if the person changed their mind.
    [[nodiscard]] virtual QStringList
    filesToOpen(QWidget* parent, const QString& title, const QString& filter) = 0;

    /// A file to write, empty if the person changed their mind.
    [[nodiscard]] virtual QString fileToWrite(QWidget* parent,
                                              const QString& title,
                                              const QString& proposal,
                                              const QString& filter) = 0;
};

/// Questions in Qt's own dialogs.
class AskWithDialogs final : public Ask {
public:
    [[nodiscard]] QStringList
    filesToOpen(QWidget* parent, const QString& title, const QString& filter) override;
    [[nodiscard]] QString fileToWrite(QWidget* parent,
                                      const QString& title,
                                      const QString& proposal,
                                      const QString& filter) override;
};

} // namespace yf::app
