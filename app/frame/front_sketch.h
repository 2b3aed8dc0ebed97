// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/front/front_picture.h"

#include <QWidget>

namespace yf::app {

/// A small picture of a front.
class FrontSketch final : public QWidget {
    Q_OBJECT

public:
    explicit FrontSketch(QWidget* parent = nullptr) : QWidget(parent) {}

    void display(const FrontPicture& front);

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    FrontPicture front_;
};

} // namespace yf::app
