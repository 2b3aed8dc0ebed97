// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

#include "app/theme/theme.h"
#include "core/study/align.h"

#include <QWidget>

namespace yf::app {

/// Ways as hands of a dial: length for level (30 dB to the rim), angle for phase, anticlockwise
/// ahead; the sum is a hand of its own. Turned so that the lower of the pair points up: only
/// differences mean anything. A click on a hand, or its number key, turns that way over.
class DialView final : public QWidget {
    Q_OBJECT

public:
    explicit DialView(QWidget* parent = nullptr);

    struct Shown {
        std::optional<study::DialState> state;
        QVector<Stroke> strokes; ///< of the hands
        QStringList names;
        std::size_t upright{}; ///< hand that points up
    };

    void display(const Shown& shown);

    /// Tip of a hand, for a click.
    [[nodiscard]] QPointF tipOf(std::size_t hand) const;

    [[nodiscard]] QSize sizeHint() const override { return {250, 250}; }

Q_SIGNALS:
    void flipWanted(std::size_t way);

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

private:
    [[nodiscard]] QPointF middle() const;
    [[nodiscard]] double radius() const;
    [[nodiscard]] QPointF tip(const curve::Complex& p) const;
    void describe();

    Shown shown_;
};

} // namespace yf::app
