// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/widgets/ask.h"

namespace yf::test {

/// For a window that will not be asked: every question is declined.
class AskNothing final : public app::Ask {
public:
    QStringList
    filesToOpen(QWidget* /*parent*/, const QString& /*title*/, const QString& /*filter*/) override {
        return {};
    }

    QString fileToWrite(QWidget* /*parent*/,
                        const QString& /*title*/,
                        const QString& /*proposal*/,
                        const QString& /*filter*/) override {
        return {};
    }
};

} // namespace yf::test
