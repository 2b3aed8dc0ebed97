// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <QWidget>

class QAbstractButton;
class QLabel;

namespace yf::app {

/// Room for a wrapped text that changes under a moving hand. A plain label asks the whole window to
/// be laid out anew for every digit; this one only when its text no longer fits, so that nothing
/// jumps either. Another width starts anew.
class Still final : public QWidget {
    Q_OBJECT

public:
    Still(QWidget* parent, const QString& name);

    [[nodiscard]] QLabel* label() const { return label_; }

    [[nodiscard]] QSize sizeHint() const override { return {240, reserved_}; }

    [[nodiscard]] QSize minimumSizeHint() const override { return {60, reserved_}; }

protected:
    bool event(QEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void showEvent(QShowEvent* event) override;

private:
    void fit(bool anew);

    QLabel* label_;
    int reserved_{16};
};

/// A wrapped label in such a room; what goes into a layout is its parent.
[[nodiscard]] QLabel* stillLabel(QWidget* parent, const QString& name);

/// One line of text into a control whose size then only grows.
void sayStill(QLabel* label, const QString& text);
void sayStill(QAbstractButton* button, const QString& text);

} // namespace yf::app
