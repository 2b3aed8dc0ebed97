// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/box/box_words.h"

#include <QWidget>

class QLabel;
class QTableWidget;

namespace yf::app {

class Plot;

/// Would another driver work here: those of the library in this very box, judged against the one
/// that is in it, with what would have to change and what that brings.
class ReplacePage final : public QWidget {
    Q_OBJECT

public:
    explicit ReplacePage(QWidget* parent = nullptr);

    void display(const BoxSight& box);

private:
    void draw();

    study::ReplacementStudy study_;
    std::string key_; ///< of the box studied: it takes longer than a frame
    QLabel* told_{};
    QTableWidget* table_{};
    QLabel* why_{};
    Plot* plot_{};
};

} // namespace yf::app
