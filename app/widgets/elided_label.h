// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <QWidget>

namespace yf::app {

/// One line of text that is cut with an ellipsis where the room ends; the whole of it is then in
/// the tooltip. It takes what width there is and never asks for another, so that a figure that
/// changes with every frame has nothing laid out anew.
class ElidedLabel final : public QWidget {
    Q_OBJECT

public:
    explicit ElidedLabel(QWidget* parent = nullptr);

    void say(const QString& text);

    [[nodiscard]] const QString& text() const { return text_; }

    [[nodiscard]] QSize sizeHint() const override { return minimumSizeHint(); }

    [[nodiscard]] QSize minimumSizeHint() const override;

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    QString text_;
};

} // namespace yf::app
