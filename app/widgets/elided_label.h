// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <QLabel>

namespace yf::app {

/// One line of text that is cut with an ellipsis where the room ends; the whole of it is in the
/// tooltip. It never asks for more width than there is.
class ElidedLabel final : public QLabel {
    Q_OBJECT

public:
    explicit ElidedLabel(QWidget* parent = nullptr);

    void say(const QString& text);

    [[nodiscard]] QSize minimumSizeHint() const override;

protected:
    void paintEvent(QPaintEvent* event) override;
};

} // namespace yf::app
