// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include <QWidget>

class QPainter;

namespace yf::app {

/// What stands in a lane and can be worked on by hand: a part, a filter, a level control.
///
/// Click or Tab to focus; then type figures, wheel or ↑↓ for the next value (Shift: fine steps),
/// Enter or F2 to edit, Backspace to take it out, Insert for a new one behind it, B held to see the
/// speaker without it.
class LaneTile : public QWidget {
    Q_OBJECT

public:
    explicit LaneTile(QWidget* parent);

    /// How it is called inside its lanes: the same again after the lanes were built anew.
    [[nodiscard]] virtual std::string key() const = 0;

Q_SIGNALS:
    /// Steps up or down; `fine` for the close-set ones.
    void stepped(int steps, bool fine);
    void typed(const QString& firstCharacters);
    void editWanted();
    void removed();
    void insertWanted();
    void bypassed(bool on);
    void letGo();

protected:
    void paintEvent(QPaintEvent* event) override;
    void wheelEvent(QWheelEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void keyReleaseEvent(QKeyEvent* event) override;
    void mouseDoubleClickEvent(QMouseEvent* event) override;
    void focusInEvent(QFocusEvent* event) override;
    void focusOutEvent(QFocusEvent* event) override;

    /// The picture at the left, in the pen that is set.
    virtual void paintSymbol(QPainter& painter) const = 0;
    [[nodiscard]] virtual QString firstRow() const = 0;
    [[nodiscard]] virtual QString secondRow() const = 0;

    /// Far from what is usual: marked.
    [[nodiscard]] virtual bool questionable() const { return false; }

    /// Whether a look without it makes sense.
    [[nodiscard]] virtual bool canBypass() const { return true; }

private:
    void endBypass();

    int wheel_{};
    bool bypass_{};
};

} // namespace yf::app
