// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <QWidget>

namespace yf::app {

/// What stands in the window while no job is open: what would fill it, and the ways to get there.
class StartPage final : public QWidget {
    Q_OBJECT

public:
    explicit StartPage(QWidget* parent = nullptr);

    [[nodiscard]] bool hasHeightForWidth() const override { return false; }

Q_SIGNALS:
    void demoWanted();
    void newWanted();
    void openWanted();
};

} // namespace yf::app
