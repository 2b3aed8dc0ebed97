// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "core/network/part.h"

#include <QWidget>

namespace yf::app {

enum class Lying;

/// One part of a lane: IEC symbol, value, loss.
///
/// Click or Tab to focus; then type a value, wheel or ↑↓ for the next purchasable value (Shift:
/// fine steps), Enter or F2 to edit value and losses, Backspace to take it out, Insert for a new
/// part behind it, B held to see the speaker without it.
class PartTile final : public QWidget {
    Q_OBJECT

public:
    PartTile(const network::Part& part, Lying lying, QWidget* parent);

    void display(const network::Part& part);

    [[nodiscard]] const network::Part& part() const { return part_; }

    /// "6.8 µF" as written on the tile.
    [[nodiscard]] QString valueShown() const;

    /// "C1 · 0.05 Ω", the second row.
    [[nodiscard]] QString lossShown() const;

Q_SIGNALS:
    /// Steps up or down; `fine` for the close-set series.
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

private:
    void endBypass();

    network::Part part_;
    Lying lying_;
    int wheel_{};
    bool bypass_{};
};

} // namespace yf::app
