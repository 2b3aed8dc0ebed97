// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/box/box_words.h"

#include <QWidget>

class QLabel;
class QPushButton;
class QTableWidget;

namespace yf::app {

class Plot;

/// Which box for this driver: what both schools say and why, the serious candidates computed and
/// laid over each other at once.
class ChoosePage final : public QWidget {
    Q_OBJECT

public:
    explicit ChoosePage(QWidget* parent = nullptr);

    void display(const BoxSight& box);

Q_SIGNALS:
    void edited(const yf::edit::Edit& edit);

private:
    void draw();
    void take();

    std::string cabinet_;
    std::string driver_;
    study::BoxChoice choice_;
    std::optional<box::Driver> known_; ///< the driver's parameters
    QLabel* schools_{};
    QLabel* reason_{};
    QTableWidget* table_{};
    QPushButton* take_{};
    Plot* plot_{};
};

} // namespace yf::app
