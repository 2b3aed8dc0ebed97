// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/network/parts/stock.h"

#include <QWidget>

class QLabel;
class QLineEdit;

namespace yf::app {

/// The parts that somebody has: one button for each sort, a field for more.
class Drawer final : public QWidget {
    Q_OBJECT

public:
    explicit Drawer(QWidget* parent);

    void display(const network::Stock& stock);

Q_SIGNALS:
    void changed(const yf::network::Stock& stock);

private:
    void add();
    void rebuild();

    network::Stock stock_;
    QLineEdit* field_{};
    QLabel* said_{};
    QWidget* sorts_{};
};

} // namespace yf::app
